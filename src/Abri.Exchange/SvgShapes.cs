using System.Globalization;
using System.Xml;
using System.Xml.Linq;
using Abri.Core;
using Abri.Core.Geometry;
using SkiaSharp;

namespace Abri.Exchange;

/// <summary>
/// Reads the shapes of an SVG file: <c>polygon</c>, <c>polyline</c>, <c>rect</c>, <c>line</c> and <c>path</c> with straight edges.
/// </summary>
/// <remarks>
/// The size of the drawing has to be in mm, cm or inches (<c>width="1700mm"</c>), since without it a user unit has no length. A shape's layer is its
/// <c>id</c> up to a trailing number, or the <c>id</c> of its group. X is s; Y runs down the page, so t is counted from its foot. Transforms and curves are refused.
/// </remarks>
public static class SvgShapes
{
    private const long MostCharacters = 5_000_000;

    /// <summary>The shapes, mm.</summary>
    public static Result<IReadOnlyList<DrawnShape>> Read(string text)
    {
        XElement root;
        try
        {
            using var reader = XmlReader.Create(new StringReader(text), new XmlReaderSettings { DtdProcessing = DtdProcessing.Ignore, XmlResolver = null, MaxCharactersInDocument = MostCharacters });
            root = XDocument.Load(reader, LoadOptions.SetLineInfo).Root!;
        }
        catch (XmlException e)
        {
            return new Problem("drawing-unreadable", "", $"Line {e.LineNumber}: the file is not SVG that can be read. {e.Message.Split(" Line ")[0]}");
        }
        if (root.Name.LocalName != "svg") return new Problem("drawing-unreadable", "", "The file is XML, but not SVG.");
        if (Frame(root) is not { } frame)
            return new Problem("drawing-units", "", "The file does not say how large it is: width and height of the drawing have to be in mm, cm or in, such as width=\"1700mm\".");
        var shapes = new List<DrawnShape>();
        foreach (XElement element in root.Descendants())
        {
            string where = $"<{element.Name.LocalName}{(element.Attribute("id") is { } id ? $" id=\"{id.Value}\"" : "")}> at line {((IXmlLineInfo)element).LineNumber}";
            if (element.Attribute("transform") is not null) return new Problem("drawing-shape", "", $"{where} has a transform. Apply it in the drawing program first.");
            if (Raw(element) is not { } raw) continue;
            if (raw.Problem is { } what) return new Problem("drawing-shape", "", $"{where} {what}");
            double width = Number(element.Attribute("stroke-width")?.Value) * frame.Scale;
            shapes.Add(new DrawnShape(Layer(element), [.. raw.Points.Select(p => new PanelPoint((p.X - frame.Left) * frame.Scale, (frame.Foot - p.Y) * frame.Scale))], raw.Closed, double.IsFinite(width) ? width : 0, where));
        }
        return shapes;
    }

    private sealed record RawShape(IReadOnlyList<(double X, double Y)> Points, bool Closed, string? Problem = null);

    private static RawShape? Raw(XElement e)
    {
        double At(string name) => Number(e.Attribute(name)?.Value);
        switch (e.Name.LocalName)
        {
            case "polygon" or "polyline":
                double[] numbers = [.. (e.Attribute("points")?.Value ?? "").Split([' ', ',', '\t', '\r', '\n'], StringSplitOptions.RemoveEmptyEntries).Select(Number)];
                if (numbers.Length % 2 == 1 || numbers.Any(double.IsNaN)) return new RawShape([], false, "has points that cannot be read.");
                return new RawShape([.. numbers.Chunk(2).Select(p => (p[0], p[1]))], e.Name.LocalName == "polygon");
            case "rect":
                double x = At("x"), y = At("y"), w = At("width"), h = At("height");
                return new RawShape([(x, y + h), (x + w, y + h), (x + w, y), (x, y)], true);
            case "line":
                return new RawShape([(At("x1"), At("y1")), (At("x2"), At("y2"))], false);
            case "path":
                return OfPath(e.Attribute("d")?.Value ?? "");
            case "circle" or "ellipse":
                return new RawShape([], false, "is round. An outline here has straight edges: draw it as a polygon.");
            default:
                return null;
        }
    }

    private static RawShape OfPath(string d)
    {
        using SKPath? path = SKPath.ParseSvgPathData(d);
        if (path is null) return new RawShape([], false, "has a path that cannot be read.");
        var points = new List<(double, double)>();
        bool closed = false;
        using SKPath.RawIterator steps = path.CreateRawIterator();
        var four = new SKPoint[4];
        for (SKPathVerb verb = steps.Next(four); verb != SKPathVerb.Done; verb = steps.Next(four))
        {
            if (verb is SKPathVerb.Quad or SKPathVerb.Conic or SKPathVerb.Cubic) return new RawShape([], false, "has a curved edge. Break the curve into short lines.");
            if (verb == SKPathVerb.Move && points.Count > 0) return new RawShape([], false, "has more than one part. Draw each part as a shape of its own.");
            if (verb == SKPathVerb.Move) points.Add((four[0].X, four[0].Y));
            if (verb == SKPathVerb.Line) points.Add((four[1].X, four[1].Y));
            closed |= verb == SKPathVerb.Close;
        }
        if (points.Count > 3 && points[0] == points[^1]) points.RemoveAt(points.Count - 1);
        return new RawShape(points, closed);
    }

    /// <summary>The id without a trailing number, or that of the group around it.</summary>
    private static string Layer(XElement element)
    {
        string own = (element.Attribute("id")?.Value ?? "").TrimEnd("0123456789-_ ".ToCharArray());
        return own.Length > 0 ? own : element.Parent?.Attribute("id")?.Value ?? "";
    }

    private static (double Left, double Foot, double Scale)? Frame(XElement root)
    {
        if (LengthMm(root.Attribute("width")?.Value) is not { } width || LengthMm(root.Attribute("height")?.Value) is not { } height) return null;
        double[] box = [.. (root.Attribute("viewBox")?.Value ?? "").Split([' ', ','], StringSplitOptions.RemoveEmptyEntries).Select(Number)];
        if (box.Length == 0) return (0, height, 1);
        return box.Length != 4 || box.Any(double.IsNaN) || box[2] <= 0 ? null : (box[0], box[1] + box[3], width / box[2]);
    }

    private static double? LengthMm(string? text)
    {
        string[] units = ["mm", "cm", "in"];
        if (units.FirstOrDefault(u => text?.EndsWith(u, StringComparison.Ordinal) == true) is not { } unit) return null;
        double number = Number(text![..^2]) * (unit == "mm" ? 1 : unit == "cm" ? 10 : LengthFormat.MmPerInch);
        return number > 0 && double.IsFinite(number) ? number : null;
    }

    /// <summary>A number of the file; 0 where it is left out, NaN where it cannot be read.</summary>
    private static double Number(string? text) =>
        text is null ? 0 : double.TryParse(text.Trim(), NumberStyles.Float, CultureInfo.InvariantCulture, out double n) ? n : double.NaN;
}
