using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Openings.Seating;

/// <summary>A place of a surface with its height.</summary>
/// <param name="SMm">Along the panel, mm.</param>
/// <param name="TMm">Across the panel, mm.</param>
/// <param name="HeightMm">Height of the skin over its datum plane, mm.</param>
public readonly record struct SurfacePoint(
    [Within(-Limits.LongestMm, Limits.LongestMm, "A distance along", "mm")] double SMm,
    [Within(-Limits.LongestMm, Limits.LongestMm, "A distance across", "mm")] double TMm,
    [Within(-2000, 2000, "A height", "mm")] double HeightMm
);

/// <summary>How a rigid frame comes to rest: height of its underside z = OffsetMm + SlopeAlong s + SlopeAcross t.</summary>
/// <param name="SlopeAlong">Rise per mm along s.</param>
/// <param name="SlopeAcross">Rise per mm along t.</param>
/// <param name="OffsetMm">Height at s 0, t 0, mm.</param>
/// <param name="Contacts">The three places on which it rests.</param>
/// <param name="TiltDeg">Tilt against the panel's datum plane, degrees.</param>
/// <param name="MaxGapMm">Greatest gap under it, mm.</param>
/// <param name="MeanGapMm">Mean gap over all places, mm.</param>
/// <param name="Rocks">Whether it rocks: what touches does not reach far enough past the weight on some side.</param>
public sealed record Rest(
    double SlopeAlong,
    double SlopeAcross,
    double OffsetMm,
    IReadOnlyList<SurfacePoint> Contacts,
    double TiltDeg,
    double MaxGapMm,
    double MeanGapMm,
    bool Rocks
)
{
    /// <summary>Height of the underside at a place, mm.</summary>
    internal double At(double sMm, double tMm) => OffsetMm + (SlopeAlong * sMm) + (SlopeAcross * tMm);
}

/// <summary>
/// Finds the plane on which a rigid frame comes to rest on an uneven surface under its own weight.
/// </summary>
/// <remarks>
/// Of all planes that lie nowhere below the surface it is the one that is lowest where the weight acts. That is a linear programme in three
/// variables; it is solved by the simplex method on its dual, whose basis is the triangle of contacts:
/// the place that stands out most through the present plane becomes a contact, and the one that leaves keeps the weight within the triangle. Exact
/// but for rounding.
/// Limits: the frame is taken as rigid and the skin as unloaded, so gaps are those before the screws are tightened.
/// </remarks>
/// <example>On two ridges 8 mm high beside each other the frame lies level at 8 mm; on one ridge at the front and none behind it, it leans.</example>
public static class RestingPlane
{
    /// <summary>Most places.</summary>
    public const int Most = 20_000;

    /// <summary>Where what touches reaches less than this share of the frame's span past the weight on some side, the frame rocks:
    /// assumption.</summary>
    public const double NarrowShare = 0.08;

    private const double FarMm = 1e6,
        LowMm = -1e7,
        HairMm = 1e-9,
        TouchMm = 0.05;
    private const int MostPivots = 10_000,
        Directions = 36;

    /// <summary>The rest on a surface.</summary>
    /// <param name="samples">Places under the frame; at least three that are not in line.</param>
    /// <param name="weight">Where the frame's weight acts.</param>
    public static Result<Worked<Rest>> Under(IReadOnlyList<SurfacePoint> samples, PanelPoint weight)
    {
        if (samples.Count is < 3 or > Most)
            return new Problem("seat-samples", "/samples", $"Give 3 to {Most} places under the frame.");
        if (!samples.All(p => double.IsFinite(p.SMm) && double.IsFinite(p.TMm) && double.IsFinite(p.HeightMm)))
            return new Problem("seat-samples", "/samples", "A place has an endless coordinate.");
        // A hair off, so that the weight never acts exactly over the edge between two contacts: the pivots would stall.
        var over = new PanelPoint(weight.SMm + 1.3e-7, weight.TMm + 0.7e-7);
        SurfacePoint[] basis =
        [
            new(over.SMm - FarMm, over.TMm - FarMm, LowMm),
            new(over.SMm + FarMm, over.TMm - FarMm, LowMm),
            new(over.SMm, over.TMm + FarMm, LowMm),
        ];
        double[] shares = Barycentric(basis, over.SMm, over.TMm);
        (double a, double b, double c) plane = default;
        for (int pivot = 0; pivot < MostPivots; pivot++)
        {
            plane = Through(basis);
            int enters = -1;
            double most = HairMm;
            for (int i = 0; i < samples.Count; i++)
            {
                double out1 = samples[i].HeightMm - (plane.c + (plane.a * samples[i].SMm) + (plane.b * samples[i].TMm));
                if (out1 > most)
                    (most, enters) = (out1, i);
            }
            if (enters < 0)
                break;
            double[] mu = Barycentric(basis, samples[enters].SMm, samples[enters].TMm);
            int leaves = -1;
            double least = double.PositiveInfinity;
            for (int k = 0; k < 3; k++)
            {
                if (mu[k] <= 1e-13 || shares[k] / mu[k] >= least)
                    continue;
                (least, leaves) = (shares[k] / mu[k], k);
            }
            basis[leaves] = samples[enters];
            shares = Barycentric(basis, over.SMm, over.TMm);
        }
        if (basis.Any(p => p.HeightMm <= LowMm))
            return new Problem(
                "seat-unsupported",
                "/weight",
                "The weight does not act over the places that carry it, or they lie in one line: the frame would tip. Give places on all sides of it."
            );
        return Finished(samples, weight, basis, plane);
    }

    private static Worked<Rest> Finished(
        IReadOnlyList<SurfacePoint> samples,
        PanelPoint weight,
        SurfacePoint[] basis,
        (double A, double B, double C) plane
    )
    {
        (double greatest, double sum) = (0, 0);
        foreach (SurfacePoint p in samples)
        {
            double gap = plane.C + (plane.A * p.SMm) + (plane.B * p.TMm) - p.HeightMm;
            greatest = Math.Max(greatest, gap);
            sum += gap;
        }
        double tilt = Math.Atan(Math.Sqrt((plane.A * plane.A) + (plane.B * plane.B))) * 180 / Math.PI;
        bool rocks = Rocks(samples, weight, plane);
        var sheet = new Worksheet();
        sheet.Step("a", "rise along", "plane through the three contacts", plane.A, "mm/mm");
        sheet.Step("b", "rise across", "the same", plane.B, "mm/mm");
        sheet.Step("c", "height at s 0, t 0", "the same", plane.C, "mm");
        sheet.Step("tilt", "tilt against the datum plane", "atan(sqrt(a^2 + b^2))", tilt, "degrees");
        sheet.Step("g_max", "greatest gap", "max(a s + b t + c - z)", greatest, "mm");
        sheet.Step("g_mean", "mean gap", "mean of the same", sum / samples.Count, "mm");
        sheet.Cite(new Source("Linear programme: least height under the weight, nowhere below the surface; dual simplex", SourceKind.Geometry));
        sheet.Cite(new Source("Rigid frame, unloaded skin", SourceKind.Assumption));
        return sheet.Finish(new Rest(plane.A, plane.B, plane.C, basis, tilt, greatest, sum / samples.Count, rocks));
    }

    /// <summary>Whether what touches does not reach far enough past the weight on some side of it.</summary>
    private static bool Rocks(IReadOnlyList<SurfacePoint> samples, PanelPoint weight, (double A, double B, double C) plane)
    {
        SurfacePoint[] touching = [.. samples.Where(p => plane.C + (plane.A * p.SMm) + (plane.B * p.TMm) - p.HeightMm < TouchMm)];
        double span = Math.Max(samples.Max(p => p.SMm) - samples.Min(p => p.SMm), samples.Max(p => p.TMm) - samples.Min(p => p.TMm));
        for (int i = 0; i < Directions; i++)
        {
            (double t, double s) = Math.SinCos(2 * Math.PI * i / Directions);
            if (touching.Max(p => (s * (p.SMm - weight.SMm)) + (t * (p.TMm - weight.TMm))) < NarrowShare * span)
                return true;
        }
        return false;
    }

    private static (double A, double B, double C) Through(SurfacePoint[] p)
    {
        double det = TwiceArea(p[0], p[1], p[2]);
        double a = (((p[1].HeightMm - p[0].HeightMm) * (p[2].TMm - p[0].TMm)) - ((p[2].HeightMm - p[0].HeightMm) * (p[1].TMm - p[0].TMm))) / det;
        double b = (((p[2].HeightMm - p[0].HeightMm) * (p[1].SMm - p[0].SMm)) - ((p[1].HeightMm - p[0].HeightMm) * (p[2].SMm - p[0].SMm))) / det;
        return (a, b, p[0].HeightMm - (a * p[0].SMm) - (b * p[0].TMm));
    }

    /// <summary>Shares of three corners that give a place.</summary>
    private static double[] Barycentric(SurfacePoint[] p, double s, double t)
    {
        double det = TwiceArea(p[0], p[1], p[2]);
        var at = new SurfacePoint(s, t, 0);
        return [TwiceArea(at, p[1], p[2]) / det, TwiceArea(p[0], at, p[2]) / det, TwiceArea(p[0], p[1], at) / det];
    }

    private static double TwiceArea(SurfacePoint a, SurfacePoint b, SurfacePoint c) =>
        ((b.SMm - a.SMm) * (c.TMm - a.TMm)) - ((c.SMm - a.SMm) * (b.TMm - a.TMm));
}
