using Wendrak.Core.Evaluation;
using Wendrak.Core.Fit;
using Wendrak.Core.Loads;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>What nobody measured or typed is told as that, and no station on it passes for done.</summary>
public sealed class GuessListTests
{
    private static StoredMachine Begun(MachineKind kind)
    {
        MachineDraft draft = StartingMachines.For(kind);
        return Benches.Of(draft.Machine with { Id = 7, Version = 1, Name = "New" }, draft.Fitted);
    }

    private static StoredMachine With(StoredMachine stored, Func<Machine, Machine> change) =>
        stored with
        {
            Machine = change(stored.Machine),
        };

    private static IReadOnlyList<MachineGuess> Of(StoredMachine stored) =>
        stored.Ask(new() { Guesses = new() }).Guesses!.Answer!;

    private static GuessKind[] Kinds(StoredMachine stored, GuessState state) =>
        [.. Of(stored).Where(g => g.State == state).Select(g => g.Kind).Order()];

    [Fact]
    public void A_new_motorcycle_is_all_guesses_and_what_leaves_no_figure_comes_first()
    {
        StoredMachine stored = Begun(MachineKind.Motorcycle);
        Assert.Equal([GuessKind.Centre, GuessKind.Suspension, GuessKind.Pull], Kinds(stored, GuessState.NotSaid));
        Assert.Equal(
            [
                GuessKind.Tyre,
                GuessKind.Gearbox,
                GuessKind.Reductions,
                GuessKind.Speeds,
                GuessKind.Front,
                GuessKind.Rear,
                GuessKind.Length,
            ],
            Kinds(stored, GuessState.Assumed)
        );
        IReadOnlyList<MachineGuess> all = Of(stored);
        Assert.All(all.Take(3), g => Assert.Equal(GuessState.NotSaid, g.State));
        double[] moved = [.. all.Skip(3).Select(g => g.Bears.Max(b => b.Percent) ?? 0)];
        Assert.Equal(moved.OrderDescending(), moved);
        Assert.Equal("130/80-17", all.Single(g => g.Kind == GuessKind.Tyre).Text);
        Assert.Equal(
            (45, "teeth"),
            (all.Single(g => g.Kind == GuessKind.Rear).Value, all.Single(g => g.Kind == GuessKind.Rear).Unit)
        );
    }

    /// <summary>By hand: 3 % of the way round is 3 % of speed; one tooth of fifteen is a fourteenth or a sixteenth, one of 45 a 44th or 46th.</summary>
    [Fact]
    public void How_far_a_guess_reaches_is_worked_out_by_the_machine_itself()
    {
        IReadOnlyList<MachineGuess> all = Of(Begun(MachineKind.Motorcycle));
        double Reach(GuessKind kind) =>
            all.Single(g => g.Kind == kind).Bears.Single(b => b.Station == Station.Ratio).Percent!.Value;
        Assert.Equal(3, Reach(GuessKind.Tyre), 6);
        Assert.Equal(20, Reach(GuessKind.Speeds), 6);
        Assert.Equal(100.0 / 15, Reach(GuessKind.Front), 6);
        Assert.Equal(100.0 / 44, Reach(GuessKind.Rear), 6);
        Assert.Equal(100 * (1 / 0.85 - 1), Reach(GuessKind.Gearbox), 6);
        // 76 teeth of the primary: 65 at the least.
        Assert.Equal(100 * (76.0 / 65 - 1), Reach(GuessKind.Reductions), 6);
    }

    [Fact]
    public void Mass_reaches_the_margin_where_the_tyre_bounds_the_pull()
    {
        StoredMachine stored = With(
            Begun(MachineKind.Motorcycle),
            m => m with { Loads = new([new("drive", PeakTorqueNm: 500)], []) }
        );
        MachineGuess mass = Of(stored).Single(g => g.Kind == GuessKind.Mass);
        Assert.Equal((GuessState.Assumed, "kg"), (mass.State, mass.Unit));
        Assert.Equal(LoadDefaults.ClassOf(MachineKind.Motorcycle)!.MassWithRiderKg, mass.Value);
        Assert.InRange(mass.Bears.Single(b => b.Station == Station.Loads).Percent!.Value, 15, 40);
        Assert.DoesNotContain(
            Of(With(stored, m => m with { Loads = new([new("drive", PeakTorqueNm: 500, MassKg: 250)], []) })),
            g => g.Kind == GuessKind.Mass
        );
    }

    [Fact]
    public void What_was_typed_or_said_to_be_so_is_no_guess()
    {
        StoredMachine stored = Begun(MachineKind.Motorcycle);
        StoredMachine said = With(stored, m => m with { Said = [GuessKind.Tyre, GuessKind.Gearbox] });
        Assert.DoesNotContain(Of(said), g => g.Kind is GuessKind.Tyre or GuessKind.Gearbox);
        StoredMachine typed = With(
            stored,
            m =>
                m with
                {
                    Drives =
                    [
                        m.Drives[0] with
                        {
                            Outputs = [m.Drives[0].Outputs[0] with { RoadWheel = new("140/70-17", null) }],
                        },
                    ],
                }
        );
        Assert.DoesNotContain(Of(typed), g => g.Kind == GuessKind.Tyre);
        StoredMachine other = stored with { Fitted = stored.Fitted with { Loops = [new("final", 15, 44, 112)] } };
        other = other with { Setups = [other.Fitted] };
        Assert.DoesNotContain(Of(other), g => g.Kind == GuessKind.Rear);
        Assert.Contains(Of(other), g => g.Kind == GuessKind.Front);
    }

    [Fact]
    public void Shafts_that_stand_where_the_program_put_them_are_assumed_until_somebody_says_so()
    {
        StoredMachine stored = Begun(MachineKind.Motorcycle);
        StoredMachine begun = With(
            stored,
            m => m with { Layouts = [StartingLayout.For(m.Drives[0], stored.Fitted.Loops[0], m.Kind)] }
        );
        Assert.Contains(Of(begun), g => (g.Kind, g.State) == (GuessKind.Centre, GuessState.Assumed));
        Assert.DoesNotContain(
            Of(With(begun, m => m with { Said = [GuessKind.Centre] })),
            g => g.Kind == GuessKind.Centre
        );
    }

    [Fact]
    public void No_station_that_rests_on_a_guess_is_done()
    {
        EvaluationScope aimed = Benches.Final with { Band = new(2.9, 3.1) };
        StationHeadlines Lines(StoredMachine stored, EvaluationScope? scope = null) =>
            stored.Ask(new() { Headlines = new() }, scope ?? aimed).Headlines!.Answer!;
        StoredMachine begun = Begun(MachineKind.Motorcycle);
        Assert.Equal(StationState.OnGuess, Lines(begun).Ratio.State);
        Assert.Equal(
            [(Station.Ratio, 6), (Station.Fit, 3), (Station.Loads, 6)],
            Lines(begun).RestsOn.Select(r => (r.Station, r.Kinds.Count))
        );
        GuessKind[] ofRatio =
        [
            GuessKind.Tyre,
            GuessKind.Gearbox,
            GuessKind.Reductions,
            GuessKind.Speeds,
            GuessKind.Front,
        ];
        StoredMachine nearly = With(begun, m => m with { Said = ofRatio });
        Assert.Equal(StationState.OnGuess, Lines(nearly).Ratio.State);
        StoredMachine said = With(begun, m => m with { Said = [.. ofRatio, GuessKind.Rear] });
        Assert.Equal(StationState.Done, Lines(said).Ratio.State);
        // What is tried was chosen: its wheels are no guess, but all around them is.
        EvaluationScope tried = aimed with
        {
            Picks = [new("final", 15, 44)],
        };
        Assert.Equal(StationState.OnGuess, Lines(begun, tried).Ratio.State);
        Assert.Equal(StationState.Done, Lines(With(begun, m => m with { Said = ofRatio[..4] }), tried).Ratio.State);
    }

    /// <summary>Another loop in view has wheels of its own: the typical ones of the first would be typed over them.</summary>
    [Fact]
    public void Wheels_are_asked_of_the_loop_that_has_them_alone()
    {
        StoredMachine stored = With(
            Begun(MachineKind.Motorcycle),
            m =>
                m with
                {
                    Drives =
                    [
                        m.Drives[0] with
                        {
                            Stages =
                            [
                                .. m.Drives[0]
                                    .Stages.Select(s => s is Core.Gearing.Loop loop ? loop with { Key = "other" } : s),
                            ],
                        },
                    ],
                }
        );
        Setup fitted = stored.Fitted with { Loops = [stored.Fitted.Loops[0] with { LoopKey = "other" }] };
        stored = stored with { Fitted = fitted, Setups = [fitted] };
        IReadOnlyList<MachineGuess> all = stored.Ask(new() { Guesses = new() }, new(["other"])).Guesses!.Answer!;
        Assert.DoesNotContain(all, g => g.Kind is GuessKind.Front or GuessKind.Rear or GuessKind.Length);
        Assert.All(all.SelectMany(g => g.Bears), b => Assert.True(b.Percent is null or > 0));
    }

    /// <summary>No default is safe for it; what no motorcycle does is not asked of one.</summary>
    [Theory]
    [InlineData(MachineKind.Winch, true)]
    [InlineData(MachineKind.Robot, true)]
    [InlineData(MachineKind.Other, true)]
    [InlineData(MachineKind.Motorcycle, false)]
    [InlineData(MachineKind.Bicycle, false)]
    public void Whether_it_lifts_is_asked_and_a_verdict_without_it_is_one_to_rely_on_nowhere(
        MachineKind kind,
        bool isAsked
    )
    {
        StoredMachine Pulled(bool? lifts) =>
            With(Begun(kind), m => m with { Loads = new([new("drive", PeakTorqueNm: 1, LiftsOrFlies: lifts)], []) });
        MachineGuess[] asked = [.. Of(Pulled(null)).Where(g => g.Kind == GuessKind.Lifts)];
        Assert.Equal(isAsked, asked.Length == 1);
        Assert.All(
            asked,
            g =>
                Assert.Equal(
                    (Station.Loads, null, true),
                    (g.Bears[0].Station, g.Bears[0].Percent, g.Bears[0].IsOfVerdict)
                )
        );
        Assert.Equal(isAsked, LoadsRestOnIt(Pulled(null)));
        Assert.DoesNotContain(Of(Pulled(false)), g => g.Kind == GuessKind.Lifts);
        Assert.False(LoadsRestOnIt(Pulled(false)));
        Assert.Equal(isAsked, IsLiftUnsaid(Pulled(null)));
        Assert.False(IsLiftUnsaid(Pulled(false)));
    }

    private static bool LoadsRestOnIt(StoredMachine stored) =>
        stored
            .Ask(new() { Headlines = new() })
            .Headlines!.Answer!.RestsOn.Any(r => r.Station == Station.Loads && r.Kinds.Contains(GuessKind.Lifts));

    private static bool IsLiftUnsaid(StoredMachine stored) =>
        stored.Ask(new() { Loads = new() }).Loads!.Answer!.IsLiftUnsaid;

    [Fact]
    public void A_belt_wants_its_width_and_a_winch_no_tyre_and_no_arm()
    {
        Assert.Contains(GuessKind.BeltWidth, Kinds(Begun(MachineKind.Moped), GuessState.NotSaid));
        GuessKind[] winch = [.. Of(Begun(MachineKind.Winch)).Select(g => g.Kind)];
        Assert.DoesNotContain(GuessKind.Suspension, winch);
        Assert.DoesNotContain(GuessKind.BeltWidth, winch);
        foreach (MachineKind kind in Enum.GetValues<MachineKind>())
            Assert.All(
                Of(Begun(kind)),
                g => Assert.True(g.State == GuessState.Assumed || g.Text is null && g.Value is null)
            );
    }

    private static string[] AssumedIn(StoredMachine stored)
    {
        EvaluationAnswer answer = stored.Ask(
            new() { Loads = new(Workings: true), Comparison = new(Workings: true) },
            Benches.Final
        );
        return
        [
            .. answer
                .Loads!.Answer!.Workings.Concat(answer.Comparison!.Answer!.Setups.SelectMany(s => s.Workings))
                .SelectMany(w => w.Values)
                .Where(v => v.IsDefault)
                .Select(v => v.Meaning)
                .Distinct()
                .Order(StringComparer.Ordinal),
        ];
    }

    [Fact]
    public void A_working_names_which_of_its_inputs_are_assumed()
    {
        StoredMachine strong = With(
            Begun(MachineKind.Motorcycle),
            m => m with { Loads = new([new("drive", PeakTorqueNm: 500)], []) }
        );
        Assert.Equal(
            [
                "application factor",
                "breaking load of all strands",
                "final drive: 45 / 15 teeth",
                "free diameter from the marking",
                "front wheel",
                "front wheel, drives",
                "gearbox: gear 6 of Six-speed starting values",
                "limit speed of the input",
                "mass of a metre",
                "pressure angle",
                "primary: 76 / 28 teeth",
                "rear wheel, is driven",
                "rolling circumference",
                "rolling over free circumference",
                "sag at its middle",
                "service factor",
                "shock factor",
                "torque on the driving wheel, bounded by the tyre's grip",
                "torque on the driving wheel, bounded by what holds the vehicle back",
            ],
            AssumedIn(strong)
        );
        StoredMachine known = With(
            strong,
            m =>
                m with
                {
                    Drives =
                    [
                        m.Drives[0] with
                        {
                            Outputs = [m.Drives[0].Outputs[0] with { RoadWheel = new(null, 1_950) }],
                        },
                    ],
                    Said = Enum.GetValues<GuessKind>(),
                    Loads = new(
                        [new("drive", PeakTorqueNm: 500, MassKg: 250, Character: LoadCharacter.ModerateShock)],
                        [
                            new(
                                "final",
                                BreakingLoadN: 34_000,
                                MassKgPerM: 1,
                                SagMm: 12,
                                ShockFactor: 1.3,
                                PressureAngleDeg: 14
                            ),
                        ]
                    ),
                }
        );
        Assert.Empty(AssumedIn(known));
    }

    /// <summary>A front wheel that lifts before the tyre slips, a hub of gears, a planetary set, pins under pressure, a belt at rest.</summary>
    [Theory]
    [InlineData(MachineKind.KickBoard, "torque on the driving wheel, bounded by the front wheel lifting")]
    [InlineData(MachineKind.Bicycle, "hub gear: 1 / 1.57 in gear 5")]
    [InlineData(MachineKind.Robot, "planetary: sun 18, ring 72, ring held")]
    [InlineData(MachineKind.Robot, "pins times bushes")]
    [InlineData(MachineKind.Winch, "one run at rest")]
    public void So_does_that_of_every_kind(MachineKind kind, string meaning)
    {
        StoredMachine stored = With(
            Begun(kind),
            m => m with { Loads = new([new("drive", PeakTorqueNm: kind == MachineKind.Bicycle ? null : 20)], []) }
        );
        Assert.Contains(meaning, AssumedIn(stored));
    }

    [Fact]
    public void Each_is_said_once_and_nothing_else()
    {
        Machine machine = Begun(MachineKind.Motorcycle).Machine;
        IReadOnlyList<Core.Gearing.LoopChoice> fitted = StartingMachines.For(MachineKind.Motorcycle).Fitted;
        Refusals.Names(
            "Machine.Said[1]",
            () => MachineRules.Check(new MachineDraft(machine with { Said = [GuessKind.Tyre, GuessKind.Tyre] }, fitted))
        );
        Refusals.Names(
            "Machine.Said[0]",
            () => MachineRules.Check(new MachineDraft(machine with { Said = [(GuessKind)99] }, fitted))
        );
    }
}
