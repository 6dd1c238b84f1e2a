using System.Globalization;
using Abri.Core.Days.Planning;
using Abri.Core.Record;
using Abri.Core.Stores;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>Where something is bought.</summary>
public enum Shop
{
    /// <summary>Sealants, tapes, cleaners: a supplier for vehicles or boats.</summary>
    Sealants,

    /// <summary>Primers, paint, wax.</summary>
    Paint,

    /// <summary>Screws, rivets, blades, discs.</summary>
    Hardware,

    /// <summary>Trims and clips.</summary>
    Trims,

    /// <summary>Boards and timber.</summary>
    Timber,
}

/// <summary>How something in stock stands.</summary>
public enum StockState
{
    /// <summary>It can be used.</summary>
    Good,

    /// <summary>It can be used, but not for long.</summary>
    EndsSoon,

    /// <summary>It does not keep for ever, and nobody wrote down since when it is there.</summary>
    NoDate,

    /// <summary>It is too old.</summary>
    Expired,

    /// <summary>It is used up.</summary>
    UsedUp,
}

/// <summary>Something in stock.</summary>
/// <param name="Row">Its row.</param>
/// <param name="LastDay">Last day on which it can be used; null where it keeps, or it is not known.</param>
/// <param name="State">How it stands today.</param>
/// <param name="ForJobs">Names of the jobs that it is kept for.</param>
public sealed record StockLine(Stored<StockItem> Row, DateOnly? LastDay, StockState State, IReadOnlyList<string> ForJobs);

/// <summary>What a task needs of a material.</summary>
/// <param name="Job">Its job.</param>
/// <param name="Name">Name of the job.</param>
/// <param name="Step">Title of the step.</param>
/// <param name="Amount">How much.</param>
/// <param name="On">When, by the plan; null where it is not planned.</param>
/// <param name="Missing">How much of it is not there then.</param>
/// <param name="TooOld">How much of it is there today and too old by then.</param>
/// <param name="Alert">What to know before it is begun: a bead that would run out; null for nothing.</param>
public sealed record StoreUse(Job Job, string Name, string Step, double Amount, DateOnly? On, double Missing, double TooOld, string? Alert);

/// <summary>A material that open work needs, or that is there.</summary>
/// <param name="Material">The material.</param>
/// <param name="Shop">Where it is bought.</param>
/// <param name="Need">What open work needs.</param>
/// <param name="InStock">What is there and can be used today.</param>
/// <param name="Short">What has to be bought.</param>
/// <param name="Packs">How many packs that are; null where it is not sold by the pack, 0 where nothing is short.</param>
/// <param name="Buy">How much is bought: what those packs hold, or what is short.</param>
/// <param name="NeededBy">When the first of what is short is needed, by the plan; null where that is not planned.</param>
/// <param name="FirstFor">Name of the job that runs short first; null where nothing is short.</param>
/// <param name="Uses">What needs it, in the order of work.</param>
/// <param name="Stock">What is there of it.</param>
public sealed record StoreLine(
    Material Material,
    Shop Shop,
    double Need,
    double InStock,
    double Short,
    int? Packs,
    double Buy,
    DateOnly? NeededBy,
    string? FirstFor,
    IReadOnlyList<StoreUse> Uses,
    IReadOnlyList<StockLine> Stock
);

/// <summary>A tool that somebody lent.</summary>
/// <param name="Row">Its row.</param>
/// <param name="IsLate">Whether it should be back already.</param>
/// <param name="Trouble">What needs it after it went back, by the plan; null for nothing.</param>
public sealed record BorrowedLine(Stored<BorrowedTool> Row, bool IsLate, string? Trouble);

/// <summary>What the open work of a vehicle needs, what is there, and what is short.</summary>
/// <param name="Today">The day at the vehicle.</param>
/// <param name="Lines">The materials, what is short first.</param>
/// <param name="Alerts">What to know before anything is begun.</param>
/// <param name="Borrowed">Tools that somebody lent, what goes back first.</param>
/// <param name="Catalogue">Materials that may be put in stock.</param>
/// <param name="Without">Jobs whose need is not known, with what is missing.</param>
/// <param name="Verdict">The same in a sentence.</param>
/// <remarks>
/// Work takes from stock in its order: by the plan's days, then by the order of work. Of what can still be used on that day, what ends soonest is
/// taken first. What a step needs is what its procedure says, with its waste.
/// </remarks>
public sealed record StoresOfVehicle(
    DateOnly Today,
    IReadOnlyList<StoreLine> Lines,
    IReadOnlyList<string> Alerts,
    IReadOnlyList<BorrowedLine> Borrowed,
    IReadOnlyList<Material> Catalogue,
    IReadOnlyList<JobWithoutTasks> Without,
    string Verdict
)
{
    /// <summary>What ends within so many days is told: assumption.</summary>
    private const int SoonDays = 14;

    private const double Hair = 1e-6;

    private sealed record Wanted(Job Job, string Name, WorkStep Step, Consumable Used, DateOnly? On);

    /// <summary>The stores of a vehicle.</summary>
    public static StoresOfVehicle Of(VehicleSnapshot of, DateTimeOffset now)
    {
        DateOnly today = TodayOf(of, now);
        var tasks = VehicleTasks.Of(of);
        (VehicleTask Task, DateOnly? On)[] planned = [.. Planned(of, now, tasks)];
        Wanted[] wanted =
        [
            .. planned.SelectMany(p => p.Task.Steps.SelectMany(s => s.Consumables.Select(c => new Wanted(p.Task.Key.Job, p.Task.Name, s, c, p.On)))),
        ];
        ILookup<string, Wanted> byMaterial = wanted.ToLookup(w => w.Used.Material.Id);
        ILookup<string, Stored<StockItem>> stock = of.Stock.ToLookup(s => s.Value.MaterialId);
        Dictionary<string, Material> named = wanted
            .Select(w => w.Used.Material)
            .Concat(of.Stock.Values().Select(s => s.Material))
            .DistinctBy(m => m.Id)
            .ToDictionary(m => m.Id);
        StoreLine[] lines =
        [
            .. named
                .Values.Select(m => Line(of, m, [.. byMaterial[m.Id]], [.. stock[m.Id]], today))
                .OrderBy(l => l.Short <= Hair)
                .ThenBy(l => l.NeededBy ?? DateOnly.MaxValue)
                .ThenBy(l => l.Shop)
                .ThenBy(l => l.Material.Name, StringComparer.Ordinal),
        ];
        BorrowedLine[] borrowed = [.. of.Borrowed.OrderBy(b => b.Value.IsBack).ThenBy(b => b.Value.Until).Select(b => OfTool(b, planned, today))];
        return new StoresOfVehicle(
            today,
            lines,
            [.. lines.SelectMany(l => AlertsOf(l, today)).Concat(borrowed.Select(AlertOf).OfType<string>()).Distinct()],
            borrowed,
            [
                .. Materials
                    .All.Concat(of.Products.Values().Select(p => p.AsMaterial()))
                    .Concat(named.Values)
                    .DistinctBy(m => m.Id)
                    .OrderBy(m => m.Name, StringComparer.Ordinal),
            ],
            tasks.Without,
            VerdictOf(lines)
        );
    }

    /// <summary>The tasks of jobs with their days, in the order of work.</summary>
    private static IEnumerable<(VehicleTask Task, DateOnly? On)> Planned(VehicleSnapshot of, DateTimeOffset now, VehicleTasks tasks)
    {
        VehicleNow at = VehicleNow.At(of, now);
        Dictionary<TaskKey, DateOnly> days = [];
        foreach (KeptTask kept in of.Days.Plan?.Value.Tasks ?? [])
            days[kept.Task] = DateOnly.FromDateTime(at.On.Local(kept.From).DateTime);
        return tasks
            .Tasks.Where(t => t.Steps.Count > 0)
            .Select(t => (Task: t, On: days.TryGetValue(t.Key, out DateOnly on) ? on : (DateOnly?)null))
            .OrderBy(t => t.On ?? DateOnly.MaxValue);
    }

    /// <summary>A borrowed tool, and what needs one of its name after it went back.</summary>
    private static BorrowedLine OfTool(Stored<BorrowedTool> row, (VehicleTask Task, DateOnly? On)[] planned, DateOnly today)
    {
        BorrowedTool tool = row.Value;
        if (tool.IsBack)
            return new BorrowedLine(row, false, null);
        (VehicleTask Task, DateOnly? On) after = planned.FirstOrDefault(p =>
            p.On > tool.Until && p.Task.Steps.Any(s => s.Tools.Any(t => t.Contains(tool.Name, StringComparison.OrdinalIgnoreCase)))
        );
        return new BorrowedLine(row, tool.Until < today, after.On is { } on ? $"{after.Task.Name} needs it on {Day(on)}." : null);
    }

    private static string? AlertOf(BorrowedLine line) =>
        line.IsLate || line.Trouble is not null
            ? $"{line.Row.Value.Name}{(line.Row.Value.Lender is { Length: > 0 } who ? $", lent by {who}" : "")}: "
                + $"{(line.IsLate ? "should have gone back on" : "goes back on")} {Day(line.Row.Value.Until)}. {line.Trouble}".TrimEnd()
            : null;

    private static StoreLine Line(VehicleSnapshot of, Material material, Wanted[] wanted, Stored<StockItem>[] stock, DateOnly today)
    {
        KeepsFor keeps = Keeps(of, material);
        (Stored<StockItem> Row, DateOnly? Last)[] there =
        [
            .. stock
                .Select(s => (s, StockLife.Of(s.Value.BoughtOn, s.Value.ExpiresOn, s.Value.OpenedOn, keeps).Result.On))
                .OrderBy(s => s.On ?? DateOnly.MaxValue)
                .ThenBy(s => s.s.Id, StringComparer.Ordinal),
        ];
        double[] left = [.. there.Select(t => t.Row.Value.Amount)];
        var kept = new List<string>[there.Length];
        List<StoreUse> uses = [];
        foreach (Wanted want in wanted)
        {
            DateOnly on = want.On is { } day && day > today ? day : today;
            double missing = want.Used.Amount,
                tooOld = 0;
            for (int i = 0; i < there.Length && missing > Hair; i++)
            {
                if (there[i].Last < on)
                {
                    tooOld += there[i].Last >= today ? Math.Min(left[i], missing) : 0;
                    continue;
                }
                double taken = Math.Min(left[i], missing);
                if (taken <= Hair)
                    continue;
                left[i] -= taken;
                missing -= taken;
                (kept[i] ??= []).Add(want.Name);
            }
            uses.Add(Use(want, material, missing <= Hair ? 0 : missing, tooOld));
        }
        double shortBy = uses.Sum(u => u.Missing);
        int? packs = material.Pack is { } pack ? (int)Math.Ceiling((shortBy / pack) - Hair) : null;
        StoreUse? first = uses.FirstOrDefault(u => u.Missing > 0);
        return new StoreLine(
            material,
            ShopOf(material.Kind),
            wanted.Sum(w => w.Used.Amount),
            there.Where(t => !(t.Last < today)).Sum(t => t.Row.Value.Amount),
            shortBy,
            packs,
            packs * material.Pack ?? shortBy,
            first?.On,
            first?.Name,
            uses,
            [.. there.Select((t, i) => new StockLine(t.Row, t.Last, StateOf(t.Row.Value, t.Last, keeps, today), [.. (kept[i] ?? []).Distinct()]))]
        );
    }

    private static StoreUse Use(Wanted want, Material material, double missing, double tooOld)
    {
        double there = want.Used.Amount - missing;
        // A bead of more than one cartridge is laid in one go: it must not run out half way round.
        string? alert =
            missing > 0 && material is { Kind: MaterialKind.Sealant, Unit: Unit.Ml, Pack: { } pack } && want.Used.Amount > pack
                ? $"{want.Name}, {Lower(want.Step.Title)}: it takes {Packs(want.Used.Amount, pack)} of {material.Name} without a stop, "
                    + $"and {(there < pack ? "less than 1 is" : $"{Math.Floor(there / pack):0} {(there < 2 * pack ? "is" : "are")}")} there."
                : null;
        return new StoreUse(want.Job, want.Name, want.Step.Title, want.Used.Amount, want.On, missing, tooOld, alert);
    }

    private static string Packs(double amount, double pack) => $"{Math.Ceiling(amount / pack):0} cartridges";

    private static string Lower(string title) => title.Length > 0 ? char.ToLowerInvariant(title[0]) + title[1..] : title;

    private static IEnumerable<string> AlertsOf(StoreLine line, DateOnly today)
    {
        foreach (StoreUse use in line.Uses)
        {
            if (use.Alert is { } alert)
                yield return alert;
            if (use.TooOld > 0 && use.On is { } on)
                yield return $"{line.Material.Name}: what is there can be used today, and will be too old for {use.Name} on {Day(on)}.";
        }
        foreach (StockLine old in line.Stock.Where(s => s.State == StockState.Expired && line.Need > 0))
            yield return $"{line.Material.Name}{(old.Row.Value.Batch is { Length: > 0 } batch ? $", batch {batch}" : "")}: too old since "
                + $"{Day(old.LastDay!.Value.AddDays(1))}. It is not counted; do not use it.";
        foreach (StockLine undated in line.Stock.Where(s => s.State == StockState.NoDate && line.Need > 0))
            yield return $"{line.Material.Name}{(undated.Row.Value.Place is { Length: > 0 } place ? $", {place}" : "")}: no date is written down. "
                + "It is counted as good: look at the date on the pack before you rely on it.";
        foreach (StockLine soon in line.Stock.Where(s => s.State == StockState.EndsSoon && s.ForJobs.Count == 0 && line.Need > 0))
            yield return $"{line.Material.Name}: can be used until {Day(soon.LastDay!.Value)} only, "
                + $"{soon.LastDay!.Value.DayNumber - today.DayNumber} days on.";
    }

    private static string VerdictOf(StoreLine[] lines)
    {
        StoreLine[] missing = [.. lines.Where(l => l.Short > Hair)];
        if (!lines.Any(l => l.Need > 0))
            return "No open work needs anything.";
        return missing.Length == 0
            ? "Everything that open work needs is there."
            : $"{missing.Length} {(missing.Length == 1 ? "material is" : "materials are")} short"
                + (missing[0] is { NeededBy: { } by, FirstFor: { } job } ? $", the first for {job} on {Day(by)}." : ".");
    }

    private static string Day(DateOnly on) => on.ToString("d MMM yyyy", CultureInfo.InvariantCulture);

    /// <summary>What of a job's materials is not on the shelf today, by name; null where nobody keeps the shelf.</summary>
    internal static IReadOnlyList<string>? NotThere(VehicleSnapshot of, IReadOnlyList<Consumable> needed, DateOnly today) =>
        of.Stock.Count == 0
            ? null
            :
            [
                .. needed
                    .Where(c =>
                        c.Amount
                        > Hair
                            + of.Stock.Values()
                                .Where(s =>
                                    s.MaterialId == c.Material.Id
                                    && !(StockLife.Of(s.BoughtOn, s.ExpiresOn, s.OpenedOn, Keeps(of, c.Material)).Result.On < today)
                                )
                                .Sum(s => s.Amount)
                    )
                    .Select(c => c.Material.Name),
            ];

    private static StockState StateOf(StockItem item, DateOnly? last, KeepsFor keeps, DateOnly today) =>
        item.Amount <= Hair ? StockState.UsedUp
        : last is null && (keeps.ClosedMonths ?? keeps.OpenDays) is not null ? StockState.NoDate
        : last < today ? StockState.Expired
        : last <= today.AddDays(SoonDays) ? StockState.EndsSoon
        : StockState.Good;

    private static KeepsFor Keeps(VehicleSnapshot of, Material material) =>
        of.Products.Values().FirstOrDefault(p => p.AsMaterial().Id == material.Id) is { } product
            ? new KeepsFor(
                product.ShelfMonths == 0 ? null : product.ShelfMonths,
                product.OpenedHours / 24,
                new Source($"As {product.Name} is described in Sealing", product.Known)
            )
            : StockLife.Typical(material);

    private static Shop ShopOf(MaterialKind kind) =>
        kind switch
        {
            MaterialKind.Paint => Shop.Paint,
            MaterialKind.Fastener or MaterialKind.Abrasive => Shop.Hardware,
            MaterialKind.Trim => Shop.Trims,
            MaterialKind.Wood => Shop.Timber,
            _ => Shop.Sealants,
        };

    private static DateOnly TodayOf(VehicleSnapshot of, DateTimeOffset now) => DateOnly.FromDateTime(VehicleNow.At(of, now).Now.DateTime);

    /// <summary>Hours by which the zone that is furthest ahead has a later day.</summary>
    private const int FurthestAhead = 14;

    /// <summary>Whether something can be in stock so: not on a day that has not come anywhere.</summary>
    public static Problem? Check(StockItem item, DateTimeOffset now)
    {
        var today = DateOnly.FromDateTime(now.UtcDateTime.AddHours(FurthestAhead));
        return item.OpenedOn > today ? new Problem("stock-ahead", "/openedOn", "It cannot have been opened on a day that has not come yet.")
            : item.BoughtOn > today ? new Problem("stock-ahead", "/boughtOn", "It cannot have been bought on a day that has not come yet.")
            : null;
    }

    /// <summary>What is left in stock when something is used: what ends soonest is taken first, and a pack that is begun is open.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="used">What is used.</param>
    /// <param name="now">The moment.</param>
    /// <returns>The rows that change, as they become, and what is left of packs that are begun, as rows of their own.</returns>
    public static StockTaken TakeOff(VehicleSnapshot of, IReadOnlyList<Consumable> used, DateTimeOffset now)
    {
        DateOnly today = TodayOf(of, now);
        var rows = of.Stock.ToDictionary(s => s.Id);
        HashSet<string> changed = [];
        List<StockItem> opened = [];
        foreach (Consumable use in used)
        {
            double rest = use.Amount;
            KeepsFor keeps = Keeps(of, use.Material);
            foreach (
                Stored<StockItem> row in rows
                    .Values.Where(s => s.Value.MaterialId == use.Material.Id && s.Value.Amount > Hair)
                    .Select(s => (Row: s, Last: StockLife.Of(s.Value.BoughtOn, s.Value.ExpiresOn, s.Value.OpenedOn, keeps).Result.On))
                    .Where(s => !(s.Last < today))
                    .OrderBy(s => s.Last ?? DateOnly.MaxValue)
                    .ThenBy(s => s.Row.Id, StringComparer.Ordinal)
                    .Select(s => s.Row)
                    .ToArray()
            )
            {
                if (rest <= Hair)
                    break;
                double taken = Math.Min(row.Value.Amount, rest);
                rest -= taken;
                double left = row.Value.Amount - taken;
                changed.Add(row.Id);
                double begun = row.Value is { OpenedOn: null, Unit: Unit.Ml, Pack: { } pack } && keeps.OpenDays is not null ? left % pack : 0;
                if (begun > Hair && begun < row.Value.Pack - Hair)
                {
                    rows[row.Id] = row with { Value = row.Value with { Amount = left - begun } };
                    if (keeps.OpenDays > 0)
                        opened.Add(row.Value with { Amount = begun, OpenedOn = today });
                }
                else
                {
                    rows[row.Id] = row with { Value = row.Value with { Amount = left <= Hair ? 0 : left } };
                }
            }
        }
        return new StockTaken([.. of.Stock.Where(s => changed.Contains(s.Id)).Select(s => rows[s.Id])], opened);
    }
}

/// <summary>What work takes from stock.</summary>
/// <param name="Rows">The rows that change, as they become.</param>
/// <param name="Opened">What is left of packs that are begun.</param>
public sealed record StockTaken(IReadOnlyList<Stored<StockItem>> Rows, IReadOnlyList<StockItem> Opened);
