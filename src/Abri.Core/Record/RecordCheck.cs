using Abri.Core.Openings;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Water;

namespace Abri.Core.Record;

/// <summary>Says what is contradictory within the record of a vehicle, or that nothing is: every part by itself, and what they refer to.</summary>
public static class RecordCheck
{
    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Of(VehicleRecord record)
    {
        if (Twice(record.Zones.Select(z => z.Name)) is { } zone) return new Problem("name-twice", "/zones", $"Two zones are named \"{zone}\".");
        if (Twice(record.Fittings.Select(f => f.Key)) is { } key) return new Problem("key-twice", "/fittings", $"Two fittings have the key \"{key}\".");
        if (Twice(record.Fittings.Select(f => f.Fitting.Name)) is { } name) return new Problem("name-twice", "/fittings", $"Two fittings are named \"{name}\".");
        if (Twice(record.Panels.Select(p => p.Panel.Kind).Where(k => k is not (PanelKind.Step or PanelKind.Other)).Select(k => PanelWords.Name(k))) is { } kind)
            return new Problem("panel-twice", "/panels", $"There are two panels that are the {kind}.");
        if (Twice((record.LeakPriors ?? []).Select(p => $"{p.Kind}, {p.Condition}")) is { } prior) return new Problem("prior-twice", "/leakPriors", $"Two priors are given for {prior}.");
        for (int i = 0; i < record.Fittings.Count; i++)
        {
            if (FittingCheck.Of(record.Fittings[i].Fitting) is { } problem) return problem.Under($"/fittings/{i}/fitting");
        }
        if (Twice((record.Products ?? []).Select(p => p.Name)) is { } product) return new Problem("name-twice", "/products", $"Two products are named \"{product}\".");
        if (First(record.Products ?? [], ProductCheck.Of, "/products") is { } wrong) return wrong;
        HashSet<string> keys = [.. record.Fittings.Select(f => f.Key)];
        for (int i = 0; i < record.Panels.Count; i++)
        {
            if (OfPanel(record.Panels[i], keys) is { } problem) return problem.Under($"/panels/{i}");
        }
        return null;
    }

    private static Problem? OfPanel(PanelRecord record, HashSet<string> keys)
    {
        if (ShellCheck.Of(record.Panel, record.Members) is { } shell) return shell;
        for (int i = 0; i < record.Findings.Count; i++)
        {
            if (FindingCheck.Of(record.Panel, record.Findings[i].Finding) is { } problem) return problem.Under($"/findings/{i}/finding");
        }
        for (int i = 0; i < record.Openings.Count; i++)
        {
            if (!keys.Contains(record.Openings[i].FittingId))
                return new Problem("fitting-unknown", $"/openings/{i}/fittingId", $"The opening {record.Openings[i].Name} uses a fitting that is not in the file.");
            if (OpeningCheck.Of(record.Panel, record.Openings[i]) is { } problem) return problem.Under($"/openings/{i}");
        }
        if (First(record.Joints ?? [], JointCheck.Of, "/joints") is { } joint) return joint;
        return record.Water is { } water ? OfWater(record.Panel, water)?.Under("/water") : null;
    }

    private static Problem? OfWater(Panel panel, WaterRecord water) =>
        First(water.Suspects, x => WaterCheck.Of(panel, x), "/suspects") ?? First(water.Observations, x => WaterCheck.Of(panel, x), "/observations")
        ?? First(water.SealReadings, x => WaterCheck.Of(panel, x), "/sealReadings") ?? First(water.Drains, x => WaterCheck.Of(panel, x), "/drains")
        ?? First(water.Coverings, x => WaterCheck.Of(panel, x), "/coverings");

    private static Problem? First<T>(IReadOnlyList<T> items, Func<T, Problem?> check, string field) =>
        items.Select((item, i) => check(item)?.Under($"{field}/{i}")).FirstOrDefault(problem => problem is not null);

    private static string? Twice(IEnumerable<string> names) => names.GroupBy(n => n, StringComparer.Ordinal).FirstOrDefault(g => g.Count() > 1)?.Key;
}
