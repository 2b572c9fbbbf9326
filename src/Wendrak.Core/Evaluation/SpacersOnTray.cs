using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Shafts;

namespace Wendrak.Core.Evaluation;

/// <summary>Which spacers go on the shafts of a loop, out of the one drawer that all shafts of the machine share.</summary>
internal static class SpacersOnTray
{
    /// <summary>Those shafts of the loop that were measured; one whose bore the drawer does not have is not filled, unless its hubs fill it.</summary>
    public static IReadOnlyList<ShaftOnTray> Of(Machine machine, Loop loop, Workshop workshop)
    {
        ShaftToFill[] shafts =
        [
            .. (machine.Shafts ?? []).Select(s => new ShaftToFill(machine.Drives.First(d => d.Key == s.DriveKey), s)),
        ];
        if (shafts.Length == 0)
            return [];
        IReadOnlyList<SpacerStacksResult?> filled = SpacerDrawer.Fill(
            shafts,
            [.. workshop.Spacers.Select(s => new BoredSpacers(s.ThicknessMm, s.BoreMm, s.Count))],
            (_, ask) => ask()
        );
        return
        [
            .. shafts
                .Zip(filled)
                .Where(s => s.First.Shaft.Sprockets.Any(w => w.LoopKey == loop.Key))
                .Where(s => s.Second is not null || SpacerStacks.LeastToFillMm(s.First.Shaft) > 0)
                .Select(s => ToTray(s.First.Shaft.Shaft, s.Second)),
        ];
    }

    private static ShaftOnTray ToTray(string shaft, SpacerStacksResult? stacks)
    {
        if (stacks is null)
            return new(shaft, [], false, null);
        FilledShaft? way = stacks.Ways is [var best, ..] ? best : stacks.Nearest;
        return new(shaft, [.. (way?.Gaps ?? []).Select(g => g.PiecesMm)], stacks.Ways.Count > 0, stacks.Missing);
    }
}
