using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Floor;

/// <summary>Boards, or a roof, to be coated.</summary>
/// <param name="Coat">With what.</param>
/// <param name="AreaM2">Faces that are coated, m2: both of new boards.</param>
/// <param name="EdgesMm">Cut edges in all, mm; they get twice as much.</param>
/// <param name="ThickMm">Thickness of the boards, mm; 0 for a roof.</param>
/// <param name="SeamsMm">Seams of a roof that are taped first, mm.</param>
/// <param name="AirC">Temperature of the air, C.</param>
/// <param name="MoisturePercent">Moisture of the wood, % of dry mass; null where nobody measured it.</param>
/// <param name="LeaksFound">Whether its leaks are found and closed; of a roof.</param>
public sealed record CoatingQuestion(
    WoodCoat Coat,
    [Within(0.01, 100, "The area", "m2")] double AreaM2,
    [Within(0, Limits.LongestMm, "The edges", "mm")] double EdgesMm,
    [Within(0, 60, "The board", "mm")] double ThickMm,
    [Within(0, Limits.LongestMm, "The seams", "mm")] double SeamsMm,
    [Within(-20, 60, "The temperature", "C")] double AirC,
    [Within(0, 200, "The moisture", "%")] double? MoisturePercent,
    bool LeaksFound = false
);

/// <summary>What a coating takes.</summary>
/// <param name="Litres">Litres in all, with what is lost.</param>
/// <param name="Cans">Whole cans.</param>
/// <param name="RecoatFromHours">Hours before the next coat in this air; null where it may not be put on in it.</param>
/// <param name="RecoatToHours">Hours after which it is abraded first; null where that does not matter or it may not be put on.</param>
/// <param name="LeastHours">Hours from the first coat until the last is dry; null where it may not be put on.</param>
/// <param name="TapeMm">Tape over seams, mm.</param>
/// <param name="Order">What is done, in order.</param>
/// <param name="Rows">What the rules say, worst first.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record CoatingPlan(
    double Litres,
    int Cans,
    double? RecoatFromHours,
    double? RecoatToHours,
    double? LeastHours,
    double TapeMm,
    IReadOnlyList<string> Order,
    IReadOnlyList<Judgement> Rows,
    string Verdict
);

/// <summary>How much coating wood or an old roof takes, when the next coat goes on, and whether it may be coated at all.</summary>
/// <remarks>
/// Moisture first: a coat shuts water in. Cut edges drink: their area counts twice in every coat. A tenth is lost in brush and tray. Times at another
/// temperature: twice as long for each 10 K colder, half for each warmer, between 0 and 40 C and within what the coating allows; the time after
/// which it is abraded first is shortened by warmth, and not lengthened by cold.
/// </remarks>
/// <example>2 m2 of faces and 6 m of 18 mm edges in two coats of 10 m2/l: (2 + 0.216) x 2 / 10 / 0.9 = 0.49 l.</example>
public static class Coating
{
    /// <summary>What is lost in brush and tray, % of what is taken out of the can: assumption.</summary>
    private const double LossPercent = 10;

    /// <summary>Times at other temperatures are given between these, C: beyond, the rule of thumb is none.</summary>
    private const double ColdestC = 0,
        HottestC = 40;

    /// <summary>The answer.</summary>
    public static Worked<CoatingPlan> Of(CoatingQuestion question, LengthFormat lengths)
    {
        WoodCoat coat = question.Coat;
        var sheet = new Worksheet();
        bool roof = coat.Kind == WoodCoatKind.RoofSilicone;
        double edges = sheet.Step("E", "cut edges, twice as much", "2 l t", roof ? 0 : 2 * question.EdgesMm * question.ThickMm / 1e6, "m2"),
            area = question.AreaM2 + edges;
        double litres = sheet.Step(
            "V",
            "in all",
            "(A + E) (1 / s_1 + (n - 1) / s) / (1 - loss)",
            area * ((1 / coat.FirstM2PerLitre) + ((coat.Coats - 1) / coat.M2PerLitre)) / (1 - (LossPercent / 100)),
            "l"
        );
        int cans = (int)sheet.Step("c", "cans", "whole ones", Math.Ceiling((litres * 1000 / coat.CanMl) - 1e-9), "count");
        bool goesOn = question.AirC >= Math.Max(coat.LeastC, ColdestC) && question.AirC <= Math.Min(coat.MostC, HottestC) && coat.LeastC < coat.MostC;
        double slower = Math.Pow(2, (20 - question.AirC) / 10);
        double? from = goesOn ? sheet.Step("t", "before the next coat", "t_20 2^((20 - T) / 10)", coat.RecoatFromHours * slower, "hours") : null,
            // Cold makes it harden later; that it may be left longer before it is abraded, nobody promises.
            to = goesOn ? coat.RecoatToHours * Math.Min(1, slower) : null,
            all = from is { } each ? sheet.Step("T", "until the last is dry", "n t", coat.Coats * each, "hours") : null;
        sheet.Cite(new Source("What a litre covers, coats and times of a typical product: until its sheet is typed in", SourceKind.Assumption));
        sheet.Cite(new Source("A tenth is lost; twice the time for each 10 K colder", SourceKind.Assumption));
        sheet.Cite(new Source($"Nothing is coated above {WoodMoisture.CoatPercent:0} % moisture", SourceKind.FromMemory));
        Judgement[] rows = [.. Rows(question, roof).OrderByDescending(r => r.State)];
        return sheet.Finish(
            new CoatingPlan(
                litres,
                cans,
                from,
                to,
                all,
                roof ? question.SeamsMm : 0,
                [.. Order(question, roof, lengths)],
                rows,
                Verdict(coat, litres, cans, from, to, rows)
            )
        );
    }

    private static IEnumerable<Judgement> Rows(CoatingQuestion question, bool roof)
    {
        WoodCoat coat = question.Coat;
        if (question.AirC < Math.Max(coat.LeastC, ColdestC) || question.AirC > Math.Min(coat.MostC, HottestC))
            yield return new Judgement(
                "warmth",
                JudgementState.Blocked,
                question.AirC < coat.LeastC ? "It is too cold for it" : "It is too hot for it",
                question.AirC,
                question.AirC < coat.LeastC ? coat.LeastC : coat.MostC,
                Unit.Celsius,
                question.AirC < coat.LeastC ? "It does not harden, or only days later." : "It dries before it has soaked in.",
                question.AirC < coat.LeastC ? $"Wait for {coat.LeastC:0} °C." : "Coat in the shade, or in the evening.",
                []
            );
        if (roof)
        {
            yield return question.LeaksFound
                ? new Judgement(
                    "for-good",
                    JudgementState.NeedsWork,
                    "Nothing will ever stick to it again",
                    null,
                    null,
                    Unit.Count,
                    "No paint, no tape and no sealant but silicone holds on silicone.",
                    "Cut and bed all openings of the roof first; keep a strip free where one may come later.",
                    []
                )
                : new Judgement(
                    "leaks",
                    JudgementState.Blocked,
                    "Its leaks are not found yet",
                    null,
                    null,
                    Unit.Count,
                    "A coat over a leak hides it, and keeps the water in.",
                    "Find and close them in Water first.",
                    []
                );
            yield break;
        }
        yield return question.MoisturePercent switch
        {
            null => new Judgement(
                "moisture",
                JudgementState.NeedsWork,
                "The wood is not measured",
                null,
                WoodMoisture.CoatPercent,
                Unit.Percent,
                "A coat shuts water in, and the wood rots under it.",
                $"Measure it, the underside and the end grain too: {WoodMoisture.CoatPercent:0} % or less.",
                []
            ),
            > WoodMoisture.CoatPercent => new Judgement(
                "moisture",
                JudgementState.Blocked,
                "The wood is too wet",
                question.MoisturePercent,
                WoodMoisture.CoatPercent,
                Unit.Percent,
                "A coat shuts water in, and the wood rots under it.",
                "Let it dry, aired from both sides: the drying figure says how long.",
                []
            ),
            _ => new Judgement(
                "moisture",
                JudgementState.Good,
                "The wood is dry",
                question.MoisturePercent,
                WoodMoisture.CoatPercent,
                Unit.Percent,
                "",
                null,
                []
            ),
        };
    }

    private static IEnumerable<string> Order(CoatingQuestion question, bool roof, LengthFormat lengths)
    {
        if (roof)
        {
            yield return "Wash it twice and let it dry.";
            if (question.SeamsMm > 0)
                yield return $"Tape {lengths.Text(question.SeamsMm)} of seams, and press the tape down.";
            yield return "First coat along the vehicle, the second across it.";
            yield return "Keep off until it is dry. Wet, it stays as slippery as ice for good.";
            yield break;
        }
        yield return "Cut, drill and notch everything first: a hole that is drilled later is bare wood.";
        yield return "The underside and all cut edges first, the end grain twice, the upper face last.";
        yield return question.Coat.Kind == WoodCoatKind.PenetratingEpoxy
            ? "Mix small batches and brush on until it drinks no more; wet into wet on the end grain."
            : "The first coat thinned as its sheet says, each one crosswise to the one before.";
        yield return "A membrane below it is opened at its low end: what gets in must get out.";
    }

    private static string Verdict(WoodCoat coat, double litres, int cans, double? from, double? to, Judgement[] rows)
    {
        string much = $"{litres:0.00} l of {coat.Name} in {coat.Coats} {(coat.Coats == 1 ? "coat" : "coats")}, {cans} {(cans == 1 ? "can" : "cans")}";
        if (rows.FirstOrDefault(r => r.State == JudgementState.Blocked) is { } blocked)
            return $"Not yet: {char.ToLowerInvariant(blocked.Title[0])}{blocked.Title[1..]}. {blocked.Remedy} Then {much}.";
        string next =
            coat.Coats == 1 || from is not { } hours
                ? ""
                : $"; the next coat after {hours:0.#} h" + (to is { } late ? $" and before {late:0} h" : "");
        return $"{much}{next}.";
    }
}
