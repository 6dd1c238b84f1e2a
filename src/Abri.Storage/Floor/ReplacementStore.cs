using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Floor;

/// <summary>Keeps the replacements of bad wood; what they mend follows their state.</summary>
public sealed class ReplacementStore(Database database, PanelStore panels) : MendingStore<Replacement>(database, "replacement")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Replacement value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["area"] = Storage.Columns.Json(value.Area),
            ["margin_mm"] = value.MarginMm,
            ["sheet"] = Storage.Columns.Json(value.Sheet),
            ["state"] = Storage.Columns.Name(value.State),
            ["done_on"] = Storage.Columns.MaybeDate(value.DoneOn),
            ["finding_ids"] = Storage.Columns.Json(value.FindingIds),
            ["notes"] = value.Notes,
            ["boards_cut"] = value.BoardsCut,
        };

    /// <inheritdoc/>
    protected override Replacement Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Json<PanelPoint[]>("area"),
            row.Real("margin_mm"),
            row.Json<NewSheet>("sheet"),
            row.Enum<ReplacementState>("state"),
            row.MaybeDate("done_on"),
            row.Json<string[]>("finding_ids"),
            row.Text("notes"),
            row.Int("boards_cut") != 0
        );

    /// <inheritdoc/>
    protected override string Title(Replacement value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => panels.Find(ownerId!)!.OwnerId!;

    private protected override IReadOnlyList<string> FindingIds(Replacement value) => value.FindingIds;

    private protected override Replacement Without(Replacement value, string findingId) =>
        value with
        {
            FindingIds = [.. value.FindingIds.Where(id => id != findingId)],
        };

    private protected override FindingState Leaves(Replacement value) =>
        value.State == ReplacementState.Done ? FindingState.Done : FindingState.Planned;
}
