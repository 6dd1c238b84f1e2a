using Abri.Core.Openings;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>A flange: fitted dry, bedded, drawn down by its screws and sealed over. It closes the shell.</summary>
internal static class BedPhase
{
    /// <summary>Section of a bead inside and outside the screw line, mm2: assumption.</summary>
    private const double BeadMm2 = 60;

    /// <summary>Sealant over a millimetre of edge, ml: assumption.</summary>
    private const double OverMlPerMm = 0.06;

    /// <summary>Hours before rain may stand on what was sealed over: assumption.</summary>
    private const double OverHours = 4,
        HotHours = 24;

    public static IEnumerable<WorkStep> Of(OpeningPlan x)
    {
        int screws = x.Marked.ScrewHoles.Count;
        string pilot = screws == 0 ? "mark its fasteners" : $"{screws} pilot holes of {x.Lengths.Drill(x.Fitting.Screws!.PilotMm)}";
        yield return WorkStep.Of("dry-fit", "Dry fit", $"Set it in, {pilot}; mark front. {x.Seat.Verdict}", x.Out, screws, "Drill") with
        {
            Cautions = x.OutCautions,
            Weather = x.Dry,
        };
        yield return Bedding(x);
        yield return WorkStep.Of(
            "set",
            "Set it and draw it down",
            $"Set it straight, {(screws == 0 ? "its fasteners" : $"{screws} screws")} by hand from the middle of opposite sides "
                + "outwards, in two rounds; "
                + "stop when the bedding shows all round, before it squeezes dry.",
            x.Out,
            screws,
            "Hand driver"
        ) with
        {
            People = x.Heavy ? 2 : 1,
            Cautions = x.OutCautions,
            Weather = x.Laying,
            Shell = ShellChange.Closes,
            Consumables = screws == 0 ? [] : [new Consumable(Materials.Screw, screws)],
            Holds = [HoldPoint.Seen("Bedding shows all round")],
        };
        yield return x.Fitting.HeatMm > 0 ? SealHot(x) : SealOver(x);
    }

    /// <summary>Bedding below a flange, of a screwed and of a clamped fitting.</summary>
    public static WorkStep Bedding(OpeningPlan x)
    {
        double bead = x.Fitting.Flange.PerimeterMm * BeadMm2 / 1000,
            fill = x.Seat.Bedded ? x.Seat.FillMl : 0;
        bool butyl = x.Product is { Family: var family }
            ? family == ProductFamily.ButylTape
            : !x.Roof || x.Schools.Bedding == FlangeBedding.ButylAndLapSealant;
        bool tape = x.Seat.Strips.Count > 0 && butyl;
        Material adhesive = x.Product?.AsMaterial() ?? (butyl ? Materials.Bedding : Materials.FlangeAdhesive);
        string what =
            !x.Seat.Bedded ? "Make the adapter plate first, or fill the valleys solid and let that harden: no bedding carries these gaps."
            : tape
                ? $"{x.Seat.Strips.Count} strips in {x.Seat.Strips.Max(s => s.Layer)} layers by the list on the Seat tab, "
                    + $"{x.Text(x.Seat.TapeMm)} in all; "
                    + "joints never above one another, the screw line on tape."
            : $"{adhesive.Name}: a full bead inside and outside the screw line, {fill:0} ml to fill and {bead:0} ml of bead.";
        Consumable used = tape
            ? new Consumable(Materials.ButylTape(x.Seat.Tape.WidthMm, x.Seat.Tape.ThickMm), x.Seat.TapeMm)
            : new Consumable(adhesive, fill + bead);
        return WorkStep.Of("bed", "Bed the flange", $"Degrease both faces, let them dry. {what}", x.Out, 1, "Lint-free cloths") with
        {
            Cautions =
            [
                .. x.RefusedCaution,
                .. x.Fitting.Kind == FittingKind.HingedWindow ? [Cautions.AcrylicPane] : Array.Empty<Caution>(),
                .. x.OutCautions,
            ],
            Weather = x.Laying,
            Consumables = [used, new Consumable(Materials.Degreaser, 50)],
        };
    }

    private static WorkStep SealOver(OpeningPlan x)
    {
        bool glued = x.Roof && x.Schools.Bedding == FlangeBedding.Adhesive;
        string how =
            glued
                ? "Trim what was pressed out flush. Roofing tape over the edge of the flange and onto the skin, low side first, "
                    + "each next piece over the last, rolled down "
                    + "hard; its last joint at the low end."
            : x.Roof ? "Trim the bedding flush. Lap sealant over every screw head and along the edge, thin at the low end so that water runs off."
            : "Trim the bedding flush. A fine bead along the top and both sides, tooled to a fillet with soapy water; a second fine "
                + "one where it has shrunk. "
                + "The bottom stays open, so that what gets in gets out.";
        Consumable used = glued
            ? new Consumable(Materials.RoofingTape, x.Fitting.Flange.PerimeterMm * 1.1)
            : new Consumable(x.Roof ? Materials.LapSealant : Materials.ToolingSealant, x.Fitting.Flange.PerimeterMm * OverMlPerMm);
        return WorkStep.Of("seal-over", "Seal over", how, x.Out, 1) with
        {
            Cautions = x.OutCautions,
            Weather = x.Laying,
            WaitHours = OverHours,
            Consumables = [used],
        };
    }

    /// <summary>Round a flue nothing that softens: no tape, no lap sealant.</summary>
    private static WorkStep SealHot(OpeningPlan x) =>
        WorkStep.Of(
            "seal-over",
            "Seal over",
            $"Trim what was pressed out flush. {(x.Product is null ? "A sealant made for the heat, or a collar" : x.Product.Name)} "
                + "over every screw head and along the edge, "
                + "a thin fillet, open at the low end. No butyl, no lap sealant: they run in the heat.",
            x.Out,
            1
        ) with
        {
            Cautions = [Cautions.FirstFiring, .. x.OutCautions],
            Weather = x.Laying,
            WaitHours = HotHours,
            Consumables = [new Consumable(x.Product?.AsMaterial() ?? Materials.HeatSealant, x.Fitting.Flange.PerimeterMm * OverMlPerMm)],
        };
}
