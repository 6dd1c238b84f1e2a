using Abri.Core.Declared;

namespace Abri.Core.Load;

/// <summary>What carries a vehicle.</summary>
/// <param name="FrontAtMm">X of the front axle, mm; of a trailer, of the coupling.</param>
/// <param name="WheelbaseMm">From axle to axle, mm; of a trailer, from coupling to axle.</param>
/// <param name="TrackMm">From the middle of a left wheel to that of a right one, mm; null where it is not known.</param>
/// <param name="IsTrailer">Whether a coupling stands in for the front axle.</param>
public sealed record Gear(
    [Within(-6000, 6000, "The place of the front axle", "mm")] double FrontAtMm,
    [Within(500, 15_000, "The wheelbase", "mm")] double WheelbaseMm,
    [Within(700, 2600, "The track", "mm")] double? TrackMm = null,
    bool IsTrailer = false
)
{
    /// <summary>Share of a mass that the rear axle carries: more than all of it, or less than nothing, where it hangs over.</summary>
    internal double RearShare(double xMm) => (xMm - FrontAtMm) / WheelbaseMm;
}

/// <summary>A mass at a place.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Kg">Its mass, kg; less than 0 for what is taken out.</param>
/// <param name="At">Where.</param>
public sealed record PlacedMass([Name(200)] string Name, [Within(-40_000, 40_000, "The mass", "kg")] double Kg, LoadPlace At);

/// <summary>What stands on the axles.</summary>
/// <param name="TotalKg">All of it, kg.</param>
/// <param name="FrontKg">On the front axle or the coupling, kg.</param>
/// <param name="RearKg">On the rear axle, kg.</param>
/// <param name="LeftKg">On the left wheels, kg; of a trailer, of its axle. Null where the track is not known.</param>
/// <param name="RightKg">On the right wheels, kg.</param>
/// <param name="Centre">Centre of mass; null where there is none.</param>
public sealed record OnAxles(double TotalKg, double FrontKg, double RearKg, double? LeftKg, double? RightKg, LoadPlace? Centre);

/// <summary>Axle loads by the lever.</summary>
/// <remarks>
/// Moments about the front axle give the rear axle's load, what is left stands on the front. Sideways the same with the track: of a vehicle over all
/// its wheels, of a trailer over those of its axle, since a coupling takes no tilt.
/// </remarks>
/// <example>100 kg at 0.6 of the wheelbase behind the front axle: 60 kg on the rear, 40 kg on the front.</example>
public static class AxleLoads
{
    /// <summary>The answer.</summary>
    /// <param name="gear">What carries it.</param>
    /// <param name="masses">The masses.</param>
    public static Worked<OnAxles> Of(Gear gear, IReadOnlyList<PlacedMass> masses)
    {
        var sheet = new Worksheet();
        double total = sheet.Step("m", "mass", "sum of the masses", masses.Sum(p => p.Kg), "kg");
        double rear = sheet.Step(
            "R",
            "on the rear axle",
            "sum of m (x - x_front) / wheelbase",
            masses.Sum(p => p.Kg * gear.RearShare(p.At.XMm)),
            "kg"
        );
        double front = sheet.Step("F", gear.IsTrailer ? "on the coupling" : "on the front axle", "m - R", total - rear, "kg");
        double? left = null,
            right = null;
        if (gear.TrackMm is { } track)
        {
            double onWheels = gear.IsTrailer ? rear : total,
                tilt = masses.Sum(p => p.Kg * p.At.YMm) / track;
            left = sheet.Step("L", "on the left wheels", $"{(gear.IsTrailer ? "R" : "m")} / 2 + sum of m y / track", (onWheels / 2) + tilt, "kg");
            right = sheet.Step("r", "on the right wheels", "the rest", onWheels - left.Value, "kg");
        }
        LoadPlace? centre =
            Math.Abs(total) < 1e-6 ? null : new(Mean(masses, p => p.XMm, total), Mean(masses, p => p.YMm, total), Mean(masses, p => p.ZMm, total));
        sheet.Cite(new Source("Law of the lever", SourceKind.Geometry));
        return sheet.Finish(new OnAxles(total, front, rear, left, right, centre));
    }

    private static double Mean(IReadOnlyList<PlacedMass> masses, Func<LoadPlace, double> of, double total) =>
        masses.Sum(p => p.Kg * of(p.At)) / total;
}
