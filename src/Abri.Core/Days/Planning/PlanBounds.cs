namespace Abri.Core.Days.Planning;

/// <summary>What no plan can beat, told by adding up hours: proofs come much sooner with it.</summary>
/// <remarks>
/// Work of some tasks is done in slots in which any of them can go on, by at most as many people as work then; pauses within a task keep its people.
/// Looked at for all tasks, for those that need dry weather, for those that open the shell, and for those of each spot, where one works at a time.
/// </remarks>
internal static class PlanBounds
{
    /// <summary>The first slot at which everything can be done and set at the earliest.</summary>
    public static int Finish(PlanGrid grid, IReadOnlyList<TaskRuns> tasks)
    {
        int least = 0;
        foreach ((long minutes, long[] room) in Rooms(grid, tasks))
        {
            long left = minutes;
            int slot = 0;
            while (slot < grid.Count && left > 0)
                left -= room[slot++];
            least = Math.Max(least, slot);
        }
        return least;
    }

    /// <summary>Minutes of work, each with the room for it in a half day.</summary>
    public static IEnumerable<(long Minutes, Func<int, long> Room)> Loads(PlanQuestion question, PlanGrid grid, IReadOnlyList<TaskRuns> tasks)
    {
        int[] halves = [.. Enumerable.Range(0, grid.Count).Select(s => PlanModel.HalfOf(question.On.Local(grid.At(s))))];
        foreach ((long minutes, long[] room) in Rooms(grid, tasks))
        {
            Dictionary<int, long> of = halves.Zip(room).GroupBy(h => h.First).ToDictionary(g => g.Key, g => g.Sum(h => h.Second));
            yield return (minutes, half => of.GetValueOrDefault(half));
        }
    }

    private static IEnumerable<(long Minutes, long[] Room)> Rooms(PlanGrid grid, IReadOnlyList<TaskRuns> tasks)
    {
        bool[][] goes = [.. tasks.Select(t => Goes(grid, t))];
        foreach ((IReadOnlyList<int> group, bool alone) in Groups(tasks))
        {
            long work = group.Sum(i => (long)Math.Ceiling(Least(grid, tasks[i], alone)));
            yield return (
                work,
                [
                    .. Enumerable
                        .Range(0, grid.Count)
                        .Select(s => group.Any(i => goes[i][s]) ? PlanGrid.Minutes * (alone ? Math.Min(1, grid.There[s]) : grid.There[s]) : 0L),
                ]
            );
        }
    }

    /// <summary>Groups of tasks, and whether one of them is done at a time.</summary>
    private static IEnumerable<(IReadOnlyList<int> Group, bool Alone)> Groups(IReadOnlyList<TaskRuns> tasks)
    {
        int[] all = [.. Enumerable.Range(0, tasks.Count)];
        yield return (all, false);
        yield return ([.. all.Where(i => tasks[i].Task.OpensShell || tasks[i].Task.Steps.Any(s => s.Weather.Dry))], false);
        foreach (IGrouping<string, int> spot in all.Where(i => tasks[i].Task.Spot is not null).GroupBy(i => tasks[i].Task.Spot!))
            yield return ([.. spot], true);
    }

    /// <summary>
    /// How long people are at a task at least from now on, min: all of them together, or, where one task is done at a time, the first one.
    /// </summary>
    private static double Least(PlanGrid grid, TaskRuns task, bool alone) =>
        Enumerable.Range(1, alone ? 1 : task.Hands).Sum(hand => task.Starts.Min(s => Left(grid, task.Part(task.Runs[s]!, hand))));

    private static double Left(PlanGrid grid, (DateTimeOffset From, DateTimeOffset Until) part) =>
        Math.Max(0, (part.Until - (part.From > grid.Start ? part.From : grid.Start)).TotalMinutes);

    /// <summary>In which slots somebody may be at a task.</summary>
    private static bool[] Goes(PlanGrid grid, TaskRuns task)
    {
        var goes = new bool[grid.Count + 1];
        foreach (int start in task.Starts)
        {
            TaskRun run = task.Runs[start]!;
            for (int s = start; s < Math.Min(grid.Count, grid.AtOrAfter(run.Until)); s++)
                goes[s] = true;
        }
        return goes;
    }
}
