using Abri.Core.Days.Planning;
using Abri.Core.Stages;
using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;

namespace Abri.Exchange;

/// <summary>Writes a plan as a calendar (RFC 5545) that a phone takes in: tasks, and when what sets after them is ready.</summary>
public static class PlanCalendar
{
    /// <summary>The calendar.</summary>
    /// <param name="plan">The plan; what is done is left out.</param>
    /// <param name="vehicle">Name of the vehicle.</param>
    public static string Write(PlanOfVehicle plan, string vehicle)
    {
        var calendar = new Calendar { ProductId = "-//Abri//Plan//EN" };
        foreach (PlanLine line in plan.Lines.Where(l => l.Kept is not null && l.Mark?.Kind != TaskMarkKind.Done))
        {
            KeptTask kept = line.Kept!;
            string id = $"{line.Key.Job.Kind}-{line.Key.Job.Id}-{line.Key.Key}".ToLowerInvariant();
            string[] notes =
            [
                .. line.Steps,
                kept.OpensShell ? "The shell stands open until it is safe from rain." : "",
                kept.IsForeseen ? "" : "The weather was not known so far ahead when this was planned.",
            ];
            calendar.Events.Add(
                Event($"{id}@abri", plan, $"{vehicle}: {line.Title}", string.Join("\n", notes.Where(n => n.Length > 0)), kept.From, kept.Until)
            );
            if (kept.ReadyAt > kept.Until)
                calendar.Events.Add(
                    Event(
                        $"{id}-ready@abri",
                        plan,
                        $"{vehicle}: {line.Title}: {(kept.OpensShell ? "safe from rain" : "set")}",
                        "",
                        kept.ReadyAt,
                        kept.ReadyAt
                    )
                );
        }
        return new CalendarSerializer().SerializeToString(calendar)!;
    }

    private static CalendarEvent Event(string id, PlanOfVehicle plan, string title, string notes, DateTimeOffset from, DateTimeOffset until) =>
        new()
        {
            Uid = id,
            Summary = title,
            Description = notes,
            DtStamp = At(plan.MadeAt!.Value),
            Start = At(from),
            // A moment has no end (RFC 5545, 3.6.1).
            End = until > from ? At(until) : null,
        };

    private static CalDateTime At(DateTimeOffset moment) => new(moment.UtcDateTime, "UTC");
}
