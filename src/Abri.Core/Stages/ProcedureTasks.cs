using Abri.Core.Days;
using Abri.Core.Days.Planning;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>A task of a procedure, with the steps that it consists of.</summary>
internal sealed record ProcedureTask(TaskKey Key, PlanTask Task, IReadOnlyList<WorkStep> Steps);

/// <summary>Cuts a procedure into tasks: what is done in one go.</summary>
/// <remarks>
/// The steps from the cut until rain does no more harm are one task, which nothing may come into. Others go on until something has to set or dry,
/// other people or light are needed, <see cref="MostMinutes"/> are full, or wax begins, which has its own turn. A single step that is longer is done
/// in parts. How much quicker it goes by then does not matter for that: a task is known by the step that it begins with.
/// </remarks>
internal static class ProcedureTasks
{
    /// <summary>So long a task is at most, where it need not be longer, min: half a day. Assumption.</summary>
    public const double MostMinutes = 240;

    private const string Wax = "wax";

    /// <summary>The tasks.</summary>
    /// <param name="job">The job.</param>
    /// <param name="name">Its name.</param>
    /// <param name="spot">Where it is done.</param>
    /// <param name="procedure">Its procedure.</param>
    /// <param name="isCut">Whether the shell stands open there already.</param>
    /// <param name="share">How much of its minutes a step takes: what is done again goes quicker, and not everybody takes as long.</param>
    /// <param name="done">Keys of the steps that are done: a task goes on with what is left of it, under the key that it has.</param>
    public static IReadOnlyList<ProcedureTask> Of(
        Job job,
        string name,
        string spot,
        Procedure procedure,
        bool isCut,
        Func<WorkStep, double> share,
        IReadOnlyCollection<string> done
    )
    {
        IReadOnlyList<WorkStep> steps = [.. procedure.Steps.Select(s => s with { Minutes = s.Minutes * share(s) })];
        (int First, int Last, int? Closes)? open = OpenSpan.Within(procedure);
        HashSet<string> over = [.. done, .. isCut && open is var (cut, _, _) ? steps.Take(cut + 1).Select(s => s.Key) : []];
        var groups = new List<List<int>>();
        for (int i = 0; i < steps.Count; i++)
        {
            if (i == 0 || Parts(procedure.Steps, groups[^1], i, open))
                groups.Add([]);
            groups[^1].Add(i);
        }
        string[] keys = [.. groups.Select(g => steps[g[0]].Key)];
        List<int>[] left = [.. groups.Select(g => g.FindAll(i => !over.Contains(steps[i].Key)))];
        Dictionary<string, int> groupOf = left.SelectMany((g, n) => g.Select(i => (steps[i].Key, n))).ToDictionary(k => k.Key, k => k.n);
        var all = new Groups(keys, groupOf, procedure.Steps);
        return [.. left.SelectMany((g, n) => g.Count == 0 ? [] : Tasks(job, name, spot, all, steps, g, n, open))];
    }

    /// <summary>What a task of a job is known by within a plan.</summary>
    public static string IdOf(TaskKey key) => $"{key.Job.Kind}-{key.Job.Id}-{key.Key}".ToLowerInvariant();

    private static bool Parts(IReadOnlyList<WorkStep> steps, List<int> group, int i, (int First, int Last, int? Closes)? open)
    {
        (WorkStep before, WorkStep step) = (steps[i - 1], steps[i]);
        if (open is var (first, last, _))
        {
            if (i > first && i <= last && group[0] >= first)
                return false;
            if (i == first || i == last + 1)
                return true;
        }
        return before.WaitHours > 0
            || before.People != step.People
            || (before.Place == WorkPlace.Inside) != (step.Place == WorkPlace.Inside)
            || step.Key.EndsWith(Wax, StringComparison.Ordinal)
            || step.After.Any(a => a.Key != before.Key || a.LagHours > 0)
            || group.Sum(g => steps[g].Minutes.Slow) + step.Minutes.Slow > MostMinutes;
    }

    /// <summary>Which steps go together: the key of each group, the group of each step that is left, and the steps as they are told.</summary>
    private sealed record Groups(IReadOnlyList<string> Keys, Dictionary<string, int> Of, IReadOnlyList<WorkStep> Told);

    private static IEnumerable<ProcedureTask> Tasks(
        Job job,
        string name,
        string spot,
        Groups all,
        IReadOnlyList<WorkStep> steps,
        List<int> group,
        int number,
        (int First, int Last, int? Closes)? open
    )
    {
        WorkStep[] own = [.. group.Select(i => steps[i])];
        bool opens = open is var (first, last, _) && group[0] >= first && group[^1] <= last;
        // Within the open span its last wait ends when rain does no more harm; what follows waits for all of it.
        DayStep[] days =
        [
            .. group.Select(i =>
                DayStep.Of(steps[i]) is var day && opens && i >= (open!.Value.Closes ?? int.MaxValue)
                    ? day with
                    {
                        WaitHours = Math.Min(day.WaitHours, OpenSpan.RainSafeHours),
                    }
                    : day
            ),
        ];
        TaskAfter[] after =
        [
            .. own.SelectMany(s => s.After)
                .Where(a => all.Of.TryGetValue(a.Key, out int other) && other < number)
                .GroupBy(a => all.Of[a.Key])
                .Select(g => new TaskAfter(LastPart(job, all, g.Key), g.Max(a => a.LagHours))),
        ];
        int parts = PartsOf([.. group.Select(i => all.Told[i])], opens);
        for (int part = 1; part <= parts; part++)
        {
            TaskKey key = KeyOf(job, all.Keys[number], part);
            string title = parts > 1 ? $"{own[0].Title}, part {part} of {parts}" : Title(own);
            yield return new ProcedureTask(
                key,
                new PlanTask(
                    IdOf(key),
                    $"{name}: {char.ToLowerInvariant(title[0])}{title[1..]}",
                    $"{job.Kind}-{job.Id}".ToLowerInvariant(),
                    parts > 1 ? [Part(days[0], parts, part)] : days,
                    opens,
                    own.All(s => s.Place == WorkPlace.Bench) ? null : spot,
                    part == 1 ? after : [new TaskAfter(IdOf(KeyOf(job, all.Keys[number], part - 1)), 0)]
                ),
                own
            );
        }
    }

    private static DayStep Part(DayStep step, int parts, int part) =>
        step with
        {
            Minutes = new Minutes(step.Minutes.Quick / parts, step.Minutes.Likely / parts, step.Minutes.Slow / parts),
            WaitHours = part == parts ? step.WaitHours : 0,
        };

    private static int PartsOf(WorkStep[] own, bool opens) =>
        own.Length > 1 || opens ? 1 : Math.Max(1, (int)Math.Ceiling((own[0].Minutes.Slow / MostMinutes) - 1e-9));

    private static string LastPart(Job job, Groups all, int group)
    {
        WorkStep[] own = [.. all.Told.Where(s => all.Of.TryGetValue(s.Key, out int n) && n == group)];
        // What opens the shell is never in parts.
        return IdOf(KeyOf(job, all.Keys[group], PartsOf(own, own.Any(s => s.Shell == ShellChange.Opens))));
    }

    private static TaskKey KeyOf(Job job, string key, int part) => new(job, part == 1 ? key : $"{key}-{part}");

    private static string Title(WorkStep[] own) =>
        own.Length == 1 ? own[0].Title : $"{own[0].Title} to {char.ToLowerInvariant(own[^1].Title[0])}{own[^1].Title[1..]}";
}
