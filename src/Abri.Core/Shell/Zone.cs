using Abri.Core.Declared;
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

    /// <summary>Furring that carries a lining.</summary>
    Furring,
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
    [Name] string Name,
    ZoneKind Kind,
    [Within(-Limits.LongestMm, Limits.LongestMm, "The front", "mm")] double XMinMm,
    [Within(-Limits.LongestMm, Limits.LongestMm, "The rear", "mm")] double XMaxMm,
    [Within(-5000, 5000, "The right edge", "mm")] double YMinMm,
    [Within(-5000, 5000, "The left edge", "mm")] double YMaxMm,
    [Within(-2000, 5000, "The foot", "mm")] double ZMinMm,
    [Within(-2000, 5000, "The top", "mm")] double ZMaxMm
) : IConsistent
{
    (string Field, string Message)? IConsistent.Contradiction() =>
        XMaxMm <= XMinMm ? ("xMaxMm", "The rear of a zone must lie behind its front.")
        : YMaxMm <= YMinMm ? ("yMaxMm", "The left edge of a zone must lie to the left of its right edge.")
        : ZMaxMm <= ZMinMm ? ("zMaxMm", "The top of a zone must lie above its foot.")
        : null;

    /// <summary>
    /// Its outline in the frame of a panel that faces some way, if the panel can have to do with it: roof and floor with all zones, a side with those
    /// that reach past the centre line to it. Null otherwise.
    /// </summary>
    internal PanelBox? On(Facing facing) =>
        facing switch
        {
            Facing.Up or Facing.Down => new PanelBox(XMinMm, XMaxMm, YMinMm, YMaxMm),
            Facing.Left when YMaxMm > 0 => new PanelBox(XMinMm, XMaxMm, ZMinMm, ZMaxMm),
            Facing.Right when YMinMm < 0 => new PanelBox(XMinMm, XMaxMm, ZMinMm, ZMaxMm),
            _ => null,
        };

    /// <summary>Whether an opening before or above it would come out inside it.</summary>
    internal bool HidesOpenings => Kind is ZoneKind.OverheadLocker or ZoneKind.Bulkhead;
}
