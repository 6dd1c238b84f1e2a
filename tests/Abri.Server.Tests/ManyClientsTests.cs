using System.Text.Json.Nodes;

namespace Abri.Server.Tests;

/// <summary>Many people at once: nobody gets an error, and no change is lost or overwritten unseen.</summary>
public sealed class ManyClientsTests : IAsyncLifetime
{
    private const int Clients = 50;
    private RunningApp app = null!;
    private string vehicle = "";

    public async Task InitializeAsync()
    {
        app = await RunningApp.Start();
        vehicle = (string)(await app.Get("/api/vehicles"))[0]!["id"]!;
    }

    public async Task DisposeAsync() => await app.DisposeAsync();

    private string Path(string rest) => $"/api/vehicles/{vehicle}/{rest}";

    [Fact]
    public async Task Fifty_clients_that_add_one_to_the_same_row_add_fifty()
    {
        JsonNode opening = (await app.Get(Path("shell")))["openings"]![0]!;
        string path = Path($"openings/{opening["id"]}");
        JsonNode zero = opening["value"]!;
        zero["notes"] = "0";
        Assert.Equal(200, (await app.Send(HttpMethod.Put, path, zero, "1")).Status);
        // All have seen version 2 before the first writes: one change stands, the others are told.
        JsonNode seen = await app.Get(path);
        int[] first = await Task.WhenAll(
            Enumerable
                .Range(0, Clients)
                .Select(async _ => (await app.Send(HttpMethod.Put, path, zero.DeepClone(), seen["version"]!.ToString())).Status)
        );
        Assert.Equal((1, Clients - 1), (first.Count(s => s == 200), first.Count(s => s == 412)));
        await Task.WhenAll(
            Enumerable
                .Range(0, Clients)
                .Select(async client =>
                {
                    while (true)
                    {
                        JsonNode now = await app.Get(path);
                        JsonNode value = now["value"]!.DeepClone();
                        value["notes"] = (int.Parse((string)value["notes"]!) + 1).ToString();
                        (int status, JsonNode? _) = await app.Send(HttpMethod.Put, path, value, now["version"]!.ToString());
                        if (status == 200)
                            return;
                        Assert.Equal(412, status);
                    }
                })
        );
        JsonNode end = await app.Get(path);
        Assert.Equal((Clients.ToString(), Clients + 3), ((string)end["value"]!["notes"]!, (int)end["version"]!));
    }

    [Fact]
    public async Task Fifty_clients_with_rows_of_their_own_read_write_and_remove_without_an_error()
    {
        JsonNode shell = await app.Get(Path("shell"));
        string panel = (string)shell["panels"]![0]!["id"]!;
        JsonNode like = shell["findings"]!.AsArray().First(f => (string)f!["ownerId"]! == panel)!["value"]!;
        int before = shell["findings"]!.AsArray().Count;
        await Task.WhenAll(
            Enumerable
                .Range(0, Clients)
                .Select(async n =>
                {
                    JsonNode value = like.DeepClone();
                    value["name"] = $"Found by {n}";
                    (int status, JsonNode? row) = await app.Send(HttpMethod.Post, Path($"panels/{panel}/findings"), value);
                    Assert.Equal(200, status);
                    string path = Path($"findings/{row!["id"]}");
                    for (int version = 1; version <= 3; version++)
                    {
                        value["notes"] = $"seen {version} times";
                        Assert.Equal(200, (await app.Send(HttpMethod.Put, path, value, version.ToString())).Status);
                        Assert.Equal($"seen {version} times", (string)(await app.Get(path))["value"]!["notes"]!);
                    }
                    if (n % 2 == 0)
                        Assert.Equal(204, (await app.Send(HttpMethod.Delete, path, null, "4")).Status);
                })
        );
        JsonArray after = (await app.Get(Path("shell")))["findings"]!.AsArray();
        Assert.Equal(before + (Clients / 2), after.Count);
        Assert.All(after.Where(f => ((string)f!["value"]!["name"]!).StartsWith("Found by", StringComparison.Ordinal)), f =>
            Assert.Equal(4, (int)f!["version"]!)
        );
    }
}
