namespace Abri.Server.Api;

/// <summary>An enum in an address, by its name in camel case as in JSON; numbers are not taken.</summary>
/// <typeparam name="T">The enum.</typeparam>
/// <param name="Value">The value.</param>
internal readonly record struct Named<T>(T Value)
    where T : struct, Enum
{
    /// <summary>Reads a name.</summary>
    public static bool TryParse(string? text, out Named<T> named)
    {
        bool known = Enum.TryParse(text, ignoreCase: true, out T value) && !char.IsAsciiDigit(text![0]) && text[0] != '-';
        named = new Named<T>(value);
        return known;
    }
}
