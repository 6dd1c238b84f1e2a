using Abri.Core.Geometry;
using Abri.Core.Metal;
using CsCheck;

namespace Abri.Core.Tests.Metal;

/// <summary>Bends and rivets.</summary>
public class SheetTests
{
    private static BendPlan Bent(double t, double r, double degrees, BendMetal metal = BendMetal.MildSteel) =>
        Bend.Of(metal, t, r, degrees, LengthFormat.Millimetres).Result;

    [Theory] // Machinery's Handbook form, from memory: 0.64 T + 1.57 R; 0.55 and 0.71 for soft copper and hard sheet
    [InlineData(1.0, 1.0, 90, BendMetal.MildSteel, 2.21)]
    [InlineData(1.5, 2.0, 90, BendMetal.MildSteel, 4.10)]
    [InlineData(1.0, 1.0, 45, BendMetal.MildSteel, 1.105)]
    [InlineData(1.0, 1.0, 90, BendMetal.SoftCopper, 2.12)]
    [InlineData(1.0, 1.0, 90, BendMetal.HardSteel, 2.28)]
    public void The_allowance_is_that_of_the_handbook(double t, double r, double degrees, BendMetal metal, double mm) =>
        Assert.Equal(mm, Bent(t, r, degrees, metal).AllowanceMm, 6);

    [Fact] // Drawn out: two flanges whose outer faces meet at a corner, with an arc of the neutral line between them, measured as a polyline
    public void A_blank_shortened_by_the_deduction_folds_to_its_outer_lengths() =>
        (from t in Gen.Double[0.5, 3] from r in Gen.Double[0.5, 6] from degrees in Gen.Double[5, 165] select (t, r, degrees)).Holds(x =>
        {
            BendPlan bend = Bent(x.t, x.r, x.degrees);
            const double first = 40,
                second = 25;
            double angle = x.degrees * Math.PI / 180,
                neutral = x.r + (bend.KFactor * x.t);
            (double, double)[] arc =
            [
                .. Enumerable.Range(0, 2001).Select(i => (neutral * Math.Cos(angle * i / 2000), neutral * Math.Sin(angle * i / 2000))),
            ];
            double along = arc.Zip(arc.Skip(1), (a, b) => Math.Sqrt(Math.Pow(a.Item1 - b.Item1, 2) + Math.Pow(a.Item2 - b.Item2, 2))).Sum();
            // The outer arc touches both faces one setback away from the corner in which they would meet.
            double outer = (x.r + x.t) * Math.Tan(angle / 2);
            double flat = (first - outer) + along + (second - outer);
            // 1.57 stands for half of pi: a part in 2500.
            Assert.Equal(flat, first + second - bend.DeductionMm, x.r * 0.0008 * x.degrees / 90 + 1e-4);
        });

    [Fact]
    public void A_radius_smaller_than_the_sheet_is_warned_of()
    {
        Assert.Single(Bend.Of(BendMetal.MildSteel, 1.5, 1.4, 90, LengthFormat.Millimetres).Warnings);
        Assert.Empty(Bend.Of(BendMetal.MildSteel, 1.5, 1.5, 90, LengthFormat.Millimetres).Warnings);
        Assert.Empty(Bend.Of(BendMetal.MildSteel, 1.5, 7.5, 90, LengthFormat.Millimetres).Warnings);
        Assert.Single(Bend.Of(BendMetal.MildSteel, 1.5, 7.6, 90, LengthFormat.Millimetres).Warnings);
    }

    [Fact]
    public void A_flange_needs_four_thicknesses_and_the_radius() => Assert.Equal(6, Bent(1, 2, 90).LeastFlangeMm, 9);

    private static RivetRow Row(double w, double h, RivetDuty duty = RivetDuty.Seal, double sheet = 1, double sealant = 1) =>
        new(new RoundedRectangle(w, h, 10), null, [sheet, sheet], sealant, duty);

    private static RivetPlan Riveted(RivetRow row) => Rivets.Of(row, LengthFormat.Millimetres).Value!.Result;

    [Fact] // By hand: 200 x 120, row 6.4 from the edge: 187.2 in 8 parts of 23.4, 107.2 in 5 of 21.44; 26 rivets, 29 to buy
    public void A_patch_has_a_rivet_in_each_corner_and_equal_distances_between()
    {
        RivetPlan plan = Riveted(Row(200, 120));
        Assert.Equal((3.2, 3.3, 8), (plan.DiameterMm, plan.HoleMm, plan.BodyMm!.Value));
        Assert.Equal((6.4, 23.4), (plan.EdgeMm, Math.Round(plan.PitchMm, 6)));
        Assert.Equal((26, 29), (plan.Count, plan.Buy));
        Assert.Equal(new PanelPoint(-93.6, -53.6), plan.Places[0]);
    }

    [Theory]
    [InlineData(0.8, 3.2)]
    [InlineData(1.15, 3.2)]
    [InlineData(1.25, 4.0)]
    [InlineData(1.5, 4.8)]
    [InlineData(2.0, 6.4)]
    public void The_diameter_is_about_three_times_the_thickest_sheet(double sheet, double diameter) =>
        Assert.Equal(diameter, Riveted(Row(300, 300, sheet: sheet)).DiameterMm);

    [Theory] // Grip and 1.1 d: 2 + 3.52 = 5.52, 3 + 3.52 = 6.52, 7 + 3.52 = 10.52
    [InlineData(0, 6.0)]
    [InlineData(1, 8.0)]
    [InlineData(5, 12.0)]
    public void The_body_reaches_through_the_grip(double sealant, double body) => Assert.Equal(body, Riveted(Row(300, 300, sealant: sealant)).BodyMm);

    [Fact] // Each distance measured between neighbours; and with one rivet less on a side the greatest distance would be passed
    public void No_distance_is_greater_than_it_may_be_none_tears_the_sheet_and_none_is_too_many() =>
        (
            from w in Gen.Double[60, 1500]
            from h in Gen.Double[60, 900]
            from duty in Gen.Int[0, 2]
            from sheet in Gen.Double[0.6, 2]
            select Row(w, h, (RivetDuty)duty, sheet)
        ).Holds(row =>
        {
            RivetPlan plan = Riveted(row);
            double most = row.Duty == RivetDuty.Seal ? 25 : 40;
            PanelPoint[] round = [.. plan.Places, plan.Places[0]];
            double[] apart = [.. round.Zip(round.Skip(1), (a, b) => a.DistanceMm(b))];
            Assert.All(apart, mm => Assert.True(mm >= (3 * plan.DiameterMm) - 1e-6));
            foreach (
                (double side, int n) in new[]
                {
                    (row.PatchMm.WidthMm - (2 * plan.EdgeMm), Count(plan, p => p.TMm)),
                    (row.PatchMm.HeightMm - (2 * plan.EdgeMm), Count(plan, p => p.SMm)),
                }
            )
            {
                Assert.True(side / n <= most + 1e-6 || side / (n + 1) < 3 * plan.DiameterMm, $"{side} in {n}");
                Assert.True(n == 1 || side / (n - 1) > most - 1e-6, $"{side} in {n} is one too many");
            }
            Assert.All(plan.Places, p =>
                Assert.True(
                    Math.Min((row.PatchMm.WidthMm / 2) - Math.Abs(p.SMm), (row.PatchMm.HeightMm / 2) - Math.Abs(p.TMm))
                        >= (2 * plan.DiameterMm) - 1e-6
                )
            );
            Assert.Equal(plan.Places.Count, plan.Places.Distinct().Count());
        });

    /// <summary>Distances on the side where a coordinate is least.</summary>
    private static int Count(RivetPlan plan, Func<PanelPoint, double> coordinate) =>
        plan.Places.Count(p => Math.Abs(coordinate(p) - plan.Places.Min(coordinate)) < 1e-6) - 1;

    [Theory]
    [InlineData(300, 300, 2.7, null, "sheet-too-thick")]
    [InlineData(300, 300, 1.0, 6.3, "edge-too-small")]
    [InlineData(21, 300, 1.0, null, "patch-too-small")]
    public void What_does_not_hold_is_said(double w, double h, double sheet, double? edge, string code) =>
        Assert.Equal(code, Rivets.Of(Row(w, h, sheet: sheet) with { EdgeMm = edge }, LengthFormat.Millimetres).Problem!.Code);

    [Theory] // By hand: corner of radius r, row 6.4 in: r - sqrt 2 (r - 6.4) left, so 6.4 again at r = 6.4 and less above it
    [InlineData(6.4, 0)]
    [InlineData(6.5, 1)]
    [InlineData(30, 1)]
    public void Corner_rivets_too_near_to_a_round_corner_are_told(double radius, int warnings) =>
        Assert.Equal(
            warnings,
            Rivets.Of(Row(300, 200) with { PatchMm = new RoundedRectangle(300, 200, radius) }, LengthFormat.Millimetres).Value!.Warnings.Count
        );

    [Fact]
    public void A_bend_is_said_in_a_sentence_and_names_its_sources()
    {
        Worked<BendPlan> sharp = Bend.Of(BendMetal.MildSteel, 1, 1, 90, LengthFormat.Millimetres);
        Assert.Equal(
            "Cut the blank 1.8 mm shorter than the two outer lengths together. The flange is at least 5 mm by plates, 10 mm by hand pliers.",
            sharp.Result.Verdict
        );
        Assert.Equal([SourceKind.FromMemory, SourceKind.CommonPractice], sharp.Sources.Select(s => s.Kind));
    }

    [Fact]
    public void The_thickest_of_unlike_sheets_decides_and_three_are_gripped_together()
    {
        RivetPlan plan = Riveted(Row(300, 300) with { SheetsMm = [0.8, 1.5, 0.8], SealantMm = 0.5 });
        Assert.Equal((4.8, 4.9, 3.6, 10), (plan.DiameterMm, plan.HoleMm, Math.Round(plan.GripMm, 9), plan.BodyMm!.Value));
    }

    [Fact] // Four sheets of 2.6 and 5 of sealant: 15.4 and 1.1 x 6.4 are 22.4; 30 is the longest there is
    public void A_grip_that_no_body_reaches_through_is_told()
    {
        Assert.Equal(25, Riveted(Row(300, 300) with { SheetsMm = [2.6, 2.6, 2.6, 2.6], SealantMm = 5 }).BodyMm);
        RivetPlan none = Riveted(Row(300, 300) with { SheetsMm = [2.6, 2.6, 2.6, 2.6], SealantMm = 13 });
        Assert.Null(none.BodyMm);
        Assert.Contains("none of which is long enough", none.Verdict);
    }

    [Fact]
    public void A_row_is_said_in_a_sentence_with_its_steps_and_sources()
    {
        Worked<RivetPlan> row = Rivets.Of(Row(200, 120), LengthFormat.Millimetres).Value!;
        Assert.Equal(
            "26 rivets of 3.2 mm x 8 mm, holes 3.3 mm, 6.4 mm from the edge, 23.4 mm apart along and 21.4 mm across. Buy 29.",
            row.Result.Verdict
        );
        Assert.Equal(["t", "d", "g", "b", "e", "n_s", "n_t", "N"], row.Steps.Select(s => s.Symbol));
        Assert.Equal([SourceKind.CommonPractice, SourceKind.FromMemory], row.Sources.Select(s => s.Kind));
    }

    [Theory] // The thickest sheet that is riveted: (6.4 + 1.6) / 3 = 2.667 mm
    [InlineData(2.66, null)]
    [InlineData(2.67, "Blind rivets hold sheet up to about 2.7 mm: use bolts with washers, or have it welded.")]
    public void Sheet_too_thick_for_blind_rivets_says_up_to_what_they_hold(double sheet, string? message) =>
        Assert.Equal(message, Rivets.Of(Row(300, 300, sheet: sheet), LengthFormat.Millimetres).Problem?.Message);

    [Theory] // By hand: rows 2 x 6.4 in from the edges; 9.6 mm apart at the least, so 22.4 mm of patch
    [InlineData(22.4, 1)]
    [InlineData(22.3, null)]
    public void A_patch_is_as_small_as_its_rivets_allow(double size, int? along)
    {
        Result<Worked<RivetPlan>> row = Rivets.Of(Row(300, size) with { PatchMm = new RoundedRectangle(300, size, 0) }, LengthFormat.Millimetres);
        Assert.Equal(along, row.Value is { } plan ? Count(plan.Result, p => p.SMm) : null);
        if (along is null)
            Assert.StartsWith("Rows nearer than 9.6 mm", row.Problem!.Message);
    }

    [Fact]
    public void An_edge_distance_of_just_two_diameters_is_taken() => Assert.Equal(6.4, Riveted(Row(300, 300) with { EdgeMm = 6.4 }).EdgeMm);
}
