using Wendrak.Core.Faults;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Records;

/// <summary>What may be said in a search for a fault.</summary>
internal static class FaultRules
{
    private const int MostValues = 12;

    public static Guard Check(Guard guard, JobSheet sheet, FaultDescribed e)
    {
        guard
            .Named(nameof(e.LoopKey), e.LoopKey)
            .Note(nameof(e.Words), e.Words)
            .That(
                e.IsNew == true || sheet.Faults.LastOrDefault(f => f.LoopKey == e.LoopKey)?.Found is null,
                nameof(e.IsNew),
                "found",
                "Its cause is found: take that back, or begin another search."
            );
        guard
            .OneOf(nameof(e.LoopKind), e.LoopKind)
            .Between(nameof(e.People), e.People, 1, FaultQuestion.MostPeople, "people");
        for (int i = 0; i < (e.At?.Count ?? 0); i++)
            guard.OneOf(FormattableString.Invariant($"{nameof(e.At)}[{i}]"), e.At![i]);
        if (guard.HasIssues)
            return guard;
        string[] signs = [.. FaultSigns.For(e.LoopKind, e.At ?? []).Select(s => s.Key)];
        string[] circumstances = [.. FaultSigns.Circumstances.Select(c => c.Key)];
        return guard
            .Known(nameof(e.Signs), e.Signs, signs)
            .Known(nameof(e.Circumstances), e.Circumstances, circumstances)
            .Known(nameof(e.NotSo), e.NotSo ?? [], circumstances)
            .Known(
                $"{nameof(e.Control)}.{nameof(e.Control.Circumstances)}",
                e.Control?.Circumstances ?? [],
                circumstances
            )
            .Known($"{nameof(e.Control)}.{nameof(e.Control.NotSo)}", e.Control?.NotSo ?? [], circumstances);
    }

    public static Guard Check(Guard guard, JobSheet sheet, FaultTested e)
    {
        if (OpenOf(guard, sheet, e.LoopKey) is not { } fault)
            return guard;
        FaultTest? test = FaultTests.For(fault.Kind, fault.At).FirstOrDefault(t => t.Key == e.Test);
        guard
            .That(test is not null, nameof(e.Test), "unknown", "Name a test that such a loop has.")
            .That(
                test is null
                    || e.Answer is FaultAnswer.CantTell or FaultAnswer.CantDo
                    || test.Answers.Contains(e.Answer),
                nameof(e.Answer),
                "unknown",
                "Give an answer of this test, or that it can’t be told or done."
            )
            .Count(nameof(e.Values), e.Values?.Count ?? 0, 0, MostValues, "values");
        for (int i = 0; i < (e.Values?.Count ?? 0); i++)
            guard.Between(FormattableString.Invariant($"{nameof(e.Values)}[{i}]"), e.Values![i], 0, 1e6, e.Unit ?? "");
        return guard.Note(nameof(e.Seen), e.Seen).Note(nameof(e.Unit), e.Unit);
    }

    public static Guard Check(Guard guard, JobSheet sheet, FaultFound e)
    {
        if (OpenOf(guard, sheet, e.LoopKey) is not { } fault)
            return guard;
        string[] causes = [.. FaultCauses.For(fault.Kind, fault.At).Select(c => c.Key)];
        return guard
            .Count(nameof(e.Causes), e.Causes.Count, 1, 2, "causes")
            .Known(nameof(e.Causes), e.Causes, causes)
            .OneOf(nameof(e.Grade), e.Grade)
            .Note(nameof(e.Why), e.Why)
            .Note(nameof(e.What), e.What)
            .That(
                !string.IsNullOrWhiteSpace(e.What) || guard.HasIssues,
                nameof(e.What),
                "missing",
                "Say what was found: its finding is called so."
            )
            .That(
                (e.Tests ?? []).All(t => fault.Answers.Any(a => a.Test == t)),
                nameof(e.Tests),
                "unanswered",
                "It rests on an answer that is taken back: take the finding back first."
            );
    }

    public static Guard Check(Guard guard, JobSheet sheet, CureJudged e)
    {
        FaultAtJob? fault = sheet.Faults.LastOrDefault(f => f.LoopKey == e.LoopKey);
        return guard.That(
            fault?.Found is { IsCured: true },
            nameof(e.LoopKey),
            "not_cured",
            "Say first what was found and what was done about it."
        );
    }

    private static FaultAtJob? OpenOf(Guard guard, JobSheet sheet, string loopKey)
    {
        FaultAtJob? fault = sheet.Faults.LastOrDefault(f => f.LoopKey == loopKey);
        guard
            .That(fault is not null, nameof(FaultTested.LoopKey), "unknown", "Say first what that loop does.")
            .That(
                fault?.Found is null,
                nameof(FaultTested.LoopKey),
                "found",
                "Its cause is found: take that back, or begin another search."
            );
        return fault?.Found is null ? fault : null;
    }

    private static Guard Known(this Guard guard, string list, IReadOnlyList<string> keys, IReadOnlyList<string> known)
    {
        for (int i = 0; i < keys.Count; i++)
            guard.That(
                known.Contains(keys[i]) && !keys.Take(i).Contains(keys[i]),
                FormattableString.Invariant($"{list}[{i}]"),
                "unknown",
                "Give one that such a loop has, and each once."
            );
        return guard;
    }
}
