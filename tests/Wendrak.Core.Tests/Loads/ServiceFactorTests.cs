using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Tests.Loads.LoadCases;

namespace Wendrak.Core.Tests.Loads;

/// <summary>Table service_factors.csv: Shigley ch. 17, ISO 10823, and common practice of vehicles.</summary>
public sealed class ServiceFactorTests
{
    private static double FactorOf(LoadsInput input) => LoopLoads.Evaluate(input).ShockFactor;

    [Theory]
    [InlineData(MachineKind.Motorcycle, InputKind.Engine, 1.5)]
    [InlineData(MachineKind.Bicycle, InputKind.Rider, 1.2)]
    [InlineData(MachineKind.KickBoard, InputKind.Motor, 1.5)]
    [InlineData(MachineKind.Robot, InputKind.Motor, 1.5)]
    [InlineData(MachineKind.Winch, InputKind.Motor, 1.3)] // ACA, moderate shock, electric motor
    [InlineData(MachineKind.Winch, InputKind.Engine, 1.4)]
    public void A_vehicle_has_its_own_factor_and_a_machine_that_of_the_tables(
        MachineKind kind,
        InputKind driver,
        double factor
    )
    {
        LoadsInput input = Motorcycle();
        Drive drive = input.Drive with { Input = input.Drive.Input with { Kind = driver } };
        Assert.Equal(factor, FactorOf(input with { Kind = kind, Drive = drive }));
    }

    [Theory]
    [InlineData(LoadCharacter.Smooth, 1.2, 1.1, 1.2)]
    [InlineData(LoadCharacter.ModerateShock, 1.4, 1.4, 1.5)]
    [InlineData(LoadCharacter.HeavyShock, 1.7, 1.5, 1.7)]
    public void Who_says_how_the_load_is_taken_gets_its_row(
        LoadCharacter character,
        double chain,
        double vBelt,
        double toothed
    )
    {
        LoadsInput Of(LoadsInput input) => input with { Source = input.Source with { Character = character } };
        LoadsInput Engine(LoadsInput input) =>
            input with
            {
                Drive = input.Drive with { Input = input.Drive.Input with { Kind = InputKind.Engine } },
            };
        Assert.Equal(chain, FactorOf(Of(Motorcycle())));
        Assert.True(FactorOf(Of(VBelt())) <= FactorOf(Of(Engine(VBelt()))));
        Assert.Equal(vBelt, FactorOf(Of(Engine(VBelt()))));
        Assert.Equal(toothed, FactorOf(Of(ToothedBelt())));
    }

    [Fact]
    public void A_motorcycle_that_brakes_by_its_motor_is_hit_harder()
    {
        LoadsInput input = Motorcycle();
        input = input with { Drive = input.Drive with { Input = input.Drive.Input with { Kind = InputKind.Motor } } };
        Assert.Equal(1.6, FactorOf(input with { Source = input.Source with { BrakingTorqueNm = 20 } }));
        Assert.Equal(1.5, FactorOf(input));
    }

    /// <summary>engineering.md g7, and the power that lasts in it.</summary>
    [Fact]
    public void Charts_are_entered_with_the_power_that_lasts()
    {
        Published.AgreesWithin(0.1, 1.12764, ChainRating.ToothFactorIso.Value(17), "engineering.md g7");
        Published.AgreesWithin(
            0.1,
            11.8402,
            ChainRating.ChartPowerIso.Value(7.5, 1.4, ChainRating.ToothFactorIso.Value(17)),
            "engineering.md g7"
        );
        LoadsInput input = Motorcycle(17, 45);
        LoopLoadsResult result = LoopLoads.Evaluate(input with { Strength = new("final", Strands: 2) });
        ChartPower chart = result.Chart!;
        double lasting = result.At(OperatingPointKind.TopSpeed).Point.PowerKw;
        Assert.Equal((OperatingPointKind.TopSpeed, lasting), (chart.Point, chart.PowerKw));
        // ISO 10823, moderate shock, combustion engine with fewer than 6 cylinders: 1.7.
        Assert.Equal(lasting * 1.7 * Math.Pow(19.0 / 17, 1.08), chart.IsoKw, 1e-9);
        Assert.Equal(lasting * 1.5 / 1.7, chart.AcaKw, 1e-9); // two strands carry 1.7, Shigley Table 17-23
        Assert.Contains(result.Workings, w => w.Result.Value == chart.IsoKw);
        Assert.Contains(result.Workings, w => w.Result.Value == chart.AcaKw);
        Assert.Null(LoopLoads.Evaluate(VBelt()).Chart);
    }

    [Fact]
    public void A_chain_is_oiled_as_such_machines_are()
    {
        LoadsInput input = Motorcycle();
        Assert.Equal(LubricationSchool.SealedRing, LoopLoads.Evaluate(input).Oiling!.School);
        Assert.Equal(
            LubricationSchool.Industrial,
            LoopLoads.Evaluate(input with { Kind = MachineKind.Robot }).Oiling!.School
        );
        LoadsInput result = input with
        {
            Kind = MachineKind.Robot,
            Strength = new("final", School: LubricationSchool.SealedRing),
        };
        Assert.Equal(LubricationSchool.SealedRing, LoopLoads.Evaluate(result).Oiling!.School);
    }
}
