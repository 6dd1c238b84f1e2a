using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Exchange.Pdf;

namespace Abri.Exchange.Tests;

/// <summary>The sheets of a replacement, read back by poppler.</summary>
public class FloorPdfTests
{
    private static Member Bearer(string name, double s) =>
        new(name, MemberKind.Bearer, MemberRole.Structural, new Footprint(FootprintShape.Spine, [new(s, -800), new(s, 800)], 60), 60);

    /// <summary>A floor whose left wall runs aslant.</summary>
    private static FloorSite Site { get; } =
        new(
            new Panel(PanelKind.Floor, [new(0, -800), new(3000, -800), new(3000, 900), new(0, 800)], 1, SkinMaterial.MildSteel),
            [Bearer("Bearer 1", 600), Bearer("Bearer 2", 1500)],
            [new Board("Old", new PanelBox(0, 3000, -800, 800).Corners, BoardMaterial.SoftwoodPly, 15, Grain.Lengthways, "")],
            []
        );

    private static Replacement Area(PanelBox box) =>
        new("Soft board", box.Corners, 50, NewSheet.Usual(BoardMaterial.BirchPly, 15), ReplacementState.Planned, null, [], "");

    private static string Text(Replacement replacement, LengthFormat? lengths = null)
    {
        FloorSite site = Site with { Lengths = lengths };
        ReplacementPlan plan = FloorReplacement.Of(site, replacement).Value!.Result;
        return Poppler.Text(FloorPdf.Write("Heron", replacement, site, plan, Paper.A4));
    }

    [Fact]
    public void What_the_tape_reads_what_carries_and_what_is_sawn_is_printed()
    {
        string text = Text(Area(new PanelBox(800, 1300, -200, 200)));
        Assert.Contains("600 mm from the front wall", text, StringComparison.Ordinal);
        Assert.Contains("on the middle of Bearer 2, 29 mm each", text, StringComparison.Ordinal);
        Assert.Contains("saw set to 16 mm", text, StringComparison.Ordinal);
        Assert.Contains("2 of 840 mm", text, StringComparison.Ordinal);
        Assert.Contains("Seen from inside", text, StringComparison.Ordinal);
    }

    [Fact]
    public void A_board_along_an_oblique_wall_is_given_corner_by_corner()
    {
        string text = Text(Area(new PanelBox(800, 1300, 500, 850)));
        Assert.Contains("Corner 4", text, StringComparison.Ordinal);
        Assert.Contains("from the edge at the foot", text, StringComparison.Ordinal);
        Assert.DoesNotContain("Corner 1", Text(Area(new PanelBox(800, 1300, -200, 200))), StringComparison.Ordinal);
    }

    [Fact]
    public void Inches_are_printed_in_inches() =>
        Assert.Contains(
            "23 5/8\" from the front wall",
            Text(Area(new PanelBox(800, 1300, -200, 200)), new LengthFormat(UnitSystem.Inch)),
            StringComparison.Ordinal
        );
}
