using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>Where the load of a loop comes from: input, tyre or resistance, whichever is the smaller.</summary>
/// <remarks>
/// T = T_in · i · η on the driving wheel; tyre and resistance: F · r / (i_behind · η_behind). Source: Gillespie, Fundamentals of
/// Vehicle Dynamics; Cossalter, Motorcycle Dynamics. Where a drive forks, a branch carries the share that was given for it, else
/// all of it: the worst case.
/// </remarks>
internal sealed class OperatingPoints
{
    private readonly DriveTrain _train;
    private readonly Loop _loop;
    private readonly LoadSource _source;
    private readonly DriveOutput _output;
    private readonly double? _radiusM;
    private readonly VehicleClass? _class;
    private readonly double _before;
    private readonly double _behind;
    private readonly MachineKind _kind;
    private readonly double _share;

    /// <summary>Where the loop is pulled hardest: gears before it count, those behind it only let the tyre hold more.</summary>
    private readonly DriveGear _lowest;
    private readonly DriveGear _tallest;

    /// <exception cref="InvalidInputException">Nothing tells how hard the input pulls.</exception>
    public OperatingPoints(
        DriveTrain train,
        Loop loop,
        IReadOnlyList<RoadWheelChoice> roadWheels,
        MachineKind kind,
        LoadSource source,
        LoopStrength strength
    )
    {
        (_train, _loop, _source) = (train, loop, source);
        _output = train.ReferenceOutput(loop.Key);
        RoadWheel? wheel = RoadWheels.On(_output, roadWheels);
        _kind = kind;
        _share = strength.TorqueShare ?? 1;
        IsForked = Forks();
        _class = _output.OnRoad ? LoadDefaults.ClassOf(kind) : null;
        _radiusM = wheel is null ? null : RollingCircumference.For(wheel).CircumferenceMm / (2 * Math.PI) / 1_000;
        _before = Efficiency(train.PathTo(loop.DrivingShaft));
        _behind = Efficiency([.. train.PathTo(_output.Shaft).Except(train.PathTo(loop.DrivingShaft))]);
        _lowest = train.Gears.MaxBy(g => (FrontReduction(g), -Behind(g)))!;
        _tallest = train.Gears.MinBy(g => Math.Abs(train.Reduction(_output.Shaft, g)))!;
        new Guard("Source.")
            .That(
                LoadSource.TellsPull(source, train.Drive),
                nameof(source.PeakTorqueNm),
                "missing",
                "Give the greatest torque of the engine or motor, or a measured pull."
            )
            .Include(source.Check())
            .ThrowIfAny();
    }

    /// <summary>True where it pushes a vehicle along a road: mass, grip and cruise count then.</summary>
    public bool IsOnRoad => _class is not null && _radiusM is not null;

    /// <summary>True where another loop loses some of the torque before this one.</summary>
    public bool HasLoopBefore => _train.PathTo(_loop.DrivingShaft).Any(i => _train.Drive.Stages[i] is Loop);

    /// <summary>True where a shaft before this loop drives something else too.</summary>
    public bool IsForked { get; }

    private bool Forks()
    {
        IReadOnlyList<Stage> stages = _train.Drive.Stages;
        return _train
            .PathTo(_loop.DrivenShaft)
            .Select(i => stages[i].DrivingShaft)
            .Any(shaft =>
                stages.Count(s => s.DrivingShaft == shaft) + _train.Drive.Outputs.Count(o => o.Shaft == shaft) > 1
            );
    }

    private DriveInput Input => _train.Drive.Input;
    private bool IsPedalled => Input.Kind == InputKind.Rider;

    /// <summary>Those that can be told from what is known.</summary>
    /// <param name="frontDiameterMm">Where the loop pulls on its driving wheel, for a measured pull.</param>
    public IReadOnlyList<OperatingPoint> At(double frontDiameterMm) =>
        [.. new[] { HardestPull(frontDiameterMm), Cruise(), TopSpeed(), Braking() }.OfType<OperatingPoint>()];

    private OperatingPoint HardestPull(double frontDiameterMm)
    {
        DriveGear gear = _lowest;
        double i = FrontReduction(gear);
        double rpm = (_source.PeakTorqueRpm ?? Input.LowSpeedRpm) / i;
        if (_source.PullN is double pull)
            return Point(
                OperatingPointKind.HardestPull,
                gear,
                pull * frontDiameterMm / 2_000,
                rpm,
                TorqueOrigin.Measured
            );
        double torque = PeakTorqueNm * i * _before;
        if (Push() is not { } push || _radiusM is not double radius)
            return Point(OperatingPointKind.HardestPull, gear, torque, rpm, TorqueOrigin.Input);
        double held = FrontTorque(push.PushN * radius, gear);
        return held < torque
            ? Point(
                OperatingPointKind.HardestPull,
                gear,
                held,
                rpm,
                push.TyreSlips ? TorqueOrigin.Grip : TorqueOrigin.FrontLifts
            )
            : Point(OperatingPointKind.HardestPull, gear, torque, rpm, TorqueOrigin.Input);
    }

    private OperatingPoint? Cruise()
    {
        DriveGear gear = _tallest;
        if (_class is not null && _radiusM is double radius)
        {
            double most = SpeedMS(Input.LimitSpeedRpm, gear, radius);
            double speed = _source.CruiseKmh / 3.6 ?? LoadDefaults.CruiseShare * most;
            double rpm = speed / radius * 60 / (2 * Math.PI) * Behind(gear);
            return Point(OperatingPointKind.Cruise, gear, Resisted(speed, radius, gear), rpm, TorqueOrigin.Resistance);
        }
        if (_source.ContinuousTorqueNm is not double torque)
            return null;
        double i = FrontReduction(gear);
        return Point(
            OperatingPointKind.Cruise,
            gear,
            torque * i * _before,
            LoadDefaults.CruiseShare * Input.LimitSpeedRpm / i,
            TorqueOrigin.Input
        );
    }

    private OperatingPoint? TopSpeed()
    {
        DriveGear gear = _tallest;
        double i = FrontReduction(gear);
        double rpm = Input.LimitSpeedRpm / i;
        double? byPower = _source.PeakPowerKw * 60_000 / (2 * Math.PI * Input.LimitSpeedRpm);
        if ((byPower ?? _source.ContinuousTorqueNm) is double input)
        {
            double bound = Math.Min(input, KnownPeak ?? double.PositiveInfinity);
            return Point(OperatingPointKind.TopSpeed, gear, bound * i * _before, rpm, TorqueOrigin.Input) with
            {
                IsPowerGiven = bound == byPower,
            };
        }
        if (_class is null || _radiusM is not double radius)
            return KnownPeak is double peak
                ? Point(OperatingPointKind.TopSpeed, gear, peak * i * _before, rpm, TorqueOrigin.Input)
                : null;
        double resisted = Resisted(SpeedMS(Input.LimitSpeedRpm, gear, radius), radius, gear);
        double most = (KnownPeak ?? double.PositiveInfinity) * i * _before;
        return resisted <= most
            ? Point(OperatingPointKind.TopSpeed, gear, resisted, rpm, TorqueOrigin.Resistance)
            : Point(OperatingPointKind.TopSpeed, gear, most, rpm, TorqueOrigin.Input);
    }

    private OperatingPoint? Braking()
    {
        if (_source.BrakingTorqueNm is not double torque)
            return null;
        DriveGear gear = _lowest;
        double i = FrontReduction(gear);
        return Point(OperatingPointKind.Braking, gear, torque * i, Input.LimitSpeedRpm / i, TorqueOrigin.Input);
    }

    private OperatingPoint Point(
        OperatingPointKind kind,
        DriveGear gear,
        double torqueNm,
        double rpm,
        TorqueOrigin origin
    ) =>
        new(
            kind,
            gear.Label,
            origin == TorqueOrigin.Measured ? torqueNm : torqueNm * _share,
            rpm,
            _radiusM is double radius ? SpeedMS(rpm * FrontReduction(gear), gear, radius) * 3.6 : null,
            origin
        );

    private double? KnownPeak => IsPedalled ? PeakTorqueNm : _source.PeakTorqueNm;

    private double PeakTorqueNm =>
        _source.PeakTorqueNm
        ?? (_source.RiderMassKg ?? LoadDefaults.RiderMassKg)
            * ChainPull.GravityMS2
            * (Input.CrankLengthMm ?? DriveInput.UsualCrankMm)
            / 1_000;

    private (double PushN, bool TyreSlips)? Push()
    {
        double friction = _source.Friction ?? LoadDefaults.Friction;
        if (_class is null)
            return null;
        if (DrivenMassKg is double driven)
            return (RoadLoad.GripN(driven, friction), true);
        return _class is { } c
            ? RoadLoad.RearDrivenPush(
                _source.MassKg ?? c.MassWithRiderKg,
                c.WheelbaseMm,
                c.CgAheadOfRearMm,
                c.CgHeightMm,
                friction
            )
            : null;
    }

    /// <summary>Null for vehicles driven by their rear wheel, whose load shifts as they push.</summary>
    private double? DrivenMassKg =>
        _source.DrivenMassKg
        ?? (MachineKinds.Get(_kind).DrivesAllWheels ? _source.MassKg ?? _class?.MassWithRiderKg : null);

    private double Resisted(double speedMS, double radiusM, DriveGear gear) =>
        FrontTorque(
            RoadLoad.ResistanceN(_source.MassKg ?? _class!.MassWithRiderKg, _class!.Crr, _class.CdaM2, speedMS)
                * radiusM,
            gear
        );

    /// <summary>Torque on the driving wheel of the loop that a torque on the road wheel asks for.</summary>
    private double FrontTorque(double outputTorqueNm, DriveGear gear) => outputTorqueNm / (Behind(gear) * _behind);

    private double FrontReduction(DriveGear gear) => Math.Abs(_train.Reduction(_loop.DrivingShaft, gear));

    private double Behind(DriveGear gear) => Math.Abs(_train.Reduction(_output.Shaft, gear)) / FrontReduction(gear);

    private double SpeedMS(double inputRpm, DriveGear gear, double radiusM) =>
        inputRpm / Math.Abs(_train.Reduction(_output.Shaft, gear)) * 2 * Math.PI / 60 * radiusM;

    private double Efficiency(IReadOnlyList<int> stages) =>
        stages.Aggregate(
            1.0,
            (product, s) => product * LoadDefaults.EfficiencyOf(_train.Drive.Stages[s], _source.Efficiency)
        );
}
