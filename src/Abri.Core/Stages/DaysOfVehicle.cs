using Abri.Core.Days;
using Abri.Core.Record;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Weather;
using Abri.Core.Work;

namespace Abri.Core.Stages;

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
    /// <summary>Days of which the light is told.</summary>
    private const int LightDays = 6;

    /// <summary>The days of a vehicle.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="now">The moment.</param>
    public static DaysOfVehicle Of(VehicleSnapshot of, DateTimeOffset now)
    {
        VehicleNow at = VehicleNow.At(of, now);
        var today = DateOnly.FromDateTime(at.Now.DateTime);
        JobGate[] gates = [.. OpeningJobs.Of(of).Select(job => JobGate.Of(at, job))];
        return new DaysOfVehicle(
            at.Now,
            ForecastNow.Of(at),
            at.On.Place is null ? [] : [.. Enumerable.Range(0, LightDays).Select(d => at.On.Light(today.AddDays(d))!)],
            of.Days.People,
            at.Care,
            OpenNow.All(at),
            gates,
            WeatherStrip.Of(at, ForecastNow.HoursOf(at), gates)
        );
    }

    /// <summary>How likely rain meets the open shell, for the half-hours of the coming days.</summary>
    /// <returns>The curve; null where the job is not there or opens nothing, or there is no forecast.</returns>
    public static Result<Worked<RiskCurve>>? Risk(VehicleSnapshot of, Job job, DateTimeOffset now, CancellationToken stop)
    {
        if (of.Days.Forecast is not { } forecast || OpeningJobs.Of(of).FirstOrDefault(j => j.Job == job) is not { Span: { } span })
            return null;
        long half = TimeSpan.FromMinutes(30).Ticks;
        DateTimeOffset from = new((now.UtcTicks + half - 1) / half * half, TimeSpan.Zero);
        VehicleNow at = VehicleNow.At(of, now);
        DateTimeOffset first = from < forecast.Value.From ? forecast.Value.From : from;
        if (
            !RainRisk
                .Of(span, forecast.Value, first, may: begin => CutGate.MayWork(span, at.On, at.Care, begin), stop: stop)
                .IsOk(out Worked<RiskCurve>? curve, out Problem? problem)
        )
            return problem;
        RiskAt[] Local(IReadOnlyList<RiskAt> all) => [.. all.Select(r => r with { At = at.On.Local(r.At) })];
        return curve with { Result = curve.Result with { Starts = Local(curve.Result.Starts), Best = Local(curve.Result.Best) } };
    }

    /// <summary>The air of the coming hours, for what cures; empty where there is no forecast of them.</summary>
    public static IReadOnlyList<AirHour> Air(VehicleSnapshot of, DateTimeOffset now) =>
        of.Days.Forecast is { } row
            ? [.. row.Value.Between(now, row.Value.TrustedUntil).Select(h => new AirHour(h.Hour.AirC, h.Hour.RelativePercent))]
            : [];
}
