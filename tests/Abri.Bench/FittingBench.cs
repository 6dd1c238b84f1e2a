using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Seating;
using Abri.Core.Openings.Together;
using BenchmarkDotNet.Attributes;
using Google.OrTools.LinearSolver;

namespace Abri.Bench;

/// <summary>Seats and several fittings at once; bars: resting plane of 2000 samples 2 ms, three fittings on an irregular roof 300 ms with
/// proof.</summary>
[MemoryDiagnoser(false)]
public class FittingBench
{
    private static readonly SurfacePoint[] Samples =
    [
        .. Enumerable
            .Range(0, 2000)
            .Select(i =>
            {
                (double s, double t) = (Math.Cos(i * 0.0031416) * (300 + (i % 7 * 8)), Math.Sin(i * 0.0031416) * (250 + (i % 5 * 8)));
                return new SurfacePoint(s, t, (4 * Math.Sin(s / 40)) + (3 * Math.Cos(t / 55)) - (s * s / 40_000));
            }),
    ];

    private static readonly TogetherSite Three = new(
        HundredMembers.Site.Panel,
        HundredMembers.Site.Members,
        [
            .. Enumerable
                .Range(0, 3)
                .Select(i => new TogetherFitting(
                    $"Vent {i + 1}",
                    HundredMembers.Site.Fitting,
                    HundredMembers.Wishes.Where(w => w.Kind != WishKind.LeastFill).ToArray()
                )),
        ],
        Zones: HundredMembers.Site.Zones
    );

    [Benchmark]
    public object? RestingPlaneOf2000() => RestingPlane.Under(Samples, new PanelPoint(0, 0)).Value;

    /// <summary>Reference: the same linear programme in GLOP.</summary>
    [Benchmark]
    public double RestingPlaneReference()
    {
        using var glop = Solver.CreateSolver("GLOP");
        Variable a = glop.MakeNumVar(-1e3, 1e3, "a"),
            b = glop.MakeNumVar(-1e3, 1e3, "b"),
            c = glop.MakeNumVar(-1e6, 1e6, "c");
        foreach (SurfacePoint p in Samples)
            glop.Add((a * p.SMm) + (b * p.TMm) + c >= p.HeightMm);
        glop.Minimize(c);
        glop.Solve();
        return glop.Objective().Value();
    }

    [Benchmark]
    public TogetherPlan ThreeTogether()
    {
        TogetherPlan plan = PlacingTogether.Of(Three).Value!.Result;
        return plan.ProvenOptimal ? plan : throw new InvalidOperationException("Not proved.");
    }
}
