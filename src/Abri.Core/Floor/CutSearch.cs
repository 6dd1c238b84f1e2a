namespace Abri.Core.Floor;

/// <summary>Finds the best layout of a small set of pieces with cuts from edge to edge, and so proves it.</summary>
/// <remarks>
/// Whatever lies on a sheet is taken apart by a first cut into two choices of pieces; so the smallest rectangles of a choice are those of its parts
/// laid side by side or end to end, and of all these only the ones that no other beats both ways count. Equal pieces are told apart by number only.
/// Then sheet after sheet, for each choice of pieces the cheapest way to have cut it.
/// </remarks>
internal static class CutSearch
{
    /// <summary>Pairs of a choice and a part of it that are looked at.</summary>
    private const long MostPairs = 100_000;

    private const double SlackMm = 1e-6;

    /// <summary>Whether a set is small enough.</summary>
    public static bool Fits(CutQuestion question) =>
        question.Pieces.Aggregate(1.0, (pairs, p) => pairs * (p.Count + 1) * (p.Count + 2) / 2) <= MostPairs;

    /// <summary>The best layout.</summary>
    public static CutLayout Solve(CutQuestion question, CancellationToken stop)
    {
        int[] count = [.. question.Pieces.Select(p => p.Count)];
        int[] step = new int[count.Length];
        int choices = 1;
        for (int i = 0; i < count.Length; i++)
        {
            step[i] = choices;
            choices *= count[i] + 1;
        }
        List<CutTree>[] smallest = Smallest(question, count, step, choices, stop);
        // Bought sheets weigh more than anything that is there; then area; then the largest offcut.
        (double Bought, double Area, double Whole)[] best = [.. Enumerable.Repeat((double.PositiveInfinity, 0.0, 0.0), choices)];
        var way = new List<(int Stock, CutTree Tree, int Part)>?[choices];
        best[0] = (0, 0, 0);
        way[0] = [];
        for (int j = 0; j < question.Stock.Count; j++)
        {
            CutStock stock = question.Stock[j];
            CutTree?[] fitting = [.. smallest.Select(all => Fitting(all, stock, question.KerfMm))];
            double area = stock.LengthMm * stock.WidthMm;
            (double, double, double) Cost(CutTree tree, (double Bought, double Area, double Whole) before) =>
                (
                    before.Bought + (stock.Count is null ? 1 : 0),
                    before.Area + area,
                    before.Whole - Math.Pow(SawOrder.LargestOffcutMm2(tree, stock, question.KerfMm), 2)
                );
            // A sheet that is there is used once; of bought ones another may follow, so those before it are looked at as they become known.
            for (int unit = 0; unit < (stock.Count ?? 1); unit++)
            {
                (double, double, double)[] before = stock.Count is null ? best : [.. best];
                List<(int, CutTree, int)>?[] ways = stock.Count is null ? way : [.. way];
                for (int choice = 1; choice < choices; choice++)
                {
                    stop.ThrowIfCancellationRequested();
                    foreach (int part in Parts(choice, count, step))
                    {
                        if (part == 0 || fitting[part] is not { } tree || ways[choice - part] is not { } rest)
                            continue;
                        (double, double, double) cost = Cost(tree, before[choice - part]);
                        if (way[choice] is not null && cost.CompareTo(best[choice]) >= 0)
                            continue;
                        best[choice] = cost;
                        way[choice] = [.. rest, (j, tree, part)];
                    }
                }
            }
        }
        int all = choices - 1;
        int chosen = way[all] is not null
            ? all
            : Enumerable
                .Range(0, choices)
                .Where(c => way[c] is not null)
                .OrderByDescending(c => AreaOf(question, c, count, step))
                .ThenBy(c => best[c])
                .First();
        return new CutLayout(
            [.. way[chosen]!.Select(w => (w.Stock, w.Tree))],
            [.. count.SelectMany((n, i) => Enumerable.Repeat(i, n - (chosen / step[i] % (n + 1))))]
        );
    }

    /// <summary>For each choice of pieces the smallest rectangles.</summary>
    private static List<CutTree>[] Smallest(CutQuestion question, int[] count, int[] step, int choices, CancellationToken stop)
    {
        double longest = question.Stock.Select(s => s.LengthMm).DefaultIfEmpty(0).Max() + SlackMm,
            widest = question.Stock.Select(s => s.WidthMm).DefaultIfEmpty(0).Max() + SlackMm;
        List<CutTree>[] smallest = new List<CutTree>[choices];
        smallest[0] = [];
        void Add(List<CutTree> to, double length, double width, Func<CutTree> make)
        {
            if (length > longest || width > widest || to.Any(t => t.LengthMm <= length + SlackMm && t.WidthMm <= width + SlackMm))
                return;
            to.RemoveAll(t => t.LengthMm >= length - SlackMm && t.WidthMm >= width - SlackMm);
            to.Add(make());
        }
        for (int choice = 1; choice < choices; choice++)
        {
            stop.ThrowIfCancellationRequested();
            List<CutTree> own = smallest[choice] = [];
            int single = Array.IndexOf(step, choice);
            if (single >= 0)
            {
                CutPiece piece = question.Pieces[single];
                Add(own, piece.LengthMm, piece.WidthMm, () => new CutTree.Leaf(single, piece.LengthMm, piece.WidthMm));
                if (piece.TurnsFree)
                    Add(own, piece.WidthMm, piece.LengthMm, () => new CutTree.Leaf(single, piece.WidthMm, piece.LengthMm));
                continue;
            }
            foreach (int part in Parts(choice, count, step))
            {
                // Each way to part it is met twice; once is enough.
                if (part == 0 || part > choice - part)
                    continue;
                foreach (CutTree a in smallest[part])
                {
                    foreach (CutTree b in smallest[choice - part])
                    {
                        double kerf = question.KerfMm;
                        // The larger one stands at the fence.
                        Add(own, a.LengthMm + kerf + b.LengthMm, Math.Max(a.WidthMm, b.WidthMm), () =>
                            a.WidthMm >= b.WidthMm ? CutTree.Of(a, b, false, kerf) : CutTree.Of(b, a, false, kerf)
                        );
                        Add(own, Math.Max(a.LengthMm, b.LengthMm), a.WidthMm + kerf + b.WidthMm, () =>
                            a.LengthMm >= b.LengthMm ? CutTree.Of(a, b, true, kerf) : CutTree.Of(b, a, true, kerf)
                        );
                    }
                }
            }
        }
        return smallest;
    }

    /// <summary>All parts of a choice, itself and nothing included: each as the number that stands for it.</summary>
    private static IEnumerable<int> Parts(int choice, int[] count, int[] step)
    {
        int[] most = [.. count.Select((n, i) => choice / step[i] % (n + 1))];
        int[] digit = new int[count.Length];
        int part = 0;
        while (true)
        {
            yield return part;
            int i = 0;
            while (i < digit.Length && digit[i] == most[i])
            {
                part -= digit[i] * step[i];
                digit[i++] = 0;
            }
            if (i == digit.Length)
                yield break;
            digit[i]++;
            part += step[i];
        }
    }

    /// <summary>Of the smallest rectangles the one that leaves the largest offcut of a sheet; null where none goes onto it.</summary>
    private static CutTree? Fitting(List<CutTree> all, CutStock stock, double kerfMm) =>
        all.Where(t => t.LengthMm <= stock.LengthMm + SlackMm && t.WidthMm <= stock.WidthMm + SlackMm)
            .MaxBy(t => SawOrder.LargestOffcutMm2(t, stock, kerfMm));

    private static double AreaOf(CutQuestion question, int choice, int[] count, int[] step) =>
        question.Pieces.Select((p, i) => (choice / step[i] % (count[i] + 1)) * p.LengthMm * p.WidthMm).Sum();
}
