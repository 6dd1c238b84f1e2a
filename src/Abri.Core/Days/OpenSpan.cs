using Abri.Core.Declared;
using Abri.Core.Work;

namespace Abri.Core.Days;

/// <summary>A step while the shell stands open.</summary>
/// <param name="Title">What it is.</param>
/// <param name="Minutes">How long it takes.</param>
/// <param name="WaitHours">How long to wait after it, hours.</param>
/// <param name="Weather">What weather it needs.</param>
/// <param name="People">How many people.</param>
/// <param name="Inside">Whether it is done inside, where a lamp gives light.</param>
public sealed record OpenStep(
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
}

/// <summary>From the step that opens the shell to where rain does no more harm.</summary>
/// <param name="Steps">The steps; the first one opens it.</param>
/// <param name="Closes">Whether they close it: what only opens it has to be covered.</param>
public sealed record OpenSpan([Count(1, 100, "From 1 to {1} steps.")] IReadOnlyList<OpenStep> Steps, bool Closes)
{
    /// <summary>After so many hours the last sealant takes rain, however long it sets for other reasons: assumption.</summary>
    public const double RainSafeHours = 4;

    /// <summary>
    /// The span of a procedure: from its cut over the step that closes it to the first thing that sets after that; null where it opens nothing.
    /// </summary>
    public static OpenSpan? Of(Procedure procedure)
    {
        int first = procedure.Steps.ToList().FindIndex(s => s.Shell == ShellChange.Opens);
        if (first < 0)
            return null;
        int closes = procedure.Steps.ToList().FindIndex(first, s => s.Shell == ShellChange.Closes),
            last = closes < 0 ? procedure.Steps.Count - 1 : closes;
        while (closes >= 0 && last + 1 < procedure.Steps.Count && procedure.Steps[last].WaitHours == 0 && procedure.Steps[last + 1].Weather.Dry)
            last++;
        return new OpenSpan(
            [
                .. procedure
                    .Steps.Skip(first)
                    .Take(last - first + 1)
                    .Select(
                        (s, i) =>
                            new OpenStep(
                                s.Title,
                                s.Minutes,
                                closes >= 0 && first + i >= closes ? Math.Min(s.WaitHours, RainSafeHours) : s.WaitHours,
                                s.Weather,
                                s.People,
                                s.Place == WorkPlace.Inside
                            )
                    ),
            ],
            closes >= 0
        );
    }
}
