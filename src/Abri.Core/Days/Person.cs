using Abri.Core.Declared;

namespace Abri.Core.Days;

/// <summary>When somebody works on a day of the week.</summary>
/// <param name="Day">The day.</param>
/// <param name="FromHour">From so many hours after midnight: 8.5 is half past eight.</param>
/// <param name="ToHour">Until.</param>
public sealed record WorkDay(DayOfWeek Day, [Within(0, 24, "The beginning", "h")] double FromHour, [Within(0, 24, "The end", "h")] double ToHour)
    : IConsistent
{
    /// <inheritdoc/>
    public (string Field, string Message)? Contradiction() => ToHour <= FromHour ? ("toHour", "The end of the day comes after its beginning.") : null;
}

/// <summary>Somebody who works on the vehicle.</summary>
/// <param name="Name">What they are called.</param>
/// <param name="Hours">When they work; days that are not named are free.</param>
public sealed record Person([Name] string Name, [Count(0, 14, "A week has at most {1} times of work.")] IReadOnlyList<WorkDay> Hours)
{
    /// <summary>Who works where nobody was written down: one person, every day from eight to six. Assumption.</summary>
    internal static IReadOnlyList<Person> Somebody { get; } = [new("You", [.. Enum.GetValues<DayOfWeek>().Select(d => new WorkDay(d, 8, 18))])];

    /// <summary>Whether they work all through a time, which is told by the clock at the vehicle.</summary>
    internal bool Works(DateTime begin, DateTime end)
    {
        double first = begin.TimeOfDay.TotalHours,
            last = (end - begin.Date).TotalHours;
        return Hours.Any(h => h.Day == begin.DayOfWeek && h.FromHour <= first + 1e-9 && last <= h.ToHour + 1e-9);
    }
}
