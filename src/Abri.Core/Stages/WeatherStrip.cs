using Abri.Core.Days;
using Abri.Core.Days.Planning;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>What the badge says.</summary>
public enum BadgeKind
{
    /// <summary>The shell is closed.</summary>
    Closed,

    /// <summary>It stands open.</summary>
    Open,

    /// <summary>It is closed, and may be opened until a time today.</summary>
    LastCut,
}

/// <summary>One glance at the shell and its weather.</summary>
/// <param name="Kind">What it says.</param>
/// <param name="Title">In a few words.</param>
/// <param name="More">A little more.</param>
public sealed record ShellBadge(BadgeKind Kind, string Title, string More);

/// <summary>The air outside now, by the forecast.</summary>
/// <param name="Air">The air.</param>
/// <param name="DryHours">Until it may rain, h; as far as the forecast is trusted.</param>
public sealed record PresentAir(AirHour Air, double DryHours);

/// <summary>The strip on top of every screen.</summary>
/// <param name="Now">The moment, as a clock at the vehicle shows it.</param>
/// <param name="Badge">The shell.</param>
/// <param name="Hours">The next 72 hours; empty where there is no forecast.</param>
/// <param name="Windows">When the next job that opens the shell may be begun.</param>
/// <param name="NextJob">That job; null where there is none.</param>
/// <param name="Present">The air now; null where the forecast says nothing of it.</param>
/// <param name="PlannedOpen">When the plan leaves the shell open, by the name of the job.</param>
/// <param name="Overdue">How many things are late that are looked after.</param>
public sealed record WeatherStrip(
    DateTimeOffset Now,
    ShellBadge Badge,
    IReadOnlyList<ForecastHour> Hours,
    IReadOnlyList<CutWindow> Windows,
    Job? NextJob,
    PresentAir? Present,
    IReadOnlyList<TimedStep> PlannedOpen,
    int Overdue
)
{
    private const int StripHours = 72;

    /// <summary>So many jobs decide about the badge: those that come first in the order of work.</summary>
    private const int MostJobs = 6;

    /// <summary>The strip alone: on a vehicle with many openings it asks for the next jobs only.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="now">The moment.</param>
    public static WeatherStrip Of(VehicleSnapshot of, DateTimeOffset now)
    {
        VehicleNow at = VehicleNow.At(of, now);
        return Of(at, ForecastNow.HoursOf(at), OpeningJobs.Of(of).Take(MostJobs).Select(job => JobGate.Of(at, job)));
    }

    /// <summary>The strip, where the gates are there already.</summary>
    internal static WeatherStrip Of(VehicleNow at, IReadOnlyList<ForecastHour> hours, IEnumerable<JobGate> gates)
    {
        JobGate? next = gates
            .Take(MostJobs)
            .Where(g => g.Gate is not null)
            .OrderBy(g => g.Gate!.Result.Windows is [var w, ..] ? w.From : DateTimeOffset.MaxValue)
            .FirstOrDefault();
        return new WeatherStrip(
            at.Now,
            BadgeOf(at, next),
            [.. hours.Take(StripHours)],
            next?.Gate!.Result.Windows ?? [],
            next?.Job,
            at.IsForeseen && at.Forecast!.At(at.Now) is { } hour
                ? new PresentAir(
                    new AirHour(hour.AirC, hour.RelativePercent),
                    Math.Round(((at.WetAt ?? at.Forecast.TrustedUntil) - at.Now).TotalHours, 1)
                )
                : null,
            OpenByPlan(at),
            UpkeepOfVehicle.Overdue(at.Of, at.Now)
        );
    }

    /// <summary>When the plan leaves the shell open, of what is not done.</summary>
    private static IReadOnlyList<TimedStep> OpenByPlan(VehicleNow at)
    {
        if (at.Of.Days.Plan?.Value is not { } plan)
            return [];
        HashSet<TaskKey> done = [.. plan.Marks.Where(m => m.Kind == TaskMarkKind.Done).Select(m => m.Task)];
        // What was cut or mended since is told by the badge.
        string? NameOf(Job job) =>
            at.Of.Openings.FirstOrDefault(o => o.Id == job.Id && o.Value.State == OpeningState.Planned)?.Value.Name
            ?? at.Of.Repairs.FirstOrDefault(r => r.Id == job.Id && r.Value.State == Metal.RepairState.Planned)?.Value.Name;
        return
        [
            .. plan
                .Tasks.Where(t => t.OpensShell && t.ReadyAt > at.Now && !done.Contains(t.Task) && NameOf(t.Task.Job) is not null)
                .OrderBy(t => t.From)
                .Select(t => new TimedStep(NameOf(t.Task.Job)!, at.On.Local(t.From), at.On.Local(t.ReadyAt))),
        ];
    }

    private static ShellBadge BadgeOf(VehicleNow at, JobGate? next)
    {
        IReadOnlyList<OpenPlace> open = OpenShell.Of(at.Of);
        if (open.Count > 0)
            return new ShellBadge(
                BadgeKind.Open,
                $"Shell open: {open.Count} {(open.Count == 1 ? "place" : "places")}",
                $"{at.Dry}: {string.Join(", ", open.Select(o => o.Name))}"
            );
        return next?.Gate!.Result is { Windows: [var window, ..], State: GateState.Go or GateState.Later }
            ? new ShellBadge(
                BadgeKind.LastCut,
                $"Last safe cut today {window.Until:HH:mm}",
                window.From - at.Now > TimeSpan.FromMinutes(CutGate.EveryMinutes) ? $"From {window.From:HH:mm}: {next.Name}" : next.Name
            )
            : new ShellBadge(BadgeKind.Closed, "Shell closed", at.Forecast is null ? "Nothing is cut and unfitted." : at.Dry);
    }
}
