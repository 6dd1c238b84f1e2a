using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;

namespace Abri.Server.Tests;

public sealed class RecordTests : IAsyncLifetime
{
    private RunningApp app = null!;
    private string vehicle = "";
    private JsonNode shell = null!;

    public async Task InitializeAsync()
    {
        app = await RunningApp.Start();
        vehicle = (string)(await app.Get("/api/vehicles"))[0]!["id"]!;
        shell = await app.Get($"/api/vehicles/{vehicle}/shell");
    }

    public async Task DisposeAsync() => await app.DisposeAsync();

    private string Path(string rest) => $"/api/vehicles/{vehicle}/{rest}";

    [Fact]
    public async Task A_stale_change_gets_412_with_the_current_row_and_changes_nothing()
    {
        JsonNode opening = shell["openings"]![0]!;
        string path = Path($"openings/{opening["id"]}");
        JsonNode value = opening["value"]!;
        value["notes"] = "first";
        Assert.Equal(200, (await app.Send(HttpMethod.Put, path, value, "1")).Status);
        value["notes"] = "second";
        var (status, body) = await app.Send(HttpMethod.Put, path, value, "1");
        Assert.Equal(
            (412, "stale-version", "first", 2),
            (status, (string)body!["code"]!, (string)body["current"]!["value"]!["notes"]!, (int)body["current"]!["version"]!)
        );
        Assert.Equal(
            (428, "version-missing"),
            ((await app.Send(HttpMethod.Put, path, value)).Status, (string)(await app.Send(HttpMethod.Put, path, value)).Body!["code"]!)
        );
        Assert.Equal("first", (string)(await app.Get(path))["value"]!["notes"]!);
    }

    [Fact]
    public async Task Undo_and_redo_go_over_the_wire_and_say_what_they_did()
    {
        JsonNode opening = shell["openings"]![0]!;
        string path = Path($"openings/{opening["id"]}");
        Assert.Equal(204, (await app.Send(HttpMethod.Delete, path, null, "1")).Status);
        Assert.Equal(404, (await app.Send(HttpMethod.Delete, path, null, "1")).Status);
        var (_, undone) = await app.Send(HttpMethod.Post, Path("undo"), null);
        Assert.StartsWith("Removed", (string)undone!["what"]!);
        Assert.Equal(opening["value"]!.ToJsonString(), (await app.Get(path))["value"]!.ToJsonString());
        Assert.Equal(200, (await app.Send(HttpMethod.Post, Path("redo"), null)).Status);
        Assert.Equal(404, (await app.Send(HttpMethod.Get, path, null)).Status);
        Assert.Contains((await app.Get(Path("changes"))).AsArray(), c => (string)c!["state"]! == "done");
    }

    [Fact]
    public async Task A_roof_that_would_lose_its_members_is_refused()
    {
        JsonNode panel = shell["panels"]![0]!;
        JsonNode value = panel["value"]!;
        value["outline"] = JsonNode.Parse("""[{"sMm":0,"tMm":-100},{"sMm":900,"tMm":-100},{"sMm":900,"tMm":100},{"sMm":0,"tMm":100}]""");
        var (status, body) = await app.Send(HttpMethod.Put, Path($"panels/{panel["id"]}"), value, "1");
        Assert.Equal((422, "/outline"), (status, (string)body!["pointer"]!));
    }

    [Fact]
    public async Task Members_openings_and_fittings_that_contradict_the_shell_are_refused()
    {
        JsonNode member = shell["members"]![0]!,
            opening = shell["openings"]![0]!;
        JsonNode off = member["value"]!.DeepClone();
        off["footprint"]!["points"]![0]!["sMm"] = 20000;
        Assert.Equal(422, (await app.Send(HttpMethod.Put, Path($"members/{member["id"]}"), off, "1")).Status);
        JsonNode away = opening["value"]!.DeepClone();
        away["centre"]!["sMm"] = 9000;
        Assert.Equal((422, "/centre"), await Answer(HttpMethod.Put, Path($"openings/{opening["id"]}"), away));
        away["centre"]!["sMm"] = 1000;
        away["fittingId"] = "nobody";
        Assert.Equal((422, "/fittingId"), await Answer(HttpMethod.Put, Path($"openings/{opening["id"]}"), away));
        JsonNode fitting = (await app.Get("/api/fittings"))[0]!;
        Assert.Equal(409, (await app.Send(HttpMethod.Delete, $"/api/fittings/{fitting["id"]}", null, "1")).Status);
    }

    [Fact]
    public async Task Another_vehicle_s_rows_cannot_be_reached_through_this_one()
    {
        var (_, other) = await app.Send(HttpMethod.Post, "/api/vehicles", shell["vehicle"]!["value"]);
        string path = $"/api/vehicles/{other!["id"]}/openings/{shell["openings"]![0]!["id"]}";
        Assert.Equal(404, (await app.Send(HttpMethod.Get, path, null)).Status);
        Assert.Equal(404, (await app.Send(HttpMethod.Get, "/api/vehicles/nobody/shell", null)).Status);
    }

    [Theory]
    [InlineData("sheet.pdf?paper=letter&view=inside", "application/pdf")]
    [InlineData("sheet.svg?view=outside", "image/svg+xml")]
    [InlineData("sheet.dxf", "application/dxf")]
    public async Task Sheets_are_served_as_files_named_after_vehicle_and_opening(string sheet, string type)
    {
        using HttpResponseMessage response = await app.Http.GetAsync(Path($"openings/{shell["openings"]![0]!["id"]}/{sheet}"));
        Assert.Equal(type, response.Content.Headers.ContentType!.MediaType);
        Assert.StartsWith("heron-vent-over-the-glaze-bench", response.Content.Headers.ContentDisposition!.FileName);
        Assert.Equal(400, (int)(await app.Http.GetAsync(Path($"openings/{shell["openings"]![0]!["id"]}/sheet.pdf?paper=a9"))).StatusCode);
    }

    [Fact]
    public async Task A_locked_database_is_said_to_be_locked_and_nothing_is_lost()
    {
        using var other = new SqliteConnection($"Data Source={app.DatabaseFile}");
        other.Open();
        using (SqliteCommand hold = other.CreateCommand())
        {
            hold.CommandText = "BEGIN IMMEDIATE";
            hold.ExecuteNonQuery();
        }
        JsonNode opening = shell["openings"]![0]!;
        var (status, body) = await app.Send(HttpMethod.Put, Path($"openings/{opening["id"]}"), opening["value"], "1");
        Assert.Equal((503, "database-busy"), (status, (string)body!["code"]!));
        using (SqliteCommand free = other.CreateCommand())
        {
            free.CommandText = "ROLLBACK";
            free.ExecuteNonQuery();
        }
        Assert.Equal(200, (await app.Send(HttpMethod.Put, Path($"openings/{opening["id"]}"), opening["value"], "1")).Status);
    }

    [Fact]
    public async Task Other_sites_and_other_host_names_are_kept_out()
    {
        using var foreign = new HttpRequestMessage(HttpMethod.Post, Path("undo"));
        foreign.Headers.Add("Origin", "http://elsewhere.invalid");
        Assert.Equal(403, (int)(await app.Http.SendAsync(foreign)).StatusCode);
        using var rebound = new HttpRequestMessage(HttpMethod.Get, "/health");
        rebound.Headers.Host = "elsewhere.invalid";
        Assert.Equal(400, (int)(await app.Http.SendAsync(rebound)).StatusCode);
        using HttpResponseMessage own = await app.Http.GetAsync("/health");
        Assert.Contains("default-src 'self'", own.Headers.GetValues("Content-Security-Policy").Single());
    }

    private async Task<(int, string)> Answer(HttpMethod method, string path, JsonNode body)
    {
        var (status, answer) = await app.Send(method, path, body, "1");
        return (status, (string)answer!["pointer"]!);
    }
}
