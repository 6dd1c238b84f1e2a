using Abri.Core.Floor;
using Abri.Core.Linings;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Water;
using Abri.Core.Water.Leaks;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>A vehicle with everything on it, as the screens load it.</summary>
/// <param name="Vehicle">The vehicle.</param>
/// <param name="Panels">Its panels.</param>
/// <param name="Members">The members of all panels; their owner is the panel.</param>
/// <param name="Zones">Zones inside.</param>
/// <param name="Openings">The openings of all panels; their owner is the panel.</param>
/// <param name="Findings">The findings of all panels; their owner is the panel.</param>
/// <param name="Repairs">The repairs of all panels; their owner is the panel.</param>
/// <param name="Photos">The photos of all findings; their owner is the finding.</param>
/// <param name="Next">What waits, in the order of work.</param>
/// <param name="Suspects">Suspects that somebody wrote down; their owner is the panel.</param>
/// <param name="Observations">What was looked at; their owner is the panel.</param>
/// <param name="SealReadings">Readings along seals; their owner is the panel.</param>
/// <param name="Drains">Drains; their owner is the panel.</param>
/// <param name="Coverings">What was put on panels or into them; their owner is the panel.</param>
/// <param name="LeakPriors">Priors that somebody changed.</param>
/// <param name="WaysOut">What keeps water in, worst first.</param>
/// <param name="Open">Where the shell stands open.</param>
/// <param name="Floor">What was probed, lies and is replaced of floors; their owner is the panel.</param>
public sealed record WholeShell(
    Stored<Vehicle> Vehicle,
    IReadOnlyList<Stored<Panel>> Panels,
    IReadOnlyList<Stored<Member>> Members,
    IReadOnlyList<Stored<Zone>> Zones,
    IReadOnlyList<Stored<Opening>> Openings,
    IReadOnlyList<Stored<Finding>> Findings,
    IReadOnlyList<Stored<Repair>> Repairs,
    IReadOnlyList<Stored<Photo>> Photos,
    IReadOnlyList<NextJob> Next,
    IReadOnlyList<Stored<Suspect>> Suspects,
    IReadOnlyList<Stored<Observation>> Observations,
    IReadOnlyList<Stored<SealReading>> SealReadings,
    IReadOnlyList<Stored<Drain>> Drains,
    IReadOnlyList<Stored<Covering>> Coverings,
    IReadOnlyList<Stored<LeakPrior>> LeakPriors,
    IReadOnlyList<WayOut> WaysOut,
    IReadOnlyList<OpenPlace> Open,
    FloorRows Floor
)
{
    /// <summary>The shell with what follows from it.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="now">The time: what was looked after long ago counts for less.</param>
    public static WholeShell Of(VehicleSnapshot of, DateTimeOffset now) =>
        new(
            of.Vehicle,
            of.Panels,
            of.Members,
            of.Zones,
            of.Openings,
            of.Findings,
            of.Repairs,
            of.Photos,
            NextJobs(of),
            of.Water.Suspects,
            of.Water.Observations,
            of.Water.SealReadings,
            of.Water.Drains,
            of.Water.Coverings,
            of.LeakPriors,
            WaysOfWater(of, now),
            OpenShell.Of(of),
            of.Floor
        );

    /// <summary>What waits, in the order of work.</summary>
    internal static IReadOnlyList<NextJob> NextJobs(VehicleSnapshot of)
    {
        // A finding that a repair mends waits as that repair.
        HashSet<string> mended = [.. of.Repairs.SelectMany(r => r.Value.FindingIds), .. of.Floor.Replacements.SelectMany(r => r.Value.FindingIds)];
        Dictionary<string, Panel> panels = of.Panels.ToDictionary(p => p.Id, p => p.Value);
        Observation[] looked = of.Water.Observations.Values();
        IEnumerable<Waiting> findings = of
            .Findings.Where(f => !mended.Contains(f.Id))
            .Select(f => new Waiting(
                new Job(JobKind.Finding, f.Id),
                PanelWords.Title(panels[f.OwnerId!]),
                f.Value,
                Test: TestsOfFinding.Of(f.Value, panels[f.OwnerId!], looked)
            ));
        IEnumerable<Waiting> openings = of
            .Openings.Where(o => o.Value.State != OpeningState.Fitted)
            .Select(o => new Waiting(
                new Job(JobKind.Opening, o.Id),
                PanelWords.Title(panels[o.OwnerId!]),
                null,
                o.Value.Name,
                OpenShell.IsOpen(of, o)
            ));
        IEnumerable<Waiting> repairs = of.Repairs.Where(r => !r.Value.IsOver).SelectMany(r => Waits(of, r, PanelWords.Title(panels[r.OwnerId!])));
        IEnumerable<Waiting> replacements = of
            .Floor.Replacements.Where(r => r.Value.State != ReplacementState.Done)
            .Select(r => new Waiting(
                new Job(JobKind.Replacement, r.Id),
                PanelWords.Title(panels[r.OwnerId!]),
                null,
                Repair: new WaitingRepair(r.Value.Name, "cut out and replace", RepairTurn.ReplacesWood, WorstOf(of, r.Value.FindingIds))
            ));
        IEnumerable<Waiting> linings = of
            .Floor.Linings.Where(l => l.Value.State != LiningState.Fixed)
            .Select(l => new Waiting(
                new Job(JobKind.Lining, l.Id),
                PanelWords.Title(panels[l.OwnerId!]),
                null,
                Repair: new WaitingRepair(l.Value.Name, "line", RepairTurn.Lines, Severity.Minor)
            ));
        return WorkOrder.Of([.. findings, .. openings, .. repairs, .. replacements, .. linings]);
    }

    /// <summary>A repair in the order of work; the wax of its cavity by itself, since that comes last.</summary>
    private static IEnumerable<Waiting> Waits(VehicleSnapshot of, Stored<Repair> row, string where)
    {
        RepairWork work = MetalOfVehicle.Work(of, of.PanelOf(row), row.Value);
        Repair repair = work.Allowed;
        var job = new Job(JobKind.Repair, row.Id);
        Severity severity = WorstOf(of, repair.FindingIds);
        (string verb, RepairTurn turn) = repair.Kind switch
        {
            RepairKind.Patch or RepairKind.Plug when repair.State == RepairState.Doing => ("close", RepairTurn.StandsOpen),
            RepairKind.Patch => ("cut out and patch", RepairTurn.MendsMetal),
            RepairKind.Plate => ("plate", RepairTurn.MendsMetal),
            RepairKind.Plug => ("close", RepairTurn.KeepsWaterOut),
            RepairKind.Gutter => ("seal again", RepairTurn.KeepsWaterOut),
            RepairKind.Trim => ("take off and put on again", RepairTurn.Uncovers),
            RepairKind.Leave => ("look at", RepairTurn.MendsMetal),
            RepairKind.WindowOut when repair.State == RepairState.Doing => ("cover the hole of", RepairTurn.StandsOpen),
            RepairKind.WindowOut => ("take out", RepairTurn.Uncovers),
            RepairKind.Door => ("make it lie in its seal", RepairTurn.KeepsWaterOut),
            _ => (work.IsForWorkshop ? "clean and protect" : "treat", RepairTurn.MendsMetal),
        };
        yield return new Waiting(job, where, null, Repair: new WaitingRepair(repair.Name, verb, turn, severity));
        if (repair.Kind == RepairKind.Patch || (repair.Spot?.Pocket == true && repair.Kind is RepairKind.Treat or RepairKind.Plate))
            yield return new Waiting(job, where, null, Repair: new WaitingRepair(repair.Name, "wax the cavity behind", RepairTurn.Waxes, severity));
    }

    /// <summary>How bad the worst of some findings is.</summary>
    private static Severity WorstOf(VehicleSnapshot of, IReadOnlyList<string> findingIds) =>
        of.Findings.Where(f => findingIds.Contains(f.Id)).Select(f => f.Value.Severity).DefaultIfEmpty(Severity.Moderate).Max();

    /// <summary>What keeps water in, worst first.</summary>
    private static IReadOnlyList<WayOut> WaysOfWater(VehicleSnapshot of, DateTimeOffset now) =>
        Water.WaysOut.Of(
            [
                .. of.Panels.Select(p => new DrainedPanel(
                    p.Id,
                    p.Value,
                    of.MembersOn(p).Values(),
                    of.Findings.On(p.Id).Values(),
                    of.Water.Drains.On(p.Id).Values(),
                    WetVehicle.Coverings(of, p)
                )),
            ],
            now,
            of.Lengths
        );
}
