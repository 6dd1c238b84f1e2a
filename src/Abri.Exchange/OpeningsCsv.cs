using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Procedures;

namespace Abri.Exchange;

/// <summary>An opening as a line of a table.</summary>
/// <param name="Panel">Name of its panel.</param>
/// <param name="Opening">The opening.</param>
/// <param name="Fitting">Its fitting, unturned.</param>
/// <param name="Standing">How it stands.</param>
/// <param name="Product">What seals it; null until it is chosen.</param>
public sealed record OpeningLine(string Panel, Opening Opening, Fitting Fitting, OpeningStanding Standing, string? Product);

/// <summary>Writes openings as CSV, one a line, lengths in mm.</summary>
public static class OpeningsCsv
{
    /// <summary>The file.</summary>
    public static string Write(IEnumerable<OpeningLine> openings) =>
        CsvTable.Write(
            [
                "panel",
                "name",
                "fitting",
                "state",
                "verdict",
                "reason",
                "next",
                "s (mm)",
                "t (mm)",
                "turn (deg)",
                "wall (mm)",
                "cut-out width (mm)",
                "cut-out height (mm)",
                "corner radius (mm)",
                "product",
                "notes",
            ],
            openings.Select(line =>
            {
                Opening o = line.Opening;
                RoundedRectangle cut = line.Fitting.CutOut.Turned(o.TurnDeg);
                return (IEnumerable<object?>)
                    [
                        line.Panel,
                        o.Name,
                        line.Fitting.Name,
                        o.State,
                        line.Standing.State,
                        line.Standing.Reason,
                        line.Standing.Next,
                        o.Centre.SMm,
                        o.Centre.TMm,
                        o.TurnDeg,
                        o.WallMm,
                        cut.WidthMm,
                        cut.HeightMm,
                        cut.CornerRadiusMm,
                        line.Product,
                        o.Notes,
                    ];
            })
        );
}
