namespace Abri.Storage.Days;

/// <summary>Keeps the last one of each vehicle: a new one takes the place of the one before it, and that can be undone.</summary>
/// <param name="database">The database.</param>
/// <param name="table">Name of the table.</param>
public abstract class LastOneStore<T>(Database database, string table) : Store<T>(database, table, "vehicle_id")
    where T : notnull
{
    private readonly string name = table;

    /// <summary>It takes the place of the one before it.</summary>
    public Written<T> Keep(string vehicleId, T value)
    {
        string id;
        using (PendingChange pending = Database.Begin())
        {
            if (pending.Ids(name, "vehicle_id", vehicleId).ToArray() is [var before, ..])
                pending.Update(name, id = before, Columns(value));
            else
                id = Insert(pending, vehicleId, value);
            pending.Commit(vehicleId, $"Kept the {Title(value)}");
        }
        return new Written<T>(WriteState.Done, Find(id));
    }

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
