using System.Text;
using Abri.Core;
using Abri.Core.Record;
using Abri.Core.Stages;
using Abri.Core.Stores;
using Abri.Exchange;
using Abri.Exchange.Pdf;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage.Stores;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Stores;

/// <summary>What is there to work with, and what is short.</summary>
internal static class StoresEndpoints
{
    public static void MapStores(WebApplication app)
    {
        RouteGroupBuilder vehicle = app.MapVehicle("stores");
        vehicle
            .MapGet("/stores", (OfVehicle of, TimeProvider clock) => StoresOfVehicle.Of(of.Snapshot, clock.GetUtcNow()))
            .WithMetadata(ByTheMinute.Answers)
            .WithName("stores");
        vehicle
            .MapGet("/stores/shopping.csv", (OfVehicle of, TimeProvider clock) =>
                TypedResults.File(
                    Encoding.UTF8.GetBytes(ShoppingCsv.Write(StoresOfVehicle.Of(of.Snapshot, clock.GetUtcNow()))),
                    "text/csv",
                    FileNames.Plain(of.Snapshot.Vehicle.Value.Name, "vehicle") + "-shopping.csv"
                )
            )
            .WithMetadata(ByTheMinute.Answers)
            .WithName("shopping-csv");
        vehicle
            .MapGet("/stores/shopping.pdf", (OfVehicle of, Named<Paper>? paper, TimeProvider clock) =>
                TypedResults.File(
                    ShoppingPdf.Write(StoresOfVehicle.Of(of.Snapshot, clock.GetUtcNow()), of.Snapshot.Vehicle.Value.Name, paper?.Value ?? Paper.A4),
                    "application/pdf",
                    FileNames.Plain(of.Snapshot.Vehicle.Value.Name, "vehicle") + "-shopping.pdf"
                )
            )
            .WithMetadata(ByTheMinute.Answers)
            .WithName("shopping-pdf");
        vehicle
            .MapPost(
                "/stores/stock",
                Results<Ok<Stored<StockItem>>, ProblemHttpResult> (
                    string vehicleId,
                    StockItem value,
                    OfVehicle of,
                    HttpContext context,
                    StockStore store,
                    TimeProvider clock
                ) =>
                    of.Snapshot.Stock.Count >= VehicleRecord.MostStock
                        ? Problems.Answer(422, "stock-many", $"At most {VehicleRecord.MostStock} things are in stock. Remove what is used up.")
                    : StoresOfVehicle.Check(value, clock.GetUtcNow()) is { } problem ? Problems.Of(problem)
                    : RecordEndpoints.Answer(context, store.Add(vehicleId, value))
            )
            .Validate<StockItem>()
            .WithName("stock-add");
        vehicle
            .MapPost(
                "/stores/borrowed",
                Results<Ok<Stored<BorrowedTool>>, ProblemHttpResult> (
                    string vehicleId,
                    BorrowedTool value,
                    HttpContext context,
                    BorrowedToolStore store
                ) => RecordEndpoints.Answer(context, store.Add(vehicleId, value))
            )
            .Validate<BorrowedTool>()
            .WithName("borrowed-add");
        vehicle
            .MapGroup("/stores/borrowed/{id}")
            .MapRecord<BorrowedTool, BorrowedToolStore>(
                "borrowed",
                (context, store, id) => ShellEndpoints.Owned(context, store.Find(id)),
                (_, _, _) => null
            );
        vehicle
            .MapGroup("/stores/stock/{id}")
            .MapRecord<StockItem, StockStore>(
                "stock",
                (context, store, id) => ShellEndpoints.Owned(context, store.Find(id)),
                (context, _, value) => StoresOfVehicle.Check(value, context.RequestServices.GetRequiredService<TimeProvider>().GetUtcNow())
            );
    }
}
