using Abri.Core.Bench;
using Abri.Core.Logbook;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Record;

/// <summary>Puts a vehicle as it is kept into one piece that can travel: ids become keys that mean something within it only.</summary>
public static class VehicleFile
{
    /// <summary>The record of a vehicle.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="content">Gives the bytes of a photo by its hash, or null to leave them out.</param>
    public static VehicleRecord Of(VehicleSnapshot of, Func<string, byte[]?> content)
    {
        var fittings = new Keys<Fitting>("fitting", of.Fittings);
        var products = new Keys<Product>("product", of.Products);
        // By what upkeep names things of the file: the number of a panel, and the key of a thing on it.
        Dictionary<string, string> local = [];
        PanelRecord[] panels =
        [
            .. of.Panels.Select(
                (panel, i) => OfPanel(of, panel, content, fittings, products, (id, key) => local[id] = key is null ? $"{i + 1}" : $"{i + 1}/{key}")
            ),
        ];
        foreach ((Stored<OwnUpkeep> own, int i) in of.Upkeep.Own.Select((own, i) => (own, i)))
            local[own.Id] = $"{i + 1}";
        UpkeepDone[] lookedAfter = [.. of.Upkeep.Done.Values().Select(d => d.Rekeyed(local.GetValueOrDefault)).OfType<UpkeepDone>()];
        return new VehicleRecord(
            of.Vehicle.Value,
            of.Zones.Values(),
            fittings.Used,
            panels,
            of.LeakPriors.Count > 0 ? of.LeakPriors.Values() : null,
            products.Used.Count > 0 ? products.Used : null,
            of.Sheets.Count > 0 ? of.Sheets.Values() : null,
            of.Floor.Stock.Count > 0 ? of.Floor.Stock.Values() : null,
            of.Days.Forecast?.Value,
            of.Days.People.Count > 0 ? of.Days.People.Values() : null,
            of.Days.Own.Count > 0 ? of.Days.Own.Values() : null,
            of.Upkeep.Own.Count + lookedAfter.Length > 0 ? new UpkeepRecord(of.Upkeep.Own.Values(), lookedAfter) : null,
            of.Load.Items.Count + of.Load.Weighings.Count > 0 ? new LoadRecord(of.Load.Items.Values(), of.Load.Weighings.Values()) : null,
            of.Stock.Count > 0 ? of.Stock.Values() : null,
            of.Borrowed.Count > 0 ? of.Borrowed.Values() : null
        );
    }

    private static PanelRecord OfPanel(
        VehicleSnapshot of,
        Stored<Panel> panel,
        Func<string, byte[]?> content,
        Keys<Fitting> fittings,
        Keys<Product> products,
        Action<string, string?> known
    )
    {
        Stored<Finding>[] findings = [.. of.Findings.On(panel.Id)];
        Stored<Opening>[] openings = [.. of.Openings.On(panel.Id)];
        Keys<Member> members = Keys<Member>.Whole("member", of.MembersOn(panel));
        var found = Keys<Finding>.Whole("finding", findings);
        var opened = Keys<Opening>.Whole("opening", openings);
        var repairs = Keys<Repair>.Whole(
            "repair",
            of.Repairs.On(panel.Id).Select(r => r with { Value = r.Value with { FindingIds = [.. r.Value.FindingIds.Select(found.Of)] } })
        );
        Joint[] joints =
        [
            .. of
                .Joints.On(panel.Id)
                .Values()
                .Select(j =>
                    j with
                    {
                        ProductId = j.ProductId is { } product ? products.Of(product) : null,
                        Of = j.Of is not { } it
                            ? null
                            : it.Kind switch
                            {
                                JointOfKind.Member => it with { Id = members.Of(it.Id) },
                                JointOfKind.Opening => it with { Id = opened.Of(it.Id) },
                                JointOfKind.Finding => it with { Id = found.Of(it.Id) },
                                JointOfKind.Repair => it with { Id = repairs.Of(it.Id) },
                                _ => it,
                            },
                    }
                ),
        ];
        var water = new WaterRecord(
            of.Water.Suspects.On(panel.Id).Values(),
            of.Water.Observations.On(panel.Id).Values(),
            of.Water.SealReadings.On(panel.Id).Values(),
            of.Water.Drains.On(panel.Id).Values(),
            of.Water.Coverings.On(panel.Id).Values()
        );
        var floor = new FloorRecord(
            of.Floor.Probes.On(panel.Id).Values(),
            of.Floor.Boards.On(panel.Id).Values(),
            [.. of.Floor.Replacements.On(panel.Id).Values().Select(r => r with { FindingIds = [.. r.FindingIds.Select(found.Of)] })],
            of.Floor.Linings.On(panel.Id).Values() is { Length: > 0 } linings ? linings : null
        );
        known(panel.Id, null);
        foreach ((string id, string key) in opened.All.Concat(repairs.All))
            known(id, key);
        var wood = of.Floor.Replacements.On(panel.Id).Select((r, i) => (r.Id, Key: KeyOf("replacement", i))).ToDictionary(r => r.Id, r => r.Key);
        var lined = of.Floor.Linings.On(panel.Id).Select((l, i) => (l.Id, Key: KeyOf("lining", i))).ToDictionary(l => l.Id, l => l.Key);
        string? KeyOfJob(Job job) =>
            job.Kind switch
            {
                JobKind.Opening => opened.All.GetValueOrDefault(job.Id),
                JobKind.Repair => repairs.All.GetValueOrDefault(job.Id),
                JobKind.Replacement => wood.GetValueOrDefault(job.Id),
                JobKind.Lining => lined.GetValueOrDefault(job.Id),
                _ => null,
            };
        StepDone[] done =
        [
            .. of.Done.Values().Select(d => KeyOfJob(d.Job) is { } key ? d with { Job = d.Job with { Id = key } } : null).OfType<StepDone>(),
        ];
        return new PanelRecord(
            panel.Value,
            members.Used,
            [
                .. findings.Select(f => new FindingRecord(
                    found.Of(f.Id),
                    f.Value,
                    [.. of.Photos.On(f.Id).Values().Select(p => new PhotoRecord(p.Type, p.Caption, p.Sha256, p.Bytes, content(p.Sha256)))]
                )),
            ],
            [.. openings.Select(o => new Keyed<Opening>(opened.Of(o.Id), o.Value with { FittingId = fittings.Of(o.Value.FittingId) }))],
            water.IsEmpty ? null : water,
            joints.Length > 0 ? joints : null,
            repairs.Used.Count > 0 ? repairs.Used : null,
            floor.IsEmpty ? null : floor,
            done.Length > 0 ? done : null
        );
    }

    /// <summary>Key of the nth thing of a list whose rows bear none.</summary>
    public static string KeyOf(string what, int index) => $"{what}-{index + 1}";

    /// <summary>Keys of rows, in the order in which they are first named.</summary>
    private sealed class Keys<T>(string what, IEnumerable<Stored<T>> rows)
        where T : notnull
    {
        private readonly Dictionary<string, T> values = rows.ToDictionary(r => r.Id, r => r.Value);
        private readonly Dictionary<string, Keyed<T>> given = [];
        private readonly List<Keyed<T>> used = [];

        public IReadOnlyList<Keyed<T>> Used => used;

        /// <summary>The keys that were named, by id.</summary>
        public Dictionary<string, string> All => given.ToDictionary(g => g.Key, g => g.Value.Key);

        /// <summary>Keys of all rows, in their order.</summary>
        public static Keys<T> Whole(string what, IEnumerable<Stored<T>> rows)
        {
            var keys = new Keys<T>(what, rows);
            foreach (string id in keys.values.Keys)
                keys.Of(id);
            return keys;
        }

        public string Of(string id)
        {
            if (!given.TryGetValue(id, out Keyed<T>? keyed))
            {
                given[id] = keyed = new Keyed<T>(KeyOf(what, used.Count), values[id]);
                used.Add(keyed);
            }
            return keyed.Key;
        }
    }
}
