using Abri.Core.Geometry;
using Abri.Core.Metal;
using BenchmarkDotNet.Attributes;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Union;

namespace Abri.Bench;

/// <summary>Forty rectangles on four sheets, with a bound; bar: 3 s.</summary>
[MemoryDiagnoser(false)]
public class NestBench
{
    private NestQuestion question = null!;
    private Geometry[] polygons = [];

    [GlobalSetup]
    public void Prepare()
    {
        var random = new Random(5);
        NestSheet Sheet(double wide, double high) => new("Sheet", new PanelBox(0, wide, 0, high).Corners);
        question = new NestQuestion(
            [
                .. Enumerable
                    .Range(0, 40)
                    .Select(_ => new NestPiece("Piece", new PanelBox(0, 80 + random.Next(300), 0, 80 + random.Next(300)).Corners)),
            ],
            [Sheet(1000, 2000), Sheet(1000, 2000), Sheet(1250, 2500), Sheet(500, 700)],
            2
        );
        polygons =
        [
            .. question.Pieces.Select(
                (p, i) => new GeometryFactory().CreatePoint(new Coordinate(40 * i, 25 * i)).Buffer(Math.Sqrt(PanelBox.Of(p.Outline).AreaMm2))
            ),
        ];
    }

    [Benchmark]
    public int FortyRectangles() => Nest.Of(question).Value!.Result.Places.Count;

    /// <summary>Reference: as many outlines put into one by NetTopologySuite.</summary>
    [Benchmark]
    public double Union() => UnaryUnionOp.Union(polygons).Area;
}
