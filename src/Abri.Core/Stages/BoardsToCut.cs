using Abri.Core.Floor;
using Abri.Core.Linings;
using Abri.Core.Record;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>What a piece of board is for.</summary>
public enum BoardFor
{
    /// <summary>For a replacement of bad wood.</summary>
    Replacement,

    /// <summary>For a lining.</summary>
    Lining,
}

/// <summary>A piece of board that is still to be cut.</summary>
/// <param name="For">What it is for.</param>
/// <param name="OwnerId">Id of the replacement or the lining.</param>
/// <param name="Name">What it is called on the sheets.</param>
public sealed record BoardPiece(BoardFor For, string OwnerId, string Name);

/// <summary>All pieces of one material and one thickness, laid out on what is there and what is bought.</summary>
/// <param name="Material">The material.</param>
/// <param name="ThickMm">Thickness, mm.</param>
/// <param name="Pieces">The pieces, in the order in which the plan numbers them.</param>
/// <param name="Stock">The sheets, in the order in which the plan numbers them.</param>
/// <param name="StockIds">Ids of the boards that are there; one fewer than <paramref name="Stock"/>, as the last is bought.</param>
/// <param name="Later">Pieces that are laid out once these are cut: so many at once are enough.</param>
/// <param name="Plan">Where each piece lies, and how it is cut.</param>
public sealed record BoardGroup(
    BoardMaterial Material,
    double ThickMm,
    IReadOnlyList<BoardPiece> Pieces,
    IReadOnlyList<CutStock> Stock,
    IReadOnlyList<string> StockIds,
    int Later,
    Worked<CutPlan> Plan
)
{
    private const string OffcutOf = "Offcut of ";

    /// <summary>What is left of its sheets once the pieces are cut, to be kept.</summary>
    public IReadOnlyList<StockBoard> Offcuts() =>
        [
            .. Plan.Result.Sheets.SelectMany(s =>
                s.Offcuts.Select(r =>
                {
                    string from = Stock[s.Stock].Name;
                    string name = from.StartsWith(OffcutOf, StringComparison.Ordinal) ? from : OffcutOf + from.ToLowerInvariant();
                    return new StockBoard(name, Material, ThickMm, r.LengthMm, r.WidthMm, 1, "");
                })
            ),
        ];
}

/// <summary>Something whose boards are not laid out yet.</summary>
/// <param name="For">What it is.</param>
/// <param name="OwnerId">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="Why">What has to be mended first.</param>
public sealed record BoardsNotReady(BoardFor For, string OwnerId, string Name, string Why);

/// <summary>The boards of a vehicle that are there, and what is still to be cut from them and from what is bought.</summary>
/// <param name="Stock">Boards and offcuts that are there; their owner is the vehicle.</param>
/// <param name="Groups">The pieces that replacements and linings still need, by material and thickness.</param>
/// <param name="NotReady">What the rules block.</param>
/// <param name="KerfMm">What the saw takes, mm.</param>
public sealed record BoardsToCut(
    IReadOnlyList<Stored<StockBoard>> Stock,
    IReadOnlyList<BoardGroup> Groups,
    IReadOnlyList<BoardsNotReady> NotReady,
    double KerfMm
)
{
    /// <summary>Two thicknesses that differ by less are one, mm.</summary>
    private const double AlikeMm = 0.25;

    /// <summary>Pieces and sheets that are laid out at once: what <see cref="CutQuestion"/> takes, one place left for what is bought.</summary>
    private const int MostPieces = 60,
        MostStock = 11;

    private sealed record Wanted(BoardPiece Piece, CutPiece Size, NewSheet Sheet);

    /// <summary>The boards, with the pieces laid out.</summary>
    /// <param name="of">The vehicle.</param>
    /// <param name="kerfMm">What the saw takes, mm.</param>
    /// <param name="car">What can be carried home; null where whole sheets can.</param>
    /// <param name="stop">Stops the search.</param>
    public static BoardsToCut Of(VehicleSnapshot of, double kerfMm, CarryHome? car, CancellationToken stop = default)
    {
        List<BoardsNotReady> notReady = [];
        Wanted[] wanted = [.. Replacements(of, notReady), .. Linings(of, notReady)];
        return new BoardsToCut(
            of.Floor.Stock,
            [
                .. wanted
                    .GroupBy(w => (w.Sheet.Material, Thick: Math.Round(w.Sheet.ThickMm / AlikeMm) * AlikeMm))
                    .OrderBy(g => g.Key.Material)
                    .ThenBy(g => g.Key.Thick)
                    .Select(g => Group(of, g.Key.Material, g.First().Sheet.ThickMm, [.. g], kerfMm, car, stop)),
            ],
            notReady,
            kerfMm
        );
    }

    private static IEnumerable<Wanted> Replacements(VehicleSnapshot of, List<BoardsNotReady> notReady)
    {
        foreach (Stored<Replacement> row in of.Floor.Replacements.Where(r => r.Value is { State: not ReplacementState.Done, BoardsCut: false }))
        {
            ReplacementPlan? plan = FloorReplacement.Of(FloorOfVehicle.Site(of, of.PanelOf(row)), row.Value).Value?.Result;
            if (Blocked(plan?.Rows) is { } why)
            {
                notReady.Add(new BoardsNotReady(BoardFor.Replacement, row.Id, row.Value.Name, why));
                continue;
            }
            foreach (FloorPiece piece in plan!.Pieces)
                yield return Of(
                    BoardFor.Replacement,
                    row.Id,
                    row.Value.Name,
                    piece.Name,
                    piece.LengthMm,
                    piece.WidthMm,
                    piece.Grain,
                    row.Value.Sheet
                );
        }
    }

    private static IEnumerable<Wanted> Linings(VehicleSnapshot of, List<BoardsNotReady> notReady)
    {
        foreach (Stored<Lining> row in of.Floor.Linings.Where(l => l.Value.State == LiningState.Planned))
        {
            LiningPlan? plan = LiningHoles.Of(LiningsOfVehicle.Site(of, of.PanelOf(row)), row.Value).Value?.Result;
            if (Blocked(plan?.Rows) is { } why)
            {
                notReady.Add(new BoardsNotReady(BoardFor.Lining, row.Id, row.Value.Name, why));
                continue;
            }
            foreach (LiningBoard board in plan!.Boards)
                yield return Of(BoardFor.Lining, row.Id, row.Value.Name, board.Name, board.LengthMm, board.WidthMm, row.Value.Grain, row.Value.Sheet);
        }
    }

    private static Wanted Of(BoardFor what, string ownerId, string owner, string name, double along, double across, Grain grain, NewSheet sheet)
    {
        string full = name.StartsWith(owner, StringComparison.Ordinal) ? name : $"{owner}: {name}";
        return new Wanted(
            new BoardPiece(what, ownerId, full),
            grain == Grain.Lengthways ? new CutPiece(full, along, across) : new CutPiece(full, across, along),
            sheet
        );
    }

    /// <summary>Why boards must not be cut yet, or null.</summary>
    private static string? Blocked(IReadOnlyList<Judgement>? rows) =>
        rows is null ? "It lies off its panel now, or does not bend: draw it again."
        : rows.FirstOrDefault(r => r.State == JudgementState.Blocked) is { } row ? $"{row.Title}: {row.Remedy}"
        : null;

    private static BoardGroup Group(
        VehicleSnapshot of,
        BoardMaterial material,
        double thickMm,
        Wanted[] all,
        double kerfMm,
        CarryHome? car,
        CancellationToken stop
    )
    {
        // A job's pieces lie in one plan: those of the last one wait with it.
        int most = 0;
        foreach (IGrouping<string, Wanted> job in all.GroupBy(w => w.Piece.OwnerId).TakeWhile(job => most + job.Count() <= MostPieces))
            most += job.Count();
        Wanted[] now = [.. all.Take(most == 0 ? MostPieces : most)];
        // Offcuts first, where there are more than are looked at.
        Stored<StockBoard>[] there =
        [
            .. of
                .Floor.Stock.Where(s => s.Value.Material == material && Math.Abs(s.Value.ThickMm - thickMm) < AlikeMm)
                .OrderBy(s => s.Value.LengthMm * s.Value.WidthMm)
                .Take(MostStock),
        ];
        NewSheet bought = all.Select(w => w.Sheet).MaxBy(s => s.LengthMm * s.WidthMm)!;
        CutStock[] stock =
        [
            .. there.Select(s => new CutStock(s.Value.Name, s.Value.LengthMm, s.Value.WidthMm, s.Value.Count)),
            new CutStock("New sheet", bought.LengthMm, bought.WidthMm, null),
        ];
        // Sizes lie within what a piece may measure: a board is no longer than its sheet.
        Worked<CutPlan> plan = BoardCuts.Of(new CutQuestion([.. now.Select(w => w.Size)], stock, kerfMm, car), stop).Value!;
        return new BoardGroup(material, thickMm, [.. now.Select(w => w.Piece)], stock, [.. there.Select(s => s.Id)], all.Length - now.Length, plan);
    }
}
