using System.ComponentModel;
using System.Globalization;
using System.Text.Json;
using System.Text.RegularExpressions;
using Microsoft.AspNetCore.Http.Metadata;

namespace Abri.Server.Api;

/// <summary>What is wrong in an address, with what it takes, instead of how the framework calls it.</summary>
internal static partial class AddressTrouble
{
    /// <summary>In words, from what the framework says.</summary>
    public static string Of(Endpoint? asked, string message) =>
        Parameter().Match(message) is not { Success: true } match
            ? message.Contains('"', StringComparison.Ordinal)
                ? Unreadable
                : message
            : match.Groups["value"].Success
                ? Wrong(asked, match.Groups["name"].Value, match.Groups["value"].Value)
                : $"{match.Groups["name"].Value} is missing: it takes {Takes(TypeOf(asked, match.Groups["name"].Value))}.";

    /// <summary>In words, of what may be left out and is not: of that the framework says nothing.</summary>
    public static string Of(HttpContext context) =>
        context.GetEndpoint() is { } asked
        && context.Request.Query.FirstOrDefault(q => TypeOf(asked, q.Key) is { } type && !Fits(type, $"{q.Value}")) is { Key: not null } wrong
            ? Wrong(asked, wrong.Key, $"{wrong.Value}")
            : Unreadable;

    private const string Unreadable = "The request cannot be read.";

    private static string Wrong(Endpoint? asked, string name, string value) =>
        $"{name} in the address takes {Takes(TypeOf(asked, name))}, not \"{value}\".";

    private static Type? TypeOf(Endpoint? asked, string name)
    {
        Type? type = asked?.Metadata.GetOrderedMetadata<IParameterBindingMetadata>().FirstOrDefault(p => p.Name == name)?.ParameterInfo.ParameterType;
        return type is null ? null : Nullable.GetUnderlyingType(type) ?? type;
    }

    private static string Takes(Type? type) =>
        Names(type) is { } names ? $"one of {string.Join(", ", names)}"
        : type == typeof(double) ? "a number, with a point"
        : type == typeof(bool) ? "true or false"
        : type == typeof(DateOnly) ? "a date such as 2031-05-12"
        : "another value";

    private static bool Fits(Type type, string value) =>
        Names(type)?.Contains(value, StringComparer.OrdinalIgnoreCase)
        ?? (type == typeof(double) ? double.TryParse(value, CultureInfo.InvariantCulture, out _) : TypeDescriptor.GetConverter(type).IsValid(value));

    /// <summary>The words that an enum in an address takes; null of anything else.</summary>
    private static IEnumerable<string>? Names(Type? type) =>
        type is { IsGenericType: true } && type.GetGenericTypeDefinition() == typeof(Named<>)
            ? Enum.GetNames(type.GenericTypeArguments[0]).Select(JsonNamingPolicy.CamelCase.ConvertName)
            : null;

    [GeneratedRegex("""^(?:Failed to bind parameter|Required parameter) "[^"]*?(?<name>\w+)"(?: from "(?<value>[^"]*)")?""")]
    private static partial Regex Parameter();
}
