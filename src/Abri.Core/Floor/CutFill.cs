namespace Abri.Core.Floor;

/// <summary>Lays many pieces out, one after the other, each where least is left beside it; and says how few sheets cannot do.</summary>
/// <remarks>
/// A piece lies in a corner of a free rectangle, which one cut beside it and one above it part into two: so all that is laid can be cut from edge to
/// edge. Several orders and both ways of parting are tried, and the best is taken.
/// </remarks>
internal static class CutFill
{
    private const double SlackMm = 1e-6;

    /// <summary>The best layout of several.</summary>
    public static CutLayout Solve(CutQuestion question, CancellationToken stop)
    {
        int[] all = [.. question.Pieces.SelectMany((p, i) => Enumerable.Repeat(i, p.Count))];
        double Area(int i) => question.Pieces[i].LengthMm * question.Pieces[i].WidthMm;
        int[][] orders =
        [
            [.. all.OrderByDescending(Area)],
            [.. all.OrderByDescending(i => question.Pieces[i].WidthMm).ThenByDescending(i => question.Pieces[i].LengthMm)],
            [.. all.OrderByDescending(i => question.Pieces[i].LengthMm).ThenByDescending(i => question.Pieces[i].WidthMm)],
            [.. all.OrderByDescending(i => Math.Max(question.Pieces[i].LengthMm, question.Pieces[i].WidthMm))],
        ];
        CutLayout? best = null;
        foreach (int[] order in orders.Until(stop))
        {
            foreach (bool? ripsFirst in new bool?[] { true, false, null })
            {
                CutLayout tried = Laid(question, order, ripsFirst);
                if (best is null || Cost(question, tried).CompareTo(Cost(question, best)) < 0)
                    best = tried;
            }
        }
        return best!;
    }

    /// <summary>How many sheets have to be bought whoever lays them out: by area, each piece with its kerf.</summary>
    public static int LeastBought(CutQuestion question, IReadOnlyList<int> left)
    {
        if (question.Stock.FirstOrDefault(s => s.Count is null) is not { } bought)
            return 0;
        double kerf = question.KerfMm;
        double With(double length, double width) => (length + kerf) * (width + kerf);
        double pieces =
            question.Pieces.Sum(p => p.Count * With(p.LengthMm, p.WidthMm))
            - left.Sum(i => With(question.Pieces[i].LengthMm, question.Pieces[i].WidthMm));
        double there = question.Stock.Where(s => s.Count is not null).Sum(s => s.Count!.Value * With(s.LengthMm, s.WidthMm));
        return (int)Math.Max(0, Math.Ceiling(((pieces - there) / With(bought.LengthMm, bought.WidthMm)) - 1e-9));
    }

    private static (double Left, int Bought, double Area) Cost(CutQuestion question, CutLayout layout) =>
        (
            layout.Left.Sum(i => question.Pieces[i].LengthMm * question.Pieces[i].WidthMm),
            layout.Trees.Count(t => question.Stock[t.Stock].Count is null),
            layout.Trees.Sum(t => question.Stock[t.Stock].LengthMm * question.Stock[t.Stock].WidthMm)
        );

    private static CutLayout Laid(CutQuestion question, int[] order, bool? ripsFirst)
    {
        // What is there first, small ones before large ones; then as many as are bought.
        List<(int Stock, Free Whole)> open = [];
        Queue<int> there = new(
            question
                .Stock.Select((s, j) => (Stock: s, Number: j))
                .Where(s => s.Stock.Count is not null)
                .OrderBy(s => s.Stock.LengthMm * s.Stock.WidthMm)
                .SelectMany(s => Enumerable.Repeat(s.Number, s.Stock.Count!.Value))
        );
        while (there.TryDequeue(out int j))
            open.Add((j, new Free(question.Stock[j].LengthMm, question.Stock[j].WidthMm)));
        int buy = question.Stock.Select((s, j) => (s, j)).Where(x => x.s.Count is null).Select(x => x.j).DefaultIfEmpty(-1).First();
        List<int> left = [];
        foreach (int i in order)
        {
            CutPiece piece = question.Pieces[i];
            if (open.Any(o => o.Whole.Take(i, piece, question.KerfMm, ripsFirst)))
                continue;
            if (buy >= 0)
            {
                var whole = new Free(question.Stock[buy].LengthMm, question.Stock[buy].WidthMm);
                if (whole.Take(i, piece, question.KerfMm, ripsFirst))
                {
                    open.Add((buy, whole));
                    continue;
                }
            }
            left.Add(i);
        }
        return new CutLayout([.. open.Select(o => (o.Stock, Tree: o.Whole.Tree(question.KerfMm))).Where(o => o.Tree is not null)!], left);
    }

    /// <summary>A free rectangle, or what became of it: a piece in its corner, and two free rectangles beside and above it.</summary>
    private sealed class Free(double lengthMm, double widthMm)
    {
        private CutTree.Leaf? piece;
        private Free? end,
            side;
        private bool rip;

        /// <summary>Lays a piece in the free rectangle in which least is left beside it; whether one has room.</summary>
        public bool Take(int i, CutPiece of, double kerfMm, bool? ripsFirst)
        {
            (Free Free, CutTree.Leaf Leaf, double Left)? best = null;
            CutTree.Leaf[] ways = of.TurnsFree
                ? [new(i, of.LengthMm, of.WidthMm), new(i, of.WidthMm, of.LengthMm)]
                : [new(i, of.LengthMm, of.WidthMm)];
            foreach ((Free free, CutTree.Leaf leaf) in All().SelectMany(_ => ways, (f, w) => (f, w)))
            {
                double left = Math.Min(free.LengthMm - leaf.LengthMm, free.WidthMm - leaf.WidthMm);
                bool fits = left >= -SlackMm;
                if (fits && (best is null || left < best.Value.Left))
                    best = (free, leaf, left);
            }
            best?.Free.Part(best.Value.Leaf, kerfMm, ripsFirst);
            return best is not null;
        }

        private double LengthMm => lengthMm;

        private double WidthMm => widthMm;

        private IEnumerable<Free> All() => piece is null ? [this] : new[] { end, side }.OfType<Free>().SelectMany(f => f.All());

        private void Part(CutTree.Leaf leaf, double kerfMm, bool? ripsFirst)
        {
            piece = leaf;
            (double beyond, double beside) = (lengthMm - leaf.LengthMm - kerfMm, widthMm - leaf.WidthMm - kerfMm);
            // Ripped first, what lies beside is as long as all of it; cut off first, what lies beyond is as wide.
            rip = ripsFirst ?? (lengthMm * beside >= widthMm * beyond);
            end = beyond > 0 ? new Free(beyond, rip ? leaf.WidthMm : widthMm) : null;
            side = beside > 0 ? new Free(rip ? lengthMm : leaf.LengthMm, beside) : null;
        }

        /// <summary>The cuts; null where nothing lies in it.</summary>
        public CutTree? Tree(double kerfMm)
        {
            if (piece is null)
                return null;
            CutTree Joined(CutTree a, CutTree? b, bool isRip) => b is null ? a : CutTree.Of(a, b, isRip, kerfMm);
            return rip
                ? Joined(Joined(piece, end?.Tree(kerfMm), false), side?.Tree(kerfMm), true)
                : Joined(Joined(piece, side?.Tree(kerfMm), true), end?.Tree(kerfMm), false);
        }
    }
}
