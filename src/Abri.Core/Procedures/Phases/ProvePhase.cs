using Abri.Core.Openings;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>What settles is tightened again, water on it, then trim and lining, before anybody calls it done.</summary>
internal static class ProvePhase
{
    /// <summary>Minutes of water at each edge: common practice.</summary>
    private const double EdgeMinutes = 10;

    /// <summary>Until tape and gaskets have settled, hours: common practice, a day or two.</summary>
    private const double SettleHours = 24;

    public static IEnumerable<WorkStep> Of(OpeningPlan x, string last)
    {
        int screws = x.Clamped ? x.Fitting.Halves?.ScrewPlaces?.Count ?? x.Fitting.Halves?.Lugs ?? 0 : x.Marked.ScrewHoles.Count;
        bool settles = x.Taped || x.OwnGasket;
        if (settles && screws > 0)
            yield return WorkStep.Of(
                "tighten-again",
                "Tighten again",
                $"All {screws} screws by hand in the same order, a quarter of a turn at most: {(x.Taped ? "tape" : "a gasket")} settles. "
                    + "Once more after the first hot "
                    + "day. Where it was glued, never: that breaks the bond.",
                x.Clamped ? WorkPlace.Inside : x.Out,
                screws,
                "Hand driver"
            ) with
            {
                Weather = x.Clamped ? WeatherNeeds.Any : x.Dry,
                Cautions = x.Clamped ? [] : x.OutCautions,
                After = [new Follows(last, SettleHours)],
            };
        yield return WorkStep.Of(
            "water-test",
            "Water test",
            $"A soft hose from below upwards, {EdgeMinutes:0} minutes at each edge; somebody inside with a torch. No jet from above: it "
                + "proves nothing.",
            x.Out,
            EdgeMinutes,
            "Hose",
            "Torch"
        ) with
        {
            People = 2,
            Cautions = x.OutCautions,
            Holds = [HoldPoint.DryInside],
        };
        string travel =
            x.Fitting.Kind == FittingKind.Hatch || x.Fitting.HingeSide is not null ? " Open it over its whole travel and shut it again." : "";
        string heat =
            x.Fitting.HeatMm > 0
                ? $" Lining and insulation stay {x.Text(x.Fitting.HeatMm)} away from the hot plate. The first firing is watched, windows "
                    + "open, the alarm for carbon "
                    + "monoxide on."
                : "";
        yield return WorkStep.Of(
            "inner-trim",
            "Trim and lining inside",
            $"{Trim(x)}{travel}{heat} Look again after the first rain and in a year: the logbook asks for it.",
            WorkPlace.Inside,
            1,
            "Hand driver",
            "Torch"
        ) with
        {
            Cautions = x.Fitting.HeatMm > 0 ? [Cautions.FirstFiring, Cautions.Licensed] : [],
            Holds = [HoldPoint.Seen("Nothing rubs, and no edge is bare")],
        };
    }

    private static string Trim(OpeningPlan x) =>
        x.Fitting.Kind switch
        {
            FittingKind.BondedWindow =>
                "Holding tape off. Trim over the inner edge, blind or curtain rail; the lining ends at the trim, not at the glass.",
            FittingKind.GasketWindow => "Lining up to the rubber's inner lip, not under it.",
            FittingKind.Grille => "Insulation cut back behind it, so that air passes as it should; nothing is laid in front of it.",
            FittingKind.Flue => "The inner plate or collar on, its screws into metal or cement board.",
            FittingKind.Hatch => "Cover the frame, stay and latch reachable from inside.",
            _ => "Inner frame or trim ring on, insulation up to it, the lining closed.",
        };
}
