using System.Collections.Concurrent;
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

/// <summary>
/// What can stand in the place of a loop, and what each is there: all of a weighing that hangs on the machine and on nothing that
/// is typed. Worked out once for each option, when it is first asked for; many may ask at once.
/// </summary>
public sealed class OptionsAtLoop
{
    private readonly KindSearch? _search;
    private readonly ConcurrentDictionary<string, KindAtPlace> _places = [];
    private readonly ConcurrentDictionary<(string, string), bool> _brings = [];
    private readonly ConcurrentDictionary<string, int?> _wheels = [];

    /// <param name="stored">The machine.</param>
    /// <param name="workshop">What is on the shelf.</param>
    /// <param name="loopKey">Key of the loop.</param>
    /// <param name="matter">What is weighed; null for the kind of drive.</param>
    /// <exception cref="InvalidInputException">No such loop, or no such matter at it.</exception>
    public OptionsAtLoop(StoredMachine stored, Workshop? workshop, string loopKey, string? matter)
    {
        (View, Matter) = (ViewOf(stored, workshop, loopKey), matter);
        Loop loop = View.AnyLoop;
        ChoicePart[] parts = [.. ChoiceParts.For(loop.DriveElement, View.Machine.Kind)];
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
        LoadsInput input = LoadAnswers.AsFitted(View);
        IsJudged = input.Source.IsJudged && View.Machine.Kind != MachineKind.Winch;
        IsLiftUnsaid = input.Source.IsLiftUnsaid(View.Machine.Kind);
        if (matter is not null)
        {
            Options = [.. parts.Where(p => p.Matter == matter).Select(p => new ChoiceOption(p.Key, p.Name, null))];
            return;
        }
        IEnumerable<LoopAlternative> typed = (View.Machine.Loads?.Alternatives ?? []).Where(a =>
            a.Strength.LoopKey == loop.Key
        );
        _search = new(input, View.SettingOf(loop), [.. TrialsOf(View, loop), .. typed], IsJudged);
        // What is on stands there, made for such machines or not.
        Options =
        [
            .. ChoiceKinds
                .All.Where(k => k.Key == Fitted || ChoiceKinds.For(View.Machine.Kind).Contains(k))
                .Select(k => new ChoiceOption(k.Key, k.Name, k)),
        ];
    }

    /// <summary>What is on the machine, with the loop that is asked about in view.</summary>
    /// <exception cref="InvalidInputException">No such loop.</exception>
    internal static MachineInView ViewOf(StoredMachine stored, Workshop? workshop, string loopKey)
    {
        new Guard().That(stored.HasLoop(loopKey), "LoopKey", "unknown", "Name a loop of this machine.").ThrowIfAny();
        return new(stored, new([loopKey]), workshop);
    }

    /// <summary>What is weighed; null for the kind of drive.</summary>
    public string? Matter { get; }
    internal MachineInView View { get; }
    internal IReadOnlyList<MatterOffered> Matters { get; }
    internal IReadOnlyList<ChoiceOption> Options { get; }
    internal bool IsJudged { get; }
    internal bool IsLiftUnsaid { get; }

    /// <summary>What can be asked to be so: of parts only whether they can be had.</summary>
    internal IReadOnlyList<DriveMust> Musts => Matter is null ? Enum.GetValues<DriveMust>() : [DriveMust.ToBeHad];

    internal RunUnit Unit =>
        View.Machine.OdometerKm is not null || MachineKinds.Get(View.Machine.Kind).HasRoadBrake
            ? RunUnit.Km
            : RunUnit.Hours;

    /// <summary>The ratio that is on, where it is too much for one loop.</summary>
    internal StageSplit? Split
    {
        get
        {
            if (Matter is not null)
                return null;
            LoopChoice fitted = View.FittedOf(View.AnyLoop);
            return StageSplit.Of(
                View.AnyLoop,
                View.Machine.Kind,
                fitted,
                StageRatio.Compute(View.AnyLoop, fitted),
                KindCandidates.MostLargerShare
            );
        }
    }

    internal string? Fitted => _search?.FittedKind;

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
    internal long? TrialOf(KindAtPlace? place) =>
        View
            .Stored.Setups.FirstOrDefault(s =>
                s.Status == SetupStatus.Trial
                && s.Kinds?.Any(k =>
                    k.LoopKey == View.AnyLoop.Key
                    && place?.Setup is { } setup
                    && (k.DriveElement, k.Standard) == (setup.DriveElement, setup.Standard)
                    && KindOfLoop.Of(k.On(View.AnyLoop), k.Strength, View.Machine.Kind) == place.Kind.Key
                ) == true
            )
            ?.Id;

    internal ChoiceOption OptionOf(string key) => Options.First(o => o.Key == key);

    /// <summary>What a kind is here; null for one that is not offered.</summary>
    internal KindAtPlace? PlaceOf(string key) =>
        Options.FirstOrDefault(o => o.Key == key) is { Kind: not null } option ? PlaceOf(option) : null;

    internal KindAtPlace PlaceOf(ChoiceOption option) => _places.GetOrAdd(option.Key, _ => _search!.At(option.Kind!));

    /// <summary>Asked thousands of times while it is sought what would turn the outcome; it hangs on nothing that is typed.</summary>
    internal bool Brings(string key, ChoiceQuestion question) =>
        _brings.GetOrAdd((key, question.Key), _ => BringsUp(key, question));

    private bool BringsUp(string key, ChoiceQuestion question) =>
        OptionOf(key).Kind is { } to
        && MustRules.IsAsked(
            question.AskedWhen,
            Fitted is null ? null : ChoiceKinds.Find(Fitted),
            to,
            IsInCase,
            MachineKinds.Get(View.Machine.Kind).HasRoadBrake
        );

    /// <summary>A loop that drives no output runs inside, between engine and gearbox.</summary>
    private bool IsInCase =>
        View.Machine.Kind is MachineKind.Motorcycle or MachineKind.Moped
        && !DriveShafts
            .TurnedWith(View.Drive, View.AnyLoop.DrivenShaft)
            .Overlaps(View.Drive.Outputs.Select(o => o.Shaft));

    /// <summary>Wheels on the shelf that go on such a chain or belt; null where there is no shelf, and for a part.</summary>
    internal int? WheelsOf(string key) => _wheels.GetOrAdd(key, CountWheels);

    private int? CountWheels(string key)
    {
        if (OptionOf(key).Kind is not { } kind || View.Workshop.Wheels.Count == 0)
            return null;
        return kind.Element is null
            ? 0
            : View.Wheels.Count(w => w.Count > 0 && w.Standard == PlaceOf(OptionOf(key)).Setup?.Standard);
    }
}
