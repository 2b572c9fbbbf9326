using System.Data;
using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;
using Dapper;

namespace Wendrak.Store;

/// <summary>How values that SQLite has no type for are written in a row.</summary>
internal static class Rows
{
    /// <summary>JSON in columns and in the record of changes.</summary>
    public static JsonSerializerOptions Json { get; } =
        new(JsonSerializerDefaults.Web)
        {
            Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
            AllowOutOfOrderMetadataProperties = true,
        };

    public static string ToJson<T>(T value) => JsonSerializer.Serialize(value, Json);

    public static T FromJson<T>(string json) =>
        JsonSerializer.Deserialize<T>(json, Json)
        ?? throw new InvalidOperationException("A stored JSON value is null.");

    public static void RegisterTypeHandlers() => SqlMapper.AddTypeHandler(new DateOnlyHandler());

    private sealed class DateOnlyHandler : SqlMapper.TypeHandler<DateOnly>
    {
        private const string Format = "yyyy-MM-dd";

        public override DateOnly Parse(object value) =>
            DateOnly.ParseExact((string)value, Format, CultureInfo.InvariantCulture);

        public override void SetValue(IDbDataParameter parameter, DateOnly value) =>
            parameter.Value = value.ToString(Format, CultureInfo.InvariantCulture);
    }
}
