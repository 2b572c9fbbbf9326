using Wendrak.Core.Quantities;

namespace Wendrak.Core.Loads;

/// <summary>How many V-belts a power asks for, by what their maker rates one of them at.</summary>
/// <param name="DesignPowerKw">Power with the service factor in it.</param>
/// <param name="WrapFactor">K1, by the lesser wrap.</param>
/// <param name="PerBeltKw">What one belt passes on here.</param>
/// <param name="Needed">Whole belts side by side.</param>
/// <remarks>Source: Shigley ch. 17, Eq. 17-17 to 17-20 (their numbers from memory); check row h6.</remarks>
public sealed record VBeltRating(double DesignPowerKw, double WrapFactor, double PerBeltKw, double Needed)
{
    /// <returns>Null where nobody said what one belt is rated at, and for other belts.</returns>
    internal static VBeltRating? Compute(LoadedLoop loop, OperatingPoint point)
    {
        if (
            loop.Loop.DriveElement != Vocabulary.DriveElement.VBelt
            || loop.Strength.RatingPerBeltKw is not double rating
        )
            return null;
        Explained design = BeltFriction.DesignPower.With(point.PowerKw, loop.Shock);
        Explained wrap = BeltFriction.WrapFactor.With(loop.LeastWrapDeg);
        Given length = new(FrictionBeltChecks.LengthFactor(loop), IsUsual: loop.Strength.LengthFactor is null);
        Explained perBelt = BeltFriction.PowerPerBelt.With(rating, wrap.Value, length);
        Explained needed = BeltFriction.Needed.With(design.Value, perBelt.Value);
        return new(design.Value, wrap.Value, perBelt.Value, needed.Value) { Figures = [needed, design, perBelt, wrap] };
    }

    internal IReadOnlyList<Explained> Figures { get; private init; } = [];
}
