namespace Wendrak.Core.Vocabulary;

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
