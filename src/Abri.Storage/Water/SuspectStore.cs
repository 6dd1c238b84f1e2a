using Abri.Core.Geometry;
using Abri.Core.Water.Leaks;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Water;

/// <summary>Keeps the suspects that somebody wrote down.</summary>
public sealed class SuspectStore(Database database, PanelStore panels) : Store<Suspect>(database, "suspect", "panel_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Suspect value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["kind"] = Storage.Columns.Name(value.Kind),
            ["points"] = Storage.Columns.Json(value.Points),
            ["condition"] = Storage.Columns.Name(value.Condition),
            ["since_at"] = Storage.Columns.MaybeTime(value.SinceAt),
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override Suspect Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Enum<SuspectKind>("kind"),
            row.Json<PanelPoint[]>("points"),
            row.Enum<Condition>("condition"),
            row.MaybeTime("since_at"),
            row.Text("notes")
        );

    /// <inheritdoc/>
    protected override string Title(Suspect value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;
}
