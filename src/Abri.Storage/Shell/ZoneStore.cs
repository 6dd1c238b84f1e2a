using Abri.Core.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Shell;

/// <summary>Keeps the zones inside vehicles.</summary>
public sealed class ZoneStore(Database database) : Store<Zone>(database, "zone", "vehicle_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Zone value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["kind"] = Storage.Columns.Name(value.Kind),
            ["x_min_mm"] = value.XMinMm,
            ["x_max_mm"] = value.XMaxMm,
            ["y_min_mm"] = value.YMinMm,
            ["y_max_mm"] = value.YMaxMm,
            ["z_min_mm"] = value.ZMinMm,
            ["z_max_mm"] = value.ZMaxMm,
        };

    /// <inheritdoc/>
    protected override Zone Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Enum<ZoneKind>("kind"),
            row.Real("x_min_mm"),
            row.Real("x_max_mm"),
            row.Real("y_min_mm"),
            row.Real("y_max_mm"),
            row.Real("z_min_mm"),
            row.Real("z_max_mm")
        );

    /// <inheritdoc/>
    protected override string Title(Zone value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
