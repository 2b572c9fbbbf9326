using BenchmarkDotNet.Running;
using Wendrak.Bench;

BenchmarkRunner.Run<RatioSearchBench>(null, args);
