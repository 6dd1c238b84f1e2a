using Abri.Core.Stages;
using Abri.Core.Stores;
using Abri.Core.Work;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Stores;

/// <summary>Keeps what is there to work with.</summary>
public sealed class StockStore(Database database) : Store<StockItem>(database, "stock_item", "vehicle_id")
{
    /// <summary>Takes off what a step uses, in its change; false where somebody changed the stock meanwhile.</summary>
    internal bool Take(PendingChange pending, string vehicleId, StockTaken? taken)
    {
        if (!(taken?.Rows ?? []).All(row => Follow(pending, row)))
            return false;
        foreach (StockItem opened in taken?.Opened ?? [])
            Insert(pending, vehicleId, opened);
        return true;
    }

    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(StockItem value) =>
        new Dictionary<string, object?>
        {
            ["material_id"] = value.MaterialId,
            ["name"] = value.Name,
            ["kind"] = Storage.Columns.Name(value.Kind),
            ["unit"] = Storage.Columns.Name(value.Unit),
            ["pack"] = value.Pack,
            ["amount"] = value.Amount,
            ["place"] = value.Place,
            ["bought_on"] = Storage.Columns.MaybeDate(value.BoughtOn),
            ["expires_on"] = Storage.Columns.MaybeDate(value.ExpiresOn),
            ["opened_on"] = Storage.Columns.MaybeDate(value.OpenedOn),
            ["batch"] = value.Batch,
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override StockItem Read(SqliteDataReader row) =>
        new(
            row.Text("material_id"),
            row.Text("name"),
            row.Enum<MaterialKind>("kind"),
            row.Enum<Unit>("unit"),
            row.MaybeReal("pack"),
            row.Real("amount"),
            row.Text("place"),
            row.MaybeDate("bought_on"),
            row.MaybeDate("expires_on"),
            row.MaybeDate("opened_on"),
            row.Text("batch"),
            row.Text("notes")
        );

    /// <inheritdoc/>
    protected override string Title(StockItem value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
