using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Floor;

/// <summary>A reading under a straight-edge that lies over bearers.</summary>
/// <param name="AtMm">Where along the straight-edge, mm.</param>
/// <param name="GapMm">From the straight-edge down to the bearer, mm.</param>
public sealed record ShimReading([Within(0, Limits.LongestMm, "The place", "mm")] double AtMm, [Within(0, 100, "The gap", "mm")] double GapMm);

/// <summary>What is done at a bearer.</summary>
/// <param name="AtMm">Where, mm.</param>
/// <param name="ShimMm">Shim to lay on it, mm; negative for what is ground or planed off.</param>
public sealed record ShimAt(double AtMm, double ShimMm);

/// <summary>How bearers are brought into one line.</summary>
/// <param name="Places">What is done, in the order of the readings.</param>
/// <param name="OffMm">How far they are out of line at most as they are, mm.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record ShimPlan(IReadOnlyList<ShimAt> Places, double OffMm, string Verdict);

/// <summary>Brings bearers into one line, with no more taken off than is allowed and otherwise with shims.</summary>
/// <remarks>
/// Of all lines that lie on or above every top, the one with the least sum of gaps below it: a linear programme in two unknowns, whose answer is the
/// edge of the upper hull over the mean of all places. It is then lowered by what may be taken off.
/// </remarks>
/// <example>Gaps 0, 0, 5 at 0, 400, 1200: the line over the last two, 2.5 at the first.</example>
public static class Shims
{
    /// <summary>Out of line by less is left, mm: assumption.</summary>
    public const double LeaveMm = 0.5;

    /// <summary>The plan.</summary>
    /// <param name="readings">Readings along one straight-edge, two or more.</param>
    /// <param name="mayTakeOffMm">What may be ground or planed off a high spot, mm.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<ShimPlan>> Of(IReadOnlyList<ShimReading> readings, double mayTakeOffMm, LengthFormat lengths)
    {
        if (readings.Select(r => r.AtMm).Distinct().Count() < readings.Count)
            return new Problem("reading-twice", "/readings", "Two readings stand at one place: give each bearer once.");
        if (readings.Count < 2)
            return new Problem("readings-too-few", "/readings", "Give the gap at two bearers or more.");
        var sheet = new Worksheet();
        // Tops, upwards.
        (double X, double Y)[] tops = [.. readings.Select(r => (r.AtMm, -r.GapMm)).OrderBy(p => p.AtMm)];
        (double slope, double rise) = Line(tops);
        double At(double x) => rise + (slope * x) - mayTakeOffMm;
        ShimAt[] places =
        [
            .. readings
                .Select(r => new ShimAt(r.AtMm, Math.Round(At(r.AtMm) + r.GapMm, 3)))
                .Select(p => Math.Abs(p.ShimMm) < LeaveMm ? p with { ShimMm = 0 } : p),
        ];
        double off = sheet.Step(
            "d",
            "out of line at most",
            "greatest distance below the line over the tops",
            readings.Max(r => rise + (slope * r.AtMm) + r.GapMm),
            "mm"
        );
        sheet.Step("S", "shims in all", "sum of what lies below the line", places.Sum(p => Math.Max(0, p.ShimMm)), "mm");
        sheet.Cite(new Source("The line over the tops that needs the least shim", SourceKind.Geometry));
        sheet.Cite(new Source("Less than 0.5 mm is left", SourceKind.Assumption));
        string List(IEnumerable<ShimAt> all) => string.Join(", ", all.Select(p => $"{lengths.Text(Math.Abs(p.ShimMm))} at {lengths.Text(p.AtMm)}"));
        ShimAt[] under = [.. places.Where(p => p.ShimMm > 0)],
            offs = [.. places.Where(p => p.ShimMm < 0)];
        string verdict =
            under.Length + offs.Length == 0
                ? $"In line within {lengths.Text(Math.Max(LeaveMm, off))}: nothing to do."
                : (under.Length == 0 ? "" : $"Shim {List(under)}.")
                    + (offs.Length == 0 ? "" : $"{(under.Length == 0 ? "" : " ")}Take off {List(offs)}.");
        return sheet.Finish(new ShimPlan(places, off, verdict));
    }

    /// <summary>The line over all points with the least sum of distances down to them.</summary>
    private static (double Slope, double Rise) Line((double X, double Y)[] tops)
    {
        List<(double X, double Y)> hull = [];
        foreach ((double X, double Y) p in tops)
        {
            while (hull.Count > 1 && Turn(hull[^2], hull[^1], p) >= 0)
                hull.RemoveAt(hull.Count - 1);
            hull.Add(p);
        }
        // The sum is least where the line lies lowest over the mean of all places: on the hull's edge there.
        double mean = tops.Average(p => p.X);
        int edge = Math.Clamp(hull.FindIndex(p => p.X >= mean - 1e-9), 1, hull.Count - 1);
        double slope = Slope(hull[edge - 1], hull[edge]);
        // Over a corner both edges are as good, and so is every slope between them: half way tilts the floor least.
        if (edge + 1 < hull.Count && Math.Abs(hull[edge].X - mean) < 1e-9)
            slope = (slope + Slope(hull[edge], hull[edge + 1])) / 2;
        return (slope, hull[edge].Y - (slope * hull[edge].X));
    }

    private static double Slope((double X, double Y) a, (double X, double Y) b) => (b.Y - a.Y) / (b.X - a.X);

    private static double Turn((double X, double Y) a, (double X, double Y) b, (double X, double Y) c) =>
        ((b.X - a.X) * (c.Y - b.Y)) - ((b.Y - a.Y) * (c.X - b.X));
}
