using Abri.Core.Declared;

namespace Abri.Core.Floor;

/// <summary>Epoxy to be spread.</summary>
/// <param name="AirC">Temperature of air and resin, C.</param>
/// <param name="PotLifeMinutes">Pot life on its sheet, min.</param>
/// <param name="PotLifeAtC">At which temperature the sheet gives it, C.</param>
/// <param name="PotLifeOfMl">For which amount it gives it, ml.</param>
/// <param name="MlPerMinute">What one person spreads, ml/min.</param>
/// <param name="ShallowTray">Whether it is poured into a shallow tray at once.</param>
public sealed record EpoxyQuestion(
    [Within(-20, 60, "The temperature", "C")] double AirC,
    [Within(2, 600, "The pot life", "minutes")] double PotLifeMinutes,
    [Within(5, 40, "The temperature of the sheet", "C")] double PotLifeAtC = 23,
    [Within(10, 5000, "The amount of the sheet", "ml")] double PotLifeOfMl = 100,
    [Within(1, 500, "What is spread", "ml/min")] double MlPerMinute = 20,
    bool ShallowTray = true
);

/// <summary>How much to mix at once.</summary>
/// <param name="PotLifeMinutes">Pot life in this air, for the amount of the sheet, min.</param>
/// <param name="BatchMl">How much to mix, ml; 0 where none should be.</param>
/// <param name="SpreadMinutes">Within how many minutes it is spread, min.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record EpoxyPlan(double PotLifeMinutes, double BatchMl, double SpreadMinutes, string Verdict);

/// <summary>How much epoxy to mix at once, so that it is spread before it sets in the pot.</summary>
/// <remarks>
/// Pot life halves for each 10 K (common rule of the reaction's speed), and a batch is what is spread in 70 % of it. In a deep pot more than the
/// amount of the sheet heats itself: there no more than that amount is mixed; in a shallow tray the heat leaves, and the pace of spreading counts
/// alone. Outside 10 to 40 C no figure is given: below it does not cure as its sheet says, above it sets before it is spread.
/// </remarks>
/// <example>30 min at 23 C: 37.8 C leaves 0.36 of it, 10.8 min; 7.5 min of spreading, 151 ml at 20 ml/min.</example>
public static class EpoxyBatch
{
    /// <summary>Share of the pot life within which a batch is spread: common practice.</summary>
    public const double UsedShare = 0.7;

    private const double HalvesPerK = 10,
        LeastC = 10,
        MostC = 40,
        HotC = 30,
        LeastBatchMl = 20;

    /// <summary>The answer.</summary>
    public static Result<Worked<EpoxyPlan>> Of(EpoxyQuestion question)
    {
        if (question.AirC is < LeastC or > MostC)
            return new Problem(
                "epoxy-air",
                "/airC",
                question.AirC < LeastC
                    ? $"Below {LeastC:0} C epoxy does not cure as its sheet says: warm the place and the resin, or wait."
                    : $"Above {MostC:0} C epoxy sets in the pot before it is spread: work in the cool of the morning, in the shade."
            );
        var sheet = new Worksheet();
        double share = sheet.Step(
            "f",
            "share of the pot life that is left",
            $"2^(-(T - T_0) / {HalvesPerK:0})",
            Math.Pow(2, -(question.AirC - question.PotLifeAtC) / HalvesPerK),
            ""
        );
        double pot = sheet.Step("t", "pot life in this air", "t_0 f", question.PotLifeMinutes * share, "min");
        double spread = sheet.Step("u", "spread within", $"{UsedShare} t", UsedShare * pot, "min");
        double pace = sheet.Step("V", "spread in that time", "u q", spread * question.MlPerMinute, "ml");
        double batch = sheet.Step(
            "B",
            "batch",
            question.ShallowTray ? "V" : "at most the amount of the sheet: a deep pot heats itself",
            question.ShallowTray ? pace : Math.Min(pace, question.PotLifeOfMl),
            "ml"
        );
        sheet.Cite(new Source("Pot life halves for each 10 K; a batch is what is spread in 70 % of it", SourceKind.CommonPractice));
        sheet.Warn("Gloves and air. A pot that sets gets hot enough to burn hands and to smoke: out of doors with it, onto stone.");
        bool hot = question.AirC > HotC;
        if (hot)
            sheet.Warn("Above 30 C: shallow tray, small cups, the cool hours, resin kept in the shade.");
        bool enough = batch >= LeastBatchMl;
        string verdict = enough
            ? $"Mix {Math.Floor(batch / 10) * 10:0} ml at a time and spread it within {Math.Floor(spread):0} min: "
                + $"the pot lives {pot:0} min in this air."
            : $"The pot lives {pot:0.#} min in this air: too short for a brush. Wait until it is cooler, or take a slower hardener.";
        return sheet.Finish(new EpoxyPlan(pot, enough ? batch : 0, spread, verdict));
    }
}
