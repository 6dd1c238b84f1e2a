using Abri.Core.Record;

namespace Abri.Storage.Load;

/// <summary>The stores of what a vehicle carries.</summary>
/// <param name="Items">What somebody wrote down.</param>
/// <param name="Weighings">Times on a weighbridge.</param>
public sealed record LoadStores(LoadItemStore Items, WeighingStore Weighings)
{
    /// <summary>All of it, of one vehicle.</summary>
    internal LoadRows OfVehicle(string vehicleId) => new(Items.OfVehicle(vehicleId), Weighings.OfVehicle(vehicleId));

    internal void Insert(PendingChange pending, string vehicle, LoadRecord record)
    {
        foreach (Core.Load.LoadItem item in record.Items)
            Items.Insert(pending, vehicle, item);
        foreach (Core.Load.Weighing weighing in record.Weighings)
            Weighings.Insert(pending, vehicle, weighing);
    }
}
