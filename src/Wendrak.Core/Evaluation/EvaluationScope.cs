using Wendrak.Core.Gearing;

namespace Wendrak.Core.Evaluation;

/// <summary>What of a machine is looked at. Nothing of it is stored by asking.</summary>
/// <param name="LoopKeys">Loops being chosen, in running order: one, or two in series; none of a direct drive.</param>
/// <param name="SetupId">The stored setup in view; null for as fitted.</param>
/// <param name="Picks">Wheels picked and not stored, on what is fitted; they go before a setup.</param>
/// <param name="AimId">What is aimed for; null for nothing.</param>
/// <param name="Band">A band of the final ratio, dragged; it goes before the aim.</param>
public sealed record EvaluationScope(
    IReadOnlyList<string> LoopKeys,
    long? SetupId = null,
    IReadOnlyList<PickedWheels>? Picks = null,
    long? AimId = null,
    RatioWindow? Band = null
);

/// <summary>Wheels of one loop as they were picked.</summary>
/// <param name="Length">Links, belt teeth, or mm of a belt without teeth; null keeps the length that is fitted.</param>
/// <param name="LoopKey">Key of the loop it is about.</param>
/// <param name="FrontSize">Driving wheel: teeth, or datum diameter in mm of a friction belt.</param>
/// <param name="RearSize">Driven wheel, in the same measure.</param>
public sealed record PickedWheels(string LoopKey, double FrontSize, double RearSize, double? Length = null)
{
    /// <summary>These wheels on what is fitted.</summary>
    internal LoopChoice On(Loop loop, LoopChoice fitted)
    {
        LoopChoice wheels = fitted with { FrontSize = FrontSize, RearSize = RearSize };
        return Length is not double length ? wheels
            : loop.IsToothed ? wheels with { Links = (int)Math.Clamp(Math.Round(length), 0, int.MaxValue) }
            : wheels with { LengthMm = length };
    }
}

/// <summary>From one final ratio to another.</summary>
/// <param name="Low">Least ratio.</param>
/// <param name="High">Largest.</param>
public sealed record RatioWindow(double Low, double High)
{
    internal AimTarget AsAim() => new FinalRatio(Low, High);
}
