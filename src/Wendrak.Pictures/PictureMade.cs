namespace Wendrak.Pictures;

/// <summary>Why a file was not taken as a picture.</summary>
public enum PictureFault
{
    /// <summary>Its bytes are none of a JPEG, PNG or WebP picture, whatever its name says.</summary>
    NoPicture,

    /// <summary>It begins as one and ends too early, or is spoilt.</summary>
    NotWhole,

    /// <summary>More pixels than are taken.</summary>
    TooLarge,
}

/// <summary>What came of a picture.</summary>
/// <param name="Fault">Null where it was written.</param>
/// <param name="WidthPx">As it was written, upright.</param>
/// <param name="HeightPx">As it was written, upright.</param>
/// <param name="TakenAt">As the camera said, ISO 8601, with its zone where it told one; null where it did not.</param>
public sealed record PictureMade(PictureFault? Fault, int WidthPx = 0, int HeightPx = 0, string? TakenAt = null);
