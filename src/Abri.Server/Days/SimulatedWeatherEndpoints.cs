using Abri.Core;
using Abri.Core.Declared;
using Abri.Core.Shell;
using Abri.Core.Weather;
using Abri.Server.Api;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Days;

/// <summary>What the page of the simulated service shows.</summary>
/// <param name="Now">The program's clock.</param>
/// <param name="IsClockSet">Whether the clock was set when the program was started, so that it may be stepped on.</param>
/// <param name="Forecast">The last forecast that is out.</param>
/// <param name="Truth">What it will really be: nobody could know that.</param>
public sealed record SimulatedNow(DateTimeOffset Now, bool IsClockSet, Forecast Forecast, IReadOnlyList<WeatherHour> Truth);

/// <summary>The simulated weather service that ships: a stand-in for one that is asked over a network.</summary>
internal static class SimulatedWeatherEndpoints
{
    private const double StepHours = 6;

    public static void MapSimulatedWeather(this WebApplication app)
    {
        RouteGroupBuilder routes = app.MapGroup("/api/simulated-weather").WithTags("days");
        routes
            .MapGet(
                "/",
                Results<Ok<SimulatedNow>, ProblemHttpResult> (
                    Named<Climate> climate,
                    int seed,
                    double latitudeDeg,
                    double longitudeDeg,
                    ProgramClock clock
                ) =>
                {
                    var place = new Place(latitudeDeg, longitudeDeg);
                    var service = new SimulatedService(climate.Value, seed);
                    if (DeclaredRanges.Of(place) is { } problem || (problem = DeclaredRanges.Of(service)) is not null)
                        return Problems.Of(problem);
                    DateTimeOffset now = clock.GetUtcNow();
                    var weather = new SimulatedClimate(service);
                    Forecast forecast = weather.Latest(now, place);
                    WeatherHour[] truth = [.. Enumerable.Range(0, forecast.Hours.Count).Select(h => weather.Truth(forecast.From.AddHours(h), place))];
                    return TypedResults.Ok(new SimulatedNow(now, clock.IsSet, forecast, truth));
                }
            )
            .WithName("simulated-weather");
        routes
            .MapPost("/step", Results<NoContent, ProblemHttpResult> (ProgramClock clock) =>
            {
                if (!clock.IsSet)
                    return Problems.Of(
                        new Problem("clock-not-set", "", "The program runs in real time. Start it with --now 2031-05-12T07:40 to step its clock on.")
                    );
                clock.Step(TimeSpan.FromHours(StepHours));
                return TypedResults.NoContent();
            })
            .WithName("simulated-step");
    }
}
