namespace Wendrak.Core.Procedures;

/// <summary>What a step may say: judgement, to catch a slip.</summary>
internal static class StepBounds
{
    /// <summary>Of one plan. A work of more is two works.</summary>
    public const int MostSteps = FewestChanges.MostSteps;

    /// <summary>Of one machine beside a procedure.</summary>
    public const int MostOwnSteps = 20;

    /// <summary>Half a minute: shorter is part of another step.</summary>
    public const double LeastMinutes = 0.5;

    /// <summary>A day.</summary>
    public const double MostMinutes = 24 * 60;
    public const double LeastTorqueNm = 0.1;
    public const double MostTorqueNm = 1_000;

    /// <summary>Less shows on no ruler.</summary>
    public const double LeastWayMm = 0.1;
    public const double MostWayMm = 500;

    /// <summary>Screws or nuts of one step.</summary>
    public const int MostFasteners = 100;
}
