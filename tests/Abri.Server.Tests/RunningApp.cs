using System.Collections.Concurrent;
using System.Text;
using System.Text.Json.Nodes;
using Abri.Storage;
using Microsoft.AspNetCore.Builder;

namespace Abri.Server.Tests;

/// <summary>The real application on a free port, with a data folder of its own; gone after the test.</summary>
internal sealed class RunningApp : IAsyncDisposable
{
    /// <summary>Folders in which the program was started once and ended: to migrate and to fill one takes longer than to copy it.</summary>
    private static readonly ConcurrentDictionary<(bool WithDemo, DateTimeOffset? Now), Lazy<Task<string>>> Begun = [];

    private readonly WebApplication app;
    private readonly DataFolder folder;

    private RunningApp(WebApplication app, DataFolder folder)
    {
        (this.app, this.folder) = (app, folder);
        Http = new HttpClient { BaseAddress = new Uri(app.Urls.First()) };
    }

    public HttpClient Http { get; }

    public string DatabaseFile => folder.DatabaseFile;

    public static async Task<RunningApp> Start(bool withDemo = true, DateTimeOffset? now = null)
    {
        string begun = await Begun.GetOrAdd((withDemo, now), _ => new(() => Begin(withDemo, now))).Value;
        string path = Directory.CreateTempSubdirectory("abri-server-").FullName;
        File.Copy(Path.Combine(begun, "abri.db"), Path.Combine(path, "abri.db"));
        if (Directory.Exists(Path.Combine(begun, "photos")))
        {
            Directory.CreateDirectory(Path.Combine(path, "photos"));
            foreach (string photo in Directory.EnumerateFiles(Path.Combine(begun, "photos")))
                File.Copy(photo, Path.Combine(path, "photos", Path.GetFileName(photo)));
        }
        return await Start(DataFolder.Claim(path), withDemo, now);
    }

    private static async Task<RunningApp> Start(DataFolder folder, bool withDemo, DateTimeOffset? now)
    {
        WebApplication app = AbriApp.Build(new AppOptions(0, folder, withDemo, now));
        await app.StartAsync();
        return new RunningApp(app, folder);
    }

    private static async Task<string> Begin(bool withDemo, DateTimeOffset? now)
    {
        var folder = DataFolder.Claim(Directory.CreateTempSubdirectory("abri-begun-").FullName);
        AppDomain.CurrentDomain.ProcessExit += (_, _) => Directory.Delete(folder.Path, recursive: true);
        RunningApp first = await Start(folder, withDemo, now);
        first.Http.Dispose();
        await first.app.DisposeAsync();
        folder.Dispose();
        return folder.Path;
    }

    /// <summary>The top folder of the source tree.</summary>
    public static string Root()
    {
        string? folder = AppContext.BaseDirectory;
        while (folder is not null && !File.Exists(Path.Combine(folder, "Abri.slnx")))
            folder = Path.GetDirectoryName(folder);
        return folder!;
    }

    public async Task<JsonNode> Get(string path) => JsonNode.Parse(await Http.GetStringAsync(path))!;

    public async Task<(int Status, JsonNode? Body)> Send(HttpMethod method, string path, JsonNode? body, string? ifMatch = null) =>
        await SendText(method, path, body?.ToJsonString(), ifMatch);

    public async Task<(int Status, JsonNode? Body)> SendText(
        HttpMethod method,
        string path,
        string? body,
        string? ifMatch = null,
        string type = "application/json"
    )
    {
        using var request = new HttpRequestMessage(method, path);
        if (body is not null)
            request.Content = new StringContent(body, Encoding.UTF8, type);
        // A body that is refused for its size is refused before it is sent; otherwise the answer and the closed connection race.
        request.Headers.ExpectContinue = body?.Length > 1_000_000;
        if (ifMatch is not null)
            request.Headers.TryAddWithoutValidation("If-Match", $"\"{ifMatch}\"");
        using HttpResponseMessage response = await Http.SendAsync(request);
        string text = await response.Content.ReadAsStringAsync();
        return ((int)response.StatusCode, text.Length > 0 && text[0] is '{' or '[' ? JsonNode.Parse(text) : null);
    }

    public async ValueTask DisposeAsync()
    {
        Http.Dispose();
        await app.DisposeAsync();
        folder.Dispose();
        Directory.Delete(folder.Path, recursive: true);
    }
}
