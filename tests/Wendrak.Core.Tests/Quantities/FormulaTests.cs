using System.Reflection;
using Wendrak.Core.Quantities;
using static System.Math;
using static Wendrak.Core.Quantities.Maths;

namespace Wendrak.Core.Tests.Quantities;

public class FormulaTests
{
    private static readonly Quantity Any = new("something", "");

    private static Formula<Func<double, double, double>> Two(
        Func<double, double, double> compute,
        [System.Runtime.CompilerServices.CallerArgumentExpression(nameof(compute))] string text = ""
    ) => new("Two", "y", Any, compute, [Any, Any], "common practice", "None.", text);

    [Fact]
    public void The_text_is_the_expression_in_the_signs_of_a_handbook()
    {
        Assert.Equal("y = 2000·a/b", Two((a, b) => 2_000 * a / b).Text);
        Assert.Equal("y = a − (b − a)", Two((a, b) => a - (b - a)).Text);
        Assert.Equal("y = a/(b·a)", Two((a, b) => a / (b * a)).Text);
        Assert.Equal("y = (a + 1)²·√(a/b)", Two((a, b) => Pow(a + 1, 2) * Sqrt(a / b)).Text);
        Assert.Equal("y = a^0.8·e^(−b)", Two((a, b) => Pow(a, 0.8) * Exp(-b)).Text);
        Assert.Equal("y = sin a/(60 000·cos(b/2))", Two((a, b) => Percent(Sin(Rad(a)) / (60_000 * Cos(b / 2)))).Text);
        Assert.Equal("y = 26° − a/(3 %·b)", Two((a, b) => Deg(Rad(26) - Rad(a) / (Part(3) * b))).Text);
        Assert.Equal("y = |a − b|/max(a, b)", Two((a, b) => Abs(a - b) / Max(a, b)).Text);
    }

    [Fact]
    public void What_is_no_formula_is_refused_when_it_is_printed()
    {
        double c = 3;
        Assert.Throws<InvalidOperationException>(() => Two((a, b) => a * b * c).Text);
        Assert.Throws<InvalidOperationException>(() => Two((a, b) => a > b ? a : b).Text);
    }

    /// <summary>All formulas of the core.</summary>
    private static IEnumerable<IFormula> Stated() =>
        typeof(IFormula)
            .Assembly.GetTypes()
            .SelectMany(t => t.GetFields(BindingFlags.Static | BindingFlags.Public | BindingFlags.NonPublic))
            .Where(f => f.FieldType.IsAssignableTo(typeof(IFormula)))
            .Select(f => (IFormula)f.GetValue(null)!);

    [Fact]
    public void Every_formula_computes_what_it_prints()
    {
        IFormula[] formulas = [.. Stated()];
        Assert.True(formulas.Length > 90, $"Only {formulas.Length} formulas.");
        Random random = new(14);
        Assert.All(
            formulas,
            formula =>
            {
                Assert.Equal(formula.Symbols.Count, formula.Inputs.Count);
                // A greatest common divisor is one of whole numbers.
                bool isWhole = formula.Text.Contains("gcd", StringComparison.Ordinal);
                double Value() => isWhole ? random.Next(1, 40) : Round(random.NextDouble() * 40 + 0.5, 1);
                Working[] workings =
                [
                    .. Enumerable
                        .Range(0, 200)
                        .Select(_ => formula.With([.. formula.Symbols.Select(_ => (Given)Value())]).Working),
                ];
                Assert.All(workings, PrintedFormula.Holds);
                // Not only where both are no number.
                Assert.InRange(workings.Count(w => double.IsFinite(w.Result.Value)), 20, 200);
            }
        );
    }
}
