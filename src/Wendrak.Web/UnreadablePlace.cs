using System.Globalization;
using System.Text;
using System.Text.Json;

namespace Wendrak.Web;

/// <summary>Where a text stops being JSON, for somebody who wrote <c>NaN</c> or left out a comma.</summary>
internal static class UnreadablePlace
{
    /// <returns>“search[0].frontMin”; empty where it stops before anything is named, or is JSON after all.</returns>
    public static string Of(ReadOnlySpan<byte> text)
    {
        Utf8JsonReader reader = new(text);
        Stack<Level> levels = [];
        try
        {
            while (reader.Read())
                Follow(ref reader, levels);
            return "";
        }
        catch (JsonException)
        {
            return string.Concat(levels.Reverse().Select(l => l.Text)).TrimStart('.');
        }
    }

    private static void Follow(ref Utf8JsonReader reader, Stack<Level> levels)
    {
        switch (reader.TokenType)
        {
            case JsonTokenType.StartObject:
                levels.Push(new(null, null));
                break;
            case JsonTokenType.StartArray:
                levels.Push(new(null, 0));
                break;
            case JsonTokenType.EndObject or JsonTokenType.EndArray:
                levels.Pop();
                Next(levels);
                break;
            case JsonTokenType.PropertyName:
                levels.Pop();
                levels.Push(new(reader.GetString(), null));
                break;
            default:
                Next(levels);
                break;
        }
    }

    private static void Next(Stack<Level> levels)
    {
        if (levels.TryPeek(out Level? level) && level.Index is int index)
        {
            levels.Pop();
            levels.Push(new(null, index + 1));
        }
    }

    /// <param name="Name">Of the field that is being read; null before the first one, and in a list.</param>
    /// <param name="Index">Of the element that is being read; null of an object.</param>
    private sealed record Level(string? Name, int? Index)
    {
        public string Text =>
            Index is int index ? string.Create(CultureInfo.InvariantCulture, $"[{index}]")
            : Name is null ? ""
            : $".{Name}";
    }
}
