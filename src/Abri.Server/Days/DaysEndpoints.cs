using System.Text;
using Abri.Core;
using Abri.Core.Days;
using Abri.Core.Declared;
using Abri.Core.Stages;
using Abri.Core.Weather;
using Abri.Core.Work;
using Abri.Exchange;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage.Days;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Days;

/// <summary>The weather in the words of a phone or the radio.</summary>
/// <param name="Days">The days, one after another.</param>
public sealed record TypedWeather([Count(1, Forecast.MostDays, "From 1 to {1} days are typed.")] IReadOnlyList<DayWeather> Days);

/// <summary>Weather, people, and whether the shell may be opened.</summary>
internal static class DaysEndpoints
{
    /// <summary>Largest table of hours, bytes.</summary>
    private const int MostTableBytes = 2 * 1024 * 1024;

    public static void MapDays(WebApplication app)
    {
        app.MapSimulatedWeather();
        RouteGroupBuilder vehicle = app.MapVehicle("days");
        vehicle
            .MapGet("/days", (OfVehicle of, TimeProvider clock) => DaysOfVehicle.Of(of.Snapshot, clock.GetUtcNow()))
            .WithMetadata(ByTheMinute.Answers)
            .WithName("days");
        vehicle
            .MapGet("/strip", (OfVehicle of, TimeProvider clock) => WeatherStrip.Of(of.Snapshot, clock.GetUtcNow()))
            .WithMetadata(ByTheMinute.Answers)
            .WithName("strip");
        vehicle
            .MapGet("/days/air", (OfVehicle of, TimeProvider clock) => DaysOfVehicle.Air(of.Snapshot, clock.GetUtcNow()))
            .WithMetadata(ByTheMinute.Answers)
            .WithName("days-air");
        vehicle
            .MapGet(
                "/days/risk/{kind}/{id}",
                Results<Ok<Worked<RiskCurve>>, ProblemHttpResult> (
                    Named<JobKind> kind,
                    string id,
                    OfVehicle of,
                    TimeProvider clock,
                    CancellationToken stop
                ) =>
                    DaysOfVehicle.Risk(of.Snapshot, new Job(kind.Value, id), clock.GetUtcNow(), stop) is not { } risk
                        ? Problems.NotFound("There is no such job, or no forecast.")
                    : risk.IsOk(out Worked<RiskCurve>? curve, out Problem? problem) ? TypedResults.Ok(curve)
                    : Problems.Of(problem)
            )
            .WithMetadata(ByTheMinute.Answers)
            .WithName("days-risk");
        vehicle.MapPlan();
        vehicle.MapPost("/forecast/typed", Typed).Validate<TypedWeather>().WithName("forecast-typed");
        vehicle.MapPost("/forecast/table", Table).Accepts<byte[]>("text/csv").WithMetadata(RequestFile.MostSent).WithName("forecast-table");
        vehicle.MapPost("/forecast/simulated", Simulated).Validate<SimulatedService>().WithName("forecast-simulated");
        vehicle
            .MapPost(
                "/people",
                Results<Ok<Stored<Person>>, ProblemHttpResult> (string vehicleId, Person value, HttpContext context, PersonStore store) =>
                    RecordEndpoints.Answer(context, store.Add(vehicleId, value))
            )
            .Validate<Person>()
            .WithName("person-add");
        vehicle
            .MapGroup("/people/{id}")
            .MapRecord<Person, PersonStore>("person", (context, store, id) => ShellEndpoints.Owned(context, store.Find(id)), (_, _, _) => null);
    }

    private static Results<Ok<Stored<Forecast>>, ProblemHttpResult> Typed(
        string vehicleId,
        TypedWeather value,
        OfVehicle of,
        ForecastStore store,
        TimeProvider clock
    )
    {
        Core.Shell.Vehicle vehicle = of.Snapshot.Vehicle.Value;
        return WeatherFromDays
            .Of(value.Days, vehicle.TimeZone, vehicle.Place, clock.GetUtcNow())
            .IsOk(out Worked<Forecast>? forecast, out Problem? problem)
            ? TypedResults.Ok(store.Keep(vehicleId, forecast.Result).Row!)
            : Problems.Of(problem);
    }

    private static async Task<Results<Ok<IReadOnlyList<string>>, ProblemHttpResult>> Table(
        string vehicleId,
        OfVehicle of,
        HttpRequest request,
        ForecastStore store,
        TimeProvider clock
    )
    {
        using var reader = new StreamReader(
            new MemoryStream(await RequestFile.Read(request, MostTableBytes)),
            Encoding.UTF8,
            detectEncodingFromByteOrderMarks: true
        );
        var zone = TimeZoneInfo.FindSystemTimeZoneById(of.Snapshot.Vehicle.Value.TimeZone);
        if (!WeatherCsv.Read(await reader.ReadToEndAsync(), zone, clock.GetUtcNow()).IsOk(out ReadWeather? read, out Problem? problem))
            return Problems.Of(problem);
        if (read.Forecast.End <= clock.GetUtcNow())
            return Problems.Of(new Problem("forecast-over", "", "All hours of the table are over already."));
        store.Keep(vehicleId, read.Forecast);
        return TypedResults.Ok(read.Notes);
    }

    private static Results<Ok<Stored<Forecast>>, ProblemHttpResult> Simulated(
        string vehicleId,
        SimulatedService value,
        OfVehicle of,
        ForecastStore store,
        TimeProvider clock
    ) =>
        of.Snapshot.Vehicle.Value.Place is { } place
            ? TypedResults.Ok(store.Keep(vehicleId, new SimulatedClimate(value).Latest(clock.GetUtcNow(), place)).Row!)
            : Problems.Of(new Problem("place-missing", "", "Say first where the vehicle stands: latitude and longitude, in Vehicles."));
}
