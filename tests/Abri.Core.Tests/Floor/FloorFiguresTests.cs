using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Sealing;
using CsCheck;
using Google.OrTools.LinearSolver;

namespace Abri.Core.Tests.Floor;

/// <summary>Furring, epoxy, shims, build-up and head room.</summary>
public class FloorFiguresTests
{
    private static readonly LengthFormat Mm = LengthFormat.Millimetres;

    [Fact] // By hand: (4300 - 38) / 457 = 9.3, so 10 bays of 426.2, clear 388.2
    public void Battens_keep_the_spacing_in_equal_bays()
    {
        FurringPlan plan = Furring.Of(new FurredFloor(4300, 1660, 38, 457), Mm).Value!.Result;
        Assert.Equal((11, 426.2, 388.2), (plan.BattensMm.Count, plan.PitchMm, Math.Round(plan.BayMm, 6)));
        Assert.Equal([new FoamPieces(10, 388.2, 1660)], plan.Foam);
    }

    [Fact] // Fourteen of 419 x 419: battens of 38 at 457 both ways, 7 bays by 2
    public void Foam_is_counted_by_size()
    {
        FurringPlan plan = Furring.Of(new FurredFloor((7 * 457) + 38, (2 * 457) + 38, 38, 457, CrossMm: 457), Mm).Value!.Result;
        Assert.Equal([new FoamPieces(14, 419, 419)], plan.Foam);
        Assert.Contains("14 of 419 x 419 mm", plan.Verdict, StringComparison.Ordinal);
    }

    [Fact]
    public void A_batten_more_lies_half_way_where_it_has_to_be_stiffer()
    {
        FurringPlan plan = Furring.Of(new FurredFloor(4300, 1660, 38, 457, 900, 1700), Mm).Value!.Result;
        // Even ones at 19, 445.2, 871.4, 1297.6, 1723.8: the stretch meets two bays.
        Assert.Equal(13, plan.BattensMm.Count);
        Assert.Contains(plan.BattensMm, b => Math.Abs(b - 1084.5) < 1e-6);
        Assert.Equal([new FoamPieces(8, 388.2, 1660), new FoamPieces(4, 175.1, 1660)], plan.Foam);
    }

    [Fact] // Property: whatever the floor, no bay is wider than asked, all are equal, and battens and foam fill it
    public void Bays_are_equal_and_fill_the_floor() =>
        Gen.Select(Gen.Double[300, 9000], Gen.Double[200, 2400], Gen.Double[15, 100], Gen.Double[150, 900])
            .Holds(t =>
            {
                FurringPlan plan = Furring.Of(new FurredFloor(t.Item1, t.Item2, t.Item3, t.Item4), Mm).Value!.Result;
                double[] pitches = [.. plan.BattensMm.Zip(plan.BattensMm.Skip(1), (a, b) => b - a)];
                Assert.All(pitches, p => Assert.InRange(p, 0, t.Item4 + 1e-6));
                Assert.Equal(pitches.Max(), pitches.Min(), 6);
                // One batten fewer would be too few.
                Assert.True(pitches.Length == 1 || (t.Item1 - t.Item3) / (pitches.Length - 1) > t.Item4 - 1e-6);
                Assert.Equal(t.Item1, (plan.BattensMm.Count * t.Item3) + (pitches.Length * plan.BayMm), 6);
            });

    [Fact]
    public void Furring_that_contradicts_itself_is_told()
    {
        Assert.Equal("stretch-backwards", Furring.Of(new FurredFloor(4000, 1600, 38, 457, 900, 800), Mm).Problem!.Code);
        Assert.Equal("battens-touch", Furring.Of(new FurredFloor(4000, 1600, 140, 120), Mm).Problem!.Code);
    }

    [Theory] // By hand: halves for each 10 K; 0.7 x 30 x 20 = 420 at 23 C
    [InlineData(23, 30, 420)]
    [InlineData(33, 15, 210)]
    [InlineData(13, 60, 840)]
    public void A_batch_is_what_is_spread_in_seven_tenths_of_the_pot_life(double air, double pot, double batch)
    {
        EpoxyPlan plan = EpoxyBatch.Of(new EpoxyQuestion(air, 30)).Result;
        Assert.Equal(pot, plan.PotLifeMinutes, 0.01);
        Assert.Equal(batch, plan.BatchMl, 0.1);
        Assert.Equal(0.7 * pot, plan.SpreadMinutes, 0.01);
    }

    [Fact] // Property: a deep pot's batch is spread in 70 % of the pot life that Sealing gives for that very batch
    public void A_deep_pot_heats_itself_and_is_asked_of_the_same_rule() =>
        Gen.Select(Gen.Double[6, 37], Gen.Double[5, 120], Gen.Double[5, 200])
            .Holds(t =>
            {
                EpoxyPlan deep = EpoxyBatch.Of(new EpoxyQuestion(t.Item1, t.Item2, t.Item3, false)).Result,
                    tray = EpoxyBatch.Of(new EpoxyQuestion(t.Item1, t.Item2, t.Item3)).Result;
                Assert.True(deep.BatchMl <= tray.BatchMl + 1e-9);
                if (deep.BatchMl == 0)
                    return;
                double pot = OpenTime.InThePot(t.Item2, t.Item1, deep.BatchMl * 1.1).Result.Minutes;
                Assert.Equal(0.7 * pot, deep.BatchMl / t.Item3, 6);
            });

    [Theory] // What Sealing says of the pot is said here too: 37.8 C is the heat at which practitioners saw it set
    [InlineData(4, "Too cold to mix")]
    [InlineData(37.8, "Too hot to mix")]
    [InlineData(60, "Too hot to mix")]
    public void None_is_mixed_where_it_does_not_set_or_sets_too_soon(double air, string verdict)
    {
        EpoxyPlan plan = EpoxyBatch.Of(new EpoxyQuestion(air, 30)).Result;
        Assert.Equal(0, plan.BatchMl);
        Assert.StartsWith(verdict, plan.Verdict, StringComparison.Ordinal);
    }

    [Fact]
    public void A_pot_too_short_for_a_brush_and_hot_hours_are_told()
    {
        EpoxyPlan brief = EpoxyBatch.Of(new EpoxyQuestion(36, 3)).Result;
        Assert.Equal(0, brief.BatchMl);
        Assert.Contains("too short", brief.Verdict, StringComparison.Ordinal);
        Assert.Contains(EpoxyBatch.Of(new EpoxyQuestion(35, 30)).Warnings, w => w.StartsWith("Above 30 °C", StringComparison.Ordinal));
    }

    [Fact] // By hand: the line over the last two falls 5 in 800, so it stands 2.5 above the first; the level one would need 5
    public void Shims_fill_up_to_the_line_over_the_tops()
    {
        ShimPlan plan = Shims.Of([new(0, 0), new(400, 0), new(1200, 5)], 0, Mm).Value!.Result;
        Assert.Equal([2.5, 0, 0], plan.Places.Select(p => p.ShimMm));
        Assert.Equal("Shim 2.5 mm at 0 mm.", plan.Verdict);
    }

    [Fact] // Against the linear programme solved by OR-Tools: the least sum of gaps below a line that lies on or above every top
    public void The_line_is_that_of_the_linear_programme() =>
        Gen.Select(Gen.Int[0, 40], Gen.Int[0, 200], (at, gap) => (Item1: at * 100.0, Item2: gap / 10.0))
            .Array[2, 9]
            .Where(all => all.Select(p => p.Item1).Distinct().Count() == all.Length)
            .Holds(all =>
            {
                ShimPlan plan = Shims.Of([.. all.Select(p => new ShimReading(p.Item1, p.Item2))], 0, Mm).Value!.Result;
                using Solver solver = Solver.CreateSolver("GLOP");
                Variable slope = solver.MakeNumVar(-1000, 1000, "mm in a metre"),
                    rise = solver.MakeNumVar(-10_000, 10_000, "mm");
                foreach ((double x, double gap) in all)
                    solver.Add(rise + (slope * (x / 1000)) >= -gap);
                solver.Minimize((rise * all.Length) + (slope * (all.Sum(p => p.Item1) / 1000)));
                Assert.Equal(Solver.ResultStatus.OPTIMAL, solver.Solve());
                double least = solver.Objective().Value() + all.Sum(p => p.Item2);
                // What is under half a millimetre is left.
                Assert.InRange(plan.Places.Sum(p => p.ShimMm), least - (0.5 * all.Length) - 1e-3, least + 0.01);
            });

    [Fact]
    public void What_may_be_taken_off_lowers_the_line()
    {
        ShimPlan plan = Shims.Of([new(0, 3), new(600, 0), new(1200, 3)], 2, Mm).Value!.Result;
        Assert.All(plan.Places, p => Assert.True(p.ShimMm >= -2));
        Assert.Contains("Take off 2 mm at 600 mm.", plan.Verdict, StringComparison.Ordinal);
        Assert.StartsWith("In line", Shims.Of([new(0, 1), new(600, 0.8)], 0, Mm).Value!.Result.Verdict, StringComparison.Ordinal);
        Assert.Equal("reading-twice", Shims.Of([new(0, 1), new(0, 2)], 0, Mm).Problem!.Code);
    }

    private static BuildUpLayer Layer(double thick, double density, double lambda, double mu, double share = 0) =>
        new("Layer", thick, density, lambda, mu, share);

    [Fact] // ISO 6946 by hand: plain layers add up; with 10 % of battens the limits are 1/(0.9/R1 + 0.1/R2) and by the mean conductivity 0.0445
    public void Resistance_is_the_mean_of_both_limits()
    {
        BuildUpPlan plain = BuildUp.Of(new BuildUpQuestion([Layer(18, 560, 0.13, 90), Layer(50, 33, 0.035, 100)]), Mm).Result;
        double r = 0.17 + (0.018 / 0.13) + (0.05 / 0.035) + 0.04;
        Assert.Equal((r, r, r), (plain.ResistanceM2KW, plain.UpperM2KW, plain.LowerM2KW), new Close());
        Assert.Equal((68, 10.08 + 1.65), (plain.ThickMm, plain.MassKgM2), new Close2());

        BuildUpPlan furred = BuildUp.Of(new BuildUpQuestion([Layer(18, 560, 0.13, 90), Layer(50, 33, 0.035, 100, 0.1)]), Mm).Result;
        double foam = 0.21 + (0.018 / 0.13) + (0.05 / 0.035),
            timber = 0.21 + (0.018 / 0.13) + (0.05 / 0.13);
        double upper = 1 / ((0.9 / foam) + (0.1 / timber)),
            lower = 0.21 + (0.018 / 0.13) + (0.05 / 0.0445);
        Assert.Equal(((upper + lower) / 2, upper, lower), (furred.ResistanceM2KW, furred.UpperM2KW, furred.LowerM2KW), new Close());
        Assert.Equal(10.08 + (0.05 * ((33 * 0.9) + 48)), furred.MassKgM2, 6);
    }

    [Fact] // Three layers by hand, 20 C 60 % against 0 C 80 %: R = 0.17 + 0.1 + 1 + 0.0001 + 0.04; e = 1402 and 489 Pa (Magnus)
    public void Damp_settles_inside_a_skin_that_holds_vapour()
    {
        BuildUpLayer[] wall = [Layer(13, 700, 0.13, 20), Layer(40, 30, 0.04, 1), Layer(1, 7800, 50, 100_000)];
        BuildUpPlan plan = BuildUp.Of(new BuildUpQuestion(wall, 20, 60, 0, 80), Mm).Result;
        double total = 0.17 + 0.1 + 1 + 0.00002 + 0.04;
        DampFace skin = plan.Faces[2];
        Assert.Equal(53, skin.DepthMm);
        Assert.Equal(20 * (1 - ((0.17 + 0.1 + 1) / total)), skin.TemperatureC, 0.001);
        double inside = 0.6 * 611.2 * Math.Exp(17.62 * 20 / 263.12),
            outside = 0.8 * 611.2;
        // Resistance to vapour 260, 40 and 100 000 mm of still air.
        Assert.Equal(inside - ((inside - outside) * 300 / 100_300), skin.VapourPa, 0.5);
        Assert.True(skin.Condenses);
        Assert.StartsWith("54 mm, 18.1 kg/m2, R 1.31 m2 K/W. Damp at 53 mm below its inner face", plan.Verdict, StringComparison.Ordinal);
        // A foil inside keeps it dry.
        BuildUpLayer[] dry = [Layer(0.2, 900, 0.4, 1_000_000), .. wall];
        Assert.DoesNotContain(BuildUp.Of(new BuildUpQuestion(dry, 20, 50, 10, 60), Mm).Result.Faces, f => f.Condenses);
    }

    [Theory]
    [InlineData(1950, 20, true, "1850 mm clear: 20 mm over the tallest.")]
    [InlineData(1940, 10, false, "1840 mm clear: only 10 mm over the tallest; 20 mm is wanted.")]
    [InlineData(1900, -30, false, "1800 mm clear: 30 mm short of the tallest.")]
    public void Head_room_is_what_floor_and_ceiling_leave(double bare, double room, bool enough, string verdict)
    {
        HeadRoomPlan plan = HeadRoom.Of(bare, 70, 30, 1830, Mm).Result;
        Assert.Equal((room, enough, verdict), (plan.RoomMm, plan.IsEnough, plan.Verdict));
    }

    private sealed class Close : IEqualityComparer<(double, double, double)>
    {
        public bool Equals((double, double, double) a, (double, double, double) b) =>
            Math.Abs(a.Item1 - b.Item1) + Math.Abs(a.Item2 - b.Item2) + Math.Abs(a.Item3 - b.Item3) < 1e-9;

        public int GetHashCode((double, double, double) of) => 0;
    }

    private sealed class Close2 : IEqualityComparer<(double, double)>
    {
        public bool Equals((double, double) a, (double, double) b) => Math.Abs(a.Item1 - b.Item1) + Math.Abs(a.Item2 - b.Item2) < 1e-9;

        public int GetHashCode((double, double) of) => 0;
    }
}
