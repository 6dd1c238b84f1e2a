using Abri.Core;
using Abri.Core.Days;
using Abri.Core.Days.Planning;
using Abri.Core.Openings;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Weather;
using Abri.Core.Work;

namespace Abri.Storage.Tests;

/// <summary>Forecasts, people, and what was looked at before a cut.</summary>
public sealed class DayStoreTests : IDisposable
{
    private readonly Scratch scratch = new();
    private readonly string vehicle;

    public DayStoreTests() => vehicle = scratch.Filled().Vehicle.Id;

    public void Dispose() => scratch.Dispose();

    private static Forecast Forecast(double airC) =>
        new(
            ForecastSource.Simulated,
            new DateTimeOffset(2031, 5, 12, 6, 0, 0, TimeSpan.Zero),
            new DateTimeOffset(2031, 5, 12, 6, 0, 0, TimeSpan.Zero),
            [new WeatherHour(airC, 60, 3, 5, 0.4, 20, 50), new WeatherHour(airC, 61, 3, 5, 0, 0, 50)],
            [new DayWeather(new DateOnly(2031, 5, 12), Sky.Dry, Sky.Showers, Sky.Rain, Sky.Storm, 18, 8, 4)],
            ["01", "00"],
            new SimulatedService(Climate.Inland, 7)
        );

    private static Person Ada => new("Ada", [new WorkDay(DayOfWeek.Monday, 8.5, 17)]);

    [Fact]
    public void All_of_it_comes_back_as_it_was_kept_in_the_snapshot_and_in_a_file()
    {
        scratch.Days.Forecasts.Keep(vehicle, Forecast(12));
        scratch.Days.People.Add(vehicle, Ada);
        VehicleSnapshot now = scratch.Snapshots.Read(vehicle)!;
        Assert.Equal(AbriJson.Write(Forecast(12)), AbriJson.Write(now.Days.Forecast!.Value));
        Assert.Equal(AbriJson.Write(Ada), AbriJson.Write(Assert.Single(now.Days.People).Value));
        VehicleRecord file = VehicleFile.Of(now, _ => null);
        VehicleSnapshot copied = scratch.Snapshots.Read(
            scratch.Records.Add(file with { Vehicle = file.Vehicle with { Name = "Copy", Care = new CutCare(false, 10) } })
        )!;
        Assert.Equal(AbriJson.Write(file.Forecast), AbriJson.Write(copied.Days.Forecast!.Value));
        Assert.Equal(AbriJson.Write(file.People), AbriJson.Write(copied.Days.People.Values()));
        Assert.Equal(new CutCare(false, 10), copied.Vehicle.Value.Care);
    }

    [Fact]
    public void A_new_forecast_takes_the_place_of_the_old_one_and_one_undo_brings_that_back()
    {
        Stored<Forecast> first = scratch.Days.Forecasts.Keep(vehicle, Forecast(12)).Row!,
            second = scratch.Days.Forecasts.Keep(vehicle, Forecast(13)).Row!;
        Assert.Equal((first.Id, first.Version + 1), (second.Id, second.Version));
        Assert.Equal("Kept the forecast of 12 May 06:00", scratch.History.Undo(vehicle).What);
        Assert.Equal(12, scratch.Snapshots.Read(vehicle)!.Days.Forecast!.Value.Hours[0].AirC);
        scratch.History.Undo(vehicle);
        Assert.Null(scratch.Snapshots.Read(vehicle)!.Days.Forecast);
        scratch.History.Redo(vehicle);
        scratch.History.Redo(vehicle);
        Assert.Equal(13, scratch.Snapshots.Read(vehicle)!.Days.Forecast!.Value.Hours[0].AirC);
    }

    private static OwnTask Key =>
        new(
            "Have the key copied",
            45,
            1,
            WorkPlace.Inside,
            true,
            8,
            new DateTimeOffset(2031, 5, 13, 8, 0, 0, TimeSpan.Zero),
            new DateTimeOffset(2031, 5, 14, 18, 0, 0, TimeSpan.Zero),
            true
        );

    private static KeptPlan Plan(string verdict)
    {
        var at = new DateTimeOffset(2031, 5, 13, 8, 0, 0, TimeSpan.Zero);
        var key = new TaskKey(new Job(JobKind.Opening, "vent"), "cut");
        return new KeptPlan(
            at,
            verdict,
            true,
            [
                new KeptTask(
                    key,
                    at,
                    at.AddHours(2),
                    at.AddHours(6),
                    true,
                    [new TaskHand("Ada", at, at.AddHours(2))],
                    false,
                    [new TimedStep("Cover", at, at.AddHours(1))]
                ),
            ],
            [new KeptUnplanned(key with { Key = "trim" }, "No time.")],
            ["There is no forecast."],
            [new TaskMark(key, TaskMarkKind.Fixed, at)],
            [new Overruled(key.Job, new Job(JobKind.Lining, "ceiling"), "It is not behind it")],
            [new TaskMove(key, at.AddDays(-1), "Rain")]
        );
    }

    [Fact]
    public void Own_tasks_come_back_as_they_were_kept_and_travel_in_a_file()
    {
        Stored<OwnTask> own = scratch.Days.Own.Add(vehicle, Key).Row!;
        VehicleSnapshot now = scratch.Snapshots.Read(vehicle)!;
        Assert.Equal(Key, Assert.Single(now.Days.Own).Value);
        VehicleRecord file = VehicleFile.Of(now, _ => null);
        string copy = scratch.Records.Add(file with { Vehicle = file.Vehicle with { Name = "Copy" } });
        Assert.Equal([Key], scratch.Snapshots.Read(copy)!.Days.Own.Values());
        scratch.Days.Own.Replace(own.Id, own.Version, Key with { NotBefore = null, Until = null, WindBelowMs = null, Dry = false, IsDone = false });
        Assert.False(scratch.Days.Own.Find(own.Id)!.Value.Dry);
        scratch.History.Undo(vehicle);
        Assert.Equal(Key, scratch.Days.Own.Find(own.Id)!.Value);
    }

    [Fact]
    public void A_new_plan_takes_the_place_of_the_old_one_and_one_undo_brings_that_back()
    {
        scratch.Days.Plans.Keep(vehicle, Plan("First"));
        Assert.Equal(AbriJson.Write(Plan("First")), AbriJson.Write(scratch.Snapshots.Read(vehicle)!.Days.Plan!.Value));
        scratch.Days.Plans.Keep(vehicle, Plan("Second"));
        Assert.Equal("Kept the plan", scratch.History.Undo(vehicle).What);
        Assert.Equal("First", scratch.Snapshots.Read(vehicle)!.Days.Plan!.Value.Verdict);
        scratch.History.Undo(vehicle);
        Assert.Null(scratch.Snapshots.Read(vehicle)!.Days.Plan);
    }

    [Fact]
    public void What_was_ticked_stays_with_the_opening()
    {
        Stored<Opening> opening = scratch.Snapshots.Read(vehicle)!.Openings[0];
        Opening ticked = opening.Value with { Ready = [ReadyItem.BehindSeen, ReadyItem.CoverReady] };
        scratch.Openings.Replace(opening.Id, opening.Version, ticked);
        Assert.Equal([ReadyItem.BehindSeen, ReadyItem.CoverReady], scratch.Openings.Find(opening.Id)!.Value.Ready);
        scratch.History.Undo(vehicle);
        Assert.Null(scratch.Openings.Find(opening.Id)!.Value.Ready);
    }

    [Fact]
    public void With_the_vehicle_go_its_weather_and_its_people_and_come_back()
    {
        scratch.Days.Forecasts.Keep(vehicle, Forecast(12));
        scratch.Days.People.Add(vehicle, Ada);
        Stored<Vehicle> row = scratch.Vehicles.Find(vehicle)!;
        Assert.Equal(WriteState.Done, scratch.Vehicles.Remove(vehicle, row.Version).State);
        Assert.Empty(scratch.Days.People.All());
        Assert.Empty(scratch.Days.Forecasts.All());
    }
}
