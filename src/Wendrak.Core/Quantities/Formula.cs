using System.Runtime.CompilerServices;

namespace Wendrak.Core.Quantities;

/// <summary>A formula whatever its arity.</summary>
public interface IFormula
{
    string Title { get; }

    /// <summary>As printed, e.g. <c>F = 2000·T/d</c>.</summary>
    string Text { get; }
    string Symbol { get; }
    IReadOnlyList<string> Symbols { get; }
    Quantity Result { get; }
    IReadOnlyList<Quantity> Inputs { get; }
    string Source { get; }
    string Limits { get; }

    /// <summary>The figure and its working at once.</summary>
    /// <exception cref="ArgumentException">Not one value for each input.</exception>
    Explained With(params ReadOnlySpan<Given> given);
}

/// <summary>A relation of the trade, stated once: the expression that computes it is the one that is printed.</summary>
/// <remarks>
/// The text of <paramref name="compute"/> comes from the compiler and is set in the signs of a handbook
/// (<see cref="FormulaText"/>). Angles stand in degrees and shares in percent beside the formula; the expression takes them as
/// what they are, by <see cref="Maths.Rad"/>, <see cref="Maths.Deg"/>, <see cref="Maths.Part"/> and <see cref="Maths.Percent"/>,
/// which are not printed. All other units are those beside the values, with their factors in sight.
/// </remarks>
/// <param name="title">What the figure is.</param>
/// <param name="symbol">Of the result.</param>
/// <param name="compute">A lambda of one expression; its parameters are the printed symbols.</param>
/// <param name="inputs">Meaning and unit of each parameter.</param>
/// <param name="source">Standard, handbook, <c>common practice</c>, or <c>from memory</c>.</param>
/// <param name="limits">Where it stops being true, and what it leaves out.</param>
/// <param name="expression">Left to the compiler.</param>
public sealed class Formula<TCompute>(
    string title,
    string symbol,
    Quantity result,
    TCompute compute,
    Quantity[] inputs,
    string source,
    string limits,
    [CallerArgumentExpression(nameof(compute))] string expression = ""
) : IFormula
    where TCompute : Delegate
{
    private readonly Lazy<FormulaText> _text = new(() => FormulaText.Parse(expression));

    public string Title => title;
    public string Text => $"{symbol} = {_text.Value.Expression}";
    public string Symbol => symbol;
    public IReadOnlyList<string> Symbols => _text.Value.Parameters;
    public Quantity Result => result;
    public IReadOnlyList<Quantity> Inputs => inputs;
    public string Source => source;
    public string Limits => limits;

    /// <summary>The figure alone, for where thousands are asked for.</summary>
    public TCompute Value => compute;

    /// <inheritdoc/>
    public Explained With(params ReadOnlySpan<Given> given)
    {
        if (given.Length != inputs.Length)
            throw new ArgumentException($"“{title}” takes {inputs.Length} values.", nameof(given));
        return new(this, [.. given], Compute(given));
    }

    private double Compute(ReadOnlySpan<Given> v) =>
        compute switch
        {
            Func<double, double> f => f(v[0].Value),
            Func<double, double, double> f => f(v[0].Value, v[1].Value),
            Func<double, double, double, double> f => f(v[0].Value, v[1].Value, v[2].Value),
            Func<double, double, double, double, double> f => f(v[0].Value, v[1].Value, v[2].Value, v[3].Value),
            _ => (double)compute.DynamicInvoke([.. v.ToArray().Select(g => (object)g.Value)])!,
        };
}
