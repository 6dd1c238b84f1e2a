using Abri.Core.Geometry;

namespace Abri.Core.Openings.Clamping;

/// <summary>A gasket at one place, before and after tightening.</summary>
/// <param name="Compressed">Share by which it is compressed.</param>
/// <param name="MeetsBy">Whether it meets the rule read as compressed by 50 to 75 %.</param>
/// <param name="MeetsTo">Whether it meets the rule read as compressed to 50 to 75 %.</param>
/// <param name="GoOnMm">How much further to tighten here, mm, to the gap that meets both; negative where it went too far.</param>
public sealed record GasketPlace(double Compressed, bool MeetsBy, bool MeetsTo, double GoOnMm);

/// <summary>How evenly a gasket is compressed.</summary>
/// <param name="Places">The places, in the order measured.</param>
/// <param name="TargetGapMm">The gap that meets both readings of the rule, mm.</param>
/// <param name="Verdict">Where to go on.</param>
public sealed record GasketFit(IReadOnlyList<GasketPlace> Places, double TargetGapMm, string Verdict);

/// <summary>Tells from gaps before and after tightening where to go on.</summary>
/// <remarks>The rule "50 to 75 %" is read in two ways (see docs/schools.md): the gap that remains is 25 to 50 % of what it was, or 50 to 75 %. 50 %
/// satisfies both: aim there. Common practice, no source.</remarks>
/// <example>8 mm free: 4.0 mm meets both; 2.0 to 4.0 the one, 4.0 to 6.0 the other.</example>
public static class Gasket
{
    private const double HairMm = 1e-9;

    /// <summary>The state of a gasket.</summary>
    /// <param name="beforeMm">Gaps before tightening, mm.</param>
    /// <param name="afterMm">Gaps at the same places after it, mm.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<GasketFit>> Of(IReadOnlyList<double> beforeMm, IReadOnlyList<double> afterMm, LengthFormat lengths)
    {
        if (beforeMm.Count == 0 || beforeMm.Count != afterMm.Count)
            return new Problem(
                "gasket-places",
                "/afterMm",
                $"Give a gap before and after at each place: {beforeMm.Count} and {afterMm.Count} were given."
            );
        for (int i = 0; i < beforeMm.Count; i++)
        {
            if (beforeMm[i] is not > 0)
                return new Problem("gasket-gap", $"/beforeMm/{i}", "Before tightening there is a gap of more than nothing.");
            if (afterMm[i] is not >= 0)
                return new Problem("gasket-gap", $"/afterMm/{i}", "A gap cannot be less than nothing.");
            if (afterMm[i] > beforeMm[i])
                return new Problem(
                    "gasket-gap",
                    $"/afterMm/{i}",
                    $"At place {i + 1} the gap after tightening ({lengths.Text(afterMm[i])}) is larger than before "
                        + $"({lengths.Text(beforeMm[i])}). Measure both again; the two may have been swapped."
                );
        }
        GasketPlace[] places =
        [
            .. beforeMm.Zip(afterMm, (before, after) =>
                new GasketPlace(
                    1 - (after / before),
                    after >= (0.25 * before) - HairMm && after <= (0.5 * before) + HairMm,
                    after >= (0.5 * before) - HairMm && after <= (0.75 * before) + HairMm,
                    after - (0.5 * before)
                )
            ),
        ];
        var sheet = new Worksheet();
        double target = sheet.Step("g", "gap that meets both readings", "0.5 * mean gap before", 0.5 * beforeMm.Average(), "mm");
        for (int i = 0; i < places.Length; i++)
            sheet.Step($"q_{i + 1}", $"compressed by, place {i + 1}", "1 - after / before", places[i].Compressed * 100, "%");
        sheet.Cite(new Source("Compressed by 50 to 75 %, or to 50 to 75 %: both readings", SourceKind.CommonPractice));
        int tightest = Array.FindIndex(places, p => p.GoOnMm == places.Min(x => x.GoOnMm));
        int furthest = Array.FindIndex(places, p => p.GoOnMm == places.Max(x => x.GoOnMm));
        string verdict =
            places.Any(p => p.Compressed > 0.75 + HairMm) ? "It is squeezed too far somewhere: ease it, or the gasket takes a set."
            : places.All(p => p is { MeetsBy: true, MeetsTo: true }) ? "It meets both readings all round: stop here."
            : places.Any(p => p is { MeetsBy: true, MeetsTo: false }) && places.Any(p => p is { MeetsBy: false, MeetsTo: true })
                ? $"The frame is skewed: place {tightest + 1} is squeezed more than half and place {furthest + 1} less. Ease place "
                    + $"{tightest + 1} first by "
                    + $"{lengths.Text(-places[tightest].GoOnMm)}, then go on at place {furthest + 1} by {lengths.Text(places[furthest].GoOnMm)}."
            : places.All(p => p.MeetsBy || p.MeetsTo)
                ? $"It meets one reading everywhere. Go on at place {furthest + 1} by {lengths.Text(places[furthest].GoOnMm)} to meet both."
            : $"Go on at place {furthest + 1}: {lengths.Text(places[furthest].GoOnMm)} more.";
        return sheet.Finish(new GasketFit(places, target, verdict));
    }
}
