using Abri.Core.Stages;
using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;

namespace Abri.Exchange;

/// <summary>Writes what is due as a calendar (RFC 5545) that a phone takes in: whole days, with a reminder a week before.</summary>
public static class UpkeepCalendar
{
    /// <summary>The calendar.</summary>
    /// <param name="lines">What is looked after; what has no date is left out.</param>
    /// <param name="vehicle">Name of the vehicle.</param>
    /// <param name="now">When it is written.</param>
    public static string Write(IReadOnlyList<UpkeepLine> lines, string vehicle, DateTimeOffset now)
    {
        var calendar = new Calendar { ProductId = "-//Abri//Upkeep//EN" };
        foreach (UpkeepLine line in lines.Where(l => l.Due is not null))
        {
            DateOnly due = line.Due!.Value;
            var day = new CalendarEvent
            {
                Uid = $"{line.Key.Replace('/', '-').ToLowerInvariant()}@abri",
                Summary = $"{vehicle}: {line.What}",
                Description = line.How,
                DtStamp = new CalDateTime(now.UtcDateTime, "UTC"),
                Start = new CalDateTime(due.Year, due.Month, due.Day),
                End = new CalDateTime(due.AddDays(1).Year, due.AddDays(1).Month, due.AddDays(1).Day),
            };
            if (line.Months is { } months)
                day.RecurrenceRule = new RecurrencePattern(FrequencyType.Monthly, months);
            day.Alarms.Add(
                new Alarm
                {
                    Action = AlarmAction.Display,
                    Description = line.What,
                    Trigger = new Trigger("-P7D"),
                }
            );
            calendar.Events.Add(day);
        }
        return new CalendarSerializer().SerializeToString(calendar)!;
    }
}
