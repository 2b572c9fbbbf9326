using Wendrak.Core.Gearing;
using Wendrak.Core.Procedures;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Evaluation;

/// <summary>What shows on a run which way round it goes.</summary>
public enum RunMark
{
    /// <summary>The clip of a joining link: its closed end leads.</summary>
    Clip,

    /// <summary>An arrow on the back of a belt.</summary>
    Arrow,
}

/// <summary>A run of chain or belt at the step that lays or closes it, as its standard measures it.</summary>
/// <param name="Step">Key of the step.</param>
/// <param name="Standard">Size of the chain or profile of the belt.</param>
/// <param name="PitchMm">Pitch, mm.</param>
/// <param name="HeightMm">Height of the plates, or thickness of the belt with its teeth, mm.</param>
/// <param name="RoundMm">Diameter of the rollers, or height of the teeth, mm.</param>
public sealed record RunAtStep(
    string Step,
    RunMark Mark,
    string Standard,
    double PitchMm,
    double HeightMm,
    double RoundMm
);

/// <summary>Both ways round of a clip and of a belt with a direction.</summary>
internal static class RunWays
{
    /// <returns>Empty where no table measures the standard of the loop.</returns>
    public static IReadOnlyList<RunAtStep> At(IEnumerable<ProcedureStep> steps, Loop loop) =>
        [.. steps.Where(s => s.Way is not null).SelectMany(s => At(s, loop))];

    private static IEnumerable<RunAtStep> At(ProcedureStep step, Loop loop)
    {
        bool Asks(string part) => step.Parts.Any(p => p.Key == part);
        if (loop.DriveElement == DriveElement.Chain && Asks(TrayCounts.JoiningLink))
        {
            if (Chains.Find(loop.Standard) is { PlateHeightMm: double plates } c)
                yield return new(step.Key, RunMark.Clip, c.ChainId, c.PitchMm, plates, c.RollerDiameterMm);
        }
        else if (loop.DriveElement == DriveElement.ToothedBelt && Asks(TrayCounts.Belt))
            if (SynchronousProfiles.Find(loop.Standard) is { } b)
                yield return new(step.Key, RunMark.Arrow, b.ProfileId, b.PitchMm, b.BeltThicknessMm, b.ToothHeightMm);
    }
}
