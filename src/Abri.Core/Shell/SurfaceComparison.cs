using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>How far a drawn surface departs from what was measured.</summary>
/// <param name="WorstMm">Greatest difference, mm; positive where the measured skin stands higher.</param>
/// <param name="WorstAt">Where.</param>
/// <param name="RmsMm">Root mean square of the differences, mm.</param>
/// <param name="MeanMm">Mean difference, mm: what a straight-edge that sat higher or lower than the datum explains.</param>
/// <param name="Readings">How many readings were compared.</param>
public sealed record SurfaceDifference(double WorstMm, PanelPoint WorstAt, double RmsMm, double MeanMm, int Readings);

/// <summary>
/// Compares curvature and swages as drawn with measured sections, at the places that were measured.
/// </summary>
/// <example>A flat drawing against readings 1, 2 and 3 mm deep: worst -3 mm, r.m.s. sqrt(14 / 3) = 2.16 mm.</example>
public static class SurfaceComparison
{
    /// <summary>Compares both.</summary>
    public static Result<Worked<SurfaceDifference>> Of(Panel panel, IReadOnlyList<Member> members)
    {
        if (ShellCheck.Of(panel, members) is { } problem)
            return problem;
        if (panel.Sections is not { Count: > 0 } sections)
            return new Problem("no-sections", "/panel/sections", "No section has been measured on this panel yet.");
        var drawn = new DrawnSurface(panel, members);
        (PanelPoint At, double Mm)[] off =
        [
            .. sections.SelectMany(section =>
                section.Readings.Select(r =>
                {
                    var at = new PanelPoint(section.StationMm, r.TMm);
                    return (at, section.StraightEdgeMm - r.DepthMm - drawn.HeightAt(at));
                })
            ),
        ];
        (PanelPoint worstAt, double worst) = off.MaxBy(x => Math.Abs(x.Mm));
        var sheet = new Worksheet();
        sheet.Step("n", "readings compared", "count", off.Length, "count");
        sheet.Step("d_worst", "greatest difference, measured less drawn", "(straight-edge - depth) - drawn height", worst, "mm");
        double mean = sheet.Step("d_mean", "mean difference", "sum(d) / n", off.Average(x => x.Mm), "mm");
        double rms = sheet.Step("d_rms", "root mean square", "sqrt(sum(d^2) / n)", Math.Sqrt(off.Average(x => x.Mm * x.Mm)), "mm");
        sheet.Cite(new Source("Linear interpolation; circle arcs and trapezoid swages", SourceKind.Geometry));
        if (Math.Abs(mean) > TapeChain.AskMm)
            sheet.Warn("On the whole the sections lie higher or lower than the drawing: was the straight-edge's own height entered?");
        return sheet.Finish(new SurfaceDifference(worst, worstAt, rms, mean, off.Length));
    }
}
