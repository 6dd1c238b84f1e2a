using Abri.Core.Load;
using Abri.Core.Record;
using Abri.Storage.Shell;

namespace Abri.Storage.Tests;

public sealed class LoadStoreTests : IDisposable
{
    private readonly Scratch scratch = new();

    public void Dispose() => scratch.Dispose();

    private static readonly LoadItem Kiln = new("Kiln", LoadKind.Fixed, 118.5, new LoadPlace(4020.25, -480, 300), 100, false, true, "Strapped");
    private static readonly LoadItem Shelves = new("Shelves", LoadKind.Deadening, 40, new LoadPlace(0, 0, 0), 35, true, false, "");
    private static readonly Weighing Bridge = new(
        new DateOnly(2031, 4, 30),
        LoadState.Travel,
        new WeighbridgeReading(2610, 1400.5, null, null, 1290),
        new AxleShares(80, -20.5, 12),
        "Quarry"
    );

    [Fact]
    public void What_is_carried_comes_back_as_it_was_travels_in_the_file_and_goes_with_its_vehicle()
    {
        VehicleRecord record = RecordStoreTests.Whole with { Load = new LoadRecord([Kiln, Shelves], [Bridge]) };
        string id = scratch.Records.Add(record);
        VehicleSnapshot van = scratch.Snapshots.Read(id)!;
        Assert.Equal([Kiln, Shelves], van.Load.Items.Select(i => i.Value));
        Assert.Equal([Bridge], van.Load.Weighings.Select(w => w.Value));
        LoadRecord file = VehicleFile.Of(van, _ => null).Load!;
        Assert.Equal([Kiln, Shelves], file.Items);
        Assert.Equal([Bridge], file.Weighings);
        Assert.Null(VehicleFile.Of(scratch.Snapshots.Read(scratch.Records.Add(record with { Load = null }))!, _ => null).Load);

        scratch.Vehicles.Remove(id, van.Vehicle.Version);
        Assert.Null(scratch.Load.Items.Find(van.Load.Items[0].Id));
        Assert.Null(scratch.Load.Weighings.Find(van.Load.Weighings[0].Id));
        scratch.History.Undo(VehicleStore.ListScope);
        Assert.Equal(2, scratch.Snapshots.Read(id)!.Load.Items.Count);
    }

    [Fact]
    public void A_change_of_what_is_carried_is_undone_with_its_vehicle()
    {
        string id = scratch.Records.Add(RecordStoreTests.Whole);
        scratch.Load.Items.Add(id, Kiln);
        var row = scratch.Load.Items.OfVehicle(id).Single();
        scratch.Load.Items.Replace(row.Id, row.Version, Kiln with { Kg = 90 });
        scratch.History.Undo(id);
        Assert.Equal(118.5, scratch.Load.Items.Find(row.Id)!.Value.Kg);
        scratch.History.Undo(id);
        Assert.Empty(scratch.Snapshots.Read(id)!.Load.Items);
    }
}
