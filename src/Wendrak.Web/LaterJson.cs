using System.Text.Json;
using System.Text.Json.Serialization;

namespace Wendrak.Web;

/// <summary>
/// Reads and writes by other options, which are asked for a type only when a value of it comes. The web server asks for the types
/// of all its calls before it answers the first one: two thirds of the time it took to start.
/// </summary>
/// <param name="by">What it is read and written by.</param>
internal sealed class LaterJson(JsonSerializerOptions by) : JsonConverterFactory
{
    public override bool CanConvert(Type typeToConvert) => true;

    public override JsonConverter CreateConverter(Type typeToConvert, JsonSerializerOptions options) =>
        (JsonConverter)Activator.CreateInstance(typeof(Whole<>).MakeGenericType(typeToConvert), by)!;

    private sealed class Whole<T>(JsonSerializerOptions by) : JsonConverter<T>
    {
        public override T? Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            JsonSerializer.Deserialize<T>(ref reader, by);

        public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
            JsonSerializer.Serialize(writer, value, typeof(T) == typeof(object) ? TypeOf(value!) : typeof(T), by);
    }

    /// <summary>
    /// The web server hands over as an object what is of another type than a call declares: of what comes in several kinds the
    /// answer is to say which it is.
    /// </summary>
    private static Type TypeOf(object value)
    {
        for (Type? type = value.GetType(); type is not null; type = type.BaseType)
            if (type.IsDefined(typeof(JsonPolymorphicAttribute), inherit: false))
                return type;
        return value.GetType();
    }
}
