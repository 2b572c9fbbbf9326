using Wendrak.Core.Gearing;
using static Wendrak.Core.Tests.Gearing.Searches;

namespace Wendrak.Core.Tests.Gearing;

public sealed class RefusedSearchTests
{
    public static TheoryData<LoopSearch, string> Impossible =>
        new()
        {
            { Range(0, 17, 40, 48), "Search[0].FrontMin" },
            { Range(-4, 17, 40, 48), "Search[0].FrontMin" },
            { Range(13, 1e9, 40, 48), "Search[0].FrontMax" },
            { Range(17, 13, 40, 48), "Search[0].FrontMax" },
            { Range(13, 17, 48, 40), "Search[0].RearMax" },
            { Range(13, 17, double.NaN, 48), "Search[0].RearMin" },
            { Range(13, 17, 40, double.PositiveInfinity), "Search[0].RearMax" },
            { Range(5, 500, 5, 500), "Search[0].RearMax" },
            { Range(13, 17, 40, 48) with { LoopKey = "nowhere" }, "Search[0].LoopKey" },
            { Range(13, 17, 40, 48) with { Links = 0 }, "Search[0].Links" },
            { Range(13, 17, 40, 48) with { LargestRatio = 0 }, "Search[0].LargestRatio" },
            { Range(13, 17, 40, 48) with { Typed = [new(0, 45)] }, "Search[0].Typed[0].FrontSize" },
            { Range(13, 17, 40, 48) with { Work = new(-1, 0, 0, 0, 0, 0) }, "Search[0].Work.FrontMinutes" },
        };

    [Theory, MemberData(nameof(Impossible))]
    public void An_impossible_search_is_refused_at_its_field(LoopSearch search, string field) =>
        Refusals.Names(field, () => RatioSearch.Run(Search(new FinalRatio(2, 3), search)));

    [Fact]
    public void A_search_without_a_loop_is_refused() =>
        Refusals.Names("Search", () => RatioSearch.Run(Search(null) with { Search = [] }));
}
