using Abri.Core.Days;
using Abri.Core.Geometry;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>How something stands that must be true before the first hole.</summary>
/// <param name="Item">What somebody ticks; null where the program can tell.</param>
/// <param name="Title">What it is.</param>
/// <param name="State">How it stands.</param>
/// <param name="Why">More, and what to do.</param>
public sealed record ReadyLine(ReadyItem? Item, string Title, JudgementState State, string Why);

/// <summary>A job that opens the shell, with whether it may be begun.</summary>
/// <param name="Job">What it is.</param>
/// <param name="PanelId">Its panel.</param>
/// <param name="Name">Its name.</param>
/// <param name="Headline">The answer in a sentence.</param>
/// <param name="State">Whether the weather, the light and the people let it; null where it cannot be told.</param>
/// <param name="Gate">How that was found; null where it cannot be told.</param>
/// <param name="Ready">What must be true before the first hole.</param>
/// <param name="Cover">The cover that lies ready; null where the hole is not known yet.</param>
public sealed record JobGate(
    Job Job,
    string PanelId,
    string Name,
    string Headline,
    GateState? State,
    Worked<GateAnswer>? Gate,
    IReadOnlyList<ReadyLine> Ready,
    Worked<CoverPlan>? Cover
)
{
    /// <summary>Whether a job may be begun, and what must be true before.</summary>
    internal static JobGate Of(VehicleNow at, OpeningJob job)
    {
        Worked<CoverPlan>? cover = job.Hole is var (length, width) ? HoleCover.Of(length, width, job.Job.Kind == JobKind.Opening) : null;
        ReadyLine[] ready = [.. OtherHoles(at), .. job.Told, .. job.Asked.Select(item => Asked(item, job, cover?.Result, at))];
        JobGate Without(string why) => new(job.Job, job.PanelId, job.Name, why, null, null, ready, cover);
        if (job.Trouble is { } trouble)
            return Without(trouble);
        if (at.Forecast is null)
            return Without("No forecast yet: type one, or read one.");
        Worked<GateAnswer> gate = CutGate.Of(job.Span!, at.On, at.Care, at.Now);
        int missing = ready.Count(r => r.State != JudgementState.Good);
        string first = missing == 0 ? "" : $" Do first: {missing} on the list.";
        return new JobGate(job.Job, job.PanelId, job.Name, gate.Result.Verdict + first, gate.Result.State, gate, ready, cover);
    }

    /// <summary>That another place stands open, where one does.</summary>
    internal static IEnumerable<ReadyLine> OtherHoles(VehicleNow at)
    {
        string[] open = [.. OpenShell.Of(at.Of).Select(o => o.Name)];
        if (open.Length > 0)
            yield return new ReadyLine(
                null,
                "One hole at a time",
                JudgementState.NeedsWork,
                $"{string.Join(", ", open)} {(open.Length == 1 ? "stands" : "stand")} open: close that first."
            );
    }

    private static ReadyLine Asked(ReadyItem item, OpeningJob job, CoverPlan? cover, VehicleNow at)
    {
        (string title, string why) = Ask(item, cover, at.Of.Lengths);
        if (item == ReadyItem.ConsumablesIn && StoresOfVehicle.NotThere(at.Of, job.Used, DateOnly.FromDateTime(at.Now.DateTime)) is { } missing)
            why = missing.Count == 0 ? "All of it is on the shelf and in date." : $"Not on the shelf, or too old: {string.Join(", ", missing)}.";
        return new ReadyLine(item, title, job.Ticked.Contains(item) ? JudgementState.Good : JudgementState.NeedsWork, why);
    }

    private static (string Title, string Why) Ask(ReadyItem item, CoverPlan? cover, LengthFormat lengths) =>
        item switch
        {
            ReadyItem.FittingLookedOver => ("Fitting looked over", "Whole, all parts, screws and seals in the box."),
            ReadyItem.CutOutMeasured => ("Cut-out measured on the part", "Papers and parts differ: measure the part itself."),
            ReadyItem.OfferedUp => ("Offered up, outside and inside", "Held where it goes; nothing in the way of frame, blind or handle."),
            ReadyItem.BehindSeen => ("Looked behind the panel", "Wiring, pipes, fuel, airbags, ribs: seen from inside, not from the drawing alone."),
            ReadyItem.ConsumablesIn => ("All that is used up is here", "In date and enough for one unbroken bead."),
            ReadyItem.BladesAndBatteries => ("Blades and batteries", "Fresh blades, full batteries, a second one of each."),
            ReadyItem.CoverReady => (
                "Cover and tape lie ready",
                cover is null
                    ? "Large enough for the hole and a hand's breadth round it."
                    : $"At least {lengths.Text(cover.LengthMm)} by {lengths.Text(cover.WidthMm)}, and {cover.TapeMm / 1000:0.#} m of tape."
            ),
            _ => ("Second pair of hands", "Some of its steps take two people."),
        };
}
