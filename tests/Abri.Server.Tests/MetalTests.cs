using System.Text.Json.Nodes;

namespace Abri.Server.Tests;

public sealed class MetalTests : IAsyncLifetime
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

    private async Task<JsonNode> Repair(string kind) =>
        (await app.Get($"{at}/metal"))["repairs"]!.AsArray().Select(r => r!["row"]!).Single(r => (string)r["value"]!["kind"]! == kind);

    [Fact]
    public async Task The_metal_of_the_demo_is_in_order_of_work()
    {
        JsonNode metal = await app.Get($"{at}/metal");
        int[] orders = [.. metal["spots"]!.AsArray().Concat(metal["repairs"]!.AsArray()).Select(x => (int?)x!["order"]).OfType<int>().Order()];
        Assert.Equal(orders.Distinct(), orders);
        Assert.Contains(metal["spots"]!.AsArray(), s => (string)s!["proposal"]!["name"]! == "Rust behind the lower lining");
        // What a repair mends waits as that repair.
        Assert.DoesNotContain(metal["spots"]!.AsArray(), s => (string)s!["proposal"]!["name"]! == "Two sign bolts through the skin");
        JsonNode shell = await app.Get($"{at}/shell");
        Assert.Contains(shell["next"]!.AsArray(), j => ((string)j!["what"]!).StartsWith("wax the cavity", StringComparison.Ordinal));
        Assert.Contains((await app.Get($"{at}/sealing"))["offered"]!.AsArray(), o => (string)o!["joint"]!["kind"]! == "patchEdge");
    }

    [Theory]
    [InlineData("place.pdf", "application/pdf", "%PDF")]
    [InlineData("blank.pdf?paper=a3", "application/pdf", "%PDF")]
    [InlineData("steps.pdf", "application/pdf", "%PDF")]
    [InlineData("place.svg", "image/svg+xml", "<")]
    [InlineData("blank.svg", "image/svg+xml", "<")]
    [InlineData("place.dxf", "application/dxf", "999")]
    [InlineData("blank.dxf", "application/dxf", "999")]
    public async Task A_patch_is_printed_in_every_form(string sheet, string type, string begins)
    {
        using HttpResponseMessage answer = await app.Http.GetAsync($"{at}/repairs/{(await Repair("patch"))["id"]}/{sheet}");
        Assert.Equal(200, (int)answer.StatusCode);
        Assert.Equal(type, answer.Content.Headers.ContentType!.MediaType);
        Assert.StartsWith(begins, (await answer.Content.ReadAsStringAsync()).TrimStart());
    }

    [Fact]
    public async Task What_has_no_blank_says_so_and_so_does_what_is_gone()
    {
        string plug = (string)(await Repair("plug"))["id"]!;
        Assert.Equal(404, (int)(await app.Http.GetAsync($"{at}/repairs/{plug}/blank.pdf")).StatusCode);
        Assert.Equal(200, (int)(await app.Http.GetAsync($"{at}/repairs/{plug}/plan")).StatusCode);
        Assert.Equal(400, (int)(await app.Http.GetAsync($"{at}/repairs/{plug}/side.pdf")).StatusCode);
        Assert.Equal(404, (int)(await app.Http.GetAsync($"{at}/repairs/nobody/plan")).StatusCode);
        Assert.Equal(404, (int)(await app.Http.GetAsync($"{at}/repairs/nobody/steps.pdf")).StatusCode);
    }

    [Theory] // Each with what it points at
    [InlineData(
        "points",
        """[{"sMm":4380,"tMm":260},{"sMm":4440,"tMm":285},{"sMm":4440,"tMm":260},{"sMm":4380,"tMm":285}]""",
        422,
        "outline-crosses-itself"
    )]
    [InlineData("points", """[{"sMm":9380,"tMm":260},{"sMm":9440,"tMm":260},{"sMm":9440,"tMm":285}]""", 422, "repair-off-panel")]
    [InlineData("patch", "null", 422, "repair-incomplete")]
    [InlineData("findingIds", """["nobody"]""", 422, "finding-unknown")]
    [InlineData("state", "\"done\"", 422, "repair-undated")]
    public async Task What_contradicts_itself_is_refused_and_nothing_is_kept(string field, string value, int status, string code)
    {
        JsonNode row = await Repair("patch");
        JsonNode changed = row["value"]!.DeepClone();
        changed[field] = JsonNode.Parse(value);
        (int answered, JsonNode? body) = await app.Send(HttpMethod.Put, $"{at}/repairs/{row["id"]}", changed, $"\"{row["version"]}\"");
        Assert.Equal((status, code), (answered, (string?)body!["code"]));
        Assert.Equal($"/{field}" is "/state" ? "/doneOn" : $"/{field}", (string)body["pointer"]!);
        Assert.Equal((int)row["version"]!, (int)(await Repair("patch"))["version"]!);
    }

    [Fact]
    public async Task A_typed_design_is_worked_out_before_it_is_kept_and_its_bad_parts_are_pointed_at()
    {
        JsonNode row = await Repair("patch");
        JsonNode typed = row["value"]!.DeepClone();
        typed["patch"]!["shape"] = "grown";
        (int status, JsonNode? body) = await app.Send(HttpMethod.Post, $"{at}/panels/{row["ownerId"]}/repair-plan", typed);
        Assert.Equal(400, status);
        Assert.Contains("choose a rectangle", body!.ToJsonString());
        typed["patch"]!["sides"] = new JsonArray();
        (status, body) = await app.Send(HttpMethod.Post, $"{at}/panels/{row["ownerId"]}/repair-plan", typed);
        Assert.Equal(200, status);
        Assert.Empty(body!["result"]!["patch"]!["blank"]!["foldLines"]!.AsArray());
        typed["patch"]!["sheetMm"] = 4;
        (status, body) = await app.Send(HttpMethod.Post, $"{at}/panels/{row["ownerId"]}/repair-plan", typed);
        Assert.Equal((422, "/patch/sheetMm"), (status, (string?)body!["pointer"]));
        Assert.Equal(404, (await app.Send(HttpMethod.Post, $"{at}/panels/nobody/repair-plan", typed)).Status);
    }

    [Fact]
    public async Task A_repair_begins_where_somebody_points_and_is_done_in_another_way()
    {
        string owner = (string)(await Repair("patch"))["ownerId"]!;
        JsonNode begun = await app.Get($"{at}/panels/{owner}/new-repair?sMm=4400&tMm=100");
        (int status, JsonNode? plate) = await app.Send(HttpMethod.Post, $"{at}/panels/{owner}/repair-as/plate", begun.DeepClone());
        Assert.Equal((200, "noHole"), (status, (string?)plate!["patch"]!["shape"]));
        Assert.Equal(400, (await app.Send(HttpMethod.Post, $"{at}/panels/{owner}/repair-as/nothing", begun.DeepClone())).Status);
        Assert.Equal(404, (await app.Send(HttpMethod.Post, $"{at}/panels/nobody/repair-as/plate", begun.DeepClone())).Status);
        Assert.Equal(404, (int)(await app.Http.GetAsync($"{at}/panels/nobody/new-repair?sMm=1&tMm=1")).StatusCode);
        JsonNode line = (await app.Get($"{at}/panels/{owner}/repair-kinds")).AsArray().Single(k => (string)k!["shape"]! == "line")!;
        Assert.Contains("gutter", line["kinds"]!.AsArray().Select(k => (string)k!));
        Assert.DoesNotContain("door", line["kinds"]!.AsArray().Select(k => (string)k!));
    }

    [Fact]
    public async Task A_door_keeps_every_round_of_readings_and_says_what_is_next()
    {
        JsonNode shell = await app.Get($"{at}/shell");
        string Panel(string kind) => (string)shell["panels"]!.AsArray().First(p => (string)p!["value"]!["kind"]! == kind)!["id"]!;
        string door = Panel("rearRightDoor");
        JsonNode begun = await app.Get($"{at}/panels/{door}/new-repair?sMm=-400&tMm=800");
        (int status, JsonNode? repair) = await app.Send(HttpMethod.Post, $"{at}/panels/{door}/repair-as/door", begun);
        Assert.Equal(200, status);
        (status, JsonNode? plan) = await app.Send(HttpMethod.Post, $"{at}/panels/{door}/repair-plan", repair);
        Assert.Equal((200, "asFound"), (status, (string)plan!["result"]!["door"]!["next"]!));
        repair!["door"]!["rounds"] = JsonNode.Parse(
            """
            [{"after":"asFound","pushed":null,"readings":[{"edge":"latch","heightMm":50,"gapMm":9},{"edge":"latch","heightMm":750,"gapMm":15},
            {"edge":"latch","heightMm":1450,"gapMm":9}]}]
            """
        );
        (status, JsonNode? row) = await app.Send(HttpMethod.Post, $"{at}/panels/{door}/repairs", repair);
        Assert.Equal(200, status);
        plan = await app.Get($"{at}/repairs/{row!["id"]}/plan");
        Assert.Equal((11, 750), ((double)plan["result"]!["door"]!["push"]!["pushMm"]!, (double)plan["result"]!["door"]!["push"]!["atMm"]!));
        Assert.Contains((await app.Get($"{at}/shell"))["next"]!.AsArray(), j =>
            ((string)j!["what"]!).StartsWith("make it lie", StringComparison.Ordinal)
        );
        repair["points"] = JsonNode.Parse("""[{"sMm":500,"tMm":500},{"sMm":600,"tMm":500},{"sMm":600,"tMm":600}]""");
        // A wall is no door, and readings that contradict each other are pointed at.
        Assert.Equal("repair-no-door", (string)(await app.Send(HttpMethod.Post, $"{at}/panels/{Panel("left")}/repair-plan", repair)).Body!["code"]!);
        repair["door"]!["rounds"]![0]!["after"] = "seal";
        repair["points"] = row["value"]!["points"]!.DeepClone();
        (status, JsonNode? told) = await app.Send(HttpMethod.Post, $"{at}/panels/{door}/repair-plan", repair);
        Assert.Equal((422, "/door/rounds/0/after"), (status, (string)told!["pointer"]!));
    }

    [Fact]
    public async Task An_old_window_knows_what_the_new_opening_swallows()
    {
        JsonNode shell = await app.Get($"{at}/shell");
        JsonNode opening = shell["openings"]!.AsArray().First(o => (string)o!["value"]!["name"]! == "Hinged window by the wheel")!;
        string panel = (string)opening["ownerId"]!;
        double s = (double)opening["value"]!["centre"]!["sMm"]!,
            t = (double)opening["value"]!["centre"]!["tMm"]!;
        JsonNode begun = await app.Get($"{at}/panels/{panel}/new-repair?sMm={s}&tMm={t}");
        JsonNode repair = (await app.Send(HttpMethod.Post, $"{at}/panels/{panel}/repair-as/windowOut", begun)).Body!;
        repair["window"]!["marks"] = JsonNode.Parse(
            $$"""[{"at":{"sMm":{{s}},"tMm":{{t}}},"acrossMm":10},{"at":{"sMm":{{s}},"tMm":{{t - 700}}},"acrossMm":10}]"""
        );
        (int status, JsonNode? row) = await app.Send(HttpMethod.Post, $"{at}/panels/{panel}/repairs", repair);
        Assert.Equal(200, status);
        JsonNode window = (await app.Get($"{at}/repairs/{row!["id"]}/plan"))["result"]!["window"]!;
        Assert.Equal(["cutAway", "shows"], window["marks"]!.AsArray().Select(m => (string)m!["fate"]!));
        Assert.Equal(200, (int)(await app.Http.GetAsync($"{at}/repairs/{row["id"]}/steps.pdf")).StatusCode);
        Assert.Contains((await app.Get($"{at}/shell"))["next"]!.AsArray(), j =>
            ((string)j!["what"]!).StartsWith("take out: repair", StringComparison.Ordinal)
        );
    }

    [Fact]
    public async Task Blanks_are_cut_from_a_sheet_its_offcut_is_kept_and_undo_brings_all_back()
    {
        JsonNode sheets = await app.Get($"{at}/sheets?gapMm=5");
        JsonNode group = sheets["groups"]!.AsArray()[0]!;
        JsonNode cut = new JsonObject
        {
            ["metal"] = (string)group["metal"]!,
            ["thickMm"] = (double)group["thickMm"]!,
            ["gapMm"] = 5,
            ["repairIds"] = new JsonArray([.. group["pieces"]!.AsArray().Select(p => JsonValue.Create((string)p!["repairId"]!))]),
        };
        string before = (await app.Get($"{at}/sheets?gapMm=5")).ToJsonString();
        JsonNode other = cut.DeepClone();
        other["repairIds"] = new JsonArray("nobody");
        (int status, JsonNode? told) = await app.Send(HttpMethod.Post, $"{at}/sheets/cut", other);
        Assert.Equal((422, "plan-changed"), (status, (string)told!["code"]!));
        Assert.Equal(204, (await app.Send(HttpMethod.Post, $"{at}/sheets/cut", cut)).Status);
        JsonNode after = await app.Get($"{at}/sheets?gapMm=5");
        Assert.DoesNotContain(after["groups"]!.AsArray(), g =>
            (string)g!["metal"]! == (string)cut["metal"]! && (double)g["thickMm"]! == (double)cut["thickMm"]!
        );
        Assert.Contains(after["sheets"]!.AsArray(), s => ((string)s!["value"]!["name"]!).StartsWith("Offcut of ", StringComparison.Ordinal));
        // A file takes its sheets along.
        JsonNode file = await app.Get($"{at}/vehicle.json?photos=false");
        Assert.Equal(after["sheets"]!.AsArray().Count, file["record"]!["sheets"]!.AsArray().Count);
        Assert.Equal(200, (await app.Send(HttpMethod.Post, $"{at}/undo", null)).Status);
        JsonNode back = await app.Get($"{at}/sheets?gapMm=5");
        Assert.Equal(
            JsonNode.Parse(before)!["sheets"]!.AsArray().Select(s => s!["value"]!.ToJsonString()),
            back["sheets"]!.AsArray().Select(s => s!["value"]!.ToJsonString())
        );
        Assert.Equal(JsonNode.Parse(before)!["groups"]!.AsArray().Count, back["groups"]!.AsArray().Count);
    }

    [Theory]
    [InlineData(
        """{"name":"Sheet","metal":"mildSteel","thickMm":1,"outline":[{"sMm":0,"tMm":0},{"sMm":9,"tMm":9},{"sMm":9,"tMm":0},{"sMm":0,"tMm":9}],"notes":""}""",
        422
    )]
    [InlineData(
        """{"name":"Sheet","metal":"mildSteel","thickMm":0,"outline":[{"sMm":0,"tMm":0},{"sMm":9,"tMm":0},{"sMm":9,"tMm":9}],"notes":""}""",
        400
    )]
    [InlineData(
        """{"name":"Sheet","metal":"mildSteel","thickMm":1,"outline":[{"sMm":0,"tMm":0},{"sMm":9,"tMm":0},{"sMm":9,"tMm":9}],"notes":""}""",
        200
    )]
    public async Task A_sheet_is_kept_where_its_outline_holds(string sheet, int status) =>
        Assert.Equal(status, (await app.Send(HttpMethod.Post, $"{at}/sheets", JsonNode.Parse(sheet))).Status);

    [Fact]
    public async Task A_gap_that_nobody_can_cut_is_refused() => Assert.Equal(422, (int)(await app.Http.GetAsync($"{at}/sheets?gapMm=0")).StatusCode);

    [Fact]
    public async Task What_lies_on_a_pillar_is_not_printed()
    {
        JsonNode shell = await app.Get($"{at}/shell");
        string left = (string)shell["panels"]!.AsArray().Single(p => (string)p!["value"]!["kind"]! == "left")!["id"]!;
        JsonNode begun = await app.Get($"{at}/panels/{left}/new-repair?sMm=880&tMm=500");
        (_, JsonNode? row) = await app.Send(HttpMethod.Post, $"{at}/panels/{left}/repairs", begun);
        Assert.Contains("licensed workshop", await (await app.Http.GetAsync($"{at}/repairs/{row!["id"]}/blank.pdf")).Content.ReadAsStringAsync());
        Assert.Equal("protectOnly", (string)(await app.Get($"{at}/repairs/{row["id"]}/plan"))["result"]!["advice"]!["method"]!);
    }

    [Fact]
    public async Task A_repair_that_is_done_closes_its_finding_and_undo_opens_it_again()
    {
        JsonNode row = await Repair("plug");
        string finding = (string)row["value"]!["findingIds"]![0]!;
        async Task<string> State() => (string)(await app.Get($"{at}/findings/{finding}"))["value"]!["state"]!;
        JsonNode done = row["value"]!.DeepClone();
        (done["state"], done["doneOn"]) = ("done", "2026-06-01");
        Assert.Equal(200, (await app.Send(HttpMethod.Put, $"{at}/repairs/{row["id"]}", done, $"\"{row["version"]}\"")).Status);
        Assert.Equal("done", await State());
        Assert.Equal(412, (await app.Send(HttpMethod.Put, $"{at}/repairs/{row["id"]}", done, $"\"{row["version"]}\"")).Status);
        Assert.Equal(200, (await app.Send(HttpMethod.Post, $"{at}/undo", null)).Status);
        Assert.NotEqual("done", await State());
    }
}
