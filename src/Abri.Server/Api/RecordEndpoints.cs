using System.Globalization;
using Abri.Core;
using Abri.Storage;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Abri.Server.Api;

/// <summary>What all records do alike: read, replace and remove one, each with its version as ETag.</summary>
internal static class RecordEndpoints
{
    /// <summary>Maps GET, PUT and DELETE of one record.</summary>
    /// <param name="group">The group, at the address of one record: ends in <c>/{id}</c>.</param>
    /// <param name="name">Name of the record, for the API's document.</param>
    /// <param name="find">Finds the row, or null when it is not there or belongs to another vehicle.</param>
    /// <param name="check">Says what a new value contradicts, or null.</param>
    /// <typeparam name="T">The record.</typeparam>
    /// <typeparam name="TStore">Its store.</typeparam>
    public static void MapRecord<T, TStore>(
        this RouteGroupBuilder group,
        string name,
        Func<HttpContext, TStore, string, Stored<T>?> find,
        Func<HttpContext, Stored<T>, T, Core.Problem?> check
    )
        where T : notnull
        where TStore : Store<T>
    {
        group
            .MapGet("/", Results<Ok<Stored<T>>, ProblemHttpResult> (string id, HttpContext context, TStore store) =>
                find(context, store, id) is { } row ? Tagged(context, row) : Gone()
            )
            .WithName($"{name}-get");

        group
            .MapPut(
                "/",
                Results<Ok<Stored<T>>, ProblemHttpResult> (
                    string id,
                    T value,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    HttpContext context,
                    TStore store
                ) =>
                {
                    if (Version(ifMatch) is not { } version)
                        return NoVersion(ifMatch);
                    if (find(context, store, id) is not { } row)
                        return Gone();
                    if (check(context, row, value) is { } problem)
                        return Problems.Of(problem);
                    return Answer(context, store.Replace(id, version, value));
                }
            )
            .Validate<T>()
            .WithName($"{name}-put");

        group
            .MapDelete(
                "/",
                Results<NoContent, ProblemHttpResult> (
                    string id,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    HttpContext context,
                    TStore store
                ) =>
                {
                    if (Version(ifMatch) is not { } version)
                        return NoVersion(ifMatch);
                    if (find(context, store, id) is null)
                        return Gone();
                    Written<T> written = store.Remove(id, version);
                    return written.State == WriteState.Done ? TypedResults.NoContent() : Problems.Of(written);
                }
            )
            .WithName($"{name}-delete");
    }

    /// <summary>The row that was written, or why it was not.</summary>
    public static Results<Ok<Stored<T>>, ProblemHttpResult> Answer<T>(HttpContext context, Written<T> written)
        where T : notnull => written.State == WriteState.Done ? Tagged(context, written.Row!) : Problems.Of(written);

    private static Ok<Stored<T>> Tagged<T>(HttpContext context, Stored<T> row)
        where T : notnull
    {
        context.Response.Headers.ETag = $"\"{row.Version}\"";
        return TypedResults.Ok(row);
    }

    private static int? Version(string? ifMatch) =>
        int.TryParse(ifMatch?.Trim().Trim('"'), NumberStyles.None, CultureInfo.InvariantCulture, out int version) ? version : null;

    private static ProblemHttpResult NoVersion(string? ifMatch) =>
        ifMatch is null
            ? Problems.Answer(428, "version-missing", "Say in the header If-Match which version the change was made from, such as \"3\".")
            : Problems.BadRequest("version-unreadable", "The header If-Match takes the number of one version, such as \"3\".");

    private static ProblemHttpResult Gone() => Problems.NotFound("It has been removed.");
}
