namespace Wendrak.Core.Quantities;

/// <summary>One thing wrong with one field, as data that a screen can place, word and translate.</summary>
/// <param name="Field">Path of the field in the input record, e.g. <c>Loops[0].FrontSize</c>.</param>
/// <param name="Code">Stable code that program logic may read, e.g. <c>too_small</c>.</param>
/// <param name="Message">A sentence that says what would be accepted.</param>
/// <param name="Limit">The bound that was broken, where there is one.</param>
/// <param name="Bounds">All of what would be accepted, where that is a range of a quantity; for a page that shows other units.</param>
public sealed record InputIssue(
    string Field,
    string Code,
    string Message,
    double? Limit = null,
    InputBounds? Bounds = null
);

/// <summary>What would be accepted.</summary>
/// <param name="Low">Null for no least.</param>
/// <param name="High">Null for no most.</param>
/// <param name="Unit">As it is stored: “mm”, “km/h”.</param>
/// <param name="IsLowOpen">True where it must be more than the low bound.</param>
public sealed record InputBounds(double? Low, double? High, string Unit, bool IsLowOpen = false);
