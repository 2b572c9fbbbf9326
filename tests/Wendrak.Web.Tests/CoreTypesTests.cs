using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;
using Wendrak.Core.Gearing;
using Wendrak.Json;

namespace Wendrak.Web.Tests;

/// <summary>How the core's types are written as JSON is found out when the program is compiled, of all that the calls use.</summary>
public sealed class CoreTypesTests
{
    [Fact]
    public async Task All_that_the_calls_take_and_answer_of_the_core_is_among_them()
    {
        await using LoopbackServer server = new();
        await server.StartAsync();
        Type[] used =
        [
            .. server
                .Services.GetRequiredService<EndpointDataSource>()
                .Endpoints.SelectMany(e => e.Metadata)
                .Select(m =>
                    m switch
                    {
                        IAcceptsMetadata accepts => accepts.RequestType,
                        IProducesResponseTypeMetadata produces => produces.Type,
                        _ => null,
                    }
                )
                .OfType<Type>()
                .Where(IsOfCore)
                .Distinct(),
        ];
        Assert.True(used.Length > 70, $"{used.Length}");
        Assert.DoesNotContain(used, t => CoreTypes.Default.GetTypeInfo(t) is null);
    }

    private static bool IsOfCore(Type type) =>
        (type.IsGenericType ? type.GenericTypeArguments[0] : type).Assembly == typeof(RatioSearch).Assembly;
}
