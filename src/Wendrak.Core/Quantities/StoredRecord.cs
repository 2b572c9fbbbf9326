namespace Wendrak.Core.Quantities;

/// <summary>Something that is stored whole under a number of its own.</summary>
/// <param name="Id">Where it is stored; 0 for one that is not stored yet. Never given twice within a kind.</param>
/// <param name="Version">Grows with every change; a change must name the version it was made from.</param>
public abstract record StoredRecord(long Id, int Version);
