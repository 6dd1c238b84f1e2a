using Abri.Core;
using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Record;
using Abri.Core.Shell;

namespace Abri.Storage.Tests;

/// <summary>Probes, boards and replacements, and what follows from them.</summary>
public sealed class FloorStoreTests : IDisposable
{
    private static readonly DateTimeOffset Day = new(2026, 6, 1, 9, 30, 0, TimeSpan.Zero);
    private readonly Scratch scratch = new();
    private readonly string vehicle;
    private readonly Stored<Panel> panel;

    public FloorStoreTests() => (vehicle, panel) = scratch.Filled() is var filled ? (filled.Vehicle.Id, filled.Roof) : default;

    public void Dispose() => scratch.Dispose();

    private Stored<Finding> Soft() =>
        scratch
            .Findings.Add(
                panel.Id,
                new Finding(
                    "Soft",
                    FindingKind.SoftWood,
                    FindingShape.Point,
                    [new(500, 100)],
                    ViewedFrom.Inside,
                    Severity.Severe,
                    new(null, null, null, 30),
                    FindingState.Open,
                    "",
                    Day,
                    ""
                )
            )
            .Row!;

    private static Replacement Over(params string[] findings) =>
        new(
            "Soft board",
            new PanelBox(400, 600, 0, 200).Corners,
            150,
            NewSheet.Usual(BoardMaterial.BirchPly, 15),
            ReplacementState.Planned,
            null,
            findings,
            "note"
        );

    private FindingState StateOf(string id) => scratch.Findings.Find(id)!.Value.State;

    [Fact]
    public void All_of_it_comes_back_as_it_was_kept_in_the_snapshot_and_in_a_file()
    {
        var probe = new Probe(ProbeOf.Member, new PanelPoint(500, 120), WoodState.Through, 31.5, Day, "handle deep");
        var board = new Board("Old sheet", new PanelBox(0, 1000, 0, 500).Corners, BoardMaterial.StrandBoard, 12.7, Grain.Across, "");
        scratch.Floors.Probes.Add(panel.Id, probe);
        scratch.Floors.Boards.Add(panel.Id, board);
        Replacement over = Over(Soft().Id);
        scratch.Floors.Replacements.Add(panel.Id, over);
        FloorRows rows = scratch.Snapshots.Read(vehicle)!.Floor;
        Assert.Equal(AbriJson.Write(probe), AbriJson.Write(Assert.Single(rows.Probes).Value));
        Assert.Equal(AbriJson.Write(board), AbriJson.Write(Assert.Single(rows.Boards).Value));
        Assert.Equal(AbriJson.Write(over), AbriJson.Write(Assert.Single(rows.Replacements).Value));

        VehicleRecord file = VehicleFile.Of(scratch.Snapshots.Read(vehicle)!, _ => null);
        Assert.Equal(["finding-1"], file.Panels.Single(p => p.Floor is not null).Floor!.Replacements[0].FindingIds);
        string copy = scratch.Records.Add(file with { Vehicle = file.Vehicle with { Name = "Copy" } });
        VehicleSnapshot copied = scratch.Snapshots.Read(copy)!;
        Assert.Equal(AbriJson.Write(file.Panels), AbriJson.Write(VehicleFile.Of(copied, _ => null).Panels));
        Assert.Equal(copied.Findings[0].Id, copied.Floor.Replacements[0].Value.FindingIds.Single());
    }

    [Fact] // A finding is done when the last of all that mends it is, repairs among them
    public void A_finding_follows_its_replacement_and_its_repairs_together()
    {
        string soft = Soft().Id;
        Stored<Replacement> row = scratch.Floors.Replacements.Add(panel.Id, Over(soft)).Row!;
        Assert.Equal(FindingState.Planned, StateOf(soft));
        Repair look = Repair.At("Look", RepairKind.Leave, FindingShape.Point, [new(500, 100)]) with { FindingIds = [soft] };
        Stored<Repair> repair = scratch.Repairs.Add(panel.Id, look).Row!;
        row = scratch
            .Floors.Replacements.Replace(row.Id, row.Version, row.Value with { State = ReplacementState.Done, DoneOn = new DateOnly(2026, 6, 2) })
            .Row!;
        Assert.Equal(FindingState.Planned, StateOf(soft));
        scratch.Repairs.Replace(repair.Id, repair.Version, look with { State = RepairState.Watch, DoneOn = new DateOnly(2026, 6, 3) });
        Assert.Equal(FindingState.Watch, StateOf(soft));
        scratch.History.Undo(vehicle);
        scratch.History.Undo(vehicle);
        Assert.Equal(ReplacementState.Planned, scratch.Floors.Replacements.Find(row.Id)!.Value.State);
        Assert.Equal(FindingState.Planned, StateOf(soft));
    }

    [Fact]
    public void A_finding_that_goes_lets_its_replacement_stand_and_comes_back_to_it()
    {
        Stored<Finding> soft = Soft();
        Stored<Replacement> row = scratch.Floors.Replacements.Add(panel.Id, Over(soft.Id)).Row!;
        Stored<Finding> now = scratch.Findings.Find(soft.Id)!;
        scratch.Findings.Remove(now.Id, now.Version);
        Assert.Empty(scratch.Floors.Replacements.Find(row.Id)!.Value.FindingIds);
        scratch.History.Undo(vehicle);
        Assert.Equal([soft.Id], scratch.Floors.Replacements.Find(row.Id)!.Value.FindingIds);
        Assert.Equal("unknown", scratch.Floors.Replacements.UnknownFinding(panel.Id, Over("unknown")));
    }

    [Fact]
    public void It_goes_with_its_panel_and_with_its_vehicle_and_comes_back()
    {
        scratch.Floors.Probes.Add(panel.Id, new Probe(ProbeOf.Board, new PanelPoint(1, 2), WoodState.Sound, null, Day, ""));
        scratch.Floors.Replacements.Add(panel.Id, Over());
        Stored<Vehicle> row = scratch.Vehicles.Find(vehicle)!;
        scratch.Vehicles.Remove(vehicle, row.Version);
        Assert.Empty(scratch.Floors.Probes.All());
        scratch.History.Undo(Abri.Storage.Shell.VehicleStore.ListScope);
        Assert.Single(scratch.Snapshots.Read(vehicle)!.Floor.Probes);
        Assert.Single(scratch.Snapshots.Read(vehicle)!.Floor.Replacements);
    }
}
