using Abri.Core.Geometry;

namespace Abri.Core.Water;

/// <summary>What a wood-moisture meter read, where and when.</summary>
/// <param name="PanelId">Id of the panel.</param>
/// <param name="At">Where on it.</param>
/// <param name="ReadAt">When, UTC.</param>
/// <param name="MoisturePercent">Moisture, % of dry mass.</param>
public sealed record MeterReading(string PanelId, PanelPoint At, DateTimeOffset ReadAt, double MoisturePercent);

/// <summary>A place at which the meter was held, and how the wood dries there.</summary>
/// <param name="PanelId">Id of the panel.</param>
/// <param name="At">Where it was held first.</param>
/// <param name="MoisturePercents">What was read, oldest first, % of dry mass.</param>
/// <param name="LastAt">When it was held last, UTC.</param>
/// <param name="Outlook">How it dries; null with fewer than two readings an hour apart.</param>
/// <param name="DryAt">When it will have fallen below the limit, UTC; null where it has, or where that cannot be told.</param>
public sealed record DryingPlace(
    string PanelId,
    PanelPoint At,
    IReadOnlyList<double> MoisturePercents,
    DateTimeOffset LastAt,
    Worked<DryingOutlook>? Outlook,
    DateTimeOffset? DryAt
);

/// <summary>
/// Gathers readings of a moisture meter by place and says for each place how its wood dries.
/// </summary>
/// <remarks>
/// Readings within a hand's width of the first one at a place are of that place (<see cref="SameMm"/>): a meter is never held twice to the same
/// grain. What is foretold, and the limit, are those of <see cref="Drying"/>.
/// </remarks>
public static class DryingPlaces
{
    /// <summary>Readings within this of one another are of one place, mm: a hand's width; assumption.</summary>
    public const double SameMm = 100;

    /// <summary>The places in the order in which the meter was first held there.</summary>
    public static IReadOnlyList<DryingPlace> Of(IEnumerable<MeterReading> readings)
    {
        var places = new List<List<MeterReading>>();
        foreach (MeterReading reading in readings.OrderBy(r => r.ReadAt))
        {
            List<MeterReading>? place = places.Find(p => p[0].PanelId == reading.PanelId && p[0].At.DistanceMm(reading.At) <= SameMm);
            if (place is null)
                places.Add(place = []);
            place.Add(reading);
        }
        return [.. places.Select(Place)];
    }

    private static DryingPlace Place(List<MeterReading> readings)
    {
        MeterReading first = readings[0],
            last = readings[^1];
        Worked<DryingOutlook>? outlook = Drying
            .Of([.. readings.Select(r => new MoistureReading((r.ReadAt - first.ReadAt).TotalHours, r.MoisturePercent))])
            .Value;
        return new DryingPlace(
            first.PanelId,
            first.At,
            [.. readings.Select(r => r.MoisturePercent)],
            last.ReadAt,
            outlook,
            outlook?.Result.HoursToLimit is > 0 and { } hours ? last.ReadAt.AddHours(hours) : null
        );
    }
}
