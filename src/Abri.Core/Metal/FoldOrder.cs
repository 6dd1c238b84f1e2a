using Abri.Core.Geometry;

namespace Abri.Core.Metal;

/// <summary>Finds an order in which folds can be made, by swinging each flange from flat to folded in a section across its edge.</summary>
/// <remarks>
/// The sheet is held along the fold between a bar above and one below, on the side of the base; what lies beyond swings up round the upper bar. An
/// order is good when no bar meets what is folded already, and what swings meets neither bar nor sheet. The sheet is taken as a line. Sections are
/// taken through the edge itself and the edge opposite; flanges at the ends are cleared by a bar no longer than the edge. Bars: assumptions.
/// </remarks>
internal static class FoldOrder
{
    /// <summary>Width of the bar, mm: a narrower one bends itself, a wider one is never freer. Assumption.</summary>
    public const double BarMm = 10;

    /// <summary>Height of a bar, mm: assumption.</summary>
    public const double BarHighMm = 12;

    /// <summary>Clear of the line on which sheet and bar touch, mm.</summary>
    private const double TouchMm = 0.2;

    private const double StepDeg = 3;

    /// <summary>One straight piece beyond a fold.</summary>
    /// <param name="LengthMm">Length, mm.</param>
    /// <param name="Degrees">Fold before it, degrees; positive towards the inside.</param>
    public sealed record Link(double LengthMm, double Degrees);

    /// <summary>A fold.</summary>
    /// <param name="Edge">Number of its edge.</param>
    /// <param name="Nth">1 next to the base, 2 beyond.</param>
    public sealed record Line(int Edge, int Nth);

    /// <summary>The turn of each fold, from 1; null where none can be found, because in every order something is in the way.</summary>
    /// <param name="lines">The folds.</param>
    /// <param name="chains">What lies beyond each folded edge.</param>
    /// <param name="corners">Corners of the base.</param>
    public static IReadOnlyList<int>? Of(IReadOnlyList<Line> lines, IReadOnlyDictionary<int, IReadOnlyList<Link>> chains, PanelPoint[] corners)
    {
        var turns = new int[lines.Count];
        // What is folded is only ever more in the way: a fold that can be made with all others made may come last, and the search never goes back.
        // Of those the inner folds of short edges are made last, as it is done.
        for (int turn = lines.Count; turn > 0; turn--)
        {
            int last = Enumerable
                .Range(0, lines.Count)
                .Where(i => turns[i] == 0)
                .OrderBy(i => lines[i].Nth)
                .ThenBy(i => Length(lines[i].Edge))
                .FirstOrDefault(i => Free(lines[i]), -1);
            if (last < 0)
                return null;
            turns[last] = turn;
        }
        return turns;

        double Length(int edge) => corners[edge].DistanceMm(corners[(edge + 1) % corners.Length]);

        // Looked at from the end: what has no turn yet is made before.
        bool Done(int edge, int nth)
        {
            int at = Enumerable.Range(0, lines.Count).First(i => lines[i].Edge == edge && lines[i].Nth == nth);
            return turns[at] == 0;
        }

        bool Free(Line line)
        {
            IReadOnlyList<Link> own = chains[line.Edge];
            double sign = Math.Sign(own[line.Nth - 1].Degrees);
            bool Made(int edge, int nth) => (edge, nth) != (line.Edge, line.Nth) && Done(edge, nth);
            Link[] Folded(int edge) => [.. chains[edge].Select((l, k) => l with { Degrees = Made(edge, k + 1) ? sign * l.Degrees : 0 })];
            Link[] mine = Folded(line.Edge);
            (double wide, int? opposite) = Opposite(corners, line.Edge, chains);
            // The fixed part, from the fold inwards: the first flange where the outer fold is made, the base, what stands at its far edge.
            var inwards = new List<Link>();
            if (line.Nth == 2)
                inwards.Add(new Link(mine[0].LengthMm, 0));
            inwards.Add(new Link(wide, line.Nth == 2 ? mine[0].Degrees : 0));
            if (opposite is { } far)
                inwards.AddRange(Folded(far));
            List<(double X, double Y)> held = Run(inwards, Math.PI, -1);
            // The bar lies on what is flat from the fold inwards.
            double flat = inwards[0].LengthMm + inwards.Skip(1).TakeWhile(l => l.Degrees == 0).Sum(l => l.LengthMm);
            if (flat < BarMm)
                return false;
            double bar = BarMm - TouchMm;
            (double X, double Y)[] below = [(-bar, -TouchMm), (-TouchMm, -TouchMm), (-TouchMm, -BarHighMm), (-bar, -BarHighMm)];
            Link[] swings = [.. mine.Skip(line.Nth - 1)];
            double to = Math.Abs(own[line.Nth - 1].Degrees);
            // For a sharp fold the bar's nose is ground back so that the flange has room.
            double nose = BarHighMm * Math.Tan(Math.Clamp(to + 5 - 90, 0, 75) * Math.PI / 180);
            (double X, double Y)[] above = [(-bar, TouchMm), (-TouchMm, TouchMm), (Math.Max(-bar, -TouchMm - nose), BarHighMm), (-bar, BarHighMm)];
            if (Meets(held, above) || Meets(held, below))
                return false;
            for (double angle = StepDeg; angle < to + StepDeg; angle += StepDeg)
            {
                swings[0] = swings[0] with { Degrees = Math.Min(angle, to) };
                List<(double X, double Y)> moving = Run(swings, 0, 1);
                if (Meets(moving, above) || Crosses(moving, held))
                    return false;
            }
            return true;
        }
    }

    /// <summary>Width of the base across an edge, mm, and the folded edge that lies opposite, if one does.</summary>
    private static (double WideMm, int? Edge) Opposite(PanelPoint[] corners, int edge, IReadOnlyDictionary<int, IReadOnlyList<Link>> chains)
    {
        PanelPoint a = corners[edge],
            b = corners[(edge + 1) % corners.Length];
        double length = a.DistanceMm(b);
        (double us, double ut) = ((b.SMm - a.SMm) / length, (b.TMm - a.TMm) / length);
        double Depth(PanelPoint p) => ((p.TMm - a.TMm) * us) - ((p.SMm - a.SMm) * ut);
        double wide = corners.Max(Depth);
        foreach (int other in chains.Keys.Where(k => k != edge))
        {
            PanelPoint c = corners[other],
                d = corners[(other + 1) % corners.Length];
            double parallel = (((d.SMm - c.SMm) * us) + ((d.TMm - c.TMm) * ut)) / c.DistanceMm(d);
            if (parallel < -0.98)
                return (Math.Min(Depth(c), Depth(d)), other);
        }
        return (wide, null);
    }

    /// <summary>Points of a chain that starts at the fold; inwards it turns the other way round.</summary>
    private static List<(double X, double Y)> Run(IEnumerable<Link> links, double heading, int hand)
    {
        var points = new List<(double X, double Y)> { (0, 0) };
        foreach (Link link in links)
        {
            heading += hand * link.Degrees * Math.PI / 180;
            (double x, double y) = points[^1];
            points.Add((x + (link.LengthMm * Math.Cos(heading)), y + (link.LengthMm * Math.Sin(heading))));
        }
        return points;
    }

    private static bool Meets(List<(double X, double Y)> chain, (double X, double Y)[] bar)
    {
        PanelPoint[] outline = [.. bar.Select(p => new PanelPoint(p.X, p.Y))];
        for (int i = 0; i + 1 < chain.Count; i++)
        {
            if (Outlines.Encloses(outline, new PanelPoint(chain[i + 1].X, chain[i + 1].Y)))
                return true;
            for (int k = 0; k < bar.Length; k++)
            {
                if (Cross(chain[i], chain[i + 1], bar[k], bar[(k + 1) % bar.Length]))
                    return true;
            }
        }
        return false;
    }

    /// <summary>Whether two chains that begin at the same fold cross elsewhere.</summary>
    private static bool Crosses(List<(double X, double Y)> a, List<(double X, double Y)> b)
    {
        for (int i = 0; i + 1 < a.Count; i++)
        {
            for (int k = 0; k + 1 < b.Count; k++)
            {
                if ((i > 0 || k > 0) && Cross(a[i], a[i + 1], b[k], b[k + 1]))
                    return true;
            }
        }
        return false;
    }

    private static bool Cross((double X, double Y) a, (double X, double Y) b, (double X, double Y) c, (double X, double Y) d)
    {
        static double Turn((double X, double Y) p, (double X, double Y) q, (double X, double Y) r) =>
            ((q.X - p.X) * (r.Y - p.Y)) - ((q.Y - p.Y) * (r.X - p.X));
        return Turn(a, b, c) * Turn(a, b, d) < 0 && Turn(c, d, a) * Turn(c, d, b) < 0;
    }
}
