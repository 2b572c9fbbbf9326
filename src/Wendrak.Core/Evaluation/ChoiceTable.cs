using Wendrak.Core.Choices;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>The columns of a weighing: what is known of each, and what it comes to by any weighing.</summary>
/// <param name="at">What can stand in the columns.</param>
internal sealed class ChoiceTable(OptionsAtLoop at)
{
    /// <summary>Side by side to begin with, what is fitted among them; more are put beside.</summary>
    private const int UsualColumns = 3;

    /// <summary>Those that are thought of first.</summary>
    private static readonly string[] Usual = ["toothedBelt", "sealedChain", "plainChain", "vBelt"];

    private readonly Dictionary<string, (IReadOnlyList<OwnReason> Of, Dictionary<DriveWish, int> Says)> _practice = [];
    private readonly Dictionary<string, (Basis By, WeighedOption Option)> _weighed = [];

    /// <summary>All of a weighing that one of its options hangs on, but for how much each wish matters.</summary>
    private sealed record Basis(
        OptionFigures Figures,
        double? RatePerHour,
        double? FuelPrice,
        string? LevelHow,
        IReadOnlyList<DriveMust> Musts,
        IReadOnlyList<QuestionAnswered> Answers,
        IReadOnlyList<OwnReason> Reasons,
        bool AllWeighed
    );

    /// <summary>What one begins with where nothing was said: the wishes of the first aim that has any.</summary>
    public (LoopWeighing Weighing, string? From) Begin()
    {
        LoopWeighing empty = LoopWeighing.Empty(at.View.AnyLoop.Key, at.Matter);
        foreach (Aim aim in at.View.Stored.Aims.Where(a => a.DriveKey == at.View.Drive.Key))
        {
            WishWeight[] wishes =
            [
                .. (
                    (ReadOnlySpan<WishWeight>)
                        [
                            new(DriveWish.LittleUpkeep, aim.Wishes.LittleUpkeep),
                            new(DriveWish.Quiet, aim.Wishes.Quiet),
                            new(DriveWish.LittleLoss, aim.Wishes.Range),
                            new(DriveWish.LowCost, aim.Wishes.LowCost),
                        ]
                )
                    .ToArray()
                    .Where(w => w.Weight > 0),
            ];
            if (wishes.Length > 0)
                return (empty with { Wishes = wishes }, aim.Name);
        }
        return (empty, null);
    }

    public string[] Shown(LoopWeighing weighing)
    {
        if (weighing.Shown is { Count: > 0 } said)
            return [.. said];
        return at.Matter is not null
            ? [.. at.Options.Select(o => o.Key)]
            :
            [
                .. at
                    .Options.Where(o => o.Kind!.CanBeTried)
                    .OrderBy(o => o.Key != at.Fitted)
                    .ThenBy(o => Array.IndexOf(Usual, o.Key) is >= 0 and int at ? at : Usual.Length)
                    .Take(UsualColumns)
                    .Select(o => o.Key),
            ];
    }

    public IEnumerable<QuestionAsked> Questions(string[] shown, LoopWeighing weighing) =>
        from question in ChoiceQuestions.All
        let of = shown.Where(key => at.Brings(key, question)).ToArray()
        where of.Length > 0
        select new QuestionAsked(
            question.Key,
            question.Text,
            question.IfFine,
            of,
            weighing.AnswerTo(question.Key),
            question.IsStop,
            question.Because
        );

    public Decision Decide(LoopWeighing weighing, string[] shown) =>
        at.IsJudged
            ? Decision.Of([.. shown.Select(key => Weighed(key, weighing, shown))], weighing.Wishes)
            : Decision.None;

    /// <summary>While it is sought what would turn the outcome, all but one option mostly stay as they were.</summary>
    private WeighedOption Weighed(string key, LoopWeighing weighing, string[] shown)
    {
        Basis basis = new(
            weighing.FiguresOf(key),
            weighing.RatePerHour,
            weighing.FuelPrice,
            weighing.LevelHow,
            weighing.Musts,
            weighing.Answers,
            weighing.Reasons,
            AllWeighed(weighing, shown)
        );
        if (_weighed.TryGetValue(key, out (Basis By, WeighedOption Option) known) && known.By == basis)
            return known.Option;
        WeighedOption option = new(
            key,
            Out(key, weighing).Any(),
            [.. Facts(key, weighing, shown)],
            PracticeOf(key, weighing)
        );
        _weighed[key] = (basis, option);
        return option;
    }

    public ChoiceColumn Column(string key, LoopWeighing weighing, string[] shown, DateOnly longAgo)
    {
        ChoiceOption option = at.OptionOf(key);
        KindAtPlace? place = option.Kind is null ? null : at.PlaceOf(option);
        OptionFigures figures = weighing.FiguresOf(key);
        RunningCost? cost = CostOf(key, weighing);
        RunningCost? now = at.Fitted is null || key == at.Fitted ? null : CostOf(at.Fitted, weighing);
        SidedReason[] reasons =
        [
            .. ChoiceSayings.Of(key, place, weighing, at.Fitted, at.View.Machine.Kind, at.WheelsOf(key)),
        ];
        return new(
            key,
            option.Name,
            key == at.Fitted,
            place,
            [.. Out(key, weighing)],
            [.. Harm(key, weighing).Where(q => !q.IsStop).Select(q => q.Because)],
            [
                .. ChoiceQuestions
                    .All.Where(q => at.Brings(key, q) && weighing.AnswerTo(q.Key) is null)
                    .Select(q => q.Key),
            ],
            [.. reasons.Where(r => r.Side == ReasonSide.For).OrderBy(r => r.SaidBy)],
            [.. reasons.Where(r => r.Side == ReasonSide.Against).OrderBy(r => r.SaidBy)],
            option.Kind is { } of && MustRules.OpensFrame(at.Fitted is null ? null : ChoiceKinds.Find(at.Fitted), of),
            cost,
            now is not null && cost is not null && figures.Conversion is double once
                ? RunningCost.PaidBack(now.Middle, cost.Middle, once)?.Value
                : null,
            [.. Facts(key, weighing, shown)],
            figures,
            figures.AskedOn < longAgo,
            option.Kind?.CanBeTried == true && key != at.Fitted && place?.Setup is not null,
            at.TrialOf(place)
        );
    }

    public IEnumerable<Working> Workings(LoopWeighing weighing, string[] shown, Decision outcome)
    {
        foreach (string key in shown)
        {
            foreach (
                Working working in RunningCost.Explain(
                    weighing.FiguresOf(key),
                    weighing.RatePerHour,
                    weighing.FuelPrice,
                    at.Unit
                )
            )
                yield return working with
                {
                    Title = $"{working.Title}: {at.OptionOf(key).Name}",
                };
            if (weighing.FiguresOf(key) is { UpkeepMinutes: double minutes, UpkeepEvery: double every })
                yield return RunningCost.UpkeepTime.With(minutes, every).Working with
                {
                    Title = $"{RunningCost.UpkeepTime.Title}: {at.OptionOf(key).Name}",
                };
            foreach (Working working in (at.OptionOf(key).Kind is null ? null : at.PlaceOf(key))?.Workings ?? [])
                yield return working with
                {
                    Title = $"{working.Title}: {at.OptionOf(key).Name}",
                };
            if (
                key != at.Fitted
                && at.Fitted is not null
                && CostOf(at.Fitted, weighing) is { } now
                && CostOf(key, weighing) is { } then
                && weighing.FiguresOf(key).Conversion is double once
                && RunningCost.PaidBack(now.Middle, then.Middle, once) is { } paid
            )
                yield return paid.Working with
                {
                    Title = $"{paid.Working.Title}: {at.OptionOf(key).Name}",
                };
            if (outcome.Scores.FirstOrDefault(s => s.Key == key)?.Score is double)
                yield return ChoiceScore.Working(
                    at.OptionOf(key).Name,
                    outcome,
                    weighing,
                    [.. Facts(key, weighing, shown)],
                    wish =>
                        [.. shown.Where(k => !Out(k, weighing).Any()).Select(k => MiddleOf(k, wish, weighing, shown))]
                );
        }
    }

    private double MiddleOf(string key, DriveWish wish, LoopWeighing weighing, string[] shown) =>
        Facts(key, weighing, shown).First(f => f.Wish == wish).Middle;

    private IEnumerable<ChoiceQuestion> Harm(string key, LoopWeighing weighing) =>
        ChoiceQuestions.All.Where(q => at.Brings(key, q) && weighing.AnswerTo(q.Key) == q.IsYesHarmful);

    private IEnumerable<OutTold> Out(string key, LoopWeighing weighing)
    {
        ChoiceOption option = at.OptionOf(key);
        if (option.Kind is not null)
            switch (at.PlaceOf(option).Holds)
            {
                case KindHolds.DoesNotHold:
                    yield return new(OutBecause.DoesNotHold, null, null);
                    break;
                case KindHolds.NothingNear:
                    yield return new(OutBecause.NothingNear, null, null);
                    break;
                case KindHolds.NotThisRatio:
                    yield return new(OutBecause.NotThisRatio, null, null);
                    break;
            }
        foreach (DriveMust must in weighing.Musts)
            if (MustRules.Fails(must, option.Kind, key == at.Fitted, weighing.FiguresOf(key).ToBeHad))
                yield return new(OutBecause.Must, must, null);
        foreach (ChoiceQuestion question in Harm(key, weighing).Where(q => q.IsStop))
            yield return new(OutBecause.Answer, null, question.Because);
    }

    private Dictionary<DriveWish, int> PracticeOf(string key, LoopWeighing weighing)
    {
        if (
            !_practice.TryGetValue(key, out (IReadOnlyList<OwnReason> Of, Dictionary<DriveWish, int> Says) known)
            || !ReferenceEquals(known.Of, weighing.Reasons)
        )
            _practice[key] = known = (weighing.Reasons, ChoiceSayings.PracticeOf(key, at.View.Machine.Kind, weighing));
        return known.Says;
    }

    private static RunningCost? CostOf(string key, LoopWeighing weighing) =>
        RunningCost.Of(weighing.FiguresOf(key), weighing.RatePerHour, weighing.FuelPrice);

    private IEnumerable<WishFact> Facts(string key, LoopWeighing weighing, string[] shown)
    {
        OptionFigures figures = weighing.FiguresOf(key);
        if (figures is { UpkeepMinutes: double minutes, UpkeepEvery: double every })
            yield return One(
                DriveWish.LittleUpkeep,
                RunningCost.UpkeepTime.Value(minutes, every),
                figures.UpkeepBy ?? SaidBy.MeasuredHere
            );
        if (figures.LevelDb is double level && weighing.LevelHow is not null)
            yield return One(DriveWish.Quiet, level, SaidBy.MeasuredHere);
        if (CostOf(key, weighing) is { } cost)
            yield return new(DriveWish.LowCost, cost.Low, cost.High, cost.SaidBy);
        if (at.WheelsOf(key) is int wheels)
            yield return One(DriveWish.RatioChanges, wheels, SaidBy.MeasuredHere);
        if (figures.FuelPer100 is double fuel)
            yield return One(DriveWish.LittleLoss, fuel, SaidBy.MeasuredHere);
        if (MassOf(key, weighing, shown) is (double mass, SaidBy by))
            yield return One(DriveWish.LowMass, mass, by);
        if (figures.LifeLow is double life)
            yield return new(
                DriveWish.LongLife,
                life,
                figures.LifeHigh ?? life,
                figures.LifeBy ?? SaidBy.OnePersonsWord
            );
    }

    /// <summary>All weighed with their wheels, or all without by the tables: one with and one without is no comparison.</summary>
    private (double, SaidBy)? MassOf(string key, LoopWeighing weighing, string[] shown) =>
        AllWeighed(weighing, shown) ? (weighing.FiguresOf(key).MassKg!.Value, SaidBy.MeasuredHere)
        : at.OptionOf(key).Kind is not null && at.PlaceOf(at.OptionOf(key)).MassKg is double mass
            ? (mass, SaidBy.MakerOrStandard)
        : null;

    private static bool AllWeighed(LoopWeighing weighing, string[] shown) =>
        shown.All(k => weighing.FiguresOf(k).MassKg is not null);

    private static WishFact One(DriveWish wish, double value, SaidBy by) => new(wish, value, value, by);
}
