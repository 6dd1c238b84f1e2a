namespace Abri.Core.Work;

/// <summary>What is done, in order.</summary>
/// <param name="Title">What it is for.</param>
/// <param name="Steps">The steps.</param>
/// <param name="Work">Work in all, without waiting.</param>
/// <param name="OpenMinutes">How long the shell stands open, waiting included.</param>
/// <param name="Tools">All tools, each once.</param>
/// <param name="Consumables">All that is used up, added up.</param>
public sealed record Procedure(
    string Title,
    IReadOnlyList<WorkStep> Steps,
    Minutes Work,
    Minutes OpenMinutes,
    IReadOnlyList<string> Tools,
    IReadOnlyList<Consumable> Consumables
)
{
    /// <summary>Puts steps into one procedure: each after the one before it, and after what that waits for, where it does not say
    /// otherwise.</summary>
    /// <exception cref="ArgumentException">Two steps have one key.</exception>
    internal static Procedure Of(string title, IReadOnlyList<WorkStep> steps)
    {
        if (steps.GroupBy(s => s.Key).FirstOrDefault(g => g.Count() > 1) is { } twice)
            throw new ArgumentException($"Two steps have the key {twice.Key}.", nameof(steps));
        WorkStep[] numbered =
        [
            .. steps.Select(
                (s, i) =>
                    s with
                    {
                        Number = i + 1,
                        After = s.After.Count > 0 || i == 0 ? s.After : [new Follows(steps[i - 1].Key, steps[i - 1].WaitHours)],
                    }
            ),
        ];
        (Minutes work, Minutes open, bool isOpen) = (new Minutes(0, 0, 0), new Minutes(0, 0, 0), false);
        foreach (WorkStep step in numbered)
        {
            work += step.Minutes;
            isOpen |= step.Shell == ShellChange.Opens;
            double wait = 60 * step.WaitHours;
            if (isOpen)
                open += step.Minutes + (step.Shell == ShellChange.Closes ? new Minutes(0, 0, 0) : new Minutes(wait, wait, wait));
            if (step.Shell == ShellChange.Closes)
                isOpen = false;
        }
        return new Procedure(
            title,
            numbered,
            work,
            open,
            [.. numbered.SelectMany(s => s.Tools).Distinct()],
            [.. numbered.SelectMany(s => s.Consumables).GroupBy(c => c.Material).Select(g => new Consumable(g.Key, g.Sum(c => c.Amount)))]
        );
    }
}
