using Abri.Core.Declared;

namespace Abri.Core.Days;

/// <summary>How long the nth piece of the same work takes.</summary>
/// <param name="Minutes">For this one, min.</param>
/// <param name="TotalMinutes">For all up to this one, min.</param>
/// <param name="Verdict">In words.</param>
public sealed record Learnt(double Minutes, double TotalMinutes, string Verdict);

/// <summary>Work of one kind gets quicker: each time that the count doubles it takes a fixed share of what it took.</summary>
/// <remarks>T_n = T_1 n^log2(b) (Wright 1936); b = <see cref="UsualRate"/> for hand work (assumption).</remarks>
/// <example>100 min the first time, b 0.85: 85 the second, 72.25 the fourth.</example>
public static class Learning
{
    /// <summary>Share that each doubling takes: assumption.</summary>
    public const double UsualRate = 0.85;

    /// <summary>How long the nth takes.</summary>
    /// <param name="firstMinutes">The first one, min.</param>
    /// <param name="count">Which one, from 1.</param>
    /// <param name="rate">Share that each doubling takes.</param>
    public static Worked<Learnt> Of(
        [Within(0, 10_000, "The first time", "min")] double firstMinutes,
        [Within(1, 1000, "The count")] int count,
        [Within(0.5, 1, "The share")] double rate = UsualRate
    )
    {
        var sheet = new Worksheet();
        double power = sheet.Step("k", "exponent", "ln b / ln 2", Math.Log2(rate), "");
        double nth = sheet.Step("T_n", "this one", "T_1 n^k", Nth(firstMinutes, count, rate), "min");
        double total = sheet.Step(
            "S_n",
            "all up to this one",
            "sum of T_1 i^k",
            Enumerable.Range(1, count).Sum(i => firstMinutes * Math.Pow(i, power)),
            "min"
        );
        sheet.Cite(
            new Source("Wright, Factors affecting the cost of airplanes, Journal of the Aeronautical Sciences 3 (1936)", SourceKind.FromMemory)
        );
        sheet.Cite(new Source($"Each doubling takes {UsualRate:0.00} of the time before", SourceKind.Assumption));
        return sheet.Finish(new Learnt(nth, total, $"Number {count} takes about {nth:0} min, all {count} together {total / 60:0.#} h."));
    }

    /// <summary>Minutes of the nth.</summary>
    internal static double Nth(double firstMinutes, int count, double rate) => firstMinutes * Math.Pow(count, Math.Log2(rate));
}
