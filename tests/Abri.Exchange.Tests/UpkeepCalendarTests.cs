using Abri.Core.Logbook;
using Abri.Core.Stages;

namespace Abri.Exchange.Tests;

public class UpkeepCalendarTests
{
    private static UpkeepLine Line(string key, DateOnly? due, int? months) =>
        new(key, UpkeepKind.Drains, "3 drains", "Poke; pour, look", null, months, null, due, UpkeepState.Later, [], null);

    [Fact] // RFC 5545, read line by line: whole days end on the day after (3.6.1), intervals of months (3.3.10), an alarm a week before (3.6.6)
    public void What_is_due_is_a_whole_day_that_comes_again_with_a_reminder()
    {
        string[] lines = UpkeepCalendar
            .Write(
                [Line("Drains", new DateOnly(2031, 12, 31), 6), Line("Own/1", new DateOnly(2031, 6, 1), null), Line("UnderbodyWax", null, 12)],
                "Heron",
                new DateTimeOffset(2031, 5, 12, 8, 0, 0, TimeSpan.Zero)
            )
            .Replace("\r\n ", "", StringComparison.Ordinal)
            .Split("\r\n");
        Assert.Equal(2, lines.Count(l => l == "BEGIN:VEVENT"));
        Assert.Contains("DTSTART;VALUE=DATE:20311231", lines);
        Assert.Contains("DTEND;VALUE=DATE:20320101", lines);
        Assert.Equal("RRULE:FREQ=MONTHLY;INTERVAL=6", Assert.Single(lines, l => l.StartsWith("RRULE", StringComparison.Ordinal)));
        Assert.Equal(2, lines.Count(l => l.StartsWith("TRIGGER", StringComparison.Ordinal) && l.Contains("-P7D", StringComparison.Ordinal)));
        Assert.Contains("SUMMARY:Heron: 3 drains", lines);
        Assert.Contains("UID:own-1@abri", lines);
    }
}
