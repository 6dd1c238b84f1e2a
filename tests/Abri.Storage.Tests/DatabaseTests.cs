using Microsoft.Data.Sqlite;

namespace Abri.Storage.Tests;

public sealed class DatabaseTests : IDisposable
{
    private readonly Scratch scratch = new();

    public void Dispose() => scratch.Dispose();

    [Fact]
    public void A_file_opens_again_with_what_it_held()
    {
        scratch.Filled();
        string[] before = scratch.Rows();
        using var again = Database.Open(scratch.File, TimeProvider.System);
        Assert.Equal(before, scratch.Rows());
        Assert.True(scratch.Database.IsReady());
    }

    [Fact]
    public void Every_connection_syncs_on_commit_and_checks_references()
    {
        using SqliteConnection connection = scratch.Database.Connect();
        Assert.Equal(2, Database.Scalar(connection, "PRAGMA synchronous"));
        Assert.Equal(1, Database.Scalar(connection, "PRAGMA foreign_keys"));
        using SqliteCommand mode = Database.Command(connection, null, "PRAGMA journal_mode");
        Assert.Equal("wal", mode.ExecuteScalar());
    }

    [Fact]
    public void A_file_of_a_newer_program_is_refused_with_advice_and_left_alone()
    {
        Execute("PRAGMA user_version = 9999");
        var refused = Assert.Throws<StorageException>(() => Database.Open(scratch.File, TimeProvider.System));
        Assert.Contains("newer Abri", refused.Message);
    }

    [Fact]
    public void Somebody_else_s_database_is_refused()
    {
        string file = Path.Combine(scratch.Folder, "other.db");
        using (var other = new SqliteConnection($"Data Source={file}"))
        {
            other.Open();
            Database.Execute(other, "CREATE TABLE recipes (id INTEGER)");
        }
        Assert.Throws<StorageException>(() => Database.Open(file, TimeProvider.System));
    }

    [Fact]
    public void A_file_that_is_no_database_is_refused()
    {
        string file = Path.Combine(scratch.Folder, "text.db");
        File.WriteAllText(file, new string('x', 5000));
        Assert.Throws<SqliteException>(() => Database.Open(file, TimeProvider.System));
    }

    [Fact]
    public void While_another_program_holds_the_file_a_write_gives_up_and_nothing_is_lost()
    {
        scratch.Filled();
        string[] before = scratch.Rows();
        using var other = new SqliteConnection($"Data Source={scratch.File}");
        other.Open();
        Database.Execute(other, "BEGIN IMMEDIATE");
        var busy = Assert.Throws<SqliteException>(() => scratch.Vehicles.Add(null, Scratch.Van with { Name = "Plover" }));
        Assert.Equal(SQLitePCL.raw.SQLITE_BUSY, busy.SqliteErrorCode);
        Assert.Equal(before, scratch.Rows());
        Database.Execute(other, "ROLLBACK");
        Assert.Equal(WriteState.Done, scratch.Vehicles.Add(null, Scratch.Van with { Name = "Plover" }).State);
    }

    [Fact]
    public void A_disk_without_room_ends_a_write_and_nothing_is_lost()
    {
        scratch.Filled();
        // The pool hands the same connection out again, and with it the limit that stands for the end of the disk.
        using (SqliteConnection connection = scratch.Database.Connect())
            Database.Execute(connection, $"PRAGMA max_page_count = {Database.Scalar(connection, "PRAGMA page_count") + 2}");
        int written = 0;
        string[] before = [];
        var full = Assert.Throws<SqliteException>(() =>
        {
            for (; written < 1000; written++)
            {
                before = scratch.Rows();
                scratch.Vehicles.Add(null, Scratch.Van with { Name = $"Plover {written}", Notes = new string('n', 900) });
            }
        });
        Assert.Equal(SQLitePCL.raw.SQLITE_FULL, full.SqliteErrorCode);
        Assert.Equal(before, scratch.Rows());
        Execute("PRAGMA max_page_count = 1000000");
        Assert.Equal(WriteState.Done, scratch.Vehicles.Add(null, Scratch.Van with { Name = "Room again" }).State);
    }

    [Fact]
    public void Letting_go_of_one_database_leaves_another_alone()
    {
        Execute("PRAGMA cache_size = 123");
        using (var other = Database.Open(Path.Combine(scratch.Folder, "other.db"), TimeProvider.System))
            Assert.True(other.IsReady());
        using SqliteConnection kept = scratch.Database.Connect();
        Assert.Equal(123, Database.Scalar(kept, "PRAGMA cache_size"));
    }

    [Fact]
    public void A_file_that_may_not_be_written_can_still_be_read()
    {
        var (vehicle, _, _, _, _) = scratch.Filled();
        string[] before = scratch.Rows();
        Execute("PRAGMA query_only = 1");
        Assert.Equal(
            SQLitePCL.raw.SQLITE_READONLY,
            Assert
                .Throws<SqliteException>(() => scratch.Vehicles.Replace(vehicle.Id, vehicle.Version, vehicle.Value with { Notes = "changed" }))
                .SqliteErrorCode
        );
        Assert.Equal(vehicle.Value, scratch.Vehicles.Find(vehicle.Id)!.Value);
        Execute("PRAGMA query_only = 0");
        Assert.Equal(before, scratch.Rows());
    }

    [Fact]
    public void A_second_program_cannot_claim_the_same_folder()
    {
        using var first = DataFolder.Claim(Path.Combine(scratch.Folder, "data"));
        Assert.Contains("another running Abri", Assert.Throws<StorageException>(() => DataFolder.Claim(first.Path)).Message);
    }

    private void Execute(string sql)
    {
        using SqliteConnection connection = scratch.Database.Connect();
        Database.Execute(connection, sql);
    }
}
