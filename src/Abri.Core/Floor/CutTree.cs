namespace Abri.Core.Floor;

/// <summary>A rectangle that cuts from edge to edge take apart: a piece, or two such rectangles with a kerf between them.</summary>
/// <param name="LengthMm">Extent along the sheet, mm.</param>
/// <param name="WidthMm">Extent across it, mm.</param>
internal abstract record CutTree(double LengthMm, double WidthMm)
{
    /// <summary>A piece.</summary>
    /// <param name="Piece">Its number in the question.</param>
    /// <param name="LengthMm">Extent along the sheet as it lies, mm.</param>
    /// <param name="WidthMm">Extent across it, mm.</param>
    public sealed record Leaf(int Piece, double LengthMm, double WidthMm) : CutTree(LengthMm, WidthMm);

    /// <summary>Two rectangles with a cut between them.</summary>
    /// <param name="First">The one nearer to the sheet's corner.</param>
    /// <param name="Second">The other.</param>
    /// <param name="IsRip">Whether the cut runs along the sheet: they lie side by side across it.</param>
    /// <param name="LengthMm">Extent along the sheet, mm.</param>
    /// <param name="WidthMm">Extent across it, mm.</param>
    public sealed record Pair(CutTree First, CutTree Second, bool IsRip, double LengthMm, double WidthMm) : CutTree(LengthMm, WidthMm);

    /// <summary>Two rectangles with a cut between them.</summary>
    public static Pair Of(CutTree first, CutTree second, bool isRip, double kerfMm) =>
        isRip
            ? new Pair(first, second, true, Math.Max(first.LengthMm, second.LengthMm), first.WidthMm + kerfMm + second.WidthMm)
            : new Pair(first, second, false, first.LengthMm + kerfMm + second.LengthMm, Math.Max(first.WidthMm, second.WidthMm));
}
