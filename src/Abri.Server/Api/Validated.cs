using System.Text.Json;
using System.Text.RegularExpressions;
using FluentValidation;
using FluentValidation.Results;

namespace Abri.Server.Api;

/// <summary>Checks the body of a request by its validator before the endpoint sees it; the first error is answered with its pointer.</summary>
internal static partial class Validated
{
    /// <summary>Adds the check for a body of type <typeparamref name="T"/>.</summary>
    public static RouteHandlerBuilder Validate<T>(this RouteHandlerBuilder endpoint)
        where T : notnull => endpoint.AddEndpointFilter(async (call, next) =>
        {
            T body = call.Arguments.OfType<T>().Single();
            ValidationResult checkedBody = call.HttpContext.RequestServices.GetRequiredService<IValidator<T>>().Validate(body);
            return checkedBody.IsValid
                ? await next(call)
                : Problems.BadRequest("out-of-range", checkedBody.Errors[0].ErrorMessage, Pointer(checkedBody.Errors[0].PropertyName));
        });

    /// <summary><c>Members[3].Footprint.WidthMm</c> as <c>/members/3/footprint/widthMm</c>.</summary>
    public static string Pointer(string property) =>
        string.Concat(Parts().Matches(property).Select(part => "/" + JsonNamingPolicy.CamelCase.ConvertName(part.Value)));

    [GeneratedRegex(@"[^.\[\]]+")]
    private static partial Regex Parts();
}
