using Wendrak.Core.Gearing;

namespace Wendrak.Core.Sharing;

/// <summary>Gearbox sets, handed on and taken in.</summary>
public static class SharingGearboxSets
{
    /// <summary>The set as it goes into a file.</summary>
    public static SharedGearboxSet From(GearboxSet set) => new(set.Name, set.Reductions, set.TurnsRound, set.Note);

    /// <summary>What taking it in would change.</summary>
    /// <param name="here">The set of that name; null where there is none.</param>
    public static SharedDifferences Compare(SharedGearboxSet file, GearboxSet? here)
    {
        int gears = Math.Max(file.Reductions.Count, here?.Reductions.Count ?? 0);
        return (
            SharedDifferences.Empty with
            {
                Gears =
                [
                    .. Enumerable
                        .Range(0, gears)
                        .Select(g => Compare(g, At(here?.Reductions, g), At(file.Reductions, g))),
                ],
                Set = here is null ? [] : [.. Beside(file, here)],
                IsKnown = here is not null,
                Caution = here is null ? null : "Every machine with this set gets what is changed in it.",
            }
        ).Counted();
    }

    /// <summary>The set here as the file has it, ratios and all.</summary>
    public static GearboxSet Take(SharedGearboxSet file, GearboxSet here) =>
        file.ToSet() with
        {
            Id = here.Id,
            Version = here.Version,
        };

    private static GearDifference Compare(int gear, double? here, double? there) =>
        new(
            gear + 1,
            here == there ? SharedState.Same
                : here is null ? SharedState.New
                : SharedState.Other,
            here,
            there
        );

    private static double? At(IReadOnlyList<double>? reductions, int gear) =>
        gear < (reductions?.Count ?? 0) ? reductions![gear] : null;

    private static IEnumerable<SetDifference> Beside(SharedGearboxSet file, GearboxSet here)
    {
        if (file.TurnsRound != here.TurnsRound)
            yield return new("sense of turning", Sense(here.TurnsRound), Sense(file.TurnsRound));
        if (file.Note != here.Note)
            yield return new("note", here.Note ?? "none", file.Note ?? "none");
    }

    private static string Sense(bool turnsRound) => turnsRound ? "against the input" : "with the input";
}
