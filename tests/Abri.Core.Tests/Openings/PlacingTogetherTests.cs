using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Together;
using Abri.Core.Shell;
using Abri.Core.Work;
using CsCheck;

namespace Abri.Core.Tests.Openings;

public class PlacingTogetherTests
{
    private static readonly Wish[] Middle = [new(WishKind.Level, 1, AtMm: 0)];

    [Fact] // Worked by hand: flanges of 500 and 30 mm between them, so each stands 265 mm off the middle of the bench
    public void Two_vents_that_want_the_same_bench_share_it()
    {
        var bench = new Zone("Bench", ZoneKind.Bench, 900, 1100, -100, 100, 0, 900);
        Wish[] wishes = [new(WishKind.OverZone, 1, "Bench")];
        TogetherPlan plan = Plan(
            new TogetherSite(Bare(2000, 600), [], [new("Left", Vent(400, 500), wishes), new("Right", Vent(400, 500), wishes)], Zones: [bench])
        );
        Assert.True(plan.ProvenOptimal);
        Assert.Equal(530, plan.Cost, 0.1);
        Assert.Equal(530, Math.Abs(plan.Places[0].Centre.SMm - plan.Places[1].Centre.SMm), 0.1);
        Assert.All(plan.Places, p => Assert.Equal(0, p.Alone, 0.1));
    }

    // Exhaustive search over every pair or triple of places on a grid of 20 mm, on which the best arrangement lies because all figures are multiples
    // of it
    [Fact]
    public void No_arrangement_on_a_grid_is_better() =>
        Gen.Select(Gen.Int[3, 12], Gen.Int[0, 1], Gen.Int[-3, 3].Array[6], Gen.Int[1, 4].Array[3], Gen.Int[0, 6].Array[3], Gen.Bool)
            .Holds(
                (bow, third, at, weight, lid, cut) =>
                {
                    Zone[] zones = [.. Enumerable.Range(0, 3).Select(i => Around($"Z{i}", 500 + (100 * at[2 * i]), 60 * at[(2 * i) + 1]))];
                    TogetherFitting[] fittings =
                    [
                        .. Enumerable
                            .Range(0, 2 + third)
                            .Select(i => new TogetherFitting(
                                $"F{i}",
                                Vent(120 + (40 * i), 180 + (40 * i)) with
                                {
                                    Sweep = new PerSide(0, 20 * lid[i], 0, 0),
                                },
                                [new(WishKind.OverZone, weight[i], $"Z{i}")]
                            )),
                    ];
                    Member[] members =
                    [
                        new(
                            "Bow",
                            MemberKind.RoofBow,
                            MemberRole.Secondary,
                            new Footprint(FootprintShape.Spine, [new(bow * 60, -200), new(bow * 60, 200)], 40),
                            40
                        ),
                    ];
                    var site = new TogetherSite(
                        Bare(1000, 440),
                        members,
                        fittings,
                        cut ? RibInTheWay.CutSecondary : RibInTheWay.Keep,
                        40,
                        Zones: zones
                    );
                    TogetherPlan plan = Plan(site);
                    double? best = Exhaustive(site, 20);
                    Assert.True(plan.ProvenOptimal);
                    if (best is not { } least)
                        return plan.Conflict is not null;
                    Assert.Null(plan.Conflict);
                    // Regions are a hundredth of a millimetre larger than the grid's.
                    return Math.Abs(plan.Cost - least) < 0.3;
                },
                cases: 30
            );

    // Exhaustive search on a grid of 20 mm that asks the verdict at each place; slanted and bent ribs that may be cut were taken as their rectangles
    // once
    [Fact]
    public void What_is_called_proven_among_slanted_ribs_is_beaten_by_no_place_on_a_grid() =>
        Gen.Select(Gen.Int[2, 14], Gen.Int[-5, 5], Gen.Int[-3, 3].Array[4], Gen.Int[1, 3].Array[2], Gen.Bool, Gen.Int[3, 9])
            .Holds(
                (bow, lean, at, weight, bent, width) =>
                {
                    Zone[] zones = [.. Enumerable.Range(0, 2).Select(i => Around($"Z{i}", 500 + (100 * at[2 * i]), 50 * at[(2 * i) + 1]))];
                    TogetherFitting[] fittings =
                    [
                        .. Enumerable
                            .Range(0, 2)
                            .Select(i => new TogetherFitting(
                                $"F{i}",
                                Vent(100 + (40 * i), 140 + (40 * i)),
                                [new(WishKind.OverZone, weight[i], $"Z{i}")]
                            )),
                    ];
                    PanelPoint[] spine = bent
                        ? [new(bow * 60, -220), new((bow * 60) + (lean * 20), 0), new(bow * 60, 220)]
                        : [new(bow * 60, -220), new(Math.Clamp((bow + lean) * 60, 20, 980), 220)];
                    Member Post(double s) =>
                        new(
                            "Post",
                            MemberKind.RoofBow,
                            MemberRole.Structural,
                            new Footprint(FootprintShape.Spine, [new(s, -220), new(s, 220)], 10),
                            40
                        );
                    Member[] members =
                    [
                        Post(5),
                        new("Brace", MemberKind.SideRib, MemberRole.Secondary, new Footprint(FootprintShape.Spine, spine, width * 10), 40),
                        Post(995),
                    ];
                    var site = new TogetherSite(Bare(1000, 440), members, fittings, RibInTheWay.CutSecondary, 20, Zones: zones);
                    TogetherPlan plan = Plan(site);
                    if (plan.Places.Count == 0)
                        return;
                    Assert.All(plan.Places, (p, i) =>
                        Assert.False(OpeningVerdict.Blocks(Ground.Of(site.For(fittings[i])).Value!, p.Centre), $"{p.Name} is blocked")
                    );
                    if (plan.ProvenOptimal)
                        Assert.True(
                            Exhaustive(site, 20) is not { } least || plan.Cost <= least + 0.3,
                            $"{plan.Cost} is proven, {Exhaustive(site, 20)} was found"
                        );
                },
                cases: 25
            );

    [Fact]
    public void Every_place_of_an_arrangement_stands_up_to_the_verdict_beside_the_others()
    {
        TogetherFitting[] fittings =
        [
            new("A", Roofs.Vent(), Middle),
            new("B", Roofs.Vent(), Middle),
            new("C", Roofs.Vent(), Middle),
            new("D", Roofs.Vent(), Middle),
        ];
        var site = new TogetherSite(Roofs.Flat(), Roofs.Bows(), fittings);
        TogetherPlan plan = Plan(site);
        Assert.Equal(4, plan.Places.Count);
        foreach (TogetherPlace place in plan.Places)
        {
            Neighbour[] others = [.. plan.Places.Where(p => p != place).Select(p => new Neighbour(p.Name, Roofs.Vent(), p.Centre))];
            Assert.NotEqual(
                JudgementState.Blocked,
                OpeningVerdict.Of(site.For(fittings[0]) with { Neighbours = others }, place.Centre).Value!.Result.State
            );
        }
    }

    [Fact]
    public void A_slanted_bow_is_kept_clear_of_as_well()
    {
        Member slanted = new(
            "Bow",
            MemberKind.RoofBow,
            MemberRole.Secondary,
            new Footprint(FootprintShape.Spine, [new(900, -400), new(1100, 400)], 60),
            40
        );
        var site = new TogetherSite(Bare(2000, 800), [slanted], [new("A", Vent(300, 400), Middle), new("B", Vent(300, 400), Middle)]);
        TogetherPlan plan = Plan(site);
        Assert.All(plan.Places, p => Assert.Contains(FeasibleRegion.Of(Ground.Of(site.For(site.Fittings[0])).Value!), r => r.Holds(p.Centre)));
        Assert.Equal(0, plan.Cost, 0.1);
    }

    [Fact]
    public void Where_there_is_no_arrangement_the_fewest_that_clash_and_the_rule_are_named()
    {
        TogetherFitting small = new("Small", Vent(60, 80), []),
            a = new("Big", Vent(400, 480), []),
            b = new("Other", Vent(400, 480), []);
        TogetherConflict skin = Plan(new TogetherSite(Bare(1000, 520), [], [small, a, b])).Conflict!;
        Assert.Equal(["Big", "Other"], skin.Fittings);
        Assert.Contains("30 mm of skin", skin.Because);

        TogetherFitting lid = a with { Fitting = a.Fitting with { Sweep = new PerSide(0, 60, 0, 0) } };
        Assert.Contains("lids", Plan(new TogetherSite(Bare(1030, 520), [], [lid, lid with { Name = "Other" }])).Conflict!.Because);
        Assert.Contains("not enough skin", Plan(new TogetherSite(Bare(900, 520), [], [a, b])).Conflict!.Because);
        Assert.Contains("needs", Plan(new TogetherSite(Bare(400, 520), [], [small, a])).Conflict!.Because);
    }

    [Fact]
    public void What_cannot_be_weighed_or_is_not_there_is_said()
    {
        TogetherFitting vent = new("Vent", Vent(100, 200), []);
        Assert.Equal("together-count", PlacingTogether.Of(new TogetherSite(Bare(1000, 500), [], [vent])).Problem!.Code);
        Assert.Equal(
            "/fittings/1/wishes/0",
            PlacingTogether.Of(new TogetherSite(Bare(1000, 500), [], [vent, vent with { Wishes = [new(WishKind.LeastFill)] }])).Problem!.Pointer
        );
        Assert.Equal(
            "/fittings/0/wishes/0/zone",
            PlacingTogether
                .Of(new TogetherSite(Bare(1000, 500), [], [vent with { Wishes = [new(WishKind.OverZone, 1, "Nowhere")] }, vent]))
                .Problem!.Pointer
        );
        Assert.Equal(
            "/fittings/1/fitting/flange",
            PlacingTogether
                .Of(new TogetherSite(Bare(1000, 500), [], [vent, vent with { Fitting = Vent(100, 100) with { LeastLapMm = 9 } }]))
                .Problem!.Pointer
        );
    }

    private static TogetherPlan Plan(TogetherSite site)
    {
        Assert.True(PlacingTogether.Of(site).IsOk(out Worked<TogetherPlan>? plan, out Problem? problem), problem?.Message);
        return plan.Result;
    }

    /// <summary>The least cost over all places on a grid; null where none keeps the rules. Rules as the design words them, without the program's
    /// model.</summary>
    private static double? Exhaustive(TogetherSite site, double step)
    {
        var places = new List<List<(PanelPoint At, double Cost)>>();
        foreach (TogetherFitting f in site.Fittings)
        {
            Ground ground = Ground.Of(site.For(f)).Value!;
            IReadOnlyList<RegionPart> region = FeasibleRegion.Of(ground);
            var cost = new PositionCost(ground, f.Wishes);
            var own = new List<(PanelPoint, double)>();
            for (double s = 0; s <= 1000; s += step)
            {
                for (double t = -220; t <= 220; t += step)
                {
                    var p = new PanelPoint(s, t);
                    if (region.Any(r => r.Holds(p)) && !OpeningVerdict.Blocks(ground, p))
                        own.Add((p, cost.At(p)));
                }
            }
            places.Add([.. own.OrderBy(o => o.Item2)]);
        }
        double best = double.PositiveInfinity;
        Search(0, 0, []);
        return double.IsPositiveInfinity(best) ? null : best;

        void Search(int i, double soFar, List<PanelPoint> chosen)
        {
            if (i == places.Count)
            {
                best = Math.Min(best, soFar);
                return;
            }
            foreach ((PanelPoint at, double cost) in places[i])
            {
                if (soFar + cost >= best)
                    return;
                if (chosen.Where((c, j) => !Apart(site, i, at, j, c)).Any())
                    continue;
                Search(i + 1, soFar + cost, [.. chosen, at]);
            }
        }
    }

    private static bool Apart(TogetherSite site, int i, PanelPoint a, int j, PanelPoint b)
    {
        PanelBox FlangeOf(int k, PanelPoint at) => site.Fittings[k].Fitting.Flange.BoxAt(at);
        bool Clear(PanelBox x, PanelBox y, double by) => x.SMinMm - y.SMaxMm >= by || y.SMinMm - x.SMaxMm >= by;
        bool Above(PanelBox x, PanelBox y, double by) => x.TMinMm - y.TMaxMm >= by || y.TMinMm - x.TMaxMm >= by;
        (PanelBox fa, PanelBox fb) = (FlangeOf(i, a), FlangeOf(j, b));
        (PanelBox la, PanelBox lb) = (fa.Grown(site.Fittings[i].Fitting.Sweep), fb.Grown(site.Fittings[j].Fitting.Sweep));
        const double hair = -1e-6;
        return (Clear(fa, fb, site.SpacingMm + hair) && Clear(la, lb, hair)) || (Above(fa, fb, site.SpacingMm + hair) && Above(la, lb, hair));
    }

    private static Panel Bare(double lengthMm, double widthMm) =>
        new(PanelKind.Roof, new PanelBox(0, lengthMm, -widthMm / 2, widthMm / 2).Corners, 0.8, SkinMaterial.MildSteel);

    private static Zone Around(string name, double s, double t) => new(name, ZoneKind.Bench, s - 50, s + 50, t - 50, t + 50, 0, 900);

    /// <summary>A square vent without clearances and without a lid; its margin to the panel's edge is the program's own 10 mm.</summary>
    private static Fitting Vent(double cutMm, double flangeMm) =>
        Roofs.Vent() with
        {
            CutOut = new RoundedRectangle(cutMm, cutMm, 0),
            Neck = new RoundedRectangle(cutMm, cutMm, 0),
            Flange = new RoundedRectangle(flangeMm, flangeMm, 0),
            LeastLapMm = 1,
            Clearance = PerSide.All(0),
            Sweep = PerSide.All(0),
            Screws = null,
        };
}
