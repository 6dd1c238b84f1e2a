using System.Net.Sockets;
using System.Text;
using System.Text.Json.Nodes;

namespace Abri.Server.Tests;

/// <summary>Who asks and goes away before the answer is there does no harm to who asks next.</summary>
public class BrokenOffTests
{
    [Fact] // Half of an answer was kept and given to the next one: this found it in one of three tries
    public async Task An_answer_that_was_broken_off_half_way_is_not_kept_for_the_next()
    {
        await using RunningApp app = await RunningApp.Start();
        JsonNode heron = (await app.Get("/api/vehicles")).AsArray().Single(v => (string)v!["value"]!["name"]! == "Heron")!;
        string id = (string)heron["id"]!;
        JsonNode vehicle = heron["value"]!.DeepClone();
        for (int i = 0; i < 60; i++)
        {
            vehicle["notes"] = $"Change {i}";
            string version = (await app.Get($"/api/vehicles/{id}"))["version"]!.ToString();
            Assert.Equal(200, (await app.Send(HttpMethod.Put, $"/api/vehicles/{id}", vehicle, version)).Status);
            await BreakOff(app.Http.BaseAddress!, $"/api/vehicles/{id}/shell", TimeSpan.FromMilliseconds(i));
            JsonNode shell = await app.Get($"/api/vehicles/{id}/shell");
            Assert.Equal($"Change {i}", (string)shell["vehicle"]!["value"]!["notes"]!);
        }
    }

    /// <summary>Asks, and hangs up after a while.</summary>
    private static async Task BreakOff(Uri at, string path, TimeSpan after)
    {
        using var client = new TcpClient();
        await client.ConnectAsync(at.Host, at.Port);
        client.LingerState = new LingerOption(true, 0);
        await client.GetStream().WriteAsync(Encoding.ASCII.GetBytes($"GET {path} HTTP/1.1\r\nHost: {at.Authority}\r\n\r\n"));
        await Task.Delay(after);
    }
}
