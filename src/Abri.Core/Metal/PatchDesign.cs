using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Metal;

/// <summary>What a patch is made of.</summary>
public enum SheetMetal
{
    /// <summary>Mild steel.</summary>
    MildSteel,

    /// <summary>Galvanised steel.</summary>
    GalvanisedSteel,

    /// <summary>Aluminium.</summary>
    Aluminium,
}

/// <summary>What shape the hole is cut to.</summary>
public enum HoleShape
{
    /// <summary>The damage grown by the cut-back: least sound sheet is lost.</summary>
    Grown,

    /// <summary>The rectangle of least area at any angle: straight cuts.</summary>
    LeastRectangle,

    /// <summary>The least rectangle square to the panel: straight cuts along a seam or an edge.</summary>
    SquareRectangle,

    /// <summary>No hole: a plate over what stays.</summary>
    NoHole,
}

/// <summary>How a patch is joined to the sheet.</summary>
public enum PatchJoin
{
    /// <summary>Lapped, bonded and riveted.</summary>
    BondedAndRiveted,

    /// <summary>Lapped and welded over a backing.</summary>
    WeldedLap,

    /// <summary>Flush in the hole, on a backing strip that is bonded and riveted to both.</summary>
    ButtOnStrip,
}

/// <summary>How the upper edge of a patch lies.</summary>
public enum EdgeLie
{
    /// <summary>On the skin.</summary>
    OverTheSkin,

    /// <summary>Behind the skin.</summary>
    UnderTheSkin,
}

/// <summary>To which side of the sheet a fold goes.</summary>
public enum FoldTo
{
    /// <summary>Away from the vehicle, such as up behind a gutter.</summary>
    Outside,

    /// <summary>Into the vehicle.</summary>
    Inside,
}

/// <summary>One fold along an edge.</summary>
/// <param name="To">To which side it goes.</param>
/// <param name="Degrees">By how much it is bent out of the flat, degrees.</param>
/// <param name="RadiusMm">Inside radius, mm.</param>
/// <param name="LengthMm">Length of the flange from the corner where the outer faces would meet, to its end or to the corner of the next fold,
/// mm.</param>
public sealed record Fold(
    FoldTo To,
    [Within(1, Bend.MostDegrees, "The fold", "degrees")] double Degrees,
    [Within(0.1, 50, "The inside radius", "mm")] double RadiusMm,
    [Within(3, 500, "The flange", "mm")] double LengthMm
);

/// <summary>What one side of a rectangular patch has of its own.</summary>
/// <param name="Side">Which side, as the panel has it.</param>
/// <param name="CutBackMm">From the damage to the hole's edge, mm; null for that of the patch.</param>
/// <param name="LapMm">From the hole's edge to the patch's edge, or to the corner of its first fold, mm; null for that of the patch.</param>
/// <param name="Folds">Its folds, from the patch outwards; none for a flat edge.</param>
public sealed record PatchSide(
    Side Side,
    [Within(0, 500, "The cut-back", "mm")] double? CutBackMm,
    [Within(0, 500, "The lap", "mm")] double? LapMm,
    [Count(0, 2, "An edge has at most two folds.")] IReadOnlyList<Fold> Folds
);

/// <summary>What somebody decided about a patch.</summary>
/// <param name="Shape">What shape the hole is cut to.</param>
/// <param name="CutBackMm">How far the hole reaches beyond the damage, mm.</param>
/// <param name="CornerMm">Radius of the hole's corners, mm: a sharp corner starts a crack.</param>
/// <param name="Join">How it is joined.</param>
/// <param name="LapMm">How far it laps the sheet, mm; null for what its join wants.</param>
/// <param name="Metal">What it is made of.</param>
/// <param name="SheetMm">Its thickness, mm.</param>
/// <param name="UpperEdge">How its upper edge lies.</param>
/// <param name="Joggled">Whether the edge of the sheet is set down so that the patch comes to lie flush.</param>
/// <param name="Sides">Sides that are different or folded; for rectangles only.</param>
public sealed record PatchDesign(
    HoleShape Shape,
    [Within(0, 500, "The cut-back", "mm")] double CutBackMm,
    [Within(PatchDesign.LeastCornerMm, 500, "The corner's radius", "mm")] double CornerMm,
    PatchJoin Join,
    [Within(3, 500, "The lap", "mm")] double? LapMm,
    SheetMetal Metal,
    [Within(0.3, 6, "The patch", "mm")] double SheetMm,
    EdgeLie UpperEdge,
    bool Joggled,
    [Count(0, 4, "A patch has four sides.")] IReadOnlyList<PatchSide> Sides
) : IConsistent
{
    /// <summary>Least radius of a hole's corner, mm: common practice.</summary>
    public const double LeastCornerMm = 10;

    /// <summary>How far a hole is cut back beyond visible rust, mm: common practice.</summary>
    public const double UsualCutBackMm = 20;

    /// <summary>What is usual for a skin of a thickness, mm.</summary>
    public static PatchDesign Usual(double skinMm) =>
        new(
            HoleShape.SquareRectangle,
            UsualCutBackMm,
            LeastCornerMm,
            PatchJoin.BondedAndRiveted,
            null,
            SheetMetal.GalvanisedSteel,
            skinMm,
            EdgeLie.OverTheSkin,
            false,
            []
        );

    /// <summary>What the join wants for a lap where nobody says otherwise, mm: common practice.</summary>
    public static double UsualLapMm(PatchJoin join) => join == PatchJoin.WeldedLap ? 12 : 25;

    /// <summary>The lap, mm; of a butt, the width of the strip under either edge.</summary>
    internal double Lap => LapMm ?? UsualLapMm(Join);

    /// <summary>Whether it is drawn as a rectangle, whose sides can be folded.</summary>
    internal bool IsRectangle => Shape is HoleShape.LeastRectangle or HoleShape.SquareRectangle or HoleShape.NoHole;

    internal PatchSide Own(Side side) => Sides.FirstOrDefault(s => s.Side == side) ?? new PatchSide(side, null, null, []);

    /// <inheritdoc/>
    public (string Field, string Message)? Contradiction() =>
        Sides.GroupBy(s => s.Side).Any(g => g.Count() > 1) ? ("sides", "Each side is given once.")
        : !IsRectangle && Sides.Count > 0 ? ("sides", "A grown outline has no straight sides to fold or move: choose a rectangle.")
        : Join == PatchJoin.ButtOnStrip && Shape == HoleShape.NoHole ? ("join", "A plate over what stays cannot lie flush in a hole.")
        : null;
}
