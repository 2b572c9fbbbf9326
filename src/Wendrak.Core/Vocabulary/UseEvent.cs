namespace Wendrak.Core.Vocabulary;

/// <summary>What happened to a machine that calls for a look, whatever the distance.</summary>
public enum UseEvent
{
    /// <summary>It was set cold and wants its reading warm.</summary>
    SetCold,

    /// <summary>A knock, a fall or a stone.</summary>
    Knock,
    WheelOut,
    DeepWater,
    Dust,

    /// <summary>Weeks without being moved.</summary>
    Storage,
    NewParts,

    /// <summary>The first distance on new parts is done.</summary>
    FirstDistance,
    NewTyre,
    Overload,

    /// <summary>A race or a contest, before or after it.</summary>
    Contest,
}
