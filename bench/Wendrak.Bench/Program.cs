using BenchmarkDotNet.Running;
using Wendrak.Bench;

BenchmarkSwitcher.FromTypes([typeof(RatioSearchBench), typeof(LoopClosingBench)]).Run(args);
