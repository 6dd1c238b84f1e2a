using System.Text.RegularExpressions;

namespace Abri.Server.Api;

/// <summary>Names of files that are handed out.</summary>
internal static partial class FileNames
{
    /// <summary>A name in lower-case letters of any script, digits and hyphens; the other one where nothing is left of it.</summary>
    public static string Plain(string name, string otherwise) =>
        NotPlain().Replace(name.ToLowerInvariant(), "-").Trim('-') is { Length: > 0 } plain ? plain : otherwise;

    [GeneratedRegex("[^\\p{L}\\p{M}\\p{N}]+")]
    private static partial Regex NotPlain();
}
