using Abri.Core.Bench;
using Abri.Core.Weather;

namespace Abri.Core.Logbook;

/// <summary>Whether a change stands.</summary>
public enum ChangeState
{
    /// <summary>It stands.</summary>
    Done,

    /// <summary>It was undone and can be redone.</summary>
    Undone,

    /// <summary>It was undone, and something else was done since.</summary>
    Dropped,
}

/// <summary>A row that a change added, altered or removed.</summary>
/// <param name="Table">Name of its table.</param>
/// <param name="Id">Its id.</param>
/// <param name="Before">Its columns before, as a JSON object; null where it was added.</param>
/// <param name="After">Its columns after, as a JSON object; null where it was removed.</param>
public sealed record RowChange(string Table, string Id, string? Before, string? After);

/// <summary>What a change altered, in words.</summary>
/// <param name="Of">The thing: its kind and its name.</param>
/// <param name="What">What about it; null where the whole thing came or went.</param>
/// <param name="Before">What it was; null where there was nothing.</param>
/// <param name="After">What it became; null where nothing is left.</param>
public sealed record LogLine(string Of, string? What, string? Before, string? After);

/// <summary>An entry of the logbook.</summary>
/// <param name="Seq">Its number.</param>
/// <param name="At">When, as a clock at the vehicle showed it.</param>
/// <param name="By">Who; null where nobody said.</param>
/// <param name="What">What it was, in a few words.</param>
/// <param name="State">Whether it stands.</param>
/// <param name="Lines">What it altered.</param>
/// <param name="More">How much more it altered.</param>
/// <param name="Step">What was said of a step that was done; null of any other change.</param>
/// <param name="Weather">The weather of that hour by the forecast; null where none tells of it.</param>
public sealed record LogEntry(
    long Seq,
    DateTimeOffset At,
    string? By,
    string What,
    ChangeState State,
    IReadOnlyList<LogLine> Lines,
    int More,
    StepDone? Step,
    WeatherHour? Weather
);
