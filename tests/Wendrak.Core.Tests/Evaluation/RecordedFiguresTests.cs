using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tests.Logbook;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>What was measured of what is on goes into a weighing, as far as the record has it.</summary>
public sealed class RecordedFiguresTests
{
    private static RecordedFigures Of(StoredMachine stored, params LogLine[] lines) =>
        RecordedFigures.Of(stored, "final", Logs.Entries(lines));

    private static readonly DateOnly On = new(2026, 6, 1);

    [Fact]
    public void A_chain_lasts_as_its_line_of_growth_says()
    {
        RecordedFigures figures = Of(WearTests.With(WearTests.Reference));
        Assert.Equal("sealedChain", figures.Option);
        Assert.Equal(5, figures.Life!.Readings);
        // The published row k4: 0.0515 % in 1 000 km; the limit is 1 %.
        Working life = Assert.Single(figures.Workings);
        Published.AgreesWithin(0.1, 1 / 0.0515 * 1000, life.Result.Value, "least squares, row k4");
        Assert.InRange(life.Result.Value, figures.Life.Low, figures.Life.High);
        Assert.True(figures.Life.High < 1.5 * figures.Life.Low);
    }

    [Fact]
    public void Upkeep_use_and_score_are_those_of_the_setup_that_is_on()
    {
        StoredMachine stored = WearTests.With();
        long now = stored.Fitted.Id;
        RecordedFigures figures = Of(
            stored,
            new UpkeepDone(On, 1_000, "oil", 10),
            new UpkeepDone(On.AddDays(10), 1_500, "oil", 20),
            new UpkeepDone(On.AddDays(20), 2_200, "oil and cleaning", 30),
            new UpkeepDone(On.AddDays(21), null, "looked", 20),
            new UpkeepDone(On.AddDays(22), 90_000, "another chain", 500, SetupId: now + 1),
            new FuelFilled(On, 1_000, 9, true),
            new FuelFilled(On.AddDays(5), 1_100, 5, true),
            new FuelFilled(On.AddDays(10), 1_400, 12, true),
            new ScoreGiven(On, null, 4),
            new ScoreGiven(On.AddDays(1), null, 5),
            new ScoreGiven(On.AddDays(2), null, 1, now + 1)
        );
        // 1 200 km in two intervals; 80 minutes in four times.
        Assert.Equal(new RecordedUpkeep(20, 600, 3), figures.Upkeep);
        // 17 L in 400 km.
        Assert.Equal(4.25, figures.Use!.Per100, 9);
        Assert.Equal(2, figures.Use.Stretches);
        Assert.Equal(new RecordedScore(4.5, 2), figures.Score);
        Assert.Null(figures.Life);
        Assert.Equal([600, 4.25], figures.Workings.Select(w => Math.Round(w.Result.Value, 9)));
    }

    [Fact]
    public void What_the_record_does_not_say_is_not_said()
    {
        RecordedFigures figures = Of(
            WearTests.With(),
            new UpkeepDone(On, 1_000, "oil", 10),
            new FuelFilled(On, 1_000, 9, true)
        );
        Assert.Equal((null, null, null, null), (figures.Life, figures.Upkeep, figures.Use, figures.Score));
        Assert.Empty(figures.Workings);
        Assert.Throws<InvalidInputException>(() => RecordedFigures.Of(WearTests.With(), "gone", []));
    }

    /// <summary>42 Wh/km are 4.2 kWh for 100 km.</summary>
    [Fact]
    public void What_is_charged_is_told_in_kwh()
    {
        RecordedFigures figures = Of(
            WearTests.With(),
            new Charged(On, 100, 900, true),
            new Charged(On.AddDays(1), 150, 2_100, true)
        );
        Assert.Equal(4.2, figures.Use!.Per100, 9);
        Assert.True(figures.Use.IsCharged);
    }
}
