using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Floor;

/// <summary>Keeps the boards of floors as they lie.</summary>
public sealed class BoardStore(Database database, PanelStore panels) : Store<Board>(database, "board", "panel_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Board value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["outline"] = Storage.Columns.Json(value.Outline),
            ["material"] = Storage.Columns.Name(value.Material),
            ["thick_mm"] = value.ThickMm,
            ["grain"] = Storage.Columns.Name(value.Grain),
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override Board Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Json<PanelPoint[]>("outline"),
            row.Enum<BoardMaterial>("material"),
            row.Real("thick_mm"),
            row.Enum<Grain>("grain"),
            row.Text("notes")
        );

    /// <inheritdoc/>
    protected override string Title(Board value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;
}
