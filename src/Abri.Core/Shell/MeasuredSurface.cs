using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>
/// A surface from measured sections: linear between the readings of a section, linear between stations.
/// </summary>
/// <remarks>Outside the first and last reading, and before the first and behind the last station, the nearest one holds.</remarks>
/// <example>Sections 4 mm deep at station 1000 and 6 mm deep at 2000 give a skin 5 mm below the straight-edge at 1500.</example>
public sealed class MeasuredSurface : Surface
{
    private readonly SurfaceSection[] sections;
    private readonly double[] stations;

    /// <summary>The surface through sections; see <see cref="SectionCheck"/> for what they must keep.</summary>
    public MeasuredSurface(IEnumerable<SurfaceSection> sections)
    {
        this.sections = [.. sections.OrderBy(x => x.StationMm).Select(x => x with { Readings = [.. x.Readings.OrderBy(r => r.TMm)] })];
        stations = [.. this.sections.Select(x => x.StationMm)];
    }

    /// <inheritdoc/>
    public override double HeightAt(PanelPoint place)
    {
        (int low, int high, double share) = Between(stations, place.SMm);
        return Mixed(HeightIn(sections[low], place.TMm), HeightIn(sections[high], place.TMm), share);
    }

    /// <inheritdoc/>
    public override double[] Sample(SurfaceGrid grid)
    {
        double[] t = [.. Enumerable.Range(0, grid.Rows).Select(grid.TMm)];
        double[][] across = [.. sections.Select(section => t.Select(x => HeightIn(section, x)).ToArray())];
        var heights = new double[grid.Columns * grid.Rows];
        for (int column = 0; column < grid.Columns; column++)
        {
            (int low, int high, double share) = Between(stations, grid.SMm(column));
            for (int row = 0; row < grid.Rows; row++)
                heights[(column * grid.Rows) + row] = Mixed(across[low][row], across[high][row], share);
        }
        return heights;
    }

    private static double HeightIn(SurfaceSection section, double tMm)
    {
        IReadOnlyList<DepthReading> readings = section.Readings;
        int high = 0;
        while (high < readings.Count - 1 && readings[high].TMm < tMm)
            high++;
        int low = Math.Max(0, high - 1);
        double span = readings[high].TMm - readings[low].TMm;
        double share = span > 0 ? Math.Clamp((tMm - readings[low].TMm) / span, 0, 1) : 0;
        return section.StraightEdgeMm - Mixed(readings[low].DepthMm, readings[high].DepthMm, share);
    }

    private static (int Low, int High, double Share) Between(double[] at, double x)
    {
        int found = Array.BinarySearch(at, x);
        if (found >= 0)
            return (found, found, 0);
        int high = Math.Min(~found, at.Length - 1),
            low = Math.Max(0, ~found - 1);
        return (low, high, high > low ? (x - at[low]) / (at[high] - at[low]) : 0);
    }

    private static double Mixed(double a, double b, double share) => a + ((b - a) * share);
}
