using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Procedures;

/// <summary>A repair with all that decides how it is done.</summary>
/// <param name="Repair">The repair.</param>
/// <param name="Panel">Its panel.</param>
/// <param name="Members">Members of the panel.</param>
/// <param name="Attitude">How the vehicle stands as parked; null for level.</param>
/// <param name="Cuts">Cut-outs of the openings on the panel.</param>
/// <param name="Flanges">Their flanges, in the same order.</param>
/// <param name="Lengths">How lengths are written in sentences.</param>
public sealed record RepairWork(
    Repair Repair,
    Panel Panel,
    IReadOnlyList<Member> Members,
    Attitude? Attitude,
    IReadOnlyList<IReadOnlyList<PanelPoint>> Cuts,
    IReadOnlyList<IReadOnlyList<PanelPoint>> Flanges,
    LengthFormat Lengths
)
{
    /// <summary>The patch of the repair where it lies; null where it has none.</summary>
    internal PatchSite? PatchSite =>
        Repair.Patch is { } design && Repair.Kind is RepairKind.Patch or RepairKind.Plate
            ? new PatchSite(Panel, Members, Repair.Damage, design, Attitude, Cuts, Lengths, Spot?.Near)
            : null;

    /// <summary>What the metal is like, with what is drawn round it; null where nobody said.</summary>
    internal RustSpot? Spot => Repair.Spot is { } spot ? Surroundings.Of(spot, Repair.Damage, Members) : null;

    /// <summary>Whether it is for a licensed workshop: here it is only cleaned and protected.</summary>
    internal bool IsForWorkshop =>
        Repair.Kind switch
        {
            RepairKind.Treat or RepairKind.Patch or RepairKind.Plate => Spot is { } spot
                && RustRules.Of(spot, new RustLimits(), Lengths).Result.Method == RustMethod.ProtectOnly,
            RepairKind.Plug => Repair.Points.Any(p => Surroundings.IsOnStructure(p, Members)),
            _ => false,
        };

    /// <summary>The repair as it may be done here: what is for a licensed workshop has no patch, no joint and covers nothing.</summary>
    internal Repair Allowed => IsForWorkshop ? Repair with { Kind = RepairKind.Treat, Patch = null, Holes = null } : Repair;
}

/// <summary>A repair worked out.</summary>
/// <param name="Advice">What the rules say of the metal; null where none was looked at.</param>
/// <param name="Patch">The patch or plate; null where there is none, or the repair is for a licensed workshop.</param>
/// <param name="Holes">How holes are closed; null where there are none.</param>
/// <param name="Verdict">The repair in a sentence.</param>
/// <param name="Procedure">How it is done.</param>
/// <param name="LookAgainMonths">Months after which it is looked at again; null where it need not be.</param>
/// <param name="Window">How an old window comes out; null where there is none.</param>
/// <param name="Door">The door with its readings; null where there is none.</param>
/// <param name="IsForWorkshop">Whether it only protects what a licensed workshop has to repair.</param>
public sealed record RepairPlan(
    RustAdvice? Advice,
    PatchPlan? Patch,
    HoleRowPlan? Holes,
    string Verdict,
    Procedure Procedure,
    int? LookAgainMonths,
    WindowOutPlan? Window = null,
    DoorPlan? Door = null,
    bool IsForWorkshop = false
);

/// <summary>Writes the procedure of a repair.</summary>
/// <remarks>
/// Rust, patches and plates: <see cref="RustProcedure"/>. A gutter is sealed in one go and smoothed with the fall, its ends open; trims come
/// off while
/// the shell is bare and go on last, one clip in five replaced: common practice. Amounts: assumptions, a fifth more for waste.
/// </remarks>
/// <example>A gutter of 3 m, bead of 12 by 6: 260 ml of marine polyurethane, one cartridge.</example>
public static class RepairProcedure
{
    /// <summary>Clips bought beyond those counted, as a share: common practice.</summary>
    public const double SpareClips = 0.2;

    private const double Waste = 1.2,
        SpotWeldMl = 1,
        BeddingThickMm = 2;

    /// <summary>The plan.</summary>
    public static Result<Worked<RepairPlan>> Of(RepairWork work)
    {
        if (RepairCheck.Of(work.Panel, work.Repair) is { } problem)
            return problem;
        return work.Repair.Kind switch
        {
            RepairKind.Treat or RepairKind.Patch or RepairKind.Plate => Metal(work),
            RepairKind.Plug => Plug(work),
            RepairKind.Gutter => Gutter(work, work.Repair.Seam!),
            RepairKind.Trim => Trim(work, work.Repair.Trim!),
            RepairKind.WindowOut => WindowOutOf(work, work.Repair.Window!),
            RepairKind.Door => DoorOf(work, work.Repair.Door!),
            _ => Leave(),
        };
    }

    private static Result<Worked<RepairPlan>> Metal(RepairWork work)
    {
        (Repair repair, RustSpot spot) = (work.Repair, work.Spot!);
        RustMethod advised = RustRules.Of(spot, new RustLimits(), work.Lengths).Result.Method;
        // What is for a licensed workshop is not drawn either.
        Worked<PatchPlan>? patch = null;
        if (!work.IsForWorkshop && work.PatchSite is { } site && !Patch.Of(site).IsOk(out patch, out Problem? problem))
            return problem with
            {
                Pointer = problem
                    .Pointer.Replace("/design", "/patch", StringComparison.Ordinal)
                    .Replace("/damage", "/points", StringComparison.Ordinal),
            };
        RustMethod? chosen = repair.Kind switch
        {
            RepairKind.Patch => RustMethod.CutOutAndPatch,
            RepairKind.Plate => RustMethod.Plate,
            // What the rules would cut out or plate can be treated meanwhile, and then it is said.
            _ => advised is RustMethod.CutOutAndPatch or RustMethod.Plate ? RustMethod.TreatAndWatch : null,
        };
        (double length, double width) = repair.Extent;
        var rust = new RustWork(spot, Math.Max(5, length), Math.Max(5, width));
        Worked<RustPlan> plan = RustProcedure.Of(rust, chosen, patch, work.Lengths);
        var sheet = new Worksheet();
        sheet.Take(plan);
        bool falls = chosen < advised && !work.IsForWorkshop;
        if (falls || (chosen == RustMethod.Plate && advised == RustMethod.MeasureFirst))
            sheet.Warn(
                $"The rules say: {RustRules.Word(advised)}. {RustRules.Word(chosen!.Value)} only, it holds for a while: do that, or watch it."
            );
        RustAdvice advice = plan.Result.Advice;
        Procedure procedure = plan.Result.Procedure;
        Judgement[] blocked = [.. (patch?.Result.Rows ?? []).Where(r => r.State == JudgementState.Blocked)];
        if (blocked.Length > 0)
        {
            string what = string.Join(" ", blocked.Select(r => $"{char.ToUpperInvariant(r.Title[0])}{r.Title[1..]}: {r.Remedy}"));
            sheet.Warn($"Not as it is drawn. {what}");
            procedure = Procedure.Of(procedure.Title, [Mend(what), .. procedure.Steps.Select(s => s with { After = [] })]);
        }
        return sheet.Finish(
            new RepairPlan(
                advice,
                patch?.Result,
                null,
                patch?.Result.Verdict ?? procedure.Title,
                procedure,
                advice.LookAgainMonths ?? (falls ? RustRules.WatchMonths : null),
                IsForWorkshop: work.IsForWorkshop
            )
        );
    }

    /// <summary>Before anything is cut: what must not be done as it is drawn.</summary>
    private static WorkStep Mend(string what) =>
        Step("repair-mend", "Not yet: mend the drawing", what, 1) with
        {
            Place = WorkPlace.Bench,
            Holds = [HoldPoint.Seen("The bench blocks nothing any more, and the sheets are printed anew")],
        };

    private static Result<Worked<RepairPlan>> Plug(RepairWork work)
    {
        Repair repair = work.Repair;
        int count = repair.Points.Count;
        if (work.IsForWorkshop)
            return OnStructure();
        if (!HoleRows.Of(repair.Holes!, count, work.Lengths).IsOk(out Worked<HoleRowPlan>? row, out Problem? problem))
            return problem with { Pointer = "/holes" + problem.Pointer["/row".Length..] };
        var sheet = new Worksheet();
        sheet.Take(row);
        sheet.Cite(MinutesTable.Source);
        HoleRowPlan plan = row.Result;
        if (plan.Way is null)
            return sheet.Finish(new RepairPlan(null, null, plan, plan.Verdict, Procedure.Of(plan.Verdict, []), null));
        WorkStep[] steps =
        [
            Step(
                "plug-clean",
                "Clean the holes to bare metal",
                "Both faces where they can be reached, 30 mm round each: degrease, take off rust and paint, degrease.",
                count,
                "Scraper",
                "Abrasive pad"
            ) with
            {
                Cautions = [Cautions.RustDust, Cautions.Solvents],
                Consumables =
                [
                    new Consumable(Materials.Degreaser, 20 + (5 * count)),
                    new Consumable(Materials.AbrasivePad, Math.Ceiling(count / 10.0)),
                ],
            },
            .. plan.DrillMm is { } drill
                ?
                [
                    Step(
                        "plug-drill",
                        "Drill",
                        $"All {count} to {work.Lengths.Drill(drill)}; deburr.",
                        count,
                        $"Drill {work.Lengths.Drill(drill)}",
                        "Countersink"
                    ) with
                    {
                        Cautions = [Cautions.WiringBehind],
                    },
                ]
                : Array.Empty<WorkStep>(),
            Step("plug-swarf", "Take up the swarf", "Vacuum and wipe inside and outside, the same day.", count, "Vacuum cleaner") with
            {
                Holds = [HoldPoint.Seen("No chips, inside and outside")],
            },
            .. plan.Way == HoleWay.WeldOverBacking ? Array.Empty<WorkStep>() : [PlugPrime(count)],
            Close(work, plan, count),
            .. plan.Way == HoleWay.WeldOverBacking ? [PlugPrime(count)] : Array.Empty<WorkStep>(),
            Step("plug-seal", "Seal over", "A dab of seam sealer over each, smoothed; colour when it is hard.", count, "Brush") with
            {
                Weather = Dry,
                Consumables = [new Consumable(Materials.SeamSealer, 2 * count), new Consumable(Materials.TopCoat, 2 * count)],
            },
            Step("water-test", "Water test", "Spray the row for 5 minutes while somebody looks from inside.", 1, "Hose") with
            {
                People = 2,
                Holds = [HoldPoint.Seen("Dry inside")],
            },
        ];
        return sheet.Finish(new RepairPlan(null, null, plan, plan.Verdict, Procedure.Of(plan.Verdict, steps), null));
    }

    /// <summary>A hole in what holds the body or people: nothing is drilled, filled or welded there.</summary>
    private static Worked<RepairPlan> OnStructure()
    {
        const string verdict = "A hole lies in structure: clean and protect it, and have it closed by a licensed workshop.";
        var sheet = new Worksheet();
        sheet.Cite(
            new Source("Structure and what holds people or wheels: protection only, the repair is a licensed workshop's", SourceKind.CommonPractice)
        );
        sheet.Cite(MinutesTable.Source);
        WorkStep protect = Step(
            "rust-protect",
            "Protect it",
            "Dry it, oil or wax it, with a photo for the workshop. Nothing is drilled or filled.",
            0.01,
            "Brush"
        );
        return sheet.Finish(
            new RepairPlan(
                null,
                null,
                null,
                verdict,
                Procedure.Of(verdict, [protect with { Weather = Dry }]),
                RustRules.WatchMonths,
                IsForWorkshop: true
            )
        );
    }

    private static WorkStep PlugPrime(int count) =>
        Step("plug-prime", "Prime", "The bare ring and the edge of each hole, both faces where they can be reached.", count, "Small brush") with
        {
            Weather = Dry,
            Consumables = [new Consumable(Materials.EpoxyPrimer, 2 * count)],
            WaitHours = Math.Ceiling(TypicalCoats.EpoxyPrimer.RecoatFromHours),
        };

    private static WorkStep Close(RepairWork work, HoleRowPlan plan, int count)
    {
        WorkStep step = Step("plug-close", "Close them", plan.Verdict, count);
        return plan.Way switch
        {
            HoleWay.SealedRivet => step with
            {
                Tools = ["Rivet tool"],
                Consumables =
                [
                    new Consumable(Materials.BlindRivet(plan.Rivet!.DiameterMm, plan.Rivet.BodyMm), Rivets.WithSpare(count)),
                    new Consumable(Materials.SeamSealer, count),
                ],
                Shell = ShellChange.Closes,
            },
            HoleWay.Putty => step with
            {
                Tools = ["Gloves", "Spreader"],
                Weather = Dry,
                Cautions = [Cautions.Solvents],
                Consumables = [new Consumable(Materials.Putty, 3 * count)],
                WaitHours = 2,
                Shell = ShellChange.Closes,
            },
            HoleWay.WeldOverBacking => step with { Tools = ["Welder", "Backing plate"], Cautions = [Cautions.Welding], Shell = ShellChange.Closes },
            _ => step with
            {
                Tools = ["Snips", "Rivet tool"],
                Weather = Dry,
                Cautions = [Cautions.SheetEdges, Cautions.Isocyanates],
                Consumables =
                [
                    new Consumable(Materials.BlindRivet(plan.Rivet!.DiameterMm, plan.Rivet.BodyMm), Rivets.WithSpare(count * plan.RivetsEach)),
                    new Consumable(
                        Materials.PanelAdhesive,
                        count * Math.PI / 4 * plan.DiscMm!.Value * plan.DiscMm.Value * Patch.BondMm * Waste / 1000
                    ),
                ],
                WaitHours = 24,
                Shell = ShellChange.Closes,
            },
        };
    }

    private static Worked<RepairPlan> Gutter(RepairWork work, SeamRun seam)
    {
        var sheet = new Worksheet();
        double length = sheet.Step("L", "length", "sum of its pieces", Outlines.LengthMm(work.Repair.Points), "mm"),
            laid = sheet.Step(
                "V",
                "sealant",
                $"(L w d + {SpotWeldMl:0} ml a spot weld) * {Waste:0.0}",
                ((length * seam.WideMm * seam.DeepMm / 1000) + (SpotWeldMl * seam.SpotWelds)) * Waste,
                "ml"
            );
        sheet.Cite(new Source("Marine polyurethane, the whole run in one go, smoothed with the fall, ends open", SourceKind.CommonPractice));
        sheet.Cite(new Source("A fifth more for waste; 1 ml a spot weld", SourceKind.Assumption));
        sheet.Cite(MinutesTable.Source);
        double carts = Math.Ceiling(laid / Materials.GutterSealant.Pack!.Value);
        string verdict =
            $"{work.Lengths.Text(length)} in one go: {laid:0} ml of marine polyurethane, {carts:0} {(carts == 1 ? "cartridge" : "cartridges")}.";
        WorkStep[] steps =
        [
            Step(
                "seam-strip",
                "Strip the old sealant",
                "All of it, with plastic blades; what stays keeps the new one from holding.",
                length,
                "Plastic scraper",
                "Heat gun on low"
            ) with
            {
                Cautions = [Cautions.RustDust],
            },
            Step("seam-clean", "Degrease", "Wash, then degreaser, wiped off one way with a clean cloth.", length, "Lint-free cloths") with
            {
                Cautions = [Cautions.Solvents],
                Consumables = [new Consumable(Materials.Degreaser, 50 + (length / 20))],
            },
            Step(
                "seam-prime",
                "Prime bare metal",
                "Every bright place, spot welds too: sealant on bare steel lifts with the rust under it.",
                length,
                "Small brush"
            ) with
            {
                Weather = Dry,
                Consumables = [new Consumable(Materials.EpoxyPrimer, length / 100)],
                WaitHours = Math.Ceiling(TypicalCoats.EpoxyPrimer.RecoatFromHours),
            },
            Step(
                "seam-lay",
                "Lay the whole run",
                $"{verdict} {work.Lengths.Text(seam.WideMm)} wide, {work.Lengths.Text(seam.DeepMm)} deep"
                    + (seam.SpotWelds > 0 ? $", pressed into {seam.SpotWelds} spot welds" : "")
                    + "; smooth it towards the lower end before it skins. The ends stay open.",
                length,
                "Sealant gun",
                "Smoothing spatula"
            ) with
            {
                Weather = Dry,
                Cautions = [Cautions.Isocyanates],
                Consumables = [new Consumable(Materials.GutterSealant, laid), new Consumable(Materials.MaskingTape, 2 * length)],
                WaitHours = 24,
            },
            Step(
                "seam-pour",
                "Dam and pour",
                "A dam of putty at the lower end, water in, ten minutes; somebody looks from inside. Then the dam goes.",
                1,
                "Bucket"
            ) with
            {
                People = 2,
                Holds = [HoldPoint.Seen("Dry inside"), HoldPoint.Seen("Dam taken away, ends open")],
            },
        ];
        return sheet.Finish(new RepairPlan(null, null, null, verdict, Procedure.Of(verdict, steps), null));
    }

    private static Worked<RepairPlan> Trim(RepairWork work, TrimRun trim)
    {
        var sheet = new Worksheet();
        double length = sheet.Step("L", "length", "sum of its pieces", Outlines.LengthMm(work.Repair.Points), "mm"),
            count = sheet.Step(
                "N",
                trim.Held == TrimHeld.Clips ? "clips" : "screws",
                "ceil(L / p) + 1",
                Math.Ceiling((length / trim.PitchMm) - 1e-9) + 1,
                "count"
            ),
            buy = sheet.Step("B", "to buy", $"N (1 + {SpareClips:0.0})", Math.Ceiling((count * (1 + SpareClips)) - 1e-9), "count"),
            bedding = trim.BeddingWideMm == 0
                ? 0
                : sheet.Step(
                    "V",
                    "bedding",
                    $"L w {BeddingThickMm:0} * {Waste:0.0} / 1000",
                    length * trim.BeddingWideMm * BeddingThickMm * Waste / 1000,
                    "ml"
                );
        sheet.Cite(new Source("One clip in five breaks; off while the shell is bare, on again last", SourceKind.CommonPractice));
        sheet.Cite(new Source("Bedding of 2 mm, a fifth more for waste", SourceKind.Assumption));
        sheet.Cite(MinutesTable.Source);
        bool clips = trim.Held == TrimHeld.Clips;
        string held = clips ? "clips" : "screws";
        string verdict =
            $"{work.Lengths.Text(length)} held by {count:0} {held}; have {buy:0} at hand" + (bedding > 0 ? $", {bedding:0} ml of bedding." : ".");
        WorkStep[] steps =
        [
            Step(
                "trim-off",
                "Take it off",
                clips
                    ? "Look for hidden fixings first: under arches, in door shuts, behind lamps. Warm it, pull at each clip "
                        + "with a trim lever, never at the end."
                    : "Look for hidden fixings under caps and sealant. Back out every screw; what is rusted in is drilled. Number the pieces.",
                count,
                clips ? "Trim lever" : "Screwdriver",
                "Heat gun on low"
            ) with
            {
                Cautions = [Cautions.SheetEdges],
            },
            Step(
                "trim-clean",
                "Clean the skin under it",
                "Old sealant and dirt off, degrease; rust under it is treated now, while it is bare.",
                length,
                "Plastic scraper"
            ) with
            {
                Cautions = [Cautions.Solvents],
                Consumables = [new Consumable(Materials.Degreaser, 50 + (length / 20))],
                Holds = [HoldPoint.Seen("Sound paint or primer all along")],
            },
            Step(
                "trim-straighten",
                "Straighten it",
                $"Bends out by hand over a straight batten; {held} that are bent or rusted are replaced.",
                1,
                "Batten"
            ) with
            {
                Place = WorkPlace.Bench,
            },
            Step(
                "trim-on",
                "Put it on",
                (
                    bedding > 0
                        ? $"Bedding {work.Lengths.Text(trim.BeddingWideMm)} wide along all of it, of a kind that comes off "
                            + $"again: neutral-cure or butyl. "
                        : ""
                )
                    + (
                        clips
                            ? "A dab of sealant in each clip hole, press from the middle outwards."
                            : "From the middle outwards, each screw dipped in sealant, hand tight."
                    )
                    + " The lower edge stays open for water to leave.",
                count,
                clips ? "Rubber mallet" : "Screwdriver"
            ) with
            {
                Weather = Dry,
                Consumables =
                [
                    new Consumable(clips ? Materials.TrimClip : Materials.Screw, buy),
                    .. bedding > 0 ? [new Consumable(Materials.Bedding, bedding)] : Array.Empty<Consumable>(),
                ],
                WaitHours = 12,
            },
            Step(
                "water-test",
                "Water test",
                "Spray along it from below upwards while somebody looks from inside.",
                Math.Max(1, length / 1200),
                "Hose"
            ) with
            {
                People = 2,
                Holds = [HoldPoint.Seen("Dry inside")],
            },
        ];
        return sheet.Finish(new RepairPlan(null, null, null, verdict, Procedure.Of(verdict, steps), null));
    }

    private static Result<Worked<RepairPlan>> WindowOutOf(RepairWork work, OldWindow window)
    {
        var site = new WindowSite(work.Repair.Points, work.Cuts, work.Flanges);
        if (!WindowOut.Of(window, site, work.Lengths).IsOk(out Worked<WindowOutPlan>? plan, out Problem? problem))
            return problem with { Pointer = problem.Pointer.Replace("/site/outline", "/points", StringComparison.Ordinal) };
        var sheet = new Worksheet();
        sheet.Take(plan);
        sheet.Cite(MinutesTable.Source);
        WindowOutPlan result = plan.Result;
        return sheet.Finish(
            new RepairPlan(null, null, null, result.Verdict, WindowOutProcedure.Of(result.Verdict, window, result, work.Lengths), null, result)
        );
    }

    private static Result<Worked<RepairPlan>> DoorOf(RepairWork work, DoorFit door)
    {
        if (!DoorBow.Of(door, work.Lengths).IsOk(out Worked<DoorPlan>? plan, out Problem? problem))
            return problem with { Pointer = "/door" + problem.Pointer };
        var sheet = new Worksheet();
        sheet.Take(plan);
        sheet.Cite(MinutesTable.Source);
        DoorPlan result = plan.Result;
        return sheet.Finish(new RepairPlan(null, null, null, result.Verdict, DoorProcedure.Of(door, result, work.Lengths), null, null, result));
    }

    private static Worked<RepairPlan> Leave()
    {
        var sheet = new Worksheet();
        sheet.Cite(new Source("What is left is looked at every 6 months", SourceKind.CommonPractice));
        string verdict = $"Left as it is, and looked at again in {RustRules.WatchMonths} months.";
        return sheet.Finish(
            new RepairPlan(
                null,
                null,
                null,
                verdict,
                Procedure.Of(
                    verdict,
                    [Step("look-again", "Look at it", "A photo from the same place and distance; compare with the last one.", 1, "Camera")]
                ),
                RustRules.WatchMonths
            )
        );
    }

    private static WeatherNeeds Dry { get; } = new(true, null, TypicalCoats.EpoxyPrimer.LeastC, TypicalCoats.Colour.MostC);

    private static WorkStep Step(string key, string title, string what, double amount, params string[] tools) =>
        WorkStep.Of(key, title, what, WorkPlace.Outside, amount, tools);
}
