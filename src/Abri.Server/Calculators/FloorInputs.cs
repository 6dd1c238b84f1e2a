using Abri.Core.Declared;
using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;

namespace Abri.Server.Calculators;

/// <summary>Input of the calculator <c>floor-replacement</c>.</summary>
/// <param name="Site">The floor with what is known of it.</param>
/// <param name="Replacement">What is replaced.</param>
public sealed record FloorReplacementInput(FloorSite Site, Replacement Replacement);

/// <summary>Input of the calculator <c>lining-holes</c>.</summary>
/// <param name="Site">The panel with what passes through it.</param>
/// <param name="Lining">The lining below it.</param>
public sealed record LiningHolesInput(LiningSite Site, Lining Lining);

/// <summary>Input of the calculator <c>board-cuts</c>.</summary>
/// <param name="Question">Pieces and sheets of one material and one thickness.</param>
public sealed record BoardCutsInput(CutQuestion Question);

/// <summary>Input of the calculator <c>board-outline</c>.</summary>
/// <param name="Board">The board as it was taped.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record BoardOutlineInput(TapedBoard Board, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>coating</c>.</summary>
/// <param name="Coating">What is coated, and with what.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record CoatingInput(CoatingQuestion Coating, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>probe-grid</c>.</summary>
/// <param name="Text">The grid as typed or pasted: places across, then line by line the place along and its marks.</param>
/// <param name="Lengths">Unit of plain numbers.</param>
public sealed record ProbeGridInput([Letters(60_000, "A grid has at most 60 000 characters.")] string Text, LengthFormat Lengths);

/// <summary>Input of the calculator <c>splice</c>.</summary>
/// <param name="Timber">The timber.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record SpliceInput(RottenTimber Timber, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>deflection</c>.</summary>
/// <param name="Deck">The sheet and its load.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record DeflectionInput(Deck Deck, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>furring</c>.</summary>
/// <param name="Floor">The floor.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record FurringInput(FurredFloor Floor, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>epoxy-batch</c>.</summary>
/// <param name="Epoxy">What is to be spread.</param>
public sealed record EpoxyBatchInput(EpoxyQuestion Epoxy);

/// <summary>Input of the calculator <c>shims</c>.</summary>
/// <param name="Readings">Gaps under a straight-edge over bearers.</param>
/// <param name="MayTakeOffMm">What may be ground or planed off a high spot, mm.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record ShimsInput(
    [Count(2, 100, "Give 2 to 100 readings.")] IReadOnlyList<ShimReading> Readings,
    [Within(0, 20, "What may be taken off", "mm")] double MayTakeOffMm = 0,
    LengthFormat? Lengths = null
);

/// <summary>Input of the calculator <c>thermal</c>.</summary>
/// <param name="BuildUp">The build-up and its air.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record ThermalInput(BuildUpQuestion BuildUp, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>head-room</c>.</summary>
/// <param name="BareMm">From bare floor to bare roof, mm.</param>
/// <param name="FloorMm">Thickness of the floor's build-up, mm.</param>
/// <param name="CeilingMm">Thickness of the ceiling's, mm.</param>
/// <param name="TallestMm">Height of the tallest user with shoes, mm.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
public sealed record HeadRoomInput(
    [Within(500, 4000, "The height", "mm")] double BareMm,
    [Within(0, 500, "The floor", "mm")] double FloorMm,
    [Within(0, 500, "The ceiling", "mm")] double CeilingMm,
    [Within(500, 2500, "The tallest user", "mm")] double TallestMm,
    LengthFormat? Lengths = null
);
