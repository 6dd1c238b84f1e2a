using Abri.Core.Openings;
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
/// <param name="Photos">The photos of all findings; their owner is the finding.</param>
/// <param name="Next">What waits, in the order of work.</param>
/// <param name="Suspects">Suspects that somebody wrote down; their owner is the panel.</param>
/// <param name="Observations">What was looked at; their owner is the panel.</param>
/// <param name="SealReadings">Readings along seals; their owner is the panel.</param>
/// <param name="Drains">Drains; their owner is the panel.</param>
/// <param name="Coverings">What was put on panels or into them; their owner is the panel.</param>
/// <param name="LeakPriors">Priors that somebody changed.</param>
/// <param name="WaysOut">What keeps water in, worst first.</param>
public sealed record WholeShell(
    Stored<Vehicle> Vehicle,
    IReadOnlyList<Stored<Panel>> Panels,
    IReadOnlyList<Stored<Member>> Members,
    IReadOnlyList<Stored<Zone>> Zones,
    IReadOnlyList<Stored<Opening>> Openings,
    IReadOnlyList<Stored<Finding>> Findings,
    IReadOnlyList<Stored<Photo>> Photos,
    IReadOnlyList<NextJob> Next,
    IReadOnlyList<Stored<Suspect>> Suspects,
    IReadOnlyList<Stored<Observation>> Observations,
    IReadOnlyList<Stored<SealReading>> SealReadings,
    IReadOnlyList<Stored<Drain>> Drains,
    IReadOnlyList<Stored<Covering>> Coverings,
    IReadOnlyList<Stored<LeakPrior>> LeakPriors,
    IReadOnlyList<WayOut> WaysOut
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
            of.Photos,
            NextJobs(of),
            of.Water.Suspects,
            of.Water.Observations,
            of.Water.SealReadings,
            of.Water.Drains,
            of.Water.Coverings,
            of.LeakPriors,
            WaysOfWater(of, now)
        );

    /// <summary>What waits, in the order of work.</summary>
    private static IReadOnlyList<NextJob> NextJobs(VehicleSnapshot of)
    {
        Dictionary<string, Panel> panels = of.Panels.ToDictionary(p => p.Id, p => p.Value);
        Observation[] looked = of.Water.Observations.Values();
        IEnumerable<Waiting> findings = of.Findings.Select(f => new Waiting(
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
                o.Value.State == OpeningState.Cut
            ));
        return WorkOrder.Of([.. findings, .. openings]);
    }

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
                    of.Water.Coverings.On(p.Id).Values()
                )),
            ],
            now,
            of.Lengths
        );
}
