using Wendrak.Core.Procedures;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;

namespace Wendrak.Core.Sharing;

/// <summary>Procedures of machines, handed on and taken in.</summary>
public static class SharingProcedures
{
    /// <summary>What a machine has of its own, as it goes into a file; what was measured on it stays with it.</summary>
    /// <exception cref="InvalidInputException">Nothing is left of it then.</exception>
    public static SharedProcedure From(OwnProcedure own)
    {
        OwnProcedure going = own with
        {
            Reworded = [.. own.Reworded.Where(SaysSomething).Select(w => w with { WayMm = null })],
        };
        new Guard()
            .That(
                going.Reworded.Count + going.Added.Count > 0,
                "Family",
                "nothing_to_share",
                "This machine has no words, torques or steps of its own here: what was measured on it stays with it."
            )
            .ThrowIfAny();
        return new(going, ProcedureLibrary.Get(own.Family).Version);
    }

    /// <summary>What taking it in would change on a machine.</summary>
    /// <exception cref="InvalidInputException">No loop of the machine is worked on by that procedure.</exception>
    public static SharedDifferences Compare(SharedProcedure file, Machine machine)
    {
        OwnProcedure there = file.Procedure;
        OwnProcedure? here = Of(machine, there.Family);
        Procedure procedure = ProcedureLibrary.Get(there.Family);
        new Guard()
            .That(
                MachineRules.LoopsOf(machine).Any(l => procedure.Elements.Contains(l.DriveElement)),
                "File.Content.Procedure.Family",
                "no_loop",
                $"No chain or belt of {machine.Name} is worked on by “{procedure.Title}”."
            )
            .ThrowIfAny();
        return (
            SharedDifferences.Empty with
            {
                Wordings = [.. procedure.Steps.SelectMany(s => Compare(s, Said(here, s.Key), Said(there, s.Key)))],
                AddedSteps =
                [
                    .. there
                        .Added.Concat(here?.Added ?? [])
                        .Select(a => a.Key)
                        .Distinct()
                        .Select(k => Compare(k, procedure, here, there)),
                ],
                IsKnown = here is not null,
                Caution = Caution(file, procedure),
            }
        ).Counted();
    }

    /// <summary>The machine with the file’s words where it speaks, and with its own where it is silent.</summary>
    public static Machine Take(SharedProcedure file, Machine machine)
    {
        OwnProcedure there = file.Procedure;
        OwnProcedure here = Of(machine, there.Family) ?? new(there.Family, [], []);
        OwnProcedure next = new(
            there.Family,
            [
                .. here.Reworded.Select(w => Over(w, Wording(there, w.Step))),
                .. there.Reworded.Where(w => Wording(here, w.Step) is null),
            ],
            [.. here.Added.Select(a => Added(there, a.Key) ?? a), .. there.Added.Where(a => Added(here, a.Key) is null)]
        );
        return machine with { Procedures = [.. (machine.Procedures ?? []).Where(p => p.Family != there.Family), next] };
    }

    /// <summary>Ours keeps what theirs does not say: a file of words alone takes no torque away.</summary>
    private static StepWording Over(StepWording here, StepWording? there) =>
        there is null
            ? here
            : new(
                here.Step,
                there.Do ?? here.Do,
                there.Minutes ?? here.Minutes,
                there.TorqueNm ?? here.TorqueNm,
                there.TorqueNm is null ? here.TorqueFor : there.TorqueFor,
                here.WayMm
            );

    private static string? Caution(SharedProcedure file, Procedure procedure)
    {
        List<string> sentences = [];
        if (file.BasedOn != procedure.Version)
            sentences.Add(
                $"It was written beside version {file.BasedOn} of the procedure, here is {procedure.Version}: read its steps before they are worked by."
            );
        if (file.Procedure.Reworded.Any(w => w.TorqueNm is not null))
            sentences.Add("Torques in it are those of their machine: hold them against what the maker of yours says.");
        return sentences.Count > 0 ? string.Join(" ", sentences) : null;
    }

    private static OwnProcedure? Of(Machine machine, ProcedureFamily family) =>
        machine.Procedures?.FirstOrDefault(p => p.Family == family);

    private static IEnumerable<WordingDifference> Compare(ProcedureStep step, StepWording? here, StepWording? there)
    {
        if ((here ?? there) is not null)
            yield return new(
                step.Key,
                step.Do,
                StateOf(here, there is null || here is null ? there : Over(here, there)),
                here,
                there
            );
    }

    private static AddedStepDifference Compare(string key, Procedure procedure, OwnProcedure? own, OwnProcedure there)
    {
        (AddedStep? a, AddedStep? b) = (Added(own, key), Added(there, key));
        return new(key, StateOf(a, b), a, b, After(procedure, own, a), After(procedure, there, b));
    }

    private static string? After(Procedure procedure, OwnProcedure? own, AddedStep? step) =>
        step?.After is { } key ? own?.On(procedure).Steps.FirstOrDefault(s => s.Key == key)?.Do : null;

    private static SharedState StateOf<T>(T? here, T? there)
        where T : class =>
        there is null ? SharedState.OnlyHere
        : here is null ? SharedState.New
        : here.Equals(there) ? SharedState.Same
        : SharedState.Other;

    private static StepWording? Wording(OwnProcedure? own, string step) =>
        own?.Reworded.FirstOrDefault(w => w.Step == step);

    private static StepWording? Said(OwnProcedure? own, string step) =>
        Wording(own, step) is { } wording && SaysSomething(wording) ? wording : null;

    private static bool SaysSomething(StepWording wording) =>
        (wording.Do, wording.Minutes, wording.TorqueNm) != (null, null, null);

    private static AddedStep? Added(OwnProcedure? own, string key) => own?.Added.FirstOrDefault(a => a.Key == key);
}
