using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;

namespace Abri.Storage;

/// <summary>
/// One change that a person made: rows inserted, updated and deleted in one transaction, together with what they were before and
/// after. Nothing is kept unless <see cref="Commit"/> is reached.
/// </summary>
internal sealed class PendingChange : IDisposable
{
    private readonly SqliteConnection connection;
    private readonly SqliteTransaction transaction;
    private readonly TimeProvider clock;
    private readonly Func<string?> who;
    private readonly Func<DateTimeOffset> idTime;
    private readonly Action<string> kept;
    private readonly Action ended;
    private readonly List<(string Table, string Id, string? Before, string? After)> touched = [];
    private readonly List<string> shared = [];

    /// <param name="connection">A connection of its own, closed with it.</param>
    /// <param name="clock">Tells the time of the change.</param>
    /// <param name="idTime">Gives each id its time.</param>
    /// <param name="who">Tells who makes the change; null where nobody said.</param>
    /// <param name="kept">Called with the scope when the change stands.</param>
    /// <param name="ended">Called once when it is disposed of; not when it could not begin.</param>
    public PendingChange(
        SqliteConnection connection,
        TimeProvider clock,
        Func<DateTimeOffset> idTime,
        Func<string?> who,
        Action<string> kept,
        Action ended
    )
    {
        (this.connection, this.clock, this.idTime, this.who, this.kept, this.ended) = (connection, clock, idTime, who, kept, ended);
        try
        {
            // Immediate: a write that has to wait does so here, not half way through.
            transaction = connection.BeginTransaction(deferred: false);
        }
        catch
        {
            connection.Dispose();
            throw;
        }
    }

    /// <summary>An id for a row of this change, after every one before it: rows are listed in the order in which they came.</summary>
    public string NewId() => Guid.CreateVersion7(idTime()).ToString();

    /// <summary>Inserts a row; its version starts at 1.</summary>
    public void Insert(string table, string id, IReadOnlyDictionary<string, object?> columns) => Put(table, id, 1, columns, null);

    /// <summary>Replaces the columns of a row; its version goes up.</summary>
    public void Update(string table, string id, IReadOnlyDictionary<string, object?> columns)
    {
        JsonObject before = Image(table, id)!;
        Put(table, id, before["version"]!.GetValue<int>() + 1, columns, before.ToJsonString());
    }

    /// <summary>Deletes a row.</summary>
    public void Delete(string table, string id)
    {
        touched.Add((table, id, Image(table, id)!.ToJsonString(), null));
        Run($"DELETE FROM {table} WHERE id = $id", ("id", id));
    }

    /// <summary>Ids of the rows of a table that a column's value points out.</summary>
    public List<string> Ids(string table, string column, string value)
    {
        using SqliteCommand command = Database.Command(
            connection,
            transaction,
            $"SELECT id FROM {table} WHERE {column} = $value ORDER BY id",
            ("value", value)
        );
        using SqliteDataReader reader = command.ExecuteReader();
        var ids = new List<string>();
        while (reader.Read())
            ids.Add(reader.GetString(0));
        return ids;
    }

    /// <summary>Version of a row, or null when it is not there.</summary>
    public int? Version(string table, string id)
    {
        using SqliteCommand command = Database.Command(connection, transaction, $"SELECT version FROM {table} WHERE id = $id", ("id", id));
        return (int?)(long?)command.ExecuteScalar();
    }

    /// <summary>Says that the change bears on another scope too: what is worked out of that is out of date with it.</summary>
    public void Shares(string scope) => shared.Add(scope);

    /// <summary>Writes the history row and makes everything last. What had been undone in the scope cannot be redone after it.</summary>
    /// <param name="scope">On what undo works.</param>
    /// <param name="what">What it was, in a few words.</param>
    /// <param name="by">Who made it; null for whoever works at the device.</param>
    public void Commit(string scope, string what, string? by = null)
    {
        Run("UPDATE change SET state = 'dropped' WHERE scope = $scope AND state = 'undone'", ("scope", scope));
        Run(
            "INSERT INTO change (scope, at, what, state, by) VALUES ($scope, $at, $what, 'done', $by)",
            ("scope", scope),
            ("at", clock.GetUtcNow().ToString("O")),
            ("what", what),
            ("by", by ?? who())
        );
        using SqliteCommand last = Database.Command(connection, transaction, "SELECT last_insert_rowid()");
        long seq = (long)last.ExecuteScalar()!;
        for (int i = 0; i < touched.Count; i++)
        {
            (string table, string id, string? before, string? after) = touched[i];
            Run(
                "INSERT INTO change_row (change_seq, position, table_name, row_id, before, after) VALUES ($seq, $position, $table, "
                    + "$id, $before, $after)",
                ("seq", seq),
                ("position", i),
                ("table", table),
                ("id", id),
                ("before", before),
                ("after", after)
            );
        }
        transaction.Commit();
        foreach (string of in shared.Append(scope))
            kept(of);
    }

    /// <summary>Takes a change back, or does it again, without a history row of its own: the change's row says which.</summary>
    /// <returns>What the change was, or null when there is none.</returns>
    public string? Step(string scope, bool undo)
    {
        string sql = undo
            ? "SELECT seq, what FROM change WHERE scope = $scope AND state = 'done' ORDER BY seq DESC LIMIT 1"
            : "SELECT seq, what FROM change WHERE scope = $scope AND state = 'undone' ORDER BY seq LIMIT 1";
        long seq;
        string what;
        using (SqliteCommand find = Database.Command(connection, transaction, sql, ("scope", scope)))
        using (SqliteDataReader reader = find.ExecuteReader())
        {
            if (!reader.Read())
                return null;
            (seq, what) = (reader.GetInt64(0), reader.GetString(1));
        }
        // Rows come back in the order in which they went: references are looked at when all are there.
        Run("PRAGMA defer_foreign_keys = ON");
        foreach ((string table, string id, string? image) in Images(seq, undo))
            Restore(table, id, image);
        // A release that knew things by their names let them go and kept the name.
        foreach (string of in new[] { "member", "opening", "finding", "repair" })
            Run($"UPDATE joint SET {of}_id = NULL WHERE {of}_id NOT IN (SELECT id FROM {of})");
        Run("UPDATE change SET state = $state WHERE seq = $seq", ("state", undo ? "undone" : "done"), ("seq", seq));
        transaction.Commit();
        kept(scope);
        return what;
    }

    public void Dispose()
    {
        transaction.Dispose();
        connection.Dispose();
        ended();
    }

    private List<(string Table, string Id, string? Image)> Images(long seq, bool undo)
    {
        string sql =
            $"SELECT table_name, row_id, {(undo ? "before" : "after")} AS image FROM change_row WHERE change_seq = $seq ORDER BY "
            + $"position {(undo ? "DESC" : "ASC")}";
        using SqliteCommand command = Database.Command(connection, transaction, sql, ("seq", seq));
        using SqliteDataReader reader = command.ExecuteReader();
        var images = new List<(string, string, string?)>();
        while (reader.Read())
            images.Add((reader.GetString(0), reader.GetString(1), reader.IsDBNull(2) ? null : reader.GetString(2)));
        return images;
    }

    /// <summary>Makes a row what an image says; versions only ever go up, so that nobody overwrites what was undone meanwhile.</summary>
    private void Restore(string table, string id, string? image)
    {
        int? current = Version(table, id);
        if (image is null)
        {
            Run($"DELETE FROM {table} WHERE id = $id", ("id", id));
            return;
        }
        JsonObject columns = JsonNode.Parse(image)!.AsObject();
        int version = Math.Max(current ?? 0, columns["version"]!.GetValue<int>()) + 1;
        columns.Remove("id");
        columns.Remove("version");
        Write(table, id, version, columns.ToDictionary(c => c.Key, c => Value(c.Value)), current is not null);
    }

    private void Put(string table, string id, int version, IReadOnlyDictionary<string, object?> columns, string? before)
    {
        Write(table, id, version, columns, before is not null);
        touched.Add((table, id, before, Image(table, id)!.ToJsonString()));
    }

    private void Write(string table, string id, int version, IReadOnlyDictionary<string, object?> columns, bool exists)
    {
        string sql = exists
            ? $"UPDATE {table} SET version = $version, {string.Join(", ", columns.Keys.Select(c => $"{c} = ${c}"))} WHERE id = $id"
            : $"INSERT INTO {table} (id, version, {string.Join(", ", columns.Keys)}) VALUES ($id, $version, "
                + $"{string.Join(", ", columns.Keys.Select(c => "$" + c))})";
        Run(sql, [.. columns.Select(c => (c.Key, c.Value)), ("id", id), ("version", version)]);
    }

    private JsonObject? Image(string table, string id)
    {
        using SqliteCommand command = Database.Command(connection, transaction, $"SELECT * FROM {table} WHERE id = $id", ("id", id));
        using SqliteDataReader reader = command.ExecuteReader();
        if (!reader.Read())
            return null;
        var image = new JsonObject();
        for (int i = 0; i < reader.FieldCount; i++)
            image[reader.GetName(i)] = reader.IsDBNull(i) ? null : JsonSerializer.SerializeToNode(reader.GetValue(i));
        return image;
    }

    private static object? Value(JsonNode? node) =>
        node?.GetValueKind() switch
        {
            null or JsonValueKind.Null => null,
            JsonValueKind.Number => node.AsValue().TryGetValue(out long whole) ? whole : node.GetValue<double>(),
            _ => node.GetValue<string>(),
        };

    private void Run(string sql, params (string Name, object? Value)[] parameters)
    {
        using SqliteCommand command = Database.Command(connection, transaction, sql, parameters);
        command.ExecuteNonQuery();
    }
}
