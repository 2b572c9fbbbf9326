namespace Wendrak.Core.Quantities;

/// <summary>A quantity as a formula names it.</summary>
/// <param name="Unit">Empty for a plain number.</param>
public sealed record Quantity(string Meaning, string Unit)
{
    public static implicit operator Quantity((string Meaning, string Unit) pair) => new(pair.Meaning, pair.Unit);
}

/// <summary>A value put into a formula.</summary>
/// <param name="IsUsual">True when nobody gave it and a usual value stands in.</param>
/// <param name="Meaning">What it is here; null for what the formula says.</param>
/// <param name="Unit">Its unit here; null for what the formula says.</param>
public readonly record struct Given(double Value, bool IsUsual = false, string? Meaning = null, string? Unit = null)
{
    public static implicit operator Given(double value) => new(value);
}
