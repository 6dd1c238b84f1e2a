using Abri.Core.Geometry;
using SkiaSharp;

namespace Abri.Exchange.Pdf;

/// <summary>A page to draw on in millimetres, Y down, with the few marks that all sheets share.</summary>
internal sealed class Page : IDisposable
{
    public const double MarginMm = 8;
    private const float PointsPerMm = (float)(72 / LengthFormat.MmPerInch);

    public static readonly SKColor Black = SKColors.Black;
    public static readonly SKColor Ink = new(0x22, 0x26, 0x2b);
    public static readonly SKColor Soft = new(0x63, 0x6a, 0x72);
    public static readonly SKColor Rust = new(0xb0, 0x47, 0x1d);

    private readonly SKDocument document;
    private readonly SKCanvas canvas;

    public Page(SKDocument document, double widthMm, double heightMm)
    {
        this.document = document;
        (WidthMm, HeightMm) = (widthMm, heightMm);
        canvas = document.BeginPage((float)WidthMm * PointsPerMm, (float)HeightMm * PointsPerMm);
        canvas.Scale(PointsPerMm);
    }

    public double WidthMm { get; }

    public double HeightMm { get; }

    public void Dispose() => document.EndPage();

    public void Line(SKPaint pen, double x1, double y1, double x2, double y2) => canvas.DrawLine((float)x1, (float)y1, (float)x2, (float)y2, pen);

    public void Frame(SKPaint pen, PanelBox box) => canvas.DrawRect(Rect(box), pen);

    public void Circle(SKPaint pen, double x, double y, double radiusMm) => canvas.DrawCircle((float)x, (float)y, (float)radiusMm, pen);

    public void Fill(SKColor colour, PanelBox box)
    {
        using var paint = new SKPaint { Color = colour };
        canvas.DrawRect(Rect(box), paint);
    }

    public static SKPaint Pen(SKColor colour, double widthMm, params float[] dashesMm) => new()
    {
        Color = colour,
        StrokeWidth = (float)widthMm,
        Style = SKPaintStyle.Stroke,
        PathEffect = dashesMm.Length > 0 ? SKPathEffect.CreateDash(dashesMm, 0) : null,
    };

    public void Text(string text, double x, double y, double sizeMm, bool strong = false, SKColor? colour = null, SKTextAlign align = SKTextAlign.Left)
    {
        using SKFont font = ShippedFonts.Of(sizeMm, strong);
        using var paint = new SKPaint { Color = colour ?? Ink };
        canvas.DrawText(text, (float)x, (float)y, align, font, paint);
    }

    /// <summary>Writes a paragraph and returns where the next may start.</summary>
    public double Paragraph(string text, double x, double y, double widthMm, double sizeMm, bool strong = false, SKColor? colour = null)
    {
        using SKFont font = ShippedFonts.Of(sizeMm, strong);
        string line = "";
        foreach (string word in text.Split(' '))
        {
            string longer = line.Length == 0 ? word : $"{line} {word}";
            if (line.Length > 0 && font.MeasureText(longer) > widthMm)
            {
                Text(line, x, y, sizeMm, strong, colour);
                (line, y) = (word, y + (sizeMm * 1.35));
            }
            else
            {
                line = longer;
            }
        }
        Text(line, x, y, sizeMm, strong, colour);
        return y + (sizeMm * 1.35);
    }

    /// <summary>An arrow with its word beyond the head.</summary>
    public void Arrow(double x, double y, int dx, int dy, string word)
    {
        const double length = 12, head = 2.4;
        using SKPaint pen = Pen(Ink, 0.5);
        double ex = x + (dx * length), ey = y + (dy * length);
        Line(pen, x, y, ex, ey);
        Line(pen, ex, ey, ex - (dx * head) - (dy * head * 0.6), ey - (dy * head) - (dx * head * 0.6));
        Line(pen, ex, ey, ex - (dx * head) + (dy * head * 0.6), ey - (dy * head) + (dx * head * 0.6));
        SKTextAlign align = dx > 0 ? SKTextAlign.Left : dx < 0 ? SKTextAlign.Right : SKTextAlign.Center;
        Text(word, ex + (dx * 1.5), ey + (dy < 0 ? -1.2 : dy > 0 ? 3.6 : 1.1), 3.2, true, align: align);
    }

    /// <summary>A bar of known length, to measure before anything is cut.</summary>
    public void CheckBar(double x, double y, double lengthMm, string label)
    {
        using SKPaint pen = Pen(Black, 0.4);
        Line(pen, x, y, x + lengthMm, y);
        Line(pen, x, y - 1.5, x, y + 1.5);
        Line(pen, x + lengthMm, y - 1.5, x + lengthMm, y + 1.5);
        Text(label, x, y - 2.4, 2.8);
    }

    /// <summary>A drawing laid on the page: a point of it comes to a place, at a scale, cut off at a frame.</summary>
    public void Draw(Drawing drawing, PanelPoint point, double x, double y, double scale, PanelBox frame)
    {
        canvas.Save();
        canvas.ClipRect(Rect(frame));
        double X(double mm) => x + ((mm - point.SMm) * scale);
        double Y(double mm) => y - ((mm - point.TMm) * scale);
        foreach (Layer layer in Enum.GetValues<Layer>())
        {
            using SKPaint pen = PenOf(layer);
            foreach (DrawnLine line in drawing.Lines.Where(l => l.Layer == layer)) Line(pen, X(line.X1Mm), Y(line.Y1Mm), X(line.X2Mm), Y(line.Y2Mm));
            foreach (DrawnArc arc in drawing.Arcs.Where(a => a.Layer == layer))
            {
                SKRect around = Rect(new PanelBox(X(arc.XMm - arc.RadiusMm), X(arc.XMm + arc.RadiusMm), Y(arc.YMm + arc.RadiusMm), Y(arc.YMm - arc.RadiusMm)));
                if (arc.IsCircle) canvas.DrawOval(around, pen);
                else canvas.DrawArc(around, (float)-arc.EndDeg, (float)(arc.EndDeg - arc.StartDeg), false, pen);
            }
        }
        foreach (DrawnText text in drawing.Texts)
            Text(text.Text, X(text.XMm), Y(text.YMm), Math.Max(2.6, text.HeightMm * 1.4 * scale), align: text.Centred ? SKTextAlign.Center : SKTextAlign.Left);
        canvas.Restore();
    }

    private static SKRect Rect(PanelBox box) => new((float)box.SMinMm, (float)box.TMinMm, (float)box.SMaxMm, (float)box.TMaxMm);

    private static SKPaint PenOf(Layer layer) => layer switch
    {
        Layer.Cut => Pen(Rust, 0.5),
        Layer.Path => Pen(Rust, 0.2, 2, 1),
        Layer.Trim => Pen(Rust, 0.4, 1, 1),
        Layer.Flange => Pen(Ink, 0.25, 4, 2),
        Layer.Datum => Pen(Soft, 0.2, 8, 2, 1, 2),
        _ => Pen(Ink, 0.25),
    };
}
