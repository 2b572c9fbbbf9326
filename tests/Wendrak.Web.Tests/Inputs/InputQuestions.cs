using System.Text.Json;
using System.Text.Json.Nodes;
using Wendrak.Core.Alignment;
using Wendrak.Core.Choices;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Markings;
using Wendrak.Core.Procedures;
using Wendrak.Core.Records;
using Wendrak.Core.Shafts;
using Wendrak.Core.Sharing;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;
using Wendrak.Core.Wheels;
using static Wendrak.Web.Tests.Reference.Asked;

namespace Wendrak.Web.Tests.Inputs;

/// <summary>Questions that what is stored by chance does not lead to: everything is given that such a question may hold.</summary>
internal static class InputQuestions
{
    public static IEnumerable<(string Path, JsonNode Body)> All()
    {
        yield return Of("/api/build/torque-estimate", new TorqueEstimateInput(300, 250, PullTold.Hand));
        yield return Of("/api/ratio/drives", new MachineDrivesInput([Geared], Wheels(15, 45), [], 6_000));
        yield return Of("/api/ratio/bands", Bands(new CruiseSpeed(90, 2, 5_000, 5_400)));
        yield return Of("/api/ratio/bands", Bands(new OutputSpeed(1_200, 1, 5_000, 5_400)));
        yield return Of("/api/ratio/search", Search(Geared, Mounted, 15, 44));
        yield return Of("/api/ratio/search", Search(DriveOf(1_950, VBelt), VBelt, 125, 250));
        yield return Of(
            "/api/ratio/starting-search",
            new StartingSearchInput(
                Geared,
                Wheels(15, 45, 112),
                [],
                ["final"],
                new CruiseSpeed(90, 2, 5_000, 5_400),
                [],
                Work,
                Shelf
            )
        );
        yield return Of(
            "/api/fit/starting-parts",
            new StartingPartsInput(DriveElement.Chain, new(0, 0), new(-640, 10))
        );
        yield return Of(
            "/api/fit/loop",
            new LoopFitInput(
                DriveOf(null, Chain("520")),
                new("final", 15, 45, 112),
                new("final", 15, 45, 112),
                Slot(630, 670) with
                {
                    Limits = [new("mudguard", new(-300, -90), new(-340, -90), 4, 2)],
                },
                10,
                false,
                2
            )
        );
        yield return Of(
            "/api/fit/fixed-centre",
            new FixedCentreInput(DriveOf(null, Chain("520")), "final", 640, 13, 17, 40, 48, 6, false)
        );
        yield return Of(
            "/api/fit/spacers",
            new SpacerStacksInput(
                Forked,
                Middle,
                [new(6, 2), new(4, 3), new(10, 2), new(1, 4), new(0.5, 4)],
                3,
                0.1,
                3,
                SpacerOrder.NearestToLine
            )
        );
        yield return Of(
            "/api/fit/spacer-workings",
            new SpacerWorkingsInput(
                Forked,
                Middle,
                [
                    [6],
                    [4, 4],
                    [10],
                ],
                [false, false]
            )
        );
        yield return Of(
            "/api/fit/rail",
            new RailInput(
                Forked,
                [new("a", 15, 20, null), new("b", 15, 20, null)],
                [Apart(300) with { LoopKey = "a" }, Apart(250) with { LoopKey = "b" }],
                [Middle],
                [new(6, 12, 2), new(4, 12, 3), new(10, 12, 2)]
            )
        );
        yield return Of("/api/fit/groove", new GrooveInput("A", 112, 13, 11, 38, 0.3));
        yield return Of(
            "/api/fit/sheave-shims",
            new SheaveShimsInput(28, 1, ShimSense.BetweenHalves, 4, 0, 3, 2, 60, 270, 850)
        );
        foreach (ShaftHubConnection carrier in Carriers)
            yield return Of("/api/loads/shaft-hub-capacity", new ShaftHubCapacityInput(carrier, 60, 400, 90));
        yield return Of(
            "/api/set/warmth",
            new ThermalTensionInput(CaseMetal.Aluminium, 600, 95, 20, 0.985, 1_600, 100_000, 1e-5)
        );
        yield return Of("/api/set/sprung-arm", new SprungArmInput(200, 40, 70, 80, 45, 10));
        yield return Of(
            "/api/set/straightness",
            new StraightnessInput(MachineKind.Winch, DriveElement.ToothedBelt, 640, 180, null, LineOffsetMm: 2)
        );
        yield return Of("/api/set/advice", SetSamples.Visit);
        yield return Of("/api/set/advice", SetSamples.ChainOnItsWheels);
        yield return Of("/api/set/advice", SetSamples.InSheave);
    }

    private static readonly StockWheel[] Shelf =
    [
        new("520", WheelSide.Rear, 45, "6-hole", 1, 40, true),
        new("520", WheelSide.Rear, 43, "6-hole", 0, 35, true),
        new("520", WheelSide.Front, 16, "spline", 1, 20, true),
    ];

    private static readonly WorkCosts Work = new(25, 10, 60, 20, 75, 30);

    private static Drive Geared =>
        DriveOf(
            1_950,
            new Gearbox("box", "box", "in", "mid", new(0, 0, "six", [2.8, 2, 1.5], false, null)),
            Mounted
        ) with
        {
            GearsInterchangeable = true,
        };

    private static Loop Mounted => Chain("520", "mid") with { FrontMounting = "spline", RearMounting = "6-hole" };

    private static RatioBandsInput Bands(AimTarget aim) => new(Geared, Wheels(15, 45), [], ["final"], aim, []);

    private static Loop VBelt => LoopOf(DriveElement.VBelt, "A");

    private static RatioSearchInput Search(Drive drive, Loop loop, double front, double rear)
    {
        double step = loop.IsToothed ? 1 : 20;
        LoopSearch search = new(
            loop.Key,
            front - step,
            front + step,
            rear - step,
            rear + step,
            false,
            false,
            null,
            null,
            Work,
            []
        );
        return new(
            drive,
            Wheels(front, rear),
            [],
            [search],
            new OverallRatio(2, 7, null),
            [],
            RatioRanking.LeastWork,
            Shelf
        );
    }

    /// <summary>Two loops off one shaft, each with its wheel on it.</summary>
    private static Drive Forked =>
        DriveOf(null, Chain("06B", "in", "x") with { Key = "a" }, Chain("06B", "in", "y") with { Key = "b" });

    private static ShaftWidths Middle =>
        new(
            "drive",
            "in",
            -30,
            60,
            12,
            [new("a", WheelSide.Front, 14, 4, 15, true), new("b", WheelSide.Front, 14, 10, 38, true)]
        );

    private static readonly ShaftHubConnection[] Carriers =
    [
        new KeyJoint(25, 8, 7, 30),
        new SplineJoint(13, 25, 21, 20),
        new BoltCircle(6, 110, 8),
        new SolidShaft(20, 5),
    ];

    private static (string, JsonNode) Of<T>(string path, T body) =>
        (path, JsonSerializer.SerializeToNode(body, Json.Options)!);

    /// <summary>The same of what is stored.</summary>
    public static IEnumerable<(string Path, JsonNode Body)> OfStored()
    {
        yield return Of(
            "/api/machines/{id}/set-jobs",
            new SetJob(
                0,
                0,
                1,
                "final",
                new(2026, 11, 30),
                null,
                SetGoal.Both,
                [new(0.5, 0.5, LockState.Torqued, [new(ReadingMethod.Push, 6, 1, 20)], 1, TemperatureC: 15)],
                [],
                null
            )
        );
        yield return Of("/api/machines/{id}/choice/{loopKey}", new ChoiceAsked(null, Weighed()));
        yield return Of("/api/markings/measured", new MeasuredMarking(MarkedThing.Chain, 127, 7.8, 8.5));
        yield return Of("/api/machines", WithOwnSteps());
        yield return Of("/api/machines/file", Filed());
        foreach (SharedTake take in Shared())
            yield return Of("/api/shared-files/compare", take);
    }

    /// <summary>A weighing of which everything is known.</summary>
    private static LoopWeighing Weighed() =>
        LoopWeighing.Empty("final", null) with
        {
            Wishes = [new(DriveWish.Quiet, 3)],
            RatePerHour = 30,
            FuelPrice = 2,
            LevelHow = "at 1 m",
            Figures =
            [
                new(
                    "plainChain",
                    60,
                    45,
                    8_000,
                    12_000,
                    SaidBy.MeasuredHere,
                    1,
                    500,
                    10,
                    1_000,
                    SaidBy.MeasuredHere,
                    5,
                    0.2,
                    300,
                    50,
                    80,
                    3
                ),
            ],
        };

    /// <summary>A machine whose chain was measured, with all that such a measure may say.</summary>
    private static MachineFile Filed()
    {
        MachineDraft draft = StartingMachines.For(MachineKind.Motorcycle);
        JobEvent[] events =
        [
            new JobOpened(JobReason.Visit, null, null, null),
            new ElongationMeasured(
                draft.Fitted[0].LoopKey,
                16,
                MeasuredOver.Pins,
                [255, 254.8],
                ChainId: draft.Machine.Drives[0].Stages.OfType<Loop>().First().Standard,
                ReadsShortMm: 0.1,
                Pull: new(500, 840, 255.1, 340)
            ),
            new FaultDescribed(
                draft.Fitted[0].LoopKey,
                ["knocksOnce"],
                ["rain"],
                ["dust"],
                new(null, ["rain"], ["dust"]),
                1,
                "uphill"
            ),
            new FaultTested(draft.Fitted[0].LoopKey, "playFour", "even", [22, 25, 27, 24], "mm"),
            new FaultFound(draft.Fitted[0].LoopKey, ["stiffLink"], "it", "why", FindingGrade.Watch, ["playFour"]),
            new FindingCured("it", "worked free"),
            new CureJudged(draft.Fitted[0].LoopKey, true),
        ];
        return MachineFile.From(
            draft.Machine with
            {
                Name = "Measured",
            },
            [new(1, 1, 0, "As fitted", SetupStatus.AsFitted, draft.Fitted, [], new(2026, 11, 30), null, null, null)],
            [],
            [new(new(2026, 11, 30), [.. events.Select(e => new FiledEvent(DateTimeOffset.UnixEpoch, null, e))])]
        );
    }

    private static readonly OwnProcedure Own = new(
        ProcedureFamily.FinalChain,
        [new("front-nut-tight", "Nut to its torque.", 9, 108)],
        [new("paint", StepPhase.Close, "set", "Paint line.", "It shows whether it moved.", 1, false)]
    );

    private static MachineSave WithOwnSteps()
    {
        MachineDraft draft = StartingMachines.For(MachineKind.Motorcycle);
        return new(draft.Machine with { Name = "Own steps", Procedures = [Own] }, draft.Fitted, 0);
    }

    private static IEnumerable<SharedTake> Shared()
    {
        SharedFile Holding(SharedContent content) =>
            new(SharedFile.FormatName, SharedFile.NewestVersion, "For others", 3, "Ann", new(2026, 11, 30), content);
        SharedAim aim = new(
            "Cruise",
            new CruiseSpeed(90, 2, 5_000, 5_400),
            new("tar", "dry", "two"),
            new(1, 2, 3, 1, 2, 3),
            "By the sea"
        );
        yield return new(Holding(new SharedProcedure(Own, 1)), 1, null, false);
        yield return new(Holding(new SharedGearboxSet("Six", [2.75, 1.9], true, "Measured")), null, null, true);
        yield return new(Holding(new SharedAims("Dyke road", [aim], ["As before"])), 1, "drive", false);
    }
}
