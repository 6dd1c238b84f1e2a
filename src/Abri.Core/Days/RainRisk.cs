using Abri.Core.Weather;

namespace Abri.Core.Days;

/// <summary>How likely rain meets an open shell from one beginning.</summary>
/// <param name="At">The beginning.</param>
/// <param name="Chance">Chance that it rains while the shell stands open, 0 to 1.</param>
/// <param name="WetMinutes">Minutes of rain on the open shell to be expected.</param>
public sealed record RiskAt(DateTimeOffset At, double Chance, double WetMinutes);

/// <summary>How likely rain meets an open shell, from many beginnings.</summary>
/// <param name="Starts">Each beginning.</param>
/// <param name="Best">The beginnings that are least likely to be met, a quarter of a day apart at least, best first.</param>
/// <param name="Verdict">In words.</param>
public sealed record RiskCurve(IReadOnlyList<RiskAt> Starts, IReadOnlyList<RiskAt> Best, string Verdict);

/// <summary>Draws many courses of rain and of work, and counts how often rain meets an open shell.</summary>
/// <remarks>
/// Work: the sum of a PERT beta distribution for each step (quick, likely, slow; mean (quick + 4 likely + slow) / 6; Malcolm and others 1959),
/// waits as told. Rain: the courses of the forecast where it has some, else the chain of hours of <see cref="RainChance"/>. A wet hour is wet all
/// through: the safe side. All beginnings are drawn from the same courses, so that they can be compared, and from a seed: the same question has the
/// same answer. Nobody stops for the night: what the cut gate refuses is still told here.
/// </remarks>
/// <example>Every hour wet with 10 % and independent, three hours open from the full hour: 1 - 0.9^3 = 27.1 %.</example>
public static class RainRisk
{
    /// <summary>Courses that are drawn.</summary>
    public const int Runs = 10_000;

    /// <summary>Most beginnings that are looked at at once: half-hours of five days.</summary>
    public const int MostStarts = 240;

    private const int BestCount = 3,
        BestApartHours = 6;

    /// <summary>The risk from each beginning.</summary>
    /// <param name="span">The steps from the cut until rain does no more harm.</param>
    /// <param name="forecast">The forecast.</param>
    /// <param name="from">First beginning.</param>
    /// <param name="starts">How many, half an hour apart.</param>
    /// <param name="seed">Of what is drawn.</param>
    /// <param name="may">Which beginnings may be among the best; null for all of them.</param>
    /// <param name="stop">Ends it before it is done.</param>
    public static Result<Worked<RiskCurve>> Of(
        OpenSpan span,
        Forecast forecast,
        DateTimeOffset from,
        int starts = MostStarts,
        int seed = 1,
        Func<DateTimeOffset, bool>? may = null,
        CancellationToken stop = default
    )
    {
        if (starts is < 1 or > MostStarts)
            return new Problem("starts", "/starts", $"From 1 to {MostStarts} beginnings are looked at.");
        if (from < forecast.From || from >= forecast.End)
            return new Problem("outside-forecast", "/from", "The forecast says nothing of that time.");
        float[] open = Durations(span, (uint)seed);
        double longest = open.Max();
        int hours = forecast.Hours.Count;
        float[][] wet = Courses(forecast, (uint)seed, stop);
        var curve = new List<RiskAt>();
        double begin = (from - forecast.From).TotalMinutes;
        for (int i = 0; i < starts; i++)
        {
            stop.ThrowIfCancellationRequested();
            double at = begin + (30 * i);
            // What ends beyond the forecast cannot be told.
            if (at + longest > hours * 60)
                break;
            (int met, double minutes) = (0, 0);
            for (int run = 0; run < Runs; run++)
            {
                float[] course = wet[run % wet.Length];
                double under = Until(course, at + open[run]) - Until(course, at);
                met += under > 1e-3 ? 1 : 0;
                minutes += under;
            }
            curve.Add(new RiskAt(from.AddMinutes(30 * i), (double)met / Runs, minutes / Runs));
        }
        if (curve.Count == 0)
            return new Problem("outside-forecast", "/from", "The work takes longer than the forecast reaches.");
        var sheet = new Worksheet();
        sheet.Step("n", "courses drawn", "rain and work together", Runs, "count");
        sheet.Step("t_o", "shell open, in the mean", "sum of PERT means and waits", open.Average(t => (double)t) / 60, "h");
        sheet.Step("P_1", "chance of rain on it, from the first beginning", "courses that are met / n", curve[0].Chance, "");
        sheet.Cite(new Source("PERT: Malcolm, Roseboom, Clark and Fazar, Operations Research 7 (1959)", SourceKind.FromMemory));
        sheet.Cite(
            forecast.Members is null
                ? new Source($"Each hour as the one before it by {RainChance.Persistence}; a wet hour is wet all through", SourceKind.Assumption)
                : new Source("The forecast's own courses of the rain; a wet hour is wet all through", SourceKind.Assumption)
        );
        List<RiskAt> best = Best(may is null ? curve : curve.Where(c => may(c.At)));
        string verdict =
            $"Rain meets the open shell with {100 * curve[0].Chance:0} % from the first beginning, "
            + (best.Count > 0 ? $"with {100 * best[0].Chance:0} % at the best time." : "and at no time could the work be done in one go.");
        return sheet.Finish(new RiskCurve(curve, best, verdict));
    }

    private static List<RiskAt> Best(IEnumerable<RiskAt> curve)
    {
        var best = new List<RiskAt>();
        foreach (RiskAt at in curve.OrderBy(c => c.Chance).ThenBy(c => c.WetMinutes).ThenBy(c => c.At))
        {
            if (best.Count < BestCount && best.All(b => Math.Abs((b.At - at.At).TotalHours) >= BestApartHours))
                best.Add(at);
        }
        return best;
    }

    /// <summary>Minutes that the shell stands open, one number a run.</summary>
    private static float[] Durations(OpenSpan span, uint seed)
    {
        double waits = 60 * span.Steps.Sum(s => s.WaitHours);
        var open = new float[Runs];
        for (int run = 0; run < Runs; run++)
        {
            double sum = waits;
            for (int step = 0; step < span.Steps.Count; step++)
                sum += Pert(span.Steps[step].Minutes, seed, step, run);
            open[run] = (float)sum;
        }
        return open;
    }

    /// <summary>A draw of the PERT distribution: a beta distribution by the ratio of two gamma variates (Marsaglia and Tsang 2000).</summary>
    private static double Pert(Work.Minutes minutes, uint seed, int step, int run)
    {
        (double a, double m, double b) = (minutes.Quick, minutes.Likely, minutes.Slow);
        if (b - a < 1e-9)
            return m;
        double alpha = 1 + (4 * (m - a) / (b - a)),
            beta = 1 + (4 * (b - m) / (b - a));
        double x = Gamma(alpha, seed, 1000 + (2 * step), run),
            y = Gamma(beta, seed, 1001 + (2 * step), run);
        return a + ((b - a) * x / (x + y));
    }

    private static double Gamma(double shape, uint seed, int stream, int run)
    {
        double d = shape - (1.0 / 3),
            c = 1 / Math.Sqrt(9 * d);
        for (int attempt = 0; ; attempt++)
        {
            // Attempts of a run lie a hundred million apart, so that no two runs share one.
            long name = run + (100_000_000L * attempt);
            double x = Noise.Normal(seed, stream, name),
                v = Math.Pow(1 + (c * x), 3);
            if (v > 0 && Math.Log(1 - Noise.Uniform(seed, stream + 500, name)) < (0.5 * x * x) + d - (d * v) + (d * Math.Log(v)))
                return d * v;
        }
    }

    /// <summary>Courses of the rain, each as minutes of rain up to the beginning of every hour.</summary>
    private static float[][] Courses(Forecast forecast, uint seed, CancellationToken stop)
    {
        if (forecast.Members is { } members)
            return [.. members.Select(m => Summed(m.Length, i => m[i] == '1'))];
        double[] p = [.. forecast.Hours.Select(h => h.RainPercent / 100)];
        var courses = new float[Runs][];
        for (int run = 0; run < Runs; run++)
        {
            stop.ThrowIfCancellationRequested();
            bool before = false;
            int of = run;
            courses[run] = Summed(p.Length, i =>
            {
                double chance =
                    i == 0 ? p[0]
                    : before ? RainChance.AfterWet(p[i], p[i - 1])
                    : RainChance.AfterDry(p[i], p[i - 1]);
                return before = Noise.Uniform(seed, 3, ((long)i * Runs) + of) < chance;
            });
        }
        return courses;
    }

    private static float[] Summed(int hours, Func<int, bool> wet)
    {
        var sum = new float[hours + 1];
        for (int i = 0; i < hours; i++)
            sum[i + 1] = sum[i] + (wet(i) ? 60 : 0);
        return sum;
    }

    /// <summary>Minutes of rain from the beginning of the forecast up to a minute of it.</summary>
    private static double Until(float[] course, double minute)
    {
        int hour = Math.Min((int)(minute / 60), course.Length - 2);
        return course[hour] + ((course[hour + 1] - course[hour]) * ((minute / 60) - hour));
    }
}
