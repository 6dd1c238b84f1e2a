using System.Text.Json.Nodes;

namespace Abri.Server.Tests;

/// <summary>Weather, people and the cut gate over the wire, on the demo; the program's clock stands at a Monday morning.</summary>
public sealed class DaysTests : IAsyncLifetime
{
    private RunningApp app = null!;
    private string at = "";

    public async Task InitializeAsync()
    {
        app = await RunningApp.Start(now: new DateTimeOffset(2031, 5, 12, 7, 40, 0, TimeSpan.Zero));
        string heron = (string)(await app.Get("/api/vehicles")).AsArray().Single(v => (string)v!["value"]!["name"]! == "Heron")!["id"]!;
        at = $"/api/vehicles/{heron}";
    }

    public async Task DisposeAsync() => await app.DisposeAsync();

    [Fact]
    public async Task The_demo_has_a_front_ahead_and_jobs_that_may_be_begun()
    {
        JsonNode days = await app.Get($"{at}/days");
        Assert.Equal("2031-05-12T08:40", ((string)days["now"]!)[..16]);
        JsonArray hours = days["forecast"]!["hours"]!.AsArray();
        double Chance(int i) => (double)hours[i]!["hour"]!["rainPercent"]!;
        Assert.True(Enumerable.Range(0, 12).Max(Chance) <= 20 && Enumerable.Range(24, 48).Max(Chance) >= 60);
        JsonNode[] gates = [.. days["gates"]!.AsArray().Select(g => g!)];
        Assert.Contains(gates, g => (string?)g["state"] == "go");
        Assert.Equal("lastCut", (string)(await app.Get($"{at}/strip"))["badge"]!["kind"]!);
        JsonNode job = gates.First(g => g["gate"] is not null)["job"]!;
        JsonNode risk = await app.Get($"{at}/days/risk/{job["kind"]}/{job["id"]}");
        Assert.InRange(risk["result"]!["starts"]!.AsArray().Count, 100, 240);
        (int gone, _) = await app.Send(HttpMethod.Get, $"{at}/days/risk/opening/nothing", null);
        Assert.Equal(404, gone);
    }

    [Fact]
    public async Task Weather_is_typed_read_and_fetched_and_each_takes_the_place_of_the_one_before()
    {
        JsonNode Day(string date, string sky) =>
            JsonNode.Parse(
                $$"""{"date":"{{date}}","night":"dry","morning":"{{sky}}","afternoon":"dry","evening":"dry","highC":15,"lowC":7,"windMs":3}"""
            )!;
        var typed = new JsonObject { ["days"] = new JsonArray(Day("2031-05-12", "storm"), Day("2031-05-13", "dry")) };
        (int status, JsonNode? row) = await app.Send(HttpMethod.Post, $"{at}/forecast/typed", typed);
        Assert.Equal(200, status);
        Assert.Equal(48, row!["value"]!["hours"]!.AsArray().Count);
        Assert.Equal("typed", (string)(await app.Get($"{at}/days"))["forecast"]!["source"]!);
        typed["days"]![1]!["date"] = "2031-05-15";
        (status, JsonNode? problem) = await app.Send(HttpMethod.Post, $"{at}/forecast/typed", typed);
        Assert.Equal((422, "/days/1/date"), (status, (string)problem!["pointer"]!));

        (status, JsonNode? notes) = await app.SendText(
            HttpMethod.Post,
            $"{at}/forecast/table",
            "time,temp,rh,wind,chance\n2031-05-12T09:00,12,60,3,10\n2031-05-12T10:00,13,60,3,10\n",
            type: "text/csv"
        );
        Assert.Equal(200, status);
        Assert.Equal(2, notes!.AsArray().Count);
        Assert.Equal(2, (await app.Get($"{at}/days/air")).AsArray().Count);
        (status, problem) = await app.SendText(
            HttpMethod.Post,
            $"{at}/forecast/table",
            "time,temp,rh,wind,chance\n2030-05-12T09:00,12,60,3,10\n",
            type: "text/csv"
        );
        Assert.Equal((422, "forecast-over"), (status, (string)problem!["code"]!));

        (status, row) = await app.Send(HttpMethod.Post, $"{at}/forecast/simulated", JsonNode.Parse("""{"climate":"north","seed":3}""")!);
        Assert.Equal((200, "north"), (status, (string)row!["value"]!["service"]!["climate"]!));
        await app.Send(HttpMethod.Post, $"{at}/undo", null);
        Assert.Equal("table", (string)(await app.Get($"{at}/days"))["forecast"]!["source"]!);
    }

    [Fact]
    public async Task A_vehicle_that_stands_nowhere_gets_no_simulated_weather()
    {
        string plover = (string)(await app.Get("/api/vehicles")).AsArray().Single(v => (string)v!["value"]!["name"]! == "Plover")!["id"]!;
        JsonNode row = await app.Get($"/api/vehicles/{plover}");
        row["value"]!["place"] = null;
        await app.Send(HttpMethod.Put, $"/api/vehicles/{plover}", row["value"], row["version"]!.ToString());
        (int status, JsonNode? problem) = await app.Send(
            HttpMethod.Post,
            $"/api/vehicles/{plover}/forecast/simulated",
            JsonNode.Parse("""{"climate":"coast","seed":1}""")!
        );
        Assert.Equal((422, "place-missing"), (status, (string)problem!["code"]!));
        // Without weather every screen still has its strip.
        Assert.Equal("closed", (string)(await app.Get($"/api/vehicles/{plover}/strip"))["badge"]!["kind"]!);
    }

    [Fact]
    public async Task People_are_kept_changed_and_removed_as_all_records_are()
    {
        JsonNode ada = JsonNode.Parse("""{"name":"Ada","hours":[{"day":"monday","fromHour":9,"toHour":12}]}""")!;
        (int status, JsonNode? row) = await app.Send(HttpMethod.Post, $"{at}/people", ada);
        Assert.Equal(200, status);
        ada["hours"]![0]!["toHour"] = 8;
        (status, JsonNode? problem) = await app.Send(HttpMethod.Put, $"{at}/people/{row!["id"]}", ada, row["version"]!.ToString());
        Assert.Equal((400, "/hours/0/toHour"), (status, (string)problem!["pointer"]!));
        (status, _) = await app.Send(HttpMethod.Delete, $"{at}/people/{row["id"]}", null, row["version"]!.ToString());
        Assert.Equal(204, status);
        Assert.Equal(2, (await app.Get($"{at}/days"))["people"]!.AsArray().Count);
    }

    [Fact]
    public async Task The_clock_of_the_simulated_service_is_stepped_on_and_answers_follow()
    {
        JsonNode Service(JsonNode s) => s["forecast"]!["issuedAt"]!;
        const string Ask = "/api/simulated-weather?climate=coast&seed=4&latitudeDeg=54.6&longitudeDeg=-3.5";
        JsonNode before = await app.Get(Ask);
        string strip = (string)(await app.Get($"{at}/strip"))["now"]!;
        (int status, _) = await app.Send(HttpMethod.Post, "/api/simulated-weather/step", null);
        Assert.Equal(204, status);
        JsonNode after = await app.Get(Ask);
        Assert.Equal(6, (DateTimeOffset.Parse((string)Service(after)!) - DateTimeOffset.Parse((string)Service(before)!)).TotalHours);
        Assert.NotEqual(strip, (string)(await app.Get($"{at}/strip"))["now"]!);
        Assert.Equal(120, after["truth"]!.AsArray().Count);
        (status, JsonNode? problem) = await app.Send(HttpMethod.Get, Ask.Replace("54.6", "95", StringComparison.Ordinal), null);
        Assert.Equal((422, "/latitudeDeg"), (status, (string)problem!["pointer"]!));
    }

    [Fact]
    public async Task In_real_time_the_clock_is_nobodys_to_set()
    {
        await using RunningApp real = await RunningApp.Start();
        (int status, JsonNode? problem) = await real.Send(HttpMethod.Post, "/api/simulated-weather/step", null);
        Assert.Equal((422, "clock-not-set"), (status, (string)problem!["code"]!));
    }
}
