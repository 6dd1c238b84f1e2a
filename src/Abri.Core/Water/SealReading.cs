using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Water;

/// <summary>A pair of readings at one place of a seal.</summary>
/// <param name="Place">Where on the door or window.</param>
/// <param name="GapMm">Gap that the closed door leaves for the seal, mm: a roll of putty squeezed in it, measured.</param>
/// <param name="SealMm">Height of the seal there with the door open, mm.</param>
public sealed record SealReading(
    PanelPoint Place,
    [Within(0, 100, "The gap", "mm")] double GapMm,
    [Within(0.5, 100, "The height of the seal", "mm")] double SealMm
);
