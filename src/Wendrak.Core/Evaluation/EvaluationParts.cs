using System.Text.Json.Serialization;
using Wendrak.Core.Alignment;
using Wendrak.Core.Drawing;
using Wendrak.Core.Fit;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Shafts;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Evaluation;

/// <summary>What is asked of a machine at once: one member for each thing that can be known, null for what is not asked.</summary>
public sealed record EvaluationParts
{
    public HeadlinesQuestion? Headlines { get; init; }
    public GuessesQuestion? Guesses { get; init; }
    public ComparisonQuestion? Comparison { get; init; }
    public BesideQuestion? SideBySide { get; init; }
    public DrivesQuestion? Drives { get; init; }
    public BandsQuestion? Bands { get; init; }
    public NearestAimsQuestion? NearestAims { get; init; }
    public StartingAimQuestion? StartingAim { get; init; }
    public BetterAimQuestion? BetterAim { get; init; }
    public StartingSearchQuestion? StartingSearch { get; init; }
    public SearchQuestion? Search { get; init; }
    public FollowUpsQuestion? FollowUps { get; init; }

    public FitQuestion? Fit { get; init; }
    public NeighboursQuestion? Neighbours { get; init; }
    public CombinationsQuestion? Combinations { get; init; }
    public PairsForMoveQuestion? PairsForMove { get; init; }
    public FixedCentreQuestion? FixedCentre { get; init; }
    public LengthForCentreQuestion? LengthForCentre { get; init; }
    public SuspensionQuestion? Suspension { get; init; }
    public RailQuestion? Rail { get; init; }
    public StackWorkingsQuestion? StackWorkings { get; init; }
    public FitQuestion? Drawing { get; init; }
    public StartingLayoutQuestion? StartingLayout { get; init; }
    public StartingAdjusterQuestion? StartingAdjuster { get; init; }

    public LoadsQuestion? Loads { get; init; }
    public LoadsQuestion? Mends { get; init; }
    public LoadsBesideQuestion? LoadsBeside { get; init; }
    public ShaftHubQuestion? ShaftHub { get; init; }
    public StartingAlternativeQuestion? StartingAlternative { get; init; }

    public BuildQuestion? Build { get; init; }

    public LookQuestion? Look { get; init; }
    public DueQuestion? Due { get; init; }
    public WearQuestion? Wear { get; init; }

    public SetQuestion? Set { get; init; }
    public ClosingPart? Closing { get; init; }
    public SetQuestion? SideMatch { get; init; }
    public StraightnessQuestion? Straightness { get; init; }
    public WarmthQuestion? Warmth { get; init; }
    public RunningInQuestion? RunningIn { get; init; }
    public PracticeQuestion? Practice { get; init; }
    public PracticeScoreQuestion? PracticeScore { get; init; }

    /// <summary>Whether an answer needs what the workshop has.</summary>
    [JsonIgnore]
    public bool NeedsWorkshop =>
        (StartingSearch, Search, Combinations, Rail, Build, Set, Due) is not (null, null, null, null, null, null, null);

    /// <summary>Whether it needs what is on the other machines of the yard as well.</summary>
    [JsonIgnore]
    public bool NeedsYard => Build is not null;
}

/// <summary>What was known, or why not: one of both.</summary>
/// <param name="Refused">
/// Fields by their path in the question of this part, or from <c>Scope</c> on. What was left out of the question and is wrong as
/// it is stored is named where it would stand there.
/// </param>
public sealed record Part<T>(T? Answer, IReadOnlyList<InputIssue>? Refused = null);

/// <summary>Answers to <see cref="EvaluationParts"/>, under the same names; what was not asked is not there.</summary>
public sealed record EvaluationAnswer
{
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<StationHeadlines>? Headlines { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<IReadOnlyList<MachineGuess>>? Guesses { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<SetupComparisonResult>? Comparison { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<SetupComparisonResult>? SideBySide { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<MachineDrivesResult>? Drives { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<RatioBandsResult>? Bands { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<NearestAimResult>? NearestAims { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<AimTarget>? StartingAim { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<BetterAim>? BetterAim { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<IReadOnlyList<LoopSearch>>? StartingSearch { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<SearchAnswer>? Search { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<IReadOnlyList<FollowUpTask>>? FollowUps { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<LoopFitResult>? Fit { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<NeighbourPairsResult>? Neighbours { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<LoopCombinationsResult>? Combinations { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<IReadOnlyList<PairForMove>>? PairsForMove { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<FixedCentreResult>? FixedCentre { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<LengthForCentreResult>? LengthForCentre { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<SuspensionPlayResult>? Suspension { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<RailResult>? Rail { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<IReadOnlyList<Working>>? StackWorkings { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<LoopDrawingFiles>? Drawing { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<StartingLayoutAnswer>? StartingLayout { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<AdjusterOnLayout>? StartingAdjuster { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<LoopLoadsResult>? Loads { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<IReadOnlyList<CheckMends>>? Mends { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<IReadOnlyList<LoadsColumn>>? LoadsBeside { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<ShaftHubCapacityResult>? ShaftHub { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<LoopAlternative>? StartingAlternative { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<BuildAnswer>? Build { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<LookAnswer>? Look { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<DueAnswer>? Due { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<WearAnswer>? Wear { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<SetAdvice>? Set { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<ClosingAnswer>? Closing { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<SideMatchAnswer>? SideMatch { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<StraightnessResult>? Straightness { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<ThermalTensionResult>? Warmth { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<RunningInResult>? RunningIn { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<PracticeReading>? Practice { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Part<PracticeScore>? PracticeScore { get; init; }
}
