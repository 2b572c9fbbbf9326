using System.Text.Json;
using System.Text.Json.Serialization;
using Wendrak.Core.Records;
using Wendrak.Json;

namespace Wendrak.Store.Tests;

/// <summary>Against the framework’s converter, for every enumeration of the core.</summary>
public sealed class EnumWordsTests
{
    private static readonly JsonSerializerOptions Ours = new() { Converters = { new EnumWords() } };
    private static readonly JsonSerializerOptions Frameworks = new()
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false) },
    };

    public static TheoryData<Type> Enumerations => [.. typeof(FindingGrade).Assembly.GetTypes().Where(t => t.IsEnum)];

    [Theory]
    [MemberData(nameof(Enumerations))]
    public void Every_member_is_written_and_read_as_the_framework_does(Type type)
    {
        foreach (object member in Enum.GetValues(type))
        {
            string word = JsonSerializer.Serialize(member, type, Ours);
            Assert.Equal(JsonSerializer.Serialize(member, type, Frameworks), word);
            Assert.Equal(member, JsonSerializer.Deserialize(word, type, Ours));
            Assert.Equal(member, JsonSerializer.Deserialize(word.ToUpperInvariant(), type, Frameworks));
            Assert.Equal(member, JsonSerializer.Deserialize(word.ToUpperInvariant(), type, Ours));
        }
    }

    [Theory]
    [InlineData("\"nosuch\"")]
    [InlineData("\"\"")]
    [InlineData("0")]
    [InlineData("null")]
    [InlineData("true")]
    [InlineData("[\"stop\"]")]
    public void What_is_no_word_of_it_is_refused_where_it_stands(string text)
    {
        string json = $"{{\"Grade\":{text}}}";
        Assert.Throws<JsonException>(() => JsonSerializer.Deserialize<Found>(json, Frameworks));
        JsonException refused = Assert.Throws<JsonException>(() => JsonSerializer.Deserialize<Found>(json, Ours));
        Assert.Equal("$.Grade", refused.Path);
    }

    private sealed record Found(FindingGrade Grade);
}
