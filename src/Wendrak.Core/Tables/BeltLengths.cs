using Wendrak.Core.Quantities;

namespace Wendrak.Core.Tables;

/// <summary>Standard lengths of one toothed-belt profile. Source: ISO 5296, ISO 13050, table <c>belt_lengths.csv</c>.</summary>
public sealed record BeltLengthSeries
{
    public required string ProfileId { get; init; }

    /// <summary>Lengths as the standard counts them, with spaces between.</summary>
    public required string Lengths { get; init; }
    public required string Unit { get; init; }
    public required string Source { get; init; }
    public required string Certainty { get; init; }

    internal static BeltLengthSeries Read(CsvRow row) =>
        new()
        {
            ProfileId = row.Text("profile_id"),
            Lengths = row.Text("lengths"),
            Unit = row.Text("unit"),
            Source = row.Text("source"),
            Certainty = row.Text("certainty"),
        };
}

/// <summary>Tooth counts that endless toothed belts are made in as standard.</summary>
public static class BeltLengths
{
    public static IReadOnlyList<BeltLengthSeries> All { get; } = CsvTable.Read("belt_lengths", BeltLengthSeries.Read);

    private static readonly Dictionary<string, int[]> Teeth = All.ToDictionary(s => s.ProfileId, TeethOf);

    /// <summary>Standard tooth counts, smallest first; null where no table lists the profile's.</summary>
    public static IReadOnlyList<int>? TeethFor(string profileId) => Teeth.GetValueOrDefault(profileId);

    private static int[] TeethOf(BeltLengthSeries series)
    {
        double pitch = SynchronousProfiles.Find(series.ProfileId)!.PitchMm;
        double unit = series.Unit == "mm" ? 1 : UnitFactors.MmPerInch / 10;
        // Codes drop the half of 187.5: the whole tooth count nearest to them is meant.
        return
        [
            .. series
                .Lengths.Split(' ')
                .Select(l =>
                    (int)Math.Round(double.Parse(l, System.Globalization.CultureInfo.InvariantCulture) * unit / pitch)
                ),
        ];
    }
}
