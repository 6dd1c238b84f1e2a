using Abri.Core.Openings;
using Abri.Core.Openings.Seating;
using Abri.Core.Sealing;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>A flange: bedded, drawn down by its screws and sealed over. It closes the shell.</summary>
internal static class BedPhase
{
    /// <summary>Section of each of two beads, inside and outside the screw line, mm2: assumption, a bead of 9 mm.</summary>
    private const double BeadMm2 = 60;

    /// <summary>Lap sealant over a millimetre of edge, ml: assumption, 20 mm wide and 3 mm thick.</summary>
    private const double LapMlPerMm = 0.06;

    /// <summary>A fine fillet of 5 mm along a millimetre of edge, ml.</summary>
    private const double FineMlPerMm = 0.0125;

    /// <summary>What is bought more than is reckoned.</summary>
    private const double Waste = 1.1;

    /// <summary>Hours before rain may stand on what was sealed over: assumption.</summary>
    private const double OverHours = 4,
        HotHours = 24;

    /// <summary>Hours until an adhesive below a flange has set enough to be sealed over: a careful habit.</summary>
    private const double SetHours = 24;

    public static IEnumerable<WorkStep> Of(OpeningPlan x)
    {
        yield return Bedding(x);
        yield return Setting(x);
        if (x.Fitting.Kind == FittingKind.Hatch)
            yield return Hang(x);
        yield return x.Fitting.HeatMm > 0 ? SealHot(x) : SealOver(x);
    }

    /// <summary>Bedding below a flange, of a screwed and of a clamped fitting.</summary>
    public static WorkStep Bedding(OpeningPlan x)
    {
        double bead = (x.Fitting.Flange.PerimeterMm + x.Fitting.CutOut.PerimeterMm) * BeadMm2 * Waste / 1000,
            fill = x.Seat.Bedded ? x.Seat.FillMl * Waste : 0;
        bool tape = x.Taped && x.Seat.Strips.Count > 0;
        BeddingTape flat = BeddingTape.For(x.Seat.Sides.Min(s => s.LandMm), 0);
        string plate = x.Seat.Bedded
            ? ""
            : "The adapter plate first on the skin, drawn down by its own screws until the bedding shows; then the flange on the plate. ";
        Material adhesive = x.Product?.AsMaterial() ?? Materials.Bedding;
        string onTape = x.Clamped ? "" : ", the screw line on tape";
        string what =
            tape
                ? $"{x.Seat.Strips.Count} strips of tape {x.Text(x.Seat.Tape.WidthMm)} by {x.Text(x.Seat.Tape.ThickMm)} in "
                    + $"{x.Seat.Strips.Max(s => s.Layer)} {(x.Seat.Strips.Max(s => s.Layer) == 1 ? "layer" : "layers")} by the list on the Seat tab, "
                    + $"{x.Text(x.Seat.TapeMm)} in all; joints never above one another{onTape}."
            : x.Taped ? $"Tape {x.Text(flat.WidthMm)} by {x.Text(flat.ThickMm)} once all round below each, its ends butted without a gap{onTape}."
            : $"{adhesive.Name}: {(fill >= 1 ? $"{fill:0} ml to fill the valleys, then " : "")}a full bead "
                + (x.Clamped ? "along the hole and one along the edge of the flange" : "inside and one outside the screw line")
                + $", {bead:0} ml.";
        Consumable used =
            tape ? new Consumable(Materials.ButylTape(x.Seat.Tape.WidthMm, x.Seat.Tape.ThickMm), x.Seat.TapeMm * Waste)
            : x.Taped ? new Consumable(Materials.ButylTape(flat.WidthMm, flat.ThickMm), 2 * x.Fitting.Flange.PerimeterMm * Waste)
            : new Consumable(adhesive, fill + ((x.Seat.Bedded ? 1 : 2) * bead));
        string primed = x.Product is { } p && PrimedOn(x, p) is { Length: > 0 } sides ? $"Its primer on {sides}, and the time on its sheet. " : "";
        string clean =
            x.PaneCautions.Length > 0 ? "Degrease the skin, the frame with soap and water, let them dry. " : "Degrease both faces, let them dry. ";
        return WorkStep.Of("bed", "Bed the flange", $"{clean}{primed}{plate}{what}", x.Out, 1, "Lint-free cloths") with
        {
            Cautions = [.. x.RefusedCaution, .. x.PaneCautions, .. x.ProductCautions, Cautions.Solvents, .. x.OutCautions],
            Weather = x.Laying,
            Consumables = [used, new Consumable(Materials.Degreaser, 50)],
        };
    }

    private static string PrimedOn(OpeningPlan x, Product p)
    {
        Joint joint = OfferedJoints.OfFitting(x.Panel, x.Fitting, x.Asked.Name);
        return string.Join(
            " and ",
            new[] { joint.One, joint.Other }.Distinct().Where(s => p.To(s) == Adhesion.WithPrimer).Select(s => Sealing.Words.Of(s))
        );
    }

    private static WorkStep Setting(OpeningPlan x)
    {
        int screws = x.Marked.ScrewHoles.Count;
        string fasteners =
            screws == 0 ? "Its fasteners"
            : x.Skin.Screw == Materials.IsolatedScrew
                ? $"{screws} stainless screws, each with a nylon washer and a dab of sealant, so that no steel touches the aluminium,"
            : $"{screws} screws";
        return WorkStep.Of(
            "set",
            "Set it and draw it down",
            $"Set it {(x.Roof ? "straight, FRONT to the front" : "level")}. {fasteners} by hand, from the middle of opposite sides "
                + "outwards, round by round; stop when the bedding shows all "
                + "round, before it squeezes dry.",
            x.Out,
            screws,
            "Hand driver"
        ) with
        {
            People = x.LiftPeople,
            Cautions = [.. x.LiftCautions, .. x.OutCautions],
            Weather = x.Laying,
            // A hatch closes once its leaf hangs.
            Shell = x.Fitting.Kind == FittingKind.Hatch ? ShellChange.None : ShellChange.Closes,
            WaitHours = x.Sticks && x.Fitting.Kind != FittingKind.Hatch ? SetHours : 0,
            Consumables = screws == 0 ? [] : [new Consumable(x.Skin.Screw, Math.Ceiling(screws * Waste))],
            Holds = [HoldPoint.Seen("Bedding shows all round")],
        };
    }

    /// <summary>A hatch hung in its frame.</summary>
    private static WorkStep Hang(OpeningPlan x)
    {
        double seal = x.Fitting.Neck.PerimeterMm * 1.02;
        return WorkStep.Of(
            "hang",
            "Hang the hatch",
            $"Hinge screwed through to the header, stay and latch to the frame. {x.Text(seal)} of hollow seal round the frame, joint at "
                + "the bottom; the hatch "
                + "presses it to about half all round: pull a strip of paper. Drip rail over the top, past both sides.",
            x.Out,
            1,
            "Drill",
            "Hand driver",
            "Strip of paper"
        ) with
        {
            People = 2,
            Weather = x.Dry,
            Shell = ShellChange.Closes,
            WaitHours = x.Sticks ? SetHours : 0,
            Consumables = [new Consumable(Materials.HatchSeal, seal), new Consumable(Materials.DripRail, x.Fitting.Flange.WidthMm + 40)],
            Holds =
            [
                HoldPoint.Seen("It opens over its whole travel and holds; the paper drags all round") with
                {
                    IfMore = "Shift the hinge, or pack the seal where the paper slips out.",
                },
            ],
        };
    }

    private static WorkStep SealOver(OpeningPlan x)
    {
        bool school = x.Roof && x.Product is null or { Structural: true },
            hybrid = x.Product?.Family == ProductFamily.SilaneModifiedPolymer;
        double around = x.Fitting.Flange.PerimeterMm,
            fine = (x.Below ? around : around - x.Fitting.Flange.WidthMm) * FineMlPerMm * Waste;
        (string how, Consumable used) =
            hybrid && x.Roof
                ? (
                    $"Trim what was pressed out flush. A fine fillet of {x.Product!.Name} along the edge, tooled with soapy water, thin "
                        + "at the low end so that water runs "
                        + "off; a dab on every screw head.",
                    new Consumable(x.Product.AsMaterial(), around * FineMlPerMm * Waste)
                )
            : school
                ? (
                    "Trim what was pressed out flush. Roofing tape over the edge of the flange and onto the skin, low side first, each "
                        + "next piece over the last, rolled "
                        + "down hard; its last joint at the low end.",
                    new Consumable(Materials.RoofingTape, around * Waste)
                )
            : x.Roof
                ? (
                    "Trim the bedding flush. Lap sealant over every screw head and along the edge, thin at the low end so that water runs off.",
                    new Consumable(Materials.LapSealant, around * LapMlPerMm * Waste)
                )
            : (
                "Trim the bedding flush. A fine bead of 4 to 6 mm "
                    + (
                        x.Below
                            ? "all round, tooled with soapy water."
                            : "along the top and both sides, tooled to a fillet with soapy water; a second fine one where it has shrunk. "
                                + "The bottom stays open, so that "
                                + "what gets in gets out."
                    ),
                hybrid ? new Consumable(x.Product!.AsMaterial(), 2 * fine) : new Consumable(Materials.ToolingSealant, 2 * fine)
            );
        return WorkStep.Of("seal-over", "Seal over", how, x.Out, 1) with
        {
            Cautions = [.. x.PaneCautions, .. used.Material == Materials.LapSealant ? [Cautions.Solvents] : Array.Empty<Caution>(), .. x.OutCautions],
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
            Consumables = [new Consumable(x.Product?.AsMaterial() ?? Materials.HeatSealant, x.Fitting.Flange.PerimeterMm * FineMlPerMm * 2 * Waste)],
        };
}
