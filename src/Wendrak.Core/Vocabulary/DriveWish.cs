namespace Wendrak.Core.Vocabulary;

/// <summary>What a drive can be worth to its owner.</summary>
public enum DriveWish
{
    LittleUpkeep,
    Quiet,

    /// <summary>Cheap to have and to run.</summary>
    LowCost,

    /// <summary>Takes dirt and stones.</summary>
    TakesDirt,

    /// <summary>Its ratio is changed often.</summary>
    RatioChanges,

    /// <summary>Goes far: little is lost in the drive.</summary>
    LittleLoss,
    LowMass,
    LongLife,
}
