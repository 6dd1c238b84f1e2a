using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using System.Text.RegularExpressions;

namespace Abri.Core;

/// <summary>The one way in which records are written as JSON: in columns, in files and on the wire.</summary>
public static partial class AbriJson
{
    /// <summary>Camel case, enums by name, unknown and doubled fields refused, times only with their zone, and nothing that is computed from other
    /// fields.</summary>
    public static JsonSerializerOptions Options { get; } = Applied(new JsonSerializerOptions());

    /// <summary>Applies the rules to other options.</summary>
    public static JsonSerializerOptions Applied(JsonSerializerOptions options)
    {
        options.PropertyNamingPolicy = JsonNamingPolicy.CamelCase;
        options.DictionaryKeyPolicy = JsonNamingPolicy.CamelCase;
        options.PropertyNameCaseInsensitive = false;
        options.NumberHandling = JsonNumberHandling.Strict;
        options.UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow;
        options.RespectNullableAnnotations = true;
        options.RespectRequiredConstructorParameters = true;
        options.AllowDuplicateProperties = false;
        options.MaxDepth = 32;
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
        options.Converters.Add(new ZonedTime());
        options.TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { DropComputed, RequireAllOfStructs } };
        return options;
    }

    /// <summary>A property without a setter is computed from the others; it never travels.</summary>
    private static void DropComputed(JsonTypeInfo type)
    {
        if (type.Kind != JsonTypeInfoKind.Object || type.Type.Namespace?.StartsWith("Abri.", StringComparison.Ordinal) != true)
            return;
        foreach (JsonPropertyInfo computed in type.Properties.Where(p => p.Set is null).ToList())
        {
            if (
                type
                    .Type.GetConstructors()
                    .All(c => c.GetParameters().All(p => !string.Equals(p.Name, computed.Name, StringComparison.OrdinalIgnoreCase)))
            )
                type.Properties.Remove(computed);
        }
    }

    /// <summary>A struct is made without its constructor, so that a field left out would silently be 0: points and boxes must be whole.</summary>
    private static void RequireAllOfStructs(JsonTypeInfo type)
    {
        if (
            type.Kind != JsonTypeInfoKind.Object
            || !type.Type.IsValueType
            || type.Type.Namespace?.StartsWith("Abri.", StringComparison.Ordinal) != true
        )
            return;
        foreach (JsonPropertyInfo property in type.Properties)
            property.IsRequired = true;
    }

    /// <summary>A time without its zone would be taken for one of the machine that reads it.</summary>
    private sealed partial class ZonedTime : JsonConverter<DateTimeOffset>
    {
        public override DateTimeOffset Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options)
        {
            string text = reader.TokenType == JsonTokenType.String ? reader.GetString()! : "";
            if (!Zone().IsMatch(text))
                throw new JsonException(
                    $"\"{(text.Length > 40 ? text[..40] : text)}\" is not a time with its zone, such as 2026-11-28T09:30:00Z or "
                        + "2026-11-28T10:30:00+01:00."
                );
            return reader.TryGetDateTimeOffset(out DateTimeOffset time) ? time : throw new JsonException($"\"{text}\" is not a time.");
        }

        public override void Write(Utf8JsonWriter writer, DateTimeOffset value, JsonSerializerOptions options) => writer.WriteStringValue(value);

        [GeneratedRegex(@"T.*(Z|[+-]\d\d:\d\d)$", RegexOptions.NonBacktracking)]
        private static partial Regex Zone();
    }

    /// <summary>Writes a value.</summary>
    public static string Write<T>(T value) => JsonSerializer.Serialize(value, Options);

    /// <summary>Reads a value that was written by <see cref="Write"/>.</summary>
    /// <exception cref="JsonException">The text is not such a value.</exception>
    public static T Read<T>(string json) => JsonSerializer.Deserialize<T>(json, Options)!;
}
