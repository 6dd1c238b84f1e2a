using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>Something in metal that was found, and for which no repair is planned yet.</summary>
/// <param name="FindingId">Id of the finding.</param>
/// <param name="PanelId">Id of its panel.</param>
/// <param name="Proposal">The repair that would be a start.</param>
/// <param name="Order">Its place in the order of work, from 1; null where nothing waits.</param>
public sealed record MetalSpot(string FindingId, string PanelId, Repair Proposal, int? Order);

/// <summary>A repair with what the lists and the map show of it.</summary>
/// <param name="Row">The repair; its owner is the panel.</param>
/// <param name="Order">Its place in the order of work, from 1; null where it is over.</param>
/// <param name="Advice">What the rules say of the metal, in a sentence; null where none was looked at.</param>
/// <param name="Method">What that leads to; null where none was looked at.</param>
/// <param name="Outline">Its outline on the panel: of a patch its edge, else what is damaged.</param>
/// <param name="LookAgainMonths">Months after which it is looked at again; null where it need not be, or is not done yet.</param>
/// <param name="LookAgainOn">When that is.</param>
public sealed record MetalRepair(
    Stored<Repair> Row,
    int? Order,
    string? Advice,
    RustMethod? Method,
    IReadOnlyList<PanelPoint> Outline,
    int? LookAgainMonths,
    DateOnly? LookAgainOn
);

/// <summary>The metal of a vehicle: what was found, and what is done about it.</summary>
/// <param name="Spots">What has no repair yet, in order of work.</param>
/// <param name="Repairs">The repairs, in order of work; what is over comes last.</param>
public sealed record MetalOfVehicle(IReadOnlyList<MetalSpot> Spots, IReadOnlyList<MetalRepair> Repairs)
{
    /// <summary>The metal of a vehicle.</summary>
    public static MetalOfVehicle Of(VehicleSnapshot of)
    {
        IReadOnlyList<NextJob> next = WholeShell.NextJobs(of);
        // Wax carries the id of its repair too: the first place counts.
        Dictionary<Job, int> places = [];
        for (int i = 0; i < next.Count; i++)
            places.TryAdd(next[i].Job, i + 1);
        int? Order(JobKind kind, string id) => places.TryGetValue(new Job(kind, id), out int place) ? place : null;
        Dictionary<string, Panel> panels = of.Panels.ToDictionary(p => p.Id, p => p.Value);
        HashSet<string> mended = [.. of.Repairs.SelectMany(r => r.Value.FindingIds)];
        IEnumerable<MetalSpot> spots = of
            .Findings.Where(f => f.Value.State is FindingState.Open or FindingState.Planned && !mended.Contains(f.Id))
            .Select(f =>
                RepairProposal.Of(f.Id, f.Value, panels[f.OwnerId!]) is { } proposal
                    ? new MetalSpot(f.Id, f.OwnerId!, proposal, Order(JobKind.Finding, f.Id))
                    : null
            )
            .OfType<MetalSpot>();
        IEnumerable<MetalRepair> repairs = of.Repairs.Select(r =>
        {
            RepairWork work = Work(of, of.PanelOf(r), r.Value);
            RustAdvice? advice = work.Spot is { } spot ? RustRules.Of(spot, new RustLimits(), of.Lengths).Result : null;
            int? months = LookAgain(r.Value, advice);
            return new MetalRepair(
                r,
                Order(JobKind.Repair, r.Id),
                advice?.Summary,
                advice?.Method,
                Outline(work.Allowed, work.Panel),
                months,
                months is { } m ? UpkeepOfVehicle.LookAgainOn(of, r.Id, r.Value.DoneOn!.Value, m) : null
            );
        });
        return new MetalOfVehicle(
            [.. spots.OrderBy(s => s.Order ?? int.MaxValue)],
            [.. repairs.OrderBy(r => r.Order ?? int.MaxValue).ThenBy(r => r.Row.Value.Name, StringComparer.Ordinal)]
        );
    }

    /// <summary>A repair with all that decides how it is done.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="panel">The panel that it lies on.</param>
    /// <param name="repair">The repair, as kept or still a draft.</param>
    public static RepairWork Work(VehicleSnapshot of, Stored<Panel> panel, Repair repair) =>
        new(
            repair,
            panel.Value,
            of.MembersOn(panel).Values(),
            of.Vehicle.Value.Attitude,
            [.. Shapes(of, panel, f => f.CutOut)],
            [.. Shapes(of, panel, f => f.Flange)],
            of.Lengths
        );

    private static IEnumerable<IReadOnlyList<PanelPoint>> Shapes(VehicleSnapshot of, Stored<Panel> panel, Func<Fitting, RoundedRectangle> shape) =>
        of.Openings.On(panel.Id).Values().Select(o => ShapeOf(of, o, shape));

    /// <summary>The cut-out or the flange of an opening where it lies.</summary>
    internal static IReadOnlyList<PanelPoint> ShapeOf(VehicleSnapshot of, Opening opening, Func<Fitting, RoundedRectangle> shape) =>
        shape(of.FittingOf(opening).Turned(opening.TurnDeg)).BoxAt(opening.Centre).Corners;

    /// <summary>Where a repair lies: of a patch its edge, else what is damaged.</summary>
    internal static IReadOnlyList<PanelPoint> Outline(Repair repair, Panel panel) =>
        repair is { Patch: { } design, Kind: RepairKind.Patch or RepairKind.Plate } && RepairProposal.IsMetal(panel.Material)
            ? Patch.Edge(new PatchSite(panel, [], repair.Damage, design))
        : repair.Kind == RepairKind.Plug || repair.Shape != FindingShape.Area ? repair.Points
        : repair.Damage;

    private static int? LookAgain(Repair repair, RustAdvice? advice) =>
        !repair.IsOver || repair.DoneOn is null
            ? null
            : advice?.LookAgainMonths ?? (repair.State == RepairState.Watch || repair.Kind == RepairKind.Leave ? RustRules.WatchMonths : null);
}
