using Abri.Core.Days;
using Abri.Core.Days.Planning;
using Abri.Core.Linings;
using Abri.Core.Metal;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>A job that cannot be planned as it stands.</summary>
/// <param name="Job">The job.</param>
/// <param name="Name">Its name.</param>
/// <param name="Why">What is missing.</param>
public sealed record JobWithoutTasks(Job Job, string Name, string Why);

/// <summary>A rule of the trade between two jobs.</summary>
internal sealed record JobRule(Job First, Job Then, TradeRule Rule);

/// <summary>A task of a vehicle.</summary>
/// <param name="Key">What it is known by.</param>
/// <param name="Task">The task.</param>
/// <param name="Name">Name of its job.</param>
/// <param name="Turn">Its turn; null for what somebody wrote down by themselves.</param>
/// <param name="Steps">Its steps; of what somebody wrote down there are none.</param>
internal sealed record VehicleTask(TaskKey Key, PlanTask Task, string Name, WorkTurn? Turn, IReadOnlyList<WorkStep> Steps);

/// <summary>What is to be done on a vehicle, in tasks: of all procedures that are not done, and what somebody wrote down.</summary>
/// <remarks>
/// The order over the whole vehicle is that of <see cref="WorkOrder"/>: each job of a turn comes after all jobs of the turn before it that has any.
/// Work of one kind gets quicker each time (<see cref="Learning"/>): the next opening of a kind of fitting, the next repair of a kind.
/// </remarks>
/// <param name="Tasks">The tasks in the order of work.</param>
/// <param name="Rules">The rules of the trade between their jobs.</param>
/// <param name="Without">Jobs that have no tasks, with what is missing.</param>
internal sealed record VehicleTasks(IReadOnlyList<VehicleTask> Tasks, IReadOnlyList<JobRule> Rules, IReadOnlyList<JobWithoutTasks> Without)
{
    /// <summary>The tasks of a vehicle.</summary>
    public static VehicleTasks Of(VehicleSnapshot of)
    {
        List<VehicleTask> tasks = [];
        List<JobWithoutTasks> without = [];
        var done = new Dictionary<string, int>();
        foreach (IGrouping<Job, NextJob> next in WholeShell.NextJobs(of).GroupBy(n => n.Job))
        {
            if (JobOf(of, next.Key) is not { } job)
                continue;
            if (job.Procedure is not { } procedure)
            {
                without.Add(new JobWithoutTasks(next.Key, job.Name, $"{job.Missing} It comes first: {WorkOrder.Reason(next.First().Turn)}."));
                continue;
            }
            int nth = done[job.Kind] = done.GetValueOrDefault(job.Kind, job.DoneBefore) + 1;
            double share = Learning.Nth(1, nth, Learning.UsualRate);
            foreach (ProcedureTask task in ProcedureTasks.Of(next.Key, job.Name, job.Spot, procedure, job.IsCut, share))
            {
                // What comes last of a job, such as its wax, waits under a turn of its own.
                WorkTurn turn = next.Count() > 1 && task.Key.Key.EndsWith("wax", StringComparison.Ordinal) ? next.Last().Turn : next.First().Turn;
                tasks.Add(
                    new VehicleTask(
                        task.Key,
                        task.Task with
                        {
                            KeepsWaterOut = turn is WorkTurn.CloseShell or WorkTurn.KeepWaterOut,
                        },
                        job.Name,
                        turn,
                        task.Steps
                    )
                );
            }
        }
        List<JobRule> rules = RulesOf(tasks);
        // What somebody wrote down comes first: of what does not fit the last is left out.
        return new VehicleTasks([.. of.Days.Own.Where(o => !o.Value.IsDone).Select(Own), .. tasks], rules, without);
    }

    private static VehicleTask Own(Stored<OwnTask> row)
    {
        OwnTask own = row.Value;
        var key = new TaskKey(new Job(JobKind.Own, row.Id), "own");
        var step = new DayStep(
            own.Name,
            new Minutes(own.Minutes, own.Minutes, own.Minutes),
            0,
            new WeatherNeeds(own.Dry, own.WindBelowMs, null, null),
            own.People,
            own.Place is WorkPlace.Inside or WorkPlace.Bench
        );
        return new VehicleTask(
            key,
            new PlanTask(ProcedureTasks.IdOf(key), own.Name, row.Id, [step], false, null, [], own.NotBefore, own.Until),
            own.Name,
            null,
            []
        );
    }

    private sealed record JobToDo(
        string Name,
        string Kind,
        string Spot,
        Procedure? Procedure,
        string? Missing,
        bool IsCut = false,
        int DoneBefore = 0
    );

    private static JobToDo? JobOf(VehicleSnapshot of, Job job)
    {
        switch (job.Kind)
        {
            case JobKind.Opening:
                Stored<Opening> opening = of.Openings.Single(o => o.Id == job.Id);
                FittingKind kind = of.FittingOf(opening.Value).Kind;
                bool ok = OpeningProcedure.Of(OpeningSites.Work(of, opening)).IsOk(out Worked<Procedure>? steps, out Problem? problem);
                int before = of.Openings.Count(o => o.Value.State == OpeningState.Fitted && of.FittingOf(o.Value).Kind == kind);
                return new JobToDo(
                    opening.Value.Name,
                    $"opening/{kind}",
                    opening.OwnerId!,
                    ok ? steps!.Result : null,
                    problem?.Message,
                    opening.Value.State == OpeningState.Cut,
                    before
                );
            case JobKind.Repair:
                Stored<Repair> repair = of.Repairs.Single(r => r.Id == job.Id);
                _ = RepairProcedure
                    .Of(MetalOfVehicle.Work(of, of.PanelOf(repair), repair.Value))
                    .IsOk(out Worked<RepairPlan>? plan, out Problem? wrong);
                int mended = of.Repairs.Count(r => r.Value.IsOver && r.Value.Kind == repair.Value.Kind);
                string? patch = Blocked(plan?.Result.Patch?.Rows);
                return new JobToDo(
                    repair.Value.Name,
                    $"repair/{repair.Value.Kind}",
                    repair.OwnerId!,
                    patch is null ? plan?.Result.Procedure : null,
                    wrong?.Message ?? patch,
                    DoneBefore: mended
                );
            case JobKind.Replacement:
                Stored<Floor.Replacement> wood = of.Floor.Replacements.Single(r => r.Id == job.Id);
                _ = ReplacementProcedure
                    .Of(FloorOfVehicle.Site(of, of.PanelOf(wood)), wood.Value)
                    .IsOk(out Worked<FloorJob>? floor, out Problem? off);
                string? boards = Blocked(floor?.Result.Plan.Rows);
                return new JobToDo(
                    wood.Value.Name,
                    "replacement",
                    wood.OwnerId!,
                    boards is null ? floor?.Result.Procedure : null,
                    off?.Message ?? boards
                );
            case JobKind.Lining:
                Stored<Lining> lining = of.Floor.Linings.Single(l => l.Id == job.Id);
                _ = LiningProcedure
                    .Of(LiningsOfVehicle.Site(of, of.PanelOf(lining)), lining.Value)
                    .IsOk(out Worked<LiningJob>? lined, out Problem? bad);
                string? hides = Blocked(lined?.Result.Plan.Rows);
                return new JobToDo(
                    lining.Value.Name,
                    "lining",
                    lining.OwnerId!,
                    hides is null ? lined?.Result.Procedure : null,
                    bad?.Message ?? hides
                );
            case JobKind.Finding:
                return new JobToDo(of.Findings.Single(f => f.Id == job.Id).Value.Name, "", "", null, "Nothing is planned for it yet.");
            default:
                return null;
        }
    }

    /// <summary>What must not be done as it is drawn, in words; null where nothing is in the way.</summary>
    private static string? Blocked(IReadOnlyList<Judgement>? rows) =>
        rows?.Where(r => r.State == JudgementState.Blocked).Select(r => $"{r.Title}: {r.Remedy}").ToArray() is [_, ..] blocked
            ? string.Join(" ", blocked)
            : null;

    /// <summary>Each job comes after those of the turn before; straightening lets no water in and keeps nothing waiting.</summary>
    private static List<JobRule> RulesOf(IReadOnlyList<VehicleTask> tasks)
    {
        List<JobRule> rules = [];
        List<IGrouping<WorkTurn, VehicleTask>> turns =
        [
            .. tasks.Where(t => t.Turn is { } turn && turn != WorkTurn.Straighten).GroupBy(t => t.Turn!.Value).OrderBy(g => g.Key),
        ];
        for (int i = 1; i < turns.Count; i++)
        {
            foreach (IGrouping<Job, VehicleTask> first in turns[i - 1].GroupBy(t => t.Key.Job))
            {
                foreach (IGrouping<Job, VehicleTask> then in turns[i].GroupBy(t => t.Key.Job).Where(g => g.Key != first.Key))
                {
                    string why = $"{then.First().Name} comes after {first.First().Name}: {WorkOrder.Reason(turns[i].Key)}.";
                    bool hides = turns[i].Key is WorkTurn.Wax or WorkTurn.Line;
                    rules.Add(
                        new JobRule(
                            first.Key,
                            then.Key,
                            new TradeRule([.. first.Select(t => t.Task.Id)], [.. then.Select(t => t.Task.Id)], why, hides)
                        )
                    );
                }
            }
        }
        return rules;
    }
}
