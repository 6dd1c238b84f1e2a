using Abri.Core.Water.Leaks;
using BenchmarkDotNet.Attributes;

namespace Abri.Bench;

/// <summary>Weighing leaks; bars: 200 suspects with 30 results in 20 ms, the next test among 100 in 100 ms.</summary>
[MemoryDiagnoser(false)]
public class LeakBench
{
    private LeakQuestion question = null!;
    private WaterTestCandidate[] tests = null!;

    /// <summary>Of 30 results over 12 spots six are wet: a long hunt.</summary>
    [GlobalSetup]
    public void Prepare()
    {
        var random = new Random(3);
        const int suspects = 200,
            spots = 12;
        LeakSuspect[] all =
        [
            .. Enumerable
                .Range(0, suspects)
                .Select(i => new LeakSuspect(
                    $"suspect {i}",
                    0.02 + (0.4 * random.NextDouble()),
                    [.. Enumerable.Range(0, spots).Select(_ => random.NextDouble() < 0.4 ? random.NextDouble() : 0.0)]
                )),
        ];
        LeakEvidence[] seen =
        [
            .. Enumerable
                .Range(0, 30)
                .Select(e => new LeakEvidence(
                    $"result {e}",
                    e % spots,
                    e < 6,
                    [.. Enumerable.Range(0, suspects).Select(_ => random.NextDouble() < 0.2 ? 0.9 : 0.0)]
                )),
        ];
        question = new LeakQuestion([.. Enumerable.Range(0, spots).Select(k => $"spot {k}")], all, seen);
        tests =
        [
            .. Enumerable
                .Range(0, 100)
                .Select(t => new WaterTestCandidate(
                    $"test {t}",
                    t % 6,
                    13,
                    [.. Enumerable.Range(0, suspects).Select(_ => random.NextDouble() < 0.05 ? 0.9 : 0.0)]
                )),
        ];
    }

    [Benchmark]
    public object? Ranking() => LeakRanking.Of(question).Value;

    [Benchmark]
    public object? NextTest() => NextWaterTest.Of(question, tests).Value;
}
