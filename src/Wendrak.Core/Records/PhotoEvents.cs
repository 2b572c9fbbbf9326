using Wendrak.Core.Photos;

namespace Wendrak.Core.Records;

/// <summary>What a photo shows, where the right one can stand beside it.</summary>
public enum PhotoShows
{
    /// <summary>Anything else.</summary>
    Anything,

    /// <summary>How far a run gives.</summary>
    FreePlay,

    /// <summary>Between belt and flange.</summary>
    Gap,

    /// <summary>The run from wheel to wheel.</summary>
    Span,
}

/// <summary>A photo was put with the job, or with a reading.</summary>
/// <param name="Hash">Of the picture as it is stored: SHA-256, hexadecimal.</param>
/// <param name="WidthPx">Of the picture as it is stored, px.</param>
/// <param name="HeightPx">Of the same, px.</param>
/// <param name="TakenAt">As the camera said; null where it did not.</param>
/// <param name="Shows">What it shows.</param>
/// <param name="LoopKey">Of the loop it shows; null for none.</param>
/// <param name="Round">It goes with this round of that loop, 0 as found; null for none.</param>
/// <param name="About">In free words; null for none.</param>
/// <param name="Step">Key of the step of the plan it goes with; null for none.</param>
/// <param name="Finding">What was seen and is shown on it, as it was said; null for none.</param>
public sealed record PhotoTaken(
    string Hash,
    int WidthPx,
    int HeightPx,
    DateTimeOffset? TakenAt,
    PhotoShows Shows,
    string? LoopKey,
    int? Round,
    string? About,
    string? Step = null,
    string? Finding = null
) : JobEvent;

/// <summary>A line was drawn on a photo of the job.</summary>
/// <param name="Hash">Of the photo.</param>
/// <param name="Line">Where.</param>
/// <param name="LengthMm">As it is known, mm: it sets the scale for the others; null where it is to be measured.</param>
/// <param name="About">What it goes along; null for nothing said.</param>
public sealed record PhotoLineDrawn(string Hash, DrawnLine Line, double? LengthMm, string? About) : JobEvent;
