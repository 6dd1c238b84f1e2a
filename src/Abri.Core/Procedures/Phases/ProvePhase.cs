using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>Water on it, before anybody calls it done.</summary>
internal static class ProvePhase
{
    /// <summary>Minutes of water at each edge: common practice.</summary>
    private const double EdgeMinutes = 10;

    public static WorkStep Of(OpeningPlan x) =>
        WorkStep.Of(
            "water-test",
            "Water test",
            $"A soft hose from below upwards, {EdgeMinutes:0} minutes at each edge; somebody inside with a torch.",
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
}
