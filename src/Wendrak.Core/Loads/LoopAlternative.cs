using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Loads;

/// <summary>Asks for a chain or belt of another kind to begin with.</summary>
public sealed record LoopAlternativeStart(Drive Drive, LoopChoice Choice, DriveElement DriveElement);

/// <summary>A chain or belt of another kind in the place of a loop, to see what it would do there.</summary>
/// <param name="Name">What people call it; tells several apart.</param>
/// <param name="FrontSize">Teeth, or datum diameter in mm.</param>
/// <param name="Strength">Of the other chain or belt; names the loop it would replace.</param>
/// <param name="Standard">Chain size, belt profile or section.</param>
/// <param name="RearSize">Driven wheel, in the same measure.</param>
public sealed record LoopAlternative(
    string Name,
    DriveElement DriveElement,
    string Standard,
    double FrontSize,
    double RearSize,
    LoopStrength Strength
)
{
    public const int MostOfALoop = 3;
    internal const int LongestName = 60;

    /// <summary>Wheels and usual size of another kind, near the ratio of what is there.</summary>
    /// <exception cref="InvalidInputException">No such loop.</exception>
    public static LoopAlternative Start(LoopAlternativeStart input)
    {
        (Drive drive, LoopChoice choice, DriveElement element) = input;
        new Guard().OneOf(nameof(input.DriveElement), element).ThrowIfAny();
        Loop loop = DriveLoops.Find(drive, choice.LoopKey, "Choice.LoopKey");
        new Guard().CheckChoice("Choice.", choice, loop).ThrowIfAny();
        Loop other = loop with { DriveElement = element, Standard = UsualStandard(loop, element) };
        double least = SmallWheel.AdvisedMinimum(other) ?? (other.IsToothed ? WheelSize.Smallest(element) : UsualMm);
        double step = Math.Max(1, choice.FrontSize / choice.RearSize);
        double front = Math.Ceiling(least * step);
        double rear = Math.Round(front * choice.RearSize / choice.FrontSize);
        return new("", element, other.Standard, front, rear, new(loop.Key));
    }

    // A flat or round belt has no table: a pulley that bends no belt too hard.
    private const double UsualMm = 100;

    /// <summary>Of the pitch that comes nearest to what is there.</summary>
    private static string UsualStandard(Loop loop, DriveElement element)
    {
        const double usualPitchMm = 12.7;
        double pitch = loop.IsToothed ? WheelOutline.PitchMm(loop) : usualPitchMm;
        return element switch
        {
            DriveElement.Chain => Chains.All.MinBy(c => Math.Abs(c.PitchMm - pitch))!.ChainId,
            DriveElement.ToothedBelt => SynchronousProfiles.All.MinBy(p => Math.Abs(p.PitchMm - pitch))!.ProfileId,
            DriveElement.VBelt => "A",
            DriveElement.FlatBelt => "flat",
            _ => "round",
        };
    }

    /// <summary>The drive as it would be with it.</summary>
    /// <remarks>The shafts stay where they are; idlers of the loop it replaces are left out.</remarks>
    internal LoadsInput In(LoadsInput input)
    {
        Loop loop = DriveLoops.Find(input.Drive, Strength.LoopKey, "Strength.LoopKey");
        new Guard("Alternative.").Include(Check(loop)).ThrowIfAny();
        Loop other = AsLoop(loop);
        LoopChoice choice = new(loop.Key, FrontSize, RearSize, null);
        return input with
        {
            Drive = input.Drive with { Stages = [.. input.Drive.Stages.Select(s => s.Key == loop.Key ? other : s)] },
            Loops = [.. input.Loops.Select(c => c.LoopKey == loop.Key ? choice : c)],
            Layout = input.Layout is { } layout ? WithoutIdlers(layout) : null,
            Strength = Strength,
            Alternative = null,
        };
    }

    internal static LoopLayout WithoutIdlers(LoopLayout layout) =>
        layout with
        {
            Idlers = [],
            Moving = layout.MovesIdler ? null : layout.Moving,
            Limits = null,
        };

    private Loop AsLoop(Loop loop)
    {
        return loop with
        {
            DriveElement = DriveElement,
            Standard = Standard,
            SlipFraction = Loop.UsualSlip(DriveElement),
            LargestRear = null,
            SmallestFront = null,
        };
    }

    internal Guard Check(Loop loop)
    {
        Guard guard = new();
        guard.OneOf(nameof(DriveElement), DriveElement);
        if (!Enum.IsDefined(DriveElement))
            return guard;
        Loop other = AsLoop(loop);
        bool isKnown = DriveElement switch
        {
            DriveElement.Chain => Chains.Find(Standard) is not null,
            DriveElement.ToothedBelt => SynchronousProfiles.Find(Standard) is not null,
            DriveElement.VBelt => VSections.Find(Standard) is not null,
            _ => true,
        };
        guard.That(isKnown, nameof(Standard), "unknown", "Give a chain, profile or section of the tables.");
        return guard
            .Count(nameof(Name), Name.Length, 0, LongestName, "characters")
            .CheckWheel(nameof(FrontSize), FrontSize, other)
            .CheckWheel(nameof(RearSize), RearSize, other)
            .Include(new Guard($"{nameof(Strength)}.").Include(Strength.Check(other)));
    }
}
