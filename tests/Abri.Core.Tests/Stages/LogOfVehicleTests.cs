using Abri.Core.Bench;
using Abri.Core.Logbook;
using Abri.Core.Record;
using Abri.Core.Stages;
using Abri.Core.Weather;
using Abri.Core.Work;
using static Abri.Core.Tests.Days.OpenShellWork;

namespace Abri.Core.Tests.Stages;

public class LogOfVehicleTests
{
    private static KeptChange Change(long seq, double hour, string? by, params RowChange[] rows) =>
        new(seq, Monday.AddHours(hour), by, $"Change {seq}", ChangeState.Done, rows);

    private static StepDone Step(WeatherHour? weather) =>
        new(
            new Job(JobKind.Opening, "o0"),
            "cut",
            "Cut",
            ShellChange.Opens,
            Monday.AddHours(9),
            new Minutes(1, 2, 3),
            new StepReport("t", "Ada", 25, [], null, null, "Slow blade", ""),
            weather
        );

    [Fact]
    public void A_step_tells_what_was_said_of_it_and_the_weather_that_was_kept_with_it()
    {
        WeatherHour kept = Fine(48).Hours[0] with { AirC = 3.5 };
        VehicleSnapshot van = Vans.Of([], [], forecast: Fine(48)) with { Done = [new Stored<StepDone>("d0", 1, "v", Step(kept))] };
        LogEntry entry = Assert.Single(
            LogOfVehicle.Of(
                van,
                [
                    Change(
                        4,
                        9,
                        null,
                        new RowChange("step_done", "d0", null, """{"title":"Cut"}"""),
                        new RowChange("opening", "o0", """{"state":"planned"}""", """{"state":"cut"}""")
                    ),
                ],
                Monday
            )
        );
        Assert.Equal(("Ada", "Slow blade", 3.5), (entry.By, entry.Step!.Report.Notes, entry.Weather!.AirC));
        Assert.Equal(new LogLine("opening", "State", "planned", "cut"), Assert.Single(entry.Lines));
    }

    [Fact]
    public void Other_changes_have_the_weather_of_the_forecast_as_far_as_it_tells_of_their_hour()
    {
        VehicleSnapshot van = Vans.Of([], [], forecast: Fine(48));
        IReadOnlyList<LogEntry> log = LogOfVehicle.Of(van, [Change(2, 5, "Ben"), Change(1, -300, null)], Monday);
        Assert.Equal(Fine(48).At(Monday.AddHours(5)), log[0].Weather);
        Assert.Equal(("Ben", null), (log[0].By, log[0].Step));
        // Where one thing came the change itself says so.
        Assert.Empty(LogOfVehicle.Of(van, [Change(3, 5, null, new RowChange("member", "m", null, """{"name":"Bow"}"""))], Monday)[0].Lines);
        Assert.Null(log[1].Weather);
    }

    [Fact] // As many lines as are told, and one more
    public void Of_a_change_of_hundreds_of_rows_the_first_are_told_and_how_many_more()
    {
        LogEntry Of(int rows) =>
            LogOfVehicle.Of(
                Vans.Of([], []),
                [Change(1, 0, null, [.. Enumerable.Range(0, rows).Select(i => new RowChange("member", $"m{i}", null, """{"name":"Bow"}"""))])],
                Monday
            )[0];
        Assert.Equal((LogOfVehicle.MostLines, 0), (Of(LogOfVehicle.MostLines).Lines.Count, Of(LogOfVehicle.MostLines).More));
        Assert.Equal((LogOfVehicle.MostLines, 1), (Of(LogOfVehicle.MostLines + 1).Lines.Count, Of(LogOfVehicle.MostLines + 1).More));
    }
}
