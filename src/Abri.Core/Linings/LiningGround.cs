using Abri.Core.Geometry;

namespace Abri.Core.Linings;

/// <summary>A lining laid out flat, its front lower corner at the origin.</summary>
internal sealed class LiningGround
{
    private readonly PanelPoint corner;

    /// <summary>Lays it out.</summary>
    public LiningGround(LiningSite site, Lining lining, LiningAxis along, LiningAxis across)
    {
        (Site, Lining, AlongAxis, AcrossAxis) = (site, lining, along, across);
        PanelPoint[] laid = [.. lining.Outline.Select(p => new PanelPoint(along.Along(p.SMm), across.Along(p.TMm)))];
        var box = PanelBox.Of(laid);
        corner = new PanelPoint(box.SMinMm, box.TMinMm);
        Outline = [.. laid.Select(p => p.Plus(-corner.SMm, -corner.TMm))];
        Box = PanelBox.Of(Outline);
    }

    public LiningSite Site { get; }

    public Lining Lining { get; }

    public LiningAxis AlongAxis { get; }

    public LiningAxis AcrossAxis { get; }

    public IReadOnlyList<PanelPoint> Outline { get; }

    public PanelBox Box { get; }

    /// <summary>A place of the panel's plan on the lining.</summary>
    public PanelPoint Laid(PanelPoint p) => new(AlongAxis.Along(p.SMm) - corner.SMm, AcrossAxis.Along(p.TMm) - corner.TMm);

    /// <summary>The place of the panel's plan above a place of the lining.</summary>
    public PanelPoint OnPanel(PanelPoint laid) => new(AlongAxis.PlaceMm(laid.SMm + corner.SMm), AcrossAxis.PlaceMm(laid.TMm + corner.TMm));

    /// <summary>Where a hole round a place of the plan comes out on the lining.</summary>
    public PanelBox Through(PanelPoint centre, RoundedRectangle hole)
    {
        (double fallAlong, double fallAcross) = (AlongAxis.FallMm(centre.SMm), AcrossAxis.FallMm(centre.TMm));
        double S(double beside) => AlongAxis.Through(centre.SMm, beside, fallAcross) - corner.SMm;
        double T(double beside) => AcrossAxis.Through(centre.TMm, beside, fallAlong) - corner.TMm;
        return new PanelBox(S(-hole.WidthMm / 2), S(hole.WidthMm / 2), T(-hole.HeightMm / 2), T(hole.HeightMm / 2));
    }

    /// <summary>Whether an opening passes through it.</summary>
    public bool Meets(LinedOpening opening) => Plane.Polygon(Through(opening.Centre, opening.Hole)).Intersection(Plane.Polygon(Outline)).Area > 1;

    /// <summary>From the outer face of the skin to the finished face at a place of the plan, square through the skin, mm.</summary>
    public double DepthMm(PanelPoint place)
    {
        double whole = Site.SkinsMm + Lining.GapMm + Lining.Sheet.ThickMm;
        return Lining.Lies == LiningLies.Bent
            ? whole
            : (whole - AlongAxis.FallMm(place.SMm) - AcrossAxis.FallMm(place.TMm))
                / (Math.Cos(AlongAxis.Angle(place.SMm)) * Math.Cos(AcrossAxis.Angle(place.TMm)));
    }

    /// <summary>Least room behind a flat lining, at the corners of its outline, mm.</summary>
    public double LeastRoomMm =>
        Lining.Lies == LiningLies.Bent ? Lining.GapMm : Lining.Outline.Min(p => Lining.GapMm - AlongAxis.FallMm(p.SMm) - AcrossAxis.FallMm(p.TMm));
}
