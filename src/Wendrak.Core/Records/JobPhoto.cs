using Wendrak.Core.Photos;

namespace Wendrak.Core.Records;

/// <summary>A line on a photo.</summary>
/// <param name="Entry">Number of the entry that drew it: undone by it.</param>
/// <param name="Line">Where.</param>
/// <param name="About">What it goes along; null for nothing said.</param>
/// <param name="KnownMm">Its length as it is known, mm; null where it is measured.</param>
/// <param name="Measured">By the line of known length that was drawn last; null where there is none, or it is one itself.</param>
public sealed record PhotoLine(long Entry, DrawnLine Line, string? About, double? KnownMm, PhotoLength? Measured);

/// <summary>A photo that goes with a job.</summary>
/// <param name="Entry">Number of the entry that brought it: it is removed by undoing that.</param>
/// <param name="Hash">Its picture is found by.</param>
/// <param name="WidthPx">Of the stored picture, px.</param>
/// <param name="HeightPx">Of the same, px.</param>
/// <param name="TakenAt">As the camera said; null where it did not.</param>
/// <param name="Shows">What it shows.</param>
/// <param name="LoopKey">Of the loop it shows; null for none.</param>
/// <param name="Round">It goes with this round of the loop, 0 as found; null for none.</param>
/// <param name="About">In free words; null for none.</param>
/// <param name="Step">Key of the step of the plan it goes with; null for none.</param>
/// <param name="Finding">What was seen and is shown on it, as it was said; null for none.</param>
/// <param name="Who">Put it there; null where nobody said.</param>
/// <param name="At">When it was put there.</param>
/// <param name="Lines">Drawn on it, in their order.</param>
public sealed record JobPhoto(
    long Entry,
    string Hash,
    int WidthPx,
    int HeightPx,
    DateTimeOffset? TakenAt,
    PhotoShows Shows,
    string? LoopKey,
    int? Round,
    string? About,
    string? Step,
    string? Finding,
    string? Who,
    DateTimeOffset At,
    IReadOnlyList<PhotoLine> Lines
)
{
    /// <summary>Photos of a job in the order in which they came, each once, with what was drawn on them.</summary>
    internal static IReadOnlyList<JobPhoto> Of(IReadOnlyCollection<JobEntry> entries) =>
        [
            .. entries
                .Where(e => e.Event is PhotoTaken)
                .DistinctBy(e => ((PhotoTaken)e.Event).Hash)
                .Select(e => From(e, (PhotoTaken)e.Event, entries)),
        ];

    private static JobPhoto From(JobEntry entry, PhotoTaken photo, IEnumerable<JobEntry> all) =>
        new(
            entry.Sequence,
            photo.Hash,
            photo.WidthPx,
            photo.HeightPx,
            photo.TakenAt,
            photo.Shows,
            photo.LoopKey,
            photo.Round,
            photo.About,
            photo.Step,
            photo.Finding,
            entry.Actor,
            entry.At,
            LinesOf([
                .. all.Where(e => e.Event is PhotoLineDrawn line && line.Hash == photo.Hash)
                    .Select(e => (e.Sequence, (PhotoLineDrawn)e.Event)),
            ])
        );

    private static IReadOnlyList<PhotoLine> LinesOf((long Entry, PhotoLineDrawn Drawn)[] lines)
    {
        PhotoLineDrawn? scale = lines.LastOrDefault(l => l.Drawn.LengthMm is not null).Drawn;
        return
        [
            .. lines.Select(l => new PhotoLine(
                l.Entry,
                l.Drawn.Line,
                l.Drawn.About,
                l.Drawn.LengthMm,
                scale?.LengthMm is double known && l.Drawn.LengthMm is null
                    ? PhotoScale.Measure(scale.Line, known, l.Drawn.Line)
                    : null
            )),
        ];
    }
}
