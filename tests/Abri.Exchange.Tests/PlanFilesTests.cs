using Abri.Core.Days;
using Abri.Core.Days.Planning;
using Abri.Core.Stages;
using Abri.Core.Work;
using Abri.Exchange.Pdf;

namespace Abri.Exchange.Tests;

public class PlanFilesTests
{
    private static readonly DateTimeOffset At = new(2031, 5, 13, 9, 0, 0, TimeSpan.FromHours(1));

    private static PlanLine Line(string key, string title, bool opens, TaskMark? mark = null)
    {
        var task = new TaskKey(new Job(JobKind.Opening, "vent"), key);
        var kept = new KeptTask(task, At, At.AddHours(2), At.AddHours(opens ? 6 : 2), opens, [new TaskHand("Ada", At, At.AddHours(2))], false, []);
        return new PlanLine(task, "Vent", title, "roof", ["Cut", "File, and measure; twice"], 120, 1, opens, kept, mark, null);
    }

    private static PlanOfVehicle Plan(params PlanLine[] lines) => new(At, At.AddDays(-1), "All done.", true, lines, [], [], [], [], [], [], false);

    /// <summary>Content lines by RFC 5545, 3.1: what begins with a blank goes on from the line before.</summary>
    private static string[] Unfolded(string calendar) => calendar.Replace("\r\n ", "", StringComparison.Ordinal).Split("\r\n");

    [Fact] // RFC 5545, read line by line: folding, escapes and universal time
    public void The_calendar_has_each_task_that_is_not_done_and_when_it_is_safe_from_rain()
    {
        string written = PlanCalendar.Write(
            Plan(
                Line("cut", "Vent, over the bed: cut to set it, with a title that is so long that a line of it has to be folded somewhere", true),
                Line("mark", "Mark out", false),
                Line("old", "Done", false, new TaskMark(new TaskKey(new Job(JobKind.Opening, "vent"), "old"), TaskMarkKind.Done, At))
            ),
            "Heron"
        );
        Assert.All(written.Split("\r\n"), line => Assert.InRange(System.Text.Encoding.UTF8.GetByteCount(line), 0, 75));
        string[] lines = Unfolded(written);
        Assert.Equal("BEGIN:VCALENDAR", lines[0]);
        Assert.Contains("VERSION:2.0", lines);
        Assert.Equal(3, lines.Count(l => l == "BEGIN:VEVENT"));
        Assert.Contains(lines, l => l.StartsWith("SUMMARY:Heron: Vent\\, over the bed: cut to set it", StringComparison.Ordinal));
        Assert.Contains(lines, l =>
            l.StartsWith("SUMMARY:Heron: Vent", StringComparison.Ordinal) && l.EndsWith(": safe from rain", StringComparison.Ordinal)
        );
        Assert.Contains("DTSTART:20310513T080000Z", lines);
        Assert.Contains("DTEND:20310513T100000Z", lines);
        Assert.Contains("DTSTART:20310513T140000Z", lines);
        Assert.Contains(lines, l => l.Contains("File\\, and measure\\; twice", StringComparison.Ordinal));
        Assert.Equal(3, lines.Where(l => l.StartsWith("UID:", StringComparison.Ordinal)).Distinct().Count());
        Assert.DoesNotContain(lines, l => l.Contains("Done", StringComparison.Ordinal));
    }

    [Fact]
    public void The_printed_list_has_what_to_lay_out_and_every_task_in_order()
    {
        WorkStep step = new(
            1,
            "cut",
            "Cut",
            "Along the line.",
            ["Jigsaw"],
            [new Consumable(Materials.MaskingTape, 2500), new Consumable(Materials.Degreaser, 60), new Consumable(Materials.ActivatorWipe, 1.2)],
            new Minutes(20, 30, 60),
            1,
            WorkPlace.Roof,
            [],
            [Cautions.OnTheRoof],
            ShellChange.Opens,
            WeatherNeeds.Any,
            0,
            []
        );
        var list = new DayList(
            "Heron",
            new DateOnly(2031, 5, 13),
            "12 to 18 C by day.",
            [
                new DayTask(
                    At,
                    At.AddHours(2),
                    At.AddHours(6),
                    "Vent: cut to set it",
                    ["Ada", "Ben"],
                    true,
                    [new TimedStep("Cover", At.AddHours(2), At.AddHours(3))],
                    [step]
                ),
            ],
            ["Jigsaw"],
            step.Consumables,
            step.Cautions
        );
        string text = Poppler.Text(DayListPdf.Write(list, Paper.A4));
        foreach (
            string said in new[]
            {
                "Tuesday 13 May 2031",
                "12 to 18 C by day.",
                "Jigsaw",
                "Masking tape, 2.5 m",
                "Degreaser, 60 ml",
                "Activator wipe, 2",
                "09:00 to 11:00  Vent: cut to set it, Ada and Ben",
                "safe from rain by Tue 15:00",
                "Covered Tue 11:00 to Tue 12:00",
                Cautions.OnTheRoof.Text,
            }
        )
            Assert.Contains(string.Join(' ', said.Split(' ', StringSplitOptions.RemoveEmptyEntries)), Plain(text), StringComparison.Ordinal);
    }

    private static string Plain(string text) => string.Join(' ', text.Split((char[])[' ', '\n', '\r'], StringSplitOptions.RemoveEmptyEntries));
}
