using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Wendrak.Web;

/// <summary>Writes a number with eight significant digits: of a metre the hundredth of a micrometre.</summary>
internal sealed class EightDigits : JsonConverter<double>
{
    private const int MostLetters = 32;

    public override double Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        reader.GetDouble();

    public override void Write(Utf8JsonWriter writer, double value, JsonSerializerOptions options)
    {
        Span<byte> letters = stackalloc byte[MostLetters];
        if (double.IsFinite(value) && value.TryFormat(letters, out int count, "G8", CultureInfo.InvariantCulture))
            writer.WriteRawValue(letters[..count], skipInputValidation: true);
        else
            writer.WriteNumberValue(value);
    }
}
