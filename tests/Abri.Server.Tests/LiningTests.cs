using System.Text.Json.Nodes;

namespace Abri.Server.Tests;

/// <summary>Linings and the cut plan over the wire, on the demo.</summary>
public sealed class LiningTests : IAsyncLifetime
{
    private RunningApp app = null!;
    private string at = "";

    public async Task InitializeAsync()
    {
        app = await RunningApp.Start();
        string heron = (string)(await app.Get("/api/vehicles")).AsArray().Single(v => (string)v!["value"]!["name"]! == "Heron")!["id"]!;
        at = $"/api/vehicles/{heron}";
    }

    public async Task DisposeAsync() => await app.DisposeAsync();

    private async Task<JsonNode> Lining(string name) =>
        (await app.Get($"{at}/linings"))["linings"]!.AsArray().Select(l => l!["row"]!).Single(r => (string)r["value"]!["name"]! == name);

    private static JsonNode Group(JsonNode cuts, double thickMm) => cuts["groups"]!.AsArray().Single(g => (double)g!["thickMm"]! == thickMm)!;

    private static JsonObject Sawn(JsonNode group, double kerfMm) =>
        new()
        {
            ["material"] = (string)group["material"]!,
            ["thickMm"] = (double)group["thickMm"]!,
            ["kerfMm"] = kerfMm,
            ["ownerIds"] = new JsonArray([
                .. group["pieces"]!.AsArray().Select(p => (string)p!["ownerId"]!).Distinct().Select(id => JsonValue.Create(id)),
            ]),
        };

    [Fact]
    public async Task The_list_says_what_each_lining_would_hide_and_which_panels_are_bare()
    {
        JsonNode all = await app.Get($"{at}/linings");
        Assert.Equal(["needsWork", "blocked"], all["linings"]!.AsArray().Select(l => (string)l!["state"]!));
        JsonNode shell = await app.Get($"{at}/shell");
        string roof = (string)shell["panels"]!.AsArray().Single(p => (string)p!["value"]!["kind"]! == "roof")!["id"]!;
        Assert.DoesNotContain(roof, all["bare"]!.AsArray().Select(b => (string)b!));
        Assert.NotEmpty(all["bare"]!.AsArray());
        // Beside the cut plan it is named with its reason, and not laid out.
        JsonNode waits = (await app.Get($"{at}/board-cuts"))["notReady"]!.AsArray().Single()!;
        Assert.Equal(("lining", "Ceiling over the bed"), ((string)waits["for"]!, (string)waits["name"]!));
    }

    [Fact]
    public async Task A_lining_is_begun_worked_out_kept_and_changed_only_by_who_saw_it_last()
    {
        JsonNode shell = await app.Get($"{at}/shell");
        string left = (string)shell["panels"]!.AsArray().Single(p => (string)p!["value"]!["kind"]! == "left")!["id"]!;
        JsonNode begun = await app.Get($"{at}/panels/{left}/new-lining?name=Wall");
        Assert.Equal(("Wall", 45.0), ((string)begun["name"]!, (double)begun["gapMm"]!));
        begun["lies"] = "flat";
        (int status, JsonNode? draft) = await app.Send(HttpMethod.Post, $"{at}/panels/{left}/lining-plan", begun);
        Assert.Equal(200, status);
        (_, JsonNode? row) = await app.Send(HttpMethod.Post, $"{at}/panels/{left}/linings", begun);
        JsonNode kept = await app.Get($"{at}/linings/{row!["id"]}/plan");
        Assert.Equal(draft!["result"]!["plan"]!["verdict"]!.ToJsonString(), kept["result"]!["plan"]!["verdict"]!.ToJsonString());
        Assert.Equal(428, (await app.Send(HttpMethod.Put, $"{at}/linings/{row["id"]}", begun)).Status);
        Assert.Equal(412, (await app.Send(HttpMethod.Put, $"{at}/linings/{row["id"]}", begun, "\"7\"")).Status);
        Assert.Equal(200, (await app.Send(HttpMethod.Put, $"{at}/linings/{row["id"]}", begun, "\"1\"")).Status);
        Assert.Equal(204, (await app.Send(HttpMethod.Delete, $"{at}/linings/{row["id"]}", null, "\"2\"")).Status);
        Assert.Equal(404, (await app.Send(HttpMethod.Get, $"{at}/linings/{row["id"]}/plan", null)).Status);
    }

    [Theory]
    [InlineData("""{"undersizeMm":61}""", 400, "/undersizeMm")]
    [InlineData("""{"gapMm":-1}""", 400, "/gapMm")]
    [InlineData("""{"sheet":{"material":"birchPly","thickMm":90,"lengthMm":2440,"widthMm":1220}}""", 400, "/sheet/thickMm")]
    [InlineData("""{"outline":[{"sMm":0,"tMm":0},{"sMm":9000,"tMm":0},{"sMm":9000,"tMm":500}]}""", 422, "/outline")]
    [InlineData("""{"outline":[{"sMm":0,"tMm":0},{"sMm":900,"tMm":400},{"sMm":900,"tMm":0},{"sMm":0,"tMm":400}]}""", 422, "/outline")]
    public async Task What_is_wrong_is_told_where_the_form_has_it(string change, int status, string place)
    {
        JsonNode row = await Lining("Ceiling over the bench");
        JsonObject value = row["value"]!.DeepClone().AsObject();
        foreach ((string name, JsonNode? to) in JsonNode.Parse(change)!.AsObject())
            value[name] = to!.DeepClone();
        (int told, JsonNode? problem) = await app.Send(HttpMethod.Post, $"{at}/panels/{row["ownerId"]}/lining-plan", value);
        Assert.Equal(status, told);
        Assert.StartsWith(place, (string)problem!["pointer"]!, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("sheet.pdf", "application/pdf", "%PDF")]
    [InlineData("steps.pdf?paper=letter", "application/pdf", "%PDF")]
    [InlineData("boards/2.dxf", "image/vnd.dxf", "999")]
    public async Task A_lining_is_printed(string what, string type, string start)
    {
        HttpResponseMessage answer = await app.Http.GetAsync($"{at}/linings/{(await Lining("Ceiling over the bench"))["id"]}/{what}");
        Assert.Equal(type, answer.Content.Headers.ContentType!.MediaType);
        Assert.StartsWith(start, (await answer.Content.ReadAsStringAsync()).TrimStart(), StringComparison.Ordinal);
        Assert.Contains("heron-ceiling-over-the-bench-", answer.Content.Headers.ContentDisposition!.FileName!, StringComparison.Ordinal);
        Assert.Equal(404, (int)(await app.Http.GetAsync($"{at}/linings/{(await Lining("Ceiling over the bench"))["id"]}/boards/9.dxf")).StatusCode);
    }

    [Theory]
    [InlineData("board-cuts.pdf", "application/pdf", "%PDF")]
    [InlineData("board-cuts.csv?carLengthMm=1800&carWidthMm=900", "text/csv", "material")]
    [InlineData("board-cuts/1/2.dxf", "image/vnd.dxf", "999")]
    public async Task The_cut_plan_is_printed(string what, string type, string start)
    {
        HttpResponseMessage answer = await app.Http.GetAsync($"{at}/{what}");
        Assert.Equal(type, answer.Content.Headers.ContentType!.MediaType);
        Assert.StartsWith(start, (await answer.Content.ReadAsStringAsync()).TrimStart(' ', '\uFEFF'), StringComparison.Ordinal);
        Assert.Equal(404, (int)(await app.Http.GetAsync($"{at}/board-cuts/1/9.dxf")).StatusCode);
    }

    [Theory]
    [InlineData("kerfMm=21", "/kerfMm")]
    [InlineData("carLengthMm=100&carWidthMm=900", "/carLengthMm")]
    [InlineData("carLengthMm=1000&carWidthMm=9000", "/carWidthMm")]
    [InlineData("carLengthMm=1000", "/carWidthMm")]
    public async Task Wishes_out_of_range_are_told(string query, string place)
    {
        (int status, JsonNode? problem) = await app.Send(HttpMethod.Get, $"{at}/board-cuts?{query}", null);
        Assert.Equal((422, place), (status, (string)problem!["pointer"]!));
    }

    [Fact]
    public async Task A_grid_of_probes_is_kept_in_one_change_or_not_at_all()
    {
        JsonNode shell = await app.Get($"{at}/shell");
        string floor = (string)shell["panels"]!.AsArray().Single(p => (string)p!["value"]!["kind"]! == "floor")!["id"]!;
        int Count(JsonNode of) => of["floor"]!["probes"]!.AsArray().Count;
        JsonNode Grid(params double[] along) =>
            new JsonObject
            {
                ["probes"] = new JsonArray([
                    .. along.Select(s =>
                        JsonNode.Parse(
                            $$"""{"of":"board","at":{"sMm":{{s}},"tMm":0},"wood":"soft","moisturePercent":25,"takenAt":"2026-06-01T09:00:00Z","notes":""}"""
                        )
                    ),
                ]),
            };
        (int status, JsonNode? problem) = await app.Send(HttpMethod.Post, $"{at}/panels/{floor}/probe-grid", Grid(3000, 6000));
        Assert.Equal((422, "/probes/1/at"), (status, (string)problem!["pointer"]!));
        Assert.Equal(Count(shell), Count(await app.Get($"{at}/shell")));
        Assert.Equal(200, (await app.Send(HttpMethod.Post, $"{at}/panels/{floor}/probe-grid", Grid(3000, 3300, 3500))).Status);
        Assert.Equal(Count(shell) + 3, Count(await app.Get($"{at}/shell")));
        Assert.Equal("Added 3 probes", (string)(await app.Send(HttpMethod.Post, $"{at}/undo", null)).Body!["what"]!);
        Assert.Equal(Count(shell), Count(await app.Get($"{at}/shell")));
    }

    [Fact]
    public async Task Boards_are_sawn_only_by_the_plan_that_was_seen_and_undo_brings_all_back()
    {
        JsonNode cuts = await app.Get($"{at}/board-cuts");
        JsonObject body = Sawn(Group(cuts, 6), (double)cuts["kerfMm"]!);
        JsonNode other = body.DeepClone();
        other["ownerIds"] = new JsonArray("nobody");
        (int status, JsonNode? told) = await app.Send(HttpMethod.Post, $"{at}/board-cuts/sawn", other);
        Assert.Equal((422, "plan-changed"), (status, (string)told!["code"]!));
        Assert.Equal(204, (await app.Send(HttpMethod.Post, $"{at}/board-cuts/sawn", body)).Status);
        JsonNode after = await app.Get($"{at}/board-cuts");
        Assert.DoesNotContain(after["groups"]!.AsArray(), g => (double)g!["thickMm"]! == 6);
        Assert.Equal("cut", (string)(await Lining("Ceiling over the bench"))["value"]!["state"]!);
        // Two sheets leave two rests each, under the name of what was bought.
        Assert.Equal(4, after["stock"]!.AsArray().Count(s => (string)s!["value"]!["name"]! == "Offcut of new sheet"));
        JsonNode file = await app.Get($"{at}/vehicle.json?photos=false");
        Assert.Equal(after["stock"]!.AsArray().Count, file["record"]!["stockBoards"]!.AsArray().Count);
        Assert.Equal(200, (await app.Send(HttpMethod.Post, $"{at}/undo", null)).Status);
        Assert.Equal(
            cuts["stock"]!.AsArray().Select(s => s!["value"]!.ToJsonString()),
            (await app.Get($"{at}/board-cuts"))["stock"]!.AsArray().Select(s => s!["value"]!.ToJsonString())
        );
    }

    [Fact]
    public async Task Sawing_the_boards_of_one_thickness_leaves_those_of_another_alone()
    {
        JsonNode row = await Lining("Ceiling over the bench");
        JsonNode group = Group(await app.Get($"{at}/board-cuts"), 15);
        Assert.Empty(group["plan"]!["result"]!["left"]!.AsArray());
        Assert.Equal(204, (await app.Send(HttpMethod.Post, $"{at}/board-cuts/sawn", Sawn(group, 3.2))).Status);
        Assert.Equal("planned", (string)(await Lining("Ceiling over the bench"))["value"]!["state"]!);
        Assert.Equal((string)row["id"]!, (string)(await Lining("Ceiling over the bench"))["id"]!);
        Assert.True((bool)(await app.Get($"{at}/floor"))["replacements"]!.AsArray().Single()!["row"]!["value"]!["boardsCut"]!);
    }
}
