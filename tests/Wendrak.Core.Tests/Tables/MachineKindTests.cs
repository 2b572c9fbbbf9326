using Wendrak.Core.Tables;
using Wendrak.Core.Vocabulary;

namespace Wendrak.Core.Tests.Tables;

/// <summary>Each kind of machine has its row, and what the row names stands in the other tables.</summary>
public sealed class MachineKindTests
{
    public static TheoryData<MachineKind> Kinds => [.. Enum.GetValues<MachineKind>()];

    [Theory, MemberData(nameof(Kinds))]
    public void What_its_row_names_is_there(MachineKind kind)
    {
        MachineKindRow row = MachineKinds.Get(kind);
        Assert.True(row.VehicleClass is null || VehicleClasses.Find(row.VehicleClass) is not null);
        Assert.InRange(WearLimits.ChainElongationPercent(row.ChainWear), 0.5, 3);
        foreach (AlignmentRow limit in new[] { row.ChainAlignment, row.BeltAlignment })
            Assert.NotNull(AlignmentLimits.Get(limit.Use, limit.Drive));
        foreach (string shock in new[] { row.Shock, row.ShockWithRegeneration }.OfType<string>())
            Assert.NotNull(ServiceFactors.Get(ServiceFactors.Vehicle, shock));
        if (row.ChainPlay is string play)
            Assert.NotNull(TensionTargets.Get(play, "slack total"));
        if (row.BeltTension is string tension)
            Assert.NotNull(TensionTargets.Get(tension, "span tension"));
        Assert.EndsWith(".", row.Defers, StringComparison.Ordinal);
    }

    /// <summary>Common practice, as the tables have it: use of the chain, of its play and of the load carrier with its moped.</summary>
    [Theory]
    [InlineData(MachineKind.Motorcycle, "motorcycle sealed-ring", LubricationSchool.SealedRing, AdjusterKind.TwoEnds)]
    [InlineData(MachineKind.Moped, "motorcycle sealed-ring", LubricationSchool.SealedRing, AdjusterKind.TwoEnds)]
    [InlineData(MachineKind.LoadCarrier, "motorcycle unsealed", LubricationSchool.Industrial, AdjusterKind.TwoEnds)]
    [InlineData(
        MachineKind.Bicycle,
        "bicycle single speed or hub gear",
        LubricationSchool.Industrial,
        AdjusterKind.TwoEnds
    )]
    [InlineData(MachineKind.Robot, "robot", LubricationSchool.Industrial, AdjusterKind.OneScrew)]
    [InlineData(MachineKind.Winch, "industrial adjustable", LubricationSchool.Industrial, AdjusterKind.SlidingMotor)]
    [InlineData(
        MachineKind.KickBoard,
        "industrial adjustable",
        LubricationSchool.Industrial,
        AdjusterKind.SlidingMotor
    )]
    [InlineData(MachineKind.Other, "industrial adjustable", LubricationSchool.Industrial, AdjusterKind.OneScrew)]
    public void Its_chain_and_its_adjuster_are_as_usual(
        MachineKind kind,
        string wear,
        LubricationSchool oiling,
        AdjusterKind adjuster
    )
    {
        MachineKindRow row = MachineKinds.Get(kind);
        Assert.Equal((wear, oiling, adjuster), (row.ChainWear, row.Lubrication, row.Adjuster));
        bool isUnderACover =
            kind is MachineKind.Motorcycle or MachineKind.Moped or MachineKind.LoadCarrier or MachineKind.KickBoard;
        Assert.Equal(isUnderACover ? 2 : 8, row.MostTeethMoreInFront);
        Assert.Equal(kind == MachineKind.Robot, row.DrivesAllWheels);
    }
}
