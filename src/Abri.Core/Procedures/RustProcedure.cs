using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Shell;
using Abri.Core.Stores;
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
/// <param name="Patch">The patch or plate; null where there is none.</param>
public sealed record RustPlan(RustAdvice Advice, Procedure Procedure, PatchPlan? Patch);

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

    /// <summary>The plan of a place by itself: a patch is taken as a rectangle on flat sheet.</summary>
    /// <param name="work">The place.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<RustPlan>> Of(RustWork work, LengthFormat lengths)
    {
        RustMethod method = RustRules.Of(work.Spot, work.Limits ?? new RustLimits(), lengths).Result.Method;
        if (method is not (RustMethod.CutOutAndPatch or RustMethod.Plate))
            return Of(work, null, null, lengths);
        double thick = work.Spot.SheetMm;
        var around = new PanelBox(-FlatMm, work.LengthMm + FlatMm, -FlatMm, work.WidthMm + FlatMm);
        PatchDesign design = PatchDesign.Usual(thick) with
        {
            Shape = method == RustMethod.Plate ? HoleShape.NoHole : HoleShape.SquareRectangle,
            CutBackMm = method == RustMethod.Plate ? 0 : PatchDesign.UsualCutBackMm,
            LapMm = Math.Max(PatchDesign.UsualLapMm(PatchJoin.BondedAndRiveted), Rivets.LeastLapMm(thick)),
            Metal = SheetMetal.MildSteel,
        };
        var site = new PatchSite(
            new Panel(PanelKind.Left, around.Corners, thick, SkinMaterial.MildSteel),
            [],
            new PanelBox(0, work.LengthMm, 0, work.WidthMm).Corners,
            design,
            Lengths: lengths
        );
        return Patch.Of(site).IsOk(out Worked<PatchPlan>? patch, out Problem? problem)
            ? Of(work, method, patch, lengths)
            : problem with
            {
                Pointer = "/work/spot/sheetMm",
            };
    }

    /// <summary>The plan of a repair that somebody chose.</summary>
    /// <param name="work">The place.</param>
    /// <param name="chosen">What is done; null for what the rules say. What is for a licensed workshop stays so.</param>
    /// <param name="patch">The patch or plate; null where there is none.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    internal static Worked<RustPlan> Of(RustWork work, RustMethod? chosen, Worked<PatchPlan>? patch, LengthFormat lengths)
    {
        Worked<RustAdvice> advised = RustRules.Of(work.Spot, work.Limits ?? new RustLimits(), lengths);
        RustAdvice advice =
            advised.Result.Method == RustMethod.ProtectOnly || chosen is null ? advised.Result : advised.Result with { Method = chosen.Value };
        RustMethod method = advice.Method;
        var sheet = new Worksheet();
        sheet.Take(advised);
        if (method != RustMethod.ProtectOnly && patch is not null)
            sheet.Take(patch);
        PatchPlan? piece = method is RustMethod.CutOutAndPatch or RustMethod.Plate ? patch?.Result : null;
        PanelBox? over = piece is null ? null : PanelBox.Of(piece.Patch);
        (double along, double across) = over is { } box ? (box.WidthMm, box.HeightMm) : (work.LengthMm, work.WidthMm);
        double areaM2 = sheet.Step(
            "A",
            "area to be coated",
            "(length + 2 margins of 30) (width + 2 margins of 30)",
            (along + (2 * MarginMm)) * (across + (2 * MarginMm)) / 1e6,
            "m2"
        );
        sheet.Cite(new Source("Order of treatment; margins of 30 mm", SourceKind.CommonPractice));
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
        var x = new Plan(work, advice, lengths, areaM2, paint.Result, piece);
        string title = method == advised.Result.Method ? advice.Summary : $"{RustRules.Word(method)}: chosen by hand.";
        return sheet.Finish(new RustPlan(advice, Procedure.Of(title, [.. Steps(x)]), piece));
    }

    /// <summary>What stays bare along a weld, mm: common practice.</summary>
    private const double WeldBareMm = 20;

    /// <summary>Sheet round a place of which nothing else is known, mm: more than any patch reaches.</summary>
    private const double FlatMm = 2000;

    private sealed record Plan(RustWork Work, RustAdvice Advice, LengthFormat Lengths, double AreaM2, PaintPlan Paint, PatchPlan? Piece)
    {
        public bool Patched => Advice.Method == RustMethod.CutOutAndPatch;

        /// <summary>Pits keep rust that no brush reaches.</summary>
        public bool TightRustStays => !Patched && Work.Spot.Grade is RustGrade.FewPits or RustGrade.ManyPits;

        public double EdgeMm => Piece?.EdgeMm ?? 2 * (Work.LengthMm + Work.WidthMm);

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
        if (x.Patched && x.Piece is not null)
            yield return CutOut(x, x.Piece);
        yield return Clean(x);
        if (x.Advice.Method == RustMethod.Putty)
            yield return Putty(x);
        if (x.TightRustStays)
            yield return Convert(x);
        yield return Prime(x);
        if (x.Piece is { Blank.FoldLines.Count: > 0 })
            yield return Make(x, x.Piece);
        if (x.Piece is not null)
            yield return SetPatch(x, x.Piece);
        if (x.Piece is not null || x.Work.Spot.Pocket)
            yield return Seal(x);
        yield return Colour(x);
        if (x.Patched && x.Piece is not null)
            yield return WaterTest();
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

    private static WorkStep CutOut(Plan x, PatchPlan piece)
    {
        var holes = piece.Holes.Select(PanelBox.Of).Select(box => $"{x.Text(box.WidthMm)} by {x.Text(box.HeightMm)}");
        return Step(
            "rust-cut",
            "Cut out to sound sheet",
            $"Mark {string.Join(" and ", holes)} from the template, corners round, off every member. Saw it, no disc near paint; take off the burr. "
                + "Where rust goes on, cut on, and draw the hole again before the patch is made.",
            piece.CutMm,
            "Jigsaw, fresh metal blade",
            "File"
        ) with
        {
            Shell = ShellChange.Opens,
            Weather = Dry,
            Cautions = RustRules.OfCutting,
            Consumables =
            [
                new Consumable(
                    Materials.MetalBlade,
                    BladeLife.Of(new BladeQuestion(SkinMaterial.MildSteel, x.Work.Spot.SheetMm, piece.CutMm)).Result.Blades
                ),
            ],
            Holds = [.. FuelAway(x), HoldPoint.Seen("Sound bright sheet all round the hole")],
        };
    }

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
                + (x.Piece?.Weld is null ? "" : $" Keep {x.Text(WeldBareMm)} along the weld bare, or take primer made to be welded through.")
                + (x.Patched ? " Cover the hole against rain while it dries." : "")
                + " Paint says whether the air is right.",
            x.AreaM2,
            "Brush"
        ) with
        {
            Weather = Laying,
            Cautions = [Cautions.Paint],
            Consumables = [new Consumable(Materials.EpoxyPrimer, 1000 * x.Paint.Coats[0].Litres)],
            WaitHours = Math.Ceiling(x.Paint.Coats[0].RecoatFromHours ?? TypicalCoats.EpoxyPrimer.RecoatFromHours),
        };

    private static WorkStep Make(Plan x, PatchPlan piece)
    {
        IEnumerable<string> folds = piece
            .Blank.FoldLines.OrderBy(f => f.Order)
            .Select(f => $"{f.Degrees:0} degrees {(f.Towards == FoldTo.Outside ? "outwards" : "inwards")} on a radius of {x.Text(f.RadiusMm)}");
        return Step(
            "rust-fold",
            "Cut and fold the blank",
            $"{x.Text(piece.Blank.WidthMm)} by {x.Text(piece.Blank.HeightMm)} from the printed blank; deburr. Fold "
                + $"{string.Join(", then ", folds)}. Offer it up.",
            piece.Blank.FoldLines.Count,
            "Snips",
            "Folding bars",
            "Clamps"
        ) with
        {
            Place = WorkPlace.Bench,
            Cautions = [Cautions.SheetEdges],
            Holds = [HoldPoint.Seen("It lies on the sheet all round, and its flange goes where it belongs")],
        };
    }

    private static WorkStep SetPatch(Plan x, PatchPlan piece)
    {
        var size = PanelBox.Of(piece.Patch);
        string held = piece is { Rivets: { } rivets }
            ? $"Drill it in place, {rivets.Places.Count} holes of {x.Lengths.Drill(rivets.Rivet.HoleMm)} {x.Text(rivets.EdgeMm)} from the edge, "
                + $"{x.Text(rivets.PitchMm)} apart at most, each held by a pin; take it off, deburr, vacuum, a dab of primer in each "
                + "hole. Adhesive on the "
                + $"lap in one bead inside the "
                + $"rivets. Rivets of {x.Text(rivets.Rivet.DiameterMm)}"
                + (rivets.Rivet.BodyMm is { } body ? $" by {x.Text(body)}" : ", of which none is long enough: fewer sheets or bolts")
                + ": corners, then middles, then between."
            : $"Clamp it on bare bright metal. {piece.Weld!.Verdict} Grind flush what shows, and prime both faces of the weld the same "
                + "day: there the coat is "
                + "burnt off.";
        return Step(
            "rust-patch",
            x.Patched ? "Set the patch" : "Set the plate",
            $"{x.Text(size.WidthMm)} by {x.Text(size.HeightMm)}, corners round{(piece.Rivets is null ? "" : ", primed on both faces")}. {held}",
            piece.Rivets?.Places.Count ?? piece.Weld!.Spots.Count,
            [.. piece.Rivets is { } r ? RivetTools(x.Lengths.Drill(r.Rivet.HoleMm)) : WeldTools]
        ) with
        {
            Shell = x.Patched ? ShellChange.Closes : ShellChange.None,
            Weather = Laying,
            Cautions = piece.Rivets is null ? [Cautions.Welding, .. x.Advice.Cautions] : [Cautions.Isocyanates, Cautions.SheetEdges],
            Consumables =
            [
                .. piece.Rivets is { } n
                    ? [new Consumable(Materials.BlindRivet(n.Rivet.DiameterMm, n.Rivet.BodyMm), n.Buy)]
                    : Array.Empty<Consumable>(),
                .. piece.AdhesiveMl > 0 ? [new Consumable(Materials.PanelAdhesive, piece.AdhesiveMl)] : Array.Empty<Consumable>(),
            ],
            Holds =
            [
                .. FuelAway(x),
                HoldPoint.Seen(
                    (piece.Rivets is null ? "No hole in the weld, held against the light" : "Adhesive shows all round")
                        + "; upper edge lies under, lower edge over the skin, so that water runs off"
                ),
            ],
            WaitHours = piece.Rivets is null ? 1 : 24,
        };
    }

    private static readonly string[] WeldTools = ["Welder", "Clamps", "Backing plate"];

    private static IEnumerable<string> RivetTools(string hole) => [$"Drill {hole}", "Rivet tool", "Holding pins"];

    private static WorkStep Seal(Plan x) =>
        Step(
            "rust-seal",
            "Seal edges and seams",
            "Seam sealer on primer, before any colour: along the edge of the patch and every seam nearby, smoothed so that water "
                + "runs off, the lowest point open.",
            x.EdgeMm,
            "Seam brush"
        ) with
        {
            Weather = Laying,
            Consumables = [new Consumable(Materials.SeamSealer, x.EdgeMm * SealerMm2 / 1000)],
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
            Cautions = [Cautions.Paint],
            Consumables = [new Consumable(Materials.TopCoat, 1000 * colours.Sum(c => c.Litres))],
            WaitHours = 2 * wait,
        };
    }

    /// <summary>A hole that was closed is proved before wax and lining hide it.</summary>
    private static WorkStep WaterTest() =>
        Step(
            "water-test",
            "Water test",
            "Spray from below upwards, 5 minutes at each edge of the patch, while somebody looks from inside.",
            5,
            "Hose",
            "Torch"
        ) with
        {
            People = 2,
            Holds = [HoldPoint.DryInside],
        };

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
