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
if (args is ["plans"])
{
    PlanFigures.Print();
    return;
}
if (args is ["wear"])
{
    WearFigures.Print();
    return;
}
if (args is ["choice"])
{
    ChoiceFigures.Print();
    return;
}
if (args is ["faults"])
{
    FaultFigures.Print();
    return;
}
if (args is ["log"])
{
    await LogFigures.PrintAsync();
    return;
}
if (args is ["fuzz"])
{
    await FuzzFigures.PrintAsync();
    return;
}
if (args is ["store"])
{
    await StoreFigures.PrintAsync();
    return;
}
if (args is ["kills"])
{
    await KillFigures.PrintAsync();
    return;
}
if (args is ["orders"])
{
    await KillFigures.PrintOrdersAsync();
    return;
}
if (args is ["evaluation", .. var words])
{
    await EvaluationFigures.PrintAsync(string.Join(' ', words));
    return;
}
if (args is [EvaluationFigures.EchoServer, "--port", var port])
{
    await EvaluationFigures.EchoAsync(int.Parse(port, System.Globalization.CultureInfo.InvariantCulture));
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
