using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Sharing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Sharing;

/// <summary>What one workshop hands to another: what is refused, what differs, what is taken.</summary>
public sealed class SharedFilesTests
{
    private static readonly Procedure Chain = ProcedureLibrary.Get(ProcedureFamily.FinalChain);
    private static readonly string Nut = Chain.Steps.First(s => s.Fastener is not null).Key;
    private static readonly string First = Chain.Steps[0].Key;
    private static readonly Wishes NoWish = new(0, 0, 0, 0, 0, 0);
    private static readonly Conditions Dry = new("tar", "dry", null);

    private static OwnProcedure Own(params StepWording[] reworded) => new(ProcedureFamily.FinalChain, reworded, []);

    private static AddedStep Wipe(string say = "Wipe the stand.") =>
        new("wipe", StepPhase.Close, Nut, say, "It drips.", 2, false);

    private static Machine With(OwnProcedure? own) =>
        StartingMachines.For(MachineKind.Motorcycle).Machine with
        {
            Procedures = own is null ? null : [own],
        };

    private static SharedFile Of(SharedContent content) =>
        new(SharedFile.FormatName, 1, "A title", 3, "Ann", new(2026, 11, 30), content);

    private static SharedAim Cruise(string name, double speedKmh = 90, int gear = 0) =>
        new(name, new CruiseSpeed(speedKmh, gear, 4_000, 5_000), Dry, NoWish, null);

    private static Aim Kept(SharedAim aim, long id = 7, string? venue = "Dyke road", string drive = "drive") =>
        new(id, 4, 1, aim.Name, drive, aim.Target, aim.Conditions, aim.Wishes, aim.Note, [], venue);

    private static readonly Drive OneGear = Gearing.Drives.WithStages([Gearing.Drives.Chain("final", "in", "axle")]);

    [Fact]
    public void A_procedure_is_taken_step_by_step_and_what_is_only_here_stays()
    {
        OwnProcedure here = new(
            ProcedureFamily.FinalChain,
            [new(First, "Ours", null, null), new(Nut, null, null, 90)],
            [Wipe()]
        );
        OwnProcedure there = new(
            ProcedureFamily.FinalChain,
            [new(Nut, null, 6, 98), new(Chain.Steps[1].Key, "Theirs", null, null)],
            [Wipe(), Wipe() with { Key = "oil", Do = "Oil it." }]
        );
        SharedProcedure file = new(there, Chain.Version);
        SharedDifferences differs = SharingProcedures.Compare(file, With(here));

        Assert.Equal(
            [(First, SharedState.OnlyHere), (Chain.Steps[1].Key, SharedState.New), (Nut, SharedState.Other)],
            differs.Wordings.Select(w => (w.Step, w.State))
        );
        Assert.Equal([SharedState.Same, SharedState.New], differs.AddedSteps.Select(a => a.State));
        Assert.Equal(Chain.Steps.First(s => s.Key == Nut).Do, differs.AddedSteps[1].AfterThere);
        Assert.Equal((1, 2, 1, true), (differs.ChangesHere, differs.Adds, differs.Stays, differs.IsKnown));
        Assert.Contains("hold them against what the maker", differs.Caution, StringComparison.Ordinal);

        Machine next = SharingProcedures.Take(file, With(here));
        OwnProcedure taken = Assert.Single(next.Procedures!);
        Assert.Equal(98, taken.Reworded.Single(w => w.Step == Nut).TorqueNm);
        Assert.Equal("Ours", taken.Reworded.Single(w => w.Step == First).Do);
        Assert.Equal("Theirs", taken.Reworded.Single(w => w.Step == Chain.Steps[1].Key).Do);
        Assert.Equal(["wipe", "oil"], taken.Added.Select(a => a.Key));
        Assert.Equal(0, SharingProcedures.Compare(file, next) is var again ? again.Adds + again.ChangesHere : -1);
    }

    [Fact]
    public void Words_of_a_file_take_no_torque_away_and_the_same_words_are_no_change()
    {
        OwnProcedure here = Own(new StepWording(Nut, "Ours", null, 98));
        SharedProcedure words = new(Own(new StepWording(Nut, "Theirs", 7, null)), Chain.Version);
        Assert.Equal(1, SharingProcedures.Compare(words, With(here)).ChangesHere);
        Machine next = SharingProcedures.Take(words, With(here));
        Assert.Equal(new(Nut, "Theirs", 7, 98), next.Procedures![0].Reworded[0]);
        Assert.Equal(SharedState.Same, SharingProcedures.Compare(words, next).Wordings[0].State);
        Assert.Null(SharingProcedures.Compare(words, next).Caution);
    }

    [Fact]
    public void What_was_measured_on_a_machine_stays_with_it_and_a_torque_keeps_what_thread_it_is_for()
    {
        StepWording ours = new(Nut, null, null, 98, TorqueThread.Dry);
        StepWording spacers = new("wheel-in", null, null, null, null, 4.5);
        SharedProcedure file = SharingProcedures.From(Own(ours, spacers with { Do = "Ours" }));
        Assert.Equal([ours, spacers with { Do = "Ours", WayMm = null }], file.Procedure.Reworded);
        Refusals.Names("Family", () => SharingProcedures.From(Own(spacers)));

        Machine here = With(Own(spacers with { WayMm = 6 }, new StepWording(Nut, null, null, 90, TorqueThread.Wet)));
        Assert.Equal(
            [SharedState.Other, SharedState.New],
            SharingProcedures.Compare(file, here).Wordings.Select(w => w.State)
        );
        IReadOnlyList<StepWording> taken = SharingProcedures.Take(file, here).Procedures![0].Reworded;
        Assert.Equal((6.0, "Ours"), (taken[0].WayMm, taken[0].Do));
        Assert.Equal((98.0, TorqueThread.Dry), (taken[1].TorqueNm, taken[1].TorqueFor));
    }

    [Fact]
    public void A_procedure_that_no_loop_of_the_machine_is_worked_on_by_is_refused()
    {
        SharedProcedure belt = new(new(ProcedureFamily.FinalBelt, [], []), 1);
        Refusals.Names("File.Content.Procedure.Family", () => SharingProcedures.Compare(belt, With(null)));
    }

    [Fact]
    public void A_procedure_written_beside_another_version_says_so()
    {
        SharedDifferences differs = SharingProcedures.Compare(
            new(Own(new StepWording(First, "Theirs", null, null)), Chain.Version + 1),
            With(null)
        );
        Assert.Contains($"version {Chain.Version + 1}", differs.Caution, StringComparison.Ordinal);
        Assert.Equal((false, 1), (differs.IsKnown, differs.Adds));
    }

    [Fact]
    public void A_gearbox_set_is_compared_gear_by_gear()
    {
        SharedGearboxSet file = new("Six", [2.75, 1.9, 1.5, 1.2], false, "measured");
        GearboxSet here = new(5, 8, "Six", [2.75, 1.85, 0], true, null);
        SharedDifferences differs = SharingGearboxSets.Compare(file, here);
        Assert.Equal(
            [SharedState.Same, SharedState.Other, SharedState.Other, SharedState.New],
            differs.Gears.Select(g => g.State)
        );
        Assert.Equal((2, 1.85, 1.9), (differs.Gears[1].Gear, differs.Gears[1].Here, differs.Gears[1].There));
        Assert.Equal(["sense of turning", "note"], differs.Set.Select(s => s.What));
        Assert.Equal(("against the input", "with the input"), (differs.Set[0].Here, differs.Set[0].There));
        Assert.Equal((4, 1), (differs.ChangesHere, differs.Adds));
        Assert.Contains("Every machine", differs.Caution, StringComparison.Ordinal);

        GearboxSet taken = SharingGearboxSets.Take(file, here);
        Assert.Equal((5, 8, "measured", false), (taken.Id, taken.Version, taken.Note, taken.TurnsRound));
        Assert.Equal(file.Reductions, taken.Reductions);
        SharedDifferences unknown = SharingGearboxSets.Compare(file, null);
        Assert.Equal((4, 0, false), (unknown.Adds, unknown.ChangesHere, unknown.IsKnown));
        Assert.Null(unknown.Caution);
    }

    /// <summary>A set here that is longer loses its last gears: that is said, gear by gear.</summary>
    [Fact]
    public void A_gear_that_the_file_does_not_have_is_told_as_changed()
    {
        SharedDifferences differs = SharingGearboxSets.Compare(
            new("Six", [2.75], true, null),
            new(5, 8, "Six", [2.75, 1.85], true, null)
        );
        Assert.Equal((SharedState.Other, 1.85), (differs.Gears[1].State, differs.Gears[1].Here));
        Assert.Null(differs.Gears[1].There);
        Assert.Equal(1, differs.ChangesHere);
    }

    [Fact]
    public void Aims_of_a_venue_go_without_what_was_tried_and_without_what_means_a_setup()
    {
        Aim match = Kept(Cruise("As before")) with { Target = new MatchSetup(3, "Old", [], [], 2) };
        AimOutcome tried = new(new(2026, 5, 1), 3, "Old", [], Dry, 4, null);
        SharedAims file = SharingAims.From(
            "Dyke road",
            [
                Kept(Cruise("Cruise")) with
                {
                    Outcomes = [tried],
                },
                Kept(Cruise("Climb"), venue: " dyke ROAD "),
                Kept(Cruise("Cruise", 70), 9),
                Kept(Cruise("Harbour"), venue: "Harbour"),
                Kept(Cruise("Anywhere"), venue: null),
                match,
            ]
        );
        Assert.Equal(["Cruise", "Climb"], file.Aims.Select(a => a.Name));
        Assert.Equal(["Cruise", "As before"], file.LeftOut);
        Of(file).Check();
        Assert.Contains(
            "means a setup",
            Refusals.Names("Venue", () => SharingAims.From("Dyke road", [match])),
            StringComparison.Ordinal
        );
        Assert.Contains("As before", SharingAims.Compare(file, [], OneGear).Caution, StringComparison.Ordinal);
    }

    [Fact]
    public void Aims_are_the_same_by_name_and_venue_and_one_that_cannot_be_is_left_out()
    {
        SharedAims file = new(
            "Dyke road",
            [Cruise("Same"), Cruise("Other", 95), Cruise("New"), Cruise("Sixth", gear: 5)],
            []
        );
        Aim[] here =
        [
            Kept(Cruise("Same")),
            Kept(Cruise("Other", 80), 8) with
            {
                Outcomes = [new(new(2026, 5, 1), 3, "Old", [], Dry, 4, null)],
            },
            Kept(Cruise("Ours"), 9),
            Kept(Cruise("New"), 10, venue: "Harbour"),
        ];
        SharedDifferences differs = SharingAims.Compare(file, here, OneGear);
        Assert.Equal(
            [SharedState.Same, SharedState.Other, SharedState.New, SharedState.CannotBe, SharedState.OnlyHere],
            differs.Aims.Select(a => a.State)
        );
        Assert.Equal("this drive has no gears.", differs.Aims[3].Why);
        Assert.Equal((1, 1, 1), (differs.ChangesHere, differs.Adds, differs.Stays));

        Machine machine = new(1, 1, "M", default, null, null, null, [OneGear], null);
        IReadOnlyList<Aim> taken = SharingAims.Take(file, here, machine, OneGear);
        Assert.Equal([(8L, "Other"), (0L, "New")], taken.Select(a => (a.Id, a.Name)));
        Assert.Equal(95, ((CruiseSpeed)taken[0].Target).SpeedKmh);
        Assert.Single(taken[0].Outcomes);
        Assert.Equal(("Dyke road", OneGear.Key, 1L), (taken[1].Venue, taken[1].DriveKey, taken[1].MachineId));
    }

    [Fact]
    public void A_file_is_refused_at_what_is_wrong_in_it()
    {
        SharedGearboxSet set = new("Six", [2.75], true, null);
        Of(set).Check();
        Refusals.Names("Format", () => (Of(set) with { Format = "other" }).Check());
        Assert.Contains(
            $"version {SharedFile.NewestVersion + 1}; this program knows {SharedFile.NewestVersion}",
            Refusals.Names(
                "FormatVersion",
                () => (Of(set) with { FormatVersion = SharedFile.NewestVersion + 1 }).Check()
            ),
            StringComparison.Ordinal
        );
        Refusals.Names("Author", () => (Of(set) with { Author = " " }).Check());
        Refusals.Names("Title", () => (Of(set) with { Title = "" }).Check());
        Refusals.Names("Version", () => (Of(set) with { Version = 0 }).Check());
        Refusals.Names("Content.Reductions[0]", () => Of(set with { Reductions = [-1] }).Check());
        Refusals.Names("Content.Aims", () => Of(new SharedAims("Dyke road", [], [])).Check());
        Refusals.Names("Content.Aims", () => Of(new SharedAims("Dyke road", [Cruise("A"), Cruise("A")], [])).Check());
        Refusals.Names("Content.Venue", () => Of(new SharedAims("", [Cruise("A")], [])).Check());
        Refusals.Names("Content.LeftOut[0]", () => Of(new SharedAims("Dyke road", [Cruise("A")], [""])).Check());
        Refusals.Names(
            "Content.Aims[0].Target",
            () =>
                Of(new SharedAims("Dyke road", [Cruise("A") with { Target = new MatchSetup(1, "x", [], [], 2) }], []))
                    .Check()
        );
        Refusals.Names(
            "Content.Aims[0].Target.SpeedKmh",
            () => Of(new SharedAims("Dyke road", [Cruise("A", -5)], [])).Check()
        );
        Refusals.Names(
            "Content.Procedure.Reworded[0].Step",
            () => Of(new SharedProcedure(Own(new StepWording("nowhere", null, 5, null)), 1)).Check()
        );
        Refusals.Names("Content.BasedOn", () => Of(new SharedProcedure(Own(), 0)).Check());
    }

    [Fact]
    public void What_does_not_go_with_a_file_is_refused_not_passed_over()
    {
        SharedFile set = Of(new SharedGearboxSet("Six", [2.75], true, null));
        SharedFile aims = Of(new SharedAims("Dyke road", [Cruise("A")], []));
        SharedFile own = Of(new SharedProcedure(Own(new StepWording(First, "Theirs", null, null)), 1));
        new SharedTake(set, null, null, true).Check();
        new SharedTake(aims, 1, "drive", false).Check();
        new SharedTake(own, 1, null, false).Check();
        Refusals.Names("MachineId", () => new SharedTake(set, 1, null, false).Check());
        Refusals.Names("MachineId", () => new SharedTake(aims, null, "drive", false).Check());
        Refusals.Names("DriveKey", () => new SharedTake(aims, 1, null, false).Check());
        Refusals.Names("DriveKey", () => new SharedTake(own, 1, "drive", false).Check());
        Refusals.Names("IsBeside", () => new SharedTake(aims, 1, "drive", true).Check());
        Refusals.Names("File.Author", () => new SharedTake(set with { Author = "" }, null, null, false).Check());
    }
}
