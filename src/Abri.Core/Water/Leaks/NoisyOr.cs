namespace Abri.Core.Water.Leaks;

/// <summary>
/// Reckons exactly with many possible leaks at once, each of which alone may wet a spot.
/// </summary>
/// <remarks>
/// <para>
/// Noisy-OR: a spot stays dry only if no leak wets it (Pearl 1988, "Probabilistic reasoning in intelligent systems", section 4.3). A suspect leaks
/// with its prior; water of one that leaks has a way to a spot with its reach, and that way is there in
/// every rain and every test, or never. A result at the spot shows it with the result's own probability. So two dry tests of the same seam tell less
/// than two independent ones would, and a dry test tells much though the way was uncertain.
/// </para>
/// <para>
/// Sums over all sets of leaks without listing them: the state is which of the wet results are accounted for, and suspects are taken in one after the
/// other, forwards and backwards. All terms are positive, so nothing cancels. Time grows with the number
/// of suspects times 2 to the number of wet results.
/// </para>
/// </remarks>
internal sealed class NoisyOr
{
    /// <summary>Most different chances of a dry result that are told apart.</summary>
    private const int MostDry = 128;

    private readonly LeakQuestion question;
    private readonly double[] reaches,
        shows,
        dryFactors;
    private readonly int[][] wetAt;
    private readonly bool[] isWetSpot;
    private readonly int spots,
        states,
        wets;

    public NoisyOr(LeakQuestion question)
    {
        this.question = question;
        spots = question.Spots.Count;
        int n = question.Suspects.Count;
        LeakEvidence[] wet = [.. question.Evidence.Where(e => e.Wet)];
        (wets, states) = (wet.Length, 1 << wet.Length);
        reaches = new double[n * spots];
        dryFactors = new double[n * spots];
        shows = new double[n * Math.Max(1, wets)];
        wetAt = [.. Enumerable.Range(0, spots).Select(k => Enumerable.Range(0, wets).Where(e => wet[e].Spot == k).ToArray())];
        isWetSpot = [.. wetAt.Select(w => w.Length > 0)];
        for (int i = 0; i < n; i++)
        {
            for (int k = 0; k < spots; k++)
                (reaches[(i * spots) + k], dryFactors[(i * spots) + k]) = (question.Suspects[i].Reaches[k], 1);
            for (int e = 0; e < wets; e++)
                shows[(i * wets) + e] = wet[e].Shows?[i] ?? 1;
        }
        foreach (LeakEvidence e in question.Evidence.Where(e => !e.Wet))
        {
            for (int i = 0; i < n; i++)
                dryFactors[(i * spots) + e.Spot] *= 1 - (e.Shows?[i] ?? 1);
        }
        Solve();
    }

    /// <summary>Probability, per suspect, that it leaks.</summary>
    public double[] Leaks { get; private set; } = [];

    /// <summary>Probability, per suspect, that its water has a way to a spot that was found wet.</summary>
    public double[] Causes { get; private set; } = [];

    /// <summary>Probability that no suspect's water has a way to a spot that was found wet.</summary>
    public double NoCause { get; private set; }

    /// <summary>Probability, per suspect, that its water alone has one.</summary>
    public double[] OnlyCause { get; private set; } = [];

    /// <summary>Probability that the water of several has one.</summary>
    public double Several { get; private set; }

    /// <summary>
    /// Chances that a result not known yet stays dry but for a false alarm, by which suspects leak and have a way to its spot: each chance with its
    /// weight, which sum to one.
    /// </summary>
    /// <remarks>Exact as long as no more than <see cref="MostDry"/> chances differ; more are laid on that many steps so that their mean stays what it
    /// is.</remarks>
    /// <param name="spot">The spot.</param>
    /// <param name="shown">Chance, per suspect, that the result shows its water.</param>
    public IReadOnlyList<(double Dry, double Weight)> DryAt(int spot, IReadOnlyList<double> shown)
    {
        int n = question.Suspects.Count;
        double[] others = Start(question.FalseAlarm);
        var asked = new List<int>();
        for (int i = 0; i < n; i++)
        {
            if (shown[i] > 0 && reaches[(i * spots) + spot] > 0 && question.Suspects[i].Prior > 0)
                asked.Add(i);
            else
                others = Taken(i, others, backwards: false);
        }
        var by = new SortedDictionary<double, double[]> { [1] = others };
        foreach (int i in asked)
        {
            double prior = question.Suspects[i].Prior;
            var next = new SortedDictionary<double, double[]>();
            foreach ((double dry, double[] before) in by)
            {
                double[] without = Leaking(i, before, false, spot, way: false),
                    with = Leaking(i, before, false, spot, way: true);
                for (int s = 0; s < states; s++)
                    (without[s], with[s]) = (((1 - prior) * before[s]) + (prior * without[s]), prior * with[s]);
                Add(next, Math.Round(dry, 12), without, 1);
                Add(next, Math.Round(dry * (1 - shown[i]), 12), with, 1);
            }
            by = next.Count <= MostDry ? next : OnSteps(next);
        }
        double all = by.Values.Sum(a => a[states - 1]);
        return all > 0 ? [.. by.Select(x => (x.Key, x.Value[states - 1] / all))] : [(1, 1)];
    }

    private void Add(SortedDictionary<double, double[]> to, double dry, double[] what, double share)
    {
        if (!to.TryGetValue(dry, out double[]? sum))
            to[dry] = sum = new double[states];
        for (int s = 0; s < states; s++)
            sum[s] += share * what[s];
    }

    private SortedDictionary<double, double[]> OnSteps(SortedDictionary<double, double[]> many)
    {
        var few = new SortedDictionary<double, double[]>();
        foreach ((double dry, double[] what) in many)
        {
            double at = dry * (MostDry - 1),
                low = Math.Floor(at),
                share = at - low;
            Add(few, low / (MostDry - 1), what, 1 - share);
            if (share > 0)
                Add(few, (low + 1) / (MostDry - 1), what, share);
        }
        return few;
    }

    private void Solve()
    {
        int n = question.Suspects.Count;
        double f = question.FalseAlarm;
        var forward = new double[n + 1][];
        forward[0] = Start(f);
        for (int i = 0; i < n; i++)
            forward[i + 1] = Taken(i, forward[i], backwards: false);
        double all = forward[n][states - 1];
        var backward = new double[states];
        backward[states - 1] = 1;
        (Leaks, Causes, OnlyCause) = (new double[n], new double[n], new double[n]);
        for (int i = n - 1; i >= 0; i--)
        {
            double prior = question.Suspects[i].Prior;
            double[] leaking = Leaking(i, backward, backwards: true);
            double leaks = prior * Product(forward[i], leaking);
            double idle = prior * Idle(i) * Product(forward[i], backward);
            Leaks[i] = all > 0 ? Math.Clamp(leaks / all, 0, 1) : prior;
            Causes[i] = all > 0 ? Math.Clamp((leaks - idle) / all, 0, 1) : 0;
            for (int s = 0; s < states; s++)
                backward[s] = ((1 - prior) * backward[s]) + (prior * leaking[s]);
        }
        Alone(f, all);
    }

    /// <summary>Which wet results are accounted for before any suspect: by false alarm alone. Dry results weigh too.</summary>
    private double[] Start(double f)
    {
        var start = new double[states];
        double dry = Math.Pow(1 - f, question.Evidence.Count - wets);
        for (int s = 0; s < states; s++)
        {
            int on = System.Numerics.BitOperations.PopCount((uint)s);
            start[s] = dry * Math.Pow(f, on) * Math.Pow(1 - f, wets - on);
        }
        return start;
    }

    private double[] Taken(int i, double[] before, bool backwards)
    {
        double prior = question.Suspects[i].Prior;
        double[] leaking = Leaking(i, before, backwards);
        for (int s = 0; s < states; s++)
            leaking[s] = ((1 - prior) * before[s]) + (prior * leaking[s]);
        return leaking;
    }

    /// <summary>The states after a suspect that leaks: over each spot its water has a way or has none.</summary>
    /// <param name="i">Number of the suspect.</param>
    /// <param name="before">The states before it.</param>
    /// <param name="backwards">Whether they are what follows.</param>
    /// <param name="at">A spot at which it is laid down whether it has a way; -1 for none.</param>
    /// <param name="way">Whether it has one there.</param>
    private double[] Leaking(int i, double[] before, bool backwards, int at = -1, bool way = false)
    {
        double[] after = [.. before];
        double[] onWay = new double[states];
        double onlyDry = 1;
        for (int k = 0; k < spots; k++)
        {
            double reach = reaches[(i * spots) + k],
                dry = dryFactors[(i * spots) + k];
            if (reach <= 0)
                continue;
            (double none, double some) = (k == at && way ? 0 : 1 - reach, k == at && !way ? 0 : reach * dry);
            if (wetAt[k].Length == 0)
            {
                onlyDry *= none + some;
                continue;
            }
            after.CopyTo(onWay, 0);
            foreach (int e in wetAt[k])
                Or(onWay, e, shows[(i * wets) + e], backwards);
            for (int s = 0; s < states; s++)
                after[s] = (none * after[s]) + (some * onWay[s]);
        }
        if (onlyDry < 1)
        {
            for (int s = 0; s < states; s++)
                after[s] *= onlyDry;
        }
        return after;
    }

    /// <summary>A result comes to be accounted for with a probability; backwards, what follows from that.</summary>
    private void Or(double[] a, int e, double shown, bool backwards)
    {
        int bit = 1 << e;
        for (int s = 0; s < states; s++)
        {
            if ((s & bit) != 0)
                continue;
            if (backwards)
            {
                a[s] = ((1 - shown) * a[s]) + (shown * a[s | bit]);
            }
            else
            {
                a[s | bit] += shown * a[s];
                a[s] *= 1 - shown;
            }
        }
    }

    /// <summary>Probability that a leaking suspect's water has a way to no wet spot, and what dry results make of the others.</summary>
    private double Idle(int i)
    {
        double idle = 1;
        for (int k = 0; k < spots; k++)
        {
            double reach = reaches[(i * spots) + k];
            idle *= isWetSpot[k] ? 1 - reach : 1 - reach + (reach * dryFactors[(i * spots) + k]);
        }
        return idle;
    }

    /// <summary>What one suspect's water alone accounts for, the false alarms helping.</summary>
    private void Alone(double f, double all)
    {
        int n = question.Suspects.Count;
        double[] start = Start(f);
        double none = start[states - 1],
            logOthers = 0;
        var idle = new double[n];
        for (int i = 0; i < n; i++)
        {
            double prior = question.Suspects[i].Prior;
            idle[i] = Math.Max(1e-300, 1 - prior + (prior * Idle(i)));
            logOthers += Math.Log(idle[i]);
        }
        if (all <= 0)
            return;
        NoCause = Math.Clamp(none * Math.Exp(logOthers) / all, 0, 1);
        double one = 0;
        for (int i = 0; i < n; i++)
        {
            double prior = question.Suspects[i].Prior;
            double caused = prior * (Leaking(i, start, backwards: false)[states - 1] - (Idle(i) * start[states - 1]));
            OnlyCause[i] = Math.Clamp(caused * Math.Exp(logOthers - Math.Log(idle[i])) / all, 0, 1);
            one += OnlyCause[i];
        }
        Several = Math.Clamp(1 - NoCause - one, 0, 1);
    }

    private static double Product(double[] a, double[] b)
    {
        double sum = 0;
        for (int s = 0; s < a.Length; s++)
            sum += a[s] * b[s];
        return sum;
    }
}
