using System.Globalization;
using Abri.Core;
using Abri.Core.Geometry;

namespace Abri.Exchange;

/// <summary>
/// Reads the shapes of a DXF file in ASCII: <c>LINE</c>, <c>POLYLINE</c> with <c>VERTEX</c>, <c>LWPOLYLINE</c>, each on its layer.
/// </summary>
/// <remarks>
/// Group codes after the published DXF reference. X is s and Y is t. Release 12 has no unit variable, so that the unit has to be told; a file that
/// states one (<c>$INSUNITS</c>) must agree. Arcs and bulges are refused, because an outline here has straight edges; other entities are refused too.
/// </remarks>
public static class DxfShapes
{
    private const int MostGroups = 400_000;

    /// <summary>Entities that draw nothing on the panel.</summary>
    private static readonly HashSet<string> Ignored = ["TEXT", "MTEXT", "POINT", "DIMENSION"];

    /// <summary>The shapes, mm.</summary>
    /// <param name="text">The file.</param>
    /// <param name="unit">Unit as told by the person; null when they leave it to the file.</param>
    public static Result<IReadOnlyList<DrawnShape>> Read(string text, UnitSystem? unit)
    {
        if (!Groups(text).IsOk(out List<Group>? groups, out Problem? problem)) return problem;
        double? stated = Stated(groups);
        double? told = unit switch { UnitSystem.Mm => 1, UnitSystem.Inch => LengthFormat.MmPerInch, _ => null };
        if (stated is { } s && told is { } t && s != t) return new Problem("drawing-units", "", "The file states another unit ($INSUNITS) than the one that was chosen. Choose the one of the file.");
        if ((stated ?? told) is not { } scale)
            return new Problem("drawing-units", "", "The file does not say in which unit it is drawn ($INSUNITS), or in one that is not known here. Say whether it is millimetres or inches.");

        var shapes = new List<DrawnShape>();
        int at = Section(groups, "ENTITIES");
        if (at < 0) return new Problem("drawing-unreadable", "", "The file has no section ENTITIES. Is it a DXF file in ASCII?");
        while (at < groups.Count && groups[at] is not { Code: 0, Value: "ENDSEC" })
        {
            Group head = groups[at++];
            List<Group> own = Own(groups, ref at);
            string where = $"{head.Value} at line {head.Line}";
            if (Ignored.Contains(head.Value)) continue;
            if (head.Value == "POLYLINE")
            {
                var points = new List<PanelPoint>();
                while (at < groups.Count && groups[at] is { Code: 0, Value: "VERTEX" })
                {
                    at++;
                    List<Group> vertex = Own(groups, ref at);
                    if (Number(vertex, 42) != 0) return Curved(where);
                    points.Add(new PanelPoint(Number(vertex, 10) * scale, Number(vertex, 20) * scale));
                }
                if (at < groups.Count && groups[at] is { Code: 0, Value: "SEQEND" })
                {
                    at++;
                    Own(groups, ref at);
                }
                shapes.Add(Shape(own, points, scale, Number(own, 40), where));
            }
            else if (head.Value == "LWPOLYLINE")
            {
                if (own.Any(g => g.Code == 42 && g.Number != 0)) return Curved(where);
                double[] x = [.. own.Where(g => g.Code == 10).Select(g => g.Number)], y = [.. own.Where(g => g.Code == 20).Select(g => g.Number)];
                if (x.Length != y.Length) return new Problem("drawing-shape", "", $"{where} has a vertex without both coordinates.");
                shapes.Add(Shape(own, [.. x.Select((v, i) => new PanelPoint(v * scale, y[i] * scale))], scale, Number(own, 43), where));
            }
            else if (head.Value == "LINE")
            {
                shapes.Add(Shape(own, [new(Number(own, 10) * scale, Number(own, 20) * scale), new(Number(own, 11) * scale, Number(own, 21) * scale)], scale, Number(own, 39), where));
            }
            else
            {
                return new Problem("drawing-shape", "", $"{where} cannot be used: draw outlines and members as polylines or lines.");
            }
        }
        return shapes;
    }

    private sealed record Group(int Code, string Value, int Line)
    {
        public double Number => double.TryParse(Value, NumberStyles.Float, CultureInfo.InvariantCulture, out double n) ? n : double.NaN;
    }

    private static Problem Curved(string where) => new("drawing-shape", "", $"{where} has a curved edge. An outline here has straight edges: break the curve into short lines.");

    private static DrawnShape Shape(List<Group> own, List<PanelPoint> points, double scale, double width, string where)
    {
        bool closed = ((int)Number(own, 70) & 1) == 1;
        // Many programs draw a closed line by coming back to its start.
        if (points.Count > 3 && points[0].DistanceMm(points[^1]) < 0.01) (points, closed) = ([.. points.SkipLast(1)], true);
        return new DrawnShape(own.FirstOrDefault(g => g.Code == 8)?.Value ?? "", points, closed, width * scale, where);
    }

    private static double Number(List<Group> own, int code) => own.FirstOrDefault(g => g.Code == code)?.Number ?? 0;

    /// <summary>The groups of an entity, up to the next one.</summary>
    private static List<Group> Own(List<Group> groups, ref int at)
    {
        int from = at;
        while (at < groups.Count && groups[at].Code != 0) at++;
        return groups[from..at];
    }

    /// <summary>Index of the first entity of a section, or -1.</summary>
    private static int Section(List<Group> groups, string name)
    {
        for (int i = 0; i + 1 < groups.Count; i++)
        {
            if (groups[i] is { Code: 0, Value: "SECTION" } && groups[i + 1] is { Code: 2 } named && named.Value == name) return i + 2;
        }
        return -1;
    }

    private static double? Stated(List<Group> groups)
    {
        int at = groups.FindIndex(g => g is { Code: 9, Value: "$INSUNITS" });
        return at < 0 || at + 1 >= groups.Count ? null : groups[at + 1].Value switch { "1" => LengthFormat.MmPerInch, "4" => 1, "5" => 10, "6" => 1000, _ => null };
    }

    private static Result<List<Group>> Groups(string text)
    {
        var groups = new List<Group>();
        using var reader = new StringReader(text);
        for (int line = 1; reader.ReadLine() is { } code; line += 2)
        {
            if (code.Trim().Length == 0 && reader.Peek() < 0) break;
            if (!int.TryParse(code.Trim(), NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out int number))
                return new Problem("drawing-unreadable", "", $"Line {line}: \"{Start(code)}\" is not a group code. Is it a DXF file in ASCII?");
            if (reader.ReadLine() is not { } value) return new Problem("drawing-unreadable", "", $"Line {line}: the file breaks off after a group code.");
            if (groups.Count >= MostGroups) return new Problem("drawing-too-long", "", $"The file has more than {MostGroups} groups.");
            groups.Add(new Group(number, value.Trim(), line));
        }
        return groups;
    }

    private static string Start(string text) => text.Length > 20 ? text[..20] + "..." : text;
}
