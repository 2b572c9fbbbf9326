using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Choices;

/// <summary>Which kind meets what must be so, and which questions it brings up.</summary>
public static class MustRules
{
    /// <summary>Whether it fails what must be so.</summary>
    /// <param name="kind">Null for a choice between parts: only what can be had is asked of those.</param>
    /// <param name="isFitted">It is there already: no frame is opened for it and nothing turns otherwise.</param>
    /// <param name="hand">Whether it can be bought; null where nobody asked.</param>
    public static bool Fails(DriveMust must, ChoiceKind? kind, bool isFitted, HowToBeHad? hand) =>
        must switch
        {
            DriveMust.ToBeHad => hand is HowToBeHad.NotToBeHad,
            _ when kind is null => false,
            DriveMust.FrameStaysClosed => !isFitted && kind.IsEndless,
            DriveMust.RunsDry => kind.IsOiled,
            DriveMust.NeverSlips => kind.Slips,
            DriveMust.SlipsFirst => !kind.Slips,
            _ => !isFitted && kind.TurnsRound,
        };

    /// <summary>Whether the frame must open for it: it has no joint, and what is on has one.</summary>
    public static bool OpensFrame(ChoiceKind? from, ChoiceKind to) =>
        from?.Key != to.Key && to.IsEndless && from?.IsEndless != true;

    /// <summary>Whether a change to a kind brings a question up.</summary>
    /// <param name="from">What is on; null for a kind that is not weighed, of which nothing is known.</param>
    /// <param name="to">What would be on.</param>
    /// <param name="isInCase">The loop runs inside, between engine and gearbox.</param>
    /// <param name="isOnRoad">The loop drives a road wheel.</param>
    public static bool IsAsked(KindOccasion occasion, ChoiceKind? from, ChoiceKind to, bool isInCase, bool isOnRoad) =>
        from?.Key != to.Key
        && occasion switch
        {
            KindOccasion.GoesDry => from?.IsOiled == true && !to.IsOiled,
            KindOccasion.GoesWet => from?.IsOiled == false && to.IsOiled,
            KindOccasion.BeltInCase => isInCase && to.Element is not null and not DriveElement.Chain,
            KindOccasion.Endless => OpensFrame(from, to),
            KindOccasion.CatchesStones => isOnRoad
                && !isInCase
                && to.Element is (DriveElement.ToothedBelt or DriveElement.VBelt),
            _ => to.TurnsRound,
        };
}
