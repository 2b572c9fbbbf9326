using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Records;

/// <summary>What a maker says of one part that is looked at: it stands in place of what the trade says.</summary>
/// <param name="Part">Which.</param>
/// <param name="Fine">What it looks like where it is fine; null for what the trade says.</param>
/// <param name="Watch">When it is watched; null for what the trade says.</param>
/// <param name="Stop">What it does not go out with; null for what the trade says.</param>
/// <param name="Source">Where its maker says so: a manual and its page.</param>
public sealed record MakerGrades(InspectedPart Part, string? Fine, string? Watch, string? Stop, string? Source)
{
    private const int LongestText = 300;

    internal Guard Check()
    {
        Guard guard = new();
        guard
            .OneOf(nameof(Part), Part)
            .That(
                Fine is not null || Watch is not null || Stop is not null,
                nameof(Fine),
                "nothing",
                "Say at least one of fine, watch and stop, or take the maker’s grades out."
            );
        foreach (
            (string field, string? text) in (ReadOnlySpan<(string, string?)>)
                [(nameof(Fine), Fine), (nameof(Watch), Watch), (nameof(Stop), Stop), (nameof(Source), Source)]
        )
            guard.That(
                text is null || (!string.IsNullOrWhiteSpace(text) && text.Length <= LongestText),
                field,
                "text_length",
                FormattableString.Invariant($"Write 1 to {LongestText} characters, or leave it out."),
                LongestText
            );
        return guard;
    }
}

/// <summary>How one loop is looked at on this machine, beside what the trade says.</summary>
/// <param name="LoopKey">Key of the loop.</param>
/// <param name="Kind">As what it is looked at; null for the usual of such a loop.</param>
/// <param name="Grades">Its maker’s, one for each part at most.</param>
public sealed record LoopInspection(string LoopKey, InspectionKind? Kind, IReadOnlyList<MakerGrades> Grades)
{
    private const int MostGrades = 30;

    internal Guard Check(Loop loop)
    {
        IReadOnlyList<InspectionKind> suiting = InspectionKinds.Suiting(loop.DriveElement);
        Guard guard = new();
        if (Kind is InspectionKind kind)
            guard.That(
                suiting.Contains(kind),
                nameof(Kind),
                "unsuited",
                $"Such a loop is looked at as one of: {string.Join(", ", suiting)}."
            );
        guard.Count(nameof(Grades), Grades.Count, 0, MostGrades, "parts");
        for (int i = 0; i < Grades.Count; i++)
            guard
                .Include(new Guard(FormattableString.Invariant($"{nameof(Grades)}[{i}].")).Include(Grades[i].Check()))
                .That(
                    InspectionItems.IsLookedAt(Grades[i].Part, suiting),
                    FormattableString.Invariant($"{nameof(Grades)}[{i}].{nameof(MakerGrades.Part)}"),
                    "no_such_part",
                    "Give a part that such a loop has."
                )
                .That(
                    Grades.Take(i).All(g => g.Part != Grades[i].Part),
                    FormattableString.Invariant($"{nameof(Grades)}[{i}].{nameof(MakerGrades.Part)}"),
                    "twice",
                    "Give each part once."
                );
        return guard;
    }

    /// <summary>Of another kind of loop than it was: without what that one does not have; null where nothing is left.</summary>
    internal LoopInspection? For(Loop loop)
    {
        IReadOnlyList<InspectionKind> suiting = InspectionKinds.Suiting(loop.DriveElement);
        LoopInspection kept = new(
            LoopKey,
            Kind is InspectionKind kind && suiting.Contains(kind) ? kind : null,
            [.. Grades.Where(g => !Enum.IsDefined(g.Part) || InspectionItems.IsLookedAt(g.Part, suiting))]
        );
        return kept is { Kind: null, Grades.Count: 0 } ? null : kept;
    }
}
