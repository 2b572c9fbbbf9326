using Wendrak.Core.Evaluation;
using Wendrak.Core.Loops;
using Wendrak.Core.Records;
using Wendrak.Core.Tension;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>Whatever was said at Set before the wheels were laid out, the first layout goes with it and can be stored.</summary>
public sealed class FirstLayoutTests
{
    public static TheoryData<MachineKind> Kinds => [.. Enum.GetValues<MachineKind>()];

    [Theory, MemberData(nameof(Kinds))]
    public void It_can_be_stored_beside_every_adjuster_that_could(MachineKind kind)
    {
        MachineDraft draft = StartingMachines.For(kind);
        string loop = draft.Fitted[0].LoopKey;
        DriveElement element = MachineRules.LoopsOf(draft.Machine).Single().DriveElement;
        foreach (AdjusterKind adjuster in Enum.GetValues<AdjusterKind>())
        {
            // Refused on such a loop, laid out or not.
            if (element == DriveElement.Chain && adjuster is AdjusterKind.SprungArm or AdjusterKind.SpringSlide)
                continue;
            if (element != DriveElement.VBelt && adjuster == AdjusterKind.SheaveShims)
                continue;
            LoopSetting said = new(loop, new(adjuster, EccentricMm: 6));
            Machine machine = draft.Machine with { Name = "Tried", Settings = [said] };
            MachineRules.Check(machine, draft.Fitted);
            StartingLayoutAnswer first = FirstOf(new(machine, draft.Fitted), loop);
            MachineRules.Check(machine with { Layouts = [first.Layout], Settings = [first.Setting!] }, draft.Fitted);
            Assert.Equal(adjuster, first.Setting!.Adjuster.Kind);
            if (adjuster == AdjusterKind.Eccentric)
                Assert.Equal(
                    (6.0, null),
                    (((ArcTrack)first.Layout.Moving!.Track).RadiusMm, first.Setting.Adjuster.EccentricMm)
                );
        }
        Assert.Null(FirstOf(draft, loop).Setting);
    }

    private static StartingLayoutAnswer FirstOf(MachineDraft draft, string loop) =>
        StoredMachine
            .From(draft, new(2026, 11, 28))
            .Ask(new() { StartingLayout = new() }, new([loop]))
            .StartingLayout!.Answer!;
}
