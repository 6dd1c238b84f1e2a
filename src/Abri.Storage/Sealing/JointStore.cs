using Abri.Core.Sealing;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Sealing;

/// <summary>Keeps the joints that were written down, with what was done to them.</summary>
public sealed class JointStore(Database database, PanelStore panels) : Store<Joint>(database, "joint", "panel_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Joint value) => new Dictionary<string, object?>
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
        ["belongs_to"] = value.Of,
        ["product"] = value.Product,
        ["history"] = Storage.Columns.Json(value.History),
        ["notes"] = value.Notes,
        ["hot_c"] = value.HotC,
    };

    /// <inheritdoc/>
    protected override Joint Read(SqliteDataReader row) => new(
        row.Text("name"), row.Enum<JointKind>("kind"), row.Real("length_mm"), row.Enum<Substrate>("one"), row.Enum<Substrate>("other"), row.Real("gap_mm"), row.Real("movement_mm"), row.Int("sun") == 1,
        row.Int("standing_water") == 1, row.Int("removable_later") == 1, row.Int("painted_over") == 1, row.Int("structural") == 1, row.Int("unbroken") == 1, row.MaybeText("belongs_to"), row.MaybeText("product"),
        row.Json<IReadOnlyList<JointEvent>>("history"), row.Text("notes"), row.MaybeReal("hot_c"));

    /// <summary>Lets the joints of a thing on a panel follow its new name, as part of the change that names it.</summary>
    internal void Follow(Work work, string panelId, string from, string to)
    {
        foreach (Stored<Joint> joint in All(panelId).Where(j => j.Value.Of == from))
        {
            string name = joint.Value.Name == from || joint.Value.Name.StartsWith(from + ":", StringComparison.Ordinal) ? to + joint.Value.Name[from.Length..] : joint.Value.Name;
            work.Update("joint", joint.Id, Columns(joint.Value with { Of = to, Name = name }));
        }
    }

    /// <inheritdoc/>
    protected override string Title(Joint value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;
}
