using System.Text.Json;
using Abri.Core;
using Abri.Storage;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.Data.Sqlite;

namespace Abri.Server.Api;

/// <summary>
/// Turns what goes wrong below the endpoints into answers: unreadable JSON, a body too large, a database or disk that cannot be written. What nobody
/// foresaw is logged under a reference that the answer carries.
/// </summary>
internal sealed partial class Troubles(ILogger<Troubles> log) : IExceptionHandler
{
    /// <summary>The client hung up; nobody reads the answer.</summary>
    private const int HungUp = 499;

    public async ValueTask<bool> TryHandleAsync(HttpContext context, Exception exception, CancellationToken cancelled)
    {
        if (exception is OperationCanceledException && context.RequestAborted.IsCancellationRequested)
        {
            context.Response.StatusCode = HungUp;
            return true;
        }
        await Answer(context, exception).ExecuteAsync(context);
        return true;
    }

    private ProblemHttpResult Answer(HttpContext context, Exception exception) =>
        exception switch
        {
            BadHttpRequestException { StatusCode: 413 } large => Problems.Answer(
                413,
                "body-too-large",
                large.Message.StartsWith("The file", StringComparison.Ordinal)
                    ? large.Message
                    : $"The request is larger than the {Limit(context)} MB that are taken here."
            ),
            BadHttpRequestException { StatusCode: 415 } => Problems.Answer(
                415,
                "not-json",
                "Send JSON, with the header Content-Type: application/json."
            ),
            BadHttpRequestException { InnerException: JsonException json } => Problems.Bad(JsonTrouble.Of(json)),
            JsonException json => Problems.Bad(JsonTrouble.Of(json)),
            BadHttpRequestException bad => Problems.BadRequest("bad-request", AddressTrouble.Of(Asked(context), bad.Message)),
            InvalidOperationException when IsCharset(exception) => Problems.Answer(
                415,
                "charset-unknown",
                "The letters of the request are in a charset that is not known here. Send UTF-8."
            ),
            SqliteException sqlite => DatabaseAnswer(sqlite),
            StorageException storage => Problems.Answer(503, "storage", storage.Message),
            IOException disk when DiskTrouble.Of(disk) is var (status, code, message) => Problems.Answer(status, code, message),
            _ => Unforeseen(context, exception),
        };

    private ProblemHttpResult Unforeseen(HttpContext context, Exception exception)
    {
        string reference = Guid.NewGuid().ToString("N")[..8];
        Log(exception, reference, context.Request.Method, context.Request.Path);
        return Problems.Answer(
            500,
            "failed",
            $"Something failed in the program. See whether your change is there before you try again; the log tells more under {reference}.",
            more: ("reference", reference)
        );
    }

    [LoggerMessage(LogLevel.Error, "Failed {Reference}: {Method} {Path}")]
    private partial void Log(Exception exception, string reference, string method, PathString path);

    private static bool IsCharset(Exception e) => e.Message.Contains("charset", StringComparison.OrdinalIgnoreCase);

    /// <summary>The endpoint that was asked: it is taken off the request before its trouble is answered.</summary>
    private static Endpoint? Asked(HttpContext context) => context.Features.Get<IExceptionHandlerFeature>()?.Endpoint;

    private static long Limit(HttpContext context) =>
        (Asked(context)?.Metadata.GetMetadata<IRequestSizeLimitMetadata>()?.MaxRequestBodySize ?? AbriApp.MostBodyBytes) / 1024 / 1024;

    private static ProblemHttpResult DatabaseAnswer(SqliteException sqlite)
    {
        (string code, string message) = DatabaseTrouble.Of(sqlite);
        return Problems.Answer(code == DiskTrouble.Full ? DiskTrouble.FullStatus : 503, code, message);
    }
}
