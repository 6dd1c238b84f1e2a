using Abri.Core.Geometry;
using Abri.Core.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Shell;

/// <summary>Keeps the panels of vehicles.</summary>
public sealed class PanelStore(Database database) : Store<Panel>(database, "panel", "vehicle_id")
{
    /// <summary>Tables whose rows belong to a panel, and that nothing else refers to: they go with it, and before what joints belong to.</summary>
    private static readonly string[] OnPanel =
    [
        "joint",
        "suspect",
        "observation",
        "seal_reading",
        "drain",
        "covering",
        "probe",
        "board",
        "replacement",
        "lining",
    ];

    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Panel value) =>
        new Dictionary<string, object?>
        {
            ["kind"] = Storage.Columns.Name(value.Kind),
            ["outline"] = Storage.Columns.Json(value.Outline),
            ["skin_mm"] = value.SkinMm,
            ["material"] = Storage.Columns.Name(value.Material),
            ["arc_radius_along_mm"] = value.ArcRadiusAlongMm,
            ["arc_radius_across_mm"] = value.ArcRadiusAcrossMm,
            ["faces"] = value.Faces is { } faces ? Storage.Columns.Name(faces) : null,
            ["skin_gap_mm"] = value.SkinGapMm,
            ["taper_deg"] = value.TaperDeg,
            ["surface"] = Storage.Columns.Name(value.Surface),
            ["sections"] = Storage.Columns.MaybeJson(value.Sections),
            ["name"] = value.Name,
        };

    /// <inheritdoc/>
    protected override Panel Read(SqliteDataReader row) =>
        new(
            row.Enum<PanelKind>("kind"),
            row.Json<PanelPoint[]>("outline"),
            row.Real("skin_mm"),
            row.Enum<SkinMaterial>("material"),
            row.MaybeReal("arc_radius_along_mm"),
            row.MaybeReal("arc_radius_across_mm"),
            row.MaybeText("faces") is null ? null : row.Enum<Facing>("faces"),
            row.MaybeReal("skin_gap_mm"),
            row.Real("taper_deg"),
            row.Enum<SurfaceSource>("surface"),
            row.MaybeJson<SurfaceSection[]>("sections"),
            row.MaybeText("name")
        );

    /// <inheritdoc/>
    protected override string Title(Panel value) => value.Name ?? "the " + PanelWords.Name(value.Kind);

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;

    private protected override void RemoveOwned(PendingChange pending, string id) => RemoveContents(pending, id);

    internal static void RemoveContents(PendingChange pending, string panelId)
    {
        foreach (string table in OnPanel)
        {
            foreach (string row in pending.Ids(table, "panel_id", panelId))
                pending.Delete(table, row);
        }
        foreach (string repair in pending.Ids("repair", "panel_id", panelId))
            pending.Delete("repair", repair);
        foreach (string opening in pending.Ids("opening", "panel_id", panelId))
            pending.Delete("opening", opening);
        foreach (string finding in pending.Ids("finding", "panel_id", panelId))
        {
            FindingStore.RemovePhotos(pending, finding);
            pending.Delete("finding", finding);
        }
        foreach (string member in pending.Ids("member", "panel_id", panelId))
            pending.Delete("member", member);
    }
}
