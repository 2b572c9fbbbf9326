namespace Wendrak.Core.Vocabulary;

/// <summary>Kinds of loop that go wrong in different ways.</summary>
public enum FaultKind
{
    Chain,

    /// <summary>Chain of a robot on a rail.</summary>
    Rail,

    /// <summary>Toothed belt.</summary>
    Belt,
    VBelt,

    /// <summary>V-belt between sheaves that open and close.</summary>
    VariableBelt,
    RoundBelt,
}

/// <summary>What is at a loop or beside it, as far as a fault can come from there.</summary>
public enum FaultSetting
{
    /// <summary>A motor or an engine drives it.</summary>
    Motor,

    /// <summary>A geared hub is driven by it.</summary>
    Hub,

    /// <summary>It runs between an engine and its clutch or gearbox.</summary>
    Primary,
    Robot,
}

/// <summary>How surely a cause shows itself by a sign, or by an answer of a test.</summary>
public enum ShowsItself
{
    Mostly,
    Often,
    Sometimes,
    Hardly,
}

/// <summary>How usual a cause is, before anything is known of the case.</summary>
public enum HowUsual
{
    Often,
    Sometimes,
    Seldom,
}

/// <summary>What a circumstance makes of the odds of a cause.</summary>
public enum BearsOn
{
    MuchMore,
    More,
    Less,
    MuchLess,
}
