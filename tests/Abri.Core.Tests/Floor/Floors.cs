using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Tests.Floor;

/// <summary>Floors for tests.</summary>
internal static class Floors
{
    public static DateTimeOffset Day { get; } = new(2026, 6, 1, 9, 0, 0, TimeSpan.Zero);

    public static Member Bearer(string name, PanelPoint from, PanelPoint to, double wide = 60, double high = 60) =>
        new(name, MemberKind.Bearer, MemberRole.Structural, new Footprint(FootprintShape.Spine, [from, to], wide), high, 0, MemberMaterial.Timber);

    public static Probe Bad(double s, double t) => new(ProbeOf.Board, new PanelPoint(s, t), WoodState.Soft, null, Day, "");

    public static Probe Sound(double s, double t, double? moisture = null) =>
        new(ProbeOf.Board, new PanelPoint(s, t), WoodState.Sound, moisture, Day, "");

    /// <summary>A floor 4300 x 1660 with bearers across, every 650, and one board all over.</summary>
    public static FloorSite Van(IEnumerable<Probe> probes, double wide = 60, Grain grain = Grain.Lengthways) =>
        new(
            new Panel(PanelKind.Floor, new PanelBox(0, 4300, -830, 830).Corners, 1, SkinMaterial.MildSteel),
            [
                .. new double[] { 350, 1000, 1650, 2300, 2950, 3600, 4200 }.Select(
                    (s, i) => Bearer($"Bearer {i + 1}", new(s, -830), new(s, 830), wide)
                ),
            ],
            [new Board("Old floor", new PanelBox(0, 4300, -830, 830).Corners, BoardMaterial.SoftwoodPly, 18, grain, "")],
            [.. probes]
        );

    public static Replacement Area(double s0, double s1, double t0, double t1, double thick = 18) =>
        new(
            "Soft board",
            new PanelBox(s0, s1, t0, t1).Corners,
            150,
            NewSheet.Usual(BoardMaterial.SoftwoodPly, thick),
            ReplacementState.Planned,
            null,
            [],
            ""
        );

    public static ReplacementPlan Plan(FloorSite site, Replacement replacement)
    {
        Result<Worked<ReplacementPlan>> result = FloorReplacement.Of(site, replacement);
        Assert.Null(result.Problem);
        return result.Value!.Result;
    }
}
