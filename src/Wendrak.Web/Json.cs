using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Wendrak.Core.Quantities;
using Wendrak.Json;

namespace Wendrak.Web;

/// <summary>JSON on the wire. The four strict settings keep a missing or null field from becoming a silent zero.</summary>
public static class Json
{
    // One of each for whoever reads or writes: what is worked out of a type then exists once.
    private static readonly IJsonTypeInfoResolver Types = JsonTypeInfoResolver
        .Combine(CoreTypes.Default, new DefaultJsonTypeInfoResolver())
        .WithAddedModifier(SpellFields);

    public static JsonSerializerOptions Options { get; } = Configure(new(JsonSerializerDefaults.Web));

    /// <summary>For answers that are shown: numbers of eight digits, half of what they have.</summary>
    public static JsonSerializerOptions Brief { get; } =
        new(Options) { Converters = { new EightDigits() }, TypeInfoResolver = Types.WithAddedModifier(KeepWhole) };

    /// <summary>Whoever works a working out comes to its result to the last digit.</summary>
    private static void KeepWhole(JsonTypeInfo type)
    {
        if (type.Type == typeof(WorkingValue))
            foreach (JsonPropertyInfo number in type.Properties.Where(p => p.PropertyType == typeof(double)))
                number.CustomConverter = JsonMetadataServices.DoubleConverter;
    }

    /// <summary>“Loops[0].FrontSize” as the wire spells it: “loops[0].frontSize”.</summary>
    private static void SpellFields(JsonTypeInfo type)
    {
        if (type.Type != typeof(InputIssue))
            return;
        JsonPropertyInfo field = type.Properties.First(p => p.Name == "field");
        field.Get = issue =>
            string.Join('.', ((InputIssue)issue).Field.Split('.').Select(JsonNamingPolicy.CamelCase.ConvertName));
    }

    /// <summary>What the web server reads and writes by.</summary>
    /// <param name="isLater">Nothing is worked out of a type before a value of it comes: <see cref="LaterJson"/>.</param>
    public static void ConfigureWire(JsonSerializerOptions options, bool isLater)
    {
        Configure(options);
        if (!isLater)
            return;
        options.Converters.Insert(0, new LaterJson(Options));
        // Which kinds there are of a type, too, is known by what reads and writes it.
        options.TypeInfoResolver = Types.WithAddedModifier(type => type.PolymorphismOptions = null);
    }

    private static JsonSerializerOptions Configure(JsonSerializerOptions options)
    {
        options.NumberHandling = JsonNumberHandling.Strict;
        // Letters beyond ASCII as they are: what is sent is JSON and never part of a page.
        options.Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping;
        options.RespectRequiredConstructorParameters = true;
        options.RespectNullableAnnotations = true;
        options.AllowOutOfOrderMetadataProperties = true;
        options.Converters.Add(new EnumWords());
        options.TypeInfoResolver = Types;
        return options;
    }
}
