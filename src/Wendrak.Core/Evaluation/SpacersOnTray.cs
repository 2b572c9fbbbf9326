using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Shafts;

namespace Wendrak.Core.Evaluation;

/// <summary>Which spacers go on the shafts of a loop, out of the one drawer that all shafts of the machine share.</summary>
internal static class SpacersOnTray
{
    /// <summary>Those shafts of the loop that were measured and whose bore the drawer has.</summary>
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
                .Where(s => s.Second is not null && s.First.Shaft.Sprockets.Any(w => w.LoopKey == loop.Key))
                .Select(s => ToTray(s.First.Shaft.Shaft, s.Second!)),
        ];
    }

    private static ShaftOnTray ToTray(string shaft, SpacerStacksResult stacks)
    {
        FilledShaft? way = stacks.Ways is [var best, ..] ? best : stacks.Nearest;
        return new(shaft, [.. (way?.Gaps ?? []).Select(g => g.PiecesMm)], stacks.Ways.Count > 0, stacks.Missing);
    }
}
