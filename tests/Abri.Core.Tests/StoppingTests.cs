using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Together;
using Abri.Core.Shell;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;

namespace Abri.Core.Tests;

/// <summary>Every search ends when nobody waits for it any more.</summary>
public class StoppingTests
{
    public static TheoryData<string> Searches => [.. Each.Keys];

    /// <summary>Between ribs water stands before the skylight.</summary>
    private static readonly WetRoof Wet = new(
        Roofs.Flat(),
        [.. new double[] { -300, -100, 100, 300 }.Select(t => Roofs.Swage(t) with { FlankMm = 8 })],
        [new Dam("Skylight", PanelBox.Around(new PanelPoint(2100, 0), 800, 700), 30)]
    );

    private static readonly TogetherFitting Vent = new("Vent", Roofs.Vent(), [new Wish(WishKind.CentreLine)]);

    private static readonly Dictionary<string, Action<CancellationToken>> Each = new()
    {
        ["positions"] = stop => RankedPositions.Of(new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent(), RibInTheWay.Keep), [], stop),
        ["joint"] = stop => PlacingTogether.Of(new TogetherSite(Roofs.Flat(), Roofs.Bows(), [Vent, Vent with { Name = "Other" }]), stop),
        ["worst"] = stop => Ponding.Worst(Wet, stop),
        ["park"] = stop => Ponding.Park(Wet, new Attitude(1, 0), stop),
        ["mends"] = stop =>
            PondingMends.Of(
                Wet,
                new Attitude(1, 0),
                [new OtherPlace("Skylight", "Move it.", new PanelBox(1000, 1800, -350, 350))],
                LengthFormat.Millimetres,
                stop
            ),
        ["next test"] = stop =>
            NextWaterTest.Of(new LeakQuestion(["a"], [new LeakSuspect("b", 0.1, [0.5])], []), [new WaterTestCandidate("c", 0, 10, [1])], stop),
        ["hunt"] = stop => LeakHunt.Of(Stained, null, stop),
    };

    private static WetShell Stained =>
        new(
            [
                new WetPanel(
                    "roof",
                    Roofs.Flat() with
                    {
                        ArcRadiusAcrossMm = 7000,
                    },
                    Roofs.Bows(),
                    Keyed.All(
                        "finding",
                        [
                            new Finding(
                                "Stain",
                                FindingKind.Stain,
                                FindingShape.Point,
                                [new PanelPoint(1500, 300)],
                                ViewedFrom.Inside,
                                Severity.Minor,
                                new(null, null, null, null),
                                FindingState.Open,
                                "",
                                DateTimeOffset.UnixEpoch,
                                ""
                            ),
                        ]
                    ),
                    [new CutOpening("Vent", new PanelBox(2000, 2400, -200, 200), true, false)],
                    [],
                    [],
                    [],
                    [],
                    []
                ),
            ],
            new Attitude(0, 0),
            []
        );

    [Theory]
    [MemberData(nameof(Searches))]
    public void A_search_that_nobody_waits_for_ends(string search)
    {
        using var gone = new CancellationTokenSource();
        Each[search](gone.Token);
        gone.Cancel();
        Assert.Throws<OperationCanceledException>(() => Each[search](gone.Token));
    }
}
