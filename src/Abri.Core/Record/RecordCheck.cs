using Abri.Core.Bench;
using Abri.Core.Floor;
using Abri.Core.Linings;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Water;
using Abri.Core.Work;

namespace Abri.Core.Record;

/// <summary>Says what is contradictory within the record of a vehicle, or that nothing is: every part by itself, and what they refer to.</summary>
public static class RecordCheck
{
    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Of(VehicleRecord record)
    {
        if (Twice(record.Zones.Select(z => z.Name)) is { } zone)
            return new Problem("name-twice", "/zones", $"Two zones are named \"{zone}\".");
        if (Twice(record.Fittings.Select(f => f.Key)) is { } key)
            return new Problem("key-twice", "/fittings", $"Two fittings have the key \"{key}\".");
        if (Twice(record.Fittings.Select(f => f.Value.Name)) is { } name)
            return new Problem("name-twice", "/fittings", $"Two fittings are named \"{name}\".");
        if (
            Twice(record.Panels.Select(p => p.Panel.Kind).Where(k => k is not (PanelKind.Step or PanelKind.Other)).Select(k => PanelWords.Name(k))) is
            { } kind
        )
            return new Problem("panel-twice", "/panels", $"There are two panels that are the {kind}.");
        if (Twice((record.LeakPriors ?? []).Select(p => $"{p.Kind}, {p.Condition}")) is { } prior)
            return new Problem("prior-twice", "/leakPriors", $"Two priors are given for {prior}.");
        for (int i = 0; i < record.Fittings.Count; i++)
        {
            if (FittingCheck.Of(record.Fittings[i].Value) is { } problem)
                return problem.Under($"/fittings/{i}/value");
        }
        IReadOnlyList<Keyed<Product>> products = record.Products ?? [];
        if (Twice(products.Select(p => p.Value.Name)) is { } product)
            return new Problem("name-twice", "/products", $"Two products are named \"{product}\".");
        if (Twice(products.Select(p => p.Key)) is { } productKey)
            return new Problem("key-twice", "/products", $"Two products have the key \"{productKey}\".");
        if (First(products, p => ProductCheck.Of(p.Value)?.Under("/value"), "/products") is { } wrong)
            return wrong;
        for (int i = 0; i < (record.Sheets?.Count ?? 0); i++)
        {
            if (StockSheet.Check(record.Sheets![i]) is { } crossed)
                return crossed.Under($"/sheets/{i}");
        }
        HashSet<string> fittings = [.. record.Fittings.Select(f => f.Key)],
            atHand = [.. products.Select(p => p.Key)];
        if (Twice((record.Upkeep?.Done ?? []).Select(d => $"{d.Key}, {d.On:yyyy-MM-dd}")) is { } again)
            return new Problem("upkeep-twice", "/upkeep/done", $"Something was looked after twice on a day: {again}.");
        for (int i = 0; i < record.Panels.Count; i++)
        {
            if (OfPanel(record.Panels[i], fittings, atHand) is { } problem)
                return problem.Under($"/panels/{i}");
        }
        return null;
    }

    private static Problem? OfPanel(PanelRecord record, HashSet<string> fittings, HashSet<string> products)
    {
        if (ShellCheck.Of(record.Panel, [.. record.Members.Select(m => m.Value)]) is { } shell)
            return InMembers(shell);
        if (Twice(record.Members.Select(m => m.Key)) is { } member)
            return new Problem("key-twice", "/members", $"Two members have the key \"{member}\".");
        if (Twice(record.Findings.Select(f => f.Key)) is { } found)
            return new Problem("key-twice", "/findings", $"Two findings have the key \"{found}\".");
        if (Twice(record.Openings.Select(o => o.Key)) is { } opened)
            return new Problem("key-twice", "/openings", $"Two openings have the key \"{opened}\".");
        for (int i = 0; i < record.Findings.Count; i++)
        {
            if (FindingCheck.Of(record.Panel, record.Findings[i].Finding) is { } problem)
                return problem.Under($"/findings/{i}/finding");
        }
        for (int i = 0; i < record.Openings.Count; i++)
        {
            Opening opening = record.Openings[i].Value;
            if (!fittings.Contains(opening.FittingId))
                return new Problem(
                    "fitting-unknown",
                    $"/openings/{i}/value/fittingId",
                    $"The opening {opening.Name} uses a fitting that is not in the file."
                );
            if (OpeningCheck.Of(record.Panel, opening) is { } problem)
                return problem.Under($"/openings/{i}/value");
        }
        IReadOnlyList<Keyed<Repair>> repairs = record.Repairs ?? [];
        if (Twice(repairs.Select(r => r.Key)) is { } repaired)
            return new Problem("key-twice", "/repairs", $"Two repairs have the key \"{repaired}\".");
        if (
            First(
                repairs,
                r => (RepairCheck.Of(record.Panel, r.Value) ?? OfFindings(record, r.Value.Name, r.Value.FindingIds))?.Under("/value"),
                "/repairs"
            ) is
            { } repair
        )
            return repair;
        if (First(record.Joints ?? [], j => JointCheck.Of(j) ?? OfReferences(record, j, products), "/joints") is { } joint)
            return joint;
        if (First(record.Done ?? [], d => OfJob(record, d), "/done") is { } step)
            return step;
        if (Twice((record.Done ?? []).Select(d => $"{d.Job.Kind} {d.Job.Id}: {d.Key}")) is { } twice)
            return new Problem("step-twice", "/done", $"A step is done twice: {twice}.");
        return (record.Water is { } water ? OfWater(record.Panel, water)?.Under("/water") : null)
            ?? (record.Floor is { } floor ? OfFloor(record, floor)?.Under("/floor") : null);
    }

    private static Problem? OfFloor(PanelRecord record, FloorRecord floor) =>
        First(floor.Probes, x => Probe.Check(record.Panel, x), "/probes")
        ?? First(floor.Boards, x => Board.Check(record.Panel, x), "/boards")
        ?? First(floor.Replacements, x => Replacement.Check(record.Panel, x) ?? OfFindings(record, x.Name, x.FindingIds), "/replacements")
        ?? First(floor.Linings ?? [], x => Lining.Check(record.Panel, x), "/linings");

    /// <summary>The job of a step that is done is in the file.</summary>
    private static Problem? OfJob(PanelRecord panel, StepDone done)
    {
        bool known = done.Job.Kind switch
        {
            JobKind.Opening => panel.Openings.Any(o => o.Key == done.Job.Id),
            JobKind.Repair => panel.Repairs?.Any(r => r.Key == done.Job.Id) == true,
            JobKind.Replacement => panel.Floor?.Replacements.Select((_, i) => VehicleFile.KeyOf("replacement", i)).Contains(done.Job.Id) == true,
            JobKind.Lining => panel.Floor?.Linings?.Select((_, i) => VehicleFile.KeyOf("lining", i)).Contains(done.Job.Id) == true,
            _ => false,
        };
        return known ? null : new Problem("job-unknown", "/job", $"The step {done.Title} belongs to a job that is not on its panel in the file.");
    }

    /// <summary>What a repair or a replacement mends is in the file.</summary>
    private static Problem? OfFindings(PanelRecord panel, string name, IReadOnlyList<string> findingIds) =>
        findingIds.FirstOrDefault(id => panel.Findings.All(f => f.Key != id)) is { } unknown
            ? new Problem("finding-unknown", "/findingIds", $"{name} fixes a finding \"{unknown}\" that is not on its panel in the file.")
            : null;

    /// <summary>What a joint refers to is in the file.</summary>
    private static Problem? OfReferences(PanelRecord panel, Joint joint, HashSet<string> products)
    {
        if (joint.ProductId is { } product && !products.Contains(product))
            return new Problem("product-unknown", "/productId", $"The joint {joint.Name} names a product that is not in the file.");
        bool known =
            joint.Of is not { } of
            || of.Kind switch
            {
                JointOfKind.Member => panel.Members.Any(m => m.Key == of.Id),
                JointOfKind.Opening => panel.Openings.Any(o => o.Key == of.Id),
                JointOfKind.Finding => panel.Findings.Any(f => f.Key == of.Id),
                JointOfKind.Repair => panel.Repairs?.Any(r => r.Key == of.Id) == true,
                _ => true, // JointCheck knows the seams of a shell.
            };
        return known
            ? null
            : new Problem("joint-of-unknown", "/of", $"The joint {joint.Name} belongs to something that is not on its panel in the file.");
    }

    /// <summary>Members stand under their keys in a vehicle record: what is wrong with one lies a level deeper.</summary>
    private static Problem InMembers(Problem problem) =>
        problem.Pointer.Split('/') is ["", "members", var i, .. var rest]
            ? problem with
            {
                Pointer = string.Join('/', ["", "members", i, "value", .. rest]),
            }
            : problem;

    private static Problem? OfWater(Panel panel, WaterRecord water) =>
        First(water.Suspects, x => WaterCheck.Of(panel, x), "/suspects")
        ?? First(water.Observations, x => WaterCheck.Of(panel, x), "/observations")
        ?? First(water.SealReadings, x => WaterCheck.Of(panel, x), "/sealReadings")
        ?? First(water.Drains, x => WaterCheck.Of(panel, x), "/drains")
        ?? First(water.Coverings, x => WaterCheck.Of(panel, x), "/coverings");

    private static Problem? First<T>(IReadOnlyList<T> items, Func<T, Problem?> check, string field) =>
        items.Select((item, i) => check(item)?.Under($"{field}/{i}")).FirstOrDefault(problem => problem is not null);

    private static string? Twice(IEnumerable<string> names) => names.GroupBy(n => n, StringComparer.Ordinal).FirstOrDefault(g => g.Count() > 1)?.Key;
}
