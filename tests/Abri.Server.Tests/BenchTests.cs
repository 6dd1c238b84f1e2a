using System.Text.Json.Nodes;

namespace Abri.Server.Tests;

/// <summary>The bench over the wire, on an opening of the demo.</summary>
public sealed class BenchTests : IAsyncLifetime
{
    private RunningApp app = null!;
    private string at = "",
        vehicle = "";

    public async Task InitializeAsync()
    {
        app = await RunningApp.Start(now: new DateTimeOffset(2031, 5, 12, 7, 40, 0, TimeSpan.Zero));
        string heron = (string)(await app.Get("/api/vehicles")).AsArray().Single(v => (string)v!["value"]!["name"]! == "Heron")!["id"]!;
        vehicle = $"/api/vehicles/{heron}";
        JsonNode vent = (await app.Get($"{vehicle}/bench")).AsArray().Single(j => (string)j!["name"]! == "Vent over the glaze bench")!;
        at = $"{vehicle}/bench/opening/{vent["job"]!["id"]}";
    }

    public async Task DisposeAsync() => await app.DisposeAsync();

    private static JsonObject Report(JsonNode step, string token = "one", string? by = "Ada")
    {
        JsonArray readings =
        [
            .. step["holds"]!
                .AsArray()
                .Select(h => new JsonObject
                {
                    ["name"] = (string)h!["name"]!,
                    ["value"] = h["unit"] is null ? null : h["wanted"]?.DeepClone() ?? 1,
                    ["seen"] = h["unit"] is null ? true : null,
                }),
        ];
        return new JsonObject
        {
            ["token"] = token,
            ["by"] = by,
            ["minutes"] = 25,
            ["readings"] = readings,
            ["asCut"] = null,
            ["overruled"] = null,
            ["notes"] = "",
            ["told"] = (string)step["do"]!,
        };
    }

    private async Task<JsonNode> Next()
    {
        JsonNode job = await app.Get(at);
        return job["steps"]!.AsArray().Single(s => (string)s!["step"]!["key"]! == (string)job["nextKey"]!)!["step"]!;
    }

    [Fact]
    public async Task A_step_is_done_once_however_often_it_is_sent_and_taken_back_with_what_it_changed()
    {
        JsonNode step = await Next();
        string path = $"{at}/{step["key"]}";
        (int status, JsonNode? first) = await app.Send(HttpMethod.Post, path, Report(step));
        Assert.Equal((200, "Ada"), (status, (string)first!["value"]!["report"]!["by"]!));
        // The answer was lost on the way: the same report is the same step.
        (int again, JsonNode? same) = await app.Send(HttpMethod.Post, path, Report(step));
        Assert.Equal((200, (string)first["id"]!), (again, (string)same!["id"]!));
        // From a second phone it was done already, and it is said by whom.
        (int other, JsonNode? twice) = await app.Send(HttpMethod.Post, path, Report(step, "two", "Ben"));
        Assert.Equal(409, other);
        Assert.EndsWith("was done already, by Ada.", (string)twice!["detail"]!, StringComparison.Ordinal);
        Assert.NotEqual((string)step["key"]!, (string)(await Next())["key"]!);
        Assert.StartsWith("Done: ", (string)(await app.Send(HttpMethod.Post, $"{vehicle}/undo", null)).Body!["what"]!, StringComparison.Ordinal);
        Assert.Equal((string)step["key"]!, (string)(await Next())["key"]!);
    }

    [Fact]
    public async Task The_cut_opens_the_shell_in_one_change_with_its_step_and_undo_closes_it_again()
    {
        JsonNode step = await Next();
        for (int i = 0; (string)step["shell"]! != "opens"; i++)
        {
            JsonObject report = Report(step, $"t{i}");
            report["overruled"] = "Nothing waits in a test";
            Assert.Equal(200, (await app.Send(HttpMethod.Post, $"{at}/{step["key"]}", report)).Status);
            step = await Next();
        }
        JsonObject cut = Report(step, "cut");
        cut["overruled"] = "Nothing waits in a test";
        Assert.Equal(200, (await app.Send(HttpMethod.Post, $"{at}/{step["key"]}", cut)).Status);
        async Task<string> State() =>
            (string)
                (await app.Get($"{vehicle}/shell"))["openings"]!.AsArray().Single(o => (string)o!["value"]!["name"]! == "Vent over the glaze bench")![
                    "value"
                ]!["state"]!;
        Assert.Equal("cut", await State());
        JsonNode[] bench = [.. (await app.Get($"{vehicle}/bench")).AsArray().Select(j => j!)];
        Assert.True((bool)bench[0]["isOpen"]!);
        await app.Send(HttpMethod.Post, $"{vehicle}/undo", null);
        Assert.Equal("planned", await State());
        Assert.Equal((string)step["key"]!, (string)(await Next())["key"]!);
    }

    [Fact] // Each row is then what a save would take: one that were not could not be opened any more
    public async Task Every_job_of_the_demo_is_done_on_the_bench_to_its_end()
    {
        foreach (JsonNode? row in (await app.Get("/api/vehicles")).AsArray())
        {
            string of = $"/api/vehicles/{row!["id"]}";
            foreach (JsonNode? line in (await app.Get($"{of}/bench")).AsArray().Where(j => j!["missing"] is null))
            {
                (string kind, string id) = ((string)line!["job"]!["kind"]!, (string)line["job"]!["id"]!);
                string job = $"{of}/bench/{kind}/{id}";
                for (int i = 0; (string?)(await app.Get(job))["nextKey"] is { } key; i++)
                {
                    Assert.InRange(i, 0, 60);
                    JsonNode step = (await app.Get(job))["steps"]!.AsArray().Single(s => (string)s!["step"]!["key"]! == key)!["step"]!;
                    JsonObject report = Report(step, $"{i}");
                    report["overruled"] = "Nothing waits in a test";
                    (int status, JsonNode? answer) = await app.Send(HttpMethod.Post, $"{job}/{key}", report);
                    Assert.True(status == 200, $"{line["name"]}, {key}: {answer}");
                }
                JsonNode over = await app.Get(job);
                Assert.True(over["missing"] is null, $"{line["name"]}: {over["missing"]}");
                Assert.All(over["steps"]!.AsArray(), s => Assert.Equal("done", (string)s!["state"]!));
                JsonNode shell = await app.Get($"{of}/shell");
                Assert.Empty(shell["open"]!.AsArray());
                JsonNode? floor = shell["floor"];
                JsonNode rows = (kind is "replacement" or "lining" ? floor : shell)![$"{kind}s"]!;
                JsonNode kept = rows.AsArray().Single(r => (string)r!["id"]! == id)!;
                (int saved, JsonNode? why) = await app.Send(
                    HttpMethod.Put,
                    $"{of}/{kind}s/{id}",
                    kept["value"]!.DeepClone(),
                    kept["version"]!.ToString()
                );
                Assert.True(saved == 200, $"{line["name"]}: {why}");
            }
        }
    }

    [Fact]
    public async Task What_is_typed_is_judged_as_it_is_typed_and_a_report_that_cannot_be_is_told()
    {
        JsonNode step = await Next();
        string name = (string)step["holds"]![0]!["name"]!;
        JsonNode none = (await app.Send(HttpMethod.Post, $"{at}/{step["key"]}/check", JsonNode.Parse("""{"readings":[],"asCut":null}"""))).Body!;
        Assert.False((bool)none[0]!["isMet"]!);
        Assert.Equal(name, (string)none[0]!["name"]!);
        JsonObject report = Report(step);
        report["readings"] = new JsonArray();
        (int status, JsonNode? open) = await app.Send(HttpMethod.Post, $"{at}/{step["key"]}", report);
        Assert.Equal((422, "hold-open"), (status, (string)open!["code"]!));
        report["readings"] = JsonNode.Parse($$"""[{"name":"{{name}}","value":1e9,"seen":null}]""");
        (int wild, JsonNode? range) = await app.Send(HttpMethod.Post, $"{at}/{step["key"]}", report);
        Assert.Equal((400, "/readings/0/value"), (wild, (string)range!["pointer"]!));
        JsonObject nobody = Report(step, by: " ");
        Assert.Equal(400, (await app.Send(HttpMethod.Post, $"{at}/{step["key"]}", nobody)).Status);
        Assert.Equal(422, (await app.Send(HttpMethod.Post, $"{at}/no-such-step", Report(step))).Status);
        Assert.Equal(404, (await app.Send(HttpMethod.Get, $"{vehicle}/bench/opening/nothing", null)).Status);
        Assert.Equal(404, (await app.Send(HttpMethod.Post, $"{at}/no-such-step/check", JsonNode.Parse("""{"readings":[],"asCut":null}"""))).Status);
    }
}
