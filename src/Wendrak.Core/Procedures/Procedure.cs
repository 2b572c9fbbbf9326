namespace Wendrak.Core.Procedures;

/// <summary>Drives whose work has an order of its own.</summary>
public enum ProcedureFamily
{
    /// <summary>Final belt of a motorcycle or three-wheeler.</summary>
    FinalBelt,

    /// <summary>Final chain.</summary>
    FinalChain,

    /// <summary>Belt of a bicycle with a joint in its frame.</summary>
    BicycleBelt,

    /// <summary>Belt whose motor sits on a slide with four screws, one of them hidden.</summary>
    MotorSlide,

    /// <summary>Belt that a spring tightens, at the slide of its motor or an arm.</summary>
    SprungSlide,

    /// <summary>Two chain loops on a rail, with cams and a short shaft in the middle.</summary>
    RobotRail,

    /// <summary>V-belt reduction on a plate that is lifted.</summary>
    VBeltPlate,

    /// <summary>A belt that a chain replaces, or the other way round, through a swing arm.</summary>
    ArmSwap,

    /// <summary>Primary belt under a cover, wet or dry.</summary>
    PrimaryBelt,

    /// <summary>Round belt that is welded.</summary>
    WeldedBelt,

    /// <summary>Pair of gears and a hub on its shaft.</summary>
    GearHub,

    /// <summary>V-belt between sheaves that open and close, set by shims.</summary>
    VariableBelt,
}

/// <summary>How a drive of one family is worked on.</summary>
/// <param name="Title">What it is for, in a few words.</param>
/// <param name="Version">Grows with every change of the file.</param>
/// <param name="Author">Who wrote it.</param>
/// <param name="Source">Where it comes from.</param>
/// <param name="Elements">Loops it is for.</param>
/// <param name="Changes">What can be done by it, the usual one first.</param>
/// <param name="Steps">In an order that holds every bound between them.</param>
public sealed record Procedure(
    ProcedureFamily Family,
    string Title,
    int Version,
    string Author,
    string Source,
    IReadOnlyList<Vocabulary.DriveElement> Elements,
    IReadOnlyList<ChangeKind> Changes,
    IReadOnlyList<ProcedureStep> Steps
);
