namespace Wendrak.Core.Vocabulary;

/// <summary>Who says so, the surest first.</summary>
public enum SaidBy
{
    /// <summary>Measured or counted at this machine or in this workshop.</summary>
    MeasuredHere,

    /// <summary>A maker, a standard, or worked out from their figures.</summary>
    MakerOrStandard,
    CommonPractice,
    OnePersonsWord,
}
