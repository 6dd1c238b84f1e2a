using Abri.Core.Days;
using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Weather;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>An hour of the forecast as it is drawn.</summary>
/// <param name="At">Its beginning, as a clock at the vehicle shows it.</param>
/// <param name="Hour">The weather.</param>
/// <param name="IsDark">Whether it is too dark to work outside without a lamp.</param>
/// <param name="IsTrusted">Whether the forecast is trusted so far ahead.</param>
/// <param name="RoofC">A dark roof in the sun, C; null where nobody said where the vehicle stands.</param>
public sealed record ForecastHour(DateTimeOffset At, WeatherHour Hour, bool IsDark, bool IsTrusted, double? RoofC);

/// <summary>The forecast of a vehicle.</summary>
/// <param name="Row">Its id and version.</param>
/// <param name="Source">Where it comes from.</param>
/// <param name="IssuedAt">When it was issued.</param>
/// <param name="TrustedUntil">Until when it is trusted.</param>
/// <param name="IsOver">Whether it says nothing of the present any more.</param>
/// <param name="Days">What was typed; null where nothing was.</param>
/// <param name="Service">Which simulated service it was asked of; null for others.</param>
/// <param name="Hours">From the present hour on.</param>
public sealed record ForecastNow(
    string Row,
    ForecastSource Source,
    DateTimeOffset IssuedAt,
    DateTimeOffset TrustedUntil,
    bool IsOver,
    IReadOnlyList<DayWeather>? Days,
    SimulatedService? Service,
    IReadOnlyList<ForecastHour> Hours
);

/// <summary>How something stands that must be true before the first hole.</summary>
/// <param name="Item">What somebody ticks; null where the program can tell.</param>
/// <param name="Title">What it is.</param>
/// <param name="State">How it stands.</param>
/// <param name="Why">More, and what to do.</param>
public sealed record ReadyLine(ReadyItem? Item, string Title, JudgementState State, string Why);

/// <summary>A job that opens the shell, with whether it may be begun.</summary>
/// <param name="Job">What it is.</param>
/// <param name="PanelId">Its panel.</param>
/// <param name="Name">Its name.</param>
/// <param name="Headline">The answer in a sentence.</param>
/// <param name="State">Whether the weather, the light and the people let it; null where it cannot be told.</param>
/// <param name="Gate">How that was found; null where it cannot be told.</param>
/// <param name="Ready">What must be true before the first hole.</param>
/// <param name="Cover">The cover that lies ready; null where the hole is not known yet.</param>
public sealed record JobGate(
    Job Job,
    string PanelId,
    string Name,
    string Headline,
    GateState? State,
    Worked<GateAnswer>? Gate,
    IReadOnlyList<ReadyLine> Ready,
    Worked<CoverPlan>? Cover
);

/// <summary>A place where the shell stands open now, with the ways to shut it.</summary>
/// <param name="Job">What it belongs to.</param>
/// <param name="Name">Its name.</param>
/// <param name="State">How long it stays dry, in a sentence.</param>
/// <param name="IsUrgent">Whether it may rain within <see cref="DaysOfVehicle.UrgentHours"/> hours, or nobody knows.</param>
/// <param name="Cover">The cover, and the ways to shut the hole, quickest first; null where its size is not known.</param>
public sealed record OpenNow(Job Job, string Name, string State, bool IsUrgent, Worked<CoverPlan>? Cover);

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
/// <param name="NextJob">Its name; null where there is none.</param>
/// <param name="Present">The air now; null where the forecast says nothing of it.</param>
public sealed record WeatherStrip(
    DateTimeOffset Now,
    ShellBadge Badge,
    IReadOnlyList<ForecastHour> Hours,
    IReadOnlyList<CutWindow> Windows,
    string? NextJob,
    PresentAir? Present
);

/// <summary>Can the shell still be closed today?</summary>
/// <param name="Now">The moment, as a clock at the vehicle shows it.</param>
/// <param name="Forecast">The forecast; null for none.</param>
/// <param name="Light">The light of today and the coming days; empty where nobody said where the vehicle stands.</param>
/// <param name="People">Who works when.</param>
/// <param name="Care">How careful to be.</param>
/// <param name="Open">Where the shell stands open now.</param>
/// <param name="Gates">The jobs that open the shell.</param>
/// <param name="Strip">The strip on top of every screen.</param>
public sealed record DaysOfVehicle(
    DateTimeOffset Now,
    ForecastNow? Forecast,
    IReadOnlyList<SunTimes> Light,
    IReadOnlyList<Stored<Person>> People,
    CutCare Care,
    IReadOnlyList<OpenNow> Open,
    IReadOnlyList<JobGate> Gates,
    WeatherStrip Strip
)
{
    /// <summary>Rain within so many hours is no time for anything else: assumption.</summary>
    public const double UrgentHours = 3;

    /// <summary>Hours on the strip, and days of which the light is told.</summary>
    private const int StripHours = 72,
        LightDays = 6;

    /// <summary>So many jobs decide about the badge: those that come first in the order of work.</summary>
    private const int StripJobs = 6;

    /// <summary>The days of a vehicle.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="now">The moment.</param>
    public static DaysOfVehicle Of(VehicleSnapshot of, DateTimeOffset now)
    {
        Conditions on = ConditionsOf(of);
        CutCare care = of.Vehicle.Value.Care ?? CutCare.Usual;
        DateTimeOffset local = on.Local(now);
        var today = DateOnly.FromDateTime(local.DateTime);
        ForecastHour[] hours = Hours(of, on, now);
        JobGate[] gates = [.. Jobs(of).Select(job => Gate(of, job, on, care, now))];
        ForecastNow? forecast = of.Days.Forecast is { } row
            ? new ForecastNow(
                row.Id,
                row.Value.Source,
                on.Local(row.Value.IssuedAt),
                on.Local(row.Value.TrustedUntil),
                row.Value.End <= now,
                row.Value.Days,
                row.Value.Service,
                hours
            )
            : null;
        return new DaysOfVehicle(
            local,
            forecast,
            of.Vehicle.Value.Place is null ? [] : [.. Enumerable.Range(0, LightDays).Select(d => on.Light(today.AddDays(d))!)],
            of.Days.People,
            care,
            [.. OpenShell.Of(of).Select(place => Opened(of, place, on, care, now))],
            gates,
            StripOf(of, on, care, local, hours, [.. gates.Take(StripJobs)])
        );
    }

    /// <summary>The strip alone: on a vehicle with many openings it asks for the next jobs only.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="now">The moment.</param>
    public static WeatherStrip StripOf(VehicleSnapshot of, DateTimeOffset now)
    {
        Conditions on = ConditionsOf(of);
        CutCare care = of.Vehicle.Value.Care ?? CutCare.Usual;
        return StripOf(of, on, care, on.Local(now), Hours(of, on, now), [.. Jobs(of).Take(StripJobs).Select(job => Gate(of, job, on, care, now))]);
    }

    /// <summary>How likely rain meets the open shell, for the half-hours of the coming days.</summary>
    /// <returns>The curve; null where the job is not there or opens nothing, or there is no forecast.</returns>
    public static Result<Worked<RiskCurve>>? Risk(VehicleSnapshot of, Job job, DateTimeOffset now, CancellationToken stop)
    {
        if (of.Days.Forecast is not { } forecast || Jobs(of).FirstOrDefault(j => j.Job == job) is not { Span: { } span })
            return null;
        long half = TimeSpan.FromMinutes(30).Ticks;
        DateTimeOffset from = new((now.UtcTicks + half - 1) / half * half, TimeSpan.Zero);
        Conditions on = ConditionsOf(of);
        CutCare care = of.Vehicle.Value.Care ?? CutCare.Usual;
        DateTimeOffset first = from < forecast.Value.From ? forecast.Value.From : from;
        if (
            !RainRisk
                .Of(span, forecast.Value, first, may: at => CutGate.MayWork(span, on, care, at), stop: stop)
                .IsOk(out Worked<RiskCurve>? curve, out Problem? problem)
        )
            return problem;
        RiskAt[] Local(IReadOnlyList<RiskAt> all) => [.. all.Select(r => r with { At = on.Local(r.At) })];
        return curve with { Result = curve.Result with { Starts = Local(curve.Result.Starts), Best = Local(curve.Result.Best) } };
    }

    /// <summary>The air of the coming hours, for what cures; empty where there is no forecast of them.</summary>
    public static IReadOnlyList<AirHour> Air(VehicleSnapshot of, DateTimeOffset now) =>
        of.Days.Forecast is { } row
            ? [.. row.Value.Between(now, row.Value.TrustedUntil).Select(h => new AirHour(h.Hour.AirC, h.Hour.RelativePercent))]
            : [];

    private static Conditions ConditionsOf(VehicleSnapshot of)
    {
        Vehicle vehicle = of.Vehicle.Value;
        // Without a forecast nothing is known of any hour.
        Forecast forecast = of.Days.Forecast?.Value ?? new Forecast(ForecastSource.Typed, DateTimeOffset.UnixEpoch, DateTimeOffset.UnixEpoch, []);
        return new Conditions(forecast, vehicle.TimeZone, vehicle.Place, of.Days.People.Values());
    }

    private static ForecastHour[] Hours(VehicleSnapshot of, Conditions on, DateTimeOffset now) =>
        of.Days.Forecast is not { } row
            ? []
            :
            [
                .. row
                    .Value.Between(now, row.Value.End)
                    .Select(h => new ForecastHour(
                        on.Local(h.At),
                        h.Hour,
                        on.Dark(h.At, h.At.AddMinutes(30)) is not null,
                        h.At < row.Value.TrustedUntil,
                        of.Vehicle.Value.Place is { } place ? Math.Round(SolAir.At(place, h.At.AddMinutes(30), h.Hour, SkinShade.Dark)) : null
                    )),
            ];

    /// <summary>A job that opens the shell, as far as it can be told.</summary>
    private sealed record OpeningJob(
        Job Job,
        string PanelId,
        string Name,
        OpenSpan? Span,
        string? Trouble,
        (double LengthMm, double WidthMm)? Hole,
        IReadOnlyList<ReadyLine> Told,
        IReadOnlyList<ReadyItem> Asked,
        IReadOnlyList<ReadyItem> Ticked
    );

    /// <summary>The jobs that open the shell, in the order of work; each is worked out when it is looked at.</summary>
    private static IEnumerable<OpeningJob> Jobs(VehicleSnapshot of)
    {
        Dictionary<Job, int> order = [];
        foreach (NextJob next in WholeShell.NextJobs(of))
            order.TryAdd(next.Job, order.Count);
        IEnumerable<(Job Job, Func<OpeningJob?> Make)> openings = of
            .Openings.Where(o => o.Value.State == OpeningState.Planned)
            .Select(o => (new Job(JobKind.Opening, o.Id), (Func<OpeningJob?>)(() => OfOpening(of, o))));
        IEnumerable<(Job Job, Func<OpeningJob?> Make)> repairs = of
            .Repairs.Where(r => r.Value.State == Metal.RepairState.Planned)
            .Select(r => (new Job(JobKind.Repair, r.Id), (Func<OpeningJob?>)(() => OfRepair(of, r))));
        return openings
            .Concat(repairs)
            .OrderBy(j => order.GetValueOrDefault(j.Job, int.MaxValue))
            .Select(j => j.Make())
            .OfType<OpeningJob>()
            .Where(j => j.Span is not null || j.Trouble is not null);
    }

    private static OpeningJob OfOpening(VehicleSnapshot of, Stored<Opening> row)
    {
        bool ok = OpeningProcedure.Of(OpeningSites.Work(of, row)).IsOk(out Worked<Procedure>? procedure, out Problem? problem);
        OpenSpan? span = ok ? OpenSpan.Of(procedure!.Result) : null;
        Judgement[] works = OpeningVerdict.Of(OpeningSites.Of(of, row), row.Value.Centre).IsOk(out Worked<Openings.Verdict>? verdict, out _)
            ? [.. verdict.Result.Rows.Where(j => j.State == JudgementState.NeedsWork)]
            : [];
        ReadyLine place = ok
            ? works.Length == 0
                ? new ReadyLine(null, "Its place", JudgementState.Good, "Nothing stands against it.")
                : new ReadyLine(null, "Its place", JudgementState.NeedsWork, string.Join(" ", works.Select(w => $"{w.Title}: {w.Remedy}")))
            : new ReadyLine(null, "Its place", JudgementState.Blocked, problem!.Message);
        ReadyLine product = of.Product(of.JointOf(row)?.Value.ProductId) is { } chosen
            ? new ReadyLine(null, "What seals it", JudgementState.Good, chosen.Name)
            : new ReadyLine(null, "What seals it", JudgementState.NeedsWork, "Nothing is chosen yet: choose it in Sealing.");
        bool two = procedure?.Result.Steps.Any(s => s.People > 1) == true;
        ReadyItem[] asked =
        [
            ReadyItem.FittingLookedOver,
            ReadyItem.CutOutMeasured,
            ReadyItem.OfferedUp,
            ReadyItem.BehindSeen,
            ReadyItem.ConsumablesIn,
            ReadyItem.BladesAndBatteries,
            ReadyItem.CoverReady,
            .. two ? new[] { ReadyItem.SecondPerson } : [],
        ];
        return new OpeningJob(
            new Job(JobKind.Opening, row.Id),
            row.OwnerId!,
            row.Value.Name,
            span,
            problem?.Message,
            HoleOf(of, row.Value),
            [place, product],
            asked,
            row.Value.Ready ?? []
        );
    }

    private static OpeningJob? OfRepair(VehicleSnapshot of, Stored<Metal.Repair> row)
    {
        Stored<Panel> panel = of.PanelOf(row);
        if (!RepairProcedure.Of(MetalOfVehicle.Work(of, panel, row.Value)).IsOk(out Worked<RepairPlan>? plan, out _) || !plan.Result.Opens)
            return null;
        bool two = plan.Result.Procedure.Steps.Any(s => s.People > 1);
        return new OpeningJob(
            new Job(JobKind.Repair, row.Id),
            panel.Id,
            row.Value.Name,
            OpenSpan.Of(plan.Result.Procedure),
            null,
            HoleOf(row.Value),
            [],
            [
                ReadyItem.BehindSeen,
                ReadyItem.ConsumablesIn,
                ReadyItem.BladesAndBatteries,
                ReadyItem.CoverReady,
                .. two ? new[] { ReadyItem.SecondPerson } : [],
            ],
            row.Value.Ready ?? []
        );
    }

    private static JobGate Gate(VehicleSnapshot of, OpeningJob job, Conditions on, CutCare care, DateTimeOffset now)
    {
        Worked<CoverPlan>? cover = job.Hole is var (length, width) ? HoleCover.Of(length, width, job.Job.Kind == JobKind.Opening) : null;
        string[] open = [.. OpenShell.Of(of).Select(o => o.Name)];
        ReadyLine[] ready =
        [
            .. open.Length > 0
                ? new[]
                {
                    new ReadyLine(
                        null,
                        "One hole at a time",
                        JudgementState.NeedsWork,
                        $"{string.Join(", ", open)} {(open.Length == 1 ? "stands" : "stand")} open: close that first."
                    ),
                }
                : [],
            .. job.Told,
            .. job.Asked.Select(item =>
            {
                bool seen = job.Ticked.Contains(item);
                (string title, string why) = Ask(item, cover?.Result, of.Lengths);
                return new ReadyLine(item, title, seen ? JudgementState.Good : JudgementState.NeedsWork, why);
            }),
        ];
        int missing = ready.Count(r => r.State != JudgementState.Good);
        string first = missing == 0 ? "" : $" Do first: {missing} on the list.";
        if (job.Trouble is { } trouble)
            return new JobGate(job.Job, job.PanelId, job.Name, trouble, null, null, ready, cover);
        if (of.Days.Forecast is null)
            return new JobGate(job.Job, job.PanelId, job.Name, "No forecast yet: type one, or read one.", null, null, ready, cover);
        Worked<GateAnswer> gate = CutGate.Of(job.Span!, on, care, now);
        return new JobGate(job.Job, job.PanelId, job.Name, gate.Result.Verdict + first, gate.Result.State, gate, ready, cover);
    }

    private static (string Title, string Why) Ask(ReadyItem item, CoverPlan? cover, LengthFormat lengths) =>
        item switch
        {
            ReadyItem.FittingLookedOver => ("Fitting looked over", "Whole, all parts, screws and seals in the box."),
            ReadyItem.CutOutMeasured => ("Cut-out measured on the part", "Papers and parts differ: measure the part itself."),
            ReadyItem.OfferedUp => ("Offered up, outside and inside", "Held where it goes; nothing in the way of frame, blind or handle."),
            ReadyItem.BehindSeen => ("Looked behind the panel", "Wiring, pipes, fuel, airbags, ribs: seen from inside, not from the drawing alone."),
            ReadyItem.ConsumablesIn => ("All that is used up is here", "In date and enough for one unbroken bead."),
            ReadyItem.BladesAndBatteries => ("Blades and batteries", "Fresh blades, full batteries, a second one of each."),
            ReadyItem.CoverReady => (
                "Cover and tape lie ready",
                cover is null
                    ? "Large enough for the hole and a hand's breadth round it."
                    : $"At least {lengths.Text(cover.LengthMm)} by {lengths.Text(cover.WidthMm)}, and {cover.TapeMm / 1000:0.#} m of tape."
            ),
            _ => ("Second pair of hands", "Some of its steps take two people."),
        };

    private static OpenNow Opened(VehicleSnapshot of, OpenPlace place, Conditions on, CutCare care, DateTimeOffset now)
    {
        (double LengthMm, double WidthMm)? hole =
            place.Job.Kind == JobKind.Opening
                ? HoleOf(of, of.Openings.Single(o => o.Id == place.Job.Id).Value)
                : HoleOf(of.Repairs.Single(r => r.Id == place.Job.Id).Value);
        Forecast? forecast = of.Days.Forecast?.Value;
        bool known = forecast is not null && forecast.At(now) is not null && forecast.TrustedUntil > now.AddHours(UrgentHours);
        bool urgent = !known || on.Rain(now, now.AddHours(UrgentHours), care).Any();
        string dry = DryUntil(of, on, care, now);
        return new OpenNow(
            place.Job,
            place.Name,
            $"{char.ToUpperInvariant(dry[0])}{dry[1..]}.{(urgent ? " Shut it now." : "")}",
            urgent,
            hole is var (length, width) ? HoleCover.Of(length, width, place.Job.Kind == JobKind.Opening) : null
        );
    }

    /// <summary>Size of the hole of an opening, as its fitting asks for it.</summary>
    private static (double LengthMm, double WidthMm) HoleOf(VehicleSnapshot of, Opening opening)
    {
        RoundedRectangle cut = of.FittingOf(opening).Turned(opening.TurnDeg).CutOut;
        return (cut.WidthMm, cut.HeightMm);
    }

    /// <summary>Size of the hole of a repair; null where it is a point or a line.</summary>
    private static (double LengthMm, double WidthMm)? HoleOf(Metal.Repair repair) =>
        repair.Extent is var (length, width) && length >= 20 && width >= 20 ? (length, width) : null;

    private static WeatherStrip StripOf(
        VehicleSnapshot of,
        Conditions on,
        CutCare care,
        DateTimeOffset now,
        ForecastHour[] hours,
        IReadOnlyList<JobGate> gates
    )
    {
        JobGate? next = gates
            .Where(g => g.Gate is not null)
            .OrderBy(g => g.Gate!.Result.Windows is [var w, ..] ? w.From : DateTimeOffset.MaxValue)
            .FirstOrDefault();
        return new WeatherStrip(
            now,
            Badge(of, on, care, now, next),
            [.. hours.Take(StripHours)],
            next?.Gate!.Result.Windows ?? [],
            next?.Name,
            Present(of, on, care, now)
        );
    }

    private static ShellBadge Badge(VehicleSnapshot of, Conditions on, CutCare care, DateTimeOffset now, JobGate? next)
    {
        IReadOnlyList<OpenPlace> open = OpenShell.Of(of);
        string dry = DryUntil(of, on, care, now);
        if (open.Count > 0)
            return new ShellBadge(
                BadgeKind.Open,
                $"Shell open: {open.Count} {(open.Count == 1 ? "place" : "places")}",
                $"{string.Join(", ", open.Select(o => o.Name))}; {dry}"
            );
        return next?.Gate!.Result is { Windows: [var window, ..], State: GateState.Go or GateState.Later }
            ? new ShellBadge(
                BadgeKind.LastCut,
                $"Last safe cut today {window.Until:HH:mm}",
                window.From - now > TimeSpan.FromMinutes(CutGate.EveryMinutes) ? $"From {window.From:HH:mm}: {next.Name}" : next.Name
            )
            : new ShellBadge(
                BadgeKind.Closed,
                "Shell closed",
                of.Days.Forecast is null ? "Nothing is cut and unfitted." : char.ToUpperInvariant(dry[0]) + dry[1..]
            );
    }

    private static PresentAir? Present(VehicleSnapshot of, Conditions on, CutCare care, DateTimeOffset now)
    {
        if (of.Days.Forecast?.Value is not { } forecast || forecast.At(now) is not { } hour || forecast.TrustedUntil <= now)
            return null;
        DateTimeOffset until = Wet(on, care, now, forecast)?.At ?? forecast.TrustedUntil;
        return new PresentAir(new AirHour(hour.AirC, hour.RelativePercent), Math.Round((until - now).TotalHours, 1));
    }

    private static Hindrance? Wet(Conditions on, CutCare care, DateTimeOffset now, Forecast forecast) =>
        on.Rain(now, forecast.TrustedUntil < now ? now : forecast.TrustedUntil, care).FirstOrDefault(h => h.Kind == HindranceKind.Rain);

    /// <summary>Until when it stays dry, in words.</summary>
    private static string DryUntil(VehicleSnapshot of, Conditions on, CutCare care, DateTimeOffset now)
    {
        if (of.Days.Forecast is not { Value: var forecast })
            return "no forecast";
        if (forecast.At(now) is null)
            return "the forecast is out of date";
        Hindrance? wet = Wet(on, care, now, forecast);
        return wet is null ? $"dry until {on.Clock(forecast.TrustedUntil)} at least"
            : wet.At <= now ? "it may rain now"
            : $"dry until {on.Clock(wet.At)}";
    }
}
