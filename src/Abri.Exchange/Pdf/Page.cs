using Abri.Core.Geometry;
using SkiaSharp;
using SkiaSharp.HarfBuzz;

namespace Abri.Exchange.Pdf;

/// <summary>A page to draw on in millimetres, Y down, with the few marks that all sheets share.</summary>
internal sealed class Page : IDisposable
{
    public const double MarginMm = 8;

    /// <summary>Length of an arrow, and what its word takes beyond it where it points up or down, mm.</summary>
    public const double ArrowMm = 12,
        WordMm = 3.6;

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

    /// <summary>A picture as large as a room allows, its left upper corner at a place; nothing where it cannot be read.</summary>
    /// <returns>Its width on the page, mm.</returns>
    public double Picture(byte[] content, double x, double y, double widthMm, double heightMm)
    {
        using SKImage? image = SKImage.FromEncodedData(content);
        if (image is null)
            return 0;
        double scale = Math.Min(widthMm / image.Width, heightMm / image.Height);
        canvas.DrawImage(
            image,
            Rect(new PanelBox(x, x + (image.Width * scale), y, y + (image.Height * scale))),
            new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear)
        );
        return image.Width * scale;
    }

    public static SKPaint Pen(SKColor colour, double widthMm, params float[] dashesMm) =>
        new()
        {
            Color = colour,
            StrokeWidth = (float)widthMm,
            Style = SKPaintStyle.Stroke,
            PathEffect = dashesMm.Length > 0 ? SKPathEffect.CreateDash(dashesMm, 0) : null,
        };

    public void Text(
        string text,
        double x,
        double y,
        double sizeMm,
        bool strong = false,
        SKColor? colour = null,
        SKTextAlign align = SKTextAlign.Left
    )
    {
        using var paint = new SKPaint { Color = colour ?? Ink };
        double at = align switch
        {
            SKTextAlign.Right => x - WidthOf(text, sizeMm, strong),
            SKTextAlign.Center => x - (WidthOf(text, sizeMm, strong) / 2),
            _ => x,
        };
        foreach (TextRun run in ShippedFonts.Runs(text, strong))
        {
            using SKFont font = run.Face.Of(sizeMm);
            if (run.Face.Shaped)
            {
                using var shaper = new SKShaper(run.Face.Typeface);
                canvas.DrawShapedText(shaper, run.Text, (float)at, (float)y, SKTextAlign.Left, font, paint);
            }
            else
            {
                canvas.DrawText(run.Text, (float)at, (float)y, SKTextAlign.Left, font, paint);
            }
            at += WidthOf(run, sizeMm);
        }
    }

    /// <summary>As <see cref="Text"/>, cut off with dots where it is wider than its room.</summary>
    public void TextWithin(string text, double x, double y, double widthMm, double sizeMm, bool strong = false)
    {
        string shown = text;
        for (string[] letters = [.. ShippedFonts.Letters(text)]; letters.Length > 0 && WidthOf(shown, sizeMm, strong) > widthMm; )
            shown = string.Concat(letters = letters[..^1]).TrimEnd() + "...";
        Text(shown, x, y, sizeMm, strong);
    }

    /// <summary>Width of a text in a line, mm.</summary>
    public static double WidthOf(string text, double sizeMm, bool strong) => ShippedFonts.Runs(text, strong).Sum(run => WidthOf(run, sizeMm));

    private static double WidthOf(TextRun run, double sizeMm)
    {
        using SKFont font = run.Face.Of(sizeMm);
        if (!run.Face.Shaped)
            return font.MeasureText(run.Text);
        using var shaper = new SKShaper(run.Face.Typeface);
        return shaper.Shape(run.Text, font).Width;
    }

    /// <summary>A text in lines of at most a width; a word that is wider is broken within.</summary>
    public static IEnumerable<string> Broken(string text, double widthMm, double sizeMm, bool strong)
    {
        string line = "";
        foreach (string word in text.Split(' ', '\n').SelectMany(w => Pieces(w, widthMm, sizeMm, strong)))
        {
            string longer = line.Length == 0 ? word : $"{line} {word}";
            if (line.Length > 0 && WidthOf(longer, sizeMm, strong) > widthMm)
            {
                yield return line;
                line = word;
            }
            else
            {
                line = longer;
            }
        }
        yield return line;
    }

    private static List<string> Pieces(string word, double widthMm, double sizeMm, bool strong)
    {
        if (WidthOf(word, sizeMm, strong) <= widthMm)
            return [word];
        var pieces = new List<string> { "" };
        foreach (string letter in ShippedFonts.Letters(word))
        {
            if (WidthOf(pieces[^1] + letter, sizeMm, strong) > widthMm)
                pieces.Add(letter);
            else
                pieces[^1] += letter;
        }
        return pieces;
    }

    /// <summary>An arrow with its word beyond the head.</summary>
    public void Arrow(double x, double y, int dx, int dy, string word)
    {
        const double head = 2.4;
        using SKPaint pen = Pen(Ink, 0.5);
        double ex = x + (dx * ArrowMm),
            ey = y + (dy * ArrowMm);
        Line(pen, x, y, ex, ey);
        Line(pen, ex, ey, ex - (dx * head) - (dy * head * 0.6), ey - (dy * head) - (dx * head * 0.6));
        Line(pen, ex, ey, ex - (dx * head) + (dy * head * 0.6), ey - (dy * head) + (dx * head * 0.6));
        SKTextAlign align =
            dx > 0 ? SKTextAlign.Left
            : dx < 0 ? SKTextAlign.Right
            : SKTextAlign.Center;
        Text(
            word,
            ex + (dx * 1.5),
            ey
                + (
                    dy < 0 ? -1.2
                    : dy > 0 ? WordMm
                    : 1.1
                ),
            3.2,
            true,
            align: align
        );
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

    /// <summary>A drawing laid on the page: a point of it comes to a place, at a scale, cut off at a frame; its words only where it is in true
    /// scale.</summary>
    public void Draw(Drawing drawing, PanelPoint point, double x, double y, double scale, PanelBox frame)
    {
        canvas.Save();
        canvas.ClipRect(Rect(frame));
        double X(double mm) => x + ((mm - point.SMm) * scale);
        double Y(double mm) => y - ((mm - point.TMm) * scale);
        foreach (Layer layer in Enum.GetValues<Layer>())
        {
            using SKPaint pen = PenOf(layer);
            foreach (DrawnLine line in drawing.Lines.Where(l => l.Layer == layer))
                Line(pen, X(line.X1Mm), Y(line.Y1Mm), X(line.X2Mm), Y(line.Y2Mm));
            foreach (DrawnArc arc in drawing.Arcs.Where(a => a.Layer == layer))
            {
                SKRect around = Rect(
                    new PanelBox(X(arc.XMm - arc.RadiusMm), X(arc.XMm + arc.RadiusMm), Y(arc.YMm + arc.RadiusMm), Y(arc.YMm - arc.RadiusMm))
                );
                if (arc.IsCircle)
                    canvas.DrawOval(around, pen);
                else
                    canvas.DrawArc(around, (float)-arc.EndDeg, (float)(arc.EndDeg - arc.StartDeg), false, pen);
            }
        }
        // A small picture has no room for them.
        foreach (DrawnText text in scale == 1 ? drawing.Texts : [])
            Text(text.Text, X(text.XMm), Y(text.YMm), text.HeightMm * 1.4, align: text.Centred ? SKTextAlign.Center : SKTextAlign.Left);
        canvas.Restore();
    }

    private static SKRect Rect(PanelBox box) => new((float)box.SMinMm, (float)box.TMinMm, (float)box.SMaxMm, (float)box.TMaxMm);

    private static SKPaint PenOf(Layer layer) =>
        layer switch
        {
            Layer.Cut => Pen(Rust, 0.5),
            Layer.Path => Pen(Rust, 0.2, 2, 1),
            Layer.Trim => Pen(Rust, 0.4, 1, 1),
            Layer.Flange => Pen(Ink, 0.25, 4, 2),
            Layer.Datum => Pen(Soft, 0.2, 8, 2, 1, 2),
            _ => Pen(Ink, 0.25),
        };
}
