using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>A surface ready to be drawn: heights over a grid, and sections across it at each station asked for.</summary>
/// <param name="Grid">The grid.</param>
/// <param name="HeightsMm">Heights, column by column along s, each from the lowest t, to a hundredth of a mm.</param>
/// <param name="LowestMm">Lowest height, mm.</param>
/// <param name="HighestMm">Highest height, mm.</param>
public sealed record Relief(SurfaceGrid Grid, IReadOnlyList<double> HeightsMm, double LowestMm, double HighestMm);

/// <summary>Samples a panel's surface for a drawing.</summary>
/// <example>A flat roof with one swage 8 high gives 0 to 8 mm.</example>
public static class SurfaceRelief
{
    /// <summary>Most places of a grid.</summary>
    public const int MostPlaces = 480_000;

    /// <summary>The relief over the rectangle around a panel.</summary>
    /// <param name="panel">The panel.</param>
    /// <param name="members">Its members.</param>
    /// <param name="stepMm">Distance between places, mm; made larger where the panel would need more than <see cref="MostPlaces"/>.</param>
    public static Result<Worked<Relief>> Of(Panel panel, IReadOnlyList<Member> members, double stepMm)
    {
        if (ShellCheck.Of(panel, members) is { } problem)
            return problem;
        PanelBox box = panel.Box;
        double step = Math.Max(stepMm, Math.Sqrt(box.AreaMm2 / MostPlaces) * 1.01);
        var grid = new SurfaceGrid(box, Math.Max(2, (int)(box.WidthMm / step) + 1), Math.Max(2, (int)(box.HeightMm / step) + 1));
        double[] heights = Surface.Of(panel, members).Sample(grid);
        var sheet = new Worksheet();
        sheet.Step("n", "places sampled", "columns * rows", heights.Length, "count");
        double low = sheet.Step("z_min", "lowest place", "min(z)", heights.Min(), "mm"),
            high = sheet.Step("z_max", "highest place", "max(z)", heights.Max(), "mm");
        sheet.Cite(
            new Source(
                panel.Surface == SurfaceSource.Measured ? "Linear interpolation between measured sections" : "Circle arcs and trapezoid swages",
                SourceKind.Geometry
            )
        );
        return sheet.Finish(new Relief(grid, [.. heights.Select(h => Math.Round(h, 2))], low, high));
    }
}
