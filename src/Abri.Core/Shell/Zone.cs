using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>What a part of the inside is used for.</summary>
public enum ZoneKind
{
    /// <summary>Work bench.</summary>
    Bench,

    /// <summary>Bed.</summary>
    Bed,

    /// <summary>Galley.</summary>
    Galley,

    /// <summary>Shower.</summary>
    Shower,

    /// <summary>Seat.</summary>
    Seat,

    /// <summary>Stove.</summary>
    Stove,

    /// <summary>Overhead locker.</summary>
    OverheadLocker,

    /// <summary>Bulkhead.</summary>
    Bulkhead,
}

/// <summary>A part of the inside that openings must respect or serve, as a box in vehicle coordinates.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Kind">What it is used for.</param>
/// <param name="XMinMm">Front, mm behind the front datum.</param>
/// <param name="XMaxMm">Rear, mm behind the front datum.</param>
/// <param name="YMinMm">Right edge, mm to the vehicle's left of the centre line.</param>
/// <param name="YMaxMm">Left edge, mm to the vehicle's left of the centre line.</param>
/// <param name="ZMinMm">Foot, mm above the floor.</param>
/// <param name="ZMaxMm">Top, mm above the floor.</param>
public sealed record Zone(
    string Name, ZoneKind Kind, double XMinMm, double XMaxMm, double YMinMm, double YMaxMm, double ZMinMm, double ZMaxMm)
{
    /// <summary>Seen from above, in the roof's frame.</summary>
    internal PanelBox Plan => new(XMinMm, XMaxMm, YMinMm, YMaxMm);

    /// <summary>Whether it hangs under the roof, so that a roof opening would cut into it.</summary>
    internal bool HangsUnderRoof => Kind is ZoneKind.OverheadLocker or ZoneKind.Bulkhead;
}
