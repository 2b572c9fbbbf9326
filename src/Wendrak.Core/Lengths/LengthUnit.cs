namespace Wendrak.Core.Lengths;

/// <summary>What a loop's length is counted in.</summary>
public enum LengthUnit
{
    Links,
    BeltTeeth,
    Mm,
}
