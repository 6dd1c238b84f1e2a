namespace Abri.Core.Floor;

/// <summary>How many whole sheets give all pieces with their grain: enough for sure, and seldom more than the fewest.</summary>
/// <remarks>
/// Pieces in rows along the sheet's length, widest rows first, each in the first row and the first sheet that has room (first fit, decreasing
/// height). What that fills is cut with straight cuts from edge to edge.
/// </remarks>
internal static class SheetsNeeded
{
    private const double KerfMm = 4;

    /// <summary>The count.</summary>
    public static int Of(IReadOnlyList<FloorPiece> pieces, NewSheet sheet)
    {
        // Along the grain, and across it.
        (double Along, double Across)[] all =
        [
            .. pieces.Select(p => p.Grain == Grain.Lengthways ? (p.LengthMm, p.WidthMm) : (p.WidthMm, p.LengthMm)).OrderByDescending(p => p.Item2),
        ];
        List<(int Sheet, double Across, double Used)> rows = [];
        List<double> sheets = [];
        foreach ((double along, double across) in all)
        {
            int row = rows.FindIndex(r => r.Across >= across && r.Used + KerfMm + along <= sheet.LengthMm);
            if (row >= 0)
            {
                rows[row] = rows[row] with { Used = rows[row].Used + KerfMm + along };
                continue;
            }
            int on = sheets.FindIndex(used => used + KerfMm + across <= sheet.WidthMm);
            if (on < 0)
            {
                on = sheets.Count;
                sheets.Add(across);
            }
            else
            {
                sheets[on] += KerfMm + across;
            }
            rows.Add((on, across, along));
        }
        return sheets.Count;
    }
}
