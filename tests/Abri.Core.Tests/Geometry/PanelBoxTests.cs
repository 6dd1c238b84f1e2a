using Abri.Core.Geometry;
using CsCheck;
using NetTopologySuite.Geometries;

namespace Abri.Core.Tests.Geometry;

public class PanelBoxTests
{
    private static readonly Gen<PanelBox> Boxes = Gen.Select(Gen.Double[-900, 900], Gen.Double[-900, 900], Gen.Double[1, 600], Gen.Double[1, 600])
        .Select((s, t, w, h) => new PanelBox(s, s + w, t, t + h));

    [Fact] // Checked against NetTopologySuite
    public void Distance_overlap_and_shared_area_are_those_of_polygons() =>
        Gen.Select(Boxes, Boxes)
            .Holds(
                (a, b) =>
                {
                    var (x, y) = (Polygon(a), Polygon(b));
                    return Math.Abs(a.DistanceMm(b) - x.Distance(y)) < 1e-9
                        && a.DistanceMm(b) == b.DistanceMm(a)
                        && a.Overlaps(b) == (x.Intersection(y).Area > 1e-9)
                        && (!a.Overlaps(b) || Math.Abs(a.Shared(b).AreaMm2 - x.Intersection(y).Area) < 1e-6);
                },
                cases: 500
            );

    [Fact]
    public void A_box_grown_and_shrunk_again_is_the_same_and_holds_its_corners() =>
        Boxes.Holds(box =>
            box.Grown(PerSide.All(25)).Grown(PerSide.All(-25)) is var back
            && back.DistanceMm(box) == 0
            && Math.Abs(back.AreaMm2 - box.AreaMm2) < 1e-6
            && box.Corners.All(box.Holds)
            && PanelBox.Of(box.Corners) == box
        );

    private static NetTopologySuite.Geometries.Geometry Polygon(PanelBox box) =>
        new GeometryFactory().ToGeometry(new Envelope(box.SMinMm, box.SMaxMm, box.TMinMm, box.TMaxMm));
}
