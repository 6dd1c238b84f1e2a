using Abri.Core.Bench;
using Abri.Core.Days;
using Abri.Core.Days.Planning;
using Abri.Core.Declared;
using Abri.Core.Floor;
using Abri.Core.Linings;
using Abri.Core.Load;
using Abri.Core.Logbook;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Stores;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;
using Abri.Core.Weather;

namespace Abri.Core.Record;

/// <summary>Everything that is kept of one vehicle, in one piece: what travels in a file, what a preset gives.</summary>
/// <param name="Vehicle">The vehicle.</param>
/// <param name="Zones">Zones inside it.</param>
/// <param name="Fittings">The fittings that its openings use.</param>
/// <param name="Panels">Its panels with all that lies on them.</param>
/// <param name="LeakPriors">Priors of leaks that somebody changed; null for none.</param>
/// <param name="Products">The products that its joints name; null for none.</param>
/// <param name="Sheets">Sheets and offcuts to cut from; null for none.</param>
/// <param name="StockBoards">Boards and their offcuts to cut from; null for none.</param>
/// <param name="Forecast">The last forecast; null for none.</param>
/// <param name="People">Who works on it; null for nobody.</param>
/// <param name="OwnTasks">What somebody wrote down to do; null for nothing.</param>
/// <param name="Upkeep">What is looked after; null for nothing.</param>
/// <param name="Load">What it carries, and what it weighed; null for nothing.</param>
/// <param name="Stock">What is there to work with; null for nothing.</param>
/// <param name="Borrowed">Tools that somebody lent; null for none.</param>
public sealed record VehicleRecord(
    Vehicle Vehicle,
    [Zones] IReadOnlyList<Zone> Zones,
    IReadOnlyList<Keyed<Fitting>> Fittings,
    [Count(0, 40, "A vehicle has at most 40 panels.")] IReadOnlyList<PanelRecord> Panels,
    IReadOnlyList<LeakPrior>? LeakPriors = null,
    [Count(0, 200, "At most 200 products travel with a vehicle.")] IReadOnlyList<Keyed<Product>>? Products = null,
    [Count(0, 200, "A vehicle has at most 200 sheets.")] IReadOnlyList<StockSheet>? Sheets = null,
    [Count(0, 200, "A vehicle has at most 200 sizes of boards.")] IReadOnlyList<StockBoard>? StockBoards = null,
    Forecast? Forecast = null,
    [Count(0, 20, "At most {1} people work on a vehicle.")] IReadOnlyList<Person>? People = null,
    [Count(0, 200, "At most {1} tasks are written down.")] IReadOnlyList<OwnTask>? OwnTasks = null,
    UpkeepRecord? Upkeep = null,
    LoadRecord? Load = null,
    [Count(0, VehicleRecord.MostStock, "At most {1} things are in stock.")] IReadOnlyList<StockItem>? Stock = null,
    [Count(0, 200, "At most {1} tools are borrowed.")] IReadOnlyList<BorrowedTool>? Borrowed = null
)
{
    /// <summary>Most things in stock.</summary>
    public const int MostStock = 1000;
}

/// <summary>What a vehicle carries, and what it weighed.</summary>
/// <param name="Items">What somebody wrote down.</param>
/// <param name="Weighings">Times on a weighbridge.</param>
public sealed record LoadRecord(
    [Count(0, LoadRecord.MostItems, "A vehicle carries at most {1} things.")] IReadOnlyList<LoadItem> Items,
    [Count(0, 200, "At most {1} times on a weighbridge are kept.")] IReadOnlyList<Weighing> Weighings
)
{
    /// <summary>Most things that a vehicle carries.</summary>
    public const int MostItems = 2000;
}

/// <summary>What is looked after on a vehicle. What belongs to a thing on a panel stays with it.</summary>
/// <param name="Own">What somebody wrote down.</param>
/// <param name="Done">
/// That it was looked after; its key names a thing by <c>panel/thing</c>: the number of the panel in the file, from 1, and the thing's key
/// there, or by the number of what was written down.
/// </param>
public sealed record UpkeepRecord(
    [Count(0, 200, "At most {1} things to look after are written down.")] IReadOnlyList<OwnUpkeep> Own,
    [Count(0, 5000, "At most {1} times are kept.")] IReadOnlyList<UpkeepDone> Done
);

/// <summary>A panel with all that lies on it.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
/// <param name="Findings">What was found on it.</param>
/// <param name="Openings">Its openings; their fitting's id is a key of <see cref="VehicleRecord.Fittings"/>.</param>
/// <param name="Water">What bears on water; null where nothing was written down.</param>
/// <param name="Joints">
/// Joints that were written down, null for none; what they belong to is a key of this panel, their product one of
/// <see cref="VehicleRecord.Products"/>.
/// </param>
/// <param name="Repairs">Its repairs, null for none; the findings that they mend are keys of this panel.</param>
/// <param name="Floor">What is known of its wood; null where nothing was written down.</param>
/// <param name="Done">
/// Steps of its jobs that are done, null for none; the id of a job is a key of this panel, of replacements and linings <c>replacement-1</c>,
/// <c>lining-1</c> and so on, in the order of the list.
/// </param>
public sealed record PanelRecord(
    Panel Panel,
    IReadOnlyList<Keyed<Member>> Members,
    IReadOnlyList<FindingRecord> Findings,
    IReadOnlyList<Keyed<Opening>> Openings,
    WaterRecord? Water = null,
    IReadOnlyList<Joint>? Joints = null,
    [Count(0, 300, "A panel has at most 300 repairs.")] IReadOnlyList<Keyed<Repair>>? Repairs = null,
    FloorRecord? Floor = null,
    [Count(0, 5000, "Of a panel at most {1} steps are kept.")] IReadOnlyList<StepDone>? Done = null
)
{
    /// <summary>A panel of things that have no keys yet: they get <c>member-1</c>, <c>finding-1</c>, <c>opening-1</c>, <c>repair-1</c> and so
    /// on.</summary>
    public static PanelRecord Of(
        Panel panel,
        IEnumerable<Member> members,
        IEnumerable<Finding>? findings = null,
        IEnumerable<Opening>? openings = null,
        WaterRecord? water = null,
        IReadOnlyList<Joint>? joints = null,
        IEnumerable<Repair>? repairs = null,
        FloorRecord? floor = null
    ) =>
        new(
            panel,
            Keyed.All("member", members),
            [.. Keyed.All("finding", findings ?? []).Select(f => new FindingRecord(f.Key, f.Value, []))],
            Keyed.All("opening", openings ?? []),
            water,
            joints,
            repairs is null ? null : Keyed.All("repair", repairs),
            floor
        );
}

/// <summary>What bears on water, of one panel.</summary>
/// <param name="Suspects">Suspects that somebody wrote down.</param>
/// <param name="Observations">What was looked at.</param>
/// <param name="SealReadings">Readings along its seal.</param>
/// <param name="Drains">Its drains.</param>
/// <param name="Coverings">What was put on it or into it.</param>
public sealed record WaterRecord(
    [Count(0, 500, "A panel has at most 500 suspects.")] IReadOnlyList<Suspect> Suspects,
    [Count(0, 500, "At a panel at most 500 results are kept.")] IReadOnlyList<Observation> Observations,
    IReadOnlyList<SealReading> SealReadings,
    IReadOnlyList<Drain> Drains,
    IReadOnlyList<Covering> Coverings
)
{
    /// <summary>Nothing.</summary>
    public static WaterRecord None { get; } = new([], [], [], [], []);

    /// <summary>Whether nothing was written down.</summary>
    public bool IsEmpty => Suspects.Count + Observations.Count + SealReadings.Count + Drains.Count + Coverings.Count == 0;
}

/// <summary>What is known of the wood of one panel.</summary>
/// <param name="Probes">Places that were tapped, pricked or metered.</param>
/// <param name="Boards">Boards as they lie.</param>
/// <param name="Replacements">Bad wood that is replaced; the findings that they mend are keys of this panel.</param>
/// <param name="Linings">Boards that hide it from inside; null for none.</param>
public sealed record FloorRecord(
    [Count(0, Probe.MostOnPanel, "A panel has at most {1} probes.")] IReadOnlyList<Probe> Probes,
    [Count(0, 200, "A panel has at most 200 boards.")] IReadOnlyList<Board> Boards,
    [Count(0, 100, "A panel has at most 100 replacements.")] IReadOnlyList<Replacement> Replacements,
    [Count(0, 100, "A panel has at most 100 linings.")] IReadOnlyList<Lining>? Linings = null
)
{
    /// <summary>Whether nothing was written down.</summary>
    public bool IsEmpty => Probes.Count + Boards.Count + Replacements.Count + (Linings?.Count ?? 0) == 0;
}

/// <summary>A finding with its photos.</summary>
/// <param name="Key">Its key: see <see cref="Keyed{T}"/>.</param>
/// <param name="Finding">The finding.</param>
/// <param name="Photos">Its photos.</param>
public sealed record FindingRecord([Name] string Key, Finding Finding, IReadOnlyList<PhotoRecord> Photos);

/// <summary>A photo.</summary>
/// <param name="Type">Media type.</param>
/// <param name="Caption">What it shows; may be empty.</param>
/// <param name="Sha256">Hash of its bytes, in lower-case hexadecimal.</param>
/// <param name="Bytes">How many bytes.</param>
/// <param name="Content">Its bytes; null where the record was written without them.</param>
public sealed record PhotoRecord(
    [Form("image/(jpeg|png|webp)", "A photo is JPEG, PNG or WebP.")] string Type,
    [Letters(200, "A caption has at most 200 characters.")] string Caption,
    [Form("[0-9a-f]{64}", "The hash of a photo has 64 hexadecimal digits.")] string Sha256,
    [Within(1, 1e12, "The size of a photo", "bytes")] long Bytes,
    byte[]? Content
);
