using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Water.Leaks;

/// <summary>From where the wind blew while it rained.</summary>
public enum WindFrom
{
    /// <summary>No wind to speak of.</summary>
    Calm,

    /// <summary>Against the front.</summary>
    Front,

    /// <summary>Against the rear.</summary>
    Rear,

    /// <summary>Against the left side.</summary>
    Left,

    /// <summary>Against the right side.</summary>
    Right,
}

/// <summary>What a place was looked at after.</summary>
public enum ObservationKind
{
    /// <summary>Rain.</summary>
    Rain,

    /// <summary>A water test.</summary>
    WaterTest,

    /// <summary>A reading of the wood-moisture meter, whatever fell before.</summary>
    Moisture,
}

/// <summary>Where water was sprayed in a test.</summary>
/// <param name="Panel">On which panel.</param>
/// <param name="Zone">On which part of it.</param>
/// <param name="Minutes">How long, min.</param>
/// <param name="OthersMasked">Whether what lies below was covered, so that water running off wetted nothing else.</param>
public sealed record Spray(
    PanelKind Panel,
    [Enclosing("The part that is sprayed")] PanelBox Zone,
    [Within(0.5, 240, "How long is sprayed", "minutes")] double Minutes,
    bool OthersMasked
);

/// <summary>A place inside that was looked at: wet or dry, after rain or in a water test.</summary>
/// <param name="Kind">After what.</param>
/// <param name="Place">Where on the panel.</param>
/// <param name="SeenAt">When, UTC.</param>
/// <param name="Wet">Whether it was wet; null where only a meter was read.</param>
/// <param name="MoisturePercent">Reading of the wood-moisture meter, % of dry mass; null without one.</param>
/// <param name="Wind">From where the wind blew; null where not known.</param>
/// <param name="Attitude">How the vehicle stood; null for as it is parked.</param>
/// <param name="Spray">What was sprayed; null unless it was a water test.</param>
/// <param name="AfterMinutes">Minutes after which water showed; null where it was not timed.</param>
/// <param name="SeenBy">Who looked; empty when nobody says.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record Observation(
    ObservationKind Kind,
    PanelPoint Place,
    [Dated] DateTimeOffset SeenAt,
    bool? Wet,
    [Within(0, 200, "The moisture", "%")] double? MoisturePercent,
    WindFrom? Wind,
    Attitude? Attitude,
    Spray? Spray,
    [Within(0, 1000, "After how many minutes", "minutes")] double? AfterMinutes,
    [Letters(80, "Who looked may have at most 80 characters.")] string SeenBy,
    [Notes] string Notes
)
{
    /// <summary>Whether it says that water came: seen, or by the meter from <see cref="WoodMoisture.DecayPercent"/> up; that none came, below
    /// <see cref="WoodMoisture.CoatPercent"/>; null where it says neither.</summary>
    internal bool? SaysWet =>
        Wet
        ?? (
            MoisturePercent >= WoodMoisture.DecayPercent ? true
            : MoisturePercent < WoodMoisture.CoatPercent ? false
            : null
        );
}
