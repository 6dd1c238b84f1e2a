namespace Abri.Server.Devices;

/// <summary>A measuring device that a person would hold.</summary>
public enum DeviceKind
{
    /// <summary>Laser distance meter.</summary>
    DistanceMeter,

    /// <summary>Wood-moisture meter.</summary>
    MoistureMeter,

    /// <summary>Thermo-hygrometer.</summary>
    ThermoHygrometer,
}

/// <summary>How far a reading can be trusted.</summary>
public enum ReadingQuality
{
    /// <summary>Steady.</summary>
    Good,

    /// <summary>Far from the ones around it: an edge was missed, or a pin did not touch.</summary>
    Doubtful,
}

/// <summary>What a device read.</summary>
/// <param name="Device">The device.</param>
/// <param name="Simulated">Always true: the devices that ship with the program are stand-ins.</param>
/// <param name="Number">Number of the reading since the device was seeded, from 1.</param>
/// <param name="Quality">How far it can be trusted.</param>
/// <param name="DistanceMm">Distance, mm; null for other devices.</param>
/// <param name="MoisturePercent">Moisture of wood, % of dry mass; null for other devices.</param>
/// <param name="TemperatureC">Air temperature, degrees C; null for other devices.</param>
/// <param name="HumidityPercent">Relative humidity, %; null for other devices.</param>
public sealed record DeviceReading(
    DeviceKind Device,
    bool Simulated,
    int Number,
    ReadingQuality Quality,
    double? DistanceMm,
    double? MoisturePercent,
    double? TemperatureC,
    double? HumidityPercent
);

/// <summary>
/// A stand-in for a measuring device: the same seed gives the same readings, with an occasional bad one and an occasional drop-out.
/// </summary>
/// <remarks>
/// Readings scatter about a value that changes slowly, as when a person goes on to the next place. One in twelve is bad, one in nine does not come.
/// All figures are invented.
/// </remarks>
internal sealed class SimulatedDevice(DeviceKind kind, int seed)
{
    private const double BadShare = 1.0 / 12,
        SilentShare = 1.0 / 9;
    private readonly Random random = new(seed);
    private readonly Lock turn = new();
    private int number;

    /// <summary>The next reading, or null when the device does not answer.</summary>
    public DeviceReading? Next()
    {
        lock (turn)
        {
            number++;
            double fate = random.NextDouble(),
                noise = Noise(),
                place = random.NextDouble();
            if (fate < SilentShare)
                return null;
            bool bad = fate < SilentShare + BadShare;
            ReadingQuality quality = bad ? ReadingQuality.Doubtful : ReadingQuality.Good;
            return kind switch
            {
                DeviceKind.DistanceMeter => new DeviceReading(
                    kind,
                    true,
                    number,
                    quality,
                    Math.Round(400 + (1600 * place) + noise + (bad ? 320 : 0), 1),
                    null,
                    null,
                    null
                ),
                DeviceKind.MoistureMeter => new DeviceReading(
                    kind,
                    true,
                    number,
                    quality,
                    null,
                    Math.Round(bad ? 2 : 11 + (20 * place) + (noise / 2), 1),
                    null,
                    null
                ),
                _ => new DeviceReading(
                    kind,
                    true,
                    number,
                    quality,
                    null,
                    null,
                    Math.Round(14 + (6 * place) + (noise / 4), 1),
                    Math.Round(bad ? 99 : 55 + (25 * place) + noise, 0)
                ),
            };
        }
    }

    /// <summary>About normal, with a standard deviation of 0.7: the sum of twelve even numbers, less six.</summary>
    private double Noise() => (Enumerable.Range(0, 12).Sum(_ => random.NextDouble()) - 6) * 0.7;
}
