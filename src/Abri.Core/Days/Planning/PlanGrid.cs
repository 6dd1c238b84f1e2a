namespace Abri.Core.Days.Planning;

/// <summary>The half-hours of a plan.</summary>
/// <param name="Start">Where the first one begins.</param>
/// <param name="Count">How many.</param>
/// <param name="There">How many people work in each, be it for a part of it.</param>
internal sealed record PlanGrid(DateTimeOffset Start, int Count, IReadOnlyList<int> There)
{
    /// <summary>How long a slot is, min.</summary>
    public const int Minutes = 30;

    private const int PerDay = 24 * 60 / Minutes;

    /// <summary>The slots of a question, from the next half-hour on.</summary>
    public static PlanGrid Of(PlanQuestion question)
    {
        long slot = TimeSpan.FromMinutes(Minutes).Ticks;
        var start = new DateTimeOffset((question.Now.UtcTicks + slot - 1) / slot * slot, TimeSpan.Zero);
        bool Works(Person person, DateTimeOffset at) => question.On.Local(at).DateTime is var local && person.Works(local, local);
        int There(DateTimeOffset from) => question.On.Crew.Count(p => Works(p, from) || Works(p, from.AddMinutes(Minutes - 1)));
        int count = question.Days * PerDay;
        return new PlanGrid(start, count, [.. Enumerable.Range(0, count).Select(s => There(start.AddMinutes(s * Minutes)))]);
    }

    /// <summary>Where a slot begins.</summary>
    public DateTimeOffset At(long slot) => Start.AddMinutes(slot * Minutes);

    /// <summary>The slot in which a moment lies; 0 for what is past.</summary>
    public int Before(DateTimeOffset at) => Math.Max(0, (int)Math.Floor(((at - Start).TotalMinutes / Minutes) + 1e-9));

    /// <summary>The first slot that does not begin before a moment; 0 for what is past.</summary>
    public int AtOrAfter(DateTimeOffset at) => Math.Max(0, (int)Math.Ceiling(((at - Start).TotalMinutes / Minutes) - 1e-9));
}
