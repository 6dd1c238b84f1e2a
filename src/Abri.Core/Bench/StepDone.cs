using Abri.Core.Declared;
using Abri.Core.Openings;
using Abri.Core.Weather;
using Abri.Core.Work;

namespace Abri.Core.Bench;

/// <summary>What was read at a hold point.</summary>
/// <param name="Name">Name of the hold point.</param>
/// <param name="Value">The reading, in the unit of the hold point; null of what is only looked at.</param>
/// <param name="Seen">Whether it is so; null of what is measured.</param>
/// <param name="Unit">Unit of the reading, as the step that is done keeps it; null until then, and of what is only looked at.</param>
public sealed record HoldReading([Name(200)] string Name, [Within(-1000, 20_000, "A reading")] double? Value, bool? Seen, Unit? Unit = null);

/// <summary>What somebody says of a step that they have done.</summary>
/// <param name="Token">
/// Made once where the step was done, so that a report that is sent again is not a second one: a step done twice from two places has two of them.
/// </param>
/// <param name="By">Who did it.</param>
/// <param name="Minutes">How long it took, min; null where nobody looked.</param>
/// <param name="Readings">What was read at its hold points.</param>
/// <param name="AsCut">The hole as it was cut, of the step that measures it; null of any other.</param>
/// <param name="Overruled">Why it goes on although a hold point or a wait is in its way; null where none is.</param>
/// <param name="Notes">Notes.</param>
/// <param name="Told">What the step told whoever did it.</param>
/// <param name="NextTime">What to think of next time: told at the same step of the next job of its kind; null for nothing.</param>
/// <param name="AgoMinutes">How long ago it was done, min, where it is reported later, as after a time without a connection; null for now.</param>
public sealed record StepReport(
    [Name(64)] string Token,
    [Name(80, "Say who does it, in up to 80 characters.")] string By,
    [Within(0, 1440, "How long it took", "minutes")] double? Minutes,
    [Count(0, 60, "At most {1} readings.")] IReadOnlyList<HoldReading> Readings,
    AsCut? AsCut,
    [Name(300, "Say in up to 300 characters why it goes on all the same.")] string? Overruled,
    [Notes] string Notes,
    [Letters(8000, "The text of a step has at most 8000 characters.")] string Told,
    [Name(300, "Say in up to 300 characters what to think of next time.")] string? NextTime = null,
    [Within(0, 44_640, "How long ago it was done", "minutes")] double? AgoMinutes = null
);

/// <summary>A step that is done.</summary>
/// <param name="Job">The job that it belongs to.</param>
/// <param name="Key">Its key within the job.</param>
/// <param name="Title">What it was.</param>
/// <param name="Shell">What it did to the shell.</param>
/// <param name="At">When it was done.</param>
/// <param name="Counted">How long it was counted on to take.</param>
/// <param name="Report">What was said of it.</param>
/// <param name="Weather">The weather of that hour by the forecast then; null where none told of it.</param>
public sealed record StepDone(
    Job Job,
    [Name] string Key,
    [Name(300)] string Title,
    ShellChange Shell,
    [Dated] DateTimeOffset At,
    Minutes Counted,
    StepReport Report,
    WeatherHour? Weather = null
);
