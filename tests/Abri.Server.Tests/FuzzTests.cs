using System.Diagnostics;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using CsCheck;

namespace Abri.Server.Tests;

/// <summary>
/// Every operation of the API's document with inputs made from its schemas, and every reader of files with files that are nearly right: no failure of
/// the program, no answer that takes longer than <see cref="MostSeconds"/>, and no memory that stays taken.
/// </summary>
[Trait(Long.Name, Long.Value)]
public sealed class FuzzTests : IAsyncLifetime
{
    private const double MostSeconds = 2;
    private const long MostBytes = 400L * 1024 * 1024;
    private RunningApp app = null!;
    private JsonNode document = null!;
    private string vehicleFile = "";
    private Dictionary<string, string[]> ids = [];

    public async Task InitializeAsync()
    {
        app = await RunningApp.Start();
        document = await app.Get("/openapi/v1.json");
        await Known((string)(await app.Get("/api/vehicles"))[0]!["id"]!);
        vehicleFile = (await app.Get($"/api/vehicles/{ids["vehicleId"][0]}/vehicle.json?photos=false")).ToJsonString();
        // What has never run is compiled first; that is no part of an answer's time.
        foreach ((string name, JsonNode input) in Samples.Inputs())
            await app.Send(HttpMethod.Post, $"/api/calculators/{name}", input);
    }

    private async Task Known(string vehicle)
    {
        JsonNode shell = await app.Get($"/api/vehicles/{vehicle}/shell");
        string[] Ids(string list) => [.. shell[list]!.AsArray().Select(row => (string)row!["id"]!)];
        ids = new Dictionary<string, string[]>
        {
            ["vehicleId"] = [vehicle],
            ["panelId"] = Ids("panels"),
            ["recordId"] = Ids("findings"),
            ["id"] =
            [
                vehicle,
                .. Ids("panels").Take(2),
                .. Ids("members").Take(2),
                .. Ids("openings"),
                .. Ids("findings").Take(2),
                .. Ids("zones").Take(1),
                .. Ids("suspects").Take(1),
                .. Ids("drains").Take(1),
            ],
        };
    }

    public async Task DisposeAsync() => await app.DisposeAsync();

    [Fact]
    public void No_operation_fails_or_stays_busy_on_inputs_of_its_schema()
    {
        var operations = document["paths"]!
            .AsObject()
            .SelectMany(path => path.Value!.AsObject().Select(o => (Path: path.Key, Method: o.Key.ToUpperInvariant(), Operation: o.Value!)))
            .ToList();
        Assert.True(operations.Count > 100, $"Only {operations.Count} operations were found.");
        Dictionary<string, JsonNode> samples = Samples.Inputs();
        Gen.Select(Gen.Int[0, operations.Count - 1], Gen.Int[0, int.MaxValue])
            .Holds(
                (which, seed) =>
                {
                    Refill().GetAwaiter().GetResult();
                    (string path, string method, JsonNode operation) = operations[which];
                    var random = new Random(seed);
                    JsonNode? body = operation["requestBody"]?["content"]?["application/json"]?["schema"] is { } schema
                        ? samples.TryGetValue(path.Split('/')[^1], out JsonNode? sample) && random.Next(3) > 0
                            ? Bent(JsonNode.Parse(sample.ToJsonString())!, random)
                            : Made(schema, random, 0)
                        : null;
                    string address = Address(path, operation, random);
                    Answers(method, address, body?.ToJsonString(), "application/json", random.Next(3) == 0 ? null : random.Next(1, 4).ToString());
                },
                cases: 6000
            );
        Settles();
    }

    [Fact]
    public void No_reader_of_files_fails_or_stays_busy_on_files_that_are_nearly_right()
    {
        string opening = ids["id"]
            .First(id =>
                app.Http.GetAsync($"/api/vehicles/{ids["vehicleId"][0]}/openings/{id}/sheet.svg").GetAwaiter().GetResult().IsSuccessStatusCode
            );
        string Sheet(string ending) =>
            app.Http.GetStringAsync($"/api/vehicles/{ids["vehicleId"][0]}/openings/{opening}/sheet.{ending}").GetAwaiter().GetResult();
        (string Address, string Type, string File)[] files =
        [
            ("/api/drawings/read?unit=mm", "image/svg+xml", Sheet("svg")),
            (
                "/api/drawings/read?unit=mm",
                "image/svg+xml",
                "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm' viewBox='0 0 100 "
                    + "100'><style>.a{stroke-width:3}</style><defs><path id='p' d='M0 0 C10 10 20 20 30 0 a5 5 0 1 1 9 "
                    + "9z'/></defs><g id='OUTLINE' transform='rotate(5) scale(2)'><use href='#p'/></g><clipPath id='c'><rect "
                    + "width='9' height='9'/></clipPath><rect id='SEAM' clip-path='url(#c)' width='40' height='5'/></svg>"
            ),
            ("/api/drawings/read?unit=mm", "application/dxf", Sheet("dxf")),
            (
                "/api/drawings/read?unit=mm",
                "application/dxf",
                "  0\nSECTION\n  2\nENTITIES\n  0\nLWPOLYLINE\n  8\nOUTLINE\n 70\n1\n 10\n0\n 20\n0\n 42\n0.5\n 10\n100\n 20\n0\n "
                    + "10\n100\n 20\n90\n  0\nARC\n  8\nSEAM\n 10\n5\n 20\n5\n 40\n3\n 50\n0\n 51\n90\n  0\nENDSEC\n  0\nEOF\n"
            ),
            ("/api/sections/read", "text/csv", "station;t;depth;edge\n900;-600;12,5;0\n900;0;0;0\n1800;-600;14;0\n1800;0;1;0\n"),
            ("/api/vehicles/import", "application/json", vehicleFile),
        ];
        Gen.Select(Gen.Int[0, files.Length - 1], Gen.Int[0, int.MaxValue])
            .Holds(
                (which, seed) =>
                {
                    (string address, string type, string file) = files[which];
                    Answers("POST", address, Spoilt(file, new Random(seed)), type, null);
                },
                cases: 3000
            );
        Settles();
    }

    /// <summary>One of the operations removes the vehicle: the next ones get it back from its file.</summary>
    private async Task Refill()
    {
        if ((await app.Send(HttpMethod.Get, $"/api/vehicles/{ids["vehicleId"][0]}", null)).Status == 200)
            return;
        await Known((string)(await app.SendText(HttpMethod.Post, "/api/vehicles/import", vehicleFile)).Body!["id"]!);
    }

    private void Answers(string method, string address, string? body, string type, string? ifMatch)
    {
        var clock = Stopwatch.StartNew();
        (int status, JsonNode? answer) = app.SendText(new HttpMethod(method), address, body, ifMatch, type).GetAwaiter().GetResult();
        double seconds = clock.Elapsed.TotalSeconds;
        Assert.True(
            status < 500 || (status == 503 && address.Contains("/devices/", StringComparison.Ordinal)),
            $"{status} for {method} {address}: {body} {answer}"
        );
        Assert.True(seconds < MostSeconds, $"{seconds:0.0} s for {method} {address}: {body}");
    }

    private static void Settles()
    {
        GC.Collect(2, GCCollectionMode.Aggressive, blocking: true, compacting: true);
        Assert.InRange(GC.GetTotalMemory(forceFullCollection: true), 0, MostBytes);
    }

    private string Address(string path, JsonNode operation, Random random)
    {
        foreach ((string name, string[] known) in ids)
            path = path.Replace($"{{{name}}}", random.Next(12) == 0 ? "nobody" : known[random.Next(known.Length)], StringComparison.Ordinal);
        while (path.IndexOf('{') is >= 0 and var open)
            path = path[..open] + "distanceMeter" + path[(path.IndexOf('}') + 1)..];
        IEnumerable<string> query = (operation["parameters"]?.AsArray() ?? [])
            .Where(p => (string?)p!["in"] == "query" && random.Next(4) > 0)
            .Select(p => $"{p!["name"]}={Uri.EscapeDataString(Made(p["schema"] ?? new JsonObject(), random, 0)?.ToString() ?? "")}");
        return path + (query.Any() ? "?" + string.Join('&', query) : "");
    }

    /// <summary>A value of a schema: mostly in the range of the trade, now and then at the edges of what can be written.</summary>
    private JsonNode? Made(JsonNode schema, Random random, int depth)
    {
        if (schema["$ref"] is { } reference)
            return Made(document["components"]!["schemas"]![((string)reference!).Split('/')[^1]]!, random, depth);
        if ((schema["oneOf"] ?? schema["anyOf"]) is JsonArray choices)
            return Made(choices[random.Next(choices.Count)]!, random, depth);
        if (schema["enum"] is JsonArray names)
            return names[random.Next(names.Count)]?.DeepClone();
        string[] types = schema["type"] switch
        {
            JsonArray several => [.. several.Select(t => (string)t!)],
            { } one => [(string)one!],
            _ => ["string"],
        };
        switch (types[random.Next(types.Length)])
        {
            case "object":
                var made = new JsonObject();
                foreach ((string field, JsonNode? of) in schema["properties"]?.AsObject() ?? [])
                {
                    if (depth < 12 && random.Next(40) > 0)
                        made[field] = Made(of!, random, depth + 1);
                }
                return made;
            case "array":
                int length = random.Next(40) == 0 ? 200 : random.Next(0, 5);
                return new JsonArray([
                    .. Enumerable.Range(0, depth > 6 ? 0 : length).Select(_ => Made(schema["items"] ?? new JsonObject(), random, depth + 1)),
                ]);
            case "number":
                return (JsonNode)Number(random);
            case "integer":
                return (JsonNode)random.Next(-2, 60);
            case "boolean":
                return (JsonNode)(random.Next(2) == 0);
            case "null":
                return null;
            default:
                return (string?)schema["format"] switch
                {
                    "date-time" => (JsonNode)"2026-04-11T09:30:00Z",
                    "date" => (JsonNode)"2026-04-11",
                    _ => (JsonNode)new[] { "", "a", "Roof", "=1+1", new string('x', 5000), "\u0000", "屋根", "0 / 600 / 660" }[random.Next(8)],
                };
        }
    }

    private static double Number(Random random) =>
        random.Next(12) switch
        {
            0 => 0,
            1 => -1,
            2 => 1e9,
            3 => 1e-9,
            4 => -1e300,
            5 => 30_000,
            6 => random.NextDouble(),
            _ => Math.Round(random.NextDouble() * 4000, 1),
        };

    /// <summary>An input that was right, with a few of its leaves bent: numbers scaled, lists grown, values exchanged.</summary>
    private static JsonNode Bent(JsonNode input, Random random)
    {
        for (int times = random.Next(1, 6); times > 0; times--)
        {
            List<JsonNode> all = [.. Below(input)];
            JsonNode at = all[random.Next(all.Count)];
            if (at is JsonArray { Count: > 0 } list)
            {
                int copies = random.Next(6) == 0 ? 300 : random.Next(1, 6);
                for (int i = 0; i < copies; i++)
                    list.Add(list[random.Next(list.Count)]?.DeepClone());
            }
            else if (at.GetValueKind() == JsonValueKind.Number && at.Parent is not null)
            {
                double value = double.Parse(at.ToJsonString());
                at.ReplaceWith(
                    random.Next(4) switch
                    {
                        0 => value * -1,
                        1 => value * 10,
                        2 => value + (random.NextDouble() * 200),
                        _ => Number(random),
                    }
                );
            }
        }
        return input;
    }

    private static IEnumerable<JsonNode> Below(JsonNode? node) =>
        node switch
        {
            JsonObject o => o.SelectMany(p => Below(p.Value)).Append(o),
            JsonArray a => a.SelectMany(Below).Append(a),
            null => [],
            _ => [node],
        };

    /// <summary>A file with a few pieces cut out, doubled, exchanged, or numbers changed.</summary>
    private static string Spoilt(string file, Random random)
    {
        var text = new StringBuilder(file);
        for (int times = random.Next(1, 8); times > 0 && text.Length > 10; times--)
        {
            int from = random.Next(text.Length - 1),
                length = Math.Min(random.Next(1, 60), text.Length - from);
            string piece = text.ToString(from, length);
            switch (random.Next(6))
            {
                case 0:
                    text.Remove(from, length);
                    break;
                case 1:
                    text.Insert(random.Next(text.Length), piece);
                    break;
                case 2:
                    text.Insert(from, string.Concat(Enumerable.Repeat(piece, 50)));
                    break;
                case 3:
                    text[from] = (char)random.Next(1, 255);
                    break;
                case 4:
                    text.Insert(
                        from,
                        new[] { "1e308", "-0", "NaN", "<g>", "</g>", "url(#c)", "999999999", "\n0\nENDSEC\n", "{}", "[[[[", ";;", "\"" }[
                            random.Next(12)
                        ]
                    );
                    break;
                default:
                    text.Length = Math.Max(10, from);
                    break;
            }
        }
        return text.ToString();
    }
}
