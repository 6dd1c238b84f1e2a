using System.Diagnostics;
using System.Net.Sockets;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;

namespace Abri.Server.Tests;

/// <summary>What stands in the way of a start is told in one plain sentence or two, and what fails later is found in the log.</summary>
public sealed class StartTests : IDisposable
{
    private readonly string data = Directory.CreateTempSubdirectory("abri-start-").FullName;

    public void Dispose() => Directory.Delete(data, recursive: true);

    [Fact]
    public async Task A_port_that_is_taken_is_told()
    {
        using var taken = new TcpListener(System.Net.IPAddress.Loopback, 0);
        taken.Start();
        int port = ((System.Net.IPEndPoint)taken.LocalEndpoint).Port;
        Assert.Equal(
            (1, $"Port {port} is in use by another program, perhaps another Abri. Stop that one, or choose another port with --port."),
            await StartedProgram.Refusing(port, data)
        );
    }

    [Fact]
    public async Task An_empty_data_file_is_not_taken_for_a_new_one()
    {
        string file = Path.Combine(data, "abri.db");
        await File.WriteAllBytesAsync(file, []);
        Assert.Equal(
            (1, $"{file} is empty: what was in it has been lost. Put a backup in its place, or remove it to start anew."),
            await StartedProgram.Refusing(StartedProgram.FreePort(), data)
        );
        Assert.Equal(0, new FileInfo(file).Length);
    }

    [Fact]
    public async Task A_file_that_is_no_database_is_told()
    {
        await File.WriteAllTextAsync(Path.Combine(data, "abri.db"), string.Concat(Enumerable.Repeat("not a database ", 100)));
        Assert.Equal(
            (1, "The data file is damaged or is not one of Abri's. Put a backup in its place."),
            await StartedProgram.Refusing(StartedProgram.FreePort(), data)
        );
    }

    [Fact]
    public async Task What_nobody_foresaw_is_in_the_log_under_the_reference_of_the_answer()
    {
        int port = StartedProgram.FreePort();
        using Process program = StartedProgram.Start(port, data);
        await program.StandardOutput.ReadLineAsync();
        using var http = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
        string id = (string)JsonNode.Parse(await http.GetStringAsync("/api/vehicles"))![0]!["id"]!;
        using (var connection = new SqliteConnection($"Data Source={Path.Combine(data, "abri.db")};Pooling=False"))
        {
            connection.Open();
            using SqliteCommand spoil = connection.CreateCommand();
            spoil.CommandText = "PRAGMA ignore_check_constraints = ON; UPDATE vehicle SET kind = 'gremlin'";
            spoil.ExecuteNonQuery();
        }
        using HttpResponseMessage answer = await http.GetAsync($"/api/vehicles/{id}");
        JsonNode body = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
        Assert.Equal((500, "failed"), ((int)answer.StatusCode, (string)body["code"]!));
        string reference = (string)body["reference"]!;
        Assert.Contains(reference, (string)body["detail"]!);
        program.Kill();
        string log = await program.StandardOutput.ReadToEndAsync();
        Assert.Contains($"Failed {reference}: GET /api/vehicles/{id}", log.Replace("\"", ""));
    }
}
