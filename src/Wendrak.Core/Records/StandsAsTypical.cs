using Wendrak.Core.Gearing;

namespace Wendrak.Core.Records;

/// <summary>Values of a machine that are those of a typical one of its kind, and of which nobody said that they are so.</summary>
/// <remarks>
/// A machine begins with typical values. What was typed since differs from them, or is named in <see cref="Machine.Said"/>: nothing
/// else tells a guess from what somebody knows.
/// </remarks>
internal static class StandsAsTypical
{
    /// <param name="machine">As it is stored.</param>
    /// <param name="fitted">Wheels that are on.</param>
    public static IReadOnlyList<GuessKind> Of(Machine machine, IReadOnlyList<LoopChoice> fitted)
    {
        MachineDraft typical = StartingMachines.For(machine.Kind);
        Drive usual = typical.Machine.Drives[0];
        if (machine.Drives is not [{ } drive, ..])
            return [];
        LoopChoice wheels = typical.Fitted[0];
        LoopChoice? on = fitted.FirstOrDefault(c => c.LoopKey == wheels.LoopKey);
        bool IsLoopUsual() =>
            drive.Stages.OfType<Loop>().FirstOrDefault(l => l.Key == wheels.LoopKey)?.Standard
            == usual.Stages.OfType<Loop>().First().Standard;
        Dictionary<GuessKind, bool> stands = new()
        {
            [GuessKind.Tyre] = drive.Outputs is [{ RoadWheel: { } wheel }, ..] && wheel == usual.Outputs[0].RoadWheel,
            [GuessKind.Gearbox] = Gears(usual) is { } gears && Gears(drive)?.SequenceEqual(gears) == true,
            [GuessKind.Reductions] = Fixed(usual) is { Length: > 0 } pairs && Fixed(drive).SequenceEqual(pairs),
            [GuessKind.Speeds] = drive.Input == usual.Input,
            [GuessKind.Front] = on?.FrontSize == wheels.FrontSize && IsLoopUsual(),
            [GuessKind.Rear] = on?.RearSize == wheels.RearSize && IsLoopUsual(),
            [GuessKind.Length] = (on?.Links, on?.LengthMm) == (wheels.Links, wheels.LengthMm) && IsLoopUsual(),
        };
        return [.. stands.Where(s => s.Value && machine.Said?.Contains(s.Key) != true).Select(s => s.Key)];
    }

    /// <summary>Of the loop that a machine of the kind begins with.</summary>
    internal static string LoopKeyOf(Vocabulary.MachineKind kind) => StartingMachines.For(kind).Fitted[0].LoopKey;

    private static IReadOnlyList<double>? Gears(Drive drive) =>
        drive.Stages.Select(GearsOf).FirstOrDefault(g => g is not null);

    internal static IReadOnlyList<double>? GearsOf(Stage stage) =>
        stage switch
        {
            Gearbox gearbox => gearbox.Set.Reductions,
            HubGear hub => hub.SpeedFactors,
            _ => null,
        };

    internal static Stage[] Fixed(Drive drive) => [.. drive.Stages.Where(s => s is FixedPair or PlanetaryStage)];
}
