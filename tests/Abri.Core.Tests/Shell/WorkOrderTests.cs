using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Water.Leaks;
using Abri.Core.Work;
using CsCheck;

namespace Abri.Core.Tests.Shell;

public class WorkOrderTests
{
    private static readonly DateTimeOffset Seen = new(2026, 5, 2, 9, 0, 0, TimeSpan.Zero);

    [Fact] // The order of work: close, keep water out, find the leak, dry, rust, wood, new holes
    public void Outside_seals_come_before_inside_rust_and_rust_before_new_openings()
    {
        IReadOnlyList<NextJob> jobs = WorkOrder.Of([
            new(new Job(JobKind.Opening, "opening"), "Roof", null, "Roof vent"),
            Found("rust", FindingKind.Pitting, Severity.Severe),
            Found("wood", FindingKind.SoftWood, Severity.Severe),
            Found("stain", FindingKind.Stain),
            Found("seam", FindingKind.OpenSeam, Severity.Minor),
            Found("damp", FindingKind.DampInsulation),
            Found("drain", FindingKind.BlockedDrain),
            Found("clip", FindingKind.LooseClip, Severity.Minor),
            new(new Job(JobKind.Opening, "cut"), "Left side", null, "Window", true),
        ]);
        // A blocked drain makes every test lie, and wet wool hides where it comes from.
        Assert.Equal(["cut", "drain", "clip", "seam", "damp", "stain", "rust", "wood", "opening"], jobs.Select(j => j.Job.Id));
        Assert.StartsWith("test and close", jobs[3].What);
        Assert.Contains("must get out", jobs[4].Caution);
        Assert.Contains("still damp", jobs[6].Caution);
    }

    [Fact]
    public void Rust_below_boards_waits_for_the_boards_and_a_hole_is_held_against_structure()
    {
        NextJob[] jobs =
        [
            .. WorkOrder.Of([
                Found("rust", FindingKind.Pitting),
                Found("wood", FindingKind.SoftWood) with
                {
                    Finding = Found("wood", FindingKind.SoftWood).Finding! with { State = FindingState.Planned },
                },
                Found("hole", FindingKind.Perforation),
            ]),
        ];
        Assert.Contains("licensed workshop", jobs.Single(j => j.Job.Id == "hole").Caution);
        // Soft wood makes it damp too, and that is said first.
        Assert.Contains("damp", jobs.Single(j => j.Job.Id == "rust").Caution);
        Assert.Null(WorkOrder.Of([Found("rust", FindingKind.Pitting)]).Single().Caution);
        var boards = new WaitingRepair("Boards", "replace", RepairTurn.ReplacesWood, Severity.Moderate);
        NextJob rust = WorkOrder
            .Of([Found("rust", FindingKind.Pitting), new(new Job(JobKind.Replacement, "r"), "Floor", null, Repair: boards)])
            .Single(j => j.Job.Id == "rust");
        Assert.Contains("boards, they come up first", rust.Caution);
    }

    [Fact]
    public void Within_a_step_the_worst_comes_first_and_the_older_of_two()
    {
        IReadOnlyList<NextJob> jobs = WorkOrder.Of([
            Found("new", FindingKind.OpenSeam, Severity.Minor, 3),
            Found("old", FindingKind.CrackedSealant, Severity.Minor, 1),
            Found("bad", FindingKind.MissingSeal, Severity.Severe, 2),
        ]);
        Assert.Equal(["bad", "old", "new"], jobs.Select(j => j.Job.Id));
        // Nothing is damp, so there is nothing to prove.
        Assert.All(jobs, j => Assert.StartsWith("close:", j.What));
    }

    [Fact] // Sprayed and dry inside, an open seam is still to be closed, after those that were not tested, and is not what wets the ceiling
    public void A_dry_water_test_of_a_seam_changes_what_is_said_of_it()
    {
        Waiting seam = Found("tested", FindingKind.OpenSeam, Severity.Severe),
            other = Found("other", FindingKind.OpenSeam, Severity.Minor),
            stain = Found("stain", FindingKind.Stain);
        Observation Test(bool wet, bool masked, PanelBox zone, int day) =>
            new(
                ObservationKind.WaterTest,
                new(0, 0),
                Seen.AddDays(day),
                wet,
                null,
                null,
                null,
                new Spray(PanelKind.Roof, zone, 5, masked),
                null,
                "",
                ""
            );
        PanelBox over = new(900, 1100, -50, 50),
            beside = new(2000, 2200, -50, 50);
        TestedJoint? Of(params Observation[] looked) => TestsOfFinding.Of(seam.Finding!, Roofs.Flat(), looked);
        Assert.Null(Of(Test(false, false, beside, 1), Test(false, false, over, -1)));
        // Wet speaks of it alone only where all else was covered.
        Assert.Null(Of(Test(true, false, over, 1)));
        Assert.Equal(new TestedJoint(true, new DateOnly(2026, 5, 3)), Of(Test(true, true, over, 1)));
        TestedJoint dry = Of(Test(true, true, over, 1), Test(false, false, over, 2))!;
        Assert.False(dry.Wet);
        IReadOnlyList<NextJob> jobs = WorkOrder.Of([seam with { Test = dry }, other, stain]);
        Assert.Equal(["other", "tested", "stain"], jobs.Select(j => j.Job.Id));
        Assert.StartsWith("close:", jobs[1].What);
        Assert.Contains("no water came in when it was sprayed on 2026-05-04", jobs[1].Why);
        Assert.Equal("tested", WorkOrder.Of([other, seam with { Test = dry with { Wet = true } }])[0].Job.Id);
    }

    [Fact]
    public void What_is_done_or_watched_does_not_wait() =>
        Assert.Empty(
            WorkOrder.Of([Found("a", FindingKind.Dent, state: FindingState.Done), Found("b", FindingKind.Scale, state: FindingState.Watch)])
        );

    [Fact] // Safety of the shell: while anything inside is damp, no job proposes to line, insulate or seal it from inside
    public void Nothing_that_traps_water_is_proposed() =>
        Gen.Enum<FindingKind>()
            .Array[1, 12]
            .Holds(kinds =>
                WorkOrder
                    .Of([.. kinds.Select((k, i) => Found($"{i}", k))])
                    .All(j => !j.What.Contains("line", StringComparison.Ordinal) && !j.What.Contains("insulate", StringComparison.Ordinal))
            );

    [Fact]
    public void A_finding_lies_on_its_panel_and_has_the_points_of_its_shape()
    {
        Finding seam = Found("seam", FindingKind.OpenSeam).Finding!;
        Assert.Null(FindingCheck.Of(Roofs.Flat(), seam));
        Assert.Equal("finding-points", FindingCheck.Of(Roofs.Flat(), seam with { Shape = FindingShape.Line })?.Code);
        Assert.Equal("finding-off-panel", FindingCheck.Of(Roofs.Flat(), seam with { Points = [new(9000, 0)] })?.Code);
        Assert.Equal(
            "outline-crosses-itself",
            FindingCheck
                .Of(Roofs.Flat(), seam with { Shape = FindingShape.Area, Points = [new(0, 0), new(100, 100), new(100, 0), new(0, 100)] })
                ?.Code
        );
    }

    private static Waiting Found(
        string id,
        FindingKind kind,
        Severity severity = Severity.Moderate,
        int day = 0,
        FindingState state = FindingState.Open
    ) =>
        new(
            new Job(JobKind.Finding, id),
            "Roof",
            new Finding(
                $"Finding {id}",
                kind,
                FindingShape.Point,
                [new(1000, 0)],
                ViewedFrom.Inside,
                severity,
                new FindingMeasures(null, null, null, null),
                state,
                "",
                Seen.AddDays(day),
                ""
            )
        );
}
