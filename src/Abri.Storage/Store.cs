using Abri.Core;
using Microsoft.Data.Sqlite;

namespace Abri.Storage;

/// <summary>Keeps the records of one table: what every store does alike, with the mapping left to the store.</summary>
/// <typeparam name="T">The record.</typeparam>
/// <param name="database">The database.</param>
/// <param name="table">Name of the table.</param>
/// <param name="ownerColumn">Column that holds what a row belongs to; null where it stands alone.</param>
public abstract class Store<T>(Database database, string table, string? ownerColumn)
    where T : notnull
{
    private const int UniqueViolated = 2067,
        ForeignKeyViolated = 787,
        MostNamed = 5;

    /// <summary>The database.</summary>
    protected Database Database { get; } = database;

    /// <summary>All records of an owner, oldest first; of the whole table when none is named.</summary>
    public IReadOnlyList<Stored<T>> All(string? ownerId = null) =>
        ownerColumn is null || ownerId is null
            ? Database.Query($"SELECT * FROM {table} ORDER BY id", ReadRow)
            : Database.Query($"SELECT * FROM {table} WHERE {ownerColumn} = $owner ORDER BY id", ReadRow, ("owner", ownerId));

    /// <summary>The records that a condition in SQL points out, oldest first.</summary>
    private protected IReadOnlyList<Stored<T>> AllWhere(string condition, params (string Name, object? Value)[] parameters) =>
        Database.Query($"SELECT * FROM {table} WHERE {condition} ORDER BY id", ReadRow, parameters);

    /// <summary>The records of a vehicle, oldest first, in one query; all of them where the table is shared by all vehicles.</summary>
    internal IReadOnlyList<Stored<T>> OfVehicle(string vehicleId)
    {
        string? condition = ownerColumn switch
        {
            null => null,
            "vehicle_id" => "vehicle_id = $vehicle",
            "panel_id" => "panel_id IN (SELECT id FROM panel WHERE vehicle_id = $vehicle)",
            _ => "finding_id IN (SELECT id FROM finding WHERE panel_id IN (SELECT id FROM panel WHERE vehicle_id = $vehicle))",
        };
        return condition is null ? All() : AllWhere(condition, ("vehicle", vehicleId));
    }

    /// <summary>One record, or null.</summary>
    public Stored<T>? Find(string id) => Database.Query($"SELECT * FROM {table} WHERE id = $id", ReadRow, ("id", id)).SingleOrDefault();

    /// <summary>Adds a record.</summary>
    public Written<T> Add(string? ownerId, T value) =>
        Add(ownerId, [value], $"Added {Title(value)}") is var (state, rows, message) && rows.Count == 1
            ? new Written<T>(state, rows[0])
            : new Written<T>(state, null, message);

    /// <summary>Adds records in one change.</summary>
    /// <returns>How it ended, the rows, and what they conflict with.</returns>
    public (WriteState State, IReadOnlyList<Stored<T>> Rows, string? Message) Add(string? ownerId, IReadOnlyList<T> values, string what)
    {
        string[] ids = [];
        WriteState state = Guarded(out string? message, pending =>
        {
            ids = [.. values.Select(value => Insert(pending, ownerId, value))];
            for (int i = 0; i < ids.Length; i++)
                Kept(pending, ids[i], default, values[i]);
            pending.Commit(ListingScope(ownerId, ids[0]), what);
            return WriteState.Done;
        });
        return (state, state == WriteState.Done ? [.. ids.Select(id => Find(id)!)] : [], message);
    }

    /// <summary>Replaces a record, if it still has the version that the change was made from.</summary>
    public Written<T> Replace(string id, int version, T value) => Write(id, version, (pending, before) =>
        {
            pending.Update(table, id, Columns(value));
            if (Title(before.Value) != Title(value))
                Renamed(pending, id, Title(before.Value), Title(value));
            Kept(pending, id, before.Value, value);
            pending.Commit(Scope(before.OwnerId, id), $"Changed {Title(value)}");
        });

    /// <summary>Replaces several records in one change, if each still has the version that the change was made from.</summary>
    /// <returns>How it ended, and the row that stood in the way, if one did.</returns>
    public Written<T> ReplaceAll(IReadOnlyList<(string Id, int Version, T Value)> changed, string what)
    {
        string? at = null;
        WriteState state = Guarded(out string? message, pending =>
        {
            foreach ((string id, int version, T value) in changed)
            {
                at = id;
                if (pending.Version(table, id) is not { } current)
                    return WriteState.NotFound;
                if (current != version)
                    return WriteState.Stale;
                pending.Update(table, id, Columns(value));
            }
            pending.Commit(Scope(Find(changed[0].Id)!.OwnerId, changed[0].Id), what);
            return WriteState.Done;
        });
        return new Written<T>(state, at is null ? null : Find(at), message);
    }

    /// <summary>Removes a record and what belongs to it, if it still has the version that was seen.</summary>
    /// <remarks>What something else is made with stays, and it is said with what.</remarks>
    public Written<T> Remove(string id, int version)
    {
        if (Find(id) is { } row && row.Version == version && UsedBy(id, row.Value) is { Count: > 0 } users)
        {
            string more = users.Count > MostNamed ? $" and {users.Count - MostNamed} more" : "";
            return new Written<T>(
                WriteState.Conflict,
                row,
                $"{Title(row.Value)} is in use: {string.Join(", ", users.Take(MostNamed))}{more}. Choose something else there first."
            );
        }
        return Removed(id, version);
    }

    private Written<T> Removed(string id, int version) => Write(id, version, (pending, before) =>
        {
            RemoveOwned(pending, id);
            pending.Delete(table, id);
            pending.Commit(ListingScope(before.OwnerId, id), $"Removed {Title(before.Value)}");
        });

    /// <summary>The columns of a record, without id, version and owner.</summary>
    protected abstract IReadOnlyDictionary<string, object?> Columns(T value);

    /// <summary>The record of a row.</summary>
    protected abstract T Read(SqliteDataReader row);

    /// <summary>What people call a record, for the history.</summary>
    protected abstract string Title(T value);

    /// <summary>On what undo works after a change to a record: see the table <c>change</c>.</summary>
    protected abstract string Scope(string? ownerId, string id);

    /// <summary>On what undo works after a record was added or removed.</summary>
    protected virtual string ListingScope(string? ownerId, string id) => Scope(ownerId, id);

    /// <summary>Names of what is made with a record, so that it may not go; none as a rule.</summary>
    private protected virtual IReadOnlyList<string> UsedBy(string id, T value) => [];

    /// <summary>Removes what belongs to a record before it goes itself.</summary>
    private protected virtual void RemoveOwned(PendingChange pending, string id) { }

    /// <summary>Lets what is called after a record follow when its name changes.</summary>
    private protected virtual void Renamed(PendingChange pending, string id, string from, string to) { }

    /// <summary>Lets what a record bears on follow once somebody added or changed it; nothing as a rule.</summary>
    private protected virtual void Kept(PendingChange pending, string id, T? before, T after) { }

    private Written<T> Write(string id, int version, Action<PendingChange, Stored<T>> change)
    {
        WriteState state = Guarded(out string? message, pending =>
        {
            if (pending.Version(table, id) is not { } current)
                return WriteState.NotFound;
            if (current != version)
                return WriteState.Stale;
            change(pending, Find(id)!);
            return WriteState.Done;
        });
        return new Written<T>(state, Find(id), message);
    }

    /// <summary>Inserts a record as part of a larger change, and returns its id.</summary>
    internal string Insert(PendingChange pending, string? ownerId, T value)
    {
        string id = pending.NewId();
        pending.Insert(table, id, Row(ownerId, value));
        return id;
    }

    /// <summary>Changes a record as part of a larger change, if it still has the version that the change was made from.</summary>
    /// <returns>Whether it has; true where there is nothing to change.</returns>
    internal bool Follow(PendingChange pending, Stored<T>? row)
    {
        if (row is null)
            return true;
        if (pending.Version(table, row.Id) != row.Version)
            return false;
        T before = Find(row.Id)!.Value;
        pending.Update(table, row.Id, Columns(row.Value));
        Kept(pending, row.Id, before, row.Value);
        return true;
    }

    private protected WriteState Guarded(out string? message, Func<PendingChange, WriteState> change)
    {
        message = null;
        try
        {
            using PendingChange pending = Database.Begin();
            return change(pending);
        }
        catch (SqliteException e) when (e.SqliteExtendedErrorCode is UniqueViolated or ForeignKeyViolated)
        {
            message =
                e.SqliteExtendedErrorCode == UniqueViolated
                    ? "There is one with this name already. Choose another name."
                    : "Something else still refers to it, or what it refers to is gone.";
            return WriteState.Conflict;
        }
    }

    private Dictionary<string, object?> Row(string? ownerId, T value)
    {
        var row = new Dictionary<string, object?>(Columns(value));
        if (ownerColumn is not null)
            row[ownerColumn] = ownerId;
        return row;
    }

    private Stored<T> ReadRow(SqliteDataReader row) =>
        new(row.Text("id"), row.Int("version"), ownerColumn is null ? null : row.Text(ownerColumn), Read(row));
}
