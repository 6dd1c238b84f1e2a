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
/// <param name="DryHours">How long it has to stay dry after it, hours, be it waited for or not.</param>
public sealed record DayStep(
    [Name] string Title,
    Minutes Minutes,
    [Within(0, 2000, "The wait", "h")] double WaitHours,
    WeatherNeeds Weather,
    [Within(1, 20, "The number of people")] int People,
    bool Inside,
    [Within(0, 100, "The time that it has to stay dry", "h")] double DryHours = 0
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
        new(step.Title, step.Minutes, step.WaitHours, step.Weather, step.People, step.Place == WorkPlace.Inside, DryAfter(step));

    /// <summary>What was sealed or coated in the dry takes rain only after some hours, whether the next step waits for it or not.</summary>
    private static double DryAfter(WorkStep step) =>
        !step.Weather.Dry ? 0
        : step.Consumables.Any(c => c.Material.Kind is MaterialKind.Sealant or MaterialKind.Paint) ? OpenSpan.RainSafeHours
        : Math.Min(step.WaitHours, OpenSpan.RainSafeHours);
}
