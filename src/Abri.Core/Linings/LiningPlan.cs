using Abri.Core.Geometry;
using Abri.Core.Work;

namespace Abri.Core.Linings;

/// <summary>A hole in a lining, on the lining laid out flat: from its front end along it, from its lower (on a roof, right) edge across it.</summary>
/// <param name="Opening">Name of what passes through.</param>
/// <param name="Final">The hole, mm.</param>
/// <param name="First">The hole as it is cut first, mm.</param>
/// <param name="CornerMm">Radius of its corners, mm.</param>
/// <param name="FirstCornerMm">Radius of the corners as it is cut first, mm: they stay within the hole.</param>
/// <param name="DepthMm">From the outer face of the skin to the finished face, square through the skin at its middle, mm.</param>
/// <param name="PackMm">Room between skin and lining there, mm: thickness of the frame of battens round it.</param>
/// <param name="CoverMm">By how much the inner frame laps onto the lining where it laps least, mm; null where none is known.</param>
public sealed record LiningHole(
    string Opening,
    PanelBox Final,
    PanelBox First,
    double CornerMm,
    double FirstCornerMm,
    double DepthMm,
    double PackMm,
    double? CoverMm
);

/// <summary>What a hole, or part of one, takes out of a board.</summary>
/// <param name="Hole">Number of the hole, from 0.</param>
/// <param name="Box">Its box from the board's own edges: its front end, and its lower (on a roof, right) edge, mm.</param>
/// <param name="First">The same as it is cut first, mm.</param>
/// <param name="IsNotch">Whether it runs out over an edge.</param>
public sealed record BoardHole(int Hole, PanelBox Box, PanelBox First, bool IsNotch);

/// <summary>A board of a lining.</summary>
/// <param name="Name">What it is called on the sheets.</param>
/// <param name="Outline">Its outline on the lining laid out flat.</param>
/// <param name="LengthMm">Its extent front to rear, mm.</param>
/// <param name="WidthMm">Its extent the other way, mm.</param>
/// <param name="Holes">What is cut out of it.</param>
public sealed record LiningBoard(string Name, IReadOnlyList<PanelPoint> Outline, double LengthMm, double WidthMm, IReadOnlyList<BoardHole> Holes);

/// <summary>A joint of two boards.</summary>
/// <param name="Line">Where it runs, on the lining laid out flat.</param>
/// <param name="OnPanel">The same on the panel.</param>
/// <param name="On">Name of the member that it lies under; null where a batten has to go behind it.</param>
public sealed record LiningJoint(IReadOnlyList<PanelPoint> Line, IReadOnlyList<PanelPoint> OnPanel, string? On);

/// <summary>A lining worked out.</summary>
/// <param name="Outline">Its outline laid out flat.</param>
/// <param name="LengthMm">Its extent front to rear, along itself, mm.</param>
/// <param name="WidthMm">Its extent the other way, along itself, mm.</param>
/// <param name="Holes">Its holes.</param>
/// <param name="Boards">Its boards.</param>
/// <param name="Joints">Where they meet.</param>
/// <param name="AreaMm2">Area of the boards without their holes, mm2.</param>
/// <param name="Rows">What the rules say.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record LiningPlan(
    IReadOnlyList<PanelPoint> Outline,
    double LengthMm,
    double WidthMm,
    IReadOnlyList<LiningHole> Holes,
    IReadOnlyList<LiningBoard> Boards,
    IReadOnlyList<LiningJoint> Joints,
    double AreaMm2,
    IReadOnlyList<Judgement> Rows,
    string Verdict
);
