using System.Text.Json.Nodes;

namespace Abri.Server.Tests;

public sealed class LoadTests : IAsyncLifetime
{
    private RunningApp app = null!;
    private string heron = "",
        plover = "";

    public async Task InitializeAsync()
    {
        app = await RunningApp.Start();
        JsonArray vehicles = (await app.Get("/api/vehicles")).AsArray();
        string Of(string name) => $"/api/vehicles/{vehicles.Single(v => (string)v!["value"]!["name"]! == name)!["id"]}";
        (heron, plover) = (Of("Heron"), Of("Plover"));
    }

    public async Task DisposeAsync() => await app.DisposeAsync();

    private static JsonNode Item(double kg, double xMm, string kind = "fixed") =>
        JsonNode.Parse(
            $$"""
            {"name":"Anvil","kind":"{{kind}}","kg":{{kg}},"at":{"xMm":{{xMm}},"yMm":0,"zMm":200},"travelPercent":100,"takenOut":false,"isIn":false,
            "notes":""}
            """
        )!;

    private static JsonNode Case(JsonNode load, string state, bool planned) =>
        load["cases"]!.AsArray().Single(c => (string)c!["state"]! == state && (bool)c["planned"]! == planned)!;

    /// <summary>
    /// Held against a sum over what the answer lists, written apart: the empty van of the papers, its front axle at -1150, 3750 to the rear.
    /// </summary>
    [Fact]
    public async Task The_axles_of_the_Heron_agree_with_a_sheet_worked_out_by_hand()
    {
        JsonNode load = await app.Get($"{heron}/load");
        double total = 2460,
            rear = 2460 - 1390;
        foreach (JsonNode? line in load["lines"]!.AsArray())
        {
            JsonNode item = line!["item"]!;
            double kg = (double)item["kg"]! * ((bool)item["takenOut"]! ? -1 : 1);
            total += kg;
            rear += kg * ((double)item["at"]!["xMm"]! + 1150) / 3750;
        }
        JsonNode loaded = Case(load, "loaded", planned: true);
        Assert.Equal(total, (double)loaded["totalKg"]!, 6);
        Assert.Equal(rear, (double)loaded["on"]!["rearKg"]!, 6);
        Assert.Equal(total - rear, (double)loaded["on"]!["frontKg"]!, 6);
        // All six openings, at their places.
        Assert.Equal(6, load["lines"]!.AsArray().Count(l => (string)l!["source"]! == "opening"));
        Assert.Empty(load["missing"]!.AsArray());
    }

    [Fact]
    public async Task A_trailer_has_a_coupling_and_is_told_when_it_would_sway()
    {
        JsonNode load = await app.Get($"{plover}/load");
        Assert.True((bool)load["gear"]!["isTrailer"]!);
        JsonNode coupling = Case(load, "loaded", planned: true)["rows"]!.AsArray().Single(r => (string)r!["id"]! == "load-coupling")!;
        Assert.Equal("blocked", (string)coupling["state"]!);
        Assert.Contains("Move Batteries", (string)coupling["remedy"]!);
    }

    [Fact]
    public async Task What_would_be_is_asked_first_then_kept_changed_and_taken_back()
    {
        double before = (double)Case(await app.Get($"{heron}/load"), "empty", true)["totalKg"]!;
        var (asked, would) = await app.Send(
            HttpMethod.Post,
            $"{heron}/load/what-if",
            new JsonObject { ["item"] = Item(90, 3000), ["insteadOf"] = null }
        );
        Assert.Equal(200, asked);
        Assert.Equal(before + 90, (double)Case(would!, "empty", true)["totalKg"]!, 6);
        // Asking kept nothing.
        Assert.Equal(before, (double)Case(await app.Get($"{heron}/load"), "empty", true)["totalKg"]!);

        var (added, row) = await app.Send(HttpMethod.Post, $"{heron}/load/items", Item(90, 3000));
        Assert.Equal(200, added);
        string at = $"{heron}/load/items/{row!["id"]}";
        Assert.Equal(before + 90, (double)Case(await app.Get($"{heron}/load"), "empty", true)["totalKg"]!, 6);
        Assert.Equal(200, (await app.Send(HttpMethod.Put, at, Item(70, 3000), "1")).Status);
        Assert.Equal(before + 70, (double)Case(await app.Get($"{heron}/load"), "empty", true)["totalKg"]!, 6);
        Assert.Equal(204, (await app.Send(HttpMethod.Delete, at, null, "2")).Status);
        Assert.Equal(before, (double)Case(await app.Get($"{heron}/load"), "empty", true)["totalKg"]!, 6);
        // Of another vehicle it is not there.
        await app.Send(HttpMethod.Post, $"{heron}/undo", null);
        Assert.Equal(404, (await app.Send(HttpMethod.Get, at.Replace(heron, plover), null)).Status);
    }

    [Fact]
    public async Task A_weighbridge_corrects_the_base_and_keeps_what_was_aboard()
    {
        JsonNode before = Case(await app.Get($"{heron}/load"), "travel", planned: false);
        JsonNode entry = JsonNode.Parse(
            """{"on":"2026-05-01","state":"travel","reading":{"totalKg":null,"frontKg":1400,"rearKg":950},"notes":"Quarry"}"""
        )!;
        (int status, JsonNode? row) = await app.Send(HttpMethod.Post, $"{heron}/load/weighings", entry);
        Assert.Equal(200, status);
        JsonNode load = await app.Get($"{heron}/load");
        Assert.Equal(2350, (double)Case(load, "travel", planned: false)["totalKg"]!, 1);
        Assert.Equal(2350 - (double)before["totalKg"]!, (double)load["base"]!["moreKg"]!, 1);
        JsonNode changed = row!["value"]!.DeepClone();
        changed["aboard"]!["frontKg"] = 1;
        var (refused, why) = await app.Send(HttpMethod.Put, $"{heron}/load/weighings/{row["id"]}", changed, "1");
        Assert.Equal((422, "weighing-aboard"), (refused, (string)why!["code"]!));
        entry["on"] = "2099-01-01";
        var (ahead, notYet) = await app.Send(HttpMethod.Post, $"{heron}/load/weighings", entry);
        Assert.Equal((422, "weighing-ahead"), (ahead, (string)notYet!["code"]!));
    }

    [Theory]
    [InlineData("kg", "-5", "/kg")]
    [InlineData("kg", "0", "/kg")]
    [InlineData("kg", "1e9", "/kg")]
    [InlineData("travelPercent", "101", "/travelPercent")]
    [InlineData("name", "\"\"", "/name")]
    [InlineData("at", """{"xMm":0,"yMm":9000,"zMm":0}""", "/at/yMm")]
    public async Task An_absurd_mass_is_told_by_its_field(string field, string value, string at)
    {
        JsonNode item = Item(10, 0);
        item[field] = JsonNode.Parse(value);
        var (status, problem) = await app.Send(HttpMethod.Post, $"{heron}/load/items", item);
        Assert.Equal((400, at), (status, (string)problem!["pointer"]!));
    }

    [Theory]
    [InlineData("permittedKg", 1900.0, "/masses/permittedKg")]
    [InlineData("kerbFrontKg", 2461.0, "/masses/kerbFrontKg")]
    [InlineData("wheelbaseMm", 0.0, "/masses/wheelbaseMm")]
    [InlineData("trackMm", 90.0, "/masses/trackMm")]
    public async Task Papers_that_cannot_be_are_told_by_their_field(string field, double value, string at)
    {
        JsonNode row = (await app.Get($"{heron}/shell"))["vehicle"]!;
        JsonNode vehicle = row["value"]!.DeepClone();
        vehicle["masses"]![field] = value;
        var (status, problem) = await app.Send(HttpMethod.Put, heron, vehicle, row["version"]!.ToString());
        Assert.Equal((400, at), (status, (string)problem!["pointer"]!));
    }
}
