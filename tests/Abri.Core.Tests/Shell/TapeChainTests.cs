using Abri.Core.Geometry;
using Abri.Core.Shell;
using CsCheck;

namespace Abri.Core.Tests.Shell;

public class TapeChainTests
{
    private static TapeRun Run(string readings, TapeFrom from = TapeFrom.Front, bool startsOnMember = false, UnitSystem units = UnitSystem.Mm) =>
        new(readings, from, startsOnMember, MemberKind.RoofBow, "Bow", 1, 40, new LengthFormat(units));

    [Fact]
    public void Running_readings_from_the_front_give_bows_right_across_the_roof()
    {
        IReadOnlyList<Member> bows = Members(Run("560 / 620 / 1165 / 1225"));
        Assert.Equal(["Bow 1", "Bow 2"], bows.Select(b => b.Name));
        Assert.Equal([60, 60], bows.Select(b => b.Footprint.WidthMm));
        Assert.Equal(new PanelPoint(590, -850), bows[0].Footprint.Points[0]);
        Assert.Equal(new PanelPoint(1195, 850), bows[1].Footprint.Points[1]);
        Assert.All(bows, b => Assert.Equal(MemberRole.Secondary, b.Role));
    }

    [Fact]
    public void A_tape_hooked_on_a_member_starts_with_it()
    {
        IReadOnlyList<Member> bows = Members(Run("60 / 545 / 605", startsOnMember: true));
        Assert.Equal([30, 575], bows.Select(b => b.Footprint.Points[0].SMm));
    }

    [Fact]
    public void A_first_reading_of_nought_is_a_member_that_begins_at_the_edge()
    {
        IReadOnlyList<Member> pillars = Members(Run("0 / 80 / 1200 / 1280"));
        Assert.Equal((40, 80), (pillars[0].Footprint.Points[0].SMm, pillars[0].Footprint.WidthMm));
        Assert.Contains("begins and ends at the edge", Refused(Run("0 / 80 / 160", startsOnMember: true)).Message);
    }

    [Fact]
    public void Readings_from_the_rear_are_numbered_from_the_front_all_the_same()
    {
        IReadOnlyList<Member> bows = Members(Run("100/160/1100/1160", TapeFrom.Rear));
        Assert.Equal([3070, 4070], bows.Select(b => b.Footprint.Points[0].SMm));
    }

    [Fact] // Two readings of one dimension that differ by more than 3 mm are shown side by side and asked about; the first one stands
    public void A_second_run_is_held_against_the_first_and_nothing_is_averaged()
    {
        Assert.True(
            TapeChain
                .Members(Roofs.Flat(), Run("560 / 620 / 1165 / 1225") with { Again = "561 / 620 / 1171 / 1225", Overall = "4198" })
                .IsOk(out var worked, out _)
        );
        Assert.Equal([false, false, true, false, false], worked.Result.Twice.Select(t => t.Asks));
        Assert.Equal((1165, 1171), (worked.Result.Twice[2].FirstMm, worked.Result.Twice[2].SecondMm));
        Assert.Equal(1195, worked.Result.Members[1].Footprint.Points[0].SMm);
        Assert.Contains("1165 mm and 1171 mm", Assert.Single(worked.Warnings));
        Assert.Equal("/run/again", Refused(Run("560 / 620") with { Again = "560" }).Pointer);
        Assert.Equal("/run/overall", Refused(Run("560 / 620") with { Overall = "four" }).Pointer);
    }

    private static Problem Refused(TapeRun run)
    {
        Assert.False(TapeChain.Members(Roofs.Flat(), run).IsOk(out _, out Problem? problem));
        return problem;
    }

    [Theory]
    [InlineData("22\" / 24 3/8\" / 45 7/8\" / 48 1/4\"")]
    [InlineData("22 / 24 3/8 / 45 7/8 / 48 1/4")]
    [InlineData("22; 24 3/8; 45 7/8; 48 1/4")]
    [InlineData("22\n24 3/8\n45 7/8\n48 1/4")]
    public void Inches_and_sixteenths_are_told_from_the_slashes_between_readings(string text)
    {
        IReadOnlyList<Member> bows = Members(Run(text, units: UnitSystem.Inch));
        Assert.Equal(2, bows.Count);
        Assert.Equal(2.375 * 25.4, bows[0].Footprint.WidthMm, 9);
    }

    [Theory] // Spaces, commas, slashes and new lines part readings; a fraction stays one
    [InlineData("560 620 1165 1225", 60)]
    [InlineData("560, 620, 1165, 1225", 60)]
    [InlineData("560,620,1165,1225", 60)]
    [InlineData("560/620/1165/1225", 60)]
    [InlineData("560\r\n620\n1165  1225 ", 60)]
    [InlineData("560 mm 620 mm 1165mm 1225", 60)]
    [InlineData("560,5 620,5 1165,5 1225,5", 60)]
    [InlineData("22 1/4 24 3/4 45 7/8 48 1/4", 2.5 * 25.4)]
    [InlineData("1 5/8 4 1/8, 45 7/8, 48", 2.5 * 25.4)]
    [InlineData("1-5/8 / 4-1/8 / 45 7/8 / 48", 2.5 * 25.4)]
    [InlineData("3' 3'2 1/2 4'1\" 5'", 2.5 * 25.4)]
    [InlineData("1'6 1'8 1/2, 40 in, 44\"", 2.5 * 25.4)]
    public void Readings_are_parted_as_people_part_them(string text, double firstWidthMm)
    {
        bool inches = firstWidthMm != 60;
        IReadOnlyList<Member> bows = Members(Run(text, units: inches ? UnitSystem.Inch : UnitSystem.Mm));
        Assert.Equal(2, bows.Count);
        Assert.Equal(firstWidthMm, bows[0].Footprint.WidthMm, 9);
    }

    [Fact] // Whatever lengths are written and however they are parted, the same come out
    public void Written_lengths_parted_in_any_way_are_read_again() =>
        Gen.Select(Gen.Int[2, 40].Array[2, 12], Gen.Enum<UnitSystem>(), Gen.Int[0, 4])
            .Holds(
                (steps, units, how) =>
                {
                    var format = new LengthFormat(units);
                    double unit = units == UnitSystem.Mm ? 0.5 : 25.4 / 16;
                    double[] mm = [.. steps.Select((_, i) => steps.Take(i + 1).Sum() * unit * 2)];
                    if (mm.Length % 2 == 1)
                        mm = mm[..^1];
                    string text = string.Join(new[] { " ", ", ", " / ", "\n", "; " }[how], mm.Select(format.Number));
                    Assert.True(
                        TapeChain.Members(Roofs.Flat(), Run(text, units: units)).IsOk(out var taped, out var problem),
                        $"{text}: {problem?.Message}"
                    );
                    Assert.Equal(mm.Select(format.Number), taped.Result.Readings);
                    Assert.Equal(mm.Length / 2, taped.Result.Members.Count);
                },
                cases: 300
            );

    [Fact]
    public void Each_doubtful_reading_is_answered_by_itself()
    {
        string message = Refused(Run("560 / x9 / 550 / 700 / 690")).Message;
        foreach (string said in new[] { "Reading 2", "Reading 3, 550", "Reading 5, 690" })
            Assert.Contains(said, message);
        Assert.Contains("a fraction or two readings", Refused(Run("24 5 /8 30", units: UnitSystem.Inch)).Message);
        // The second run knows which reading it doubts, and the far edge is asked about too.
        Assert.True(TapeChain.Members(Roofs.Flat(), Run("560 620") with { Again = "560 626", Overall = "4190" }).IsOk(out var worked, out _));
        Assert.Equal([(0, false), (1, true), ((int?)null, true)], worked.Result.Twice.Select(t => (t.Number, t.Asks)));
    }

    [Theory]
    [InlineData("")]
    [InlineData("560 / 620 / 1165")]
    [InlineData("560 / 550")]
    [InlineData("560 / x")]
    [InlineData("560 / 99000")]
    [InlineData("-5 / 60")]
    public void Readings_that_cannot_be_right_are_refused(string text)
    {
        Assert.False(TapeChain.Members(Roofs.Flat(), Run(text)).IsOk(out _, out var problem));
        Assert.Equal("/run/readings", problem.Pointer);
    }

    private static IReadOnlyList<Member> Members(TapeRun run)
    {
        Assert.True(TapeChain.Members(Roofs.Flat(), run).IsOk(out var members, out var problem), problem?.Message);
        return members.Result.Members;
    }
}
