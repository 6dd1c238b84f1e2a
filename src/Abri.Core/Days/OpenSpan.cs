using Abri.Core.Declared;
using Abri.Core.Work;

namespace Abri.Core.Days;

/// <summary>From the step that opens the shell to where rain does no more harm.</summary>
/// <param name="Steps">The steps; the first one opens it.</param>
/// <param name="Closes">Whether they close it: what only opens it has to be covered.</param>
public sealed record OpenSpan([Count(1, 100, "From 1 to {1} steps.")] IReadOnlyList<DayStep> Steps, bool Closes)
{
    /// <summary>After so many hours the last sealant takes rain, however long it sets for other reasons: assumption.</summary>
    public const double RainSafeHours = 4;

    /// <summary>
    /// The span of a procedure: from its cut over the step that closes it to the first thing that sets after that; null where it opens nothing.
    /// </summary>
    public static OpenSpan? Of(Procedure procedure) => Within(procedure) is var (first, last, closes) ? Of(procedure, first, last, closes) : null;

    /// <summary>The same for somebody who takes longer, by a factor.</summary>
    internal OpenSpan Slowed(double factor) => this with { Steps = [.. Steps.Select(s => s with { Minutes = s.Minutes * factor })] };

    /// <summary>First and last step of the span, from 0, and the one that closes; null where no step opens the shell.</summary>
    internal static (int First, int Last, int? Closes)? Within(Procedure procedure)
    {
        List<WorkStep> steps = [.. procedure.Steps];
        int first = steps.FindIndex(s => s.Shell == ShellChange.Opens);
        if (first < 0)
            return null;
        int closes = steps.FindIndex(first, s => s.Shell == ShellChange.Closes),
            last = closes < 0 ? steps.Count - 1 : closes;
        while (closes >= 0 && last + 1 < steps.Count && steps[last].WaitHours == 0 && steps[last + 1].Weather.Dry)
            last++;
        return (first, last, closes < 0 ? null : closes);
    }

    private static OpenSpan Of(Procedure procedure, int first, int last, int? closes) =>
        new(
            [
                .. procedure
                    .Steps.Skip(first)
                    .Take(last - first + 1)
                    .Select(DayStep.Of)
                    .Select((s, i) => first + i >= closes ? s with { WaitHours = Math.Min(s.WaitHours, RainSafeHours) } : s),
            ],
            closes is not null
        );
}
