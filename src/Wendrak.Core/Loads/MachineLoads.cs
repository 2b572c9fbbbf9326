using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Loads;

/// <summary>What passes the torque on at one wheel of a loop, as it was measured, and what it held in a test.</summary>
/// <param name="Side">The driving or the driven wheel.</param>
/// <param name="YieldMpa">Of the softer part; null for mild steel.</param>
/// <param name="ProofTorqueNm">Torque that it was tested with and held; null where nobody tested it.</param>
/// <param name="LoopKey">Key of the loop it is about.</param>
public sealed record LoopJoint(
    string LoopKey,
    WheelSide Side,
    ShaftHubConnection Carrier,
    double? YieldMpa = null,
    double? ProofTorqueNm = null
)
{
    internal Guard Check() =>
        new Guard()
            .OneOf(nameof(Side), Side)
            .Include(new Guard($"{nameof(Carrier)}.").Include(Carrier.Check()))
            .Include(ShaftHubCapacity.CheckMaterial(YieldMpa, ProofTorqueNm));
}

/// <summary>What is known of a machine's loads.</summary>
/// <param name="Sources">One for a drive at most.</param>
/// <param name="Strengths">One for a loop at most.</param>
/// <param name="Alternatives">Chains and belts of another kind, kept to be laid beside a loop.</param>
/// <param name="Joints">One for a wheel at most.</param>
public sealed record MachineLoads(
    IReadOnlyList<LoadSource> Sources,
    IReadOnlyList<LoopStrength> Strengths,
    IReadOnlyList<LoopAlternative>? Alternatives = null,
    IReadOnlyList<LoopJoint>? Joints = null
)
{
    /// <summary>What belongs to drives and loops that are there; null when nothing is left.</summary>
    internal static MachineLoads? For(MachineLoads? loads, IReadOnlyList<Drive> drives)
    {
        if (loads is null)
            return null;
        HashSet<string> keys = [.. drives.Select(d => d.Key)];
        HashSet<string> loops = [.. drives.SelectMany(d => d.Stages).OfType<Loop>().Select(l => l.Key)];
        LoadSource[] sources = [.. loads.Sources.Where(s => keys.Contains(s.DriveKey))];
        LoopStrength[] strengths = [.. loads.Strengths.Where(s => loops.Contains(s.LoopKey))];
        LoopAlternative[] others = [.. (loads.Alternatives ?? []).Where(a => loops.Contains(a.Strength.LoopKey))];
        LoopJoint[] joints = [.. (loads.Joints ?? []).Where(j => loops.Contains(j.LoopKey))];
        return sources.Length + strengths.Length + others.Length + joints.Length == 0
            ? null
            : new(sources, strengths, others.Length == 0 ? null : others, joints.Length == 0 ? null : joints);
    }

    internal Guard Check(IReadOnlyList<Drive> drives)
    {
        Guard guard = new();
        HashSet<string> seen = [];
        for (int i = 0; i < Sources.Count; i++)
            guard
                .That(
                    drives.Any(d => d.Key == Sources[i].DriveKey) && seen.Add(Sources[i].DriveKey),
                    $"{nameof(Sources)}[{i}].DriveKey",
                    "unknown",
                    "Give each drive of this machine once."
                )
                .Include(new Guard($"{nameof(Sources)}[{i}].").Include(Sources[i].Check()));
        seen.Clear();
        for (int i = 0; i < Strengths.Count; i++)
        {
            Loop? loop = drives
                .SelectMany(d => d.Stages)
                .OfType<Loop>()
                .FirstOrDefault(l => l.Key == Strengths[i].LoopKey);
            guard.That(
                loop is not null && seen.Add(Strengths[i].LoopKey),
                $"{nameof(Strengths)}[{i}].LoopKey",
                "unknown",
                "Give each loop of this machine once."
            );
            if (loop is not null)
                guard.Include(new Guard($"{nameof(Strengths)}[{i}].").Include(Strengths[i].Check(loop)));
        }
        return guard.Include(CheckAlternatives(drives)).Include(CheckJoints(drives));
    }

    private Guard CheckJoints(IReadOnlyList<Drive> drives)
    {
        Guard guard = new();
        HashSet<(string, WheelSide)> seen = [];
        for (int i = 0; i < (Joints?.Count ?? 0); i++)
        {
            LoopJoint joint = Joints![i];
            guard
                .That(
                    drives.SelectMany(d => d.Stages).OfType<Loop>().Any(l => l.Key == joint.LoopKey)
                        && seen.Add((joint.LoopKey, joint.Side)),
                    $"{nameof(Joints)}[{i}].LoopKey",
                    "unknown",
                    "Give each wheel of this machine's loops once."
                )
                .Include(new Guard($"{nameof(Joints)}[{i}].").Include(joint.Check()));
        }
        return guard;
    }

    private Guard CheckAlternatives(IReadOnlyList<Drive> drives)
    {
        Guard guard = new();
        IReadOnlyList<LoopAlternative> others = Alternatives ?? [];
        for (int i = 0; i < others.Count; i++)
        {
            string key = others[i].Strength.LoopKey;
            string at = $"{nameof(Alternatives)}[{i}].";
            Loop? loop = drives.SelectMany(d => d.Stages).OfType<Loop>().FirstOrDefault(l => l.Key == key);
            guard.That(
                loop is not null && others.Take(i).Count(o => o.Strength.LoopKey == key) < LoopAlternative.MostOfALoop,
                at + "Strength.LoopKey",
                "unknown",
                $"Give a loop of this machine, and {LoopAlternative.MostOfALoop} at most beside each."
            );
            if (loop is not null)
                guard.Include(new Guard(at).Include(others[i].Check(loop)));
        }
        return guard;
    }
}
