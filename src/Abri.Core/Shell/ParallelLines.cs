using Abri.Core.Declared;

namespace Abri.Core.Shell;

/// <summary>A line that a person might align an opening with, measured from one datum at two places.</summary>
/// <param name="Name">What it is: top edge, pillar, body line.</param>
/// <param name="FirstMm">Distance from the datum at the first place, mm.</param>
/// <param name="SecondMm">Distance from the datum at the second place, mm.</param>
public sealed record MeasuredLine(
    [Name] string Name,
    [Within(-Limits.LongestMm, Limits.LongestMm, "A distance", "mm")] double FirstMm,
    [Within(-Limits.LongestMm, Limits.LongestMm, "A distance", "mm")] double SecondMm
);

/// <summary>How two lines run against each other.</summary>
/// <param name="First">Name of one.</param>
/// <param name="Second">Name of the other.</param>
/// <param name="OverOpeningMm">By how much they differ over the opening's width, mm; positive where the second one climbs away from the
/// first.</param>
/// <param name="AngleDeg">Angle between them, degrees.</param>
public sealed record LinePair(string First, string Second, double OverOpeningMm, double AngleDeg);

/// <summary>
/// Tells how far lines that look parallel differ over the width of an opening, so that a person can choose which one to align with.
/// </summary>
/// <example>A gutter 12 and a body line 18 mm out of level over 2000 mm differ by (18 - 12) / 2000 * 1100 = 3.3 mm over a window 1100 wide.</example>
public static class ParallelLines
{
    /// <summary>From this on the eye sees that a frame is not parallel to a line beside it, mm over the opening: assumption.</summary>
    public const double SeenMm = 3;

    /// <summary>Compares every pair of lines.</summary>
    /// <param name="lines">The lines; two at least.</param>
    /// <param name="apartMm">Distance between the two places at which they were measured, mm.</param>
    /// <param name="openingMm">Width of the opening along them, mm.</param>
    public static Result<Worked<IReadOnlyList<LinePair>>> Of(IReadOnlyList<MeasuredLine> lines, double apartMm, double openingMm)
    {
        var sheet = new Worksheet();
        foreach (MeasuredLine line in lines)
            sheet.Step($"m_{line.Name}", $"slope of {line.Name}", "(second - first) / apart", (line.SecondMm - line.FirstMm) / apartMm, "");
        var pairs = new List<LinePair>();
        for (int i = 0; i < lines.Count; i++)
        {
            for (int k = i + 1; k < lines.Count; k++)
            {
                double first = (lines[i].SecondMm - lines[i].FirstMm) / apartMm,
                    second = (lines[k].SecondMm - lines[k].FirstMm) / apartMm;
                double over = sheet.Step(
                    $"d_{i + 1}{k + 1}",
                    $"{lines[i].Name} against {lines[k].Name} over the opening",
                    "(m2 - m1) * opening",
                    (second - first) * openingMm,
                    "mm"
                );
                pairs.Add(new LinePair(lines[i].Name, lines[k].Name, over, (Math.Atan(second) - Math.Atan(first)) * 180 / Math.PI));
            }
        }
        sheet.Cite(new Source("Slopes of straight lines", SourceKind.Geometry));
        if (pairs.Any(p => Math.Abs(p.OverOpeningMm) >= SeenMm))
        {
            sheet.Cite(new Source($"A difference of {SeenMm} mm over an opening is seen", SourceKind.Assumption));
            sheet.Warn("Lines that look parallel are not: align with the one that stands nearest to the opening, and check from a few steps back.");
        }
        return sheet.Finish<IReadOnlyList<LinePair>>(pairs);
    }
}
