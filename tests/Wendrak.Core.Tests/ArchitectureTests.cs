using System.Reflection;
using System.Reflection.Metadata;
using System.Reflection.PortableExecutable;
using Wendrak.Core.Gearing;

namespace Wendrak.Core.Tests;

/// <summary>Holds the core pure: computation in, computation out.</summary>
public sealed class ArchitectureTests
{
    private static readonly Assembly Core = typeof(RatioSearch).Assembly;

    [Fact]
    public void Core_needs_nothing_but_the_base_library_the_readers_of_its_tables_and_recordings_and_numerics() =>
        Assert.All(
            Core.GetReferencedAssemblies(),
            a =>
                Assert.True(
                    a.Name!.StartsWith("System.", StringComparison.Ordinal)
                        || a.Name is "CsvHelper" or "MathNet.Numerics" or "NAudio.Core",
                    a.Name
                )
        );

    [Theory]
    [InlineData("System.Net")]
    [InlineData("System.Data")]
    [InlineData("System.Diagnostics.Process")]
    [InlineData("Microsoft")]
    public void Core_uses_no_type_of(string forbidden) =>
        Assert.DoesNotContain(TypesUsed(), t => t.StartsWith(forbidden, StringComparison.Ordinal));

    [Theory]
    [InlineData("System.IO.File")]
    [InlineData("System.IO.FileStream")]
    [InlineData("System.IO.Directory")]
    [InlineData("System.IO.Path")]
    [InlineData("System.Console")]
    [InlineData("System.Random")]
    [InlineData("System.TimeProvider")]
    [InlineData("System.Diagnostics.Stopwatch")]
    public void Core_touches_no_file_clock_or_chance(string forbidden) => Assert.DoesNotContain(forbidden, TypesUsed());

    private static List<string> TypesUsed()
    {
        using FileStream file = File.OpenRead(Core.Location);
        using PEReader image = new(file);
        MetadataReader metadata = image.GetMetadataReader();
        return
        [
            .. metadata
                .TypeReferences.Select(metadata.GetTypeReference)
                .Select(t => $"{metadata.GetString(t.Namespace)}.{metadata.GetString(t.Name)}"),
        ];
    }
}
