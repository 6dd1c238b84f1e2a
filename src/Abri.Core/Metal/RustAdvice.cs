using Abri.Core.Geometry;
using Abri.Core.Work;

namespace Abri.Core.Metal;

/// <summary>What is done about a rusty place.</summary>
public enum RustMethod
{
    /// <summary>Only cleaned and protected: the repair is for a licensed workshop.</summary>
    ProtectOnly,

    /// <summary>Treated and coated.</summary>
    Treat,

    /// <summary>Treated, coated, and looked at again.</summary>
    TreatAndWatch,

    /// <summary>First found out how much is left.</summary>
    MeasureFirst,

    /// <summary>Treated, and a plate put over it that carries instead.</summary>
    Plate,

    /// <summary>Small holes closed with kneaded putty from both faces.</summary>
    Putty,

    /// <summary>Cut out, and a patch put in.</summary>
    CutOutAndPatch,
}

/// <summary>How bare the steel has to be: ISO 8501-1, from memory.</summary>
public enum Preparation
{
    /// <summary>St 2: loose rust and paint off, by hand.</summary>
    St2,

    /// <summary>St 3: the same by power tool, with a metallic sheen.</summary>
    St3,

    /// <summary>Sa 2 1/2: blasted, only shadows left.</summary>
    Sa25,
}

/// <summary>What a rusty place leads to.</summary>
/// <param name="Method">What is done.</param>
/// <param name="Summary">The same in a sentence, with what decided it.</param>
/// <param name="Degree">How much of the area rusts.</param>
/// <param name="LossPercent">Sheet lost at the worst place, %; null where nobody measured it.</param>
/// <param name="Preparation">How bare it is made.</param>
/// <param name="LookAgainMonths">Months after which it is looked at again; null where it need not be.</param>
/// <param name="Rows">Every rule with what it saw, worst first.</param>
/// <param name="Cautions">What can hurt somebody.</param>
public sealed record RustAdvice(
    RustMethod Method,
    string Summary,
    RustDegree Degree,
    double? LossPercent,
    Preparation Preparation,
    int? LookAgainMonths,
    IReadOnlyList<Judgement> Rows,
    IReadOnlyList<Caution> Cautions
);

/// <summary>Decides what is done about a rusty place. The worst rule decides, and each is shown with what it saw.</summary>
/// <remarks>
/// Lines of loss and of the hole that putty closes: <see cref="RustLimits"/>, assumptions. On structure, and near what holds people or wheels, only
/// cleaning and protection are planned: common practice, and the law in many places. Nothing overrules that.
/// </remarks>
/// <example>Sheet of 1.0 mm with 0.75 left is a loss of 25 %: treated and watched; under a roof rack's foot: plated.</example>
public static class RustRules
{
    /// <summary>Months until a place that was treated is looked at again: common practice is 3 to 6.</summary>
    public const int WatchMonths = 6;

    /// <summary>Months until a pocket is drained, dried and oiled again: it rusts in any case.</summary>
    public const int PocketMonths = 3;

    /// <summary>Before and while sheet is cut out.</summary>
    internal static readonly Caution[] OfCutting = [Cautions.CurrentAndFuel, Cautions.CuttingMetal];

    private static readonly Nearby[] Licensed = [Nearby.BeltOrSeat, Nearby.Suspension, Nearby.Steering, Nearby.Chassis];

    /// <summary>The advice.</summary>
    /// <param name="spot">What was found.</param>
    /// <param name="limits">Where lines are drawn.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Worked<RustAdvice> Of(RustSpot spot, RustLimits limits, LengthFormat lengths)
    {
        var sheet = new Worksheet();
        RustDegree degree = RustDegree.Of(spot.AreaPercent);
        sheet.Step("Ri", "degree of rusting", "first picture that shows at least as much", degree.Ri, "");
        sheet.Cite(RustDegree.Source);
        double? loss = spot.LeftMm is { } left
            ? sheet.Step("l", "sheet lost at the worst place", "(t - left) / t", Math.Round(100 * (spot.SheetMm - left) / spot.SheetMm, 6), "%")
            : null;
        (RustMethod Method, Judgement Row)[] rules =
        [
            .. new[] { Structure(spot), Through(spot, limits, lengths), Loss(spot, loss, limits), Flakes(spot), Pits(spot), Water(spot) }.OfType<(
                RustMethod,
                Judgement
            )>(),
        ];
        // The order of the methods is that of the remedies, but for the licensed workshop, which nothing overrules.
        RustMethod method = rules.Any(r => r.Method == RustMethod.ProtectOnly) ? RustMethod.ProtectOnly : rules.Max(r => r.Method);
        Judgement decides = rules.First(r => r.Method == method).Row;
        bool bare = method is RustMethod.Treat or RustMethod.TreatAndWatch && spot.Grade is RustGrade.HardlyAny && degree.Ri <= 2;
        sheet.Cite(
            new Source(
                $"Treated below {limits.TreatBelowPercent:0.#} % of loss, cut out above {limits.CutAbovePercent:0.#} %, "
                    + $"putty up to {lengths.Text(limits.PuttyMostMm)}",
                SourceKind.Assumption
            )
        );
        sheet.Cite(
            new Source("Structure and what holds people or wheels: protection only, the repair is a licensed workshop's", SourceKind.CommonPractice)
        );
        sheet.Cite(new Source("Rust grades and preparation: ISO 8501-1", SourceKind.FromMemory));
        return sheet.Finish(
            new RustAdvice(
                method,
                $"{Word(method)}: {char.ToLowerInvariant(decides.Title[0])}{decides.Title[1..]}.",
                degree,
                spot.HoleMm > 0 ? 100 : loss,
                bare || spot.NoSparks ? Preparation.St2 : Preparation.St3,
                spot.Pocket ? PocketMonths
                    : method is RustMethod.TreatAndWatch or RustMethod.ProtectOnly or RustMethod.Plate ? WatchMonths
                    : null,
                [.. rules.Select(r => r.Row).OrderByDescending(r => r.State)],
                [.. CautionsOf(spot, method)]
            )
        );
    }

    private static (RustMethod, Judgement)? Structure(RustSpot spot)
    {
        Nearby[] near = [.. spot.Near.Intersect(Licensed)];
        if (!spot.Structure && near.Length == 0)
            return null;
        string title = spot.Structure ? "it holds the body together" : $"{string.Join(", ", near.Select(Word))} within 300 mm";
        return (
            RustMethod.ProtectOnly,
            Row(
                "structure",
                JudgementState.Blocked,
                title,
                null,
                null,
                Unit.Mm,
                "What holds the body, people or wheels is not cut, patched or plated by somebody without a licence; inspection looks for it.",
                "Clean and protect it, and have it repaired by a licensed workshop that writes down what it did."
            )
        );
    }

    private static (RustMethod, Judgement)? Through(RustSpot spot, RustLimits limits, LengthFormat lengths)
    {
        if (spot.HoleMm == 0)
            return null;
        bool putty = spot.HoleMm <= limits.PuttyMostMm && !spot.Carries && spot.BothSides;
        if (putty && spot.LeftMm is null)
        {
            return (
                RustMethod.MeasureFirst,
                Row(
                    "through",
                    JudgementState.NeedsWork,
                    $"rusted through, {lengths.Text(spot.HoleMm)} wide, and its rim is not measured",
                    spot.HoleMm,
                    limits.PuttyMostMm,
                    Unit.Mm,
                    "Putty holds on sound sheet only, and round a rust hole the sheet is usually thin.",
                    "Press the rim with a screwdriver, open the hole to what stands, and measure the sheet there."
                )
            );
        }
        string why =
            putty ? "Kneaded reinforced putty from both faces closes it; it carries nothing."
            : spot.HoleMm > limits.PuttyMostMm ? "Putty that bridges more than that falls out, and water stands behind it."
            : spot.Carries ? "Putty carries nothing."
            : "Putty holds from both faces only.";
        return (
            putty ? RustMethod.Putty : RustMethod.CutOutAndPatch,
            Row(
                "through",
                putty ? JudgementState.NeedsWork : JudgementState.Blocked,
                $"rusted through, {lengths.Text(spot.HoleMm)} wide",
                spot.HoleMm,
                limits.PuttyMostMm,
                Unit.Mm,
                why,
                putty ? "Bare metal, putty from both faces, prime." : "Cut it out to sound sheet and put in a patch."
            )
        );
    }

    private static (RustMethod, Judgement)? Loss(RustSpot spot, double? loss, RustLimits limits) =>
        loss is not { } percent ? null
        : percent > limits.CutAbovePercent
            ? (
                RustMethod.CutOutAndPatch,
                Row(
                    "loss",
                    JudgementState.Blocked,
                    $"{percent:0} % of the sheet is gone",
                    percent,
                    limits.CutAbovePercent,
                    Unit.Percent,
                    "What is left is too thin to hold a coat, a rivet or its neighbours.",
                    "Cut it out to sound sheet and put in a patch."
                )
            )
        : percent >= limits.TreatBelowPercent
            ? (
                spot.Carries ? RustMethod.Plate : RustMethod.TreatAndWatch,
                Row(
                    "loss",
                    JudgementState.NeedsWork,
                    $"{percent:0} % of the sheet is gone",
                    percent,
                    limits.TreatBelowPercent,
                    Unit.Percent,
                    spot.Carries ? "It carries something on less sheet than it was made of." : "It holds, with less to spare.",
                    spot.Carries ? "Treat it, then a plate over it takes the load." : "Treat it, and look at it again."
                )
            )
        : (
            RustMethod.Treat,
            Row(
                "loss",
                JudgementState.Good,
                $"{percent:0} % of the sheet is gone",
                percent,
                limits.TreatBelowPercent,
                Unit.Percent,
                "Enough is left.",
                null
            )
        );

    private static (RustMethod, Judgement)? Flakes(RustSpot spot) =>
        spot.Flakes && spot.HoleMm == 0
            ? spot.LeftMm is null
                ? (
                    RustMethod.MeasureFirst,
                    Row(
                        "flakes",
                        JudgementState.NeedsWork,
                        "it flakes in layers",
                        null,
                        null,
                        Unit.Mm,
                        "Rust takes up several times the room of the steel it was: flakes say that much is gone, not how much is left.",
                        "Take the flakes off, tap it with a pointed hammer, and measure what is left."
                    )
                )
                : (
                    RustMethod.TreatAndWatch,
                    Row(
                        "flakes",
                        JudgementState.NeedsWork,
                        "it flakes in layers",
                        null,
                        null,
                        Unit.Mm,
                        "Under flakes it goes on rusting.",
                        "Take every flake off before anything is judged or coated."
                    )
                )
            : null;

    private static (RustMethod, Judgement)? Pits(RustSpot spot) =>
        spot is { LeftMm: null, Grade: RustGrade.FewPits or RustGrade.ManyPits }
            ? (
                RustMethod.MeasureFirst,
                Row(
                    "pits",
                    JudgementState.NeedsWork,
                    spot.Grade == RustGrade.ManyPits ? "pits all over, not measured" : "pits, not measured",
                    null,
                    null,
                    Unit.Mm,
                    "The deepest pit decides, and the eye does not see its bottom.",
                    "Measure the deepest pit with a pit gauge, or the sheet beside and in it."
                )
            )
            : (
                RustMethod.Treat,
                Row(
                    "grade",
                    JudgementState.Good,
                    $"rust grade {"ABCD"[(int)spot.Grade]}",
                    null,
                    null,
                    Unit.Mm,
                    "What the surface looks like once the loose rust is off.",
                    null
                )
            );

    private static (RustMethod, Judgement)? Water(RustSpot spot) =>
        spot.Pocket
            ? (
                RustMethod.TreatAndWatch,
                Row(
                    "pocket",
                    JudgementState.NeedsWork,
                    "water gathers here",
                    null,
                    null,
                    Unit.Mm,
                    "A pocket or a channel rusts again whatever is put on it.",
                    $"Open its drain, dry it, oil or wax it, and again every {PocketMonths} months. Stuff nothing into it."
                )
            )
            : null;

    private static IEnumerable<Caution> CautionsOf(RustSpot spot, RustMethod method)
    {
        yield return Cautions.RustDust;
        if (method == RustMethod.CutOutAndPatch)
        {
            foreach (Caution caution in OfCutting)
                yield return caution;
        }
        if (spot.Near.Contains(Nearby.Fuel))
            yield return Cautions.FuelNear;
        if (spot.Near.Contains(Nearby.BrakeLine))
            yield return Cautions.BrakeLineNear;
        if (spot.Near.Contains(Nearby.Glass))
            yield return Cautions.SparksOnGlass;
        if (spot.Near.Contains(Nearby.Wiring))
            yield return Cautions.WiringBehind;
    }

    private static Judgement Row(
        string id,
        JudgementState state,
        string title,
        double? measured,
        double? required,
        Unit unit,
        string why,
        string? remedy
    ) => new(id, state, char.ToUpperInvariant(title[0]) + title[1..], measured, required, unit, why, remedy, []);

    private static string Word(Nearby near) =>
        near switch
        {
            Nearby.BeltOrSeat => "an anchorage of a belt or a seat",
            Nearby.Suspension => "a mount of the suspension",
            Nearby.Steering => "a mount of the steering",
            _ => "the chassis",
        };

    internal static string Word(RustMethod method) =>
        method switch
        {
            RustMethod.ProtectOnly => "Clean and protect only",
            RustMethod.MeasureFirst => "Measure what is left first",
            RustMethod.Treat => "Treat it",
            RustMethod.TreatAndWatch => "Treat it and look again",
            RustMethod.Plate => "Treat it and plate over it",
            RustMethod.Putty => "Close it with putty",
            _ => "Cut it out and patch it",
        };
}
