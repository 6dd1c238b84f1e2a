using Abri.Bench;
using Abri.Core.Tests.Water.Leaks;
using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Running;

// How often a hidden leak is found, on vehicles and leaks made up here; a figure for docs/performance.md.
if (args is ["leaks"])
{
    IReadOnlyList<LeakSimulation.Hunt> hunts = LeakSimulation.Run(200, 11);
    Console.WriteLine(
        $"{hunts.Count} leaks on the shells that ship: cause found {hunts.Count(h => h.Found)}, first guess right "
            + $"{hunts.Count(h => h.FirstGuess)}; per leak {hunts.Average(h => h.Suspects):0.0} possible suspects, "
            + $"{hunts.Average(h => h.Tests):0.0} tests, {hunts.Average(h => h.Minutes):0} minutes."
    );
    return;
}

// Short runs: a table for docs/performance.md, not a study of nanoseconds.
BenchmarkSwitcher
    .FromAssembly(typeof(PlacingBench).Assembly)
    .Run(args.Length > 0 ? args : ["--filter", "*"], DefaultConfig.Instance.AddJob(Job.ShortRun));
