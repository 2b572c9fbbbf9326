using BenchmarkDotNet.Running;
using Wendrak.Bench;

if (args is ["advisor"])
{
    AdvisorFigures.Print();
    return;
}
if (args is ["closing"])
{
    ClosingFigures.Print();
    return;
}
BenchmarkSwitcher
    .FromTypes([
        typeof(RatioSearchBench),
        typeof(LoopClosingBench),
        typeof(LoopFitBench),
        typeof(SpacerBench),
        typeof(LoadsBench),
        typeof(SetBench),
    ])
    .Run(args);
