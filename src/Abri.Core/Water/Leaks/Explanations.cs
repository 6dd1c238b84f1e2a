namespace Abri.Core.Water.Leaks;

/// <summary>
/// The explanations of the wet marks by no cause, one or two, each with its weight: which suspects' water has a way to a wet spot.
/// </summary>
/// <remarks>What more than two causes together would weigh is left out: it is used to name the best explanation, not for the probabilities that are
/// shown.</remarks>
internal sealed class Explanations
{
    /// <summary>Pairs are formed of this many of the best single causes, and of this many for each wet spot: more make no difference that one
    /// sees.</summary>
    private const int Paired = 32,
        PairedPerSpot = 3;

    private readonly LeakQuestion question;
    private readonly LeakEvidence[][] at;
    private readonly bool[] isFocus;

    public Explanations(LeakQuestion question)
    {
        this.question = question;
        int spots = question.Spots.Count,
            n = question.Suspects.Count;
        at = [.. Enumerable.Range(0, spots).Select(k => question.Evidence.Where(e => e.Spot == k).ToArray())];
        bool anyWet = question.Evidence.Any(e => e.Wet);
        isFocus = [.. at.Select(es => !anyWet || es.Any(e => e.Wet))];
        double[] idle = [.. Enumerable.Range(0, n).Select(IdleWeight)];
        var all = new List<(int[] Causes, double Weight)> { ([], Evidence([])) };
        var single = new double[n];
        for (int i = 0; i < n; i++)
        {
            if (question.Suspects[i].Prior <= 0 || !Enumerable.Range(0, spots).Any(k => isFocus[k] && question.Suspects[i].Reaches[k] > 0))
                continue;
            single[i] = Weight([i], idle);
            all.Add(([i], single[i]));
        }
        // Two together may explain what neither explains alone, so those that are likeliest at each spot count too.
        int[] possible = [.. Enumerable.Range(0, n).Where(i => all.Exists(x => x.Causes is [int only] && only == i))];
        int[] paired =
        [
            .. possible
                .OrderByDescending(i => single[i])
                .Take(Paired)
                .Union(
                    Enumerable
                        .Range(0, spots)
                        .Where(k => isFocus[k])
                        .SelectMany(k =>
                            possible.OrderByDescending(i => question.Suspects[i].Prior * question.Suspects[i].Reaches[k]).Take(PairedPerSpot)
                        )
                ),
        ];
        for (int a = 0; a < paired.Length; a++)
        {
            for (int b = a + 1; b < paired.Length; b++)
                all.Add(([paired[a], paired[b]], Weight([paired[a], paired[b]], idle)));
        }
        double sum = all.Sum(x => x.Weight);
        All = [.. all.Select(x => (x.Causes, sum > 0 ? x.Weight / sum : 0)).OrderByDescending(x => x.Item2)];
        Best = anyWet ? All[0].Causes : [];
    }

    /// <summary>Numbers of the causes, and the weight, of each explanation; the weights sum to one.</summary>
    public IReadOnlyList<(int[] Causes, double Weight)> All { get; }

    /// <summary>The causes of the heaviest explanation.</summary>
    public int[] Best { get; }

    /// <summary>Results that an explanation gave little chance.</summary>
    public string[] Misfits(int[] causes) =>
        [
            .. question
                .Evidence.Where(e => (causes.Length > 0 || e.Wet) && Chance(e, causes) < LeakRanking.MisfitBelow)
                .Select(e => $"{e.Name}: {(e.Wet ? "wet" : "dry")} at {question.Spots[e.Spot]}"),
        ];

    /// <summary>Chance of a result where the causes' water has a way to every wet spot that they reach.</summary>
    private double Chance(LeakEvidence e, int[] causes)
    {
        double dry = 1 - question.FalseAlarm;
        foreach (int i in causes)
        {
            double reach = question.Suspects[i].Reaches[e.Spot];
            dry *= 1 - ((isFocus[e.Spot] && reach > 0 ? 1 : reach) * (e.Shows?[i] ?? 1));
        }
        return e.Wet ? 1 - dry : dry;
    }

    /// <summary>Weight of a suspect whose water has no way to any spot in question, leaking or not.</summary>
    private double IdleWeight(int i)
    {
        double prior = question.Suspects[i].Prior,
            idle = 1;
        for (int k = 0; k < at.Length; k++)
        {
            double reach = question.Suspects[i].Reaches[k];
            idle *= isFocus[k] ? 1 - reach : 1 - reach + (reach * at[k].Aggregate(1.0, (dry, e) => dry * (1 - (e.Shows?[i] ?? 1))));
        }
        return Math.Max(1e-300, 1 - prior + (prior * idle));
    }

    /// <summary>Weight of just these causes, against all suspects idle.</summary>
    private double Weight(int[] causes, double[] idle)
    {
        double weight = Evidence(causes);
        foreach (int i in causes)
            weight *= question.Suspects[i].Prior / idle[i];
        return weight;
    }

    /// <summary>
    /// Chance of all results under these causes, summed over which of them has a way to which spot; each has a way to some spot in question.
    /// </summary>
    /// <param name="causes">The causes, at most two.</param>
    private double Evidence(int[] causes)
    {
        // A suspect with all its ways to the spots in question idle is no cause: that share is taken off, for one and for both (inclusion and
        // exclusion).
        double sum = 0;
        for (int without = 0; without < 1 << causes.Length; without++)
        {
            double product = System.Numerics.BitOperations.PopCount((uint)without) % 2 == 0 ? 1 : -1;
            for (int k = 0; k < at.Length && product != 0; k++)
                product *= AtSpot(causes, k, isFocus[k] ? without : 0);
            sum += product;
        }
        return Math.Max(0, sum);
    }

    private double AtSpot(int[] causes, int k, int without)
    {
        if (at[k].Length == 0 && without == 0)
            return 1;
        double sum = 0;
        for (int on = 0; on < 1 << causes.Length; on++)
        {
            if ((on & without) != 0)
                continue;
            double chance = 1;
            for (int c = 0; c < causes.Length; c++)
                chance *= (on & (1 << c)) != 0 ? question.Suspects[causes[c]].Reaches[k] : 1 - question.Suspects[causes[c]].Reaches[k];
            if (chance <= 0)
                continue;
            foreach (LeakEvidence e in at[k])
            {
                double dry = 1 - question.FalseAlarm;
                for (int c = 0; c < causes.Length; c++)
                {
                    if ((on & (1 << c)) != 0)
                        dry *= 1 - (e.Shows?[causes[c]] ?? 1);
                }
                chance *= e.Wet ? 1 - dry : dry;
            }
            sum += chance;
        }
        return sum;
    }
}
