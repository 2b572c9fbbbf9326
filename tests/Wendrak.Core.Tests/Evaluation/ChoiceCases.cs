using Wendrak.Core.Choices;
using Wendrak.Core.Evaluation;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Evaluation;

/// <summary>Weighings for the tests of Choice.</summary>
internal static class ChoiceCases
{
    public static readonly DateOnly Today = new(2026, 12, 1);
    public static readonly string[] Three = ["sealedChain", "toothedBelt", "plainChain"];

    public static readonly LoopWeighing Begun = LoopWeighing.Empty("final", null) with
    {
        Shown = Three,
        Wishes = [new(DriveWish.LowCost, 2), new(DriveWish.LowMass, 1)],
        RatePerHour = 30,
        Figures =
        [
            new("sealedChain", Price: 150, LifeLow: 15_000, LifeHigh: 30_000, LifeBy: SaidBy.MeasuredHere),
            new("toothedBelt", Price: 400, LifeLow: 60_000, LifeHigh: 80_000, LifeBy: SaidBy.MakerOrStandard),
            new("plainChain", Price: 60, LifeLow: 8_000, LifeHigh: 10_000, LifeBy: SaidBy.MakerOrStandard),
        ],
    };

    public static ChoiceDesk Desk(
        LoopWeighing? weighing = null,
        StoredMachine? stored = null,
        Workshop? workshop = null,
        string? matter = null,
        DateOnly? on = null
    ) => ChoiceDesk.Of(new(stored ?? Moderate(), workshop, "final", matter), weighing, on ?? Today);

    /// <summary>Not so strong that its own chain would not hold.</summary>
    public static StoredMachine Moderate()
    {
        StoredMachine stored = Benches.Motorcycle();
        return stored with
        {
            Machine = stored.Machine with { Loads = new([new("drive", PeakTorqueNm: 12, PeakPowerKw: 8)], []) },
        };
    }

    public static ChoiceColumn Of(ChoiceDesk desk, string key) => desk.Columns.Single(c => c.Key == key);

    public static (OutcomeKind, string?) FirstOf(ChoiceDesk desk) => (desk.Outcome.Kind, desk.Outcome.First);

    public static LoopWeighing WithFigures(this LoopWeighing weighing, OptionFigures figures, bool alone = false) =>
        weighing with
        {
            Figures = [.. weighing.Figures.Where(f => !alone && f.Option != figures.Option), figures],
        };
}
