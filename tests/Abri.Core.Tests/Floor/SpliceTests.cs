using Abri.Core.Floor;
using Abri.Core.Geometry;
using CsCheck;

namespace Abri.Core.Tests.Floor;

/// <summary>How a rotten timber is mended.</summary>
public class SpliceTests
{
    private static Worked<SplicePlan> Worked(double length, double high, params (double At, bool Bad)[] readings) =>
        Splice.Of(new RottenTimber(length, 60, high, [.. readings.Select(r => new SpliceReading(r.At, r.Bad))]), LengthFormat.Millimetres).Value!;

    private static SplicePlan Plan(double length, double high, params (double At, bool Bad)[] readings) => Worked(length, high, readings).Result;

    [Fact] // By hand: cut at 900, lap 4 x 70 = 280, new timber 900 + 280
    public void A_rotten_end_is_cut_off_at_the_first_sound_place_and_lapped()
    {
        SplicePlan plan = Plan(1900, 70, (20, true), (750, true), (900, false), (1500, false));
        Assert.Equal((0, 900, 280, 1180), (plan.CutFromMm, plan.CutToMm, plan.LapMm, plan.NewLengthMm));
        Assert.False(plan.Whole);
        Assert.False(plan.Unknown);
        Assert.Equal(
            "From its first end, bad from 20 mm to 750 mm: take out 0 mm to 900 mm; "
                + "new timber 1180 mm of 60 x 70 mm, lapped 280 mm with 4 bolts at the end that stays.",
            plan.Verdict
        );
    }

    [Fact]
    public void A_bad_middle_is_lapped_at_both_ends()
    {
        SplicePlan plan = Plan(2000, 50, (500, false), (900, true), (1100, true), (1300, false));
        Assert.Equal((500, 1300, 800 + 400), (plan.CutFromMm, plan.CutToMm, plan.NewLengthMm));
    }

    [Fact]
    public void Where_no_lap_is_left_the_end_comes_out_too()
    {
        Assert.True(Plan(1000, 70, (200, false), (500, true), (850, false)).Whole);
        Assert.Equal(0, Plan(2000, 70, (200, false), (500, true), (850, false)).CutFromMm);
    }

    [Fact]
    public void What_nobody_probed_counts_as_bad_and_is_said()
    {
        Worked<SplicePlan> worked = Worked(2000, 50, (500, false), (900, true));
        Assert.Equal(2000, worked.Result.CutToMm);
        Assert.True(worked.Result.Unknown);
        Assert.Contains(worked.Warnings, w => w.StartsWith("Not probed", StringComparison.Ordinal));
    }

    [Fact]
    public void Nothing_bad_and_readings_beyond_the_end_are_told()
    {
        Assert.Equal("nothing-bad", Splice.Of(new RottenTimber(900, 50, 50, [new(100, false)]), LengthFormat.Millimetres).Problem!.Code);
        Problem off = Splice.Of(new RottenTimber(900, 50, 50, [new(950, true)]), LengthFormat.Millimetres).Problem!;
        Assert.Equal(("reading-off-timber", "/readings/0/atMm"), (off.Code, off.Pointer));
    }

    [Fact] // Property: all that is bad comes out, what stays has room for its lap, and the new timber reaches
    public void All_bad_wood_comes_out_and_every_lap_has_its_length() =>
        Gen.Select(Gen.Double[300, 5000], Gen.Double[30, 150], Gen.Select(Gen.Double[0, 1], Gen.Bool).Array[1, 12])
            .Where(t => t.Item3.Any(r => r.Item2))
            .Holds(t =>
            {
                (double length, double high, (double, bool)[] readings) = t;
                SplicePlan plan = Plan(length, high, [.. readings.Select(r => (r.Item1 * length, r.Item2))]);
                Assert.All(readings.Where(r => r.Item2), r => Assert.InRange(r.Item1 * length, plan.CutFromMm, plan.CutToMm));
                Assert.True(plan.CutFromMm == 0 || plan.CutFromMm >= plan.LapMm);
                Assert.True(plan.CutToMm == length || length - plan.CutToMm >= plan.LapMm);
                double stays = (plan.CutFromMm > 0 ? plan.LapMm : 0) + (plan.CutToMm < length ? plan.LapMm : 0);
                Assert.Equal(plan.CutToMm - plan.CutFromMm + stays, plan.NewLengthMm, 6);
            });

    [Fact] // By hand: E I of 60 x 70 softwood 8000 * 1 715 000 = 1.372e10; 40 x 40 x 2: 210 000 * 0.95 * 73 365 = 1.464e10, 2.39 kg/m
    public void Steel_instead_is_the_lightest_that_is_as_stiff()
    {
        SteelInstead steel = Plan(1900, 70, (20, true), (900, false)).Steel!;
        Assert.Equal(1, Math.Floor(steel.TimesAsStiff));
        Assert.Equal("40 x 40 x 2", steel.Name);
        Assert.Equal(1.067, steel.TimesAsStiff, 0.003);
        Assert.Equal(2.386, steel.MassKgPerM, 0.001);
    }
}
