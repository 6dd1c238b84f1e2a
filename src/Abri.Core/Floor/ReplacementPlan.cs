using Abri.Core.Geometry;
using Abri.Core.Work;

namespace Abri.Core.Floor;

/// <summary>What becomes of a board.</summary>
public enum BoardFate
{
    /// <summary>It stays as it is.</summary>
    Stays,

    /// <summary>Part of it is cut out.</summary>
    Cut,

    /// <summary>All of it comes out.</summary>
    Out,
}

/// <summary>A board, and what becomes of it.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Fate">What becomes of it.</param>
/// <param name="SawDepthMm">How deep the saw is set, mm.</param>
public sealed record BoardCut(string Name, BoardFate Fate, double SawDepthMm);

/// <summary>A new piece of board.</summary>
/// <param name="Name">What it is called on the sheets.</param>
/// <param name="Outline">Where it lies, with its gaps.</param>
/// <param name="LengthMm">Its extent front to rear, mm.</param>
/// <param name="WidthMm">Its extent side to side, mm.</param>
/// <param name="Grain">Which way its grain runs.</param>
public sealed record FloorPiece(string Name, IReadOnlyList<PanelPoint> Outline, double LengthMm, double WidthMm, Grain Grain);

/// <summary>What a timber does that is let in.</summary>
public enum SupportKind
{
    /// <summary>Let in between two bearers, below an edge that crosses them.</summary>
    Blocking,

    /// <summary>Beside a bearer that is too narrow.</summary>
    Sister,

    /// <summary>A bearer more, along an edge that none carries.</summary>
    NewBearer,
}

/// <summary>A timber that is let in.</summary>
/// <param name="Kind">What it does.</param>
/// <param name="Line">Its middle, from end to end.</param>
/// <param name="LengthMm">Length, mm.</param>
/// <param name="WideMm">Width seen from above, mm.</param>
/// <param name="HighMm">Height, mm.</param>
public sealed record Support(SupportKind Kind, IReadOnlyList<PanelPoint> Line, double LengthMm, double WideMm, double HighMm);

/// <summary>A member with bad places.</summary>
/// <param name="MemberName">Its name.</param>
/// <param name="WideMm">Its width, mm.</param>
/// <param name="HighMm">Its height, mm.</param>
/// <param name="Splice">What is done about it.</param>
/// <param name="Removed">From where to where it comes out, on the panel.</param>
public sealed record RottenMember(string MemberName, double WideMm, double HighMm, SplicePlan Splice, IReadOnlyList<PanelPoint> Removed);

/// <summary>A replacement worked out.</summary>
/// <param name="Cover">The smallest rectangle round what is known to be bad.</param>
/// <param name="Cut">What is cut out, part by part.</param>
/// <param name="Edges">The sides of the cut, and what carries them.</param>
/// <param name="Boards">What becomes of the boards.</param>
/// <param name="Pieces">The new pieces.</param>
/// <param name="Supports">Timbers that are let in.</param>
/// <param name="Members">Members with bad places, and how they are spliced.</param>
/// <param name="Below">Names of what lies under a line of the cut, or close.</param>
/// <param name="AreaMm2">Area of what is cut out, mm2.</param>
/// <param name="Rows">What the rules say.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record ReplacementPlan(
    PanelBox Cover,
    IReadOnlyList<IReadOnlyList<PanelPoint>> Cut,
    IReadOnlyList<CutEdge> Edges,
    IReadOnlyList<BoardCut> Boards,
    IReadOnlyList<FloorPiece> Pieces,
    IReadOnlyList<Support> Supports,
    IReadOnlyList<RottenMember> Members,
    IReadOnlyList<string> Below,
    double AreaMm2,
    IReadOnlyList<Judgement> Rows,
    string Verdict
);
