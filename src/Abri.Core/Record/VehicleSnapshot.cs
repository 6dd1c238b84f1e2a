using Abri.Core.Bench;
using Abri.Core.Days;
using Abri.Core.Days.Planning;
using Abri.Core.Floor;
using Abri.Core.Geometry;
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
using Abri.Core.Work;

namespace Abri.Core.Record;

/// <summary>A vehicle with everything on it, as it stood at one moment: what every stage is worked out of.</summary>
/// <remarks>Rows that lie on panels come panel by panel, oldest first; their owner is the panel, of photos the finding.</remarks>
/// <param name="Vehicle">The vehicle.</param>
/// <param name="Panels">Its panels.</param>
/// <param name="Members">Members of all panels.</param>
/// <param name="Zones">Zones inside.</param>
/// <param name="Openings">Openings of all panels.</param>
/// <param name="Findings">Findings of all panels.</param>
/// <param name="Photos">Photos of all findings.</param>
/// <param name="Water">What bears on water.</param>
/// <param name="LeakPriors">Priors of leaks that somebody changed.</param>
/// <param name="Joints">Joints that were written down.</param>
/// <param name="Repairs">Repairs of all panels.</param>
/// <param name="Sheets">Sheets and offcuts to cut from.</param>
/// <param name="Floor">What was probed, lies and is replaced of floors.</param>
/// <param name="Days">What decides about its days.</param>
/// <param name="Fittings">The catalogue of fittings, which all vehicles share.</param>
/// <param name="Products">The catalogue of products, which all vehicles share.</param>
public sealed record VehicleSnapshot(
    Stored<Vehicle> Vehicle,
    IReadOnlyList<Stored<Panel>> Panels,
    IReadOnlyList<Stored<Member>> Members,
    IReadOnlyList<Stored<Zone>> Zones,
    IReadOnlyList<Stored<Opening>> Openings,
    IReadOnlyList<Stored<Finding>> Findings,
    IReadOnlyList<Stored<Photo>> Photos,
    WaterRows Water,
    IReadOnlyList<Stored<LeakPrior>> LeakPriors,
    IReadOnlyList<Stored<Joint>> Joints,
    IReadOnlyList<Stored<Repair>> Repairs,
    IReadOnlyList<Stored<StockSheet>> Sheets,
    FloorRows Floor,
    DayRows Days,
    IReadOnlyList<Stored<Fitting>> Fittings,
    IReadOnlyList<Stored<Product>> Products
)
{
    /// <summary>Steps that are done, oldest first.</summary>
    public IReadOnlyList<Stored<StepDone>> Done { get; init; } = [];

    /// <summary>What was learned, on all vehicles.</summary>
    public IReadOnlyList<Stored<Lesson>> Lessons { get; init; } = [];

    /// <summary>What is looked after.</summary>
    public UpkeepRows Upkeep { get; init; } = new([], []);

    /// <summary>What is there to work with.</summary>
    public IReadOnlyList<Stored<StockItem>> Stock { get; init; } = [];

    /// <summary>Tools that somebody lent.</summary>
    public IReadOnlyList<Stored<BorrowedTool>> Borrowed { get; init; } = [];

    /// <summary>What it carries, and what it weighed.</summary>
    public LoadRows Load { get; init; } = new([], []);

    /// <summary>The steps of a job that are done, by key.</summary>
    public Dictionary<string, StepDone> DoneOf(Job job) => Done.Where(d => d.Value.Job == job).ToDictionary(d => d.Value.Key, d => d.Value);

    private readonly Dictionary<string, Fitting> fittingOf = Fittings.ToDictionary(f => f.Id, f => f.Value);
    private readonly ILookup<string, Stored<Member>> membersOn = Members.ToLookup(m => m.OwnerId!);

    /// <summary>How lengths of this vehicle are written.</summary>
    public LengthFormat Lengths => new(Vehicle.Value.Units, Vehicle.Value.InchDenominator);

    /// <summary>The panel of a row that lies on one.</summary>
    public Stored<Panel> PanelOf<T>(Stored<T> row)
        where T : notnull => Panels.Single(p => p.Id == row.OwnerId);

    /// <summary>The roof, or null where none is drawn.</summary>
    public Stored<Panel>? Roof => Panels.FirstOrDefault(p => p.Value.Kind == PanelKind.Roof);

    /// <summary>The members of a panel.</summary>
    public IEnumerable<Stored<Member>> MembersOn(Stored<Panel> panel) => membersOn[panel.Id];

    /// <summary>The fitting of an opening, unturned.</summary>
    public Fitting FittingOf(Opening opening) => fittingOf[opening.FittingId];

    /// <summary>The joint that was written down of an opening, or null.</summary>
    public Stored<Joint>? JointOf(Stored<Opening> opening) => Joints.FirstOrDefault(j => j.Value.Of == new JointOf(JointOfKind.Opening, opening.Id));

    /// <summary>A product of the catalogue, or null where none is named.</summary>
    public Product? Product(string? id) => id is null ? null : Products.FirstOrDefault(p => p.Id == id)?.Value;
}

/// <summary>What bears on water, of all panels of a vehicle.</summary>
/// <param name="Suspects">Suspects that somebody wrote down.</param>
/// <param name="Observations">What was looked at.</param>
/// <param name="SealReadings">Readings along seals.</param>
/// <param name="Drains">Drains.</param>
/// <param name="Coverings">What was put on panels or into them.</param>
public sealed record WaterRows(
    IReadOnlyList<Stored<Suspect>> Suspects,
    IReadOnlyList<Stored<Observation>> Observations,
    IReadOnlyList<Stored<SealReading>> SealReadings,
    IReadOnlyList<Stored<Drain>> Drains,
    IReadOnlyList<Stored<Covering>> Coverings
);

/// <summary>What is known of the wood of floors and linings, of all panels of a vehicle, and of what is there to cut from.</summary>
/// <param name="Probes">Places that were tapped, pricked or metered.</param>
/// <param name="Boards">Boards as they lie.</param>
/// <param name="Replacements">Bad wood that is replaced.</param>
/// <param name="Linings">Boards that hide panels from inside.</param>
/// <param name="Stock">Boards and offcuts of the vehicle to cut from.</param>
public sealed record FloorRows(
    IReadOnlyList<Stored<Probe>> Probes,
    IReadOnlyList<Stored<Board>> Boards,
    IReadOnlyList<Stored<Replacement>> Replacements,
    IReadOnlyList<Stored<Lining>> Linings,
    IReadOnlyList<Stored<StockBoard>> Stock
);

/// <summary>What decides about the days of a vehicle.</summary>
/// <param name="Forecast">The last forecast; null for none.</param>
/// <param name="People">Who works on it.</param>
/// <param name="Own">What somebody wrote down to do.</param>
/// <param name="Plan">The plan as it was last made; null for none.</param>
public sealed record DayRows(
    Stored<Forecast>? Forecast,
    IReadOnlyList<Stored<Person>> People,
    IReadOnlyList<Stored<OwnTask>> Own,
    Stored<KeptPlan>? Plan
);

/// <summary>What is looked after on a vehicle.</summary>
/// <param name="Done">That it was.</param>
/// <param name="Own">What somebody wrote down.</param>
public sealed record UpkeepRows(IReadOnlyList<Stored<UpkeepDone>> Done, IReadOnlyList<Stored<OwnUpkeep>> Own);

/// <summary>Picks rows by what they belong to.</summary>
public static class Rows
{
    /// <summary>The rows that belong to something.</summary>
    public static IEnumerable<Stored<T>> On<T>(this IEnumerable<Stored<T>> rows, string ownerId)
        where T : notnull => rows.Where(r => r.OwnerId == ownerId);

    /// <summary>What rows hold.</summary>
    public static T[] Values<T>(this IEnumerable<Stored<T>> rows)
        where T : notnull => [.. rows.Select(r => r.Value)];
}

/// <summary>What a vehicle carries, and what it weighed.</summary>
/// <param name="Items">What somebody wrote down.</param>
/// <param name="Weighings">Times on a weighbridge.</param>
public sealed record LoadRows(IReadOnlyList<Stored<LoadItem>> Items, IReadOnlyList<Stored<Weighing>> Weighings);
