using System.Text.RegularExpressions;
using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>
/// Reads the depths of one section as a person types or pastes them: one reading a line (or parted by semicolons), its place across and its depth
/// parted by a colon, a tab, an equals sign or a space.
/// </summary>
/// <remarks>Both may be in millimetres or inches. With a fraction of an inch, a colon or tab is needed, since a space belongs to the
/// fraction.</remarks>
/// <example><c>-600 12; 0 0; 600 14</c>, or <c>23 5/8": 1/2"</c>.</example>
public static partial class DepthPairs
{
    /// <summary>Most readings in a section.</summary>
    public const int Most = 500;

    /// <summary>The readings in the order of their places.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="lengths">Unit of plain numbers.</param>
    public static Result<Worked<IReadOnlyList<DepthReading>>> Parse(string text, LengthFormat lengths)
    {
        string[] lines = [.. Lines().Split(text).Select(l => l.Trim()).Where(l => l.Length > 0)];
        if (lines.Length < 2)
            return Wrong("Type at least two readings, one a line: place across, then depth, such as -600: 12.");
        if (lines.Length > Most)
            return Wrong($"A section has at most {Most} readings; this one has {lines.Length}.");
        var sheet = new Worksheet();
        var readings = new List<DepthReading>();
        for (int i = 0; i < lines.Length; i++)
        {
            string[] parts =
            [
                .. (Marked().IsMatch(lines[i]) ? Marked().Split(lines[i]) : Spaces().Split(lines[i])).Select(p => p.Trim()).Where(p => p.Length > 0),
            ];
            if (parts.Length != 2)
                return Wrong($"Line {i + 1}, \"{lines[i]}\": give two figures, the place across and the depth, such as -600: 12.");
            if (!LengthText.Parse(parts[0], lengths).IsOk(out Worked<ParsedLength>? t, out Problem? problem))
                return Wrong($"Line {i + 1}: {problem.Message}");
            if (!LengthText.Parse(parts[1], lengths).IsOk(out Worked<ParsedLength>? depth, out problem))
                return Wrong($"Line {i + 1}: {problem.Message}");
            readings.Add(
                new DepthReading(t.Result.Mm, sheet.Step($"d_{i + 1}", $"depth at {lengths.Text(t.Result.Mm)}", "as read", depth.Result.Mm, "mm"))
            );
        }
        readings = [.. readings.OrderBy(r => r.TMm)];
        if (SectionCheck.Of([new SurfaceSection(0, readings)], "/sections") is { } twice)
            return Wrong(twice.Message.Replace("The section at 0 mm", "The section", StringComparison.Ordinal));
        sheet.Cite(new Source("Depths below a straight-edge", SourceKind.Geometry));
        return sheet.Finish<IReadOnlyList<DepthReading>>(readings);
    }

    private static Problem Wrong(string message) => new("section-reading", "/text", message);

    [GeneratedRegex(@"[;\r\n]+")]
    private static partial Regex Lines();

    [GeneratedRegex(@"[:=\t|]")]
    private static partial Regex Marked();

    [GeneratedRegex(@"\s+")]
    private static partial Regex Spaces();
}
