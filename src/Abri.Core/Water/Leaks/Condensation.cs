using Abri.Core.Declared;
using Abri.Core.Weather;

namespace Abri.Core.Water.Leaks;

/// <summary>On which side a foil that was taped all round over the dried place was wet.</summary>
public enum FoilSide
{
    /// <summary>On the side of the room: water from the air.</summary>
    Room,

    /// <summary>Behind it: water from the wall.</summary>
    Behind,

    /// <summary>On neither.</summary>
    Neither,
}

/// <summary>What was seen of water inside; null is what nobody looked at.</summary>
/// <param name="WetWithoutRain">Whether it got wet in days without rain.</param>
/// <param name="DryInRain">Whether it stayed dry in heavy rain.</param>
/// <param name="ManyPlaces">Whether three or more places got wet at once.</param>
/// <param name="AfterColdNights">Whether it comes after cold nights, and goes in the day.</param>
/// <param name="OnCold">Whether it sits on what is cold: bare metal, ribs, screws, panes.</param>
/// <param name="AirC">Air inside, C.</param>
/// <param name="RelativePercent">Its humidity, %.</param>
/// <param name="SurfaceC">The surface at its coldest, C.</param>
/// <param name="Foil">Where a foil over the dried place was wet.</param>
public sealed record CondensationSigns(
    bool? WetWithoutRain = null,
    bool? DryInRain = null,
    bool? ManyPlaces = null,
    bool? AfterColdNights = null,
    bool? OnCold = null,
    [Within(-40, 60, "The air inside", "C")] double? AirC = null,
    [Within(1, 100, "The humidity", "%")] double? RelativePercent = null,
    [Within(-40, 80, "The surface", "C")] double? SurfaceC = null,
    FoilSide? Foil = null
);

/// <summary>Whether it is condensation.</summary>
/// <param name="Probability">How likely it is that, and no leak, 0 to 1.</param>
/// <param name="Verdict">The same in a sentence.</param>
/// <param name="DewPointC">Dew point of the air inside, C; null where it was not measured.</param>
/// <param name="For">What speaks for it.</param>
/// <param name="Against">What speaks for a leak.</param>
/// <param name="Next">What to look at or to do next, in order.</param>
public sealed record CondensationAnswer(
    double Probability,
    string Verdict,
    double? DewPointC,
    IReadOnlyList<string> For,
    IReadOnlyList<string> Against,
    IReadOnlyList<string> Next
);

/// <summary>Tells water of the air from water of a leak: a suspect of its own, with evidence of its own, to be settled before anything is
/// sealed.</summary>
/// <remarks>Bayes with odds: one in three before anything is known, each sign multiplies them. Odds and factors are assumptions; the foil settles it,
/// since water of the air wets its room side and water of the wall its back. Dew point: <see cref="MoistAir"/>.</remarks>
/// <example>20 C and 60 % have their dew point at 12.0 C: a bare rib at 8 C drips, a pane at 15 C does not.</example>
public static class Condensation
{
    /// <summary>Odds before anything is known: one in three. Assumption.</summary>
    public const double PriorOdds = 0.5;

    /// <summary>From here on it is called one or the other: assumption.</summary>
    public const double SureFrom = 0.8;

    /// <summary>The answer.</summary>
    public static Result<Worked<CondensationAnswer>> Of(CondensationSigns signs)
    {
        if (signs.AirC is null != signs.RelativePercent is null)
            return new Problem(
                "air-half",
                signs.AirC is null ? "/signs/airC" : "/signs/relativePercent",
                "The dew point takes both: give temperature and humidity of the air inside, or neither."
            );
        if (signs.SurfaceC is not null && signs.AirC is null)
            return new Problem(
                "surface-without-air",
                "/signs/airC",
                "A surface is cold or not against the air: give its temperature and humidity too."
            );
        var sheet = new Worksheet();
        (List<string> good, List<string> bad) = ([], []);
        double odds = sheet.Step("o", "odds before anything is known", "assumption", PriorOdds, "");
        void Sign(string symbol, bool? seen, double yes, double no, string says, string otherwise)
        {
            if (seen is not { } is_)
                return;
            double factor = sheet.Step(symbol, is_ ? says : otherwise, "assumption", is_ ? yes : no, "");
            odds *= factor;
            (factor > 1 ? good : bad).Add(is_ ? says : otherwise);
        }
        Sign("f_1", signs.WetWithoutRain, 8, 0.3, "It got wet though it had not rained.", "It gets wet with rain only.");
        Sign("f_2", signs.DryInRain, 4, 0.5, "It stayed dry in heavy rain.", "It did not stay dry in heavy rain.");
        Sign("f_3", signs.ManyPlaces, 3, 0.6, "Many places got wet at once.", "Only one place or two got wet.");
        Sign("f_4", signs.AfterColdNights, 4, 0.5, "It comes after cold nights and goes in the day.", "It does not go with cold nights.");
        Sign("f_5", signs.OnCold, 2, 0.4, "It sits on bare metal, ribs, screws or panes.", "It sits on what is no colder than the rest.");
        double? dew = null;
        if (signs is { AirC: { } air, RelativePercent: { } percent })
        {
            if (!MoistAir.Point(air, percent).IsOk(out Worked<Dew>? point, out Problem? problem))
                return problem.Under("/signs");
            sheet.Take(point);
            dew = point.Result.DewPointC;
            if (signs.SurfaceC is { } surface)
            {
                bool wets = surface <= dew,
                    near = !wets && surface <= dew + MoistAir.AboveDewK;
                if (near)
                    sheet.Step("f_6", "the surface is just above the dew point: in a colder night it is not", "assumption", 1, "");
                else
                    Sign(
                        "f_6",
                        wets,
                        6,
                        0.2,
                        $"The surface, {surface:0.#} °C, is colder than the dew point of the air inside, {dew:0.#} °C: water settles on it.",
                        $"The surface, {surface:0.#} °C, is well above the dew point of the air inside, {dew:0.#} °C: no water settles on it."
                    );
            }
        }
        if (signs.Foil is { } foil)
        {
            if (foil == FoilSide.Neither)
                good.Add("The foil stayed dry on both sides: nothing is known from it yet.");
            else
                Sign(
                    "f_7",
                    foil == FoilSide.Room,
                    30,
                    1.0 / 30,
                    "The foil was wet on the side of the room.",
                    "The foil was wet behind: the water comes out of the wall."
                );
        }
        double probability = sheet.Step("P", "condensation", "o f / (1 + o f)", odds / (1 + odds), "");
        sheet.Cite(new Source("Odds and factors of the signs", SourceKind.Assumption));
        sheet.Cite(new Source("A foil taped all round shows from which side water comes", SourceKind.CommonPractice));
        // Signs make it likely; only the foil shows it.
        bool isShown = signs.Foil is FoilSide.Room or FoilSide.Behind;
        string most = isShown ? "" : "Most likely ";
        string verdict =
            probability >= SureFrom
                ? $"{(isShown ? "Condensation" : $"{most}condensation")}: open no seam for it. Air it, warm it, "
                    + "insulate what is cold; look for a leak only where it stays."
            : probability <= 1 - SureFrom ? $"{(isShown ? "A" : $"{most}a")} leak: hunt for it."
            : "Not settled: it may be condensation or a leak. Tape the foil before anything is sealed.";
        return sheet.Finish(new CondensationAnswer(probability, verdict, dew, good, bad, [.. Next(signs, probability)]));
    }

    private static IEnumerable<string> Next(CondensationSigns signs, double probability)
    {
        if (signs.Foil is null or FoilSide.Neither)
            yield return "Dry the place. Tape kitchen foil over it, all four edges down, a hand's breadth wide all round. Look after a "
                + "cold night without rain: wet on the "
                + "side of the room is condensation, wet behind is a leak. Dry on both, leave it until it has rained.";
        if (signs.AirC is null)
            yield return "Measure temperature and humidity inside, early in the morning, and the surface beside the wet place.";
        if (probability >= SureFrom)
        {
            yield return "Air across, from low at one end to high at the other; heat dry, not with an open flame: burning gas makes water.";
            yield return "Insulate bare metal and ribs without a gap behind, with a vapour-tight layer on the warm side; leave drains open.";
            yield return "What was wet dries before it is covered: meter readings at or below the limit of Water.";
        }
    }
}
