using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using System.Text.RegularExpressions;
using Abri.Core;
using Abri.Core.Record;
using NJsonSchema;
using NJsonSchema.Validation;

namespace Abri.Exchange;

/// <summary>The whole record of a vehicle as a JSON file, described by the JSON Schema that ships with it.</summary>
/// <param name="Format">Always <see cref="FormatName"/>.</param>
/// <param name="Version">Version of the format: <see cref="FormatVersion"/>.</param>
/// <param name="Record">The record.</param>
public sealed partial record VehicleBundle(string Format, int Version, VehicleRecord Record)
{
    /// <summary>Name of the format.</summary>
    public const string FormatName = "abri-vehicle";

    /// <summary>Version of the format that is written and read.</summary>
    public const int FormatVersion = 2;

    /// <summary>Longest list in a file: as many as any list of a vehicle may have.</summary>
    public const int MostEntries = 5000;

    /// <summary>Deepest nesting in a file.</summary>
    public const int MostDepth = 32;

    private static readonly JsonSerializerOptions Indented = new(AbriJson.Options) { WriteIndented = true };

    /// <summary>The JSON Schema of a file.</summary>
    public static string Schema { get; } = WrittenSchema();

    private static readonly Lazy<JsonSchema> Shape = new(() => JsonSchema.FromJsonAsync(Schema).GetAwaiter().GetResult());

    /// <summary>Writes a record as a file.</summary>
    public static byte[] Write(VehicleRecord record) =>
        JsonSerializer.SerializeToUtf8Bytes(new VehicleBundle(FormatName, FormatVersion, record), Indented);

    /// <summary>Reads a file; what it holds is not yet held against ranges and against itself.</summary>
    /// <returns>The record, or the first thing that is wrong, with its place.</returns>
    public static Result<VehicleRecord> Read(byte[] file)
    {
        try
        {
            if (TooMuch(file) is { } bounded)
                return bounded;
            file = UpToDate(file);
            string text = System.Text.Encoding.UTF8.GetString(file);
            if (Shape.Value.Validate(text).FirstOrDefault() is { } error)
                return Wrong(Innermost(error));
            VehicleBundle bundle = JsonSerializer.Deserialize<VehicleBundle>(file, AbriJson.Options)!;
            if (bundle.Format != FormatName)
                return new Problem("bundle-format", "/format", $"This is not a vehicle file: format is \"{bundle.Format}\", not \"{FormatName}\".");
            if (bundle.Version != FormatVersion)
                return new Problem(
                    "bundle-version",
                    "/version",
                    $"This file has version {bundle.Version}; this program reads versions 1 to {FormatVersion}."
                );
            return bundle.Record;
        }
        catch (Exception e) when (e is JsonException or Newtonsoft.Json.JsonException or FormatException)
        {
            string where = e is JsonException { LineNumber: { } line } ? $" at line {line + 1}" : "";
            return new Problem("bundle-unreadable", "", $"The file is not JSON that can be read{where}: {Troubled(e.Message)}");
        }
    }

    /// <summary>The file in the form of today.</summary>
    private static byte[] UpToDate(byte[] file)
    {
        var strict = new JsonDocumentOptions { AllowDuplicateProperties = false, MaxDepth = MostDepth };
        if (
            JsonNode.Parse(file, documentOptions: strict) is not JsonObject old
            || old["version"] is not JsonValue version
            || !version.TryGetValue(out int number)
            || number != 1
        )
            return file;
        FirstBundles.Upgrade(old);
        return JsonSerializer.SerializeToUtf8Bytes(old, Indented);
    }

    /// <summary>What a library says, without its own addresses, and a doubled field by its name.</summary>
    private static string Troubled(string message) =>
        Doubled().Match(message) is { Success: true } match
            ? $"the field {match.Groups[1].Value} stands twice in one place. Keep the one that is right."
            : message.Split(" LineNumber:")[0].Split(" Path")[0];

    [GeneratedRegex("Duplicate property '([^']+)'")]
    private static partial Regex Doubled();

    /// <summary>Walks the file once without building anything, so that a monstrous one is refused before it costs memory.</summary>
    private static Problem? TooMuch(byte[] file)
    {
        var reader = new Utf8JsonReader(file, new JsonReaderOptions { MaxDepth = MostDepth });
        var counts = new Stack<int>();
        while (reader.Read())
        {
            // The reader of schemas knows no whole numbers of more than 19 digits.
            if (reader.TokenType == JsonTokenType.Number && !reader.ValueSpan.ContainsAny("eE."u8) && !reader.TryGetInt64(out _))
                return new Problem(
                    "bundle-number",
                    "",
                    $"A number in the file has more digits than any length or count (at byte {reader.TokenStartIndex})."
                );
            if (counts.Count > 0 && reader.TokenType is not (JsonTokenType.EndArray or JsonTokenType.EndObject or JsonTokenType.PropertyName))
            {
                counts.Push(counts.Pop() + 1);
                if (counts.Peek() > MostEntries)
                    return new Problem(
                        "bundle-too-long",
                        "",
                        $"A list in the file has more than {MostEntries} entries (at byte {reader.TokenStartIndex})."
                    );
            }
            if (reader.TokenType is JsonTokenType.StartArray or JsonTokenType.StartObject)
                counts.Push(0);
            else if (reader.TokenType is JsonTokenType.EndArray or JsonTokenType.EndObject)
                counts.Pop();
        }
        return null;
    }

    /// <summary>The error at the bottom: a list is wrong because an entry is, and the entry because a field of it is.</summary>
    private static ValidationError Innermost(ValidationError error) =>
        error is ChildSchemaValidationError { Errors: { } children } && children.SelectMany(c => c.Value).FirstOrDefault() is { } child
            ? Innermost(child)
            : error;

    private static Problem Wrong(ValidationError error)
    {
        string pointer = (error.Path ?? "")
            .TrimStart('#')
            .Replace("[", "/", StringComparison.Ordinal)
            .Replace("]", "", StringComparison.Ordinal)
            .Replace('.', '/');
        string line = error.HasLineInfo ? $" (line {error.LineNumber})" : "";
        string name = error.Property ?? "";
        string what = error.Kind switch
        {
            ValidationErrorKind.PropertyRequired => $"The field {name} is missing",
            ValidationErrorKind.NoAdditionalPropertiesAllowed => $"There is no field {name} here",
            ValidationErrorKind.NotInEnumeration => "The value is none of those that are known here",
            _ => $"The value is not of the kind that is wanted here ({error.Kind})",
        };
        return new Problem("bundle-shape", pointer, $"{what}, at {(pointer.Length == 0 ? "the top" : pointer)}{line}.");
    }

    private static string WrittenSchema()
    {
        JsonNode schema = AbriJson.Options.GetJsonSchemaAsNode(
            typeof(VehicleBundle),
            new JsonSchemaExporterOptions
            {
                TreatNullObliviousAsNonNullable = true,
                // Read by a converter of its own, of which a schema knows nothing.
                TransformSchemaNode = (context, node) =>
                    context.TypeInfo.Type switch
                    {
                        Type time when time == typeof(DateTimeOffset) => new JsonObject { ["type"] = "string", ["format"] = "date-time" },
                        Type time when time == typeof(DateTimeOffset?) => new JsonObject
                        {
                            ["type"] = new JsonArray("string", "null"),
                            ["format"] = "date-time",
                        },
                        _ => node,
                    },
            }
        );
        schema["$schema"] = "http://json-schema.org/draft-07/schema#";
        schema["title"] = "Abri vehicle file";
        return schema.ToJsonString(new JsonSerializerOptions { WriteIndented = true });
    }
}
