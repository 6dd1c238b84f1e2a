using Abri.Core;
using Abri.Core.Logbook;
using Abri.Core.Stages;
using Abri.Core.Water;
using Abri.Storage.Water;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Logbook;

/// <summary>Keeps that something was looked after, and changes with it what it bears on.</summary>
public sealed class UpkeepDoneStore(Database database, DrainStore drains) : Store<UpkeepDone>(database, "upkeep_done", "vehicle_id")
{
    /// <summary>Keeps it with what it changes, in one change.</summary>
    public Written<UpkeepDone> Do(string vehicleId, UpkeepChange change)
    {
        string? id = null;
        WriteState state = Guarded(out string? message, pending =>
        {
            foreach (Stored<Drain> drain in change.Drains)
            {
                if (!drains.Follow(pending, drain))
                    return WriteState.Stale;
            }
            id = Insert(pending, vehicleId, change.Done);
            pending.Commit(vehicleId, $"Looked after: {change.Done.What}", change.Done.By);
            return WriteState.Done;
        });
        return new Written<UpkeepDone>(state, state == WriteState.Done ? Find(id!) : null, message);
    }

    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(UpkeepDone value) =>
        new Dictionary<string, object?>
        {
            ["key"] = value.Key,
            ["what"] = value.What,
            ["done_on"] = Storage.Columns.MaybeDate(value.On),
            ["by"] = value.By,
            ["notes"] = value.Notes,
        };

    /// <inheritdoc/>
    protected override UpkeepDone Read(SqliteDataReader row) =>
        new(row.Text("key"), row.Text("what"), row.MaybeDate("done_on")!.Value, row.Text("by"), row.Text("notes"));

    /// <inheritdoc/>
    protected override string Title(UpkeepDone value) => value.What;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
