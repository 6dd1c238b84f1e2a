using System.Globalization;

namespace Abri.Core.Tests;

/// <summary>Reads the check values in tests/reference; their sources stand at the top of each file.</summary>
internal static class Reference
{
    public static string Path(string file) => System.IO.Path.Combine(AppContext.BaseDirectory, "reference", file);

    public static IEnumerable<string[]> Rows(string file) => File.ReadLines(Path(file)).Where(l => !l.StartsWith('#')).Skip(1).Select(Cells);

    public static double Fact(string id) => double.Parse(Rows("trade-facts.csv").Single(r => r[0] == id)[3], CultureInfo.InvariantCulture);

    private static string[] Cells(string line) =>
        [.. line.Split(',').Select(c => c.StartsWith('"') ? c[1..^1].Replace("\"\"", "\"", StringComparison.Ordinal) : c)];
}
