using System.Text.Json;
using System.Text.Json.Serialization;
using Wendrak.Core.Gearing;

namespace Wendrak.Store.Bodies;

/// <summary>
/// In the body of a machine a gearbox set is its number: it lives in a record of its own, so that a correction there
/// reaches every machine that uses it.
/// </summary>
internal sealed class GearboxSetNumber : JsonConverter<GearboxSet>
{
    public override GearboxSet Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        new(reader.GetInt64(), 0, "", [], false, null);

    public override void Write(Utf8JsonWriter writer, GearboxSet value, JsonSerializerOptions options) =>
        writer.WriteNumberValue(value.Id);
}
