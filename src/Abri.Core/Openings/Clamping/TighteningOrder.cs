using Abri.Core.Geometry;

namespace Abri.Core.Openings.Clamping;

/// <summary>In which order to tighten screws.</summary>
/// <param name="Order">Numbers of the screws, from 0.</param>
/// <param name="WorstMm">Greatest distance of the tightened screws' resultant from the middle on the way, mm.</param>
/// <param name="Proven">Whether no order has a smaller one.</param>
/// <param name="Places">Where the screws are.</param>
public sealed record ScrewOrder(IReadOnlyList<int> Order, double WorstMm, bool Proven, IReadOnlyList<PanelPoint> Places);

/// <summary>Finds an order of tightening that keeps a frame level: at every step the screws that are tight balance about the middle.</summary>
/// <remarks>
/// The resultant of a set of screws is the sum of their places from the middle of all. Of all orders the one is taken whose greatest resultant is
/// least: exactly, over all sets of screws, for up to <see cref="MostExact"/>; for more, each next screw is the
/// one that leaves the smallest. Among equals the first is nearest to the middle, and each next one furthest from the last.
/// </remarks>
/// <example>Four screws in a square: across the middle, then across the other way.</example>
public static class TighteningOrder
{
    /// <summary>Most screws ordered exactly: the reckoning doubles with each.</summary>
    public const int MostExact = 12;

    /// <summary>Most screws.</summary>
    public const int Most = 64;

    private const double HairMm = 1e-6;

    /// <summary>The order for screws at places.</summary>
    public static Result<Worked<ScrewOrder>> Of(IReadOnlyList<PanelPoint> screws)
    {
        if (screws.Count is < 2 or > Most)
            return new Problem("screws-count", "/screws", $"Give 2 to {Most} screws; {screws.Count} were given.");
        var middle = new PanelPoint(screws.Average(p => p.SMm), screws.Average(p => p.TMm));
        PanelPoint[] from = [.. screws.Select(p => p.Plus(-middle.SMm, -middle.TMm))];
        bool exact = from.Length <= MostExact;
        int[] order = exact ? Exact(from) : Nearest(from);
        double worst = Enumerable.Range(1, order.Length).Max(k => Resultant(order.Take(k).Select(i => from[i])));
        var sheet = new Worksheet();
        sheet.Step("n", "screws", "count", screws.Count, "count");
        sheet.Step("R", "greatest resultant on the way", "max over steps of |sum(place - middle)|", worst, "mm");
        sheet.Cite(new Source(exact ? "Least greatest resultant over all orders" : "Smallest resultant at each step", SourceKind.Geometry));
        sheet.Cite(new Source("From the middle of opposite sides outwards, crosswise, by hand, in two rounds", SourceKind.CommonPractice));
        return sheet.Finish(new ScrewOrder(order, worst, exact, screws));
    }

    /// <summary>Screws evenly round a frame, where nobody measured them: the first at the middle of the top, then clockwise; corners are cut
    /// short.</summary>
    /// <param name="outline">Line on which they lie, about its middle.</param>
    /// <param name="count">How many.</param>
    public static IReadOnlyList<PanelPoint> Around(RoundedRectangle outline, int count)
    {
        double w = outline.WidthMm,
            h = outline.HeightMm,
            perimeter = 2 * (w + h);
        return
        [
            .. Enumerable
                .Range(0, count)
                .Select(i =>
                {
                    double along = perimeter * i / count;
                    return along <= w / 2 ? new PanelPoint(along, h / 2)
                        : along <= (w / 2) + h ? new PanelPoint(w / 2, (h / 2) - (along - (w / 2)))
                        : along <= (1.5 * w) + h ? new PanelPoint((w / 2) - (along - (w / 2) - h), -h / 2)
                        : along <= (1.5 * w) + (2 * h) ? new PanelPoint(-w / 2, (-h / 2) + (along - (1.5 * w) - h))
                        : new PanelPoint((-w / 2) + (along - (1.5 * w) - (2 * h)), h / 2);
                }),
        ];
    }

    private static double Resultant(IEnumerable<PanelPoint> places)
    {
        (double s, double t) = (0, 0);
        foreach (PanelPoint p in places)
            (s, t) = (s + p.SMm, t + p.TMm);
        return Math.Sqrt((s * s) + (t * t));
    }

    private static int[] Exact(PanelPoint[] from)
    {
        int n = from.Length,
            all = (1 << n) - 1;
        var own = new double[all + 1];
        for (int set = 1; set <= all; set++)
            own[set] = Resultant(Enumerable.Range(0, n).Where(i => (set >> i & 1) == 1).Select(i => from[i]));
        // The least greatest resultant of what is still to come, from the full set down.
        var rest = new double[all + 1];
        for (int set = all - 1; set >= 0; set--)
        {
            rest[set] = double.PositiveInfinity;
            for (int i = 0; i < n; i++)
            {
                if ((set >> i & 1) == 0)
                    rest[set] = Math.Min(rest[set], Math.Max(own[set | (1 << i)], rest[set | (1 << i)]));
            }
        }
        var order = new List<int>();
        for (int set = 0; set != all; )
        {
            int next = Enumerable
                .Range(0, n)
                .Where(i => (set >> i & 1) == 0 && Math.Max(own[set | (1 << i)], rest[set | (1 << i)]) <= rest[0] + HairMm)
                .OrderByDescending(i => order.Count == 0 ? -Resultant([from[i]]) : Math.Round(from[i].DistanceMm(from[order[^1]]), 6))
                .ThenBy(i => i)
                .First();
            order.Add(next);
            set |= 1 << next;
        }
        return [.. order];
    }

    private static int[] Nearest(PanelPoint[] from)
    {
        var order = new List<int>();
        (double s, double t) = (0, 0);
        while (order.Count < from.Length)
        {
            int next = Enumerable
                .Range(0, from.Length)
                .Where(i => !order.Contains(i))
                .OrderBy(i => Math.Round(Resultant([new PanelPoint(s + from[i].SMm, t + from[i].TMm)]), 6))
                .ThenByDescending(i => order.Count == 0 ? 0 : from[i].DistanceMm(from[order[^1]]))
                .ThenBy(i => i)
                .First();
            order.Add(next);
            (s, t) = (s + from[next].SMm, t + from[next].TMm);
        }
        return [.. order];
    }
}
