using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Work;
using static Abri.Core.Procedures.RepairSteps;

namespace Abri.Core.Procedures;

/// <summary>Writes how a gutter or seam is sealed anew: in one go, smoothed with the fall, its ends open (common practice).</summary>
/// <example>A gutter of 3 m, bead of 12 by 6: 260 ml of marine polyurethane, one cartridge.</example>
internal static class GutterProcedure
{
    private const double SpotWeldMl = 1;

    /// <summary>The plan.</summary>
    public static Worked<RepairPlan> Of(RepairWork work, SeamRun seam)
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
            Outside(
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
            Outside("seam-clean", "Degrease", "Wash, then degreaser, wiped off one way with a clean cloth.", length, "Lint-free cloths") with
            {
                Cautions = [Cautions.Solvents],
                Consumables = [new Consumable(Materials.Degreaser, 50 + (length / 20))],
            },
            Outside(
                "seam-prime",
                "Prime bare metal",
                "Every bright place, spot welds too: sealant on bare steel lifts with the rust under it.",
                length,
                "Small brush"
            ) with
            {
                Weather = Dry,
                Cautions = [Cautions.Paint],
                Consumables = [new Consumable(Materials.EpoxyPrimer, length / 100)],
                WaitHours = Math.Ceiling(TypicalCoats.EpoxyPrimer.RecoatFromHours),
            },
            Outside(
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
            Outside(
                "seam-pour",
                "Dam and pour",
                "A dam of putty at the lower end, water in, ten minutes; somebody looks from inside. Then the dam goes.",
                1,
                "Bucket"
            ) with
            {
                People = 2,
                Holds = [HoldPoint.DryInside, HoldPoint.Seen("Dam taken away, ends open")],
            },
        ];
        return sheet.Finish(new RepairPlan(null, null, null, verdict, Procedure.Of(verdict, steps), null));
    }
}
