using Abri.Core;
using Abri.Core.Bench;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Core.Work;

namespace Abri.Storage.Tests;

public sealed class StepDoneStoreTests : IDisposable
{
    private readonly Scratch scratch = new();

    public void Dispose() => scratch.Dispose();

    /// <summary>A vehicle with an opening that is not cut yet.</summary>
    private (string Vehicle, Stored<Opening> Opening) Planned()
    {
        var (vehicle, _, _, _, cut) = scratch.Filled();
        return (vehicle.Id, scratch.Openings.Replace(cut.Id, cut.Version, cut.Value with { State = OpeningState.Planned }).Row!);
    }

    private static StepDone Cut(string opening) =>
        new(
            new Job(JobKind.Opening, opening),
            "cut",
            "Cut",
            ShellChange.Opens,
            new DateTimeOffset(2031, 5, 12, 9, 0, 0, TimeSpan.Zero),
            new Minutes(24, 40, 80),
            new StepReport(
                "token",
                "Ada",
                35,
                [new HoldReading("A cover lies ready", null, true), new HoldReading("Width", 400.5, null)],
                new AsCut(400, 401, 300, 301, 500, 501),
                "It is dry",
                "Slow blade",
                "Along the line."
            )
        );

    [Fact]
    public void A_step_and_what_it_changes_are_one_change_and_a_step_is_done_once()
    {
        (string vehicle, Stored<Opening> opening) = Planned();
        Stored<Opening> open = opening with { Value = opening.Value with { State = OpeningState.Cut } };
        Written<StepDone> first = scratch.Done.Do(vehicle, new BenchChange(Cut(opening.Id), Opening: open));
        Assert.Equal(WriteState.Done, first.State);
        Assert.Equal(AbriJson.Write(Cut(opening.Id)), AbriJson.Write(scratch.Snapshots.Read(vehicle)!.Done.Single().Value));
        Assert.Equal(OpeningState.Cut, scratch.Openings.Find(opening.Id)!.Value.State);
        // A second one of the same step is not kept, nor what it would have changed.
        Stored<Opening> now = scratch.Openings.Find(opening.Id)!;
        Stored<Opening> fitted = now with { Value = now.Value with { State = OpeningState.Fitted } };
        Assert.Equal(WriteState.Conflict, scratch.Done.Do(vehicle, new BenchChange(Cut(opening.Id), Opening: fitted)).State);
        Assert.Equal(OpeningState.Cut, scratch.Openings.Find(opening.Id)!.Value.State);
        Assert.Equal("Done: Cut", scratch.History.Undo(vehicle).What);
        Assert.Empty(scratch.Snapshots.Read(vehicle)!.Done);
        Assert.Equal(OpeningState.Planned, scratch.Openings.Find(opening.Id)!.Value.State);
        scratch.History.Redo(vehicle);
        Assert.Single(scratch.Snapshots.Read(vehicle)!.Done);
    }

    [Fact]
    public void What_was_learned_comes_and_goes_with_its_step_and_makes_what_is_known_of_other_vehicles_old()
    {
        (string vehicle, Stored<Opening> opening) = Planned();
        string other = scratch.Vehicles.Add(null, Scratch.Van with { Name = "Plover" }).Row!.Id;
        long before = scratch.Database.RevisionOf(other);
        var lesson = new Lesson(
            "opening/RoofVent",
            "cut",
            new Job(JobKind.Opening, opening.Id),
            "Vent, Heron",
            new DateOnly(2031, 5, 12),
            "Slow",
            "Tape"
        );
        Assert.Equal(WriteState.Done, scratch.Done.Do(vehicle, new BenchChange(Cut(opening.Id), Lessons: [lesson])).State);
        Assert.Equal(lesson, Assert.Single(scratch.Snapshots.Read(other)!.Lessons).Value);
        Assert.True(scratch.Database.RevisionOf(other) > before);
        scratch.History.Undo(vehicle);
        Assert.Empty(scratch.Lessons.All());
    }

    [Fact]
    public void A_problem_is_a_finding_and_its_lesson_in_one_change()
    {
        (string vehicle, Stored<Opening> opening) = Planned();
        var finding = new Finding(
            "Scratch",
            FindingKind.Dent,
            FindingShape.Point,
            [new PanelPoint(900, 10)],
            ViewedFrom.Outside,
            Severity.Minor,
            new FindingMeasures(null, null, null, null),
            FindingState.Open,
            "Ada",
            new DateTimeOffset(2031, 5, 12, 9, 0, 0, TimeSpan.Zero),
            ""
        );
        var lesson = new Lesson(
            "opening/RoofVent",
            "cut",
            new Job(JobKind.Opening, opening.Id),
            "Vent, Heron",
            new DateOnly(2031, 5, 12),
            "Scratch",
            "Tape"
        );
        Assert.Equal(WriteState.Done, scratch.Done.Keep(vehicle, new ProblemChange(opening.OwnerId!, finding, lesson)).State);
        Assert.Equal("Scratch", Assert.Single(scratch.Findings.All()).Value.Name);
        Assert.Single(scratch.Lessons.All());
        Assert.Equal("Added Scratch", scratch.History.Undo(vehicle).What);
        Assert.Empty(scratch.Findings.All());
        Assert.Empty(scratch.Lessons.All());
    }

    [Fact]
    public void What_somebody_changed_meanwhile_is_not_overwritten()
    {
        (string vehicle, Stored<Opening> opening) = Planned();
        scratch.Openings.Replace(opening.Id, opening.Version, opening.Value with { Notes = "Moved" });
        Stored<Opening> open = opening with { Value = opening.Value with { State = OpeningState.Cut } };
        Assert.Equal(WriteState.Stale, scratch.Done.Do(vehicle, new BenchChange(Cut(opening.Id), Opening: open)).State);
        Assert.Empty(scratch.Snapshots.Read(vehicle)!.Done);
        Assert.Equal("Moved", scratch.Openings.Find(opening.Id)!.Value.Notes);
    }
}
