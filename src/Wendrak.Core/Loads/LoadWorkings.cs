using Wendrak.Core.Lengths;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Loads;

/// <summary>How the loads of a loop came about.</summary>
internal static class LoadWorkings
{
    public static IReadOnlyList<Working> Of(
        LoadedLoop loop,
        IReadOnlyList<PointLoads> points,
        IReadOnlyList<LoadCheck> checks,
        FrictionFigures? friction,
        ElongationLife? life,
        ChartPower? chart
    ) =>
        [
            .. points.SelectMany(p => OfPoint(loop, p)),
            .. checks.Where(c => c.Limit is not null).Select(c => OfCheck(loop, c, points)),
            .. OfBelt(loop, friction),
            .. OfLife(life, checks),
            .. chart?.Explain(loop) ?? [],
        ];

    private static IEnumerable<Working> OfLife(ElongationLife? life, IReadOnlyList<LoadCheck> checks)
    {
        LoadCheck? pins = checks.FirstOrDefault(c => c.Kind == LoadCheckKind.PinPressure);
        if (life is not null && pins is { Value: double pressure, Limit: double allowed })
            yield return life.Explain(pressure, allowed);
    }

    /// <summary>Figures of a belt that belong to no single point.</summary>
    private static IEnumerable<Working> OfBelt(LoadedLoop loop, FrictionFigures? figures)
    {
        if (figures?.Runs?.Explain() is { } ratio)
            yield return ratio;
        if (figures is { BestSpeedMS: double best })
            yield return new(
                "Speed at which it carries most",
                "v = √(T1/(3·m))",
                [
                    new("T1", "tight run at the hardest pull", figures.TightN, "N"),
                    new("m", "all belts together", LoopMass.KgPerM(loop)!.Value, "kg/m"),
                ],
                new("v", "a third of T1 is centrifugal there", best, "m/s"),
                "Shigley ch. 17",
                "What the pulleys' rims stand is another question: cast iron 30 to 35 m/s, common practice."
            );
        if (figures is { CreepPercent: double creep } && loop.PointOf(OperatingPointKind.HardestPull) is { } hardest)
            yield return new(
                "Creep at the hardest pull",
                "s = F/F_1% (F/(E·A), E·A = 100·F_1%)",
                [
                    new("F", "pull", loop.PullN(hardest), "N"),
                    new("F_1%", "makes all belts together 1 % longer", loop.Strength.ForceAt1PercentN!.Value, "N"),
                ],
                new("s", "what it lags behind", creep, "%"),
                "elastic creep: Johnson, Contact Mechanics ch. 8",
                "Slip comes on top once it is pulled over its margin."
            );
    }

    private static IEnumerable<Working> OfPoint(LoadedLoop loop, PointLoads at)
    {
        string name = NameOf(at.Point.Kind);
        yield return new(
            $"Pull, {name}",
            at.Point.IsPowerGiven ? "F = 1000·P/v" : "F = 2000·T/d",
            at.Point.IsPowerGiven
                ?
                [
                    new("P", "power at the driving wheel, from the power that was given", at.Point.PowerKw, "kW"),
                    new("v", "speed of the loop", at.SpeedMS, "m/s"),
                ]
                :
                [
                    new(
                        "T",
                        $"torque on the driving wheel, bounded by {OriginOf(at.Point.Origin)}",
                        at.Point.TorqueNm,
                        "Nm"
                    ),
                    new("d", "pitch or datum circle", loop.FrontDiameterMm, "mm"),
                ],
            new("F", "pull", at.PullN, "N"),
            at.Point.IsPowerGiven
                ? "definition of power; of a chain's torque alone it would be (π/N)²/6 less"
                : "Shigley ch. 17; torque: T_in·i·η, or tyre and resistance by Gillespie and Cossalter",
            loop.IsForked && loop.Strength.TorqueShare is null
                ? "The drive forks: this branch is taken to carry all of it, the worst case."
                : "The share of a forked drive as it was given."
        );
        yield return new(
            $"Speed of the loop, {name}",
            loop.Loop.IsToothed ? "v = N·p·n/60 000" : "v = π·d·n/60 000",
            [
                new(
                    loop.Loop.IsToothed ? "N" : "d",
                    "driving wheel",
                    loop.Loop.IsToothed ? loop.FrontLinks : loop.FrontDiameterMm,
                    loop.Loop.IsToothed ? "" : "mm"
                ),
                new("n", "its speed", at.Point.Rpm, "rpm"),
            ],
            new("v", "speed", at.SpeedMS, "m/s"),
            "Shigley ch. 17",
            "No slip counted."
        );
        if (at.Teeth is { } teeth)
            yield return new(
                $"Force on the first tooth, {name}",
                "F_1 = F·sin b / sin(φ + b), b = 360°/N",
                [
                    new("F", "pull", at.PullN, "N"),
                    new("N", "links once round the front", loop.FrontLinks, ""),
                    new(
                        "φ",
                        "mean pressure angle, or as given",
                        teeth.PressureAngleDeg,
                        "°",
                        loop.Strength.PressureAngleDeg is null
                    ),
                    new("F/k", "beside it: shared alike by the teeth engaged", teeth.EvenShareN, "N"),
                ],
                new("F_1", "where the tight run comes on", teeth.FirstToothN, "N"),
                "Binder, Mechanics of the Roller Chain Drive; ACA design manual",
                "A worn chain rides up and is shared by more teeth."
            );
        yield return new(
            $"Load on the driving shaft, {name}",
            "R = √(T1² + T2² − 2·T1·T2·cos θ), both less what going round takes",
            [
                new("T1", "tight run less its centrifugal part", at.TightN - at.CentrifugalN, "N"),
                new("T2", "slack run less its centrifugal part", at.SlackN - at.CentrifugalN, "N"),
                new("θ", "wrap", loop.Front.WrapDeg, "°"),
            ],
            new("R", "on the shaft", at.FrontShaft.LoadN, "N"),
            "statics",
            "What going round takes from either run does not reach the shaft and is left out of R."
        );
    }

    private static Working OfCheck(LoadedLoop loop, LoadCheck check, IReadOnlyList<PointLoads> points)
    {
        PointLoads at = points.First(p => p.Point.Kind == check.Point);
        (string Formula, WorkingValue[] Values, string Unit) told = check.Kind switch
        {
            LoadCheckKind.BreakingLoad => (
                "S = F_B / F",
                [
                    BreakingLoad(loop),
                    loop.Loop.Medium == DriveElement.Chain
                        ? new("F", "pull", at.PullN, "N")
                        : new("F", "tight run", at.TightN, "N"),
                ],
                ""
            ),
            LoadCheckKind.BreakingLoadWithShock => (
                "S = F_B / (F·k + F_c + F_s)",
                [
                    BreakingLoad(loop),
                    new("F", "pull", at.PullN, "N"),
                    Shock(loop),
                    new("F_c + F_s", "from going round and sag", at.SlackN, "N"),
                ],
                ""
            ),
            LoadCheckKind.PinPressure => (
                "p = (F·k + F_c + F_s) / A",
                [
                    new(
                        "A",
                        "pins times bushes",
                        ChainChecks.BearingAreaMm2(loop, Chains.Find(loop.Standard)) ?? 0,
                        "mm²"
                    ),
                    new("F", "pull", at.PullN, "N"),
                    Shock(loop),
                    new("F_c + F_s", "from going round and sag", at.SlackN, "N"),
                ],
                "N/mm²"
            ),
            LoadCheckKind.ToothJumping => (
                "F_k = F·q^k",
                [
                    new("F", "pull", at.PullN, "N"),
                    new(
                        "φ",
                        "least pressure angle, or as given",
                        ClimbAngle(loop),
                        "°",
                        loop.Strength.PressureAngleDeg is null
                    ),
                    new(
                        "q",
                        "left over after a tooth",
                        ToothLoads.RatioPerTooth(loop.FrontLinks, ClimbAngle(loop)),
                        ""
                    ),
                    new("k", "teeth engaged", at.Teeth!.TeethEngaged, "teeth"),
                ],
                "N"
            ),
            LoadCheckKind.Slip => (
                "S = 2·T_i·(E − 1)/((E + 1)·F), E = e^(f'·θ), f' = f/sin(β/2)",
                [
                    new("f", "rubbing friction", FrictionBeltChecks.Friction(loop), "", loop.Strength.Friction is null),
                    new("f'", "friction with the groove in it", FrictionBeltChecks.EffectiveFriction(loop), ""),
                    .. FrictionBeltChecks.GrooveDeg(loop) is double groove
                        ? new WorkingValue[]
                        {
                            new("β", "included groove angle", groove, "°", loop.Strength.GrooveAngleDeg is null),
                            new("β/2", "its half", groove / 2, "°"),
                        }
                        : [],
                    new("θ", "wrap it grips by", loop.GrippingWrapDeg, "°"),
                    new("T_i", "installed tension", loop.Strength.InstalledTensionN ?? 0, "N"),
                    new("F", "pull", at.PullN, "N"),
                ],
                ""
            ),
            LoadCheckKind.Rating => RatingOf(loop, at),
            LoadCheckKind.BeltPull => ToothedBeltChecks.PullFormula(loop, at, Shock(loop)),
            LoadCheckKind.ToothJump => (
                "S = T_i / (F·(1/2 + tan(γ − atan μ)/θ))",
                [
                    new("T_i", "installed tension", loop.Strength.InstalledTensionN ?? 0, "N"),
                    new(
                        "γ",
                        "flank of a tooth from the radius",
                        SynchronousProfiles.Find(loop.Standard)!.FlankHalfAngleDeg,
                        "°"
                    ),
                    new("μ", "belt on pulley", ToothedBeltChecks.Friction(loop), "", loop.Strength.Friction is null),
                    new("θ", "wrap", loop.LeastWrapDeg, "°"),
                    new("F", "pull", at.PullN, "N"),
                ],
                ""
            ),
            LoadCheckKind.BeltCount => (
                "z = ⌈P·k/(P_tab·K1·K2)⌉",
                [
                    new("P", "power", at.Point.PowerKw, "kW"),
                    Shock(loop),
                    new("P_tab", "of one belt", loop.Strength.RatingPerBeltKw ?? 0, "kW"),
                    new("K1", "wrap factor", BeltFriction.VBeltWrapFactor(loop.LeastWrapDeg), ""),
                    new(
                        "K2",
                        "length factor",
                        FrictionBeltChecks.LengthFactor(loop),
                        "",
                        loop.Strength.LengthFactor is null
                    ),
                ],
                ""
            ),
            LoadCheckKind.Ripple => (
                "±Δv/v = (π/n)·tan(π/(2n)) / 2",
                [new("n", "links once round the smaller sprocket", loop.SmallerLinks, "")],
                "%"
            ),
            LoadCheckKind.ChainSpeed or LoadCheckKind.BeltSpeed or LoadCheckKind.LowBeltSpeed => (
                "v as above",
                [],
                "m/s"
            ),
            LoadCheckKind.LongDistance or LoadCheckKind.ShortDistance => ("from shaft to shaft, as laid out", [], "m"),
            LoadCheckKind.SmallestFront => ("counted", [], loop.Loop.IsToothed ? "teeth" : "mm"),
            LoadCheckKind.Wrap => (
                "the smaller of both",
                [new("front", "wrap", loop.Front.WrapDeg, "°"), new("rear", "wrap", loop.Rear.WrapDeg, "°")],
                "°"
            ),
            LoadCheckKind.Galling => GallingOf(loop, at),
            LoadCheckKind.OddTeeth => (
                "2 turns for an odd number of gaps, 1 for an even one",
                [new("N", "gaps of the smaller wheel", loop.SmallerSize, "")],
                "turns"
            ),
            _ => ("counted", [], loop.Loop.IsToothed ? "teeth" : "mm"),
        };
        return new(
            $"{TitleOf(check.Kind)}, {NameOf(check.Point)}",
            told.Formula,
            [.. told.Values, new("limit", "to be kept", check.Limit!.Value, told.Unit)],
            new("result", "here", check.Value!.Value, told.Unit),
            check.Source,
            check.IsAdvisory ? "Told, not counted: a rule of another trade." : "The maker's figure wins."
        );
    }

    private static (string, WorkingValue[], string) RatingOf(LoadedLoop loop, PointLoads at)
    {
        ChainSize size = ChainChecks.RatedSize(loop)!;
        bool isLight = ChainChecks.IsLight(size);
        double rpm = Math.Max(loop.SmallerRpm(at.Point), 1);
        (double rated, RatingLimit governs) = ChainRating.Of(size.PitchMm, (int)loop.SmallerSize, rpm, isLight);
        WorkingValue factor =
            governs == RatingLimit.LinkPlate
                ? new("K", "of the plates", ChainRating.PlateFactor(isLight), "")
                : new("Kr", "of rollers and bushes", ChainRating.RollerFactor(size.PitchMm, isLight), "");
        return (
            governs == RatingLimit.LinkPlate
                ? "P ≤ H·s/k, H = 0.7457·K·N^1.08·n^0.9·p^(3 − 0.07·p)"
                : "P ≤ H·s/k, H = 0.7457·1000·Kr·N^1.5·p^0.8/n^1.5",
            [
                factor,
                new("N", "small sprocket", loop.SmallerSize, "teeth"),
                new("n", "its speed", rpm, "rpm"),
                new("p", "pitch", size.PitchMm / ChainRating.MmPerInch, "in"),
                new("H", "one strand", rated, "kW"),
                new("s", "factor of strands side by side", ChainRating.StrandFactor(loop.Strength.Strands), ""),
                Shock(loop),
            ],
            "kW"
        );
    }

    private static (string, WorkingValue[], string) GallingOf(LoadedLoop loop, PointLoads at)
    {
        double tensionN = ChainChecks.StrandTensionN(loop, at.Point);
        return (
            "n ≤ 1000·(82.5/(7.95^p·1.0278^N·1.323^(F/1000)))^(1/(1.59·log p + 1.873))",
            [
                new("p", "pitch", LoopLengths.UnitMm(loop.Loop) / ChainRating.MmPerInch, "in"),
                new("N", "small sprocket", loop.SmallerSize, "teeth"),
                new("F", "tight run, one strand", tensionN / ChainRating.NewtonPerLbf, "lbf"),
            ],
            "rpm"
        );
    }

    private static double ClimbAngle(LoadedLoop loop) =>
        loop.Strength.PressureAngleDeg ?? ToothLoads.LeastPressureAngleDeg(loop.FrontLinks);

    private static WorkingValue BreakingLoad(LoadedLoop loop) =>
        new(
            "F_B",
            "breaking load of all strands",
            ChainChecks.BreakingLoadN(loop, Chains.Find(loop.Standard)) ?? 0,
            "N",
            loop.Strength.BreakingLoadN is null
        );

    private static WorkingValue Shock(LoadedLoop loop) =>
        new("k", "shock factor", loop.ShockFactor, "", loop.Strength.ShockFactor is null);

    internal static string NameOf(OperatingPointKind kind) =>
        kind switch
        {
            OperatingPointKind.HardestPull => "hardest pull",
            OperatingPointKind.Cruise => "cruise",
            OperatingPointKind.TopSpeed => "top speed",
            _ => "braking",
        };

    private static string OriginOf(TorqueOrigin origin) =>
        origin switch
        {
            TorqueOrigin.Input => "engine, motor or rider",
            TorqueOrigin.Grip => "the tyre's grip",
            TorqueOrigin.FrontLifts => "the front wheel lifting",
            TorqueOrigin.Resistance => "what holds the vehicle back",
            _ => "the measured pull",
        };

    private static string TitleOf(LoadCheckKind kind) =>
        kind switch
        {
            LoadCheckKind.BreakingLoad => "Breaking load over pull",
            LoadCheckKind.BreakingLoadWithShock => "Breaking load, shock counted",
            LoadCheckKind.PinPressure => "Pressure in the pins",
            LoadCheckKind.ToothJumping => "Pull left after the last tooth",
            LoadCheckKind.ChainSpeed => "Chain speed",
            LoadCheckKind.Ripple => "Speed ripple",
            LoadCheckKind.Wrap => "Wrap",
            LoadCheckKind.Rating => "Power against the rating",
            LoadCheckKind.Galling => "Galling",
            LoadCheckKind.OddTeeth => "Odd number of gaps",
            LoadCheckKind.Slip => "Slip margin",
            LoadCheckKind.BeltCount => "Belts side by side",
            LoadCheckKind.BeltSpeed => "Belt speed",
            LoadCheckKind.LowBeltSpeed => "Belt speed, the least",
            LoadCheckKind.LongDistance => "Distance of the shafts, the longest",
            LoadCheckKind.ShortDistance => "Distance of the shafts, the shortest",
            LoadCheckKind.SmallestFront => "Driving wheel of this machine",
            LoadCheckKind.SmallPulley => "Smaller pulley",
            LoadCheckKind.BeltPull => "Pull of the belt",
            LoadCheckKind.TeethInMesh => "Teeth in mesh",
            _ => "Tooth jump",
        };
}
