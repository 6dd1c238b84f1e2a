using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Work;
using CsCheck;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Union;

namespace Abri.Core.Tests.Metal;

public class RustTests
{
    private static readonly RustSpot Light = new(RustGrade.Begun, false, 1, 0.95, 0.4, 0, false, false, true, false, []);

    private static RustAdvice Advice(RustSpot spot, RustLimits? limits = null) =>
        RustRules.Of(spot, limits ?? new RustLimits(), LengthFormat.Millimetres).Result;

    [Theory] // ISO 4628-3, from memory: 0, 0.05, 0.5, 1, 8, 40 to 50 %
    [InlineData(0, 0)]
    [InlineData(0.01, 1)]
    [InlineData(0.05, 1)]
    [InlineData(0.051, 2)]
    [InlineData(0.5, 2)]
    [InlineData(0.51, 3)]
    [InlineData(1, 3)]
    [InlineData(1.1, 4)]
    [InlineData(8, 4)]
    [InlineData(8.1, 5)]
    [InlineData(45, 5)]
    [InlineData(100, 5)]
    public void A_share_has_the_degree_of_the_first_picture_that_shows_as_much(double percent, int ri) => Assert.Equal(ri, RustDegree.Of(percent).Ri);

    [Fact] // Measured twice from outside: as a union of polygons by NetTopologySuite, and by counting points of a grid
    public void A_reference_field_is_covered_by_exactly_its_share()
    {
        Assert.Equal([0.05, 0.5, 1, 8, 40], ReferenceField.All.Select(f => f.Percent));
        foreach (ReferenceField field in ReferenceField.All)
        {
            Polygon[] discs = [.. field.Spots.Select(s => (Polygon)new Point(s.X, s.Y).Buffer(s.Radius, 64))];
            NetTopologySuite.Geometries.Geometry union = UnaryUnionOp.Union(discs);
            // A disc of 256 corners covers 0.99990 of the round one.
            Assert.Equal(field.Percent / 100, union.Area / 0.99990, field.Percent * 1e-6);
            Assert.True(new Envelope(0, 1, 0, 1).Contains(union.EnvelopeInternal), $"{field.Percent} % reaches over its edge.");
            const int n = 1500;
            int inside = 0;
            foreach (FieldSpot s in field.Spots)
            {
                for (int i = (int)((s.X - s.Radius) * n); i <= (s.X + s.Radius) * n; i++)
                for (int j = (int)((s.Y - s.Radius) * n); j <= (s.Y + s.Radius) * n; j++)
                    inside += Math.Pow(((i + 0.5) / n) - s.X, 2) + Math.Pow(((j + 0.5) / n) - s.Y, 2) <= s.Radius * s.Radius ? 1 : 0;
            }
            Assert.InRange(100.0 * inside / n / n, field.Percent * 0.97, field.Percent * 1.03);
        }
    }

    [Theory]
    [InlineData(0)]
    [InlineData(-1)]
    [InlineData(45.01)]
    [InlineData(double.NaN)]
    public void A_field_that_cannot_be_covered_is_a_programmers_mistake(double percent) =>
        Assert.Throws<ArgumentOutOfRangeException>(() => ReferenceField.Of(percent));

    [Theory] // By the lines of the rules: 10 and 30 % of a sheet of 1 mm
    [InlineData(0.91, false, RustMethod.Treat)]
    [InlineData(0.90, false, RustMethod.TreatAndWatch)]
    [InlineData(0.90, true, RustMethod.Plate)]
    [InlineData(0.70, false, RustMethod.TreatAndWatch)]
    [InlineData(0.70, true, RustMethod.Plate)]
    [InlineData(0.69, false, RustMethod.CutOutAndPatch)]
    [InlineData(0.69, true, RustMethod.CutOutAndPatch)]
    public void The_loss_of_sheet_decides(double leftMm, bool carries, RustMethod method)
    {
        RustAdvice advice = Advice(Light with { LeftMm = leftMm, Carries = carries });
        Assert.Equal(method, advice.Method);
        Assert.Equal(100 * (1 - leftMm), advice.LossPercent!.Value, 9);
    }

    [Theory]
    [InlineData(10, false, true, 0.8, RustMethod.Putty)]
    [InlineData(10.1, false, true, 0.8, RustMethod.CutOutAndPatch)]
    [InlineData(4, true, true, 0.8, RustMethod.CutOutAndPatch)]
    [InlineData(4, false, false, 0.8, RustMethod.CutOutAndPatch)]
    [InlineData(4, false, true, 0.69, RustMethod.CutOutAndPatch)]
    [InlineData(4, false, true, null, RustMethod.MeasureFirst)]
    [InlineData(40, false, true, null, RustMethod.CutOutAndPatch)]
    public void A_hole_is_patched_and_only_a_small_one_in_sound_sheet_that_carries_nothing_is_filled(
        double holeMm,
        bool carries,
        bool bothSides,
        double? rimMm,
        RustMethod method
    )
    {
        RustAdvice advice = Advice(Light with { HoleMm = holeMm, Carries = carries, BothSides = bothSides, LeftMm = rimMm });
        Assert.Equal(method, advice.Method);
        Assert.Equal(100, advice.LossPercent);
    }

    [Theory]
    [InlineData(RustGrade.Begun, false, RustMethod.Treat)]
    [InlineData(RustGrade.FewPits, false, RustMethod.MeasureFirst)]
    [InlineData(RustGrade.ManyPits, false, RustMethod.MeasureFirst)]
    [InlineData(RustGrade.HardlyAny, true, RustMethod.MeasureFirst)]
    public void Where_pits_or_flakes_say_that_sheet_is_gone_it_is_measured_before_anything_is_decided(
        RustGrade grade,
        bool flakes,
        RustMethod method
    ) => Assert.Equal(method, Advice(Light with { Grade = grade, Flakes = flakes, LeftMm = null }).Method);

    [Fact]
    public void A_pocket_is_looked_at_again_in_three_months_whatever_was_done()
    {
        RustAdvice advice = Advice(Light with { Pocket = true });
        Assert.Equal((RustMethod.TreatAndWatch, 3), (advice.Method, advice.LookAgainMonths!.Value));
        Assert.Contains("Stuff nothing into it", advice.Rows.Single(r => r.Id == "pocket").Remedy);
        Assert.Null(Advice(Light).LookAgainMonths);
    }

    private static readonly Gen<RustSpot> Spots =
        from grade in Gen.Int[0, 3]
        from flags in Gen.Bool.Array[5]
        from sheet in Gen.Double[0.6, 3]
        from left in Gen.Double[0, 1]
        from known in Gen.Bool
        from area in Gen.Double[0, 100]
        from hole in Gen.Double[-20, 30]
        from near in Gen.Int[0, 7].Array[0, 3]
        select new RustSpot(
            (RustGrade)grade,
            flags[0],
            sheet,
            known ? left * sheet : null,
            area,
            Math.Max(0, hole),
            flags[1],
            flags[2],
            flags[3],
            flags[4],
            [.. near.Distinct().Select(n => (Nearby)n)]
        );

    [Fact]
    public void On_structure_and_near_what_holds_people_or_wheels_nothing_but_protection_is_ever_planned() =>
        Spots.Holds(spot =>
        {
            bool licensed = spot.Structure || spot.Near.Any(n => n <= Nearby.Chassis);
            RustAdvice advice = Advice(spot);
            Assert.Equal(licensed, advice.Method == RustMethod.ProtectOnly);
            Assert.Equal(licensed, advice.Rows.Any(r => r.Id == "structure" && r.State == JudgementState.Blocked));
        });

    [Fact]
    public void Less_sheet_or_a_wider_hole_never_leads_to_a_milder_method() =>
        Spots
            .Where(s => s.LeftMm is not null)
            .Holds(spot =>
            {
                RustMethod now = Advice(spot).Method;
                Assert.True(Advice(spot with { LeftMm = spot.LeftMm * 0.8 }).Method >= now);
                Assert.True(Advice(spot with { HoleMm = spot.HoleMm + 3 }).Method >= now);
            });

    [Fact]
    public void Each_rule_that_asks_for_something_says_what_would_mend_it_and_the_worst_stands_first() =>
        Spots.Holds(spot =>
        {
            RustAdvice advice = Advice(spot);
            Assert.All(advice.Rows, r => Assert.Equal(r.State != JudgementState.Good, r.Remedy is not null));
            Assert.Equal(advice.Rows.Max(r => r.State), advice.Rows[0].State);
            Assert.Equal(advice.Rows.Count, advice.Rows.Select(r => r.Id).Distinct().Count());
        });

    [Fact]
    public void What_lies_near_is_warned_of()
    {
        IReadOnlyList<Caution> cautions = Advice(Light with { Near = [Nearby.Fuel, Nearby.BrakeLine, Nearby.Glass, Nearby.Wiring] }).Cautions;
        Assert.Equal(["rust-dust", "fuel-near", "brake-line-near", "sparks-on-glass", "wiring-behind"], cautions.Select(c => c.Id));
    }

    [Fact]
    public void The_lines_can_be_moved_and_must_not_cross()
    {
        RustSpot spot = Light with { LeftMm = 0.8 };
        Assert.Equal(RustMethod.Treat, Advice(spot, new RustLimits(25)).Method);
        Assert.Equal(RustMethod.CutOutAndPatch, Advice(spot, new RustLimits(10, 15)).Method);
        Assert.Equal("/cutAbovePercent", DeclaredRanges.Of(new RustLimits(30, 30))!.Pointer);
        Assert.Equal("/leftMm", DeclaredRanges.Of(spot with { LeftMm = 1.1 })!.Pointer);
        Assert.Equal("/holeMm", DeclaredRanges.Of(spot with { LeftMm = 0 })!.Pointer);
        Assert.Null(DeclaredRanges.Of(spot));
    }

    private static Judgement Row(RustSpot spot, string id) => Advice(spot).Rows.Single(r => r.Id == id);

    [Theory]
    [InlineData(4, false, true, JudgementState.NeedsWork, "Kneaded reinforced putty from both faces closes it", "putty from both faces, prime")]
    [InlineData(11, false, true, JudgementState.Blocked, "falls out, and water stands behind it", "Cut it out")]
    [InlineData(4, true, true, JudgementState.Blocked, "Putty carries nothing", "Cut it out")]
    [InlineData(4, false, false, JudgementState.Blocked, "from both faces only", "Cut it out")]
    public void A_hole_says_why_it_is_filled_or_not(double holeMm, bool carries, bool bothSides, JudgementState state, string why, string remedy)
    {
        Judgement row = Row(Light with { HoleMm = holeMm, Carries = carries, BothSides = bothSides }, "through");
        Assert.Equal((state, holeMm, 10), (row.State, row.Measured!.Value, row.Required!.Value));
        Assert.Contains(why, row.Why);
        Assert.Contains(remedy, row.Remedy);
    }

    [Theory]
    [InlineData(0.8, false, "It holds, with less to spare", "look at it again", 10)]
    [InlineData(0.8, true, "less sheet than it was made of", "a plate over it takes the load", 10)]
    [InlineData(0.5, true, "too thin to hold a coat", "put in a patch", 30)]
    public void A_loss_says_what_it_means_and_which_line_it_passed(double leftMm, bool carries, string why, string remedy, double line)
    {
        Judgement row = Row(Light with { LeftMm = leftMm, Carries = carries }, "loss");
        Assert.Equal((line, Unit.Percent), (row.Required!.Value, row.Unit));
        Assert.Contains(why, row.Why);
        Assert.Contains(remedy, row.Remedy);
    }

    [Theory]
    [InlineData(RustGrade.HardlyAny, 0.5, Preparation.St2)]
    [InlineData(RustGrade.HardlyAny, 0.6, Preparation.St3)]
    [InlineData(RustGrade.Begun, 0.5, Preparation.St3)]
    public void Only_the_lightest_rust_is_taken_off_by_hand(RustGrade grade, double percent, Preparation preparation) =>
        Assert.Equal(preparation, Advice(Light with { Grade = grade, AreaPercent = percent }).Preparation);

    [Theory]
    [InlineData(0.95, false, false, null)]
    [InlineData(0.8, false, false, 6)]
    [InlineData(0.8, true, false, 6)]
    [InlineData(0.5, false, false, null)]
    [InlineData(0.95, false, true, 6)]
    public void What_was_left_in_place_is_looked_at_again(double leftMm, bool carries, bool structure, int? months) =>
        Assert.Equal(months, Advice(Light with { LeftMm = leftMm, Carries = carries, Structure = structure }).LookAgainMonths);

    [Fact]
    public void What_is_for_a_workshop_says_because_of_what()
    {
        Assert.Equal("Clean and protect only: it holds the body together.", Advice(Light with { Structure = true }).Summary);
        Assert.Equal(
            "Clean and protect only: an anchorage of a belt or a seat, a mount of the steering within 300 mm.",
            Advice(Light with { Near = [Nearby.BeltOrSeat, Nearby.Glass, Nearby.Steering] }).Summary
        );
        Assert.Equal("Clean and protect only: the chassis within 300 mm.", Advice(Light with { Near = [Nearby.Chassis] }).Summary);
        Assert.Contains("mount of the suspension", Advice(Light with { Near = [Nearby.Suspension] }).Summary);
    }

    [Fact]
    public void Pits_and_flakes_are_told_apart_and_measured_flakes_are_treated()
    {
        RustSpot unmeasured = Light with { LeftMm = null };
        Assert.Equal("Pits all over, not measured", Row(unmeasured with { Grade = RustGrade.ManyPits }, "pits").Title);
        Assert.Equal("Pits, not measured", Row(unmeasured with { Grade = RustGrade.FewPits }, "pits").Title);
        Assert.Equal("Rust grade D", Row(Light with { Grade = RustGrade.ManyPits }, "grade").Title);
        Assert.Equal(RustMethod.TreatAndWatch, Advice(Light with { Flakes = true }).Method);
        Assert.Contains("every flake off", Row(Light with { Flakes = true }, "flakes").Remedy);
    }

    [Fact]
    public void Cutting_out_warns_of_current_fuel_and_blades_and_every_rule_names_its_source()
    {
        Worked<RustAdvice> cut = RustRules.Of(Light with { LeftMm = 0.5 }, new RustLimits(), LengthFormat.Millimetres);
        Assert.Equal(["rust-dust", "current-and-fuel", "cutting-metal"], cut.Result.Cautions.Select(c => c.Id));
        Assert.Equal(["rust-dust"], Advice(Light).Cautions.Select(c => c.Id));
        Assert.Equal(
            [SourceKind.FromMemory, SourceKind.Assumption, SourceKind.CommonPractice, SourceKind.FromMemory],
            cut.Sources.Select(s => s.Kind)
        );
    }

    [Fact]
    public void As_much_sheet_as_there_was_may_be_left() => Assert.Null(DeclaredRanges.Of(Light with { LeftMm = Light.SheetMm }));
}
