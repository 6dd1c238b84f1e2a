using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Floor;

/// <summary>Keeps the places where wood was probed.</summary>
public sealed class ProbeStore(Database database, PanelStore panels) : Store<Probe>(database, "probe", "panel_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Probe value) =>
        new Dictionary<string, object?>
        {
            ["probe_of"] = Storage.Columns.Name(value.Of),
            ["place"] = Storage.Columns.Json(value.At),
            ["wood"] = Storage.Columns.Name(value.Wood),
            ["moisture_percent"] = value.MoisturePercent,
            ["taken_at"] = Storage.Columns.MaybeTime(value.TakenAt),
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override Probe Read(SqliteDataReader row) =>
        new(
            row.Enum<ProbeOf>("probe_of"),
            row.Json<PanelPoint>("place"),
            row.Enum<WoodState>("wood"),
            row.MaybeReal("moisture_percent"),
            row.MaybeTime("taken_at")!.Value,
            row.Text("notes")
        );

    /// <inheritdoc/>
    protected override string Title(Probe value) => $"a probe, {Storage.Columns.Name(value.Wood)}";

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;
}
