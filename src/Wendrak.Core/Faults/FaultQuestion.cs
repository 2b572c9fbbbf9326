using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Faults;

/// <summary>Another machine, used alike, that does not have the fault.</summary>
/// <param name="Circumstances">What it met as well: that counts less, and what only this one met counts more.</param>
public sealed record FaultControl(IReadOnlyList<string> Circumstances);

/// <summary>What came of a test.</summary>
/// <param name="Test">Key of the test.</param>
/// <param name="Answer">One of its answers, <see cref="CantTell"/> or <see cref="CantDo"/>.</param>
public sealed record FaultAnswer(string Test, string Answer)
{
    /// <summary>It was done and nothing was to be seen: it is not asked again.</summary>
    public const string CantTell = "cantTell";

    /// <summary>It can't be done here: it is not asked again.</summary>
    public const string CantDo = "cantDo";
}

/// <summary>A loop that does something it should not, and what is known of it.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="At">What is at it or beside it.</param>
/// <param name="Signs">What it does: keys of the table.</param>
/// <param name="Circumstances">What came before, and what the record says: keys of the table.</param>
/// <param name="Control">Null where no other machine is used alike.</param>
/// <param name="Answers">Of tests, in any order.</param>
/// <param name="Tools">On hand; null for all.</param>
/// <param name="People">Who can lend a hand, the one who asks among them.</param>
/// <param name="Asked">Key of a test that somebody wants to do next; null for the one that tells most. What stops a machine comes before either.</param>
public sealed record FaultQuestion(
    FaultKind Kind,
    IReadOnlyList<FaultSetting> At,
    IReadOnlyList<string> Signs,
    IReadOnlyList<string> Circumstances,
    FaultControl? Control,
    IReadOnlyList<FaultAnswer> Answers,
    IReadOnlyList<string>? Tools,
    int People = 2,
    string? Asked = null
)
{
    public const int MostPeople = 10;

    /// <exception cref="InvalidInputException">Every issue is named.</exception>
    internal void Check()
    {
        Guard guard = new();
        guard.OneOf(nameof(Kind), Kind).Between(nameof(People), People, 1, MostPeople, "people");
        for (int i = 0; i < At.Count; i++)
            guard.OneOf(FormattableString.Invariant($"{nameof(At)}[{i}]"), At[i]);
        if (!guard.HasIssues)
        {
            Hypotheses ways = Hypotheses.For(Kind, At);
            Once(guard, nameof(Signs), Signs, ways.Signs);
            Once(guard, nameof(Circumstances), Circumstances, Hypotheses.Circumstances);
            if (Control is { } control)
                Once(
                    guard,
                    $"{nameof(Control)}.{nameof(control.Circumstances)}",
                    control.Circumstances,
                    Hypotheses.Circumstances
                );
            Dictionary<string, FaultTest> tests = ways.Tests.ToDictionary(t => t.Key);
            guard.That(
                Asked is null || (tests.ContainsKey(Asked) && Answers.All(a => a.Test != Asked)),
                nameof(Asked),
                "unknown",
                "Name a test that such a loop has and that is not answered: take its answer back first."
            );
            Once(guard, nameof(Answers), [.. Answers.Select(a => a.Test)], tests.Keys, $".{nameof(FaultAnswer.Test)}");
            for (int i = 0; i < Answers.Count; i++)
                guard.That(
                    !tests.TryGetValue(Answers[i].Test, out FaultTest? test)
                        || Answers[i].Answer is FaultAnswer.CantTell or FaultAnswer.CantDo
                        || test.Answers.Contains(Answers[i].Answer),
                    FormattableString.Invariant($"{nameof(Answers)}[{i}].{nameof(FaultAnswer.Answer)}"),
                    "unknown",
                    "Give an answer of this test, or that it can’t be told or done."
                );
        }
        guard.ThrowIfAny();
    }

    private static void Once(
        Guard guard,
        string list,
        IReadOnlyList<string> keys,
        IReadOnlyCollection<string> known,
        string field = ""
    )
    {
        for (int i = 0; i < keys.Count; i++)
            guard.That(
                known.Contains(keys[i]) && !keys.Take(i).Contains(keys[i]),
                FormattableString.Invariant($"{list}[{i}]{field}"),
                "unknown",
                "Give one that such a loop has, and each once."
            );
    }
}
