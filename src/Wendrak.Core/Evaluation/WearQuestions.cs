using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Upkeep;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wear;

namespace Wendrak.Core.Evaluation;

/// <summary>How the chain in view wears.</summary>
public sealed record WearQuestion;

/// <summary>One reading of a chain, where it stands in its record.</summary>
/// <param name="JobId">Of the job it was measured at.</param>
/// <param name="On">Day of that job.</param>
/// <param name="OdometerKm">What the machine had run; null where nobody looked, and then it is in no forecast.</param>
/// <param name="Measured">As the job tells it.</param>
/// <param name="IsOffLine">It lies further off the line than chance has it; it counts all the same.</param>
/// <param name="IsCounted">It is one of those that make the line: with a distance, and since it is used as it is now.</param>
public sealed record WearRecord(
    long JobId,
    DateOnly On,
    double? OdometerKm,
    ElongationAtJob Measured,
    bool IsOffLine,
    bool IsCounted
);

/// <summary>How a chain wears, and when it has worn to its limit.</summary>
/// <param name="LimitPercent">Elongation at which it is replaced, %; null of a belt.</param>
/// <param name="LimitBy">Whose limit it is; null of a belt.</param>
/// <param name="WatchPercent">From which it is watched, %; null of a belt.</param>
/// <param name="Grade">By the newest reading; null without one, and of what this program does not judge.</param>
/// <param name="Readings">Of the chain that is on, oldest first.</param>
/// <param name="Before">Readings of chains before it.</param>
/// <param name="Forecast">Distances are the odometer’s; null without a reading that has one.</param>
/// <param name="UsualLife">Where the record is too short: what such a chain usually lasts; null where nothing tells how hard it is pulled.</param>
/// <param name="Earliest">Day on which one more reading may show the limit; null where that is not known.</param>
/// <param name="Reached">Day on which the line meets it; null where that is not known.</param>
/// <param name="Reserve">What is left of the adjuster at the limit; null where nothing moves, or where things stand is not known.</param>
/// <param name="WornWheels">Teeth that were found worn and are not mended: a new chain on them does not last.</param>
/// <param name="SetOrPart">The whole set or the chain alone; null while the chain is fine, and of what this program does not judge.</param>
/// <param name="Parts">What else of this loop is measured at its looks, and how it wears.</param>
/// <param name="UsualPitches">To measure at once.</param>
/// <param name="UsualPlaces">To measure at.</param>
/// <param name="MeasuringLoadN">That the chain is to be pulled with meanwhile, N; null of a belt.</param>
/// <param name="Workings">Of the newest reading.</param>
public sealed record WearAnswer(
    double? LimitPercent,
    ChainLimitBy? LimitBy,
    double? WatchPercent,
    FindingGrade? Grade,
    IReadOnlyList<WearRecord> Readings,
    int Before,
    WearForecast? Forecast,
    ElongationLife? UsualLife,
    DateOnly? Earliest,
    DateOnly? Reached,
    ReserveAtLimit? Reserve,
    IReadOnlyList<PartSeen> WornWheels,
    SetOrPart? SetOrPart,
    IReadOnlyList<PartWear> Parts,
    int UsualPitches,
    int UsualPlaces,
    double? MeasuringLoadN,
    IReadOnlyList<Working> Workings
);

/// <summary>What the record of a chain says.</summary>
public static class WearAnswers
{
    // A long stretch makes a reading error small, and three places find the worst. Source: ACA, common practice.
    private const int Pitches = 16;
    private const int Places = 3;

    /// <summary>A measured chain as the record takes it: which chain it is, the machine says, whoever sends what.</summary>
    /// <param name="path">Where the event stands in what was sent; empty for nowhere.</param>
    /// <exception cref="InvalidInputException">The loop is no chain of the table.</exception>
    public static ElongationMeasured Fill(ElongationMeasured sent, Machine machine, string path)
    {
        Loop? loop = MachineRules.LoopsOf(machine).FirstOrDefault(l => l.Key == sent.LoopKey);
        if (loop?.DriveElement != DriveElement.Chain)
            throw new InvalidInputException(
                path.Length == 0 ? nameof(sent.LoopKey) : $"{path}.{nameof(sent.LoopKey)}",
                "no_chain",
                "Name a chain of this machine: its pitches are measured."
            );
        return sent with
        {
            ChainId = loop.Standard,
            Pull = sent.Pull is { } pull ? pull with { NominalN = ChainOfMachine.MeasuringLoadN(machine, loop) } : null,
        };
    }

    internal static WearAnswer Wear(MachineInView view)
    {
        Loop loop = view.AnyLoop;
        ChainLimit? chain = ChainOfMachine.LimitOf(view.Machine, loop, view.FittedOf(loop));
        double? limit = chain?.Percent;
        WearSeries series = WearSeries.Of(loop.Key, view.Stored.Jobs.Select(j => j.Sheet));
        WearForecast? forecast = limit is double l ? series.Forecast(l) : null;
        UsualDistance? usual = view.Due.Usual;
        FindingGrade? grade = limit is double most && LookAnswers.IsJudged(view) ? series.GradeFor(most) : null;
        PartSeen[] worn =
        [
            .. PartSeen
                .Standing(view.Seen)
                .Where(s => s.LoopKey == loop.Key && s.Part is InspectedPart.FrontTeeth or InspectedPart.RearTeeth),
        ];
        return new(
            limit,
            chain?.By,
            limit * WearSeries.WatchedFrom,
            grade,
            series.WithOff(forecast),
            series.Before,
            forecast,
            forecast?.Trend == WearTrend.Rising ? null : LifeOf(view),
            forecast?.OneReading is { } one ? usual?.DayAt(one.Low) : null,
            forecast?.Reached is double reached ? usual?.DayAt(reached) : null,
            limit is double at ? ReserveOf(view, at) : null,
            worn,
            grade is FindingGrade.Watch or FindingGrade.Stop ? SetOrPartOf(view, loop, worn) : null,
            [
                .. PartWear
                    .AllOf(loop, view.Seen, [.. view.Stored.Jobs.Select(j => j.Sheet)], usual, chain)
                    .Select(p => LookAnswers.IsJudged(view) ? p : p.Unjudged()),
            ],
            Pitches,
            Places,
            chain is null ? null : ChainOfMachine.MeasuringLoadN(view.Machine, loop),
            series.Workings
        );
    }

    private static ReserveAtLimit? ReserveOf(MachineInView view, double limit)
    {
        try
        {
            return view.LayoutOf(view.AnyLoop) is not null && view.Fit.Reserve is { ElongationPercent: > 0 } reserve
                ? ReserveAtLimit.Of(reserve.LeftMm, reserve.ElongationPercent, limit)
                : null;
        }
        catch (InvalidInputException)
        {
            return null; // Fit says itself what is in its way.
        }
    }

    private static SetOrPart SetOrPartOf(MachineInView view, Loop loop, IReadOnlyList<PartSeen> worn)
    {
        WorkCosts work = view.Machine.Work ?? WorkCosts.DefaultFor(loop);
        bool IsLooked(InspectedPart part) => view.Seen.Any(s => s.LoopKey == loop.Key && s.Part == part);
        return SetOrPart.Of(
            IsLooked(InspectedPart.FrontTeeth) && IsLooked(InspectedPart.RearTeeth),
            worn.Count > 0,
            work
        );
    }

    private static ElongationLife? LifeOf(MachineInView view)
    {
        try
        {
            return LoadAnswers.IsPullKnown(view) ? view.Loads.Life : null;
        }
        catch (InvalidInputException)
        {
            return null; // Loads says itself what is in its way.
        }
    }
}
