using Abri.Core.Days;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>A place where the shell stands open now, with the ways to shut it.</summary>
/// <param name="Job">What it belongs to.</param>
/// <param name="Name">Its name.</param>
/// <param name="State">How long it stays dry, in a sentence.</param>
/// <param name="IsUrgent">Whether it may rain within <see cref="UrgentHours"/> hours, or it is not known.</param>
/// <param name="Cover">The cover, and the ways to shut the hole, quickest first; null where its size is not known.</param>
public sealed record OpenNow(Job Job, string Name, string State, bool IsUrgent, Worked<CoverPlan>? Cover)
{
    /// <summary>Rain within so many hours is no time for anything else: assumption.</summary>
    public const double UrgentHours = 3;

    /// <summary>The places where the shell of a vehicle stands open.</summary>
    internal static IReadOnlyList<OpenNow> All(VehicleNow at)
    {
        DateTimeOffset soon = at.Now.AddHours(UrgentHours);
        // What is not known is as urgent as rain.
        bool urgent = !at.IsForeseen || at.Forecast!.TrustedUntil < soon || at.WetAt < soon;
        return
        [
            .. OpenShell
                .Of(at.Of)
                .Select(place => new OpenNow(
                    place.Job,
                    place.Name,
                    $"{at.Dry}.{(urgent ? " Shut it now." : "")}",
                    urgent,
                    HoleOf(at, place.Job) is var (length, width) ? HoleCover.Of(length, width, place.Job.Kind == JobKind.Opening) : null
                )),
        ];
    }

    private static (double LengthMm, double WidthMm)? HoleOf(VehicleNow at, Job job) =>
        job.Kind == JobKind.Opening
            ? OpeningJobs.HoleOf(at.Of, at.Of.Openings.Single(o => o.Id == job.Id).Value)
            : OpeningJobs.HoleOf(at.Of.Repairs.Single(r => r.Id == job.Id).Value);
}
