using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Floor;

/// <summary>How wood answers to a tap and an awl.</summary>
public enum WoodState
{
    /// <summary>Rings, and the awl stops.</summary>
    Sound,

    /// <summary>Gives under the thumb.</summary>
    Spongy,

    /// <summary>The awl goes in.</summary>
    Soft,

    /// <summary>The awl goes through.</summary>
    Through,
}

/// <summary>What was probed.</summary>
public enum ProbeOf
{
    /// <summary>The board on top.</summary>
    Board,

    /// <summary>The member below or behind: a bearer, a sill, a stud.</summary>
    Member,
}

/// <summary>A place where wood was tapped, pricked or metered.</summary>
/// <param name="Of">What was probed.</param>
/// <param name="At">Where on the panel.</param>
/// <param name="Wood">How it answered.</param>
/// <param name="MoisturePercent">Reading of the wood-moisture meter, % of dry mass; null without one.</param>
/// <param name="TakenAt">When, UTC.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record Probe(
    ProbeOf Of,
    PanelPoint At,
    WoodState Wood,
    [Within(0, Probe.MostMoisturePercent, "The moisture", "%")] double? MoisturePercent,
    [Dated] DateTimeOffset TakenAt,
    [Notes] string Notes
)
{
    /// <summary>Wettest that a meter reads, % of dry mass.</summary>
    public const double MostMoisturePercent = 200;

    /// <summary>Most probes of a panel.</summary>
    public const int MostOnPanel = 5000;

    /// <summary>Whether the wood goes: it does not ring, or it is wet enough to decay.</summary>
    public bool IsBad => Goes(Wood, MoisturePercent);

    /// <summary>The same of what was felt and metered.</summary>
    internal static bool Goes(WoodState wood, double? moisturePercent) => wood != WoodState.Sound || moisturePercent >= WoodMoisture.DecayPercent;

    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Check(Panel panel, Probe probe) => PlaceCheck.Of(panel, [probe.At], "probe-off-panel", "/at");
}
