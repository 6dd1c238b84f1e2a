using Abri.Core;
using Abri.Core.Floor;
using Abri.Core.Linings;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Floor;

/// <summary>Keeps the boards and offcuts of vehicles.</summary>
public sealed class StockBoardStore(Database database) : Store<StockBoard>(database, "stock_board", "vehicle_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(StockBoard value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["material"] = Storage.Columns.Name(value.Material),
            ["thick_mm"] = value.ThickMm,
            ["length_mm"] = value.LengthMm,
            ["width_mm"] = value.WidthMm,
            ["count"] = value.Count,
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override StockBoard Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Enum<BoardMaterial>("material"),
            row.Real("thick_mm"),
            row.Real("length_mm"),
            row.Real("width_mm"),
            row.Int("count"),
            row.Text("notes")
        );

    /// <summary>Boards become their offcuts, and those of replacements and linings are sawn: one change.</summary>
    /// <param name="vehicleId">The vehicle.</param>
    /// <param name="cut">Boards that are cut into, as they were seen, each with how many of them.</param>
    /// <param name="offcuts">What is left of them, and of what was bought.</param>
    /// <param name="replacementIds">Replacements whose boards are sawn.</param>
    /// <param name="liningIds">Linings whose boards are sawn.</param>
    /// <returns>Whether it was done, or a board is another one by now.</returns>
    public WriteState Cut(
        string vehicleId,
        IReadOnlyList<(Stored<StockBoard> Board, int Count)> cut,
        IReadOnlyList<StockBoard> offcuts,
        IReadOnlyList<string> replacementIds,
        IReadOnlyList<string> liningIds
    )
    {
        using PendingChange pending = Database.Begin();
        if (cut.Any(c => pending.Version("stock_board", c.Board.Id) != c.Board.Version))
            return WriteState.Stale;
        foreach ((Stored<StockBoard> board, int count) in cut)
        {
            if (count >= board.Value.Count)
                pending.Delete("stock_board", board.Id);
            else
                pending.Update("stock_board", board.Id, new Dictionary<string, object?> { ["count"] = board.Value.Count - count });
        }
        foreach (StockBoard offcut in offcuts)
            Insert(pending, vehicleId, offcut);
        foreach (string id in replacementIds)
            pending.Update("replacement", id, new Dictionary<string, object?> { ["boards_cut"] = true });
        foreach (string id in liningIds)
            pending.Update("lining", id, new Dictionary<string, object?> { ["state"] = Storage.Columns.Name(LiningState.Cut) });
        int jobs = replacementIds.Count + liningIds.Count;
        pending.Commit(vehicleId, $"Cut the boards of {jobs} {(jobs == 1 ? "job" : "jobs")}");
        return WriteState.Done;
    }

    /// <inheritdoc/>
    protected override string Title(StockBoard value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
