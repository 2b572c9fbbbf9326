using Microsoft.AspNetCore.Mvc;
using Wendrak.Core.Quantities;

namespace Wendrak.Web;

/// <summary>A refused input: every wrong field with the bound it broke.</summary>
public sealed class InvalidInputProblem : ProblemDetails
{
    public required IReadOnlyList<InputIssue> Issues { get; init; }
}

/// <summary>Somebody else changed the same thing; <see cref="Current"/> is what is stored now.</summary>
public sealed class ConflictProblem : ProblemDetails
{
    /// <summary>Kind of thing: machine, setup, aim, stock_item, stock_spacer, gearbox_set; or “change” for one that can't be undone.</summary>
    public required string Thing { get; init; }

    /// <summary>The thing as it is stored now; null when it is gone.</summary>
    public object? Current { get; init; }
}

/// <summary>Nothing can be stored or read just now; what was sent can be sent again once the trouble is over.</summary>
public sealed class StorageProblem : ProblemDetails
{
    /// <summary>full, readOnly, gone, failing, busy or damaged.</summary>
    public required string Trouble { get; init; }
}
