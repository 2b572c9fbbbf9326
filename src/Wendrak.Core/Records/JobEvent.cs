using System.Text.Json.Serialization;

namespace Wendrak.Core.Records;

/// <summary>
/// Something that happened at a job. It is written down once and never changed; who did it and when is what the job's
/// record says, not the event.
/// </summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(JobOpened), "jobOpened")]
[JsonDerivedType(typeof(NoteWritten), "noteWritten")]
[JsonDerivedType(typeof(WaitBegun), "waitBegun")]
[JsonDerivedType(typeof(WaitEnded), "waitEnded")]
[JsonDerivedType(typeof(TimeSpent), "timeSpent")]
[JsonDerivedType(typeof(DeviationNoted), "deviationNoted")]
[JsonDerivedType(typeof(ProvisionalFitted), "provisionalFitted")]
[JsonDerivedType(typeof(ProvisionalCleared), "provisionalCleared")]
[JsonDerivedType(typeof(PhotoTaken), "photoTaken")]
[JsonDerivedType(typeof(PhotoLineDrawn), "photoLineDrawn")]
[JsonDerivedType(typeof(PartUsed), "partUsed")]
[JsonDerivedType(typeof(SetupFitted), "setupFitted")]
[JsonDerivedType(typeof(FindingNoted), "findingNoted")]
[JsonDerivedType(typeof(FindingCured), "findingCured")]
[JsonDerivedType(typeof(RestFine), "restFine")]
[JsonDerivedType(typeof(UseEventNoted), "useEventNoted")]
[JsonDerivedType(typeof(ElongationMeasured), "elongationMeasured")]
[JsonDerivedType(typeof(FaultDescribed), "faultDescribed")]
[JsonDerivedType(typeof(FaultTested), "faultTested")]
[JsonDerivedType(typeof(FaultFound), "faultFound")]
[JsonDerivedType(typeof(CureJudged), "cureJudged")]
[JsonDerivedType(typeof(PlanMade), "planMade")]
[JsonDerivedType(typeof(StepDone), "stepDone")]
[JsonDerivedType(typeof(StepReopened), "stepReopened")]
[JsonDerivedType(typeof(StepMoved), "stepMoved")]
[JsonDerivedType(typeof(TrayTicked), "trayTicked")]
[JsonDerivedType(typeof(JobSigned), "jobSigned")]
[JsonDerivedType(typeof(VisitBegun), "visitBegun")]
[JsonDerivedType(typeof(GoalChosen), "goalChosen")]
[JsonDerivedType(typeof(CautionsSeen), "cautionsSeen")]
[JsonDerivedType(typeof(RoundNoted), "roundNoted")]
[JsonDerivedType(typeof(ReadingTaken), "readingTaken")]
[JsonDerivedType(typeof(ReadingDiscarded), "readingDiscarded")]
[JsonDerivedType(typeof(RoundDropped), "roundDropped")]
[JsonDerivedType(typeof(RoundKept), "roundKept")]
[JsonDerivedType(typeof(ReadingsTied), "readingsTied")]
[JsonDerivedType(typeof(StepTicked), "stepTicked")]
[JsonDerivedType(typeof(VisitCancelled), "visitCancelled")]
[JsonDerivedType(typeof(VisitClosed), "visitClosed")]
public abstract record JobEvent;
