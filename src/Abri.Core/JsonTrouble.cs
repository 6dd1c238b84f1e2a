using System.Text.Json;
using System.Text.RegularExpressions;

namespace Abri.Core;

/// <summary>Says what is wrong in JSON in a person's words, whoever reads it: no names of this program's parts.</summary>
public static partial class JsonTrouble
{
    /// <summary>What is wrong: <c>unknown-field</c>, <c>missing-field</c>, <c>field-twice</c>, <c>field-null</c> or <c>json-unreadable</c>.</summary>
    public static Problem Of(JsonException e)
    {
        string pointer =
            "/"
            + (e.Path ?? "$")
                .TrimStart('$')
                .Replace("[", ".", StringComparison.Ordinal)
                .Replace("]", "", StringComparison.Ordinal)
                .Trim('.')
                .Replace('.', '/');
        string within = pointer == "/" ? "" : " in " + pointer;
        string message = e.Message.Split(" Path:")[0].Split(" LineNumber:")[0];
        string Quote() => Quoted().Match(message).Groups[1].Value;
        if (message.Contains("could not be mapped to any .NET member", StringComparison.Ordinal))
            return new Problem("unknown-field", pointer, $"There is no field {pointer} here. Leave it out, or check its spelling.");
        if (message.Contains("missing required properties", StringComparison.Ordinal))
        {
            string listed = message[message.IndexOf(':', StringComparison.Ordinal)..];
            string missing = string.Join(", ", Quoted().Matches(listed).Select(m => m.Groups[1].Value));
            return new Problem("missing-field", pointer, $"Fields are missing{within}: {missing}.");
        }
        if (message.StartsWith("Duplicate property", StringComparison.Ordinal))
            return new Problem(
                "field-twice",
                pointer,
                $"The field {Quote()} stands twice in one place{(within.Length == 0 ? "" : "," + within)}. Keep the one that is right."
            );
        if (message.Contains("doesn't allow", StringComparison.Ordinal))
            return new Problem("field-null", pointer, $"The field {Quote()}{within} may not be null.");
        if (Converted().Match(message) is { Success: true } wrong)
            return new Problem("json-unreadable", pointer, $"The value at {pointer} is not {Wanted(wrong.Groups[1].Value)}.");
        return new Problem(
            "json-unreadable",
            pointer,
            OfThisProgram().IsMatch(message) ? $"The value at {pointer} cannot be read here." : $"The JSON cannot be read at {pointer}: {message}"
        );
    }

    /// <summary>What a type is called outside the program.</summary>
    private static string Wanted(string type)
    {
        if (typeof(JsonTrouble).Assembly.GetType(type) is { IsEnum: true } names)
            return $"one of {string.Join(", ", Enum.GetNames(names).Select(JsonNamingPolicy.CamelCase.ConvertName))}";
        return type switch
        {
            "System.Double" => "a number",
            "System.Int32" or "System.Int64" => "a whole number",
            "System.Boolean" => "true or false",
            "System.String" => "a text",
            "System.DateTimeOffset" => "a time with its zone",
            "System.DateOnly" => "a day such as 2026-11-28",
            _ when type.Contains("Collection", StringComparison.Ordinal)
                    || type.EndsWith("[]", StringComparison.Ordinal)
                    || type.Contains("List", StringComparison.Ordinal) => "a list",
            _ => "of the kind that is taken there",
        };
    }

    [GeneratedRegex("'([^']+)'")]
    private static partial Regex Quoted();

    [GeneratedRegex(@"could not be converted to (?:System\.Nullable`1\[)?([\w.+`]+)")]
    private static partial Regex Converted();

    [GeneratedRegex(@"\b(Abri|System|Microsoft)\.\w|\btype '")]
    private static partial Regex OfThisProgram();
}
