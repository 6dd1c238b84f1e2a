namespace Abri.Core.Days.Planning;

/// <summary>In which order over which days does everything fit?</summary>
/// <remarks>
/// Tasks that find no time at all in the days ahead are left out with their jobs and all that come after them, and named with what stands in the way
/// most often; so are the last jobs where not all fit into the days. The others are planned by <see cref="PlanModel"/>. Where wishes clash, the
/// fewest that do are found exactly (smallest set that every way of satisfying the others misses, grown one counterexample at a time), with the ways
/// out that were tried and do work.
/// </remarks>
/// <example>Bed a vent for 2 h and seal it after 24 h: begun Monday at 9, sealed on Tuesday at 11 at the earliest.</example>
public static class WorkPlan
{
    private const int MostTried = 60;

    /// <summary>The plan.</summary>
    /// <param name="question">What is to be planned.</param>
    /// <param name="before">When tasks were to begin by the plan before: it is left only for a better one.</param>
    /// <param name="stop">Ends the search.</param>
    public static Result<Worked<PlanAnswer>> Of(
        PlanQuestion question,
        IReadOnlyDictionary<string, DateTimeOffset>? before = null,
        CancellationToken stop = default
    )
    {
        if (question.Tasks.GroupBy(t => t.Id).FirstOrDefault(g => g.Count() > 1) is { } twice)
            return new Problem("task-twice", "/tasks", $"Two tasks have the id {twice.Key}.");
        if (Circle(question) is { } circle)
            return new Problem(
                "order-circle",
                "/tasks",
                $"These come each after another, in a circle: {string.Join(", ", circle)}. Give up one of them."
            );
        if (question.On.People.Count > 0 && question.On.People.All(p => p.Hours.Count == 0))
            return new Problem("nobody-works", "/on/people", "No working hours: enter on which days, and when.");
        PlanGrid grid = PlanGrid.Of(question);
        TaskRuns[] all = [.. question.Tasks.Until(stop).Select(t => TaskRuns.Of(question, grid, t))];
        Dictionary<string, string> never = Never(question, all);
        TaskRuns[] tasks = [.. all.Where(t => !never.ContainsKey(t.Task.Id))];
        UnplannedTask[] Unplanned() => [.. question.Tasks.Where(t => never.ContainsKey(t.Id)).Select(t => new UnplannedTask(t.Id, never[t.Id]))];
        if (Impossible(question, tasks) is { } alone)
            return Finish(question, [], Unplanned(), false, alone);
        PlanFound? early =
            tasks.Length == 0 ? null
            : Asks(question) ? Any(question, grid, tasks, before, stop)
            : PlanStart.Of(question, grid, tasks);
        if (tasks.Length > 0 && early is null)
        {
            PlanQuestion unasked = question with { Locks = [.. question.Locks.Where(l => l.IsRunning)] };
            TaskRuns[] unbound =
            [
                .. tasks.Until(stop).Select(t => t.Task.Until is null ? t : TaskRuns.Of(unasked, grid, t.Task with { Until = null })),
            ];
            if (Asks(question) && Any(unasked, grid, unbound, before, stop) is not null)
                return Finish(question, [], Unplanned(), false, ClashOf(question, grid, tasks, stop));
            (tasks, early) = AsManyAsFit(question, grid, tasks, never, stop);
        }
        if (early is null)
            return Finish(question, [], Unplanned(), false);
        // The plan before is left only for a better one.
        if (
            PlanStart.Of(question, grid, tasks, before) is { } again
            && PlanCost.Of(tasks, again.Starts).CompareTo(PlanCost.Of(tasks, early.Starts)) <= 0
        )
            early = again;
        early = PlanStart.Better(question, grid, tasks, early, stop);
        PlanFound found = new PlanModel(question, grid, tasks).Best(early, stop);
        return Finish(question, [.. tasks.Select((t, i) => Planned(question, t, found, i)).OrderBy(t => t.From)], Unplanned(), found.IsProven);
    }

    /// <summary>Any plan that keeps all wishes; null where none is found soon. What is fixed where it was planned keeps the plan before.</summary>
    private static PlanFound? Any(
        PlanQuestion question,
        PlanGrid grid,
        TaskRuns[] tasks,
        IReadOnlyDictionary<string, DateTimeOffset>? before,
        CancellationToken stop
    ) =>
        tasks.Length == 0
            ? null
            : PlanStart.Of(question, grid, tasks)
                ?? (before is null ? null : PlanStart.Of(question, grid, tasks, before))
                ?? new PlanModel(question, grid, tasks).Any(stop);

    /// <summary>Whether somebody fixed or bounded anything.</summary>
    private static bool Asks(PlanQuestion question) => question.Locks.Any(l => !l.IsRunning) || question.Tasks.Any(t => t.Until is not null);

    /// <summary>The first tasks, in their order, with which a plan is found; whole jobs are left out from the end, with what comes after.</summary>
    private static (TaskRuns[] Tasks, PlanFound? Early) AsManyAsFit(
        PlanQuestion question,
        PlanGrid grid,
        TaskRuns[] tasks,
        Dictionary<string, string> never,
        CancellationToken stop
    )
    {
        string[] jobs = [.. tasks.Select(t => t.Task.Job).Distinct()];
        for (int count = jobs.Length - 1; count >= 0; count--)
        {
            stop.ThrowIfCancellationRequested();
            Dictionary<string, string> left = new(never);
            foreach (TaskRuns late in tasks.Where(t => !jobs.Take(count).Contains(t.Task.Job)))
                left[late.Task.Id] = $"No time was found for it in the {question.Days} days ahead.";
            AddRuled(question, left);
            TaskRuns[] first = [.. tasks.Where(t => !left.ContainsKey(t.Task.Id))];
            PlanFound? early = PlanStart.Of(question, grid, first);
            if (early is null)
                continue;
            foreach ((string id, string why) in left)
                never[id] = why;
            return (first, first.Length == 0 ? null : early);
        }
        return ([], null);
    }

    private static PlannedTask Planned(PlanQuestion question, TaskRuns task, PlanFound found, int place)
    {
        TaskRun run = task.Runs[found.Starts[place]]!;
        return new PlannedTask(
            task.Task.Id,
            run.From,
            run.Until,
            run.ReadyAt,
            [
                .. found
                    .People[place]
                    .Select(
                        (p, hand) =>
                        {
                            (DateTimeOffset from, DateTimeOffset until) = task.Part(run, hand + 1);
                            return new TaskHand(question.On.Crew[p].Name, from, until);
                        }
                    ),
            ],
            run.IsForeseen,
            run.Covered,
            run.Steps
        );
    }

    private static Worked<PlanAnswer> Finish(
        PlanQuestion question,
        IReadOnlyList<PlannedTask> tasks,
        UnplannedTask[] unplanned,
        bool proven,
        PlanClash? clash = null
    )
    {
        var sheet = new Worksheet();
        HashSet<string> opens = [.. question.Tasks.Where(t => t.OpensShell).Select(t => t.Id)];
        double open = sheet.Step(
            "t_o",
            "time that the shell stands open",
            "sum from the cut to safe from rain",
            tasks.Where(t => opens.Contains(t.Id)).Sum(t => (t.ReadyAt - t.From).TotalMinutes),
            "min"
        );
        double work = sheet.Step("t_w", "work", "sum of all tasks", tasks.Sum(t => t.Steps.Sum(s => (s.To - s.From).TotalMinutes)) / 60, "h");
        int halves = (int)
            sheet.Step(
                "n",
                "half days with work",
                "count",
                tasks.SelectMany(t => PlanModel.Halves(new TaskRun(t.Steps, t.ReadyAt, t.Covered, t.IsForeseen))).Distinct().Count(),
                "count"
            );
        DateTimeOffset? finish = tasks.Count == 0 ? null : tasks.Max(t => t.ReadyAt);
        sheet.Cite(
            new Source(
                $"Slots of {PlanGrid.Minutes} min; waits at {WaitTime.AtC:0} C, twice as long for 10 K less, after the forecast as in it on average",
                SourceKind.Assumption
            )
        );
        if (question.On.People.Count == 0)
            sheet.Warn("No working hours entered: one person, every day from eight to six, is assumed.");
        if (question.On.Place is null)
            sheet.Warn("Not known where the vehicle stands: dusk is left out.");
        if (question.On.Forecast.Hours.Count == 0)
            sheet.Warn("There is no forecast: rain, wind and cold are not looked at.");
        else if (tasks.Any(t => !t.IsForeseen))
            sheet.Warn($"After {question.On.Date(question.On.Forecast.TrustedUntil)} the weather is not known: plan again when it is.");
        string verdict =
            clash is not null ? $"It does not fit: {string.Join(" ", clash.Wishes)}"
            : tasks.Count == 0 ? "Nothing could be planned."
            : (unplanned.Length > 0 ? $"{tasks.Count} of {tasks.Count + unplanned.Length}" : $"All {tasks.Count}")
                + $" tasks planned, done by {question.On.Date(finish!.Value)}: {work:0.#} h of work on {halves} half days"
                + (open > 0 ? $", the shell open for {open / 60:0.#} h in all" : "")
                + (
                    proven
                        ? ". Proven to half an hour: no plan of these tasks leaves it open for less, nor ends sooner."
                        : ". The best found; a better one is not ruled out."
                );
        return sheet.Finish(new PlanAnswer(verdict, tasks, unplanned, Math.Round(open), finish, halves, proven, clash));
    }

    /// <summary>Tasks that come each after another in a circle, by title; null where none do.</summary>
    private static IReadOnlyList<string>? Circle(PlanQuestion question)
    {
        var left = question.Tasks.ToDictionary(t => t.Id);
        ILookup<string, string> before = question
            .Tasks.SelectMany(t => t.After.Select(a => (t.Id, a.Id)))
            .Concat(question.Rules.SelectMany(r => r.Then.SelectMany(then => r.First.Select(first => (then, first)))))
            .ToLookup(o => o.Item1, o => o.Item2);
        while (left.Values.FirstOrDefault(t => !before[t.Id].Any(left.ContainsKey)) is { } free)
            left.Remove(free.Id);
        // What is left waits for the circle, or is in it: going back from any of it ends in it.
        if (left.Count == 0)
            return null;
        List<string> path = [left.Keys.First()];
        while (before[path[^1]].First(left.ContainsKey) is var next && !path.Contains(next))
            path.Add(next);
        return [.. path.Skip(path.IndexOf(before[path[^1]].First(left.ContainsKey))).Select(id => left[id].Title)];
    }

    /// <summary>
    /// Tasks that never find a time, with what waits for them, by its procedure or by the trade, and the rest of their jobs: what cannot be ended is
    /// not begun. Only what waits by the trade, such as wax, does not keep the job before it from being begun.
    /// </summary>
    private static Dictionary<string, string> Never(PlanQuestion question, TaskRuns[] all)
    {
        Dictionary<string, string> never = all.Where(t => t.Starts.Count == 0)
            .ToDictionary(t => t.Task.Id, t => $"{t.Task.Title} finds no time within {question.Days} days: {t.Obstacle}");
        Dictionary<string, PlanTask> tasks = question.Tasks.ToDictionary(t => t.Id);
        HashSet<string> running = [.. question.Locks.Where(l => l.IsRunning && tasks.ContainsKey(l.Id)).Select(l => tasks[l.Id].Job)];
        for (bool more = true; more; )
        {
            more = false;
            foreach (PlanTask task in question.Tasks.Where(t => !never.ContainsKey(t.Id)))
            {
                string? other = task.After.Select(a => a.Id).FirstOrDefault(never.ContainsKey)
                    ?? (running.Contains(task.Job) ? null : question.Tasks.FirstOrDefault(t => t.Job == task.Job && never.ContainsKey(t.Id))?.Id);
                if (other is null)
                    continue;
                // All of them say what is in the way of the first one.
                never[task.Id] = never[other];
                more = true;
            }
        }
        AddRuled(question, never);
        return never;
    }

    /// <summary>Adds what comes, by the trade, after something that is not planned, and what follows from it.</summary>
    private static void AddRuled(PlanQuestion question, Dictionary<string, string> left)
    {
        for (bool more = true; more; )
        {
            more = false;
            foreach (PlanTask task in question.Tasks.Where(t => !left.ContainsKey(t.Id)))
            {
                string? why =
                    task.After.Select(a => a.Id).FirstOrDefault(left.ContainsKey) is { } before ? left[before]
                    : question.Rules.FirstOrDefault(r => r.Then.Contains(task.Id) && r.First.Any(left.ContainsKey)) is { } rule
                        ? $"{rule.Why} {left[rule.First.First(left.ContainsKey)]}"
                    : null;
                if (why is null)
                    continue;
                left[task.Id] = why;
                more = true;
            }
        }
    }

    /// <summary>A time that somebody fixed and that cannot be, whatever else; null where there is none.</summary>
    private static PlanClash? Impossible(PlanQuestion question, TaskRuns[] tasks)
    {
        foreach (TaskLock fixedAt in question.Locks.Where(l => !l.IsRunning))
        {
            if (tasks.FirstOrDefault(t => t.Task.Id == fixedAt.Id) is { } task && task.WhyNot(fixedAt.From, true) is { } why)
                return new PlanClash(
                    [$"{task.Task.Title} cannot begin {question.On.Date(fixedAt.From)}: {why}"],
                    Near(question, task, fixedAt.From) is { } near ? [$"Begin it {question.On.Date(near)}."] : []
                );
        }
        return null;
    }

    /// <summary>The nearest time at which a task may begin.</summary>
    private static DateTimeOffset? Near(PlanQuestion question, TaskRuns task, DateTimeOffset at)
    {
        DateTimeOffset[] starts = [.. task.Starts.Select(s => task.Runs[s]!.From)];
        return starts.Length == 0 ? null : question.On.Local(starts.MinBy(s => (s - at).Duration()));
    }

    private static PlanClash ClashOf(PlanQuestion question, PlanGrid grid, TaskRuns[] tasks, CancellationToken stop)
    {
        var model = new PlanModel(question, grid, tasks);
        IReadOnlyList<int> clash = Smallest(model, stop);
        var ways = new List<string>();
        foreach (int wish in clash.OrderBy(w => model.Wishes[w].Lasts))
        {
            if (model.With([.. Enumerable.Range(0, model.Wishes.Count).Where(w => w != wish)], out _, stop) is not null)
                ways.Add($"Give up: {model.Wishes[wish].Text}");
        }
        ways.AddRange(OneMoreHour(question, grid, tasks, stop));
        return new PlanClash([.. clash.Select(w => model.Wishes[w].Text)], ways);
    }

    /// <summary>The fewest wishes that clash with each other; where it takes too long to tell, what somebody asked for.</summary>
    private static IReadOnlyList<int> Smallest(PlanModel model, CancellationToken stop)
    {
        var misses = new List<HashSet<int>>();
        for (int i = 0; i < MostTried; i++)
        {
            IReadOnlyList<int> tried = Hitting(misses, model.Wishes.Count);
            if (model.With(tried, out bool isKnown, stop) is not { } keeps)
            {
                if (isKnown)
                    return tried;
                break;
            }
            HashSet<int> missed = [.. Enumerable.Range(0, keeps.Length).Where(w => !keeps[w])];
            // All of them kept after all: the first search was too short.
            if (missed.Count == 0)
                break;
            misses.Add(missed);
        }
        return [.. Enumerable.Range(0, model.Wishes.Count).Where(w => model.Wishes[w].Lasts)];
    }

    /// <summary>The fewest wishes of which every set has one.</summary>
    private static IReadOnlyList<int> Hitting(List<HashSet<int>> sets, int count)
    {
        for (int size = 0; size <= count; size++)
        {
            if (Hit([], sets, size) is { } hit)
                return hit;
        }
        return [.. Enumerable.Range(0, count)];

        static IReadOnlyList<int>? Hit(IReadOnlyList<int> chosen, List<HashSet<int>> sets, int size)
        {
            if (sets.Find(s => !chosen.Any(s.Contains)) is not { } missed)
                return chosen;
            return chosen.Count == size ? null : missed.Order().Select(w => Hit([.. chosen, w], sets, size)).FirstOrDefault(h => h is not null);
        }
    }

    /// <summary>The first day on which one more hour makes everything fit; else an hour more on every day, if that does.</summary>
    private static IEnumerable<string> OneMoreHour(PlanQuestion question, PlanGrid grid, TaskRuns[] tasks, CancellationToken stop)
    {
        Person[] Longer(Func<DayOfWeek, bool> on) =>
            [
                .. question.On.Crew.Select(p =>
                    p with
                    {
                        Hours = [.. p.Hours.Select(h => on(h.Day) ? h with { ToHour = Math.Min(24, h.ToHour + 1) } : h)],
                    }
                ),
            ];
        bool Fits(Person[] people)
        {
            PlanQuestion other = question with { On = question.On with { People = people } };
            TaskRuns[] runs = [.. tasks.Until(stop).Select(t => TaskRuns.Of(other, grid, t.Task))];
            return runs.All(r => r.Starts.Count > 0) && Any(other, grid, runs, null, stop) is not null;
        }
        if (!Fits(Longer(_ => true)))
            yield break;
        foreach (DayOfWeek day in question.On.Crew.SelectMany(p => p.Hours.Select(h => h.Day)).Distinct().Order())
        {
            if (!Fits(Longer(d => d == day)))
                continue;
            yield return $"One more hour on {day}s.";
            yield break;
        }
        yield return "One more hour on every day.";
    }
}
