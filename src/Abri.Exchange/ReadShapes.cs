using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Exchange;

/// <summary>A shape of a drawing file, mm.</summary>
/// <param name="Layer">Its layer, or the name that stands for one.</param>
/// <param name="Points">Its points.</param>
/// <param name="IsClosed">Whether the last is joined to the first.</param>
/// <param name="WidthMm">Width of the line, mm; 0 where the file gives none.</param>
/// <param name="Where">Where it stands in the file, for messages: a line, or an element.</param>
public sealed record DrawnShape(string Layer, IReadOnlyList<PanelPoint> Points, bool IsClosed, double WidthMm, string Where)
{
    /// <summary>Whether it is as wide as a member may be; thinner ones are edges.</summary>
    public bool HasWidth => WidthMm >= 1;
}

/// <summary>The shapes of a drawing file.</summary>
/// <param name="Shapes">The shapes.</param>
/// <param name="LeftOut">What is in the file and was not read: words, pictures, what is hidden.</param>
public sealed record DrawnShapes(IReadOnlyList<DrawnShape> Shapes, IReadOnlyList<string> LeftOut);

/// <summary>What a drawing file gives for a panel.</summary>
/// <param name="Outline">The outline; null where the file has none.</param>
/// <param name="Members">The members.</param>
/// <param name="LeftOut">What is in the file and was not read, each with its place.</param>
public sealed record PanelDrawing(IReadOnlyList<PanelPoint>? Outline, IReadOnlyList<Member> Members, IReadOnlyList<string> LeftOut);

/// <summary>
/// Turns the shapes of a drawing into an outline and members: the layer <c>OUTLINE</c> is the outline, every other layer bears the name of a
/// kind of member.
/// </summary>
/// <remarks>
/// <c>ROOF_BOW</c>, <c>roof bow</c> and <c>roofBow</c> are one. A closed shape is the edge of the member; an open one is its middle line and needs a
/// width. Shapes on other layers are refused, so that nothing is left out unseen; of a sheet that was written here, <c>CUT</c> is the outline and its
/// other layers are left out.
/// </remarks>
public static class ReadShapes
{
    /// <summary>Most shapes in a file.</summary>
    public const int Most = 500;

    /// <summary>Depth that members are given, mm: a drawing seen from outside says nothing of it.</summary>
    private const double UnknownDepthMm = 40,
        SwageDepthMm = -8;

    /// <summary>Most things that are named as left out.</summary>
    private const int MostNamed = 20;

    /// <summary>Whether a layer's name is known here.</summary>
    public static bool IsLayer(string name) =>
        Plain(name) is var plain && (plain == "outline" || KindOf(plain) is not null || SheetLayer(plain) is not null);

    /// <summary>The panel's drawing, or which shape is wrong.</summary>
    public static Result<PanelDrawing> AsPanel(DrawnShapes drawn)
    {
        // What a sheet shows beside its cut-out stands in no way for a panel.
        bool isSheet =
            drawn.Shapes.Any(s => SheetLayer(Plain(s.Layer)) == Abri.Core.Geometry.Layer.Cut) && drawn.Shapes.All(s => Plain(s.Layer) != "outline");
        DrawnShape[] shapes = [.. drawn.Shapes.Where(s => !isSheet || SheetLayer(Plain(s.Layer)) is null or Abri.Core.Geometry.Layer.Cut)];
        string[] leftOut = [.. drawn.LeftOut, .. drawn.Shapes.Except(shapes).GroupBy(s => s.Layer).Select(g => $"layer {g.Key}: {g.Count()} shapes")];
        if (leftOut.Length > MostNamed)
            leftOut = [.. leftOut.Take(MostNamed), $"and {leftOut.Length - MostNamed} more"];
        if (shapes.Length == 0)
            return new Problem("drawing-empty", "", "The file holds no polyline, polygon, line or rectangle.");
        if (shapes.Length > Most)
            return new Problem("drawing-too-long", "", $"The file holds {shapes.Length} shapes; at most {Most} are read.");
        IReadOnlyList<PanelPoint>? outline = null;
        var members = new List<Member>();
        var counts = new Dictionary<MemberKind, int>();
        foreach (DrawnShape shape in shapes)
        {
            if (
                shape.Points.Any(p =>
                    !double.IsFinite(p.SMm) || !double.IsFinite(p.TMm) || Math.Abs(p.SMm) > LengthText.LimitMm || Math.Abs(p.TMm) > LengthText.LimitMm
                )
            )
                return Wrong(shape, "has a coordinate that is not a number, or is further off than 100 m. Check the unit.");
            string layer = Plain(shape.Layer);
            if (layer == "outline" || (isSheet && SheetLayer(layer) == Abri.Core.Geometry.Layer.Cut))
            {
                if (outline is not null)
                    return Wrong(shape, "is a second outline. A panel has one.");
                if (!shape.IsClosed)
                    return Wrong(shape, "is an outline that is not closed.");
                if (Outlines.Check(shape.Points, "") is { } crossed)
                    return Wrong(shape, "is an outline that cannot be used. " + crossed.Message);
                outline = shape.Points;
                continue;
            }
            if (KindOf(layer) is not { } kind)
                return Wrong(
                    shape,
                    $"lies on the layer \"{shape.Layer}\". Name the layer OUTLINE, or after a kind of member: "
                        + $"{string.Join(", ", Enum.GetNames<MemberKind>().Select(Words))}."
                );
            if (!shape.IsClosed && !shape.HasWidth)
                return Wrong(shape, "is an open line without a width: give the line its width, or draw the member's edge.");
            counts[kind] = counts.GetValueOrDefault(kind) + 1;
            Footprint footprint = shape.IsClosed
                ? new Footprint(FootprintShape.Polygon, shape.Points)
                : new Footprint(FootprintShape.Spine, shape.Points, shape.WidthMm);
            var member = new Member(
                $"{Words(kind.ToString())} {counts[kind]}",
                kind,
                Member.DefaultRole(kind),
                footprint,
                kind == MemberKind.Swage ? SwageDepthMm : UnknownDepthMm
            );
            if (outline is null && ShellCheck.OfFootprint(footprint) is { } bad)
                return Wrong(shape, "cannot be used. " + bad.Message);
            members.Add(member);
        }
        return new PanelDrawing(outline, members, leftOut);
    }

    private static Problem Wrong(DrawnShape shape, string what) => new("drawing-shape", "", $"{shape.Where} {what}");

    private static MemberKind? KindOf(string plain) =>
        Enum.GetValues<MemberKind>().Where(k => Plain(k.ToString()) == plain).Select(k => (MemberKind?)k).FirstOrDefault();

    private static Layer? SheetLayer(string plain) =>
        Enum.GetValues<Layer>().Where(l => Plain(l.ToString()) == plain).Select(l => (Layer?)l).FirstOrDefault();

    private static string Plain(string layer) => string.Concat(layer.Where(char.IsAsciiLetterOrDigit)).ToLowerInvariant();

    /// <summary><c>RoofBow</c> as <c>Roof bow</c>.</summary>
    private static string Words(string kind) =>
        string.Concat(kind.Select((c, i) => i > 0 && char.IsUpper(c) ? " " + char.ToLowerInvariant(c) : c.ToString()));
}
