using Abri.Core.Bench;
using Abri.Core.Days;
using Abri.Core.Days.Planning;
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
/// <param name="Sets">What was done on the bench before it, and how long that sets, hours.</param>
internal sealed record VehicleTask(
    TaskKey Key,
    PlanTask Task,
    string Name,
    WorkTurn? Turn,
    IReadOnlyList<WorkStep> Steps,
    IReadOnlyList<(DateTimeOffset DoneAt, double Hours)> Sets
);

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
        (double pace, double whileOpen) = (VehiclePace.Of(of), VehiclePace.WhileOpen(of));
        foreach (IGrouping<Job, NextJob> next in WholeShell.NextJobs(of).GroupBy(n => n.Job))
        {
            if (JobToDo.Of(of, next.Key) is not { } job)
                continue;
            if (job.Procedure is not { } procedure)
            {
                without.Add(new JobWithoutTasks(next.Key, job.Name, $"{job.Missing} It comes first: {WorkOrder.Reason(next.First().Turn)}."));
                continue;
            }
            int nth = done[job.Kind] = done.GetValueOrDefault(job.Kind, job.DoneBefore) + 1;
            double learnt = Learning.Nth(1, nth, Learning.UsualRate);
            HashSet<string> open = OpenKeys(procedure);
            double Share(WorkStep step) => learnt * (open.Contains(step.Key) ? whileOpen : pace);
            Dictionary<string, StepDone> steps = of.DoneOf(next.Key);
            foreach (ProcedureTask task in ProcedureTasks.Of(next.Key, job.Name, job.PanelId, procedure, job.IsCut, Share, steps.Keys))
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
                        task.Steps,
                        [.. task.Steps.SelectMany(s => s.After).Where(a => steps.ContainsKey(a.Key)).Select(a => (steps[a.Key].At, a.LagHours))]
                    )
                );
            }
        }
        List<JobRule> rules = RulesOf(tasks);
        // What somebody wrote down comes first: of what does not fit the last is left out.
        return new VehicleTasks([.. of.Days.Own.Where(o => !o.Value.IsDone).Select(Own), .. tasks], rules, without);
    }

    /// <summary>Keys of the steps while the shell stands open.</summary>
    private static HashSet<string> OpenKeys(Procedure procedure) =>
        OpenSpan.Within(procedure) is var (first, last, _) ? [.. procedure.Steps.Skip(first).Take(last - first + 1).Select(s => s.Key)] : [];

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
            [],
            []
        );
    }

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
