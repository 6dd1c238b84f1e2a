using System.Text;
using Abri.Core;
using Abri.Core.Days.Planning;
using Abri.Core.Declared;
using Abri.Core.Stages;
using Abri.Core.Work;
using Abri.Exchange;
using Abri.Exchange.Pdf;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage.Days;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Days;

/// <summary>What somebody changes before a plan is made.</summary>
/// <param name="Marks">All marks; null to leave them as they are.</param>
/// <param name="Overruled">All rules of the trade that are overruled; null to leave them as they are.</param>
public sealed record PlanChange(
    [Count(0, PlanQuestion.MostMarks, "At most {1} tasks are marked.")] IReadOnlyList<TaskMark>? Marks,
    [Count(0, 200, "At most {1} rules are overruled.")] IReadOnlyList<Overruled>? Overruled
);

/// <summary>How planning ended.</summary>
/// <param name="Verdict">In a sentence.</param>
/// <param name="IsKept">Whether there is a new plan.</param>
/// <param name="Clash">What clashes; null where nothing does.</param>
/// <param name="Warnings">What to know before trusting it.</param>
public sealed record PlanMade(string Verdict, bool IsKept, PlanClash? Clash, IReadOnlyList<string> Warnings);

/// <summary>The plan, the list of a day, the calendar, and what somebody writes down to do.</summary>
internal static class PlanEndpoints
{
    public static void MapPlan(this RouteGroupBuilder vehicle)
    {
        vehicle
            .MapGet("/plan", (OfVehicle of, TimeProvider clock) => PlanOfVehicle.Of(of.Snapshot, clock.GetUtcNow()))
            .WithMetadata(ByTheMinute.Answers)
            .WithName("plan");
        vehicle.MapPost("/plan", Make).Validate<PlanChange>().WithName("plan-make");
        vehicle
            .MapGet(
                "/plan/starts/{kind}/{id}/{key}",
                Results<Ok<IReadOnlyList<StartWindow>>, ProblemHttpResult> (
                    Named<JobKind> kind,
                    string id,
                    string key,
                    OfVehicle of,
                    TimeProvider clock
                ) =>
                    PlanOfVehicle.Starts(of.Snapshot, clock.GetUtcNow(), new TaskKey(new Job(kind.Value, id), key)) is { } starts
                        ? TypedResults.Ok(starts)
                        : Problems.NotFound("There is no such task.")
            )
            .WithMetadata(ByTheMinute.Answers)
            .WithName("plan-starts");
        vehicle
            .MapGet("/plan/list", Results<Ok<DayList>, ProblemHttpResult> (DateOnly? date, OfVehicle of, TimeProvider clock) =>
                DayList.Of(of.Snapshot, clock.GetUtcNow(), date) is { } list
                    ? TypedResults.Ok(list)
                    : Problems.NotFound(date is null ? "No work is planned after today." : "No work is planned on that day.")
            )
            .WithMetadata(ByTheMinute.Answers)
            .WithName("plan-list");
        vehicle
            .MapGet(
                "/plan/list.pdf",
                Results<FileContentHttpResult, ProblemHttpResult> (DateOnly? date, Named<Paper>? paper, OfVehicle of, TimeProvider clock) =>
                    DayList.Of(of.Snapshot, clock.GetUtcNow(), date) is { } list
                        ? TypedResults.File(DayListPdf.Write(list, paper?.Value ?? Paper.A4), "application/pdf", $"list-{list.Date:yyyy-MM-dd}.pdf")
                        : Problems.NotFound("No work is planned then.")
            )
            .WithMetadata(ByTheMinute.Answers)
            .WithName("plan-list-pdf");
        vehicle
            .MapGet("/plan/calendar.ics", (OfVehicle of, TimeProvider clock) =>
                TypedResults.File(
                    Encoding.UTF8.GetBytes(PlanCalendar.Write(PlanOfVehicle.Of(of.Snapshot, clock.GetUtcNow()), of.Snapshot.Vehicle.Value.Name)),
                    "text/calendar",
                    "plan.ics"
                )
            )
            .WithMetadata(ByTheMinute.Answers)
            .WithName("plan-calendar");
        vehicle
            .MapPost(
                "/own-tasks",
                Results<Ok<Stored<OwnTask>>, ProblemHttpResult> (string vehicleId, OwnTask value, HttpContext context, OwnTaskStore store) =>
                    RecordEndpoints.Answer(context, store.Add(vehicleId, value))
            )
            .Validate<OwnTask>()
            .WithName("own-task-add");
        vehicle
            .MapGroup("/own-tasks/{id}")
            .MapRecord<OwnTask, OwnTaskStore>("own-task", (context, store, id) => ShellEndpoints.Owned(context, store.Find(id)), (_, _, _) => null);
    }

    private static Results<Ok<PlanMade>, ProblemHttpResult> Make(
        string vehicleId,
        PlanChange value,
        OfVehicle of,
        PlanStore store,
        TimeProvider clock,
        CancellationToken stop
    )
    {
        KeptPlan? before = of.Snapshot.Days.Plan?.Value;
        if (
            !PlanOfVehicle
                .Make(of.Snapshot, clock.GetUtcNow(), value.Marks ?? before?.Marks ?? [], value.Overruled ?? before?.Overruled ?? [], stop)
                .IsOk(out var made, out Problem? problem)
        )
            return Problems.Of(problem);
        (Worked<PlanAnswer> answer, KeptPlan? keep) = made;
        if (keep is not null)
            store.Keep(vehicleId, keep);
        return TypedResults.Ok(new PlanMade(answer.Result.Verdict, keep is not null, answer.Result.Clash, answer.Warnings));
    }
}
