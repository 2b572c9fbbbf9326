using System.Reflection;
using Wendrak.Core.Gearing;
using Wendrak.Store;

namespace Wendrak.Web.Tests;

/// <summary>Dependencies point one way: Web → Store → Json → Core.</summary>
public sealed class LayersTests
{
    private static string[] ReferencesOf(Type type) =>
        [.. type.Assembly.GetReferencedAssemblies().Select((AssemblyName a) => a.Name!)];

    [Fact]
    public void Core_knows_neither_store_nor_web() =>
        Assert.DoesNotContain(
            ReferencesOf(typeof(RatioSearch)),
            n => n.StartsWith("Wendrak", StringComparison.Ordinal)
        );

    [Fact]
    public void Store_knows_core_and_not_the_web()
    {
        string[] references = ReferencesOf(typeof(Database));
        Assert.Equal(
            ["Wendrak.Core", "Wendrak.Json"],
            references.Where(n => n.StartsWith("Wendrak", StringComparison.Ordinal)).Order()
        );
        Assert.DoesNotContain(references, n => n.StartsWith("Microsoft.AspNetCore", StringComparison.Ordinal));
    }

    [Fact]
    public void Sql_is_written_in_the_store_only() => Assert.DoesNotContain("Dapper", ReferencesOf(typeof(WendrakApp)));
}
