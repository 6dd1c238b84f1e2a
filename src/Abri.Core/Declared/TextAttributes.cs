using System.Text.RegularExpressions;

namespace Abri.Core.Declared;

/// <summary>A text has at most so many characters.</summary>
/// <param name="most">Most characters.</param>
/// <param name="message">What is said of a longer one.</param>
public class LettersAttribute(int most, string message) : DeclaredAttribute
{
    /// <summary>Most characters.</summary>
    public int Most => most;

    /// <inheritdoc/>
    public override (string Pointer, string Message)? Wrong(object value) => ((string)value).Length <= most ? null : Here(message);
}

/// <summary>Notes: at most 4000 characters.</summary>
public sealed class NotesAttribute() : LettersAttribute(4000, "Notes may have at most 4000 characters.");

/// <summary>A name of at least one character that shows, without control characters.</summary>
/// <param name="most">Most characters.</param>
/// <param name="message">What is said of any other.</param>
public sealed class NameAttribute(int most = 80, string message = "Give it a name of 1 to 80 characters.") : LettersAttribute(most, message)
{
    private readonly string said = message;

    /// <inheritdoc/>
    public override (string Pointer, string Message)? Wrong(object value)
    {
        var text = (string)value;
        return string.IsNullOrWhiteSpace(text) || text.Length > Most || text.Any(char.IsControl) ? Here(said) : null;
    }
}

/// <summary>Every text of a list is a name.</summary>
/// <param name="most">Most characters.</param>
/// <param name="message">What is said of any other.</param>
public sealed class EachNameAttribute(int most, string message) : DeclaredAttribute
{
    private readonly NameAttribute one = new(most, message);

    /// <inheritdoc/>
    public override (string Pointer, string Message)? Wrong(object value)
    {
        var names = (IReadOnlyList<string>)value;
        for (int i = 0; i < names.Count; i++)
        {
            // A gap in the list is told by whoever walks it.
            if (names[i] is { } name && one.Wrong(name) is var (_, said))
                return ($"/{i}", said);
        }
        return null;
    }
}

/// <summary>A text of a given form.</summary>
/// <param name="pattern">Regular expression of the whole text.</param>
/// <param name="message">What is said of any other.</param>
public sealed class FormAttribute(string pattern, string message) : DeclaredAttribute
{
    private readonly Regex form = new($"^(?:{pattern})\\z", RegexOptions.CultureInvariant);

    /// <inheritdoc/>
    public override (string Pointer, string Message)? Wrong(object value) => form.IsMatch((string)value) ? null : Here(message);
}

/// <summary>Name of a time zone; on a machine without a time-zone database, whatever looks like one.</summary>
public sealed partial class TimeZoneAttribute : DeclaredAttribute
{
    /// <inheritdoc/>
    public override (string Pointer, string Message)? Wrong(object value)
    {
        var name = (string)value;
        bool known =
            Form().IsMatch(name)
            && (TimeZoneInfo.TryFindSystemTimeZoneById(name, out _) || !TimeZoneInfo.TryFindSystemTimeZoneById("Etc/UTC", out _));
        return known ? null : Here($"\"{name}\" is not a time zone. Use a name such as Europe/Lisbon or Etc/UTC.");
    }

    [GeneratedRegex(@"^[A-Za-z][A-Za-z0-9_+\-]{1,30}(/[A-Za-z0-9_+\-]{1,30}){0,2}\z")]
    private static partial Regex Form();
}
