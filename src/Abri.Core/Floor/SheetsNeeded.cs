namespace Abri.Core.Floor;

/// <summary>How many whole sheets a job takes by itself, laid out as <see cref="BoardCuts"/> lays out all jobs together.</summary>
internal static class SheetsNeeded
{
    /// <summary>The count; a piece that is larger than a sheet takes one of its own.</summary>
    /// <param name="pieces">Name, extent along the grain and across it, mm.</param>
    /// <param name="sheet">The sheet.</param>
    public static int Of(IEnumerable<(double LengthMm, double WidthMm)> pieces, NewSheet sheet)
    {
        CutPiece[] sizes =
        [
            .. pieces
                .GroupBy(p => (Math.Round(p.LengthMm, 2), Math.Round(p.WidthMm, 2)))
                .Select(g => new CutPiece("Piece", g.Key.Item1, g.Key.Item2, g.Count())),
        ];
        CutLayout layout = BoardCuts.Laid(
            new CutQuestion(sizes, [new CutStock("Sheet", sheet.LengthMm, sheet.WidthMm, null)], CutQuestion.UsualKerfMm),
            default
        );
        return layout.Trees.Count + layout.Left.Count;
    }

    /// <summary>The count for new boards of a floor.</summary>
    public static int Of(IReadOnlyList<FloorPiece> pieces, NewSheet sheet) =>
        Of(pieces.Select(p => p.Grain == Grain.Lengthways ? (p.LengthMm, p.WidthMm) : (p.WidthMm, p.LengthMm)), sheet);
}
