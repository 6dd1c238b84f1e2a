using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Floor;

/// <summary>What a board is made of.</summary>
public enum BoardMaterial
{
    /// <summary>Plywood of softwood.</summary>
    SoftwoodPly,

    /// <summary>Plywood of birch.</summary>
    BirchPly,

    /// <summary>Boards of strands.</summary>
    StrandBoard,

    /// <summary>Planks.</summary>
    Planks,
}

/// <summary>Which way the grain of a board's faces runs: it is stiffer that way, and water wicks that way.</summary>
public enum Grain
{
    /// <summary>Front to rear.</summary>
    Lengthways,

    /// <summary>Side to side.</summary>
    Across,
}

/// <summary>A board of a floor as it lies.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Outline">Its outline on the panel.</param>
/// <param name="Material">What it is made of.</param>
/// <param name="ThickMm">Thickness, mm.</param>
/// <param name="Grain">Which way its grain runs.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record Board(
    [Name] string Name,
    [Count(3, Limits.MostPoints, "A board has 3 to 500 corners.")] IReadOnlyList<PanelPoint> Outline,
    BoardMaterial Material,
    [Within(2, 60, "The board", "mm")] double ThickMm,
    Grain Grain,
    [Notes] string Notes
)
{
    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Check(Panel panel, Board board) =>
        Outlines.Check(board.Outline, "/outline") ?? PlaceCheck.Of(panel, board.Outline, "board-off-panel", "/outline");
}
