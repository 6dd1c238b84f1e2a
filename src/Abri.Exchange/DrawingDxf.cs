using System.Globalization;
using System.Text;
using Abri.Core.Geometry;

namespace Abri.Exchange;

/// <summary>
/// Writes a drawing as DXF release 12 (AC1009) in ASCII, in millimetres: lines, arcs and circles on layers named after what
/// they stand for: CUT, PATH, FLANGE, INNER, TRIM, HOLES, FOLD, HOLE_IN_SHELL, DATUM and TEXT.
/// </summary>
/// <remarks>
/// Group codes after the published DXF reference for release 12; no library for it is in the registries that serve .NET here. Release 12
/// has no unit variable, so the unit stands in a comment, and in the name of the file.
/// </remarks>
public static class DrawingDxf
{
    /// <summary>The document.</summary>
    public static string Write(Drawing drawing)
    {
        var dxf = new StringBuilder();
        void Code(int code, string value) =>
            dxf.Append(code.ToString(CultureInfo.InvariantCulture).PadLeft(3)).Append("\r\n").Append(value).Append("\r\n");
        void Number(int code, double value) => Code(code, Math.Round(value, 6).ToString("0.0#####", CultureInfo.InvariantCulture));
        void Entity(string kind, Layer layer)
        {
            Code(0, kind);
            Code(8, Name(layer));
        }

        PanelBox box = drawing.Bounds;
        Code(999, Ascii(drawing.Title) + "; unit: millimetre");
        Code(0, "SECTION");
        Code(2, "HEADER");
        Code(9, "$ACADVER");
        Code(1, "AC1009");
        Code(9, "$EXTMIN");
        Number(10, box.SMinMm);
        Number(20, box.TMinMm);
        Code(9, "$EXTMAX");
        Number(10, box.SMaxMm);
        Number(20, box.TMaxMm);
        Code(0, "ENDSEC");

        Code(0, "SECTION");
        Code(2, "TABLES");
        Code(0, "TABLE");
        Code(2, "LAYER");
        Layer[] layers = Enum.GetValues<Layer>();
        Code(70, layers.Length.ToString(CultureInfo.InvariantCulture));
        foreach (Layer layer in layers)
        {
            Code(0, "LAYER");
            Code(2, Name(layer));
            Code(70, "0");
            // Colour 1 is red, 7 is black on white.
            Code(62, layer is Layer.Cut or Layer.HoleInShell ? "1" : "7");
            Code(6, "CONTINUOUS");
        }
        Code(0, "ENDTAB");
        Code(0, "ENDSEC");

        Code(0, "SECTION");
        Code(2, "ENTITIES");
        foreach (DrawnLine line in drawing.Lines)
        {
            Entity("LINE", line.Layer);
            Number(10, line.X1Mm);
            Number(20, line.Y1Mm);
            Number(11, line.X2Mm);
            Number(21, line.Y2Mm);
        }
        foreach (DrawnArc arc in drawing.Arcs)
        {
            Entity(arc.IsCircle ? "CIRCLE" : "ARC", arc.Layer);
            Number(10, arc.XMm);
            Number(20, arc.YMm);
            Number(40, arc.RadiusMm);
            if (arc.IsCircle)
                continue;
            Number(50, arc.StartDeg);
            Number(51, arc.EndDeg);
        }
        foreach (DrawnText text in drawing.Texts)
        {
            Entity("TEXT", text.Layer);
            Number(10, text.XMm);
            Number(20, text.YMm);
            Number(40, text.HeightMm);
            Code(1, Ascii(text.Text));
            if (!text.Centred)
                continue;
            Code(72, "1");
            Number(11, text.XMm);
            Number(21, text.YMm);
        }
        Code(0, "ENDSEC");
        Code(0, "EOF");
        return dxf.ToString();
    }

    private static string Name(Layer layer) => layer == Layer.HoleInShell ? "HOLE_IN_SHELL" : layer.ToString().ToUpperInvariant();

    /// <summary>Release 12 is ASCII with one line per value: other letters are written by their number, as <c>\U+00DF</c>, which programs that draw
    /// read back.</summary>
    private static string Ascii(string text) =>
        string.Concat(
            text.Select(c =>
                c is >= ' ' and <= '~' ? c.ToString()
                : char.IsControl(c) ? " "
                : $"\\U+{(int)c:X4}"
            )
        );
}
