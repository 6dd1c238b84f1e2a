using Abri.Core.Geometry;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Storage.Floor;
using Abri.Storage.Metal;
using Abri.Storage.Sealing;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Shell;

/// <summary>Keeps the findings of panels; removing one removes its photos' rows, and can be undone.</summary>
public sealed class FindingStore(Database database, PanelStore panels) : Store<Finding>(database, "finding", "panel_id")
{
    private readonly JointStore joints = new(database, panels);
    private readonly RepairStore repairs = new(database, panels);
    private readonly ReplacementStore replacements = new(database, panels);

    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Finding value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["kind"] = Storage.Columns.Name(value.Kind),
            ["shape"] = Storage.Columns.Name(value.Shape),
            ["points"] = Storage.Columns.Json(value.Points),
            ["seen"] = Storage.Columns.Name(value.Seen),
            ["severity"] = Storage.Columns.Name(value.Severity),
            ["measures"] = Storage.Columns.Json(value.Measures),
            ["state"] = Storage.Columns.Name(value.State),
            ["seen_by"] = value.SeenBy,
            ["seen_at"] = Storage.Columns.MaybeTime(value.SeenAt),
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override Finding Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Enum<FindingKind>("kind"),
            row.Enum<FindingShape>("shape"),
            row.Json<PanelPoint[]>("points"),
            row.Enum<ViewedFrom>("seen"),
            row.Enum<Severity>("severity"),
            row.Json<FindingMeasures>("measures"),
            row.Enum<FindingState>("state"),
            row.Text("seen_by"),
            row.MaybeTime("seen_at")!.Value,
            row.Text("notes")
        );

    /// <inheritdoc/>
    protected override string Title(Finding value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;

    private protected override void RemoveOwned(PendingChange pending, string id)
    {
        RemovePhotos(pending, id);
        joints.LetGo(pending, new JointOf(JointOfKind.Finding, id));
        repairs.LetGo(pending, id);
        replacements.LetGo(pending, id);
    }

    internal static void RemovePhotos(PendingChange pending, string findingId)
    {
        foreach (string photo in pending.Ids("photo", "finding_id", findingId))
            pending.Delete("photo", photo);
    }

    private protected override void Renamed(PendingChange pending, string id, string from, string to) =>
        joints.Follow(pending, new JointOf(JointOfKind.Finding, id), from, to);
}
