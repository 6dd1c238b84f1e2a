using Abri.Core;
using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Storage.Sealing;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Metal;

/// <summary>Keeps the repairs of panels; what they mend follows their state.</summary>
public sealed class RepairStore(Database database, PanelStore panels) : Store<Repair>(database, "repair", "panel_id")
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
            row.Int("blank_cut") != 0
        );

    /// <summary>The first finding that a repair names and that is not on its panel, or null.</summary>
    public string? UnknownFinding(string panelId, Repair repair)
    {
        HashSet<string> known = [.. Database.Query("SELECT id FROM finding WHERE panel_id = $panel", row => row.Text("id"), ("panel", panelId))];
        return repair.FindingIds.FirstOrDefault(id => !known.Contains(id));
    }

    /// <inheritdoc/>
    protected override string Title(Repair value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;

    private protected override void Renamed(PendingChange pending, string id, string from, string to) =>
        joints.Follow(pending, new JointOf(JointOfKind.Repair, id), from, to);

    private protected override void RemoveOwned(PendingChange pending, string id) => joints.LetGo(pending, new JointOf(JointOfKind.Repair, id));

    /// <summary>A finding is planned as soon as a repair of it is, and done when the last one is.</summary>
    private protected override void Kept(PendingChange pending, string id, Repair? before, Repair after)
    {
        if (before is not null && before.State == after.State && before.FindingIds.SequenceEqual(after.FindingIds))
            return;
        foreach (string finding in after.FindingIds)
        {
            Repair[] all = [.. Mending(finding).Where(r => r.Id != id).Select(r => r.Value), after];
            FindingState state =
                !all.All(r => r.IsOver) ? FindingState.Planned
                : all.Any(r => r.State == RepairState.Watch) ? FindingState.Watch
                : FindingState.Done;
            pending.Update("finding", finding, new Dictionary<string, object?> { ["state"] = Storage.Columns.Name(state) });
        }
    }

    /// <summary>Lets repairs stand by themselves when what they mend is taken out of the record.</summary>
    internal void LetGo(PendingChange pending, string findingId)
    {
        foreach (Stored<Repair> repair in Mending(findingId))
            pending.Update(
                "repair",
                repair.Id,
                Columns(repair.Value with { FindingIds = [.. repair.Value.FindingIds.Where(id => id != findingId)] })
            );
    }

    private IReadOnlyList<Stored<Repair>> Mending(string findingId) =>
        AllWhere("EXISTS (SELECT 1 FROM json_each(finding_ids) WHERE value = $finding)", ("finding", findingId));
}
