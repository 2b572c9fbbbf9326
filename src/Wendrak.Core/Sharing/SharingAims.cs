using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Records;

namespace Wendrak.Core.Sharing;

/// <summary>Aims of a venue, handed on and taken in.</summary>
public static class SharingAims
{
    /// <summary>Aims of a venue as they go into a file; what was tried stays with its machine.</summary>
    /// <exception cref="InvalidInputException">None of them can go along.</exception>
    public static SharedAims From(string venue, IEnumerable<Aim> aims)
    {
        Aim[] own = [.. aims.Where(a => IsOf(a, venue))];
        Aim[] going = [.. own.Where(a => a.Target is not MatchSetup).DistinctBy(a => a.Name)];
        new Guard()
            .That(
                going.Length > 0,
                "Venue",
                "nothing_to_share",
                own.Length == 0
                    ? $"No aim of this drive is for “{venue}”: give a venue that one is for."
                    : "Every aim for it means a setup of this machine: none of them says anything for another one."
            )
            .ThrowIfAny();
        return new(venue, [.. going.Select(From)], [.. own.Except(going).Select(a => a.Name)]);
    }

    /// <summary>What taking it in would change.</summary>
    /// <param name="here">Aims of one drive.</param>
    /// <param name="drive">That they would be for.</param>
    public static SharedDifferences Compare(SharedAims file, IEnumerable<Aim> here, Drive drive)
    {
        Aim[] known = Known(file, here);
        return (
            SharedDifferences.Empty with
            {
                Aims =
                [
                    .. file.Aims.Select(a => Compare(a, Same(known, a.Name), drive)),
                    .. known
                        .Where(k => file.Aims.All(a => a.Name != k.Name))
                        .Select(k => new AimDifference(k.Name, SharedState.OnlyHere, From(k), null, null)),
                ],
                IsKnown = known.Length > 0,
                Caution =
                    file.LeftOut.Count == 0
                        ? null
                        : $"Not in the file, since they mean a setup of the machine they were made for or a second one has the name: {string.Join(", ", file.LeftOut)}.",
            }
        ).Counted();
    }

    /// <summary>The aims that are new or become other ones, as they are stored then; those that can’t be are left out.</summary>
    /// <param name="here">Aims of one drive.</param>
    public static IReadOnlyList<Aim> Take(SharedAims file, IEnumerable<Aim> here, Machine machine, Drive drive)
    {
        Aim[] known = Known(file, here);
        return
        [
            .. file
                .Aims.Where(a => Compare(a, Same(known, a.Name), drive).State is SharedState.New or SharedState.Other)
                .Select(a =>
                    Same(known, a.Name) is { } old
                        ? old with
                        {
                            Target = a.Target,
                            Conditions = a.Conditions,
                            Wishes = a.Wishes,
                            Note = a.Note,
                        }
                        : new Aim(
                            0,
                            0,
                            machine.Id,
                            a.Name,
                            drive.Key,
                            a.Target,
                            a.Conditions,
                            a.Wishes,
                            a.Note,
                            [],
                            file.Venue
                        )
                ),
        ];
    }

    /// <summary>As people write it: “Dyke road” and “dyke road ” are one venue.</summary>
    private static bool IsOf(Aim aim, string venue) =>
        string.Equals(aim.Venue?.Trim(), venue.Trim(), StringComparison.OrdinalIgnoreCase);

    private static SharedAim From(Aim aim) => new(aim.Name, aim.Target, aim.Conditions, aim.Wishes, aim.Note);

    private static Aim[] Known(SharedAims file, IEnumerable<Aim> here) => [.. here.Where(a => IsOf(a, file.Venue))];

    private static Aim? Same(Aim[] known, string name) => known.FirstOrDefault(k => k.Name == name);

    private static AimDifference Compare(SharedAim there, Aim? known, Drive drive)
    {
        SharedAim? here = known is null ? null : From(known);
        string? why = WhyNot(there, drive);
        SharedState state =
            why is not null ? SharedState.CannotBe
            : here is null ? SharedState.New
            : here == there ? SharedState.Same
            : SharedState.Other;
        return new(there.Name, state, here, there, why);
    }

    private static string? WhyNot(SharedAim aim, Drive drive)
    {
        int gears = DriveGears.List(drive).Count;
        Guard guard = aim.Check(gears);
        if (guard.Issues.Any(i => i.Code == "no_such_gear"))
            return gears == 1 ? "this drive has no gears." : $"this drive has {gears} gears.";
        return guard.HasIssues ? string.Join(" ", guard.Issues.Select(i => i.Message)) : null;
    }
}
