using Abri.Core.Metal;
using Abri.Core.Work;
using static Abri.Core.Procedures.RepairSteps;

namespace Abri.Core.Procedures;

/// <summary>Writes how holes are closed: cleaned, drilled, primed, closed, sealed over, tested.</summary>
internal static class PlugProcedure
{
    /// <summary>The plan.</summary>
    public static Result<Worked<RepairPlan>> Of(RepairWork work)
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
            Outside(
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
                    Outside(
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
            Outside("plug-swarf", "Take up the swarf", "Vacuum and wipe inside and outside, the same day.", count, "Vacuum cleaner") with
            {
                Holds = [HoldPoint.Seen("No chips, inside and outside")],
            },
            .. plan.Way == HoleWay.WeldOverBacking ? Array.Empty<WorkStep>() : [PlugPrime(count)],
            Close(work, plan, count),
            .. plan.Way == HoleWay.WeldOverBacking ? [PlugPrime(count)] : Array.Empty<WorkStep>(),
            Outside("plug-seal", "Seal over", "A dab of seam sealer over each, smoothed; colour when it is hard.", count, "Brush") with
            {
                Weather = Dry,
                Consumables = [new Consumable(Materials.SeamSealer, 2 * count), new Consumable(Materials.TopCoat, 2 * count)],
            },
            Outside("water-test", "Water test", "Spray the row for 5 minutes while somebody looks from inside.", 1, "Hose") with
            {
                People = 2,
                Holds = [HoldPoint.DryInside],
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
        WorkStep protect = Outside(
            "rust-protect",
            "Protect it",
            "Dry it, oil or wax it, with a photo for the workshop. Nothing is drilled or filled.",
            0.01,
            "Brush"
        );
        return sheet.Finish(
            new RepairPlan(null, null, null, verdict, Procedure.Of(verdict, [protect with { Weather = Dry }]), RustRules.WatchMonths)
        );
    }

    private static WorkStep PlugPrime(int count) =>
        Outside("plug-prime", "Prime", "The bare ring and the edge of each hole, both faces where they can be reached.", count, "Small brush") with
        {
            Weather = Dry,
            Cautions = [Cautions.Paint],
            Consumables = [new Consumable(Materials.EpoxyPrimer, 2 * count)],
            WaitHours = Math.Ceiling(TypicalCoats.EpoxyPrimer.RecoatFromHours),
        };

    private static WorkStep Close(RepairWork work, HoleRowPlan plan, int count)
    {
        WorkStep step = Outside("plug-close", "Close them", plan.Verdict, count);
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
}
