using Wendrak.Core.Photos;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

/// <summary>What may be said of a photo at a job.</summary>
public static class PhotoRules
{
    /// <summary>As many as a job of some days brings. Judgement: what comes beyond it is no record any more.</summary>
    public const int MostPhotos = 200;

    /// <summary>Lines on one photo. Judgement.</summary>
    public const int MostLines = 20;

    /// <summary>The widest stored picture, px.</summary>
    public const int WidestPx = 10_000;

    /// <summary>The longest length that is known of a line, mm: judgement, more than a row of machines.</summary>
    public const double LongestMm = 10_000;

    private const double ShortestMm = 0.1;
    private const int HashLetters = 64;

    internal static Guard Check(Guard guard, JobSheet sheet, JobPlan? plan, PhotoTaken photo) =>
        guard
            .That(IsHash(photo.Hash), nameof(photo.Hash), "unknown", "Give the hash of a stored picture.")
            .That(
                sheet.Photos.All(p => p.Hash != photo.Hash),
                nameof(photo.Hash),
                "stands",
                "This picture is with the job already."
            )
            .Count(nameof(photo.Hash), sheet.Photos.Count + 1, 1, MostPhotos, "photos")
            .Count(nameof(photo.WidthPx), photo.WidthPx, 1, WidestPx, "px")
            .Count(nameof(photo.HeightPx), photo.HeightPx, 1, WidestPx, "px")
            .OneOf(nameof(photo.Shows), photo.Shows)
            .That(
                photo.Round is null || photo.LoopKey is not null,
                nameof(photo.LoopKey),
                "missing",
                "Say of which loop this round is."
            )
            .That(
                photo.Round is null || sheet.Loops.Any(l => l.LoopKey == photo.LoopKey && photo.Round <= l.Rounds),
                nameof(photo.Round),
                "unknown",
                "Give a round that was read at this job."
            )
            .That(
                photo.Step is null || plan?.Steps.Any(s => s.Step.Key == photo.Step) == true,
                nameof(photo.Step),
                "unknown",
                "Give a step of the plan of this job."
            )
            .That(
                photo.Finding is null || sheet.Findings.Any(f => f.What == photo.Finding),
                nameof(photo.Finding),
                "unknown",
                "Give something that was seen at this job."
            )
            .Note(nameof(photo.About), photo.About);

    internal static Guard Check(Guard guard, JobSheet sheet, PhotoLineDrawn drawn)
    {
        JobPhoto? photo = sheet.Photos.FirstOrDefault(p => p.Hash == drawn.Hash);
        guard
            .That(photo is not null, nameof(drawn.Hash), "unknown", "Give a photo of this job.")
            .BetweenIfGiven(nameof(drawn.LengthMm), drawn.LengthMm, ShortestMm, LongestMm, "mm")
            .Note(nameof(drawn.About), drawn.About);
        if (photo is null)
            return guard;
        DrawnLine line = drawn.Line;
        return guard
            .Count(nameof(drawn.Line), photo.Lines.Count + 1, 1, MostLines, "lines")
            .Between("Line.X1", line.X1, 0, photo.WidthPx, "px")
            .Between("Line.X2", line.X2, 0, photo.WidthPx, "px")
            .Between("Line.Y1", line.Y1, 0, photo.HeightPx, "px")
            .Between("Line.Y2", line.Y2, 0, photo.HeightPx, "px")
            .AtLeast("Line", line.LengthPx, PhotoScale.ShortestPx, "px");
    }

    private static bool IsHash(string text) => text.Length == HashLetters && text.All(char.IsAsciiHexDigitLower);
}
