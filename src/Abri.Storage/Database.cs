using System.Collections.Concurrent;
using Abri.Storage.Openings;
using Abri.Storage.Shell;
using Microsoft.Data.Sqlite;

namespace Abri.Storage;

/// <summary>The SQLite file: opened, brought up to date, and read and written in transactions.</summary>
public sealed class Database : IDisposable
{
    private readonly string connectionString;

    /// <summary>Held by the change that is being written: SQLite itself only lets a second writer poll, and gives up after the timeout.</summary>
    private readonly object writing = new();

    /// <summary>What this thread reads in, where that has to be of one moment.</summary>
    [ThreadStatic]
    private static (Database Of, SqliteTransaction In)? reading;

    /// <summary>The number of the last change in each scope, since the file was opened.</summary>
    private readonly ConcurrentDictionary<string, long> revisions = new();

    private long revision;

    private DateTimeOffset lastId = DateTimeOffset.UnixEpoch;

    private readonly Func<string?> who;

    private Database(string file, TimeProvider clock, Func<string?> who)
    {
        File = file;
        Clock = clock;
        this.who = who;
        // The timeout is how long a statement waits for another program that holds the file.
        connectionString = new SqliteConnectionStringBuilder
        {
            DataSource = file,
            ForeignKeys = true,
            DefaultTimeout = 3,
            Pooling = true,
        }.ToString();
    }

    /// <summary>The file.</summary>
    public string File { get; }

    /// <summary>Tells the time of changes.</summary>
    internal TimeProvider Clock { get; }

    /// <summary>Version of the tables in the file.</summary>
    public int SchemaVersion { get; private set; }

    /// <summary>Opens the file, making it when it is not there, and brings its tables up to date.</summary>
    /// <param name="file">The file.</param>
    /// <param name="clock">Tells the time of changes.</param>
    /// <param name="who">Tells who makes a change; null where nobody says.</param>
    /// <exception cref="StorageException">The file is empty, newer than the program, or is not a database of Abri.</exception>
    /// <exception cref="SqliteException">The file is locked, read-only or damaged.</exception>
    public static Database Open(string file, TimeProvider clock, Func<string?>? who = null)
    {
        // Nothing of this program leaves an empty file, so that what was in it is elsewhere.
        if (new FileInfo(file) is { Exists: true, Length: 0 })
            throw new StorageException($"{file} is empty: what was in it has been lost. Put a backup in its place, or remove it to start anew.");
        var database = new Database(file, clock, who ?? (() => null));
        using SqliteConnection connection = database.Connect();
        Execute(connection, "PRAGMA journal_mode=WAL");
        database.SchemaVersion = Migrations.Apply(connection, file);
        return database;
    }

    /// <summary>Whether the file answers.</summary>
    public bool IsReady()
    {
        using SqliteConnection connection = Connect();
        return Scalar(connection, "PRAGMA user_version") == SchemaVersion;
    }

    /// <summary>Begins a change: all or nothing, with its row in the history. Changes of this program wait for one another in turn.</summary>
    /// <exception cref="SqliteException">Another program holds the file.</exception>
    internal PendingChange Begin()
    {
        Monitor.Enter(writing);
        try
        {
            return new PendingChange(Connect(), Clock, NextIdTime, who, Changed, () => Monitor.Exit(writing));
        }
        catch
        {
            Monitor.Exit(writing);
            throw;
        }
    }

    /// <summary>
    /// A time for an id: that of the clock, but a millisecond after the one before, whichever change that was in. Only the change that is being
    /// written asks.
    /// </summary>
    private DateTimeOffset NextIdTime()
    {
        DateTimeOffset now = Clock.GetUtcNow();
        return lastId = now > lastId.AddMilliseconds(1) ? now : lastId.AddMilliseconds(1);
    }

    /// <summary>Opens a connection with the settings that every one needs.</summary>
    internal SqliteConnection Connect()
    {
        var connection = new SqliteConnection(connectionString);
        connection.Open();
        Execute(connection, "PRAGMA synchronous=FULL");
        return connection;
    }

    /// <summary>Goes up with every change to a vehicle or to what vehicles share: what was worked out of it stands as long as this is the
    /// same.</summary>
    /// <remarks>The data folder is claimed, so that nobody else writes.</remarks>
    /// <param name="vehicleId">Id of the vehicle.</param>
    public long RevisionOf(string vehicleId) =>
        Math.Max(
            revisions.GetValueOrDefault(vehicleId),
            Math.Max(revisions.GetValueOrDefault(VehicleStore.ListScope), revisions.GetValueOrDefault(FittingStore.CatalogueScope))
        );

    /// <summary>Notes a change that was kept.</summary>
    internal void Changed(string scope) => revisions[scope] = Interlocked.Increment(ref revision);

    /// <summary>Reads what belongs together as it stood at one moment, whoever writes meanwhile.</summary>
    public T AtOnce<T>(Func<T> read)
    {
        if (reading is not null)
            return read();
        using SqliteConnection connection = Connect();
        using SqliteTransaction transaction = connection.BeginTransaction(deferred: true);
        reading = (this, transaction);
        try
        {
            return read();
        }
        finally
        {
            reading = null;
        }
    }

    /// <summary>Runs a query and maps each row.</summary>
    internal List<T> Query<T>(string sql, Func<SqliteDataReader, T> map, params (string Name, object? Value)[] parameters)
    {
        if (reading is var (of, transaction) && of == this)
            return Rows(transaction.Connection!, transaction, sql, map, parameters);
        using SqliteConnection connection = Connect();
        return Rows(connection, null, sql, map, parameters);
    }

    private static List<T> Rows<T>(
        SqliteConnection connection,
        SqliteTransaction? transaction,
        string sql,
        Func<SqliteDataReader, T> map,
        (string Name, object? Value)[] parameters
    )
    {
        using SqliteCommand command = Command(connection, transaction, sql, parameters);
        using SqliteDataReader reader = command.ExecuteReader();
        var rows = new List<T>();
        while (reader.Read())
            rows.Add(map(reader));
        return rows;
    }

    internal static SqliteCommand Command(
        SqliteConnection connection,
        SqliteTransaction? transaction,
        string sql,
        params (string Name, object? Value)[] parameters
    )
    {
        SqliteCommand command = connection.CreateCommand();
        command.Transaction = transaction;
        command.CommandText = sql;
        foreach ((string name, object? value) in parameters)
            command.Parameters.AddWithValue("$" + name, value ?? DBNull.Value);
        return command;
    }

    internal static void Execute(SqliteConnection connection, string sql, SqliteTransaction? transaction = null)
    {
        using SqliteCommand command = Command(connection, transaction, sql);
        command.ExecuteNonQuery();
    }

    /// <summary>Lets go of the file: connections that wait to be used again are closed.</summary>
    public void Dispose()
    {
        using var ofThisFile = new SqliteConnection(connectionString);
        SqliteConnection.ClearPool(ofThisFile);
    }

    internal static long Scalar(SqliteConnection connection, string sql, SqliteTransaction? transaction = null)
    {
        using SqliteCommand command = Command(connection, transaction, sql);
        return (long)command.ExecuteScalar()!;
    }
}
