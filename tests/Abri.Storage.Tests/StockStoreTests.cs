using Abri.Core.Bench;
using Abri.Core.Record;
using Abri.Core.Stages;
using Abri.Core.Stores;
using Abri.Core.Work;
using Abri.Storage.Shell;

namespace Abri.Storage.Tests;

public sealed class StockStoreTests : IDisposable
{
    private readonly Scratch scratch = new();

    public void Dispose() => scratch.Dispose();

    private static readonly DateOnly Day = new(2031, 5, 12);
    private static readonly StockItem Sealer = new(
        "seam-sealer",
        "Seam sealer",
        MaterialKind.Sealant,
        Unit.Ml,
        290,
        870,
        "Shelf",
        Day,
        Day.AddDays(300),
        null,
        "B 7",
        "two of them dented"
    );
    private static readonly StockItem Timber = new("timber-45x60", "Timber", MaterialKind.Wood, Unit.Mm, null, 2400, "", null, null, Day, "", "");

    [Fact]
    public void What_is_there_comes_back_as_it_was_travels_in_the_file_and_goes_with_its_vehicle()
    {
        BorrowedTool nibbler = new("Nibbler", "Jo", Day, false, "with its spare die");
        string id = scratch.Records.Add(RecordStoreTests.Whole with { Stock = [Sealer, Timber], Borrowed = [nibbler] });
        VehicleSnapshot van = scratch.Snapshots.Read(id)!;
        Assert.Equal([Sealer, Timber], van.Stock.Select(s => s.Value));
        Assert.Equal([Sealer, Timber], VehicleFile.Of(van, _ => null).Stock!);
        Assert.Equal([nibbler], van.Borrowed.Select(b => b.Value));
        Assert.Equal([nibbler], VehicleFile.Of(van, _ => null).Borrowed!);
        scratch.Vehicles.Remove(id, van.Vehicle.Version);
        Assert.Null(scratch.Stock.Find(van.Stock[0].Id));
        Assert.Null(scratch.Borrowed.Find(van.Borrowed[0].Id));
        scratch.History.Undo(VehicleStore.ListScope);
        Assert.Equal(2, scratch.Snapshots.Read(id)!.Stock.Count);
    }

    [Fact]
    public void A_step_takes_off_what_it_uses_in_its_own_change_and_undone_it_is_back()
    {
        string id = scratch.Records.Add(RecordStoreTests.Whole with { Stock = [Sealer] });
        VehicleSnapshot van = scratch.Snapshots.Read(id)!;
        StepDone step = new(
            new Job(JobKind.Opening, van.Openings[0].Id),
            "bed",
            "Bed",
            ShellChange.None,
            DateTimeOffset.UnixEpoch,
            new Minutes(1, 2, 3),
            new StepReport("t", "Ada", null, [], null, null, "", "Bed it."),
            null
        );
        var taken = new StockTaken([van.Stock[0] with { Value = Sealer with { Amount = 290 } }], [Sealer with { Amount = 180, OpenedOn = Day }]);
        Assert.Equal(WriteState.Done, scratch.Done.Do(id, new BenchChange(step, Taken: taken)).State);
        Assert.Equal([290.0, 180.0], scratch.Snapshots.Read(id)!.Stock.Select(s => s.Value.Amount));
        // From what somebody else took off meanwhile nothing is taken twice.
        Assert.Equal(WriteState.Stale, scratch.Done.Do(id, new BenchChange(step with { Key = "fix" }, Taken: taken)).State);
        Assert.Single(scratch.Snapshots.Read(id)!.Done);
        scratch.History.Undo(id);
        Assert.Equal(Sealer, scratch.Snapshots.Read(id)!.Stock.Single().Value);
        Assert.Empty(scratch.Snapshots.Read(id)!.Done);
    }
}
