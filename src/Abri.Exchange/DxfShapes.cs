using System.Globalization;
using Abri.Core;
using Abri.Core.Geometry;

namespace Abri.Exchange;

/// <summary>
/// Reads the shapes of a DXF file in ASCII: <c>LINE</c>, <c>ARC</c>, <c>CIRCLE</c>, <c>POLYLINE</c> with <c>VERTEX</c>, <c>LWPOLYLINE</c>, each on
/// its layer.
/// </summary>
/// <remarks>
/// Group codes after the published DXF reference. X is s and Y is t. Release 12 has no unit variable, so that the unit has to be told; a file that
/// states one (<c>$INSUNITS</c>) must agree. Curves are broken into short edges (<see cref="FlatCurves"/>), and pieces that meet are joined. Objects
/// seen from behind (extrusion 0, 0, -1) are mirrored as the
/// reference says; other extrusions, blocks and splines are refused. What is on paper space, on a frozen or switched off layer, invisible, or no
/// shape, is left out, and named.
/// </remarks>
public static class DxfShapes
{
    private const int MostGroups = 400_000;

    /// <summary>Entities that draw no edge.</summary>
    private static readonly HashSet<string> NoShapes =
    [
        "TEXT",
        "MTEXT",
        "POINT",
        "DIMENSION",
        "HATCH",
        "LEADER",
        "MULTILEADER",
        "VIEWPORT",
        "ATTDEF",
        "IMAGE",
        "XLINE",
        "RAY",
        "TOLERANCE",
    ];

    /// <summary>The shapes, mm.</summary>
    /// <param name="text">The file.</param>
    /// <param name="unit">Unit as told by the person; null when they leave it to the file.</param>
    public static Result<DrawnShapes> Read(string text, UnitSystem? unit)
    {
        if (!Groups(text).IsOk(out List<Group>? groups, out Problem? problem))
            return problem;
        double? stated = Stated(groups);
        double? told = unit switch
        {
            UnitSystem.Mm => 1,
            UnitSystem.Inch => LengthFormat.MmPerInch,
            _ => null,
        };
        if (stated is { } s && told is { } t && s != t)
            return new Problem(
                "drawing-units",
                "",
                "The file states another unit ($INSUNITS) than the one that was chosen. Choose the one of the file."
            );
        if ((stated ?? told) is not { } scale)
            return new Problem(
                "drawing-units",
                "",
                "The file does not say in which unit it is drawn ($INSUNITS), or in one that is not known here. Say whether it is "
                    + "millimetres or inches."
            );

        int at = Section(groups, "ENTITIES");
        if (at < 0)
            return new Problem("drawing-unreadable", "", "The file has no section ENTITIES. Is it a DXF file in ASCII?");
        HashSet<string> hidden = HiddenLayers(groups);
        var shapes = new List<DrawnShape>();
        var leftOut = new List<string>();
        while (at < groups.Count && groups[at] is not { Code: 0, Value: "ENDSEC" })
        {
            Group head = groups[at++];
            var entity = new Entity(head.Value, $"{head.Value} at line {head.Line}", Own(groups, ref at), []);
            if (head.Value is "POLYLINE" or "INSERT")
            {
                while (at < groups.Count && groups[at] is { Code: 0, Value: "VERTEX" or "ATTRIB" })
                {
                    at++;
                    entity.Vertices.Add(Own(groups, ref at));
                }
                if (at < groups.Count && groups[at] is { Code: 0, Value: "SEQEND" })
                {
                    at++;
                    Own(groups, ref at);
                }
            }
            if (Hidden(entity, hidden) is { } why)
            {
                leftOut.Add($"{entity.Where} ({why})");
                continue;
            }
            if (NoShapes.Contains(entity.Kind))
            {
                leftOut.Add(entity.Where);
                continue;
            }
            if (!Drawn(entity, scale).IsOk(out DrawnShape? shape, out problem))
                return problem;
            shapes.Add(shape);
        }
        return new DrawnShapes(Chains.Joined(shapes), leftOut);
    }

    private sealed record Entity(string Kind, string Where, List<Group> Own, List<List<Group>> Vertices);

    private static string? Hidden(Entity entity, HashSet<string> layers) =>
        Number(entity.Own, 67) == 1 ? "on paper space"
        : Number(entity.Own, 60) == 1 ? "invisible"
        : layers.Contains(LayerOf(entity.Own)) ? "on a hidden layer"
        : null;

    /// <summary>Layers that are frozen (flag 1) or switched off (negative colour).</summary>
    private static HashSet<string> HiddenLayers(List<Group> groups)
    {
        var hidden = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        int at = Section(groups, "TABLES");
        while (at >= 0 && at < groups.Count && groups[at] is not { Code: 0, Value: "ENDSEC" })
        {
            Group head = groups[at++];
            List<Group> own = Own(groups, ref at);
            if (head.Value == "LAYER" && (((int)Number(own, 70) & 1) == 1 || Number(own, 62) < 0))
                hidden.Add(own.FirstOrDefault(g => g.Code == 2)?.Value ?? "");
        }
        return hidden;
    }

    private static Result<DrawnShape> Drawn(Entity entity, double scale)
    {
        // Seen from behind, x of the object's own frame runs the other way (arbitrary axis algorithm of the reference). Lines and polylines in space
        // are not in that frame.
        bool inSpace = entity.Kind == "LINE" || (entity.Kind == "POLYLINE" && ((int)Number(entity.Own, 70) & 8) != 0);
        (double nx, double ny, double nz) = (
            Number(entity.Own, 210),
            Number(entity.Own, 220),
            entity.Own.Any(g => g.Code == 230) ? Number(entity.Own, 230) : 1
        );
        if (!inSpace && (Math.Abs(nx) > 1e-6 || Math.Abs(ny) > 1e-6 || Math.Abs(Math.Abs(nz) - 1) > 1e-6))
            return Wrong(entity, "does not lie flat in the drawing (extrusion direction). Lay it into the plane first.");
        double sign = !inSpace && nz < 0 ? -1 : 1;
        PanelPoint At(List<Group> own, int x, int y) => new(Number(own, x) * scale, Number(own, y) * scale);
        Result<DrawnShape> Shape(List<PanelPoint> points, bool closed, double width)
        {
            // Many programs draw a closed line by coming back to its start.
            if (points.Count > 3 && points[0].DistanceMm(points[^1]) < 0.01)
                (points, closed) = ([.. points.SkipLast(1)], true);
            return new DrawnShape(
                LayerOf(entity.Own),
                [.. points.Select(p => p with { SMm = (p.SMm * sign) + 0.0 })],
                closed,
                width * scale,
                entity.Where
            );
        }

        switch (entity.Kind)
        {
            case "LINE":
                return Shape([At(entity.Own, 10, 20), At(entity.Own, 11, 21)], false, 0);
            case "CIRCLE" or "ARC":
                double radius = Number(entity.Own, 40) * scale;
                if (!(radius > 0) || radius > LengthText.LimitMm)
                    return Wrong(entity, "has a radius that is not a length.");
                double start = Number(entity.Own, 50),
                    sweep = entity.Kind == "CIRCLE" ? 360 : (((Number(entity.Own, 51) - start) % 360) + 360) % 360;
                if (!double.IsFinite(start) || !double.IsFinite(sweep))
                    return Wrong(entity, "has an angle that is not a number.");
                return Shape([.. FlatCurves.Arc(At(entity.Own, 10, 20), radius, start, sweep == 0 ? 360 : sweep)], false, 0);
            case "LWPOLYLINE":
                if (WidthOf([entity.Own]) is not { } width)
                    return Wrong(entity, "has a width that changes along it. Draw the member's edge instead.");
                return Polyline(entity, Corners(entity.Own), ((int)Number(entity.Own, 70) & 1) == 1, width, scale, Shape);
            case "POLYLINE":
                int flags = (int)Number(entity.Own, 70);
                if ((flags & (16 | 64)) != 0)
                    return Wrong(entity, "is a mesh. Draw outlines and members as polylines or lines.");
                // The frame that a smoothed line was drawn on is no part of it.
                List<List<Group>> vertices = [.. entity.Vertices.Where(v => ((int)Number(v, 70) & 16) == 0)];
                if (WidthOf([entity.Own, .. vertices]) is not { } wide)
                    return Wrong(entity, "has a width that changes along it. Draw the member's edge instead.");
                return Polyline(entity, vertices, (flags & 1) == 1, wide, scale, Shape);
            case "INSERT":
                return Wrong(entity, "is a block. Explode it first.");
            default:
                return Wrong(entity, "cannot be used: draw outlines and members as polylines, lines, arcs or circles.");
        }
    }

    private static Result<DrawnShape> Wrong(Entity entity, string what) => new Problem("drawing-shape", "", $"{entity.Where} {what}");

    /// <summary>The width of a polyline: the constant one (43), or that of all its vertices (40, 41); null where it changes.</summary>
    private static double? WidthOf(IEnumerable<List<Group>> groups)
    {
        double[] widths = [.. groups.SelectMany(own => own).Where(g => g.Code is 40 or 41 or 43).Select(g => g.Number).Distinct()];
        return widths.Length switch
        {
            0 => 0,
            1 => widths[0],
            _ => null,
        };
    }

    /// <summary>The vertices of a polyline of one entity: each begins with its x.</summary>
    private static List<List<Group>> Corners(List<Group> own)
    {
        var corners = new List<List<Group>>();
        foreach (Group g in own)
        {
            if (g.Code == 10)
                corners.Add([]);
            if (corners.Count > 0 && g.Code is 10 or 20 or 42)
                corners[^1].Add(g);
        }
        return corners;
    }

    private static Result<DrawnShape> Polyline(
        Entity entity,
        List<List<Group>> corners,
        bool closed,
        double width,
        double scale,
        Func<List<PanelPoint>, bool, double, Result<DrawnShape>> shape
    )
    {
        if (corners.Count < 2)
            return Wrong(entity, "has fewer than two vertices.");
        if (corners.Any(c => c.All(g => g.Code != 20) || c.All(g => g.Code != 10)))
            return Wrong(entity, "has a vertex without both coordinates.");
        var points = new List<PanelPoint>();
        for (int i = 0; i < corners.Count; i++)
        {
            PanelPoint from = new(Number(corners[i], 10) * scale, Number(corners[i], 20) * scale);
            points.Add(from);
            double bulge = Number(corners[i], 42);
            if (bulge == 0 || (i == corners.Count - 1 && !closed))
                continue;
            List<Group> next = corners[(i + 1) % corners.Count];
            PanelPoint to = new(Number(next, 10) * scale, Number(next, 20) * scale);
            if (!double.IsFinite(bulge) || Math.Abs(bulge) > 1e4)
                return Wrong(entity, "has a bulge that is not a number.");
            points.AddRange(Bulge(from, to, bulge));
        }
        return shape(points, closed, width);
    }

    /// <summary>Points between two vertices: the bulge is the tangent of a quarter of the arc's angle, positive anticlockwise.</summary>
    private static IEnumerable<PanelPoint> Bulge(PanelPoint from, PanelPoint to, double bulge)
    {
        double dx = to.SMm - from.SMm,
            dy = to.TMm - from.TMm,
            chord = Math.Sqrt((dx * dx) + (dy * dy));
        if (!(chord > 0) || chord > 10 * LengthText.LimitMm)
            return [];
        double off = (1 - (bulge * bulge)) / (4 * bulge),
            radius = chord * (1 + (bulge * bulge)) / (4 * Math.Abs(bulge));
        var centre = new PanelPoint(((from.SMm + to.SMm) / 2) - (dy * off), ((from.TMm + to.TMm) / 2) + (dx * off));
        double start = Math.Atan2(from.TMm - centre.TMm, from.SMm - centre.SMm) * 180 / Math.PI;
        return FlatCurves.Arc(centre, radius, start, 4 * Math.Atan(bulge) * 180 / Math.PI).Skip(1).SkipLast(1);
    }

    private static string LayerOf(List<Group> own) => own.FirstOrDefault(g => g.Code == 8)?.Value ?? "";

    private sealed record Group(int Code, string Value, int Line)
    {
        public double Number => double.TryParse(Value, NumberStyles.Float, CultureInfo.InvariantCulture, out double n) ? n : double.NaN;
    }

    private static double Number(List<Group> own, int code) => own.FirstOrDefault(g => g.Code == code)?.Number ?? 0;

    /// <summary>The groups of an entity, up to the next one.</summary>
    private static List<Group> Own(List<Group> groups, ref int at)
    {
        int from = at;
        while (at < groups.Count && groups[at].Code != 0)
            at++;
        return groups[from..at];
    }

    /// <summary>Index of the first entity of a section, or -1.</summary>
    private static int Section(List<Group> groups, string name)
    {
        for (int i = 0; i + 1 < groups.Count; i++)
        {
            if (groups[i] is { Code: 0, Value: "SECTION" } && groups[i + 1] is { Code: 2 } named && named.Value == name)
                return i + 2;
        }
        return -1;
    }

    private static double? Stated(List<Group> groups)
    {
        int at = groups.FindIndex(g => g is { Code: 9, Value: "$INSUNITS" });
        return at < 0 || at + 1 >= groups.Count
            ? null
            : groups[at + 1].Value switch
            {
                "1" => LengthFormat.MmPerInch,
                "2" => 12 * LengthFormat.MmPerInch,
                "4" => 1,
                "5" => 10,
                "6" => 1000,
                _ => null,
            };
    }

    private static Result<List<Group>> Groups(string text)
    {
        var groups = new List<Group>();
        using var reader = new StringReader(text);
        for (int line = 1; reader.ReadLine() is { } code; line += 2)
        {
            if (code.Trim().Length == 0 && reader.Peek() < 0)
                break;
            if (!int.TryParse(code.Trim(), NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out int number))
                return new Problem("drawing-unreadable", "", $"Line {line}: \"{Start(code)}\" is not a group code. Is it a DXF file in ASCII?");
            if (reader.ReadLine() is not { } value)
                return new Problem("drawing-unreadable", "", $"Line {line}: the file breaks off after a group code.");
            if (groups.Count >= MostGroups)
                return new Problem("drawing-too-long", "", $"The file has more than {MostGroups} groups.");
            groups.Add(new Group(number, value.Trim(), line));
        }
        return groups;
    }

    private static string Start(string text) => text.Length > 20 ? text[..20] + "..." : text;
}
