namespace Abri.Core.Openings;

/// <summary>
/// Finds the length that a tape reads along a curved skin between two places that the drawing gives in plan.
/// </summary>
/// <remarks>Along a circle of radius R the tape reads R (asin(b/R) - asin(a/R)), a and b counted from the crown.</remarks>
/// <example>On a roof of radius 3000, from the edge at 850 to the crown, the tape reads 861.9 mm.</example>
internal static class SkinLength
{
    /// <summary>Length along the skin, mm.</summary>
    /// <param name="fromMm">One place in plan, mm.</param>
    /// <param name="toMm">The other, mm.</param>
    /// <param name="crownMm">Where the crown lies, mm.</param>
    /// <param name="radiusMm">Radius of the arc, mm; null where the panel is flat.</param>
    public static double BetweenMm(double fromMm, double toMm, double crownMm, double? radiusMm)
    {
        if (radiusMm is not { } r) return Math.Abs(toMm - fromMm);
        return Math.Abs(r * (Math.Asin(Math.Clamp((toMm - crownMm) / r, -1, 1)) - Math.Asin(Math.Clamp((fromMm - crownMm) / r, -1, 1))));
    }
}
