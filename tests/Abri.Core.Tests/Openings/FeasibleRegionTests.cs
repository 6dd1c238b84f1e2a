using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Tests.Shell;
using CsCheck;
using NetTopologySuite.Geometries;

namespace Abri.Core.Tests.Openings;

public class FeasibleRegionTests
{
    private static readonly GeometryFactory Factory = new();

    [Fact] // Worked by hand: 545 - 400 - 2 x 38 = 69
    public void A_bay_of_545_leaves_a_strip_69_long_for_a_400_cut_out_with_38_all_round()
    {
        IReadOnlyList<RegionPart> region = Region(new Site(Roofs.Rectangle(0, 2495, -850, 850), Roofs.Bows(), Roofs.Vent()));
        RegionPart strip = region[1];
        Assert.Equal(69, strip.Box.WidthMm, 1);
        Assert.Equal(620 + 38 + 200, strip.Box.SMinMm, 1);
        Assert.Equal(1700 - 490 - 20, strip.Box.HeightMm, 1);
    }

    [Fact] // 545 - 69 = 476: the cut-out with its clearances fills the bay to the millimetre
    public void A_fitting_that_fits_exactly_has_a_place()
    {
        Member[] bows = [Roofs.Bow("Bow 1", 400, 460), Roofs.Bow("Bow 2", 936, 996)];
        Assert.Contains(Region(new Site(Roofs.Flat(1400), bows, Roofs.Vent())), part => part.Holds(new PanelPoint(698, 0)));
        Member[] tighter = [bows[0], Roofs.Bow("Bow 2", 935.9, 996)];
        Assert.DoesNotContain(Region(new Site(Roofs.Flat(1400), tighter, Roofs.Vent())), part => part.Box.Grown(1).Holds(new PanelPoint(698, 0)));
    }

    [Fact] // Brute force over a grid, by NetTopologySuite's distance between the grown cut-out and every member
    public void The_region_is_what_a_grid_search_with_an_independent_distance_finds() =>
        Gen.Select(BaysTests.RandomMembers, Gen.Double[0, 90].Array[4])
            .Holds(
                (members, c) =>
                {
                    Fitting vent = Roofs.Vent(240) with { Clearance = new PerSide(c[0], c[1], c[2], c[3]) };
                    var site = new Site(Roofs.Flat(), [.. members, Pentagon], vent);
                    IReadOnlyList<RegionPart> region = Region(site);
                    NetTopologySuite.Geometries.Geometry[] outlines = [.. site.Members.Select(m => Polygon(MemberOutline.Of(m.Footprint)))];
                    for (double s = 0; s <= 4200; s += 131)
                    for (double t = -850; t <= 850; t += 83)
                    {
                        var centre = new PanelPoint(s, t);
                        PanelBox cut = vent.CutOut.BoxAt(centre),
                            flange = vent.Flange.BoxAt(centre);
                        NetTopologySuite.Geometries.Geometry needed = Polygon(cut.Grown(vent.Clearance).Corners);
                        double room = outlines.Min(o => needed.Distance(o));
                        double edge = new[] { flange.SMinMm, 4200 - flange.SMaxMm, flange.TMinMm + 850, 850 - flange.TMaxMm }.Min() - 10;
                        bool inside = region.Any(p => p.Holds(centre));
                        if (inside && edge < -0.02)
                            return false;
                        if (inside && room == 0 && outlines.Any(o => o.Intersection(needed).Area > 10))
                            return false;
                        if (!inside && edge > 0.02 && room > 0.02)
                            return false;
                    }
                    return true;
                },
                cases: 25
            );

    [Fact]
    public void Turning_a_fitting_by_quarter_turns_is_turning_the_roof_under_it()
    {
        Fitting skylight = Roofs.Vent() with
        {
            CutOut = new RoundedRectangle(700, 500, 20),
            Flange = new RoundedRectangle(780, 580, 30),
            Clearance = new PerSide(10, 20, 30, 40),
        };
        Fitting turned = skylight.Turned(90);
        Assert.Equal((500, 700), (turned.CutOut.WidthMm, turned.CutOut.HeightMm));
        // Anticlockwise: what faced the rear faces the top.
        Assert.Equal(20, turned.Clearance.TopMm);
        Assert.Equal(skylight, skylight.Turned(90).Turned(270));
        Assert.Equal(Side.Bottom, (skylight with { HingeSide = Side.Front }).Turned(90).HingeSide);
    }

    [Fact]
    public void School_B_frees_secondary_bows_but_never_structure()
    {
        Member[] bows = [Roofs.Bow("Bow 1", 1000, 1060), Roofs.Bow("Bow 2", 1300, 1360), Roofs.Bow("Main bow", 1600, 1660, MemberRole.Structural)];
        var site = new Site(Roofs.Flat(), bows, Roofs.Vent(), RibInTheWay.CutSecondary);
        IReadOnlyList<RegionPart> region = Region(site);
        Assert.Contains(region, p => p.Holds(new PanelPoint(1330, 0)));
        Assert.DoesNotContain(region, p => p.Holds(new PanelPoint(1630, 0)));
        Assert.DoesNotContain(Region(site with { RibInTheWay = RibInTheWay.Keep }), p => p.Holds(new PanelPoint(1330, 0)));
    }

    [Fact]
    public void A_neighbour_keeps_its_flange_and_a_gap()
    {
        var site = new Site(Roofs.Flat(), [], Roofs.Vent(), Neighbours: [new Neighbour("Skylight", Roofs.Vent(), new PanelPoint(2000, 0))]);
        IReadOnlyList<RegionPart> region = Region(site);
        Assert.DoesNotContain(region, p => p.Holds(new PanelPoint(2000 + 490 + 29, 0)));
        Assert.Contains(region, p => p.Holds(new PanelPoint(2000 + 490 + 30, 0)));
    }

    private static readonly Member Pentagon = new(
        "Box",
        MemberKind.FillerNeck,
        MemberRole.KeepOut,
        new Footprint(FootprintShape.Polygon, [new(2000, 100), new(2200, 50), new(2300, 300), new(2150, 180), new(2050, 330)]),
        10
    );

    private static IReadOnlyList<RegionPart> Region(Site site)
    {
        Assert.True(RankedPositions.Of(site, []).IsOk(out var found, out var problem), problem?.Message);
        return found.Result.Region;
    }

    private static Polygon Polygon(IReadOnlyList<PanelPoint> points) =>
        Factory.CreatePolygon([.. points.Append(points[0]).Select(p => new Coordinate(p.SMm, p.TMm))]);
}
