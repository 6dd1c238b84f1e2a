using System.Globalization;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using CsvHelper;

namespace Abri.Exchange;

/// <summary>Writes findings as CSV, one a line, lengths in mm.</summary>
public static class FindingsCsv
{
    /// <summary>The file.</summary>
    /// <param name="findings">The findings with the names of their panels.</param>
    public static string Write(IEnumerable<(string Panel, Finding Finding)> findings)
    {
        var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, CultureInfo.InvariantCulture))
        {
            foreach (string head in (string[])["panel", "name", "kind", "severity", "state", "seen", "seenAt", "seenBy", "sMm", "tMm", "lengthMm", "widthMm", "depthMm", "moisturePercent", "notes"]) csv.WriteField(head);
            csv.NextRecord();
            foreach ((string panel, Finding f) in findings)
            {
                PanelPoint at = PanelBox.Of(f.Points).Centre;
                foreach (object? cell in (object?[])[panel, Safe(f.Name), f.Kind, f.Severity, f.State, f.Seen, f.SeenAt.ToString("O", CultureInfo.InvariantCulture), Safe(f.SeenBy), at.SMm, at.TMm,
                    f.Measures.LengthMm, f.Measures.WidthMm, f.Measures.DepthMm, f.Measures.MoisturePercent, Safe(f.Notes)]) csv.WriteField(cell);
                csv.NextRecord();
            }
        }
        return text.ToString();
    }

    /// <summary>A spreadsheet would run text that starts like a formula; an apostrophe stops it.</summary>
    private static string Safe(string text) => text.Length > 0 && text[0] is '=' or '+' or '-' or '@' ? "'" + text : text;
}
