namespace Abri.Core.Days.Planning;

/// <summary>Somebody who does a task, or a part of it.</summary>
/// <param name="Name">Their name.</param>
/// <param name="From">From when on they are needed.</param>
/// <param name="Until">Until when.</param>
public sealed record TaskHand(string Name, DateTimeOffset From, DateTimeOffset Until);

/// <summary>A task with its time.</summary>
/// <param name="Id">The task.</param>
/// <param name="From">When it begins.</param>
/// <param name="Until">When its work ends.</param>
/// <param name="ReadyAt">When what sets or dries after it is ready for what follows, or takes rain.</param>
/// <param name="Hands">Who does it, and when.</param>
/// <param name="IsForeseen">Whether the forecast is trusted for all of it; else only light and people were looked at for what lies beyond.</param>
/// <param name="Covered">Times in which a cover lies over the hole.</param>
/// <param name="Steps">Its steps with their times.</param>
public sealed record PlannedTask(
    string Id,
    DateTimeOffset From,
    DateTimeOffset Until,
    DateTimeOffset ReadyAt,
    IReadOnlyList<TaskHand> Hands,
    bool IsForeseen,
    IReadOnlyList<TimedStep> Covered,
    IReadOnlyList<TimedStep> Steps
);

/// <summary>Half-hours from which a task may begin.</summary>
/// <param name="From">The first.</param>
/// <param name="Until">The last.</param>
public sealed record StartWindow(DateTimeOffset From, DateTimeOffset Until);

/// <summary>A task that could not be planned.</summary>
/// <param name="Id">The task.</param>
/// <param name="Why">Why not, in a sentence.</param>
public sealed record UnplannedTask(string Id, string Why);

/// <summary>Wishes that cannot all be.</summary>
/// <param name="Wishes">As few as clash with each other, in words; empty where even without wishes it does not fit.</param>
/// <param name="WaysOut">What would make it fit, the cheapest first.</param>
public sealed record PlanClash(IReadOnlyList<string> Wishes, IReadOnlyList<string> WaysOut);

/// <summary>When everything is done.</summary>
/// <param name="Verdict">In a sentence.</param>
/// <param name="Tasks">The tasks in the order of their beginnings; empty where wishes clash.</param>
/// <param name="Unplanned">What found no time.</param>
/// <param name="OpenMinutes">How long the shell stands open in all, min; pauses under a cover included.</param>
/// <param name="FinishAt">When all is done and set; null where nothing is planned.</param>
/// <param name="HalfDays">Half days on which somebody works.</param>
/// <param name="IsProven">Whether it is proven that less open time, and with it an earlier end, and with both fewer half days cannot be.</param>
/// <param name="Clash">What clashes; null where nothing does.</param>
public sealed record PlanAnswer(
    string Verdict,
    IReadOnlyList<PlannedTask> Tasks,
    IReadOnlyList<UnplannedTask> Unplanned,
    double OpenMinutes,
    DateTimeOffset? FinishAt,
    int HalfDays,
    bool IsProven,
    PlanClash? Clash
);
