using Abri.Core.Days;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Days;

/// <summary>Keeps the people who work on a vehicle.</summary>
public sealed class PersonStore(Database database) : Store<Person>(database, "person", "vehicle_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Person value) =>
        new Dictionary<string, object?> { ["name"] = value.Name, ["hours"] = Storage.Columns.Json(value.Hours) };

    /// <inheritdoc/>
    protected override Person Read(SqliteDataReader row) => new(row.Text("name"), row.Json<WorkDay[]>("hours"));

    /// <inheritdoc/>
    protected override string Title(Person value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
