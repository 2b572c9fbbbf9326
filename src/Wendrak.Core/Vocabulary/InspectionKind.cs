namespace Wendrak.Core.Vocabulary;

/// <summary>Kinds of loop that are looked at in different ways.</summary>
public enum InspectionKind
{
    Chain,

    /// <summary>Chain of a robot on a rail.</summary>
    Rail,

    /// <summary>Toothed belt.</summary>
    Belt,

    /// <summary>Belt that drives by friction in a groove or on a face.</summary>
    VBelt,

    /// <summary>V-belt between sheaves that open and close.</summary>
    VariableBelt,
}

public static class InspectionKinds
{
    /// <summary>Those that may be it, however it is tensioned.</summary>
    public static IReadOnlyList<InspectionKind> Suiting(DriveElement element) =>
        Suiting(element, AdjusterKind.FixedCentres);

    /// <summary>Those that may be it, the usual one first.</summary>
    public static IReadOnlyList<InspectionKind> Suiting(DriveElement element, AdjusterKind adjuster) =>
        element switch
        {
            DriveElement.Chain when adjuster == AdjusterKind.Cam => [InspectionKind.Rail, InspectionKind.Chain],
            DriveElement.Chain => [InspectionKind.Chain, InspectionKind.Rail],
            DriveElement.ToothedBelt => [InspectionKind.Belt],
            DriveElement.VBelt when adjuster == AdjusterKind.SheaveShims =>
            [
                InspectionKind.VariableBelt,
                InspectionKind.VBelt,
            ],
            DriveElement.VBelt => [InspectionKind.VBelt, InspectionKind.VariableBelt],
            _ => [InspectionKind.VBelt],
        };
}
