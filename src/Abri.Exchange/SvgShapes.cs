using Abri.Core;
using Abri.Core.Geometry;
using SkiaSharp;
using Svg;
using Svg.Model;
using Svg.Model.Services;
using Svg.Skia;

namespace Abri.Exchange;

/// <summary>
/// Reads the shapes of an SVG file as a browser would draw them: viewBox and aspect, units, nested transforms, <c>use</c>, styles, rounded
/// rectangles, clips.
/// </summary>
/// <remarks>
/// The file is compiled by a general library (Svg.Skia); its size has to be in mm, cm, in or pt, since without that a user unit has no length here. A
/// shape's layer is its
/// label or <c>id</c> up to a trailing number, or that of the nearest group that bears a name which is known here. X is s; Y runs down the page, so t
/// is counted from its foot. What is hidden or no shape is left
/// out, and named. Curves are broken into short edges (<see cref="FlatCurves"/>).
/// </remarks>
public static class SvgShapes
{
    /// <summary>The shapes, mm.</summary>
    public static Result<DrawnShapes> Read(string text)
    {
        if (!SvgSource.Of(text).IsOk(out SvgSource? source, out Problem? problem))
            return problem;
        SvgSceneDocument? scene;
        try
        {
            var loader = new SkiaSvgAssetLoader(Model);
            if (
                SvgService.FromSvg(source.Document.ToString()) is not { } document
                || !SvgSceneRuntime.TryCompile(document, loader, DrawAttributes.None, out scene)
                || scene is null
            )
                return Unreadable("");
        }
        catch (Exception e) when (e is not OutOfMemoryException)
        {
            // The library has no exception of its own: whatever it cannot read comes as one of many kinds.
            return Unreadable(" " + e.Message.Split('\n')[0]);
        }
        var walk = new Walk(source);
        return walk.Of(scene.Root, null, false) is { } wrong
            ? wrong
            : new DrawnShapes(Chains.Joined(walk.Shapes), [.. source.LeftOut, .. walk.LeftOut]);
    }

    private static readonly SkiaModel Model = new(new SKSvgSettings());

    private static Problem Unreadable(string why) => new("drawing-unreadable", "", $"The file is not SVG that can be drawn.{why}");

    private sealed class Walk(SvgSource source)
    {
        /// <summary>Shapes that have a clip lose less than this share of their area to rounding.</summary>
        private const double ClipShare = 1e-4;

        public List<DrawnShape> Shapes { get; } = [];

        public List<string> LeftOut { get; } = [];

        /// <summary>Goes through a node and what is in it; the clip is that of all nodes around it, in the drawing's units.</summary>
        public Problem? Of(SvgSceneNode node, SKPath? clip, bool hidden)
        {
            hidden |= node.IsDisplayNone || node.SuppressSubtreeRendering;
            SKMatrix matrix = Model.ToSKMatrix(node.TotalTransform);
            if (node.MaskResourceKey is not null && !hidden)
                return Wrong(node, "is masked. Apply the mask in the drawing program first.");
            SKPath? own = Narrowed(clip, node, matrix);
            if (node.Kind is SvgSceneNodeKind.Shape or SvgSceneNodeKind.Path)
            {
                if (hidden || !node.IsVisible)
                {
                    LeftOut.Add($"{Where(node)} (hidden)");
                    return null;
                }
                return Add(node, matrix, own);
            }
            foreach (SvgSceneNode child in node.Children)
            {
                if (Of(child, own, hidden) is { } problem)
                    return problem;
            }
            return null;
        }

        private Problem? Add(SvgSceneNode node, SKMatrix matrix, SKPath? clip)
        {
            using SKPath? path = node.HitTestPath is null ? null : Model.ToSKPath(node.HitTestPath);
            path?.Transform(matrix);
            double unit = Math.Sqrt(Math.Abs(source.Across.Mm * source.Down.Mm));
            List<(List<PanelPoint> Points, bool Closed)> parts = path is null ? [] : FlatCurves.PartsOf(path, unit);
            if (path is null || parts.Count == 0)
                return node.Element is SvgRectangle or SvgCircle or SvgEllipse or SvgLine
                    ? Wrong(node, "has no length.")
                    : Wrong(node, "has points that cannot be read.");
            if (clip is not null && Clipped(path, clip, parts) is var (shown, what))
            {
                if (what is not null)
                    return Wrong(node, what);
                if (shown is null)
                {
                    LeftOut.Add($"{Where(node)} (clipped away)");
                    return null;
                }
                parts = FlatCurves.PartsOf(shown, unit);
            }
            if (parts.Count > 1)
                return Wrong(node, "has more than one part. Draw each part as a shape of its own.");
            float scale = MathF.Sqrt(MathF.Abs((matrix.ScaleX * matrix.ScaleY) - (matrix.SkewX * matrix.SkewY)));
            // Who draws a member as a line gives its width, with a colour or without.
            double width =
                node.Element?.ParentsAndSelf.Any(e => e.ContainsAttribute("stroke-width")) == true
                    ? node.Element.StrokeWidth.Value * (node.IsStrokeNonScaling ? 1 : scale) * unit
                    : 0;
            Shapes.Add(
                new DrawnShape(
                    Layer(node),
                    [.. parts[0].Points.Select(p => new PanelPoint(source.Across.At(p.SMm), source.HeightMm - source.Down.At(p.TMm)))],
                    parts[0].Closed,
                    double.IsFinite(width) ? width : 0,
                    Where(node)
                )
            );
            return null;
        }

        /// <summary>What a clip leaves of a shape; null where it leaves all of it. The path is null where nothing is left.</summary>
        private static (SKPath? Shown, string? Wrong)? Clipped(SKPath path, SKPath clip, List<(List<PanelPoint> Points, bool Closed)> parts)
        {
            if (clip.Bounds.Contains(path.Bounds) && IsBox(clip))
                return null;
            if (!parts[0].Closed)
                return (null, "is a line that a clip cuts. Apply the clip in the drawing program first.");
            SKPath? shown = path.Op(clip, SKPathOp.Intersect);
            if (shown is null || shown.IsEmpty)
                return (null, null);
            double all = Area(parts),
                left = Area(FlatCurves.PartsOf(shown, 1));
            return left >= all * (1 - ClipShare) ? null
                : left <= all * ClipShare ? (null, null)
                : (shown, null);
        }

        private static bool IsBox(SKPath clip) => clip.IsRect || clip.PointCount <= 5;

        private static double Area(List<(List<PanelPoint> Points, bool Closed)> parts) =>
            parts.Where(p => p.Points.Count > 2).Sum(p => Math.Abs(Outlines.SignedAreaMm2(p.Points)));

        private static SKPath? Narrowed(SKPath? clip, SvgSceneNode node, SKMatrix matrix)
        {
            if (node.Overflow is { } window && node.Parent is { } parent)
            {
                using var builder = new SKPathBuilder();
                builder.AddRect(Model.ToSKRect(window), SKPathDirection.Clockwise);
                SKPath box = builder.Detach();
                box.Transform(Model.ToSKMatrix(parent.TotalTransform));
                clip = clip is null ? box : clip.Op(box, SKPathOp.Intersect);
            }
            if (node.ClipPath is not { IsEmpty: false } own || Model.ToSKPath(own) is not { } path)
                return clip;
            path.Transform(matrix);
            return clip is null ? path : clip.Op(path, SKPathOp.Intersect);
        }

        private static Problem Wrong(SvgSceneNode node, string what) => new("drawing-shape", "", $"{Where(node)} {what}");

        private static string Where(SvgSceneNode node) =>
            SvgSource.Where(
                node.Element switch
                {
                    SvgRectangle => "rect",
                    SvgPolyline => "polyline",
                    SvgPolygon => "polygon",
                    SvgLine => "line",
                    SvgCircle => "circle",
                    SvgEllipse => "ellipse",
                    SvgPath => "path",
                    _ => node.ElementTypeName,
                },
                node.ElementId,
                node.Element?.CustomAttributes.GetValueOrDefault(SvgSource.LineAttribute)
            );

        /// <summary>The nearest name that is known here, from the shape outwards; else the shape's own, or that of its group.</summary>
        private static string Layer(SvgSceneNode node)
        {
            string first = "";
            for (SvgSceneNode? at = node; at is not null; at = at.Parent)
            {
                IEnumerable<string?> names =
                [
                    at.Element?.CustomAttributes.FirstOrDefault(a => a.Key.EndsWith("label", StringComparison.Ordinal)).Value,
                    at.ElementId,
                ];
                foreach (string name in names.Select(n => (n ?? "").TrimEnd("0123456789-_ ".ToCharArray())).Where(n => n.Length > 0))
                {
                    if (ReadShapes.IsLayer(name))
                        return name;
                    if (first.Length == 0)
                        first = name;
                }
            }
            return first;
        }
    }
}
