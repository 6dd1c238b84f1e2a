using Abri.Core.Declared;

namespace Abri.Core;

/// <summary>A record with the key by which others of the same piece of JSON refer to it, as ids do in the database.</summary>
/// <param name="Key">The key; has no meaning outside.</param>
/// <param name="Value">The record.</param>
public sealed record Keyed<T>([Name] string Key, T Value)
    where T : notnull;

/// <summary>Gives keys.</summary>
public static class Keyed
{
    /// <summary>Records with keys in their order: <c>member-1</c>, <c>member-2</c>.</summary>
    /// <param name="what">What they are, in a word.</param>
    /// <param name="values">The records.</param>
    public static IReadOnlyList<Keyed<T>> All<T>(string what, IEnumerable<T> values)
        where T : notnull => [.. values.Select((value, i) => new Keyed<T>($"{what}-{i + 1}", value))];
}
