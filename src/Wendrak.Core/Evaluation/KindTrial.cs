using Wendrak.Core.Choices;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>A kind of drive as a trial in the place of a loop, with everything that hangs on it begun.</summary>
/// <param name="Name">What it is called to begin with.</param>
/// <param name="Loops">Its wheels and length, on mirrored loops too.</param>
/// <param name="Kinds">The loops as that kind.</param>
public sealed record KindTrial(string Name, IReadOnlyList<LoopChoice> Loops, IReadOnlyList<LoopKind> Kinds)
{
    /// <param name="stored">The machine.</param>
    /// <param name="loopKey">Key of the loop.</param>
    /// <param name="kindKey">Key of the kind.</param>
    /// <exception cref="InvalidInputException">No such loop or kind, or none that could be tried here.</exception>
    public static KindTrial Of(StoredMachine stored, string loopKey, string kindKey)
    {
        KindAtPlace? place = new OptionsAtLoop(stored, null, loopKey, null).PlaceOf(kindKey);
        new Guard()
            .That(
                place is { IsFitted: false, Kind.CanBeTried: true, Setup: not null },
                "Kind",
                "no_trial",
                "Give a kind that can be fitted in the place of what is on, without another frame or case."
            )
            .ThrowIfAny();
        LoopAlternative setup = place!.Setup!;
        LoopChoice[] changed = [ChoiceOf(loopKey, setup, place.Fit)];
        IReadOnlyList<LoopChoice> all = MirroredSetups.Complete(stored.Machine.Drives, stored.Fitted.Loops, changed);
        Loop[] loops = [.. MachineRules.LoopsOf(stored.Machine)];
        LoopKind[] kinds =
        [
            .. all.Where(c => c == changed[0] with { LoopKey = c.LoopKey })
                .Select(c => KindOf(stored.Machine, loops.First(l => l.Key == c.LoopKey), setup)),
        ];
        return new(NameOf(place.Kind, setup), all, kinds);
    }

    private static LoopChoice ChoiceOf(string loopKey, LoopAlternative setup, KindFit? fit) =>
        setup.DriveElement.IsToothed()
            ? new(loopKey, setup.FrontSize, setup.RearSize, (int?)fit?.Length)
            : new(loopKey, setup.FrontSize, setup.RearSize, null, fit?.Length);

    private static LoopKind KindOf(Machine machine, Loop loop, LoopAlternative setup)
    {
        LoopLayout? layout = machine.Layouts?.FirstOrDefault(l => l.LoopKey == loop.Key);
        bool isAlike = KindSearch.IsOfThePitch(loop, setup);
        return new(
            loop.Key,
            setup.DriveElement,
            setup.Standard,
            loop.Arrangement,
            Loop.UsualSlip(setup.DriveElement),
            loop.FrontMounting,
            loop.RearMounting,
            isAlike ? loop.LargestRear : null,
            isAlike ? loop.SmallestFront : null,
            false,
            setup.Strength with
            {
                LoopKey = loop.Key,
            },
            layout is null || isAlike ? layout : LoopAlternative.WithoutIdlers(layout)
        );
    }

    private static string NameOf(ChoiceKind kind, LoopAlternative setup) =>
        FormattableString.Invariant($"{kind.Name} {setup.FrontSize:0.##}/{setup.RearSize:0.##}");
}
