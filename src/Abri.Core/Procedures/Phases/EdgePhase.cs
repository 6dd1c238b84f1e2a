using Abri.Core.Openings.Rules;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>The cut edge: cleaned, painted, and covered where there are two skins.</summary>
internal static class EdgePhase
{
    /// <summary>Until paint on a cut edge may be touched, hours: assumption.</summary>
    private const double PaintHours = 1;

    /// <summary>Paint for a millimetre of edge, both faces, one coat, ml: assumption.</summary>
    private const double PaintMlPerMm = 0.02;

    public static IEnumerable<WorkStep> Of(OpeningPlan x)
    {
        double paint = x.Marked.PerimeterMm * PaintMlPerMm;
        bool steel = x.Panel.Material is SkinMaterial.MildSteel or SkinMaterial.GalvanisedSteel;
        yield return WorkStep.Of(
            "edge-paint",
            "Take up the swarf, paint the edge",
            "Vacuum and brush every chip off roof and sills the same day: they rust. Prime and paint the cut edge with a brush, both faces.",
            x.Out,
            1,
            "Vacuum cleaner",
            "Brush"
        ) with
        {
            Cautions = x.OutCautions,
            Weather = x.Dry,
            WaitHours = PaintHours,
            Consumables = [new Consumable(steel ? Materials.ZincPrimer : Materials.EdgePrimer, paint), new Consumable(Materials.TopCoat, paint)],
        };
        if (x.Panel.SkinGapMm is { } gap)
            yield return EdgeTrim(x, gap + (2 * x.Panel.SkinMm));
    }

    private static WorkStep EdgeTrim(OpeningPlan x, double edgeMm)
    {
        double trim = x.Fitting.CutOut.PerimeterMm + KindRules.TrimOverlapMm;
        (string what, Material trimmed) =
            edgeMm <= KindRules.TrimMostMm ? ($"over both skins, {x.Text(edgeMm)}", Materials.EdgeTrim)
            : x.Schools.WideTrim == WideTrim.InnerEdge
                ? ("on the inner skin alone, the gap to the outer one filled with mastic; the skins are not pinched together", Materials.EdgeTrim)
            : ($"wide enough for both skins, {x.Text(edgeMm)}; the skins are not pinched together", Materials.WideEdgeTrim);
        return WorkStep.Of(
            "edge-trim",
            "Edge trim",
            $"{x.Text(trim)} of trim {what}. Begin at the least seen edge and trim it back where it meets.",
            x.Out,
            1,
            "Snips",
            "Soft mallet"
        ) with
        {
            Weather = x.Dry,
            Consumables = [new Consumable(trimmed, trim)],
        };
    }
}
