using System.Globalization;
using CsvHelper;

namespace Abri.Exchange;

/// <summary>Writes a table as CSV.</summary>
internal static class CsvTable
{
    /// <summary>The file: a row of heads, then one row a line; numbers with a point, texts so that no spreadsheet runs them.</summary>
    public static string Write(IEnumerable<string> heads, IEnumerable<IEnumerable<object?>> rows)
    {
        var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, CultureInfo.InvariantCulture))
        {
            foreach (string head in heads) csv.WriteField(head);
            csv.NextRecord();
            foreach (IEnumerable<object?> row in rows)
            {
                foreach (object? cell in row) csv.WriteField(cell is string words ? Safe(words) : cell);
                csv.NextRecord();
            }
        }
        return text.ToString();
    }

    /// <summary>A spreadsheet would run text that starts like a formula; an apostrophe stops it.</summary>
    private static string Safe(string text) => text.Length > 0 && text[0] is '=' or '+' or '-' or '@' or '\t' or '\r' ? "'" + text : text;
}
