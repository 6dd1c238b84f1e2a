namespace Abri.Core.Water.Leaks;

/// <summary>A suspect after the evidence.</summary>
/// <param name="Number">Its number in the question, from 0.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Prior">Probability that it leaks before any evidence.</param>
/// <param name="Leaks">Probability that it leaks, after the evidence.</param>
/// <param name="Causes">Probability that its water made one of the wet marks.</param>
/// <param name="For">What speaks for it as the cause.</param>
/// <param name="Against">What speaks against it.</param>
public sealed record RankedSuspect(
    int Number,
    string Name,
    double Prior,
    double Leaks,
    double Causes,
    IReadOnlyList<string> For,
    IReadOnlyList<string> Against
);

/// <summary>How far the search for a leak has come.</summary>
public enum LeakState
{
    /// <summary>Nothing was found wet yet.</summary>
    NothingWet,

    /// <summary>Several suspects are still possible.</summary>
    Searching,

    /// <summary>One cause explains all, and a water test bore it out: stop testing, mend it.</summary>
    OneCause,

    /// <summary>One cause is not enough.</summary>
    TwoCauses,

    /// <summary>Results contradict one another.</summary>
    Contradiction,
}

/// <summary>What the evidence says.</summary>
/// <param name="State">How far the search has come.</param>
/// <param name="Verdict">The same in a sentence.</param>
/// <param name="Suspects">The suspects, most likely cause first.</param>
/// <param name="NoCause">Probability that none of the suspects made the marks: something nobody has thought of, or a false alarm.</param>
/// <param name="OneCause">Probability that one of them alone did.</param>
/// <param name="Several">Probability that several did.</param>
/// <param name="Best">Numbers of the suspects that together explain the evidence best: none, one or two.</param>
/// <param name="Misfits">Results that do not agree with that.</param>
public sealed record LeakRanking(
    LeakState State,
    string Verdict,
    IReadOnlyList<RankedSuspect> Suspects,
    double NoCause,
    double OneCause,
    double Several,
    IReadOnlyList<int> Best,
    IReadOnlyList<string> Misfits
)
{
    /// <summary>Share of belief in one cause at which testing stops: assumption.</summary>
    public const double StopAt = 0.8;

    /// <summary>A result that the best explanation gave less than this is a misfit: assumption.</summary>
    public const double MisfitBelow = 0.2;

    /// <summary>A reach or a chance to show below this is not worth a word: assumption.</summary>
    private const double Notable = 0.05;

    /// <summary>Weighs the evidence.</summary>
    public static Result<Worked<LeakRanking>> Of(LeakQuestion question)
    {
        if (question.Check() is { } problem)
            return problem;
        var exact = new NoisyOr(question);
        var explanations = new Explanations(question);
        int[] best = explanations.Best;
        string[] misfits = explanations.Misfits(best);
        RankedSuspect[] ranked =
        [
            .. Enumerable
                .Range(0, question.Suspects.Count)
                .Select(i => new RankedSuspect(
                    i,
                    question.Suspects[i].Name,
                    question.Suspects[i].Prior,
                    exact.Leaks[i],
                    exact.Causes[i],
                    [.. For(question, i)],
                    [.. Against(question, i)]
                ))
                .OrderByDescending(s => Math.Round(s.Causes, 9))
                .ThenByDescending(s => s.Leaks)
                .ThenBy(s => s.Number),
        ];
        double one = exact.OnlyCause.Sum(),
            top = exact.OnlyCause.Max();
        bool anyWet = question.Evidence.Any(e => e.Wet);
        LeakState state =
            !anyWet ? LeakState.NothingWet
            : misfits.Length > 0 ? LeakState.Contradiction
            : best.Length == 2 && exact.Several >= StopAt ? LeakState.TwoCauses
            // What nobody has tested is a guess, however well it fits.
            : top >= StopAt && question.Evidence.Any(e => e.Tested) ? LeakState.OneCause
            : LeakState.Searching;
        var sheet = new Worksheet();
        sheet.Step("f", "wet without a leak", "as given", question.FalseAlarm, "");
        sheet.Step("n", "suspects", "count", question.Suspects.Count, "count");
        sheet.Step("m", "results", "count", question.Evidence.Count, "count");
        foreach (RankedSuspect s in ranked.Take(5))
        {
            sheet.Step($"p_{s.Number}", $"{s.Name}: before", "by kind and state", s.Prior, "");
            sheet.Step(
                $"P_{s.Number}",
                $"{s.Name}: leaks, after the evidence",
                "sum over sets of leaks with it / sum over all; a spot stays dry with (1 - f) prod(1 - reach shown)",
                s.Leaks,
                ""
            );
            sheet.Step($"C_{s.Number}", $"{s.Name}: made a mark", "the same, with a way to a wet spot", s.Causes, "");
        }
        sheet.Step("P_0", "no suspect made the marks", "f for each wet result, all ways idle", exact.NoCause, "");
        sheet.Step("P_1", "one alone did", "sum of single causes", one, "");
        sheet.Step("P_2", "several did", "1 - P_0 - P_1", exact.Several, "");
        sheet.Cite(
            new Source("Noisy-OR and Bayes' rule: Pearl 1988, Probabilistic reasoning in intelligent systems, section 4.3", SourceKind.Published)
        );
        sheet.Cite(
            new Source(
                $"False alarms {question.FalseAlarm:0.###}; testing stops at {StopAt * 100:0} %; a result below {MisfitBelow * 100:0} % is a misfit",
                SourceKind.Assumption
            )
        );
        return sheet.Finish(new LeakRanking(state, Words(state, question, best, ranked), ranked, exact.NoCause, one, exact.Several, best, misfits));
    }

    /// <summary>One percentage a suspect, the one it has in the list: that its water made a mark.</summary>
    private static string Words(LeakState state, LeakQuestion question, int[] best, RankedSuspect[] ranked)
    {
        RankedSuspect first = ranked[0];
        bool tested = question.Evidence.Any(e => e.Tested);
        return state switch
        {
            LeakState.NothingWet => "Nothing was found wet yet. Record where water shows, or start a water test.",
            LeakState.Contradiction => "Results contradict one another. Repeat the ones named, dry and slowly, before anything is sealed.",
            LeakState.TwoCauses => $"One cause does not explain it all; two do: {question.Suspects[best[0]].Name} and "
                + $"{question.Suspects[best[1]].Name}. Seal both, then prove it with water.",
            LeakState.OneCause =>
                $"One cause explains it all: {first.Name} ({first.Causes * 100:0} %). Stop testing, seal it, then prove it with water.",
            _ when first.Causes >= 0.5 && !tested =>
                $"{first.Name} is the likeliest with {first.Causes * 100:0} %, but nothing has been tested yet. Test it before you seal it.",
            _ when first.Causes >= 0.5 => $"{first.Name} leads with {first.Causes * 100:0} %, but others could have made it too. Do the next test.",
            _ => "Several could have made it. Do the next test.",
        };
    }

    private static IEnumerable<string> For(LeakQuestion question, int i) =>
        question
            .Evidence.Where(e => e.Wet)
            .Select(e => (e, Shown: Shown(question, i, e)))
            .Where(x => x.Shown >= Notable)
            .OrderByDescending(x => x.Shown)
            .Select(x => $"{x.e.Name}: wet, and its water would show there ({x.Shown * 100:0} %)");

    private static IEnumerable<string> Against(LeakQuestion question, int i)
    {
        foreach (LeakEvidence e in question.Evidence)
        {
            double shown = Shown(question, i, e);
            if (e.Wet && shown < Notable)
                yield return question.Suspects[i].Reaches[e.Spot] < Notable
                    ? $"{e.Name}: its water hardly reaches {question.Spots[e.Spot]}"
                    : $"{e.Name}: wet, though no water was put on it";
            else if (!e.Wet && shown >= Notable)
                yield return $"{e.Name}: dry, though its water would have shown ({shown * 100:0} %)";
        }
    }

    private static double Shown(LeakQuestion question, int i, LeakEvidence e) => question.Suspects[i].Reaches[e.Spot] * (e.Shows?[i] ?? 1);
}
