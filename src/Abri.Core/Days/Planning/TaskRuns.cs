using Abri.Core.Weather;

namespace Abri.Core.Days.Planning;

/// <summary>How a task goes from one beginning.</summary>
/// <param name="Steps">Its steps.</param>
/// <param name="ReadyAt">When its last wait is over.</param>
/// <param name="Covered">Times under a cover.</param>
/// <param name="IsForeseen">Whether the forecast is trusted for all of it.</param>
internal sealed record TaskRun(IReadOnlyList<TimedStep> Steps, DateTimeOffset ReadyAt, IReadOnlyList<TimedStep> Covered, bool IsForeseen)
{
    public DateTimeOffset From => Steps[0].From;

    public DateTimeOffset Until => Steps[^1].To;
}

/// <summary>From which slots a task may be begun, how it goes then, and who can do it.</summary>
/// <remarks>
/// What opens the shell goes by <see cref="CutGate"/>: without a stop, or, where that is never possible in the time that the forecast is trusted for,
/// with a cover. Of other work each step needs its own weather, and what is sealed or coated stays dry for some hours after
/// it. Beyond the trusted time only light and people are asked, and it is said. Who does it is decided by <see cref="PlanModel"/>; here only
/// whether somebody could.
/// </remarks>
internal sealed class TaskRuns
{
    private readonly PlanQuestion question;
    private readonly PlanGrid grid;
    private readonly IReadOnlyList<(int First, int Last)> parts;
    private readonly Dictionary<double, int[]> setAfter = [];
    private IReadOnlyList<int>? starts;

    private TaskRuns(PlanQuestion question, PlanGrid grid, PlanTask task)
    {
        (this.question, this.grid, Task) = (question, grid, task);
        Hands = task.Steps.Max(s => s.People);
        List<DayStep> steps = [.. task.Steps];
        parts = [.. Enumerable.Range(1, Hands).Select(n => (steps.FindIndex(s => s.People >= n), steps.FindLastIndex(s => s.People >= n)))];
        Runs = new TaskRun?[grid.Count];
        Can = [.. question.On.Crew.Select(_ => new bool[grid.Count, Hands])];
    }

    public PlanTask Task { get; }

    /// <summary>How many people it takes at most.</summary>
    public int Hands { get; }

    /// <summary>How it goes by the slot of its beginning; null where it may not.</summary>
    public TaskRun?[] Runs { get; }

    /// <summary>By person: from which slot on they could be the first, second and so on of the people whom it takes.</summary>
    public IReadOnlyList<bool[,]> Can { get; }

    /// <summary>Slots from which it may be begun.</summary>
    public IReadOnlyList<int> Starts => starts ??= [.. Enumerable.Range(0, grid.Count).Where(s => Runs[s] is not null)];

    /// <summary>The slot before which its work has ended, by the slot of its beginning.</summary>
    public int[] Ends { get; private set; } = [];

    /// <summary>The slot before which its last wait is over.</summary>
    public int[] Readies { get; private set; } = [];

    /// <summary>By hand: the slots in which the first, second and so on of its people are needed.</summary>
    public IReadOnlyList<(int From, int Until)[]> Needed { get; private set; } = [];

    /// <summary>How long the shell stands open, min; 0 where it does not.</summary>
    public int[] OpenMinutes { get; private set; } = [];

    /// <summary>The slot before which what it leaves has set for so long in air at 20 C; after all slots where it never does.</summary>
    public int[] SetAfter(double lagHours)
    {
        if (lagHours == 0)
            return Ends;
        if (!setAfter.TryGetValue(lagHours, out int[]? slots))
            setAfter[lagHours] = slots = BySlot(run =>
                WaitTime.Expected(question.On.Forecast, run.Until, lagHours) is { } set ? grid.AtOrAfter(set) : 2 * grid.Count
            );
        return slots;
    }

    /// <summary>What stands in the way most often, in words; null where nothing ever does.</summary>
    public string? Obstacle { get; private set; }

    /// <summary>The beginnings of a task.</summary>
    public static TaskRuns Of(PlanQuestion question, PlanGrid grid, PlanTask task)
    {
        var of = new TaskRuns(question, grid, task);
        if (question.Locks.FirstOrDefault(l => l.Id == task.Id && l.IsRunning) is { } running)
            of.Running(running.From);
        else
            of.Fill();
        of.Tabulate();
        return of;
    }

    private void Tabulate()
    {
        Ends = BySlot(run => grid.AtOrAfter(run.Until));
        Readies = BySlot(run => grid.AtOrAfter(run.ReadyAt));
        OpenMinutes = BySlot(run => Task.OpensShell ? (int)Math.Ceiling((run.ReadyAt - run.From).TotalMinutes) : 0);
        Needed =
        [
            .. Enumerable
                .Range(1, Hands)
                .Select(people => BySlot(run => Part(run, people) is var (from, until) ? (grid.Before(from), grid.AtOrAfter(until)) : default)),
        ];
    }

    private T[] BySlot<T>(Func<TaskRun, T> of)
        where T : struct => [.. Runs.Select(run => run is null ? default : of(run))];

    /// <summary>The beginnings, those that follow each other in one.</summary>
    public IReadOnlyList<StartWindow> Windows()
    {
        var windows = new List<StartWindow>();
        foreach (int slot in Starts)
        {
            DateTimeOffset at = question.On.Local(grid.At(slot));
            if (windows is [.., var last] && last.Until.AddMinutes(PlanGrid.Minutes) == at)
                windows[^1] = last with { Until = at };
            else
                windows.Add(new StartWindow(at, at));
        }
        return windows;
    }

    /// <summary>The part of a run for which so many people are needed at least.</summary>
    public (DateTimeOffset From, DateTimeOffset Until) Part(TaskRun run, int people) =>
        (run.Steps[parts[people - 1].First].From, run.Steps[parts[people - 1].Last].To);

    /// <summary>Why a task may not be begun at a moment; null where it may.</summary>
    /// <remarks>A cover is a way only where one was planned already, or somebody asked for the time.</remarks>
    public static string? WhyNot(PlanQuestion question, PlanGrid grid, PlanTask task, DateTimeOffset from, bool withCover) =>
        new TaskRuns(question, grid, task).WhyNot(from, withCover);

    /// <inheritdoc cref="WhyNot(PlanQuestion, PlanGrid, PlanTask, DateTimeOffset, bool)"/>
    public string? WhyNot(DateTimeOffset from, bool withCover)
    {
        if (from < grid.Start)
            return "that is over.";
        if (Task.NotBefore > from)
            return $"not before {question.On.Date(Task.NotBefore.Value)}.";
        List<Hindrance> found = [];
        TaskRun? run = Go(from, found) ?? (withCover ? Covered(from) : null);
        return run is not null
            ? IsStaffed(run)
                ? null
                : NobodyText
            : found.MinBy(h => h.At)!.Text;
    }

    private string NobodyText =>
        Hands > question.On.Crew.Count
            ? $"it takes {Hands} people; there {(question.On.Crew.Count == 1 ? "is" : "are")} {question.On.Crew.Count}."
            : $"nobody works for {Task.Steps.Sum(s => CutGate.Taken(s, question.Care)) / 60:0.#} h in one go then.";

    private void Running(DateTimeOffset from)
    {
        // What should be over by now takes until the end of this slot at least.
        DateTimeOffset next = question.On.Local(grid.At(1));
        if ((Go(from, []) ?? Timed(from)) is not { } run)
            return;
        Runs[0] =
            run.Until >= next
                ? run
                : run with
                {
                    Steps = [.. run.Steps.SkipLast(1), run.Steps[^1] with { To = next }],
                    ReadyAt = Later(run.ReadyAt, next),
                };
        foreach (bool[,] can in Can)
        {
            for (int i = 0; i < Hands; i++)
                can[0, i] = true;
        }
    }

    private void Fill()
    {
        var met = new Dictionary<HindranceKind, (int Count, string Text)>();
        void Note(HindranceKind kind, string text) => met[kind] = (met.GetValueOrDefault(kind).Count + 1, met.GetValueOrDefault(kind).Text ?? text);
        bool straight = false;
        for (int s = 0; s < grid.Count; s++)
        {
            DateTimeOffset at = grid.At(s);
            if (at < Task.NotBefore)
                continue;
            // Who is there is told sooner than what the weather does.
            if (grid.There[s] == 0 || (Timed(at) is { } timed && !IsStaffed(timed)))
            {
                Note(HindranceKind.People, NobodyText);
                continue;
            }
            List<Hindrance> found = [];
            if (Go(at, found) is { } run)
                straight |= Keep(s, run) && run.IsForeseen;
            else if (found.Count > 0)
                Note(found[0].Kind, found[0].Text);
        }
        if (Task.OpensShell)
            FillCovered(straight);
        Obstacle = met.Count == 0 ? null : met.Values.MaxBy(m => m.Count).Text;
    }

    /// <summary>Beginnings with a cover: all of them where there is no other way, else only the one that somebody fixed.</summary>
    private void FillCovered(bool straight)
    {
        DateTimeOffset? fixedAt = question.Locks.FirstOrDefault(l => l.Id == Task.Id)?.From;
        for (int s = 0; s < grid.Count && grid.At(s) < question.On.Forecast.TrustedUntil; s++)
        {
            DateTimeOffset at = grid.At(s);
            if (Runs[s] is null && at >= (Task.NotBefore ?? grid.Start) && (!straight || at == fixedAt) && Covered(at) is { } run)
                Keep(s, run);
        }
    }

    private TaskRun? Covered(DateTimeOffset at) =>
        Task.OpensShell && CutGate.Covered(new OpenSpan(Task.Steps, true), question.On, question.Care, at) is { } run
            ? new TaskRun(run.Steps, run.SafeAt, run.Covered, true)
            : null;

    private bool Keep(int slot, TaskRun run)
    {
        for (int i = 0; i < Hands; i++)
        {
            for (int p = 0; p < Can.Count; p++)
                Can[p][slot, i] = Works(question.On.Crew[p], run, i + 1);
        }
        if (!IsStaffed(run))
            return false;
        Runs[slot] = run;
        return true;
    }

    private bool IsStaffed(TaskRun run) => Enumerable.Range(1, Hands).All(people => question.On.Crew.Count(p => Works(p, run, people)) >= people);

    private bool Works(Person person, TaskRun run, int people) =>
        Task
            .Steps.Zip(run.Steps)
            .Where(s => s.First.People >= people)
            .All(s => person.Works(question.On.Local(s.Second.From).DateTime, question.On.Local(s.Second.To).DateTime));

    /// <summary>How it goes from a moment; what stands in the way of it is found then.</summary>
    private TaskRun? Go(DateTimeOffset at, List<Hindrance> found)
    {
        Forecast forecast = question.On.Forecast;
        if (Task.OpensShell && Timed(at) is { } whole && whole.ReadyAt <= forecast.TrustedUntil && at >= forecast.From)
        {
            // Who is there is asked of each person by itself.
            return CutGate.Straight(new OpenSpan(Task.Steps, true), question.On, question.Care, at, found) is { } run
                ? new TaskRun(run.Steps, run.SafeAt, [], true)
                : null;
        }
        if (Timed(at) is not { } timed)
        {
            found.Add(new Hindrance(HindranceKind.Cold, at, $"{Task.Title} does not set in this frost."));
            return null;
        }
        bool foreseen = true;
        TimedStep before = timed.Steps[0];
        foreach ((DayStep step, TimedStep time) in Task.Steps.Zip(timed.Steps))
        {
            if (Task.OpensShell && before.To.Date != time.From.Date)
                found.Add(CutGate.OverNight(step, before));
            before = time;
            if (!step.Inside && question.On.Dark(time.From, time.To) is { } dark)
                found.Add(new Hindrance(HindranceKind.Dark, dark, $"dark from {question.On.Clock(dark)}."));
            foreseen &= Suits(step, time, timed.ReadyAt, found);
        }
        return found.Count > 0 ? null : timed with { IsForeseen = foreseen };
    }

    /// <summary>Looks at the weather of a step, as far as the forecast is trusted.</summary>
    /// <returns>Whether it is trusted for all of it, or the step needs no weather.</returns>
    private bool Suits(DayStep step, TimedStep time, DateTimeOffset readyAt, List<Hindrance> found)
    {
        bool dry = Task.OpensShell || step.Weather.Dry;
        if (!dry && step.Weather is { WindBelowMs: null, FromC: null, ToC: null })
            return true;
        Forecast forecast = question.On.Forecast;
        DateTimeOffset settled = time.To.AddHours(step.DryHours),
            until = Task.OpensShell && readyAt > settled ? readyAt : settled;
        (DateTimeOffset from, DateTimeOffset known) = (Later(time.From, forecast.From), Earlier(dry ? until : time.To, forecast.TrustedUntil));
        if (from < known)
        {
            if (dry)
                found.AddRange(question.On.Rain(from, known, question.Care));
            if (dry && found.Count == 0 && 100 * RainChance.Of(forecast, [(from, known)]) > question.Care.MostRainPercent + 1e-9)
                found.Add(new Hindrance(HindranceKind.Rain, from, $"{step.Title}: it may rain before it has set."));
            found.AddRange(question.On.Air(step, from, Earlier(time.To, known)));
        }
        return time.From >= forecast.From && until <= forecast.TrustedUntil;
    }

    /// <summary>The steps one after the other; null where a wait never ends.</summary>
    private TaskRun? Timed(DateTimeOffset at)
    {
        var steps = new List<TimedStep>();
        foreach (DayStep step in Task.Steps)
        {
            DateTimeOffset done = at.AddMinutes(CutGate.Taken(step, question.Care));
            steps.Add(new TimedStep(step.Title, question.On.Local(at), question.On.Local(done)));
            if (WaitTime.Expected(question.On.Forecast, done, step.WaitHours) is not { } waited)
                return null;
            at = waited;
        }
        return new TaskRun(steps, question.On.Local(at), [], false);
    }

    private static DateTimeOffset Later(DateTimeOffset a, DateTimeOffset b) => a > b ? a : b;

    private static DateTimeOffset Earlier(DateTimeOffset a, DateTimeOffset b) => a < b ? a : b;
}
