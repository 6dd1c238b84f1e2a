using Abri.Core.Declared;
using Abri.Core.Shell;

namespace Abri.Core.Days.Planning;

/// <summary>That a task comes after another.</summary>
/// <param name="Id">The other.</param>
/// <param name="LagHours">Least time between its end and the beginning of this one in air at 20 C, hours: for cure and drying.</param>
public sealed record TaskAfter([Name] string Id, [Within(0, 2000, "The time between", "h")] double LagHours);

/// <summary>Work that is done in one go.</summary>
/// <param name="Id">What it is known by.</param>
/// <param name="Title">What it is.</param>
/// <param name="Job">What it belongs to: where one task of a job finds no time, none of them is begun.</param>
/// <param name="Steps">Its steps, one after the other without a stop.</param>
/// <param name="OpensShell">Whether the shell stands open from its first step until its last wait is over.</param>
/// <param name="Spot">Where it is done: one task at a time is done there. Null where many may work.</param>
/// <param name="After">What has to be done before.</param>
/// <param name="NotBefore">Earliest beginning; null for none.</param>
/// <param name="Until">Latest end that somebody wishes; null for none.</param>
/// <param name="KeepsWaterOut">Whether it keeps water out, and so had better be done soon.</param>
public sealed record PlanTask(
    [Name] string Id,
    [Name(200, "Say in up to 200 characters what it is.")] string Title,
    [Name] string Job,
    [Count(1, 100, "A task has from 1 to {1} steps.")] IReadOnlyList<DayStep> Steps,
    bool OpensShell,
    [Name] string? Spot,
    [Count(0, 100, "A task comes after {1} others at most.")] IReadOnlyList<TaskAfter> After,
    [Dated] DateTimeOffset? NotBefore = null,
    [Dated] DateTimeOffset? Until = null,
    bool KeepsWaterOut = false
);

/// <summary>A rule of the trade: what comes before what, and why.</summary>
/// <param name="First">Tasks that come first.</param>
/// <param name="Then">Tasks that come after all of these.</param>
/// <param name="Why">Why, in a sentence.</param>
/// <param name="WhenSet">Whether they come after all has set and dried, else after the work.</param>
public sealed record TradeRule(
    [Count(1, 500, "From 1 to {1} tasks come first.")] IReadOnlyList<string> First,
    [Count(1, 500, "From 1 to {1} tasks come after.")] IReadOnlyList<string> Then,
    [Name(300, "Say in up to 300 characters why.")] string Why,
    bool WhenSet = false
);

/// <summary>That a task begins at a time because somebody said so.</summary>
/// <param name="Id">The task.</param>
/// <param name="From">When.</param>
/// <param name="IsRunning">Whether it is being done: then it is not asked whether it may begin.</param>
public sealed record TaskLock([Name] string Id, [Dated] DateTimeOffset From, bool IsRunning = false);

/// <summary>What is to be planned.</summary>
/// <param name="Now">The moment.</param>
/// <param name="On">Weather, light and people.</param>
/// <param name="Care">How careful to be.</param>
/// <param name="Tasks">The tasks.</param>
/// <param name="Rules">Rules of the trade.</param>
/// <param name="Locks">What somebody fixed.</param>
/// <param name="Days">How far ahead, days.</param>
public sealed record PlanQuestion(
    [Dated] DateTimeOffset Now,
    Conditions On,
    CutCare Care,
    [Count(1, PlanQuestion.MostTasks, "From 1 to {1} tasks are planned.")] IReadOnlyList<PlanTask> Tasks,
    [Count(0, 200, "At most {1} rules.")] IReadOnlyList<TradeRule> Rules,
    [Count(0, PlanQuestion.MostTasks, "At most {1} tasks are fixed.")] IReadOnlyList<TaskLock> Locks,
    [Within(1, PlanQuestion.MostDays, "The days ahead")] int Days = PlanQuestion.MostDays
)
{
    /// <summary>As many tasks are planned at most.</summary>
    public const int MostTasks = 200;

    /// <summary>As many tasks are marked at most: those of the past, too.</summary>
    public const int MostMarks = 1000;

    /// <summary>So far ahead is planned at most, days.</summary>
    public const int MostDays = 21;
}
