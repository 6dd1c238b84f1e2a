namespace Abri.Core.Bench;

/// <summary>How long somebody takes against what is counted on: what was done teaches what is planned.</summary>
/// <remarks>
/// Minutes that were taken over minutes that were counted on, of all steps whose minutes were written down, as if <see cref="KnownMinutes"/> had gone
/// as counted before: a first step that went badly is no rule. Assumption.
/// </remarks>
public static class Pace
{
    /// <summary>So much work is taken to have gone as counted, min: assumption.</summary>
    public const double KnownMinutes = 240;

    /// <summary>Nobody is taken to be quicker or slower than this: assumption.</summary>
    public const double Least = 0.5,
        Most = 2;

    /// <summary>The factor, 1 where nothing is known.</summary>
    /// <param name="done">What was done.</param>
    /// <param name="slow">Whether slow minutes are counted on, as a first-timer's are; else likely ones.</param>
    public static double Of(IReadOnlyList<StepDone> done, bool slow)
    {
        StepDone[] timed = [.. done.Where(d => d.Report.Minutes is not null)];
        double taken = timed.Sum(d => d.Report.Minutes!.Value),
            counted = timed.Sum(d => slow ? d.Counted.Slow : d.Counted.Likely);
        return Math.Clamp((taken + KnownMinutes) / (counted + KnownMinutes), Least, Most);
    }
}
