using Abri.Core.Sealing;

namespace Abri.Exchange;

/// <summary>Writes joints as CSV, one a line, lengths in mm.</summary>
public static class JointsCsv
{
    /// <summary>The file.</summary>
    /// <param name="joints">The joints with the names of their panels.</param>
    public static string Write(IEnumerable<(string Panel, Joint Joint)> joints) => CsvTable.Write(
        ["panel", "name", "kind", "lengthMm", "gapMm", "movementMm", "one", "other", "sun", "standingWater", "removableLater", "paintedOver", "structural", "unbroken", "product", "lastDone", "lastDoneOn", "notes"],
        joints.Select(row =>
        {
            Joint j = row.Joint;
            JointEvent? last = j.History.Count > 0 ? j.History[^1] : null;
            return (IEnumerable<object?>)[row.Panel, j.Name, j.Kind, j.LengthMm, j.GapMm, j.MovementMm, j.One, j.Other, j.Sun, j.StandingWater, j.RemovableLater, j.PaintedOver, j.Structural, j.Unbroken,
                j.Product, last?.Kind, last?.On.ToString("O"), j.Notes];
        }));
}
