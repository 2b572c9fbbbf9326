using Wendrak.Core.Evaluation;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Web.Tests.Inputs;

/// <summary>Questions of a page about the demo machines in which everything is given that such a question may hold.</summary>
internal static class EvaluationQuestions
{
    private static readonly EvaluationScope Picked = new(
        ["final"],
        Picks: [new("final", 16, 43, 114)],
        AimId: 1,
        Band: new(2.6, 2.9)
    );

    /// <param name="cards">The demo machines.</param>
    public static IEnumerable<EvaluationQuestion> All(IReadOnlyList<MachineCard> cards)
    {
        MachineCard chain = cards.First(c => c.Machine.Name == "Curlew");
        MachineCard belt = cards.First(c => c.Machine.Name == "Dunlin");
        MachineCard winch = cards.First(c => c.Machine.Name == "Knot");
        yield return OfRatio(chain);
        yield return OfFit(chain);
        yield return OfLoads(chain);
        yield return OfSet(chain, new(["final"]));
        yield return OfSet(belt, new([belt.Fitted.Loops[0].LoopKey]));
        yield return new(new(["final"]), new() { Fit = new(), Set = new() }, null, "Belt, two screws");
        yield return new(
            new(["final"], SetupId: 2, AimId: 1),
            new() { Comparison = new(), Search = new([], [], RatioRanking.Wear, 12, Workings: true) },
            chain.Machine.Id
        );
        string pulleys = winch.Fitted.Loops[0].LoopKey;
        yield return new(
            new([pulleys], Band: new(3.8, 4.2)),
            new() { Search = new([new(pulleys, StandardSizesOnly: true)], [], RatioRanking.Price, 12) },
            winch.Machine.Id
        );
    }

    private static EvaluationQuestion OfRatio(MachineCard card) =>
        new(
            Picked,
            new()
            {
                Headlines = new(),
                Comparison = new(true),
                SideBySide = new([2, 3]),
                Drives = new(6_000, true),
                Bands = new(new CruiseSpeed(90, 5, 5_000, 5_300), true),
                NearestAims = new(new FinalRatio(2.8, 2.9), new("gravel", "wet", "two up"), new(1, 2, 3, 1, 2, 3)),
                StartingAim = new(StartingAimKind.TopSpeed),
                BetterAim = new(Better.Climb),
                Guesses = new(),
                StartingSearch = new([5]),
                Search = new(
                    [new("final", 13, 17, 40, 50, true, false, 3.2, [new(15, 52)])],
                    [5],
                    RatioRanking.Closeness,
                    12,
                    new(2.7, 3.1),
                    true
                ),
                FollowUps = new(),
            },
            card.Machine.Id
        );

    private static EvaluationQuestion OfFit(MachineCard card)
    {
        LoopLayout layout = card.Machine.Layouts![0];
        return new(
            new(["final"]),
            new()
            {
                Fit = new(12, true, layout, true),
                Neighbours = new(layout),
                Combinations = new([15, 16], [43, 45], [110, 112], layout),
                PairsForMove = new(5, layout),
                FixedCentre = new(3, true, layout),
                LengthForCentre = new(640, true),
                StartingLayout = new(new(640, 40, 12)),
                Suspension = new(12, 40, 10, layout, true),
                Drawing = new(12, true, layout),
                StartingAdjuster = new(AdjusterKind.Eccentric, new(AdjusterKind.Cam, MmPerUnit: 2), layout, "rear"),
            },
            card.Machine.Id
        );
    }

    private static EvaluationQuestion OfLoads(MachineCard card)
    {
        LoadSource source = new(card.Machine.Drives[0].Key, PeakTorqueNm: 50, MassKg: 260);
        LoopStrength strength = new("final", BreakingLoadN: 40_000);
        return new(
            new(["final"]),
            new()
            {
                Loads = new(source, strength, true),
                Mends = new(source, strength),
                LoadsBeside = new(
                    source,
                    strength,
                    [new("belt", DriveElement.ToothedBelt, "8M", 28, 84, new("final", WidthMm: 30))]
                ),
                ShaftHub = new(new KeyJoint(25, 8, 7, 30), 150, 300, 400, source, strength),
                StartingAlternative = new(DriveElement.VBelt),
            },
            card.Machine.Id
        );
    }

    private static EvaluationQuestion OfSet(MachineCard card, EvaluationScope scope)
    {
        bool isChain = card.Summary.Loops[0].DriveElement == DriveElement.Chain;
        SetRound Read(params double[] values) =>
            new(
                0,
                0,
                LockState.Nipped,
                [.. values.Select((v, i) => new Reading(isChain ? ReadingMethod.FreePlay : ReadingMethod.Pluck, v, i))]
            );
        SetQuestion set = new(
            Practised: new(SetGoal.Both, [isChain ? Read(60, 55, 52, 58) : Read(100, 102, 99, 101)], []),
            Round: isChain ? Read(50, 48) : Read(120, 118),
            Setting: card.Summary.Loops[0].Setting,
            Workings: true
        );
        return new(
            scope,
            new()
            {
                Set = set,
                SideMatch = null,
                Straightness = new(SpacingMm: 220, Marks: new(500, 503), Setting: set.Setting),
                Warmth = isChain ? null : new(CaseMetal.Aluminium, 80, 20, set, 100_000),
                RunningIn = isChain ? null : new(CordKind.Rubber, 24, set, 168),
                Practice = new(3, set, LockState.Torqued),
                PracticeScore = new(3, set.Practised!, set.Setting),
            },
            card.Machine.Id
        );
    }
}
