using Abri.Core.Days;
using Abri.Core.Days.Planning;
using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Core.Tests.Procedures;
using Abri.Core.Weather;
using Abri.Core.Work;
using static Abri.Core.Tests.Days.OpenShellWork;

namespace Abri.Core.Tests.Stages;

public class PlanOfVehicleTests
{
    private static readonly Person Ada = Works("Ada"),
        Ben = Works("Ben");

    private static readonly OwnTask Key = new("Have the key copied", 60, 1, WorkPlace.Outside, false, null, null, null, false);

    private static Person Works(string name) => new(name, [.. Enum.GetValues<DayOfWeek>().Select(d => new WorkDay(d, 8, 20))]);

    private static VehicleSnapshot Van(Forecast? forecast = null, KeptPlan? plan = null, OwnTask? own = null, params Opening[] openings) =>
        Vans.Of(
            [],
            [],
            openings: openings,
            fitting: DaysOfVehicleTests.Grille,
            forecast: forecast ?? Fine(),
            people: [Ada, Ben],
            own: own is null ? [] : [own],
            plan: plan
        );

    private static Opening Grille(OpeningState state = OpeningState.Planned, double s = 1000) =>
        DaysOfVehicleTests.At(state) with
        {
            Centre = new PanelPoint(s, 700),
        };

    private static KeptPlan Made(
        VehicleSnapshot van,
        double hour = 8,
        IReadOnlyList<TaskMark>? marks = null,
        IReadOnlyList<Overruled>? overruled = null
    )
    {
        var made = PlanOfVehicle.Make(van, Monday.AddHours(hour), marks ?? [], overruled ?? [], default);
        Assert.True(made.IsOk(out var plan, out Problem? problem), problem?.Message);
        Assert.True(plan.Keep is not null, plan.Answer.Result.Verdict);
        return plan.Keep!;
    }

    private static VehicleSnapshot With(VehicleSnapshot van, KeptPlan plan) =>
        van with
        {
            Days = van.Days with { Plan = new Stored<KeptPlan>("plan", 1, "v", plan) },
        };

    [Fact]
    public void A_procedure_is_cut_into_what_is_done_in_one_go_and_nothing_comes_into_the_open_span()
    {
        VehicleSnapshot van = Van(openings: Grille());
        PlanLine[] lines = [.. PlanOfVehicle.Of(van, Monday.AddHours(8)).Lines];
        PlanLine cut = Assert.Single(lines, l => l.OpensShell);
        OpenSpan span = OpenSpan.Of(OpeningProcedure.Of(OpeningSites.Work(van, van.Openings[0])).Value!.Result)!;
        Assert.Equal(span.Steps.Select(s => s.Title), cut.Steps);
        // Every step of the procedure stands in one task.
        string[] all = [.. OpeningProcedure.Of(OpeningSites.Work(van, van.Openings[0])).Value!.Result.Steps.Select(s => s.Title)];
        Assert.Equal(all, VehicleTasks.Of(van).Tasks.SelectMany(t => t.Steps).Select(s => s.Title));
        Assert.All(lines, l => Assert.StartsWith("Heater grille: ", l.Title));
        Assert.Equal("Nothing is planned yet.", PlanOfVehicle.Of(van, Monday.AddHours(8)).Verdict);
    }

    [Fact] // What is cut goes on with the step after the cut
    public void Of_a_hole_that_stands_open_only_the_rest_is_left()
    {
        VehicleSnapshot van = Van(openings: Grille(OpeningState.Cut));
        IReadOnlyList<VehicleTask> tasks = VehicleTasks.Of(van).Tasks;
        Assert.True(tasks[0].Task.OpensShell);
        Assert.DoesNotContain(tasks.SelectMany(t => t.Steps), s => s.Shell == ShellChange.Opens);
        Assert.True(tasks[0].Task.KeepsWaterOut);
    }

    [Fact] // Wright: the second of a kind takes 0.85 of the first
    public void The_next_one_of_a_kind_goes_quicker()
    {
        VehicleSnapshot van = Van(openings: [Grille(), Grille(s: 500)]);
        double[] cuts = [.. PlanOfVehicle.Of(van, Monday.AddHours(8)).Lines.Where(l => l.OpensShell).Select(l => l.Minutes)];
        Assert.Equal(cuts[0] * 0.85, cuts[1], 0.6);
    }

    [Fact]
    public void What_was_planned_stays_until_something_is_in_its_way_and_then_it_is_said_why_it_moved()
    {
        VehicleSnapshot van = Van(openings: Grille());
        KeptPlan plan = Made(van);
        PlanOfVehicle kept = PlanOfVehicle.Of(With(van, plan), Monday.AddHours(8));
        Assert.False(kept.NeedsPlanning);
        Assert.All(kept.Lines, l => Assert.Null(l.Trouble));
        KeptTask cut = plan.Tasks.Single(t => t.OpensShell);
        // A new forecast brings rain into the open hole.
        Forecast worse = Fine(but: Rain(90, (int)(cut.From - Monday).TotalHours + 1));
        VehicleSnapshot wet = With(Van(worse, openings: Grille()), plan);
        PlanOfVehicle now = PlanOfVehicle.Of(wet, Monday.AddHours(8));
        Assert.True(now.NeedsPlanning);
        Assert.Contains("Rain from", now.Lines.Single(l => l.OpensShell).Trouble, StringComparison.Ordinal);
        KeptPlan again = Made(wet);
        TaskMove move = again.Moves.Single(m => m.Task == cut.Task);
        Assert.Equal(cut.From, move.Before);
        Assert.Contains("Rain from", move.Why, StringComparison.Ordinal);
    }

    [Fact]
    public void What_is_done_is_not_planned_again_and_what_follows_waits_until_it_has_set()
    {
        VehicleSnapshot van = Van(openings: Grille());
        KeptPlan plan = Made(van);
        TaskKey first = plan.Tasks[0].Task;
        KeptPlan after = Made(With(van, plan), 9, [new TaskMark(first, TaskMarkKind.Done, Monday.AddHours(9))]);
        PlanLine line = PlanOfVehicle.Of(With(van, after), Monday.AddHours(9)).Lines.Single(l => l.Key == first);
        Assert.Equal(TaskMarkKind.Done, line.Mark!.Kind);
        Assert.Equal(plan.Tasks[0].From, line.Kept!.From);
        KeptTask cut = after.Tasks.Single(t => t.OpensShell);
        VehicleTask task = VehicleTasks.Of(van).Tasks.Single(t => t.Key == cut.Task);
        KeptPlan shut = Made(
            With(van, after),
            9,
            [.. after.Tasks.Where(t => t.From <= cut.From).Select(t => new TaskMark(t.Task, TaskMarkKind.Done, Monday.AddHours(9)))]
        );
        VehicleTask next = VehicleTasks.Of(van).Tasks.First(t => t.Task.After.Any(a => a.Id == task.Task.Id));
        double lag = next.Task.After.Single(a => a.Id == task.Task.Id).LagHours;
        Assert.True(shut.Tasks.Single(t => t.Task == next.Key).From >= Monday.AddHours(9 + lag));
    }

    [Fact]
    public void Somebody_s_own_tasks_are_planned_too_and_done_ones_are_not()
    {
        VehicleSnapshot van = Van(own: Key with { NotBefore = Monday.AddHours(30) });
        Assert.Equal(Monday.AddHours(32), Made(van).Tasks.Single().From);
        Problem? problem = null;
        Assert.False(PlanOfVehicle.Make(Van(own: Key with { IsDone = true }), Monday, [], [], default).IsOk(out _, out problem));
        Assert.Equal("nothing-to-plan", problem!.Code);
        Assert.False(PlanOfVehicle.Make(van, Monday, [Mark(), Mark()], [], default).IsOk(out _, out problem));
        Assert.Equal("mark-twice", problem!.Code);

        static TaskMark Mark() => new(new TaskKey(new Job(JobKind.Own, "own0"), "own"), TaskMarkKind.Fixed, Monday.AddHours(40));
    }

    [Fact]
    public void The_trade_puts_a_sound_shell_before_new_holes_until_somebody_overrules_it()
    {
        Repair plug = RepairProcedureTests.Some(RepairKind.Plug, FindingShape.Point);
        VehicleSnapshot van = Vans.Of([plug], [], openings: [Grille()], fitting: DaysOfVehicleTests.Grille, forecast: Fine(), people: [Ada, Ben]);
        RuleLine rule = Assert.Single(PlanOfVehicle.Of(van, Monday.AddHours(8)).Rules);
        Assert.Equal((JobKind.Repair, JobKind.Opening), (rule.First.Kind, rule.Then.Kind));
        KeptPlan plan = Made(van);
        Assert.True(
            plan.Tasks.Where(t => t.Task.Job == rule.First).Max(t => t.Until) <= plan.Tasks.Where(t => t.Task.Job == rule.Then).Min(t => t.From)
        );
        var overruled = new Overruled(rule.First, rule.Then, "The vent comes out anyway");
        KeptPlan other = Made(van, overruled: [overruled]);
        PlanOfVehicle now = PlanOfVehicle.Of(With(van, other), Monday.AddHours(8));
        Assert.Empty(now.Rules);
        Assert.Equal(rule.Rule, now.Overruled.Single().Rule);
        Assert.True(other.Tasks.Max(t => t.Until) <= plan.Tasks.Max(t => t.Until));
    }

    [Fact]
    public void What_must_not_be_done_as_it_is_drawn_is_not_planned_and_said_with_why_it_comes_first()
    {
        // On a pillar nothing is cut: the place blocks it.
        VehicleSnapshot van = Van(openings: Grille(s: 20));
        PlanOfVehicle plan = PlanOfVehicle.Of(van, Monday.AddHours(8));
        Assert.Empty(plan.Lines);
        JobWithoutTasks without = Assert.Single(plan.Without);
        Assert.EndsWith("It comes first: new holes go into a sound shell.", without.Why, StringComparison.Ordinal);
    }

    [Fact]
    public void Who_is_gone_and_what_is_over_is_told_and_what_should_have_begun_just_now_is_not()
    {
        VehicleSnapshot van = Van(openings: Grille());
        KeptPlan plan = Made(van);
        KeptTask first = plan.Tasks.OrderBy(t => t.From).First();
        PlanLine Line(VehicleSnapshot of, DateTimeOffset now) => PlanOfVehicle.Of(With(of, plan), now).Lines.Single(l => l.Key == first.Task);
        Assert.Null(Line(van, first.From.AddMinutes(5)).Trouble);
        Assert.Equal("Its time is over: was it done?", Line(van, first.Until).Trouble);
        VehicleSnapshot alone = van with { Days = van.Days with { People = [new Stored<Person>("p", 1, "v", Ada with { Name = "Cleo" })] } };
        Assert.Equal($"{first.Hands[0].Name} does not work then.", Line(alone, Monday.AddHours(7)).Trouble);
    }

    [Fact]
    public void In_frost_that_never_ends_what_is_done_never_sets_and_that_is_no_error()
    {
        VehicleSnapshot van = Van(openings: Grille());
        KeptPlan plan = Made(van);
        TaskMark[] marks = [.. plan.Tasks.Where(t => t.OpensShell).Select(t => new TaskMark(t.Task, TaskMarkKind.Done, Monday.AddHours(9)))];
        VehicleSnapshot frost = With(Van(Fine(but: (_, w) => w with { AirC = -5 }), openings: Grille()), plan with { Marks = marks });
        KeptPlan cold = Made(frost, 9, marks);
        Assert.Contains(cold.Unplanned, u => u.Why.Contains("finds no time", StringComparison.Ordinal));
        Assert.NotEmpty(PlanOfVehicle.Of(With(frost, cold), Monday.AddHours(9)).Lines);
    }

    [Fact]
    public void Without_a_forecast_it_is_said_that_weather_was_not_looked_at()
    {
        VehicleSnapshot van = Vans.Of([], [], own: [Key], people: [Ada]);
        KeptPlan plan = Made(van);
        Assert.Contains("There is no forecast: rain, wind and cold are not looked at.", plan.Warnings);
        Assert.Equal(plan.Warnings, PlanOfVehicle.Of(With(van, plan), Monday.AddHours(8)).Warnings);
    }

    [Fact]
    public void Of_too_many_tasks_the_first_are_planned_and_the_others_named()
    {
        VehicleSnapshot van = Van() with { };
        van = van with
        {
            Days = van.Days with
            {
                Own =
                [
                    .. Enumerable.Range(0, PlanQuestion.MostTasks + 3).Select(i => new Stored<OwnTask>($"own{i}", 1, "v", Key with { Minutes = 5 })),
                ],
            },
        };
        KeptPlan plan = Made(van);
        Assert.Equal(PlanQuestion.MostTasks, plan.Tasks.Count);
        Assert.Equal(3, plan.Unplanned.Count(u => u.Why == "200 tasks come before it: plan again when some are done."));
    }

    [Fact]
    public void The_list_of_a_day_lays_out_what_its_tasks_need()
    {
        VehicleSnapshot van = Van(openings: Grille());
        VehicleSnapshot planned = With(van, Made(van));
        KeptTask[] tasks = [.. planned.Days.Plan!.Value.Tasks];
        DateOnly today = DateOnly.FromDateTime(tasks[0].From.DateTime);
        DayList list = DayList.Of(planned, Monday.AddHours(8), today)!;
        KeptTask[] own = [.. tasks.Where(t => DateOnly.FromDateTime(t.From.DateTime) == today)];
        Assert.Equal(own.Select(t => t.From), list.Tasks.Select(t => t.From));
        WorkStep[] steps = [.. list.Tasks.SelectMany(t => t.Steps)];
        Assert.Equal(steps.SelectMany(s => s.Tools).ToHashSet(), [.. list.Tools]);
        Assert.Equal(steps.SelectMany(s => s.Consumables).Sum(c => c.Amount), list.Consumables.Sum(c => c.Amount), 6);
        Assert.Contains("20 to 20 °C by day", list.Weather, StringComparison.Ordinal);
        // Without a day it is the next one after today that has work on it.
        DateOnly? next = tasks.Select(t => DateOnly.FromDateTime(t.From.DateTime)).Where(d => d > today).Cast<DateOnly?>().Min();
        Assert.Equal(next, DayList.Of(planned, Monday.AddHours(8), null)?.Date);
        Assert.Null(DayList.Of(planned, Monday.AddHours(8), today.AddDays(100)));
        Assert.Null(DayList.Of(van, Monday.AddHours(8), null));
    }

    [Fact]
    public void The_strip_shows_when_the_plan_leaves_the_shell_open()
    {
        VehicleSnapshot van = Van(openings: Grille());
        KeptPlan plan = Made(van);
        KeptTask cut = plan.Tasks.Single(t => t.OpensShell);
        TimedStep open = Assert.Single(WeatherStrip.Of(With(van, plan), Monday.AddHours(8)).PlannedOpen);
        Assert.Equal(("Heater grille", cut.From, cut.ReadyAt), (open.Title, open.From, open.To));
        Assert.Empty(WeatherStrip.Of(With(van, plan), cut.ReadyAt.AddHours(1)).PlannedOpen);
        // What was fitted since stands open no more, whatever the plan said.
        Assert.Empty(WeatherStrip.Of(With(Van(openings: Grille(OpeningState.Fitted)), plan), Monday.AddHours(8)).PlannedOpen);
    }
}
