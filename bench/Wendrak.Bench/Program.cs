using BenchmarkDotNet.Running;
using Wendrak.Bench;

BenchmarkSwitcher
    .FromTypes([
        typeof(RatioSearchBench),
        typeof(LoopClosingBench),
        typeof(LoopFitBench),
        typeof(SpacerBench),
        typeof(LoadsBench),
    ])
    .Run(args);
