using Abri.Core;
using Abri.Core.Bench;
using Abri.Core.Declared;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Core.Work;
using Abri.Server.Api;
using Abri.Storage;
using Abri.Storage.Bench;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Bench;

/// <summary>What was read at the hold points of a step.</summary>
/// <param name="Readings">The readings.</param>
/// <param name="AsCut">The hole as it was cut; null where it was not measured.</param>
public sealed record HoldReadings([Count(0, 60, "At most {1} readings.")] IReadOnlyList<HoldReading> Readings, AsCut? AsCut);

/// <summary>Jobs step by step: which is next, whether a reading lets it go on, what is done.</summary>
internal static class BenchEndpoints
{
    private const string Gone = "This job has been removed.";

    public static void MapBench(WebApplication app)
    {
        RouteGroupBuilder bench = app.MapVehicle("bench").MapGroup("/bench");
        bench
            .MapGet("/", (OfVehicle of, TimeProvider clock) => BenchOfVehicle.Of(of.Snapshot, clock.GetUtcNow()))
            .WithMetadata(ByTheMinute.Answers)
            .WithName("bench");
        bench
            .MapGet("/{kind}/{id}", Results<Ok<BenchJob>, ProblemHttpResult> (Named<JobKind> kind, string id, OfVehicle of, TimeProvider clock) =>
                BenchOfJob.Of(of.Snapshot, new Job(kind.Value, id), clock.GetUtcNow()) is { } job ? TypedResults.Ok(job) : Problems.NotFound(Gone)
            )
            .WithMetadata(ByTheMinute.Answers)
            .WithName("bench-job");
        bench.MapPost("/{kind}/{id}/{key}/check", Check).Validate<HoldReadings>().WithName("bench-check");
        bench.MapPost("/{kind}/{id}/{key}/problem", Keep).Validate<StepProblem>().WithName("bench-problem");
        bench.MapPost("/{kind}/{id}/{key}", Do).Validate<StepReport>().WithName("bench-do");
    }

    /// <summary>Whether what is typed so far lets the step be done.</summary>
    private static Results<Ok<IReadOnlyList<HoldVerdict>>, ProblemHttpResult> Check(
        Named<JobKind> kind,
        string id,
        string key,
        HoldReadings value,
        OfVehicle of,
        TimeProvider clock
    ) =>
        BenchOfJob.Of(of.Snapshot, new Job(kind.Value, id), clock.GetUtcNow())?.Steps.FirstOrDefault(s => s.Step.Key == key) is { } line
            ? TypedResults.Ok(HoldCheck.Of(line.Step.Holds, HoldCheck.With(value.Readings, value.AsCut, line.Step.Holds), of.Snapshot.Lengths))
            : Problems.NotFound(Gone);

    /// <summary>Something that went wrong at a step, kept as a finding at its place.</summary>
    private static Results<Ok<Stored<Finding>>, ProblemHttpResult> Keep(
        string vehicleId,
        Named<JobKind> kind,
        string id,
        string key,
        StepProblem value,
        OfVehicle of,
        StepDoneStore store,
        HttpContext context,
        TimeProvider clock
    ) =>
        BenchOfJob.Problem(of.Snapshot, new Job(kind.Value, id), key, value, clock.GetUtcNow()).IsOk(out ProblemChange? change, out Problem? problem)
            ? RecordEndpoints.Answer(context, store.Keep(vehicleId, change))
            : Problems.Of(problem);

    /// <summary>A step that is done. Sent again it is the same step; from somebody else it was done already.</summary>
    private static Results<Ok<Stored<StepDone>>, ProblemHttpResult> Do(
        string vehicleId,
        Named<JobKind> kind,
        string id,
        string key,
        StepReport value,
        OfVehicle of,
        StepDoneStore store,
        TimeProvider clock
    )
    {
        var job = new Job(kind.Value, id);
        if (of.Snapshot.Done.FirstOrDefault(d => d.Value.Job == job && d.Value.Key == key) is { } was)
            return was.Value.Report.Token == value.Token
                ? TypedResults.Ok(was)
                : Problems.Answer(409, "step-done", $"{was.Value.Title} was done already, by {was.Value.Report.By}.", null, was);
        if (!BenchOfJob.Do(of.Snapshot, job, key, value, clock.GetUtcNow()).IsOk(out BenchChange? change, out Problem? problem))
            return Problems.Of(problem);
        Written<StepDone> written = store.Do(vehicleId, change);
        return written.State == WriteState.Done ? TypedResults.Ok(written.Row!) : Problems.Of(written);
    }
}
