using Wendrak.Core.Records;

namespace Wendrak.Core.Importing;

/// <summary>What a column may be.</summary>
/// <param name="Field">What it says.</param>
/// <param name="IsNeeded">A line can’t be without it.</param>
/// <param name="Units">In which its numbers may be, the usual one first; empty of what has none.</param>
public sealed record LogFieldChoice(LogField Field, bool IsNeeded, IReadOnlyList<LogUnit> Units);

/// <summary>What the columns of a file may be.</summary>
/// <param name="Kind">What its lines are.</param>
/// <param name="Fields">In the order in which they are offered.</param>
public sealed record LogFileChoice(LogFileKind Kind, IReadOnlyList<LogFieldChoice> Fields)
{
    /// <summary>One for each kind of file.</summary>
    public static IReadOnlyList<LogFileChoice> All { get; } =
    [
        .. Enum.GetValues<LogFileKind>()
            .Select(kind => new LogFileChoice(
                kind,
                [
                    .. Enum.GetValues<LogField>()
                        .Where(field => Has(kind, field))
                        .Select(field => new LogFieldChoice(
                            field,
                            LogColumns.NeededFor(kind).Contains(field),
                            LogColumns.UnitsOf(kind, field)
                        )),
                ]
            )),
    ];

    /// <summary>Whether lines of a kind say that at all.</summary>
    internal static bool Has(LogFileKind kind, LogField field) =>
        field switch
        {
            LogField.Amount or LogField.IsFull or LogField.IsOneMissing => kind
                is LogFileKind.Fuel
                    or LogFileKind.Charge,
            LogField.Cost => kind is LogFileKind.Fuel or LogFileKind.Charge or LogFileKind.Upkeep,
            LogField.Level or LogField.Distance or LogField.Method => kind == LogFileKind.Noise,
            LogField.Seconds or LogField.FromSpeed or LogField.ToSpeed or LogField.Gear => kind == LogFileKind.Runs,
            LogField.Minutes or LogField.What => kind == LogFileKind.Upkeep,
            _ => true,
        };
}
