using Abri.Core.Geometry;

namespace Abri.Core.Floor;

/// <summary>Head room in a vehicle.</summary>
/// <param name="RoomMm">What is left over the tallest, mm; negative where it is short.</param>
/// <param name="ClearMm">From the new floor to the new ceiling, mm.</param>
/// <param name="IsEnough">Whether the tallest stands upright.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record HeadRoomPlan(double RoomMm, double ClearMm, bool IsEnough, string Verdict);

/// <summary>Whether the tallest still stands upright once floor and ceiling are in.</summary>
public static class HeadRoom
{
    /// <summary>Over the tallest, mm: common practice.</summary>
    public const double OverMm = 20;

    /// <summary>The answer.</summary>
    /// <param name="bareMm">From bare floor to bare roof, mm.</param>
    /// <param name="floorMm">Thickness of the floor's build-up, mm.</param>
    /// <param name="ceilingMm">Thickness of the ceiling's, mm.</param>
    /// <param name="tallestMm">Height of the tallest user with shoes, mm.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Worked<HeadRoomPlan> Of(double bareMm, double floorMm, double ceilingMm, double tallestMm, LengthFormat lengths)
    {
        var sheet = new Worksheet();
        double clear = sheet.Step("h", "clear height", "H - floor - ceiling", bareMm - floorMm - ceilingMm, "mm"),
            room = sheet.Step("r", "over the tallest", "h - tallest", clear - tallestMm, "mm");
        sheet.Cite(new Source("20 mm over the tallest user", SourceKind.CommonPractice));
        bool enough = room >= OverMm;
        string verdict =
            $"{lengths.Text(clear)} clear: "
            + (
                enough ? $"{lengths.Text(room)} over the tallest."
                : room >= 0 ? $"only {lengths.Text(room)} over the tallest; {lengths.Text(OverMm)} is wanted."
                : $"{lengths.Text(-room)} short of the tallest."
            );
        return sheet.Finish(new HeadRoomPlan(room, clear, enough, verdict));
    }
}
