using Wendrak.Core.Choices;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>What can stand in a column.</summary>
internal sealed record ChoiceOption(string Key, string Name, ChoiceKind? Kind);

/// <summary>The columns of a weighing: what each is here, what is known of it, and what it comes to by any weighing.</summary>
internal sealed class ChoiceTable
{
    /// <summary>Side by side to begin with, what is fitted among them; more are put beside.</summary>
    private const int UsualColumns = 3;

    /// <summary>Those that are thought of first.</summary>
    private static readonly string[] Usual = ["toothedBelt", "sealedChain", "plainChain", "vBelt"];

    private readonly MachineInView _view;
    private readonly string? _matter;
    private readonly KindSearch? _search;
    private readonly Dictionary<string, KindAtPlace> _places = [];
    private readonly Dictionary<(string, string), bool> _brings = [];
    private readonly Dictionary<string, (IReadOnlyList<OwnReason> Of, Dictionary<DriveWish, int> Says)> _practice = [];
    private readonly Dictionary<string, (Basis By, WeighedOption Option)> _weighed = [];
    private readonly Dictionary<string, int?> _wheels = [];

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

    /// <summary>What is on the machine, with the loop that is asked about in view.</summary>
    /// <exception cref="InvalidInputException">No such loop.</exception>
    public static MachineInView View(StoredMachine stored, Workshop? workshop, string loopKey)
    {
        new Guard()
            .That(
                MachineRules.LoopsOf(stored.Machine).Any(l => l.Key == loopKey),
                "LoopKey",
                "unknown",
                "Name a loop of this machine."
            )
            .ThrowIfAny();
        return new(stored, new([loopKey]), workshop);
    }

    /// <exception cref="InvalidInputException">No such matter at that loop.</exception>
    public ChoiceTable(MachineInView view, string? matter)
    {
        (_view, _matter) = (view, matter);
        Loop loop = view.AnyLoop;
        ChoicePart[] parts = [.. ChoiceParts.For(loop.DriveElement, view.Machine.Kind)];
        Matters =
        [
            new(null, "the kind of drive"),
            .. parts.DistinctBy(p => p.Matter).Select(p => new MatterOffered(p.Matter, p.MatterName)),
        ];
        new Guard()
            .That(
                Matters.Any(m => m.Key == matter),
                "Matter",
                "unknown",
                $"Give none for the kind of drive, or one of: {string.Join(", ", parts.Select(p => p.Matter).Distinct())}."
            )
            .ThrowIfAny();
        LoadsInput input = LoadAnswers.AsFitted(view);
        IsJudged = input.Source.IsJudged && view.Machine.Kind != MachineKind.Winch;
        if (matter is not null)
        {
            Options = [.. parts.Where(p => p.Matter == matter).Select(p => new ChoiceOption(p.Key, p.Name, null))];
            return;
        }
        _search = new(
            input,
            view.SettingOf(loop),
            [
                .. TrialsOf(view, loop),
                .. (view.Machine.Loads?.Alternatives ?? []).Where(a => a.Strength.LoopKey == loop.Key),
            ],
            IsJudged
        );
        // What is on stands there, made for such machines or not.
        Options =
        [
            .. ChoiceKinds
                .All.Where(k => k.Key == Fitted || ChoiceKinds.For(view.Machine.Kind).Contains(k))
                .Select(k => new ChoiceOption(k.Key, k.Name, k)),
        ];
    }

    public IReadOnlyList<MatterOffered> Matters { get; }
    public IReadOnlyList<ChoiceOption> Options { get; }
    public bool IsJudged { get; }

    /// <summary>What can be asked to be so: of parts only whether they can be had.</summary>
    public IReadOnlyList<DriveMust> Musts => _matter is null ? Enum.GetValues<DriveMust>() : [DriveMust.ToBeHad];

    public RunUnit Unit =>
        _view.Machine.OdometerKm is not null || MachineKinds.Get(_view.Machine.Kind).HasRoadBrake
            ? RunUnit.Km
            : RunUnit.Hours;

    /// <summary>The ratio that is on, where it is too much for one loop.</summary>
    public StageSplit? Split
    {
        get
        {
            if (_matter is not null)
                return null;
            LoopChoice fitted = _view.FittedOf(_view.AnyLoop);
            return StageSplit.Of(
                _view.AnyLoop,
                _view.Machine.Kind,
                fitted,
                StageRatio.Compute(_view.AnyLoop, fitted),
                KindCandidates.MostLargerShare
            );
        }
    }

    private string? Fitted => _search?.FittedKind;

    /// <summary>What one begins with where nothing was said: the wishes of the first aim that has any.</summary>
    public (LoopWeighing Weighing, string? From) Begin()
    {
        LoopWeighing empty = LoopWeighing.Empty(_view.AnyLoop.Key, _matter);
        foreach (Aim aim in _view.Stored.Aims.Where(a => a.DriveKey == _view.Drive.Key))
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
        return _matter is not null
            ? [.. Options.Select(o => o.Key)]
            :
            [
                .. Options
                    .Where(o => o.Kind!.CanBeTried)
                    .OrderBy(o => o.Key != Fitted)
                    .ThenBy(o => Array.IndexOf(Usual, o.Key) is >= 0 and int at ? at : Usual.Length)
                    .Take(UsualColumns)
                    .Select(o => o.Key),
            ];
    }

    public IEnumerable<QuestionAsked> Questions(string[] shown, LoopWeighing weighing) =>
        from question in ChoiceQuestions.All
        let of = shown.Where(key => Brings(key, question)).ToArray()
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
        IsJudged
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
        ChoiceOption option = OptionOf(key);
        KindAtPlace? place = option.Kind is null ? null : PlaceOf(option);
        OptionFigures figures = weighing.FiguresOf(key);
        RunningCost? cost = CostOf(key, weighing);
        RunningCost? now = Fitted is null || key == Fitted ? null : CostOf(Fitted, weighing);
        SidedReason[] reasons = [.. ChoiceSayings.Of(key, place, weighing, Fitted, _view.Machine.Kind, WheelsOf(key))];
        return new(
            key,
            option.Name,
            key == Fitted,
            place,
            [.. Out(key, weighing)],
            [.. Harm(key, weighing).Where(q => !q.IsStop).Select(q => q.Because)],
            [.. ChoiceQuestions.All.Where(q => Brings(key, q) && weighing.AnswerTo(q.Key) is null).Select(q => q.Key)],
            [.. reasons.Where(r => r.Side == ReasonSide.For).OrderBy(r => r.SaidBy)],
            [.. reasons.Where(r => r.Side == ReasonSide.Against).OrderBy(r => r.SaidBy)],
            option.Kind is { } of && MustRules.OpensFrame(Fitted is null ? null : ChoiceKinds.Find(Fitted), of),
            cost,
            now is not null && cost is not null && figures.Conversion is double once
                ? RunningCost.PaidBack(now.Middle, cost.Middle, once)?.Value
                : null,
            [.. Facts(key, weighing, shown)],
            figures,
            figures.AskedOn < longAgo,
            option.Kind?.CanBeTried == true && key != Fitted && place?.Setup is not null,
            TrialOf(place)
        );
    }

    /// <summary>What is tried of other kinds, with what was typed of it since.</summary>
    private static IEnumerable<LoopAlternative> TrialsOf(MachineInView view, Loop loop) =>
        from setup in view.Stored.Setups
        where setup.Status == SetupStatus.Trial
        from kind in setup.Kinds ?? []
        where kind.LoopKey == loop.Key
        let choice = setup.Loops.First(c => c.LoopKey == loop.Key)
        select new LoopAlternative(
            setup.Name.Length <= LoopAlternative.LongestName ? setup.Name : "",
            kind.DriveElement,
            kind.Standard,
            choice.FrontSize,
            choice.RearSize,
            kind.Strength ?? new(loop.Key)
        );

    /// <summary>A trial of just what stands in the column.</summary>
    private long? TrialOf(KindAtPlace? place) =>
        _view
            .Stored.Setups.FirstOrDefault(s =>
                s.Status == SetupStatus.Trial
                && s.Kinds?.Any(k =>
                    k.LoopKey == _view.AnyLoop.Key
                    && place?.Setup is { } setup
                    && (k.DriveElement, k.Standard) == (setup.DriveElement, setup.Standard)
                    && KindOfLoop.Of(k.On(_view.AnyLoop), k.Strength, _view.Machine.Kind) == place.Kind.Key
                ) == true
            )
            ?.Id;

    public IEnumerable<Working> Workings(LoopWeighing weighing, string[] shown, Decision outcome)
    {
        foreach (string key in shown)
        {
            foreach (
                Working working in RunningCost.Explain(
                    weighing.FiguresOf(key),
                    weighing.RatePerHour,
                    weighing.FuelPrice,
                    Unit
                )
            )
                yield return working with
                {
                    Title = $"{working.Title}: {OptionOf(key).Name}",
                };
            if (weighing.FiguresOf(key) is { UpkeepMinutes: double minutes, UpkeepEvery: double every })
                yield return RunningCost.UpkeepTime.With(minutes, every).Working with
                {
                    Title = $"{RunningCost.UpkeepTime.Title}: {OptionOf(key).Name}",
                };
            foreach (Working working in _places.GetValueOrDefault(key)?.Workings ?? [])
                yield return working with
                {
                    Title = $"{working.Title}: {OptionOf(key).Name}",
                };
            if (
                key != Fitted
                && Fitted is not null
                && CostOf(Fitted, weighing) is { } now
                && CostOf(key, weighing) is { } then
                && weighing.FiguresOf(key).Conversion is double once
                && RunningCost.PaidBack(now.Middle, then.Middle, once) is { } paid
            )
                yield return paid.Working with
                {
                    Title = $"{paid.Working.Title}: {OptionOf(key).Name}",
                };
            if (outcome.Scores.FirstOrDefault(s => s.Key == key)?.Score is double)
                yield return ChoiceScore.Working(
                    OptionOf(key).Name,
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

    private ChoiceOption OptionOf(string key) => Options.First(o => o.Key == key);

    /// <summary>What a kind is here; null for one that is not offered.</summary>
    public KindAtPlace? PlaceOf(string key) =>
        Options.FirstOrDefault(o => o.Key == key) is { Kind: not null } option ? PlaceOf(option) : null;

    private KindAtPlace PlaceOf(ChoiceOption option) =>
        _places.TryGetValue(option.Key, out KindAtPlace? place)
            ? place
            : _places[option.Key] = _search!.At(option.Kind!);

    /// <summary>Asked thousands of times while it is sought what would turn the outcome; it hangs on nothing that is typed.</summary>
    private bool Brings(string key, ChoiceQuestion question) =>
        _brings.TryGetValue((key, question.Key), out bool known)
            ? known
            : _brings[(key, question.Key)] = BringsUp(key, question);

    private bool BringsUp(string key, ChoiceQuestion question) =>
        OptionOf(key).Kind is { } to
        && MustRules.IsAsked(
            question.AskedWhen,
            Fitted is null ? null : ChoiceKinds.Find(Fitted),
            to,
            IsInCase,
            MachineKinds.Get(_view.Machine.Kind).HasRoadBrake
        );

    /// <summary>A loop that drives no output runs inside, between engine and gearbox.</summary>
    private bool IsInCase =>
        _view.Machine.Kind is MachineKind.Motorcycle or MachineKind.Moped
        && !DriveShafts
            .TurnedWith(_view.Drive, _view.AnyLoop.DrivenShaft)
            .Overlaps(_view.Drive.Outputs.Select(o => o.Shaft));

    private IEnumerable<ChoiceQuestion> Harm(string key, LoopWeighing weighing) =>
        ChoiceQuestions.All.Where(q => Brings(key, q) && weighing.AnswerTo(q.Key) == q.IsYesHarmful);

    private IEnumerable<OutTold> Out(string key, LoopWeighing weighing)
    {
        ChoiceOption option = OptionOf(key);
        if (option.Kind is not null)
            switch (PlaceOf(option).Holds)
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
            if (MustRules.Fails(must, option.Kind, key == Fitted, weighing.FiguresOf(key).ToBeHad))
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
            _practice[key] = known = (weighing.Reasons, ChoiceSayings.PracticeOf(key, _view.Machine.Kind, weighing));
        return known.Says;
    }

    private static RunningCost? CostOf(string key, LoopWeighing weighing) =>
        RunningCost.Of(weighing.FiguresOf(key), weighing.RatePerHour, weighing.FuelPrice);

    /// <summary>Wheels on the shelf that go on such a chain or belt; null where there is no shelf, and for a part.</summary>
    private int? WheelsOf(string key) =>
        _wheels.TryGetValue(key, out int? known) ? known : _wheels[key] = CountWheels(key);

    private int? CountWheels(string key)
    {
        if (OptionOf(key).Kind is not { } kind || _view.Workshop.Wheels.Count == 0)
            return null;
        return kind.Element is null
            ? 0
            : _view.Wheels.Count(w => w.Count > 0 && w.Standard == PlaceOf(OptionOf(key)).Setup?.Standard);
    }

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
        if (WheelsOf(key) is int wheels)
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
        : OptionOf(key).Kind is not null && PlaceOf(OptionOf(key)).MassKg is double mass
            ? (mass, SaidBy.MakerOrStandard)
        : null;

    private static bool AllWeighed(LoopWeighing weighing, string[] shown) =>
        shown.All(k => weighing.FiguresOf(k).MassKg is not null);

    private static WishFact One(DriveWish wish, double value, SaidBy by) => new(wish, value, value, by);
}
