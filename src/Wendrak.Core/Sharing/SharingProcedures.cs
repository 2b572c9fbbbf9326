using Wendrak.Core.Procedures;

namespace Wendrak.Core.Sharing;

/// <summary>Procedures of machines, handed on and taken in.</summary>
public static class SharingProcedures
{
    /// <summary>What taking it in would change on a machine.</summary>
    /// <param name="here">What the machine has of its own; null for nothing.</param>
    public static SharedDifferences Compare(SharedProcedure file, OwnProcedure? here)
    {
        OwnProcedure there = file.Procedure;
        Procedure procedure = ProcedureLibrary.Get(there.Family);
        return (
            SharedDifferences.Empty with
            {
                Wordings =
                [
                    .. procedure.Steps.SelectMany(s => Compare(s, Wording(here, s.Key), Wording(there, s.Key))),
                ],
                AddedSteps =
                [
                    .. there
                        .Added.Concat(here?.Added ?? [])
                        .Select(a => a.Key)
                        .Distinct()
                        .Select(k => Compare(k, procedure, here, there)),
                ],
                IsKnown = here is not null,
                Caution =
                    file.BasedOn == procedure.Version
                        ? null
                        : $"It was written beside version {file.BasedOn} of the procedure, here is {procedure.Version}: read its steps before they are worked by.",
            }
        ).Counted();
    }

    /// <summary>What the machine has then: the file’s where it speaks, else what was here.</summary>
    public static OwnProcedure Take(SharedProcedure file, OwnProcedure? here)
    {
        OwnProcedure there = file.Procedure;
        if (here is null)
            return there;
        return new(
            there.Family,
            [
                .. here.Reworded.Select(w => Wording(there, w.Step) ?? w),
                .. there.Reworded.Where(w => Wording(here, w.Step) is null),
            ],
            [.. here.Added.Select(a => Added(there, a.Key) ?? a), .. there.Added.Where(a => Added(here, a.Key) is null)]
        );
    }

    private static IEnumerable<WordingDifference> Compare(ProcedureStep step, StepWording? here, StepWording? there)
    {
        if ((here ?? there) is not null)
            yield return new(step.Key, step.Do, StateOf(here, there), here, there);
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

    private static AddedStep? Added(OwnProcedure? own, string key) => own?.Added.FirstOrDefault(a => a.Key == key);
}
