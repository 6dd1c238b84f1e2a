using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Openings.Seating;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Work;
using Abri.Storage.Sealing;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Openings;

/// <summary>Keeps the openings of panels.</summary>
public sealed class OpeningStore(Database database, PanelStore panels) : Store<Opening>(database, "opening", "panel_id")
{
    private readonly JointStore joints = new(database, panels);

    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Opening value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["fitting_id"] = value.FittingId,
            ["centre"] = Storage.Columns.Json(value.Centre),
            ["turn_deg"] = value.TurnDeg,
            ["wall_mm"] = value.WallMm,
            ["schools"] = Storage.Columns.Json(value.Schools),
            ["state"] = Storage.Columns.Name(value.State),
            ["as_cut"] = Storage.Columns.MaybeJson(value.AsCut),
            ["notes"] = value.Notes,
            ["clamp"] = Storage.Columns.MaybeJson(value.Clamp),
            ["tape"] = Storage.Columns.MaybeJson(value.Tape),
            ["ready"] = Storage.Columns.MaybeJson(value.Ready),
        };

    /// <inheritdoc/>
    protected override Opening Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Text("fitting_id"),
            row.Json<PanelPoint>("centre"),
            row.Int("turn_deg"),
            row.MaybeReal("wall_mm"),
            row.Json<Schools>("schools"),
            row.Enum<OpeningState>("state"),
            row.MaybeJson<AsCut>("as_cut"),
            row.Text("notes"),
            row.MaybeJson<ClampWork>("clamp"),
            row.MaybeJson<BeddingTape>("tape"),
            row.MaybeJson<ReadyItem[]>("ready")
        );

    /// <inheritdoc/>
    protected override string Title(Opening value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;

    private protected override void Renamed(PendingChange pending, string id, string from, string to) =>
        joints.Follow(pending, new JointOf(JointOfKind.Opening, id), from, to);

    private protected override void RemoveOwned(PendingChange pending, string id) => joints.LetGo(pending, new JointOf(JointOfKind.Opening, id));
}
