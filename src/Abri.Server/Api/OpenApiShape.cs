using Microsoft.AspNetCore.OpenApi;

namespace Abri.Server.Api;

/// <summary>Fixes what would differ from machine to machine in the API's document.</summary>
internal static class OpenApiShape
{
    public static void Describe(OpenApiOptions options) => options.AddDocumentTransformer((document, _, _) =>
    {
        document.Info.Title = "Abri";
        document.Info.Version = "1";
        document.Servers?.Clear();
        return Task.CompletedTask;
    });
}
