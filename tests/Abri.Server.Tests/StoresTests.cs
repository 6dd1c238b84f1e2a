using System.Text.Json.Nodes;

namespace Abri.Server.Tests;

public sealed class StoresTests : IAsyncLifetime
{
    private RunningApp app = null!;
    private string heron = "";

    public async Task InitializeAsync()
    {
        app = await RunningApp.Start();
        JsonArray vehicles = (await app.Get("/api/vehicles")).AsArray();
        heron = $"/api/vehicles/{vehicles.Single(v => (string)v!["value"]!["name"]! == "Heron")!["id"]}";
    }

    public async Task DisposeAsync() => await app.DisposeAsync();

    private async Task<JsonNode> Line(string material) =>
        (await app.Get($"{heron}/stores"))["lines"]!.AsArray().Single(l => (string)l!["material"]!["id"]! == material)!;

    private static JsonNode Item(double amount, string? bought = null) =>
        JsonNode.Parse(
            $$"""
            {"materialId":"seam-sealer","name":"Seam sealer","kind":"sealant","unit":"ml","pack":290,"amount":{{amount}},"place":"Shelf",
            "boughtOn":{{(bought is null ? "null" : $"\"{bought}\"")}},"expiresOn":null,"openedOn":null,"batch":"B 7","notes":""}
            """
        )!;

    [Fact]
    public async Task Before_the_first_cut_the_Heron_is_told_what_is_short_dried_out_and_would_run_out()
    {
        JsonNode stores = await app.Get($"{heron}/stores");
        string[] alerts = [.. stores["alerts"]!.AsArray().Select(a => (string)a!)];
        // The flue's bead takes two cartridges and one is there; the wipes are a month too old.
        Assert.Contains(alerts, a =>
            a.StartsWith("Stove flue, bed the flange: it takes 2 cartridges", StringComparison.Ordinal)
            && a.EndsWith("1 is there.", StringComparison.Ordinal)
        );
        Assert.Contains(alerts, a => a.StartsWith("Activator wipe, batch A 0031: too old since", StringComparison.Ordinal));
        Assert.True((double)(await Line("activator-wipe"))["short"]! >= 4);
        Assert.Equal(0, (double)(await Line("zinc-primer"))["short"]!);
        Assert.Equal("endsSoon", (string)(await Line("glass-primer"))["stock"]![0]!["state"]!);
    }

    [Fact]
    public async Task What_is_bought_is_no_longer_short_and_what_a_step_uses_is_taken_off()
    {
        double need = (double)(await Line("seam-sealer"))["short"]!;
        Assert.True(need > 0);
        var (status, row) = await app.Send(HttpMethod.Post, $"{heron}/stores/stock", Item(290));
        Assert.Equal(200, status);
        Assert.Equal(0, (double)(await Line("seam-sealer"))["short"]!);

        // The masking tape of the first step of the vent goes off the roll when the step is done.
        JsonNode vent = (await app.Get($"{heron}/shell"))["openings"]!
            .AsArray()
            .Single(o => ((string)o!["value"]!["name"]!).StartsWith("Vent", StringComparison.Ordinal))!;
        double roll = (double)(await Line("masking-tape"))["inStock"]!;
        string job = $"{heron}/bench/opening/{vent["id"]}";
        JsonNode bench = await app.Get(job);
        JsonNode step = bench["steps"]!.AsArray().First(s => (string)s!["state"]! == "ready")!["step"]!;
        double uses = step["consumables"]!.AsArray().Where(c => (string)c!["material"]!["id"]! == "masking-tape").Sum(c => (double)c!["amount"]!);
        JsonArray readings =
        [
            .. step["holds"]!
                .AsArray()
                .Select(h =>
                    (JsonNode)
                        new JsonObject
                        {
                            ["name"] = h!["name"]!.DeepClone(),
                            ["value"] = h["wanted"]?.DeepClone(),
                            ["seen"] = h["unit"] is null ? true : null,
                            ["unit"] = null,
                        }
                ),
        ];
        JsonObject report = new()
        {
            ["token"] = "t1",
            ["by"] = "Ada",
            ["minutes"] = null,
            ["readings"] = readings,
            ["asCut"] = null,
            ["overruled"] = null,
            ["notes"] = "",
            ["told"] = "",
        };
        var (done, answer) = await app.Send(HttpMethod.Post, $"{job}/{step["key"]}", report);
        Assert.True(done == 200, answer?.ToJsonString());
        Assert.Equal(roll - uses, (double)(await Line("masking-tape"))["inStock"]!, 6);
        await app.Send(HttpMethod.Post, $"{heron}/undo", null);
        Assert.Equal(roll, (double)(await Line("masking-tape"))["inStock"]!, 6);
        Assert.Equal(204, (await app.Send(HttpMethod.Delete, $"{heron}/stores/stock/{row!["id"]}", null, "1")).Status);
        Assert.Equal(need, (double)(await Line("seam-sealer"))["short"]!, 6);
    }

    [Theory]
    [InlineData("amount", "-1", 400, "/amount")]
    [InlineData("pack", "0", 400, "/pack")]
    [InlineData("expiresOn", "\"2026-01-01\"", 400, "/expiresOn")] // It expired before it was bought
    [InlineData("openedOn", "\"2026-01-01\"", 400, "/openedOn")]
    [InlineData("openedOn", "\"2149-01-01\"", 422, "/openedOn")]
    [InlineData("boughtOn", "\"2149-01-01\"", 422, "/boughtOn")]
    [InlineData("boughtOn", "\"1066-01-01\"", 400, "/boughtOn")]
    public async Task What_cannot_lie_on_a_shelf_is_told_by_its_field(string field, string value, int status, string at)
    {
        JsonNode item = Item(100, "2026-04-01");
        item[field] = JsonNode.Parse(value);
        var (got, problem) = await app.Send(HttpMethod.Post, $"{heron}/stores/stock", item);
        Assert.Equal((status, at), (got, (string)problem!["pointer"]!));
        // Neither when it is changed.
        var (_, row) = await app.Send(HttpMethod.Post, $"{heron}/stores/stock", Item(100, "2026-04-01"));
        Assert.Equal(status, (await app.Send(HttpMethod.Put, $"{heron}/stores/stock/{row!["id"]}", item, "1")).Status);
    }

    [Fact]
    public async Task A_borrowed_tool_is_kept_given_back_and_told_when_it_is_late()
    {
        JsonNode tool = JsonNode.Parse("""{"name":"Nibbler","lender":"Jo","until":"2026-01-31","isBack":false,"notes":""}""")!;
        var (status, row) = await app.Send(HttpMethod.Post, $"{heron}/stores/borrowed", tool);
        Assert.Equal(200, status);
        string[] Alerts(JsonNode stores) => [.. stores["alerts"]!.AsArray().Select(a => (string)a!)];
        const string late = "Nibbler, lent by Jo: should have gone back on 31 Jan 2026.";
        Assert.Contains(late, Alerts(await app.Get($"{heron}/stores")));
        tool["isBack"] = true;
        Assert.Equal(200, (await app.Send(HttpMethod.Put, $"{heron}/stores/borrowed/{row!["id"]}", tool, "1")).Status);
        Assert.DoesNotContain(late, Alerts(await app.Get($"{heron}/stores")));
        tool["name"] = "";
        var (refused, problem) = await app.Send(HttpMethod.Post, $"{heron}/stores/borrowed", tool);
        Assert.Equal((400, "/name"), (refused, (string)problem!["pointer"]!));
    }

    [Fact]
    public async Task The_list_goes_to_the_shops_on_paper_and_as_a_table()
    {
        string csv = await app.Http.GetStringAsync($"{heron}/stores/shopping.csv");
        Assert.Contains("Activator wipe", csv);
        using HttpResponseMessage pdf = await app.Http.GetAsync($"{heron}/stores/shopping.pdf");
        Assert.Equal("application/pdf", pdf.Content.Headers.ContentType!.MediaType);
        Assert.Equal("%PDF", System.Text.Encoding.ASCII.GetString((await pdf.Content.ReadAsByteArrayAsync())[..4]));
    }
}
