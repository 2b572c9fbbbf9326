using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Stock;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tension;

/// <summary>One step of the closing list.</summary>
/// <param name="Sentence">What is to be done, as a sentence.</param>
/// <param name="Tools">What it is done with; empty for bare hands.</param>
public sealed record ClosingLine(ClosingStep Step, string Sentence, IReadOnlyList<ToolKind> Tools);

/// <summary>What is said at one adjuster: nothing of another kind of drive.</summary>
/// <param name="Lock">What holds the place: “axle nut”, “motor bolts”.</param>
/// <param name="LocksAreMany">True of “motor bolts”: their torque, not its.</param>
/// <param name="Handles">What is turned, clicked or let go, where there is only one of it.</param>
/// <param name="Loosen">How the adjuster is made free before it is turned.</param>
/// <param name="Procedure">How it is done, step by step, where it is no matter of turning; empty elsewhere.</param>
/// <param name="Cautions">What must be so before hands go near.</param>
/// <param name="Defers">Whose word wins, and whose work it is where people can be hurt.</param>
/// <param name="HasSuspension">Whether it matters here how the driven axle is carried.</param>
/// <param name="ByHand">How it is told by hand alone; empty where it is not.</param>
/// <param name="Closing">In the order of the hands.</param>
/// <param name="ReadBy">What its tightness can be read by, the usual one first.</param>
/// <param name="WindowBy">What its maker’s window can be told in.</param>
/// <param name="Places">At how many places of the wheel it can be read all round, the fewest first.</param>
/// <param name="PairsNeeded">How many pairs tie a gauge, or a hand, to readings that know more.</param>
/// <param name="StraightBy">Ways to tell how straight it runs; the first one is nearest at hand.</param>
/// <param name="Tools">What a visit asks for, in the order in which it is taken up.</param>
/// <param name="MissingTools">Those of them that the workshop does not have; empty where nobody listed its tools.</param>
public sealed record SetManual(
    string Lock,
    bool LocksAreMany,
    string Handles,
    string Loosen,
    IReadOnlyList<string> Procedure,
    IReadOnlyList<string> Cautions,
    string Defers,
    bool HasSuspension,
    IReadOnlyList<SlipTestWay> ByHand,
    IReadOnlyList<ClosingLine> Closing,
    IReadOnlyList<ReadingMethod> ReadBy,
    IReadOnlyList<ReadingMethod> WindowBy,
    IReadOnlyList<int> Places,
    PairsNeeded PairsNeeded,
    IReadOnlyList<StraightnessMethod> StraightBy,
    IReadOnlyList<ToolKind> Tools,
    IReadOnlyList<ToolStandIn> MissingTools
)
{
    /// <summary>The same in a workshop whose tools are known.</summary>
    public SetManual With(IReadOnlyCollection<HandTool> onHand) =>
        this with
        {
            MissingTools = ToolStandIns.Missing(Tools, onHand),
        };

    /// <summary>Words, cautions and closing list for a drive and its adjuster. Source: common practice; the maker's manual wins.</summary>
    public static SetManual For(MachineKind kind, InputKind input, DriveElement element, AdjusterKind adjuster)
    {
        MachineKindRow machine = MachineKinds.Get(kind);
        AdjusterWords words = Words[adjuster];
        string locks = words.Lock;
        string loop = element == DriveElement.Chain ? "chain" : "belt";
        StraightnessMethod[] anywhere =
        [
            StraightnessMethod.StraightEdge,
            StraightnessMethod.Line,
            StraightnessMethod.TautString,
        ];
        return new(
            locks,
            words.IsMany,
            words.Handles,
            words.Loosen,
            words.Procedure ?? [],
            [
                $"{machine.Held}, {Still(input)}.",
                $"Turn it by hand only. A moving {loop} takes fingers.",
                .. adjuster is AdjusterKind.FixedCentres or AdjusterKind.SheaveShims
                    ? Array.Empty<string>()
                    :
                    [
                        $"Nip the {locks} between rounds: tightening moves the reading, so the last one comes after the final torque.",
                    ],
                .. words.Caution is { } caution ? new[] { caution } : [],
            ],
            "The maker's own manual wins where it differs. " + machine.Defers,
            element == DriveElement.Chain && machine.HasSuspension,
            SlipTest.WaysFor(element),
            [
                new(
                    ClosingStep.FinalTorque,
                    Capital($"{locks} at {(words.IsMany ? "their" : "its")} torque"),
                    [ToolKind.TorqueWrench]
                ),
                new(ClosingStep.AdjusterLocks, words.Fast, [words.Tool]),
                new(ClosingStep.PinsAndCaps, words.Caps, []),
                new(ClosingStep.Guards, "Guards back on", []),
                new(
                    ClosingStep.TurnsFreely,
                    machine.HasRoadBrake
                        ? "Wheel turned by hand: free, nothing rubs, the brake works"
                        : "Turned by hand: free, nothing rubs",
                    []
                ),
            ],
            ReadingMethods.For(element, adjuster),
            ReadingMethods.OfWindow(element, adjuster),
            ReadingMethods.PlacesFor(adjuster),
            ReadingMethods.Pairs,
            // Only an axle with two ends has both its arms measured.
            Adjuster.IsOfTwoEnds(adjuster)
                ? [StraightnessMethod.BothArms, .. anywhere]
                : anywhere,
            [
                // What goes on the road stands on the wheel that is to be turned.
                .. machine.HasRoadBrake ? new[] { ToolKind.Stand } : [],
                words.Tool,
                ToolKind.StraightEdge,
                ToolKind.TorqueWrench,
            ],
            []
        );
    }

    private sealed record AdjusterWords(
        string Lock,
        bool IsMany,
        string Handles,
        string Loosen,
        string Fast,
        string Caps,
        string? Caution = null,
        IReadOnlyList<string>? Procedure = null,
        ToolKind Tool = ToolKind.Spanner
    );

    private const string Seated =
        "Both ends of the axle stay seated against their adjusters before the nut is tightened.";

    private static readonly Dictionary<AdjusterKind, AdjusterWords> Words = new()
    {
        [AdjusterKind.TwoEnds] = new(
            "axle nut",
            false,
            "adjuster",
            "Loosen the axle nut until the axle just slides",
            "Adjusters and their lock nuts fast",
            "Split pin, caps and screws in",
            Seated
        ),
        [AdjusterKind.Cam] = new(
            "axle nut",
            false,
            "cam",
            "Loosen the axle nut until both cams turn",
            "Both cams on the same click and seated",
            "Split pin, caps and screws in",
            Seated
        ),
        [AdjusterKind.OneScrew] = new(
            "clamp",
            false,
            "adjuster",
            "Loosen the clamp until it just slides",
            "Screw and its lock nut fast",
            "Caps and screws in"
        ),
        [AdjusterKind.SlidingMotor] = new(
            "motor bolts",
            true,
            "screw of the slide",
            "Loosen the motor bolts until the motor just slides",
            "Screw of the slide and its lock nut fast",
            "Caps and screws in",
            "The motor lies flat on its slide before its bolts are tightened: a tilted one runs askew.",
            Tool: ToolKind.HexKey
        ),
        [AdjusterKind.Eccentric] = new(
            "clamp of the eccentric",
            false,
            "eccentric",
            "Loosen the clamp until the eccentric turns",
            "Eccentric marked where it stands",
            "Caps and screws in"
        ),
        [AdjusterKind.Shims] = new(
            "bolts",
            true,
            "stack of shims",
            "Loosen the bolts until a shim goes in or out",
            "All shims lie flat, none is left out",
            "Caps and screws in"
        ),
        [AdjusterKind.SprungArm] = new(
            "pivot bolt",
            false,
            "screw of the spring",
            "Loosen the lock nut of the spring's screw",
            "Screw of the spring and its lock nut fast, the arm swings free",
            "Caps and screws in"
        ),
        [AdjusterKind.SpringSlide] = new(
            "motor bolts",
            true,
            "spring of the slide",
            "Loosen the motor bolts until the spring moves the motor",
            "Slide clamped, the spring still bears on it",
            "Caps and screws in",
            "Keep fingers out of the slide: the spring lets go at once.",
            [
                "Loosen the motor bolts until the spring moves the motor.",
                "Push the motor in against its spring by hand.",
                "Let it go, and turn the wheel a few turns so that the belt settles.",
                "Nip the bolts without leaning on the motor.",
                "Read.",
            ],
            ToolKind.HexKey
        ),
        [AdjusterKind.SheaveShims] = new(
            "bolts of the sheave",
            true,
            "shims",
            "Take the bolts of the sheave out crosswise, its halves marked against each other",
            "The same count of shims at every bolt, none pinched",
            "Caps and screws in",
            "Right belt first: number, width and angle against the list of its maker. Engine cold: sheave and belt burn.",
            [
                "Look whether it is the right belt: number, width, angle.",
                "Bolts out crosswise, halves marked; the sheave opens and closes by hand.",
                "Shims in or out, the same count at every bolt.",
                "Bolts in crosswise, each a little at a time, to their torque.",
                "Turn it by hand ten turns so that the belt finds its height.",
                "Read the belt above the rim; at idle, look whether the driving sheave turns free.",
            ],
            ToolKind.Socket
        ),
        [AdjusterKind.FixedCentres] = new(
            "bolts of both shafts",
            true,
            "place of a shaft",
            "Leave the bolts fast: nothing moves here",
            "Bearings and their plates fast",
            "Caps and screws in"
        ),
    };

    private static string Still(InputKind input) =>
        input switch
        {
            InputKind.Engine => "engine off and out of gear",
            InputKind.Motor => "motor isolated and battery off",
            _ => "nobody at the pedals",
        };

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
