using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>Draws a frame's rounded rectangles as they lie on the skin, laid out flat.</summary>
/// <remarks>
/// On a flat skin they are lines and true arcs. On a curved one the straight sides grow to what the tape reads; corners stay true arcs while these
/// are right within <see cref="ArcWithinMm"/>, and are drawn as
/// chains of chords, within <see cref="ChordWithinMm"/>, where they are not.
/// </remarks>
internal sealed class DevelopedOutline(FrameOnSkin skin, PanelView view)
{
    /// <summary>How far a true arc may be from the corner that the skin makes of it, mm: assumption, less than a pencil line.</summary>
    private const double ArcWithinMm = 0.05;

    /// <summary>How far a chord may be from the curve, mm: assumption.</summary>
    private const double ChordWithinMm = 0.01;

    /// <summary>Adds an outline round the frame's middle to a drawing.</summary>
    public void Draw(Layer layer, RoundedRectangle shape, List<DrawnLine> lines, List<DrawnArc> arcs)
    {
        double x = shape.WidthMm / 2,
            y = shape.HeightMm / 2,
            r = shape.CornerRadiusMm;
        RoundedRectangle laid = shape with { WidthMm = 2 * On(x, 0).X, HeightMm = 2 * On(0, y).Y };
        if (Departure(shape, laid) <= ArcWithinMm)
        {
            Rounded(layer, laid, lines, arcs);
            return;
        }
        foreach ((double sx, double sy, double fromDeg) in new[] { (1.0, 1.0, 0.0), (-1, 1, 90), (-1, -1, 180), (1, -1, 270) })
        {
            (double cx, double cy) = (sx * (x - r), sy * (y - r));
            if (r > 0)
                Chain(layer, q => Corner(cx, cy, r, fromDeg + (90 * q)), lines);
            // On to the next corner, anticlockwise.
            (double X, double Y) from = Corner(cx, cy, r, fromDeg + 90),
                to = fromDeg switch
                {
                    0 => Corner(-cx, cy, r, 90),
                    90 => Corner(cx, -cy, r, 180),
                    180 => Corner(-cx, cy, r, 270),
                    _ => Corner(cx, -cy, r, 0),
                };
            if (Apart(from, to) > 1e-9)
                Chain(layer, q => (from.X + ((to.X - from.X) * q), from.Y + ((to.Y - from.Y) * q)), lines);
        }
    }

    /// <summary>How far the corners and the middles of the sides of the true outline lie from those of the one with true arcs, mm.</summary>
    private double Departure(RoundedRectangle shape, RoundedRectangle laid)
    {
        double r = shape.CornerRadiusMm,
            most = 0;
        foreach ((int sx, int sy) in new[] { (1, 1), (-1, 1), (-1, -1), (1, -1) })
        {
            for (int i = 0; i <= 4; i++)
            {
                double a = i * Math.PI / 8,
                    ox = r * (1 - Math.Cos(a)),
                    oy = r * (1 - Math.Sin(a));
                (double X, double Y) exact = On(sx * ((shape.WidthMm / 2) - ox), sy * ((shape.HeightMm / 2) - oy));
                most = Math.Max(most, Apart(exact, (sx * ((laid.WidthMm / 2) - ox), sy * ((laid.HeightMm / 2) - oy))));
            }
        }
        return most;
    }

    private void Chain(Layer layer, Func<double, (double X, double Y)> curve, List<DrawnLine> lines)
    {
        (double X, double Y) Laid(double q) => curve(q) is var (x, y) ? On(x, y) : default;
        int pieces = 1;
        while (
            pieces < 256
            && Enumerable
                .Range(0, pieces)
                .Any(i => OffChord(Laid((double)i / pieces), Laid((i + 0.5) / pieces), Laid((i + 1.0) / pieces)) > ChordWithinMm)
        )
            pieces *= 2;
        for (int i = 0; i < pieces; i++)
        {
            ((double x1, double y1), (double x2, double y2)) = (OnPaper(Laid((double)i / pieces)), OnPaper(Laid((i + 1.0) / pieces)));
            lines.Add(new DrawnLine(layer, x1, y1, x2, y2));
        }
    }

    /// <summary>A point of the frame on the sheet that is laid on the skin, before it is turned to the reader.</summary>
    private (double X, double Y) On(double x, double y) => skin.Developed(skin.PlaceOf(x, y)) is var p ? (p.SMm, p.TMm) : default;

    private (double X, double Y) OnPaper((double X, double Y) p) => view.ToPaper(new PanelPoint(p.X, p.Y));

    private static (double X, double Y) Corner(double cx, double cy, double r, double deg) =>
        (cx + (r * Math.Cos(deg * Math.PI / 180)), cy + (r * Math.Sin(deg * Math.PI / 180)));

    private static double Apart((double X, double Y) a, (double X, double Y) b) => Math.Sqrt(Math.Pow(a.X - b.X, 2) + Math.Pow(a.Y - b.Y, 2));

    private static double OffChord((double X, double Y) a, (double X, double Y) middle, (double X, double Y) b) =>
        Apart(middle, ((a.X + b.X) / 2, (a.Y + b.Y) / 2));

    private static void Rounded(Layer layer, RoundedRectangle shape, List<DrawnLine> lines, List<DrawnArc> arcs)
    {
        double r = shape.CornerRadiusMm,
            x = shape.WidthMm / 2,
            y = shape.HeightMm / 2;
        if (x > r)
        {
            lines.Add(new DrawnLine(layer, -x + r, y, x - r, y));
            lines.Add(new DrawnLine(layer, -x + r, -y, x - r, -y));
        }
        if (y > r)
        {
            lines.Add(new DrawnLine(layer, -x, -y + r, -x, y - r));
            lines.Add(new DrawnLine(layer, x, -y + r, x, y - r));
        }
        if (r == 0)
            return;
        arcs.Add(new DrawnArc(layer, x - r, y - r, r, 0, 90));
        arcs.Add(new DrawnArc(layer, -x + r, y - r, r, 90, 180));
        arcs.Add(new DrawnArc(layer, -x + r, -y + r, r, 180, 270));
        arcs.Add(new DrawnArc(layer, x - r, -y + r, r, 270, 360));
    }
}
