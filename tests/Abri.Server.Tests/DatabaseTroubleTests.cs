using Microsoft.Data.Sqlite;
using static SQLitePCL.raw;

namespace Abri.Server.Tests;

public class DatabaseTroubleTests
{
    [Theory] // Codes of SQLite's own documentation
    [InlineData(SQLITE_BUSY, "database-busy", "close it")]
    [InlineData(SQLITE_READONLY, "database-read-only", "right to write")]
    [InlineData(SQLITE_CANTOPEN, "database-read-only", "right to write")]
    [InlineData(SQLITE_FULL, "disk-full", "make room")]
    [InlineData(SQLITE_CORRUPT, "database-damaged", "backup")]
    [InlineData(SQLITE_IOERR, "database-io", "check the disk")]
    [InlineData(SQLITE_MISUSE, "database", "Nothing was changed")]
    public void Each_trouble_of_the_file_says_what_to_do(int sqlite, string code, string says)
    {
        (string given, string message) = DatabaseTrouble.Of(new SqliteException("as SQLite says it", sqlite));
        Assert.Equal(code, given);
        Assert.Contains(says, message);
        Assert.DoesNotContain("SQLite", message);
    }
}
