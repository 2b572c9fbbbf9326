using System.Globalization;
using System.Text.RegularExpressions;
using Wendrak.Core.Gearing;
using Wendrak.Core.Loads;
using Wendrak.Core.Quantities;
using Wendrak.Core.Shafts;

namespace Wendrak.Core.Records;

/// <summary>Carries what was measured at a machine along when its drives are changed.</summary>
public static partial class MachineReconciling
{
    /// <summary>The draft with what was measured carried along, checked as it may be stored.</summary>
    /// <exception cref="InvalidInputException">Every issue is named, by its path in the draft as it was sent.</exception>
    public static MachineDraft Checked(MachineDraft sent)
    {
        MachineDraft draft = sent with { Machine = ToDrives(sent.Machine) };
        try
        {
            MachineRules.Check(draft);
            return draft;
        }
        catch (InvalidInputException e)
        {
            throw new InvalidInputException([
                .. e.Issues.Select(i => i with { Field = PathAsSent(i.Field, sent.Machine) }),
            ]);
        }
    }

    /// <summary>What goes with a loop leaves a list shorter than it was sent: the n-th of it is the n-th that stayed.</summary>
    private static string PathAsSent(string path, Machine sent)
    {
        Match place = InList().Match(path);
        if (!place.Success)
            return path;
        HashSet<string> drives = [.. sent.Drives.Select(d => d.Key)];
        HashSet<string> loops = [.. MachineRules.LoopsOf(sent).Select(l => l.Key)];
        string list = place.Groups["list"].Value;
        IEnumerable<bool> stays = list switch
        {
            "Layouts" => sent.Layouts!.Select(l => loops.Contains(l.LoopKey)),
            "Settings" => sent.Settings!.Select(s => loops.Contains(s.LoopKey)),
            "Weighings" => sent.Weighings!.Select(w => loops.Contains(w.LoopKey)),
            "Inspections" => sent.Inspections!.Select(i => Follow(i, sent) is not null),
            "Shafts" => sent.Shafts!.Select(s => Follow(s, sent.Drives) is not null),
            "Loads.Sources" => sent.Loads!.Sources.Select(s => drives.Contains(s.DriveKey)),
            "Loads.Strengths" => sent.Loads!.Strengths.Select(s => loops.Contains(s.LoopKey)),
            "Loads.Alternatives" => sent.Loads!.Alternatives!.Select(a => loops.Contains(a.Strength.LoopKey)),
            _ => sent.Loads!.Joints!.Select(j => loops.Contains(j.LoopKey)),
        };
        int at = Nth(stays, int.Parse(place.Groups["n"].Value, CultureInfo.InvariantCulture));
        string rest = place.Groups["rest"].Value;
        if (list == "Inspections" && OnGrade().Match(rest) is { Success: true } grade)
        {
            LoopInspection inspection = sent.Inspections![at];
            int of = Nth(
                inspection.Grades.Select(g => Follow(inspection, sent)!.Grades.Contains(g)),
                int.Parse(grade.Groups["n"].Value, CultureInfo.InvariantCulture)
            );
            rest = FormattableString.Invariant($".Grades[{of}]{grade.Groups["rest"].Value}");
        }
        if (list == "Shafts" && OnShaft().Match(rest) is { Success: true } sprocket)
        {
            ShaftWidths widths = sent.Shafts![at];
            (Drive, string)? seat = FirstSeat(widths, sent.Drives);
            int of = Nth(
                widths.Sprockets.Select(s => SeatOf(s, sent.Drives) == seat),
                int.Parse(sprocket.Groups["n"].Value, CultureInfo.InvariantCulture)
            );
            rest = FormattableString.Invariant($".Sprockets[{of}]{sprocket.Groups["rest"].Value}");
        }
        return FormattableString.Invariant($"Machine.{list}[{at}]{rest}");
    }

    private static int Nth(IEnumerable<bool> stays, int n) => stays.Index().Where(s => s.Item).ElementAt(n).Index;

    [GeneratedRegex(
        @"^Machine\.(?<list>Layouts|Settings|Shafts|Inspections|Weighings|Loads\.(Sources|Strengths|Alternatives|Joints))\[(?<n>\d+)\](?<rest>.*)$",
        RegexOptions.CultureInvariant
    )]
    private static partial Regex InList();

    [GeneratedRegex(@"^\.Sprockets\[(?<n>\d+)\](?<rest>.*)$", RegexOptions.CultureInvariant)]
    private static partial Regex OnShaft();

    [GeneratedRegex(@"^\.Grades\[(?<n>\d+)\](?<rest>.*)$", RegexOptions.CultureInvariant)]
    private static partial Regex OnGrade();

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
            Weighings = Some(machine.Weighings?.Where(w => loops.Contains(w.LoopKey))),
            Inspections = Some(machine.Inspections?.Select(i => Follow(i, machine)).OfType<LoopInspection>()),
        };
    }

    private static LoopInspection? Follow(LoopInspection inspection, Machine machine) =>
        MachineRules.LoopsOf(machine).FirstOrDefault(l => l.Key == inspection.LoopKey) is { } loop
            ? inspection.For(loop)
            : null;

    /// <summary>The widths under the present name of their shaft; null when no wheel of it is left.</summary>
    private static ShaftWidths? Follow(ShaftWidths widths, IReadOnlyList<Drive> drives)
    {
        (Drive Drive, string Shaft)? now = FirstSeat(widths, drives);
        if (now is not { } seat)
            return null;
        return widths with
        {
            DriveKey = seat.Drive.Key,
            Shaft = seat.Shaft,
            Sprockets = [.. widths.Sprockets.Where(s => SeatOf(s, drives) == now)],
        };
    }

    private static (Drive, string)? FirstSeat(ShaftWidths widths, IReadOnlyList<Drive> drives) =>
        widths.Sprockets.Select(s => SeatOf(s, drives)).FirstOrDefault(s => s is not null);

    private static (Drive, string)? SeatOf(SprocketOnShaft sprocket, IReadOnlyList<Drive> drives)
    {
        foreach (Drive drive in drives)
            if (drive.Stages.OfType<Loop>().FirstOrDefault(l => l.Key == sprocket.LoopKey) is { } loop)
                return (drive, sprocket.Side == WheelSide.Front ? loop.DrivingShaft : loop.DrivenShaft);
        return null;
    }

    private static T[]? Some<T>(IEnumerable<T>? things) => things?.ToArray() is { Length: > 0 } some ? some : null;
}
