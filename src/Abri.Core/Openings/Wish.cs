using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Openings;

/// <summary>What a position may be liked for.</summary>
public enum WishKind
{
    /// <summary>Over a zone: distance to its middle along plus across, mm.</summary>
    OverZone,

    /// <summary>In the middle of the bay, seen along the vehicle: half the difference of the room in front and behind, mm.</summary>
    BayCentre,

    /// <summary>On the centre line of the panel: distance across, mm.</summary>
    CentreLine,

    /// <summary>Level with a line across the panel: distance across, mm.</summary>
    Level,

    /// <summary>Least bedding fill, ml.</summary>
    LeastFill,
}

/// <summary>A wish for a position; wishes are weighed against one another.</summary>
/// <param name="Kind">What is wished.</param>
/// <param name="Weight">How much one millimetre, or millilitre, counts; more than 0.</param>
/// <param name="Zone">Name of the zone, for <see cref="WishKind.OverZone"/>.</param>
/// <param name="AtMm">The line's t, mm, for <see cref="WishKind.Level"/>.</param>
public sealed record Wish(
    WishKind Kind,
    [Within(0, 100, "A wish's weight")] double Weight = 1,
    string? Zone = null,
    [Within(-Limits.LongestMm, Limits.LongestMm, "The line", "mm")] double? AtMm = null
);

/// <summary>One proposed position.</summary>
/// <param name="Rank">1 for the best.</param>
/// <param name="Centre">Where the fitting's centre goes.</param>
/// <param name="Bay">Label of the bay that holds it; null when it lies across a rib.</param>
/// <param name="Cost">Weighed sum of what is missed; 0 when every wish is met.</param>
/// <param name="Reason">Why it is good.</param>
/// <param name="GivesUp">What a position that is better in one respect would have; null when nothing.</param>
public sealed record RankedPosition(int Rank, PanelPoint Centre, string? Bay, double Cost, string Reason, string? GivesUp);

/// <summary>Where a fitting may go, and where best.</summary>
/// <param name="Region">All places where its centre may lie.</param>
/// <param name="Positions">The best positions, best first.</param>
/// <param name="NoneBecause">Why there is no place at all; null when there is one.</param>
public sealed record PositionsFound(IReadOnlyList<RegionPart> Region, IReadOnlyList<RankedPosition> Positions, string? NoneBecause);
