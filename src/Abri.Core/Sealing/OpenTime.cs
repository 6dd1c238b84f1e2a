using Abri.Core.Weather;

namespace Abri.Core.Sealing;

/// <summary>How long a product can be worked.</summary>
/// <param name="Minutes">Minutes from the nozzle, or from mixing.</param>
/// <param name="Verdict">In words.</param>
public sealed record WorkingTime(double Minutes, string Verdict);

/// <summary>Works out how long a product stays open in today's air: until it skins, or until what was mixed sets in the pot.</summary>
/// <remarks>
/// Moisture-curing: skin time of the data sheet over the pace of the air (<see cref="Cure"/>). Two parts: pot life halves for every 10 K, and a large
/// batch heats itself: beyond <see cref="CoolGrams"/> it falls with the cube root of the mass. Never longer than <see cref="MostTimes"/> times what
/// the data sheet
/// says, and nothing where it is not to be laid or mixed at all. Stated models, assumptions; the data sheet comes first.
/// </remarks>
/// <example>Pot life 30 min at 23 C: at 33 C 15 min.</example>
public static class OpenTime
{
    /// <summary>What stays cool in the pot, g: assumption.</summary>
    public const double CoolGrams = 100;

    /// <summary>Air at which epoxy sets too soon in the pot, C: common practice.</summary>
    public const double TooHotC = 37.8;

    /// <summary>Air below which a mixed resin does not set through, C: assumption; the data sheet comes first.</summary>
    public const double TooColdC = 5;

    /// <summary>In the cold no time is taken for longer than so many times the data sheet's: assumption.</summary>
    public const double MostTimes = 3;

    private const double SheetC = 23,
        HalvedEveryK = 10;

    /// <summary>Until a skin forms.</summary>
    /// <param name="product">A product that cures by moisture.</param>
    /// <param name="air">Today's air.</param>
    /// <param name="layMinutes">Minutes to lay the bead; null where that is open.</param>
    public static Result<Worked<WorkingTime>> Of(Product product, AirHour air, double? layMinutes)
    {
        if (ProductCheck.Of(product) is { } problem)
            return problem.Under("/product");
        if (product.Setting != Setting.Moisture)
            return new Problem(
                "open-time-none",
                "/product",
                product.Setting == Setting.AtOnce ? "A tape has no open time: it holds at once." : "A product of two parts has a pot life instead."
            );
        if (MoistAir.Holds(air.AirC, air.RelativePercent).Problem is { } wrong)
            return wrong.Under("/air");
        var sheet = new Worksheet();
        double pace = sheet.Step("f", "pace against 23 C and 50 %", "humidity / 10.3 * 2^((T - 23) / 10)", Cure.Pace(air), "");
        if (Cure.NotAt(product, air.AirC) is { } notAt)
            return sheet.Finish(new WorkingTime(0, notAt));
        if (pace == 0)
            return sheet.Finish(new WorkingTime(0, "It freezes: it will neither skin nor stick. Wait for warmer air."));
        double minutes = sheet.Step(
            "t",
            "skin time today",
            $"min(skin time / f, {MostTimes:0} * skin time)",
            Math.Min(MostTimes, 1 / pace) * product.SkinMinutes!.Value,
            "min"
        );
        sheet.Cite(
            new Source($"Skin time scaled by absolute humidity and 2^(dT/10), at most {MostTimes:0} times the data sheet's", SourceKind.Assumption)
        );
        string verdict =
            layMinutes is not { } lay ? $"Lay and press within {minutes:0} min."
            : lay <= minutes ? $"Laying takes {lay:0.#} min of {minutes:0} min: in time."
            : $"Laying takes {lay:0.#} min and it skins after {minutes:0} min: two people with two guns, or a slower product.";
        return sheet.Finish(new WorkingTime(minutes, verdict));
    }

    /// <summary>Until what was mixed sets in the pot.</summary>
    /// <param name="minutesAt23C">Pot life of the data sheet at 23 C, min.</param>
    /// <param name="airC">Temperature, C.</param>
    /// <param name="grams">Mass mixed at once, g.</param>
    public static Worked<WorkingTime> InThePot(double minutesAt23C, double airC, double grams)
    {
        var sheet = new Worksheet();
        double warm = sheet.Step("f_T", "by temperature", "2^((23 - T) / 10)", Math.Pow(2, (SheetC - airC) / HalvedEveryK), "");
        double mass = sheet.Step("f_m", "by its own heat", "min(1, (100 g / m)^(1/3))", Math.Min(1, Math.Cbrt(CoolGrams / grams)), "");
        bool cold = airC < TooColdC,
            hot = airC >= TooHotC;
        double minutes = sheet.Step(
            "t",
            "pot life",
            $"data sheet * min({MostTimes:0}, f_T) * f_m",
            cold || hot ? 0 : minutesAt23C * Math.Min(MostTimes, warm) * mass,
            "min"
        );
        sheet.Cite(new Source("Reaction twice as quick for every 10 K; a batch that heats itself", SourceKind.Assumption));
        sheet.Cite(new Source($"Above {TooHotC} °C epoxy sets too soon in the pot", SourceKind.CommonPractice));
        sheet.Cite(
            new Source(
                $"Below {TooColdC:0} °C a mixed resin does not set through; never more than {MostTimes:0} times the data sheet's pot life",
                SourceKind.Assumption
            )
        );
        string verdict =
            cold ? $"Too cold to mix: below {TooColdC:0} °C it does not set through. Warm the resin and the part first."
            : hot ? $"Too hot to mix: from {TooHotC:0.#} °C it sets in the pot. Wait for the evening, or cool the resin."
            : grams > CoolGrams ? $"{minutes:0} min, and the batch heats itself: mix {CoolGrams:0} g at a time, or spread it at once."
            : $"{minutes:0} min from mixing.";
        return sheet.Finish(new WorkingTime(minutes, verdict));
    }
}
