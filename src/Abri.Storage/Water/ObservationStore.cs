using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Water.Leaks;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Water;

/// <summary>Keeps what was looked at: wet or dry, after rain or in a water test, or by the meter.</summary>
public sealed class ObservationStore(Database database, PanelStore panels) : Store<Observation>(database, "observation", "panel_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Observation value) =>
        new Dictionary<string, object?>
        {
            ["kind"] = Storage.Columns.Name(value.Kind),
            ["place"] = Storage.Columns.Json(value.Place),
            ["seen_at"] = Storage.Columns.MaybeTime(value.SeenAt),
            ["wet"] = value.Wet,
            ["moisture_percent"] = value.MoisturePercent,
            ["wind"] = value.Wind is { } wind ? Storage.Columns.Name(wind) : null,
            ["attitude"] = Storage.Columns.MaybeJson(value.Attitude),
            ["spray"] = Storage.Columns.MaybeJson(value.Spray),
            ["after_minutes"] = value.AfterMinutes,
            ["seen_by"] = value.SeenBy,
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override Observation Read(SqliteDataReader row) =>
        new(
            row.Enum<ObservationKind>("kind"),
            row.Json<PanelPoint>("place"),
            row.MaybeTime("seen_at")!.Value,
            row.MaybeText("wet") is { } wet ? wet == "1" : null,
            row.MaybeReal("moisture_percent"),
            row.MaybeText("wind") is null ? null : row.Enum<WindFrom>("wind"),
            row.MaybeJson<Attitude>("attitude"),
            row.MaybeJson<Spray>("spray"),
            row.MaybeReal("after_minutes"),
            row.Text("seen_by"),
            row.Text("notes")
        );

    /// <inheritdoc/>
    protected override string Title(Observation value) => value.Kind == ObservationKind.WaterTest ? "a water test" : "what was looked at";

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;
}
