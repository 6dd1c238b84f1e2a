namespace Abri.Core.Floor;

/// <summary>Turns what lies on a sheet into cuts in their order, each with the figure of the fence.</summary>
internal static class SawOrder
{
    /// <summary>What is no wider than this is no cut of its own, mm: the blade takes it.</summary>
    private const double SlackMm = 1e-6;

    /// <summary>The sheet.</summary>
    public static CutSheet Of(CutQuestion question, int stock, CutTree tree)
    {
        var work = new Work(question);
        CutStock whole = question.Stock[stock];
        work.Take(tree, new CutOffcut(0, 0, whole.LengthMm, whole.WidthMm), "the sheet");
        return new CutSheet(stock, work.Places, work.Cuts, work.Offcuts);
    }

    /// <summary>Whether something can be carried home, however it is turned.</summary>
    public static bool Carries(CarryHome car, double lengthMm, double widthMm) =>
        Math.Max(lengthMm, widthMm) <= Math.Max(car.LengthMm, car.WidthMm) + SlackMm
        && Math.Min(lengthMm, widthMm) <= Math.Min(car.LengthMm, car.WidthMm) + SlackMm;

    /// <summary>Area of the largest offcut that a sheet keeps in one piece, mm2.</summary>
    public static double LargestOffcutMm2(CutTree tree, CutStock stock, double kerfMm)
    {
        (double beyond, double beside) = Beside(tree, stock.LengthMm, stock.WidthMm, kerfMm);
        return Math.Max(Math.Max(0, beyond) * stock.WidthMm, Math.Max(0, beside) * stock.LengthMm);
    }

    /// <summary>What is left beyond a rectangle, and beside it, mm; less than nothing where the blade takes all.</summary>
    private static (double Beyond, double Beside) Beside(CutTree tree, double lengthMm, double widthMm, double kerfMm) =>
        (lengthMm - tree.LengthMm - kerfMm, widthMm - tree.WidthMm - kerfMm);

    private sealed class Work(CutQuestion question)
    {
        private int parts;

        public List<CutPlace> Places { get; } = [];

        public List<SawCut> Cuts { get; } = [];

        public List<CutOffcut> Offcuts { get; } = [];

        /// <summary>Takes a part of the sheet apart into what is to lie in it.</summary>
        public void Take(CutTree tree, CutOffcut part, string name)
        {
            (double beyond, double beside) = Beside(tree, part.LengthMm, part.WidthMm, question.KerfMm);
            // At the shop only what makes parts that can be carried home: edges that are waste are taken off there.
            bool later = question.Car is { } car && tree is CutTree.Pair && !Carries(car, part.LengthMm, part.WidthMm);
            double least = later ? BoardCuts.KeepMm : SlackMm - question.KerfMm;
            bool tooLong = beyond > least,
                tooWide = beside > least;
            // The cut that leaves more in one piece comes first.
            if (tooLong && (!tooWide || Math.Max(0, beyond) * part.WidthMm >= Math.Max(0, beside) * part.LengthMm))
            {
                CutOffcut kept = part with { LengthMm = tree.LengthMm };
                string next = Name(tree, kept);
                Keep(part with { AlongMm = part.AlongMm + tree.LengthMm + question.KerfMm, LengthMm = beyond }, out string? offcut);
                Cut(part, name, false, tree.LengthMm, next, offcut);
                Take(tree, kept, next);
                return;
            }
            if (tooWide)
            {
                CutOffcut kept = part with { WidthMm = tree.WidthMm };
                string next = Name(tree, kept);
                Keep(part with { AcrossMm = part.AcrossMm + tree.WidthMm + question.KerfMm, WidthMm = beside }, out string? offcut);
                Cut(part, name, true, tree.WidthMm, next, offcut);
                Take(tree, kept, next);
                return;
            }
            if (tree is CutTree.Leaf leaf)
            {
                Places.Add(new CutPlace(leaf.Piece, part.AlongMm, part.AcrossMm, leaf.LengthMm, leaf.WidthMm));
                return;
            }
            var pair = (CutTree.Pair)tree;
            double fence = pair.IsRip ? pair.First.WidthMm : pair.First.LengthMm,
                after = fence + question.KerfMm;
            (CutOffcut first, CutOffcut second) = pair.IsRip
                ? (part with { WidthMm = fence }, part with { AcrossMm = part.AcrossMm + after, WidthMm = part.WidthMm - after })
                : (part with { LengthMm = fence }, part with { AlongMm = part.AlongMm + after, LengthMm = part.LengthMm - after });
            (string one, string other) = (Name(pair.First, first), Name(pair.Second, second));
            Cut(part, name, pair.IsRip, fence, one, other);
            Take(pair.First, first, one);
            Take(pair.Second, second, other);
        }

        private void Cut(CutOffcut part, string of, bool isRip, double fence, string first, string? second) =>
            Cuts.Add(
                new SawCut(
                    Cuts.Count + 1,
                    of,
                    isRip,
                    fence,
                    part.AlongMm + (isRip ? 0 : fence),
                    part.AcrossMm + (isRip ? fence : 0),
                    isRip ? part.LengthMm : part.WidthMm,
                    first,
                    second,
                    question.Car is { } car && !Carries(car, part.LengthMm, part.WidthMm)
                )
            );

        /// <summary>A piece by its name once it has its size; else a part by its number.</summary>
        private string Name(CutTree tree, CutOffcut part) =>
            tree is CutTree.Leaf leaf && part.LengthMm <= leaf.LengthMm + SlackMm && part.WidthMm <= leaf.WidthMm + SlackMm
                ? question.Pieces[leaf.Piece].Name
                : $"part {++parts}";

        private void Keep(CutOffcut offcut, out string? name)
        {
            bool kept = Math.Min(offcut.LengthMm, offcut.WidthMm) >= BoardCuts.KeepMm;
            if (kept)
                Offcuts.Add(offcut);
            name = kept ? $"offcut {Offcuts.Count}" : null;
        }
    }
}
