using Abri.Core.Openings;
using Abri.Core.Shell;
using BenchmarkDotNet.Attributes;
using NetTopologySuite.Geometries;

namespace Abri.Bench;

/// <summary>Placing on a roof of a hundred members; bars: verdict 1 ms, region and ten positions 10 ms.</summary>
[MemoryDiagnoser(false)]
public class PlacingBench
{
    private readonly GeometryFactory factory = new();
    private Polygon[] outlines = [];

    [GlobalSetup]
    public void Prepare() =>
        outlines = [
            .. HundredMembers.Site.Members.Select(m =>
            {
                var outline = MemberOutline.Of(m.Footprint);
                return factory.CreatePolygon([.. outline.Append(outline[0]).Select(p => new Coordinate(p.SMm, p.TMm))]);
            }),
        ];

    [Benchmark]
    public object? Verdict() => OpeningVerdict.Of(HundredMembers.Site, HundredMembers.Centre).Value;

    /// <summary>Reference: only the distances from the cut-out to the hundred outlines, by a general geometry library.</summary>
    [Benchmark]
    public double VerdictReference()
    {
        var cut = factory.ToGeometry(new Envelope(2800, 3200, -200, 200));
        return outlines.Min(o => cut.Distance(o));
    }

    [Benchmark]
    public object? RegionAndTenPositions() => RankedPositions.Of(HundredMembers.Site, HundredMembers.Wishes).Value;

    /// <summary>Reference: a search over a grid of 20 mm with the library's distance, which finds no exact place.</summary>
    [Benchmark]
    public int PositionsReference()
    {
        int feasible = 0;
        for (double s = 300; s < 12_100; s += 20)
        {
            for (double t = -1000; t <= 1000; t += 200)
            {
                var needed = factory.ToGeometry(new Envelope(s - 238, s + 238, t - 238, t + 238));
                if (outlines.Where((_, i) => HundredMembers.Site.Members[i].Role != MemberRole.Pressed).All(o => !needed.Intersects(o)))
                    feasible++;
            }
        }
        return feasible;
    }
}
