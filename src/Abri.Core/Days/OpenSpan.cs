using Abri.Core.Work;

namespace Abri.Core.Days;

/// <summary>A step while the shell stands open.</summary>
/// <param name="Title">What it is.</param>
/// <param name="Minutes">How long it takes.</param>
/// <param name="WaitHours">How long to wait after it, hours.</param>
/// <param name="Weather">What weather it needs.</param>
/// <param name="People">How many people.</param>
/// <param name="Inside">Whether it is done inside, where a lamp gives light.</param>
public sealed record OpenStep(string Title, Minutes Minutes, double WaitHours, WeatherNeeds Weather, int People, bool Inside);

/// <summary>From the step that opens the shell to where rain does no more harm.</summary>
/// <param name="Steps">The steps; the first one opens it.</param>
/// <param name="Closes">Whether they close it: what only opens it has to be covered.</param>
public sealed record OpenSpan(IReadOnlyList<OpenStep> Steps, bool Closes)
{
    /// <summary>After so many hours the last sealant takes rain, however long it sets for other reasons: assumption.</summary>
    public const double RainSafeHours = 4;

    /// <summary>The span of a procedure: from its cut over the step that closes it through the steps after that which need it dry; null where it opens
    /// nothing.</summary>
    public static OpenSpan? Of(Procedure procedure)
    {
        int first = procedure.Steps.ToList().FindIndex(s => s.Shell == ShellChange.Opens);
        if (first < 0)
            return null;
        int closes = procedure.Steps.ToList().FindIndex(first, s => s.Shell == ShellChange.Closes),
            last = closes < 0 ? procedure.Steps.Count - 1 : closes;
        while (closes >= 0 && last + 1 < procedure.Steps.Count && procedure.Steps[last + 1].Weather.Dry)
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
