using Abri.Core.Bench;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Core.Work;
using static Abri.Core.Tests.Days.OpenShellWork;

namespace Abri.Core.Tests.Stages;

/// <summary>What goes wrong at a step, what is learned of it, and when a step was done that is reported later.</summary>
public class LessonsTests
{
    private static readonly Job First = new(JobKind.Opening, "o0"),
        Second = new(JobKind.Opening, "o1");

    private static VehicleSnapshot Van(params Lesson[] lessons) =>
        Vans.Of(
            [],
            [],
            openings:
            [
                DaysOfVehicleTests.At(OpeningState.Planned),
                DaysOfVehicleTests.At(OpeningState.Planned) with
                {
                    Name = "Second",
                    Centre = new PanelPoint(1500, 700),
                },
            ],
            fitting: DaysOfVehicleTests.Grille,
            forecast: Fine(500)
        ) with
        {
            Lessons = [.. lessons.Select((l, i) => new Stored<Lesson>($"l{i}", 1, null, l))],
        };

    private static BenchStep Begin(VehicleSnapshot van, Job job) =>
        BenchOfJob.Of(van, job, Monday.AddHours(8))!.Steps.First(s => s.State == StepState.Ready);

    private static StepReport Report(BenchStep at, bool good = true, string? nextTime = null, double? ago = null) =>
        new(
            "t",
            "Ada",
            null,
            [.. at.Step.Holds.Select(h => new HoldReading(h.Name, h.Unit is null ? null : h.Wanted ?? 1, h.Unit is null ? good : null))],
            null,
            good ? null : "No other part to be had",
            "",
            at.Step.Do,
            nextTime,
            ago
        );

    private static BenchChange Done(VehicleSnapshot van, StepReport report, double hour = 8)
    {
        Result<BenchChange> change = BenchOfJob.Do(van, First, Begin(van, First).Step.Key, report, Monday.AddHours(hour));
        Assert.True(change.IsOk(out BenchChange? done, out Problem? problem), problem?.Message);
        return done;
    }

    [Fact]
    public void What_was_learned_is_told_at_the_same_step_of_the_next_one_of_its_kind_and_not_at_its_own()
    {
        VehicleSnapshot van = Van();
        BenchStep at = Begin(van, First);
        Lesson learned = Assert.Single(Done(van, Report(at, nextTime: "Tape the blade first")).Lessons!);
        Assert.Equal(("Tape the blade first", Second.Kind, at.Step.Key), (learned.What, learned.Job.Kind, learned.Key));
        Assert.EndsWith(", Van", learned.Of, StringComparison.Ordinal);
        VehicleSnapshot wiser = Van(learned);
        Assert.Equal([learned], Begin(wiser, Second).Lessons);
        Assert.Empty(Begin(wiser, First).Lessons);
        // At another step, and at a job of another kind, it says nothing.
        Assert.All(BenchOfJob.Of(wiser, Second, Monday.AddHours(8))!.Steps.Where(s => s.Step.Key != at.Step.Key), s => Assert.Empty(s.Lessons));
        Assert.Empty(Begin(Van(learned with { Kind = "opening/RoofVent" }), Second).Lessons);
    }

    [Fact]
    public void Of_many_the_newest_are_told()
    {
        BenchStep at = Begin(Van(), First);
        Lesson one = Done(Van(), Report(at, nextTime: "x")).Lessons![0];
        Lesson[] many = [.. Enumerable.Range(0, Lesson.MostTold + 1).Select(i => one with { On = one.On.AddDays(i), What = $"{i}" })];
        Assert.Equal(Enumerable.Range(1, Lesson.MostTold).Reverse().Select(i => $"{i}"), Begin(Van(many), Second).Lessons.Select(l => l.What));
    }

    [Fact]
    public void What_was_overruled_is_a_lesson_and_what_went_well_is_none()
    {
        VehicleSnapshot van = Van();
        BenchStep at = Begin(van, First);
        Assert.Empty(Done(van, Report(at)).Lessons!);
        Assert.StartsWith("Went on although: ", Assert.Single(Done(van, Report(at, good: false)).Lessons!).What, StringComparison.Ordinal);
    }

    [Fact]
    public void A_problem_becomes_a_finding_where_the_job_lies_and_a_lesson_where_one_was_drawn()
    {
        var said = new StepProblem("Ada", "Scratch beside the hole", FindingKind.Dent, Severity.Minor, ViewedFrom.Outside, "n", "");
        Assert.True(BenchOfJob.Problem(Van(), Second, "cut", said, Monday).IsOk(out ProblemChange? change, out _));
        Assert.Equal(("p", "Scratch beside the hole", "Ada"), (change.PanelId, change.Finding.Name, change.Finding.SeenBy));
        Assert.Equal(new PanelPoint(1500, 700), Assert.Single(change.Finding.Points));
        Assert.Equal((FindingState.Open, Monday), (change.Finding.State, change.Finding.SeenAt));
        Assert.Null(change.Lesson);
        Assert.Null(FindingCheck.Of(Van().Panels[0].Value, change.Finding));
        Assert.True(BenchOfJob.Problem(Van(), Second, "cut", said with { Prevention = "Two layers of tape" }, Monday).IsOk(out change, out _));
        Assert.Equal(("Scratch beside the hole", "Two layers of tape"), (change.Lesson!.What, change.Lesson.Prevention));
        Assert.Equal("job-gone", BenchOfJob.Problem(Van(), First with { Id = "o9" }, "cut", said, Monday).Problem!.Code);
    }

    [Fact]
    public void A_step_that_is_reported_later_was_done_when_it_was_but_not_before_the_one_before()
    {
        VehicleSnapshot van = Van();
        BenchStep at = Begin(van, First);
        DateTimeOffset When(double? ago) => Done(van, Report(at, ago: ago), 12).Done.At;
        Assert.Equal(Monday.AddHours(12), When(null));
        Assert.Equal(Monday.AddHours(12), When(0));
        Assert.Equal(Monday.AddHours(9), When(180));
        Assert.Equal(Fine(500).At(Monday.AddHours(9)), Done(van, Report(at, ago: 180), 12).Done.Weather);
        // A clock that jumped: not before the step before it.
        VehicleSnapshot begun = van with { Done = [new Stored<StepDone>("d0", 1, "v", Done(van, Report(at, ago: 180), 12).Done)] };
        BenchStep next = Begin(begun, First);
        Assert.Equal(Monday.AddHours(9), Done(begun, Report(next, ago: 40_000), 12).Done.At);
        Assert.Equal(Monday.AddHours(9.5), Done(begun, Report(next, ago: 150), 12).Done.At);
    }
}
