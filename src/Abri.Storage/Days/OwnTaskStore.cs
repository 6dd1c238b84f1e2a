using Abri.Core.Days.Planning;
using Abri.Core.Work;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Days;

/// <summary>Keeps what somebody wrote down to do.</summary>
public sealed class OwnTaskStore(Database database) : Store<OwnTask>(database, "own_task", "vehicle_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(OwnTask value) =>
        new Dictionary<string, object?>
        {
            ["name"] = value.Name,
            ["minutes"] = value.Minutes,
            ["people"] = value.People,
            ["place"] = Storage.Columns.Name(value.Place),
            ["dry"] = value.Dry,
            ["wind_ms"] = value.WindBelowMs,
            ["not_before"] = Storage.Columns.MaybeTime(value.NotBefore),
            ["until"] = Storage.Columns.MaybeTime(value.Until),
            ["done"] = value.IsDone,
        };

    /// <inheritdoc/>
    protected override OwnTask Read(SqliteDataReader row) =>
        new(
            row.Text("name"),
            row.Real("minutes"),
            row.Int("people"),
            row.Enum<WorkPlace>("place"),
            row.Int("dry") == 1,
            row.MaybeReal("wind_ms"),
            row.MaybeTime("not_before"),
            row.MaybeTime("until"),
            row.Int("done") == 1
        );

    /// <inheritdoc/>
    protected override string Title(OwnTask value) => value.Name;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
