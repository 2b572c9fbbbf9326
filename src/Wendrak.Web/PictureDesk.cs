using System.Diagnostics;
using System.Globalization;
using System.Text.Json;
using Wendrak.Core.Quantities;
using Wendrak.Pictures;
using Wendrak.Store;

namespace Wendrak.Web;

/// <summary>
/// Opens pictures, one after the other, each in a process of its own: sixty megapixels take more memory than the program may,
/// and a file made to spoil whoever opens it spoils nothing that is stored.
/// </summary>
public sealed partial class PictureDesk(TimeProvider clock, ILogger<PictureDesk> log) : IDisposable
{
    private static readonly TimeSpan Longest = TimeSpan.FromMinutes(1);
    private readonly SemaphoreSlim _one = new(1);

    public void Dispose() => _one.Dispose();

    /// <param name="source">As it was sent.</param>
    /// <param name="kept">Where the picture is written, anew and upright.</param>
    /// <param name="small">Where a smaller one is written.</param>
    /// <exception cref="InvalidInputException">It is no picture that is taken.</exception>
    public async Task<PictureFile> MakeAsync(string source, string kept, string small, CancellationToken ct)
    {
        await _one.WaitAsync(ct);
        PictureMade? made;
        try
        {
            made = await RunAsync([source, kept, small], ct);
        }
        finally
        {
            _one.Release();
        }
        return made?.Fault switch
        {
            null when made is not null => new(kept, small, made.WidthPx, made.HeightPx, TakenAt(made.TakenAt)),
            PictureFault.NoPicture => throw Refused("no_picture", "Give a picture: a JPEG, PNG or WebP file."),
            PictureFault.TooLarge => throw Refused(
                "too_large",
                $"Give a picture of at most {PictureMaking.MostPixels / 1_000_000} megapixels.",
                PictureMaking.MostPixels
            ),
            PictureFault.NotWhole => throw Refused(
                "not_whole",
                "This picture is not whole: perhaps it was cut off on its way."
            ),
            _ => throw Refused("not_opened", "This picture can't be opened."),
        };
    }

    /// <returns>Null where it ended without an answer.</returns>
    private async Task<PictureMade?> RunAsync(string[] arguments, CancellationToken ct)
    {
        ProcessStartInfo info = new("dotnet") { RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (string argument in (string[])[Program, .. arguments])
            info.ArgumentList.Add(argument);
        using CancellationTokenSource ends = CancellationTokenSource.CreateLinkedTokenSource(ct);
        ends.CancelAfter(Longest);
        using Process process = Process.Start(info)!;
        try
        {
            Task<string> trouble = process.StandardError.ReadToEndAsync(ends.Token);
            string answer = await process.StandardOutput.ReadToEndAsync(ends.Token);
            await process.WaitForExitAsync(ends.Token);
            if (process.ExitCode == 0)
                return JsonSerializer.Deserialize<PictureMade>(answer);
            NotOpened(log, process.ExitCode, await trouble);
            return null;
        }
        catch (OperationCanceledException) when (!ct.IsCancellationRequested)
        {
            return null;
        }
        finally
        {
            if (!process.HasExited)
                process.Kill();
        }
    }

    private static string Program { get; } = Path.Combine(AppContext.BaseDirectory, "Wendrak.Pictures.dll");

    /// <summary>Where the camera told no zone it was this one.</summary>
    private DateTimeOffset? TakenAt(string? said)
    {
        if (!DateTime.TryParse(said, CultureInfo.InvariantCulture, DateTimeStyles.RoundtripKind, out DateTime taken))
            return null;
        return taken.Kind == DateTimeKind.Unspecified
            ? new(taken, clock.LocalTimeZone.GetUtcOffset(taken))
            : DateTimeOffset.Parse(said, CultureInfo.InvariantCulture);
    }

    private static InvalidInputException Refused(string code, string message, double? limit = null) =>
        new([new("picture", code, message, limit)]);

    [LoggerMessage(LogLevel.Error, "A picture was not opened: code {Code}. {Trouble}")]
    private static partial void NotOpened(ILogger logger, int code, string trouble);
}
