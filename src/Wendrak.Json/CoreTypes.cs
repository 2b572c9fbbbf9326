using System.Text.Json.Serialization;
using Wendrak.Core.Alignment;
using Wendrak.Core.Drawing;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Fit;
using Wendrak.Core.Frequency;
using Wendrak.Core.Gearing;
using Wendrak.Core.Importing;
using Wendrak.Core.Lengths;
using Wendrak.Core.Loads;
using Wendrak.Core.Logbook;
using Wendrak.Core.Loops;
using Wendrak.Core.Markings;
using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Shafts;
using Wendrak.Core.Sharing;
using Wendrak.Core.Stock;
using Wendrak.Core.Tables;
using Wendrak.Core.Tension;
using Wendrak.Core.Traces;
using Wendrak.Core.Wheels;

namespace Wendrak.Json;

/// <summary>How what the core takes, answers and stores is written and read as JSON, found out when this is compiled.</summary>
/// <remarks>
/// Found out while the program runs, every property costs a method that is compiled then and kept: ten megabytes in all. A type
/// that is missing here is found out that way, so that a list that lags behind costs memory and nothing else.
/// </remarks>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata)]
[JsonSerializable(typeof(AdjusterOnLayout))]
[JsonSerializable(typeof(Aim))]
[JsonSerializable(typeof(AimTarget))]
[JsonSerializable(typeof(BeltCodeAnswer))]
[JsonSerializable(typeof(ChoiceDesk))]
[JsonSerializable(typeof(RecordedFigures))]
[JsonSerializable(typeof(ClosingQuestion))]
[JsonSerializable(typeof(CoilLengthResult))]
[JsonSerializable(typeof(CutBeltInput))]
[JsonSerializable(typeof(CutBeltResult))]
[JsonSerializable(typeof(EvaluationAnswer))]
[JsonSerializable(typeof(EvaluationParts))]
[JsonSerializable(typeof(EvaluationScope))]
[JsonSerializable(typeof(FairComparison))]
[JsonSerializable(typeof(FairComparisonQuestion))]
[JsonSerializable(typeof(FaultDesk))]
[JsonSerializable(typeof(FixedCentreInput))]
[JsonSerializable(typeof(FixedCentreResult))]
[JsonSerializable(typeof(FollowUpInput))]
[JsonSerializable(typeof(FrequencyReading))]
[JsonSerializable(typeof(GearboxSet))]
[JsonSerializable(typeof(GrooveInput))]
[JsonSerializable(typeof(GrooveResult))]
[JsonSerializable(typeof(IReadOnlyList<Aim>))]
[JsonSerializable(typeof(IReadOnlyList<CheckMends>))]
[JsonSerializable(typeof(ClosingAnswer))]
[JsonSerializable(typeof(IReadOnlyList<FaultGoingOn>))]
[JsonSerializable(typeof(IReadOnlyList<FollowUpTask>))]
[JsonSerializable(typeof(IReadOnlyList<GearboxSet>))]
[JsonSerializable(typeof(IReadOnlyList<LogLine>))]
[JsonSerializable(typeof(LogFileLook))]
[JsonSerializable(typeof(LogColumns))]
[JsonSerializable(typeof(LogLot))]
[JsonSerializable(typeof(MarkingFound))]
[JsonSerializable(typeof(MeasuredMarking))]
[JsonSerializable(typeof(IReadOnlyList<LoopSearch>))]
[JsonSerializable(typeof(IReadOnlyList<PairFit>))]
[JsonSerializable(typeof(IReadOnlyList<PairForMove>))]
[JsonSerializable(typeof(FindIndex))]
[JsonSerializable(typeof(IReadOnlyList<GlossaryWord>))]
[JsonSerializable(typeof(IReadOnlyList<JobSheet>))]
[JsonSerializable(typeof(IReadOnlyList<SetJob>))]
[JsonSerializable(typeof(IReadOnlyList<Setup>))]
[JsonSerializable(typeof(FilmInput))]
[JsonSerializable(typeof(FilmTime))]
[JsonSerializable(typeof(SheaveShimsInput))]
[JsonSerializable(typeof(SheaveShimsResult))]
[JsonSerializable(typeof(SpeedTrace))]
[JsonSerializable(typeof(TraceQuestion))]
[JsonSerializable(typeof(SharedDifferences))]
[JsonSerializable(typeof(SharedFile))]
[JsonSerializable(typeof(SharedTake))]
[JsonSerializable(typeof(IReadOnlyList<StockItem>))]
[JsonSerializable(typeof(IReadOnlyList<StockPart>))]
[JsonSerializable(typeof(IReadOnlyList<StockSpacer>))]
[JsonSerializable(typeof(IReadOnlyList<HandTool>))]
[JsonSerializable(typeof(IReadOnlyList<Working>))]
[JsonSerializable(typeof(Job))]
[JsonSerializable(typeof(JobEvent))]
[JsonSerializable(typeof(JobOpened))]
[JsonSerializable(typeof(JobSheet))]
[JsonSerializable(typeof(KnownChainInput))]
[JsonSerializable(typeof(KnownChainResult))]
[JsonSerializable(typeof(LengthForCentreInput))]
[JsonSerializable(typeof(LengthForCentreResult))]
[JsonSerializable(typeof(LoadsInput))]
[JsonSerializable(typeof(LoopAlternative))]
[JsonSerializable(typeof(LoopAlternativeStart))]
[JsonSerializable(typeof(LoopCombinationsInput))]
[JsonSerializable(typeof(LoopCombinationsResult))]
[JsonSerializable(typeof(LoopDrawingFiles))]
[JsonSerializable(typeof(LoopFitInput))]
[JsonSerializable(typeof(LoopFitResult))]
[JsonSerializable(typeof(LoopLayout))]
[JsonSerializable(typeof(LoopLoadsResult))]
[JsonSerializable(typeof(Machine))]
[JsonSerializable(typeof(MachineDraft))]
[JsonSerializable(typeof(MachineDrivesInput))]
[JsonSerializable(typeof(MachineDrivesResult))]
[JsonSerializable(typeof(MachineFile))]
[JsonSerializable(typeof(MachineSummary))]
[JsonSerializable(typeof(NearestAimInput))]
[JsonSerializable(typeof(NearestAimResult))]
[JsonSerializable(typeof(NeighbourPairsResult))]
[JsonSerializable(typeof(PairFitsInput))]
[JsonSerializable(typeof(PairsForMoveInput))]
[JsonSerializable(typeof(PracticeInput))]
[JsonSerializable(typeof(PracticeReading))]
[JsonSerializable(typeof(PlanToWork))]
[JsonSerializable(typeof(RailInput))]
[JsonSerializable(typeof(RailResult))]
[JsonSerializable(typeof(RatioBandsResult))]
[JsonSerializable(typeof(RatioSearchInput))]
[JsonSerializable(typeof(RatioSearchResult))]
[JsonSerializable(typeof(RoadWheel))]
[JsonSerializable(typeof(RollingResult))]
[JsonSerializable(typeof(RunningInInput))]
[JsonSerializable(typeof(RunningInResult))]
[JsonSerializable(typeof(SetAdvice))]
[JsonSerializable(typeof(SetInput))]
[JsonSerializable(typeof(SetJob))]
[JsonSerializable(typeof(Setup))]
[JsonSerializable(typeof(SetupComparisonInput))]
[JsonSerializable(typeof(SetupComparisonResult))]
[JsonSerializable(typeof(ShaftHubCapacityInput))]
[JsonSerializable(typeof(ShaftHubCapacityResult))]
[JsonSerializable(typeof(SideMatchInput))]
[JsonSerializable(typeof(SideMatchResult))]
[JsonSerializable(typeof(SpacerStacksInput))]
[JsonSerializable(typeof(SpacerStacksResult))]
[JsonSerializable(typeof(SpacerWorkingsInput))]
[JsonSerializable(typeof(SprocketDiameters))]
[JsonSerializable(typeof(SprungArmInput))]
[JsonSerializable(typeof(SprungArmResult))]
[JsonSerializable(typeof(StartingAdjusterInput))]
[JsonSerializable(typeof(StartingAimInput))]
[JsonSerializable(typeof(StartingParts))]
[JsonSerializable(typeof(StartingPartsInput))]
[JsonSerializable(typeof(StartingSearchInput))]
[JsonSerializable(typeof(StockItem))]
[JsonSerializable(typeof(StockPart))]
[JsonSerializable(typeof(StockSpacer))]
[JsonSerializable(typeof(HandTool))]
[JsonSerializable(typeof(StraightnessInput))]
[JsonSerializable(typeof(StraightnessResult))]
[JsonSerializable(typeof(SuspensionPlayInput))]
[JsonSerializable(typeof(SuspensionPlayResult))]
[JsonSerializable(typeof(ThermalTensionInput))]
[JsonSerializable(typeof(ThermalTensionResult))]
[JsonSerializable(typeof(TorqueEstimateInput))]
[JsonSerializable(typeof(TorqueEstimateResult))]
public sealed partial class CoreTypes : JsonSerializerContext;
