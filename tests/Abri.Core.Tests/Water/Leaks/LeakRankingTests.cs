using Abri.Core.Water.Leaks;
using CsCheck;

namespace Abri.Core.Tests.Water.Leaks;

public class LeakRankingTests
{
    private static readonly Gen<double> Chance = Gen.Double[0.02, 0.95];

    /// <summary>Up to 4 suspects, 3 spots and 5 results.</summary>
    private static readonly Gen<LeakQuestion> Questions = Gen.Select(Gen.Int[1, 4], Gen.Int[1, 3], Gen.Int[0, 5])
        .SelectMany(
            (n, k, m) =>
                Gen.Select(
                    Gen.Select(Chance, Chance.Array[k]).Array[n],
                    Gen.Select(Gen.Int[0, k - 1], Gen.Bool, Chance.Array[n]).Array[m],
                    (suspects, evidence) =>
                        new LeakQuestion(
                            [.. Enumerable.Range(0, k).Select(i => $"spot {i}")],
                            [.. suspects.Select((s, i) => new LeakSuspect($"suspect {i}", s.Item1, s.Item2))],
                            [.. evidence.Select((e, i) => new LeakEvidence($"result {i}", e.Item1, e.Item2, e.Item3))],
                            0.03
                        )
                )
        );

    [Fact] // Worked by hand: four sets of leaks weigh .0063, .24327, .03535 and .028515, together .313435
    public void Two_suspects_come_out_as_by_hand()
    {
        LeakRanking r = Ranked(new LeakQuestion(["stain"], [new("a", 0.3, [0.9]), new("b", 0.1, [0.5])], [new("wet", 0, true)]));
        Assert.Equal([0, 1], r.Suspects.Select(s => s.Number));
        Assert.Equal((0.24327 + 0.028515) / 0.313435, r.Suspects[0].Leaks, 9);
        Assert.Equal((0.03535 + 0.028515) / 0.313435, r.Suspects[1].Leaks, 9);
        // None made it where no way is there: (1 - .3 * .9) (1 - .1 * .5) f.
        Assert.Equal(0.73 * 0.95 * 0.01 / 0.313435, r.NoCause, 9);
    }

    [Fact] // Checked against every set of leaks and every set of ways, one by one
    public void Probabilities_are_those_of_adding_up_every_set_of_leaks_and_ways() =>
        Questions.Holds(
            question =>
            {
                (double[] leaks, double[] causes, double none, double one) = OneByOne(question);
                var exact = new NoisyOr(question);
                return Near(exact.Leaks, leaks)
                    && Near(exact.Causes, causes)
                    && Near(exact.NoCause, none)
                    && Near(exact.OnlyCause.Sum(), one)
                    && Near(exact.NoCause + exact.OnlyCause.Sum() + exact.Several, 1);
            },
            cases: 150
        );

    [Fact]
    public void The_weights_of_explanations_by_none_or_one_keep_the_ratio_of_the_exact_probabilities() =>
        Questions
            .Where(q => q.Evidence.Any(e => e.Wet))
            .Holds(
                question =>
                {
                    var exact = new NoisyOr(question);
                    var explanations = new Explanations(question);
                    double Weight(params int[] causes) => explanations.All.Single(x => x.Causes.SequenceEqual(causes)).Weight;
                    return explanations
                            .All.Where(x => x.Causes.Length == 1)
                            .All(x => Near(x.Weight * exact.NoCause, Weight() * exact.OnlyCause[x.Causes[0]]))
                        && Near(explanations.All.Sum(x => x.Weight), 1);
                },
                cases: 150
            );

    [Fact]
    public void The_order_of_evidence_does_not_matter() =>
        Questions.Holds(
            question =>
            {
                var turned = new NoisyOr(question with { Evidence = [.. question.Evidence.Reverse()] });
                return Near(new NoisyOr(question).Leaks, turned.Leaks);
            },
            cases: 100
        );

    [Fact]
    public void A_dry_test_of_one_suspect_moves_belief_to_the_other_and_three_results_settle_it()
    {
        LeakSuspect[] two = [new("near", 0.5, [0.9]), new("far", 0.5, [0.6])];
        LeakEvidence stain = new("stain", 0, true),
            dryNear = new("test 1", 0, false, [0.85, 0], Tested: true),
            wetFar = new("test 2", 0, true, [0, 0.85], Tested: true);
        LeakRanking before = Ranked(new LeakQuestion(["stain"], two, [stain])),
            after = Ranked(new LeakQuestion(["stain"], two, [stain, dryNear, wetFar]));
        Assert.Equal(["near", "far"], before.Suspects.Select(s => s.Name));
        Assert.Equal(["far", "near"], after.Suspects.Select(s => s.Name));
        Assert.Equal(LeakState.OneCause, after.State);
        Assert.Equal([1], after.Best);
        // One percentage a suspect: the sentence has the one of the list.
        Assert.Contains($"far ({after.Suspects[0].Causes * 100:0} %)", after.Verdict);
        Assert.Contains("test 1: dry, though its water would have shown", after.Suspects[1].Against[0]);
    }

    [Fact]
    public void Nothing_is_called_the_cause_before_it_was_tested()
    {
        LeakRanking r = Ranked(new LeakQuestion(["stain"], [new("only", 0.9, [0.95])], [new("stain", 0, true), new("rain", 0, true, [0.9])]));
        Assert.Equal(LeakState.Searching, r.State);
        Assert.Contains("nothing has been tested yet", r.Verdict);
        Assert.Equal(
            LeakState.OneCause,
            Ranked(
                new LeakQuestion(["stain"], [new("only", 0.9, [0.95])], [new("stain", 0, true), new("test 1", 0, true, [0.9], Tested: true)])
            ).State
        );
    }

    [Fact]
    public void Two_marks_that_no_suspect_reaches_both_need_two_causes()
    {
        LeakRanking r = Ranked(
            new LeakQuestion(
                ["front", "rear"],
                [new("a", 0.2, [0.8, 0]), new("b", 0.2, [0, 0.8]), new("c", 0.2, [0, 0])],
                [new("stain", 0, true), new("puddle", 1, true)]
            )
        );
        Assert.Equal((LeakState.TwoCauses, 0.0), (r.State, r.Suspects[2].Causes));
        Assert.Equal([0, 1], r.Best.Order());
    }

    [Fact]
    public void The_same_test_wet_and_dry_is_called_a_contradiction_and_named()
    {
        LeakRanking r = Ranked(
            new LeakQuestion(
                ["stain"],
                [new("a", 0.3, [0.9])],
                [new("stain", 0, true), new("test 1", 0, true, [0.95]), new("test 2", 0, false, [0.95])]
            )
        );
        Assert.Equal(LeakState.Contradiction, r.State);
        Assert.Equal(["test 2: dry at stain"], r.Misfits);
    }

    [Fact]
    public void A_suspect_that_reaches_nothing_keeps_its_prior_and_causes_nothing()
    {
        RankedSuspect idle = Ranked(new LeakQuestion(["stain"], [new("a", 0.3, [0.9]), new("idle", 0.4, [0])], [new("stain", 0, true)]))
            .Suspects.Single(s => s.Name == "idle");
        Assert.Equal((0.4, 0.0), (Math.Round(idle.Leaks, 12), idle.Causes));
        Assert.Contains("hardly reaches", idle.Against[0]);
    }

    [Theory]
    [InlineData(1.2, 0.5, 0.01, "leak-probability", "/suspects/0/prior")]
    [InlineData(0.3, -0.1, 0.01, "leak-probability", "/suspects/0/reaches")]
    [InlineData(0.3, double.NaN, 0.01, "leak-probability", "/suspects/0/reaches")]
    [InlineData(0.3, 0.5, 2, "leak-probability", "/falseAlarm")]
    public void Figures_that_are_no_probabilities_are_refused(double prior, double reach, double falseAlarm, string code, string field)
    {
        Problem? problem = LeakRanking.Of(new LeakQuestion(["spot"], [new("a", prior, [reach])], [], falseAlarm)).Problem;
        Assert.Equal((code, field), (problem?.Code, problem?.Pointer));
    }

    [Fact]
    public void Too_many_wet_results_are_refused_with_what_to_do()
    {
        LeakEvidence[] wet = [.. Enumerable.Range(0, LeakQuestion.MostWet + 1).Select(i => new LeakEvidence($"rain {i}", 0, true))];
        Assert.Contains("one mark at a time", LeakRanking.Of(new LeakQuestion(["spot"], [new("a", 0.3, [0.5])], wet)).Problem!.Message);
    }

    [Fact] // By definition: two equal halves are 1 bit (Shannon 1948)
    public void A_test_that_splits_evenly_tells_one_bit()
    {
        var question = new LeakQuestion(["stain"], [new("a", 0.5, [1]), new("b", 0.5, [1])], [], 0);
        TestPlan plan = NextWaterTest
            .Of(question, [new("b and a", 0, 10, [1, 1]), new("a", 0, 10, [1, 0]), new("neither", 0, 10, [0, 0])])
            .Value!.Result;
        Assert.Equal("a", plan.Tests[0].Name);
        Assert.Equal(1, plan.Tests[0].Bits, 9);
        Assert.Equal(0.1, plan.Tests[0].BitsPerMinute, 9);
        // Wet in three of four sets: h(0.75) = 0.8113 bits.
        Assert.Equal(0.8113, plan.Tests[1].Bits, 4);
        Assert.Equal(0, plan.Tests[2].Bits);
    }

    [Fact] // Worked by hand: the window made no mark, and leaks with its prior 0.5 all the same: 1 - 0.99 (1 - 0.5 * 0.9 * 0.9)
    public void A_suspect_that_made_no_mark_may_still_wet_another_spot()
    {
        var question = new LeakQuestion(
            ["lamp", "bench"],
            [new("roof seam", 0.3, [0.9, 0]), new("window", 0.5, [0, 0.9])],
            [new("rain", 0, true, [0.9, 0.9])]
        );
        RankedTest window = NextWaterTest.Of(question, [new("spray window, watch bench", 1, 10, [0, 0.9])]).Value!.Result.Tests[0];
        Assert.Equal(0.41095, window.WetChance, 9);
        Assert.Equal(0.7229, window.Bits, 4);
    }

    [Fact] // Checked against every set of leaks and ways, one by one: chance of wet, and what the result tells of who leaks and has a way there
    public void Chance_and_information_of_a_test_are_those_of_adding_up_every_set_of_leaks_and_ways() =>
        Gen.Select(Questions, Gen.Int[0, 2], Gen.OneOf(Gen.Const(0.0), Chance).Array[4])
            .Holds(
                (question, at, shows) =>
                {
                    int spot = at % question.Spots.Count;
                    double[] shown = shows[..question.Suspects.Count];
                    RankedTest test = NextWaterTest.Of(question, [new("test", spot, 10, shown)]).Value!.Result.Tests[0];
                    var dry = new Dictionary<double, double>();
                    EachSet(question, (weight, leaks, way) =>
                    {
                        double chance = Enumerable
                            .Range(0, shown.Length)
                            .Where(i => leaks(i) && way(i, spot))
                            .Aggregate(1 - question.FalseAlarm, (d, i) => d * (1 - shown[i]));
                        dry[Math.Round(chance, 12)] = dry.GetValueOrDefault(Math.Round(chance, 12)) + weight;
                    });
                    double all = dry.Values.Sum(),
                        wet = dry.Sum(x => x.Value * (1 - x.Key)) / all;
                    static double H(double p) => p is <= 0 or >= 1 ? 0 : -(p * Math.Log2(p)) - ((1 - p) * Math.Log2(1 - p));
                    Assert.Equal(wet, test.WetChance, 1e-8);
                    Assert.Equal(H(wet) - (dry.Sum(x => x.Value * H(x.Key)) / all), test.Bits, 1e-8);
                },
                cases: 60
            );

    // Many suspects of different strength: more chances than are told apart, so the mean is exact and the information near; against a thousand times
    // as many steps by sampling
    [Fact]
    public void With_many_suspects_the_chance_of_wet_stays_exact()
    {
        double[] shown = [.. Enumerable.Range(0, 40).Select(i => 0.02 + (i * 0.011))];
        var question = new LeakQuestion(
            ["stain"],
            [.. shown.Select((_, i) => new LeakSuspect($"s{i}", 0.05 + (i * 0.004), [0.5 + (i * 0.01)]))],
            [],
            0
        );
        double dry = shown.Select((s, i) => 1 - (question.Suspects[i].Prior * question.Suspects[i].Reaches[0] * s)).Aggregate((a, b) => a * b);
        Assert.Equal(1 - dry, NextWaterTest.Of(question, [new("all", 0, 10, shown)]).Value!.Result.Tests[0].WetChance, 1e-9);
    }

    [Fact]
    public void Information_is_never_negative_nor_more_than_a_bit_and_what_may_not_be_tested_yet_comes_last() =>
        Questions.Holds(
            question =>
            {
                int n = question.Suspects.Count;
                WaterTestCandidate[] tests =
                [
                    .. Enumerable
                        .Range(0, n)
                        .Select(i => new WaterTestCandidate(
                            $"test {i}",
                            0,
                            5 + i,
                            [.. Enumerable.Range(0, n).Select(j => j == i ? 0.9 : 0.1)],
                            i == 0 ? "not yet" : null
                        )),
                ];
                IReadOnlyList<RankedTest> ranked = NextWaterTest.Of(question, tests).Value!.Result.Tests;
                return ranked.All(t => t.Bits is >= 0 and <= 1 + 1e-9)
                    && ranked[^1].Number == 0
                    && ranked.Take(n - 1).Zip(ranked.Skip(1).Take(n - 2)).All(p => p.First.BitsPerMinute >= p.Second.BitsPerMinute - 1e-8);
            },
            cases: 100
        );

    private static LeakRanking Ranked(LeakQuestion question) => LeakRanking.Of(question).Value!.Result;

    private static bool Near(double a, double b) => Math.Abs(a - b) < 1e-9;

    private static bool Near(double[] a, double[] b) => a.Zip(b).All(p => Near(p.First, p.Second));

    /// <summary>Goes through every set of leaks and every set of ways with its weight under the evidence.</summary>
    private static void EachSet(LeakQuestion q, Action<double, Func<int, bool>, Func<int, int, bool>> each)
    {
        (int n, int k) = (q.Suspects.Count, q.Spots.Count);
        for (int set = 0; set < 1 << n; set++)
        {
            for (int ways = 0; ways < 1 << (n * k); ways++)
            {
                (int s1, int w1) = (set, ways);
                bool Leaking(int i) => (s1 >> i & 1) == 1;
                bool Way(int i, int s) => (w1 >> ((i * k) + s) & 1) == 1;
                double weight = 1;
                for (int i = 0; i < n; i++)
                {
                    weight *= Leaking(i) ? q.Suspects[i].Prior : 1 - q.Suspects[i].Prior;
                    for (int s = 0; s < k; s++)
                        weight *= Way(i, s) ? q.Suspects[i].Reaches[s] : 1 - q.Suspects[i].Reaches[s];
                }
                foreach (LeakEvidence e in q.Evidence)
                {
                    double dry = 1 - q.FalseAlarm;
                    for (int i = 0; i < n; i++)
                        dry *= Leaking(i) && Way(i, e.Spot) ? 1 - e.Shows![i] : 1;
                    weight *= e.Wet ? 1 - dry : dry;
                }
                each(weight, Leaking, Way);
            }
        }
    }

    private static (double[] Leaks, double[] Causes, double None, double One) OneByOne(LeakQuestion q)
    {
        (int n, int k) = (q.Suspects.Count, q.Spots.Count);
        (double all, double none, double one) = (0, 0, 0);
        (double[] leaks, double[] causes) = (new double[n], new double[n]);
        bool[] wetSpot = [.. Enumerable.Range(0, k).Select(s => q.Evidence.Any(e => e.Wet && e.Spot == s))];
        EachSet(q, (weight, leaking, way) =>
        {
            bool[] made = [.. Enumerable.Range(0, n).Select(i => leaking(i) && Enumerable.Range(0, k).Any(s => wetSpot[s] && way(i, s)))];
            all += weight;
            if (!made.Any(x => x))
                none += weight;
            if (made.Count(x => x) == 1)
                one += weight;
            for (int i = 0; i < n; i++)
            {
                if (leaking(i))
                    leaks[i] += weight;
                if (made[i])
                    causes[i] += weight;
            }
        });
        return ([.. leaks.Select(x => x / all)], [.. causes.Select(x => x / all)], none / all, one / all);
    }
}
