using System.Text;
using Abri.Core;
using Abri.Core.Logbook;
using Abri.Core.Stages;
using Abri.Exchange;
using Abri.Exchange.Pdf;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage;
using Abri.Storage.Logbook;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Logbook;

/// <summary>A part of the logbook.</summary>
/// <param name="Entries">Its entries, newest first.</param>
/// <param name="Before">The number to ask on from; null where there is nothing before.</param>
/// <param name="People">Who made changes on the vehicle.</param>
public sealed record LogPage(IReadOnlyList<LogEntry> Entries, long? Before, IReadOnlyList<string> People);

/// <summary>What was done, and what is due.</summary>
internal static class LogbookEndpoints
{
    /// <summary>So many entries come at once.</summary>
    private const int MostEntries = 60;

    public static void MapLogbook(WebApplication app)
    {
        RouteGroupBuilder vehicle = app.MapVehicle("logbook");
        vehicle
            .MapGet(
                "/log",
                (
                    string vehicleId,
                    long? before,
                    bool? steps,
                    string? by,
                    string? text,
                    string? record,
                    OfVehicle of,
                    History history,
                    TimeProvider clock
                ) =>
                {
                    var filter = new LogFilter(before, steps == true, by, text, record);
                    IReadOnlyList<KeptChange> kept = history.Kept(vehicleId, filter, MostEntries + 1);
                    return new LogPage(
                        LogOfVehicle.Of(of.Snapshot, [.. kept.Take(MostEntries)], clock.GetUtcNow()),
                        kept.Count > MostEntries ? kept[MostEntries - 1].Seq : null,
                        history.People(vehicleId)
                    );
                }
            )
            .WithMetadata(ByTheMinute.Answers)
            .WithName("log");
        vehicle.MapGet("/as-built", (OfVehicle of) => AsBuilt.Of(of.Snapshot)).WithName("as-built");
        vehicle
            .MapGet("/upkeep", (OfVehicle of, TimeProvider clock) => UpkeepOfVehicle.Of(of.Snapshot, clock.GetUtcNow()))
            .WithMetadata(ByTheMinute.Answers)
            .WithName("upkeep");
        vehicle
            .MapGet("/upkeep/calendar.ics", (OfVehicle of, TimeProvider clock) =>
                TypedResults.File(
                    Encoding.UTF8.GetBytes(
                        UpkeepCalendar.Write(UpkeepOfVehicle.Of(of.Snapshot, clock.GetUtcNow()), of.Snapshot.Vehicle.Value.Name, clock.GetUtcNow())
                    ),
                    "text/calendar",
                    "upkeep.ics"
                )
            )
            .WithMetadata(ByTheMinute.Answers)
            .WithName("upkeep-calendar");
        vehicle
            .MapGet("/dossier.pdf", (OfVehicle of, DataFolder folder, Named<Paper>? paper, TimeProvider clock, CancellationToken stop) =>
            {
                Dossier dossier = Dossier.Of(of.Snapshot, clock.GetUtcNow());
                return TypedResults.File(
                    DossierPdf.Write(dossier, folder.Photos.Find, paper?.Value ?? Paper.A4, stop),
                    "application/pdf",
                    FileNames.Plain(dossier.Vehicle, "vehicle") + "-dossier.pdf"
                );
            })
            .WithMetadata(ByTheMinute.Answers)
            .WithName("dossier");
        vehicle.MapPost("/upkeep/done", Do).Validate<UpkeepDone>().WithName("upkeep-do");
        vehicle
            .MapPost(
                "/upkeep/own",
                Results<Ok<Stored<OwnUpkeep>>, ProblemHttpResult> (string vehicleId, OwnUpkeep value, HttpContext context, OwnUpkeepStore store) =>
                    RecordEndpoints.Answer(context, store.Add(vehicleId, value))
            )
            .Validate<OwnUpkeep>()
            .WithName("own-upkeep-add");
        vehicle
            .MapGroup("/upkeep/own/{id}")
            .MapRecord<OwnUpkeep, OwnUpkeepStore>(
                "own-upkeep",
                (context, store, id) => ShellEndpoints.Owned(context, store.Find(id)),
                (_, _, _) => null
            );
    }

    private static Results<Ok<Stored<UpkeepDone>>, ProblemHttpResult> Do(
        string vehicleId,
        UpkeepDone value,
        OfVehicle of,
        UpkeepDoneStore store,
        HttpContext context,
        TimeProvider clock
    ) =>
        UpkeepOfVehicle.Do(of.Snapshot, value, clock.GetUtcNow()).IsOk(out UpkeepChange? change, out Problem? problem)
            ? RecordEndpoints.Answer(context, store.Do(vehicleId, change))
            : Problems.Of(problem);
}
