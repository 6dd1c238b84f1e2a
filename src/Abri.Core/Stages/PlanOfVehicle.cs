using Abri.Core.Days;
using Abri.Core.Days.Planning;
using Abri.Core.Record;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>A task as the plan shows it.</summary>
/// <param name="Key">What it is known by.</param>
/// <param name="Name">Name of its job.</param>
/// <param name="Title">What it is.</param>
/// <param name="PanelId">Its panel; null where it has none.</param>
/// <param name="Steps">Titles of its steps.</param>
/// <param name="Minutes">How long it takes, min, as is counted on.</param>
/// <param name="Hands">How many people it takes.</param>
/// <param name="OpensShell">Whether it opens the shell.</param>
/// <param name="Kept">Its times by the plan; null where it has none.</param>
/// <param name="Mark">How somebody marked it; null for none.</param>
/// <param name="Trouble">Why it cannot be as it is planned any more, or found no time; null where nothing is wrong.</param>
public sealed record PlanLine(
    TaskKey Key,
    string Name,
    string Title,
    string? PanelId,
    IReadOnlyList<string> Steps,
    double Minutes,
    int Hands,
    bool OpensShell,
    KeptTask? Kept,
    TaskMark? Mark,
    string? Trouble
);

/// <summary>A rule of the trade that was overruled, in words.</summary>
/// <param name="Overruled">What was overruled, and why.</param>
/// <param name="Rule">The rule.</param>
public sealed record OverruledLine(Overruled Overruled, string Rule);

/// <summary>A rule of the trade between two jobs, that may be overruled.</summary>
/// <param name="First">The job that comes first.</param>
/// <param name="Then">The job that comes after it.</param>
/// <param name="Rule">The rule in words.</param>
public sealed record RuleLine(Job First, Job Then, string Rule);

/// <summary>The plan of a vehicle.</summary>
/// <param name="Now">The moment, as a clock at the vehicle shows it.</param>
/// <param name="MadeAt">When it was made; null where it never was.</param>
/// <param name="Verdict">In a sentence.</param>
/// <param name="IsProven">Whether it is proven that none leaves the shell open for less, nor ends sooner.</param>
/// <param name="Lines">The tasks, those with a time first.</param>
/// <param name="Warnings">What to know before trusting it.</param>
/// <param name="Moves">What the last plan moved, and why.</param>
/// <param name="Without">Jobs that have no tasks, with what is missing.</param>
/// <param name="Own">What somebody wrote down by themselves.</param>
/// <param name="Rules">Rules of the trade that hold.</param>
/// <param name="Overruled">Rules of the trade that somebody overruled.</param>
/// <param name="NeedsPlanning">Whether something changed that the plan does not know of, or cannot be as it was planned.</param>
public sealed record PlanOfVehicle(
    DateTimeOffset Now,
    DateTimeOffset? MadeAt,
    string Verdict,
    bool IsProven,
    IReadOnlyList<PlanLine> Lines,
    IReadOnlyList<string> Warnings,
    IReadOnlyList<TaskMove> Moves,
    IReadOnlyList<JobWithoutTasks> Without,
    IReadOnlyList<Stored<OwnTask>> Own,
    IReadOnlyList<RuleLine> Rules,
    IReadOnlyList<OverruledLine> Overruled,
    bool NeedsPlanning
)
{
    /// <summary>The plan as it was kept, held against what is known now.</summary>
    public static PlanOfVehicle Of(VehicleSnapshot of, DateTimeOffset now)
    {
        VehicleNow at = VehicleNow.At(of, now);
        var tasks = VehicleTasks.Of(of);
        KeptPlan? kept = of.Days.Plan?.Value;
        Dictionary<TaskKey, KeptTask> times = kept?.Tasks.ToDictionary(t => t.Task) ?? [];
        Dictionary<TaskKey, TaskMark> marks = kept?.Marks.ToDictionary(m => m.Task) ?? [];
        Dictionary<TaskKey, string> left = kept?.Unplanned.ToDictionary(u => u.Task, u => u.Why) ?? [];
        PlanQuestion? question = tasks.Tasks.Count == 0 ? null : QuestionOf(at, tasks, kept?.Marks ?? [], kept?.Overruled ?? []);
        PlanGrid? grid = question is null ? null : PlanGrid.Of(question);
        PlanLine Line(VehicleTask task)
        {
            KeptTask? time = times.GetValueOrDefault(task.Key);
            TaskMark? mark = marks.GetValueOrDefault(task.Key);
            string? trouble =
                mark?.Kind is TaskMarkKind.Done or TaskMarkKind.Running ? null
                : time is null ? left.GetValueOrDefault(task.Key)
                : time.Until <= at.Now ? "Its time is over: was it done?"
                // What should have begun just now may only not have been marked yet.
                : time.From < grid!.Start ? null
                : Gone(at, time) ?? TaskRuns.WhyNot(question!, grid, task.Task, time.From, time.Covered.Count > 0);
            return new PlanLine(
                task.Key,
                task.Name,
                task.Task.Title,
                task.Task.Spot,
                [.. task.Task.Steps.Select(s => s.Title)],
                Math.Round(task.Task.Steps.Sum(s => CutGate.Taken(s, at.Care))),
                task.Task.Steps.Max(s => s.People),
                task.Task.OpensShell,
                time,
                mark,
                trouble
            );
        }
        PlanLine[] lines = [.. tasks.Tasks.Select(Line).OrderBy(l => l.Kept?.From ?? DateTimeOffset.MaxValue)];
        Overruled[] overruled = [.. kept?.Overruled ?? []];
        return new PlanOfVehicle(
            at.Now,
            kept is null ? null : at.On.Local(kept.MadeAt),
            kept?.Verdict ?? (lines.Length == 0 ? "Nothing to plan: nothing waits." : "Nothing is planned yet."),
            kept?.IsProven ?? false,
            lines,
            kept?.Warnings ?? [],
            kept?.Moves ?? [],
            tasks.Without,
            of.Days.Own,
            [.. tasks.Rules.Where(r => !IsOverruled(r, overruled)).Select(r => new RuleLine(r.First, r.Then, r.Rule.Why))],
            [
                .. overruled.Select(o => new OverruledLine(
                    o,
                    tasks.Rules.FirstOrDefault(r => IsOverruled(r, [o]))?.Rule.Why ?? "It does not matter any more."
                )),
            ],
            kept is not null
                && lines.Any(l => l.Mark?.Kind != TaskMarkKind.Done && (l.Kept is null ? !left.ContainsKey(l.Key) : l.Trouble is not null))
        );
    }

    /// <summary>When a task may begin, as far as weather, light and people are concerned; other tasks are not looked at.</summary>
    /// <returns>The windows; null where there is no such task.</returns>
    public static IReadOnlyList<StartWindow>? Starts(VehicleSnapshot of, DateTimeOffset now, TaskKey key)
    {
        VehicleNow at = VehicleNow.At(of, now);
        var tasks = VehicleTasks.Of(of);
        if (tasks.Tasks.FirstOrDefault(t => t.Key == key) is not { } task)
            return null;
        KeptPlan? kept = of.Days.Plan?.Value;
        PlanQuestion question = QuestionOf(at, tasks, [], kept?.Overruled ?? []);
        return TaskRuns.Of(question, PlanGrid.Of(question), task.Task).Windows();
    }

    /// <summary>A new plan, with what somebody marks and overrules.</summary>
    /// <returns>What was found, and the plan to keep: null where wishes clash.</returns>
    public static Result<(Worked<PlanAnswer> Answer, KeptPlan? Keep)> Make(
        VehicleSnapshot of,
        DateTimeOffset now,
        IReadOnlyList<TaskMark> marks,
        IReadOnlyList<Overruled> overruled,
        CancellationToken stop
    )
    {
        VehicleNow at = VehicleNow.At(of, now);
        var tasks = VehicleTasks.Of(of);
        KeptPlan? before = of.Days.Plan?.Value;
        if (tasks.Tasks.Count == 0)
            return new Problem("nothing-to-plan", "", "Nothing to plan: nothing waits.");
        if (marks.GroupBy(m => m.Task).Any(g => g.Count() > 1))
            return new Problem("mark-twice", "/marks", "A task is marked twice.");
        PlanQuestion question = QuestionOf(at, tasks, marks, overruled);
        Dictionary<string, TaskKey> keys = tasks.Tasks.ToDictionary(t => t.Task.Id, t => t.Key);
        Dictionary<TaskKey, KeptTask> old = before?.Tasks.ToDictionary(t => t.Task) ?? [];
        if (question.Tasks.Count == 0)
            return new Problem("nothing-to-plan", "", "Nothing to plan: all tasks are done.");
        PlanTask[] later = Later(question.Tasks);
        question = question with { Tasks = [.. question.Tasks.Except(later)] };
        if (!WorkPlan.Of(question, Begins(tasks, old), stop).IsOk(out Worked<PlanAnswer>? answer, out Problem? problem))
            return problem;
        PlanAnswer plan = answer.Result;
        if (plan.Clash is not null)
            return (answer, null);
        KeptTask[] kept =
        [
            // What is done stays where it was.
            .. marks.Where(m => m.Kind == TaskMarkKind.Done).Select(m => old.GetValueOrDefault(m.Task)).OfType<KeptTask>(),
            .. plan.Tasks.Select(t => new KeptTask(
                keys[t.Id],
                t.From,
                t.Until,
                t.ReadyAt,
                question.Tasks.Single(q => q.Id == t.Id).OpensShell,
                t.Hands,
                t.IsForeseen,
                t.Covered
            )),
        ];
        return (
            answer,
            new KeptPlan(
                now,
                plan.Verdict,
                plan.IsProven,
                kept,
                [
                    .. plan.Unplanned.Select(u => new KeptUnplanned(keys[u.Id], u.Why)),
                    .. later.Select(t => new KeptUnplanned(
                        keys[t.Id],
                        $"{PlanQuestion.MostTasks} tasks come before it: plan again when some are done."
                    )),
                ],
                [.. answer.Warnings, .. LeftOpen(tasks, plan)],
                marks,
                overruled,
                MovesOf(question, tasks, old, kept)
            )
        );
    }

    /// <summary>Tasks of the last jobs, of which there are too many to plan at once.</summary>
    private static PlanTask[] Later(IReadOnlyList<PlanTask> tasks)
    {
        int planned = 0;
        return [.. tasks.GroupBy(t => t.Job).SkipWhile(job => (planned += job.Count()) <= PlanQuestion.MostTasks).SelectMany(job => job)];
    }

    /// <summary>What opens the shell and does not close it.</summary>
    private static IEnumerable<string> LeftOpen(VehicleTasks tasks, PlanAnswer plan) =>
        tasks
            .Tasks.Where(t => t.Task.OpensShell && t.Steps.All(s => s.Shell != ShellChange.Closes) && plan.Tasks.Any(p => p.Id == t.Task.Id))
            .Select(t => $"{t.Name} leaves the shell open: have its cover ready, or close it at once.");

    private static Dictionary<string, DateTimeOffset> Begins(VehicleTasks tasks, Dictionary<TaskKey, KeptTask> old) =>
        tasks.Tasks.Where(t => old.ContainsKey(t.Key)).ToDictionary(t => t.Task.Id, t => old[t.Key].From);

    /// <summary>What is asked of the planner: all tasks that are not done, what is fixed, what the trade says and nobody overruled.</summary>
    private static PlanQuestion QuestionOf(VehicleNow at, VehicleTasks tasks, IReadOnlyList<TaskMark> marks, IReadOnlyList<Overruled> overruled)
    {
        Dictionary<TaskKey, TaskMark> of = marks.ToDictionary(m => m.Task);
        Dictionary<string, DateTimeOffset> done = tasks
            .Tasks.Where(t => of.TryGetValue(t.Key, out TaskMark? mark) && mark.Kind == TaskMarkKind.Done)
            .ToDictionary(t => t.Task.Id, t => of[t.Key].At);
        HashSet<string> left = [.. tasks.Tasks.Select(t => t.Task.Id).Where(id => !done.ContainsKey(id))];
        PlanTask[] asked = [.. tasks.Tasks.Where(t => left.Contains(t.Task.Id)).Select(t => Rest(at, t, done))];
        return new PlanQuestion(
            at.Now,
            at.On,
            at.Care,
            asked,
            [
                .. tasks
                    .Rules.Where(r => !IsOverruled(r, overruled))
                    .Select(r => r.Rule with { First = [.. r.Rule.First.Where(left.Contains)], Then = [.. r.Rule.Then.Where(left.Contains)] })
                    .Where(r => r.First.Count > 0 && r.Then.Count > 0),
            ],
            [
                .. tasks
                    .Tasks.Where(t => of.TryGetValue(t.Key, out TaskMark? mark) && mark.Kind != TaskMarkKind.Done)
                    .Select(t => new TaskLock(t.Task.Id, of[t.Key].At, of[t.Key].Kind == TaskMarkKind.Running)),
            ]
        );
    }

    /// <summary>A task without what is done before it: that has to have set.</summary>
    private static PlanTask Rest(VehicleNow at, VehicleTask of, Dictionary<string, DateTimeOffset> done)
    {
        PlanTask task = of.Task;
        DateTimeOffset[] set =
        [
            .. task
                .After.Where(a => done.ContainsKey(a.Id))
                .Select(a => (DoneAt: done[a.Id], Hours: a.LagHours))
                .Concat(of.Sets)
                .Select(s => WaitTime.Expected(at.On.Forecast, s.DoneAt, s.Hours) ?? at.Now.AddDays(PlanQuestion.MostDays + 1)),
        ];
        return task with
        {
            After = [.. task.After.Where(a => !done.ContainsKey(a.Id))],
            NotBefore = set.Append(task.NotBefore ?? DateTimeOffset.MinValue).Max() is var latest && latest > at.Now ? latest : null,
        };
    }

    private static IReadOnlyList<TaskMove> MovesOf(
        PlanQuestion question,
        VehicleTasks tasks,
        Dictionary<TaskKey, KeptTask> old,
        IReadOnlyList<KeptTask> kept
    )
    {
        var grid = PlanGrid.Of(question);
        Dictionary<TaskKey, PlanTask> of = tasks.Tasks.ToDictionary(t => t.Key, t => t.Task);
        return
        [
            .. kept.Where(t => old.TryGetValue(t.Task, out KeptTask? was) && was.From != t.From)
                .Select(t => (t.Task, was: old[t.Task], now: t.From))
                .Select(t => new TaskMove(
                    t.Task,
                    t.was.From,
                    t.was.From < question.Now
                        ? "It was not done then."
                        : TaskRuns.WhyNot(question, grid, of[t.Task], t.was.From, t.was.Covered.Count > 0)
                            ?? (t.now < t.was.From ? "It can be sooner." : "What comes before it moved.")
                )),
        ];
    }

    /// <summary>Who was to do it and does not work then any more, in words; null where nobody is missing.</summary>
    private static string? Gone(VehicleNow at, KeptTask task) =>
        task.Hands.FirstOrDefault(h => !at.On.Crew.Any(p => p.Name == h.Name && p.Works(at.On.Local(h.From).DateTime, at.On.Local(h.From).DateTime)))
            is { } gone
            ? $"{gone.Name} does not work then."
            : null;

    private static bool IsOverruled(JobRule rule, IEnumerable<Overruled> overruled) =>
        overruled.Any(o => o.First == rule.First && o.Then == rule.Then);
}
