using Wendrak.Core.Comparing;

namespace Wendrak.Core.Tests.Comparing;

/// <summary>Fuel use in its measures, and levels of sound.</summary>
public sealed class UnitsTests
{
    /// <summary>Checks l7 and l8 of the engineering reference.</summary>
    [Theory]
    [InlineData(FuelMeasure.MilesPerImperialGallon, 60, 4.70802, 21.2404, 60, 49.9605)]
    [InlineData(FuelMeasure.MilesPerUsGallon, 50, 4.70429, 21.2572, 60.0475, 50)]
    public void Fuel_use_is_that_of_the_reference(
        FuelMeasure measure,
        double value,
        double litres,
        double km,
        double imperial,
        double us
    )
    {
        FuelUse use = FuelUse.From(measure, value);
        Assert.Equal(litres, use.LitresPer100Km, 1e-4 * litres);
        Assert.Equal(km, use.KmPerLitre, 1e-4 * km);
        Assert.Equal(imperial, use.MilesPerImperialGallon, 1e-4 * imperial);
        Assert.Equal(us, use.MilesPerUsGallon, 1e-4 * us);
    }

    [Fact]
    public void Each_measure_comes_back_from_every_other()
    {
        FuelUse use = FuelUse.From(FuelMeasure.LitresPer100Km, 4.2);
        foreach (
            (FuelMeasure measure, double value) in new[]
            {
                (FuelMeasure.KmPerLitre, use.KmPerLitre),
                (FuelMeasure.MilesPerImperialGallon, use.MilesPerImperialGallon),
                (FuelMeasure.MilesPerUsGallon, use.MilesPerUsGallon),
            }
        )
            Assert.Equal(4.2, FuelUse.From(measure, value).LitresPer100Km, 12);
        Refusals.Names("value", () => FuelUse.From(FuelMeasure.KmPerLitre, 0));
    }

    /// <summary>ISO 80000-8: 20 dB is ten times the pressure, 6.0206 dB twice; 10 dB is heard as twice as loud (ISO 532).</summary>
    [Fact]
    public void Levels_are_pressures_and_loudness()
    {
        Assert.Equal(10, SoundDifference.Between(60, 80).PressureRatio, 9);
        Assert.Equal(2, SoundDifference.Between(70, 76.0206).PressureRatio, 4);
        Assert.Equal(2, SoundDifference.Between(70, 80).LoudnessRatio, 9);
        Assert.Equal((-10, 0.5), (SoundDifference.Between(80, 70).Db, SoundDifference.Between(80, 70).LoudnessRatio));
        Refusals.Names("firstDb", () => SoundDifference.Between(-1, 70));
        Refusals.Names("secondDb", () => SoundDifference.Between(70, double.NaN));
    }
}
