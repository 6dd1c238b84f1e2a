namespace Abri.Core.Water.Leaks;

/// <summary>
/// Reckons exactly with many possible leaks at once, each of which alone may wet a spot.
/// </summary>
/// <remarks>
/// <para>
/// Noisy-OR: a spot stays dry only if no leak wets it (Pearl 1988, "Probabilistic reasoning in intelligent systems", section 4.3). A suspect leaks with its prior; water of one that leaks has a way to a spot with its reach, and that way is there in
/// every rain and every test, or never. A result at the spot shows it with the result's own probability. So two dry tests of the same seam tell less than two independent ones would, and a dry test tells much though the way was uncertain.
/// </para>
/// <para>
/// Sums over all sets of leaks without listing them: the state is which of the wet results are accounted for, and suspects are taken in one after the other, forwards and backwards. All terms are positive, so nothing cancels. Time grows with the number
/// of suspects times 2 to the number of wet results.
/// </para>
/// </remarks>
internal sealed class NoisyOr
{
    private readonly LeakQuestion question;
    private readonly double[] reaches, shows, dryFactors;
    private readonly int[][] wetAt;
    private readonly bool[] isWetSpot;
    private readonly int spots, states, wets;

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
            for (int k = 0; k < spots; k++) (reaches[(i * spots) + k], dryFactors[(i * spots) + k]) = (question.Suspects[i].Reaches[k], 1);
            for (int e = 0; e < wets; e++) shows[(i * wets) + e] = wet[e].Shows?[i] ?? 1;
        }
        foreach (LeakEvidence e in question.Evidence.Where(e => !e.Wet))
        {
            for (int i = 0; i < n; i++) dryFactors[(i * spots) + e.Spot] *= 1 - (e.Shows?[i] ?? 1);
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

    private void Solve()
    {
        int n = question.Suspects.Count;
        double f = question.FalseAlarm;
        var forward = new double[n + 1][];
        forward[0] = Start(f);
        for (int i = 0; i < n; i++) forward[i + 1] = Taken(i, forward[i], backwards: false);
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
            for (int s = 0; s < states; s++) backward[s] = ((1 - prior) * backward[s]) + (prior * leaking[s]);
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
        for (int s = 0; s < states; s++) leaking[s] = ((1 - prior) * before[s]) + (prior * leaking[s]);
        return leaking;
    }

    /// <summary>The states after a suspect that leaks: over each spot its water has a way or has none.</summary>
    private double[] Leaking(int i, double[] before, bool backwards)
    {
        double[] after = [.. before];
        double[] way = new double[states];
        double onlyDry = 1;
        for (int k = 0; k < spots; k++)
        {
            double reach = reaches[(i * spots) + k], dry = dryFactors[(i * spots) + k];
            if (reach <= 0) continue;
            if (wetAt[k].Length == 0)
            {
                onlyDry *= 1 - reach + (reach * dry);
                continue;
            }
            after.CopyTo(way, 0);
            foreach (int e in wetAt[k]) Or(way, e, shows[(i * wets) + e], backwards);
            for (int s = 0; s < states; s++) after[s] = ((1 - reach) * after[s]) + (reach * dry * way[s]);
        }
        if (onlyDry < 1)
        {
            for (int s = 0; s < states; s++) after[s] *= onlyDry;
        }
        return after;
    }

    /// <summary>A result comes to be accounted for with a probability; backwards, what follows from that.</summary>
    private void Or(double[] a, int e, double shown, bool backwards)
    {
        int bit = 1 << e;
        for (int s = 0; s < states; s++)
        {
            if ((s & bit) != 0) continue;
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
        double none = start[states - 1], logOthers = 0;
        var idle = new double[n];
        for (int i = 0; i < n; i++)
        {
            double prior = question.Suspects[i].Prior;
            idle[i] = Math.Max(1e-300, 1 - prior + (prior * Idle(i)));
            logOthers += Math.Log(idle[i]);
        }
        if (all <= 0) return;
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
        for (int s = 0; s < a.Length; s++) sum += a[s] * b[s];
        return sum;
    }
}
