using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Days;

/// <summary>Whether the shell may be opened now.</summary>
public enum GateState
{
    /// <summary>Yes: it is shut and safe from rain in time.</summary>
    Go,

    /// <summary>Today, but only with a cover over the hole in between.</summary>
    WithCover,

    /// <summary>Later today.</summary>
    Later,

    /// <summary>Not today.</summary>
    NotToday,
}

/// <summary>A step at its time.</summary>
/// <param name="Title">What it is.</param>
/// <param name="From">Begin.</param>
/// <param name="To">End of the work.</param>
public sealed record TimedStep(string Title, DateTimeOffset From, DateTimeOffset To);

/// <summary>How it would go from one beginning.</summary>
/// <param name="Steps">The steps.</param>
/// <param name="SafeAt">When rain does no more harm.</param>
/// <param name="Covered">Times in which a cover lies over the hole.</param>
public sealed record OpenRun(IReadOnlyList<TimedStep> Steps, DateTimeOffset SafeAt, IReadOnlyList<TimedStep> Covered);

/// <summary>Beginnings that are all safe.</summary>
/// <param name="From">The first.</param>
/// <param name="Until">The last.</param>
public sealed record CutWindow(DateTimeOffset From, DateTimeOffset Until);

/// <summary>Whether and until when the shell may be opened.</summary>
/// <param name="State">In one word.</param>
/// <param name="Verdict">In a sentence.</param>
/// <param name="Reasons">What stands in the way of beginning now; empty where nothing does.</param>
/// <param name="Windows">When one may begin, in the time that the forecast is trusted for.</param>
/// <param name="Run">How it goes from the first moment at which one may begin; null where there is none.</param>
public sealed record GateAnswer(GateState State, string Verdict, IReadOnlyList<Hindrance> Reasons, IReadOnlyList<CutWindow> Windows, OpenRun? Run);

/// <summary>If I cut now, is it shut and safe from rain before it rains, before dark, before I must stop?</summary>
/// <remarks>
/// Every beginning of the coming days, <see cref="EveryMinutes"/> apart, is gone through: the steps one after the other with their waits, each in its
/// own weather, by daylight where it is outside, with its people there all the time, and not over night. Neither an hour of it nor all of it
/// together, from the cut until rain does no more harm, may have more than the chosen chance of rain (<see cref="RainChance"/>). Waits for paint and
/// sealant are those of air at 20 C and get longer in the cold (<see cref="WaitTime"/>). With a cover the work may stop: each step is done at the
/// first hours that suit it, and the hole is covered in between, for one night at most and not in gusts of <see cref="CoverGustMs"/> or more.
/// </remarks>
/// <example>Cut 32, paint 25 and an hour to dry, bed 25, set 30, seal 20 min and four hours: begun at 9:00, safe at 16:12.</example>
public static class CutGate
{
    /// <summary>Beginnings that are looked at lie so far apart, min.</summary>
    public const int EveryMinutes = 10;

    /// <summary>Gusts that tear a taped cover off, m/s: assumption.</summary>
    public const double CoverGustMs = 17;

    /// <summary>A hole stays under a cover for so long at most, hours: one night. Assumption.</summary>
    public const double MostCoveredHours = 30;

    /// <summary>So long a pause is not worth a cover, hours: assumption.</summary>
    private const double WorthCoverHours = 0.5;

    /// <summary>Whether the shell may be opened.</summary>
    /// <param name="span">The steps from the cut until rain does no more harm.</param>
    /// <param name="on">Weather, light and people.</param>
    /// <param name="care">How careful to be.</param>
    /// <param name="now">The moment.</param>
    public static Worked<GateAnswer> Of(OpenSpan span, Conditions on, CutCare care, DateTimeOffset now)
    {
        DateTimeOffset first = OnGrid(now);
        List<CutWindow> windows = Windows(span, on, care, first);
        var standing = new List<Hindrance>();
        Straight(span, on, care, first, standing);
        Hindrance[] reasons = [.. standing.GroupBy(h => h.Kind).Select(g => g.MinBy(h => h.At)!).OrderBy(h => h.At)];
        DateOnly today = Day(on, now);
        OpenRun? covered = null;
        if (!windows.Any(w => Day(on, w.From) == today))
            covered = Today(on, first).Select(at => Covered(span, on, care, at)).OfType<OpenRun>().FirstOrDefault();
        OpenRun? run = windows is [var w0, ..] && (covered is null) ? Straight(span, on, care, w0.From) : covered;
        GateState state =
            windows is [var w1, ..] && w1.From == first ? GateState.Go
            : windows is [var w2, ..] && Day(on, w2.From) == today ? GateState.Later
            : covered is not null ? GateState.WithCover
            : GateState.NotToday;

        var sheet = new Worksheet();
        double work = span.Steps.Sum(s => Taken(s, care));
        sheet.Step("t_w", "work while it is open", care.Slow ? "sum of slow minutes" : "sum of likely minutes", work, "min");
        sheet.Step("t_v", "waiting at 20 C", "sum of waits", span.Steps.Sum(s => s.WaitHours), "h");
        sheet.Step("p", "chance of rain that counts as dry", "as chosen", care.MostRainPercent, "%");
        if (run is not null)
            sheet.Step(
                "t_o",
                "from the cut until safe from rain",
                "steps and waits in that weather",
                (run.SafeAt - run.Steps[0].From).TotalHours,
                "h"
            );
        if (run is { Covered.Count: 0 })
            sheet.Step(
                "P",
                "chance of rain in all that time",
                "the forecast's courses, or its chain of hours",
                100 * RainChance.Of(on.Forecast, [(run.Steps[0].From, run.SafeAt)]),
                "%"
            );
        sheet.Cite(MinutesTable.Source);
        sheet.Cite(
            new Source(
                $"Waits at {WaitTime.AtC:0} C, twice as long for every 10 K less; the last sealant takes rain after "
                    + $"{OpenSpan.RainSafeHours:0} h",
                SourceKind.Assumption
            )
        );
        sheet.Cite(new Source($"No taped cover in gusts of {CoverGustMs:0} m/s, and none for longer than a night", SourceKind.Assumption));
        if (on.People.Count == 0)
            sheet.Warn("No working hours entered: one person, every day from eight to six, is assumed.");
        if (on.Place is null)
            sheet.Warn("Not known where the vehicle stands: dusk is left out.");
        if (!span.Closes)
            sheet.Warn("None of these steps closes the shell: a cover or the next job has to.");
        string verdict = Verdict(state, on, windows, run, reasons, now);
        if (windows.Count == 0 && state != GateState.WithCover)
            verdict += LaterCovered(span, on, care, first) ?? $" The forecast shows no time that suits.{Closest(span, on, care, first)}";
        return sheet.Finish(new GateAnswer(state, verdict, reasons, windows, run));
    }

    /// <summary>Whether the work could be done from a moment on if it did not rain: people, light, wind and air.</summary>
    internal static bool MayWork(OpenSpan span, Conditions on, CutCare care, DateTimeOffset at)
    {
        var found = new List<Hindrance>();
        Straight(span, on, care, at, found);
        return found.All(h => h.Kind == HindranceKind.Rain);
    }

    /// <summary>Minutes of a step, by how careful one is.</summary>
    internal static double Taken(DayStep step, CutCare care) => care.Slow ? step.Minutes.Slow : step.Minutes.Likely;

    private static List<CutWindow> Windows(OpenSpan span, Conditions on, CutCare care, DateTimeOffset first)
    {
        var windows = new List<CutWindow>();
        for (
            DateTimeOffset at = first < on.Forecast.From ? OnGrid(on.Forecast.From) : first;
            at < on.Forecast.TrustedUntil;
            at = at.AddMinutes(EveryMinutes)
        )
        {
            if (Straight(span, on, care, at) is null)
                continue;
            if (windows is [.., var last] && last.Until.AddMinutes(EveryMinutes) == at)
                windows[^1] = last with { Until = on.Local(at) };
            else
                windows.Add(new CutWindow(on.Local(at), on.Local(at)));
        }
        return windows;
    }

    /// <summary>The first beginning of another day with a cover, in words; null where there is none.</summary>
    private static string? LaterCovered(OpenSpan span, Conditions on, CutCare care, DateTimeOffset first)
    {
        for (DateTimeOffset at = first; at < on.Forecast.TrustedUntil; at = at.AddMinutes(3 * EveryMinutes))
        {
            if (Covered(span, on, care, at) is { } run)
                return $" With a cover: {on.Clock(at)}, safe from rain by {on.Clock(run.SafeAt)}.";
        }
        return null;
    }

    /// <summary>The beginning that has the fewest kinds of things in its way, looked at each hour; empty where the forecast is over.</summary>
    private static string Closest(OpenSpan span, Conditions on, CutCare care, DateTimeOffset first)
    {
        (DateTimeOffset At, Hindrance First, int Kinds)? best = null;
        for (DateTimeOffset at = first; at < on.Forecast.TrustedUntil; at = at.AddHours(1))
        {
            var found = new List<Hindrance>();
            Straight(span, on, care, at, found);
            int kinds = found.Select(f => f.Kind).Distinct().Count();
            // What stands in the way at once is no beginning.
            if (kinds > 0 && found.Min(f => f.At) > at && (best is null || kinds < best.Value.Kinds))
                best = (at, found.MinBy(f => f.At)!, kinds);
        }
        return best is var (when, hindrance, _) ? $" Closest: {on.Clock(when)}, but then: {hindrance.Text}" : "";
    }

    /// <summary>One step after the other without a stop; the run is null where something stands in the way.</summary>
    /// <param name="span">The steps.</param>
    /// <param name="on">Weather, light and people.</param>
    /// <param name="care">How careful to be.</param>
    /// <param name="start">The beginning.</param>
    /// <param name="found">Takes up all that stands in the way; null where the first of it is enough.</param>
    internal static OpenRun? Straight(OpenSpan span, Conditions on, CutCare care, DateTimeOffset start, List<Hindrance>? found = null)
    {
        var steps = new List<TimedStep>();
        bool fits = true;
        bool Take(IEnumerable<Hindrance> hindrances)
        {
            found?.AddRange(hindrances);
            fits &= found?.Count == 0 || (found is null && !hindrances.Any());
            return fits || found is not null;
        }
        DateTimeOffset at = start;
        foreach (DayStep step in span.Steps)
        {
            if (steps is [.., var before] && Day(on, before.To) != Day(on, at) && !Take([OverNight(step, before)]))
                return null;
            DateTimeOffset done = at.AddMinutes(Taken(step, care));
            steps.Add(new TimedStep(step.Title, on.Local(at), on.Local(done)));
            if (!Take(on.Of(step, at, done, care)))
                return null;
            if (WaitTime.Until(on.Forecast, done, step.WaitHours) is not { } waited)
            {
                Take(on.Rain(done, done.AddHours(step.WaitHours), care));
                Take([new Hindrance(HindranceKind.Unknown, done, $"{step.Title} does not set within the forecast.")]);
                return null;
            }
            if (!Take(on.Rain(done, waited, care)))
                return null;
            at = waited;
        }
        // A single hour that is too wet says more than all of them.
        if (found?.Exists(h => h.Kind == HindranceKind.Rain) != true)
            Take(InAll(on, care, start, [(start, at)]));
        return fits ? new OpenRun(steps, on.Local(at), []) : null;
    }

    /// <summary>That nobody is there at night to see the rain come.</summary>
    internal static Hindrance OverNight(DayStep step, TimedStep before) =>
        new(HindranceKind.Dark, before.To, $"It would stand open over night before {Conditions.Lower(step.Title)}.");

    /// <summary>Each step at the first time that suits it, the hole covered in between; null where that does not work out.</summary>
    internal static OpenRun? Covered(OpenSpan span, Conditions on, CutCare care, DateTimeOffset start)
    {
        var steps = new List<TimedStep>();
        var covered = new List<TimedStep>();
        DateTimeOffset at = start,
            latest = start.AddHours(MostCoveredHours);
        foreach ((DayStep step, int i) in span.Steps.Select((s, i) => (s, i)))
        {
            DateTimeOffset from = at;
            while (from <= latest && on.Of(step, from, from.AddMinutes(Taken(step, care)), care).Any())
            {
                // The cut itself begins when it was asked to.
                if (i == 0)
                    return null;
                from = OnGrid(from.AddMinutes(1));
            }
            DateTimeOffset done = from.AddMinutes(Taken(step, care));
            if (from > latest || WaitTime.Until(on.Forecast, done, step.WaitHours) is not { } waited)
                return null;
            if (i > 0 && !Cover(on, care, steps[^1].To, from, covered))
                return null;
            steps.Add(new TimedStep(step.Title, on.Local(from), on.Local(done)));
            at = waited;
        }
        // What was set last gets no cover any more: it has to stay dry until it takes rain.
        IEnumerable<(DateTimeOffset, DateTimeOffset)> bare = [.. steps.Select(s => (s.From, s.To)), (steps[^1].To, at)];
        return on.Rain(steps[^1].To, at, care).Any() || InAll(on, care, start, bare).Any() ? null : new OpenRun(steps, on.Local(at), covered);
    }

    /// <summary>That rain is too likely over all the time that the hole lies bare, however dry each hour by itself.</summary>
    private static IEnumerable<Hindrance> InAll(
        Conditions on,
        CutCare care,
        DateTimeOffset start,
        IEnumerable<(DateTimeOffset From, DateTimeOffset To)> bare
    )
    {
        double percent = 100 * RainChance.Of(on.Forecast, bare);
        if (percent > care.MostRainPercent + 1e-9)
            yield return new Hindrance(HindranceKind.Rain, start, $"The chance of rain on the open hole is {percent:0} % in all.");
    }

    /// <summary>Covers a pause, if it is worth it and wind lets it lie.</summary>
    private static bool Cover(Conditions on, CutCare care, DateTimeOffset from, DateTimeOffset to, List<TimedStep> covered)
    {
        bool wet = on.Rain(from, to, care).Any();
        if ((to - from).TotalHours <= WorthCoverHours && !wet)
            return true;
        covered.Add(new TimedStep("Cover", on.Local(from), on.Local(to)));
        return to <= on.Forecast.TrustedUntil && on.Forecast.Between(from, to).All(h => h.Hour.GustMs < CoverGustMs);
    }

    private static IEnumerable<DateTimeOffset> Today(Conditions on, DateTimeOffset first)
    {
        DateOnly today = Day(on, first);
        for (DateTimeOffset at = first; Day(on, at) == today; at = at.AddMinutes(3 * EveryMinutes))
            yield return at;
    }

    private static string Verdict(GateState state, Conditions on, List<CutWindow> windows, OpenRun? run, Hindrance[] reasons, DateTimeOffset now)
    {
        string Said(DateTimeOffset at) => Day(on, at) == Day(on, now) ? $"{on.Local(at):HH:mm}" : on.Clock(at);
        string next = windows is [var w, ..] ? $" Next: {Said(w.From)} to {Said(w.Until)}." : "";
        string dusk = on.Place is null ? " Dusk is not looked at: say where the vehicle stands." : "";
        return state switch
        {
            GateState.Go => $"Go until {Said(windows[0].Until)}. Start now, and it is safe from rain by {Said(run!.SafeAt)}.{dusk}",
            GateState.Later => $"Not yet: go from {Said(windows[0].From)} until {Said(windows[0].Until)}. {reasons[0].Text}{dusk}",
            GateState.WithCover => $"Only with a cover ready: begun at {Said(run!.Steps[0].From)}, "
                + string.Concat(run.Covered.Select(c => $"covered {Said(c.From)} to {Said(c.To)}, "))
                + $"safe from rain by {Said(run.SafeAt)}.{dusk}{next}",
            _ => $"Not today. {string.Join(" ", reasons.Select(r => r.Text))}{next}",
        };
    }

    private static DateOnly Day(Conditions on, DateTimeOffset at) => DateOnly.FromDateTime(on.Local(at).DateTime);

    private static DateTimeOffset OnGrid(DateTimeOffset at)
    {
        long grid = TimeSpan.FromMinutes(EveryMinutes).Ticks;
        return new DateTimeOffset((at.UtcTicks + grid - 1) / grid * grid, TimeSpan.Zero);
    }
}
