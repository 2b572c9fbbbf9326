using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

/// <summary>A machine after another setup went on.</summary>
/// <param name="Machine">With the kinds that the setup brings.</param>
/// <param name="Others">Setups that keep the kind that came off, since their wheels are for that one.</param>
public sealed record KindsSwapped(Machine Machine, IReadOnlyList<Setup> Others);

/// <summary>Loops that are another kind in a setup than on the machine: a belt tried in the place of a chain.</summary>
/// <remarks>
/// What hangs on the kind of a loop is the machine’s while it is on, and the setup’s while it is not. Fitting swaps both, so that
/// the old kind is kept to go back to.
/// </remarks>
public static class SetupKinds
{
    /// <summary>The machine as it is with the kinds of a setup on it.</summary>
    public static Machine On(Machine machine, IReadOnlyList<LoopKind>? kinds)
    {
        if (kinds is not { Count: > 0 })
            return machine;
        Dictionary<string, LoopKind> of = kinds.ToDictionary(k => k.LoopKey);
        MachineLoads loads = machine.Loads ?? new([], []);
        LoopStrength[] strengths = [.. Put(loads.Strengths, s => s.LoopKey, k => k.Strength) ?? []];
        return machine with
        {
            Drives =
            [
                .. machine.Drives.Select(d =>
                    d with
                    {
                        Stages =
                        [
                            .. d.Stages.Select(s =>
                                s is Loop loop && of.TryGetValue(loop.Key, out LoopKind? kind) ? kind.On(loop) : s
                            ),
                        ],
                    }
                ),
            ],
            Layouts = Put(machine.Layouts, l => l.LoopKey, k => k.Layout),
            Settings = Put(machine.Settings, s => s.LoopKey, k => k.Setting),
            Inspections = Put(machine.Inspections, i => i.LoopKey, k => k.Inspection),
            Loads = MachineLoads.For(loads with { Strengths = strengths }, machine.Drives),
        };

        T[]? Put<T>(IReadOnlyList<T>? now, Func<T, string> key, Func<LoopKind, T?> tell)
            where T : class
        {
            T[] all = [.. (now ?? []).Where(n => !of.ContainsKey(key(n))), .. kinds.Select(tell).OfType<T>()];
            return all.Length == 0 ? null : all;
        }
    }

    /// <summary>What the machine and its other setups are once a setup is on: the kinds that come off go to those that need them.</summary>
    /// <param name="machine">As it was.</param>
    /// <param name="next">The setup that goes on; it keeps no kinds of its own then.</param>
    /// <param name="others">All other setups of the machine.</param>
    public static KindsSwapped Swap(Machine machine, Setup next, IEnumerable<Setup> others)
    {
        if (next.Kinds is not { Count: > 0 } kinds)
            return new(machine, []);
        LoopKind[] off =
        [
            .. MachineRules
                .LoopsOf(machine)
                .Where(l => kinds.Any(k => k.LoopKey == l.Key))
                .Select(l => LoopKind.Of(machine, l)),
        ];
        return new(
            On(machine, kinds),
            [
                .. others
                    .Select(s =>
                        s with
                        {
                            Kinds =
                            [
                                .. s.Kinds ?? [],
                                .. off.Where(k => s.Kinds?.Any(own => own.LoopKey == k.LoopKey) != true),
                            ],
                        }
                    )
                    .Where(s => s.Kinds!.Count > 0),
            ]
        );
    }

    /// <summary>
    /// What was changed on a machine while a setup of another kind was in view, put where it belongs: of those loops to the setup,
    /// the rest to the machine.
    /// </summary>
    /// <param name="changed">As it was sent: with the kinds of the setup on it.</param>
    /// <param name="stored">As it is.</param>
    /// <param name="setup">That was in view.</param>
    public static (Machine Machine, Setup Setup) Split(Machine changed, Machine stored, Setup setup)
    {
        if (setup.Kinds is not { Count: > 0 } kinds)
            return (changed, setup);
        HashSet<string> keys = [.. kinds.Select(k => k.LoopKey)];
        return (
            On(
                changed,
                [.. MachineRules.LoopsOf(stored).Where(l => keys.Contains(l.Key)).Select(l => LoopKind.Of(stored, l))]
            ),
            setup with
            {
                Kinds =
                [
                    .. MachineRules
                        .LoopsOf(changed)
                        .Where(l => keys.Contains(l.Key))
                        .Select(l => LoopKind.Of(changed, l)),
                ],
            }
        );
    }

    /// <summary>Kinds of loops that the machine still has; null for none.</summary>
    public static IReadOnlyList<LoopKind>? For(Machine machine, IReadOnlyList<LoopKind>? kinds)
    {
        LoopKind[] left = [.. (kinds ?? []).Where(k => MachineRules.LoopsOf(machine).Any(l => l.Key == k.LoopKey))];
        return left.Length == 0 ? null : left;
    }

    /// <summary>Refuses kinds that are of no loop of the machine, or that the machine could not have on it.</summary>
    internal static Guard Check(Machine machine, Setup setup)
    {
        Guard guard = new();
        IReadOnlyList<LoopKind> kinds = setup.Kinds ?? [];
        guard.That(
            kinds.Count == 0 || setup.Status != SetupStatus.AsFitted,
            nameof(setup.Kinds),
            "fitted",
            "What is on the machine has the machine's own kinds: leave them out."
        );
        for (int i = 0; i < kinds.Count; i++)
        {
            string at = FormattableString.Invariant($"{nameof(setup.Kinds)}[{i}].");
            guard
                .That(
                    MachineRules.LoopsOf(machine).Any(l => l.Key == kinds[i].LoopKey)
                        && kinds.Take(i).All(k => k.LoopKey != kinds[i].LoopKey),
                    at + nameof(LoopKind.LoopKey),
                    "unknown",
                    "Give each loop of this machine once."
                )
                .OneOf(at + nameof(LoopKind.DriveElement), kinds[i].DriveElement)
                .OneOf(at + nameof(LoopKind.Arrangement), kinds[i].Arrangement);
            string?[] of =
            [
                kinds[i].Strength?.LoopKey,
                kinds[i].Layout?.LoopKey,
                kinds[i].Setting?.LoopKey,
                kinds[i].Inspection?.LoopKey,
            ];
            guard.That(
                of.All(key => key is null || key == kinds[i].LoopKey),
                at + nameof(LoopKind.LoopKey),
                "unknown",
                "Everything of a kind is of its loop."
            );
        }
        return guard;
    }
}
