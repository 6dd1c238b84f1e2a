using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Tests.Shell;
using CsCheck;

namespace Abri.Core.Tests.Openings;

public class RankedPositionsTests
{
    private static readonly Zone Bench = new("Glaze bench", ZoneKind.Bench, 1200, 1700, 300, 800, 0, 900);
    private static readonly Wish[] Wishes = [new(WishKind.BayCentre), new(WishKind.CentreLine, 0.5), new(WishKind.OverZone, 1, "Glaze bench")];

    [Fact]
    public void The_best_place_over_the_bench_is_in_the_bay_above_it()
    {
        RankedPosition best = Find(new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent(), Zones: [Bench]), Wishes).Positions[0];
        Assert.Equal("C", best.Bay);
        Assert.Equal(1, best.Rank);
        Assert.Contains("Glaze bench", best.Reason);
        Assert.NotNull(best.GivesUp);
    }

    [Fact]
    public void Proposals_lie_apart_in_order_of_cost_and_are_all_feasible()
    {
        PositionsFound found = Find(new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent(), Zones: [Bench]), Wishes);
        Assert.Equal(RankedPositions.Most, found.Positions.Count);
        Assert.Equal(found.Positions.OrderBy(p => p.Cost), found.Positions);
        foreach (RankedPosition p in found.Positions)
        {
            Assert.Contains(found.Region, r => r.Holds(p.Centre));
            Assert.All(found.Positions.Where(q => q != p), q => Assert.True(q.Centre.DistanceMm(p.Centre) > (400 * RankedPositions.Apart) - 1e-9));
        }
    }

    [Fact]
    public void The_same_question_gets_the_same_answer()
    {
        var site = new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent(), Zones: [Bench]);
        Assert.Equal(Find(site, Wishes).Positions, Find(site, Wishes).Positions);
    }

    [Fact] // Brute force over a grid of 10 mm
    public void No_place_on_a_fine_grid_is_better_where_members_lie_square() =>
        Gen.Select(Gen.Int[300, 700], Gen.Int[-6, 6], Gen.Int[10, 90], Gen.Double[0.1, 2].Array[4])
            .Holds(
                (first, swage, width, w) =>
                {
                    Member[] members =
                    [
                        .. Roofs.Bows(3, first),
                        Roofs.Swage(swage * 100, width, lengthMm: 2400),
                        Roofs.Swage((swage * 100) + 170, width, lengthMm: 2400),
                    ];
                    var site = new Site(Roofs.Flat(2400), members, Roofs.Vent(), Zones: [Bench]);
                    Wish[] wishes =
                    [
                        new(WishKind.BayCentre, w[0]),
                        new(WishKind.CentreLine, w[1]),
                        new(WishKind.OverZone, w[2], "Glaze bench"),
                        new(WishKind.LeastFill, w[3] / 5),
                    ];
                    PositionsFound found = Find(site, wishes);
                    Assert.True(Ground.Of(site).IsOk(out var ground, out _));
                    var cost = new PositionCost(ground, wishes);
                    return OnGrid(found.Region, 10).All(p => cost.At(p) >= found.Positions[0].Cost - 1e-3);
                },
                cases: 20
            );

    [Fact] // Slanted members: stated as near, not exact; brute force over a grid of 20 mm
    public void With_slanted_members_the_best_place_is_within_a_millimetre_of_the_grid_s_best() =>
        BaysTests.RandomMembers.Holds(
            members =>
            {
                var site = new Site(Roofs.Flat(), members, Roofs.Vent(240), Zones: [Bench]);
                Wish[] wishes = [new(WishKind.CentreLine, 0.7), new(WishKind.OverZone, 1, "Glaze bench")];
                PositionsFound found = Find(site, wishes);
                Assert.True(Ground.Of(site).IsOk(out var ground, out _));
                var cost = new PositionCost(ground, wishes);
                return found.Positions.Count == 0 || OnGrid(found.Region, 20).All(p => cost.At(p) >= found.Positions[0].Cost - 1);
            },
            cases: 25
        );

    [Fact]
    public void Keeping_every_rib_ranks_before_cutting_one()
    {
        Zone underBow = Bench with { XMinMm = 1145, XMaxMm = 1245, YMinMm = -50, YMaxMm = 50 };
        var site = new Site(Roofs.Flat(), Roofs.Bows(), Roofs.Vent(), RibInTheWay.CutSecondary, Zones: [underBow]);
        RankedPosition best = Find(site, [new Wish(WishKind.OverZone, 1, "Glaze bench")]).Positions[0];
        Assert.NotNull(best.Bay);
        Assert.True(best.Cost < PositionCost.PerRibCut);
    }

    [Fact]
    public void Where_nothing_fits_the_roomiest_bay_is_named()
    {
        PositionsFound found = Find(new Site(Roofs.Rectangle(0, 2400, -850, 850), Roofs.Bows(4, 300), Roofs.Vent(500)), []);
        Assert.Empty(found.Positions);
        Assert.Contains("545 mm", found.NoneBecause);
        Assert.Contains("576 mm", found.NoneBecause);
    }

    [Fact]
    public void A_wish_for_an_unknown_zone_is_refused()
    {
        Assert.False(
            RankedPositions.Of(new Site(Roofs.Flat(), [], Roofs.Vent()), [new Wish(WishKind.OverZone, 1, "Nowhere")]).IsOk(out _, out var problem)
        );
        Assert.Equal("/wishes/0/zone", problem.Pointer);
    }

    private static IEnumerable<PanelPoint> OnGrid(IReadOnlyList<RegionPart> region, int step) =>
        from part in region
        from s in Enumerable.Range(0, (int)(part.Box.WidthMm / step) + 1)
        from t in Enumerable.Range(0, (int)(part.Box.HeightMm / step) + 1)
        let p = new PanelPoint(part.Box.SMinMm + (s * step), part.Box.TMinMm + (t * step))
        where part.Holds(p)
        select p;

    private static PositionsFound Find(Site site, IReadOnlyList<Wish> wishes)
    {
        Assert.True(RankedPositions.Of(site, wishes).IsOk(out var found, out var problem), problem?.Message);
        return found.Result;
    }
}
