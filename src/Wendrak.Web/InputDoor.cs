using System.Collections;
using System.Collections.Concurrent;
using System.Reflection;
using System.Text.Json.Serialization.Metadata;
using Wendrak.Core.Quantities;

namespace Wendrak.Web;

/// <summary>
/// The one door for what was read from a request: what the core can't represent never reaches it. The reader of JSON refuses a
/// null or missing field; it lets through null inside a list, numbers beyond all bounds, and text without end.
/// </summary>
internal static class InputDoor
{
    private const int MostIssues = 20;
    private const int MostElements = 10_000;

    /// <summary>Refuses arguments of an endpoint before it is called.</summary>
    /// <exception cref="InvalidInputException">Every place that can't be taken, by its path.</exception>
    public static ValueTask<object?> CheckAsync(EndpointFilterInvocationContext context, EndpointFilterDelegate next)
    {
        Check([.. context.Arguments]);
        return next(context);
    }

    /// <summary>Refuses what an endpoint read by itself.</summary>
    /// <exception cref="InvalidInputException">Every place that can't be taken, by its path.</exception>
    public static void Check(params object?[] read)
    {
        List<InputIssue> issues = [];
        foreach (object? value in read)
            Look(value, "", false, issues);
        if (issues.Count > 0)
            throw new InvalidInputException(issues);
    }

    private static void Look(object? value, string path, bool mayBeNull, List<InputIssue> issues)
    {
        if (issues.Count >= MostIssues)
            return;
        switch (value)
        {
            case null:
                if (!mayBeNull && path.EndsWith(']'))
                    issues.Add(new(path, "missing", "Give it, or leave it out of the list."));
                break;
            case double number when !double.IsFinite(number):
                issues.Add(new(path, "out_of_range", "Give a number that can be counted with."));
                break;
            case string { Length: > Guard.LongestNote }:
                issues.Add(new(path, "too_long", $"Give {Guard.LongestNote} characters or fewer.", Guard.LongestNote));
                break;
            case string:
                break;
            case IEnumerable list:
                LookThrough(list, path, mayBeNull, issues);
                break;
            default:
                foreach (Part part in PartsOf(value.GetType()))
                    Look(part.Get(value), Under(path, part.Name), part.MayHoldNull, issues);
                break;
        }
    }

    private static void LookThrough(IEnumerable list, string path, bool mayHoldNull, List<InputIssue> issues)
    {
        int index = 0;
        foreach (object? element in list)
        {
            if (index == MostElements)
            {
                issues.Add(new(path, "too_many", $"Give {MostElements} or fewer.", MostElements));
                return;
            }
            Look(element, $"{path}[{index++}]", mayHoldNull, issues);
        }
    }

    private static string Under(string path, string name) => path.Length == 0 ? name : $"{path}.{name}";

    /// <param name="MayHoldNull">Of a list: its elements are declared to be allowed to be null.</param>
    private sealed record Part(Func<object, object?> Get, string Name, bool MayHoldNull);

    private static readonly ConcurrentDictionary<Type, Part[]> Known = new();

    /// <summary>What of a record was read; what it works out from that is none of it.</summary>
    private static Part[] PartsOf(Type type) =>
        Known.GetOrAdd(
            type,
            static t => IsRead(t) ? [.. Json.Options.GetTypeInfo(t).Properties.SelectMany(PartOf)] : []
        );

    // By what the reader of JSON has already: reflection writes code anew for each property.
    private static IEnumerable<Part> PartOf(JsonPropertyInfo property) =>
        property is { Get: { } get, AttributeProvider: PropertyInfo { SetMethod: not null } declared }
            ? [new(get, property.Name, MayHoldNull(declared))]
            : [];

    private static bool IsRead(Type type) =>
        type.Namespace?.StartsWith(nameof(Wendrak), StringComparison.Ordinal) == true && !type.IsEnum;

    private static bool MayHoldNull(PropertyInfo property)
    {
        NullabilityInfo nullability = new NullabilityInfoContext().Create(property);
        NullabilityInfo? element = nullability.ElementType ?? nullability.GenericTypeArguments.FirstOrDefault();
        return element?.WriteState == NullabilityState.Nullable;
    }
}
