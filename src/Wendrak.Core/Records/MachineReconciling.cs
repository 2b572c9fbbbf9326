using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Shafts;

namespace Wendrak.Core.Records;

/// <summary>Carries what was measured at a machine along when its drives are changed.</summary>
public static class MachineReconciling
{
    /// <summary>
    /// Places and widths follow their loops: those of removed loops go with them, and a shaft is where its wheels are,
    /// whatever it is called now.
    /// </summary>
    public static Machine ToDrives(Machine machine)
    {
        HashSet<string> loops = [.. MachineRules.LoopsOf(machine).Select(l => l.Key)];
        return machine with
        {
            Layouts = Some(machine.Layouts?.Where(l => loops.Contains(l.LoopKey))),
            Shafts = Some(machine.Shafts?.Select(s => Follow(s, machine.Drives)).OfType<ShaftWidths>()),
            Loads = MachineLoads.For(machine.Loads, machine.Drives),
            Settings = Some(machine.Settings?.Where(s => loops.Contains(s.LoopKey))),
        };
    }

    /// <summary>The widths under the present name of their shaft; null when no wheel of it is left.</summary>
    private static ShaftWidths? Follow(ShaftWidths widths, IReadOnlyList<Drive> drives)
    {
        (Drive Drive, string Shaft)? now = widths
            .Sprockets.Select(s => SeatOf(s, drives))
            .FirstOrDefault(s => s is not null);
        if (now is not { } seat)
            return null;
        return widths with
        {
            DriveKey = seat.Drive.Key,
            Shaft = seat.Shaft,
            Sprockets = [.. widths.Sprockets.Where(s => SeatOf(s, drives) == now)],
        };
    }

    private static (Drive, string)? SeatOf(SprocketOnShaft sprocket, IReadOnlyList<Drive> drives)
    {
        foreach (Drive drive in drives)
            if (drive.Stages.OfType<Loop>().FirstOrDefault(l => l.Key == sprocket.LoopKey) is { } loop)
                return (drive, sprocket.Side == WheelSide.Front ? loop.DrivingShaft : loop.DrivenShaft);
        return null;
    }

    private static T[]? Some<T>(IEnumerable<T>? things) => things?.ToArray() is { Length: > 0 } some ? some : null;
}
