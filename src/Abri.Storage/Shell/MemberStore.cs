using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Storage.Sealing;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Shell;

/// <summary>Keeps the members of panels.</summary>
public sealed class MemberStore(Database database, PanelStore panels) : Store<Member>(database, "member", "panel_id")
{
    private readonly JointStore joints = new(database, panels);

    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Member value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["kind"] = Storage.Columns.Name(value.Kind),
            ["role"] = Storage.Columns.Name(value.Role),
            ["footprint"] = Storage.Columns.Json(value.Footprint),
            ["depth_mm"] = value.DepthMm,
            ["flank_mm"] = value.FlankMm,
            ["material"] = value.Material is { } material ? Storage.Columns.Name(material) : null,
        };

    /// <inheritdoc/>
    protected override Member Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Enum<MemberKind>("kind"),
            row.Enum<MemberRole>("role"),
            row.Json<Footprint>("footprint"),
            row.Real("depth_mm"),
            row.Real("flank_mm"),
            row.MaybeText("material") is null ? null : row.Enum<MemberMaterial>("material")
        );

    /// <inheritdoc/>
    protected override string Title(Member value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;

    private protected override void Renamed(PendingChange pending, string id, string from, string to) =>
        joints.Follow(pending, new JointOf(JointOfKind.Member, id), from, to);

    private protected override void RemoveOwned(PendingChange pending, string id) => joints.LetGo(pending, new JointOf(JointOfKind.Member, id));
}
