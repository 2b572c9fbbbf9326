using Wendrak.Core.Gearing;
using Wendrak.Core.Quantities;
using Wendrak.Core.Tables;

namespace Wendrak.Core.Loads;

/// <summary>Something that would bring a check to “fine”, tried out.</summary>
public enum MendKind
{
    /// <summary>Teeth more in front, rear as it is.</summary>
    MoreFrontTeeth,

    /// <summary>Another chain of the pitch.</summary>
    OtherSize,
    MoreStrands,

    /// <summary>mm.</summary>
    WiderBelt,

    /// <summary>N.</summary>
    MoreTension,
}

/// <param name="To">Teeth, strands, mm or N; null for another size.</param>
/// <param name="Size">Its name, for another size.</param>
/// <param name="Value">What the check comes to with it.</param>
/// <param name="Limit">Its limit then.</param>
public sealed record Mend(MendKind Kind, double? To, string? Size, double Value, double Limit);

/// <summary>What would mend one check; empty where nothing that was tried does.</summary>
public sealed record CheckMends(LoadCheckKind Kind, OperatingPointKind Point, IReadOnlyList<Mend> Mends);

/// <summary>Tries what would bring a check to “fine”, one thing at a time, and says what it comes to.</summary>
public static class LoadMends
{
    private const int MostTeethMore = 8;
    private const int MostStrands = 3;
    private static readonly double[] Wider = [1.25, 1.5, 2, 3];
    private static readonly double[] Tighter = [1.1, 1.25, 1.5, 2, 3];

    /// <summary>For every check that is not fine.</summary>
    /// <exception cref="InvalidInputException">The loop itself is refused.</exception>
    public static IReadOnlyList<CheckMends> Of(LoadsInput input) =>
        input.Source.LiftsOrFlies
            ? []
            :
            [
                .. LoopLoads
                    .Checks(new LoadedLoop(input))
                    .Where(c => c.Verdict is Verdict.Watch or Verdict.Stop)
                    .Select(c => new CheckMends(c.Kind, c.Point, Of(input, c))),
            ];

    private static IReadOnlyList<Mend> Of(LoadsInput input, LoadCheck check)
    {
        Loop loop = input.Drive.Stages.OfType<Loop>().First(l => l.Key == input.Strength.LoopKey);
        return
        [
            .. new[]
            {
                Teeth(input, check),
                Size(input, check, loop),
                Strands(input, check, loop),
                Width(input, check),
                Tension(input, check),
            }.OfType<Mend>(),
        ];
    }

    private static Mend? Teeth(LoadsInput input, LoadCheck check)
    {
        LoopChoice choice = input.Loops.First(c => c.LoopKey == input.Strength.LoopKey);
        for (int more = 1; more <= MostTeethMore; more++)
        {
            LoopChoice other = choice with { FrontSize = choice.FrontSize + more, Links = null, LengthMm = null };
            LoadsInput tried = input with { Loops = [.. input.Loops.Select(c => c == choice ? other : c)] };
            if (Tried(tried, check) is { } then)
                return new(MendKind.MoreFrontTeeth, other.FrontSize, null, then.Value!.Value, then.Limit!.Value);
        }
        return null;
    }

    private static Mend? Size(LoadsInput input, LoadCheck check, Loop loop)
    {
        if (loop.Medium != LoopMedium.Chain || Chains.Find(input.Strength.Standard ?? loop.Standard) is not { } own)
            return null;
        // The least change first: of its own family, then the lightest that does it.
        foreach (
            ChainSize size in Chains
                .All.Where(s => Math.Abs(s.PitchMm - own.PitchMm) < 0.05 && s.ChainId != own.ChainId)
                .OrderBy(s => s.Family != own.Family)
                .ThenBy(s => s.MassKgPerM)
        )
            if (Tried(input with { Strength = input.Strength.Of(size.ChainId) }, check) is { } then)
                return new(MendKind.OtherSize, null, size.ChainId, then.Value!.Value, then.Limit!.Value);
        return null;
    }

    private static Mend? Strands(LoadsInput input, LoadCheck check, Loop loop)
    {
        if (loop.Medium is LoopMedium.ToothedBelt or LoopMedium.FlatBelt)
            return null;
        for (int strands = input.Strength.Strands + 1; strands <= MostStrands; strands++)
            if (Tried(input with { Strength = input.Strength with { Strands = strands } }, check) is { } then)
                return new(MendKind.MoreStrands, strands, null, then.Value!.Value, then.Limit!.Value);
        return null;
    }

    private static Mend? Width(LoadsInput input, LoadCheck check)
    {
        // The maker's pull holds for one width: what a wider belt pulls only the maker can say.
        if (input.Strength.WidthMm is not double width || input.Strength.AllowedPullN is not null)
            return null;
        foreach (double factor in Wider)
            if (Tried(input with { Strength = input.Strength with { WidthMm = width * factor } }, check) is { } then)
                return new(MendKind.WiderBelt, width * factor, null, then.Value!.Value, then.Limit!.Value);
        return null;
    }

    private static Mend? Tension(LoadsInput input, LoadCheck check)
    {
        if (input.Strength.InstalledTensionN is not double tension)
            return null;
        foreach (double factor in Tighter)
        {
            LoadsInput tried = input with { Strength = input.Strength with { InstalledTensionN = tension * factor } };
            if (Tried(tried, check) is { } then)
                return new(MendKind.MoreTension, tension * factor, null, then.Value!.Value, then.Limit!.Value);
        }
        return null;
    }

    /// <summary>What the check comes to; null when it is not fine then, or that can't be built.</summary>
    private static LoadCheck? Tried(LoadsInput input, LoadCheck check)
    {
        try
        {
            LoadCheck? then = LoopLoads
                .Checks(new LoadedLoop(input))
                .FirstOrDefault(c => c.Kind == check.Kind && c.Point == check.Point);
            return then is { Verdict: Verdict.Fine } ? then : null;
        }
        catch (InvalidInputException)
        {
            return null;
        }
    }
}
