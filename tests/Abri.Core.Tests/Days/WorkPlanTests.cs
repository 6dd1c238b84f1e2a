using Abri.Core.Days;
using Abri.Core.Days.Planning;
using Abri.Core.Shell;
using Abri.Core.Weather;
using Abri.Core.Work;
using CsCheck;
using static Abri.Core.Tests.Days.OpenShellWork;

namespace Abri.Core.Tests.Days;

public class WorkPlanTests
{
    private static readonly CutCare Care = new(false, 20);

    private static readonly WeatherNeeds Any = WeatherNeeds.Any;

    private static Person Works(string name, double from, double to, params DayOfWeek[] days) =>
        new(name, [.. (days.Length > 0 ? days : Enum.GetValues<DayOfWeek>()).Select(d => new WorkDay(d, from, to))]);

    private static PlanTask Task(
        string id,
        double minutes,
        WeatherNeeds? needs = null,
        int people = 1,
        string? spot = null,
        params TaskAfter[] after
    ) => new(id, $"Task {id}", id, [Step($"Do {id}", minutes, needs: needs ?? Any, people: people, inside: true)], false, spot, after);

    private static PlanTask Hole(string id, params TaskAfter[] after) => new(id, $"Hole {id}", id, Span.Steps, true, null, after);

    private static PlanQuestion Question(Forecast forecast, Person[] people, params PlanTask[] tasks) =>
        new(Monday.AddHours(8), new Conditions(forecast, "Etc/UTC", null, people), Care, tasks, [], [], 5);

    private static PlanAnswer Plan(PlanQuestion question) => WorkPlan.Of(question).Value!.Result;

    private static double Hours(PlanAnswer plan, string id) => (plan.Tasks.Single(t => t.Id == id).From - Monday).TotalHours;

    [Fact] // By hand: 2 h from eight, 24 h to set at 20 C, 1 h: from ten on Tuesday
    public void What_comes_after_waits_until_it_has_set()
    {
        PlanAnswer plan = Plan(Question(Fine(), [Works("Ada", 8, 18)], Task("bed", 120), Task("seal", 60, after: new TaskAfter("bed", 24))));
        Assert.Equal(8, Hours(plan, "bed"));
        Assert.Equal(34, Hours(plan, "seal"));
        Assert.Equal(Monday.AddHours(35), plan.FinishAt);
        Assert.True(plan.IsProven);
        Assert.Null(plan.Clash);
    }

    [Fact] // Twice as long for every 10 K: 24 h at 20 C are 48 at 10 C
    public void In_the_cold_it_waits_longer()
    {
        Forecast cold = Fine(but: (_, w) => w with { AirC = 10 });
        PlanAnswer plan = Plan(Question(cold, [Works("Ada", 8, 18)], Task("bed", 120), Task("seal", 60, after: new TaskAfter("bed", 24))));
        Assert.Equal(58, Hours(plan, "seal"));
    }

    [Fact]
    public void One_does_one_thing_at_a_time_and_two_do_two()
    {
        PlanTask[] tasks = [Task("a", 120), Task("b", 120)];
        Assert.Equal(Monday.AddHours(12), Plan(Question(Fine(), [Works("Ada", 8, 18)], tasks)).FinishAt);
        PlanAnswer two = Plan(Question(Fine(), [Works("Ada", 8, 18), Works("Ben", 8, 18)], tasks));
        Assert.Equal(Monday.AddHours(10), two.FinishAt);
        Assert.Equal(["Ada", "Ben"], two.Tasks.SelectMany(t => t.Hands).Select(h => h.Name).Order());
        // In one bay there is room for one of them.
        PlanTask[] bay = [.. tasks.Select(t => t with { Spot = "bay" })];
        Assert.Equal(Monday.AddHours(12), Plan(Question(Fine(), [Works("Ada", 8, 18), Works("Ben", 8, 18)], bay)).FinishAt);
    }

    [Fact]
    public void What_takes_two_waits_for_the_second_one()
    {
        PlanAnswer plan = Plan(Question(Fine(), [Works("Ada", 8, 18), Works("Ben", 14, 18, DayOfWeek.Tuesday)], Task("glass", 60, people: 2)));
        Assert.Equal(38, Hours(plan, "glass"));
        Assert.Equal(["Ada", "Ben"], plan.Tasks[0].Hands.Select(h => h.Name).Order());
    }

    [Fact] // The span of the gate's tests: 4 h 15 min, of which the second person is needed for the middle quarter of an hour only
    public void The_second_one_is_asked_for_no_longer_than_needed()
    {
        PlanTask hole = Hole("h") with { Steps = [Span.Steps[0], Span.Steps[1] with { People = 2 }, Span.Steps[2]] };
        // Ben has half an hour at ten: the cut, half an hour long, begins at half past nine.
        PlanAnswer plan = Plan(Question(Fine(), [Works("Ada", 8, 18), Works("Ben", 10, 10.5)], hole));
        Assert.Equal(9.5, Hours(plan, "h"));
    }

    [Fact]
    public void A_hole_is_not_cut_into_the_rain_and_two_do_not_stand_open_at_once()
    {
        Forecast wet = Fine(but: Rain(90, 10));
        PlanAnswer plan = Plan(Question(wet, [Works("Ada", 8, 19), Works("Ben", 8, 19)], Hole("a"), Hole("b")));
        Assert.All(plan.Tasks, t => Assert.True(t.From >= Monday.AddHours(11)));
        Assert.True(plan.Tasks[0].ReadyAt <= plan.Tasks[1].From, plan.Verdict);
        Assert.Equal(2 * 255, plan.OpenMinutes);
    }

    [Fact] // It rains each day from ten to five; begun at five, the last work would end a quarter of an hour after seven
    public void Where_no_dry_span_is_long_enough_it_is_covered_or_left_out()
    {
        Forecast wet = Fine(but: (h, w) => (h % 24) is >= 10 and < 17 ? w with { RainPercent = 90, RainMm = 1 } : w);
        PlanAnswer plan = Plan(Question(wet, [Works("Ada", 8, 19)], Hole("a"), Task("trim", 30, after: new TaskAfter("a", 0))));
        PlannedTask hole = plan.Tasks.Single(t => t.Id == "a");
        Assert.NotEmpty(hole.Covered);
        // In gusts that tear a cover off there is no such way: the hole is left out, and what comes after it.
        Forecast windy = Fine(but: (h, w) => (h % 24) is >= 10 and < 17 ? w with { RainPercent = 90, RainMm = 1, GustMs = 25 } : w);
        PlanAnswer none = Plan(Question(windy, [Works("Ada", 8, 18)], Hole("a"), Task("trim", 30, after: new TaskAfter("a", 0)), Task("own", 30)));
        Assert.Equal(["own"], none.Tasks.Select(t => t.Id));
        Assert.Contains("finds no time within 5 days", none.Unplanned.Single(t => t.Id == "a").Why, StringComparison.Ordinal);
        Assert.Equal(none.Unplanned.Single(t => t.Id == "a").Why, none.Unplanned.Single(t => t.Id == "trim").Why);
    }

    [Fact] // Rain at eleven: two hours after the work that a closed joint was done, and within four of what was painted
    public void What_was_sealed_or_painted_stays_dry_for_hours_after()
    {
        PlanTask Dry(double hours) => Task("a", 60) with { Steps = [Step("Paint", 60) with { Inside = false, DryHours = hours }] };
        Forecast wet = Fine(but: Rain(90, 11));
        Assert.Equal(8, Hours(Plan(Question(wet, [Works("Ada", 8, 18)], Dry(2))), "a"));
        Assert.Equal(12, Hours(Plan(Question(wet, [Works("Ada", 8, 18)], Dry(4))), "a"));
    }

    [Fact]
    public void A_job_that_cannot_be_ended_is_not_begun()
    {
        PlanTask[] tasks = [Task("mark", 60) with { Job = "vent" }, Task("glass", 60, people: 2) with { Job = "vent" }, Task("own", 30)];
        PlanAnswer plan = Plan(Question(Fine(), [Works("Ada", 8, 18)], tasks));
        Assert.Equal("own", plan.Tasks.Single().Id);
        Assert.All(plan.Unplanned, u => Assert.Equal("Task glass finds no time within 5 days: it takes 2 people; there is 1.", u.Why));
        // What is being done already is ended as far as it goes.
        PlanQuestion running = Question(Fine(), [Works("Ada", 8, 18)], tasks) with { Locks = [new TaskLock("mark", Monday.AddHours(8), true)] };
        Assert.Contains(Plan(running).Tasks, t => t.Id == "mark");
    }

    [Fact] // Four hours a day for five days: of six jobs of four hours the first five fit
    public void What_does_not_fit_into_the_days_is_left_out_from_the_end()
    {
        PlanAnswer plan = Plan(Question(Fine(), [Works("Ada", 8, 12)], [.. Enumerable.Range(1, 6).Select(i => Task($"{i}", 240))]));
        Assert.Equal(["1", "2", "3", "4", "5"], plan.Tasks.Select(t => t.Id).Order());
        Assert.Equal("No time was found for it in the 5 days ahead.", plan.Unplanned.Single().Why);
    }

    [Fact]
    public void Beyond_the_forecast_it_is_said_that_the_weather_is_not_known()
    {
        Forecast wet = Fine(24, (_, w) => w with { RainPercent = 90, RainMm = 1 });
        Worked<PlanAnswer> plan = WorkPlan.Of(Question(wet, [Works("Ada", 8, 18)], Hole("a"))).Value!;
        Assert.Equal(32, Hours(plan.Result, "a"));
        Assert.False(plan.Result.Tasks[0].IsForeseen);
        Assert.Contains("After Tue 13 May 00:00 the weather is not known: plan again when it is.", plan.Warnings);
    }

    [Fact]
    public void What_is_fixed_stays_and_what_cannot_be_is_said_with_the_nearest_time()
    {
        // In such gusts there is no way with a cover.
        Forecast wet = Fine(but: (h, w) => Rain(90, 10)(h, w) with { GustMs = 25 });
        PlanQuestion question = Question(wet, [Works("Ada", 8, 19)], Hole("a"), Task("b", 60));
        PlanAnswer plan = Plan(question with { Locks = [new TaskLock("b", Monday.AddHours(12))] });
        Assert.Equal(12, Hours(plan, "b"));
        PlanClash clash = Plan(question with { Locks = [new TaskLock("a", Monday.AddHours(9))] }).Clash!;
        Assert.Equal("Hole a cannot begin Mon 12 May 09:00: Rain from Mon 10:00 (90 %).", clash.Wishes.Single());
        Assert.Equal("Begin it Mon 12 May 11:00.", clash.WaysOut.Single());
    }

    [Fact] // Ten hours a day: eight jobs of five hours stand before "early" in the order, and would push what waits for it behind Tuesday noon
    public void What_has_to_be_over_before_something_fixed_is_placed_first()
    {
        PlanTask[] fillers = [.. Enumerable.Range(0, 8).Select(i => Task($"f{i}", 300))];
        PlanQuestion question = Question(
            Fine(),
            [Works("Ada", 8, 18)],
            [.. fillers, Task("early", 300), Task("late", 60, after: new TaskAfter("early", 0))]
        ) with
        {
            Locks = [new TaskLock("late", Monday.AddDays(1).AddHours(12))],
        };
        PlanGrid grid = PlanGrid.Of(question);
        TaskRuns[] runs = [.. question.Tasks.Select(t => TaskRuns.Of(question, grid, t))];
        Assert.NotNull(PlanStart.Of(question, grid, runs));
        PlanAnswer plan = Plan(question);
        Assert.Null(plan.Clash);
        Assert.Equal(36, Hours(plan, "late"));
        Assert.True(Hours(plan, "early") <= 31);
    }

    [Fact]
    public void Wishes_that_clash_are_told_as_few_as_they_are_with_ways_out()
    {
        // Eight to twelve: two of three hours each do not fit into one day. The third wish has nothing to do with it.
        PlanTask[] tasks =
        [
            Task("a", 180) with
            {
                Until = Monday.AddHours(12),
            },
            Task("b", 180) with
            {
                Until = Monday.AddHours(12),
            },
            Task("c", 30) with
            {
                Until = Monday.AddHours(24 + 12),
            },
        ];
        PlanAnswer plan = Plan(Question(Fine(), [Works("Ada", 8, 12)], tasks));
        Assert.Equal(["Task a is done by Mon 12 May 12:00.", "Task b is done by Mon 12 May 12:00."], plan.Clash!.Wishes.Order());
        Assert.Equal(["Give up: Task a is done by Mon 12 May 12:00.", "Give up: Task b is done by Mon 12 May 12:00."], plan.Clash.WaysOut.Order());
        Assert.Empty(plan.Tasks);
        // Half an hour too little: one more hour on that day helps, and is said.
        PlanTask[] nearly = [tasks[0] with { Until = Monday.AddHours(20) }, Task("b", 90) with { Until = Monday.AddHours(20) }];
        Assert.Contains("One more hour on Mondays.", Plan(Question(Fine(), [Works("Ada", 8, 12)], nearly)).Clash!.WaysOut);
    }

    [Fact]
    public void A_rule_of_the_trade_holds_until_it_is_in_the_way_of_what_somebody_said()
    {
        PlanQuestion question = Question(Fine(), [Works("Ada", 8, 18)], Task("roof", 60), Task("inside", 60)) with
        {
            Rules = [new TradeRule(["roof"], ["inside"], "Outside seals come before any work inside.")],
        };
        PlanAnswer plan = Plan(question);
        Assert.True(Hours(plan, "roof") < Hours(plan, "inside"));
        PlanAnswer clash = Plan(question with { Locks = [new TaskLock("inside", Monday.AddHours(8))] });
        Assert.Equal(2, clash.Clash!.Wishes.Count);
        Assert.Equal("Give up: Outside seals come before any work inside.", clash.Clash.WaysOut[0]);
    }

    [Fact]
    public void What_is_running_keeps_its_time_and_what_follows_waits()
    {
        PlanQuestion question = Question(Fine(), [Works("Ada", 7, 18)], Task("a", 120), Task("b", 60, after: new TaskAfter("a", 0))) with
        {
            Locks = [new TaskLock("a", Monday.AddHours(7), true)],
        };
        PlanAnswer plan = Plan(question);
        Assert.Equal(7, Hours(plan, "a"));
        Assert.Equal(9, Hours(plan, "b"));
        // What should be over by now goes on until the next half-hour at least.
        PlanAnswer late = Plan(question with { Locks = [new TaskLock("a", Monday.AddHours(5), true)] });
        Assert.Equal(8.5, Hours(late, "b"));
    }

    [Fact]
    public void Bad_questions_are_answered_in_words()
    {
        Problem Wrong(PlanQuestion question) =>
            WorkPlan.Of(question) is var r && r.IsOk(out _, out Problem? problem) ? throw new InvalidOperationException() : problem!;
        PlanQuestion twice = Question(Fine(), [], Task("a", 30), Task("a", 30));
        Assert.Equal("task-twice", Wrong(twice).Code);
        PlanQuestion circle = Question(
            Fine(),
            [],
            Task("before", 30),
            Task("a", 30, after: new TaskAfter("b", 0)),
            Task("b", 30, after: new TaskAfter("a", 0)),
            Task("later", 30, after: new TaskAfter("b", 0))
        );
        string[] named = Wrong(circle).Message.Split(": ")[1].Split(". ")[0].Split(", ");
        Assert.Equal(["Task a", "Task b"], named.Order());
        Assert.Equal("nobody-works", Wrong(Question(Fine(), [new Person("Ada", [])], Task("a", 30))).Code);
        // Longer than anybody works in one go.
        Assert.Contains(
            "nobody works for 9 h in one go",
            Plan(Question(Fine(), [Works("Ada", 8, 12)], Task("a", 540))).Unplanned[0].Why,
            StringComparison.Ordinal
        );
        Assert.Contains(
            "it takes 2 people; there is 1.",
            Plan(Question(Fine(), [Works("Ada", 8, 12)], Task("a", 60, people: 2))).Unplanned[0].Why,
            StringComparison.Ordinal
        );
    }

    [Fact] // In frost nothing sets: what waits for it never gets its turn, and that is said
    public void A_cure_that_stands_still_is_no_plan()
    {
        Forecast frost = Fine(but: (_, w) => w with { AirC = -2 });
        PlanAnswer plan = Plan(Question(frost, [Works("Ada", 8, 18)], Hole("a")));
        Assert.Empty(plan.Tasks);
        Assert.Single(plan.Unplanned);
    }

    [Fact]
    public void A_search_that_nobody_waits_for_ends() =>
        Assert.Throws<OperationCanceledException>(() => WorkPlan.Of(Question(Fine(), [], Task("a", 30)), null, new CancellationToken(true)));

    [Fact] // Every rule of a plan of 60 tasks is gone through by itself; its end is held against what adding up the hours says
    public void A_plan_of_sixty_tasks_keeps_every_rule_and_ends_within_a_twentieth_of_what_hours_allow()
    {
        bool Wet(int hour) => (hour / 24) % 4 == 2;
        Forecast forecast = Fine(336, (h, w) => Wet(h) ? w with { RainPercent = 70, RainMm = 1 } : w) with { IssuedAt = Monday.AddDays(10) };
        PlanTask[] tasks = Sixty();
        PlanAnswer plan = Plan(
            Question(forecast, [Works("Ada", 8, 18), Works("Ben", 10, 17, DayOfWeek.Saturday, DayOfWeek.Monday)], tasks) with
            {
                Days = 14,
            }
        );
        Assert.Equal(60, plan.Tasks.Count);
        Dictionary<string, PlannedTask> at = plan.Tasks.ToDictionary(t => t.Id);
        bool Apart((DateTimeOffset, DateTimeOffset) a, (DateTimeOffset, DateTimeOffset) b) => a.Item2 <= b.Item1 || b.Item2 <= a.Item1;
        void AllApart(IEnumerable<(DateTimeOffset, DateTimeOffset)> times)
        {
            (DateTimeOffset, DateTimeOffset)[] all = [.. times.Order()];
            Assert.All(all.Zip(all.Skip(1)), pair => Assert.True(Apart(pair.First, pair.Second)));
        }
        foreach (string name in new[] { "Ada", "Ben" })
            AllApart(plan.Tasks.SelectMany(t => t.Hands).Where(h => h.Name == name).Select(h => (h.From, h.Until)));
        foreach (IGrouping<string, PlanTask> spot in tasks.GroupBy(t => t.Spot!))
            AllApart(spot.Select(t => (at[t.Id].From, at[t.Id].Until)));
        AllApart(tasks.Where(t => t.OpensShell).Select(t => (at[t.Id].From, at[t.Id].ReadyAt)));
        Assert.All(tasks, t => Assert.All(t.After, a => Assert.True(at[t.Id].From >= at[a.Id].Until.AddHours(a.LagHours))));
        Assert.All(tasks.Where(t => t.OpensShell || t.Steps[0].Weather.Dry), t =>
            Assert.DoesNotContain(Enumerable.Range(0, 336), h =>
                Wet(h) && !Apart((at[t.Id].From, at[t.Id].ReadyAt), (Monday.AddHours(h), Monday.AddHours(h + 1)))
            )
        );
        // 92.5 h of people (each hole keeps its person for its hour of waiting), Ada 10 h a day and Ben 7 on two: not before the second Monday at 11.
        double latest = (Monday.AddDays(7).AddHours(11) - Monday.AddHours(8)).TotalHours * 1.05;
        Assert.True((plan.FinishAt!.Value - Monday.AddHours(8)).TotalHours <= latest, plan.Verdict);
    }

    [Fact]
    public void What_comes_by_the_trade_after_something_without_a_time_is_not_planned_either()
    {
        PlanTask[] tasks =
        [
            Task("patch", 60) with
            {
                Job = "rust",
            },
            Task("glass", 60, people: 2),
            Task("wax", 30, after: new TaskAfter("patch", 0)) with
            {
                Job = "rust",
            },
        ];
        PlanQuestion question = Question(Fine(), [Works("Ada", 8, 18)], tasks) with
        {
            Rules = [new TradeRule(["glass"], ["wax"], "Wax comes after Glass: nothing holds on it.", true)],
        };
        PlanAnswer plan = Plan(question);
        // The patch is made all the same: only its wax waits.
        Assert.Equal("patch", plan.Tasks.Single().Id);
        Assert.Equal(
            "Wax comes after Glass: nothing holds on it. Task glass finds no time within 5 days: it takes 2 people; there is 1.",
            plan.Unplanned.Single(u => u.Id == "wax").Why
        );
        Assert.StartsWith("1 of 3 tasks planned, done by Mon 12 May 09:00", plan.Verdict, StringComparison.Ordinal);
        Assert.Contains("Proven to half an hour: no plan of these tasks", plan.Verdict, StringComparison.Ordinal);
    }

    [Fact]
    public void The_plan_before_is_left_only_for_a_better_one()
    {
        PlanQuestion question = Question(Fine(), [Works("Ada", 8, 18)], Task("a", 60), Task("b", 60));
        Dictionary<string, DateTimeOffset> At(double a, double b) => new() { ["a"] = Monday.AddHours(a), ["b"] = Monday.AddHours(b) };
        PlanAnswer Again(double a, double b) => WorkPlan.Of(question, At(a, b)).Value!.Result;
        Assert.Equal((9.0, 8.0), (Hours(Again(9, 8), "a"), Hours(Again(9, 8), "b")));
        Assert.Equal((8.0, 9.0), (Hours(Again(8, 9), "a"), Hours(Again(8, 9), "b")));
        // Three hours later is worse.
        Assert.Equal(Monday.AddHours(10), Again(12, 8).FinishAt);
    }

    [Fact] // Rain on the first day from ten to five: begun at eight it goes only with a cover, though another day would do without one
    public void What_somebody_fixed_may_go_with_a_cover()
    {
        Forecast wet = Fine(but: (h, w) => h is >= 10 and < 17 ? w with { RainPercent = 90, RainMm = 1 } : w);
        PlanQuestion question = Question(wet, [Works("Ada", 8, 19)], Hole("a"));
        Assert.Equal(32, Hours(Plan(question), "a"));
        PlanAnswer plan = Plan(question with { Locks = [new TaskLock("a", Monday.AddHours(8))] });
        Assert.Equal(8, Hours(plan, "a"));
        Assert.NotEmpty(plan.Tasks[0].Covered);
    }

    [Fact] // A bound that a plan beats is no bound: people who go home during a pause, who come and go, and holes under a cover over night
    public void What_no_plan_can_beat_is_beaten_by_none()
    {
        Gen<(Person[] People, PlanTask[] Tasks, bool[] Wet)> gen = Gen.Select(
            Gen.Select(Gen.Int[7, 10], Gen.Int[11, 13], Gen.Int[13, 15], Gen.Int[15, 20], (a, b, c, d) => (a, b, c, d)).Array[1, 3],
            Gen.Select(Gen.Int[1, 8], Gen.Int[0, 4], Gen.Int[1, 2], Gen.Bool, Gen.Bool, (half, wait, people, hole, bay) =>
                (half, wait, people, hole, bay)
            ).Array[1, 4],
            Gen.Bool.Array[120],
            (hours, tasks, wet) =>
                (
                    hours
                        .Select(
                            (h, i) =>
                                new Person(
                                    $"{i}",
                                    [.. Enum.GetValues<DayOfWeek>().SelectMany(d => new[] { new WorkDay(d, h.a, h.b), new WorkDay(d, h.c, h.d) })]
                                )
                        )
                        .ToArray(),
                    tasks
                        .Select(
                            (t, i) =>
                                new PlanTask(
                                    $"{i}",
                                    $"Task {i}",
                                    $"{i}",
                                    [
                                        Step("First", 30, t.wait, Any, Math.Min(t.people, hours.Length), true),
                                        Step("Then", 30 * t.half, 0, t.hole ? new WeatherNeeds(true, null, null, null) : Any, 1, true),
                                    ],
                                    t.hole,
                                    t.bay ? "bay" : null,
                                    []
                                )
                        )
                        .ToArray(),
                    wet
                )
        );
        gen.Holds(
            c =>
            {
                Forecast forecast = Fine(but: (h, w) => c.Wet[h] && h % 4 == 0 ? w with { RainPercent = 80, RainMm = 1 } : w);
                PlanQuestion question = Question(forecast, c.People, c.Tasks);
                PlanGrid grid = PlanGrid.Of(question);
                TaskRuns[] runs = [.. c.Tasks.Select(t => TaskRuns.Of(question, grid, t)).Where(t => t.Starts.Count > 0)];
                return runs.Length == 0
                    || PlanStart.Of(question, grid, runs) is not { } plan
                    || PlanBounds.Finish(question, grid, runs) <= PlanCost.Of(runs, plan.Starts).Finish;
            },
            cases: 150
        );
    }

    /// <summary>Ten holes with marking out before and trimming a day after, and thirty other tasks in threes.</summary>
    private static PlanTask[] Sixty() =>
        [
            .. Enumerable
                .Range(0, 10)
                .SelectMany(i =>
                    new[]
                    {
                        Task($"mark-{i}", 90, spot: $"panel-{i % 4}"),
                        Hole($"cut-{i}", new TaskAfter($"mark-{i}", 0)) with
                        {
                            Spot = $"panel-{i % 4}",
                        },
                        Task($"trim-{i}", 60, spot: $"panel-{i % 4}", after: new TaskAfter($"cut-{i}", 24)),
                    }
                ),
            .. Enumerable
                .Range(0, 30)
                .Select(i =>
                    Task(
                        $"other-{i}",
                        60 + (30 * (i % 3)),
                        i % 2 == 0 ? new WeatherNeeds(true, null, 8, 30) : Any,
                        spot: $"panel-{i % 4}",
                        after: i % 3 > 0 ? [new TaskAfter($"other-{i - 1}", 12)] : []
                    )
                ),
        ];

    /// <summary>A small case: minutes, dry or not, after the one before it with a lag, two spots.</summary>
    private sealed record Case(int[] Slots, bool[] Dry, int[] Lag, bool[] Spot, bool[] Wet, int People);

    [Fact] // Against every combination of beginnings, gone through one by one by a check written apart
    public void No_plan_is_better_than_the_one_that_is_called_proven()
    {
        Gen<Case> gen = Gen.Select(
            Gen.Int[1, 4].Array[3],
            Gen.Bool.Array[3],
            Gen.Int[-1, 3].Array[3],
            Gen.Bool.Array[3],
            Gen.Bool.Array[48],
            Gen.Int[1, 2],
            (slots, dry, lag, spot, wet, people) => new Case(slots, dry, lag, spot, wet, people)
        );
        gen.Holds(
            c =>
            {
                Forecast forecast = Fine(48, (h, w) => c.Wet[h] && h % 3 == 0 ? w with { RainPercent = 80, RainMm = 1 } : w);
                PlanTask[] tasks =
                [
                    .. Enumerable
                        .Range(0, 3)
                        .Select(i =>
                            Task(
                                $"{i}",
                                30 * c.Slots[i],
                                c.Dry[i] ? new WeatherNeeds(true, null, null, null) : Any,
                                spot: c.Spot[i] ? "bay" : null,
                                after: i > 0 && c.Lag[i] >= 0 ? [new TaskAfter($"{i - 1}", c.Lag[i])] : []
                            )
                        ),
                ];
                Person[] people = [.. Enumerable.Range(0, c.People).Select(p => Works($"{p}", 8, 12))];
                PlanAnswer plan = Plan(Question(forecast, people, tasks) with { Days = 2 });
                (int Finish, int Halves)? best = Best(c);
                return best is var (finish, halves)
                    ? plan is { IsProven: true, Clash: null, Unplanned.Count: 0 }
                        && plan.FinishAt == Monday.AddHours(8 + (finish / 2.0))
                        && plan.HalfDays == halves
                    : plan.Tasks.Count < 3;
            },
            cases: 60
        );
    }

    /// <summary>Earliest end and with it fewest half days, of all beginnings; slots count from eight on Monday.</summary>
    private static (int Finish, int Halves)? Best(Case c)
    {
        int[] slots = [.. Enumerable.Range(0, 96).Where(s => s % 48 < 8)];
        bool Free(int i, int at) =>
            (at % 48) + c.Slots[i] <= 8
            && (!c.Dry[i] || Enumerable.Range(at, c.Slots[i]).All(s => (8 + (s / 2)) is var h && h < 48 && !(c.Wet[h] && h % 3 == 0)));
        (int, int)? best = null;
        foreach (int a in slots.Where(s => Free(0, s)))
        {
            foreach (int b in slots.Where(s => Free(1, s)))
            {
                foreach (int d in slots.Where(s => Free(2, s)))
                {
                    int[] at = [a, b, d];
                    bool ordered = Enumerable.Range(1, 2).All(i => c.Lag[i] < 0 || at[i] >= at[i - 1] + c.Slots[i - 1] + (2 * c.Lag[i]));
                    bool room = Enumerable
                        .Range(0, 96)
                        .All(s =>
                            Enumerable.Range(0, 3).Where(i => at[i] <= s && s < at[i] + c.Slots[i]).ToArray() is var now
                            && now.Length <= c.People
                            && now.Count(i => c.Spot[i]) <= 1
                        );
                    if (!ordered || !room)
                        continue;
                    (int, int) found = (
                        Enumerable.Range(0, 3).Max(i => at[i] + c.Slots[i]),
                        at.Select((s, i) => (s, e: s + c.Slots[i] - 1)).SelectMany(t => new[] { Half(t.s), Half(t.e) }).Distinct().Count()
                    );
                    if (best is null || found.CompareTo(best.Value) < 0)
                        best = found;
                }
            }
        }
        return best;

        static int Half(int slot) => (2 * (slot / 48)) + (slot % 48 >= 10 ? 1 : 0);
    }
}
