using Abri.Core.Weather;

namespace Abri.Core.Days.Planning;

/// <summary>A first plan: each task in its order at the first slot that is free, with the order changed as long as that makes it better.</summary>
/// <remarks>
/// Serial schedule generation: tasks whose turn it is in an order, each as early as those before it, the people, its spot and other holes let it.
/// Then one task takes another place in the order, again and again, and what leaves the shell open for less or ends sooner is kept. It is where the
/// search of <see cref="PlanModel"/> begins, and tells soon how many jobs fit into the days. Where the plan before still holds, it is left only for
/// one that is better.
/// </remarks>
internal sealed class PlanStart
{
    /// <summary>So many tasks are placed in all the orders that are tried.</summary>
    private const int Placed = 60_000,
        MostOrders = 1000;

    private readonly PlanQuestion question;
    private readonly PlanGrid grid;
    private readonly IReadOnlyList<TaskRuns> tasks;
    private readonly Dictionary<string, int> places;
    private readonly (int Before, int[] Ready)[][] before;
    private readonly List<(int From, int Until)>[] busy;
    private readonly Dictionary<string, List<(int From, int Until)>> spots = [];
    private readonly List<(int From, int Until)> holes = [];
    private readonly int?[] starts;
    private readonly IReadOnlyList<int>[] does;

    private PlanStart(PlanQuestion question, PlanGrid grid, IReadOnlyList<TaskRuns> tasks)
    {
        (this.question, this.grid, this.tasks) = (question, grid, tasks);
        places = tasks.Select((t, i) => (t.Task.Id, i)).ToDictionary(t => t.Id, t => t.i);
        ILookup<int, (int Before, int[] Ready)> all = Before();
        before = [.. tasks.Select((_, i) => all[i].ToArray())];
        busy = [.. question.On.Crew.Select(_ => new List<(int, int)>())];
        starts = new int?[tasks.Count];
        does = new IReadOnlyList<int>[tasks.Count];
    }

    /// <summary>The first plan.</summary>
    /// <param name="question">What is to be planned.</param>
    /// <param name="grid">The slots.</param>
    /// <param name="tasks">The tasks, each with its beginnings.</param>
    /// <param name="again">When tasks were to begin by the plan before, to be kept to; null for none.</param>
    /// <returns>Null where in that order not all of them find a time.</returns>
    public static PlanFound? Of(
        PlanQuestion question,
        PlanGrid grid,
        IReadOnlyList<TaskRuns> tasks,
        IReadOnlyDictionary<string, DateTimeOffset>? again = null
    )
    {
        var plan = new PlanStart(question, grid, tasks);
        int[] inOrder = [.. Enumerable.Range(0, tasks.Count)];
        if (plan.Fill(inOrder, again))
            return plan.Kept;
        // What has to be over before something fixed is placed before the rest, or it comes too late.
        HashSet<int> first = plan.BeforeFixed();
        return first.Count > 0 && plan.Fill([.. inOrder.OrderBy(i => first.Contains(i) ? 0 : 1)], again) ? plan.Kept : null;
    }

    /// <summary>All that comes before what is fixed, in any number of steps.</summary>
    private HashSet<int> BeforeFixed()
    {
        HashSet<int> found = [];
        var next = new Stack<int>(question.Locks.Where(l => places.ContainsKey(l.Id)).Select(l => places[l.Id]));
        while (next.TryPop(out int task))
        {
            foreach ((int earlier, _) in before[task])
            {
                if (found.Add(earlier))
                    next.Push(earlier);
            }
        }
        return found;
    }

    /// <summary>The best of many orders; what is given where none is better.</summary>
    public static PlanFound Better(PlanQuestion question, PlanGrid grid, IReadOnlyList<TaskRuns> tasks, PlanFound start, CancellationToken stop)
    {
        var plan = new PlanStart(question, grid, tasks);
        // What opens the shell needs the rarest hours: it is placed first.
        int[] order = [.. Enumerable.Range(0, tasks.Count).OrderBy(i => tasks[i].Task.OpensShell ? 0 : 1)];
        PlanFound best = start;
        (long OpenMinutes, int Finish) first = PlanCost.Of(tasks, start.Starts);
        (long, int, long) least = (first.OpenMinutes, first.Finish, long.MaxValue);
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
            if (!plan.Fill(tried, null) || plan.Cost is var cost && cost.CompareTo(least) > 0)
                continue;
            (order, least) = ([.. tried], cost);
            if ((cost.OpenMinutes, cost.Finish).CompareTo(first) < 0)
                best = plan.Kept;
        }
        return best;
    }

    /// <summary>A number below a limit, spread evenly and always the same.</summary>
    private static int Drawn(int n, int which, int below) => (int)(Noise.Uniform(1, which, n) * below);

    private PlanFound Kept => new([.. starts.Select(s => s!.Value)], [.. does], false);

    /// <summary>What is made less by another order; the sum of the ends shows the way where nothing else does.</summary>
    private (long OpenMinutes, int Finish, long Ends) Cost
    {
        get
        {
            (long open, int finish) = PlanCost.Of(tasks, Kept.Starts);
            return (open, finish, tasks.Select((t, i) => (long)t.Readies[starts[i]!.Value]).Sum());
        }
    }

    private bool Fill(IReadOnlyList<int> order, IReadOnlyDictionary<string, DateTimeOffset>? again)
    {
        Array.Clear(starts);
        spots.Clear();
        holes.Clear();
        foreach (List<(int, int)> person in busy)
            person.Clear();
        // What is fixed takes its place before anything else does.
        foreach (TaskLock fixedAt in question.Locks.Where(l => places.ContainsKey(l.Id)))
        {
            int slot = fixedAt.IsRunning ? 0 : grid.AtOrAfter(fixedAt.From);
            if (!Place(places[fixedAt.Id], slot, slot))
                return false;
        }
        if (again is not null)
        {
            // By the hour: whoever is free first takes what comes first, so that nobody is missing who was not.
            foreach (int i in order.Where(i => starts[i] is null && again.ContainsKey(tasks[i].Task.Id)).OrderBy(i => again[tasks[i].Task.Id]))
            {
                DateTimeOffset at = again[tasks[i].Task.Id];
                if (at < grid.Start || !Place(i, grid.AtOrAfter(at), grid.AtOrAfter(at)))
                    return false;
            }
        }
        List<int> left = [.. order.Where(i => starts[i] is null)];
        while (left.Count > 0)
        {
            int next = left.Find(i => Array.TrueForAll(before[i], b => starts[b.Before] is not null));
            if (!Place(next, before[next].Select(b => b.Ready[starts[b.Before]!.Value]).DefaultIfEmpty(0).Max(), grid.Count - 1))
                return false;
            left.Remove(next);
        }
        return Enumerable.Range(0, tasks.Count).All(i => before[i].All(b => starts[i] >= b.Ready[starts[b.Before]!.Value]) && !IsLate(i));
    }

    private bool IsLate(int task) => tasks[task].Task.Until is { } until && tasks[task].Ends[starts[task]!.Value] > grid.AtOrAfter(until);

    /// <summary>What comes before each task, and from which slot on it may come then.</summary>
    private ILookup<int, (int Before, int[] Ready)> Before()
    {
        IEnumerable<(int Then, int Before, int[] Ready)> follows = tasks.SelectMany(
            (t, then) => t.Task.After.Where(a => places.ContainsKey(a.Id)).Select(a => (then, places[a.Id], tasks[places[a.Id]].SetAfter(a.LagHours)))
        );
        IEnumerable<(int Then, int Before, int[] Ready)> rules = question.Rules.SelectMany(r =>
            r.Then.Where(places.ContainsKey)
                .SelectMany(then =>
                    r.First.Where(places.ContainsKey)
                        .Select(id => places[id])
                        .Select(first => (places[then], first, r.WhenSet ? tasks[first].Readies : tasks[first].Ends))
                )
        );
        return follows.Concat(rules).ToLookup(f => f.Then, f => (f.Before, f.Ready));
    }

    private bool Place(int task, int from, int to)
    {
        TaskRuns runs = tasks[task];
        List<(int, int)>? spot = runs.Task.Spot is { } name
            ? spots.TryGetValue(name, out var taken)
                ? taken
                : spots[name] = []
            : null;
        for (int slot = from; slot <= Math.Min(to, grid.Count - 1); slot++)
        {
            if (runs.Runs[slot] is null)
                continue;
            (int, int) work = (slot, runs.Ends[slot]),
                open = (slot, runs.Readies[slot]);
            if ((spot is not null && !Free(spot, work)) || (runs.Task.OpensShell && !Free(holes, open)) || Who(runs, slot, []) is not { } who)
                continue;
            (starts[task], does[task]) = (slot, who);
            spot?.Add(work);
            if (runs.Task.OpensShell)
                holes.Add(open);
            for (int hand = 0; hand < who.Count; hand++)
                busy[who[hand]].Add(runs.Needed[hand][slot]);
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
        (int, int) part = task.Needed[hand][slot];
        return Enumerable
            .Range(0, busy.Length)
            .Where(p => !chosen.Contains(p) && task.Can[p][slot, hand] && Free(busy[p], part))
            .Select(p => Who(task, slot, [.. chosen, p]))
            .FirstOrDefault(who => who is not null);
    }

    private static bool Free(List<(int From, int Until)> taken, (int From, int Until) wanted) =>
        taken.TrueForAll(t => t.Until <= wanted.From || t.From >= wanted.Until);
}
