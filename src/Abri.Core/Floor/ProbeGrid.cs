using System.Globalization;
using System.Text.RegularExpressions;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Floor;

/// <summary>A place of a grid that was probed.</summary>
/// <param name="At">Where on the panel.</param>
/// <param name="Wood">What was felt.</param>
/// <param name="MoisturePercent">Moisture, % of dry mass; null where nobody metered it.</param>
public sealed record GridProbe(PanelPoint At, WoodState Wood, double? MoisturePercent);

/// <summary>What a grid says.</summary>
/// <param name="Probes">The places that were probed, line by line.</param>
/// <param name="Bad">How many of them are not sound, or wet enough to decay.</param>
public sealed record GridFound(IReadOnlyList<GridProbe> Probes, int Bad);

/// <summary>
/// Reads a grid of probes as a person notes it: first the places across in one line, then line by line the place along, a colon, and a mark for each
/// place across.
/// </summary>
/// <remarks>
/// Marks: <c>s</c> sound, <c>p</c> spongy, <c>o</c> soft, <c>t</c> through, or the whole word; a figure behind it is the moisture, a figure alone a
/// reading of wood that feels sound; <c>-</c> where nobody probed. Columns are parted by spaces; where lengths have spaces in them, as fractions of
/// inches do, by tabs, commas, semicolons or bars.
/// </remarks>
/// <example><c>-700 0 700</c>, then <c>600: s14 p22 -</c>: sound at 14 % and spongy at 22 %.</example>
public static partial class ProbeGrid
{
    /// <summary>Most probes that are read at once.</summary>
    public const int Most = 2000;

    /// <summary>The probes, line by line.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="lengths">Unit of plain numbers.</param>
    public static Result<Worked<GridFound>> Parse(string text, LengthFormat lengths)
    {
        string[] lines = [.. Lines().Split(text).Select(l => l.Trim()).Where(l => l.Length > 0)];
        if (lines.Length < 2)
            return Wrong("First the places across, such as -700 0 700; then line by line the place along and a mark for each: 600: s p22 -.");
        if (!Places(lines[0], lengths).IsOk(out double[]? across, out Problem? problem))
            return Wrong($"Line 1: {problem.Message}");
        List<GridProbe> probes = [];
        for (int i = 1; i < lines.Length; i++)
        {
            int colon = lines[i].IndexOf(':', StringComparison.Ordinal);
            if (colon < 1)
                return Wrong($"Line {i + 1}, \"{lines[i]}\": begin with the place along and a colon, such as 600: s p22 -.");
            if (!LengthText.Parse(lines[i][..colon], lengths).IsOk(out Worked<ParsedLength>? along, out problem))
                return Wrong($"Line {i + 1}: {problem.Message}");
            string[] marks = Columns(lines[i][(colon + 1)..]);
            if (marks.Length > across.Length)
                return Wrong($"Line {i + 1} has {marks.Length} marks, but only {across.Length} places across are named.");
            for (int k = 0; k < marks.Length; k++)
            {
                if (marks[k] is "-" or ".")
                    continue;
                if (Read(marks[k]) is not { } mark)
                    return Wrong($"Line {i + 1}, \"{marks[k]}\": a mark is s, p, o or t, with the moisture behind it where it was metered, or -.");
                probes.Add(new GridProbe(new PanelPoint(along.Result.Mm, across[k]), mark.Wood, mark.Moisture));
            }
        }
        if (probes.Count == 0)
            return Wrong("Nothing is probed: there are no marks but -.");
        if (probes.Count > Most)
            return Wrong($"At most {Most} probes are read at once; these are {probes.Count}.");
        var sheet = new Worksheet();
        sheet.Step("n", "places that were probed", "marks but -", probes.Count, "count");
        double bad = sheet.Step(
            "b",
            "of them bad",
            $"p, o, t, or {WoodMoisture.DecayPercent:0} % and more",
            probes.Count(p => Probe.Goes(p.Wood, p.MoisturePercent)),
            "count"
        );
        sheet.Cite(new Source($"Wood decays from {WoodMoisture.DecayPercent:0} % moisture", SourceKind.FromMemory));
        sheet.Cite(new Source("Sound, spongy, soft or through: tapped, pricked or metered", SourceKind.CommonPractice));
        return sheet.Finish(new GridFound(probes, (int)bad));
    }

    private static Result<double[]> Places(string line, LengthFormat lengths)
    {
        List<double> places = [];
        foreach (string column in Columns(line))
        {
            if (!LengthText.Parse(column, lengths).IsOk(out Worked<ParsedLength>? place, out Problem? problem))
                return problem;
            places.Add(place.Result.Mm);
        }
        return places.ToArray();
    }

    private static string[] Columns(string line) =>
        [.. (Marked().IsMatch(line) ? Marked().Split(line) : Spaces().Split(line)).Select(c => c.Trim()).Where(c => c.Length > 0)];

    private static (WoodState Wood, double? Moisture)? Read(string mark)
    {
        Match found = Mark().Match(mark);
        if (!found.Success)
            return null;
        string word = found.Groups["wood"].Value;
        double? moisture = found.Groups["moisture"] is { Success: true } figure ? double.Parse(figure.Value, CultureInfo.InvariantCulture) : null;
        if (moisture > Probe.MostMoisturePercent)
            return null;
        return word.ToLowerInvariant() switch
        {
            "" when moisture is null => null,
            "" or "s" or "sound" => (WoodState.Sound, moisture),
            "p" or "spongy" => (WoodState.Spongy, moisture),
            "o" or "soft" => (WoodState.Soft, moisture),
            _ => (WoodState.Through, moisture),
        };
    }

    private static Problem Wrong(string message) => new("probe-grid", "/text", message);

    [GeneratedRegex(@"[\r\n]+")]
    private static partial Regex Lines();

    [GeneratedRegex(@"[\t,;|]")]
    private static partial Regex Marked();

    [GeneratedRegex(@"\s+")]
    private static partial Regex Spaces();

    [GeneratedRegex(@"^(?<wood>sound|spongy|soft|through|s|p|o|t)?\s*(?<moisture>\d{1,3}(\.\d+)?)?\s*%?$", RegexOptions.IgnoreCase)]
    private static partial Regex Mark();
}
