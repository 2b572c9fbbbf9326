using CsCheck;
using Wendrak.Core.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Gearing;

public sealed class TeethTests
{
    [Fact]
    public void Hunting_agrees_with_the_check_rows()
    {
        Assert.Equal(new HuntingResult(1, 11, 11, 7, 28, false, false), Hunting.Count(16, 44, 112)); // b2
        Assert.Equal(new HuntingResult(3, 43, 129, 22, 110, false, true), Hunting.Count(15, 43, 110)); // b3
    }

    /// <summary>Counts link by link, without number theory, until front tooth 0, link 0 and rear tooth 0 meet again.</summary>
    [Fact]
    public void Hunting_agrees_with_counting_link_by_link() =>
        Gen.Select(Gen.Int[5, 24], Gen.Int[20, 60], Gen.Int[40, 130])
            .Sample(
                (front, rear, links) =>
                {
                    HuntingResult fast = Hunting.Count(front, rear, links);
                    Assert.Equal(TurnsUntil(links, n => n % front == 0), fast.FrontLoopTurns);
                    Assert.Equal(TurnsUntil(links, n => n % rear == 0), fast.RearLoopTurns);
                    Assert.Equal(TurnsUntil(links, n => n % front == 0 && n % rear == 0), fast.AllLoopTurns);
                    HashSet<int> met =
                    [
                        .. Enumerable.Range(0, front * links).Where(n => n % front == 0).Select(n => n % links),
                    ];
                    Assert.Equal(met.Count, fast.LinksMetByFrontTooth);
                    Assert.Equal(met.Count == links, fast.FrontHunts);
                },
                iter: 200
            );

    private static int TurnsUntil(int links, Func<long, bool> meet)
    {
        for (int turns = 1; ; turns++)
            if (meet((long)turns * links))
                return turns;
    }

    [Theory]
    [InlineData(11, 4.1063)]
    [InlineData(17, 1.71242)]
    public void Speed_ripple_agrees_with_the_check_rows(int teeth, double percent) =>
        Published.AgreesWithin(
            0.01,
            percent,
            SpeedRipple.Percent.Value(teeth),
            "engineering.md b4, b5; Shigley ch. 17"
        );

    /// <summary>A link's speed along the run while its pin turns with the sprocket, sampled over one pitch angle.</summary>
    [Theory]
    [InlineData(7)]
    [InlineData(13)]
    [InlineData(25)]
    public void Speed_ripple_agrees_with_turning_a_polygon(int teeth)
    {
        double radius = 1 / (2 * Math.Sin(Math.PI / teeth));
        const int samples = 200_000;
        double min = double.MaxValue;
        double max = 0;
        double sum = 0;
        for (int i = 0; i < samples; i++)
        {
            double angle = -Math.PI / teeth + 2 * Math.PI / teeth * (i + 0.5) / samples;
            double speed = radius * Math.Cos(angle);
            (min, max, sum) = (Math.Min(min, speed), Math.Max(max, speed), sum + speed);
        }
        double percent = 100 * (max - min) / (sum / samples);
        Published.AgreesWithin(
            0.01,
            percent,
            SpeedRipple.Percent.Value(teeth),
            "numerical turning of the pitch polygon"
        );
    }

    [Fact]
    public void More_teeth_always_ripple_less() =>
        Gen.Int[5, 150]
            .Sample(teeth => Assert.True(SpeedRipple.Percent.Value(teeth + 1) < SpeedRipple.Percent.Value(teeth)));

    [Theory]
    [InlineData(8, SmallWheelAdvice.BelowAdvised)]
    [InlineData(9, SmallWheelAdvice.SlowOnly)]
    [InlineData(12, SmallWheelAdvice.SlowOnly)]
    [InlineData(13, SmallWheelAdvice.Compromise)]
    [InlineData(16, SmallWheelAdvice.Compromise)]
    [InlineData(17, SmallWheelAdvice.Fine)]
    public void Few_teeth_are_marked(int teeth, SmallWheelAdvice expected) =>
        Assert.Equal(expected, new SmallWheel(Drives.Chain("final", "a", "b")).Judge(teeth)); // engineering.md b

    [Theory]
    [InlineData("8M", 21, SmallWheelAdvice.BelowAdvised)]
    [InlineData("8M", 22, SmallWheelAdvice.Fine)]
    public void A_toothed_belt_has_the_smallest_pulley_of_its_profile(
        string profile,
        int teeth,
        SmallWheelAdvice expected
    )
    {
        Loop belt = Drives.Chain("final", "a", "b") with
        {
            DriveElement = DriveElement.ToothedBelt,
            Standard = profile,
        };
        Assert.Equal(expected, new SmallWheel(belt).Judge(teeth));
    }

    [Fact]
    public void A_V_belt_has_the_smallest_datum_diameter_of_its_section()
    {
        Loop belt = Drives.Chain("final", "a", "b") with { DriveElement = DriveElement.VBelt, Standard = "A" };
        Assert.Equal(SmallWheelAdvice.BelowAdvised, new SmallWheel(belt).Judge(74)); // ISO 4183: A from 75 mm
        Assert.Equal(SmallWheelAdvice.Fine, new SmallWheel(belt).Judge(75));
    }
}
