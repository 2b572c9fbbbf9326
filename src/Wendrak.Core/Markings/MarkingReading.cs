namespace Wendrak.Core.Markings;

/// <summary>On what a marking stands.</summary>
public enum MarkedThing
{
    Chain,
    Belt,

    /// <summary>A sprocket or a pulley.</summary>
    Wheel,
    Tyre,
}

/// <summary>A figure that a marking tells, or that the table has of what it names.</summary>
/// <param name="What">In a few words.</param>
/// <param name="Value">Of it.</param>
/// <param name="Unit">“mm”; empty for a count.</param>
public sealed record MarkingFigure(string What, double Value, string Unit);

/// <summary>What a marking is.</summary>
/// <param name="Thing">On what such a marking stands.</param>
/// <param name="What">In words.</param>
/// <param name="Standard">Designation of the chain, profile or section, as the tables have it; null where it tells none.</param>
/// <param name="Written">The same marking as its standard writes it.</param>
/// <param name="Figures">What it tells, and what the table has of it.</param>
/// <param name="Teeth">Of a wheel; null of anything else.</param>
/// <param name="Note">What is to be minded; null for nothing.</param>
/// <param name="Source">Of the form.</param>
public sealed record MarkingReading(
    MarkedThing Thing,
    string What,
    string? Standard,
    string Written,
    IReadOnlyList<MarkingFigure> Figures,
    int? Teeth,
    string? Note,
    string Source
);

/// <summary>A marking, read.</summary>
/// <param name="Reading">What it is; null where it may be several things and none goes before the others.</param>
/// <param name="CouldBe">What else it could be.</param>
public sealed record MarkingAnswer(MarkingReading? Reading, IReadOnlyList<MarkingReading> CouldBe);
