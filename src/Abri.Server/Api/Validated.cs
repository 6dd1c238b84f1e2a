using Abri.Core.Declared;

namespace Abri.Server.Api;

/// <summary>Holds the body of a request against what its fields are declared to hold, before the endpoint sees it.</summary>
internal static class Validated
{
    /// <summary>Adds the check for a body of type <typeparamref name="T"/>; the first error is answered with its pointer.</summary>
    public static RouteHandlerBuilder Validate<T>(this RouteHandlerBuilder endpoint)
        where T : notnull =>
        endpoint.AddEndpointFilter(
            async (call, next) => DeclaredRanges.Of(call.Arguments.OfType<T>().Single()) is { } problem ? Problems.Bad(problem) : await next(call)
        );
}
