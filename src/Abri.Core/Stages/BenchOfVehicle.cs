using Abri.Core.Record;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>A job in the list of the bench.</summary>
/// <param name="Job">The job.</param>
/// <param name="Name">Its name.</param>
/// <param name="Done">How many of its steps are done.</param>
/// <param name="Steps">How many it has.</param>
/// <param name="Next">Title of the step to go on with; null where there is none.</param>
/// <param name="State">How that step stands; null where there is none.</param>
/// <param name="ReadyAt">When what it waits for has set; null where it waits for nothing.</param>
/// <param name="IsOpen">Whether the shell stands open there.</param>
/// <param name="Missing">Why it cannot be done as it stands; null where it can.</param>
public sealed record BenchLine(
    Job Job,
    string Name,
    int Done,
    int Steps,
    string? Next,
    StepState? State,
    DateTimeOffset? ReadyAt,
    bool IsOpen,
    string? Missing
);

/// <summary>What can be done on a vehicle: all jobs that have steps, those first where the shell stands open, then those that are begun.</summary>
public static class BenchOfVehicle
{
    /// <summary>The jobs.</summary>
    public static IReadOnlyList<BenchLine> Of(VehicleSnapshot of, DateTimeOffset now)
    {
        HashSet<Job> open = [.. OpenShell.Of(of).Select(o => o.Job)];
        BenchLine[] lines =
        [
            .. WholeShell
                .NextJobs(of)
                .Select(n => n.Job)
                .Distinct()
                .Where(job => job.Kind != JobKind.Finding)
                .Select(job => Line(BenchOfJob.Of(of, job, now)!, open.Contains(job))),
        ];
        return
        [
            .. lines.OrderBy(l =>
                l.IsOpen ? 0
                : l.Done > 0 ? 1
                : l.Missing is null ? 2
                : 3
            ),
        ];
    }

    private static BenchLine Line(BenchJob job, bool isOpen)
    {
        BenchStep? next = job.Steps.FirstOrDefault(s => s.Step.Key == job.NextKey);
        return new BenchLine(
            job.Job,
            job.Name,
            job.Steps.Count(s => s.State == StepState.Done),
            job.Steps.Count,
            next?.Step.Title,
            next?.State,
            next?.ReadyAt,
            isOpen,
            job.Missing
        );
    }
}
