using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Markings;

/// <summary>How the teeth of a belt or of its pulley are formed.</summary>
public enum ToothForm
{
    /// <summary>Straight flanks, flat tops.</summary>
    Trapezoid,

    /// <summary>Round all over.</summary>
    Round,
}

/// <summary>Something without a marking, measured.</summary>
/// <param name="On">A chain or a toothed belt; of a wheel, what runs on it.</param>
/// <param name="OverTenMm">Over ten pitches, from the first to the eleventh in the same place, mm.</param>
/// <param name="InnerWidthMm">Of a chain, between its inner plates, mm; null where nobody measured it.</param>
/// <param name="RollerMm">Of a chain, over a roller, mm; null where nobody measured it.</param>
/// <param name="Form">Of a belt’s teeth; null where nobody can tell.</param>
public sealed record MeasuredMarking(
    MarkedThing On,
    double OverTenMm,
    double? InnerWidthMm = null,
    double? RollerMm = null,
    ToothForm? Form = null
)
{
    // A worn chain is up to a few per cent longer, never shorter; a belt keeps its pitch. Common practice.
    private const double ShorterPart = 0.006;
    private const double LongerPart = 0.03;
    private const double BeltPart = 0.01;

    // With a caliper in a workshop: judgement.
    private const double WidthMm = 0.45;
    private const double RollerOffMm = 0.3;

    /// <summary>What it can be, the nearest first.</summary>
    /// <returns>Empty where nothing of the tables is near.</returns>
    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public IReadOnlyList<MarkingReading> Find()
    {
        new Guard()
            .That(
                On is MarkedThing.Chain or MarkedThing.Belt,
                nameof(On),
                "unsuited",
                "Say whether a chain or a toothed belt runs there: those have a pitch."
            )
            .Between(nameof(OverTenMm), OverTenMm, 15, 800, "mm")
            .BetweenIfGiven(nameof(InnerWidthMm), InnerWidthMm, 1, 60, "mm")
            .BetweenIfGiven(nameof(RollerMm), RollerMm, 2, 60, "mm")
            .That(
                On == MarkedThing.Chain || (InnerWidthMm is null && RollerMm is null),
                InnerWidthMm is null ? nameof(RollerMm) : nameof(InnerWidthMm),
                "unwanted",
                "Leave it out: a belt has none."
            )
            .That(On == MarkedThing.Belt || Form is null, nameof(Form), "unwanted", "Leave it out: a chain has none.")
            .ThrowIfAny();
        double pitch = OverTenMm / 10;
        return On == MarkedThing.Chain ? OfChains(pitch) : OfBelts(pitch);
    }

    private IReadOnlyList<MarkingReading> OfChains(double pitch) =>
        [
            .. Chains
                .All.Where(c => pitch >= c.PitchMm * (1 - ShorterPart) && pitch <= c.PitchMm * (1 + LongerPart))
                .Where(c => InnerWidthMm is not double w || Math.Abs(w - c.InnerWidthMm) <= WidthMm)
                .Where(c => RollerMm is not double r || Math.Abs(r - c.RollerDiameterMm) <= RollerOffMm)
                .OrderBy(c =>
                    Math.Abs(pitch - c.PitchMm) / c.PitchMm
                    + Math.Abs((InnerWidthMm ?? c.InnerWidthMm) - c.InnerWidthMm) / c.InnerWidthMm
                    + Math.Abs((RollerMm ?? c.RollerDiameterMm) - c.RollerDiameterMm) / c.RollerDiameterMm
                )
                .Select(c => Grown(ChainMarking.Read(c.ChainId.ToUpperInvariant())!, pitch / c.PitchMm - 1)),
        ];

    /// <summary>How much longer than new it would be, if it is that.</summary>
    private static MarkingReading Grown(MarkingReading chain, double part) =>
        chain with
        {
            Figures = [.. chain.Figures, new("longer than new, as measured", part * 100, "%")],
        };

    private IReadOnlyList<MarkingReading> OfBelts(double pitch) =>
        [
            .. SynchronousProfiles
                .All.Where(p => Math.Abs(pitch - p.PitchMm) <= p.PitchMm * BeltPart)
                .Where(p => Form is not { } form || FormOf(p) == form)
                .OrderBy(p => Math.Abs(pitch - p.PitchMm) / p.PitchMm)
                .Select(p => new MarkingReading(
                    MarkedThing.Belt,
                    $"Toothed belt: {p.Description}",
                    p.ProfileId,
                    p.ProfileId,
                    [
                        new("pitch", p.PitchMm, "mm"),
                        new("off that pitch, as measured", (pitch / p.PitchMm - 1) * 100, "%"),
                    ],
                    null,
                    null,
                    p.Source
                )),
        ];

    /// <summary>By its description in the table.</summary>
    private static ToothForm FormOf(SynchronousProfile profile) =>
        profile.Description.StartsWith("trapezoidal", StringComparison.Ordinal) ? ToothForm.Trapezoid : ToothForm.Round;
}
