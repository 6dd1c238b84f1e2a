using System.Text.RegularExpressions;
using Abri.Core;
using Abri.Core.Shell;
using CsvHelper;

namespace Abri.Exchange;

/// <summary>
/// Reads measured sections from CSV: a line per reading with station, place across and depth in mm, and if wanted the straight-edge's height.
/// </summary>
/// <remarks>
/// Columns are parted by commas, semicolons or tabs; with semicolons or tabs a decimal comma is read. Where commas part four columns, a heading or a
/// decimal point somewhere has to tell that they do: else
/// <c>100,-800,1,5</c> may as well be a depth of 1.5. A first line with words is a heading.
/// </remarks>
public static partial class SectionsCsv
{
    private const int MostLines = 20_000;

    /// <summary>The sections, by station, or the line that is wrong.</summary>
    public static Result<IReadOnlyList<SurfaceSection>> Read(string text)
    {
        using CsvParser csv = CsvTable.Open(text, out bool decimalComma);
        var lines = new List<(double Station, double T, double Depth, double Edge)>();
        bool headed = false;
        for (bool first = true; csv.Read(); first = false)
        {
            string[] cells = csv.Record!;
            if (first && cells.All(c => CsvTable.Figure(c, true) is null))
            {
                if (cells.FirstOrDefault(c => OtherUnit().IsMatch(c)) is { } other)
                    return Wrong(csv.RawRow, $"says \"{other}\". Sections are read in mm: turn the figures into mm first.");
                headed = true;
                continue;
            }
            if (lines.Count >= MostLines)
                return Wrong(csv.RawRow, $"is past the {MostLines} lines that are read.");
            if (cells.Length is < 3 or > 4)
                return Wrong(
                    csv.RawRow,
                    $"has {cells.Length} column(s). Give station, place across and depth, and if wanted the straight-edge's height; "
                        + "with decimal commas, part them by semicolons."
                );
            if (cells.Length == 4 && !decimalComma && !headed && !text.Contains('.'))
                return Wrong(
                    csv.RawRow,
                    $"can be read two ways: is {cells[2]},{cells[3]} one depth, or a depth and the straight-edge's height? Part the "
                        + "columns by semicolons, or give the file a heading line."
                );
            double?[] figures = [.. cells.Select(c => CsvTable.Figure(c, decimalComma))];
            for (int i = 0; i < figures.Length; i++)
            {
                if (figures[i] is not { } f || Math.Abs(f) > 30_000)
                    return Wrong(csv.RawRow, $"column {i + 1}, \"{cells[i]}\", is not a length in mm up to 30 000.");
            }
            lines.Add((figures[0]!.Value, figures[1]!.Value, figures[2]!.Value, figures.Length > 3 ? figures[3]!.Value : 0));
        }
        if (lines.Count == 0)
            return new Problem("csv-empty", "", "The file holds no reading.");
        if (lines.GroupBy(l => l.Station).FirstOrDefault(g => g.Any(l => l.Edge != g.First().Edge)) is { } uneven)
            return new Problem(
                "csv-line",
                "",
                $"The section at {uneven.Key:0.#} mm has different heights of its straight-edge: "
                    + $"{string.Join(" and ", uneven.Select(l => l.Edge).Distinct().Take(3).Select(e => $"{e:0.#}"))}. One section has one."
            );
        SurfaceSection[] sections =
        [
            .. lines
                .GroupBy(l => l.Station)
                .OrderBy(g => g.Key)
                .Select(g => new SurfaceSection(g.Key, [.. g.OrderBy(l => l.T).Select(l => new DepthReading(l.T, l.Depth))], g.First().Edge)),
        ];
        return SectionCheck.Of(sections, "/sections") is { } problem ? problem : sections;
    }

    [GeneratedRegex(@"\b(in|inch|inches|ft|feet|cm|m)\b|""""", RegexOptions.NonBacktracking | RegexOptions.IgnoreCase)]
    private static partial Regex OtherUnit();

    private static Problem Wrong(int line, string what) => new("csv-line", "", $"Line {line} {what}");
}
