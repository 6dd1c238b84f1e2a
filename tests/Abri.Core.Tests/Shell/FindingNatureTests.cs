using Abri.Core.Shell;

namespace Abri.Core.Tests.Shell;

public sealed class FindingNatureTests
{
    [Fact]
    public void Every_kind_has_one_nature() => Assert.Equal(Enum.GetValues<FindingKind>(), FindingNature.All.Select(n => n.Kind));

    // Common practice, no source: the awl goes into wood, the gauge into a pit, a dent and a puddle; nowhere else is there a depth to read.
    [Fact]
    public void Depth_is_asked_where_something_can_be_stuck_in() =>
        Assert.Equal(
            [FindingKind.Pitting, FindingKind.StandingWater, FindingKind.SoftWood, FindingKind.Dent],
            FindingNature.All.Where(n => n.Figures.Contains(FindingFigure.Depth)).Select(n => n.Kind)
        );

    [Fact]
    public void Moisture_is_asked_of_wood_alone() =>
        Assert.Equal([FindingKind.SoftWood], FindingNature.All.Where(n => n.Figures.Contains(FindingFigure.Moisture)).Select(n => n.Kind));

    [Fact]
    public void No_kind_asks_one_measure_by_two_names()
    {
        foreach (FindingNature nature in FindingNature.All)
        {
            Assert.False(nature.Figures.Contains(FindingFigure.Length) && nature.Figures.Contains(FindingFigure.Diameter), nature.Kind.ToString());
            Assert.False(nature.Figures.Contains(FindingFigure.Width) && nature.Figures.Contains(FindingFigure.Gap), nature.Kind.ToString());
            Assert.Equal(nature.Figures.Distinct(), nature.Figures);
        }
    }

    // What is drawn along a line or at a point gives no width: it is asked only where a kind is an area, or gapes.
    [Fact]
    public void A_width_belongs_to_an_area() =>
        Assert.All(FindingNature.All, n => Assert.Equal(n.Shape == FindingShape.Area, n.Figures.Contains(FindingFigure.Width)));

    [Fact]
    public void A_seam_is_a_line_a_hole_is_round_and_a_clip_has_nothing_to_measure()
    {
        Assert.Equal(FindingShape.Line, FindingNature.Of(FindingKind.OpenSeam).Shape);
        Assert.Equal([FindingFigure.Diameter], FindingNature.Of(FindingKind.OpenHole).Figures);
        Assert.Empty(FindingNature.Of(FindingKind.LooseClip).Figures);
    }
}
