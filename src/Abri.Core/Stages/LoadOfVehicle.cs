using Abri.Core.Geometry;
using Abri.Core.Load;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>Where a mass comes from.</summary>
public enum LoadSource
{
    /// <summary>Somebody wrote it down.</summary>
    Own,

    /// <summary>The fitting of an opening, less the skin that is cut out.</summary>
    Opening,

    /// <summary>The boards of a lining.</summary>
    Lining,

    /// <summary>New wood of a floor, less the old.</summary>
    Replacement,

    /// <summary>A patch, less what is cut out, or an old pane that comes out.</summary>
    Repair,
}

/// <summary>Something that a vehicle carries.</summary>
/// <param name="Id">Id of its row; of what is only asked about, empty.</param>
/// <param name="Version">Version of its row, of what somebody wrote down; 0 of others.</param>
/// <param name="Source">Where it comes from.</param>
/// <param name="Item">What it is, how heavy and where; <c>Kg</c> is never less than 0.</param>
/// <param name="Makes">How its mass comes about; empty where it was typed.</param>
public sealed record LoadLine(string Id, int Version, LoadSource Source, LoadItem Item, string Makes)
{
    /// <summary>The states in which some of it is there.</summary>
    public IReadOnlyList<LoadState> CountsIn { get; init; } = [.. Enum.GetValues<LoadState>().Where(s => Item.In(s) != 0)];
}

/// <summary>What a vehicle weighs in one state.</summary>
/// <param name="State">The state.</param>
/// <param name="Planned">Whether what is planned counts as done.</param>
/// <param name="AddedKg">What is aboard besides the base, kg.</param>
/// <param name="TotalKg">All of it, kg; null where the base is not known.</param>
/// <param name="On">How it stands on the axles; null where that is not known.</param>
/// <param name="HeightMm">Height of the centre of mass above the road, mm; null where it is not known.</param>
/// <param name="Rows">What the rules say.</param>
public sealed record LoadCase(
    LoadState State,
    bool Planned,
    double AddedKg,
    double? TotalKg,
    OnAxles? On,
    double? HeightMm,
    IReadOnlyList<Judgement> Rows
);

/// <summary>A way to get lighter.</summary>
/// <param name="What">What is done.</param>
/// <param name="SavesKg">What it saves, kg.</param>
/// <param name="Costs">What it costs, in words.</param>
public sealed record LighterWay(string What, double SavesKg, string Costs);

/// <summary>What a vehicle carries and weighs.</summary>
/// <param name="Gear">What carries it; null where the papers do not say.</param>
/// <param name="Lines">What it carries, as it stands and as it is planned.</param>
/// <param name="Base">The vehicle without all that; null where nothing is known of it.</param>
/// <param name="BaseAt">Where the base's mass lies; null where that is not known.</param>
/// <param name="Weighings">Times on a weighbridge, newest first.</param>
/// <param name="Cases">As it stands and when all is done, in each state.</param>
/// <param name="Lighter">Ways to get lighter, what saves most first.</param>
/// <param name="Missing">What is not known, and what it would tell.</param>
/// <param name="FromSide">Outline from the left: X and Z; empty where no side is drawn.</param>
/// <param name="FromAbove">Outline from above: X and Y; empty where neither roof nor floor is drawn.</param>
public sealed record LoadOfVehicle(
    Gear? Gear,
    IReadOnlyList<LoadLine> Lines,
    WeighedBase? Base,
    LoadPlace? BaseAt,
    IReadOnlyList<Stored<Weighing>> Weighings,
    IReadOnlyList<LoadCase> Cases,
    IReadOnlyList<LighterWay> Lighter,
    IReadOnlyList<string> Missing,
    IReadOnlyList<PanelPoint> FromSide,
    IReadOnlyList<PanelPoint> FromAbove
)
{
    private static readonly Masses Nothing = new(null, null, null, null, null);

    /// <summary>The load of a vehicle.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="with">Something that is not kept yet, to see what it would do; null for nothing.</param>
    /// <param name="without">Id of a row that it stands in for; null for none.</param>
    public static LoadOfVehicle Of(VehicleSnapshot of, LoadItem? with = null, string? without = null)
    {
        Vehicle vehicle = of.Vehicle.Value;
        Masses masses = vehicle.Masses ?? Nothing;
        Gear? gear = GearOf(vehicle);
        LoadLine[] lines =
        [
            .. of.Load.Items.Where(i => i.Id != without).Select(i => new LoadLine(i.Id, i.Version, LoadSource.Own, i.Value, "")),
            .. with is null ? [] : new[] { new LoadLine("", 0, LoadSource.Own, with, "") },
            .. BuiltMasses.Of(of),
        ];
        Weighing[] weighed = [.. of.Load.Weighings.Values()];
        WeighedBase? known =
            masses.KerbKg is null && weighed.Length == 0
                ? null
                : Weighbridge
                    .Of(
                        new BasePapers(masses.KerbKg, masses.KerbFrontKg),
                        [.. weighed.Select(w => new WeighedLoad(w.Reading, w.Aboard))],
                        IsTrailer(vehicle)
                    )
                    .Result;
        LoadPlace? baseAt = gear is not null && known is { KnowsTotal: true, KnowsAxles: true } ? BaseAtOf(gear, known, masses) : null;
        LoadCase[] cases =
        [
            .. Enum.GetValues<LoadState>().Select(state => LoadCases.Of(vehicle, gear, known, baseAt, lines, state, planned: false, of.Lengths)),
            .. Enum.GetValues<LoadState>().Select(state => LoadCases.Of(vehicle, gear, known, baseAt, lines, state, planned: true, of.Lengths)),
        ];
        return new LoadOfVehicle(
            gear,
            lines,
            known,
            baseAt,
            [.. of.Load.Weighings.OrderByDescending(w => w.Value.On)],
            cases,
            LighterWays.Of(of, lines),
            [.. MissingOf(masses, known, IsTrailer(vehicle))],
            OutlineOf(of, [Facing.Left, Facing.Right]),
            OutlineOf(of, [Facing.Up, Facing.Down])
        );
    }

    /// <summary>What is aboard besides the empty base, of what is in already: what a weighing keeps.</summary>
    public static AxleShares Aboard(VehicleSnapshot of, LoadState state)
    {
        Vehicle vehicle = of.Vehicle.Value;
        PlacedMass[] aboard =
        [
            .. of
                .Load.Items.Select(i => i.Value)
                .Concat(BuiltMasses.Of(of).Select(l => l.Item))
                .Where(i => i.IsIn)
                .Select(i => new PlacedMass(i.Name, i.In(state), i.At)),
        ];
        // Without axles there is only a sum: it stands on the rear one for as long as nobody says where they are.
        OnAxles on = AxleLoads.Of(GearOf(vehicle) ?? new Gear(0, 1), aboard).Result;
        return GearOf(vehicle) is null
            ? new AxleShares(0, on.TotalKg, on.TotalKg / 2)
            : new AxleShares(on.FrontKg, on.RearKg, on.LeftKg ?? ((IsTrailer(vehicle) ? on.RearKg : on.TotalKg) / 2));
    }

    /// <summary>Whether a weighing can be so.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="value">The weighing.</param>
    /// <param name="now">The moment.</param>
    public static Problem? Check(VehicleSnapshot of, Weighing value, DateTimeOffset now) =>
        value.On > DateOnly.FromDateTime(VehicleNow.At(of, now).Now.DateTime)
            ? new Problem("weighing-ahead", "/on", "That day has not come yet. Write it down when it was weighed.")
        : (value.Reading.FrontKg ?? value.Reading.RearKg ?? value.Reading.LeftKg ?? value.Reading.RightKg) is not null
        && GearOf(of.Vehicle.Value) is null
            ? new Problem(
                "weighing-no-axles",
                "/reading",
                "Say first where the axles are: without them the load cannot be shared between them. The total alone can be kept."
            )
        : null;

    private static bool IsTrailer(Vehicle vehicle) => vehicle.Kind is VehicleKind.BoxTrailer or VehicleKind.CaravanBody;

    private static Gear? GearOf(Vehicle vehicle) =>
        vehicle.Masses is { FrontAxleAtMm: { } at, WheelbaseMm: { } wheelbase } masses
            ? new Gear(at, wheelbase, masses.TrackMm, IsTrailer(vehicle))
            : null;

    private static LoadPlace BaseAtOf(Gear gear, WeighedBase known, Masses masses)
    {
        AxleShares on = known.On;
        double total = on.FrontKg + on.RearKg,
            wheels = gear.IsTrailer ? on.RearKg : total;
        return new LoadPlace(
            gear.FrontAtMm + (gear.WheelbaseMm * on.RearKg / total),
            gear.TrackMm is { } track && known.KnowsSides ? track * (on.LeftKg - (wheels / 2)) / total : 0,
            (masses.KerbHeightMm - masses.FloorHeightMm) ?? 0
        );
    }

    private static IEnumerable<string> MissingOf(Masses masses, WeighedBase? known, bool isTrailer)
    {
        if (known is not { KnowsTotal: true })
            yield return "The kerb mass, from the papers or a weighbridge: without it there is only what you add.";
        if (masses.PermittedKg is null)
            yield return "The permitted mass, from the papers: without it there is no payload to show.";
        if (masses.WheelbaseMm is null || masses.FrontAxleAtMm is null)
            yield return isTrailer
                ? "Where coupling and axle are: without that there is no load on the coupling."
                : "Where the axles are: without that there are no axle loads.";
        else if (known is { KnowsTotal: true, KnowsAxles: false })
            yield return isTrailer
                ? "What of the kerb mass hangs on the coupling, from a scale under it."
                : "What of the kerb mass stands on the front axle, from the papers or a weighbridge.";
        if (masses.FrontAxleKg is null || masses.RearAxleKg is null)
            yield return isTrailer ? "The limits of coupling and axle, from their plates." : "The limits of the axles, from the papers.";
        if (masses.KerbHeightMm is null || masses.FloorHeightMm is null)
            yield return "How high the empty vehicle's centre of mass and its floor lie: without that there is no height.";
    }

    private static IReadOnlyList<PanelPoint> OutlineOf(VehicleSnapshot of, Facing[] facings) =>
        of.Panels.Where(p => facings.Contains(p.Value.Facing)).OrderByDescending(p => p.Value.Box.AreaMm2).FirstOrDefault()?.Value.Outline ?? [];
}
