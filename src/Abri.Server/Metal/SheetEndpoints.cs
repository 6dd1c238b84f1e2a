using Abri.Core;
using Abri.Core.Declared;
using Abri.Core.Metal;
using Abri.Core.Stages;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage;
using Abri.Storage.Metal;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Metal;

/// <summary>That the pieces of a plan are cut now.</summary>
/// <param name="Metal">Of which metal.</param>
/// <param name="ThickMm">Of which thickness, mm.</param>
/// <param name="GapMm">Gap with which they were laid out, mm.</param>
/// <param name="RepairIds">Repairs whose pieces lie on sheets in the plan that was seen.</param>
public sealed record SheetsCut(
    SheetMetal Metal,
    [Within(0.3, 6, "The sheet", "mm")] double ThickMm,
    [Within(0.5, 50, "The gap", "mm")] double GapMm,
    [Count(1, 60, "From 1 to 60 blanks are cut at once.")] IReadOnlyList<string> RepairIds
);

/// <summary>Sheets and offcuts of a vehicle, and what is cut from them.</summary>
internal static class SheetEndpoints
{
    public static void MapSheets(this RouteGroupBuilder vehicle)
    {
        vehicle
            .MapGet("/sheets", Results<Ok<SheetsOfVehicle>, ProblemHttpResult> (double? gapMm, OfVehicle of, CancellationToken stop) =>
                gapMm is null or (>= 0.5 and <= 50)
                    ? TypedResults.Ok(SheetsOfVehicle.Of(of.Snapshot, gapMm ?? Nest.UsualGapMm, stop))
                    : Problems.Of(new Problem("out-of-range", "/gapMm", "The gap must lie between 0.5 and 50 mm."))
            )
            .WithName("vehicle-sheets");
        vehicle
            .MapPost(
                "/sheets",
                Results<Ok<Stored<StockSheet>>, ProblemHttpResult> (string vehicleId, StockSheet value, HttpContext context, SheetStore store) =>
                    StockSheet.Check(value) is { } problem ? Problems.Of(problem) : RecordEndpoints.Answer(context, store.Add(vehicleId, value))
            )
            .Validate<StockSheet>()
            .WithName("sheet-add");
        vehicle
            .MapGroup("/sheets/{id}")
            .MapRecord<StockSheet, SheetStore>(
                "sheet",
                (context, store, id) => ShellEndpoints.Owned(context, store.Find(id)),
                (_, _, value) => StockSheet.Check(value)
            );
        vehicle.MapPost("/sheets/cut", Cut).Validate<SheetsCut>().WithName("sheets-cut");
    }

    /// <summary>Cuts what the plan says, if it is still the plan that was seen.</summary>
    private static Results<NoContent, ProblemHttpResult> Cut(
        string vehicleId,
        SheetsCut value,
        OfVehicle of,
        SheetStore store,
        CancellationToken stop
    )
    {
        var sheets = SheetsOfVehicle.Of(of.Snapshot, value.GapMm, stop);
        SheetGroup? group = sheets.Groups.FirstOrDefault(g => g.Metal == value.Metal && Math.Abs(g.ThickMm - value.ThickMm) < 1e-6);
        string[] lie = [.. (group?.Plan.Result.Places ?? []).Select(p => group!.Pieces[p.Piece].RepairId).Distinct()];
        if (group is null || !lie.ToHashSet().SetEquals(value.RepairIds))
            return Problems.Of(new Problem("plan-changed", "/repairIds", "The plan has changed: look at it again before you cut."));
        HashSet<string> left = [.. group.Plan.Result.Left.Select(i => group.Pieces[i].RepairId)];
        if (lie.FirstOrDefault(left.Contains) is { } part)
            return Problems.Of(
                new Problem(
                    "piece-without-room",
                    "/repairIds",
                    $"A piece of {group.Pieces.First(p => p.RepairId == part).Name} found no room: add a sheet first, or cut it by itself."
                )
            );
        int[] used = [.. group.Plan.Result.Places.Select(p => p.Sheet).Distinct().Order()];
        Stored<StockSheet>[] cut = [.. used.Select(j => sheets.Sheets.Single(s => s.Id == group.SheetIds[j]))];
        return store.Cut(vehicleId, cut, sheets.OffcutsOf(group), lie) == WriteState.Done
            ? TypedResults.NoContent()
            : Problems.Of(new Problem("plan-changed", "/repairIds", "A sheet has changed: look at the plan again before you cut."));
    }
}
