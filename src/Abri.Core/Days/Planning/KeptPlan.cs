using Abri.Core.Declared;
using Abri.Core.Work;

namespace Abri.Core.Days.Planning;

/// <summary>What a task of a job is known by as long as the job is the same.</summary>
/// <param name="Job">The job.</param>
/// <param name="Key">Key of its first step.</param>
public sealed record TaskKey(Job Job, [Name] string Key);

/// <summary>How somebody marked a task.</summary>
public enum TaskMarkKind
{
    /// <summary>It begins at a time, whatever else.</summary>
    Fixed,

    /// <summary>It is being done.</summary>
    Running,

    /// <summary>It is done.</summary>
    Done,
}

/// <summary>A mark on a task.</summary>
/// <param name="Task">The task.</param>
/// <param name="Kind">The mark.</param>
/// <param name="At">When it begins, began or was done.</param>
public sealed record TaskMark(TaskKey Task, TaskMarkKind Kind, [Dated] DateTimeOffset At);

/// <summary>A rule of the trade that somebody overruled: one job need not wait for another.</summary>
/// <param name="First">The job that should come first.</param>
/// <param name="Then">The job that need not wait for it.</param>
/// <param name="Reason">Why.</param>
public sealed record Overruled(Job First, Job Then, [Name(300, "Say in up to 300 characters why.")] string Reason);

/// <summary>A task of a plan that was kept.</summary>
/// <param name="Task">The task.</param>
/// <param name="From">When it begins.</param>
/// <param name="Until">When its work ends.</param>
/// <param name="ReadyAt">When what sets after it is ready.</param>
/// <param name="OpensShell">Whether the shell stands open from its beginning until then.</param>
/// <param name="Hands">Who does it, and when.</param>
/// <param name="IsForeseen">Whether the forecast was trusted for all of it.</param>
/// <param name="Covered">Times in which a cover lies over the hole.</param>
public sealed record KeptTask(
    TaskKey Task,
    DateTimeOffset From,
    DateTimeOffset Until,
    DateTimeOffset ReadyAt,
    bool OpensShell,
    IReadOnlyList<TaskHand> Hands,
    bool IsForeseen,
    IReadOnlyList<TimedStep> Covered
);

/// <summary>A task that a new plan moved.</summary>
/// <param name="Task">The task.</param>
/// <param name="Before">When it was to begin.</param>
/// <param name="Why">Why not then any more.</param>
public sealed record TaskMove(TaskKey Task, DateTimeOffset Before, string Why);

/// <summary>A task that found no time.</summary>
/// <param name="Task">The task.</param>
/// <param name="Why">Why not, in a sentence.</param>
public sealed record KeptUnplanned(TaskKey Task, string Why);

/// <summary>The plan of a vehicle as it was last made.</summary>
/// <param name="MadeAt">When.</param>
/// <param name="Verdict">In a sentence.</param>
/// <param name="IsProven">Whether it is proven that no plan leaves the shell open for less, nor ends sooner.</param>
/// <param name="Tasks">The tasks with their times.</param>
/// <param name="Unplanned">Tasks that found no time.</param>
/// <param name="Warnings">What to know before trusting it.</param>
/// <param name="Marks">What somebody marked.</param>
/// <param name="Overruled">Rules of the trade that somebody overruled.</param>
/// <param name="Moves">What it moved against the plan before.</param>
public sealed record KeptPlan(
    DateTimeOffset MadeAt,
    string Verdict,
    bool IsProven,
    [Count(0, PlanQuestion.MostTasks, "At most {1} tasks are planned.")] IReadOnlyList<KeptTask> Tasks,
    [Count(0, PlanQuestion.MostTasks, "At most {1} tasks find no time.")] IReadOnlyList<KeptUnplanned> Unplanned,
    IReadOnlyList<string> Warnings,
    [Count(0, PlanQuestion.MostMarks, "At most {1} tasks are marked.")] IReadOnlyList<TaskMark> Marks,
    [Count(0, 200, "At most {1} rules are overruled.")] IReadOnlyList<Overruled> Overruled,
    [Count(0, PlanQuestion.MostTasks, "At most {1} tasks move.")] IReadOnlyList<TaskMove> Moves
);
