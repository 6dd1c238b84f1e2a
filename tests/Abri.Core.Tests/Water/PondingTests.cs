using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Water;

namespace Abri.Core.Tests.Water;

public class PondingTests
{
    private static readonly Member[] Swages =
    [
        .. new double[] { -500, -300, -100, 100, 300, 500 }.Select(t => Roofs.Swage(t, lengthMm: 4200) with { FlankMm = 8 }),
    ];
    private static readonly Dam Skylight = new("Skylight", PanelBox.Around(new PanelPoint(2100, 0), 800, 700), 30);

    [Fact]
    public void A_domed_roof_with_nothing_on_it_stays_dry()
    {
        WaterMap map = Map(new WetRoof(Roofs.Flat() with { ArcRadiusAcrossMm = 5000, ArcRadiusAlongMm = 40_000 }, [], []), new Attitude(0, 0));
        Assert.Equal((0, 0), (map.Litres, map.Ponds.Count));
        Assert.True(map.Runoff.Left > 0.3 && map.Runoff.Right > 0.3);
    }

    [Fact]
    public void Between_ribs_water_stands_against_the_side_of_a_flange_from_which_it_comes()
    {
        var roof = new WetRoof(Roofs.Flat(), Swages, [Skylight]);
        // Nose up: rain runs backwards in the valleys and is held in front of the flange, no deeper than the ribs are high.
        WaterMap up = Map(roof, new Attitude(1, 0)),
            down = Map(roof, new Attitude(-1, 0));
        WaterAtDam at = Assert.Single(up.Dams);
        Assert.InRange(at.DepthMm, 3, 8.01);
        Assert.InRange(at.WetShare, 0.05, 0.6);
        Assert.All(up.Ponds.Where(p => p.Litres > 0.02), p => Assert.True(p.Deepest.SMm < 1700));
        Assert.All(down.Ponds.Where(p => p.Litres > 0.02), p => Assert.True(p.Deepest.SMm > 2500));
        Assert.True(up.Runoff.Rear > up.Runoff.Front && down.Runoff.Front > down.Runoff.Rear);
    }

    [Fact]
    public void The_worst_attitude_is_no_better_than_any_that_was_tried()
    {
        var roof = new WetRoof(Roofs.Flat(), Swages, [Skylight]);
        Assert.True(Ponding.Worst(roof).IsOk(out var worst, out _));
        Assert.InRange(worst.Result.Attitude.PitchDeg, -3, 3);
        Assert.Equal("Skylight", worst.Result.Dam);
        foreach (Attitude other in new Attitude[] { new(0, 0), new(2, -1), new(-3, 3) })
        {
            Assert.True(Ponding.Of(roof, other, 25).IsOk(out var map, out _));
            Assert.True(map.Result.Dams[0].DepthMm <= worst.Result.DeepestAtDamMm + 1e-9);
        }
    }

    [Fact]
    public void What_mends_it_is_proved_by_filling_the_changed_roof_again()
    {
        var roof = new WetRoof(Roofs.Flat(), Swages, [Skylight]);
        // Between the ribs is no worse, so a place that is no better is left out; over the rear edge nothing holds water in front of it.
        IReadOnlyList<PondingMend> mends = PondingMends
            .Of(
                roof,
                new Attitude(1, 0),
                [
                    new("Skylight", "elsewhere", Skylight.Edge with { SMinMm = 1000, SMaxMm = 1800 }),
                    new("Skylight", "in the valley", PanelBox.Around(new PanelPoint(2100, 0), 800, 120)),
                ],
                LengthFormat.Millimetres
            )
            .Value!.Result.Mends;
        PondingMend fill = mends.Single(m => m.Kind == MendKind.Fill),
            raise = mends.Single(m => m.Kind == MendKind.Raise),
            park = mends.Single(m => m.Kind == MendKind.Park);
        Assert.InRange(fill.NowMm, 3, 8.01);
        Assert.Equal((0, 0), (fill.ThenMm, raise.ThenMm));
        Assert.Equal(Math.Ceiling(fill.NowMm + PondingMends.AboveWaterMm), raise.Amount);
        Assert.True(park.ThenMm < StandingWater.FilmMm);
        Assert.All(mends.Where(m => m.Kind == MendKind.Move), m => Assert.True(m.ThenMm < m.NowMm));
        Assert.Empty(PondingMends.Of(roof with { Dams = [] }, new Attitude(1, 0), [], LengthFormat.Millimetres).Value!.Result.Mends);
    }

    [Fact]
    public void A_gutter_takes_what_leaves_over_it_and_spills_at_its_low_end()
    {
        Member gutter = new(
            "Left gutter",
            MemberKind.RainGutter,
            MemberRole.KeepOut,
            new Footprint(FootprintShape.Spine, [new(0, 850), new(4200, 850)], 30),
            0
        );
        WetRoof roof = new(Roofs.Flat() with { ArcRadiusAcrossMm = 5000 }, [gutter], []);
        GutterFlow up = Assert.Single(Map(roof, new Attitude(1, 0)).Gutters);
        Assert.InRange(up.Share, 0.3, 0.5);
        Assert.Equal(new PanelPoint(4200, 850), up.SpillsAt);
        Assert.Equal(new PanelPoint(0, 850), Map(roof, new Attitude(-1, 0)).Gutters[0].SpillsAt);
        Assert.Null(Map(roof, new Attitude(0, 0)).Gutters[0].SpillsAt);
        // With the left side down more of the rain comes to it.
        Assert.True(Map(roof, new Attitude(1, -2)).Gutters[0].Share > up.Share);
    }

    [Fact]
    public void Parking_advice_is_proved_by_filling_the_roof_again()
    {
        // A shallow cross rib behind the flange holds water when level; a little pitch lets it run off over the free end.
        Member cross = new(
            "Cross rib",
            MemberKind.Swage,
            MemberRole.Pressed,
            new Footprint(FootprintShape.Spine, [new(1640, -845), new(1640, 845)], 40),
            -6,
            10
        );
        var roof = new WetRoof(Roofs.Flat(), [cross, Draw(-820), Draw(820)], [Skylight]);
        Assert.True(Ponding.Park(roof, new Attitude(0.5, 0)).IsOk(out var advice, out _));
        if (advice.Result.PitchByDeg is { } by)
        {
            Assert.True(Ponding.Of(roof, new Attitude(0.5 + by, 0), 25).IsOk(out var then, out _));
            Assert.True(then.Result.Dams[0].DepthMm < StandingWater.FilmMm);
        }
        else
        {
            Assert.NotEmpty(advice.Warnings);
        }
        Assert.True(Ponding.Park(new WetRoof(Roofs.Flat() with { ArcRadiusAcrossMm = 4000 }, [], []), new Attitude(0, 0)).IsOk(out var none, out _));
        Assert.Equal(0, none.Result.PitchByDeg);
    }

    [Fact]
    public void A_thing_that_does_not_stand_on_the_roof_is_refused()
    {
        Assert.False(
            Ponding
                .Of(new WetRoof(Roofs.Flat(), [], [Skylight with { Edge = new PanelBox(9000, 9100, 0, 100) }]), new Attitude(0, 0), 20)
                .IsOk(out _, out Problem? problem)
        );
        Assert.Equal(("dam-off-roof", "/roof/dams/0/edge"), (problem.Code, problem.Pointer));
    }

    private static Member Draw(double t) =>
        new("Edge rib", MemberKind.Swage, MemberRole.Pressed, new Footprint(FootprintShape.Spine, [new(0, t), new(1700, t)], 40), -6, 10);

    private static WaterMap Map(WetRoof roof, Attitude attitude)
    {
        Assert.True(Ponding.Of(roof, attitude, 10).IsOk(out var worked, out var problem), problem?.Message);
        return worked.Result;
    }
}
