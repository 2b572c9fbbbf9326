using System.Globalization;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>What is still to be measured of a machine.</summary>
public sealed record GuessesQuestion;

/// <summary>Whether something stands in for what nobody said.</summary>
public enum GuessState
{
    /// <summary>Nothing: no value of it would be safe.</summary>
    NotSaid,

    /// <summary>The value of a typical machine.</summary>
    Assumed,
}

/// <summary>What a guess does to a station.</summary>
/// <param name="Station">Which.</param>
/// <param name="Percent">How far its figure lies off at most when the guess is off as such guesses are, %; null where it has none without it.</param>
/// <param name="IsOfVerdict">It has its figures without it, and no verdict that can be relied on.</param>
public sealed record GuessBearing(Station Station, double? Percent, bool IsOfVerdict = false);

/// <summary>Something that nobody measured or typed.</summary>
/// <param name="Text">What stands in for it as it is written: a marking, ratios; null for a number, and for nothing.</param>
/// <param name="Value">The number that stands in for it; null where it is written, and for nothing.</param>
/// <param name="Unit">Of the number; empty for a bare one.</param>
/// <param name="Bears">Stations that rest on it, the one it moves most first.</param>
public sealed record MachineGuess(
    GuessKind Kind,
    GuessState State,
    string? Text,
    double? Value,
    string Unit,
    IReadOnlyList<GuessBearing> Bears
);

/// <summary>What of a machine is guessed, and what hangs on it.</summary>
internal static class GuessList
{
    private static readonly GuessKind[] OfLoads =
    [
        GuessKind.Tyre,
        GuessKind.Gearbox,
        GuessKind.Reductions,
        GuessKind.Speeds,
        GuessKind.Front,
        GuessKind.Rear,
        GuessKind.BeltWidth,
        GuessKind.Pull,
        GuessKind.Mass,
    ];

    /// <summary>Whether a station rests on what nobody said; what leaves it without a figure leaves it on nothing.</summary>
    public static bool Bears(MachineInView view, Station station) =>
        RestedOn(view).Any(kind => StationsOf(kind, view).Contains(station));

    /// <summary>The same of every station that rests on one.</summary>
    public static IReadOnlyList<StationGuesses> RestsOn(MachineInView view) =>
        [
            .. RestedOn(view)
                .SelectMany(kind => StationsOf(kind, view).Select(station => (station, kind)))
                .GroupBy(g => g.station, g => g.kind)
                .OrderBy(g => g.Key)
                .Select(g => new StationGuesses(g.Key, [.. g])),
        ];

    /// <summary>All of them, what leaves a station without a figure first, then what moves one most.</summary>
    public static IReadOnlyList<MachineGuess> Of(MachineInView view) =>
        [
            .. NotSaid(view)
                .Select(kind => Told(view, kind, GuessState.NotSaid))
                .Concat(Assumed(view).Select(kind => Told(view, kind, GuessState.Assumed)))
                .OrderByDescending(g => g.Bears.Count(b => b.Percent is null))
                .ThenByDescending(g => g.Bears.Max(b => b.Percent) ?? 0),
        ];

    /// <summary>What is assumed, and what nobody said though a verdict is spoken without it.</summary>
    private static IEnumerable<GuessKind> RestedOn(MachineInView view) =>
        Assumed(view).Concat(NotSaid(view).Where(IsOfVerdict));

    private static bool IsOfVerdict(GuessKind kind) => kind == GuessKind.Lifts;

    internal static IEnumerable<GuessKind> Assumed(MachineInView view)
    {
        // A typical machine has one drive and one loop: what stands beside them was put there.
        if (view.Machine.Drives[0].Key == view.Drive.Key)
            foreach (GuessKind kind in StandsAsTypical.Of(view.Stored.Machine, view.Stored.Fitted.Loops))
                if (
                    kind is not (GuessKind.Front or GuessKind.Rear or GuessKind.Length)
                    // Wheels and length are those of the loop it begins with: of another one in view they say nothing.
                    || (view.IsFitted && view.Loop?.Key == StandsAsTypical.LoopKeyOf(view.Machine.Kind))
                )
                    yield return kind;
        if (
            view.Loop is { } loop
            && view.LayoutOf(loop) is { } layout
            && IsBegun(view, loop, layout)
            && !IsSaid(view, GuessKind.Centre)
        )
            yield return GuessKind.Centre;
        if (
            IsVehicle(view)
            && LoadAnswers.IsPullKnown(view)
            && SourceOf(view)?.MassKg is null
            && !IsSaid(view, GuessKind.Mass)
        )
            yield return GuessKind.Mass;
    }

    private static IEnumerable<GuessKind> NotSaid(MachineInView view)
    {
        if (view.Drive.Outputs is [{ OnRoad: true, RoadWheel: null }, ..])
            yield return GuessKind.Tyre;
        if (view.Loop is not { } loop)
            yield break;
        if (view.LayoutOf(loop) is null)
            yield return GuessKind.Centre;
        if (!LoadAnswers.IsPullKnown(view))
            yield return GuessKind.Pull;
        if ((SourceOf(view) ?? new(view.Drive.Key)).IsLiftUnsaid(view.Machine.Kind))
            yield return GuessKind.Lifts;
        if (loop.DriveElement == DriveElement.ToothedBelt && StrengthOf(view, loop)?.WidthMm is null)
            yield return GuessKind.BeltWidth;
        if (
            loop.DriveElement == DriveElement.Chain
            && MachineKinds.Get(view.Machine.Kind).HasSuspension
            && view.SettingOf(loop) is { Suspension: null, MakerMethod: null }
            && view.LayoutOf(loop)?.SwingArm is null
        )
            yield return GuessKind.Suspension;
    }

    private static IEnumerable<Station> StationsOf(GuessKind kind, MachineInView view)
    {
        if (
            kind
            is GuessKind.Tyre
                or GuessKind.Gearbox
                or GuessKind.Reductions
                or GuessKind.Speeds
                or GuessKind.Front
                or GuessKind.Rear
        )
            yield return Station.Ratio;
        if (kind is GuessKind.Front or GuessKind.Rear or GuessKind.Length or GuessKind.Centre)
            yield return Station.Fit;
        if ((OfLoads.Contains(kind) || kind == GuessKind.Lifts) && view.Loop is not null)
            yield return Station.Loads;
        if (kind == GuessKind.Suspension)
            yield return Station.Set;
    }

    private static MachineGuess Told(MachineInView view, GuessKind kind, GuessState state)
    {
        (string? text, double? value, string unit) = StandsIn(view, kind, state);
        return new(
            kind,
            state,
            text,
            value,
            unit,
            [
                .. StationsOf(kind, view)
                    .Select(s => new GuessBearing(
                        s,
                        state == GuessState.NotSaid ? null : GuessReach.PercentOf(view, kind, s),
                        IsOfVerdict(kind)
                    ))
                    .Where(b => state == GuessState.NotSaid || b.Percent > 0)
                    .OrderByDescending(b => b.Percent ?? double.MaxValue),
            ]
        );
    }

    private static (string? Text, double? Value, string Unit) StandsIn(
        MachineInView view,
        GuessKind kind,
        GuessState state
    )
    {
        if (state == GuessState.NotSaid)
            return (null, null, UnitOf(kind));
        Drive drive = view.Drive;
        LoopChoice? on = view.Loop is { } loop
            ? view.Stored.Fitted.Loops.FirstOrDefault(c => c.LoopKey == loop.Key)
            : null;
        return kind switch
        {
            GuessKind.Tyre => (drive.Outputs[0].RoadWheel?.Size, drive.Outputs[0].RoadWheel?.RollOutMm, "mm"),
            GuessKind.Gearbox => (
                string.Join(
                    "  ",
                    drive.Stages.Select(StandsAsTypical.GearsOf).First(g => g is not null)!.Select(Plain)
                ),
                null,
                ""
            ),
            GuessKind.Reductions => (
                string.Join(
                    ", ",
                    StandsAsTypical
                        .Fixed(drive)
                        .Select(s =>
                            s is FixedPair pair ? $"{pair.DriverTeeth}/{pair.DrivenTeeth}"
                            : s is PlanetaryStage set ? $"{set.SunTeeth} in {set.RingTeeth}"
                            : ""
                        )
                ),
                null,
                ""
            ),
            GuessKind.Speeds => (
                $"{Plain(drive.Input.LowSpeedRpm)} to {Plain(drive.Input.LimitSpeedRpm)} rpm",
                null,
                ""
            ),
            GuessKind.Front => (null, on?.FrontSize, SizeUnit(view)),
            GuessKind.Rear => (null, on?.RearSize, SizeUnit(view)),
            GuessKind.Length => (
                null,
                on?.Links ?? on?.LengthMm,
                on?.Links is null ? "mm"
                : view.Loop?.DriveElement == DriveElement.Chain ? "links"
                : "teeth"
            ),
            GuessKind.Mass => (null, LoadDefaults.ClassOf(view.Machine.Kind)?.MassWithRiderKg, "kg"),
            _ => (null, null, UnitOf(kind)),
        };
    }

    private static string SizeUnit(MachineInView view) => view.Loop?.IsToothed == true ? "teeth" : "mm";

    private static string UnitOf(GuessKind kind) =>
        kind switch
        {
            GuessKind.Pull => "Nm",
            GuessKind.BeltWidth or GuessKind.Centre => "mm",
            _ => "",
        };

    private static string Plain(double value) => value.ToString("0.####", CultureInfo.InvariantCulture);

    /// <summary>Shafts that stand just where the program put them first were measured by nobody.</summary>
    private static bool IsBegun(MachineInView view, Loop loop, Loops.LoopLayout layout)
    {
        try
        {
            return layout
                == StartingLayout.For(
                    view.Drive,
                    view.Stored.Fitted.Loops.First(c => c.LoopKey == loop.Key),
                    view.Machine.Kind
                );
        }
        catch (InvalidInputException)
        {
            return false;
        }
    }

    private static bool IsSaid(MachineInView view, GuessKind kind) => view.Stored.Machine.Said?.Contains(kind) == true;

    private static bool IsVehicle(MachineInView view) => LoadDefaults.ClassOf(view.Machine.Kind) is not null;

    internal static LoadSource? SourceOf(MachineInView view) =>
        view.Machine.Loads?.Sources.FirstOrDefault(s => s.DriveKey == view.Drive.Key);

    internal static LoopStrength? StrengthOf(MachineInView view, Loop loop) =>
        view.Machine.Loads?.Strengths.FirstOrDefault(s => s.LoopKey == loop.Key);
}
