using Wendrak.Store;
using Wendrak.Store.Machines;

namespace Wendrak.Web;

/// <summary>Looks after the data while the server is up: a look through the file, a backup each day, a short journal.</summary>
public sealed partial class DataKeeper(
    Database database,
    MachineStore machines,
    MachineCards cards,
    TimeProvider clock,
    IHostApplicationLifetime lifetime,
    ILogger<DataKeeper> log
) : BackgroundService
{
    private static readonly TimeSpan AfterStart = TimeSpan.FromSeconds(3);
    private static readonly TimeSpan Pause = TimeSpan.FromSeconds(5);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        try
        {
            // Never before the server answers.
            TaskCompletionSource started = new(TaskCreationOptions.RunContinuationsAsynchronously);
            using (lifetime.ApplicationStarted.Register(started.SetResult))
                await started.Task.WaitAsync(stoppingToken);
            await TryAsync(LookAheadAsync);
            await Task.Delay(AfterStart, clock, stoppingToken);
            await TryAsync(() => Task.Run(database.LookThrough, stoppingToken));
            while (true)
            {
                if (!database.Damage.IsAny)
                    await TryAsync(() => Task.Run(LookAfter, stoppingToken));
                await Task.Delay(Pause, clock, stoppingToken);
            }
        }
        catch (OperationCanceledException) when (stoppingToken.IsCancellationRequested) { }
    }

    /// <summary>A large yard is worked out once before somebody asks for it.</summary>
    private async Task LookAheadAsync() => cards.Make(await machines.ListAsync());

    /// <summary>Whatever is wrong with the data, the server goes on: it is what tells of it.</summary>
    private async Task TryAsync(Func<Task> look)
    {
        try
        {
            await look();
        }
        catch (Exception e) when (e is not OperationCanceledException)
        {
            CannotLookAfter(log, e);
        }
    }

    [LoggerMessage(LogLevel.Error, "The data can't be looked after just now.")]
    private static partial void CannotLookAfter(ILogger logger, Exception e);

    private void LookAfter()
    {
        if (!database.IsInPlace)
            return;
        DateTimeOffset now = clock.GetUtcNow();
        if (Backups.List(database.Folder) is not [var newest, ..] || newest.At.UtcDateTime.Date < now.UtcDateTime.Date)
            Backups.Make(database, now);
        database.FoldJournalIn();
    }
}
