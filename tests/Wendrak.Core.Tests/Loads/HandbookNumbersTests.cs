using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Vocabulary;
using static Wendrak.Core.Tests.Loads.LoadCases;

namespace Wendrak.Core.Tests.Loads;

/// <summary>Numbers that handbooks print and practice hands on, each with where it comes from.</summary>
public sealed class HandbookNumbersTests
{
    [Theory] // Shigley Table 17-23
    [InlineData(1, 1)]
    [InlineData(2, 1.7)]
    [InlineData(3, 2.5)]
    [InlineData(4, 3.3)]
    [InlineData(5, 3.9)]
    [InlineData(6, 4.6)]
    public void Strands_side_by_side_carry_less_than_each_alone(int strands, double factor) =>
        Assert.Equal(factor, ChainRating.StrandFactor(strands));

    [Theory] // ISO 10823 charts, from memory
    [InlineData(0.5, 38)]
    [InlineData(1, 34)]
    [InlineData(2, 30)]
    [InlineData(4, 26)]
    [InlineData(6, 23)]
    [InlineData(8, 21)]
    [InlineData(10, 19)]
    [InlineData(15, 15)]
    public void Pins_stand_so_much_at_the_speeds_of_the_guide(double speed, double pressure) =>
        Assert.Equal(pressure, ChainPull.AllowedPinPressure(speed), 1e-9);

    /// <summary>ANSI B29.1 and ACA, from memory: half way between two pitches the one or the other begins.</summary>
    [Theory]
    [InlineData(6.35, 9.525)]
    [InlineData(9.525, 12.7)]
    [InlineData(12.7, 15.875)]
    [InlineData(15.875, 19.05)]
    [InlineData(19.05, 25.4)]
    [InlineData(25.4, 31.75)]
    [InlineData(31.75, 38.1)]
    [InlineData(38.1, 44.45)]
    [InlineData(44.45, 50.8)]
    public void A_pitch_takes_the_nearest_row_of_the_oiling_table(double smaller, double larger)
    {
        double middle = (smaller + larger) / 2;
        Assert.Equal(ChainLubrication.UpTo(smaller), ChainLubrication.UpTo(middle - 0.01));
        Assert.Equal(ChainLubrication.UpTo(larger), ChainLubrication.UpTo(middle + 0.01));
        Assert.NotEqual(ChainLubrication.UpTo(smaller), ChainLubrication.UpTo(larger));
    }

    [Theory] // Shigley Eq. 17-33: 29 for no. 25 and 35, which have no rollers, 3.4 for no. 41, 17 above
    [InlineData(6.35, false, 29)]
    [InlineData(9.525, false, 29)]
    [InlineData(12.7, true, 3.4)]
    [InlineData(12.7, false, 17)]
    public void Rollers_and_bushes_have_a_factor_of_their_own(double pitchMm, bool isLight, double factor)
    {
        double p = pitchMm / UnitFactors.MmPerInch;
        double hp = 1_000 * factor * Math.Pow(17, 1.5) * Math.Pow(p, 0.8) / Math.Pow(2_000, 1.5);
        Assert.Equal(hp * 0.7457, ChainRating.RollerBushingKw(pitchMm, 17, 2_000, isLight), 1e-9);
    }

    [Theory] // Shigley ch. 17; common practice, from memory
    [InlineData(DriveElement.VBelt, "A", 5, 25, 0.3, 5)]
    [InlineData(DriveElement.VBelt, "SPA", 5, 40, 0.3, 5)]
    [InlineData(DriveElement.FlatBelt, "flat", 10, 50, 0.5, 15)]
    public void Belts_by_friction_have_speeds_and_distances_that_suit_them(
        DriveElement element,
        string standard,
        double from,
        double to,
        double near,
        double far
    )
    {
        FrictionFigures figures = LoopLoads.Evaluate(Friction(element, standard)).Friction!;
        Assert.Equal((from, to), (figures.SpeedFromMS, figures.SpeedToMS));
        Assert.Equal((near, far), (figures.DistanceFromM, figures.DistanceToM));
        Assert.Equal((1, 2), (figures.CreepLowPercent, figures.CreepHighPercent)); // common practice
    }

    [Fact]
    public void A_flat_belt_rubs_by_three_tenths_where_nobody_said() // Shigley Table 17-2, leather and polyamide, rounded
    {
        LoopLoadsResult flat = LoopLoads.Evaluate(Friction(DriveElement.FlatBelt, "flat"));
        double runs = flat.Friction!.Runs!.RatioAtSlip;
        double wrap = LoadedWrapDeg(flat) * Math.PI / 180;
        Assert.Equal(0.3, Math.Log(runs) / wrap, 1e-6);
    }

    /// <summary>By the load of the shaft at rest, 2·T·sin(θ/2), from the smaller wheel, which drives.</summary>
    private static double LoadedWrapDeg(LoopLoadsResult r) =>
        2 * Math.Asin(r.ShaftAtRestN!.Value / (2 * r.InstalledTensionN!.Value)) * 180 / Math.PI;

    private static LoadsInput Friction(DriveElement element, string standard)
    {
        LoadsInput belt = VBelt();
        Loop loop = belt.Drive.Stages.OfType<Loop>().Single() with { DriveElement = element, Standard = standard };
        return belt with
        {
            Drive = belt.Drive with { Stages = [loop] },
            Strength = new("final", InstalledTensionN: 600),
        };
    }

    /// <summary>Indoors half to one and a half times the rated life; on the road a thirtieth to an eighth: common practice.</summary>
    [Fact]
    public void Life_is_a_share_of_what_a_clean_chain_reaches()
    {
        Core.Wear.ElongationLife indoors = LoopLoads
            .Evaluate(Chain(17, 51) with { Strength = new("final", BearingAreaMm2: 60) })
            .Life!;
        Assert.Equal(3, indoors.HighHours / indoors.LowHours, 1e-9);
        LoopLoadsResult winch = LoopLoads.Evaluate(Chain(17, 51) with { Strength = new("final", BearingAreaMm2: 60) });
        LoadCheck pins = winch.Check(LoadCheckKind.PinPressure, OperatingPointKind.Cruise);
        double rated = 15_000 * pins.Limit!.Value / pins.Value!.Value * indoors.LimitPercent / 3;
        Assert.Equal((0.5 * rated, 1.5 * rated), (indoors.LowHours, indoors.HighHours));
    }
}
