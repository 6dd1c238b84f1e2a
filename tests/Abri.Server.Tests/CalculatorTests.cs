using System.Text.Json.Nodes;
using CsCheck;

namespace Abri.Server.Tests;

/// <summary>One running application for all tests of the calculators: they keep nothing.</summary>
public sealed class CalculatorApp : IAsyncLifetime
{
    internal RunningApp App { get; private set; } = null!;

    public async Task InitializeAsync() => App = await RunningApp.Start(withDemo: false);

    public async Task DisposeAsync() => await App.DisposeAsync();
}

public sealed class CalculatorTests(CalculatorApp shared) : IClassFixture<CalculatorApp>
{
    private static readonly string[] Damage =
    [
        "null",
        "-1",
        "0",
        "1e308",
        "-1e308",
        "1e-300",
        "\"\"",
        "\"x\"",
        "[]",
        "{}",
        "true",
        "999999999999",
        "[null]",
        "1.7976931348623157e308",
    ];

    private readonly RunningApp app = shared.App;

    [Fact]
    public async Task Every_calculator_answers_with_result_steps_sources_and_warnings()
    {
        foreach ((string name, JsonNode input) in Samples.Inputs())
        {
            var (status, body) = await app.Send(HttpMethod.Post, $"/api/calculators/{name}", input);
            Assert.True(status == 200, $"{name}: {body}");
            Assert.NotNull(body!["result"]);
            Assert.NotEmpty(body["steps"]!.AsArray());
            Assert.NotEmpty(body["sources"]!.AsArray());
            Assert.NotNull(body["warnings"]);
        }
    }

    [Fact] // Worked by hand: (545 - 400) / 2
    public async Task The_verdict_of_the_hand_worked_bay_comes_over_the_wire()
    {
        var (_, body) = await app.Send(HttpMethod.Post, "/api/calculators/opening-verdict", Samples.Inputs()["opening-verdict"]);
        Assert.Equal(72.5, (double)body!["result"]!["clearances"]!["frontMm"]!);
        Assert.Equal("good", (string)body["result"]!["state"]!);
    }

    [Theory]
    [InlineData("opening-verdict", "/site/panel/skinMm", "-1", 400, "out-of-range", "/site/panel/skinMm")]
    [InlineData("opening-verdict", "/site/panel/skinMm", "1e999", 400, "out-of-range", "/site/panel/skinMm")]
    [InlineData("opening-verdict", "/site/panel/skinMm", "\"0.8\"", 400, "json-unreadable", "/site/panel/skinMm")]
    [InlineData("opening-verdict", "/centre/tMm", "1e12", 400, "out-of-range", "/centre/tMm")]
    [InlineData("opening-verdict", "/site/turnDeg", "45", 400, "out-of-range", "/site/turnDeg")]
    [InlineData("opening-verdict", "/site/fitting/cutOut/widthMm", "0", 400, "out-of-range", "/site/fitting/cutOut/widthMm")]
    [InlineData("opening-verdict", "/site/fitting/massKg", "9999", 400, "out-of-range", "/site/fitting/massKg")]
    [InlineData("opening-verdict", "/site/fitting/neck/widthMm", "450", 422, "neck-larger-than-cut-out", "/site/fitting/neck")]
    [InlineData("opening-verdict", "/site/fitting/flange/widthMm", "401", 422, "flange-too-small", "/site/fitting/flange")]
    [InlineData("opening-verdict", "/site/members/1/footprint/points/0/sMm", "9000", 422, "member-off-panel", "/site/members/1/footprint")]
    [InlineData("opening-verdict", "/site/members/0/kind", "\"pillar\"", 422, "member-never-cut", "/site/members/0/role")]
    [InlineData("opening-verdict", "/site/members/0/kind", "\"broom\"", 400, "json-unreadable", "/site/members/0/kind")]
    [InlineData("opening-verdict", "/site/members/0/kind", "3", 400, "json-unreadable", "/site/members/0/kind")]
    [InlineData("bays", "/panel/outline/1/sMm", "-500", 422, "outline-crosses-itself", "/panel/outline")]
    [InlineData("bays", "/panel/colour", "1", 400, "unknown-field", "/panel/colour")]
    [InlineData("length-parse", "/lengths/units", "\"furlong\"", 400, "json-unreadable", "/lengths/units")]
    [InlineData("length-parse", "/text", "\"1 5/7\"", 400, "length-unreadable", "/text")]
    [InlineData("tape-chain", "/run/readings", "\"560 / 550\"", 400, "tape-reading", "/run/readings")]
    [InlineData("setting-out", "/marking/startHoleMm", "99999", 400, "out-of-range", "/marking/startHoleMm")]
    [InlineData("ponding", "/cellMm", "0.1", 400, "out-of-range", "/cellMm")]
    [InlineData("ponding", "/attitude/pitchDeg", "45", 400, "out-of-range", "/attitude/pitchDeg")]
    [InlineData("ponding", "/roof/dams/0/edge/sMaxMm", "600", 400, "out-of-range", "/roof/dams/0/edge")]
    [InlineData("ponding-park", "/roof/dams/0/edge/tMinMm", "5000", 400, "out-of-range", "/roof/dams/0/edge")]
    [InlineData("ponding-grid", "/grid/columns", "4", 400, "grid-incomplete", "/grid/heightsMm")]
    [InlineData("ponding-grid", "/grid/columns", "90000", 400, "grid-incomplete", "/grid/heightsMm")]
    [InlineData("ponding-grid", "/grid/heightsMm", "[1e9,0,0,0,0,0,0,0,0]", 400, "out-of-range", "/grid/heightsMm/0")]
    [InlineData("resting-plane", "/weight/sMm", "900", 422, "seat-unsupported", "/weight")]
    [InlineData("seat", "/centre/sMm", "100", 422, "flange-off-panel", "/centre")]
    [InlineData("seat", "/tape/squeezedShare", "0", 400, "out-of-range", "/tape/squeezedShare")]
    [InlineData("clamp-stack", "/layers/0/thickMm", "70", 422, "clamp-too-thick", "/layers")]
    [InlineData("clamp-stack", "/range/mostMm", "20", 422, "clamp-range", "/range")]
    [InlineData("tightening-order", "/screws", "[]", 400, "screws-count", "/screws")]
    [InlineData("gasket", "/afterMm", "[4,9]", 400, "gasket-gap", "/afterMm/1")]
    [InlineData("bead", "/bead/cartridgeMl", "0", 400, "out-of-range", "/bead/cartridgeMl")]
    [InlineData("bond-thickness", "/strain", "0", 400, "out-of-range", "/strain")]
    [InlineData("absolute-humidity", "/relativePercent", "0", 400, "humidity", "/relativePercent")]
    [InlineData("dew-point", "/relativePercent", "0", 400, "humidity", "/relativePercent")]
    [InlineData("dew-point", "/surfaceC", "400", 400, "out-of-range", "/surfaceC")]
    [InlineData("seal-gap", "/readings/0/sealMm", "0", 400, "out-of-range", "/readings/0/sealMm")]
    [InlineData("leak-suspects", "/suspects/0/prior", "1.5", 400, "leak-probability", "/suspects/0/prior")]
    [InlineData("leak-suspects", "/suspects/1/reaches", "[]", 400, "leak-reaches", "/suspects/1/reaches")]
    [InlineData("leak-suspects", "/evidence/0/spot", "3", 400, "leak-spot-unknown", "/evidence/0/spot")]
    [InlineData("leak-suspects", "/evidence/1/shows", "[0.5]", 400, "leak-reaches", "/evidence/1/shows")]
    [InlineData("next-water-test", "/candidates/0/minutes", "0", 400, "water-test-minutes", "/candidates/0/minutes")]
    [InlineData("next-water-test", "/question/falseAlarm", "-1", 400, "leak-probability", "/question/falseAlarm")]
    [InlineData("leak-suspects-shell", "/mark", "\"Moon\"", 400, "mark-unknown", "/mark")]
    [InlineData("leak-suspects-shell", "/shell/panels", "[]", 400, "shell-empty", "/shell/panels")]
    [InlineData(
        "leak-suspects-shell",
        "/shell/panels/0/observations/0/spray/minutes",
        "0",
        400,
        "out-of-range",
        "/shell/panels/0/observations/0/spray/minutes"
    )]
    [InlineData("leak-suspects-shell", "/shell/priors/0/probability", "7", 400, "out-of-range", "/shell/priors/0/probability")]
    [InlineData("drying", "/readings/1/hours", "0", 400, "readings-too-few", "/readings")]
    [InlineData("drying", "/limitPercent", "11", 400, "limit-below-air", "/limitPercent")]
    [InlineData("squareness", "/risingMm", "200", 422, "readings-impossible", "/readings")]
    [InlineData("sagitta", "/riseMm", "12", 400, "arc-two-figures", "")]
    [InlineData("sagitta", "/chordMm", "7000", 400, "arc-impossible", "")]
    [InlineData("parallel-lines", "/apartMm", "0", 400, "out-of-range", "/apartMm")]
    [InlineData("section-parse", "/text", "\"-600 12; 0\"", 400, "section-reading", "/text")]
    [InlineData("surface-compare", "/panel/sections/0/readings/1/tMm", "-500", 422, "section-reading-twice", "/panel/sections/0/readings")]
    [InlineData("surface-relief", "/stepMm", "0.1", 400, "out-of-range", "/stepMm")]
    [InlineData("openings-together", "/site/fittings/0/wishes/0/kind", "\"leastFill\"", 400, "wish-not-together", "/site/fittings/0/wishes/0")]
    [InlineData("openings-together", "/site/fittings", "[]", 400, "together-count", "/site/fittings")]
    [InlineData("openings-together", "/site/fittings/1/fitting/flange/widthMm", "401", 422, "flange-too-small", "/site/fittings/1/fitting/flange")]
    [InlineData("openings-together", "/site/spacingMm", "-1", 400, "out-of-range", "/site/spacingMm")]
    [InlineData("draught", "/volumeM3", "0", 400, "air-volume", "/volumeM3")]
    [InlineData("draught", "/ways/0/flowM3h", "-5", 400, "out-of-range", "/ways/0/flowM3h")]
    [InlineData("sill-taper", "/frontMm", "2", 422, "sill-negative", "/frontMm")]
    [InlineData("inner-frame", "/centre/sMm", "100", 422, "frame-off-panel", "/centre")]
    [InlineData("tape-plan", "/sides/0/places/1/frameMm", "-3", 422, "negative-gap", "/sides/0/places")]
    [InlineData("tape-plan", "/sides", "[]", 400, "no-sides", "/sides")]
    [InlineData("opening-procedure", "/work/centre/sMm", "100", 422, "flange-off-panel", "/work/centre")]
    [InlineData("sealant-choice", "/products", "[]", 400, "no-products", "/products")]
    [InlineData("sealant-choice", "/joint/gapMm", "0", 422, "joint-without-width", "/joint/gapMm")]
    [InlineData("cure", "/weather", "[]", 400, "no-weather", "/weather")]
    [InlineData("cure", "/openFaces", "0", 400, "open-faces", "/openFaces")]
    [InlineData("cure", "/weather/0/relativePercent", "0", 400, "humidity", "/weather/0/relativePercent")]
    [InlineData("cure", "/product/skinMinutes", "null", 422, "product-cure", "/product/skinMinutes")]
    [InlineData("open-time", "/product/setting", "\"atOnce\"", 422, "open-time-none", "/product")]
    [InlineData("pot-life", "/grams", "0", 400, "out-of-range", "/grams")]
    [InlineData("hole-check", "/measured/risingDiagonalMm", "1200", 422, "readings-impossible", "/measured")]
    [InlineData("hole-check", "/measured/topWidthMm", "-4", 400, "out-of-range", "/measured/topWidthMm")]
    public async Task Bad_input_is_answered_with_code_pointer_and_advice(
        string name,
        string field,
        string value,
        int status,
        string code,
        string answered
    )
    {
        JsonNode input = Samples.Inputs()[name];
        string[] path = field[1..].Split('/');
        JsonNode parent = path[..^1].Aggregate(input, (node, key) => int.TryParse(key, out int i) ? node[i]! : node[key]!);
        parent[path[^1]] = "VALUE";
        var (got, body) = await app.SendText(HttpMethod.Post, $"/api/calculators/{name}", input.ToJsonString().Replace("\"VALUE\"", value));
        Assert.Equal((status, code, answered), (got, (string?)body?["code"], (string?)body?["pointer"]));
        Assert.True(((string)body!["detail"]!).Length > 15);
    }

    [Fact]
    public async Task A_point_with_a_missing_coordinate_is_not_taken_for_zero()
    {
        JsonNode input = Samples.Inputs()["opening-verdict"];
        input["centre"]!.AsObject().Remove("tMm");
        var (status, body) = await app.Send(HttpMethod.Post, "/api/calculators/opening-verdict", input);
        Assert.Equal((400, "missing-field"), (status, (string)body!["code"]!));
    }

    [Fact]
    public async Task Broken_and_oversized_bodies_and_wrong_types_are_refused()
    {
        Assert.Equal(400, (await app.SendText(HttpMethod.Post, "/api/calculators/bays", "{ \"panel\": ")).Status);
        Assert.Equal(400, (await app.SendText(HttpMethod.Post, "/api/calculators/bays", "")).Status);
        Assert.Equal(400, (await app.SendText(HttpMethod.Post, "/api/calculators/bays", new string('[', 5000))).Status);
        Assert.Equal(400, (await app.SendText(HttpMethod.Post, "/api/calculators/length-parse", """{"text":"1","text2":NaN}""")).Status);
        Assert.Equal(
            413,
            (await app.SendText(HttpMethod.Post, "/api/calculators/length-parse", "{\"text\":\"" + new string('1', 3_000_000) + "\"}")).Status
        );
        Assert.Equal(415, (await app.SendText(HttpMethod.Post, "/api/calculators/bays", "<x/>", type: "text/xml")).Status);
        Assert.Equal(404, (await app.SendText(HttpMethod.Post, "/api/calculators/nothing", "{}")).Status);
        Assert.Equal(405, (await app.SendText(HttpMethod.Delete, "/api/calculators/bays", null)).Status);
    }

    [Fact] // A list of nothing but a gap, wherever a list stands: found as a 500 at /question/spots of next-water-test
    public async Task A_gap_in_any_list_is_refused()
    {
        foreach ((string name, JsonNode input) in Samples.Inputs())
        {
            int lists = Leaves(input).Count(l => At(l) is JsonArray);
            for (int i = 0; i < lists; i++)
            {
                JsonNode copy = input.DeepClone();
                ((JsonArray)At(Leaves(copy).Where(l => At(l) is JsonArray).ElementAt(i))!).Insert(0, null);
                (int status, JsonNode? body) = await app.Send(HttpMethod.Post, $"/api/calculators/{name}", copy);
                Assert.True(status is 400 or 422, $"{name}, list {i}: {status} {body}");
            }
        }
    }

    [Fact] // Any leaf of any input replaced by something it should not be
    public void No_damaged_input_makes_the_program_fail()
    {
        Dictionary<string, JsonNode> inputs = Samples.Inputs();
        Gen.Select(Gen.Int[0, inputs.Count - 1], Gen.Int[0, 400], Gen.Int[0, Damage.Length - 1])
            .Holds(
                (which, leaf, how) =>
                {
                    (string name, JsonNode input) = inputs.ElementAt(which);
                    Refuses(name, input, leaf, Damage[how]);
                },
                cases: 600
            );
    }

    [Fact]
    [Trait(Long.Name, Long.Value)]
    public void No_leaf_of_any_input_can_be_damaged_so_that_the_program_fails()
    {
        foreach ((string name, JsonNode input) in Samples.Inputs())
        {
            int leaves = Leaves(input).Count();
            for (int leaf = 0; leaf < leaves; leaf++)
            {
                foreach (string damage in Damage)
                    Refuses(name, input, leaf, damage);
            }
        }
    }

    /// <summary>Sends an input with one leaf damaged; whatever comes of it, it is no failure of the program.</summary>
    private void Refuses(string name, JsonNode input, int leaf, string damage)
    {
        JsonNode copy = input.DeepClone();
        List<(JsonNode Parent, object Key)> leaves = [.. Leaves(copy)];
        (JsonNode parent, object key) = leaves[leaf % leaves.Count];
        if (key is int i)
            parent[i] = "VALUE";
        else
            parent[(string)key] = "VALUE";
        string body = copy.ToJsonString().Replace("\"VALUE\"", damage);
        int status = app.SendText(HttpMethod.Post, $"/api/calculators/{name}", body).GetAwaiter().GetResult().Status;
        Assert.True(status is 200 or 400 or 422, $"{status} for {name}: {body}");
    }

    private static JsonNode? At((JsonNode Parent, object Key) leaf) => leaf.Key is int i ? leaf.Parent[i] : leaf.Parent[(string)leaf.Key];

    private static IEnumerable<(JsonNode Parent, object Key)> Leaves(JsonNode node) =>
        node switch
        {
            JsonObject o => o.SelectMany(p => p.Value is JsonObject or JsonArray ? Leaves(p.Value).Append((o, p.Key)) : [(o, p.Key)]),
            JsonArray a => a.SelectMany((x, i) => x is JsonObject or JsonArray ? Leaves(x).Append((a, i)) : [((JsonNode)a, (object)i)]),
            _ => [],
        };
}
