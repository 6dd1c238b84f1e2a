using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Work;

namespace Abri.Core.Procedures;

/// <summary>A rusty place to be worked on.</summary>
/// <param name="Spot">What was found.</param>
/// <param name="LengthMm">Length of the rusty area, mm.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="AirC">Temperature while it is painted, C.</param>
/// <param name="RelativePercent">Humidity then, %.</param>
/// <param name="Limits">Where the rules draw their lines; null for the usual ones.</param>
public sealed record RustWork(
    RustSpot Spot,
    [Within(5, 5000, "The length", "mm")] double LengthMm,
    [Within(5, 5000, "The width", "mm")] double WidthMm,
    [Within(-20, 50, "The temperature", "C")] double AirC = 20,
    [Within(1, 100, "The humidity", "%")] double RelativePercent = 50,
    RustLimits? Limits = null
);

/// <summary>What is done about a rusty place, and how.</summary>
/// <param name="Advice">What, and why.</param>
/// <param name="Procedure">How, step by step.</param>
/// <param name="Rivets">The rivets of a patch or a plate; null where there is none.</param>
public sealed record RustPlan(RustAdvice Advice, Procedure Procedure, RivetPlan? Rivets);

/// <summary>Writes the procedure of a rusty place: from the wash to the wax, by what was decided about it.</summary>
/// <remarks>
/// The order is common practice: grease off before anything is abraded, since it is driven in otherwise; converter only where tight rust stays, never
/// on bright steel; primer within hours; seam sealer between primer and colour; cavity wax last of all. Amounts: assumptions.
/// </remarks>
/// <example>150 x 80 of surface rust: wash, strip, clean, prime, two coats; some 0.02 l of primer with the margin round it.</example>
public static class RustProcedure
{
    /// <summary>How far sound paint is stripped beyond the rust, mm: common practice.</summary>
    public const double MarginMm = 30;

    /// <summary>How far a hole is cut back beyond visible rust, mm: common practice.</summary>
    public const double CutBackMm = 20;

    /// <summary>How far a patch laps the sound sheet, mm: common practice for bonded and riveted patches.</summary>
    public const double LapMm = 25;

    /// <summary>Adhesive between patch and sheet when pressed, mm: assumption.</summary>
    public const double BondMm = 1;

    private const double ConverterMlPerM2 = 120,
        WaxMlPerM = 60,
        SealerMm2 = 40;

    /// <summary>Hours within which bright steel is primed: assumption, by how fast it flashes over in such air.</summary>
    /// <param name="relativePercent">Humidity, %.</param>
    public static double PrimeWithinHours(double relativePercent) =>
        relativePercent switch
        {
            < 50 => 8,
            < 70 => 4,
            _ => 2,
        };

    /// <summary>The plan.</summary>
    /// <param name="work">The place.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<RustPlan>> Of(RustWork work, LengthFormat lengths)
    {
        Worked<RustAdvice> advice = RustRules.Of(work.Spot, work.Limits ?? new RustLimits(), lengths);
        RustMethod method = advice.Result.Method;
        var sheet = new Worksheet();
        sheet.Take(advice);
        double lap = Math.Max(LapMm, Rivets.LeastLapMm(work.Spot.SheetMm)),
            grown = method == RustMethod.CutOutAndPatch ? CutBackMm + lap : lap;
        RivetPlan? rivets = null;
        if (method is RustMethod.CutOutAndPatch or RustMethod.Plate)
        {
            var patch = new RoundedRectangle(work.LengthMm + (2 * grown), work.WidthMm + (2 * grown), 10);
            var row = new RivetRow(patch, lap / 2, [work.Spot.SheetMm, work.Spot.SheetMm], BondMm, RivetDuty.Seal);
            if (!Rivets.Of(row, lengths).IsOk(out Worked<RivetPlan>? riveted, out Problem? problem))
                return problem with { Pointer = "/work/spot/sheetMm" };
            sheet.Take(riveted);
            rivets = riveted.Result;
        }
        double margin = rivets is null ? MarginMm : grown + MarginMm;
        double areaM2 = sheet.Step(
            "A",
            "area to be coated",
            "(length + 2 margins) (width + 2 margins)",
            (work.LengthMm + (2 * margin)) * (work.WidthMm + (2 * margin)) / 1e6,
            "m2"
        );
        sheet.Cite(new Source("Order of treatment; margins of 30 mm, cut back 20 mm, lap 25 mm", SourceKind.CommonPractice));
        sheet.Cite(new Source("Amounts of converter, sealer and wax; hours to primer", SourceKind.Assumption));
        sheet.Cite(MinutesTable.Source);
        Worked<PaintPlan> paint = Paint.Of(TypicalCoats.System, areaM2, work.AirC);
        sheet.Take(paint);
        if (paint.Result.LeastHours is null && method is not (RustMethod.MeasureFirst or RustMethod.ProtectOnly))
            sheet.Warn(paint.Result.Verdict);
        if (work.RelativePercent >= PaintNow.MostHumidityPercent)
            sheet.Warn(
                $"At {work.RelativePercent:0} % nothing is coated: wait for air below {PaintNow.MostHumidityPercent:0} %, "
                    + "and strip the rust only then."
            );
        var x = new Plan(work, advice.Result, lengths, areaM2, paint.Result, rivets, lap, grown);
        return sheet.Finish(new RustPlan(advice.Result, Procedure.Of(advice.Result.Summary, [.. Steps(x)]), rivets));
    }

    private sealed record Plan(
        RustWork Work,
        RustAdvice Advice,
        LengthFormat Lengths,
        double AreaM2,
        PaintPlan Paint,
        RivetPlan? Rivets,
        double LapMm,
        double GrownMm
    )
    {
        public bool Patched => Advice.Method == RustMethod.CutOutAndPatch;

        /// <summary>Pits keep rust that no brush reaches.</summary>
        public bool TightRustStays => !Patched && Work.Spot.Grade is RustGrade.FewPits or RustGrade.ManyPits;

        public double PerimeterMm => 2 * (Work.LengthMm + Work.WidthMm + (4 * GrownMm));

        public string Text(double mm) => Lengths.Text(mm);
    }

    private static IEnumerable<WorkStep> Steps(Plan x)
    {
        yield return Wash(x);
        yield return Strip(x);
        if (x.Advice.Method == RustMethod.MeasureFirst)
        {
            yield return Step(
                "rust-measure",
                "Measure what is left",
                "The deepest pit by pit gauge, or the sheet beside and in it; then enter it here.",
                1,
                "Pit gauge"
            ) with
            {
                Holds = [new HoldPoint("Sheet left at the worst place", null, null, null, Unit.Mm)],
            };
            yield break;
        }
        if (x.Advice.Method == RustMethod.ProtectOnly)
        {
            yield return Protect(x);
            yield break;
        }
        if (x.Patched)
            yield return CutOut(x);
        yield return Clean(x);
        if (x.Advice.Method == RustMethod.Putty)
            yield return Putty(x);
        if (x.TightRustStays)
            yield return Convert(x);
        yield return Prime(x);
        if (x.Rivets is not null)
            yield return SetPatch(x);
        if (x.Rivets is not null || x.Work.Spot.Pocket)
            yield return Seal(x);
        yield return Colour(x);
        if (x.Work.Spot.Pocket || x.Patched)
            yield return Wax(x);
    }

    private static WorkStep Wash(Plan x) =>
        Step(
            "rust-wash",
            "Wash and degrease",
            "Soap and water, then degreaser, wiped off with a clean cloth: whatever grease stays is driven in by the abrasive.",
            x.AreaM2,
            "Bucket",
            "Lint-free cloths"
        ) with
        {
            Consumables = [new Consumable(Materials.Degreaser, 50 + (200 * x.AreaM2))],
            Cautions = [Cautions.Solvents],
        };

    private static WorkStep Strip(Plan x)
    {
        bool byHand = x.Advice.Preparation == Preparation.St2 || x.Advice.Method == RustMethod.ProtectOnly || x.Work.Spot.NoSparks;
        string grade = byHand ? "loose rust and paint off by hand, St 2" : "to a metallic sheen by power tool, St 3";
        return Step(
            "rust-strip",
            "Strip the rust",
            $"{char.ToUpperInvariant(grade[0])}{grade[1..]}, and {x.Text(MarginMm)} into sound paint, its edge feathered. Wet where "
                + "the paint is old.",
            x.AreaM2,
            byHand ? ["Wire brush", "Scraper"] : ["Angle grinder", "Flap disc", "Wire wheel"]
        ) with
        {
            Cautions = [.. x.Advice.Cautions],
            Consumables = byHand ? [] : [new Consumable(Materials.FlapDisc, Math.Max(1, Math.Ceiling(4 * x.AreaM2)))],
        };
    }

    private static WorkStep Protect(Plan x) =>
        Step(
            "rust-protect",
            "Protect it",
            "Dry it, then oil or wax it, with a photo for the workshop. Nothing is filled, covered or painted over: whoever repairs "
                + "it has to see it.",
            x.AreaM2,
            "Brush"
        ) with
        {
            Weather = Dry,
            Consumables = [new Consumable(Materials.CavityWax, 30 + (250 * x.AreaM2))],
        };

    private static WorkStep CutOut(Plan x) =>
        Step(
            "rust-cut",
            "Cut out to sound sheet",
            $"Mark {x.Text(x.Work.LengthMm + (2 * CutBackMm))} by {x.Text(x.Work.WidthMm + (2 * CutBackMm))}: {x.Text(CutBackMm)} "
                + "beyond the rust, corners round, "
                + "off every member. Saw it, no disc near paint; take off the burr.",
            2 * (x.Work.LengthMm + x.Work.WidthMm + (4 * CutBackMm)),
            "Jigsaw, fresh metal blade",
            "File"
        ) with
        {
            Shell = ShellChange.Opens,
            Weather = Dry,
            Cautions = RustRules.OfCutting,
            Consumables = [new Consumable(Materials.MetalBlade, 1)],
            Holds = [.. FuelAway(x), HoldPoint.Seen("Sound bright sheet all round the hole")],
        };

    /// <summary>Before anything is sawn or drilled near them.</summary>
    private static IEnumerable<HoldPoint> FuelAway(Plan x) =>
        x.Work.Spot.NoSparks ? [HoldPoint.Seen("Fuel and brake lines have been taken out of the way by a licensed workshop")] : [];

    private static WorkStep Clean(Plan x) =>
        Step(
            "rust-clean",
            "Take up the swarf",
            "Vacuum and wipe inside and outside, the same day: every chip is a new rust spot. Wipe with degreaser.",
            x.AreaM2,
            "Vacuum cleaner"
        ) with
        {
            Holds = [HoldPoint.Seen("No chips, inside and outside")],
        };

    private static WorkStep Putty(Plan x) =>
        Step(
            "rust-putty",
            "Close it with putty",
            "Knead it, press it in from both faces so that it keys behind the edge, smooth it, let it harden, sand it flush.",
            1,
            "Gloves",
            "Spreader"
        ) with
        {
            Weather = Laying,
            Consumables = [new Consumable(Materials.Putty, 10)],
            Cautions = [Cautions.Solvents],
            WaitHours = 2,
        };

    private static WorkStep Convert(Plan x) =>
        Step(
            "rust-convert",
            "Convert the tight rust",
            "Converter on the pits only, never on bright steel, as thin as its sheet says; let it turn, wipe off what is left over.",
            x.AreaM2,
            "Brush"
        ) with
        {
            Weather = Laying,
            Consumables = [new Consumable(Materials.RustConverter, 5 + (ConverterMlPerM2 * x.AreaM2))],
            Cautions = [Cautions.Solvents],
            WaitHours = 24,
        };

    private static WorkStep Prime(Plan x) =>
        Step(
            "rust-prime",
            "Prime",
            $"Within {PrimeWithinHours(x.Work.RelativePercent):0} h of stripping in this air, one even coat, into the margin"
                + (x.Patched ? ", and the cut edge on both faces." : ".")
                + " Paint says whether the air is right.",
            x.AreaM2,
            "Brush"
        ) with
        {
            Weather = Laying,
            Consumables = [new Consumable(Materials.EpoxyPrimer, 1000 * x.Paint.Coats[0].Litres)],
            WaitHours = Math.Ceiling(x.Paint.Coats[0].RecoatFromHours ?? TypicalCoats.EpoxyPrimer.RecoatFromHours),
        };

    private static WorkStep SetPatch(Plan x) =>
        Step(
            "rust-patch",
            x.Patched ? "Set the patch" : "Set the plate",
            $"{x.Text(x.Work.LengthMm + (2 * x.GrownMm))} by {x.Text(x.Work.WidthMm + (2 * x.GrownMm))}, corners round, primed on "
                + "both faces. Drill it in place, corners first, each hole "
                + "held by a pin; take it off, deburr, vacuum. Adhesive on the lap in one bead inside the rivets. "
                + $"{x.Rivets!.Verdict} Corners, then middles, then between.",
            x.Rivets.Count,
            $"Drill {x.Lengths.Drill(x.Rivets.HoleMm)}",
            "Rivet tool",
            "Holding pins"
        ) with
        {
            Shell = x.Patched ? ShellChange.Closes : ShellChange.None,
            Weather = Laying,
            Cautions = [Cautions.Isocyanates],
            Consumables =
            [
                new Consumable(Materials.BlindRivet(x.Rivets.DiameterMm, x.Rivets.BodyMm), x.Rivets.Buy),
                new Consumable(Materials.PanelAdhesive, x.PerimeterMm * x.LapMm * BondMm / 1000 * 1.2),
            ],
            Holds =
            [
                .. FuelAway(x),
                HoldPoint.Seen("Adhesive shows all round; upper edge lies under, lower edge over the skin, so " + "that water runs off"),
            ],
            WaitHours = 24,
        };

    private static WorkStep Seal(Plan x) =>
        Step(
            "rust-seal",
            "Seal edges and seams",
            "Seam sealer on primer, before any colour: along the edge of the patch and every seam nearby, smoothed so that water "
                + "runs off, the lowest point open.",
            x.PerimeterMm,
            "Seam brush"
        ) with
        {
            Weather = Laying,
            Consumables = [new Consumable(Materials.SeamSealer, x.PerimeterMm * SealerMm2 / 1000)],
            WaitHours = 4,
        };

    private static WorkStep Colour(Plan x)
    {
        IReadOnlyList<CoatPlan> colours = [.. x.Paint.Coats.Skip(1)];
        double wait = Math.Ceiling(colours[0].RecoatFromHours ?? TypicalCoats.Colour.RecoatFromHours);
        return Step(
            "rust-colour",
            "Two coats of colour",
            $"The second after {wait:0} h at this temperature; later than its sheet says, abrade first.",
            x.AreaM2,
            "Brush"
        ) with
        {
            Weather = Laying,
            Consumables = [new Consumable(Materials.TopCoat, 1000 * colours.Sum(c => c.Litres))],
            WaitHours = 2 * wait,
        };
    }

    private static WorkStep Wax(Plan x) =>
        Step(
            "rust-wax",
            "Cavity wax, last of all",
            "After every sealant and coat of this cavity is hard: fog it in from both ends until it shows at the seams and drips "
                + "from the drain; clear the drain.",
            x.Work.LengthMm,
            "Cavity lance"
        ) with
        {
            Consumables = [new Consumable(Materials.CavityWax, Math.Max(30, x.Work.LengthMm / 1000 * WaxMlPerM))],
            Cautions = [Cautions.Solvents],
            Holds = [HoldPoint.Seen("The drain is open")],
        };

    private static WeatherNeeds Dry { get; } = new(true, null, null, null);

    private static WeatherNeeds Laying { get; } = new(true, null, TypicalCoats.EpoxyPrimer.LeastC, TypicalCoats.Colour.MostC);

    private static WorkStep Step(string key, string title, string what, double amount, params string[] tools) =>
        WorkStep.Of(key, title, what, WorkPlace.Outside, amount, tools);
}
