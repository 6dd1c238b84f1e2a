using System.Globalization;
using System.Text.Json;
using System.Text.RegularExpressions;
using Abri.Core.Geometry;

namespace Abri.Core.Logbook;

/// <summary>Says in words what changed in rows: each value that differs, with its unit, before and after.</summary>
/// <remarks>Names of columns and fields are the words of the trade; their ending gives the unit. A list is told by how long it is.</remarks>
/// <param name="nameOf">What people call a thing by its id; null where it is not known.</param>
/// <param name="clock">A moment as a clock at the vehicle shows it.</param>
/// <param name="lengths">How lengths are written.</param>
public sealed partial class RowWords(Func<string, string?> nameOf, Func<DateTimeOffset, DateTimeOffset> clock, LengthFormat lengths)
{
    /// <summary>Longest value that is written out, letters.</summary>
    public const int MostLetters = 200;

    private static readonly string[] Titles = ["name", "title", "what"];

    private static readonly string[] NotToldOf = ["id", "version", "vehicle_id", "panel_id", "finding_id"];

    /// <summary>Endings of names with their units.</summary>
    private static readonly (string Ending, string Unit)[] Units =
    [
        ("Mm", "mm"),
        ("Deg", "degrees"),
        ("Percent", "%"),
        ("Ms", "m/s"),
        ("Kg", "kg"),
        ("C", "C"),
        ("Minutes", "min"),
        ("Hours", "h"),
    ];

    /// <summary>The lines of a change.</summary>
    public IEnumerable<LogLine> Of(IEnumerable<RowChange> rows) => rows.SelectMany(Of);

    /// <summary>A value of an enumeration as it is said: <c>roof vent</c>.</summary>
    public static string Spoken<T>(T value)
        where T : struct, Enum => Words(value.ToString()).ToLowerInvariant();

    private IEnumerable<LogLine> Of(RowChange row)
    {
        Dictionary<string, JsonElement> before = Columns(row.Before),
            after = Columns(row.After);
        string of = $"{Words(row.Table)}{(Title(after) ?? Title(before)) switch { { } t => $" {t}", null => "" }}";
        if (row.Before is null || row.After is null)
            return [new LogLine(of, null, row.Before is null ? null : "there", row.After is null ? null : "there")];
        return before
            .Keys.Union(after.Keys)
            .Except(NotToldOf)
            .SelectMany(c => Differences(Camel(c), before.GetValueOrDefault(c), after.GetValueOrDefault(c)))
            .Select(d => new LogLine(of, d.What, d.Before, d.After));
    }

    private IEnumerable<(string What, string? Before, string? After)> Differences(string name, JsonElement before, JsonElement after)
    {
        (before, after) = (Opened(before), Opened(after));
        if (JsonElement.DeepEquals(before, after))
            return [];
        if (before.ValueKind != JsonValueKind.Object || after.ValueKind != JsonValueKind.Object)
            return [(Label(name), Value(name, before), Value(name, after))];
        return before
            .EnumerateObject()
            .Select(p => p.Name)
            .Union(after.EnumerateObject().Select(p => p.Name))
            .SelectMany(field =>
                Differences(field, Field(before, field), Field(after, field))
                    .Select(d => (name.Length > 0 ? $"{Label(name)}, {char.ToLowerInvariant(d.What[0])}{d.What[1..]}" : d.What, d.Before, d.After))
            );
    }

    private string? Value(string name, JsonElement value)
    {
        string? text = value.ValueKind switch
        {
            JsonValueKind.Undefined or JsonValueKind.Null => null,
            JsonValueKind.True => "yes",
            JsonValueKind.False => "no",
            JsonValueKind.Number => Number(name, value.GetDouble()),
            JsonValueKind.Array => Counted(value),
            JsonValueKind.Object => string.Join(
                ", ",
                value
                    .EnumerateObject()
                    .Select(p => (p.Name, Value: Value(p.Name, p.Value)))
                    .Where(p => p.Value is not null)
                    .Select(p => $"{Label(p.Name).ToLowerInvariant()} {p.Value}")
            ),
            _ => Text(value.GetString()!),
        };
        return text?.Length > MostLetters ? $"{text[..MostLetters]}..." : text;
    }

    private static string Counted(JsonElement list) =>
        list.GetArrayLength() switch
        {
            0 => "none",
            1 => "1 entry",
            var n => $"{n} entries",
        };

    private string Number(string name, double value)
    {
        if (name.EndsWith("Mm", StringComparison.Ordinal))
            return lengths.Text(value);
        string unit = Units.FirstOrDefault(u => name.EndsWith(u.Ending, StringComparison.Ordinal)).Unit ?? "";
        return string.Create(CultureInfo.InvariantCulture, $"{value:0.##} {unit}").TrimEnd();
    }

    private string Text(string text)
    {
        if (text.Length == 0)
            return "nothing";
        if (Guid.TryParse(text, out _))
            return nameOf(text) ?? "something that is gone";
        if (DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out DateOnly day))
            return day.ToString("d MMM yyyy", CultureInfo.InvariantCulture);
        if (
            Moment().IsMatch(text)
            && DateTimeOffset.TryParse(text, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out DateTimeOffset moment)
        )
            return clock(moment).ToString("d MMM yyyy HH:mm", CultureInfo.InvariantCulture);
        return EnumName().IsMatch(text) ? Words(text) : text;
    }

    /// <summary>Columns that hold JSON are kept as text.</summary>
    private static JsonElement Opened(JsonElement value)
    {
        if (value.ValueKind != JsonValueKind.String || value.GetString() is not ['{' or '[', ..] text)
            return value;
        try
        {
            return JsonDocument.Parse(text).RootElement;
        }
        catch (JsonException)
        {
            return value;
        }
    }

    private static JsonElement Field(JsonElement of, string name) => of.TryGetProperty(name, out JsonElement value) ? value : default;

    private static Dictionary<string, JsonElement> Columns(string? json) =>
        json is null ? [] : JsonDocument.Parse(json).RootElement.EnumerateObject().ToDictionary(p => p.Name, p => p.Value);

    private static string? Title(Dictionary<string, JsonElement> columns) =>
        Titles
            .Select(c => columns.TryGetValue(c, out JsonElement v) && v.ValueKind == JsonValueKind.String ? v.GetString() : null)
            .FirstOrDefault(t => t is not null);

    /// <summary>A name as it begins a line, without the ending that gives the unit, or that says it points to something.</summary>
    private static string Label(string name)
    {
        string bare = name switch
        {
            "sMm" => "along the panel",
            "tMm" => "across the panel",
            _ => name,
        };
        foreach (string ending in Units.Select(u => u.Ending).Append("Id").Append("Ids"))
        {
            if (bare.Length > ending.Length && bare.EndsWith(ending, StringComparison.Ordinal))
            {
                bare = bare[..^ending.Length];
                break;
            }
        }
        string words = Words(bare);
        return words.Length == 0 ? words : char.ToUpperInvariant(words[0]) + words[1..];
    }

    private static string Camel(string column) => SnakeStep().Replace(column, m => m.Groups[1].Value.ToUpperInvariant());

    private static string Words(string name) => CamelStep().Replace(name.Replace('_', ' '), m => $" {m.Value.ToLowerInvariant()}");

    [GeneratedRegex("_([a-z])")]
    private static partial Regex SnakeStep();

    [GeneratedRegex("(?<=[a-z0-9])[A-Z]")]
    private static partial Regex CamelStep();

    [GeneratedRegex(@"^\d{4}-\d\d-\d\dT")]
    private static partial Regex Moment();

    [GeneratedRegex("^[a-z][a-zA-Z]+$")]
    private static partial Regex EnumName();
}
