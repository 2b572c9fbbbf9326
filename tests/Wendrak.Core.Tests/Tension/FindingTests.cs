using Wendrak.Core.Evaluation;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using static Wendrak.Core.Tests.Tension.SetCases;

namespace Wendrak.Core.Tests.Tension;

/// <summary>What each instrument found stands until it, or one that is tied to it, settles it.</summary>
public sealed class FindingTests
{
    private static readonly SetRound PluckedLow = Plucked(0, 0, 1.2, 51, 52, 53, 52) with { Lock = LockState.Torqued };
    private static readonly SetRound FeltRight = new(0.25, 0.25, LockState.Torqued, [new(ReadingMethod.Feel, 2)], 1.2);

    private static InstrumentFinding[] Findings(SetInput input) => [.. SetEvaluation.Advise(input).Findings];

    [Fact]
    public void Another_instrument_hides_nothing_and_keeps_the_window_that_was_typed()
    {
        InstrumentFinding[] findings = Findings(Belt(PluckedLow, FeltRight));
        Assert.Equal([ReadingMethod.Pluck, ReadingMethod.Feel], findings.Select(f => f.Method));
        Assert.True(findings[0].IsOpen);
        Assert.Equal(64, findings[0].WindowLooseReading!.Value, 1e-6);
        Assert.Equal(74, findings[0].WindowTightReading!.Value, 1e-6);
        Assert.Equal((true, false), (findings[1].IsInside!.Value, findings[1].IsOpen));
    }

    [Fact]
    public void It_is_settled_by_the_same_instrument_or_by_a_tied_pair()
    {
        SetRound pluckedRight = Plucked(0.25, 0.25, 1.2, 67, 68, 69, 68);
        Assert.DoesNotContain(Findings(Belt(PluckedLow, FeltRight, pluckedRight)), f => f.IsOpen);
        SetInput tied = Belt(PluckedLow, FeltRight) with
        {
            Gauge = [new(ReadingMethod.Feel, 2, ReadingMethod.Pluck, 69)],
        };
        Assert.DoesNotContain(Findings(tied), f => f.IsOpen);
    }

    [Fact]
    public void Closing_over_something_open_asks_a_reason_and_keeps_it()
    {
        SetInput open = Belt(PluckedLow);
        Assert.Equal(
            [ClosedDespite.OutsideWindow, ClosedDespite.CautionsNotConfirmed, ClosedDespite.NoTorque],
            ClosingReasons.Find(new(open, false, null)).Despite
        );
        Assert.Equal([ClosedDespite.OutsideWindow], ClosingReasons.Find(new(open, true, 55)).Despite);
        SetRound wide = Plucked(0, 0, 1.2, 60, 69, 78, 69);
        Assert.Contains(ClosedDespite.AdvisorStopped, ClosingReasons.Find(new(Belt(wide), true, 55)).Despite);
        SetRound right = Plucked(0, 0, 1.2, 67, 68) with { Lock = LockState.Torqued };
        Assert.Empty(ClosingReasons.Find(new(Belt(right), true, 55)).Despite);
    }

    /// <summary>Each instrument in its own scale: what lies outside is told with its window, and what lies inside is not.</summary>
    [Theory]
    [InlineData("play, TensionOnly", ReadingMethod.FreePlay, 90, null)]
    [InlineData("pluck, TensionOnly", ReadingMethod.Pluck, 51, 69.0)]
    [InlineData("push, TensionOnly", ReadingMethod.Push, 12, 6.5)]
    [InlineData("gauge, TensionOnly", ReadingMethod.Gauge, 2, 6.0)]
    [InlineData("feel, TensionOnly", ReadingMethod.Feel, 1, 2.0)]
    [InlineData("feel of a chain, TensionOnly", ReadingMethod.Feel, 3, 2.0)]
    public void A_reading_outside_its_window_is_told_by_whichever_instrument(
        string name,
        ReadingMethod method,
        double outside,
        double? inside
    )
    {
        (_, SetInput loop, _) = InstrumentCases.All.Single(c => c.Name == name);
        double? force = method == ReadingMethod.Push ? 20 : null;
        ClosingAnswer Over(double value) =>
            ClosingReasons.Find(
                new(
                    loop with
                    {
                        Rounds =
                        [
                            new(0, 0, LockState.Torqued, [new(method, value, 0, force), new(method, value, 2, force)]),
                        ],
                    },
                    true,
                    55
                )
            );
        OutsideReading told = Assert.Single(Over(outside).Outside);
        Assert.Equal((method, outside, outside), (told.Method, told.Loosest, told.Tightest));
        Assert.Contains(ClosedDespite.OutsideWindow, Over(outside).Despite);
        if (method != ReadingMethod.Feel)
            Assert.True(
                outside < Math.Min(told.WindowLoose!.Value, told.WindowTight!.Value)
                    || outside > Math.Max(told.WindowLoose.Value, told.WindowTight.Value)
            );
        double middle = inside ?? ((told.WindowLoose + told.WindowTight) / 2)!.Value;
        Assert.Empty(Over(middle).Outside);
    }

    /// <summary>The average of the readings lies inside; two of the places do not.</summary>
    [Fact]
    public void No_average_is_a_verdict()
    {
        SetRound round = Plucked(0, 0, 1.2, 60, 69, 78, 69) with { Lock = LockState.Torqued };
        OutsideReading told = Assert.Single(ClosingReasons.Find(new(Belt(round), true, 55)).Outside);
        Assert.Equal((60, 78), (told.Loosest, told.Tightest));
        Assert.Equal((64, 74), (Math.Round(told.WindowLoose!.Value, 6), Math.Round(told.WindowTight!.Value, 6)));
    }

    [Fact]
    public void A_gap_counts_where_the_track_is_set_too()
    {
        SetRound round = Plucked(0, 0, 4, 67, 68, 69, 68) with { Lock = LockState.Torqued };
        OutsideReading told = Assert.Single(ClosingReasons.Find(new(Belt(round), true, 55)).Outside);
        Assert.Equal((null, 4), (told.Method, told.Loosest));
        Assert.Empty(ClosingReasons.Find(new(Belt(round) with { Goal = SetGoal.TensionOnly }, true, 55)).Outside);
    }

    private static (Machine Machine, Setup Fitted) Stored(SetInput belt)
    {
        Machine machine = new(
            1,
            1,
            "Moped",
            belt.Kind,
            null,
            null,
            null,
            [belt.Drive],
            null,
            Layouts: [belt.Layout!],
            Loads: new([], [new("final", WidthMm: 20)]),
            Settings: [belt.Setting]
        );
        return (
            machine,
            new(1, 1, 1, "as fitted", SetupStatus.AsFitted, belt.Loops, [], new(2026, 1, 1), null, null, null)
        );
    }

    [Fact]
    public void A_reason_is_asked_for_by_what_is_stored_and_stands_in_the_record()
    {
        (Machine machine, Setup fitted) = Stored(Belt());
        SetClosing closing = new(new(2026, 5, 1), null, 55, [.. Enum.GetValues<ClosingStep>()], null, null);
        SetJob job = new(
            1,
            1,
            1,
            "final",
            new(2026, 5, 1),
            null,
            SetGoal.Both,
            [PluckedLow],
            [],
            closing,
            Cautions: new(null, DateTimeOffset.UnixEpoch)
        );
        Refusals.Names("Closing.Reason", () => ClosedVisit.Fill(job, machine, fitted));
        SetClosing kept = ClosedVisit
            .Fill(job with { Closing = closing with { Reason = "the adjuster is at its end" } }, machine, fitted)
            .Closing!;
        Assert.Equal([ClosedDespite.OutsideWindow], kept.Despite!);
        Assert.Equal("the adjuster is at its end", kept.Reason);
        // What is claimed to be open and is not is not kept.
        SetJob right = job with
        {
            Rounds = [Plucked(0, 0, 1.2, 67, 68) with { Lock = LockState.Torqued }],
            Closing = closing with { Despite = [ClosedDespite.NoTorque], Reason = "none" },
        };
        Assert.Equal((null, null), (ClosedVisit.Fill(right, machine, fitted).Closing!.Despite, (string?)null));
        OpenReading stands = Assert.Single(MachineSummary.From(machine, fitted, [job]).OpenReadings);
        Assert.Equal((new DateOnly(2026, 5, 1), ReadingMethod.Pluck), (stands.On, stands.Finding.Method));
        SetJob next = right with { Id = 2, OpenedOn = new(2026, 6, 1) };
        Assert.Empty(MachineSummary.From(machine, fitted, [job, next]).OpenReadings);
        SetJob felt = next with { Rounds = [FeltRight with { LeftUnits = 0, RightUnits = 0 }] };
        Assert.Equal(stands, Assert.Single(MachineSummary.From(machine, fitted, [job, felt]).OpenReadings));
    }
}
