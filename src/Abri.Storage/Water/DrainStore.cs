using Abri.Core.Geometry;
using Abri.Core.Water;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Water;

/// <summary>Keeps the register of drains.</summary>
public sealed class DrainStore(Database database, PanelStore panels) : Store<Drain>(database, "drain", "panel_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Drain value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["place"] = Storage.Columns.Json(value.Place),
            ["cleared_at"] = Storage.Columns.MaybeTime(value.ClearedAt),
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override Drain Read(SqliteDataReader row) =>
        new(row.Text("name"), row.Json<PanelPoint>("place"), row.MaybeTime("cleared_at"), row.Text("notes"));

    /// <inheritdoc/>
    protected override string Title(Drain value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;
}
