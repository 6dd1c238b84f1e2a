using Abri.Core.Weather;

namespace Abri.Core.Days.Planning;

/// <summary>A first plan: each task in its order at the first slot that is free, with the order changed as long as that makes it better.</summary>
/// <remarks>
/// Serial schedule generation: tasks whose turn it is in an order, each as early as those before it, the people, its spot and other holes let it.
/// Then two tasks change places in the order, again and again, and what leaves the shell open for less or ends sooner is kept. It is where the search
/// of <see cref="PlanModel"/> begins, and tells soon how many jobs fit into the days.
/// </remarks>
internal sealed class PlanStart
{
    /// <summary>So many tasks are placed in all the orders that are tried.</summary>
    private const int Placed = 120_000,
        MostOrders = 2000;

    private readonly PlanQuestion question;
    private readonly PlanGrid grid;
    private readonly IReadOnlyList<TaskRuns> tasks;
    private readonly Dictionary<string, int> places;
    private readonly (int Before, Func<int> Ready)[][] before;
    private readonly List<(long From, long Until)>[] busy;
    private readonly Dictionary<string, List<(long From, long Until)>> spots = [];
    private readonly List<(long From, long Until)> holes = [];
    private readonly int?[] starts;
    private readonly IReadOnlyList<int>[] does;

    private PlanStart(PlanQuestion question, PlanGrid grid, IReadOnlyList<TaskRuns> tasks)
    {
        (this.question, this.grid, this.tasks) = (question, grid, tasks);
        places = tasks.Select((t, i) => (t.Task.Id, i)).ToDictionary(t => t.Id, t => t.i);
        ILookup<int, (int Before, Func<int> Ready)> all = Before();
        before = [.. tasks.Select((_, i) => all[i].ToArray())];
        busy = [.. question.On.Crew.Select(_ => new List<(long, long)>())];
        starts = new int?[tasks.Count];
        does = new IReadOnlyList<int>[tasks.Count];
    }

    /// <summary>The slots at which the tasks begin in the first order in which all of them find one; null where none does.</summary>
    public static PlanFound? Of(PlanQuestion question, PlanGrid grid, IReadOnlyList<TaskRuns> tasks)
    {
        var plan = new PlanStart(question, grid, tasks);
        return plan.Fill([.. Enumerable.Range(0, tasks.Count)]) ? plan.Kept : null;
    }

    /// <summary>The best of many orders; what is given where none is better.</summary>
    public static PlanFound Better(PlanQuestion question, PlanGrid grid, IReadOnlyList<TaskRuns> tasks, PlanFound start, CancellationToken stop)
    {
        var plan = new PlanStart(question, grid, tasks);
        // What opens the shell needs the rarest hours: it is placed first.
        int[] order = [.. Enumerable.Range(0, tasks.Count).OrderBy(i => tasks[i].Task.OpensShell ? 0 : 1)];
        PlanFound best = start;
        (double, int, long) least = plan.CostOf(best.Starts);
        for (int n = 0; n < Placed / tasks.Count && n < MostOrders; n++)
        {
            stop.ThrowIfCancellationRequested();
            List<int> tried = [.. order];
            if (n > 0)
            {
                int moved = tried[Drawn(n, 0, tried.Count)];
                tried.Remove(moved);
                tried.Insert(Drawn(n, 1, tried.Count + 1), moved);
            }
            if (!plan.Fill(tried) || plan.CostOf(plan.Kept.Starts) is var cost && cost.CompareTo(least) > 0)
                continue;
            (order, best, least) = ([.. tried], plan.Kept, cost);
        }
        return best;
    }

    /// <summary>A number below a limit, spread evenly and always the same.</summary>
    private static int Drawn(int n, int which, int below) => (int)(Noise.Uniform(1, which, n) * below);

    private PlanFound Kept => new([.. starts.Select(s => s!.Value)], [.. does], false);

    private (double OpenMinutes, int Finish, long Ends) CostOf(int[] at)
    {
        TaskRun[] runs = [.. tasks.Select((t, i) => t.Runs[at[i]]!)];
        return (
            runs.Where((_, i) => tasks[i].Task.OpensShell).Sum(r => (r.ReadyAt - r.From).TotalMinutes),
            runs.Max(r => grid.AtOrAfter(r.ReadyAt)),
            runs.Sum(r => (long)grid.AtOrAfter(r.ReadyAt))
        );
    }

    private bool Fill(IReadOnlyList<int> order)
    {
        Array.Clear(starts);
        spots.Clear();
        holes.Clear();
        foreach (List<(long, long)> person in busy)
            person.Clear();
        // What is fixed takes its place before anything else does.
        foreach (TaskLock fixedAt in question.Locks.Where(l => places.ContainsKey(l.Id)))
        {
            int slot = fixedAt.IsRunning ? 0 : grid.AtOrAfter(fixedAt.From);
            if (!Place(places[fixedAt.Id], slot, slot))
                return false;
        }
        List<int> left = [.. order.Where(i => starts[i] is null)];
        while (left.Count > 0)
        {
            int next = left.Find(i => Array.TrueForAll(before[i], b => starts[b.Before] is not null));
            if (!Place(next, before[next].Select(b => b.Ready()).DefaultIfEmpty(0).Max(), grid.Count - 1))
                return false;
            left.Remove(next);
        }
        return Enumerable.Range(0, tasks.Count).All(i => before[i].All(b => starts[i] >= b.Ready()) && !IsLate(i));
    }

    private bool IsLate(int task) => tasks[task].Task.Until is { } until && End(task) > grid.AtOrAfter(until);

    /// <summary>What comes before each task, and from which slot on it may come then.</summary>
    private ILookup<int, (int Before, Func<int> Ready)> Before()
    {
        IEnumerable<(int Then, int Before, Func<int> Ready)> follows = tasks.SelectMany(
            (t, then) =>
                t
                    .Task.After.Where(a => places.ContainsKey(a.Id))
                    .Select(a =>
                        (
                            then,
                            places[a.Id],
                            (Func<int>)(
                                () =>
                                    WaitTime.Expected(question.On.Forecast, Run(places[a.Id]).Until, a.LagHours) is { } ready
                                        ? grid.AtOrAfter(ready)
                                        : 2 * grid.Count
                            )
                        )
                    )
        );
        IEnumerable<(int Then, int Before, Func<int> Ready)> rules = question.Rules.SelectMany(r =>
            r.Then.Where(places.ContainsKey)
                .SelectMany(then =>
                    r.First.Where(places.ContainsKey)
                        .Select(first => places[first])
                        .Select(first => (places[then], first, (Func<int>)(() => r.WhenSet ? grid.AtOrAfter(Run(first).ReadyAt) : End(first))))
                )
        );
        return follows.Concat(rules).ToLookup(f => f.Then, f => (f.Before, f.Ready));
    }

    private TaskRun Run(int task) => tasks[task].Runs[starts[task]!.Value]!;

    private int End(int task) => grid.AtOrAfter(Run(task).Until);

    private bool Place(int task, int from, int to)
    {
        TaskRuns runs = tasks[task];
        for (int slot = from; slot <= Math.Min(to, grid.Count - 1); slot++)
        {
            if (runs.Runs[slot] is null)
                continue;
            TaskRun run = runs.Runs[slot]!;
            (long, long) work = (slot, grid.AtOrAfter(run.Until)),
                open = (slot, grid.AtOrAfter(run.ReadyAt));
            List<(long, long)>? spot = runs.Task.Spot is { } name
                ? spots.TryGetValue(name, out var taken)
                    ? taken
                    : spots[name] = []
                : null;
            if ((spot is not null && !Free(spot, work)) || (runs.Task.OpensShell && !Free(holes, open)) || Who(runs, slot, []) is not { } who)
                continue;
            (starts[task], does[task]) = (slot, who);
            spot?.Add(work);
            if (runs.Task.OpensShell)
                holes.Add(open);
            for (int hand = 0; hand < who.Count; hand++)
                busy[who[hand]].Add(Slots(runs.Part(run, hand + 1)));
            return true;
        }
        return false;
    }

    /// <summary>Who does a task from a slot on; null where there are not enough people who are free.</summary>
    private IReadOnlyList<int>? Who(TaskRuns task, int slot, IReadOnlyList<int> chosen)
    {
        int hand = chosen.Count;
        if (hand == task.Hands)
            return chosen;
        (long, long) part = Slots(task.Part(task.Runs[slot]!, hand + 1));
        return Enumerable
            .Range(0, busy.Length)
            .Where(p => !chosen.Contains(p) && task.Can[p][slot, hand] && Free(busy[p], part))
            .Select(p => Who(task, slot, [.. chosen, p]))
            .FirstOrDefault(who => who is not null);
    }

    private (long, long) Slots((DateTimeOffset From, DateTimeOffset Until) part) => (grid.Before(part.From), grid.AtOrAfter(part.Until));

    private static bool Free(List<(long From, long Until)> taken, (long From, long Until) wanted) =>
        taken.TrueForAll(t => t.Until <= wanted.From || t.From >= wanted.Until);
}
