using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Sealing;
using Abri.Core.Shell;

namespace Abri.Storage.Tests;

public sealed class RepairStoreTests : IDisposable
{
    private readonly Scratch scratch = new();
    private readonly Stored<Panel> roof;
    private readonly string vehicle;

    public RepairStoreTests() => (vehicle, roof) = scratch.Filled() is var filled ? (filled.Vehicle.Id, filled.Roof) : default;

    public void Dispose() => scratch.Dispose();

    private Stored<Finding> Found(string name) =>
        scratch
            .Findings.Add(
                roof.Id,
                new Finding(
                    name,
                    FindingKind.Perforation,
                    FindingShape.Point,
                    [new(500, 100)],
                    ViewedFrom.Outside,
                    Severity.Severe,
                    new FindingMeasures(20, null, null, null),
                    FindingState.Open,
                    "",
                    DateTimeOffset.UnixEpoch,
                    ""
                )
            )
            .Row!;

    private static Repair Patch(params string[] findings) =>
        new(
            "Patch",
            RepairKind.Patch,
            FindingShape.Point,
            [new(500, 100)],
            20,
            null,
            new RustSpot(RustGrade.ManyPits, true, 0.8, null, 40, 20, false, false, true, true, [Nearby.Wiring]),
            PatchDesign.Usual(0.8) with
            {
                Sides = [new PatchSide(Side.Front, null, 30, [new Fold(FoldTo.Outside, 90, 1, 20)])],
            },
            new HoleRow(6, 0.8, SheetMetal.MildSteel, true, false, HoleWay.Putty),
            new SeamRun(12, 6, 3),
            new TrimRun(TrimHeld.Screws, 150, 25),
            RepairState.Planned,
            null,
            findings,
            "notes"
        );

    private FindingState State(string id) => scratch.Findings.Find(id)!.Value.State;

    [Fact]
    public void Every_field_is_kept()
    {
        Repair repair = Patch(Found("hole").Id) with { State = RepairState.Watch, DoneOn = new DateOnly(2026, 6, 1) };
        Stored<Repair> row = scratch.Repairs.Add(roof.Id, repair).Row!;
        Assert.Equal(AbriJson.Write(repair), AbriJson.Write(scratch.Repairs.Find(row.Id)!.Value));
        Assert.Equal(AbriJson.Write(repair), AbriJson.Write(Assert.Single(scratch.Snapshots.Read(vehicle)!.Repairs).Value));
    }

    [Fact] // A finding is done when the last of its repairs is, and all of it is one change each
    public void Findings_follow_their_repairs_and_so_does_undo()
    {
        string hole = Found("hole").Id,
            other = Found("other").Id;
        Stored<Repair> one = scratch.Repairs.Add(roof.Id, Patch(hole, other)).Row!,
            two = scratch.Repairs.Add(roof.Id, Patch(hole) with { Name = "Paint" }).Row!;
        Assert.Equal((FindingState.Planned, FindingState.Planned), (State(hole), State(other)));
        Stored<Repair> done = scratch
            .Repairs.Replace(one.Id, one.Version, one.Value with { State = RepairState.Done, DoneOn = new DateOnly(2026, 6, 1) })
            .Row!;
        Assert.Equal((FindingState.Planned, FindingState.Done), (State(hole), State(other)));
        scratch.Repairs.Replace(two.Id, two.Version, two.Value with { State = RepairState.Watch, DoneOn = new DateOnly(2026, 6, 2) });
        Assert.Equal(FindingState.Watch, State(hole));
        scratch.History.Undo(vehicle);
        scratch.History.Undo(vehicle);
        Assert.Equal((FindingState.Planned, FindingState.Planned), (State(hole), State(other)));
        Assert.Equal(RepairState.Planned, scratch.Repairs.Find(done.Id)!.Value.State);
        // A change that has nothing to do with its state leaves them alone.
        Stored<Finding> row = scratch.Findings.Find(hole)!;
        scratch.Findings.Replace(hole, row.Version, row.Value with { State = FindingState.Open });
        Stored<Repair> now = scratch.Repairs.Find(one.Id)!;
        scratch.Repairs.Replace(one.Id, now.Version, now.Value with { Notes = "later" });
        Assert.Equal(FindingState.Open, State(hole));
    }

    [Fact]
    public void A_finding_that_goes_lets_its_repair_stand_by_itself_and_comes_back_to_it()
    {
        Stored<Finding> hole = Found("hole");
        Stored<Repair> row = scratch.Repairs.Add(roof.Id, Patch(hole.Id)).Row!;
        scratch.Findings.Remove(hole.Id, scratch.Findings.Find(hole.Id)!.Version);
        Assert.Empty(scratch.Repairs.Find(row.Id)!.Value.FindingIds);
        scratch.History.Undo(vehicle);
        Assert.Equal([hole.Id], scratch.Repairs.Find(row.Id)!.Value.FindingIds);
    }

    [Fact]
    public void Joints_follow_a_repair_and_outlive_it()
    {
        Stored<Repair> row = scratch.Repairs.Add(roof.Id, Patch()).Row!;
        Joint joint = RepairJoints.Of(row.Id, row.Value, roof.Value)!;
        Stored<Joint> kept = scratch.Joints.Add(roof.Id, joint).Row!;
        Assert.True(scratch.Joints.IsOnPanel(roof.Id, joint.Of!));
        Assert.Equal(joint.Of, scratch.Joints.Find(kept.Id)!.Value.Of);
        row = scratch.Repairs.Replace(row.Id, row.Version, row.Value with { Name = "Step patch" }).Row!;
        Assert.Equal("Step patch: patch edge", scratch.Joints.Find(kept.Id)!.Value.Name);
        scratch.Repairs.Remove(row.Id, row.Version);
        Assert.Null(scratch.Joints.Find(kept.Id)!.Value.Of);
        scratch.History.Undo(vehicle);
        Assert.Equal(joint.Of, scratch.Joints.Find(kept.Id)!.Value.Of);
    }

    [Fact]
    public void Repairs_travel_with_their_findings_and_joints_and_go_with_their_panel()
    {
        Stored<Finding> hole = Found("hole");
        Stored<Repair> row = scratch.Repairs.Add(roof.Id, Patch(hole.Id)).Row!;
        scratch.Joints.Add(roof.Id, RepairJoints.Of(row.Id, row.Value, roof.Value)!);
        var file = scratch.Read(vehicle);
        Assert.Equal(["finding-1"], Assert.Single(file.Panels[0].Repairs!).Value.FindingIds);
        Assert.Null(Abri.Core.Record.RecordCheck.Of(file));
        string copy = scratch.Records.Add(file);
        Assert.Equal(AbriJson.Write(file), AbriJson.Write(scratch.Read(copy)));
        Assert.Null(scratch.Repairs.UnknownFinding(roof.Id, row.Value));
        Assert.Equal("nobody", scratch.Repairs.UnknownFinding(roof.Id, Patch("nobody")));
        scratch.Panels.Remove(roof.Id, roof.Version);
        Assert.DoesNotContain(scratch.Repairs.All(), r => r.OwnerId == roof.Id);
        scratch.History.Undo(vehicle);
        Assert.Equal(AbriJson.Write(file), AbriJson.Write(scratch.Read(vehicle)));
    }
}
