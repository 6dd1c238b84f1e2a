using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>The largest rectangle, square to the panel, that fits into an area.</summary>
/// <param name="Box">The rectangle.</param>
/// <param name="IsExact">Whether no larger one exists; false where slanted edges were approached from inside.</param>
public sealed record ClearRectangle(PanelBox Box, bool IsExact);

/// <summary>
/// Finds the largest rectangle, square to the panel, that fits into an area: what a person compares with a cut-out.
/// </summary>
/// <remarks>
/// The coordinates of all corners cut the panel into a grid; every edge of a largest rectangle lies on a grid line when the
/// area's edges run square to the panel. Cells are either inside or outside, and the largest block of inside cells is found row by row with the
/// stack method for the largest rectangle under a histogram, with true lengths for widths. Where edges are slanted, the grid is made finer and only
/// cells that lie wholly inside count, so the answer fits but may be a little small.
/// </remarks>
/// <example>A bay of 545 x 1700 mm between two bows gives 545 x 1700 mm.</example>
public static class LargestRectangle
{
    private const int FinerLines = 160;
    private const int MostLines = 400;

    /// <summary>The largest rectangle by area; of several, the one nearest the front and the lower edge.</summary>
    public static ClearRectangle Within(RegionPart part)
    {
        bool square = part.Rings.All(IsSquare);
        double[] s = Lines(part.Rings.SelectMany(r => r).Select(p => p.SMm), square);
        double[] t = Lines(part.Rings.SelectMany(r => r).Select(p => p.TMm), square);
        bool[,] inside = Cells(part, s, t, square);

        var best = new PanelBox(s[0], s[0], t[0], t[0]);
        double[] heights = new double[s.Length - 1];
        for (int row = 0; row < t.Length - 1; row++)
        {
            for (int col = 0; col < heights.Length; col++)
                heights[col] = inside[col, row] ? heights[col] + t[row + 1] - t[row] : 0;
            PanelBox candidate = UnderHistogram(s, heights, t[row + 1]);
            if (candidate.AreaMm2 > best.AreaMm2 + 1e-6)
                best = candidate;
        }
        return new ClearRectangle(best, square);
    }

    private static bool IsSquare(IReadOnlyList<PanelPoint> ring)
    {
        for (int i = 0; i < ring.Count; i++)
        {
            PanelPoint a = ring[i],
                b = ring[(i + 1) % ring.Count];
            if (Math.Abs(a.SMm - b.SMm) > 1e-6 && Math.Abs(a.TMm - b.TMm) > 1e-6)
                return false;
        }
        return true;
    }

    private static double[] Lines(IEnumerable<double> coordinates, bool square)
    {
        double[] own = [.. coordinates.Select(c => Math.Round(c, 6)).Distinct().Order()];
        if (own.Length > MostLines)
            own = [.. Enumerable.Range(0, MostLines + 1).Select(i => own[0] + ((own[^1] - own[0]) * i / MostLines))];
        if (square)
            return own;
        double step = (own[^1] - own[0]) / FinerLines;
        return [.. own.Concat(Enumerable.Range(1, FinerLines - 1).Select(i => own[0] + (i * step))).Distinct().Order()];
    }

    private static bool[,] Cells(RegionPart part, double[] s, double[] t, bool square)
    {
        var inside = new bool[s.Length - 1, t.Length - 1];
        for (int row = 0; row < t.Length - 1; row++)
        {
            // A cell is inside where a line through its middle has crossed an odd number of edges.
            double[] crossed = [.. part.Rings.SelectMany(r => Crossings(r, (t[row] + t[row + 1]) / 2)).Order()];
            for (int col = 0, before = 0; col < s.Length - 1; col++)
            {
                while (before < crossed.Length && crossed[before] < (s[col] + s[col + 1]) / 2)
                    before++;
                inside[col, row] = before % 2 == 1;
            }
        }
        if (square)
            return inside;
        foreach (IReadOnlyList<PanelPoint> ring in part.Rings)
        {
            for (int i = 0, j = ring.Count - 1; i < ring.Count; j = i++)
                TakeCrossed(ring[j], ring[i], s, t, inside);
        }
        return inside;
    }

    /// <summary>Takes away the cells that an edge runs through.</summary>
    private static void TakeCrossed(PanelPoint a, PanelPoint b, double[] s, double[] t, bool[,] inside)
    {
        (int firstCol, int lastCol) = Span(s, a.SMm, b.SMm);
        (int firstRow, int lastRow) = Span(t, a.TMm, b.TMm);
        for (int col = firstCol; col <= lastCol; col++)
        {
            for (int row = firstRow; row <= lastRow; row++)
            {
                if (SegmentMeets(a, b, new PanelBox(s[col], s[col + 1], t[row], t[row + 1]).Grown(-1e-6)))
                    inside[col, row] = false;
            }
        }
    }

    /// <summary>The first and last interval between lines that two coordinates span.</summary>
    private static (int First, int Last) Span(double[] lines, double a, double b)
    {
        int At(double x)
        {
            int found = Array.BinarySearch(lines, x);
            return found >= 0 ? found : ~found;
        }
        return (Math.Max(0, At(Math.Min(a, b)) - 1), Math.Min(lines.Length - 2, At(Math.Max(a, b))));
    }

    /// <summary>Where a line along s crosses a ring.</summary>
    private static IEnumerable<double> Crossings(IReadOnlyList<PanelPoint> ring, double tMm)
    {
        for (int i = 0, j = ring.Count - 1; i < ring.Count; j = i++)
        {
            (PanelPoint a, PanelPoint b) = (ring[j], ring[i]);
            if ((a.TMm > tMm) != (b.TMm > tMm))
                yield return a.SMm + ((b.SMm - a.SMm) * (tMm - a.TMm) / (b.TMm - a.TMm));
        }
    }

    /// <summary>Clips a segment against a box (Liang and Barsky 1984); something left means that they meet.</summary>
    private static bool SegmentMeets(PanelPoint a, PanelPoint b, PanelBox box)
    {
        double from = 0,
            to = 1;
        return Keep(b.SMm - a.SMm, a.SMm, box.SMinMm, box.SMaxMm, ref from, ref to)
            && Keep(b.TMm - a.TMm, a.TMm, box.TMinMm, box.TMaxMm, ref from, ref to);
    }

    private static bool Keep(double step, double start, double low, double high, ref double from, ref double to)
    {
        if (step == 0)
            return start >= low && start <= high;
        double enter = (low - start) / step,
            leave = (high - start) / step;
        if (enter > leave)
            (enter, leave) = (leave, enter);
        from = Math.Max(from, enter);
        to = Math.Min(to, leave);
        return from <= to;
    }

    private static PanelBox UnderHistogram(double[] s, double[] heights, double tTop)
    {
        var best = new PanelBox(s[0], s[0], tTop, tTop);
        var open = new Stack<(double FromS, double Height)>();
        for (int i = 0; i <= heights.Length; i++)
        {
            double height = i < heights.Length ? heights[i] : 0,
                from = s[i];
            while (open.Count > 0 && open.Peek().Height >= height)
            {
                (double fromS, double h) = open.Pop();
                var box = new PanelBox(fromS, s[i], tTop - h, tTop);
                if (box.AreaMm2 > best.AreaMm2 + 1e-6)
                    best = box;
                from = fromS;
            }
            if (height > 0)
                open.Push((from, height));
        }
        return best;
    }
}
