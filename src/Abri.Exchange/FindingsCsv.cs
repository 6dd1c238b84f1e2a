using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Exchange;

/// <summary>Writes findings as CSV, one a line, lengths in mm.</summary>
public static class FindingsCsv
{
    /// <summary>The file.</summary>
    /// <param name="findings">The findings with the names of their panels.</param>
    public static string Write(IEnumerable<(string Panel, Finding Finding)> findings) =>
        CsvTable.Write(
            [
                "panel",
                "name",
                "kind",
                "severity",
                "state",
                "seen",
                "seen at (UTC)",
                "seen by",
                "s (mm)",
                "t (mm)",
                "length (mm)",
                "width (mm)",
                "depth (mm)",
                "moisture (%)",
                "notes",
            ],
            findings.Select(row =>
            {
                Finding f = row.Finding;
                PanelPoint at = PanelBox.Of(f.Points).Centre;
                return (IEnumerable<object?>)
                    [
                        row.Panel,
                        f.Name,
                        f.Kind,
                        f.Severity,
                        f.State,
                        f.Seen,
                        f.SeenAt,
                        f.SeenBy,
                        at.SMm,
                        at.TMm,
                        f.Measures.LengthMm,
                        f.Measures.WidthMm,
                        f.Measures.DepthMm,
                        f.Measures.MoisturePercent,
                        f.Notes,
                    ];
            })
        );
}
