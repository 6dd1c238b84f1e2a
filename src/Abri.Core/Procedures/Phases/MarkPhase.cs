using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>The lines on the skin, and what is covered before anything is cut.</summary>
internal static class MarkPhase
{
    private const string Askew =
        "Not square, or a corner is wrong: measure the four from their datums again, and mark again before anything is drilled.";

    public static WorkStep Of(OpeningPlan x) =>
        WorkStep.Of(
            "mark-out",
            "Mark out from the through-holes",
            "Mask the skin, tape the template on by the through-holes, and check it: "
                + $"{string.Join(", ", x.Marked.CutLines.Select(c => $"{c.Datum}: {x.Text(c.TapeFromMm)}").Distinct())}. "
                + "Step back: it must look straight against body lines and the middle of the bay, not only measure straight. Draw lines and corners, "
                + $"centre-punch the {x.Marked.StartHoles.Count} start holes, and cover the paint a hand wide where saw and chips go.",
            x.Out,
            1,
            "Tape measure",
            "Straight-edge",
            "Square",
            "Centre punch",
            "Template at 1:1"
        ) with
        {
            Cautions = x.OutCautions,
            Weather = x.Dry,
            Consumables = [new Consumable(Materials.MaskingTape, 3 * x.Marked.PerimeterMm)],
            Holds =
            [
                HoldPoint.Within("First diagonal", x.Marked.DiagonalMm, 1.5, Unit.Mm).Else(Askew),
                HoldPoint.Within("Second diagonal", x.Marked.DiagonalMm, 1.5, Unit.Mm).Else(Askew),
            ],
        };

    /// <summary>Who lifts what how.</summary>
    public static WorkStep Lift(OpeningPlan x) =>
        WorkStep.Of(
            "lift",
            "Plan the lift and get it up",
            $"{x.Fitting.MassKg:0.#} kg: {x.LiftPeople} people. Agree who says what. "
                + (
                    "Boards across the bows where they stand; up on a sloping pair of planks or from a platform as high as the roof, by "
                    + "its base, never by its cover. "
                    + "Lay it beside the place on blankets."
                ),
            x.Out,
            1,
            "Planks or platform",
            "Slings"
        ) with
        {
            People = x.LiftPeople,
            Weather = x.Dry,
            Cautions = [Cautions.HeavyLift, .. x.OutCautions],
        };

    /// <summary>Chips and dust go everywhere inside.</summary>
    public static WorkStep Protect(OpeningPlan x) =>
        WorkStep.Of(
            "protect",
            "Cover the inside",
            (
                x.Roof ? "Hang a sheet below the cut like a bag, all its edges taped to the roof. "
                : x.Below ? "Clear the floor round the cut, and spread a sheet below the vehicle. "
                : "Hang a sheet below the cut and tape its foot up to a pocket. "
            ) + "Cover seats, floor, dashboard and wood: chips and dust go everywhere. Battery still off.",
            WorkPlace.Inside,
            1,
            "Dust sheets"
        ) with
        {
            Consumables = [new Consumable(Materials.MaskingTape, 2 * x.Marked.PerimeterMm)],
        };
}
