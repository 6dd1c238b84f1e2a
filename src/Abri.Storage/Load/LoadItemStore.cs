using Abri.Core.Load;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Load;

/// <summary>Keeps what a vehicle carries.</summary>
public sealed class LoadItemStore(Database database) : Store<LoadItem>(database, "load_item", "vehicle_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(LoadItem value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["kind"] = Storage.Columns.Name(value.Kind),
            ["kg"] = value.Kg,
            ["place"] = Storage.Columns.Json(value.At),
            ["travel_percent"] = value.TravelPercent,
            ["taken_out"] = value.TakenOut,
            ["is_in"] = value.IsIn,
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override LoadItem Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Enum<LoadKind>("kind"),
            row.Real("kg"),
            row.Json<LoadPlace>("place"),
            row.Real("travel_percent"),
            row.Int("taken_out") != 0,
            row.Int("is_in") != 0,
            row.Text("notes")
        );

    /// <inheritdoc/>
    protected override string Title(LoadItem value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
