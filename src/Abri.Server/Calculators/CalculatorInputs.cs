using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;

namespace Abri.Server.Calculators;

/// <summary>Input of the calculator <c>bays</c>.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
public sealed record BaysInput(Panel Panel, [Members] IReadOnlyList<Member> Members);

/// <summary>Input of the calculator <c>length-parse</c>.</summary>
/// <param name="Text">What was typed.</param>
/// <param name="Lengths">Unit of plain numbers and finest fraction; millimetres when left out.</param>
public sealed record LengthParseInput(string Text, LengthFormat? Lengths = null);

/// <summary>Input of the calculator <c>tape-chain</c>.</summary>
/// <param name="Panel">The panel that was taped.</param>
/// <param name="Run">What the tape crossed.</param>
public sealed record TapeChainInput(Panel Panel, TapeRun Run);

/// <summary>Input of the calculator <c>parallel-lines</c>.</summary>
/// <param name="Lines">The lines, measured from one datum.</param>
/// <param name="ApartMm">Distance between the two places at which they were measured, mm.</param>
/// <param name="OpeningMm">Width of the opening along them, mm.</param>
public sealed record ParallelLinesInput(
    [Count(2, 12, "Give 2 to 12 lines.")] IReadOnlyList<MeasuredLine> Lines,
    [Within(50, Limits.LongestMm, "The distance between the two places", "mm")] double ApartMm,
    [Within(20, 5000, "The opening's width", "mm")] double OpeningMm
);

/// <summary>Input of the calculator <c>sagitta</c>: two of the three.</summary>
/// <param name="RadiusMm">Radius, mm.</param>
/// <param name="ChordMm">Chord, mm.</param>
/// <param name="RiseMm">Rise, mm.</param>
public sealed record SagittaInput(
    [Within(1, 10_000_000, "The radius", "mm")] double? RadiusMm = null,
    [Within(1, Limits.LongestMm, "The chord", "mm")] double? ChordMm = null,
    [Within(0.001, Limits.LongestMm, "The rise", "mm")] double? RiseMm = null
);

/// <summary>Input of the calculator <c>section-parse</c>.</summary>
/// <param name="Text">Readings as typed or pasted: place across and depth, one reading a line.</param>
/// <param name="Lengths">Unit of plain numbers.</param>
public sealed record SectionParseInput([Letters(40_000, "A section has at most 40 000 characters.")] string Text, LengthFormat Lengths);

/// <summary>Input of the calculator <c>surface-relief</c>.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
/// <param name="StepMm">Distance between places, mm.</param>
public sealed record SurfaceReliefInput(Panel Panel, [Members] IReadOnlyList<Member> Members, [Within(2, 500, "The step", "mm")] double StepMm);

/// <summary>Input of the calculator <c>surface-section</c>.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
/// <param name="StationMm">Where it is cut across, mm along s.</param>
public sealed record SurfaceSectionInput(
    Panel Panel,
    [Members] IReadOnlyList<Member> Members,
    [Within(-Limits.LongestMm, Limits.LongestMm, "The station", "mm")] double StationMm
);

/// <summary>Input of the calculator <c>opening-verdict</c>.</summary>
/// <param name="Site">What decides.</param>
/// <param name="Centre">Where the fitting's centre would lie.</param>
public sealed record OpeningVerdictInput(Site Site, PanelPoint Centre);

/// <summary>Input of the calculator <c>opening-positions</c>.</summary>
/// <param name="Site">What decides.</param>
/// <param name="Wishes">What is wished; may be empty.</param>
public sealed record OpeningPositionsInput(Site Site, [Wishes] IReadOnlyList<Wish> Wishes);

/// <summary>Input of the calculator <c>setting-out</c>.</summary>
/// <param name="Site">What decides.</param>
/// <param name="Centre">Where the fitting's centre lies.</param>
/// <param name="Marking">How lines are drawn and cut.</param>
public sealed record SettingOutInput(Site Site, PanelPoint Centre, Marking Marking);

/// <summary>Input of the calculator <c>hole-check</c>.</summary>
/// <param name="Frame">The frame, turned as it is placed.</param>
/// <param name="Measured">The hole as it was cut.</param>
/// <param name="Facing">Which way the panel that was cut faces, for the names of its sides.</param>
/// <param name="Lengths">How lengths are written in the advice; millimetres when left out.</param>
public sealed record HoleCheckInput(Frame Frame, AsCut Measured, Facing Facing, LengthFormat? Lengths = null);
