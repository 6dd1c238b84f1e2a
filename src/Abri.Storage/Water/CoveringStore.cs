using Abri.Core.Geometry;
using Abri.Core.Water;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Water;

/// <summary>Keeps what was put on panels or into them.</summary>
public sealed class CoveringStore(Database database, PanelStore panels) : Store<Covering>(database, "covering", "panel_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Covering value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["kind"] = Storage.Columns.Name(value.Kind),
            ["area"] = Storage.Columns.Json(value.Area),
            ["sealed_at_bottom"] = value.SealedAtBottom,
            ["lap"] = Storage.Columns.Name(value.Lap),
            ["planned"] = value.Planned,
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override Covering Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Enum<CoveringKind>("kind"),
            row.Json<PanelBox>("area"),
            row.Int("sealed_at_bottom") == 1,
            row.Enum<Lap>("lap"),
            row.Int("planned") == 1,
            row.Text("notes")
        );

    /// <inheritdoc/>
    protected override string Title(Covering value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;
}
