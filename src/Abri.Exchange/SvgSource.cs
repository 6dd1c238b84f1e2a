using System.Globalization;
using System.Text.RegularExpressions;
using System.Xml;
using System.Xml.Linq;
using Abri.Core;
using Abri.Core.Geometry;

namespace Abri.Exchange;

/// <summary>An SVG file that is fit to be compiled: bounded, without anything from outside, and with the size of its drawing.</summary>
/// <param name="Document">The document, its root measured in its own units.</param>
/// <param name="Across">How far a unit reaches to the right, mm, and where the first one lies.</param>
/// <param name="Down">The same down the page.</param>
/// <param name="HeightMm">Height of the page, mm.</param>
/// <param name="LeftOut">What was taken out, because it is no shape.</param>
internal sealed partial record SvgSource(XDocument Document, SvgScale Across, SvgScale Down, double HeightMm, IReadOnlyList<string> LeftOut)
{
    /// <summary>Attribute that keeps the line of an element for messages.</summary>
    public const string LineAttribute = "data-line";

    private const long MostCharacters = 5_000_000;
    private const int MostDepth = 64,
        MostElements = 10_000,
        MostStyle = 100_000;

    /// <summary>What draws no edge of metal.</summary>
    private static readonly HashSet<string> NoShapes =
    [
        "text",
        "image",
        "foreignObject",
        "script",
        "audio",
        "video",
        "animate",
        "animateMotion",
        "animateTransform",
        "set",
    ];

    /// <summary>Reads and bounds a file.</summary>
    public static Result<SvgSource> Of(string text)
    {
        try
        {
            if (TooMuch(text) is { } bounded)
                return bounded;
            using XmlReader reader = Reader(text);
            XElement root = XDocument.Load(reader, LoadOptions.SetLineInfo).Root!;
            if (root.Name.LocalName != "svg")
                return new Problem("drawing-unreadable", "", "The file is XML, but not SVG.");
            if (Expanded(root) is { } many)
                return many;
            return Prepared(root);
        }
        catch (XmlException e)
        {
            return new Problem(
                "drawing-unreadable",
                "",
                $"Line {e.LineNumber}: the file is not SVG that can be read. {e.Message.Split(" Line ")[0]}"
            );
        }
    }

    /// <summary>Where an element stands, for messages.</summary>
    public static string Where(string name, string? id, string? line) =>
        $"<{name}{(string.IsNullOrEmpty(id) ? "" : $" id=\"{id}\"")}>{(line is null ? "" : $" at line {line}")}";

    private static XmlReader Reader(string text) =>
        XmlReader.Create(
            new StringReader(text),
            new XmlReaderSettings
            {
                DtdProcessing = DtdProcessing.Ignore,
                XmlResolver = null,
                MaxCharactersInDocument = MostCharacters,
                MaxCharactersFromEntities = 1024,
            }
        );

    /// <summary>Walks the file once without building anything.</summary>
    private static Problem? TooMuch(string text)
    {
        if (text.Length > MostCharacters)
            return new Problem("drawing-too-long", "", $"The file has more than {MostCharacters} characters.");
        using XmlReader reader = Reader(text);
        for (int elements = 0; reader.Read(); )
        {
            if (reader.NodeType != XmlNodeType.Element)
                continue;
            if (reader.Depth > MostDepth)
                return TooDeep(((IXmlLineInfo)reader).LineNumber);
            if (++elements > MostElements)
                return new Problem("drawing-too-long", "", $"The file has more than {MostElements} elements.");
        }
        return null;
    }

    private static Problem TooDeep(int line) =>
        new("drawing-too-deep", "", $"Line {line}: groups are nested more than {MostDepth} deep. Ungroup them.");

    /// <summary>Counts what is drawn when every <c>use</c> is drawn out, so that a few that use one another do not become millions.</summary>
    private static Problem? Expanded(XElement root)
    {
        var byId = root.DescendantsAndSelf()
            .Where(e => e.Attribute("id") is not null)
            .GroupBy(e => e.Attribute("id")!.Value)
            .ToDictionary(g => g.Key, g => g.First());
        var sizes = new Dictionary<XElement, long>();
        var open = new HashSet<XElement>();
        Problem? wrong = null;
        long Size(XElement e)
        {
            if (sizes.TryGetValue(e, out long known))
                return known;
            if (wrong is not null)
                return 0;
            if (open.Count > 2 * MostDepth)
                wrong = TooDeep(((IXmlLineInfo)e).LineNumber);
            if (!open.Add(e))
            {
                wrong = new Problem("drawing-shape", "", $"{Where(e)} uses itself.");
                return 0;
            }
            long size = 1 + e.Elements().Sum(Size);
            if (e.Name.LocalName == "use")
            {
                string href = e.Attributes().FirstOrDefault(a => a.Name.LocalName == "href")?.Value.Trim() ?? "";
                if (!href.StartsWith('#'))
                    wrong = new Problem("drawing-shape", "", $"{Where(e)} draws from another file. Put what it uses into this one.");
                else if (byId.TryGetValue(href[1..], out XElement? used))
                    size += Size(used);
            }
            open.Remove(e);
            return sizes[e] = Math.Min(size, MostElements + 1);
        }
        long all = Size(root);
        return wrong
            ?? (
                all > MostElements
                    ? new Problem("drawing-too-long", "", $"With every use drawn out the file has more than {MostElements} elements.")
                    : null
            );
    }

    private static Result<SvgSource> Prepared(XElement root)
    {
        if (LengthMm(root.Attribute("width")?.Value) is not { } width || LengthMm(root.Attribute("height")?.Value) is not { } height)
            return new Problem(
                "drawing-units",
                "",
                "The file does not say how large it is: width and height of the drawing have to be in mm, cm, in or pt, such as width=\"1700mm\"."
            );
        double[] box = [.. Numbers().Split((root.Attribute("viewBox")?.Value ?? "").Trim()).Where(n => n.Length > 0).Select(Number)];
        if (box.Length != 0 && (box.Length != 4 || box.Any(n => !double.IsFinite(n)) || box[2] <= 0 || box[3] <= 0))
            return new Problem("drawing-units", "", "The viewBox of the drawing has to be four numbers, with a width and height of more than 0.");
        string styles = string.Concat(root.Descendants().Where(e => e.Name.LocalName == "style").Select(e => e.Value));
        if (styles.Length > MostStyle)
            return new Problem("drawing-too-long", "", $"The styles of the file have more than {MostStyle} characters.");
        if (styles.Contains("@import", StringComparison.OrdinalIgnoreCase))
            return new Problem("drawing-shape", "", "The styles of the file come from another file (@import). Put them into this one.");
        if (CssTransform().IsMatch(styles))
            return new Problem(
                "drawing-shape",
                "",
                "A style sheet in the file moves shapes (transform). Write it as an attribute of the shapes, or apply it in the drawing program."
            );

        var leftOut = new List<string>();
        foreach (XElement e in root.DescendantsAndSelf())
        {
            e.SetAttributeValue(LineAttribute, ((IXmlLineInfo)e).LineNumber);
            if (StyledTransform(e) is { } wrong)
                return wrong;
        }
        foreach (XElement e in root.Descendants().Where(e => NoShapes.Contains(e.Name.LocalName)).ToList())
        {
            leftOut.Add(Where(e));
            e.Remove();
        }
        (SvgScale across, SvgScale down) = Frame(width, height, box, root.Attribute("preserveAspectRatio")?.Value);
        // The root keeps its own units, and what is a share of the page refers to them: rounding a page to whole pixels would shift everything.
        root.SetAttributeValue(
            "width",
            box.Length == 0 ? (width / MmPerPixel).ToString(CultureInfo.InvariantCulture) : box[2].ToString(CultureInfo.InvariantCulture)
        );
        root.SetAttributeValue(
            "height",
            box.Length == 0 ? (height / MmPerPixel).ToString(CultureInfo.InvariantCulture) : box[3].ToString(CultureInfo.InvariantCulture)
        );
        root.SetAttributeValue("viewBox", null);
        root.SetAttributeValue("preserveAspectRatio", null);
        return new SvgSource(new XDocument(new XElement(root)), across, down, height, leftOut);
    }

    /// <summary>A pixel of CSS, mm: a 96th of an inch (W3C CSS Values and Units, 5.2).</summary>
    private const double MmPerPixel = LengthFormat.MmPerInch / 96;

    /// <summary>How the viewBox lies on the page (W3C SVG 1.1, 7.8): as it fits, in the middle, unless the file says otherwise.</summary>
    private static (SvgScale Across, SvgScale Down) Frame(double width, double height, double[] box, string? aspect)
    {
        if (box.Length == 0)
            return (new SvgScale(MmPerPixel, 0), new SvgScale(MmPerPixel, 0));
        double x = width / box[2],
            y = height / box[3];
        string[] words = (aspect ?? "").Split(' ', StringSplitOptions.RemoveEmptyEntries);
        string align = words.FirstOrDefault(w => w is not "defer") ?? "xMidYMid";
        if (align == "none")
            return (new SvgScale(x, -box[0] * x), new SvgScale(y, -box[1] * y));
        double scale = words.Contains("slice") ? Math.Max(x, y) : Math.Min(x, y);
        double Play(double room, string low, string high) =>
            align.Contains(low, StringComparison.Ordinal) ? 0
            : align.Contains(high, StringComparison.Ordinal) ? room
            : room / 2;
        return (
            new SvgScale(scale, Play(width - (box[2] * scale), "xMin", "xMax") - (box[0] * scale)),
            new SvgScale(scale, Play(height - (box[3] * scale), "YMin", "YMax") - (box[1] * scale))
        );
    }

    /// <summary>Turns a transform in an element's own style into the attribute that means the same.</summary>
    private static Problem? StyledTransform(XElement e)
    {
        string style = e.Attribute("style")?.Value ?? "";
        if (!CssTransform().IsMatch(style))
            return null;
        string value = style
            .Split(';')
            .Select(p => p.Split(':', 2))
            .Where(p => p.Length == 2 && p[0].Trim() == "transform")
            .Select(p => p[1].Trim())
            .LastOrDefault()
            ?? "";
        string plain = PixelsAndDegrees().Replace(value, "");
        if (style.Contains("transform-", StringComparison.Ordinal) || CssUnit().IsMatch(plain))
            return new Problem(
                "drawing-shape",
                "",
                $"{Where(e)} is moved by its style ({value}) in a way that is not read here. Apply it in the drawing program first."
            );
        // As in CSS, the style counts and the attribute does not.
        e.SetAttributeValue("transform", plain == "none" ? null : plain);
        return null;
    }

    private static string Where(XElement e) =>
        Where(e.Name.LocalName, e.Attribute("id")?.Value, ((IXmlLineInfo)e).LineNumber.ToString(CultureInfo.InvariantCulture));

    private static double? LengthMm(string? text)
    {
        if (text is null || Length().Match(text.Trim()) is not { Success: true } match)
            return null;
        double unit = match.Groups["unit"].Value.ToLowerInvariant() switch
        {
            "mm" => 1,
            "cm" => 10,
            "in" => LengthFormat.MmPerInch,
            "pt" => LengthFormat.MmPerInch / 72,
            "pc" => LengthFormat.MmPerInch / 6,
            _ => 0.25,
        };
        double mm = Number(match.Groups["number"].Value) * unit;
        return mm > 0 && double.IsFinite(mm) ? mm : null;
    }

    private static double Number(string text) =>
        double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out double n) ? n : double.NaN;

    [GeneratedRegex(@"^(?<number>[-+.\deE]+?)\s*(?<unit>mm|cm|in|pt|pc|q)$", RegexOptions.NonBacktracking | RegexOptions.IgnoreCase)]
    private static partial Regex Length();

    [GeneratedRegex(@"[\s,]+", RegexOptions.NonBacktracking)]
    private static partial Regex Numbers();

    [GeneratedRegex(@"(^|[;{\s])(transform|translate|rotate|scale|zoom)[-a-z]*\s*:", RegexOptions.NonBacktracking)]
    private static partial Regex CssTransform();

    [GeneratedRegex(@"(?<=\d)(px|deg)", RegexOptions.None, 1000)]
    private static partial Regex PixelsAndDegrees();

    [GeneratedRegex(@"\d\s*(%|[a-zA-Z])|[a-zA-Z]+(3d|X|Y|Z)\(", RegexOptions.NonBacktracking)]
    private static partial Regex CssUnit();
}

/// <summary>How units of a drawing become millimetres in one direction.</summary>
/// <param name="Mm">Length of a unit, mm.</param>
/// <param name="StartMm">Where 0 lies on the page, mm.</param>
internal readonly record struct SvgScale(double Mm, double StartMm)
{
    /// <summary>A place on the page, mm.</summary>
    public double At(double units) => StartMm + (units * Mm);
}
