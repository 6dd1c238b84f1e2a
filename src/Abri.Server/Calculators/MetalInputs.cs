using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Procedures;

namespace Abri.Server.Calculators;

/// <summary>Input of the calculator <c>rust-treatment</c>.</summary>
/// <param name="Work">The rusty place.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record RustTreatmentInput(RustWork Work, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>bend</c>.</summary>
/// <param name="Metal">What is bent.</param>
/// <param name="ThickMm">Thickness, mm.</param>
/// <param name="RadiusMm">Inside radius, mm.</param>
/// <param name="Degrees">By how much it is bent out of the flat, degrees.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record BendInput(
    BendMetal Metal,
    [Within(0.3, 6, "The sheet", "mm")] double ThickMm,
    [Within(0.1, 50, "The inside radius", "mm")] double RadiusMm,
    [Within(1, Bend.MostDegrees, "The bend", "degrees")] double Degrees,
    LengthFormat? Lengths = null
);

/// <summary>Input of the calculator <c>fasteners</c>.</summary>
/// <param name="Row">The row of rivets.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record FastenersInput(RivetRow Row, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>patch</c>.</summary>
/// <param name="Site">Damage, panel and what was decided.</param>
public sealed record PatchInput(PatchSite Site);

/// <summary>Input of the calculator <c>blank</c>.</summary>
/// <param name="Design">The piece as it is wanted.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record BlankInput(BlankDesign Design, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>weld-order</c>.</summary>
/// <param name="Edge">The edge to be welded, closed.</param>
/// <param name="SheetMm">Thinner sheet, mm.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record WeldOrderInput(
    [Count(3, Limits.MostPoints, "An edge has 3 to 500 corners.")] IReadOnlyList<PanelPoint> Edge,
    [Within(0.3, 6, "The sheet", "mm")] double SheetMm,
    LengthFormat? Lengths = null
);

/// <summary>Input of the calculator <c>hole-row</c>.</summary>
/// <param name="Row">The holes.</param>
/// <param name="Count">How many.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record HoleRowInput(HoleRow Row, [Within(1, 500, "The holes", "")] int Count, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>nest</c>.</summary>
/// <param name="Question">Pieces and sheets of one metal and one thickness.</param>
public sealed record NestInput(NestQuestion Question);

/// <summary>Input of the calculator <c>door-bow</c>.</summary>
/// <param name="Door">The door with its readings.</param>
/// <param name="HeightMm">Its height, mm.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record DoorBowInput(DoorFit Door, [Within(200, 4000, "The door's height", "mm")] double HeightMm, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>window-out</c>.</summary>
/// <param name="Window">The old window.</param>
/// <param name="Site">Where it sits.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record WindowOutInput(OldWindow Window, WindowSite Site, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>paint</c>.</summary>
/// <param name="Coats">The coats, in order.</param>
/// <param name="AreaM2">Area, m2.</param>
/// <param name="AirC">Temperature, C.</param>
public sealed record PaintInput(
    [Count(1, 10, "A paint system has 1 to 10 coats.")] IReadOnlyList<Coat> Coats,
    [Within(0.001, 500, "The area", "m2")] double AreaM2,
    [Within(-20, 60, "The temperature", "C")] double AirC
);

/// <summary>Input of the calculator <c>paint-now</c>.</summary>
/// <param name="Now">The air, the metal and the coat.</param>
public sealed record PaintNowInput(PaintWeather Now);
