using System.Text.Json.Nodes;

namespace Abri.Server.Tests;

/// <summary>The plan over the wire, on the demo trailer: few tasks; the program's clock stands at a Monday morning.</summary>
public sealed class PlanTests : IAsyncLifetime
{
    private RunningApp app = null!;
    private string at = "";

    public async Task InitializeAsync()
    {
        app = await RunningApp.Start(now: new DateTimeOffset(2031, 5, 12, 7, 40, 0, TimeSpan.Zero));
        string plover = (string)(await app.Get("/api/vehicles")).AsArray().Single(v => (string)v!["value"]!["name"]! == "Plover")!["id"]!;
        at = $"/api/vehicles/{plover}";
        foreach (string name in new[] { "Ada", "Ben" })
        {
            string days = string.Join(
                ',',
                new[] { "monday", "tuesday", "wednesday", "thursday", "friday" }.Select(d => $$"""{"day":"{{d}}","fromHour":8,"toHour":18}""")
            );
            (int status, _) = await app.Send(HttpMethod.Post, $"{at}/people", JsonNode.Parse($$"""{"name":"{{name}}","hours":[{{days}}]}"""));
            Assert.Equal(200, status);
        }
    }

    public async Task DisposeAsync() => await app.DisposeAsync();

    private async Task<JsonNode> Make(JsonNode? marks = null, JsonNode? overruled = null, int status = 200)
    {
        (int got, JsonNode? made) = await app.Send(
            HttpMethod.Post,
            $"{at}/plan",
            new JsonObject { ["marks"] = marks?.DeepClone(), ["overruled"] = overruled?.DeepClone() }
        );
        Assert.Equal(status, got);
        return made!;
    }

    private static JsonObject Mark(JsonNode line, string kind, string when) =>
        new()
        {
            ["task"] = line["key"]!.DeepClone(),
            ["kind"] = kind,
            ["at"] = when,
        };

    [Fact]
    public async Task A_plan_is_made_kept_marked_listed_and_undone()
    {
        JsonNode none = await app.Get($"{at}/plan");
        Assert.Null(none["madeAt"]);
        Assert.All(none["lines"]!.AsArray(), l => Assert.Null(l!["kept"]));
        Assert.Equal(404, (await app.Send(HttpMethod.Get, $"{at}/plan/list", null)).Status);

        Assert.True((bool)(await Make())["isKept"]!);
        JsonNode plan = await app.Get($"{at}/plan");
        JsonNode[] planned = [.. plan["lines"]!.AsArray().Where(l => l!["kept"] is not null).Select(l => l!)];
        Assert.NotEmpty(planned);
        Assert.Contains(planned, l => (bool)l["opensShell"]!);
        string ics = (await app.Http.GetStringAsync($"{at}/plan/calendar.ics")).Replace("\r\n ", "", StringComparison.Ordinal);
        Assert.Equal(planned.Length, ics.Split("BEGIN:VEVENT").Length - 1 - ics.Split("-ready@abri").Length + 1);
        JsonNode list = await app.Get($"{at}/plan/list");
        Assert.NotEmpty(list["tasks"]!.AsArray());

        // The last one is fixed on the first half-hour that its windows name after it: it begins then.
        JsonNode last = planned[^1];
        JsonNode key = last["key"]!;
        JsonArray starts = (await app.Get($"{at}/plan/starts/{key["job"]!["kind"]}/{key["job"]!["id"]}/{key["key"]}")).AsArray();
        DateTimeOffset later = starts
            .Select(w => DateTimeOffset.Parse((string)w!["from"]!))
            .First(f => f > DateTimeOffset.Parse((string)last["kept"]!["until"]!));
        Assert.True((bool)(await Make(new JsonArray(Mark(last, "fixed", later.ToString("O")))))["isKept"]!);
        JsonNode moved = (await app.Get($"{at}/plan"))["lines"]!.AsArray().Single(l => JsonNode.DeepEquals(l!["key"], key))!;
        Assert.Equal(later, DateTimeOffset.Parse((string)moved["kept"]!["from"]!));
        Assert.Equal("fixed", (string)moved["mark"]!["kind"]!);
        Assert.Contains((await app.Get($"{at}/plan"))["moves"]!.AsArray(), m => JsonNode.DeepEquals(m!["task"], key));

        (int undone, _) = await app.Send(HttpMethod.Post, $"{at}/undo", null);
        Assert.Equal(200, undone);
        JsonNode back = (await app.Get($"{at}/plan"))["lines"]!.AsArray().Single(l => JsonNode.DeepEquals(l!["key"], key))!;
        Assert.Equal((string)last["kept"]!["from"]!, (string)back["kept"]!["from"]!);
    }

    [Fact]
    public async Task What_cannot_be_is_told_with_a_way_out_and_nothing_is_kept()
    {
        await Make();
        JsonNode line = (await app.Get($"{at}/plan"))["lines"]!.AsArray().First(l => l!["kept"] is not null)!;
        JsonNode clash = await Make(new JsonArray(Mark(line, "fixed", "2031-05-13T02:00:00Z")));
        Assert.False((bool)clash["isKept"]!);
        Assert.Contains("cannot begin Tue 13 May 03:00", (string)clash["verdict"]!, StringComparison.Ordinal);
        Assert.NotEmpty(clash["clash"]!["waysOut"]!.AsArray());
        Assert.All((await app.Get($"{at}/plan"))["lines"]!.AsArray(), l => Assert.Null(l!["mark"]));

        JsonNode twice = await Make(
            new JsonArray(Mark(line, "done", "2031-05-12T08:00:00Z"), Mark(line, "fixed", "2031-05-12T09:00:00Z")),
            status: 422
        );
        Assert.Equal("A task is marked twice.", (string)twice["detail"]!);
        JsonNode mute = await Make(
            null,
            new JsonArray(
                new JsonObject
                {
                    ["first"] = line["key"]!["job"]!.DeepClone(),
                    ["then"] = line["key"]!["job"]!.DeepClone(),
                    ["reason"] = "",
                }
            ),
            400
        );
        Assert.Contains("Say in up to 300 characters why", mute.ToJsonString(), StringComparison.Ordinal);
        Assert.Equal(404, (await app.Send(HttpMethod.Get, $"{at}/plan/starts/opening/nothing/cut", null)).Status);
        Assert.Equal(404, (await app.Send(HttpMethod.Get, $"{at}/plan/list?date=2040-01-01", null)).Status);
    }

    [Fact]
    public async Task Own_tasks_are_written_down_checked_and_planned()
    {
        JsonNode Own(string until) =>
            JsonNode.Parse(
                $$"""
                {"name":"Collect the board","minutes":90,"people":1,"place":"outside","dry":false,"windBelowMs":null,
                "notBefore":"2031-05-13T09:00:00Z","until":"{{until}}","isDone":false}
                """
            )!;
        (int early, JsonNode? wrong) = await app.Send(HttpMethod.Post, $"{at}/own-tasks", Own("2031-05-13T10:00:00Z"));
        Assert.Equal(400, early);
        Assert.Contains("It does not fit between its earliest beginning and its latest end.", wrong!.ToJsonString(), StringComparison.Ordinal);
        (int status, _) = await app.Send(HttpMethod.Post, $"{at}/own-tasks", Own("2031-05-13T12:00:00Z"));
        Assert.Equal(200, status);
        await Make();
        JsonNode line = (await app.Get($"{at}/plan"))["lines"]!.AsArray().Single(l => (string)l!["key"]!["job"]!["kind"]! == "own")!;
        Assert.InRange(
            DateTimeOffset.Parse((string)line["kept"]!["from"]!),
            new DateTimeOffset(2031, 5, 13, 9, 0, 0, TimeSpan.Zero),
            new DateTimeOffset(2031, 5, 13, 10, 30, 0, TimeSpan.Zero)
        );
    }
}
