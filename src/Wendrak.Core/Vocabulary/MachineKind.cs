namespace Wendrak.Core.Vocabulary;

/// <summary>What a machine is; decides what is usual for it, and its cautions.</summary>
public enum MachineKind
{
    Motorcycle,
    Moped,
    Bicycle,
    LoadCarrier,
    Robot,
    Winch,
    KickBoard,
    Other,
}
