namespace Wendrak.Web;

/// <summary>
/// Gives memory back while nobody asks for anything: the collector by itself looks through old objects only when new ones need
/// the room, which on a person's own machine is hours later.
/// </summary>
public sealed class MemoryKeeper(TimeProvider clock) : BackgroundService
{
    private static readonly TimeSpan Pause = TimeSpan.FromSeconds(1);

    /// <summary>Less than one call allocates.</summary>
    private const long QuietBytes = 32 * 1024;

    /// <summary>What must have been allocated since, for a look to be worth its 20 ms.</summary>
    private const long WorthBytes = 1024 * 1024;

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        long kept = 0;
        long before = 0;
        while (!stoppingToken.IsCancellationRequested)
        {
            await Task.Delay(Pause, clock, stoppingToken).ConfigureAwait(ConfigureAwaitOptions.SuppressThrowing);
            long now = GC.GetTotalAllocatedBytes();
            if (now - before < QuietBytes && now - kept > WorthBytes)
            {
                GC.Collect(GC.MaxGeneration, GCCollectionMode.Aggressive, blocking: true, compacting: true);
                kept = GC.GetTotalAllocatedBytes();
            }
            before = now;
        }
    }
}
