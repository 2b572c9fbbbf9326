using System.Xml.Linq;

namespace Wendrak.Web;

/// <summary>What the doc comments say of the core's types, for a description that the generator leaves without.</summary>
internal static class Summaries
{
    private static readonly Lazy<Dictionary<string, string>> Known = new(() =>
        XDocument
            .Load(Path.Combine(AppContext.BaseDirectory, "Wendrak.Core.xml"))
            .Descendants("member")
            .Where(m => m.Element("summary") is not null)
            .ToDictionary(m => m.Attribute("name")!.Value, m => m.Element("summary")!.Value.Trim())
    );

    public static string? Find(Type type) => Known.Value.GetValueOrDefault($"T:{type.FullName}");
}
