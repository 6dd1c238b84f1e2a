using Abri.Core.Geometry;
using Abri.Core.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Shell;

/// <summary>Keeps vehicles; removing one removes its panels, members, openings and zones, and can be undone.</summary>
public sealed class VehicleStore(Database database) : Store<Vehicle>(database, "vehicle", null)
{
    /// <summary>Tables of rows that belong to a vehicle itself, besides its panels.</summary>
    private static readonly string[] OnVehicle =
    [
        "leak_prior",
        "zone",
        "sheet",
        "stock_board",
        "forecast",
        "person",
        "own_task",
        "plan",
        "step_done",
        "upkeep_done",
        "own_upkeep",
        "load_item",
        "weighing",
        "stock_item",
        "borrowed_tool",
    ];

    /// <summary>Scope of changes to the list of vehicles itself.</summary>
    public const string ListScope = "vehicles";

    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Vehicle value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["kind"] = Storage.Columns.Name(value.Kind),
            ["year"] = value.Year,
            ["notes"] = value.Notes,
            ["units"] = Storage.Columns.Name(value.Units),
            ["inch_denominator"] = value.InchDenominator,
            ["schools"] = Storage.Columns.Json(value.Schools),
            ["marker_offset_mm"] = value.MarkerOffsetMm,
            ["time_zone"] = value.TimeZone,
            ["place"] = Storage.Columns.MaybeJson(value.Place),
            ["masses"] = Storage.Columns.MaybeJson(value.Masses),
            ["attitude"] = Storage.Columns.MaybeJson(value.Attitude),
            ["care"] = Storage.Columns.MaybeJson(value.Care),
        };

    /// <inheritdoc/>
    protected override Vehicle Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Enum<VehicleKind>("kind"),
            row.IsDBNull(row.GetOrdinal("year")) ? null : row.Int("year"),
            row.Text("notes"),
            row.Enum<UnitSystem>("units"),
            row.Int("inch_denominator"),
            row.Json<Schools>("schools"),
            row.Real("marker_offset_mm"),
            row.Text("time_zone"),
            row.MaybeJson<Place>("place"),
            row.MaybeJson<Masses>("masses"),
            row.MaybeJson<Attitude>("attitude"),
            row.MaybeJson<CutCare>("care")
        );

    /// <inheritdoc/>
    protected override string Title(Vehicle value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => id;

    /// <inheritdoc/>
    protected override string ListingScope(string? ownerId, string id) => ListScope;

    private protected override void RemoveOwned(PendingChange pending, string id)
    {
        foreach (string panel in pending.Ids("panel", "vehicle_id", id))
        {
            PanelStore.RemoveContents(pending, panel);
            pending.Delete("panel", panel);
        }
        foreach (string table in OnVehicle)
        {
            foreach (string row in pending.Ids(table, "vehicle_id", id))
                pending.Delete(table, row);
        }
    }
}
