using Abri.Core.Declared;

namespace Abri.Core.Water.Leaks;

/// <summary>A water test that could be made.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Spot">Number of the spot that is watched, from 0.</param>
/// <param name="Minutes">How long it takes in all, min.</param>
/// <param name="Shows">Probability, per suspect, that the test shows water of a suspect that leaks and reaches the spot.</param>
/// <param name="NotYet">Why it may not be made yet; null where it may.</param>
public sealed record WaterTestCandidate(
    [Name(200, "A test has a name of 1 to 200 characters.")] string Name,
    int Spot,
    double Minutes,
    IReadOnlyList<double> Shows,
    string? NotYet = null
);

/// <summary>What a water test is worth.</summary>
/// <param name="Number">Its number among the candidates, from 0.</param>
/// <param name="Name">What people call it.</param>
/// <param name="Bits">Expected information, bits.</param>
/// <param name="Minutes">How long it takes, min.</param>
/// <param name="BitsPerMinute">Expected information per minute, bits.</param>
/// <param name="WetChance">Probability that the spot comes out wet.</param>
/// <param name="NotYet">Why it may not be made yet; null where it may.</param>
public sealed record RankedTest(int Number, string Name, double Bits, double Minutes, double BitsPerMinute, double WetChance, string? NotYet);

/// <summary>The tests in the order of what they are worth: those that may be made now first.</summary>
/// <param name="Tests">The tests.</param>
public sealed record TestPlan(IReadOnlyList<RankedTest> Tests);

/// <summary>Finds the water test that is expected to tell most in the least time.</summary>
/// <remarks>
/// Expected information is the mutual information between the result and what is not known: which suspects leak and have a way to the spot that is
/// watched. I = h(P(wet)) - sum over those of weight h(P(wet | those)),
/// h(p) = -p log2 p - (1 - p) log2 (1 - p) (Lindley 1956, "On a measure of the information provided by an experiment"). Suspects that made no mark
/// count as well: they may wet another spot.
/// </remarks>
/// <example>Two equally likely suspects, of which the test wets one for sure: 1 bit.</example>
public static class NextWaterTest
{
    /// <summary>Most tests compared at once.</summary>
    public const int MostCandidates = 400;

    /// <summary>Compares tests.</summary>
    /// <param name="question">What is known.</param>
    /// <param name="candidates">The tests.</param>
    /// <param name="stop">Stops the search when nobody waits for it any more.</param>
    public static Result<Worked<TestPlan>> Of(LeakQuestion question, IReadOnlyList<WaterTestCandidate> candidates, CancellationToken stop = default)
    {
        if (question.Check() is { } problem)
            return problem;
        if (candidates.Count is 0 or > MostCandidates)
            return new Problem("water-tests", "/candidates", $"Give 1 to {MostCandidates} tests to choose from.");
        for (int c = 0; c < candidates.Count; c++)
        {
            WaterTestCandidate test = candidates[c];
            if (test.Spot < 0 || test.Spot >= question.Spots.Count)
                return new Problem(
                    "leak-spot-unknown",
                    $"/candidates/{c}/spot",
                    $"{test.Name}: there is no spot {test.Spot}; they count from 0 to {question.Spots.Count - 1}."
                );
            if (test.Shows.Count != question.Suspects.Count)
                return new Problem(
                    "leak-reaches",
                    $"/candidates/{c}/shows",
                    $"{test.Name}: give one figure for each of the {question.Suspects.Count} suspects; {test.Shows.Count} were given."
                );
            if (!test.Shows.All(p => p is >= 0 and <= 1))
                return new Problem("leak-probability", $"/candidates/{c}/shows", $"{test.Name}: a probability lies between 0 and 1.");
            if (test.Minutes is not > 0)
                return new Problem(
                    "water-test-minutes",
                    $"/candidates/{c}/minutes",
                    $"{test.Name}: a test takes some minutes; {test.Minutes:0.##} were given."
                );
        }
        var exact = new NoisyOr(question);
        RankedTest[] ranked =
        [
            .. candidates
                .Until(stop)
                .Select((test, number) => Ranked(test, number, exact.DryAt(test.Spot, test.Shows), question.FalseAlarm))
                .OrderBy(t => t.NotYet is not null)
                .ThenByDescending(t => Math.Round(t.BitsPerMinute, 9))
                .ThenBy(t => t.Number),
        ];
        var sheet = new Worksheet();
        foreach (RankedTest t in ranked.Take(5))
        {
            sheet.Step($"w_{t.Number}", $"{t.Name}: comes out wet", "sum of weight * (1 - (1 - f) prod(1 - shown))", t.WetChance, "");
            sheet.Step($"I_{t.Number}", $"{t.Name}: expected information", "h(w) - sum of weight * h(w | who leaks and has a way)", t.Bits, "bits");
            sheet.Step($"r_{t.Number}", $"{t.Name}: per minute", "I / minutes", t.BitsPerMinute, "bits/min");
        }
        sheet.Cite(
            new Source(
                "Lindley 1956, On a measure of the information provided by an experiment, Annals of Mathematical Statistics 27",
                SourceKind.Published
            )
        );
        return sheet.Finish(new TestPlan(ranked));
    }

    private static RankedTest Ranked(WaterTestCandidate test, int number, IReadOnlyList<(double Dry, double Weight)> chances, double falseAlarm)
    {
        double wet = chances.Sum(c => c.Weight * (1 - ((1 - falseAlarm) * c.Dry))),
            noise = chances.Sum(c => c.Weight * Entropy((1 - falseAlarm) * c.Dry));
        double bits = Math.Max(0, Entropy(wet) - noise);
        return new RankedTest(number, test.Name, bits, test.Minutes, bits / test.Minutes, wet, test.NotYet);
    }

    private static double Entropy(double p) => p is <= 0 or >= 1 ? 0 : -(p * Math.Log2(p)) - ((1 - p) * Math.Log2(1 - p));
}
