using Abri.Core.Days.Planning;
using Abri.Core.Record;
using Abri.Core.Weather;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>A task of a day, with what is done in it.</summary>
/// <param name="From">When it begins.</param>
/// <param name="Until">When its work ends.</param>
/// <param name="ReadyAt">When what sets after it is ready.</param>
/// <param name="Title">What it is.</param>
/// <param name="People">Who does it.</param>
/// <param name="OpensShell">Whether it opens the shell.</param>
/// <param name="Covered">Times under a cover.</param>
/// <param name="Steps">Its steps; of what somebody wrote down by themselves there are none.</param>
public sealed record DayTask(
    DateTimeOffset From,
    DateTimeOffset Until,
    DateTimeOffset ReadyAt,
    string Title,
    IReadOnlyList<string> People,
    bool OpensShell,
    IReadOnlyList<Days.TimedStep> Covered,
    IReadOnlyList<WorkStep> Steps
);

/// <summary>What is done on a day, and what to lay out for it the evening before.</summary>
/// <param name="Vehicle">Name of the vehicle.</param>
/// <param name="Date">The day.</param>
/// <param name="Weather">Its weather in a sentence; null where it is not known.</param>
/// <param name="Tasks">The tasks in order.</param>
/// <param name="Tools">All tools, each once.</param>
/// <param name="Consumables">All that is used up, added up.</param>
/// <param name="Cautions">All cautions, each once.</param>
public sealed record DayList(
    string Vehicle,
    DateOnly Date,
    string? Weather,
    IReadOnlyList<DayTask> Tasks,
    IReadOnlyList<string> Tools,
    IReadOnlyList<Consumable> Consumables,
    IReadOnlyList<Caution> Cautions
)
{
    /// <summary>What it uses up and will not be on the shelf then, by name; empty where all is there, or nobody keeps the shelf.</summary>
    public IReadOnlyList<string> NotThere { get; init; } = [];

    /// <summary>The list of a day; without a day, of the first one after today with work on it.</summary>
    /// <returns>The list; null where nothing is planned then.</returns>
    public static DayList? Of(VehicleSnapshot of, DateTimeOffset now, DateOnly? date)
    {
        VehicleNow at = VehicleNow.At(of, now);
        if (of.Days.Plan?.Value is not { } plan)
            return null;
        DateOnly Day(DateTimeOffset moment) => DateOnly.FromDateTime(at.On.Local(moment).DateTime);
        HashSet<TaskKey> done = [.. plan.Marks.Where(m => m.Kind == TaskMarkKind.Done).Select(m => m.Task)];
        Dictionary<TaskKey, VehicleTask> tasks = VehicleTasks.Of(of).Tasks.ToDictionary(t => t.Key);
        (KeptTask Kept, VehicleTask Task)[] open =
        [
            .. plan.Tasks.Where(t => !done.Contains(t.Task) && tasks.ContainsKey(t.Task)).OrderBy(t => t.From).Select(t => (t, tasks[t.Task])),
        ];
        if ((date ?? open.Select(t => Day(t.Kept.From)).Where(d => d > Day(now)).Cast<DateOnly?>().FirstOrDefault()) is not { } day)
            return null;
        (KeptTask Kept, VehicleTask Task)[] today = [.. open.Where(t => Day(t.Kept.From) == day)];
        if (today.Length == 0)
            return null;
        WorkStep[] steps = [.. today.SelectMany(t => t.Task.Steps)];
        Consumable[] used =
        [
            .. steps
                .SelectMany(s => s.Consumables)
                .GroupBy(c => c.Material)
                .Select(g => new Consumable(g.Key, g.Sum(c => c.Amount)))
                .OrderBy(c => c.Material.Kind)
                .ThenBy(c => c.Material.Name, StringComparer.Ordinal),
        ];
        return new DayList(
            of.Vehicle.Value.Name,
            day,
            WeatherOf(at, day),
            [
                .. today.Select(t => new DayTask(
                    at.On.Local(t.Kept.From),
                    at.On.Local(t.Kept.Until),
                    at.On.Local(t.Kept.ReadyAt),
                    t.Task.Task.Title,
                    [.. t.Kept.Hands.Select(h => h.Name)],
                    t.Kept.OpensShell,
                    t.Kept.Covered,
                    t.Task.Steps
                )),
            ],
            [.. steps.SelectMany(s => s.Tools).Distinct().Order(StringComparer.Ordinal)],
            used,
            [.. steps.SelectMany(s => s.Cautions).DistinctBy(c => c.Id)]
        )
        {
            NotThere = StoresOfVehicle.NotThere(of, used, day) ?? [],
        };
    }

    private static string? WeatherOf(VehicleNow at, DateOnly day)
    {
        WeatherHour[] hours =
        [
            .. (at.Forecast?.Between(at.Forecast.From, at.Forecast.TrustedUntil) ?? [])
                .Where(h => at.On.Local(h.At) is { Hour: >= 7 and < 20 } local && DateOnly.FromDateTime(local.DateTime) == day)
                .Select(h => h.Hour),
        ];
        return hours.Length == 0
            ? null
            : $"{hours.Min(h => h.AirC):0} to {hours.Max(h => h.AirC):0} °C by day, rain at most {hours.Max(h => h.RainPercent):0} % in an hour, "
                + $"wind up to {hours.Max(h => h.WindMs):0} m/s.";
    }
}
