using Wendrak.Core.Photos;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Tests.Records;

/// <summary>What may be said of a photo at a job, and what its lines come to.</summary>
public sealed class PhotoRulesTests
{
    private static readonly string Hash = new('a', 64);
    private static readonly PhotoTaken Whole = new(Hash, 800, 600, null, PhotoShows.Anything, null, null, null);
    private static readonly PhotoLineDrawn Ruler = new(Hash, new(0, 0, 200, 0), 100, "ruler");

    private static JobContent After(params JobEvent[] happened)
    {
        JobContent job = JobContent.From(new(3, 1, 7, new(2026, 11, 29)), []);
        foreach (JobEvent e in (JobEvent[])[new JobOpened(JobReason.Visit, null, null, null), .. happened])
        {
            JobRules.CheckNext(job, e);
            job = job.After(new(job.Sheet.Version + 1, DateTimeOffset.UnixEpoch, "Ann", e));
        }
        return job;
    }

    [Fact]
    public void A_photo_stands_on_the_sheet_with_the_number_it_is_removed_by()
    {
        JobPhoto photo = Assert.Single(After(Whole with { About = "rust" }).Sheet.Photos);
        Assert.Equal(
            (2L, Hash, 800, 600, "rust", "Ann"),
            (photo.Entry, photo.Hash, photo.WidthPx, photo.HeightPx, photo.About, photo.Who)
        );
        Assert.Empty(photo.Lines);
    }

    [Fact]
    public void What_can_not_be_said_of_a_photo_is_refused_at_its_field()
    {
        Refusals.Names("Hash", () => After(Whole with { Hash = "../a" }));
        Refusals.Names("Hash", () => After(Whole, Whole));
        Refusals.Names("WidthPx", () => After(Whole with { WidthPx = 0 }));
        Refusals.Names("HeightPx", () => After(Whole with { HeightPx = PhotoRules.WidestPx + 1 }));
        Refusals.Names("Shows", () => After(Whole with { Shows = (PhotoShows)9 }));
        Refusals.Names("LoopKey", () => After(Whole with { Round = 0 }));
        Refusals.Names("Round", () => After(Whole with { LoopKey = "final", Round = 0 }));
        Refusals.Names("About", () => After(Whole with { About = new string('n', 2001) }));
    }

    [Fact]
    public void It_goes_with_a_round_that_was_read_or_is_being_read()
    {
        JobEvent[] read =
        [
            new VisitBegun("final", SetGoal.Both),
            new RoundNoted("final", new(0, 0, LockState.Torqued, [])),
            new ReadingTaken("final", new(ReadingMethod.FreePlay, 35)),
        ];
        After([.. read, Whole with { LoopKey = "final", Round = 0 }]);
        After([.. read, new RoundKept("final", null), Whole with { LoopKey = "final", Round = 1 }]);
        Refusals.Names("Round", () => After([.. read, Whole with { LoopKey = "final", Round = 1 }]));
        Refusals.Names("Round", () => After([.. read, Whole with { LoopKey = "front", Round = 0 }]));
    }

    [Fact]
    public void The_last_line_of_known_length_sets_the_scale_for_all_that_are_measured()
    {
        PhotoLineDrawn sag = new(Hash, new(10, 10, 10, 70), null, "sag");
        Assert.Null(After(Whole, sag).Sheet.Photos[0].Lines[0].Measured);
        IReadOnlyList<PhotoLine> lines = After(Whole, sag, Ruler).Sheet.Photos[0].Lines;
        Assert.Equal(30, lines[0].Measured!.LengthMm, 9);
        Assert.Equal((100d, null), (lines[1].KnownMm, lines[1].Measured));
        Assert.Equal(
            60,
            After(Whole, sag, Ruler, Ruler with { LengthMm = 200 }).Sheet.Photos[0].Lines[0].Measured!.LengthMm,
            9
        );
    }

    [Fact]
    public void A_line_lies_on_its_photo_and_is_long_enough_to_be_told()
    {
        Refusals.Names("Hash", () => After(Ruler));
        Refusals.Names("Line.X1", () => After(Whole, Ruler with { Line = new(-1, 0, 200, 0) }));
        Refusals.Names("Line.Y1", () => After(Whole, Ruler with { Line = new(0, 601, 200, 0) }));
        Refusals.Names("Line.X2", () => After(Whole, Ruler with { Line = new(0, 0, 801, 0) }));
        Refusals.Names("Line.Y2", () => After(Whole, Ruler with { Line = new(0, 0, 200, 601) }));
        Refusals.Names("Line", () => After(Whole, Ruler with { Line = new(0, 0, PhotoScale.ShortestPx - 1, 0) }));
        Refusals.Names("LengthMm", () => After(Whole, Ruler with { LengthMm = 0 }));
        Refusals.Names("LengthMm", () => After(Whole, Ruler with { LengthMm = PhotoRules.LongestMm + 1 }));
        Refusals.Names("Line", () => After([Whole, .. Enumerable.Repeat(Ruler, PhotoRules.MostLines + 1)]));
    }

    [Fact]
    public void More_photos_than_a_job_brings_are_refused()
    {
        IEnumerable<JobEvent> photos = Enumerable
            .Range(0, PhotoRules.MostPhotos + 1)
            .Select(i => Whole with { Hash = i.ToString("x64", System.Globalization.CultureInfo.InvariantCulture) });
        Refusals.Names("Hash", () => After([.. photos]));
    }
}
