using Wendrak.Core.Choices;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loops;
using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;
using Wendrak.Core.Shafts;
using Wendrak.Core.Tables;
using Wendrak.Core.Tension;

namespace Wendrak.Core.Records;

/// <summary>What may be stored.</summary>
public static class MachineRules
{
    internal const double FarthestKm = 10_000_000;

    /// <summary>Refuses a machine that could not be computed with, or whose wheels do not fit its loops.</summary>
    /// <exception cref="InvalidInputException">Every issue is named, by its path in the draft.</exception>
    public static void Check(MachineDraft draft) =>
        Refusal.Under(
            nameof(draft.Machine),
            () =>
            {
                Check(draft.Machine, draft.Fitted);
                return true;
            },
            but: nameof(draft.Fitted)
        );

    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public static void Check(Machine machine, IReadOnlyList<LoopChoice> fitted)
    {
        Guard guard = new();
        guard
            .Named(nameof(machine.Name), machine.Name)
            .OneOf(nameof(machine.Kind), machine.Kind)
            .Note(nameof(machine.Note), machine.Note)
            .BetweenIfGiven(nameof(machine.OdometerKm), machine.OdometerKm, 0, FarthestKm, "km");
        if (machine.Work is { } work)
            guard.Include(new Guard("Work.").Include(WorkCosts.Check(work)));
        guard.Include(MachineDrives.Check(machine.Drives, fitted, "Fitted"));
        guard.Include(CheckLayouts(machine));
        guard.Include(CheckShafts(machine));
        if (machine.Loads is { } loads)
            guard.Include(new Guard("Loads.").Include(loads.Check(machine.Drives)));
        guard.Include(CheckSettings(machine));
        guard.Include(CheckProcedures(machine));
        guard.Include(CheckInspections(machine));
        guard.Include(CheckWeighings(machine));
        for (int i = 0; i < (machine.Said?.Count ?? 0); i++)
            guard
                .OneOf(FormattableString.Invariant($"{nameof(machine.Said)}[{i}]"), machine.Said![i])
                .That(
                    !machine.Said.Take(i).Contains(machine.Said[i]),
                    FormattableString.Invariant($"{nameof(machine.Said)}[{i}]"),
                    "twice",
                    "Give each once."
                );
        guard.ThrowIfAny();
    }

    private static Guard CheckProcedures(Machine machine)
    {
        Guard guard = new();
        IReadOnlyList<OwnProcedure> own = machine.Procedures ?? [];
        for (int i = 0; i < own.Count; i++)
            guard
                .Include(new Guard($"{nameof(machine.Procedures)}[{i}].").Include(own[i].Check()))
                .That(
                    own.Take(i).All(o => o.Family != own[i].Family),
                    $"{nameof(machine.Procedures)}[{i}].{nameof(OwnProcedure.Family)}",
                    "twice",
                    "Give every procedure once."
                );
        return guard;
    }

    private static Guard CheckInspections(Machine machine)
    {
        Guard guard = new();
        IReadOnlyList<LoopInspection> inspections = machine.Inspections ?? [];
        HashSet<string> seen = [];
        for (int i = 0; i < inspections.Count; i++)
        {
            string at = FormattableString.Invariant($"{nameof(machine.Inspections)}[{i}].");
            Loop? loop = LoopsOf(machine).FirstOrDefault(l => l.Key == inspections[i].LoopKey);
            guard.That(
                loop is not null && seen.Add(inspections[i].LoopKey),
                at + nameof(LoopInspection.LoopKey),
                "unknown",
                "Give each loop of this machine once."
            );
            if (loop is not null)
                guard.Include(new Guard(at).Include(inspections[i].Check(loop)));
        }
        return guard;
    }

    private static Guard CheckWeighings(Machine machine)
    {
        Guard guard = new();
        IReadOnlyList<LoopWeighing> weighings = machine.Weighings ?? [];
        for (int i = 0; i < weighings.Count; i++)
        {
            string at = FormattableString.Invariant($"{nameof(machine.Weighings)}[{i}].");
            LoopWeighing weighing = weighings[i];
            guard
                .That(
                    LoopsOf(machine).Any(l => l.Key == weighing.LoopKey)
                        && weighings.Take(i).All(w => (w.LoopKey, w.Matter) != (weighing.LoopKey, weighing.Matter)),
                    at + nameof(weighing.LoopKey),
                    "unknown",
                    "Give each matter of each loop of this machine once."
                )
                .That(
                    weighing.Matter is null || ChoiceParts.All.Any(p => p.Matter == weighing.Matter),
                    at + nameof(weighing.Matter),
                    "unknown",
                    "Give one of the choices between parts, or none for the kind of drive."
                )
                .Include(
                    new Guard(at).Include(
                        weighing.Check(
                            weighing.Matter is null
                                ? [.. ChoiceKinds.All.Select(k => k.Key)]
                                : [.. ChoiceParts.All.Where(p => p.Matter == weighing.Matter).Select(p => p.Key)]
                        )
                    )
                );
        }
        return guard;
    }

    private static Guard CheckSettings(Machine machine)
    {
        Guard guard = new();
        IReadOnlyList<LoopSetting> settings = machine.Settings ?? [];
        HashSet<string> seen = [];
        for (int i = 0; i < settings.Count; i++)
        {
            string at = $"{nameof(machine.Settings)}[{i}].";
            Loop? loop = LoopsOf(machine).FirstOrDefault(l => l.Key == settings[i].LoopKey);
            guard.That(
                loop is not null && seen.Add(settings[i].LoopKey),
                at + "LoopKey",
                "unknown",
                "Give each loop of this machine once."
            );
            if (loop is not null)
                guard.Include(
                    new Guard(at).Include(
                        settings[i].Check(loop, machine.Layouts?.FirstOrDefault(l => l.LoopKey == loop.Key))
                    )
                );
        }
        return guard;
    }

    private static Guard CheckLayouts(Machine machine)
    {
        Guard guard = new();
        IReadOnlyList<LoopLayout> layouts = machine.Layouts ?? [];
        HashSet<string> laid = [];
        for (int i = 0; i < layouts.Count; i++)
        {
            string at = $"{nameof(machine.Layouts)}[{i}].";
            Loop? loop = LoopsOf(machine).FirstOrDefault(l => l.Key == layouts[i].LoopKey);
            guard
                .That(loop is not null, at + "LoopKey", "unknown", "Give a loop of this machine.")
                .That(laid.Add(layouts[i].LoopKey), at + "LoopKey", "taken", "Give one layout for each loop.");
            if (loop is not null)
                guard.Include(new Guard(at).Include(LoopLayout.Check(layouts[i], loop)));
        }
        return guard;
    }

    private static Guard CheckShafts(Machine machine)
    {
        Guard guard = new();
        IReadOnlyList<ShaftWidths> shafts = machine.Shafts ?? [];
        HashSet<(string, string)> measured = [];
        for (int i = 0; i < shafts.Count; i++)
        {
            string at = $"{nameof(machine.Shafts)}[{i}].";
            Drive? drive = machine.Drives.FirstOrDefault(d => d.Key == shafts[i].DriveKey);
            guard
                .That(drive is not null, at + "DriveKey", "unknown", "Give a drive of this machine.")
                .That(
                    measured.Add((shafts[i].DriveKey, shafts[i].Shaft)),
                    at + "Shaft",
                    "taken",
                    "Give the widths of each shaft once."
                );
            if (drive is not null)
                guard.Include(new Guard(at).Include(ShaftWidths.Check(shafts[i], drive)));
        }
        return guard;
    }

    /// <summary>Refuses wheels of a trial that are no wheels of the machine; loops it does not name stay as they are.</summary>
    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public static void CheckTrial(IReadOnlyList<LoopChoice> loops, Machine machine) =>
        DriveRules.CheckChoices(LoopsOf(machine), loops, mayBeLeftOut: true).ThrowIfAny();

    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public static void Check(Setup setup, Machine machine)
    {
        SetupKinds.Check(machine, setup).ThrowIfAny();
        machine = SetupKinds.On(machine, setup.Kinds);
        Guard guard = new();
        guard
            .Named(nameof(setup.Name), setup.Name)
            .OneOf(nameof(setup.Status), setup.Status)
            .Note(nameof(setup.Note), setup.Note)
            .BetweenIfGiven(nameof(setup.FittedAtKm), setup.FittedAtKm, 0, FarthestKm, "km")
            .Include(DriveRules.CheckChoices(LoopsOf(machine), setup.Loops))
            .Include(RoadWheels.Check(setup.RoadWheels, machine.Drives))
            .Include(CheckFollowUps(setup.FollowUps ?? []));
        guard.ThrowIfAny();
        if (setup.Kinds is { Count: > 0 })
            Refusal.Under(
                nameof(setup.Kinds),
                () =>
                {
                    Check(machine, setup.Loops);
                    return true;
                }
            );
    }

    /// <summary>Name of a setup that is taken off: its wheels and the day, unless somebody gave it a name of its own.</summary>
    /// <remarks>“15/45 until 2026-11-28”: a list of former setups tells them apart.</remarks>
    public static string FormerName(Setup taken, DateOnly on)
    {
        if (taken.Name != Setup.FittedName)
            return taken.Name;
        IEnumerable<string> wheels = taken.Loops.Select(l =>
            FormattableString.Invariant($"{l.FrontSize:0.##}/{l.RearSize:0.##}")
        );
        return
            FormattableString.Invariant($"{string.Join(", ", wheels)} until {on:yyyy-MM-dd}") is var name
            && name.Length <= Guard.LongestName
            ? name
            : FormattableString.Invariant($"until {on:yyyy-MM-dd}");
    }

    /// <summary>What a trial is called that nobody named: its wheels, and a number where another has that name.</summary>
    public static string TrialName(LoopChoice wheels, IReadOnlyList<Setup> others) =>
        FreeName(FormattableString.Invariant($"{wheels.FrontSize:0.##}/{wheels.RearSize:0.##}"), others);

    /// <summary>A name that no other setup has: with a number where one has it.</summary>
    public static string FreeName(string name, IReadOnlyList<Setup> others)
    {
        IEnumerable<string> numbered = Enumerable
            .Range(2, others.Count + 1)
            .Select(n => FormattableString.Invariant($"{name} ({n})"));
        return numbered.Prepend(name).First(free => others.All(s => s.Name != free));
    }

    private static Guard CheckFollowUps(IReadOnlyList<FollowUpTask> items)
    {
        const int most = 200;
        Guard guard = new();
        guard.Count("FollowUps", items.Count, 0, most, "items");
        for (int i = 0; i < items.Count; i++)
        {
            guard.OneOf($"FollowUps[{i}].Task", items[i].Task);
            foreach (ChangedPart part in items[i].Because)
                guard.OneOf($"FollowUps[{i}].Because", part);
        }
        return guard;
    }

    /// <summary>Refuses an aim that its machine can't have.</summary>
    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public static void Check(Aim aim, Machine machine)
    {
        Drive? drive = machine.Drives.FirstOrDefault(d => d.Key == aim.DriveKey);
        Guard guard = CheckKept(aim, drive is null ? int.MaxValue : DriveGears.List(drive).Count);
        guard.That(
            drive is not null,
            nameof(aim.DriveKey),
            "unknown",
            $"Give one of this machine's drives: {string.Join(", ", machine.Drives.Select(d => d.Key))}."
        );
        guard.ThrowIfAny();
    }

    /// <summary>Refuses an aim that no machine could have. Its drive or gear may be gone since: what was aimed at stays.</summary>
    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    public static void CheckKept(Aim aim) => CheckKept(aim, int.MaxValue).ThrowIfAny();

    private static Guard CheckKept(Aim aim, int gears) =>
        new Guard()
            .Named(nameof(aim.Name), aim.Name)
            .Note(nameof(aim.Note), aim.Note)
            .Named(nameof(aim.DriveKey), aim.DriveKey)
            .Include(aim.Venue is null ? new Guard() : new Guard().Named(nameof(aim.Venue), aim.Venue))
            .Include(new Guard("Target.").Include(AimRules.Check(aim.Target, gears)))
            .Include(AimRules.CheckMemory(aim.Conditions, aim.Wishes, aim.Outcomes));

    public static IEnumerable<Loop> LoopsOf(Machine machine) => machine.Drives.SelectMany(d => d.Stages).OfType<Loop>();
}
