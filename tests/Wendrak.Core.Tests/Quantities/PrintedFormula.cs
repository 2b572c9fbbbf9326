using System.Globalization;
using System.Text.RegularExpressions;
using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tests.Quantities;

/// <summary>Works a printed formula out, as somebody with a pocket calculator would: it knows the signs of a handbook and nothing of the code.</summary>
/// <remarks>A value in ° or % is taken as the angle or share that it is, and a result in ° or % is told as such.</remarks>
internal sealed partial class PrintedFormula
{
    private readonly List<string> _tokens;
    private readonly IReadOnlyDictionary<string, double> _values;
    private int _at;

    private PrintedFormula(string expression, IReadOnlyDictionary<string, double> values)
    {
        _tokens = [.. Token().Matches(expression).Select(m => m.Value)];
        Assert.Equal(expression.Replace(" ", ""), string.Concat(_tokens).Replace(" ", ""));
        _values = values;
    }

    public HashSet<string> Used { get; } = [];

    /// <summary>What comes out of the printed formula with the printed values, in the unit of the result.</summary>
    /// <exception cref="FormatException">The formula says something that is not printed beside it.</exception>
    public static double Of(Working working)
    {
        string[] sides = working.Formula.Split(" = ", 2);
        Assert.Equal(working.Result.Symbol, sides[0]);
        Dictionary<string, double> values = working.Values.ToDictionary(v => v.Symbol, v => v.Value * FactorOf(v.Unit));
        PrintedFormula formula = new(sides[1], values);
        double result = formula.Sum();
        Assert.Equal(formula._tokens.Count, formula._at);
        Assert.Equal(values.Keys.Order(), formula.Used.Order());
        return result / FactorOf(working.Result.Unit);
    }

    /// <summary>Asserts that a person who works it out comes to its result.</summary>
    public static void Holds(Working working)
    {
        double printed = Of(working);
        double computed = working.Result.Value;
        Assert.True(
            double.IsFinite(printed) && double.IsFinite(computed)
                ? Math.Abs(printed - computed) <= 1e-9 * Math.Max(1, Math.Abs(printed))
                : double.IsFinite(printed) == double.IsFinite(computed),
            $"{working.Title}: {working.Formula} is {printed} as printed and {computed} as computed"
        );
    }

    private static double FactorOf(string unit) =>
        unit switch
        {
            "°" => Math.PI / 180,
            "%" => 0.01,
            _ => 1,
        };

    private double Sum()
    {
        double sum = Product();
        while (Next is "+" or "−")
            sum = Take() == "+" ? sum + Product() : sum - Product();
        return sum;
    }

    private double Product()
    {
        double product = Power();
        while (Next is "·" or "/")
            product = Take() == "·" ? product * Power() : product / Power();
        return product;
    }

    private double Power()
    {
        double root = Atom();
        return Next switch
        {
            "²" or "³" or "⁴" => Math.Pow(root, "²³⁴".IndexOf(Take(), StringComparison.Ordinal) + 2),
            "^" => Raised(),
            _ => root,
        };

        double Raised()
        {
            Take();
            return Math.Pow(root, Atom());
        }
    }

    private double Atom()
    {
        string token = Take();
        switch (token)
        {
            case "−":
                return -Power();
            case "(":
                return Until(")");
            case "|":
                return Math.Abs(Until("|"));
            case "⌈":
                return Math.Ceiling(Until("⌉"));
            case "⌊":
                return Math.Floor(Until("⌋"));
            case "√":
                return Math.Sqrt(Atom());
            case "π":
                return Math.PI;
        }
        if (char.IsAsciiDigit(token[0]))
        {
            double number = double.Parse(token.Replace(" ", ""), CultureInfo.InvariantCulture);
            return Next is "°" or "%" ? number * FactorOf(Take()) : number;
        }
        if (_values.TryGetValue(token, out double value))
        {
            Used.Add(token);
            return value;
        }
        return token switch
        {
            "e" => Math.E,
            "sin" => Math.Sin(Atom()),
            "cos" => Math.Cos(Atom()),
            "tan" => Math.Tan(Atom()),
            "arcsin" => Math.Asin(Atom()),
            "arccos" => Math.Acos(Atom()),
            "arctan" => Math.Atan(Atom()),
            "ln" => Math.Log(Atom()),
            "log" => Math.Log10(Atom()),
            "min" => Pair(Math.Min),
            "max" => Pair(Math.Max),
            "gcd" => Pair((a, b) => a == 0 ? b : Enumerable.Range(1, (int)a).Last(d => a % d == 0 && b % d == 0)),
            _ => throw new FormatException($"“{token}” is not printed beside “{string.Concat(_tokens)}”."),
        };
    }

    private double Pair(Func<double, double, double> of)
    {
        Assert.Equal("(", Take());
        double first = Until(",");
        return of(first, Until(")"));
    }

    private double Until(string end)
    {
        double inner = Sum();
        Assert.Equal(end, Take());
        return inner;
    }

    private string? Next => _at < _tokens.Count ? _tokens[_at] : null;

    private string Take() => _tokens[_at++];

    [GeneratedRegex(@"\p{L}[\p{L}\p{Nd}_]*|\d{1,3}(?: \d{3})+|\d+(?:\.\d+)?|[+−·/^²³⁴()|⌈⌉⌊⌋√,°%]")]
    private static partial Regex Token();
}
