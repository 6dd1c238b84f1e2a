using System.Text.Json;
using System.Text.RegularExpressions;
using Abri.Storage;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Data.Sqlite;

namespace Abri.Server.Api;

/// <summary>Turns what goes wrong below the endpoints into answers: unreadable JSON, a body too large, a database that cannot be written.</summary>
internal sealed partial class Troubles : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext context, Exception exception, CancellationToken cancelled)
    {
        ProblemHttpResult? answer = exception switch
        {
            BadHttpRequestException { StatusCode: 413 } large => Problems.Answer(413, "body-too-large", large.Message.StartsWith("The file", StringComparison.Ordinal) ? large.Message : $"The request is larger than the {Limit(context)} MB that are taken here."),
            BadHttpRequestException { StatusCode: 415 } => Problems.Answer(415, "not-json", "Send JSON, with the header Content-Type: application/json."),
            BadHttpRequestException { InnerException: JsonException json } => Unreadable(json),
            JsonException json => Unreadable(json),
            BadHttpRequestException bad => Problems.BadRequest("bad-request", bad.Message),
            SqliteException sqlite => DatabaseAnswer(sqlite),
            StorageException storage => Problems.Answer(503, "storage", storage.Message),
            _ => null,
        };
        if (answer is null) return false;
        await answer.ExecuteAsync(context);
        return true;
    }

    private static long Limit(HttpContext context) =>
        (context.GetEndpoint()?.Metadata.GetMetadata<Microsoft.AspNetCore.Http.Metadata.IRequestSizeLimitMetadata>()?.MaxRequestBodySize ?? AbriApp.MostBodyBytes) / 1024 / 1024;

    private static ProblemHttpResult Unreadable(JsonException json)
    {
        string pointer = "/" + (json.Path ?? "$").TrimStart('$').Replace("[", ".", StringComparison.Ordinal).Replace("]", "", StringComparison.Ordinal).Trim('.').Replace('.', '/');
        if (json.Message.Contains("could not be mapped to any .NET member", StringComparison.Ordinal))
            return Problems.BadRequest("unknown-field", $"There is no field {pointer} here. Leave it out, or check its spelling.", pointer);
        if (json.Message.Contains("missing required properties", StringComparison.Ordinal))
            return Problems.BadRequest("missing-field", $"Fields are missing{(pointer == "/" ? "" : " in " + pointer)}: {string.Join(", ", Quoted().Matches(json.Message[json.Message.IndexOf(':', StringComparison.Ordinal)..]).Select(m => m.Groups[1].Value))}.", pointer);
        if (json.Message.StartsWith("Duplicate property", StringComparison.Ordinal))
            return Problems.BadRequest("field-twice", $"The field {Quoted().Match(json.Message).Groups[1].Value} stands twice in one place{(pointer == "/" ? "" : ", in " + pointer)}. Keep the one that is right.", pointer);
        string message = json.Message.Split(" Path:")[0].Split(" LineNumber:")[0];
        return Problems.BadRequest("json-unreadable", $"The JSON cannot be read at {pointer}: {message}", pointer);
    }

    [GeneratedRegex("'([^']+)'")]
    private static partial Regex Quoted();

    private static ProblemHttpResult DatabaseAnswer(SqliteException sqlite)
    {
        (string code, string message) = DatabaseTrouble.Of(sqlite);
        return Problems.Answer(code == "disk-full" ? 507 : 503, code, message);
    }
}
