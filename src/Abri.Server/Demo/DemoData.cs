using Abri.Storage.Openings;
using Abri.Storage.Record;
using Abri.Storage.Shell;

namespace Abri.Server.Demo;

/// <summary>Adds the demo vehicles to a database that holds nothing yet.</summary>
internal sealed class DemoData(RecordStore records, VehicleStore vehicles, FittingStore fittings)
{
    public void AddIfEmpty()
    {
        if (vehicles.All().Count > 0 || fittings.All().Count > 0)
            return;
        records.Add(Heron.Record);
        records.Add(Plover.Record);
    }
}
