using Abri.Core.Sealing;

namespace Abri.Exchange;

/// <summary>Writes joints as CSV, one a line, lengths in mm.</summary>
public static class JointsCsv
{
    /// <summary>The file.</summary>
    /// <param name="joints">The joints with the names of their panels and of the products chosen for them.</param>
    public static string Write(IEnumerable<(string Panel, Joint Joint, string? Product)> joints) =>
        CsvTable.Write(
            [
                "panel",
                "name",
                "kind",
                "length (mm)",
                "gap (mm)",
                "movement (mm)",
                "one",
                "other",
                "sun",
                "standing water",
                "removable later",
                "painted over",
                "structural",
                "unbroken",
                "product",
                "last done",
                "last done on",
                "notes",
            ],
            joints.Select(row =>
            {
                Joint j = row.Joint;
                JointEvent? last = j.History.Count > 0 ? j.History[^1] : null;
                return (IEnumerable<object?>)
                    [
                        row.Panel,
                        j.Name,
                        j.Kind,
                        j.LengthMm,
                        j.GapMm,
                        j.MovementMm,
                        j.One,
                        j.Other,
                        j.Sun,
                        j.StandingWater,
                        j.RemovableLater,
                        j.PaintedOver,
                        j.Structural,
                        j.Unbroken,
                        row.Product,
                        last?.Kind,
                        last?.On,
                        j.Notes,
                    ];
            })
        );
}
