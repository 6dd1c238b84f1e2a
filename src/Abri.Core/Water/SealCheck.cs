using Abri.Core.Geometry;

namespace Abri.Core.Water;

/// <summary>How a seal closes at one place.</summary>
/// <param name="Place">Where.</param>
/// <param name="SqueezePercent">By how much of its height the closed door squeezes it, %; negative where it does not even touch.</param>
/// <param name="Closes">Whether that is enough.</param>
public sealed record SealPlace(PanelPoint Place, double SqueezePercent, bool Closes);

/// <summary>How a seal closes along its length.</summary>
/// <param name="Places">The places, in the order of the readings.</param>
/// <param name="LeastPercent">The least squeeze, %.</param>
/// <param name="OpenMm">Length of seal along which it is not squeezed enough, between the readings taken as straight, mm.</param>
/// <param name="Verdict">What that means, and what would mend it.</param>
public sealed record SealOutlook(IReadOnlyList<SealPlace> Places, double LeastPercent, double OpenMm, string Verdict);

/// <summary>Tells from pairs of readings along a seal where it does not close.</summary>
/// <remarks>A hollow rubber seal keeps water out where it is squeezed by <see cref="LeastSqueezePercent"/> of its height or more, and takes a set or
/// keeps the door from shutting beyond <see cref="MostSqueezePercent"/>: assumptions, maker's figures come first.</remarks>
/// <example>Seal 12 mm high, gap 9 mm: squeezed by 25 %. Gap 12.5 mm: it does not touch.</example>
public static class SealCheck
{
    /// <summary>Least squeeze that keeps water out, %: assumption.</summary>
    public const double LeastSqueezePercent = 15;

    /// <summary>Squeeze beyond which a seal takes a set, %: assumption.</summary>
    public const double MostSqueezePercent = 50;

    /// <summary>Checks a seal.</summary>
    /// <param name="readings">Readings in order along the seal.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<SealOutlook>> Of(IReadOnlyList<SealReading> readings, LengthFormat lengths)
    {
        if (readings.Count < 2)
            return new Problem("readings-too-few", "/readings", "Give at least two pairs of readings along the seal.");
        for (int i = 0; i < readings.Count; i++)
        {
            if (readings[i].SealMm is not > 0)
                return new Problem(
                    "seal-reading",
                    $"/readings/{i}/sealMm",
                    "A seal has a height. Where it is missing, write that down as a finding."
                );
            if (readings[i].GapMm is not >= 0)
                return new Problem("seal-reading", $"/readings/{i}/gapMm", "A gap cannot be less than nothing.");
        }
        var sheet = new Worksheet();
        SealPlace[] places = [.. readings.Select(Place)];
        double open = 0;
        for (int i = 1; i < places.Length; i++)
            open += readings[i].Place.DistanceMm(readings[i - 1].Place) * ShareBelow(places[i - 1].SqueezePercent, places[i].SqueezePercent);
        SealPlace least = places.MinBy(p => p.SqueezePercent)!,
            most = places.MaxBy(p => p.SqueezePercent)!;
        int worst = Array.IndexOf(places, least);
        sheet.Step("h", "seal at the worst place", "as measured", readings[worst].SealMm, "mm");
        sheet.Step("g", "gap there", "as measured", readings[worst].GapMm, "mm");
        sheet.Step("q", "squeezed there by", "(h - g) / h", least.SqueezePercent, "%");
        sheet.Step("L", "length below what is needed", "between readings in straight lines", open, "mm");
        sheet.Cite(
            new Source($"A seal closes from {LeastSqueezePercent} % squeeze and takes a set beyond {MostSqueezePercent} %", SourceKind.Assumption)
        );
        string verdict =
            least.SqueezePercent < 0
                ? "It does not touch over some of its length: the door stands "
                    + $"{lengths.Text(-least.SqueezePercent / 100 * readings[worst].SealMm)} off. Set the hinge or the striker, or fit a higher seal."
            : !least.Closes
                ? $"It is squeezed by {least.SqueezePercent:0} % only. Bring the door in by "
                    + $"{lengths.Text(readings[worst].GapMm - (readings[worst].SealMm * (1 - (LeastSqueezePercent / 100))))} there, "
                    + "or fit a higher seal."
            : most.SqueezePercent > MostSqueezePercent
                ? $"It closes, but is squeezed by {most.SqueezePercent:0} % at its tightest and will take a set. Ease the door there."
            : "It closes all along.";
        return sheet.Finish(new SealOutlook(places, least.SqueezePercent, open, verdict));
    }

    /// <summary>How a seal closes at one place.</summary>
    internal static SealPlace Place(SealReading r)
    {
        double squeeze = (r.SealMm - r.GapMm) / r.SealMm * 100;
        return new SealPlace(r.Place, squeeze, squeeze >= LeastSqueezePercent);
    }

    /// <summary>Share of a stretch along which a squeeze that changes evenly lies below the least.</summary>
    private static double ShareBelow(double a, double b)
    {
        (double low, double high) = (Math.Min(a, b), Math.Max(a, b));
        return high < LeastSqueezePercent ? 1
            : low >= LeastSqueezePercent ? 0
            : (LeastSqueezePercent - low) / (high - low);
    }
}
