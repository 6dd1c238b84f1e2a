using Abri.Core.Declared;

namespace Abri.Core.Stores;

/// <summary>A size in which something is sold.</summary>
/// <param name="Holds">What one pack holds, in the unit of the need.</param>
/// <param name="Price">What it costs; null where nobody said.</param>
public sealed record PackSize([Within(0.01, 1_000_000, "A pack")] double Holds, [Within(0, 100_000, "The price")] double? Price = null);

/// <summary>What counts first when packs are chosen.</summary>
public enum PackAim
{
    /// <summary>The least money; a size without a price is not taken.</summary>
    Cheapest,

    /// <summary>The fewest packs.</summary>
    Fewest,

    /// <summary>The least left over.</summary>
    LeastLeft,
}

/// <summary>How much is needed, and in which packs it is sold.</summary>
/// <param name="Need">How much.</param>
/// <param name="Sizes">The sizes.</param>
/// <param name="Aim">What counts first.</param>
public sealed record PackQuestion(
    [Within(0.01, 10_000_000, "The need")] double Need,
    [Count(1, 6, "From 1 to {1} sizes are compared.")] IReadOnlyList<PackSize> Sizes,
    PackAim Aim = PackAim.LeastLeft
);

/// <summary>Packs to buy.</summary>
/// <param name="Counts">How many of each size, in the order of the sizes.</param>
/// <param name="Packs">How many in all.</param>
/// <param name="Holds">What they hold.</param>
/// <param name="Left">What is left over.</param>
/// <param name="Price">What they cost; null where a price is not known.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record PackPlan(IReadOnlyList<int> Counts, int Packs, double Holds, double Left, double? Price, string Verdict);

/// <summary>How many packs of which size: a small integer programme, solved exactly by branch and bound.</summary>
/// <remarks>Minimise what counts first, then the other two, over whole numbers of packs that together hold the need.</remarks>
/// <example>1000 ml in packs of 290 and 600, fewest: two of 600; least left: one of 290 and two of 600 hold 1490, four of 290 hold 1160.</example>
public static class Packs
{
    /// <summary>Most packs of one size that are tried: a need of so many is told to look for larger packs.</summary>
    public const int MostPacks = 1000;

    private const double Hair = 1e-9;

    /// <summary>The answer; a problem where no size has a price, or where far too many packs would be needed.</summary>
    public static Result<Worked<PackPlan>> Of(PackQuestion question)
    {
        int[] usable =
        [
            .. Enumerable
                .Range(0, question.Sizes.Count)
                .Where(i => question.Aim != PackAim.Cheapest || question.Sizes[i].Price is not null)
                // The largest first: it makes a good answer soon, which bounds the others.
                .OrderByDescending(i => question.Sizes[i].Holds),
        ];
        if (usable.Length == 0)
            return new Problem("packs-no-price", "/sizes", "Give the price of at least one size, or ask for the fewest packs.");
        double most = question.Need / usable.Max(i => question.Sizes[i].Holds);
        if (most > MostPacks)
            return new Problem("packs-many", "/sizes", $"That would be more than {MostPacks} packs: look at the unit, or for larger packs.");
        var search = new Search(question, usable);
        int[] best = search.Best();
        var sheet = new Worksheet();
        int packs = best.Sum();
        double holds = sheet.Step("P", "what the packs hold", "sum of count * size", best.Select((n, i) => n * question.Sizes[i].Holds).Sum(), "");
        double left = sheet.Step("l", "left over", "P - need", holds - question.Need, "");
        _ = sheet.Step("n", "packs", "sum of counts", packs, "");
        double? price = best.Select((n, i) => n == 0 ? 0 : n * question.Sizes[i].Price).Aggregate((double?)0, (a, b) => a + b);
        sheet.Cite(new Source("Integer programme, solved exactly", SourceKind.Geometry));
        string what = string.Join(
            " and ",
            best.Select((n, i) => (n, i)).Where(x => x.n > 0).Select(x => $"{x.n} x {question.Sizes[x.i].Holds:0.##}")
        );
        return sheet.Finish(
            new PackPlan(best, packs, holds, left, price, $"{what}: {left:0.##} left over{(price is > 0 ? $", {price:0.00} in all" : "")}.")
        );
    }

    /// <summary>What an answer costs, in the order in which it counts.</summary>
    private readonly record struct Cost(double First, double Second, double Third)
    {
        public bool IsBelow(Cost other) =>
            First < other.First - Hair
            || (First < other.First + Hair && (Second < other.Second - Hair || (Second < other.Second + Hair && Third < other.Third - Hair)));
    }

    private sealed class Search(PackQuestion question, int[] usable)
    {
        private readonly int[] counts = new int[question.Sizes.Count];
        private int[] best = [];
        private Cost bestCost;

        public int[] Best()
        {
            Branch(0, question.Need, 0, 0);
            return best;
        }

        private void Branch(int depth, double rest, int packs, double price)
        {
            if (rest <= Hair)
            {
                Take(-rest, packs, price);
                return;
            }
            if (depth == usable.Length || (best.Length > 0 && !Bound(depth, rest, packs, price).IsBelow(bestCost)))
                return;
            PackSize size = question.Sizes[usable[depth]];
            int most = (int)Math.Ceiling((rest / size.Holds) - Hair);
            // The last size has to hold what is left.
            int least = depth == usable.Length - 1 ? most : 0;
            for (int n = most; n >= least; n--)
            {
                counts[usable[depth]] = n;
                Branch(depth + 1, rest - (n * size.Holds), packs + n, price + (n * (size.Price ?? 0)));
            }
            counts[usable[depth]] = 0;
        }

        private void Take(double left, int packs, double price)
        {
            Cost cost = CostOf(left, packs, price);
            if (best.Length > 0 && !cost.IsBelow(bestCost))
                return;
            (best, bestCost) = ([.. counts], cost);
        }

        private Cost CostOf(double left, int packs, double price) =>
            question.Aim switch
            {
                PackAim.Cheapest => new(price, packs, left),
                PackAim.Fewest => new(packs, left, price),
                _ => new(left, packs, price),
            };

        /// <summary>No answer below this branch costs less: the rest at the best rate of the sizes that are left, without rounding.</summary>
        private Cost Bound(int depth, double rest, int packs, double price)
        {
            IEnumerable<PackSize> left = usable.Skip(depth).Select(i => question.Sizes[i]);
            double fewest = packs + Math.Ceiling((rest / left.Max(s => s.Holds)) - Hair),
                cheapest = price + (rest * left.Min(s => (s.Price ?? 0) / s.Holds));
            return CostOf(0, (int)fewest, cheapest);
        }
    }
}
