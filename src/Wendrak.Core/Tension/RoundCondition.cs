namespace Wendrak.Core.Tension;

/// <summary>What makes the last round hard to compare with the one before it.</summary>
public enum RoundCondition
{
    /// <summary>Turned, and rolled too little since: chain or belt has not found its place yet.</summary>
    RolledTooLittle,

    /// <summary>So much warmer or colder that the centres and the loop have moved.</summary>
    OtherWarmth,

    /// <summary>Another load lay or sat on it.</summary>
    OtherLoad,
}

/// <summary>Looks at what was noted beside the readings. Source: common practice, as are its bounds.</summary>
internal static class RoundConditions
{
    // A metre of aluminium between the shafts grows by a quarter of a millimetre.
    private const double OtherWarmthC = 10;
    private const double OtherLoadKg = 5;

    public static IEnumerable<RoundCondition> Find(IReadOnlyList<SetRound> rounds, int turnsToRoll)
    {
        if (rounds is not [.., { } last])
            yield break;
        SetRound[] earlier = [.. rounds.SkipLast(1)];
        bool isTurned = (last.LeftUnits, last.RightUnits) != (0, 0);
        if (isTurned && last.TurnsRolled < turnsToRoll)
            yield return RoundCondition.RolledTooLittle;
        if (Differs(earlier, last, r => r.TemperatureC, OtherWarmthC))
            yield return RoundCondition.OtherWarmth;
        if (Differs(earlier, last, r => r.LoadKg, OtherLoadKg))
            yield return RoundCondition.OtherLoad;
    }

    /// <summary>From the last time that it was noted.</summary>
    private static bool Differs(
        IReadOnlyList<SetRound> earlier,
        SetRound last,
        Func<SetRound, double?> noted,
        double from
    ) => Math.Abs((noted(last) - earlier.Select(noted).LastOrDefault(n => n is not null)) ?? 0) >= from;
}
