using System.Text.Json.Serialization;
using Wendrak.Core.Wheels;

namespace Wendrak.Core.Loops;

/// <summary>Which side of the chain or belt lies on a wheel.</summary>
public enum RunSide
{
    /// <summary>The wheel is inside the loop.</summary>
    Inside,

    /// <summary>The loop runs over it with its back; it turns the other way.</summary>
    Back,
}

/// <summary>Which way the loop runs in the side view when the machine goes forward.</summary>
public enum Turning
{
    Clockwise,
    Counterclockwise,
}

/// <summary>A wheel in its place.</summary>
/// <param name="Name">What a person calls it; it stands in refusals.</param>
/// <param name="ToothPitchMm">Pitch of its teeth, for the teeth engaged; null for a smooth pulley or roller.</param>
public sealed record LoopWheel(string Name, Point Centre, WheelOutline Outline, RunSide Side, double? ToothPitchMm)
{
    /// <summary>+1 inside, −1 on the back.</summary>
    [JsonIgnore]
    internal int Sign => Side == RunSide.Inside ? 1 : -1;
}

/// <summary>A straight run between two wheels.</summary>
/// <param name="From">Name of the wheel it leaves.</param>
/// <param name="Start">Point where it leaves that wheel.</param>
/// <param name="To">Wheel it runs to.</param>
/// <param name="LengthMm">Free length, mm.</param>
public sealed record LoopSpan(string From, string To, Point Start, Point End, double LengthMm);

/// <summary>One wheel of a traced loop.</summary>
/// <param name="WrapDeg">Angle of the loop lying on it, degrees.</param>
/// <param name="TurnsWithLoop">False for a wheel on the back, which turns the other way.</param>
/// <param name="TeethEngaged">Whole teeth in mesh; null for smooth wheels.</param>
/// <param name="ArcStart">Where the loop comes on.</param>
/// <param name="ArcEnd">Where it leaves.</param>
/// <param name="Name">Of the wheel.</param>
public sealed record WrappedWheel(
    string Name,
    Point Centre,
    WheelOutline Outline,
    RunSide Side,
    double WrapDeg,
    bool TurnsWithLoop,
    int? TeethEngaged,
    Point ArcStart,
    Point ArcEnd
);

/// <summary>A loop laid round its wheels.</summary>
/// <param name="Spans">In running order; the first leaves the first wheel.</param>
/// <param name="LengthMm">Once round, mm.</param>
public sealed record LoopPath(IReadOnlyList<WrappedWheel> Wheels, IReadOnlyList<LoopSpan> Spans, double LengthMm);
