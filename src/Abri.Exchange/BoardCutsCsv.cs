using Abri.Core.Floor;
using Abri.Core.Stages;

namespace Abri.Exchange;

/// <summary>Writes the cut plan of boards as CSV, one cut a line and one piece a line, lengths in mm.</summary>
public static class BoardCutsCsv
{
    /// <summary>The file.</summary>
    public static string Write(BoardsToCut boards) =>
        CsvTable.Write(
            [
                "material",
                "thickness (mm)",
                "sheet",
                "of",
                "row",
                "number",
                "what",
                "along (mm)",
                "across (mm)",
                "length (mm)",
                "width (mm)",
                "fence (mm)",
                "at the shop",
            ],
            boards.Groups.SelectMany(g => g.Plan.Result.Sheets.SelectMany((s, i) => Sheet(g, s, i + 1)))
        );

    private static IEnumerable<IEnumerable<object?>> Sheet(BoardGroup group, CutSheet sheet, int number)
    {
        object?[] Row(params object?[] cells) => [group.Material, group.ThickMm, number, group.Stock[sheet.Stock].Name, .. cells];
        foreach ((CutPlace p, int i) in sheet.Places.Select((p, i) => (p, i)))
            yield return Row("piece", i + 1, group.Pieces[p.Piece].Name, p.AlongMm, p.AcrossMm, p.LengthMm, p.WidthMm, null, null);
        foreach (SawCut c in sheet.Cuts)
        {
            string what = c.IsRip ? "rip" : "crosscut";
            yield return Row("cut", c.Number, $"{what}: {c.Of}", c.AlongMm, c.AcrossMm, c.LengthMm, null, c.FenceMm, c.AtShop ? "yes" : "no");
        }
        foreach ((CutOffcut r, int i) in sheet.Offcuts.Select((r, i) => (r, i)))
            yield return Row("offcut", i + 1, null, r.AlongMm, r.AcrossMm, r.LengthMm, r.WidthMm, null, null);
    }
}
