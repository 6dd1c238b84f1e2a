using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Seating;
using Abri.Core.Openings.Together;
using Abri.Core.Procedures;

namespace Abri.Server.Calculators;

/// <summary>Input of the calculator <c>openings-together</c>.</summary>
/// <param name="Site">The panel, and what is to be placed on it.</param>
public sealed record OpeningsTogetherInput(TogetherSite Site);

/// <summary>Input of the calculator <c>draught</c>.</summary>
/// <param name="Ways">What moves or lets through air.</param>
/// <param name="Sources">Where damp or dust arises.</param>
/// <param name="VolumeM3">Volume of the inside, m3.</param>
/// <param name="FloorAreaM2">Floor area, m2.</param>
public sealed record DraughtInput(
    [Count(0, 100, "At most 100 ways of air are weighed.")] IReadOnlyList<AirWay> Ways,
    [Count(0, 100, "At most 100 sources are weighed.")] IReadOnlyList<AirSource> Sources,
    [Within(0, 1000, "The volume", "m3")] double VolumeM3,
    [Within(0, 200, "The floor area", "m2")] double FloorAreaM2
);

/// <summary>Input of the calculator <c>sill-taper</c>.</summary>
/// <param name="LengthMm">Length of the sill, mm.</param>
/// <param name="TaperDeg">Angle of the wall in plan, degrees; positive where the vehicle narrows to the rear.</param>
/// <param name="FrontMm">Depth at the front end, mm.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record SillTaperInput(
    [Within(1, Limits.LongestMm, "The sill's length", "mm")] double LengthMm,
    [Within(-45, 45, "The taper", "degrees")] double TaperDeg,
    [Within(0, 2000, "The depth in front", "mm")] double FrontMm,
    LengthFormat? Lengths = null
);

/// <summary>Input of the calculator <c>inner-frame</c>.</summary>
/// <param name="Site">What decides.</param>
/// <param name="Centre">The place.</param>
public sealed record InnerFrameInput(Site Site, PanelPoint Centre);

/// <summary>Input of the calculator <c>tape-plan</c>.</summary>
/// <param name="Sides">Gaps along the sides of the flange.</param>
/// <param name="Tape">The tape; null for the usual one.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record TapePlanInput(
    [Count(0, 4, "A flange has four sides.")] IReadOnlyList<SeatSide> Sides,
    BeddingTape? Tape = null,
    LengthFormat? Lengths = null
);

/// <summary>Input of the calculator <c>opening-procedure</c>.</summary>
/// <param name="Work">What the procedure is made from.</param>
public sealed record OpeningProcedureInput(OpeningWork Work);

/// <summary>Input of the calculator <c>header-size</c>.</summary>
/// <param name="ClearMm">Clear length between what carries it, mm.</param>
/// <param name="Material">What it is made of.</param>
public sealed record HeaderSizeInput([Within(50, 6000, "The clear length", "mm")] double ClearMm, HeaderMaterial Material = HeaderMaterial.Timber);
