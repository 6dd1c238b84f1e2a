namespace Abri.Server.Api;

/// <summary>Keeps other sites' pages out, and tells the browser what this site's own pages may do.</summary>
internal sealed class Guards(RequestDelegate next)
{
    /// <summary>No inline scripts, nothing from elsewhere. Styles are set by the components at run time, so inline styles are allowed.</summary>
    private const string Policy =
        "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; object-src 'none'; base-uri "
        + "'none'; frame-ancestors 'none'; form-action 'self'";

    public async Task InvokeAsync(HttpContext context)
    {
        // Set when the answer begins: what goes wrong below clears the headers that stand by then.
        context.Response.OnStarting(() => Head(context.Response.Headers));
        bool changes = !HttpMethods.IsGet(context.Request.Method) && !HttpMethods.IsHead(context.Request.Method);
        if (changes && context.Request.Headers.Origin is [{ } origin] && !IsOwn(origin, context.Request))
        {
            await Problems.Answer(403, "other-site", "Pages of other sites may not change anything here.").ExecuteAsync(context);
            return;
        }
        await next(context);
    }

    private static Task Head(IHeaderDictionary headers)
    {
        headers.ContentSecurityPolicy = Policy;
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";
        headers["Cross-Origin-Resource-Policy"] = "same-origin";
        // What is kept here changes: a browser asks again unless an answer says that it never will.
        if (headers.CacheControl.Count == 0)
            headers.CacheControl = "no-cache";
        return Task.CompletedTask;
    }

    private static bool IsOwn(string origin, HttpRequest request) =>
        Uri.TryCreate(origin, UriKind.Absolute, out Uri? uri) && uri.Authority == request.Host.Value;
}
