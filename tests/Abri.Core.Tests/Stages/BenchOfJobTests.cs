using Abri.Core.Bench;
using Abri.Core.Days;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Stages;
using Abri.Core.Weather;
using Abri.Core.Work;
using static Abri.Core.Tests.Days.OpenShellWork;

namespace Abri.Core.Tests.Stages;

/// <summary>The heater grille of the days' tests, from its first step to its last.</summary>
public class BenchOfJobTests
{
    private static readonly Job Grille = new(JobKind.Opening, "o0");

    private static VehicleSnapshot Van() =>
        Vans.Of(
            [],
            [],
            openings: [DaysOfVehicleTests.At(OpeningState.Planned)],
            fitting: DaysOfVehicleTests.Grille,
            forecast: Fine(500),
            people: [Works("Ada"), Works("Ben")]
        );

    private static Person Works(string name) => new(name, [.. Enum.GetValues<DayOfWeek>().Select(d => new WorkDay(d, 8, 20))]);

    private static BenchJob Bench(VehicleSnapshot van, double hour = 8) => BenchOfJob.Of(van, Grille, Monday.AddHours(hour))!;

    private static StepReport Report(WorkStep step, string? overruled = null, bool good = true, AsCut? cut = null) =>
        new(
            $"token-{step.Key}",
            "Ada",
            null,
            good
                ?
                [
                    .. step
                        .Holds.Where(h => cut is null || h.Reads is null)
                        .Select(h => new HoldReading(h.Name, h.Wanted ?? (h.Unit is null ? null : 1), h.Unit is null ? true : null)),
                ]
                : [],
            cut,
            overruled,
            "",
            step.Do
        );

    /// <summary>The vehicle after a change, as storage keeps it.</summary>
    private static VehicleSnapshot After(VehicleSnapshot van, BenchChange change) =>
        van with
        {
            Openings = [.. van.Openings.Select(o => change.Opening is { } now && now.Id == o.Id ? now : o)],
            Done = [.. van.Done, new Stored<StepDone>($"d{van.Done.Count}", 1, "v", change.Done)],
        };

    private static (VehicleSnapshot Van, double Hour) Next(VehicleSnapshot van, double hour, string? overruled = null)
    {
        BenchJob bench = Bench(van, hour);
        BenchStep next = bench.Steps.Single(s => s.Step.Key == bench.NextKey);
        if (next.State == StepState.Waiting)
            hour = (next.ReadyAt!.Value - Monday).TotalHours + 0.01;
        Result<BenchChange> change = BenchOfJob.Do(van, Grille, bench.NextKey!, Report(next.Step, overruled), Monday.AddHours(hour));
        Assert.True(change.IsOk(out BenchChange? done, out Problem? problem), problem?.Message);
        return (After(van, done), hour + 0.1);
    }

    [Fact] // Every step in order, and the shell by a count of its own: open from the cut until the step that closes it
    public void A_whole_opening_goes_from_its_first_step_to_fitted_and_the_shell_follows()
    {
        VehicleSnapshot van = Van();
        double hour = 8;
        WorkStep[] steps = [.. OpeningProcedure.Of(OpeningSites.Work(van, van.Openings[0])).Value!.Result.Steps];
        bool open = false;
        int count = 0;
        while (Bench(van, hour).NextKey is { } key)
        {
            WorkStep step = steps.Single(s => s.Key == key);
            (van, hour) = Next(van, hour);
            open = step.Shell == ShellChange.Opens || (open && step.Shell != ShellChange.Closes);
            Assert.Equal(open, OpenShell.Of(van).Count > 0);
            count++;
            bool over = count == steps.Length;
            Assert.Equal(over, van.Openings[0].Value.State == OpeningState.Fitted);
            // What is planned is what is left.
            Assert.Equal(over ? 0 : steps.Length - count, VehicleTasks.Of(van).Tasks.Sum(t => t.Steps.Count));
        }
        Assert.Equal(steps.Length, count);
        Assert.Empty(BenchOfVehicle.Of(van, Monday.AddHours(hour)));
    }

    [Fact]
    public void A_hold_point_that_is_not_met_stops_and_is_overruled_only_with_a_reason()
    {
        VehicleSnapshot van = Van();
        BenchStep first = Bench(van).Steps[0];
        Assert.NotEmpty(first.Step.Holds);
        Problem open = BenchOfJob.Do(van, Grille, first.Step.Key, Report(first.Step, good: false), Monday).Problem!;
        Assert.Equal("hold-open", open.Code);
        Assert.Contains(first.Step.Holds[0].Name, open.Message, StringComparison.Ordinal);
        StepDone done = BenchOfJob.Do(van, Grille, first.Step.Key, Report(first.Step, "The maker says so", good: false), Monday).Value!.Done;
        Assert.Equal("The maker says so", done.Report.Overruled);
        // A reason where nothing had to be overruled is none.
        Assert.Null(BenchOfJob.Do(van, Grille, first.Step.Key, Report(first.Step, "No need"), Monday).Value!.Done.Report.Overruled);
    }

    [Fact]
    public void Steps_come_in_their_order_wait_until_what_is_before_them_has_set_and_are_done_once()
    {
        VehicleSnapshot van = Van();
        WorkStep[] steps = [.. Bench(van).Steps.Select(s => s.Step)];
        string Code(VehicleSnapshot on, WorkStep step, double hour, string? overruled = null) =>
            BenchOfJob.Do(on, Grille, step.Key, Report(step, overruled), Monday.AddHours(hour)).Problem?.Code ?? "";
        Assert.Equal("step-too-soon", Code(van, steps[1], 8));
        Assert.Equal("step-too-soon", Code(van, steps[1], 8, "I know better"));
        Assert.Equal("step-gone", Code(van, steps[0] with { Key = "no-such-step" }, 8));
        double hour = 8;
        WorkStep? waits = null;
        while (waits is null)
        {
            BenchStep next = Bench(van, hour).Steps.Single(s => s.Step.Key == Bench(van, hour).NextKey);
            if (next.State == StepState.Waiting)
                waits = next.Step;
            else
                (van, hour) = Next(van, hour);
        }
        BenchStep waiting = Bench(van, hour).Steps.Single(s => s.Step.Key == waits.Key);
        // At 20 C, the air of this forecast, it sets as long as the step says.
        Follows follows = waits.After.MaxBy(a => a.LagHours)!;
        Assert.Equal(van.DoneOf(Grille)[follows.Key].At.AddHours(follows.LagHours), waiting.ReadyAt!.Value, TimeSpan.FromMinutes(1));
        Assert.Equal("hold-open", Code(van, waits, hour));
        Assert.Equal("", Code(van, waits, hour, "It is a quick one"));
        Assert.Equal("step-done", Code(van, steps[0], hour));
    }

    [Fact] // Rain on that day from noon on, in gusts that tear a cover off: the grille's span does not fit before it
    public void The_cut_asks_the_gate_and_goes_against_it_only_with_a_reason()
    {
        VehicleSnapshot van = Van();
        double hour = 8;
        while (Bench(van, hour).Steps.Single(s => s.Step.Key == Bench(van, hour).NextKey).Step.Shell != ShellChange.Opens)
            (van, hour) = Next(van, hour);
        BenchStep go = Bench(van, hour).Steps.Single(s => s.Step.Key == Bench(van, hour).NextKey);
        Assert.StartsWith("Go until", go.Gate, StringComparison.Ordinal);
        Assert.False(go.NeedsReason);
        Forecast wet = Fine(500, (h, w) => h is >= 11 and < 24 ? w with { RainPercent = 95, RainMm = 2, GustMs = 25 } : w);
        VehicleSnapshot rain = van with { Days = van.Days with { Forecast = new Stored<Forecast>("f", 1, "v", wet) } };
        BenchStep shut = Bench(rain, hour).Steps.Single(s => s.Step.Key == go.Step.Key);
        Assert.StartsWith("Not today.", shut.Gate, StringComparison.Ordinal);
        Assert.True(shut.NeedsReason);
        DateTimeOffset now = Monday.AddHours(hour);
        Assert.StartsWith("Not today.", BenchOfJob.Do(rain, Grille, go.Step.Key, Report(go.Step), now).Problem!.Message, StringComparison.Ordinal);
        Assert.True(BenchOfJob.Do(rain, Grille, go.Step.Key, Report(go.Step, "It stands in a hall"), now).Problem is null);
        // Nobody knows the weather: nothing is said of it, and nothing is asked.
        VehicleSnapshot unknown = van with { Days = van.Days with { Forecast = null } };
        Assert.Null(Bench(unknown, hour).Steps.Single(s => s.Step.Key == go.Step.Key).Gate);
    }

    [Fact]
    public void While_another_hole_stands_open_a_cut_needs_a_reason()
    {
        VehicleSnapshot van = Van();
        double hour = 8;
        while (Bench(van, hour).Steps.Single(s => s.Step.Key == Bench(van, hour).NextKey).Step.Shell != ShellChange.Opens)
            (van, hour) = Next(van, hour);
        Opening second = DaysOfVehicleTests.At(OpeningState.Cut) with { Name = "Vent", Centre = new PanelPoint(1600, 700) };
        VehicleSnapshot two = van with { Openings = [.. van.Openings, new Stored<Opening>("o1", 1, "p", second)] };
        BenchStep cut = Bench(two, hour).Steps.Single(s => s.Step.Shell == ShellChange.Opens);
        Assert.StartsWith("Vent stands open: close that first. Go until", cut.Gate, StringComparison.Ordinal);
        Assert.True(cut.NeedsReason);
    }

    [Fact]
    public void What_was_cut_or_done_without_the_bench_goes_on_from_there()
    {
        VehicleSnapshot cut = Van() with { Openings = [Van().Openings[0] with { Value = DaysOfVehicleTests.At(OpeningState.Cut) }] };
        BenchJob bench = Bench(cut);
        int at = bench.Steps.ToList().FindIndex(s => s.Step.Shell == ShellChange.Opens);
        Assert.All(bench.Steps.Take(at + 1), s => Assert.Equal((StepState.Done, null), (s.State, s.Done)));
        Assert.Equal(bench.Steps[at + 1].Step.Key, bench.NextKey);
        Assert.Equal("step-done", BenchOfJob.Do(cut, Grille, bench.Steps[0].Step.Key, Report(bench.Steps[0].Step), Monday).Problem!.Code);
        VehicleSnapshot fitted = Van() with { Openings = [Van().Openings[0] with { Value = DaysOfVehicleTests.At(OpeningState.Fitted) }] };
        Assert.Null(Bench(fitted).NextKey);
    }

    [Fact] // By hand: (210 + 240) / (slow minutes + 240), never less than 1 while the shell stands open
    public void Who_takes_longer_has_to_begin_sooner_and_who_is_quicker_gains_no_time_on_an_open_hole()
    {
        VehicleSnapshot Took(double minutes)
        {
            (VehicleSnapshot van, _) = Next(Van(), 8);
            StepDone done = van.Done[0].Value;
            return van with { Done = [van.Done[0] with { Value = done with { Report = done.Report with { Minutes = minutes } } }] };
        }
        double Open(VehicleSnapshot van) => VehicleTasks.Of(van).Tasks.Single(t => t.Task.OpensShell).Task.Steps.Sum(s => s.Minutes.Slow);
        double Rest(VehicleSnapshot van) => VehicleTasks.Of(van).Tasks.Where(t => !t.Task.OpensShell).Sum(t => t.Task.Steps.Sum(s => s.Minutes.Slow));
        VehicleSnapshot plain = Next(Van(), 8).Van;
        double counted = plain.Done[0].Value.Counted.Slow;
        Assert.Equal(450 / (counted + 240) * Open(plain), Open(Took(210)), 6);
        Assert.Equal(Open(plain), Open(Took(0)), 6);
        Assert.Equal(240 / (counted + 240) * Rest(plain), Rest(Took(0)), 6);
        // The gate counts alike.
        double Gate(VehicleSnapshot van) => OpeningJobs.Of(van).Single().Span!.Steps.Sum(s => s.Minutes.Slow);
        Assert.Equal(450 / (counted + 240) * Gate(plain), Gate(Took(210)), 6);
        Assert.Equal(Gate(plain), Gate(Took(0)), 6);
    }

    [Fact]
    public void Six_readings_of_the_hole_stand_for_its_hold_points_and_go_into_the_record()
    {
        VehicleSnapshot van = Van();
        double hour = 8;
        while (Bench(van, hour).Steps.Single(s => s.Step.Key == Bench(van, hour).NextKey) is { MeasuresHole: false })
            (van, hour) = Next(van, hour);
        WorkStep measure = Bench(van, hour).Steps.Single(s => s.MeasuresHole).Step;
        double width = measure.Holds.First(h => h.Reads == HoleReading.Widths).Wanted!.Value,
            height = measure.Holds.First(h => h.Reads == HoleReading.Heights).Wanted!.Value;
        double diagonal = Math.Sqrt((width * width) + (height * height));
        AsCut tight = new(width, width, height - 9, height, diagonal, diagonal);
        Problem small = BenchOfJob.Do(van, Grille, measure.Key, Report(measure, cut: tight), Monday.AddHours(hour)).Problem!;
        Assert.Contains("Open it up", small.Message, StringComparison.Ordinal);
        AsCut good = tight with { FrontHeightMm = height };
        BenchChange done = BenchOfJob.Do(van, Grille, measure.Key, Report(measure, cut: good), Monday.AddHours(hour)).Value!;
        Assert.Equal(good, done.Opening!.Value.AsCut);
        // At a step that measures none it is refused, not lost.
        WorkStep first = Bench(Van()).Steps[0].Step;
        Assert.Equal("/asCut", BenchOfJob.Do(Van(), Grille, first.Key, Report(first, cut: good), Monday).Problem!.Pointer);
    }

    [Fact] // The next opening's text, and a step that no procedure has any more
    public void What_was_told_otherwise_when_it_was_done_is_said_and_a_step_that_is_gone_is_kept()
    {
        (VehicleSnapshot van, double hour) = Next(Van(), 8);
        StepDone first = van.Done[0].Value;
        VehicleSnapshot other = van with
        {
            Done =
            [
                van.Done[0] with
                {
                    Value = first with { Report = first.Report with { Told = "As it was last week." } },
                },
                new Stored<StepDone>("old", 1, "v", first with { Key = "old-step" }),
            ],
        };
        BenchJob bench = Bench(other, hour);
        Assert.Equal("As it was last week.", bench.Steps[0].Since);
        Assert.Equal("old-step", Assert.Single(bench.Gone).Key);
        Assert.Null(Bench(van, hour).Steps[0].Since);
    }

    [Fact]
    public void A_task_that_is_half_done_keeps_its_key_and_what_follows_waits_for_what_sets()
    {
        VehicleSnapshot van = Van();
        VehicleTask first = VehicleTasks.Of(van).Tasks.First(t => t.Steps.Count > 1);
        double hour = 8;
        while (!van.DoneOf(Grille).ContainsKey(first.Steps[0].Key))
            (van, hour) = Next(van, hour);
        VehicleTask rest = VehicleTasks.Of(van).Tasks.Single(t => t.Key == first.Key);
        Assert.Equal(first.Steps.Skip(1).Select(s => s.Key), rest.Steps.Select(s => s.Key));
        // Before a step that waits nothing is planned sooner than it has set.
        while (Bench(van, hour).Steps.Single(s => s.Step.Key == Bench(van, hour).NextKey).State != StepState.Waiting)
            (van, hour) = Next(van, hour);
        DateTimeOffset ready = Bench(van, hour).Steps.Single(s => s.State == StepState.Waiting).ReadyAt!.Value;
        PlanOfVehicle.Make(van, Monday.AddHours(hour), [], [], default).IsOk(out var made, out Problem? problem);
        Assert.True(problem is null, problem?.Message);
        Assert.True(made.Keep!.Tasks.Count > 0, string.Join(" ", made.Keep.Unplanned.Select(u => u.Why)));
        Assert.True(made.Keep.Tasks.Min(t => t.From) >= ready);
    }

    [Fact]
    public void A_job_that_is_none_has_no_bench()
    {
        Assert.Null(BenchOfJob.Of(Van(), new Job(JobKind.Opening, "nothing"), Monday));
        StepReport report = Report(Bench(Van()).Steps[0].Step);
        Assert.Equal("job-gone", BenchOfJob.Do(Van(), new Job(JobKind.Lining, "x"), "cut", report, Monday).Problem!.Code);
    }
}
