using System.Text.Json.Nodes;

namespace Abri.Exchange;

/// <summary>Brings vehicle files of version 1, in which joints named things and products, to the form in which they refer to keys.</summary>
/// <remarks>What is not as version 1 had it is left as it is: the schema then says what is wrong.</remarks>
internal static class FirstBundles
{
    /// <summary>Changes the file; a product that it names and does not hold goes into the notes of the joint, so that it is not lost.</summary>
    public static void Upgrade(JsonObject file)
    {
        file["version"] = VehicleBundle.FormatVersion;
        if (file["record"] is not JsonObject record)
            return;
        foreach (JsonObject fitting in Objects(record["fittings"]))
            Rename(fitting, "fitting", "value");
        Dictionary<string, string> products = [];
        Key(record, "products", "product", products);
        foreach (JsonObject panel in Objects(record["panels"]))
        {
            Dictionary<string, string> members = [],
                openings = [],
                findings = [];
            Key(panel, "members", "member", members);
            Key(panel, "openings", "opening", openings);
            int i = 0;
            foreach (JsonObject found in Objects(panel["findings"]))
            {
                string key = $"finding-{++i}";
                found["key"] = key;
                if (Text(found["finding"]?["name"]) is { } name)
                    findings.TryAdd(name, key);
            }
            foreach (JsonObject joint in Objects(panel["joints"]))
                Refer(joint, openings, members, findings, products);
        }
    }

    private static void Refer(
        JsonObject joint,
        Dictionary<string, string> openings,
        Dictionary<string, string> members,
        Dictionary<string, string> findings,
        Dictionary<string, string> products
    )
    {
        if (Text(joint["of"]) is { } of)
        {
            joint["of"] =
                openings.TryGetValue(of, out string? opening) ? Reference("opening", opening)
                : members.TryGetValue(of, out string? member) ? Reference("member", member)
                : findings.TryGetValue(of, out string? finding) ? Reference("finding", finding)
                : SeamOf(of) is { } side ? Reference("shellSeam", side)
                : null;
        }
        if (!joint.ContainsKey("product"))
            return;
        string? product = Text(joint["product"]);
        joint["productId"] = product is not null && products.TryGetValue(product, out string? key) ? key : null;
        joint.Remove("product");
        if (product is not null && joint["productId"] is null)
            joint["notes"] = $"{Text(joint["notes"])} Product: {product}.".Trim();
    }

    private static JsonObject Reference(string kind, string id) => new() { ["kind"] = kind, ["id"] = id };

    /// <summary>The side of the panel along which a seam of the shell runs, by the names that they had.</summary>
    private static string? SeamOf(string name) =>
        name switch
        {
            "Roof seam, left" => "top",
            "Roof seam, right" => "bottom",
            "Roof seam, front" => "front",
            "Roof seam, rear" => "rear",
            _ when name.EndsWith(" seal, top", StringComparison.Ordinal) => "top",
            _ when name.EndsWith(" seal, foot", StringComparison.Ordinal) || name.EndsWith(", bottom seam", StringComparison.Ordinal) => "bottom",
            _ when name.EndsWith(" seal, front", StringComparison.Ordinal) || name.EndsWith(" seal, right", StringComparison.Ordinal) => "front",
            _ when name.EndsWith(" seal, rear", StringComparison.Ordinal) || name.EndsWith(" seal, left", StringComparison.Ordinal) => "rear",
            _ => null,
        };

    /// <summary>Puts the entries of a list under keys; of two with one name the first was meant.</summary>
    private static void Key(JsonObject owner, string list, string what, Dictionary<string, string> byName)
    {
        if (owner[list] is not JsonArray entries)
            return;
        for (int i = 0; i < entries.Count; i++)
        {
            JsonNode? entry = entries[i];
            entries[i] = null;
            string key = $"{what}-{i + 1}";
            if (entry is JsonObject named && Text(named["name"]) is { } name)
                byName.TryAdd(name, key);
            entries[i] = new JsonObject { ["key"] = key, ["value"] = entry };
        }
    }

    private static void Rename(JsonObject owner, string from, string to)
    {
        if (!owner.Remove(from, out JsonNode? value))
            return;
        owner[to] = value;
    }

    private static IEnumerable<JsonObject> Objects(JsonNode? list) => (list as JsonArray ?? []).OfType<JsonObject>();

    private static string? Text(JsonNode? node) => node is JsonValue value && value.TryGetValue(out string? text) ? text : null;
}
