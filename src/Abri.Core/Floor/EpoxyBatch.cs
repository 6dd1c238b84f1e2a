using Abri.Core.Declared;
using Abri.Core.Sealing;

namespace Abri.Core.Floor;

/// <summary>Epoxy to be spread.</summary>
/// <param name="AirC">Temperature of air and resin, C.</param>
/// <param name="PotLifeMinutes">Pot life on its sheet, at 23 C for 100 g, min.</param>
/// <param name="MlPerMinute">What one person spreads, ml/min.</param>
/// <param name="ShallowTray">Whether it is poured into a shallow tray at once.</param>
public sealed record EpoxyQuestion(
    [Within(-20, 60, "The temperature", "C")] double AirC,
    [Within(2, 600, "The pot life", "minutes")] double PotLifeMinutes,
    [Within(1, 500, "What is spread", "ml/min")] double MlPerMinute = 20,
    bool ShallowTray = true
);

/// <summary>How much to mix at once.</summary>
/// <param name="PotLifeMinutes">Pot life of the batch in this air, min; 0 where none is mixed.</param>
/// <param name="BatchMl">How much to mix, ml; 0 where none should be.</param>
/// <param name="SpreadMinutes">Within how many minutes it is spread, min.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record EpoxyPlan(double PotLifeMinutes, double BatchMl, double SpreadMinutes, string Verdict);

/// <summary>How much epoxy to mix at once, so that it is spread before it sets in the pot.</summary>
/// <remarks>
/// Pot life is that of <see cref="OpenTime.InThePot"/>, with its limits; a batch is what is spread in 70 % of it. In a shallow tray the heat
/// leaves, and the pot life of a small amount counts. In a deep pot a batch of more than 100 g heats itself: the one is sought that is spread in
/// 70 % of its own pot life, m = (G 100^(1/3))^(3/4) with G what would be spread if it stayed cool.
/// </remarks>
/// <example>30 min at 23 C: at 33 C 15 min, 10.5 min of spreading, 210 ml at 20 ml/min from a tray.</example>
public static class EpoxyBatch
{
    /// <summary>Share of the pot life within which a batch is spread: common practice.</summary>
    public const double UsedShare = 0.7;

    /// <summary>Above this the cool hours are kept to: common practice, C.</summary>
    private const double HotC = 30;

    private const double GramsPerMl = 1.1,
        LeastBatchMl = 20;

    /// <summary>The answer.</summary>
    public static Worked<EpoxyPlan> Of(EpoxyQuestion question)
    {
        var sheet = new Worksheet();
        Worked<WorkingTime> cool = OpenTime.InThePot(question.PotLifeMinutes, question.AirC, OpenTime.CoolGrams);
        sheet.Warn("Gloves and air. A pot that sets gets hot enough to burn hands and to smoke: out of doors with it, onto stone.");
        if (cool.Result.Minutes == 0)
        {
            sheet.Take(cool);
            return sheet.Finish(new EpoxyPlan(0, 0, 0, cool.Result.Verdict));
        }
        double grams = sheet.Step(
            "G",
            "spread while a small amount lives",
            $"{UsedShare} t q {GramsPerMl}",
            UsedShare * cool.Result.Minutes * question.MlPerMinute * GramsPerMl,
            "g"
        );
        double mixed = sheet.Step(
            "m",
            "mixed at once",
            question.ShallowTray ? "G" : $"G, or (G {OpenTime.CoolGrams:0}^(1/3))^(3/4) where that is more than {OpenTime.CoolGrams:0} g",
            question.ShallowTray || grams <= OpenTime.CoolGrams ? grams : Math.Pow(grams * Math.Cbrt(OpenTime.CoolGrams), 0.75),
            "g"
        );
        Worked<WorkingTime> pot = question.ShallowTray ? cool : OpenTime.InThePot(question.PotLifeMinutes, question.AirC, mixed);
        sheet.Take(pot);
        double spread = sheet.Step("u", "spread within", $"{UsedShare} t", UsedShare * pot.Result.Minutes, "min"),
            batch = sheet.Step("B", "batch", $"m / {GramsPerMl}", mixed / GramsPerMl, "ml");
        sheet.Cite(new Source("A batch is what is spread in 70 % of its pot life", SourceKind.CommonPractice));
        sheet.Cite(new Source("Mixed epoxy weighs 1.1 g/ml", SourceKind.Assumption));
        if (question.AirC > HotC)
            sheet.Warn($"Above {HotC:0} °C: shallow tray, small cups, the cool hours, resin kept in the shade.");
        bool enough = batch >= LeastBatchMl;
        string verdict = enough
            ? $"Mix {Math.Floor(batch / 10) * 10:0} ml at a time and spread it within {Math.Floor(spread):0} min: "
                + $"the pot lives {pot.Result.Minutes:0} min in this air."
            : $"The pot lives {pot.Result.Minutes:0.#} min in this air: too short for a brush. Wait until it is cooler, or take a slower hardener.";
        return sheet.Finish(new EpoxyPlan(pot.Result.Minutes, enough ? batch : 0, spread, verdict));
    }
}
