using System.Globalization;

namespace Wendrak.Store;

/// <summary>Which backups are kept: all of the last 7 days, the newest of each of the last 4 weeks and 12 months.</summary>
internal static class Retention
{
    private const int Days = 7;
    private const int Weeks = 4;
    private const int Months = 12;

    /// <param name="made">When each was made, in any order. Counted from the newest: a workshop that rests loses none.</param>
    public static HashSet<DateTimeOffset> Kept(IReadOnlyCollection<DateTimeOffset> made) =>
        [
            .. made.Where(m => m > made.Max().AddDays(-Days)),
            .. Newest(made, Weeks, m => (ISOWeek.GetYear(m.UtcDateTime), ISOWeek.GetWeekOfYear(m.UtcDateTime))),
            .. Newest(made, Months, m => (m.UtcDateTime.Year, m.UtcDateTime.Month)),
        ];

    /// <summary>The newest of each of the latest spans in which there is one.</summary>
    private static IEnumerable<DateTimeOffset> Newest<TSpan>(
        IEnumerable<DateTimeOffset> made,
        int spans,
        Func<DateTimeOffset, TSpan> spanOf
    ) => made.OrderDescending().GroupBy(spanOf).Take(spans).Select(span => span.First());
}
