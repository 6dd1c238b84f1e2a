using Abri.Core.Load;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Load;

/// <summary>Keeps times on a weighbridge.</summary>
public sealed class WeighingStore(Database database) : Store<Weighing>(database, "weighing", "vehicle_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Weighing value) =>
        new Dictionary<string, object?>
        {
            ["weighed_on"] = Storage.Columns.MaybeDate(value.On),
            ["state"] = Storage.Columns.Name(value.State),
            ["reading"] = Storage.Columns.Json(value.Reading),
            ["aboard"] = Storage.Columns.Json(value.Aboard),
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override Weighing Read(SqliteDataReader row) =>
        new(
            row.MaybeDate("weighed_on")!.Value,
            row.Enum<LoadState>("state"),
            row.Json<WeighbridgeReading>("reading"),
            row.Json<AxleShares>("aboard"),
            row.Text("notes")
        );

    /// <inheritdoc/>
    protected override string Title(Weighing value) => $"the weighing of {value.On:yyyy-MM-dd}";

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
