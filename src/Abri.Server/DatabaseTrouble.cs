using Microsoft.Data.Sqlite;
using static SQLitePCL.raw;

namespace Abri.Server;

/// <summary>Says in plain words why the database could not be used.</summary>
internal static class DatabaseTrouble
{
    /// <summary>A stable code and a sentence that a person can act on.</summary>
    public static (string Code, string Message) Of(SqliteException e) =>
        e.SqliteErrorCode switch
        {
            SQLITE_BUSY or SQLITE_LOCKED => ("database-busy", "Another program holds the data file. Nothing was changed; close it and try again."),
            SQLITE_READONLY or SQLITE_PERM or SQLITE_AUTH or SQLITE_CANTOPEN => (
                "database-read-only",
                "The data file cannot be written. Nothing was changed; give this user the right to write the data folder."
            ),
            SQLITE_FULL => (DiskTrouble.Full, "The disk is full. Nothing was changed; make room and try again."),
            SQLITE_CORRUPT or SQLITE_NOTADB => ("database-damaged", "The data file is damaged or is not one of Abri's. Put a backup in its place."),
            SQLITE_IOERR => ("database-io", "The disk could not be read or written. Nothing was changed; check the disk and try again."),
            _ => ("database", "The data file refused the change. Nothing was changed."),
        };
}
