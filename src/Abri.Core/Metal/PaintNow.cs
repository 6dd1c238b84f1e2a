using Abri.Core.Declared;
using Abri.Core.Weather;
using Abri.Core.Work;

namespace Abri.Core.Metal;

/// <summary>The air and the metal before a coat.</summary>
/// <param name="AirC">Temperature of the air, C.</param>
/// <param name="RelativePercent">Relative humidity, %.</param>
/// <param name="SteelC">Temperature of the metal, C; null where nobody measured it.</param>
/// <param name="DryHours">Hours without rain ahead, by the forecast or under cover; null where nobody looked.</param>
/// <param name="TouchDryHours">Hours until the coat is touch-dry at this temperature.</param>
/// <param name="LeastC">Coldest at which the coat may be put on, C.</param>
/// <param name="MostC">Hottest, C.</param>
public sealed record PaintWeather(
    [Within(-40, 60, "The temperature", "C")] double AirC,
    [Within(1, 100, "The humidity", "%")] double RelativePercent,
    [Within(-40, 90, "The temperature of the metal", "C")] double? SteelC,
    [Within(0, 500, "The time until it rains", "hours")] double? DryHours,
    [Within(0, 100, "The time to touch-dry", "hours")] double TouchDryHours,
    [Within(-20, 40, "The coldest", "C")] double LeastC,
    [Within(-10, 60, "The hottest", "C")] double MostC
);

/// <summary>Whether it may be painted now.</summary>
/// <param name="State">The worst of the rows.</param>
/// <param name="Verdict">The same in a sentence.</param>
/// <param name="DewPointC">Dew point, C.</param>
/// <param name="Rows">Each rule with what it saw, worst first.</param>
public sealed record PaintNowAnswer(JudgementState State, string Verdict, double DewPointC, IReadOnlyList<Judgement> Rows);

/// <summary>May I paint now?</summary>
/// <remarks>Steel at least 3 K above the dew point (ISO 8502-4), air below 85 % (ISO 12944-7), both from memory; within the coat's temperatures; no
/// rain before it is touch-dry.</remarks>
/// <example>20 C and 50 % has its dew point at 9.3 C: steel of 12.3 C or more may be painted.</example>
public static class PaintNow
{
    /// <summary>Wettest air in which paint goes on, %.</summary>
    public const double MostHumidityPercent = 85;

    /// <summary>The answer.</summary>
    public static Result<Worked<PaintNowAnswer>> Of(PaintWeather now)
    {
        if (!MoistAir.Point(now.AirC, now.RelativePercent, now.SteelC).IsOk(out Worked<Dew>? dew, out Problem? problem))
            return problem.Under("/now");
        var sheet = new Worksheet();
        sheet.Take(dew);
        Judgement[] rows =
        [
            .. new[]
            {
                Steel(now, dew.Result),
                now.RelativePercent < MostHumidityPercent
                    ? Good("humidity", "The air is dry enough", now.RelativePercent, MostHumidityPercent, Unit.Percent)
                    : new(
                        "humidity",
                        JudgementState.Blocked,
                        "The air is too wet",
                        now.RelativePercent,
                        MostHumidityPercent,
                        Unit.Percent,
                        "Solvent leaves slowly, water settles in the film, and it stays dull or lifts.",
                        "Wait for drier air, or warm and air the place.",
                        []
                    ),
                Warmth(now),
                Rain(now),
            }.OrderByDescending(r => r.State),
        ];
        sheet.Cite(new Source("Steel 3 K above the dew point: ISO 8502-4; air below 85 %: ISO 12944-7", SourceKind.FromMemory));
        JudgementState state = rows[0].State;
        return sheet.Finish(
            new PaintNowAnswer(
                state,
                state switch
                {
                    JudgementState.Good => "Yes: paint now.",
                    JudgementState.NeedsWork => $"Not sure yet: {Lower(rows[0].Title)}. {rows[0].Remedy}",
                    _ => $"No: {Lower(rows[0].Title)}. {rows[0].Remedy}",
                },
                dew.Result.DewPointC,
                rows
            )
        );
    }

    private static Judgement Steel(PaintWeather now, Dew dew) =>
        now.SteelC is not { } steel
            ? new Judgement(
                "dew",
                JudgementState.NeedsWork,
                "The metal is not measured",
                null,
                dew.LeastSurfaceC,
                Unit.Celsius,
                "In the morning and in the shade metal is colder than the air, and a film of water settles on it that you cannot see.",
                $"Measure it: {dew.LeastSurfaceC:0.#} °C or more.",
                []
            )
        : dew.SpareK >= 0 ? Good("dew", "The metal is warm enough for its dew point", steel, dew.LeastSurfaceC, Unit.Celsius)
        : new Judgement(
            "dew",
            JudgementState.Blocked,
            "The metal is too near the dew point",
            steel,
            dew.LeastSurfaceC,
            Unit.Celsius,
            "Water settles on it, and paint on water comes off.",
            $"Warm it to {dew.LeastSurfaceC:0.#} °C, or wait.",
            []
        );

    private static Judgement Warmth(PaintWeather now)
    {
        double coldest = Math.Min(now.AirC, now.SteelC ?? now.AirC),
            hottest = Math.Max(now.AirC, now.SteelC ?? now.AirC);
        return coldest < now.LeastC
                ? new Judgement(
                    "warmth",
                    JudgementState.Blocked,
                    "It is too cold for this coat",
                    coldest,
                    now.LeastC,
                    Unit.Celsius,
                    "It does not harden, or only days later.",
                    $"Wait for {now.LeastC:0} °C.",
                    []
                )
            : hottest > now.MostC
                ? new Judgement(
                    "warmth",
                    JudgementState.Blocked,
                    "It is too hot for this coat",
                    hottest,
                    now.MostC,
                    Unit.Celsius,
                    "It dries before it has run together, and does not grip.",
                    "Paint in the shade, or in the evening.",
                    []
                )
            : Good("warmth", "Warm enough for this coat", coldest, now.LeastC, Unit.Celsius);
    }

    private static Judgement Rain(PaintWeather now) =>
        now.DryHours is not { } dry
            ? new Judgement(
                "rain",
                JudgementState.NeedsWork,
                "The forecast was not looked at",
                null,
                now.TouchDryHours,
                Unit.Hours,
                "Rain before it is touch-dry washes it off or leaves it spotted.",
                $"Look for {now.TouchDryHours:0.#} dry hours, or work under cover.",
                []
            )
        : dry >= now.TouchDryHours ? Good("rain", "Touch-dry before the rain", dry, now.TouchDryHours, Unit.Hours)
        : new Judgement(
            "rain",
            JudgementState.Blocked,
            "Rain comes before it is touch-dry",
            dry,
            now.TouchDryHours,
            Unit.Hours,
            "Rain washes it off or leaves it spotted.",
            "Wait, or work under cover.",
            []
        );

    private static Judgement Good(string id, string title, double? measured, double? required, Unit unit) =>
        new(id, JudgementState.Good, title, measured, required, unit, "", null, []);

    private static string Lower(string text) => char.ToLowerInvariant(text[0]) + text[1..];
}
