using Abri.Core.Bench;
using Abri.Core.Days;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>How a step stands.</summary>
public enum StepState
{
    /// <summary>It is done.</summary>
    Done,

    /// <summary>It can be done now.</summary>
    Ready,

    /// <summary>Something has to set or dry first.</summary>
    Waiting,

    /// <summary>Other steps come first.</summary>
    Blocked,
}

/// <summary>A step on the bench.</summary>
/// <param name="Step">The step.</param>
/// <param name="State">How it stands.</param>
/// <param name="Done">What was said when it was done; null where it is not, or where it was done without the bench.</param>
/// <param name="Since">What it told when it was done, where it tells something else now; null where it does not.</param>
/// <param name="ReadyAt">When what it waits for has set; null where it waits for nothing, or where nobody can tell.</param>
/// <param name="Why">Why it cannot be done now; null where it can, or is done.</param>
/// <param name="MeasuresHole">Whether six readings of the hole are taken at it.</param>
/// <param name="Gate">What to know before opening the shell now: other holes, the cut gate; null where there is nothing to know.</param>
/// <param name="NeedsReason">Whether it is done now only with a reason, whatever is read: something sets, or the gate is shut.</param>
/// <param name="Lessons">What was learned at this step of other jobs of its kind, the newest first.</param>
public sealed record BenchStep(
    WorkStep Step,
    StepState State,
    StepDone? Done,
    string? Since,
    DateTimeOffset? ReadyAt,
    string? Why,
    bool MeasuresHole,
    string? Gate,
    bool NeedsReason,
    IReadOnlyList<Lesson> Lessons
)
{
    /// <summary>What it uses up and is not on the shelf, by name; empty where all is there, or nobody keeps the shelf.</summary>
    public IReadOnlyList<string> NotThere { get; init; } = [];
}

/// <summary>A job on the bench, step by step.</summary>
/// <param name="Job">The job.</param>
/// <param name="Name">Its name.</param>
/// <param name="PanelId">Its panel.</param>
/// <param name="Steps">Its steps, in order.</param>
/// <param name="NextKey">The step to go on with: the first that is ready, else the first that will be; null where all are done.</param>
/// <param name="Missing">Why it cannot be done as it stands; null where it can.</param>
/// <param name="Gone">Steps that were done and that the procedure does not have any more.</param>
/// <param name="Now">The moment, as a clock at the vehicle shows it.</param>
public sealed record BenchJob(
    Job Job,
    string Name,
    string PanelId,
    IReadOnlyList<BenchStep> Steps,
    string? NextKey,
    string? Missing,
    IReadOnlyList<StepDone> Gone,
    DateTimeOffset Now
);

/// <summary>A step that was done, and the rows that it changes, as they become; null where one stays.</summary>
/// <param name="Done">The step.</param>
/// <param name="Opening">The opening.</param>
/// <param name="Repair">The repair.</param>
/// <param name="Replacement">The replacement.</param>
/// <param name="Lining">The lining.</param>
/// <param name="Lessons">What was learned; null for nothing.</param>
/// <param name="Taken">What is taken from stock; null for nothing.</param>
public sealed record BenchChange(
    StepDone Done,
    Stored<Opening>? Opening = null,
    Stored<Repair>? Repair = null,
    Stored<Floor.Replacement>? Replacement = null,
    Stored<Lining>? Lining = null,
    IReadOnlyList<Lesson>? Lessons = null,
    StockTaken? Taken = null
);

/// <summary>Something that went wrong at a step, as it is kept.</summary>
/// <param name="PanelId">Its panel.</param>
/// <param name="Finding">The finding.</param>
/// <param name="Lesson">What was learned; null for nothing.</param>
public sealed record ProblemChange(string PanelId, Finding Finding, Lesson? Lesson);

/// <summary>One job on the bench: which step is next, what a done one changes.</summary>
/// <remarks>
/// A step comes after those that its procedure names, and after what they leave has set, by the air of the forecast. A hold point that is not met,
/// something that has not set, or a shut cut gate, is overruled only with a reason; steps that come before are never skipped. The first step, or
/// the one that opens the shell where one does, begins a repair; the last one of all ends a job. A cut hole counts as closed from the step that
/// closes it.
/// </remarks>
public static class BenchOfJob
{
    /// <summary>A job; null where there is none, or where it has no procedure by its kind.</summary>
    public static BenchJob? Of(VehicleSnapshot of, Job job, DateTimeOffset now) => JobToDo.Of(of, job) is { } todo ? Of(of, job, todo, now) : null;

    internal static BenchJob Of(VehicleSnapshot of, Job job, JobToDo todo, DateTimeOffset now)
    {
        VehicleNow at = VehicleNow.At(of, now);
        // As a clock at the vehicle shows it.
        var done = of.DoneOf(job).ToDictionary(d => d.Key, d => d.Value with { At = at.On.Local(d.Value.At) });
        IReadOnlyList<WorkStep> steps = todo.Procedure?.Steps ?? [];
        Dictionary<string, string> titles = steps.ToDictionary(s => s.Key, s => s.Title);
        HashSet<string> over = [.. done.Keys, .. Before(todo)];
        var today = DateOnly.FromDateTime(at.Now.DateTime);
        ILookup<string, Lesson> learned = of
            .Lessons.Values()
            .Where(l => l.Kind == todo.Kind && l.Job != job)
            .OrderByDescending(l => l.On)
            .ToLookup(l => l.Key);
        BenchStep[] lines =
        [
            .. steps.Select(s =>
                Line(at, todo.Procedure!, s, done, over, titles) with
                {
                    Lessons = [.. learned[s.Key].Take(Lesson.MostTold)],
                    NotThere = over.Contains(s.Key) ? [] : StoresOfVehicle.NotThere(of, s.Consumables, today) ?? [],
                }
            ),
        ];
        return new BenchJob(
            job,
            todo.Name,
            todo.PanelId,
            lines,
            (
                lines.FirstOrDefault(l => l.State == StepState.Ready)
                ?? lines.Where(l => l.State == StepState.Waiting).MinBy(l => l.ReadyAt ?? DateTimeOffset.MaxValue)
            )
                ?.Step
                .Key,
            todo.Procedure is null ? todo.Missing : null,
            [.. done.Values.Where(d => !titles.ContainsKey(d.Key))],
            at.Now
        );
    }

    /// <summary>Keys of the steps that are over by the state of the job: all where it is done, up to the cut where it is cut.</summary>
    private static IEnumerable<string> Before(JobToDo todo)
    {
        WorkStep[] steps = [.. todo.Procedure?.Steps ?? []];
        return steps
            .Take(
                todo.IsOver ? steps.Length
                : todo.IsCut ? Array.FindIndex(steps, s => s.Shell == ShellChange.Opens) + 1
                : 0
            )
            .Select(s => s.Key);
    }

    /// <summary>What follows where somebody reports a step as done.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="job">The job.</param>
    /// <param name="key">Key of the step.</param>
    /// <param name="report">What is said of it.</param>
    /// <param name="now">The moment.</param>
    /// <returns>What to keep; a problem where it cannot be so.</returns>
    public static Result<BenchChange> Do(VehicleSnapshot of, Job job, string key, StepReport report, DateTimeOffset now)
    {
        if (JobToDo.Of(of, job) is not { } todo)
            return new Problem("job-gone", "", "This job has been removed.");
        now = WhenDone(of, job, report, now);
        BenchJob bench = Of(of, job, todo, now);
        if (bench.Missing is { } missing)
            return new Problem("job-blocked", "", missing);
        if (bench.Steps.FirstOrDefault(s => s.Step.Key == key) is not { } line)
            return new Problem("step-gone", "", "The procedure has changed and no longer has this step. Look at the steps again.");
        if (report.AsCut is not null && !line.MeasuresHole)
            return new Problem("no-hole", "/asCut", "No hole is measured at this step.");
        StepReport told = report with { Readings = HoldCheck.With(report.Readings, report.AsCut, line.Step.Holds) };
        if (line.State == StepState.Done)
            return new Problem("step-done", "", $"{line.Step.Title} was done already{(line.Done is { } was ? $", by {was.Report.By}" : "")}.");
        if (line.State == StepState.Blocked)
            return new Problem("step-too-soon", "", line.Why!);
        string[] against =
        [
            .. line.NeedsReason ? new[] { line.Why ?? line.Gate! } : [],
            .. HoldCheck.Of(line.Step.Holds, told.Readings, of.Lengths).Where(v => !v.IsMet).Select(v => $"{v.Text} {v.WhatNow}".TrimEnd()),
        ];
        if (against.Length > 0 && report.Overruled is null)
            return new Problem("hold-open", "/readings", string.Join(" ", against));
        Minutes counted = line.Step.Minutes * Learning.Nth(1, todo.DoneBefore + 1, Learning.UsualRate);
        var done = new StepDone(
            job,
            key,
            line.Step.Title,
            line.Step.Shell,
            now,
            counted,
            told with
            {
                Readings = [.. told.Readings.Select(r => r with { Unit = line.Step.Holds.FirstOrDefault(h => h.Name == r.Name)?.Unit })],
                Overruled = against.Length > 0 ? report.Overruled : null,
            },
            of.Days.Forecast?.Value.At(now)
        );
        Lesson Learned(string what, string prevention) =>
            new(todo.Kind, key, job, $"{todo.Name}, {of.Vehicle.Value.Name}", DateOnly.FromDateTime(bench.Now.DateTime), what, prevention);
        Lesson[] lessons =
        [
            .. against.Length > 0 ? [Learned($"Went on although: {string.Join(" ", against)}", "")] : Array.Empty<Lesson>(),
            .. report.NextTime is { } next ? [Learned(next, "")] : Array.Empty<Lesson>(),
        ];
        return Change(of, bench, line, done) with { Lessons = lessons, Taken = StoresOfVehicle.TakeOff(of, line.Step.Consumables, now) };
    }

    /// <summary>When a step was done: as long ago as its report says, but not before the step before it, however a phone's clock jumps.</summary>
    private static DateTimeOffset WhenDone(VehicleSnapshot of, Job job, StepReport report, DateTimeOffset now)
    {
        DateTimeOffset said = now.AddMinutes(-(report.AgoMinutes ?? 0));
        DateTimeOffset last = of.Done.Where(d => d.Value.Job == job).Select(d => d.Value.At).DefaultIfEmpty(DateTimeOffset.MinValue).Max();
        // What was kept a moment ago came before this one.
        return said >= last ? said
            : last < now ? last
            : now;
    }

    /// <summary>What follows where something went wrong at a step: a finding at the place of the job, and a lesson where one was drawn.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="job">The job.</param>
    /// <param name="key">Key of the step.</param>
    /// <param name="said">What is said of it.</param>
    /// <param name="now">The moment.</param>
    public static Result<ProblemChange> Problem(VehicleSnapshot of, Job job, string key, StepProblem said, DateTimeOffset now)
    {
        if (JobToDo.Of(of, job) is not { } todo || PlaceOf(of, job) is not { } place)
            return new Problem("job-gone", "", "This job has been removed.");
        var finding = new Finding(
            said.Name,
            said.Kind,
            FindingShape.Point,
            [place],
            said.Seen,
            said.Severity,
            new FindingMeasures(null, null, null, null),
            FindingState.Open,
            said.By,
            now,
            said.Notes
        );
        return new ProblemChange(
            todo.PanelId,
            finding,
            said.Prevention.Length == 0
                ? null
                : new Lesson(
                    todo.Kind,
                    key,
                    job,
                    $"{todo.Name}, {of.Vehicle.Value.Name}",
                    DateOnly.FromDateTime(VehicleNow.At(of, now).Now.DateTime),
                    said.Name,
                    said.Prevention
                )
        );
    }

    /// <summary>Where a job lies on its panel: a point of what it is about.</summary>
    private static PanelPoint? PlaceOf(VehicleSnapshot of, Job job) =>
        job.Kind switch
        {
            JobKind.Opening => of.Openings.FirstOrDefault(o => o.Id == job.Id)?.Value.Centre,
            JobKind.Repair => of.Repairs.FirstOrDefault(r => r.Id == job.Id)?.Value.Points[0],
            JobKind.Replacement => of.Floor.Replacements.FirstOrDefault(r => r.Id == job.Id)?.Value.Area[0],
            JobKind.Lining => of.Floor.Linings.FirstOrDefault(l => l.Id == job.Id)?.Value.Outline[0],
            _ => null,
        };

    private static BenchStep Line(
        VehicleNow at,
        Procedure procedure,
        WorkStep step,
        Dictionary<string, StepDone> done,
        HashSet<string> over,
        Dictionary<string, string> titles
    )
    {
        bool hole = step.Holds.Any(h => h.Reads is not null);
        if (done.GetValueOrDefault(step.Key) is { } was)
            return new BenchStep(step, StepState.Done, was, was.Report.Told == step.Do ? null : was.Report.Told, null, null, hole, null, false, []);
        if (over.Contains(step.Key))
            return new BenchStep(step, StepState.Done, null, null, null, null, hole, null, false, []);
        if (step.After.FirstOrDefault(a => titles.ContainsKey(a.Key) && !over.Contains(a.Key)) is { } first)
            return new BenchStep(step, StepState.Blocked, null, null, null, $"Do first: {titles[first.Key]}.", hole, null, false, []);
        (string Key, DateTimeOffset? At)[] sets =
        [
            .. step
                .After.Where(a => a.LagHours > 0 && done.ContainsKey(a.Key))
                .Select(a => (a.Key, WaitTime.Expected(at.On.Forecast, done[a.Key].At, a.LagHours)))
                .Where(s => !(s.Item2 <= at.Now)),
        ];
        (string? gate, bool shut) = step.Shell == ShellChange.Opens ? Gate(at, procedure) : (null, false);
        if (sets.Length == 0)
            return new BenchStep(step, StepState.Ready, null, null, null, null, hole, gate, shut, []);
        (string last, DateTimeOffset? ready) = sets.MaxBy(s => s.At ?? DateTimeOffset.MaxValue);
        string air = at.Forecast is null ? "at 20 C" : "at the temperatures of the forecast";
        string title = titles.GetValueOrDefault(last, done[last].Title);
        return new BenchStep(
            step,
            StepState.Waiting,
            null,
            null,
            ready is { } local ? at.On.Local(local) : null,
            ready is { } when ? $"Wait until {at.On.Date(when)} after {title}, {air}." : $"What {title} left does not set in this frost.",
            hole,
            gate,
            true,
            []
        );
    }

    /// <summary>What to know before the shell is opened now, and whether that speaks against it.</summary>
    private static (string? Text, bool IsShut) Gate(VehicleNow at, Procedure procedure)
    {
        string[] holes = [.. JobGate.OtherHoles(at).Select(h => h.Why)];
        GateAnswer? gate =
            at.Forecast is not null && VehiclePace.SpanOf(at.Of, procedure) is { } span ? CutGate.Of(span, at.On, at.Care, at.Now).Result : null;
        string[] said = [.. holes, .. gate is null ? [] : new[] { gate.Verdict }];
        return (said.Length == 0 ? null : string.Join(" ", said), holes.Length > 0 || gate?.State is GateState.Later or GateState.NotToday);
    }

    private static BenchChange Change(VehicleSnapshot of, BenchJob bench, BenchStep line, StepDone done)
    {
        bool ends = bench.Steps.All(s => s.State == StepState.Done || s.Step.Key == line.Step.Key),
            opens = line.Step.Shell == ShellChange.Opens,
            begins = opens || bench.Steps.All(s => s.Step.Shell != ShellChange.Opens);
        var today = DateOnly.FromDateTime(bench.Now.DateTime);
        switch (bench.Job.Kind)
        {
            case JobKind.Opening:
                Stored<Opening> opening = of.Openings.Single(o => o.Id == bench.Job.Id);
                OpeningState state =
                    ends ? OpeningState.Fitted
                    : opens ? OpeningState.Cut
                    : opening.Value.State;
                return new BenchChange(
                    done,
                    Opening: Other(opening, opening.Value with { State = state, AsCut = done.Report.AsCut ?? opening.Value.AsCut })
                );
            case JobKind.Repair:
                Stored<Repair> repair = of.Repairs.Single(r => r.Id == bench.Job.Id);
                RepairState mended =
                    ends ? RepairState.Done
                    : begins ? RepairState.Doing
                    : repair.Value.State;
                return new BenchChange(
                    done,
                    Repair: Other(repair, repair.Value with { State = mended, DoneOn = ends ? today : repair.Value.DoneOn })
                );
            case JobKind.Replacement:
                Stored<Floor.Replacement> wood = of.Floor.Replacements.Single(r => r.Id == bench.Job.Id);
                Floor.ReplacementState replaced = ends ? Floor.ReplacementState.Done : Floor.ReplacementState.Doing;
                return new BenchChange(
                    done,
                    Replacement: Other(wood, wood.Value with { State = replaced, DoneOn = ends ? today : wood.Value.DoneOn })
                );
            default:
                Stored<Lining> lining = of.Floor.Linings.Single(l => l.Id == bench.Job.Id);
                return new BenchChange(done, Lining: ends ? Other(lining, lining.Value with { State = LiningState.Fixed }) : null);
        }
    }

    private static Stored<T>? Other<T>(Stored<T> row, T value)
        where T : notnull => row.Value.Equals(value) ? null : row with { Value = value };
}
