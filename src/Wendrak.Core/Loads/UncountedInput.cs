using Wendrak.Core.Gearing;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Loads;

/// <summary>Something that was given and does not count for this loop.</summary>
/// <param name="Field">As a refusal would name it.</param>
/// <param name="Why">In a few words, for the person who gave it.</param>
public sealed record UncountedInput(string Field, string Why);

/// <summary>Parts of a chain or belt that count for one kind of it only. Source: what the formulas of each kind ask for.</summary>
internal static class UncountedInputs
{
    private static readonly DriveElement[] Belts =
    [
        DriveElement.ToothedBelt,
        DriveElement.VBelt,
        DriveElement.FlatBelt,
        DriveElement.RoundBelt,
    ];

    private sealed record Part(
        string Name,
        IReadOnlyList<DriveElement> Counts,
        string Why,
        Func<LoopStrength, LoopStrength> Without,
        IReadOnlyList<DriveElement>? CountsAtSet = null
    );

    private static readonly Part[] Parts =
    [
        new(
            nameof(LoopStrength.BreakingLoadN),
            [DriveElement.Chain, DriveElement.RoundBelt],
            "such a belt is judged by its grip or its working pull",
            s => s with { BreakingLoadN = null }
        ),
        new(
            nameof(LoopStrength.ElongationLimitPercent),
            [DriveElement.Chain],
            "a belt does not grow by its joints",
            s => s with { ElongationLimitPercent = null }
        ),
        new(
            nameof(LoopStrength.BearingAreaMm2),
            [DriveElement.Chain],
            "only a chain has pins",
            s => s with { BearingAreaMm2 = null }
        ),
        new(
            nameof(LoopStrength.WidthMm),
            [DriveElement.ToothedBelt],
            "only a toothed belt is rated by its width",
            s => s with { WidthMm = null }
        ),
        new(
            nameof(LoopStrength.AllowedPullN),
            [DriveElement.ToothedBelt],
            "only a toothed belt has a working pull of its own",
            s => s with { AllowedPullN = null }
        ),
        new(
            nameof(LoopStrength.InstalledTensionN),
            Belts,
            "a chain runs with one run slack",
            s => s with { InstalledTensionN = null }
        ),
        new(
            nameof(LoopStrength.SagMm),
            [DriveElement.Chain],
            "a belt has no sag to count",
            s => s with { SagMm = null }
        ),
        new(nameof(LoopStrength.School), [DriveElement.Chain], "a belt is never oiled", s => s with { School = null }),
        new(
            nameof(LoopStrength.Friction),
            Belts,
            "a chain does not drive by friction",
            s => s with { Friction = null }
        ),
        new(
            nameof(LoopStrength.GrooveAngleDeg),
            [DriveElement.VBelt, DriveElement.RoundBelt],
            "it runs in no groove",
            s => s with { GrooveAngleDeg = null }
        ),
        new(
            nameof(LoopStrength.PressureAngleDeg),
            [DriveElement.Chain],
            "belt teeth have their profile’s flank",
            s => s with { PressureAngleDeg = null }
        ),
        new(
            nameof(LoopStrength.RatingPerBeltKw),
            [DriveElement.VBelt],
            "only V-belts are rated each",
            s => s with { RatingPerBeltKw = null }
        ),
        new(
            nameof(LoopStrength.LengthFactor),
            [DriveElement.VBelt],
            "only V-belts are rated by their length",
            s => s with { LengthFactor = null }
        ),
        new(
            nameof(LoopStrength.ForceAt1PercentN),
            [DriveElement.VBelt, DriveElement.FlatBelt, DriveElement.RoundBelt],
            "teeth do not creep; Set counts it where a belt is pushed",
            s => s with { ForceAt1PercentN = null },
            Belts
        ),
        new(nameof(LoopStrength.Rope), [DriveElement.RoundBelt], "it is no rope", s => s with { Rope = null }),
        new(
            nameof(LoopStrength.ExtraHalfTurns),
            [DriveElement.RoundBelt],
            "only a rope is wound more than once",
            s => s with { ExtraHalfTurns = 0 }
        ),
    ];

    /// <summary>What of a <see cref="LoopStrength"/> counts for some kinds of loop only, and for this one, at Loads or at Set.</summary>
    public static IEnumerable<string> FieldsOf(DriveElement element) =>
        Parts.Where(p => p.Counts.Contains(element) || p.CountsAtSet?.Contains(element) == true).Select(p => p.Name);

    /// <summary>The chain or belt with only what counts for its kind.</summary>
    public static LoopStrength Counted(LoopStrength strength, DriveElement element) =>
        Parts.Where(p => !p.Counts.Contains(element)).Aggregate(strength, (s, p) => p.Without(s));

    public static IEnumerable<UncountedInput> Find(LoadsInput input, DriveElement element, OperatingPoints points)
    {
        foreach (
            Part part in Parts.Where(p => !p.Counts.Contains(element) && p.Without(input.Strength) != input.Strength)
        )
            yield return Named(nameof(input.Strength), part.Name, part.Why);
        LoadSource source = input.Source;
        if (source.RiderMassKg is not null && input.Drive.Input.Kind != InputKind.Rider)
            yield return Named(nameof(input.Source), nameof(source.RiderMassKg), "nobody pedals here");
        if (points.IsOnRoad)
            yield break;
        if (source.Efficiency is not null && !points.HasLoopBefore)
            yield return Named(nameof(input.Source), nameof(source.Efficiency), "no other loop lies before this one");
        (string Name, double? Given)[] ofRoad =
        [
            (nameof(source.MassKg), source.MassKg),
            (nameof(source.DrivenMassKg), source.DrivenMassKg),
            (nameof(source.Friction), source.Friction),
            (nameof(source.CruiseKmh), source.CruiseKmh),
        ];
        foreach ((string name, _) in ofRoad.Where(p => p.Given is not null))
            yield return Named(nameof(input.Source), name, "this drive pushes nothing along a road");
    }

    private static UncountedInput Named(string thing, string part, string why) => new($"{thing}.{part}", why);
}
