using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;

namespace Abri.Core;

/// <summary>The one way in which records are written as JSON: in columns, in files and on the wire.</summary>
public static class AbriJson
{
    /// <summary>Camel case, enums by name, unknown fields refused, and nothing that is computed from other fields.</summary>
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
        options.MaxDepth = 32;
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
        options.TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { DropComputed, RequireAllOfStructs } };
        return options;
    }

    /// <summary>A property without a setter is computed from the others; it never travels.</summary>
    private static void DropComputed(JsonTypeInfo type)
    {
        if (type.Kind != JsonTypeInfoKind.Object || type.Type.Namespace?.StartsWith("Abri.", StringComparison.Ordinal) != true) return;
        foreach (JsonPropertyInfo computed in type.Properties.Where(p => p.Set is null).ToList())
        {
            if (type.Type.GetConstructors().All(c => c.GetParameters().All(p => !string.Equals(p.Name, computed.Name, StringComparison.OrdinalIgnoreCase)))) type.Properties.Remove(computed);
        }
    }

    /// <summary>A struct is made without its constructor, so that a field left out would silently be 0: points and boxes must be whole.</summary>
    private static void RequireAllOfStructs(JsonTypeInfo type)
    {
        if (type.Kind != JsonTypeInfoKind.Object || !type.Type.IsValueType || type.Type.Namespace?.StartsWith("Abri.", StringComparison.Ordinal) != true) return;
        foreach (JsonPropertyInfo property in type.Properties) property.IsRequired = true;
    }

    /// <summary>Writes a value.</summary>
    public static string Write<T>(T value) => JsonSerializer.Serialize(value, Options);

    /// <summary>Reads a value that was written by <see cref="Write"/>.</summary>
    /// <exception cref="JsonException">The text is not such a value.</exception>
    public static T Read<T>(string json) => JsonSerializer.Deserialize<T>(json, Options)!;
}
