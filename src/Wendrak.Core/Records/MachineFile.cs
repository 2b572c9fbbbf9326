using Wendrak.Core.Quantities;

namespace Wendrak.Core.Records;

/// <summary>A machine with everything that belongs to it, as written to a file. Format: docs/machine-file.md.</summary>
/// <param name="Format">Always <see cref="FormatName"/>.</param>
/// <param name="FormatVersion">14; a larger number was written by a newer program and is refused.</param>
public sealed record MachineFile(
    string Format,
    int FormatVersion,
    Machine Machine,
    IReadOnlyList<Setup> Setups,
    IReadOnlyList<Aim> Aims,
    IReadOnlyList<FiledJob>? Jobs = null,
    IReadOnlyList<FiledLog>? Log = null
)
{
    public const string FormatName = "wendrak-machine";
    public const int NewestVersion = 16;
    public const int MostSetups = 5_000;
    public const int MostAims = 5_000;
    public const int MostJobs = 10_000;
    public const int MostLots = 10_000;

    public static MachineFile From(
        Machine machine,
        IReadOnlyList<Setup> setups,
        IReadOnlyList<Aim> aims,
        IReadOnlyList<FiledJob>? jobs = null,
        IReadOnlyList<FiledLog>? log = null
    ) => new(FormatName, NewestVersion, machine, setups, aims, jobs, log);

    /// <summary>Refuses a file that can't be taken in whole; nothing of it is stored then.</summary>
    /// <exception cref="InvalidInputException">Says what the file is not, or which part of it is wrong.</exception>
    public void Check()
    {
        FileForm.Check(Format, FormatName, FormatVersion, NewestVersion);
        new Guard()
            .Count(nameof(Setups), Setups.Count, 1, MostSetups, "setups")
            .Count(nameof(Aims), Aims.Count, 0, MostAims, "aims")
            .Count(nameof(Jobs), Jobs?.Count ?? 0, 0, MostJobs, "jobs")
            .Count(nameof(Log), Log?.Count ?? 0, 0, MostLots, "lots")
            .That(
                Setups.Count(s => s.Status == SetupStatus.AsFitted) == 1,
                nameof(Setups),
                "not_one_fitted",
                "Give exactly one setup with the status “asFitted”.",
                1
            )
            .That(
                Setups.Count(s => s.Status == SetupStatus.AsDelivered) <= 1,
                nameof(Setups),
                "several_delivered",
                "Give one setup with the status “asDelivered” at most.",
                1
            )
            .ThrowIfAny();
        MachineRules.Check(Machine, Setups.First(s => s.Status == SetupStatus.AsFitted).Loops);
        foreach (Setup setup in Setups)
            MachineRules.Check(setup, Machine);
        foreach (Aim aim in Aims)
            MachineRules.CheckKept(aim);
        for (int i = 0; i < (Jobs?.Count ?? 0); i++)
            Refusal.Under($"{nameof(Jobs)}[{i}]", Jobs![i].Check);
        for (int i = 0; i < (Log?.Count ?? 0); i++)
            Refusal.Under($"{nameof(Log)}[{i}]", Log![i].Check);
    }
}
