using Abri.Core.Water.Leaks;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Water;

/// <summary>Keeps the priors that somebody changed.</summary>
public sealed class LeakPriorStore(Database database) : Store<LeakPrior>(database, "leak_prior", "vehicle_id")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(LeakPrior value) =>
        new Dictionary<string, object?>
        {
            ["kind"] = Storage.Columns.Name(value.Kind),
            ["condition"] = Storage.Columns.Name(value.Condition),
            ["probability"] = value.Probability,
        };

    /// <inheritdoc/>
    protected override LeakPrior Read(SqliteDataReader row) =>
        new(row.Enum<SuspectKind>("kind"), row.Enum<Condition>("condition"), row.Real("probability"));

    /// <inheritdoc/>
    protected override string Title(LeakPrior value) => "a prior";

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
