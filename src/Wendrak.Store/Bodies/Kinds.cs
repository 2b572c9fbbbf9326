using Wendrak.Core.Gearing;
using Wendrak.Core.Records;
using Wendrak.Core.Stock;

namespace Wendrak.Store.Bodies;

/// <summary>Every kind of record of this program.</summary>
internal static class Kinds
{
    public static StoredKind<GearboxSet> GearboxSet { get; } =
        new()
        {
            Name = "gearbox_set",
            Word = "gearbox set",
            NameOf = s => s.Name,
            Upcasters = [EarlierBodies.AsIs],
        };

    public static StoredKind<Machine> Machine { get; } =
        new()
        {
            Name = "machine",
            Word = "machine",
            NameOf = m => m.Name,
            References = m =>
                m.Drives.SelectMany(d => d.Stages)
                    .OfType<Gearbox>()
                    .Select(g => new Reference(Hold.Needs, "gearbox_set", g.Set.Id)),
            // Form 5 says what thread a torque is for, and what was measured for the way round of a part; form 6 how its loops are
            // looked at; form 7 what was weighed in their place; form 8 the shims of a sheave; form 9 what was said to be as usual;
            // form 10 that nobody need have said whether it lifts.
            Upcasters =
            [
                EarlierBodies.Machine,
                OneAdjuster.Machine,
                WordsOfTheField.Machine,
                EarlierBodies.AsIs,
                EarlierBodies.AsIs,
                EarlierBodies.AsIs,
                EarlierBodies.AsIs,
                EarlierBodies.AsIs,
                EarlierBodies.AsIs,
            ],
            Json = BodyJson.With(isNumbered: false, new GearboxSetNumber()),
        };

    public static StoredKind<Setup> Setup { get; } =
        new()
        {
            Name = "setup",
            Word = "setup",
            NameOf = s => s.Name,
            References = s => [new(Hold.BelongsTo, "machine", s.MachineId)],
            // Form 5 says which loops are another kind in it; form 6 the shims of one.
            Upcasters =
            [
                EarlierBodies.Setup,
                WordsOfTheField.Setup,
                EarlierBodies.AsIs,
                EarlierBodies.AsIs,
                EarlierBodies.AsIs,
            ],
        };

    public static StoredKind<Aim> Aim { get; } =
        new()
        {
            Name = "aim",
            Word = "aim",
            NameOf = a => a.Name,
            References = a =>
                a.Outcomes.Select(o => o.SetupId)
                    .Concat(a.Target is MatchSetup m ? [m.SetupId] : [])
                    .Select(id => new Reference(Hold.Mentions, "setup", id))
                    .Prepend(new(Hold.BelongsTo, "machine", a.MachineId)),
            // Form 3 says for which venue.
            Upcasters = [EarlierBodies.Aim, EarlierBodies.AsIs],
        };

    public static StoredKind<Job> Job { get; } =
        new()
        {
            Name = "job",
            Word = "visit",
            NameOf = j => FormattableString.Invariant($"of {j.OpenedOn:yyyy-MM-dd}"),
            References = j => [new(Hold.BelongsTo, "machine", j.MachineId)],
        };

    public static StoredKind<LogLot> LogLot { get; } =
        new()
        {
            Name = "log_lot",
            Word = "part of the log",
            NameOf = l => l.File,
            References = l => [new(Hold.BelongsTo, "machine", l.MachineId)],
        };

    public static StoredKind<StockItem> StockItem { get; } =
        new()
        {
            Name = "stock_item",
            Word = "wheel in stock",
            NameOf = i => i.Describe(),
            // Form 3 says how it is got.
            Upcasters = [EarlierBodies.AsIs, EarlierBodies.AsIs],
        };

    public static StoredKind<StockSpacer> StockSpacer { get; } =
        new()
        {
            Name = "stock_spacer",
            Word = "spacer in stock",
            NameOf = s => s.Describe(),
            Upcasters = [EarlierBodies.AsIs, EarlierBodies.Spacer],
        };

    public static StoredKind<StockPart> StockPart { get; } =
        new()
        {
            Name = "stock_part",
            Word = "part in stock",
            NameOf = p => p.Describe(),
        };

    public static StoredKind<HandTool> HandTool { get; } =
        new()
        {
            Name = "hand_tool",
            Word = "tool",
            NameOf = t => t.Describe(),
        };

    public static IReadOnlyList<IStoredKind> All { get; } =
    [GearboxSet, Machine, Setup, Aim, Job, LogLot, StockItem, StockSpacer, StockPart, HandTool];
}
