using System.Text.Json;

namespace Abri.Server.Tests;

public sealed class OpenApiTests
{
    /// <summary>Writes the document instead of comparing it: what <c>web/scripts/api.sh</c> sets.</summary>
    private const string WriteTo = "ABRI_WRITE_OPENAPI";

    private static readonly JsonSerializerOptions Indented = new()
    {
        WriteIndented = true,
        Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    [Fact]
    public async Task The_committed_document_of_the_api_is_the_one_that_is_served()
    {
        await using var app = await RunningApp.Start();
        using JsonDocument served = JsonDocument.Parse(await app.Http.GetStringAsync("/openapi/v1.json"));
        string text = JsonSerializer.Serialize(served, Indented) + "\n";
        string file = Path.Combine(RunningApp.Root(), "web/src/api/openapi.json");
        if (Environment.GetEnvironmentVariable(WriteTo) == "1")
            await File.WriteAllTextAsync(file, text);
        Assert.True(
            await File.ReadAllTextAsync(file) == text,
            "web/src/api/openapi.json is stale: run web/scripts/api.sh and commit what it writes."
        );
    }
}
