using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Floor;

/// <summary>A floor that gets battens under its deck.</summary>
/// <param name="LengthMm">Length across the battens, from wall to wall, mm.</param>
/// <param name="WidthMm">Length of a batten, mm.</param>
/// <param name="BattenMm">Width of a batten, mm.</param>
/// <param name="MostSpacingMm">Most from batten to batten, middle to middle, mm.</param>
/// <param name="CloseFromMm">Where a stretch begins that needs battens twice as close, such as the walkway or below a load, mm from the first wall;
/// null for none.</param>
/// <param name="CloseToMm">Where it ends, mm; null for none.</param>
/// <param name="CrossMm">Most from cross piece to cross piece, mm; null for battens one way only.</param>
public sealed record FurredFloor(
    [Within(200, Limits.LongestMm, "The length", "mm")] double LengthMm,
    [Within(200, 5000, "The width", "mm")] double WidthMm,
    [Within(15, 150, "The batten", "mm")] double BattenMm,
    [Within(100, 1500, "The spacing", "mm")] double MostSpacingMm,
    [Within(0, Limits.LongestMm, "The beginning", "mm")] double? CloseFromMm = null,
    [Within(0, Limits.LongestMm, "The end", "mm")] double? CloseToMm = null,
    [Within(100, 1500, "The cross spacing", "mm")] double? CrossMm = null
);

/// <summary>Pieces of insulation of one size.</summary>
/// <param name="Count">How many.</param>
/// <param name="LengthMm">Across the battens, mm.</param>
/// <param name="WidthMm">Along them, mm.</param>
public sealed record FoamPieces(int Count, double LengthMm, double WidthMm);

/// <summary>Where battens go.</summary>
/// <param name="BattensMm">Middles of the battens, from the first wall, mm.</param>
/// <param name="CrossesMm">Middles of the cross pieces, from the side wall, mm; empty where there are none.</param>
/// <param name="PitchMm">From batten to batten where they are not closer, mm.</param>
/// <param name="BayMm">Clear between them, mm.</param>
/// <param name="Foam">What goes between, by size, most first.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record FurringPlan(
    IReadOnlyList<double> BattensMm,
    IReadOnlyList<double> CrossesMm,
    double PitchMm,
    double BayMm,
    IReadOnlyList<FoamPieces> Foam,
    string Verdict
);

/// <summary>Sets battens out so that all bays are equal, with one half way where it has to be stiffer.</summary>
/// <remarks>
/// The first and the last batten lie along the walls, and between them the fewest that keep the spacing: all bays are equal, so that insulation
/// is cut to one size. In a bay that meets the stretch which has to be closer, one more lies half way.
/// </remarks>
/// <example>4300 long, battens of 38, at most 457: 11 battens 426.2 apart.</example>
public static class Furring
{
    private const double SameMm = 0.05;

    /// <summary>The plan.</summary>
    /// <param name="floor">The floor.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<FurringPlan>> Of(FurredFloor floor, LengthFormat lengths)
    {
        if (floor.CloseFromMm is { } begins && floor.CloseToMm is { } ends && begins >= ends)
            return new Problem("stretch-backwards", "/closeToMm", "The closer stretch ends before it begins.");
        if (floor.MostSpacingMm <= floor.BattenMm)
            return new Problem(
                "battens-touch",
                "/mostSpacingMm",
                $"Battens {lengths.Text(floor.BattenMm)} wide and {lengths.Text(floor.MostSpacingMm)} apart touch: give a wider spacing."
            );
        var sheet = new Worksheet();
        double[] even = Even(floor.LengthMm, floor.BattenMm, floor.MostSpacingMm);
        double pitch = sheet.Step("p", "from batten to batten", "(L - w) / ceil((L - w) / p_max)", even[1] - even[0], "mm");
        double bay = sheet.Step("b", "clear bay", "p - w", pitch - floor.BattenMm, "mm");
        List<double> battens = [];
        for (int i = 0; i < even.Length; i++)
        {
            battens.Add(even[i]);
            bool closer = i + 1 < even.Length && floor.CloseFromMm is { } from && floor.CloseToMm is { } to && even[i] < to && even[i + 1] > from;
            if (closer)
                battens.Add((even[i] + even[i + 1]) / 2);
        }
        double[] crosses = floor.CrossMm is { } cross ? Even(floor.WidthMm, floor.BattenMm, cross) : [];
        double[] across = crosses.Length == 0 ? [floor.WidthMm] : [.. crosses.Zip(crosses.Skip(1), (a, b) => b - a - floor.BattenMm)];
        FoamPieces[] foam =
        [
            .. battens
                .Zip(battens.Skip(1), (a, b) => b - a - floor.BattenMm)
                .Where(clear => clear > SameMm)
                .SelectMany(clear => across.Select(wide => (Long: Rounded(clear), Wide: Rounded(wide))))
                .GroupBy(size => size)
                .Select(g => new FoamPieces(g.Count(), g.Key.Long, g.Key.Wide))
                .OrderByDescending(f => f.Count)
                .ThenByDescending(f => f.LengthMm),
        ];
        sheet.Step("n", "battens", "even ones, and one half way in each closer bay", battens.Count, "count");
        sheet.Cite(new Source("Battens along both walls, bays equal, twice as close below the walkway and loads", SourceKind.CommonPractice));
        sheet.Warn("Rigid foam, not wool, below a floor: wool holds water like a sponge. Leave the lowest corner open for water to leave.");
        string verdict =
            $"{battens.Count} battens, {lengths.Text(pitch)} apart"
            + (battens.Count > even.Length ? $" and {lengths.Text(pitch / 2)} in the closer stretch" : "")
            + $"; foam: {string.Join(", ", foam.Select(f => $"{f.Count} of {lengths.Number(f.LengthMm)} x {lengths.Text(f.WidthMm)}"))}.";
        return sheet.Finish(new FurringPlan(battens, crosses, pitch, bay, foam, verdict));
    }

    /// <summary>Middles of battens along both walls and evenly between them, the fewest that keep a spacing.</summary>
    private static double[] Even(double length, double wide, double most)
    {
        int bays = Math.Max(1, (int)Math.Ceiling(((length - wide) / most) - 1e-9));
        return [.. Enumerable.Range(0, bays + 1).Select(i => (wide / 2) + ((length - wide) * i / bays))];
    }

    private static double Rounded(double mm) => Math.Round(mm, 1);
}
