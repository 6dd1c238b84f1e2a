using System.Diagnostics;
using System.Text;
using System.Text.Json.Nodes;
using Abri.Storage;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Server.Tests;

public sealed class KilledTests
{
    [Fact]
    public async Task Killed_in_a_loop_of_writes_no_acknowledged_change_is_missing()
    {
        string data = Directory.CreateTempSubdirectory("abri-killed-").FullName;
        var acknowledged = new List<string>();
        for (int round = 0; round < 3; round++)
        {
            int port = StartedProgram.FreePort();
            using Process program = StartedProgram.Start(port, data, "--empty");
            await program.StandardOutput.ReadLineAsync();
            using var http = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
            Task? killer = null;
            for (int i = 0; !program.HasExited; i++)
            {
                // Let some writes through, then strike while others are under way.
                if (i == 12)
                    killer = Strike(program, afterMs: 5 + (round * 17));
                string name = $"Vehicle {round}-{i}";
                try
                {
                    using var body = new StringContent(Vehicle(name), Encoding.UTF8, "application/json");
                    using HttpResponseMessage answer = await http.PostAsync("/api/vehicles", body);
                    if (answer.IsSuccessStatusCode)
                        acknowledged.Add(name);
                }
                catch (HttpRequestException)
                {
                    break;
                }
            }
            await killer!;
        }
        Assert.True(acknowledged.Count > 20, $"Only {acknowledged.Count} writes were made.");
        string file = Path.Combine(data, "abri.db");
        using var database = Database.Open(file, TimeProvider.System);
        HashSet<string> kept = [.. new VehicleStore(database).All().Select(v => v.Value.Name)];
        Assert.All(acknowledged, name => Assert.Contains(name, kept));
        using (var connection = new SqliteConnection($"Data Source={file};Pooling=False"))
        {
            connection.Open();
            using SqliteCommand check = connection.CreateCommand();
            check.CommandText = "PRAGMA integrity_check";
            Assert.Equal("ok", check.ExecuteScalar());
        }
        Directory.Delete(data, recursive: true);
    }

    [Fact] // Four writers at once
    [Trait(Long.Name, Long.Value)]
    public async Task Killed_two_hundred_times_among_writers_no_acknowledged_change_is_missing()
    {
        string data = Directory.CreateTempSubdirectory("abri-killed-").FullName;
        var acknowledged = new System.Collections.Concurrent.ConcurrentBag<string>();
        for (int round = 0; round < 200; round++)
        {
            int port = StartedProgram.FreePort();
            using Process program = StartedProgram.Start(port, data, "--empty");
            Assert.StartsWith("Abri is ready", await program.StandardOutput.ReadLineAsync());
            using var http = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
            // Struck while all four write, at another moment each time.
            Task? killer = null;
            int begun = acknowledged.Count;
            await Task.WhenAll(
                Enumerable
                    .Range(0, 4)
                    .Select(async writer =>
                    {
                        for (int i = 0; !program.HasExited; i++)
                        {
                            string name = $"Vehicle {round}-{writer}-{i}";
                            try
                            {
                                using var body = new StringContent(Vehicle(name), Encoding.UTF8, "application/json");
                                using HttpResponseMessage answer = await http.PostAsync("/api/vehicles", body);
                                if (answer.IsSuccessStatusCode)
                                    acknowledged.Add(name);
                                if (acknowledged.Count >= begun + 4)
                                    _ = LazyInitializer.EnsureInitialized(ref killer, () => Strike(program, afterMs: round % 23));
                                Assert.True((int)answer.StatusCode < 500, $"{answer.StatusCode} in round {round}");
                            }
                            catch (HttpRequestException)
                            {
                                return;
                            }
                        }
                    })
            );
            await killer!;
        }
        Assert.True(acknowledged.Count > 200, $"Only {acknowledged.Count} writes were made.");
        using var database = Database.Open(Path.Combine(data, "abri.db"), TimeProvider.System);
        HashSet<string> kept = [.. new VehicleStore(database).All().Select(v => v.Value.Name)];
        Assert.All(acknowledged, name => Assert.Contains(name, kept));
        Directory.Delete(data, recursive: true);
    }

    private static async Task Strike(Process program, int afterMs)
    {
        await Task.Delay(afterMs);
        program.Kill();
    }

    private static string Vehicle(string name) =>
        JsonNode
            .Parse(
                """{"name":"","kind":"panelVan","year":null,"notes":"","units":"mm","inchDenominator":16,"schools":{"ribInTheWay":"keep","cutSize":"wasteSide"},"markerOffsetMm":3.175}"""
            )!
            .ToJsonString()
            .Replace("\"name\":\"\"", $"\"name\":\"{name}\"");
}
