using System.Globalization;
using System.Text.Json.Nodes;

namespace Abri.Server.Tests;

/// <summary>
/// Requests in which one field is wrong, and how they were answered: every field of every calculator and record, too low, too high, empty, too long
/// and
/// of another kind. Recorded once (<c>ABRI_WRITE_ANSWERS=1</c> writes them anew), so that no rebuilding makes an answer worse unseen.
/// </summary>
public sealed class BadRequestTests : IAsyncLifetime
{
    private static readonly string[] Numbers = ["-1e7", "1e7", "\"x\""],
        Texts = ["\"\"", "9"],
        Lists = ["[null]", "{}"];

    private RunningApp app = null!;

    public async Task InitializeAsync() => app = await RunningApp.Start();

    public async Task DisposeAsync() => await app.DisposeAsync();

    [Fact]
    public async Task Bad_requests_are_answered_as_they_were_recorded()
    {
        string file = Path.Combine(RunningApp.Root(), "tests/reference/bad-requests.txt");
        var answers = new List<string>();
        var seen = new HashSet<string>();
        foreach ((string address, JsonNode body) in await Bodies())
        {
            foreach ((string pointer, string value) in Wrongs(body, ""))
            {
                // What many have in common, such as a site, is told once: by the last two names and the value.
                if (!seen.Add($"{string.Join('/', pointer.Split('/')[^Math.Min(3, pointer.Split('/').Length)..])} {value}"))
                    continue;
                var (status, answer) = await app.SendText(HttpMethod.Post, address, With(body, pointer, value));
                if (status == 200)
                    continue;
                answers.Add(
                    $"{address.Split('/')[^1]} {pointer} {Short(value, 24)} => {status} {answer!["code"]} {answer["pointer"]} "
                        + $"{Short((string)answer["detail"]!, 300)}"
                );
            }
        }
        if (Environment.GetEnvironmentVariable("ABRI_WRITE_ANSWERS") == "1")
            await File.WriteAllLinesAsync(file, answers);
        string[] recorded = await File.ReadAllLinesAsync(file);
        Assert.True(recorded.Length > 800, $"Only {recorded.Length} answers are recorded.");
        Assert.Equal(recorded, answers);
    }

    /// <summary>What is sent, and where: inputs of the calculators, and records as the demo has them.</summary>
    private async Task<IReadOnlyList<(string Address, JsonNode Body)>> Bodies()
    {
        var bodies = Samples.Inputs().Select(i => ($"/api/calculators/{i.Key}", i.Value)).ToList();
        JsonNode vehicle = (await app.Get("/api/vehicles")).AsArray().Single(v => (string)v!["value"]!["name"]! == "Heron")!,
            shell = await app.Get($"/api/vehicles/{vehicle["id"]}/shell");
        string at = $"/api/vehicles/{vehicle["id"]}";
        bodies.Add(("/api/vehicles", vehicle["value"]!));
        bodies.Add(($"{at}/zones", shell["zones"]![0]!["value"]!));
        foreach (
            (string list, string name) in new[]
            {
                ("openings", "openings"),
                ("findings", "findings"),
                ("drains", "drains"),
                ("coverings", "coverings"),
                ("observations", "observations"),
                ("sealReadings", "seal-readings"),
            }
        )
        {
            JsonNode row = shell[list]![0]!;
            bodies.Add(($"{at}/panels/{row["ownerId"]}/{name}", row["value"]!));
        }
        bodies.Add(("/api/fittings", (await app.Get("/api/fittings/typical"))[0]!));
        return bodies;
    }

    private static IEnumerable<(string Pointer, string Value)> Wrongs(JsonNode? node, string pointer)
    {
        switch (node)
        {
            case JsonObject fields:
                foreach ((string name, JsonNode? field) in fields)
                {
                    foreach (var wrong in Wrongs(field, $"{pointer}/{name}"))
                        yield return wrong;
                }
                break;
            case JsonArray list:
                foreach (string value in Lists)
                    yield return (pointer, value);
                if (list.Count > 0)
                {
                    yield return (pointer, "[" + string.Join(',', Enumerable.Repeat(list[0]!.ToJsonString(), 501)) + "]");
                    foreach (var wrong in Wrongs(list[0], $"{pointer}/0"))
                        yield return wrong;
                }
                break;
            case JsonValue value when value.GetValueKind() == System.Text.Json.JsonValueKind.Number:
                foreach (string number in Numbers)
                    yield return (pointer, number);
                break;
            case JsonValue value when value.GetValueKind() == System.Text.Json.JsonValueKind.String:
                foreach (string text in Texts)
                    yield return (pointer, text);
                yield return (pointer, "\"" + new string('n', 5000) + "\"");
                break;
        }
    }

    private static string Short(string text, int most) => text.Length <= most ? text : $"{text[..most]}... ({text.Length} letters)";

    private static string With(JsonNode body, string pointer, string value)
    {
        JsonNode copy = body.DeepClone();
        string[] path = pointer[1..].Split('/');
        JsonNode parent = path[..^1]
            .Aggregate(copy, (node, key) => int.TryParse(key, NumberStyles.None, CultureInfo.InvariantCulture, out int i) ? node[i]! : node[key]!);
        JsonNode? wrong = JsonNode.Parse(value);
        if (parent is JsonArray list)
            list[int.Parse(path[^1], CultureInfo.InvariantCulture)] = wrong;
        else
            parent[path[^1]] = wrong;
        return copy.ToJsonString();
    }
}
