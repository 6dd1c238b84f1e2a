using Abri.Core.Logbook;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Logbook;

/// <summary>Keeps what somebody wrote down to look after.</summary>
public sealed class OwnUpkeepStore(Database database) : Store<OwnUpkeep>(database, "own_upkeep", "vehicle_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(OwnUpkeep value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["how"] = value.How,
            ["first_on"] = Storage.Columns.MaybeDate(value.First),
            ["months"] = value.Months,
        };

    /// <inheritdoc/>
    protected override OwnUpkeep Read(SqliteDataReader row) =>
        new(row.Text("name"), row.Text("how"), row.MaybeDate("first_on")!.Value, row.IsDBNull(row.GetOrdinal("months")) ? null : row.Int("months"));

    /// <inheritdoc/>
    protected override string Title(OwnUpkeep value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
