using Abri.Core.Geometry;
using Abri.Core.Shell;
using CsCheck;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Abri.Core.Tests.Geometry;

public class RemainderTests
{
    private static readonly GeometryFactory Factory = new();

    /// <summary>Lengths as a tape gives them, to a tenth: the reference trips over figures of 1e-80.</summary>
    private static Gen<double> Mm(int from, int to) => Gen.Int[from * 10, to * 10].Select(i => i / 10d);

    private static readonly Gen<Area> Strip = Gen.Select(Mm(-50, 1050), Mm(-50, 550), Mm(-400, 400), Mm(-400, 400), Mm(4, 160))
        .Select(
            (s, t, ds, dt, width) =>
                (Area)Polygon(MemberOutline.Of(new Footprint(FootprintShape.Spine, [new(s, t), new(s + ds + 2, t + dt + 2)], width)))
        );

    private static readonly Gen<Area> Bow = Gen.Select(Mm(0, 950), Mm(5, 90))
        .Select((s, width) => (Area)Polygon(new PanelBox(s, s + width, -10, 510).Corners));

    private static readonly Gen<Area> Hook = Gen.Select(Mm(0, 900), Mm(0, 400))
        .Select((s, t) => (Area)Polygon([new(s, t), new(s + 90, t), new(s + 90, t + 30), new(s + 30, t + 30), new(s + 30, t + 80), new(s, t + 80)]));

    [Fact] // Checked against NetTopologySuite: difference with one area after another, which shares no step with the shortcuts
    public void What_is_left_is_what_taking_one_area_after_another_leaves() =>
        Gen.Select(Gen.OneOf(Strip, Strip, Bow, Hook).Array[0, 28], Gen.Bool)
            .Holds(
                (taken, slanted) =>
                {
                    Area whole = Polygon(slanted ? [new(0, 20), new(900, 0), new(1000, 500), new(60, 480)] : new PanelBox(0, 1000, 0, 500).Corners);
                    Area expected = taken.Aggregate(whole, (left, area) => left.Difference(area));
                    Area found = Factory.BuildGeometry([
                        .. Remainder.Of(whole, taken).Select(p => (Area)Factory.CreatePolygon(Ring(p.Outline), [.. p.Holes.Select(Ring)])),
                    ]);
                    return found.IsValid && expected.SymmetricDifference(found).Area < 1e-3;
                },
                cases: 300
            );

    [Fact] // Worked by hand: 69 mm wide places are missed by neither of two areas that overlap each other elsewhere
    public void A_gap_between_crowded_areas_is_found()
    {
        Area[] crowd =
        [
            .. Enumerable.Range(0, 8).Select(i => Polygon(new PanelBox(0, i < 4 ? 465 : 470, i * 60, (i * 60) + 90).Corners)),
            Polygon(new PanelBox(534, 1000, 0, 510).Corners),
        ];
        RegionPart left = Assert.Single(Remainder.Of(Polygon(new PanelBox(0, 1000, 0, 500).Corners), crowd));
        Assert.Equal((465, 534), (left.Box.SMinMm, left.Box.SMaxMm));
        Assert.Equal((69 * 500) - (5 * 260), left.AreaMm2, 6);
    }

    private static Polygon Polygon(IReadOnlyList<PanelPoint> points) => Factory.CreatePolygon(Ring(points));

    private static LinearRing Ring(IReadOnlyList<PanelPoint> points) =>
        Factory.CreateLinearRing([.. points.Append(points[0]).Select(p => new Coordinate(p.SMm, p.TMm))]);
}
