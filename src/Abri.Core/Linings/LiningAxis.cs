namespace Abri.Core.Linings;

/// <summary>Carries places of a panel's plan onto a lining below it, along one of its two ways.</summary>
/// <remarks>
/// A fitting passes square through the skin at its middle. Where the skin is an arc of radius R and its middle lies at an angle a from the crown, a
/// bent lining is an arc of radius r = R - d, and an edge h beside the middle comes out at r (a + asin(h / r)) along it. A flat lining lies at d
/// below the crown; the edge comes out where the line through it, square to the skin, meets it: further out than above, and the hole is longer by
/// 1 / cos a.
/// </remarks>
/// <param name="CrownMm">Where the skin stands furthest out, mm in the plan.</param>
/// <param name="RadiusMm">Radius of the skin, mm; null where it is flat.</param>
/// <param name="DepthMm">From the outer face of the skin to the middle of the board, at the crown, mm.</param>
/// <param name="Bent">Whether the lining follows the skin.</param>
internal readonly record struct LiningAxis(double CrownMm, double? RadiusMm, double DepthMm, bool Bent)
{
    /// <summary>Radius of the lining, mm; null where it is flat.</summary>
    public double? OwnRadiusMm => Bent && RadiusMm is { } r ? r - DepthMm : null;

    /// <summary>Where a place of the plan lies on the lining, from below the crown, mm.</summary>
    public double Along(double placeMm) => OwnRadiusMm is { } r ? r * Math.Asin(Math.Clamp((placeMm - CrownMm) / r, -1, 1)) : placeMm - CrownMm;

    /// <summary>The place of the plan above a place of the lining, which is said from below the crown, mm.</summary>
    public double PlaceMm(double alongMm) => CrownMm + (OwnRadiusMm is { } r ? r * Math.Sin(alongMm / r) : alongMm);

    /// <summary>How far the skin has fallen at a place of the plan, mm.</summary>
    public double FallMm(double placeMm) => RadiusMm is { } r ? r - Math.Sqrt(Math.Max(0, (r * r) - Math.Pow(placeMm - CrownMm, 2))) : 0;

    /// <summary>The angle of the skin at a place of the plan, radians.</summary>
    public double Angle(double placeMm) => RadiusMm is { } r ? Math.Asin(Math.Clamp((placeMm - CrownMm) / r, -1, 1)) : 0;

    /// <summary>Where an edge beside the middle of a fitting comes out on the lining, from below the crown, mm.</summary>
    /// <param name="middleMm">The fitting's middle in the plan, mm.</param>
    /// <param name="besideMm">The edge from there, in the frame's own plane, mm.</param>
    /// <param name="otherFallMm">How far the skin has fallen there the other way, mm.</param>
    public double Through(double middleMm, double besideMm, double otherFallMm)
    {
        if (RadiusMm is not { } skin)
            return middleMm - CrownMm + besideMm;
        double a = Angle(middleMm);
        if (OwnRadiusMm is { } r)
            return r * (a + Math.Asin(Math.Clamp(besideMm / r, -1, 1)));
        (double across, double down) = ((skin * Math.Sin(a)) + (besideMm * Math.Cos(a)), FallMm(middleMm) + otherFallMm + (besideMm * Math.Sin(a)));
        return across - ((DepthMm - down) * Math.Tan(a));
    }
}
