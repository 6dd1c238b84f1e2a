using Abri.Core;
using Abri.Core.Declared;
using Abri.Core.Load;
using Abri.Core.Record;
using Abri.Core.Stages;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage.Load;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Load;

/// <summary>Something that is not kept yet, to see what it would do.</summary>
/// <param name="Item">What it is.</param>
/// <param name="InsteadOf">Id of the row that it stands in for; null for one more.</param>
public sealed record WhatIf(LoadItem Item, [Name] string? InsteadOf);

/// <summary>A time on a weighbridge, to be kept.</summary>
/// <param name="On">When.</param>
/// <param name="State">With what it was weighed.</param>
/// <param name="Reading">What the bridge showed.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record NewWeighing([Dated] DateOnly On, LoadState State, WeighbridgeReading Reading, [Notes] string Notes);

/// <summary>What a vehicle carries and weighs.</summary>
internal static class LoadEndpoints
{
    public static void MapLoad(WebApplication app)
    {
        RouteGroupBuilder vehicle = app.MapVehicle("load");
        vehicle.MapGet("/load", (OfVehicle of) => LoadOfVehicle.Of(of.Snapshot)).WithName("load");
        vehicle
            .MapPost("/load/what-if", (WhatIf x, OfVehicle of) => TypedResults.Ok(LoadOfVehicle.Of(of.Snapshot, x.Item, x.InsteadOf)))
            .Validate<WhatIf>()
            .WithName("load-what-if");
        vehicle
            .MapPost(
                "/load/items",
                Results<Ok<Stored<LoadItem>>, ProblemHttpResult> (
                    string vehicleId,
                    LoadItem value,
                    OfVehicle of,
                    HttpContext context,
                    LoadItemStore store
                ) =>
                    of.Snapshot.Load.Items.Count >= LoadRecord.MostItems
                        ? Problems.Answer(
                            422,
                            "load-items-many",
                            $"A vehicle carries at most {LoadRecord.MostItems} things. Put small ones together."
                        )
                        : RecordEndpoints.Answer(context, store.Add(vehicleId, value))
            )
            .Validate<LoadItem>()
            .WithName("load-item-add");
        vehicle
            .MapGroup("/load/items/{id}")
            .MapRecord<LoadItem, LoadItemStore>(
                "load-item",
                (context, store, id) => ShellEndpoints.Owned(context, store.Find(id)),
                (_, _, _) => null
            );
        vehicle.MapPost("/load/weighings", AddWeighing).Validate<NewWeighing>().WithName("weighing-add");
        vehicle
            .MapGroup("/load/weighings/{id}")
            .MapRecord<Weighing, WeighingStore>(
                "weighing",
                (context, store, id) => ShellEndpoints.Owned(context, store.Find(id)),
                (_, row, value) =>
                    value.Aboard == row.Value.Aboard
                        ? null
                        : new Problem("weighing-aboard", "/aboard", "What was aboard is kept as it was then. Weigh again, and remove this one.")
            );
    }

    private static Results<Ok<Stored<Weighing>>, ProblemHttpResult> AddWeighing(
        string vehicleId,
        NewWeighing value,
        OfVehicle of,
        WeighingStore store,
        HttpContext context,
        TimeProvider clock
    )
    {
        var weighing = new Weighing(value.On, value.State, value.Reading, LoadOfVehicle.Aboard(of.Snapshot, value.State), value.Notes);
        return LoadOfVehicle.Check(of.Snapshot, weighing, clock.GetUtcNow()) is { } problem
            ? Problems.Of(problem)
            : RecordEndpoints.Answer(context, store.Add(vehicleId, weighing));
    }
}
