using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Floor;

/// <summary>Keeps the linings of panels.</summary>
public sealed class LiningStore(Database database, PanelStore panels) : Store<Lining>(database, "lining", "panel_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Lining value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["outline"] = Storage.Columns.Json(value.Outline),
            ["sheet"] = Storage.Columns.Json(value.Sheet),
            ["grain"] = Storage.Columns.Name(value.Grain),
            ["gap_mm"] = value.GapMm,
            ["lies"] = Storage.Columns.Name(value.Lies),
            ["undersize_mm"] = value.UndersizeMm,
            ["state"] = Storage.Columns.Name(value.State),
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override Lining Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Json<PanelPoint[]>("outline"),
            row.Json<NewSheet>("sheet"),
            row.Enum<Grain>("grain"),
            row.Real("gap_mm"),
            row.Enum<LiningLies>("lies"),
            row.Real("undersize_mm"),
            row.Enum<LiningState>("state"),
            row.Text("notes")
        );

    /// <inheritdoc/>
    protected override string Title(Lining value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;
}
