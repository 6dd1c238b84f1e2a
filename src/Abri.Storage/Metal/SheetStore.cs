using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Metal;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Metal;

/// <summary>Keeps the sheets and offcuts of vehicles.</summary>
public sealed class SheetStore(Database database) : Store<StockSheet>(database, "sheet", "vehicle_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(StockSheet value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["metal"] = Storage.Columns.Name(value.Metal),
            ["thick_mm"] = value.ThickMm,
            ["outline"] = Storage.Columns.Json(value.Outline),
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override StockSheet Read(SqliteDataReader row) =>
        new(row.Text("name"), row.Enum<SheetMetal>("metal"), row.Real("thick_mm"), row.Json<PanelPoint[]>("outline"), row.Text("notes"));

    /// <summary>Sheets become their offcuts, and the blanks of repairs are cut: one change.</summary>
    /// <param name="vehicleId">The vehicle.</param>
    /// <param name="cut">Sheets that are cut into, as they were seen.</param>
    /// <param name="offcuts">What is left of them.</param>
    /// <param name="repairIds">Repairs whose blanks are cut.</param>
    /// <returns>Whether it was done, or a sheet is another one by now.</returns>
    public WriteState Cut(string vehicleId, IReadOnlyList<Stored<StockSheet>> cut, IReadOnlyList<StockSheet> offcuts, IReadOnlyList<string> repairIds)
    {
        using PendingChange pending = Database.Begin();
        if (cut.Any(s => pending.Version("sheet", s.Id) != s.Version))
            return WriteState.Stale;
        foreach (Stored<StockSheet> sheet in cut)
            pending.Delete("sheet", sheet.Id);
        foreach (StockSheet offcut in offcuts)
            Insert(pending, vehicleId, offcut);
        foreach (string repair in repairIds)
            pending.Update("repair", repair, new Dictionary<string, object?> { ["blank_cut"] = true });
        pending.Commit(
            vehicleId,
            $"Cut {repairIds.Count} {(repairIds.Count == 1 ? "blank" : "blanks")} from {string.Join(", ", cut.Select(s => s.Value.Name))}"
        );
        return WriteState.Done;
    }

    /// <inheritdoc/>
    protected override string Title(StockSheet value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
