using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>A panel's surface cut across at one station.</summary>
/// <param name="StationMm">The station, mm.</param>
/// <param name="TMm">Places across, mm.</param>
/// <param name="DrawnMm">Heights there as drawn, mm.</param>
/// <param name="MeasuredMm">Heights there by the measured sections, mm; null where none were taken.</param>
public sealed record Section(double StationMm, IReadOnlyList<double> TMm, IReadOnlyList<double> DrawnMm, IReadOnlyList<double>? MeasuredMm);

/// <summary>Cuts a panel's surface across, as drawn and as measured, for a drawing that shows both.</summary>
/// <example>A roof of radius 3000, 1700 wide, falls 123 mm to its edges.</example>
public static class CrossSection
{
    private const double StepMm = 5;

    /// <summary>The section at a station, over the whole width of the panel.</summary>
    public static Result<Worked<Section>> At(Panel panel, IReadOnlyList<Member> members, double stationMm)
    {
        if (ShellCheck.Of(panel, members) is { } problem)
            return problem;
        PanelBox box = panel.Box;
        if (stationMm < box.SMinMm || stationMm > box.SMaxMm)
            return new Problem("station-off-panel", "/stationMm", $"The station must lie on the panel: {box.SMinMm:0.#} to {box.SMaxMm:0.#} mm.");
        int rows = Math.Clamp((int)(box.HeightMm / StepMm) + 1, 2, 4000);
        // One column: both edges of the area lie at the station.
        var grid = new SurfaceGrid(new PanelBox(stationMm, stationMm, box.TMinMm, box.TMaxMm), 1, rows);
        double[] drawn = new DrawnSurface(panel, members).Sample(grid);
        double[]? measured = panel.Sections is { Count: > 0 } sections ? new MeasuredSurface(sections).Sample(grid) : null;
        var sheet = new Worksheet();
        sheet.Step("f", "fall from the highest to the lowest place, as drawn", "max(z) - min(z)", drawn.Max() - drawn.Min(), "mm");
        if (measured is not null)
            sheet.Step("f_m", "the same, as measured", "max(z) - min(z)", measured.Max() - measured.Min(), "mm");
        sheet.Cite(new Source("Circle arcs, trapezoid swages, linear interpolation", SourceKind.Geometry));
        return sheet.Finish(
            new Section(
                stationMm,
                [.. Enumerable.Range(0, rows).Select(r => Math.Round(grid.TMm(r), 2))],
                Rounded(drawn),
                measured is null ? null : Rounded(measured)
            )
        );
    }

    private static double[] Rounded(double[] heights) => [.. heights.Select(h => Math.Round(h, 2))];
}
