using Abri.Core;
using Abri.Core.Sealing;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Sealing;

/// <summary>Keeps the joints that were written down, with what was done to them.</summary>
public sealed class JointStore(Database database, PanelStore panels) : Store<Joint>(database, "joint", "panel_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Joint value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["kind"] = Storage.Columns.Name(value.Kind),
            ["length_mm"] = value.LengthMm,
            ["one"] = Storage.Columns.Name(value.One),
            ["other"] = Storage.Columns.Name(value.Other),
            ["gap_mm"] = value.GapMm,
            ["movement_mm"] = value.MovementMm,
            ["sun"] = value.Sun,
            ["standing_water"] = value.StandingWater,
            ["removable_later"] = value.RemovableLater,
            ["painted_over"] = value.PaintedOver,
            ["structural"] = value.Structural,
            ["unbroken"] = value.Unbroken,
            ["member_id"] = IdOf(value, JointOfKind.Member),
            ["opening_id"] = IdOf(value, JointOfKind.Opening),
            ["finding_id"] = IdOf(value, JointOfKind.Finding),
            ["repair_id"] = IdOf(value, JointOfKind.Repair),
            ["shell_seam"] = IdOf(value, JointOfKind.ShellSeam),
            ["product_id"] = value.ProductId,
            ["history"] = Storage.Columns.Json(value.History),
            ["notes"] = value.Notes,
            ["hot_c"] = value.HotC,
        };

    /// <inheritdoc/>
    protected override Joint Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Enum<JointKind>("kind"),
            row.Real("length_mm"),
            row.Enum<Substrate>("one"),
            row.Enum<Substrate>("other"),
            row.Real("gap_mm"),
            row.Real("movement_mm"),
            row.Int("sun") == 1,
            row.Int("standing_water") == 1,
            row.Int("removable_later") == 1,
            row.Int("painted_over") == 1,
            row.Int("structural") == 1,
            row.Int("unbroken") == 1,
            Of(row),
            row.MaybeText("product_id"),
            row.Json<IReadOnlyList<JointEvent>>("history"),
            row.Text("notes"),
            row.MaybeReal("hot_c")
        );

    /// <summary>Whether what a joint belongs to lies on its panel.</summary>
    public bool IsOnPanel(string panelId, JointOf of) =>
        of.Kind == JointOfKind.ShellSeam
        || Database
            .Query(
                $"SELECT id FROM {Storage.Columns.Name(of.Kind)} WHERE id = $id AND panel_id = $panel",
                row => row.Text("id"),
                ("id", of.Id),
                ("panel", panelId)
            )
            .Count > 0;

    /// <summary>Lets joints that are called after what they belong to follow its new name, as part of the change that names it.</summary>
    internal void Follow(PendingChange pending, JointOf of, string from, string to)
    {
        foreach (Stored<Joint> joint in Of(of).Where(j => j.Value.Name == from || j.Value.Name.StartsWith(from + ":", StringComparison.Ordinal)))
            pending.Update("joint", joint.Id, Columns(joint.Value with { Name = to + joint.Value.Name[from.Length..] }));
    }

    /// <summary>Lets joints stand by themselves when what they belong to goes: what was done to them stays true of the shell.</summary>
    internal void LetGo(PendingChange pending, JointOf of)
    {
        foreach (Stored<Joint> joint in Of(of))
            pending.Update("joint", joint.Id, Columns(joint.Value with { Of = null }));
    }

    private IReadOnlyList<Stored<Joint>> Of(JointOf of) => AllWhere($"{Storage.Columns.Name(of.Kind)}_id = $id", ("id", of.Id));

    private static string? IdOf(Joint joint, JointOfKind kind) => joint.Of is { } of && of.Kind == kind ? of.Id : null;

    private static JointOf? Of(SqliteDataReader row) =>
        row.MaybeText("member_id") is { } member ? new JointOf(JointOfKind.Member, member)
        : row.MaybeText("opening_id") is { } opening ? new JointOf(JointOfKind.Opening, opening)
        : row.MaybeText("finding_id") is { } finding ? new JointOf(JointOfKind.Finding, finding)
        : row.MaybeText("repair_id") is { } repair ? new JointOf(JointOfKind.Repair, repair)
        : row.MaybeText("shell_seam") is { } seam ? new JointOf(JointOfKind.ShellSeam, seam)
        : null;

    /// <inheritdoc/>
    protected override string Title(Joint value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;
}
