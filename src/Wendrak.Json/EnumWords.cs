using System.Collections.Concurrent;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Wendrak.Json;

/// <summary>The members of an enumeration as words in camel case; a number or an unknown word is refused.</summary>
/// <remarks>
/// What the framework's converter does with these settings, without what it needs for flags, numbers and names of keys: of that
/// one fifteen methods are compiled for each of the hundred enumerations, which weighs two megabytes.
/// </remarks>
public sealed class EnumWords : JsonConverterFactory
{
    /// <summary>One for each enumeration, whoever reads and writes.</summary>
    private static readonly ConcurrentDictionary<Type, JsonConverter> Known = [];

    public override bool CanConvert(Type typeToConvert) => typeToConvert.IsEnum;

    public override JsonConverter CreateConverter(Type typeToConvert, JsonSerializerOptions options) =>
        Known.GetOrAdd(
            typeToConvert,
            static type => (JsonConverter)Activator.CreateInstance(typeof(Words<>).MakeGenericType(type))!
        );

    private sealed class Words<T> : JsonConverter<T>
        where T : struct
    {
        private readonly WordTable _table = new(typeof(T));

        public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            (T)_table.Member(ref reader);

        public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
            writer.WriteStringValue(_table.Word(value));
    }

    /// <summary>What is the same for all of them, so that it is compiled once.</summary>
    private sealed class WordTable
    {
        private readonly Dictionary<object, JsonEncodedText> _words = [];
        private readonly Dictionary<string, object> _members = new(StringComparer.OrdinalIgnoreCase);

        public WordTable(Type type)
        {
            foreach (object member in Enum.GetValuesAsUnderlyingType(type))
            {
                object value = Enum.ToObject(type, member);
                string word = JsonNamingPolicy.CamelCase.ConvertName($"{value}");
                _words[value] = JsonEncodedText.Encode(word);
                _members[word] = value;
            }
        }

        public object Member(ref Utf8JsonReader reader) =>
            reader.TokenType == JsonTokenType.String && _members.TryGetValue(reader.GetString()!, out object? member)
                ? member
                // Without a text of its own, the serializer says where it is and what was asked for.
                : throw new JsonException();

        public JsonEncodedText Word(object member) =>
            _words.TryGetValue(member, out JsonEncodedText word) ? word : throw new JsonException();
    }
}
