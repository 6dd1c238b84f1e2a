using Abri.Core.Declared;

namespace Abri.Core.Load;

/// <summary>What a weighbridge showed; null what was not weighed by itself.</summary>
/// <param name="TotalKg">All wheels, kg.</param>
/// <param name="FrontKg">The front axle, kg; of a trailer, the coupling.</param>
/// <param name="RearKg">The rear axle, kg.</param>
/// <param name="LeftKg">The left wheels, kg.</param>
/// <param name="RightKg">The right wheels, kg.</param>
public sealed record WeighbridgeReading(
    [Within(20, 50_000, "The reading", "kg")] double? TotalKg,
    [Within(0, 30_000, "The reading", "kg")] double? FrontKg,
    [Within(0, 40_000, "The reading", "kg")] double? RearKg,
    [Within(0, 30_000, "The reading", "kg")] double? LeftKg = null,
    [Within(0, 30_000, "The reading", "kg")] double? RightKg = null
) : IConsistent
{
    (string Field, string Message)? IConsistent.Contradiction() =>
        (TotalKg ?? FrontKg ?? RearKg ?? LeftKg ?? RightKg) is null ? ("totalKg", "Type at least one figure that the weighbridge showed.")
        : FrontKg > TotalKg ? ("frontKg", "One axle cannot stand on the bridge with more than the whole vehicle.")
        : RearKg > TotalKg ? ("rearKg", "One axle cannot stand on the bridge with more than the whole vehicle.")
        : null;
}

/// <summary>Mass on axles and on the left wheels.</summary>
/// <param name="FrontKg">On the front axle or the coupling, kg.</param>
/// <param name="RearKg">On the rear axle, kg.</param>
/// <param name="LeftKg">On the left wheels, kg.</param>
public sealed record AxleShares(
    [Within(-20_000, 30_000, "The mass on the front axle", "kg")] double FrontKg,
    [Within(-20_000, 40_000, "The mass on the rear axle", "kg")] double RearKg,
    [Within(-20_000, 40_000, "The mass on the left wheels", "kg")] double LeftKg
);

/// <summary>A time on the weighbridge.</summary>
/// <param name="Reading">What it showed.</param>
/// <param name="Aboard">What was aboard then besides the empty base, as the program knew it.</param>
public sealed record WeighedLoad(WeighbridgeReading Reading, AxleShares Aboard);

/// <summary>The empty base vehicle by its papers; null what they do not say.</summary>
/// <param name="KerbKg">Its mass, kg.</param>
/// <param name="FrontKg">How much of it stands on the front axle, kg; of a trailer, hangs on the coupling.</param>
public sealed record BasePapers(
    [Within(50, 40_000, "The kerb mass", "kg")] double? KerbKg,
    [Within(0, 20_000, "The kerb mass on the front axle", "kg")] double? FrontKg
);

/// <summary>The base vehicle as weighbridges correct it.</summary>
/// <param name="On">Its mass on the axles, and on the left wheels.</param>
/// <param name="MoreKg">By how much it is heavier than the papers say, kg; less than 0 where it is lighter; null where they say nothing.</param>
/// <param name="WorstKg">Greatest difference that is left between what a bridge showed and what this gives, kg.</param>
/// <param name="KnowsTotal">Whether its mass is known at all.</param>
/// <param name="KnowsAxles">Whether it is known how it stands on the axles.</param>
/// <param name="KnowsSides">Whether one side was weighed; taken as even otherwise.</param>
public sealed record WeighedBase(AxleShares On, double? MoreKg, double WorstKg, bool KnowsTotal, bool KnowsAxles, bool KnowsSides);

/// <summary>What the base vehicle weighs, and where, from the times it stood on a weighbridge.</summary>
/// <remarks>
/// Least squares over all figures, each less what was aboard then, on the base mass on the front axle, on the rear axle and on the left wheels. The
/// papers count with a thousandth of the weight of a figure: what no bridge has told stays as they say.
/// </remarks>
public static class Weighbridge
{
    /// <summary>Square of the papers' weight against a figure of a bridge: assumption, small enough to shift nothing that was weighed.</summary>
    private const double PaperWeight = 1e-6;

    /// <summary>The answer.</summary>
    /// <param name="papers">The base as the papers have it.</param>
    /// <param name="weighed">The times.</param>
    /// <param name="isTrailer">Whether the sides are those of the axle alone.</param>
    public static Worked<WeighedBase> Of(BasePapers papers, IReadOnlyList<WeighedLoad> weighed, bool isTrailer)
    {
        var sheet = new Worksheet();
        List<(double[] Row, double Kg)> lines = [.. weighed.SelectMany(w => Lines(w, isTrailer))];
        double? Mean(double[] row) => lines.Where(l => l.Row.SequenceEqual(row)).Select(l => (double?)l.Kg).DefaultIfEmpty(null).Average();
        (double? oneFront, double? oneRear) = (Mean(OnFront), Mean(OnRear));
        double? total = papers.KerbKg ?? Mean(OnBoth) ?? (oneFront + oneRear);
        // How the papers' mass is shared out, where they do not say, is what the bridge says.
        double? front = papers.FrontKg ?? oneFront ?? (total - oneRear);
        double[] prior = [front ?? (total ?? 0) / 2, total - front ?? (total ?? 0) / 2, 0];
        prior[2] = ((isTrailer ? 0 : prior[0]) + prior[1]) / 2;
        double[] apart = Apart(lines, prior);
        var on = new AxleShares(
            sheet.Step("F", "base on the front", "least squares", prior[0] + apart[0], "kg"),
            sheet.Step("R", "base on the rear", "least squares", prior[1] + apart[1], "kg"),
            sheet.Step("L", "base on the left", "least squares", prior[2] + apart[2], "kg")
        );
        double? more = papers.KerbKg is { } kerb
            ? sheet.Step("dm", "heavier than by the papers", "F + R - papers", on.FrontKg + on.RearKg - kerb, "kg")
            : null;
        double worst = sheet.Step(
            "e",
            "greatest difference that is left",
            "figure - what this gives",
            lines.Select(l => Math.Abs(l.Kg - Dot(l.Row, [on.FrontKg, on.RearKg, on.LeftKg]))).DefaultIfEmpty(0).Max(),
            "kg"
        );
        sheet.Cite(new Source("Least squares", SourceKind.Geometry));
        return sheet.Finish(
            new WeighedBase(
                on,
                more,
                worst,
                total is not null,
                total is not null && front is not null,
                weighed.Any(w => (w.Reading.LeftKg ?? w.Reading.RightKg) is not null)
            )
        );
    }

    private static readonly double[] OnFront = [1, 0, 0],
        OnRear = [0, 1, 0],
        OnBoth = [1, 1, 0],
        OnLeft = [0, 0, 1];

    /// <summary>Every figure as a sum of base masses.</summary>
    private static IEnumerable<(double[] Row, double Kg)> Lines(WeighedLoad weighed, bool isTrailer)
    {
        WeighbridgeReading r = weighed.Reading;
        AxleShares a = weighed.Aboard;
        double f = isTrailer ? 0 : 1,
            wheels = (f * a.FrontKg) + a.RearKg;
        (double? Kg, double[] Row, double Aboard)[] all =
        [
            (r.TotalKg, OnBoth, a.FrontKg + a.RearKg),
            (r.FrontKg, OnFront, a.FrontKg),
            (r.RearKg, OnRear, a.RearKg),
            (r.LeftKg, OnLeft, a.LeftKg),
            (r.RightKg, [f, 1, -1], wheels - a.LeftKg),
        ];
        return all.Where(l => l.Kg is not null).Select(l => (l.Row, l.Kg!.Value - l.Aboard));
    }

    /// <summary>How far the base lies from the papers: the normal equations of three unknowns, by Cramer's rule.</summary>
    private static double[] Apart(List<(double[] Row, double Kg)> lines, double[] prior)
    {
        double[,] normal = new double[3, 3];
        double[] right = new double[3];
        for (int i = 0; i < 3; i++)
        {
            normal[i, i] = PaperWeight;
            foreach ((double[] row, double kg) in lines)
            {
                right[i] += row[i] * (kg - Dot(row, prior));
                for (int j = 0; j < 3; j++)
                    normal[i, j] += row[i] * row[j];
            }
        }
        double all = Determinant(normal);
        return [.. Enumerable.Range(0, 3).Select(k => Determinant(With(normal, k, right)) / all)];
    }

    private static double[,] With(double[,] of, int column, double[] by)
    {
        double[,] with = (double[,])of.Clone();
        for (int i = 0; i < 3; i++)
            with[i, column] = by[i];
        return with;
    }

    private static double Determinant(double[,] m) =>
        (m[0, 0] * ((m[1, 1] * m[2, 2]) - (m[1, 2] * m[2, 1])))
        - (m[0, 1] * ((m[1, 0] * m[2, 2]) - (m[1, 2] * m[2, 0])))
        + (m[0, 2] * ((m[1, 0] * m[2, 1]) - (m[1, 1] * m[2, 0])));

    private static double Dot(double[] a, double[] b) => (a[0] * b[0]) + (a[1] * b[1]) + (a[2] * b[2]);
}
