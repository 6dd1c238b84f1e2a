using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Water;
using Abri.Core.Work;

namespace Abri.Core.Tests.Water;

public class SealAndWaysOutTests
{
    private static readonly DateTimeOffset Now = new(2026, 5, 1, 0, 0, 0, TimeSpan.Zero);

    // Worked by hand: (12 - 9) / 12 = 25 %, (12 - 11) / 12 = 8.33 %; 15 % is passed after (25 - 15) / (25 - 8.33) = 0.6 of 500 mm, so 200 mm are too
    // loose
    [Fact]
    public void A_seal_is_too_loose_over_the_length_between_readings_that_lies_below_the_least()
    {
        SealOutlook seal = SealCheck.Of([new(new(0, 0), 9, 12), new(new(0, 500), 11, 12)], LengthFormat.Millimetres).Value!.Result;
        Assert.Equal([25, 8.33], seal.Places.Select(p => Math.Round(p.SqueezePercent, 2)));
        Assert.Equal(200, seal.OpenMm, 6);
        // 15 % of 12 is 1.8: the gap may be 10.2, it is 11.
        Assert.Contains("Bring the door in by 0.8 mm", seal.Verdict);
    }

    [Theory]
    [InlineData(12.5, "does not touch")]
    [InlineData(5, "take a set")]
    [InlineData(8, "closes all along")]
    public void A_gap_says_what_to_do(double gapMm, string words) =>
        Assert.Contains(
            words,
            SealCheck.Of([new(new(0, 0), gapMm, 12), new(new(0, 500), gapMm, 12)], LengthFormat.Millimetres).Value!.Result.Verdict
        );

    [Theory]
    [InlineData(-1, 12, "/readings/1/gapMm")]
    [InlineData(3, 0, "/readings/1/sealMm")]
    [InlineData(3, double.NaN, "/readings/1/sealMm")]
    public void Readings_that_cannot_be_are_refused(double gapMm, double sealMm, string field) =>
        Assert.Equal(field, SealCheck.Of([new(new(0, 0), 3, 12), new(new(0, 500), gapMm, sealMm)], LengthFormat.Millimetres).Problem!.Pointer);

    [Theory]
    [InlineData("sealed-at-bottom", CoveringKind.Cladding, 200, true)]
    [InlineData("channel-filled", CoveringKind.Insulation, 20, false)]
    [InlineData("channel-filled", CoveringKind.Foam, 20, false)]
    [InlineData("membrane-holds-water", CoveringKind.Membrane, 200, true)]
    [InlineData("drain-sealed", CoveringKind.Sealant, 20, false)]
    [InlineData("foam-in-drained-cavity", CoveringKind.Foam, 20, false)]
    [InlineData("drain-covered", CoveringKind.Insulation, 20, false)]
    public void What_keeps_water_in_is_judged_with_a_remedy(string rule, CoveringKind kind, double footMm, bool sealedAtBottom)
    {
        Judgement row = Assert.Single(Side([Over(kind, footMm, sealedAtBottom)], drains: [new("Drain 1", new(1000, 30), Now, "")]), r =>
            r.Id == rule
        );
        Assert.NotEqual(JudgementState.Good, row.State);
        Assert.NotNull(row.Remedy);
    }

    [Fact]
    public void What_lets_water_out_is_left_alone() =>
        Assert.Empty(
            Side(
                [Over(CoveringKind.Insulation, 100, false), Over(CoveringKind.Cladding, 20, false), Over(CoveringKind.Lining, 20, false)],
                drains: [new("Drain 1", new(3900, 30), Now, "")]
            )
        );

    [Fact]
    public void A_lining_waits_for_rust_behind_it_and_for_the_outside_anywhere()
    {
        IEnumerable<string> rules = Side([Over(CoveringKind.Lining, 100, false)], [Found(FindingKind.Scale, 1200), Found(FindingKind.OpenSeam, 3800)])
            .Select(r => r.Id);
        Assert.Equal(["lined-before-rust", "lined-before-sealed"], rules);
        Assert.Empty(Side([Over(CoveringKind.Lining, 100, false)], [Found(FindingKind.Scale, 3800)]));
    }

    [Fact]
    public void A_patch_is_lapped_with_the_flow_and_goes_under_the_gutter()
    {
        Covering patch = Over(CoveringKind.Patch, 500, false) with { Lap = Lap.LowerOverUpper };
        var gutter = new Member(
            "Gutter",
            MemberKind.RainGutter,
            MemberRole.KeepOut,
            new Footprint(FootprintShape.Spine, [new(0, 800), new(4000, 800)], 30),
            0
        );
        Assert.Equal(["lapped-against-flow", "patch-on-gutter"], Side([patch], members: [gutter]).Select(r => r.Id));
        Assert.Equal(["lap-unknown"], Side([patch with { Lap = Lap.Unknown }]).Select(r => r.Id));
        Assert.Empty(Side([patch with { Lap = Lap.UpperOverLower }]));
    }

    [Fact]
    public void A_drain_is_due_after_half_a_year_and_at_once_where_nobody_knows()
    {
        Assert.Equal(["drain-never-cleared"], Side([], drains: [new("Drain 1", new(1000, 30), null, "")]).Select(r => r.Id));
        Assert.Equal(["drain-due"], Side([], drains: [new("Drain 1", new(1000, 30), Now.AddMonths(-6).AddSeconds(-1), "")]).Select(r => r.Id));
        Assert.Empty(Side([], drains: [new("Drain 1", new(1000, 30), Now.AddMonths(-6), "")]));
    }

    private static Covering Over(CoveringKind kind, double footMm, bool sealedAtBottom) =>
        new("It", kind, new PanelBox(500, 2500, footMm, 1200), sealedAtBottom, Lap.Unknown, false, "");

    private static Finding Found(FindingKind kind, double sMm) =>
        new(
            kind.ToString(),
            kind,
            FindingShape.Point,
            [new(sMm, 600)],
            ViewedFrom.Inside,
            Severity.Moderate,
            new(null, null, null, null),
            FindingState.Open,
            "",
            Now,
            ""
        );

    private static Judgement[] Side(Covering[] layers, Finding[]? findings = null, Drain[]? drains = null, Member[]? members = null) =>
        [
            .. WaysOut
                .Of(
                    [
                        new DrainedPanel(
                            "left",
                            new Panel(PanelKind.Left, new PanelBox(0, 4000, 0, 1900).Corners, 0.8, SkinMaterial.MildSteel),
                            members ?? [],
                            findings ?? [],
                            drains ?? [],
                            layers
                        ),
                    ],
                    Now,
                    LengthFormat.Millimetres
                )
                .Select(w => w.Row),
        ];
}
