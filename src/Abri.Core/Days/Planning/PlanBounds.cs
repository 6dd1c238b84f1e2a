namespace Abri.Core.Days.Planning;

/// <summary>What no plan can beat, told by adding up hours: proofs come much sooner with it.</summary>
/// <remarks>
/// Work of some tasks is done in slots in which any of them can go on, by at most as many people as work then. Looked at for all tasks, for those
/// that need dry weather, and for those of each spot, where one is done at a time.
/// </remarks>
internal static class PlanBounds
{
    /// <summary>The first slot at which everything can be done and set at the earliest.</summary>
    public static int Finish(PlanQuestion question, PlanGrid grid, IReadOnlyList<TaskRuns> tasks)
    {
        int least = 0;
        foreach ((long minutes, long[] room) in Rooms(question, grid, tasks))
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
        foreach ((long minutes, long[] room) in Rooms(question, grid, tasks))
        {
            Dictionary<int, long> of = halves.Zip(room).GroupBy(h => h.First).ToDictionary(g => g.Key, g => g.Sum(h => h.Second));
            yield return (minutes, half => of.GetValueOrDefault(half));
        }
    }

    private static IEnumerable<(long Minutes, long[] Room)> Rooms(PlanQuestion question, PlanGrid grid, IReadOnlyList<TaskRuns> tasks)
    {
        bool[][] goes = [.. tasks.Select(t => Goes(grid, t))];
        foreach ((IReadOnlyList<int> group, bool alone) in Groups(tasks))
        {
            long work = group.Sum(i => (long)Math.Floor(Least(question, grid, tasks[i], alone)));
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
    private static double Least(PlanQuestion question, PlanGrid grid, TaskRuns task, bool alone) =>
        Enumerable.Range(1, alone ? 1 : task.Hands).Sum(hand => task.Starts.Min(s => At(question, grid, task, s, hand)));

    /// <summary>A pause counts only where whoever could do the task is there all along; when people have gone home, nobody is.</summary>
    private static double At(PlanQuestion question, PlanGrid grid, TaskRuns task, int start, int hand)
    {
        TaskRun run = task.Runs[start]!;
        (DateTimeOffset from, DateTimeOffset until) = task.Part(run, hand);
        double Left(DateTimeOffset begin, DateTimeOffset end) => Math.Max(0, (end - (begin > grid.Start ? begin : grid.Start)).TotalMinutes);
        bool stays = question
            .On.Crew.Where((_, p) => task.Can[p][start, hand - 1])
            .All(p => p.Works(question.On.Local(from).DateTime, question.On.Local(until).DateTime));
        return stays
            ? Left(from, until)
            : task.Task.Steps.Zip(run.Steps).Where(s => s.First.People >= hand).Sum(s => Left(s.Second.From, s.Second.To));
    }

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
