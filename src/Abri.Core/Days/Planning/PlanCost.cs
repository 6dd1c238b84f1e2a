namespace Abri.Core.Days.Planning;

/// <summary>What a plan is made least of first.</summary>
internal static class PlanCost
{
    /// <summary>How long the shell stands open in all, min, and the slot before which everything is done and set.</summary>
    /// <param name="tasks">The tasks.</param>
    /// <param name="starts">The slot of each one's beginning.</param>
    public static (long OpenMinutes, int Finish) Of(IReadOnlyList<TaskRuns> tasks, IReadOnlyList<int> starts)
    {
        (long open, int finish) = (0, 0);
        for (int i = 0; i < tasks.Count; i++)
        {
            open += tasks[i].OpenMinutes[starts[i]];
            finish = Math.Max(finish, tasks[i].Readies[starts[i]]);
        }
        return (open, finish);
    }
}
