using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>A pane in a rubber: rubber on the pane, drawn in with a cord, filler strip, non-setting sealant under the lip. It closes the
/// shell.</summary>
internal static class GasketPhase
{
    /// <summary>Extra length of rubber and strip, pushed together at the joint so that they do not shrink open: common practice.</summary>
    private const double Longer = 1.01;

    /// <summary>Section of the bead under the lip, mm2: assumption, a fine bead of 5 mm.</summary>
    private const double LipMm2 = 12.5;

    public static IEnumerable<WorkStep> Of(OpeningPlan x)
    {
        double round = x.Fitting.Neck.PerimeterMm;
        yield return WorkStep.Of(
            "rubber",
            "Rubber on the pane",
            $"{x.Text(round * Longer)} of rubber round the pane, cut a little long and pushed together, its joint at the middle of the "
                + "top. Rub the groove for the "
                + "skin and the edge of the hole with soapy water, no oil. Lay a cord once round in the groove, its ends crossing by a "
                + "hand's breadth at the middle of the bottom and half a metre of each hanging out inside.",
            x.Out,
            1,
            "Soapy water",
            "Cord, 4 to 5 mm, smooth",
            "Sharp knife"
        ) with
        {
            Weather = x.Dry,
            Cautions = x.OutCautions,
            Consumables = [new Consumable(Materials.WindowRubber, round * Longer)],
        };
        yield return WorkStep.Of(
            "set-pane",
            "Draw the pane in",
            "One outside pushes with flat hands, bottom first, then where the cord is; one inside pulls the cord towards the middle of "
                + "the pane, so that it lifts "
                + "the lip over the edge, a hand's breadth at a time, both ends in turn to the top. Never strike glass at its edge.",
            x.Out,
            1,
            "Suction lifters",
            "Wide plastic wedge"
        ) with
        {
            People = 2,
            Weather = x.Dry,
            Shell = ShellChange.Closes,
            Cautions = [Cautions.Glass, .. x.OutCautions],
            Holds =
            [
                HoldPoint.Seen("Lip over the edge all round, inside and out") with
                {
                    IfMore = "Lift it over with the wedge and soapy water; where it will not, take the pane out and look at the hole.",
                },
            ],
        };
        yield return WorkStep.Of(
            "filler",
            "Filler strip",
            $"{x.Text(round * Longer)} of filler strip into its groove with the tool, soapy water ahead of it, joint away from that of "
                + "the rubber, cut a little long.",
            x.Out,
            1,
            "Filler strip tool"
        ) with
        {
            Weather = x.Dry,
            Cautions = x.OutCautions,
            Consumables = [new Consumable(Materials.FillerStrip, round * Longer)],
        };
        yield return WorkStep.Of(
            "seal-over",
            "Seal under the lip",
            "When the soapy water has dried: lift the outer lip with the wedge and lay a fine bead of sealant that never sets between "
                + "rubber and skin, and between "
                + "rubber and pane; wipe off what comes out. What sets tears away from the rubber when the body works.",
            x.Out,
            1,
            "Fine nozzle",
            "Wide plastic wedge"
        ) with
        {
            Weather = x.Laying,
            Cautions = x.OutCautions,
            Consumables = [new Consumable(Materials.NonSettingSealant, 2 * round * LipMm2 * 1.1 / 1000)],
        };
    }
}
