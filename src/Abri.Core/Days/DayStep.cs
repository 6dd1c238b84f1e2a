using Abri.Core.Declared;
using Abri.Core.Work;

namespace Abri.Core.Days;

/// <summary>A step as days look at it.</summary>
/// <param name="Title">What it is.</param>
/// <param name="Minutes">How long it takes.</param>
/// <param name="WaitHours">How long to wait after it, hours.</param>
/// <param name="Weather">What weather it needs.</param>
/// <param name="People">How many people.</param>
/// <param name="Inside">Whether it is done inside, where a lamp gives light.</param>
public sealed record DayStep(
    [Name] string Title,
    Minutes Minutes,
    [Within(0, 2000, "The wait", "h")] double WaitHours,
    WeatherNeeds Weather,
    [Within(1, 20, "The number of people")] int People,
    bool Inside
) : IConsistent
{
    private const double MostMinutes = 10_000;

    /// <inheritdoc/>
    public (string Field, string Message)? Contradiction() =>
        Minutes is { Quick: >= 0, Slow: <= MostMinutes } && Minutes.Quick <= Minutes.Likely && Minutes.Likely <= Minutes.Slow
            ? null
            : ("minutes", $"Minutes lie between 0 and {MostMinutes:0}, quick not above likely, likely not above slow.");

    /// <summary>A step of a procedure.</summary>
    internal static DayStep Of(WorkStep step) =>
        new(step.Title, step.Minutes, step.WaitHours, step.Weather, step.People, step.Place == WorkPlace.Inside);
}
