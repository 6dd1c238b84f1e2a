using Abri.Core.Shell;
using Abri.Core.Water.Leaks;

namespace Abri.Core.Water;

/// <summary>Says what is contradictory about what bears on water on a panel, or that nothing is.</summary>
public static class WaterCheck
{
    private const string OffPanel = "place-off-panel";

    /// <summary>The first contradiction of a suspect, or null.</summary>
    public static Problem? Of(Panel panel, Suspect suspect) => PlaceCheck.Of(panel, suspect.Points, OffPanel, "/points");

    /// <summary>The first contradiction of a drain, or null.</summary>
    public static Problem? Of(Panel panel, Drain drain) => PlaceCheck.Of(panel, [drain.Place], OffPanel, "/place");

    /// <summary>The first contradiction of a pair of readings, or null.</summary>
    public static Problem? Of(Panel panel, SealReading reading) => PlaceCheck.Of(panel, [reading.Place], OffPanel, "/place");

    /// <summary>The first contradiction of a covering, or null.</summary>
    public static Problem? Of(Panel panel, Covering covering) => PlaceCheck.Of(panel, covering.Area.Corners, OffPanel, "/area");

    /// <summary>The first contradiction of what was looked at, or null.</summary>
    public static Problem? Of(Panel panel, Observation seen)
    {
        if (seen.Wet is null && seen.MoisturePercent is null)
            return new Problem("observation-empty", "/wet", "Say whether it was wet or dry, or give a moisture reading.");
        if ((seen.Kind == ObservationKind.WaterTest) != seen.Spray is not null)
            return new Problem("observation-spray", "/spray", "A water test says what was sprayed, and nothing else does.");
        return PlaceCheck.Of(panel, [seen.Place], OffPanel, "/place");
    }
}
