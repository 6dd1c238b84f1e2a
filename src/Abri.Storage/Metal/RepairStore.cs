using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Work;
using Abri.Storage.Sealing;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Metal;

/// <summary>Keeps the repairs of panels; what they mend follows their state.</summary>
public sealed class RepairStore(Database database, PanelStore panels) : MendingStore<Repair>(database, "repair")
{
    private readonly JointStore joints = new(database, panels);

    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Repair value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["kind"] = Storage.Columns.Name(value.Kind),
            ["shape"] = Storage.Columns.Name(value.Shape),
            ["points"] = Storage.Columns.Json(value.Points),
            ["length_mm"] = value.LengthMm,
            ["width_mm"] = value.WidthMm,
            ["spot"] = Storage.Columns.MaybeJson(value.Spot),
            ["patch"] = Storage.Columns.MaybeJson(value.Patch),
            ["holes"] = Storage.Columns.MaybeJson(value.Holes),
            ["seam"] = Storage.Columns.MaybeJson(value.Seam),
            ["trim"] = Storage.Columns.MaybeJson(value.Trim),
            ["state"] = Storage.Columns.Name(value.State),
            ["done_on"] = Storage.Columns.MaybeDate(value.DoneOn),
            ["finding_ids"] = Storage.Columns.Json(value.FindingIds),
            ["notes"] = value.Notes,
            ["old_window"] = Storage.Columns.MaybeJson(value.Window),
            ["door"] = Storage.Columns.MaybeJson(value.Door),
            ["blank_cut"] = value.BlankCut,
            ["ready"] = Storage.Columns.MaybeJson(value.Ready),
        };

    /// <inheritdoc/>
    protected override Repair Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Enum<RepairKind>("kind"),
            row.Enum<FindingShape>("shape"),
            row.Json<PanelPoint[]>("points"),
            row.MaybeReal("length_mm"),
            row.MaybeReal("width_mm"),
            row.MaybeJson<RustSpot>("spot"),
            row.MaybeJson<PatchDesign>("patch"),
            row.MaybeJson<HoleRow>("holes"),
            row.MaybeJson<SeamRun>("seam"),
            row.MaybeJson<TrimRun>("trim"),
            row.Enum<RepairState>("state"),
            row.MaybeDate("done_on"),
            row.Json<string[]>("finding_ids"),
            row.Text("notes"),
            row.MaybeJson<OldWindow>("old_window"),
            row.MaybeJson<DoorFit>("door"),
            row.Int("blank_cut") != 0,
            row.MaybeJson<ReadyItem[]>("ready")
        );

    /// <inheritdoc/>
    protected override string Title(Repair value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;

    private protected override void Renamed(PendingChange pending, string id, string from, string to) =>
        joints.Follow(pending, new JointOf(JointOfKind.Repair, id), from, to);

    private protected override void RemoveOwned(PendingChange pending, string id) => joints.LetGo(pending, new JointOf(JointOfKind.Repair, id));

    private protected override IReadOnlyList<string> FindingIds(Repair value) => value.FindingIds;

    private protected override Repair Without(Repair value, string findingId) =>
        value with
        {
            FindingIds = [.. value.FindingIds.Where(id => id != findingId)],
        };

    private protected override FindingState Leaves(Repair value) =>
        value.State switch
        {
            RepairState.Done => FindingState.Done,
            RepairState.Watch => FindingState.Watch,
            _ => FindingState.Planned,
        };
}
