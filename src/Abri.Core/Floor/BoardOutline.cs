using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Work;

namespace Abri.Core.Floor;

/// <summary>How a corner was taped from a base line.</summary>
public enum TapedBy
{
    /// <summary>Along the base line, and square off it.</summary>
    Offset,

    /// <summary>With two tapes, from either end of the base line.</summary>
    TwoTapes,
}

/// <summary>A corner of an awkward board.</summary>
/// <param name="By">How it was taped.</param>
/// <param name="FirstMm">Along the base line from its start; or the tape from its start, mm.</param>
/// <param name="SecondMm">Square off the base line; or the tape from its end, mm.</param>
/// <param name="RiseMm">How far the edge from the corner before bulges out in its middle, mm; negative where it bends in, 0 where it is
/// straight.</param>
public sealed record TapedCorner(
    TapedBy By,
    [Within(-6000, 9000, "The first figure", "mm")] double FirstMm,
    [Within(0, 9000, "The second figure", "mm")] double SecondMm,
    [Within(-3000, 3000, "The rise", "mm")] double RiseMm = 0
);

/// <summary>A notch in an edge, for a rib, a pillar or a pipe.</summary>
/// <param name="Edge">Number of the edge: 0 for the base line, then round.</param>
/// <param name="FromMm">Where it begins, from the edge's own start, mm.</param>
/// <param name="ToMm">Where it ends, mm.</param>
/// <param name="DepthMm">How deep it goes in, square to the edge, mm.</param>
public sealed record TapedNotch(
    [Within(0, 60, "The number of the edge")] int Edge,
    [Within(0, 9000, "The beginning of a notch", "mm")] double FromMm,
    [Within(0, 9000, "The end of a notch", "mm")] double ToMm,
    [Within(0.5, 6000, "The depth of a notch", "mm")] double DepthMm
);

/// <summary>A board as it was taped off a base line between two nails.</summary>
/// <param name="BaseMm">Length of the base line, which is its first edge, mm.</param>
/// <param name="Corners">Its other corners, from the end of the base line round to its start.</param>
/// <param name="LastRiseMm">Rise of the edge from the last corner back to the start, mm.</param>
/// <param name="Notches">Its notches.</param>
/// <param name="ScribeMm">What is left on all round, to be scribed to the wall, mm.</param>
public sealed record TapedBoard(
    [Within(50, 6000, "The base line", "mm")] double BaseMm,
    [Count(1, 60, "A board has 1 to 60 corners beside its base line.")] IReadOnlyList<TapedCorner> Corners,
    [Within(-3000, 3000, "The rise", "mm")] double LastRiseMm,
    [Count(0, 40, "A board has at most 40 notches.")] IReadOnlyList<TapedNotch> Notches,
    [Within(0, 50, "What is left to scribe", "mm")] double ScribeMm = 0
);

/// <summary>A corner as it comes out.</summary>
/// <param name="At">Its place: along the base line, and off it.</param>
/// <param name="DoubtMm">How far a millimetre in either tape moves it at worst, mm.</param>
public sealed record FoundCorner(PanelPoint At, double DoubtMm);

/// <summary>An edge as it comes out.</summary>
/// <param name="ChordMm">From corner to corner, mm.</param>
/// <param name="RadiusMm">Its radius, mm; null where it is straight.</param>
public sealed record FoundEdge(double ChordMm, double? RadiusMm);

/// <summary>A board found from its tapes.</summary>
/// <param name="Corners">The ends of the base line and its other corners, in order.</param>
/// <param name="Edges">Its edges, the base line first.</param>
/// <param name="Outline">Its outline with notches, arcs as short chords, without what is left to scribe.</param>
/// <param name="Sawn">The same as it is sawn, with what is left to scribe.</param>
/// <param name="LengthMm">Along the base line it needs a board of this, mm.</param>
/// <param name="WidthMm">And off it of this, mm.</param>
/// <param name="AreaMm2">Its area as it is sawn, mm2.</param>
/// <param name="CheckMm">From the start of the base line to each corner but its neighbours: to be taped on the board before it is sawn, mm.</param>
/// <param name="Rows">What the rules say.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record BoardShape(
    IReadOnlyList<FoundCorner> Corners,
    IReadOnlyList<FoundEdge> Edges,
    IReadOnlyList<PanelPoint> Outline,
    IReadOnlyList<PanelPoint> Sawn,
    double LengthMm,
    double WidthMm,
    double AreaMm2,
    IReadOnlyList<double> CheckMm,
    IReadOnlyList<Judgement> Rows,
    string Verdict
);

/// <summary>Finds the outline of an awkward board from a base line, tapes, rises and notches.</summary>
/// <remarks>
/// Two tapes a and b from the ends of a base line L meet at x = (a^2 - b^2 + L^2) / (2 L), y = sqrt(a^2 - x^2). Where they cross at a flat angle a
/// millimetre of tape is many of the corner: dx and dy follow from the same formulas. An edge that bulges by h over its chord c is an arc of radius
/// c^2 / (8 h) + h / 2. The base line lies at the foot, the board above it.
/// </remarks>
/// <example>Base line 1000, tapes 1000 and 1000: the corner lies at 500, 866.0.</example>
public static class BoardOutline
{
    /// <summary>A corner that a millimetre of tape moves further is doubtful: assumption.</summary>
    private const double DoubtfulMm = 2;

    /// <summary>How far a chord may be from its arc, mm.</summary>
    private const double ChordWithinMm = 0.2;

    /// <summary>The board.</summary>
    public static Result<Worked<BoardShape>> Of(TapedBoard board, LengthFormat lengths)
    {
        var sheet = new Worksheet();
        List<FoundCorner> corners = [new(new PanelPoint(0, 0), 0), new(new PanelPoint(board.BaseMm, 0), 0)];
        foreach ((TapedCorner corner, int i) in board.Corners.Select((c, i) => (c, i)))
        {
            if (!Found(board.BaseMm, corner, i, lengths).IsOk(out FoundCorner? found, out Problem? problem))
                return problem;
            corners.Add(found);
            sheet.Step($"x_{i + 1}", $"corner {i + 1}, along the base line", Formula(corner.By, true), found.At.SMm, "mm");
            sheet.Step($"y_{i + 1}", $"corner {i + 1}, off it", Formula(corner.By, false), found.At.TMm, "mm");
        }
        double[] rises = [0, .. board.Corners.Select(c => c.RiseMm), board.LastRiseMm];
        PanelPoint[] places = [.. corners.Select(c => c.At)];
        (PanelPoint From, PanelPoint To)[] sides = [.. places.Select((p, i) => (p, places[(i + 1) % places.Length]))];
        for (int i = 0; i < sides.Length; i++)
        {
            double chord = sides[i].From.DistanceMm(sides[i].To);
            if (chord < 1e-6)
                return new Problem("corner-twice", $"/corners/{Math.Clamp(i - 1, 0, board.Corners.Count - 1)}", "Two corners fall onto one place.");
            if (Math.Abs(rises[i]) > chord / 2)
                return new Problem(
                    "arc-impossible",
                    i == sides.Length - 1 ? "/lastRiseMm" : $"/corners/{i - 1}/riseMm",
                    $"An edge of {lengths.Text(chord)} rises by at most half of that."
                );
        }
        FoundEdge[] edges = [.. sides.Select((s, i) => new FoundEdge(s.From.DistanceMm(s.To), Radius(s.From.DistanceMm(s.To), rises[i])))];
        PanelPoint[] plain = [.. sides.SelectMany((s, i) => Arc(s.From, s.To, rises[i]))];
        if (Outlines.Check(plain, "/corners") is { } crossed)
            return crossed;
        if (Outlines.SignedAreaMm2(plain) < 0)
            return new Problem("wrong-way-round", "/corners", "Name the corners from the end of the base line round to its start.");
        NetTopologySuite.Geometries.Geometry area = Plane.Polygon(plain);
        for (int i = 0; i < board.Notches.Count; i++)
        {
            TapedNotch notch = board.Notches[i];
            if (notch.Edge >= edges.Length || notch.ToMm <= notch.FromMm || notch.ToMm > edges[notch.Edge].ChordMm + 1e-6)
                return new Problem(
                    "notch-off-edge",
                    $"/notches/{i}",
                    notch.Edge >= edges.Length
                        ? $"The board has edges 0 to {edges.Length - 1}."
                        : $"A notch of edge {notch.Edge} lies within its {lengths.Text(edges[notch.Edge].ChordMm)}, and ends after it begins."
                );
            area = Plane.Difference(area, Plane.Polygon(Notch(sides[notch.Edge], notch)));
        }
        RegionPart[] parts = [.. Plane.Parts(area.Each())];
        if (parts.Length != 1)
            return new Problem("notch-through", "/notches", "A notch goes right through: the board would fall apart.");
        IReadOnlyList<PanelPoint> outline = parts[0].Outline;
        IReadOnlyList<PanelPoint> sawn =
            board.ScribeMm > 0 ? Plane.Parts(Plane.Square(Plane.Polygon(outline), board.ScribeMm).Each()).Single().Outline : outline;
        PanelBox box = PanelBox.Of(sawn);
        double mm2 = sheet.Step("A", "area as it is sawn", "of its outline", Math.Abs(Outlines.SignedAreaMm2(sawn)) / 1e6, "m2") * 1e6;
        sheet.Cite(new Source("Two tapes, offsets, and chord and rise of an arc", SourceKind.Geometry));
        sheet.Cite(new Source("A corner that a millimetre of tape moves by more than 2 mm is taped again", SourceKind.Assumption));
        Judgement[] rows = [.. Rows(corners, lengths)];
        return sheet.Finish(
            new BoardShape(
                corners,
                edges,
                outline,
                sawn,
                box.WidthMm,
                box.HeightMm,
                mm2,
                [.. places.Skip(2).Select(p => p.DistanceMm(places[0]))],
                rows,
                $"A board of {lengths.Number(box.WidthMm)} x {lengths.Text(box.HeightMm)}"
                    + (board.ScribeMm > 0 ? $", {lengths.Text(board.ScribeMm)} left on to scribe" : "")
                    + (rows.Length > 0 ? $". {rows[0].Title}: {rows[0].Remedy}" : ".")
            )
        );
    }

    private static Result<FoundCorner> Found(double baseMm, TapedCorner corner, int i, LengthFormat lengths)
    {
        if (corner.By == TapedBy.Offset)
            return new FoundCorner(new PanelPoint(corner.FirstMm, corner.SecondMm), 1);
        (double a, double b) = (corner.FirstMm, corner.SecondMm);
        double x = ((a * a) - (b * b) + (baseMm * baseMm)) / (2 * baseMm),
            y2 = (a * a) - (x * x);
        if (a <= 0 || y2 < 0)
            return new Problem(
                "tapes-do-not-meet",
                $"/corners/{i}",
                $"Tapes of {lengths.Text(a)} and {lengths.Text(b)} do not meet over a base line of {lengths.Text(baseMm)}: "
                    + (
                        a + b < baseMm
                            ? $"together they are {lengths.Text(baseMm - a - b)} short."
                            : $"one is more than {lengths.Text(baseMm)} longer than the other."
                    )
            );
        double y = Math.Sqrt(y2);
        // What a millimetre of either tape does, both at once the wrong way.
        (double dxa, double dxb) = (a / baseMm, b / baseMm);
        (double dya, double dyb) = y < 1e-9 ? (double.PositiveInfinity, 0) : ((a - (x * dxa)) / y, x * dxb / y);
        double doubt = Math.Min(9999, Math.Sqrt(Math.Pow(dxa + dxb, 2) + Math.Pow(Math.Abs(dya) + Math.Abs(dyb), 2)));
        return new FoundCorner(new PanelPoint(x, y), doubt);
    }

    private static string Formula(TapedBy by, bool along) =>
        by == TapedBy.Offset ? "as taped"
        : along ? "(a^2 - b^2 + L^2) / (2 L)"
        : "sqrt(a^2 - x^2)";

    private static double? Radius(double chord, double rise) => rise == 0 ? null : (chord * chord / (8 * Math.Abs(rise))) + (Math.Abs(rise) / 2);

    /// <summary>Points of an edge without its end: itself, or short chords of its arc.</summary>
    private static IEnumerable<PanelPoint> Arc(PanelPoint from, PanelPoint to, double rise)
    {
        double chord = from.DistanceMm(to);
        if (Radius(chord, rise) is not { } r)
            return [from];
        double half = Math.Asin(Math.Clamp(chord / 2 / r, -1, 1));
        // A chord over an angle of 2 b is r b^2 / 2 off its arc at most.
        int pieces = Math.Max(2, (int)Math.Ceiling(half * Math.Sqrt(r / (2 * ChordWithinMm))));
        (double ux, double uy) = ((to.SMm - from.SMm) / chord, (to.TMm - from.TMm) / chord);
        // The board lies at the left of its edges: out is to their right.
        (double ox, double oy) = (uy, -ux);
        double sign = Math.Sign(rise);
        return Enumerable
            .Range(0, pieces)
            .Select(k =>
            {
                double at = -half + (2 * half * k / pieces),
                    along = (chord / 2) + (r * Math.Sin(at)),
                    off = sign * ((r * Math.Cos(at)) - (r - Math.Abs(rise)));
                return from.Plus((along * ux) + (off * ox), (along * uy) + (off * oy));
            });
    }

    /// <summary>A notch as an area, with a little beyond the edge so that nothing is left there.</summary>
    private static PanelPoint[] Notch((PanelPoint From, PanelPoint To) edge, TapedNotch notch)
    {
        double chord = edge.From.DistanceMm(edge.To);
        (double ux, double uy) = ((edge.To.SMm - edge.From.SMm) / chord, (edge.To.TMm - edge.From.TMm) / chord);
        PanelPoint At(double along, double inward) => edge.From.Plus((along * ux) - (inward * uy), (along * uy) + (inward * ux));
        return [At(notch.FromMm, -chord), At(notch.ToMm, -chord), At(notch.ToMm, notch.DepthMm), At(notch.FromMm, notch.DepthMm)];
    }

    private static IEnumerable<Judgement> Rows(IReadOnlyList<FoundCorner> corners, LengthFormat lengths) =>
        corners
            .Select((c, i) => (c, i))
            .Where(x => x.c.DoubtMm > DoubtfulMm)
            .OrderByDescending(x => x.c.DoubtMm)
            .Select(x => new Judgement(
                $"doubt-{x.i - 1}",
                JudgementState.NeedsWork,
                $"Corner {x.i - 1} is doubtful",
                Math.Round(x.c.DoubtMm, 1),
                DoubtfulMm,
                Unit.Mm,
                $"The tapes cross at a flat angle there: a millimetre of tape moves it by {lengths.Text(x.c.DoubtMm)}.",
                "Tape it from a longer base line, or square off the line.",
                [new Mark([x.c.At], false)]
            ));
}
