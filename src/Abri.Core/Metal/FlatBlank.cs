using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Work;

namespace Abri.Core.Metal;

/// <summary>An edge that is folded.</summary>
/// <param name="Edge">Its number: from this corner of the base to the next, the first 0.</param>
/// <param name="Folds">Its folds, from the base outwards.</param>
/// <param name="FromMm">Where the flange begins, from the edge's first corner, mm; null for the corner itself.</param>
/// <param name="ToMm">Where it ends, from the same corner, mm; null for the other corner.</param>
public sealed record FoldedEdge(
    [Within(0, 39, "The edge", "")] int Edge,
    [Count(1, 2, "An edge has one or two folds.")] IReadOnlyList<Fold> Folds,
    [Within(0, Limits.LongestMm, "Where the flange begins", "mm")] double? FromMm = null,
    [Within(0, Limits.LongestMm, "Where the flange ends", "mm")] double? ToMm = null
);

/// <summary>A piece of sheet as it is wanted once it is folded.</summary>
/// <param name="Base">Corners of the part that stays flat, where its outer faces would meet those of the flanges; in order round the edge.</param>
/// <param name="Edges">Its folded edges.</param>
/// <param name="ThickMm">Thickness, mm.</param>
/// <param name="Metal">What it is made of.</param>
/// <param name="CornerMm">Radius of corners that no flange meets, mm; 0 for sharp ones.</param>
public sealed record BlankDesign(
    [Count(3, 40, "A base has 3 to 40 corners.")] IReadOnlyList<PanelPoint> Base,
    [Count(0, 40, "A base has at most 40 folded edges.")] IReadOnlyList<FoldedEdge> Edges,
    [Within(0.3, 6, "The sheet", "mm")] double ThickMm,
    BendMetal Metal,
    [Within(0, 500, "The corner's radius", "mm")] double CornerMm
);

/// <summary>A line along which the blank is folded.</summary>
/// <param name="Edge">Number of its edge.</param>
/// <param name="Nth">1 for the fold next to the base, 2 for the one beyond it.</param>
/// <param name="From">One end of the middle of the bend.</param>
/// <param name="To">The other end.</param>
/// <param name="Degrees">By how much, degrees.</param>
/// <param name="Towards">To which side.</param>
/// <param name="RadiusMm">Inside radius, mm.</param>
/// <param name="AllowanceMm">Width of sheet that the bend takes up, half of it on either side of the line, mm.</param>
/// <param name="Order">When it is folded: 1 first; null where the folds lock one another out.</param>
public sealed record FoldLine(
    int Edge,
    int Nth,
    PanelPoint From,
    PanelPoint To,
    double Degrees,
    FoldTo Towards,
    double RadiusMm,
    double AllowanceMm,
    int? Order
);

/// <summary>A hole that keeps the sheet from tearing where two bends meet.</summary>
/// <param name="Centre">Where.</param>
/// <param name="DiameterMm">Diameter, mm.</param>
public sealed record ReliefHole(PanelPoint Centre, double DiameterMm);

/// <summary>What is cut out of the sheet, flat.</summary>
/// <param name="Outline">Its edge.</param>
/// <param name="FoldLines">Where it is folded, in the order of the edges.</param>
/// <param name="Reliefs">Holes where bends meet.</param>
/// <param name="AreaMm2">Area, mm2.</param>
/// <param name="WidthMm">Extent along s, mm.</param>
/// <param name="HeightMm">Extent along t, mm.</param>
/// <param name="Rows">What the rules say of the folds, worst first.</param>
public sealed record FlatBlank(
    IReadOnlyList<PanelPoint> Outline,
    IReadOnlyList<FoldLine> FoldLines,
    IReadOnlyList<ReliefHole> Reliefs,
    double AreaMm2,
    double WidthMm,
    double HeightMm,
    IReadOnlyList<Judgement> Rows
);

/// <summary>Unfolds a piece of sheet.</summary>
/// <remarks>
/// Each bend takes up its allowance (<see cref="Bend"/>) between two flat parts that end a setback short of the corner where the outer faces would
/// meet. Two flanges that meet at a corner leave a notch; where they lean over the base they are cut back so that they meet on the line that halves
/// the corner: geometry. A flange along part of an edge has a slit at each end, as wide as the sheet, down to where the bend ends: common practice.
/// Where two bends meet, a hole of twice the sheet, at least 3 mm: common practice.
/// </remarks>
/// <example>A base of 200 x 100 in 1 mm steel with a flange of 20 at R 1 along one long edge: a blank of 200 x 118.21.</example>
public static class FlatBlanks
{
    /// <summary>Least diameter of a relief hole, mm: common practice.</summary>
    public const double LeastReliefMm = 3;

    /// <summary>Least width of a slit, mm: what a saw cuts.</summary>
    public const double LeastSlitMm = 1.5;

    /// <summary>The blank.</summary>
    /// <param name="design">The piece as it is wanted.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<FlatBlank>> Of(BlankDesign design, LengthFormat lengths) => Of(design, lengths, i => $"edge {i + 1}");

    /// <summary>The blank, with names for its edges.</summary>
    /// <param name="design">The piece as it is wanted.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    /// <param name="edgeName">What an edge of a number is called.</param>
    internal static Result<Worked<FlatBlank>> Of(BlankDesign design, LengthFormat lengths, Func<int, string> edgeName)
    {
        if (Outlines.Check(design.Base, "/base") is { } crossed)
            return crossed;
        if (CheckEdges(design) is { } wrong)
            return wrong;
        var sheet = new Worksheet();
        PanelPoint[] corners = [.. Outlines.SignedAreaMm2(design.Base) > 0 ? design.Base : design.Base.Reverse()];
        bool turned = Outlines.SignedAreaMm2(design.Base) < 0;
        int n = corners.Length;
        // Reversed corners number their edges the other way round: edge i went from corner i to i + 1.
        Dictionary<int, Flange> flanges = design.Edges.ToDictionary(
            e => turned ? (2 * n - 2 - e.Edge) % n : e.Edge,
            e => Flange.Of(e, design, turned, corners, lengths)
        );
        foreach ((int i, Flange flange) in flanges.OrderBy(f => f.Key))
        {
            for (int k = 0; k < flange.Bends.Count; k++)
            {
                BendPlan bend = flange.Bends[k];
                sheet.Step($"BA_{i + 1}.{k + 1}", $"edge {i + 1}, fold {k + 1}: bend allowance", "(k T + 1.57 R) A / 90", bend.AllowanceMm, "mm");
                sheet.Step($"SB_{i + 1}.{k + 1}", $"edge {i + 1}, fold {k + 1}: setback", "(R + T) tan(A / 2)", bend.SetbackMm, "mm");
            }
            sheet.Step($"w_{i + 1}", $"edge {i + 1}: sheet beyond the flat part", "sum of BA + flats", flange.WidthMm, "mm");
        }
        if (flanges.Count > 0)
        {
            sheet.Cite(new Source("Bend allowance: form of Machinery's Handbook", SourceKind.FromMemory));
            sheet.Cite(new Source("Setbacks, notches and meeting flanges", SourceKind.Geometry));
            sheet.Cite(new Source("Slits as wide as the sheet; relief holes of twice the sheet, at least 3 mm", SourceKind.CommonPractice));
        }
        var inset = Enumerable.Range(0, n).Select(i => flanges.TryGetValue(i, out Flange? f) && f.IsWhole ? f.Bends[0].SetbackMm : 0).ToArray();
        PanelPoint[] flat = [.. Enumerable.Range(0, n).Select(i => Corner(corners, inset, i))];
        for (int i = 0; i < n; i++)
        {
            (PanelPoint a, PanelPoint b) = (flat[i], flat[(i + 1) % n]);
            (PanelPoint u, _) = Axes(corners, i);
            if (((b.SMm - a.SMm) * u.SMm) + ((b.TMm - a.TMm) * u.TMm) < Math.Min(1, corners[i].DistanceMm(corners[(i + 1) % n]) / 2))
                return new Problem("base-too-small", "/base", "The bends take up the whole base: it has to be larger, or the radii smaller.");
        }
        var outline = new List<PanelPoint>();
        var lines = new List<FoldLine>();
        var reliefs = new List<ReliefHole>();
        for (int i = 0; i < n; i++)
        {
            int before = (i + n - 1) % n;
            bool folded = flanges.TryGetValue(i, out Flange? flange);
            if (folded && flange!.IsWhole)
            {
                if (flanges.TryGetValue(before, out Flange? other) && other.IsWhole)
                    reliefs.Add(new ReliefHole(flat[i], Math.Max(LeastReliefMm, 2 * design.ThickMm)));
                double start = Meets(flanges, before) ? Lean(corners, i) : 0,
                    end = Meets(flanges, (i + 1) % n) ? Lean(corners, (i + 1) % n) : 0;
                flange.Draw(i, flat[i], flat[(i + 1) % n], start, end, Axes(corners, i), outline, lines);
                continue;
            }
            double slit = Math.Max(LeastSlitMm, design.ThickMm),
                // A flange along part of an edge ends the corner's rounding where its slit begins.
                room = Math.Min(folded ? flange!.FromMm - slit : design.CornerMm, RoomAfter(flanges, corners, before, slit)),
                round = Math.Min(design.CornerMm, room);
            if (round > 0)
                outline.AddRange(Rounded(flat[before], flat[i], flat[(i + 1) % n], round));
            else
                outline.Add(flat[i]);
            if (folded)
                flange!.DrawPart(i, corners[i], corners[i].DistanceMm(corners[(i + 1) % n]), Axes(corners, i), slit, outline, lines);
        }
        PanelPoint[] edge = [.. Distinct(outline)];
        if (Outlines.Check(edge, "/edges") is not null)
            return new Problem(
                "flanges-overlap",
                "/edges",
                "Two flanges lie over one another in the flat sheet: make them shorter, or along part of their edge only."
            );
        IReadOnlyList<int>? order = FoldOrder.Of(
            [.. lines.Select(l => new FoldOrder.Line(l.Edge, l.Nth))],
            flanges.ToDictionary(f => f.Key, f => f.Value.Chain),
            corners
        );
        FoldLine[] ordered =
        [
            .. lines.Select((l, i) => l with { Edge = turned ? (2 * n - 2 - l.Edge) % n : l.Edge, Order = order is null ? null : order[i] }),
        ];
        double area = sheet.Step("A", "area of the blank", "polygon", Math.Abs(Outlines.SignedAreaMm2(edge)), "mm2");
        PanelBox box = PanelBox.Of(edge);
        sheet.Step("W", "extent along", "largest less smallest s", box.WidthMm, "mm");
        sheet.Step("H", "extent across", "largest less smallest t", box.HeightMm, "mm");
        return sheet.Finish(
            new FlatBlank(
                edge,
                ordered,
                reliefs,
                area,
                box.WidthMm,
                box.HeightMm,
                [.. Rows(design, flanges.Values, order, lengths, edgeName).OrderByDescending(r => r.State)]
            )
        );

        static bool Meets(Dictionary<int, Flange> flanges, int edge) => flanges.TryGetValue(edge, out Flange? other) && other.IsWhole;
    }

    /// <summary>Room for a rounding at the end of an edge, mm: none where a flange reaches it.</summary>
    private static double RoomAfter(Dictionary<int, Flange> flanges, PanelPoint[] corners, int edge, double slitMm) =>
        !flanges.TryGetValue(edge, out Flange? flange) ? double.PositiveInfinity
        : flange.IsWhole ? 0
        : corners[edge].DistanceMm(corners[(edge + 1) % corners.Length]) - flange.ToMm - slitMm;

    private static Problem? CheckEdges(BlankDesign design)
    {
        if (design.Edges.GroupBy(e => e.Edge).Any(g => g.Count() > 1))
            return new Problem("edge-twice", "/edges", "Each edge is given once.");
        for (int i = 0; i < design.Edges.Count; i++)
        {
            FoldedEdge edge = design.Edges[i];
            if (edge.Edge >= design.Base.Count)
                return new Problem("edge-unknown", $"/edges/{i}/edge", $"The base has {design.Base.Count} edges, numbered from 0.");
            double length = design.Base[edge.Edge].DistanceMm(design.Base[(edge.Edge + 1) % design.Base.Count]);
            double from = edge.FromMm ?? 0,
                to = edge.ToMm ?? length;
            if (from >= to - 1 || to > length + 0.01)
                return new Problem("flange-off-edge", $"/edges/{i}/toMm", "The flange has to begin before it ends, and both lie on its edge.");
        }
        return null;
    }

    private static IEnumerable<Judgement> Rows(
        BlankDesign design,
        IEnumerable<Flange> flanges,
        IReadOnlyList<int>? order,
        LengthFormat lengths,
        Func<int, string> edgeName
    )
    {
        foreach (Flange flange in flanges)
        {
            for (int k = 0; k < flange.Edge.Folds.Count; k++)
            {
                (Fold fold, BendPlan bend) = (flange.Edge.Folds[k], flange.Bends[k]);
                double holds = Math.Min(bend.LeastFlangeMm, Bend.LeastByPliersMm);
                bool held = fold.LengthMm >= bend.LeastFlangeMm - 1e-9;
                yield return new Judgement(
                    $"flange-{flange.Edge.Edge + 1}-{k + 1}",
                    held ? JudgementState.Good
                        : fold.LengthMm >= Bend.LeastByPliersMm ? JudgementState.NeedsWork
                        : JudgementState.Blocked,
                    $"{edgeName(flange.Edge.Edge)}, flange {k + 1}: {lengths.Text(fold.LengthMm)}",
                    fold.LengthMm,
                    bend.LeastFlangeMm,
                    Unit.Mm,
                    held
                        ? "Bending plates hold it."
                        : $"Bending plates hold {lengths.Text(bend.LeastFlangeMm)}, hand pliers {lengths.Text(Bend.LeastByPliersMm)}.",
                    held ? null : $"Make it at least {lengths.Text(Math.Min(bend.LeastFlangeMm, Math.Max(holds, Bend.LeastByPliersMm)))}.",
                    []
                );
                if (fold.RadiusMm < design.ThickMm)
                    yield return new Judgement(
                        $"radius-{flange.Edge.Edge + 1}-{k + 1}",
                        JudgementState.NeedsWork,
                        $"{edgeName(flange.Edge.Edge)}, fold {k + 1}: inside radius {lengths.Text(fold.RadiusMm)}",
                        fold.RadiusMm,
                        design.ThickMm,
                        Unit.Mm,
                        "Less than the sheet: mild steel usually stands it, aluminium and hard sheet crack.",
                        "Try a strip first, or take a radius as large as the sheet.",
                        []
                    );
            }
        }
        if (flanges.Sum(f => f.Bends.Count) > 1)
            yield return order is not null
                ? new Judgement(
                    "fold-order",
                    JudgementState.Good,
                    "folds can be made one after another",
                    null,
                    null,
                    Unit.Mm,
                    "In the order of their numbers.",
                    null,
                    []
                )
                : new Judgement(
                    "fold-order",
                    JudgementState.Blocked,
                    "the folds lock one another out",
                    null,
                    null,
                    Unit.Mm,
                    $"In every order the bar, {lengths.Text(FoldOrder.BarHighMm)} high and "
                        + $"{lengths.Text(FoldOrder.BarMm)} wide, or the flange "
                        + "that swings, meets what is folded already.",
                    "Make the inner flange longer or the lip shorter, leave one fold away, or make it of two pieces.",
                    []
                );
    }

    /// <summary>Directions along an edge and out of the base.</summary>
    private static (PanelPoint Along, PanelPoint Out) Axes(PanelPoint[] corners, int i)
    {
        PanelPoint a = corners[i],
            b = corners[(i + 1) % corners.Length];
        double length = a.DistanceMm(b);
        var u = new PanelPoint((b.SMm - a.SMm) / length, (b.TMm - a.TMm) / length);
        return (u, new PanelPoint(u.TMm, -u.SMm));
    }

    /// <summary>Corner i of the flat part: where the lines of its two edges, set in, meet.</summary>
    private static PanelPoint Corner(PanelPoint[] corners, double[] inset, int i)
    {
        int before = (i + corners.Length - 1) % corners.Length;
        (PanelPoint u1, PanelPoint o1) = Axes(corners, before);
        (PanelPoint u2, PanelPoint o2) = Axes(corners, i);
        PanelPoint p1 = corners[i].Plus(-o1.SMm * inset[before], -o1.TMm * inset[before]),
            p2 = corners[i].Plus(-o2.SMm * inset[i], -o2.TMm * inset[i]);
        double cross = (u1.SMm * u2.TMm) - (u1.TMm * u2.SMm);
        if (Math.Abs(cross) < 1e-9)
            return p2;
        double along = (((p2.SMm - p1.SMm) * u2.TMm) - ((p2.TMm - p1.TMm) * u2.SMm)) / cross;
        return p1.Plus(u1.SMm * along, u1.TMm * along);
    }

    /// <summary>By how much two flanges that lean over the base are cut back at a corner, for each mm that they lean.</summary>
    private static double Lean(PanelPoint[] corners, int i)
    {
        (PanelPoint u1, _) = Axes(corners, (i + corners.Length - 1) % corners.Length);
        (PanelPoint u2, _) = Axes(corners, i);
        double turn = Math.Atan2((u1.SMm * u2.TMm) - (u1.TMm * u2.SMm), (u1.SMm * u2.SMm) + (u1.TMm * u2.TMm));
        // The inner angle of the corner is 180 degrees less the turn; a corner that turns in leaves room.
        return turn <= 0 ? 0 : Math.Tan(turn / 2);
    }

    private static IEnumerable<PanelPoint> Rounded(PanelPoint before, PanelPoint at, PanelPoint after, double radiusMm)
    {
        double d1 = before.DistanceMm(at),
            d2 = at.DistanceMm(after);
        double a1 = Math.Atan2(before.TMm - at.TMm, before.SMm - at.SMm),
            a2 = Math.Atan2(after.TMm - at.TMm, after.SMm - at.SMm);
        double inner = a1 - a2;
        while (inner < 0)
            inner += 2 * Math.PI;
        if (inner >= Math.PI - 1e-9)
            return [at];
        double tangent = Math.Min(radiusMm / Math.Tan(inner / 2), Math.Min(d1, d2) / 2),
            r = tangent * Math.Tan(inner / 2),
            middle = a2 + (inner / 2),
            away = r / Math.Sin(inner / 2);
        PanelPoint centre = at.Plus(away * Math.Cos(middle), away * Math.Sin(middle));
        double from = a1 + (Math.PI / 2),
            sweep = Math.PI - inner;
        const int pieces = 16;
        return Enumerable
            .Range(0, pieces + 1)
            .Select(k => from + (sweep * k / pieces))
            .Select(angle => centre.Plus(r * Math.Cos(angle), r * Math.Sin(angle)));
    }

    private static IEnumerable<PanelPoint> Distinct(List<PanelPoint> outline) =>
        outline.Where((p, i) => p.DistanceMm(outline[(i + 1) % outline.Count]) > 1e-6);

    /// <summary>A flange with its bends.</summary>
    private sealed record Flange(
        FoldedEdge Edge,
        IReadOnlyList<BendPlan> Bends,
        IReadOnlyList<double> FlatsMm,
        double FromMm,
        double ToMm,
        bool IsWhole
    )
    {
        /// <summary>Sheet beyond the base's flat part, mm.</summary>
        public double WidthMm => Bends.Sum(b => b.AllowanceMm) + FlatsMm.Sum();

        /// <summary>As a chain of straight pieces, for the order of folds.</summary>
        public IReadOnlyList<FoldOrder.Link> Chain =>
            [.. Edge.Folds.Select(f => new FoldOrder.Link(f.LengthMm, f.Degrees * (f.To == FoldTo.Inside ? 1 : -1)))];

        public static Flange Of(FoldedEdge edge, BlankDesign design, bool turned, PanelPoint[] corners, LengthFormat lengths)
        {
            BendPlan[] bends = [.. edge.Folds.Select(f => Bend.Of(design.Metal, design.ThickMm, f.RadiusMm, f.Degrees, lengths).Result)];
            double length = design.Base[edge.Edge].DistanceMm(design.Base[(edge.Edge + 1) % design.Base.Count]);
            double from = edge.FromMm ?? 0,
                to = edge.ToMm ?? length;
            if (turned)
                (from, to) = (length - to, length - from);
            // A flat ends a setback short of the corner at either bend.
            double[] flats =
            [
                .. edge.Folds.Select((f, k) => Math.Max(0, f.LengthMm - bends[k].SetbackMm - (k + 1 < bends.Length ? bends[k + 1].SetbackMm : 0))),
            ];
            return new Flange(edge, bends, flats, from, to, from < 0.01 && to > length - 0.01);
        }

        /// <summary>Draws a flange along its whole edge, from one corner of the flat part to the other.</summary>
        public void Draw(
            int edge,
            PanelPoint a,
            PanelPoint b,
            double leanA,
            double leanB,
            (PanelPoint Along, PanelPoint Out) axes,
            List<PanelPoint> outline,
            List<FoldLine> lines
        )
        {
            (PanelPoint u, PanelPoint o) = axes;
            var right = new List<PanelPoint> { b };
            outline.Add(a);
            double at = 0,
                angle = 0,
                over = 0;
            void Both(double overMm)
            {
                double leans = Math.Max(0, overMm);
                outline.Add(At(a, u, o, leans * leanA, at));
                right.Add(At(b, u, o, -leans * leanB, at));
            }
            for (int k = 0; k < Bends.Count; k++)
            {
                (Fold fold, BendPlan bend) = (Edge.Folds[k], Bends[k]);
                double from = Math.Max(0, over) * leanA,
                    to = Math.Max(0, over) * leanB;
                lines.Add(
                    new FoldLine(
                        edge,
                        k + 1,
                        At(a, u, o, from, at + (bend.AllowanceMm / 2)),
                        At(b, u, o, -to, at + (bend.AllowanceMm / 2)),
                        fold.Degrees,
                        fold.To,
                        fold.RadiusMm,
                        bend.AllowanceMm,
                        null
                    )
                );
                angle += fold.Degrees * (fold.To == FoldTo.Inside ? 1 : -1);
                double cosine = Math.Cos(angle * Math.PI / 180);
                at += bend.AllowanceMm;
                Both(over - (bend.SetbackMm * cosine));
                at += FlatsMm[k];
                Both(over - ((bend.SetbackMm + FlatsMm[k]) * cosine));
                over -= fold.LengthMm * cosine;
            }
            right.Reverse();
            outline.AddRange(right);
        }

        /// <summary>Draws a flange along a part of its edge, with a slit at each end.</summary>
        public void DrawPart(
            int edge,
            PanelPoint corner,
            double lengthMm,
            (PanelPoint Along, PanelPoint Out) axes,
            double slitMm,
            List<PanelPoint> outline,
            List<FoldLine> lines
        )
        {
            (PanelPoint u, PanelPoint o) = axes;
            double deep = Bends[0].SetbackMm;
            PanelPoint a = At(corner, u, o, FromMm, -deep),
                b = At(corner, u, o, ToMm, -deep);
            if (FromMm > slitMm)
            {
                outline.Add(At(corner, u, o, FromMm - slitMm, 0));
                outline.Add(At(corner, u, o, FromMm - slitMm, -deep));
            }
            Draw(edge, a, b, 0, 0, axes, outline, lines);
            if (ToMm < lengthMm - slitMm)
            {
                outline.Add(At(corner, u, o, ToMm + slitMm, -deep));
                outline.Add(At(corner, u, o, ToMm + slitMm, 0));
            }
        }

        private static PanelPoint At(PanelPoint from, PanelPoint u, PanelPoint o, double along, double outwards) =>
            from.Plus((u.SMm * along) + (o.SMm * outwards), (u.TMm * along) + (o.TMm * outwards));
    }
}
