using Abri.Core.Stores;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Stores;

/// <summary>Keeps tools that somebody lent.</summary>
public sealed class BorrowedToolStore(Database database) : Store<BorrowedTool>(database, "borrowed_tool", "vehicle_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(BorrowedTool value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["lender"] = value.Lender,
            ["until_on"] = Storage.Columns.MaybeDate(value.Until),
            ["is_back"] = value.IsBack,
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override BorrowedTool Read(SqliteDataReader row) =>
        new(row.Text("name"), row.Text("lender"), row.MaybeDate("until_on")!.Value, row.Int("is_back") == 1, row.Text("notes"));

    /// <inheritdoc/>
    protected override string Title(BorrowedTool value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
