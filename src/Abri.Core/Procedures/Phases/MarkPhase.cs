using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>The lines on the metal.</summary>
internal static class MarkPhase
{
    private const string Askew =
        "Not square, or a corner is wrong: measure the four from their datums again, and mark anew before anything is drilled.";

    public static WorkStep Of(OpeningPlan x) =>
        WorkStep.Of(
            "mark-out",
            "Mark out",
            $"From {string.Join(", ", x.Marked.CutLines.Select(c => $"{c.Datum}: {x.Text(c.TapeFromMm)}").Distinct())}. "
                + "Tape the metal, draw lines and corners, tape the template on.",
            x.Out,
            1,
            "Tape measure",
            "Straight-edge",
            "Square",
            "Template at 1:1"
        ) with
        {
            Cautions = x.OutCautions,
            Consumables = [new Consumable(Materials.MaskingTape, 2 * x.Marked.PerimeterMm)],
            Holds =
            [
                HoldPoint.Within("First diagonal", x.Marked.DiagonalMm, 1.5, Unit.Mm).Else(Askew),
                HoldPoint.Within("Second diagonal", x.Marked.DiagonalMm, 1.5, Unit.Mm).Else(Askew),
            ],
        };
}
