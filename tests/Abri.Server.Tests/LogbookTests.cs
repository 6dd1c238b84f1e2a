using System.Text.Json.Nodes;

namespace Abri.Server.Tests;

/// <summary>The logbook over the wire, on the demo.</summary>
public sealed class LogbookTests : IAsyncLifetime
{
    private RunningApp app = null!;
    private string vehicle = "";

    public async Task InitializeAsync()
    {
        app = await RunningApp.Start(now: new DateTimeOffset(2031, 5, 12, 7, 40, 0, TimeSpan.Zero));
        vehicle = $"/api/vehicles/{(await app.Get("/api/vehicles")).AsArray().Single(v => (string)v!["value"]!["name"]! == "Heron")!["id"]!}";
    }

    public async Task DisposeAsync() => await app.DisposeAsync();

    private static JsonObject Done(string key, string on = "2031-05-12", string by = "Ada") =>
        new()
        {
            ["key"] = key,
            ["what"] = "x",
            ["on"] = on,
            ["by"] = by,
            ["notes"] = "Full of leaves",
        };

    private async Task<JsonNode> Line(string key) => (await app.Get($"{vehicle}/upkeep")).AsArray().Single(l => (string)l!["key"]! == key)!;

    [Fact]
    public async Task What_was_looked_after_is_due_later_its_drains_are_cleared_and_it_stands_in_the_log()
    {
        Assert.Equal("unknown", (string)(await Line("Drains"))["state"]!);
        Assert.Contains((await app.Get($"{vehicle}/shell")!)["waysOut"]!.AsArray(), w =>
            (string)w!["row"]!["id"]! is "drain-never-cleared" or "drain-due"
        );
        (int status, _) = await app.Send(HttpMethod.Post, $"{vehicle}/upkeep/done", Done("Drains"));
        Assert.Equal(200, status);
        JsonNode line = await Line("Drains");
        Assert.Equal(("later", "2031-11-12", "Ada"), ((string)line["state"]!, (string)line["due"]!, (string)line["done"]![0]!["by"]!));
        JsonNode entry = (await app.Get($"{vehicle}/log"))["entries"]![0]!;
        Assert.Equal(("Looked after: 3 drains", "Ada"), ((string)entry["what"]!, (string)entry["by"]!));
        Assert.NotNull(entry["weather"]);
        Assert.Equal(422, (await app.Send(HttpMethod.Post, $"{vehicle}/upkeep/done", Done("Drains"))).Status);
        Assert.Equal(422, (await app.Send(HttpMethod.Post, $"{vehicle}/upkeep/done", Done("Drains", "2031-05-13"))).Status);
        Assert.Equal(422, (await app.Send(HttpMethod.Post, $"{vehicle}/upkeep/done", Done("Own/nobody"))).Status);
    }

    [Fact]
    public async Task Something_of_ones_own_is_late_on_the_strip_until_it_is_done()
    {
        var hose = new JsonObject
        {
            ["name"] = "Gas hose",
            ["how"] = "",
            ["first"] = "2031-05-11",
            ["months"] = null,
        };
        int late = (int)(await app.Get($"{vehicle}/strip"))["overdue"]!;
        JsonNode row = (await app.Send(HttpMethod.Post, $"{vehicle}/upkeep/own", hose)).Body!;
        Assert.Equal(late + 1, (int)(await app.Get($"{vehicle}/strip"))["overdue"]!);
        Assert.Equal(200, (await app.Send(HttpMethod.Post, $"{vehicle}/upkeep/done", Done($"Own/{row["id"]}"))).Status);
        Assert.Equal("over", (string)(await Line($"Own/{row["id"]}"))["state"]!);
        Assert.Equal(late, (int)(await app.Get($"{vehicle}/strip"))["overdue"]!);
        hose["months"] = 0;
        Assert.Equal(400, (await app.Send(HttpMethod.Post, $"{vehicle}/upkeep/own", hose)).Status);
    }

    [Theory] // Percent-encoded as a browser does; what nobody can bear as a name is no name
    [InlineData("Zo%C3%AB", "Zoë")]
    [InlineData("%20Ada%20", "Ada")]
    [InlineData("", null)]
    [InlineData("%0a", null)]
    [InlineData("100%", "100%")]
    public async Task A_change_bears_the_name_that_came_with_it(string said, string? name)
    {
        JsonNode row = (await app.Get(vehicle))!;
        row["value"]!["notes"] = "New";
        using var request = new HttpRequestMessage(HttpMethod.Put, vehicle)
        {
            Content = new StringContent(row["value"]!.ToJsonString(), System.Text.Encoding.UTF8, "application/json"),
        };
        request.Headers.TryAddWithoutValidation("If-Match", $"\"{row["version"]}\"");
        request.Headers.TryAddWithoutValidation("Abri-Person", said);
        using HttpResponseMessage response = await app.Http.SendAsync(request);
        Assert.Equal(200, (int)response.StatusCode);
        JsonNode log = await app.Get($"{vehicle}/log");
        JsonNode line = log["entries"]![0]!["lines"]!.AsArray().Single()!;
        Assert.Equal((name, "Notes", "New"), ((string?)log["entries"]![0]!["by"], (string)line["what"]!, (string)line["after"]!));
        Assert.Equal(name is null ? [] : [name], log["people"]!.AsArray().Select(p => (string)p!));
    }

    [Fact]
    public async Task The_log_comes_page_by_page_and_by_what_is_asked()
    {
        for (int i = 0; i < 61; i++)
        {
            JsonNode row = (await app.Get(vehicle))!;
            row["value"]!["notes"] = $"Note {i}";
            await app.Send(HttpMethod.Put, vehicle, row["value"]!.DeepClone(), $"\"{row["version"]}\"");
        }
        JsonNode first = await app.Get($"{vehicle}/log");
        Assert.Equal(60, first["entries"]!.AsArray().Count);
        JsonNode second = await app.Get($"{vehicle}/log?before={first["before"]}");
        Assert.Equal("Note 0", (string)second["entries"]!.AsArray()[^1]!["lines"]![0]!["after"]!);
        Assert.Null(second["before"]);
        Assert.Empty((await app.Get($"{vehicle}/log?steps=true"))["entries"]!.AsArray());
        Assert.Empty((await app.Get($"{vehicle}/log?by=Nobody"))["entries"]!.AsArray());
        Assert.NotEmpty((await app.Get($"{vehicle}/log?text=heron"))["entries"]!.AsArray());
    }

    [Fact]
    public async Task The_calendar_has_what_is_due()
    {
        await app.Send(HttpMethod.Post, $"{vehicle}/upkeep/done", Done("UnderbodyWax"));
        string calendar = await app.Http.GetStringAsync(new Uri($"{vehicle}/upkeep/calendar.ics", UriKind.Relative));
        Assert.Contains("DTSTART;VALUE=DATE:20320512", calendar, StringComparison.Ordinal);
    }
}
