using Wendrak.Core.Gearing;
using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>How what is driven takes its load.</summary>
public enum LoadCharacter
{
    Smooth,
    ModerateShock,
    HeavyShock,
}

/// <summary>Shock and service factors of a drive by the tables. Source: table <c>service_factors.csv</c>.</summary>
internal static class ShockFactors
{
    /// <summary>The row that counts for a loop where nobody gave a factor of its own.</summary>
    /// <remarks>
    /// Somebody who says how the load is taken gets the rows of machine building; a vehicle of which nobody said it gets the
    /// row of its kind, and any other machine that of moderate shock.
    /// </remarks>
    public static ServiceFactor Find(Loop loop, Drive drive, MachineKind kind, LoadSource source) =>
        source.Character is null && VehicleRow(drive, kind, source) is { } row
            ? ServiceFactors.Get(ServiceFactors.Vehicle, row)
            : Industrial(loop.DriveElement, drive.Input.Kind, source.Character ?? LoadCharacter.ModerateShock);

    /// <summary>f1 of ISO 10823, for the charts of chain makers.</summary>
    public static ServiceFactor IsoOf(InputKind driver, LoadCharacter character) =>
        ServiceFactors.Get(
            ServiceFactors.ChainIso,
            ChainWord(character),
            driver == InputKind.Engine ? "combustion engine with fewer" : "electric"
        );

    private static string? VehicleRow(Drive drive, MachineKind kind, LoadSource source)
    {
        if (drive.Input.Kind == InputKind.Rider)
            return "bicycle muscle";
        MachineKindRow row = MachineKinds.Get(kind);
        bool regenerates = drive.Input.Kind == InputKind.Motor && source.BrakingTorqueNm is not null;
        return regenerates && row.ShockWithRegeneration is not null ? row.ShockWithRegeneration : row.Shock;
    }

    private static ServiceFactor Industrial(DriveElement element, InputKind driver, LoadCharacter character) =>
        element switch
        {
            DriveElement.Chain => ServiceFactors.Get(
                ServiceFactors.ChainAca,
                ChainWord(character),
                driver == InputKind.Engine ? "combustion engine with mechanical" : "electric"
            ),
            DriveElement.ToothedBelt => ServiceFactors.Get(
                ServiceFactors.Synchronous,
                character switch
                {
                    LoadCharacter.Smooth => "light",
                    LoadCharacter.ModerateShock => "medium",
                    _ => "heavy",
                }
            ),
            _ => ServiceFactors.Get(
                ServiceFactors.VBelt,
                character switch
                {
                    LoadCharacter.Smooth => "uniform",
                    LoadCharacter.ModerateShock => "medium",
                    _ => "heavy",
                },
                driver == InputKind.Motor ? "normal" : "high"
            ),
        };

    private static string ChainWord(LoadCharacter character) =>
        character switch
        {
            LoadCharacter.Smooth => "smooth",
            LoadCharacter.ModerateShock => "moderate",
            _ => "heavy",
        };
}
