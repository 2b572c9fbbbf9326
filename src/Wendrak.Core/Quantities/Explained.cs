namespace Wendrak.Core.Quantities;

/// <summary>A figure that knows how it came about.</summary>
public readonly struct Explained
{
    private readonly IFormula _formula;
    private readonly Given[] _given;

    internal Explained(IFormula formula, Given[] given, double value) =>
        (_formula, _given, Value) = (formula, given, value);

    /// <summary>In the unit of the formula's result.</summary>
    public double Value { get; }

    /// <summary>Formula, values put in, result, source and limits.</summary>
    public Working Working
    {
        get
        {
            IFormula formula = _formula;
            return new(
                formula.Title,
                formula.Text,
                [
                    .. _given.Select(
                        (g, i) =>
                            new WorkingValue(
                                formula.Symbols[i],
                                g.Meaning ?? formula.Inputs[i].Meaning,
                                g.Value,
                                g.Unit ?? formula.Inputs[i].Unit,
                                g.IsUsual
                            )
                    ),
                ],
                new(formula.Symbol, formula.Result.Meaning, Value, formula.Result.Unit),
                formula.Source,
                formula.Limits,
                []
            );
        }
    }
}
