using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Tests.Shell;

/// <summary>Depths as people type them, what burns, and the seams that a shell has anyway.</summary>
public class ReadingsAndMembersTests
{
    [Theory]
    [InlineData("-600 12; 0 0; 600 14")]
    [InlineData("600: 14\n0 = 0\r\n\r\n-600\t12")]
    [InlineData("0|0 ; -600|12 ; 600|14 ;")]
    public void Depths_are_read_however_they_are_parted_and_stand_in_order(string text)
    {
        Worked<IReadOnlyList<DepthReading>> read = DepthPairs.Parse(text, LengthFormat.Millimetres).Value!;
        Assert.Equal([new(-600, 12), new(0, 0), new(600, 14)], read.Result);
        Assert.Equal(3, read.Steps.Count);
        Assert.NotEmpty(read.Sources);
    }

    [Fact] // A space belongs to a fraction: 23 5/8 is 600.075, 1/2 is 12.7
    public void Inches_with_fractions_are_parted_by_a_mark()
    {
        IReadOnlyList<DepthReading> read = DepthPairs.Parse("23 5/8\": 1/2\"\n0: 0", new LengthFormat(UnitSystem.Inch)).Value!.Result;
        Assert.Equal(600.075, read[1].TMm, 9);
        Assert.Equal(12.7, read[1].DepthMm, 9);
    }

    [Theory]
    [InlineData("5 5", "at least two")]
    [InlineData("", "at least two")]
    [InlineData("0 0; 5", "Line 2")]
    [InlineData("0 0; 5 6 7", "Line 2")]
    [InlineData("0 0; abc 5", "Line 2")]
    [InlineData("0 0; 5 abc", "Line 2")]
    [InlineData("0 0; 0 5", "The section")]
    public void What_cannot_be_read_is_told_by_its_line(string text, string says)
    {
        Assert.False(DepthPairs.Parse(text, LengthFormat.Millimetres).IsOk(out _, out Problem? problem));
        Assert.Contains(says, problem!.Message);
        Assert.Equal("/text", problem.Pointer);
    }

    [Theory]
    [InlineData(500, true)]
    [InlineData(501, false)]
    public void A_section_has_at_most_500_readings(int count, bool read) =>
        Assert.Equal(
            read,
            DepthPairs.Parse(string.Join(";", Enumerable.Range(0, count).Select(i => $"{i} 1")), LengthFormat.Millimetres).IsOk(out _, out _)
        );

    [Theory] // Cables and fuel burn whatever they lie in; a frame is what the skin is where nobody said
    [InlineData(MemberKind.WiringRun, null, SkinMaterial.MildSteel, true)]
    [InlineData(MemberKind.FillerNeck, MemberMaterial.Metal, SkinMaterial.MildSteel, true)]
    [InlineData(MemberKind.RoofBow, MemberMaterial.Metal, SkinMaterial.PlywoodSkin, false)]
    [InlineData(MemberKind.RoofBow, MemberMaterial.Timber, SkinMaterial.MildSteel, true)]
    [InlineData(MemberKind.RoofBow, MemberMaterial.Plastic, SkinMaterial.MildSteel, true)]
    [InlineData(MemberKind.RoofBow, null, SkinMaterial.PlywoodSkin, true)]
    [InlineData(MemberKind.RoofBow, null, SkinMaterial.MildSteel, false)]
    [InlineData(MemberKind.RoofBow, null, SkinMaterial.GalvanisedSteel, false)]
    [InlineData(MemberKind.RoofBow, null, SkinMaterial.Aluminium, null)]
    [InlineData(MemberKind.Swage, null, SkinMaterial.PlywoodSkin, false)]
    [InlineData(MemberKind.Seam, null, SkinMaterial.PlywoodSkin, false)]
    [InlineData(MemberKind.RainGutter, null, SkinMaterial.Aluminium, false)]
    public void What_burns_is_known_or_not(MemberKind kind, MemberMaterial? material, SkinMaterial skin, bool? burns)
    {
        var member = new Member("M", kind, Member.DefaultRole(kind), new Footprint(FootprintShape.Spine, [new(0, 0), new(1, 0)], 1), 1, 0, material);
        Assert.Equal(burns, member.Burns(skin));
    }

    [Theory]
    [InlineData(MemberKind.Pillar, MemberRole.Structural, true)]
    [InlineData(MemberKind.CantRail, MemberRole.Structural, true)]
    [InlineData(MemberKind.Bearer, MemberRole.Structural, false)]
    [InlineData(MemberKind.RoofBow, MemberRole.Secondary, false)]
    [InlineData(MemberKind.SideRib, MemberRole.Secondary, false)]
    [InlineData(MemberKind.Swage, MemberRole.Pressed, false)]
    [InlineData(MemberKind.Anchorage, MemberRole.KeepOut, true)]
    [InlineData(MemberKind.WiringRun, MemberRole.KeepOut, false)]
    public void A_member_has_a_role_by_its_kind_and_some_are_never_cut(MemberKind kind, MemberRole role, bool never)
    {
        Assert.Equal(role, Member.DefaultRole(kind));
        Assert.Equal(never, Member.IsAlwaysUncut(kind));
    }

    [Theory]
    [InlineData(PanelKind.Roof, "Top, Bottom, Front, Rear", ShellSeamKind.Seam)]
    [InlineData(PanelKind.SlidingDoor, "Top, Front, Rear, Bottom", ShellSeamKind.DoorSeal)]
    [InlineData(PanelKind.RearLeftDoor, "Top, Front, Rear, Bottom", ShellSeamKind.DoorSeal)]
    [InlineData(PanelKind.RearRightDoor, "Top, Front, Rear, Bottom", ShellSeamKind.DoorSeal)]
    [InlineData(PanelKind.Left, "Bottom", ShellSeamKind.Seam)]
    [InlineData(PanelKind.Right, "Bottom", ShellSeamKind.Seam)]
    [InlineData(PanelKind.Floor, "", ShellSeamKind.Seam)]
    public void Seams_lie_along_the_sides_of_their_panel(PanelKind kind, string sides, ShellSeamKind seam)
    {
        IReadOnlyList<ShellSeam> all = ShellSeams.Of(new Panel(kind, new PanelBox(10, 110, 20, 220).Corners, 1, SkinMaterial.MildSteel));
        Assert.Equal(sides, string.Join(", ", all.Select(s => s.At)));
        Assert.All(all, s => Assert.Equal(seam, s.Kind));
        Assert.Equal(all.Count, all.Select(s => s.Name).Distinct().Count());
        foreach (ShellSeam s in all)
        {
            (double along, Func<PanelPoint, double> at) = s.At switch
            {
                Side.Top => (220.0, (Func<PanelPoint, double>)(p => p.TMm)),
                Side.Bottom => (20, p => p.TMm),
                Side.Front => (10, p => p.SMm),
                _ => (110, p => p.SMm),
            };
            Assert.All(s.Line, p => Assert.Equal(along, at(p)));
            Assert.Equal(s.At is Side.Top or Side.Bottom ? 100 : 200, s.Line[0].DistanceMm(s.Line[1]));
        }
    }
}
