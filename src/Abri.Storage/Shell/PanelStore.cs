using Abri.Core.Geometry;
using Abri.Core.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Shell;

/// <summary>Keeps the panels of vehicles.</summary>
public sealed class PanelStore(Database database) : Store<Panel>(database, "panel", "vehicle_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Panel value) => new Dictionary<string, object?>
    {
        ["kind"] = Storage.Columns.Name(value.Kind),
        ["outline"] = Storage.Columns.Json(value.Outline),
        ["skin_mm"] = value.SkinMm,
        ["material"] = Storage.Columns.Name(value.Material),
        ["arc_radius_along_mm"] = value.ArcRadiusAlongMm,
        ["arc_radius_across_mm"] = value.ArcRadiusAcrossMm,
    };

    /// <inheritdoc/>
    protected override Panel Read(SqliteDataReader row) => new(
        row.Enum<PanelKind>("kind"), row.Json<PanelPoint[]>("outline"), row.Real("skin_mm"), row.Enum<SkinMaterial>("material"),
        row.MaybeReal("arc_radius_along_mm"), row.MaybeReal("arc_radius_across_mm"));

    /// <inheritdoc/>
    protected override string Title(Panel value) => "the " + Storage.Columns.Name(value.Kind);

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;

    private protected override void RemoveOwned(Work work, string id) => RemoveContents(work, id);

    internal static void RemoveContents(Work work, string panelId)
    {
        foreach (string opening in work.Ids("opening", "panel_id", panelId)) work.Delete("opening", opening);
        foreach (string member in work.Ids("member", "panel_id", panelId)) work.Delete("member", member);
    }
}
