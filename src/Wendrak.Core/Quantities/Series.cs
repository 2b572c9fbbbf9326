namespace Wendrak.Core.Quantities;

/// <summary>A figure made of as many parts as there happen to be: a sum or a product, and its working.</summary>
public static class Series
{
    /// <summary>x = a + b + …</summary>
    /// <param name="symbol">Of the result.</param>
    public static Working Sum(
        string title,
        string symbol,
        Quantity result,
        IReadOnlyList<WorkingValue> parts,
        string source,
        string limits
    ) =>
        Explain(
            title,
            symbol,
            result,
            parts,
            string.Join(" + ", Names(parts)),
            parts.Sum(p => p.Value),
            source,
            limits
        );

    /// <summary>x = |a·b·…|; 1 without any.</summary>
    /// <param name="symbol">Of the result.</param>
    public static Working Product(
        string title,
        string symbol,
        Quantity result,
        IReadOnlyList<WorkingValue> parts,
        string source,
        string limits
    )
    {
        double product = Math.Abs(parts.Aggregate(1.0, (all, p) => all * p.Value));
        string text = parts.Count == 0 ? "1" : $"|{string.Join("·", Names(parts))}|";
        return Explain(title, symbol, result, parts, text, product, source, limits);
    }

    private static IEnumerable<string> Names(IEnumerable<WorkingValue> parts) => parts.Select(p => p.Symbol);

    private static Working Explain(
        string title,
        string symbol,
        Quantity result,
        IReadOnlyList<WorkingValue> parts,
        string text,
        double value,
        string source,
        string limits
    ) => new(title, $"{symbol} = {text}", parts, new(symbol, result.Meaning, value, result.Unit), source, limits, []);
}
