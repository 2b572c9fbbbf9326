using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>Speeds that are said to suit a belt by friction, m/s, by whom, and who says otherwise.</summary>
internal sealed record BeltSpeedRange(double FromMS, double ToMS, string Source)
{
    public static BeltSpeedRange For(LoadedLoop loop)
    {
        switch (loop.Loop.DriveElement)
        {
            case DriveElement.VBelt
                when VSections.Find(loop.Standard) is { } section && (section.IsNotched || section.IsNarrow):
                return new(
                    5,
                    40,
                    "narrow and notched V-belts to 40 m/s, some makers 50 (from memory); Shigley ch. 17 says 25 of classical ones"
                );
            case DriveElement.VBelt:
                return new(5, 25, "5 to 25 m/s, Shigley ch. 17; teaching texts say 5 to 50");
            case DriveElement.FlatBelt:
                return new(10, 50, "10 to 50 m/s, common practice; thin high-speed belts go beyond");
            default:
                (double from, double to) = FrictionBeltChecks.RopeOf(loop)!.SpeedMS;
                return new(from, to, "common practice of cords and ropes, from memory");
        }
    }
}
