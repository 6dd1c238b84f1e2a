using Abri.Core;
using Abri.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Api;

/// <summary>Answers that say what is wrong, after RFC 9457, with a stable code and a pointer to the field.</summary>
internal static class Problems
{
    /// <summary>Codes of the core that mean that something was typed out of range; all others are contradictions.</summary>
    private static readonly HashSet<string> OutOfRange =
    [
        "length-unreadable",
        "length-out-of-range",
        "tape-reading",
        "start-hole-too-large",
        "zone-unknown",
        "corner-radius-too-large",
        "station-off-panel",
        "grid-too-small",
        "grid-too-large",
        "grid-incomplete",
        "readings-too-few",
        "seal-reading",
        "seat-samples",
        "clamp-layers",
        "screws-count",
        "gasket-places",
        "gasket-gap",
        "humidity",
        "leak-suspects",
        "leak-spots",
        "leak-evidence",
        "leak-probability",
        "leak-reaches",
        "leak-spot-unknown",
        "leak-wet-too-many",
        "water-tests",
        "water-test-minutes",
        "mark-unknown",
        "shell-empty",
        "observation-empty",
        "observation-spray",
        "limit-below-air",
        "arc-impossible",
        "arc-two-figures",
        "section-reading",
        "together-count",
        "wish-not-together",
        "air-volume",
        "air-floor",
        "no-sides",
        "tape-too-thin",
        "no-products",
        "no-weather",
        "weather-too-long",
        "open-faces",
        "bead-width",
        "bundle-unreadable",
        "bundle-shape",
        "bundle-format",
        "bundle-version",
        "bundle-too-long",
        "bundle-number",
        "archive-record",
        "archive-too-large",
        "archive-unreadable",
        "drawing-unreadable",
        "drawing-units",
        "drawing-shape",
        "drawing-empty",
        "drawing-too-long",
        "drawing-too-deep",
        "csv-line",
        "csv-empty",
    ];

    /// <summary>Gives a code and a sentence to answers that the framework makes itself.</summary>
    public static void Complete(ProblemDetailsOptions options) =>
        options.CustomizeProblemDetails = context =>
        {
            if (context.ProblemDetails.Extensions.ContainsKey("code"))
                return;
            (string code, string message) = context.ProblemDetails.Status switch
            {
                404 => ("not-found", "There is nothing at this address."),
                405 => ("method-not-allowed", "This address does not take this method."),
                413 => ("body-too-large", $"The request is larger than {AbriApp.MostBodyBytes / 1024 / 1024} MB."),
                415 => ("not-json", "Send JSON, with the header Content-Type: application/json."),
                400 => ("bad-request", AddressTrouble.Of(context.HttpContext)),
                _ => ("failed", "Something failed in the program. Nothing was changed."),
            };
            context.ProblemDetails.Extensions["code"] = code;
            context.ProblemDetails.Detail ??= message;
        };

    public static ProblemHttpResult Of(Problem problem) =>
        Answer(OutOfRange.Contains(problem.Code) ? 400 : 422, problem.Code, problem.Message, problem.Pointer);

    /// <summary>What could not be read at all.</summary>
    public static ProblemHttpResult Bad(Problem problem) => BadRequest(problem.Code, problem.Message, problem.Pointer);

    public static ProblemHttpResult NotFound(string message) => Answer(404, "not-found", message);

    /// <summary>A panel that somebody took out meanwhile.</summary>
    public static ProblemHttpResult NoPanel() => NotFound("This panel has been removed.");

    public static ProblemHttpResult BadRequest(string code, string message, string? pointer = null) => Answer(400, code, message, pointer);

    /// <summary>The answer to a write that was not done.</summary>
    public static ProblemHttpResult Of<T>(Written<T> written)
        where T : notnull =>
        written.State switch
        {
            WriteState.Stale => Answer(
                412,
                "stale-version",
                "Somebody has changed this since you opened it. Your change was not saved; look at the current one and try again.",
                null,
                written.Row
            ),
            WriteState.Conflict => Answer(409, "conflict", written.Message!),
            _ => NotFound("It has been removed."),
        };

    public static ProblemHttpResult Answer(
        int status,
        string code,
        string message,
        string? pointer = null,
        object? current = null,
        (string Key, object? Value)? more = null
    )
    {
        var extensions = new Dictionary<string, object?> { ["code"] = code };
        if (pointer is not null)
            extensions["pointer"] = pointer;
        if (current is not null)
            extensions["current"] = current;
        if (more is var (key, value))
            extensions[key] = value;
        return TypedResults.Problem(message, statusCode: status, extensions: extensions);
    }
}
