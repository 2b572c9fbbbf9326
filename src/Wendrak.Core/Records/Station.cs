namespace Wendrak.Core.Records;

/// <summary>The stations of the work on a machine, in their order.</summary>
public enum Station
{
    Aim,
    Ratio,
    Fit,
    Loads,
    Build,
    Set,
    Check,
}
