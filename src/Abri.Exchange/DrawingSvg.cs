using System.Globalization;
using System.Xml.Linq;
using Abri.Core.Geometry;

namespace Abri.Exchange;

/// <summary>Writes a drawing as SVG 1.1 in millimetres, one group per layer, with true arcs.</summary>
public static class DrawingSvg
{
    private const double MarginMm = 10;
    private static readonly XNamespace Svg = "http://www.w3.org/2000/svg";

    /// <summary>The document.</summary>
    public static string Write(Drawing drawing)
    {
        PanelBox box = drawing.Bounds.Grown(MarginMm);
        var root = new XElement(
            Svg + "svg",
            new XAttribute("width", N(box.WidthMm) + "mm"),
            new XAttribute("height", N(box.HeightMm) + "mm"),
            new XAttribute("viewBox", $"{N(box.SMinMm)} {N(-box.TMaxMm)} {N(box.WidthMm)} {N(box.HeightMm)}"),
            new XElement(Svg + "title", drawing.Title),
            new XElement(Svg + "desc", "1 unit = 1 mm. Print at 100 %. Layers are groups by name.")
        );
        foreach (Layer layer in Enum.GetValues<Layer>())
        {
            var group = new XElement(Svg + "g", new XAttribute("id", layer.ToString().ToUpperInvariant()), Style(layer));
            group.Add(
                drawing
                    .Lines.Where(l => l.Layer == layer)
                    .Select(l => new XElement(
                        Svg + "line",
                        new XAttribute("x1", N(l.X1Mm)),
                        new XAttribute("y1", N(-l.Y1Mm)),
                        new XAttribute("x2", N(l.X2Mm)),
                        new XAttribute("y2", N(-l.Y2Mm))
                    ))
            );
            group.Add(drawing.Arcs.Where(a => a.Layer == layer).Select(Arc));
            group.Add(
                drawing
                    .Texts.Where(t => t.Layer == layer)
                    .Select(t => new XElement(
                        Svg + "text",
                        new XAttribute("x", N(t.XMm)),
                        new XAttribute("y", N(-t.YMm)),
                        new XAttribute("font-size", N(t.HeightMm * 1.4)),
                        t.Centred ? new XAttribute("text-anchor", "middle") : null,
                        t.Text
                    ))
            );
            if (group.HasElements)
                root.Add(group);
        }
        return new XDocument(new XDeclaration("1.0", "utf-8", null), root).ToString() + "\n";
    }

    private static XAttribute[] Style(Layer layer) =>
        layer == Layer.Text
            ? [new XAttribute("fill", "#22262b"), new XAttribute("font-family", "sans-serif")]
            :
            [
                new XAttribute("fill", "none"),
                new XAttribute("stroke", layer is Layer.Cut or Layer.HoleInShell ? "#b0471d" : "#22262b"),
                new XAttribute("stroke-width", layer is Layer.Cut or Layer.HoleInShell ? "0.5" : "0.25"),
                .. layer is Layer.Flange or Layer.Path or Layer.Datum or Layer.Fold
                    ? new[] { new XAttribute("stroke-dasharray", layer == Layer.Datum ? "8 2 1 2" : "4 2") }
                    : [],
            ];

    private static XElement Arc(DrawnArc arc)
    {
        if (arc.IsCircle)
            return new XElement(
                Svg + "circle",
                new XAttribute("cx", N(arc.XMm)),
                new XAttribute("cy", N(-arc.YMm)),
                new XAttribute("r", N(arc.RadiusMm))
            );
        (double x1, double y1) = At(arc, arc.StartDeg);
        (double x2, double y2) = At(arc, arc.EndDeg);
        int large = arc.EndDeg - arc.StartDeg > 180 ? 1 : 0;
        // Anticlockwise with y up is sweep 0 with y down.
        return new XElement(
            Svg + "path",
            new XAttribute("d", $"M {N(x1)} {N(-y1)} A {N(arc.RadiusMm)} {N(arc.RadiusMm)} 0 {large} 0 {N(x2)} {N(-y2)}")
        );
    }

    private static (double X, double Y) At(DrawnArc arc, double deg) =>
        (arc.XMm + (arc.RadiusMm * Math.Cos(deg * Math.PI / 180)), arc.YMm + (arc.RadiusMm * Math.Sin(deg * Math.PI / 180)));

    private static string N(double value) => Math.Round(value, 4).ToString(CultureInfo.InvariantCulture);
}
