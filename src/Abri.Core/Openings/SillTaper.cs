using Abri.Core.Geometry;

namespace Abri.Core.Openings;

/// <summary>The inner sill of a window in a wall that tapers.</summary>
/// <param name="FrontMm">Depth at its front end, mm.</param>
/// <param name="RearMm">Depth at its rear end, mm.</param>
/// <param name="Verdict">How to cut it.</param>
public sealed record Sill(double FrontMm, double RearMm, string Verdict);

/// <summary>Works out how deep an inner sill is at both ends, where the wall tapers and the cabinets run straight.</summary>
/// <remarks>The wall stands at an angle to the vehicle's axis in plan; the line of the cabinets is parallel to the axis. The depth changes by
/// tan(angle) over the sill's length.</remarks>
/// <example>1100 long, 0.4 degrees, 60 deep in front: 60 - 1100 tan 0.4 = 52.3 at the rear.</example>
public static class SillTaper
{
    /// <summary>The sill.</summary>
    /// <param name="lengthMm">Its length, mm.</param>
    /// <param name="taperDeg">Angle of the wall in plan, degrees; positive where the vehicle narrows to the rear.</param>
    /// <param name="frontMm">Depth from the wall to the cabinets' line at the front end, mm.</param>
    /// <param name="lengths">How lengths are written.</param>
    public static Result<Worked<Sill>> Of(double lengthMm, double taperDeg, double frontMm, LengthFormat lengths)
    {
        var sheet = new Worksheet();
        double change = sheet.Step("c", "change over the length", "L tan(taper)", lengthMm * Math.Tan(taperDeg * Math.PI / 180), "mm");
        double rear = sheet.Step("d_r", "depth at the rear end", "d_f - c", frontMm - change, "mm");
        if (rear < 0)
            return new Problem(
                "sill-negative",
                "/frontMm",
                $"The wall comes {lengths.Text(-rear)} past the cabinets' line before the sill ends. Set the cabinets back, or shorten the sill."
            );
        sheet.Cite(new Source("A straight line against a wall at an angle in plan", SourceKind.Geometry));
        string verdict =
            Math.Abs(change) < 0.5
                ? $"Cut it parallel, {lengths.Text(frontMm)} deep."
                : $"Cut it {lengths.Text(frontMm)} deep in front and {lengths.Text(rear)} at the rear: a straight cut between the two.";
        return sheet.Finish(new Sill(frontMm, rear, verdict));
    }
}
