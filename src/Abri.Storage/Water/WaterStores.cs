using Abri.Core.Record;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;

namespace Abri.Storage.Water;

/// <summary>The stores of what bears on water and lies on a panel, taken together.</summary>
/// <param name="Suspects">Suspects that somebody wrote down.</param>
/// <param name="Observations">What was looked at.</param>
/// <param name="SealReadings">Readings along seals.</param>
/// <param name="Drains">Drains.</param>
/// <param name="Coverings">What was put on panels or into them.</param>
public sealed record WaterStores(
    SuspectStore Suspects,
    ObservationStore Observations,
    SealReadingStore SealReadings,
    DrainStore Drains,
    CoveringStore Coverings
)
{
    /// <summary>Adds all of it to a panel as part of a larger change.</summary>
    internal void Insert(PendingChange pending, string panelId, WaterRecord water)
    {
        foreach (Suspect suspect in water.Suspects)
            Suspects.Insert(pending, panelId, suspect);
        foreach (Observation observation in water.Observations)
            Observations.Insert(pending, panelId, observation);
        foreach (SealReading reading in water.SealReadings)
            SealReadings.Insert(pending, panelId, reading);
        foreach (Drain drain in water.Drains)
            Drains.Insert(pending, panelId, drain);
        foreach (Covering covering in water.Coverings)
            Coverings.Insert(pending, panelId, covering);
    }
}
