using System.Text.Json.Serialization.Metadata;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Wendrak.Web;

/// <summary>How the served API description is shaped.</summary>
public static class OpenApiShape
{
    private const string Discriminator = "kind";

    private const string About = """
        Chain and belt final drives: ratio, fit, loads, setting, and the machines they belong to. For programs on this
        computer; it listens on no other.

        * **Units** end the name of a number: `Mm`, `N`, `Nm`, `Kw`, `Rpm`, `Kmh`, `MS` (metres a second), `Deg`, `Percent`, `Hz`.
        * **Figures come with workings** where a call has them: formula, values put in, result, source, limits. A value in ° or
          % counts in its formula as the angle or share that it is.
        * **Refusals** name every wrong field by its path in what was sent, with a code, a sentence and, where there is one, the
          bound with its unit: 400 for what can't be read, 422 for what was read and can't be. 404 is for what is not there, 409
          for what somebody else changed meanwhile (send the `version` that was read), 413 for too much, 503 and 507 for data
          that can't be written just now.
        * **What is made** is answered with 201. Every answer tells its build (`X-Wendrak-Build`) and the data it is of
          (`X-Wendrak-Data`; sent back with a change, it keeps that change off other data).
        * **Lists** are told whole, or `most` at a time: then the `Link` header tells where the next part is, and `after` is the last
          one read.
        * **Others** are heard of as a stream of events (`/api/changes/stream`), each with how often something had been stored; every
          answer tells that of its own beginning (`X-Wendrak-Commits`). Whoever names its page with what it stores
          (`X-Wendrak-Page`) hears nothing of that.
        * `X-Wendrak-Who`, percent-encoded, is the name that stands beside a change.
        """;

    private static readonly Dictionary<string, string> Sections = new()
    {
        ["Health"] = "Whether the program answers and its data can be written.",
        ["Evaluation"] = "One question of a stored machine for all that is wanted at once. The page asks nothing else.",
        ["Ratio"] = "Aims, bands, search and comparison, for drives that need not be stored.",
        ["Fit"] = "Lengths, centres, wraps, clearances, spacers, and the small tools of the bench.",
        ["Loads"] = "Pulls, margins, shaft loads, joints and life.",
        ["Build"] = "Small tools of the work itself; plans are asked for with the jobs they belong to.",
        ["Set"] = "Readings, windows, what to turn next, alignment, running in, warmth, and a frequency meter.",
        ["Follow-ups"] = "What is to be done again after a change.",
        ["Machines"] = "Machines that are stored, and their files.",
        ["Setups"] = "What is fitted, was delivered, was tried.",
        ["Due"] = "What is due on the machines, as a list and as a calendar, and what happened to one.",
        ["Glossary"] = "Words of the trade that a newcomer may not know.",
        ["Find"] = "Names of machines and what hangs on them.",
        ["Choice"] =
            "Kinds of drive and parts side by side: what each is here, reasons for and against, what it costs, what would turn it.",
        ["Faults"] = "From what a loop does to its cause, by the test that tells most for its minutes.",
        ["Log"] =
            "What a machine took, cost, sounded like and did, line by line or from a file, and what a change of setup brought.",
        ["Jobs"] = "Visits of a machine, told as what happened.",
        ["Photos"] = "Pictures that go with jobs.",
        ["Aims"] = "Aims that are kept.",
        ["Markings"] = "What is stamped or moulded on a chain, a belt, a wheel or a tyre, read.",
        ["Stock"] = "Wheels, loops, spacers and sets of gears that can be had.",
        ["Shared files"] = "Procedures, sets of gears and aims of a venue that one workshop hands to another.",
        ["Changes"] = "Every change, and its undoing.",
        ["Backups"] = "Backups made, downloaded and restored.",
    };

    /// <summary>Of every refusal, as RFC 9457 has them.</summary>
    private static readonly Dictionary<string, string> OfProblems = new()
    {
        ["type"] = "Names this kind of refusal.",
        ["title"] = "The refusal in a few words.",
        ["status"] = "The status it was answered with.",
        ["detail"] = "What was wrong, as a sentence.",
        ["instance"] = "What was asked.",
    };

    public static void Configure(OpenApiOptions options)
    {
        // The word that tells one kind of stage or aim from another is always there; the generator calls it optional.
        options.AddSchemaTransformer(
            (schema, _, _) =>
            {
                if (schema.Properties?.ContainsKey(Discriminator) == true)
                    (schema.Required ??= new HashSet<string>()).Add(Discriminator);
                return Task.CompletedTask;
            }
        );
        // What the core works out from the rest of a record is in every answer; the generator calls it optional.
        options.AddSchemaTransformer(
            (schema, context, _) =>
            {
                foreach (JsonPropertyInfo property in context.JsonTypeInfo.Properties)
                    if (property is { Set: null, AssociatedParameter: null, Get: not null })
                        (schema.Required ??= new HashSet<string>()).Add(property.Name);
                return Task.CompletedTask;
            }
        );
        options.AddSchemaTransformer(
            (schema, context, _) =>
            {
                Describe(schema, context.JsonTypeInfo.Type);
                return Task.CompletedTask;
            }
        );
        options.AddDocumentTransformer(
            (document, _, _) =>
            {
                document.Info = new()
                {
                    Title = "Wendrak",
                    Version = "1",
                    Description = About,
                };
                document.Tags = Sections
                    .Select(s => new OpenApiTag { Name = s.Key, Description = s.Value })
                    .ToHashSet();
                // By the names that stand there: a kind of aim or stage has one of its own only in the whole.
                foreach (
                    (string type, IOpenApiSchema schema) in document.Components?.Schemas
                        ?? new Dictionary<string, IOpenApiSchema>()
                )
                    if (schema is OpenApiSchema known)
                        Bounds.Tell(type, known);
                // The port differs from start to start; the description must not.
                document.Servers = [];
                return Task.CompletedTask;
            }
        );
    }

    /// <summary>In the words of its type, where the generator has none: of an enum that may be null, and of a refusal.</summary>
    private static void Describe(OpenApiSchema schema, Type type)
    {
        if (Nullable.GetUnderlyingType(type) is { IsEnum: true } word)
            schema.Description ??= Summaries.Find(word);
        if (typeof(ProblemDetails).IsAssignableFrom(type))
            foreach (
                (string name, IOpenApiSchema property) in schema.Properties ?? new Dictionary<string, IOpenApiSchema>()
            )
                property.Description ??= OfProblems.GetValueOrDefault(name);
    }
}
