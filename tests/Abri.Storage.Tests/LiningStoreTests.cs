using Abri.Core;
using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Record;
using Abri.Core.Shell;

namespace Abri.Storage.Tests;

/// <summary>Linings, and boards that are there to be cut from.</summary>
public sealed class LiningStoreTests : IDisposable
{
    private readonly Scratch scratch = new();
    private readonly string vehicle;
    private readonly Stored<Panel> panel;

    public LiningStoreTests() => (vehicle, panel) = scratch.Filled() is var filled ? (filled.Vehicle.Id, filled.Roof) : default;

    public void Dispose() => scratch.Dispose();

    private static Lining Ceiling(string name = "Ceiling") =>
        new(
            name,
            new PanelBox(0, 1000, 0, 400).Corners,
            NewSheet.Usual(BoardMaterial.BirchPly, 6),
            Grain.Across,
            25,
            LiningLies.Flat,
            12,
            LiningState.Planned,
            "note"
        );

    private static StockBoard Boards(int count) => new("Old shelf", BoardMaterial.BirchPly, 6, 1500, 700, count, "dry");

    private static Replacement Soft =>
        new(
            "Soft board",
            new PanelBox(0, 200, 0, 200).Corners,
            150,
            NewSheet.Usual(BoardMaterial.BirchPly, 6),
            ReplacementState.Planned,
            null,
            [],
            ""
        );

    [Fact]
    public void All_of_it_comes_back_as_it_was_kept_in_the_snapshot_and_in_a_file()
    {
        scratch.Floors.Linings.Add(panel.Id, Ceiling());
        scratch.Floors.Stock.Add(vehicle, Boards(3));
        VehicleSnapshot now = scratch.Snapshots.Read(vehicle)!;
        Assert.Equal(AbriJson.Write(Ceiling()), AbriJson.Write(Assert.Single(now.Floor.Linings).Value));
        Assert.Equal(Boards(3), Assert.Single(now.Floor.Stock).Value);
        VehicleRecord file = VehicleFile.Of(now, _ => null);
        VehicleSnapshot copied = scratch.Snapshots.Read(scratch.Records.Add(file with { Vehicle = file.Vehicle with { Name = "Copy" } }))!;
        VehicleRecord again = VehicleFile.Of(copied, _ => null);
        Assert.Equal(AbriJson.Write(file.Panels), AbriJson.Write(again.Panels));
        Assert.Equal([Boards(3)], again.StockBoards);
    }

    [Fact]
    public void Sawing_is_one_change_of_boards_rests_linings_and_replacements_and_one_undo_brings_all_back()
    {
        Stored<Lining> lining = scratch.Floors.Linings.Add(panel.Id, Ceiling()).Row!;
        Stored<Replacement> soft = scratch.Floors.Replacements.Add(panel.Id, Soft).Row!;
        Stored<StockBoard> three = scratch.Floors.Stock.Add(vehicle, Boards(3)).Row!,
            one = scratch.Floors.Stock.Add(vehicle, Boards(1)).Row!;
        StockBoard rest = Boards(1) with { Name = "Offcut of old shelf", LengthMm = 480 };
        Assert.Equal(WriteState.Done, scratch.Floors.Stock.Cut(vehicle, [(three, 2), (one, 1)], [rest], [soft.Id], [lining.Id]));
        FloorRows rows = scratch.Snapshots.Read(vehicle)!.Floor;
        // Two of three are gone, the single one altogether.
        Assert.Equal([Boards(1), rest], rows.Stock.Select(s => s.Value).OrderByDescending(s => s.LengthMm));
        Assert.Equal((LiningState.Cut, true), (rows.Linings[0].Value.State, rows.Replacements[0].Value.BoardsCut));
        Assert.Equal("Cut the boards of 2 jobs", scratch.History.Undo(vehicle).What);
        rows = scratch.Snapshots.Read(vehicle)!.Floor;
        Assert.Equal([3, 1], rows.Stock.Select(s => s.Value.Count));
        Assert.Equal((LiningState.Planned, false), (rows.Linings[0].Value.State, rows.Replacements[0].Value.BoardsCut));
    }

    [Fact]
    public void A_board_that_is_another_one_by_now_is_not_sawn()
    {
        Stored<StockBoard> seen = scratch.Floors.Stock.Add(vehicle, Boards(3)).Row!;
        scratch.Floors.Stock.Replace(seen.Id, seen.Version, seen.Value with { LengthMm = 900 });
        Assert.Equal(WriteState.Stale, scratch.Floors.Stock.Cut(vehicle, [(seen, 1)], [], [], []));
        Assert.Equal(3, scratch.Floors.Stock.Find(seen.Id)!.Value.Count);
    }

    [Fact]
    public void They_go_with_panel_and_vehicle_and_come_back()
    {
        scratch.Floors.Linings.Add(panel.Id, Ceiling());
        scratch.Floors.Stock.Add(vehicle, Boards(1));
        scratch.Panels.Remove(panel.Id, panel.Version);
        Assert.Empty(scratch.Floors.Linings.All());
        scratch.History.Undo(vehicle);
        Stored<Vehicle> row = scratch.Vehicles.Find(vehicle)!;
        scratch.Vehicles.Remove(vehicle, row.Version);
        Assert.Empty(scratch.Floors.Linings.All());
        Assert.Empty(scratch.Floors.Stock.All());
        scratch.History.Undo(Abri.Storage.Shell.VehicleStore.ListScope);
        Assert.Single(scratch.Snapshots.Read(vehicle)!.Floor.Linings);
        Assert.Single(scratch.Snapshots.Read(vehicle)!.Floor.Stock);
    }
}
