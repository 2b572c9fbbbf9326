using Wendrak.Core.Loads;
using Wendrak.Core.Tables;
using Wendrak.Core.Tests.Loads;

namespace Wendrak.Core.Tests.Tables;

public sealed class LoadLimitsTests
{
    /// <summary>Each with where it comes from; a judgement has its reason in the table.</summary>
    [Theory]
    [InlineData("breaking load", "vehicle", 3.0, 0.5)] // common practice
    [InlineData("breaking load", "machine", 7.0, 0.5)] // machine-element textbooks, from memory
    [InlineData("breaking load", "rope", 5.0, 0.6)] // common practice of hoists
    [InlineData("breaking load with shock", "vehicle", 2.0, 0.5)] // static 3 over the usual shock of 1.5
    [InlineData("breaking load with shock", "machine", 5.0, 0.5)] // machine-element textbooks, from memory
    [InlineData("pin pressure", "chain", null, 0.6)] // judgement
    [InlineData("tooth jumping", "chain", null, 0.1)] // judgement
    [InlineData("rating", "chain", null, 0.5)] // judgement
    [InlineData("galling", "chain", null, 0.8)] // judgement
    [InlineData("chain speed", "sealed", 26.0, 0.6)] // common practice
    [InlineData("chain speed", "oiled", null, 0.6)] // judgement
    [InlineData("ripple", "chain", 4.0, null)] // common practice
    [InlineData("wrap", "chain", 120.0, 0.75)] // Shigley ch. 17; ACA
    [InlineData("odd teeth", "chain", 2.0, 0.0)] // ACA, from memory
    [InlineData("slip", "friction belt", 1.3, 1 / 1.3)] // common practice; it slips at 1
    [InlineData("belt count", "V-belt", null, 0.5)] // judgement
    [InlineData("belt speed", "friction belt", null, 0.5)] // judgement
    [InlineData("low belt speed", "friction belt", null, 0.0)] // never stops
    [InlineData("distance", "friction belt", null, 0.0)] // never stops
    [InlineData("small pulley", "V-belt", null, 0.8)] // judgement
    [InlineData("small pulley", "toothed belt", null, 0.75)] // judgement
    [InlineData("belt pull", "toothed belt", null, 0.7)] // judgement
    [InlineData("teeth in mesh", "toothed belt", 6.0, 1 / 3.0)] // ISO 5295; two teeth carry nothing
    [InlineData("tooth jump", "toothed belt", 1.5, 0.8)] // engineering.md h; stops at 1.2
    public void A_number_of_judgement_is_the_one_that_was_argued(string check, string use, double? limit, double? stop)
    {
        LoadLimit row = LoadLimits.Get(check, use);
        Assert.Equal(limit, row.Limit);
        Assert.Equal(stop ?? -1, row.StopShare ?? -1, 1e-12);
        Assert.NotEmpty(row.Source);
    }

    [Fact]
    public void There_is_no_row_beside_these() => Assert.Equal(24, LoadLimits.All.Count);

    private static (string Check, string Use)? RowOf(LoadCheck check, string kind, bool isVehicle) =>
        check.Kind switch
        {
            LoadCheckKind.BreakingLoad => ("breaking load", isVehicle ? "vehicle" : "machine"),
            LoadCheckKind.BreakingLoadWithShock => ("breaking load with shock", isVehicle ? "vehicle" : "machine"),
            LoadCheckKind.PinPressure => ("pin pressure", kind),
            LoadCheckKind.ToothJumping => ("tooth jumping", kind),
            LoadCheckKind.Wrap => ("wrap", kind),
            LoadCheckKind.Slip => ("slip", "friction belt"),
            LoadCheckKind.BeltCount => ("belt count", "V-belt"),
            LoadCheckKind.BeltPull => ("belt pull", kind),
            LoadCheckKind.ToothJump => ("tooth jump", kind),
            LoadCheckKind.TeethInMesh => ("teeth in mesh", kind),
            _ => null,
        };

    /// <summary>From no load to far too much: each check is fine, to be watched or stopped by the row of its own.</summary>
    [Fact]
    public void A_verdict_follows_its_row()
    {
        HashSet<(LoadCheckKind, Verdict)> seen = [];
        // In steps of a fortieth: the band that is to be watched is narrow.
        foreach (double pull in Enumerable.Range(0, 401).Select(i => Math.Exp(1 + i / 40d)))
        foreach ((LoadsInput input, string kind) in Cases)
        {
            LoadSource source = input.Source with { PullN = pull };
            foreach (LoadCheck check in LoopLoads.Evaluate(input with { Source = source }, false).Checks)
            {
                if (check.Margin is not double margin || check.IsAdvisory)
                    continue;
                if (RowOf(check, kind, kind != "V-belt") is not { } key)
                    continue;
                LoadLimit row = LoadLimits.Get(key.Check, key.Use);
                Assert.Equal(row.Limit ?? check.Limit, check.Limit);
                Verdict expected =
                    margin >= 1 ? Verdict.Fine
                    : margin >= row.StopShare ? Verdict.Watch
                    : Verdict.Stop;
                Assert.Equal(expected, check.Verdict);
                seen.Add((check.Kind, check.Verdict));
            }
        }
        foreach (
            LoadCheckKind kind in new[]
            {
                LoadCheckKind.BreakingLoad,
                LoadCheckKind.BreakingLoadWithShock,
                LoadCheckKind.Slip,
                LoadCheckKind.BeltPull,
                LoadCheckKind.ToothJump,
            }
        )
            Assert.All([Verdict.Fine, Verdict.Watch, Verdict.Stop], v => Assert.Contains((kind, v), seen));
    }

    private static readonly (LoadsInput, string)[] Cases =
    [
        (LoadCases.Motorcycle(), "chain"),
        (LoadCases.ToothedBelt(), "toothed belt"),
        (LoadCases.VBelt(), "V-belt"),
    ];
}
