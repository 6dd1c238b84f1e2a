using Abri.Core.Geometry;

namespace Abri.Core.Metal;

/// <summary>Spots of weld in the order in which they are made.</summary>
/// <param name="Spots">Where, in order.</param>
/// <param name="PitchMm">From one to its neighbour, mm.</param>
/// <param name="LeastApartMm">Least way along the edge from a spot to the next in order, mm.</param>
/// <param name="PauseAfter">Spots after which it is left until a bare hand can lie on it.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record WeldPlan(IReadOnlyList<PanelPoint> Spots, double PitchMm, double LeastApartMm, int PauseAfter, string Verdict);

/// <summary>Sets spots of weld out along a closed edge, each far from the one before, so that the sheet stays cool and flat.</summary>
/// <remarks>
/// Spots 25 to 40 mm apart: common practice. The way from spot to spot is one and the same number of places, a number that has no divisor in common
/// with their count, so that each is met once before any twice (a cyclic group's generator); of those the one nearest to 0.382 of the way
/// round, which
/// spreads what is met first most evenly. The count is the least that keeps 40 mm and has such a number between a third and a half of it.
/// </remarks>
/// <example>An edge of 520 mm: 13 spots of 40 mm, each 5 places on from the one before.</example>
public static class WeldOrder
{
    /// <summary>Greatest distance between spots, mm.</summary>
    public const double MostPitchMm = 40;

    /// <summary>Least distance, mm.</summary>
    public const double LeastPitchMm = 25;

    /// <summary>The share of the way round that spreads places most evenly.</summary>
    private const double Golden = 0.381966;

    private const int LeastSpots = 5;

    /// <summary>The order.</summary>
    /// <param name="edge">The edge, closed.</param>
    /// <param name="sheetMm">Thinner sheet, mm: thin sheet is left to cool more often.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<WeldPlan>> Of(IReadOnlyList<PanelPoint> edge, double sheetMm, LengthFormat lengths)
    {
        if (Outlines.Check(edge, "/edge") is { } crossed)
            return crossed;
        var sheet = new Worksheet();
        double around = sheet.Step("P", "length of the edge", "sum of its sides", Outlines.LengthMm([.. edge, edge[0]]), "mm");
        if (around < LeastSpots * LeastPitchMm)
            return new Problem(
                "weld-too-short",
                "/edge",
                $"An edge of {lengths.Text(around)} has no room for {LeastSpots} spots of {lengths.Text(LeastPitchMm)}: fill "
                    + $"the hole over a backing plate."
            );
        int n = Math.Max(LeastSpots, (int)Math.Ceiling((around / MostPitchMm) - 1e-9));
        while (Hop(n) is null)
            n++;
        int hop = Hop(n)!.Value;
        (IReadOnlyList<PanelPoint> places, double pitch) = RowLine.Of(edge, Plane.Union([]), around / n * 1.000001, 1, []);
        sheet.Step("n", "spots", "least that keeps 40 mm and has a hop", n, "count");
        sheet.Step("k", "places from one to the next", "nearest to 0.382 n without a common divisor", hop, "count");
        double apart = sheet.Step("a", "least way from one to the next", "min(k, n - k) P / n", Math.Min(hop, n - hop) * around / n, "mm");
        sheet.Cite(new Source("Spots 25 to 40 mm apart, each far from the one before, with pauses", SourceKind.CommonPractice));
        int pause = sheetMm < 1 ? 4 : 8;
        return sheet.Finish(
            new WeldPlan(
                [.. Enumerable.Range(0, n).Select(i => places[i * hop % n])],
                pitch,
                apart,
                pause,
                $"{n} spots, {lengths.Text(pitch)} apart; each {lengths.Text(apart)} or more along the edge from the one before. "
                    + $"After every {pause} wait until a bare hand can lie on it."
            )
        );
    }

    private static int? Hop(int n) =>
        Enumerable
            .Range(1, n - 1)
            .Where(k => 3 * k >= n && 2 * k <= n && Divisor(n, k) == 1)
            .OrderBy(k => Math.Abs(k - (Golden * n)))
            .Select(k => (int?)k)
            .FirstOrDefault();

    private static int Divisor(int a, int b) => b == 0 ? a : Divisor(b, a % b);
}
