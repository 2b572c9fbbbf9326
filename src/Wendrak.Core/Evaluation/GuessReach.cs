using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;

namespace Wendrak.Core.Evaluation;

/// <summary>How far a guess moves a station’s figure: it is worked out again with the guess as far off as such guesses are.</summary>
internal static class GuessReach
{
    /// <summary>How far off a typical value is where nobody measured, as a part of it. Judgement.</summary>
    private static double SpreadOf(GuessKind kind) =>
        kind switch
        {
            GuessKind.Tyre => 0.03, // makers, wear and pressure of one marking: common practice
            GuessKind.Mass => 0.25,
            GuessKind.Gearbox or GuessKind.Reductions => 0.15,
            GuessKind.Speeds => 0.2,
            _ => 0,
        };

    /// <returns>%; null where the station has no such figure, or the guess moves none.</returns>
    public static double? PercentOf(MachineInView view, GuessKind kind, Station station)
    {
        Func<MachineInView, double?> figure = station switch
        {
            Station.Ratio => TopSpeed,
            Station.Loads => SmallestMargin,
            _ => _ => null,
        };
        if (Told(figure, view) is not double now || now == 0)
            return null;
        double[] off =
        [
            .. new[] { 1, -1 }
                .Select(way => Vary(view, kind, way))
                .Select(v => v is null ? null : Told(figure, v))
                .OfType<double>()
                .Select(f => 100 * Math.Abs(f / now - 1)),
        ];
        return off.Length == 0 ? null : off.Max();
    }

    /// <summary>Fastest that it comes to; where nothing rolls, how fast its output turns.</summary>
    private static double? TopSpeed(MachineInView view) =>
        view.Comparison.Setups[^1].Gears is [.., { } top] ? top.SpeedHighKmh ?? top.OutputHighRpm : null;

    private static double? SmallestMargin(MachineInView view) =>
        LoadAnswers.IsPullKnown(view) ? LoadChecks.SmallestMargin(LoadChecks.Check(view.Loaded))?.Margin : null;

    private static double? Told(Func<MachineInView, double?> figure, MachineInView view)
    {
        try
        {
            return figure(view);
        }
        catch (InvalidInputException)
        {
            return null;
        }
    }

    private static MachineInView? Vary(MachineInView view, GuessKind kind, int way)
    {
        double factor = 1 + way * SpreadOf(kind);
        StoredMachine stored = view.Stored;
        Machine machine = stored.Machine;
        MachineInView With(Machine changed, Setup? fitted = null)
        {
            Setup on = fitted ?? stored.Fitted;
            return new(
                stored with
                {
                    Machine = changed,
                    Fitted = on,
                    Setups = [.. stored.Setups.Select(s => s.Id == on.Id ? on : s)],
                },
                view.Scope,
                view.Workshop
            );
        }
        MachineInView WithDrive(Func<Drive, Drive> change) =>
            With(machine with { Drives = [change(machine.Drives[0]), .. machine.Drives.Skip(1)] });
        MachineInView WithWheels(Func<LoopChoice, LoopChoice> change) =>
            With(
                machine,
                stored.Fitted with
                {
                    Loops = [.. stored.Fitted.Loops.Select(c => c.LoopKey == view.Loop?.Key ? change(c) : c)],
                }
            );
        // A tooth more or less; of a pulley without teeth its next size, about.
        double Next(double size) => view.Loop?.IsToothed == true ? size + way : size * (1 + way * 0.05);
        return kind switch
        {
            GuessKind.Tyre => WithDrive(d =>
                d with
                {
                    Outputs =
                    [
                        .. d.Outputs.Select(
                            (o, i) =>
                                i == 0 && view.Comparison.Setups[0].CircumferenceMm is double round
                                    ? o with
                                    {
                                        RoadWheel = new(null, round * factor),
                                    }
                                    : o
                        ),
                    ],
                }
            ),
            GuessKind.Gearbox => WithDrive(d => d with { Stages = [.. d.Stages.Select(s => Geared(s, factor))] }),
            GuessKind.Reductions => WithDrive(d => d with { Stages = [.. d.Stages.Select(s => Reduced(s, factor))] }),
            GuessKind.Speeds => WithDrive(d =>
                d with
                {
                    Input = d.Input with { LimitSpeedRpm = d.Input.LimitSpeedRpm * factor },
                }
            ),
            GuessKind.Front => WithWheels(c => c with { FrontSize = Next(c.FrontSize) }),
            GuessKind.Rear => WithWheels(c => c with { RearSize = Next(c.RearSize) }),
            GuessKind.Mass
                when GuessList.SourceOf(view) is { } source
                    && LoadDefaults.ClassOf(machine.Kind) is { MassWithRiderKg: double mass } => With(
                machine with
                {
                    Loads = machine.Loads! with
                    {
                        Sources =
                        [
                            .. machine.Loads.Sources.Select(s => s == source ? s with { MassKg = mass * factor } : s),
                        ],
                    },
                }
            ),
            _ => null,
        };
    }

    private static Stage Geared(Stage stage, double factor) =>
        stage switch
        {
            Gearbox box => box with
            {
                Set = box.Set with { Reductions = [.. box.Set.Reductions.Select(r => r * factor)] },
            },
            HubGear hub => hub with { SpeedFactors = [.. hub.SpeedFactors.Select(f => f * factor)] },
            _ => stage,
        };

    private static Stage Reduced(Stage stage, double factor) =>
        stage is FixedPair pair ? pair with { DrivenTeeth = (int)Math.Round(pair.DrivenTeeth * factor) }
        : stage is PlanetaryStage set ? set with { RingTeeth = (int)Math.Round(set.RingTeeth * factor / 2) * 2 }
        : stage;
}
