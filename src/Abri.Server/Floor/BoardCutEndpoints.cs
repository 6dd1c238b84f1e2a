using System.Text;
using Abri.Core;
using Abri.Core.Declared;
using Abri.Core.Floor;
using Abri.Core.Stages;
using Abri.Exchange;
using Abri.Exchange.Pdf;
using Abri.Server.Api;
using Abri.Server.Shell;
using Abri.Storage;
using Abri.Storage.Floor;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Abri.Server.Floor;

/// <summary>That the boards of a plan are sawn now.</summary>
/// <param name="Material">Of which material.</param>
/// <param name="ThickMm">Of which thickness, mm.</param>
/// <param name="KerfMm">What the saw takes, mm.</param>
/// <param name="OwnerIds">Replacements and linings whose boards lie on sheets in the plan that was seen.</param>
/// <param name="Car">What could be carried home; null where whole sheets could.</param>
public sealed record BoardsSawn(
    BoardMaterial Material,
    [Within(2, 60, "The board", "mm")] double ThickMm,
    [Within(0, 20, "The kerf", "mm")] double KerfMm,
    [Count(1, 60, "From 1 to 60 jobs are sawn at once.")] IReadOnlyList<string> OwnerIds,
    CarryHome? Car = null
);

/// <summary>How boards are cut.</summary>
/// <param name="KerfMm">What the saw takes, mm.</param>
/// <param name="CarLengthMm">Longest that can be carried home, mm; null where whole sheets can.</param>
/// <param name="CarWidthMm">Widest that can be carried home, mm; null where whole sheets can.</param>
internal sealed record CutWishes(
    [FromQuery(Name = "kerfMm")] double? KerfMm,
    [FromQuery(Name = "carLengthMm")] double? CarLengthMm,
    [FromQuery(Name = "carWidthMm")] double? CarWidthMm
)
{
    private static readonly CutPiece AnyPiece = new("Piece", 100, 100);

    /// <summary>The plan of a vehicle, or what is wrong with the wishes.</summary>
    public Result<BoardsToCut> Of(OfVehicle of, CancellationToken stop)
    {
        if (CarLengthMm is null != CarWidthMm is null)
            return new Problem(
                "car-half-told",
                CarLengthMm is null ? "/carLengthMm" : "/carWidthMm",
                "Give both what length and what width fits in the car."
            );
        CarryHome? car = CarLengthMm is { } length && CarWidthMm is { } width ? new CarryHome(length, width) : null;
        // The same ranges as the question itself has.
        if (DeclaredRanges.Of(new CutQuestion([AnyPiece], [], KerfMm ?? CutQuestion.UsualKerfMm, car)) is { } problem)
            return problem with
            {
                Pointer = problem
                    .Pointer.Replace("/car/length", "/carLength", StringComparison.Ordinal)
                    .Replace("/car/width", "/carWidth", StringComparison.Ordinal),
            };
        return BoardsToCut.Of(of.Snapshot, KerfMm ?? CutQuestion.UsualKerfMm, car, stop);
    }
}

/// <summary>Boards of a vehicle that are there, and what is cut from them.</summary>
internal static class BoardCutEndpoints
{
    public static void MapBoardCuts(this RouteGroupBuilder vehicle)
    {
        vehicle
            .MapGet(
                "/board-cuts",
                Results<Ok<BoardsToCut>, ProblemHttpResult> ([AsParameters] CutWishes wishes, OfVehicle of, CancellationToken stop) =>
                    wishes.Of(of, stop).IsOk(out BoardsToCut? boards, out Problem? problem) ? TypedResults.Ok(boards) : Problems.Of(problem)
            )
            .WithName("vehicle-board-cuts");
        vehicle
            .MapGet("/board-cuts.pdf", ([AsParameters] CutWishes wishes, OfVehicle of, Named<Paper>? paper, CancellationToken stop) =>
                File(
                    wishes,
                    of,
                    "application/pdf",
                    "pdf",
                    boards => BoardCutsPdf.Write(of.Snapshot.Vehicle.Value.Name, boards, of.Snapshot.Lengths, paper?.Value ?? Paper.A4),
                    stop
                )
            )
            .WithName("board-cuts-pdf");
        vehicle
            .MapGet("/board-cuts.csv", ([AsParameters] CutWishes wishes, OfVehicle of, CancellationToken stop) =>
                File(wishes, of, "text/csv", "csv", boards => Encoding.UTF8.GetBytes(BoardCutsCsv.Write(boards)), stop)
            )
            .WithName("board-cuts-csv");
        vehicle
            .MapGet(
                "/board-cuts/{group:int}/{sheet:int}.dxf",
                (int group, int sheet, [AsParameters] CutWishes wishes, OfVehicle of, CancellationToken stop) =>
                    File(wishes, of, "image/vnd.dxf", $"{group}-{sheet}-mm.dxf", boards => Dxf(boards, group, sheet), stop)
            )
            .WithName("board-cuts-dxf");
        vehicle
            .MapPost(
                "/stock-boards",
                Results<Ok<Stored<StockBoard>>, ProblemHttpResult> (string vehicleId, StockBoard value, HttpContext context, StockBoardStore store) =>
                    RecordEndpoints.Answer(context, store.Add(vehicleId, value))
            )
            .Validate<StockBoard>()
            .WithName("stock-board-add");
        vehicle
            .MapGroup("/stock-boards/{id}")
            .MapRecord<StockBoard, StockBoardStore>(
                "stock-board",
                (context, store, id) => ShellEndpoints.Owned(context, store.Find(id)),
                (_, _, _) => null
            );
        vehicle.MapPost("/board-cuts/sawn", Sawn).Validate<BoardsSawn>().WithName("boards-sawn");
    }

    private static IResult File(CutWishes wishes, OfVehicle of, string type, string ending, Func<BoardsToCut, byte[]?> write, CancellationToken stop)
    {
        if (!wishes.Of(of, stop).IsOk(out BoardsToCut? boards, out Problem? problem))
            return Problems.Of(problem);
        string name = $"{FileNames.Plain(of.Snapshot.Vehicle.Value.Name, "vehicle")}-cut-plan";
        return write(boards) is { } bytes
            ? TypedResults.File(bytes, type, ending.Contains('.', StringComparison.Ordinal) ? $"{name}-{ending}" : $"{name}.{ending}")
            : Problems.NotFound("The plan has no such sheet any more.");
    }

    private static byte[]? Dxf(BoardsToCut boards, int group, int sheet)
    {
        if (group < 1 || group > boards.Groups.Count || sheet < 1 || sheet > boards.Groups[group - 1].Plan.Result.Sheets.Count)
            return null;
        BoardGroup of = boards.Groups[group - 1];
        CutSheet drawn = of.Plan.Result.Sheets[sheet - 1];
        return Encoding.UTF8.GetBytes(DrawingDxf.Write(CutSheetDrawing.Of($"{of.Material.Name()}, sheet {sheet}", of.Stock[drawn.Stock], drawn)));
    }

    /// <summary>Saws what the plan says, if it is still the plan that was seen.</summary>
    private static Results<NoContent, ProblemHttpResult> Sawn(
        string vehicleId,
        BoardsSawn value,
        OfVehicle of,
        StockBoardStore store,
        CancellationToken stop
    )
    {
        var boards = BoardsToCut.Of(of.Snapshot, value.KerfMm, value.Car, stop);
        BoardGroup? group = boards.Groups.FirstOrDefault(g => g.Material == value.Material && Math.Abs(g.ThickMm - value.ThickMm) < 1e-6);
        CutPlan? plan = group?.Plan.Result;
        BoardPiece[] lie = [.. (plan?.Sheets ?? []).SelectMany(s => s.Places).Select(p => group!.Pieces[p.Piece])];
        if (group is null || !lie.Select(p => p.OwnerId).ToHashSet().SetEquals(value.OwnerIds))
            return Problems.Of(new Problem("plan-changed", "/ownerIds", "The plan has changed: look at it again before you saw."));
        HashSet<string> left = [.. plan!.Left.Select(i => group.Pieces[i].OwnerId)];
        if (lie.FirstOrDefault(p => left.Contains(p.OwnerId)) is { } part)
            return Problems.Of(
                new Problem("piece-without-room", "/ownerIds", $"A piece of {part.Name} found no room: take a larger sheet, or saw it by itself.")
            );
        (Stored<StockBoard>, int)[] cut =
        [
            .. plan
                .Sheets.Where(s => s.Stock < group.StockIds.Count)
                .GroupBy(s => s.Stock)
                .Select(g => (boards.Stock.Single(b => b.Id == group.StockIds[g.Key]), g.Count())),
        ];
        string[] Owners(BoardFor what) => [.. lie.Where(p => p.For == what).Select(p => p.OwnerId).Distinct()];
        return store.Cut(vehicleId, cut, group.Offcuts(), Owners(BoardFor.Replacement), Owners(BoardFor.Lining)) == WriteState.Done
            ? TypedResults.NoContent()
            : Problems.Of(new Problem("plan-changed", "/ownerIds", "A board has changed: look at the plan again before you saw."));
    }
}
