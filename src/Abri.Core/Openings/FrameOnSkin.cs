using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>
/// Finds where a flat frame lands on a curved skin, and lays the skin out flat round its middle.
/// </summary>
/// <remarks>
/// A frame is stiff and rests on the skin in the plane that touches it at the frame's middle; what it needs is measured in that plane: a hole of 400
/// is 400 from edge to edge through the air, and more along
/// the skin. Each point of the frame is dropped on the skin square to that plane. The skin is an arc along and an arc across, one swept by the other
/// (<see cref="DrawnSurface"/>); places on it are held by the
/// lengths u and v that a tape reads from the crown along either arc, in which both tangents have length 1.
/// A skin that is curved one way is laid flat without error: X and Y are the differences of u and v. Where it is curved both ways the two arcs cross
/// at an angle that is not quite a right one, and X and Y are
/// taken along the axes between: exact at the middle, off by an amount that grows with d^3 / (Ra Rb) at a distance d.
/// </remarks>
/// <example>Radius 1000, a cut-out 400 high: its lines lie 2 * 1000 asin(0.2) = 402.7 apart along the skin, wherever it is placed.</example>
internal sealed class FrameOnSkin
{
    /// <summary>Most that a frame may measure against the radius that it rests on: assumption.</summary>
    private const double MostOfRadius = 1.5;

    private const int NewtonSteps = 50,
        Chords = 64;

    private readonly Arc along,
        across;
    private readonly PanelPoint centre;
    private readonly double u0Mm,
        v0Mm;
    private readonly Vector middle,
        right,
        up;
    private readonly (double Own, double Other) share;

    private FrameOnSkin(Panel panel, PanelPoint centre)
    {
        this.centre = centre;
        PanelPoint crown = panel.Box.Centre;
        (along, across) = (new Arc(crown.SMm, panel.ArcRadiusAlongMm), new Arc(crown.TMm, panel.ArcRadiusAcrossMm));
        (u0Mm, v0Mm) = (along.LengthMm(centre.SMm), across.LengthMm(centre.TMm));
        middle = At(u0Mm, v0Mm);
        (Vector a, Vector b) = Tangents(u0Mm, v0Mm);
        // The pair at right angles that lies evenly between the two tangents.
        Vector sum = (a + b).Unit,
            difference = (a - b).Unit;
        (right, up) = ((sum + difference).Unit, (sum - difference).Unit);
        share = (a.Dot(right), a.Dot(up));
    }

    /// <summary>The frame of a fitting with its middle at a place of the panel's plan.</summary>
    /// <returns>The frame, or why it cannot rest there.</returns>
    public static Result<FrameOnSkin> Of(Panel panel, PanelPoint centre, RoundedRectangle flange)
    {
        if (
            flange.WidthMm > MostOfRadius * (panel.ArcRadiusAlongMm ?? double.PositiveInfinity)
            || flange.HeightMm > MostOfRadius * (panel.ArcRadiusAcrossMm ?? double.PositiveInfinity)
        )
            return new Problem(
                "skin-too-curved",
                "/fitting/flange",
                $"A flat frame rests on a skin of at least {1 / MostOfRadius:0.##} of its own size in radius; this skin is bent more than that."
            );
        return new FrameOnSkin(panel, centre);
    }

    /// <summary>Whether the skin is curved both ways, so that no flat sheet lies on it everywhere.</summary>
    public bool CurvedBothWays => along.RadiusMm is not null && across.RadiusMm is not null;

    /// <summary>Place in the panel's plan on which a point of the frame comes to lie.</summary>
    /// <param name="xMm">From the frame's middle along s, in the frame's own plane, mm.</param>
    /// <param name="yMm">The same along t, mm.</param>
    public PanelPoint PlaceOf(double xMm, double yMm)
    {
        if (along.RadiusMm is null && across.RadiusMm is null)
            return centre.Plus(xMm, yMm);
        double u = u0Mm + xMm,
            v = v0Mm + yMm;
        for (int i = 0; i < NewtonSteps; i++)
        {
            Vector off = At(u, v) - middle;
            double dx = xMm - off.Dot(right),
                dy = yMm - off.Dot(up);
            if (Math.Abs(dx) + Math.Abs(dy) < 1e-10)
                break;
            (Vector a, Vector b) = Tangents(u, v);
            (double ax, double ay, double bx, double by) = (a.Dot(right), a.Dot(up), b.Dot(right), b.Dot(up));
            double turn = (ax * by) - (bx * ay);
            (u, v) = (u + (((dx * by) - (bx * dy)) / turn), v + (((ax * dy) - (ay * dx)) / turn));
        }
        return new PanelPoint(along.PlaceMm(u), across.PlaceMm(v));
    }

    /// <summary>Where a place of the panel's plan lies on a sheet that is laid on the skin, from the frame's middle, mm.</summary>
    public PanelPoint Developed(PanelPoint place)
    {
        double u = along.LengthMm(place.SMm) - u0Mm,
            v = across.LengthMm(place.TMm) - v0Mm;
        return new PanelPoint((u * share.Own) + (v * share.Other), (u * share.Other) + (v * share.Own));
    }

    /// <summary>Length that a tape reads along the skin between two places of the panel's plan of the same t, or of the same s, mm.</summary>
    public double TapeMm(bool isAlong, double fromMm, double toMm)
    {
        Arc arc = isAlong ? along : across;
        return arc.RadiusMm is null ? Math.Abs(toMm - fromMm) : Math.Abs(arc.LengthMm(toMm) - arc.LengthMm(fromMm));
    }

    /// <summary>Length along the skin between two places of the panel's plan, mm: on the way that is straight on a sheet laid on the skin, summed
    /// from chords.</summary>
    public double AlongMm(PanelPoint a, PanelPoint b)
    {
        (double ua, double va, double ub, double vb) = (along.LengthMm(a.SMm), across.LengthMm(a.TMm), along.LengthMm(b.SMm), across.LengthMm(b.TMm));
        Vector Part(int i) => At(ua + ((ub - ua) * i / Chords), va + ((vb - va) * i / Chords));
        return Enumerable.Range(0, Chords).Sum(i => (Part(i + 1) - Part(i)).Length);
    }

    /// <summary>The smallest rectangle of the plan around a shape of the frame.</summary>
    public PanelBox BoxOf(double widthMm, double heightMm) => PanelBox.Of(CornersOf(widthMm, heightMm));

    /// <summary>Places in plan of a rectangle's corners, in the order of <see cref="PanelBox.Corners"/>.</summary>
    public PanelPoint[] CornersOf(double widthMm, double heightMm) =>
        [.. PanelBox.Around(new PanelPoint(0, 0), widthMm, heightMm).Corners.Select(c => PlaceOf(c.SMm, c.TMm))];

    private Vector At(double u, double v) => new(along.PlaceMm(u), across.PlaceMm(v), -along.FallMm(u) - across.FallMm(v));

    private (Vector Along, Vector Across) Tangents(double u, double v)
    {
        ((double outA, double fallA), (double outB, double fallB)) = (along.Tangent(u), across.Tangent(v));
        return (new Vector(outA, 0, -fallA), new Vector(0, outB, -fallB));
    }

    /// <summary>An arc of the skin with its crown, held by the length from there; a straight line where there is no radius.</summary>
    private readonly record struct Arc(double CrownMm, double? RadiusMm)
    {
        public double LengthMm(double placeMm) => RadiusMm is { } r ? r * Math.Asin(Math.Clamp((placeMm - CrownMm) / r, -1, 1)) : placeMm - CrownMm;

        public double PlaceMm(double lengthMm) => CrownMm + (RadiusMm is { } r ? r * Math.Sin(lengthMm / r) : lengthMm);

        public double FallMm(double lengthMm) => RadiusMm is { } r ? r * (1 - Math.Cos(lengthMm / r)) : 0;

        public (double Out, double Fall) Tangent(double lengthMm) => RadiusMm is { } r ? (Math.Cos(lengthMm / r), Math.Sin(lengthMm / r)) : (1, 0);
    }

    private readonly record struct Vector(double X, double Y, double Z)
    {
        public Vector Unit => new(X / Length, Y / Length, Z / Length);

        public double Length => Math.Sqrt(Dot(this));

        public static Vector operator +(Vector a, Vector b) => new(a.X + b.X, a.Y + b.Y, a.Z + b.Z);

        public static Vector operator -(Vector a, Vector b) => new(a.X - b.X, a.Y - b.Y, a.Z - b.Z);

        public double Dot(Vector o) => (X * o.X) + (Y * o.Y) + (Z * o.Z);
    }
}
