using Abri.Core.Geometry;
using Abri.Core.Shell;
using CsCheck;

namespace Abri.Core.Tests.Shell;

public class WorkOrderTests
{
    private static readonly DateTimeOffset Seen = new(2026, 5, 2, 9, 0, 0, TimeSpan.Zero);

    [Fact] // The order of work: close, keep water out, find the leak, dry, rust, wood, new holes
    public void Outside_seals_come_before_inside_rust_and_rust_before_new_openings()
    {
        IReadOnlyList<NextJob> jobs = WorkOrder.Of(
        [
            new("opening", "Roof", null, "Roof vent"), Found("rust", FindingKind.Pitting, Severity.Severe), Found("wood", FindingKind.SoftWood, Severity.Severe),
            Found("stain", FindingKind.Stain), Found("seam", FindingKind.OpenSeam, Severity.Minor), Found("damp", FindingKind.DampInsulation), Found("drain", FindingKind.BlockedDrain),
            new("cut", "Left side", null, "Window", true),
        ]);
        Assert.Equal(["cut", "seam", "drain", "stain", "damp", "rust", "wood", "opening"], jobs.Select(j => j.Id));
        Assert.StartsWith("prove and close", jobs[1].What);
        Assert.Contains("must get out", jobs[4].Caution);
        Assert.Contains("still damp", jobs[5].Caution);
    }

    [Fact]
    public void Within_a_step_the_worst_comes_first_and_the_older_of_two()
    {
        IReadOnlyList<NextJob> jobs = WorkOrder.Of(
            [Found("new", FindingKind.OpenSeam, Severity.Minor, 3), Found("old", FindingKind.CrackedSealant, Severity.Minor, 1), Found("bad", FindingKind.MissingSeal, Severity.Severe, 2)]);
        Assert.Equal(["bad", "old", "new"], jobs.Select(j => j.Id));
        // Nothing is damp, so there is nothing to prove.
        Assert.All(jobs, j => Assert.StartsWith("close:", j.What));
    }

    [Fact]
    public void What_is_done_or_watched_does_not_wait() =>
        Assert.Empty(WorkOrder.Of([Found("a", FindingKind.Dent, state: FindingState.Done), Found("b", FindingKind.Scale, state: FindingState.Watch)]));

    [Fact] // Safety of the shell: while anything inside is damp, no job proposes to line, insulate or seal it from inside
    public void Nothing_that_traps_water_is_proposed() =>
        Gen.Enum<FindingKind>().Array[1, 12].Holds(kinds => WorkOrder.Of([.. kinds.Select((k, i) => Found($"{i}", k))])
            .All(j => !j.What.Contains("line", StringComparison.Ordinal) && !j.What.Contains("insulate", StringComparison.Ordinal)));

    [Fact]
    public void A_finding_lies_on_its_panel_and_has_the_points_of_its_shape()
    {
        Finding seam = Found("seam", FindingKind.OpenSeam).Finding!;
        Assert.Null(FindingCheck.Of(Roofs.Flat(), seam));
        Assert.Equal("finding-points", FindingCheck.Of(Roofs.Flat(), seam with { Shape = FindingShape.Line })?.Code);
        Assert.Equal("finding-off-panel", FindingCheck.Of(Roofs.Flat(), seam with { Points = [new(9000, 0)] })?.Code);
        Assert.Equal("outline-crosses-itself", FindingCheck.Of(Roofs.Flat(), seam with { Shape = FindingShape.Area, Points = [new(0, 0), new(100, 100), new(100, 0), new(0, 100)] })?.Code);
    }

    private static Waiting Found(string id, FindingKind kind, Severity severity = Severity.Moderate, int day = 0, FindingState state = FindingState.Open) => new(
        id, "Roof",
        new Finding($"Finding {id}", kind, FindingShape.Point, [new(1000, 0)], ViewedFrom.Inside, severity, new FindingMeasures(null, null, null, null), state, "", Seen.AddDays(day), ""));
}
