using System.Globalization;
using System.Text.RegularExpressions;

namespace Wendrak.Core.Quantities;

/// <summary>A lambda of C#, set in the signs of a handbook.</summary>
/// <remarks>Reads numbers, symbols, + − · /, brackets and the functions of <see cref="Signs"/>; anything else is a mistake of whoever wrote it.</remarks>
internal sealed partial class FormulaText
{
    private enum Rank
    {
        Sum,
        Product,
        Power,
        Atom,
    }

    private readonly record struct Printed(string Text, Rank Rank, double? Number = null)
    {
        /// <summary>In brackets where it binds less than is needed.</summary>
        public string At(Rank least) => Rank < least ? $"({Text})" : Text;
    }

    /// <summary>Functions that are written before their argument.</summary>
    private static readonly Dictionary<string, string> Signs = new()
    {
        ["Sin"] = "sin",
        ["Cos"] = "cos",
        ["Tan"] = "tan",
        ["Asin"] = "arcsin",
        ["Acos"] = "arccos",
        ["Atan"] = "arctan",
        ["Log"] = "ln",
        ["Log10"] = "log",
        ["Sqrt"] = "√",
    };

    // Hidden: the unit beside the value says it.
    private static readonly HashSet<string> Conversions =
    [
        nameof(Maths.Rad),
        nameof(Maths.Deg),
        nameof(Maths.Percent),
        nameof(Maths.Part),
    ];

    private readonly List<string> _tokens;
    private int _at;

    private FormulaText(string lambda)
    {
        string[] halves = lambda.Split("=>", 2);
        Parameters = [.. Name().Matches(halves[0]).Select(m => m.Value)];
        _tokens = [.. Token().Matches(Prefix().Replace(halves[1], "")).Select(m => m.Value)];
        Expression = Sum().Text;
        if (_at < _tokens.Count)
            throw Unreadable();
    }

    public IReadOnlyList<string> Parameters { get; }
    public string Expression { get; }

    public static FormulaText Parse(string lambda) => new(lambda);

    private Printed Sum()
    {
        Printed left = Product();
        while (Next is "+" or "-")
            left =
                Take() == "+"
                    ? new($"{left.Text} + {Product().Text}", Rank.Sum)
                    : new($"{left.Text} − {Product().At(Rank.Product)}", Rank.Sum);
        return left;
    }

    private Printed Product()
    {
        Printed left = Factor();
        while (Next is "*" or "/")
            left =
                Take() == "*"
                    ? new($"{left.At(Rank.Product)}·{Factor().At(Rank.Product)}", Rank.Product)
                    : new($"{left.At(Rank.Product)}/{Factor().At(Rank.Power)}", Rank.Product);
        return left;
    }

    private Printed Factor()
    {
        if (Next == "-")
        {
            Take();
            return new($"−{Factor().At(Rank.Product)}", Rank.Sum);
        }
        string token = Take();
        if (token == "(")
        {
            Printed inner = Sum();
            Expect(")");
            return inner;
        }
        if (char.IsAsciiDigit(token[0]))
            return Number(token);
        if (Next == "(")
            return Call(token);
        return token == nameof(Math.PI) ? new("π", Rank.Atom)
            : Parameters.Contains(token) ? new(token, Rank.Atom)
            : throw Unreadable();
    }

    private static Printed Number(string token)
    {
        double value = double.Parse(token.Replace("_", ""), CultureInfo.InvariantCulture);
        string digits = value.ToString("0.############", CultureInfo.InvariantCulture);
        return new(value >= 10_000 ? Thousands().Replace(digits, " ") : digits, Rank.Atom, value);
    }

    private Printed Call(string name)
    {
        Take();
        List<Printed> given = [Sum()];
        while (Next == ",")
        {
            Take();
            given.Add(Sum());
        }
        Expect(")");
        Printed first = given[0];
        if (Conversions.Contains(name))
            return first.Number is null ? first : new(first.Text + UnitOf(name), Rank.Atom);
        if (Signs.TryGetValue(name, out string? sign))
            return new(
                first.Rank == Rank.Atom ? $"{sign}{(sign == "√" ? "" : " ")}{first.Text}" : $"{sign}({first.Text})",
                Rank.Power
            );
        return name switch
        {
            nameof(Math.Pow) => new(first.At(Rank.Atom) + Exponent(given[1]), Rank.Power),
            nameof(Math.Exp) => new("e" + Exponent(first), Rank.Power),
            nameof(Math.Abs) => new($"|{first.Text}|", Rank.Atom),
            nameof(Math.Ceiling) => new($"⌈{first.Text}⌉", Rank.Atom),
            nameof(Math.Floor) => new($"⌊{first.Text}⌋", Rank.Atom),
            nameof(Math.Min) or nameof(Math.Max) or nameof(Maths.Gcd) => new(
                $"{name.ToLowerInvariant()}({string.Join(", ", given.Select(g => g.Text))})",
                Rank.Atom
            ),
            _ => throw Unreadable(),
        };
    }

    /// <summary>A number of the formula itself has nothing beside it that tells its unit.</summary>
    private static string UnitOf(string conversion) =>
        conversion switch
        {
            nameof(Maths.Rad) => "°",
            nameof(Maths.Part) => " %",
            _ => "",
        };

    private static string Exponent(Printed exponent) =>
        exponent.Number is 2 or 3 or 4 ? "²³⁴"[(int)exponent.Number - 2].ToString() : "^" + exponent.At(Rank.Atom);

    private string? Next => _at < _tokens.Count ? _tokens[_at] : null;

    private string Take() => _at < _tokens.Count ? _tokens[_at++] : throw Unreadable();

    private void Expect(string token)
    {
        if (Take() != token)
            throw Unreadable();
    }

    private InvalidOperationException Unreadable() => new($"No formula: {string.Join(" ", _tokens)}, at {_at}.");

    [GeneratedRegex(@"\bMaths?\.")]
    private static partial Regex Prefix();

    [GeneratedRegex(@"[\p{L}_][\p{L}\p{Nd}_]*")]
    private static partial Regex Name();

    [GeneratedRegex(@"[\p{L}_][\p{L}\p{Nd}_]*|\d[\d_]*(?:\.\d+)?(?:e-?\d+)?|[-+*/(),]")]
    private static partial Regex Token();

    [GeneratedRegex(@"(?<=\d)(?=(\d{3})+$)")]
    private static partial Regex Thousands();
}
