using System.Net;

namespace Wendrak.Web.Tests;

/// <summary>How an input is refused: 400 where it can't be read at all, 422 where it was read and can't be.</summary>
internal static class Refusal
{
    public static bool IsOne(HttpStatusCode status) =>
        status is HttpStatusCode.BadRequest or HttpStatusCode.UnprocessableEntity;
}
