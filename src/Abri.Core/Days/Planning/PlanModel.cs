using Google.OrTools.Sat;
using Google.OrTools.Util;

namespace Abri.Core.Days.Planning;

/// <summary>A wish of a plan, which can be given up.</summary>
/// <param name="Text">In words.</param>
/// <param name="Lasts">Whether somebody said it: given up last.</param>
internal sealed record PlanWish(string Text, bool Lasts);

/// <summary>What a model found.</summary>
/// <param name="Starts">Slot of each task's beginning.</param>
/// <param name="People">Who does each task: places in the crew.</param>
/// <param name="IsProven">Whether none of the aims can be met better without a worse one before it.</param>
internal sealed record PlanFound(int[] Starts, IReadOnlyList<int>[] People, bool IsProven);

/// <summary>The plan as a constraint model over half-hours.</summary>
/// <remarks>
/// The beginning of each task is one of the slots that <see cref="TaskRuns"/> allows; its end, and when what sets after it is ready, follow from it
/// by element constraints, since waits depend on the weather. Nobody does two things at once, one task at a time is done at one spot, and one hole
/// stands open at a time. Wishes hang on assumptions, so that they can be given up. The aims one after the other, each kept while the next is made
/// better: least open time, earliest end, fewest half days, then what keeps water out soon and everything as early as it goes. Solved by CP-SAT on
/// one thread with a fixed seed and limits in operations: the same question has the same plan on any machine.
/// </remarks>
internal sealed class PlanModel
{
    /// <summary>Limits of the aims, in the solver's measure of operations.</summary>
    private static readonly double[] Effort = [0.05, 0.08, 0.04, 0.02];

    /// <summary>Limit where it is only asked whether anything fits.</summary>
    private const double SoonEffort = 0.2;

    private const int MostOfAll = 10_000_000;

    private readonly CpModel model = new();
    private readonly PlanQuestion question;
    private readonly PlanGrid grid;
    private readonly IReadOnlyList<TaskRuns> tasks;
    private readonly IntVar[] starts,
        ends,
        readies;
    private readonly BoolVar[][,] does;
    private readonly BoolVar[] kept;
    private readonly Dictionary<string, int> places;

    public PlanModel(PlanQuestion question, PlanGrid grid, IReadOnlyList<TaskRuns> tasks)
    {
        (this.question, this.grid, this.tasks) = (question, grid, tasks);
        places = tasks.Select((t, i) => (t.Task.Id, i)).ToDictionary(t => t.Id, t => t.i);
        starts = [.. tasks.Select((t, i) => model.NewIntVarFromDomain(Domain.FromValues([.. t.Starts.Select(s => (long)s)]), $"s{i}"))];
        ends = [.. tasks.Select((t, i) => Follow(i, $"e{i}", t.Ends))];
        readies = [.. tasks.Select((t, i) => Follow(i, $"r{i}", t.Readies))];
        does = [.. tasks.Select((t, i) => new BoolVar[t.Can.Count, t.Hands])];
        Crew();
        OneAtATime();
        Order();
        Wishes = [.. Wish()];
        kept = [.. Wishes.Select((_, i) => model.NewBoolVar($"k{i}"))];
        Hang();
    }

    /// <summary>The wishes, in an order of their own.</summary>
    public IReadOnlyList<PlanWish> Wishes { get; }

    /// <summary>Beginnings with which all wishes are kept.</summary>
    /// <returns>Null where there are none, or none were found soon.</returns>
    public PlanFound? Any(CancellationToken stop)
    {
        model.ClearAssumptions();
        model.AddAssumptions(kept);
        CpSolver solver = Solver(SoonEffort);
        return Solve(solver, stop) is CpSolverStatus.Optimal or CpSolverStatus.Feasible ? Found(solver) : null;
    }

    /// <summary>The best plan that keeps all wishes.</summary>
    /// <param name="early">A plan that keeps them; only a better one is answered instead of it.</param>
    /// <param name="stop">Ends the search.</param>
    public PlanFound Best(PlanFound early, CancellationToken stop)
    {
        model.ClearAssumptions();
        foreach (BoolVar keep in kept)
            model.Add(keep == 1);
        bool proven = true;
        PlanFound found = early;
        foreach (((LinearExpr aim, Func<IReadOnlyList<int>, long> of), double effort) in Aims().Zip(Effort))
        {
            // Never worse than what is there.
            model.Add(aim <= of(found.Starts));
            model.Minimize(aim);
            Hint(found);
            CpSolver solver = Solver(effort);
            CpSolverStatus status = Solve(solver, stop);
            proven &= status == CpSolverStatus.Optimal;
            if (status is CpSolverStatus.Optimal or CpSolverStatus.Feasible && (long)Math.Round(solver.ObjectiveValue) < of(found.Starts))
                found = Found(solver);
            model.Add(aim <= of(found.Starts));
        }
        return found with { IsProven = proven };
    }

    private PlanFound Found(CpSolver solver) =>
        new([.. starts.Select(s => (int)solver.Value(s))], [.. tasks.Select((_, i) => Who(solver, i))], false);

    /// <summary>Where the search begins: the times, and who does what.</summary>
    private void Hint(PlanFound plan)
    {
        model.ClearHints();
        for (int i = 0; i < tasks.Count; i++)
        {
            model.AddHint(starts[i], plan.Starts[i]);
            for (int hand = 0; hand < tasks[i].Hands; hand++)
            {
                for (int p = 0; p < question.On.Crew.Count; p++)
                    model.AddHint(does[i][p, hand], plan.People[i][hand] == p ? 1 : 0);
            }
        }
    }

    /// <summary>Whether some wishes can be kept together, and if so which are with them.</summary>
    /// <param name="wishes">The wishes.</param>
    /// <param name="isKnown">Whether it could be told in time.</param>
    /// <param name="stop">Ends the search.</param>
    /// <returns>Null where they cannot.</returns>
    public bool[]? With(IReadOnlyCollection<int> wishes, out bool isKnown, CancellationToken stop)
    {
        model.ClearAssumptions();
        if (wishes.Count > 0)
            model.AddAssumptions(wishes.Select(w => kept[w]));
        CpSolver solver = Solver(SoonEffort);
        CpSolverStatus status = Solve(solver, stop);
        isKnown = status != CpSolverStatus.Unknown;
        return status is CpSolverStatus.Optimal or CpSolverStatus.Feasible ? [.. kept.Select(solver.BooleanValue)] : null;
    }

    private static CpSolver Solver(double effort) =>
        new() { StringParameters = FormattableString.Invariant($"num_workers:1,random_seed:1,max_deterministic_time:{effort}") };

    private CpSolverStatus Solve(CpSolver solver, CancellationToken stop)
    {
        using CancellationTokenRegistration stopping = stop.Register(solver.StopSearch);
        stop.ThrowIfCancellationRequested();
        CpSolverStatus status = solver.Solve(model);
        stop.ThrowIfCancellationRequested();
        return status;
    }

    /// <summary>A slot that follows from the beginning of a task.</summary>
    private IntVar Follow(int task, string name, int[] slots)
    {
        long[] allowed = [.. tasks[task].Starts.Select(s => (long)slots[s])];
        IntVar follows = model.NewIntVar(allowed.Min(), allowed.Max(), name);
        long[] lengths = [.. tasks[task].Starts.Select(s => (long)slots[s] - s)];
        if (lengths.Distinct().Count() == 1)
            model.Add(follows == starts[task] + lengths[0]);
        else
            model.AddElement(starts[task], slots.Select(s => (long)s), follows);
        return follows;
    }

    /// <summary>Who does what: as many as it takes, nobody two things at once, everybody only while they work.</summary>
    private void Crew()
    {
        int people = question.On.Crew.Count;
        var busy = new List<IntervalVar>[people];
        for (int p = 0; p < people; p++)
            busy[p] = [];
        for (int i = 0; i < tasks.Count; i++)
        {
            TaskRuns task = tasks[i];
            for (int hand = 0; hand < task.Hands; hand++)
            {
                int least = hand + 1;
                IntVar from = hand == 0 ? starts[i] : Follow(i, $"f{i},{hand}", [.. task.Needed[hand].Select(n => n.From)]),
                    to = Follow(i, $"t{i},{hand}", [.. task.Needed[hand].Select(n => n.Until)]),
                    size = model.NewIntVar(0, grid.Count, $"z{i},{hand}");
                for (int p = 0; p < people; p++)
                {
                    BoolVar here = does[i][p, hand] = model.NewBoolVar($"d{i},{hand},{p}");
                    long[] can = [.. task.Starts.Where(s => task.Can[p][s, hand]).Select(s => (long)s)];
                    if (can.Length == 0)
                        model.Add(here == 0);
                    else
                        model.AddLinearExpressionInDomain(starts[i], Domain.FromValues(can)).OnlyEnforceIf(here);
                    busy[p].Add(model.NewOptionalIntervalVar(from, size, to, here, $"w{i},{hand},{p}"));
                }
                model.AddExactlyOne(Enumerable.Range(0, people).Select(p => does[i][p, least - 1]));
            }
            for (int p = 0; p < people && task.Hands > 1; p++)
                model.AddAtMostOne(Enumerable.Range(0, task.Hands).Select(hand => does[i][p, hand]));
        }
        foreach (List<IntervalVar> all in busy)
            model.AddNoOverlap(all);
    }

    private IReadOnlyList<int> Who(CpSolver solver, int task) =>
        [
            .. Enumerable
                .Range(0, tasks[task].Hands)
                .Select(hand => Enumerable.Range(0, question.On.Crew.Count).First(p => solver.BooleanValue(does[task][p, hand]))),
        ];

    /// <summary>One task at a time at a spot, and one hole at a time.</summary>
    private void OneAtATime()
    {
        IntervalVar Interval(int i, IntVar to, string name) =>
            model.NewIntervalVar(starts[i], model.NewIntVar(0, grid.Count * 2, "z" + name), to, name);
        foreach (
            IGrouping<string, int> spot in Enumerable
                .Range(0, tasks.Count)
                .Where(i => tasks[i].Task.Spot is not null)
                .GroupBy(i => tasks[i].Task.Spot!)
        )
        {
            if (spot.Count() > 1)
                model.AddNoOverlap(spot.Select(i => Interval(i, ends[i], $"p{i}")));
        }
        int[] holes = [.. Enumerable.Range(0, tasks.Count).Where(i => tasks[i].Task.OpensShell)];
        if (holes.Length > 1)
            model.AddNoOverlap(holes.Select(i => Interval(i, readies[i], $"h{i}")));
    }

    /// <summary>What comes after what, with the time between in that weather.</summary>
    private void Order()
    {
        for (int i = 0; i < tasks.Count; i++)
        {
            foreach (TaskAfter after in tasks[i].Task.After)
            {
                if (!places.TryGetValue(after.Id, out int before))
                    continue;
                IntVar ready = after.LagHours == 0 ? ends[before] : Follow(before, $"l{before},{i}", tasks[before].SetAfter(after.LagHours));
                model.Add(starts[i] >= ready);
            }
        }
    }

    private IEnumerable<TaskLock> Locks => question.Locks.Where(l => !l.IsRunning && places.ContainsKey(l.Id));

    private IEnumerable<int> Bounded => Enumerable.Range(0, tasks.Count).Where(i => tasks[i].Task.Until is not null);

    private IEnumerable<PlanWish> Wish()
    {
        foreach (TaskLock fixedAt in Locks)
            yield return new PlanWish($"{tasks[places[fixedAt.Id]].Task.Title} begins {question.On.Date(fixedAt.From)}.", true);
        foreach (int i in Bounded)
            yield return new PlanWish($"{tasks[i].Task.Title} is done by {question.On.Date(tasks[i].Task.Until!.Value)}.", true);
        foreach (TradeRule rule in question.Rules)
            yield return new PlanWish(rule.Why, false);
    }

    /// <summary>Hangs the wishes on their assumptions, in the order of <see cref="Wish"/>.</summary>
    private void Hang()
    {
        int next = 0;
        foreach (TaskLock fixedAt in Locks)
            model.Add(starts[places[fixedAt.Id]] == grid.AtOrAfter(fixedAt.From)).OnlyEnforceIf(kept[next++]);
        foreach (int i in Bounded)
            // Ends are rounded up to slots, and so is this: a task that ends within the last one counts.
            model.Add(ends[i] <= grid.AtOrAfter(tasks[i].Task.Until!.Value)).OnlyEnforceIf(kept[next++]);
        foreach (TradeRule rule in question.Rules)
        {
            BoolVar keep = kept[next++];
            foreach (int before in rule.First.Where(places.ContainsKey).Select(id => places[id]))
            {
                foreach (int then in rule.Then.Where(places.ContainsKey).Select(id => places[id]))
                    model.Add(starts[then] >= (rule.WhenSet ? readies : ends)[before]).OnlyEnforceIf(keep);
            }
        }
    }

    /// <summary>The aims, each with what it comes to for given beginnings.</summary>
    private IEnumerable<(LinearExpr Aim, Func<IReadOnlyList<int>, long> Of)> Aims()
    {
        int[] holes = [.. Enumerable.Range(0, tasks.Count).Where(i => tasks[i].Task.OpensShell)];
        yield return (holes.Length > 0 ? LinearExpr.Sum(holes.Select(i => Follow(i, $"o{i}", tasks[i].OpenMinutes))) : LinearExpr.Constant(0), at =>
            PlanCost.Of(tasks, at).OpenMinutes
        );
        IntVar finish = model.NewIntVar(0, 2 * MostOfAll, "finish");
        model.AddMaxEquality(finish, readies);
        model.Add(finish >= PlanBounds.Finish(question, grid, tasks));
        yield return (finish, at => PlanCost.Of(tasks, at).Finish);
        yield return (LinearExpr.Sum(HalfDays()), at => tasks.SelectMany((t, i) => Halves(t.Runs[at[i]]!)).Distinct().Count());
        int[] soon = [.. tasks.Select(t => t.Task.KeepsWaterOut ? 10 : 1)];
        yield return (LinearExpr.WeightedSum(ends, soon), at => tasks.Select((t, i) => (long)soon[i] * t.Ends[at[i]]).Sum());
    }

    /// <summary>For each half day whether somebody works on it.</summary>
    private List<BoolVar> HalfDays()
    {
        var worked = new Dictionary<int, BoolVar>();
        for (int i = 0; i < tasks.Count; i++)
        {
            ILookup<int, long> at = tasks[i]
                .Starts.SelectMany(s => Halves(tasks[i].Runs[s]!).Select(half => (half, (long)s)))
                .ToLookup(h => h.half, h => h.Item2);
            Domain all = Domain.FromValues([.. tasks[i].Starts.Select(s => (long)s)]);
            foreach (IGrouping<int, long> half in at)
            {
                if (!worked.TryGetValue(half.Key, out BoolVar? used))
                    worked[half.Key] = used = model.NewBoolVar($"half{half.Key}");
                model
                    .AddLinearExpressionInDomain(starts[i], all.IntersectionWith(Domain.FromValues([.. half]).Complement()))
                    .OnlyEnforceIf(used.Not());
            }
        }
        // All work lies in half days with work, and each holds no more than its people's hours.
        int[] halves = [.. worked.Keys];
        foreach ((long minutes, Func<int, long> room) in PlanBounds.Loads(question, grid, tasks))
            model.Add(LinearExpr.WeightedSum([.. halves.Select(h => worked[h])], [.. halves.Select(room)]) >= minutes);
        return [.. worked.Values];
    }

    /// <summary>The half days that a run works on, counted from a day long ago.</summary>
    internal static IEnumerable<int> Halves(TaskRun run) =>
        run.Steps.SelectMany(s => new[] { s.From, s.To.AddMinutes(s.To > s.From ? -1 : 0) }).Select(HalfOf).Distinct();

    /// <summary>The half day of a moment by the clock at the vehicle: before or after one.</summary>
    internal static int HalfOf(DateTimeOffset local) => (DateOnly.FromDateTime(local.DateTime).DayNumber * 2) + (local.Hour >= 13 ? 1 : 0);
}
