using Abri.Bench;
using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Running;

// Short runs: a table for docs/performance.md, not a study of nanoseconds.
BenchmarkSwitcher.FromAssembly(typeof(PlacingBench).Assembly)
    .Run(args.Length > 0 ? args : ["--filter", "*"], DefaultConfig.Instance.AddJob(Job.ShortRun));
