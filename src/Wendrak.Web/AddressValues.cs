using System.Globalization;
using System.Reflection;
using Microsoft.AspNetCore.Http.Metadata;

namespace Wendrak.Web;

/// <summary>Names the value in the address that could not be read.</summary>
/// <remarks>What the compiler writes to read a call answers 400 for such a value and does not say which it was.</remarks>
public sealed class AddressValues(RequestDelegate next)
{
    /// <exception cref="BadHttpRequestException">A value in the address is not of its kind; the message names its parameter.</exception>
    public async Task InvokeAsync(HttpContext context)
    {
        await next(context);
        if (
            context.Response
            is not { StatusCode: StatusCodes.Status400BadRequest, HasStarted: false, ContentType: null }
        )
            return;
        foreach (
            IParameterBindingMetadata parameter in context
                .GetEndpoint()
                ?.Metadata.GetOrderedMetadata<IParameterBindingMetadata>()
                ?? []
        )
            if (Given(context.Request, parameter.Name) is { } given && !IsOfKind(parameter.ParameterInfo, given))
                throw new BadHttpRequestException(
                    $"Failed to bind parameter \"{Kind(parameter.ParameterInfo).Name} {parameter.Name}\"."
                );
    }

    private static string? Given(HttpRequest request, string name) =>
        request.RouteValues[name] as string ?? (request.Query.TryGetValue(name, out var values) ? values[0] : null);

    private static Type Kind(ParameterInfo parameter) =>
        Nullable.GetUnderlyingType(parameter.ParameterType) ?? parameter.ParameterType;

    private static bool IsOfKind(ParameterInfo parameter, string given)
    {
        Type kind = Kind(parameter);
        if (kind.IsEnum)
            return Enum.TryParse(kind, given, out _);
        MethodInfo? read =
            kind.GetMethod("TryParse", [typeof(string), typeof(IFormatProvider), kind.MakeByRefType()])
            ?? kind.GetMethod("TryParse", [typeof(string), kind.MakeByRefType()]);
        object?[] values =
            read?.GetParameters().Length == 3 ? [given, CultureInfo.InvariantCulture, null] : [given, null];
        return read is null || read.Invoke(null, values) is true;
    }
}
