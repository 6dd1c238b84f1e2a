using Abri.Core.Openings.Rules;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>Chips taken up, bare edges and holes coated, an edge trim where one goes on.</summary>
internal static class EdgePhase
{
    /// <summary>One coat for a millimetre of edge, both faces, with waste, ml; and for a hole: assumptions.</summary>
    private const double CoatMlPerMm = 0.022,
        CoatMlPerHole = 0.5;

    public static IEnumerable<WorkStep> Of(OpeningPlan x)
    {
        yield return WorkStep.Of("swarf", "Take up the chips", x.Skin.TakeUp, WorkPlace.Inside, 1, [.. x.Skin.TakeUpTools]) with
        {
            Cautions = [.. x.Skin.Cutting.Where(c => c == Cautions.GlassFibreDust)],
            Holds = [HoldPoint.Seen("No chips or dust, inside and out")],
        };
        double coat = (x.CutMm * CoatMlPerMm) + (x.Marked.ScrewHoles.Count * CoatMlPerHole);
        // A top coat burns off beside a hot plate.
        EdgeCoat[] coats =
        [
            .. x.Skin.Coats.Select(c => x.Fitting.HeatMm > 0 && c.Material == Materials.TopCoat ? c with { Material = Materials.HeatPaint } : c),
        ];
        for (int i = 0; i < coats.Length; i++)
        {
            bool last = i == coats.Length - 1;
            bool resin = coats[i].Material == Materials.EdgeResin;
            double wait = last && x.Sticks ? Math.Max(coats[i].Hours, SkinWork.OverNightHours) : coats[i].Hours;
            string until =
                !last ? $"{wait:0.#} h before the next coat. "
                : x.Sticks ? "Over night before the adhesive, unless the sheet of the coat says less: what is still soft lets go. "
                : $"{wait:0.#} h before anything is bedded on it. ";
            yield return WorkStep.Of(
                i == 0 ? "edge-prime" : "edge-paint",
                i == 0 ? (resin ? "Seal the edge" : "Prime the edge") : "Second coat on the edge",
                (i == 0 ? x.Skin.Edge : $"{coats[i].Material.Name} over it, edge and holes, both faces.") + $" {until}At 20 °C; twice as long at 10.",
                x.Out,
                1,
                "Brush",
                "Abrasive paper"
            ) with
            {
                Cautions =
                [
                    resin ? Cautions.Resin : Cautions.Paint,
                    .. i == 0 && x.Steel ? [Cautions.RustDust] : Array.Empty<Caution>(),
                    .. x.OutCautions,
                ],
                Weather = x.Dry with { FromC = 10, ToC = 35 },
                WaitHours = wait,
                Consumables = [new Consumable(coats[i].Material, coat)],
                Holds =
                    i == 0
                        ?
                        [
                            HoldPoint.Seen("The edge is 3 K or more above the dew point") with
                            {
                                IfMore = "Warm it or wait: it has a film of water that you cannot see. Quick figures has the dew point.",
                            },
                        ]
                        : [],
            };
        }
        if (KindRules.TakesTrim(x.Fitting, x.Panel))
            yield return EdgeTrim(x, x.Panel.SkinGapMm is { } gap ? gap + (2 * x.Panel.SkinMm) : x.Panel.SkinMm);
    }

    private static WorkStep EdgeTrim(OpeningPlan x, double edgeMm)
    {
        double trim = x.Fitting.CutOut.PerimeterMm + KindRules.TrimOverlapMm;
        (string what, Material trimmed) =
            x.Panel.SkinGapMm is null ? ("over the edge", Materials.EdgeTrim)
            : edgeMm <= KindRules.TrimMostMm ? ($"over both skins, {x.Text(edgeMm)}", Materials.EdgeTrim)
            : x.Schools.WideTrim == WideTrim.InnerEdge
                ? ("on the inner skin alone, the gap to the outer one filled with mastic; the skins are not pinched together", Materials.EdgeTrim)
            : ($"wide enough for both skins, {x.Text(edgeMm)}; the skins are not pinched together", Materials.WideEdgeTrim);
        return WorkStep.Of(
            "edge-trim",
            "Edge trim",
            $"{x.Text(trim)} of trim {what}, before the pane, its lip clear of the land that the bead wets. Begin at the least seen edge "
                + "and trim it back "
                + "where it meets.",
            x.Out,
            1,
            "Snips",
            "Soft mallet"
        ) with
        {
            Weather = x.Dry,
            Cautions = x.OutCautions,
            Consumables = [new Consumable(trimmed, trim)],
        };
    }
}
