using System.Globalization;
using System.Text.RegularExpressions;
using CsvHelper;
using CsvHelper.Configuration;

namespace Abri.Exchange;

/// <summary>Writes a table as CSV, and opens one to be read.</summary>
internal static partial class CsvTable
{
    /// <summary>Tells spreadsheets that the letters are UTF-8.</summary>
    private const char Mark = '\uFEFF';

    /// <summary>The file: a row of heads with units, then one row a line; numbers with a point and rounded to what was measured, times to the second,
    /// texts so that no spreadsheet runs them.</summary>
    public static string Write(IEnumerable<string> heads, IEnumerable<IEnumerable<object?>> rows)
    {
        var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, CultureInfo.InvariantCulture))
        {
            foreach (string head in heads)
                csv.WriteField(head);
            csv.NextRecord();
            foreach (IEnumerable<object?> row in rows)
            {
                foreach (object? cell in row)
                    csv.WriteField(Written(cell));
                csv.NextRecord();
            }
        }
        return Mark + text.ToString();
    }

    /// <summary>Opens a table as spreadsheets write them: columns parted by semicolons, tabs or commas.</summary>
    /// <param name="text">The table.</param>
    /// <param name="decimalComma">Whether a comma within a figure is its decimal point: where something else parts the columns.</param>
    public static CsvParser Open(string text, out bool decimalComma)
    {
        // Some spreadsheets say in a line of its own what parts the columns.
        if (Parted().Match(text) is { Success: true } said)
            text = "\n" + text[said.Length..];
        string delimiter =
            text.Contains(';') ? ";"
            : text.Contains('\t') ? "\t"
            : ",";
        decimalComma = delimiter != ",";
        return new CsvParser(
            new StringReader(text),
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                Delimiter = delimiter,
                HasHeaderRecord = false,
                BadDataFound = null,
                IgnoreBlankLines = true,
                TrimOptions = TrimOptions.Trim,
            }
        );
    }

    /// <summary>A figure of a table; null where it is none.</summary>
    public static double? Figure(string text, bool decimalComma) =>
        double.TryParse(
            decimalComma ? text.Replace(',', '.') : text,
            NumberStyles.AllowDecimalPoint | NumberStyles.AllowLeadingSign,
            CultureInfo.InvariantCulture,
            out double n
        ) && double.IsFinite(n)
            ? n
            : null;

    [GeneratedRegex(@"^\uFEFF?sep=.\r?\n", RegexOptions.NonBacktracking | RegexOptions.IgnoreCase)]
    private static partial Regex Parted();

    private static object? Written(object? cell) =>
        cell switch
        {
            string words => Safe(words),
            // What is measured is read to a tenth at best; the rest is noise of the arithmetic. 0 has no sign.
            double number => Math.Round(number, 1, MidpointRounding.AwayFromZero) + 0.0,
            DateTimeOffset time => time.ToUniversalTime().ToString("yyyy-MM-dd'T'HH:mm:ss'Z'", CultureInfo.InvariantCulture),
            DateOnly day => day.ToString("O", CultureInfo.InvariantCulture),
            _ => cell,
        };

    /// <summary>A spreadsheet would run text that starts like a formula; an apostrophe stops it.</summary>
    private static string Safe(string text) => text.Length > 0 && text[0] is '=' or '+' or '-' or '@' or '\t' or '\r' ? "'" + text : text;
}
