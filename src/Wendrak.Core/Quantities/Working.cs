namespace Wendrak.Core.Quantities;

/// <summary>How one figure came about: what a person needs to check it by hand.</summary>
/// <param name="Title">What the figure is.</param>
/// <param name="Formula">The relation, in the symbols of <paramref name="Values"/>.</param>
/// <param name="Values">What was put in, in the order of the formula; a value in ° or % counts as the angle or share it is.</param>
/// <param name="Result">What came out, unrounded.</param>
/// <param name="Source">Standard, handbook, <c>common practice</c>, or <c>from memory</c>.</param>
/// <param name="Limits">Where the formula stops being true, and what it leaves out.</param>
/// <param name="Beside">What the result is held against, and what else belongs to it; not in the formula.</param>
public sealed record Working(
    string Title,
    string Formula,
    IReadOnlyList<WorkingValue> Values,
    WorkingValue Result,
    string Source,
    string Limits,
    IReadOnlyList<WorkingValue> Beside
)
{
    /// <summary>With the result in the unit of the scale that was read.</summary>
    internal Working In(string unit) => this with { Result = Result with { Unit = unit } };
}

/// <summary>One value in a working: symbol, meaning, number and unit.</summary>
/// <param name="IsDefault">True when nobody gave this value and a default stands in.</param>
/// <param name="Symbol">In the formula.</param>
/// <param name="Meaning">What it is.</param>
/// <param name="Value">Put in.</param>
/// <param name="Unit">Of it; empty for a bare number.</param>
public sealed record WorkingValue(string Symbol, string Meaning, double Value, string Unit, bool IsDefault = false);
