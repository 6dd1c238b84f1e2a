using System.Globalization;
using System.Reflection;
using Microsoft.Data.Sqlite;

namespace Abri.Storage;

/// <summary>Brings a database file up to the tables of this program, one numbered step at a time.</summary>
internal static class Migrations
{
    /// <summary>Applies what is missing; each step is one transaction. Returns the version reached.</summary>
    public static int Apply(SqliteConnection connection, string file)
    {
        List<(int Number, string Sql)> steps = Steps();
        int newest = steps[^1].Number,
            version = (int)Database.Scalar(connection, "PRAGMA user_version");
        if (version > newest)
            throw new StorageException(
                $"{file} was written by a newer Abri (version {version}; this one knows {newest}). Start the newer program, or "
                    + "choose another folder with --data."
            );
        if (version == 0 && Database.Scalar(connection, "SELECT count(*) FROM sqlite_schema") > 0)
            throw new StorageException($"{file} is not a database of Abri. Choose another folder with --data.");
        if (version > 0 && version < newest)
            Keep(connection, $"{file}.before-{newest:0000}");

        // A table that is made anew is dropped while others refer to it; what they refer to is checked before each step is kept.
        Database.Execute(connection, "PRAGMA foreign_keys=OFF");
        foreach ((int number, string sql) in steps.Where(s => s.Number > version))
        {
            using SqliteTransaction transaction = connection.BeginTransaction();
            Database.Execute(connection, sql, transaction);
            if (Database.Scalar(connection, "SELECT count(*) FROM pragma_foreign_key_check", transaction) > 0)
                throw new StorageException(
                    $"{file} holds records that refer to others which are not there. Nothing was changed; put a backup in its place."
                );
            Database.Execute(connection, $"PRAGMA user_version = {number}", transaction);
            transaction.Commit();
        }
        Database.Execute(connection, "PRAGMA foreign_keys=ON");
        return newest;
    }

    private static void Keep(SqliteConnection connection, string copy)
    {
        if (File.Exists(copy))
            return;
        using SqliteCommand command = Database.Command(connection, null, "VACUUM INTO $copy", ("copy", copy));
        command.ExecuteNonQuery();
    }

    private static List<(int Number, string Sql)> Steps()
    {
        Assembly assembly = typeof(Migrations).Assembly;
        const string folder = "Abri.Storage.Migrations.";
        return
        [
            .. assembly
                .GetManifestResourceNames()
                .Where(n => n.StartsWith(folder, StringComparison.Ordinal))
                .Order(StringComparer.Ordinal)
                .Select(name =>
                {
                    using var reader = new StreamReader(assembly.GetManifestResourceStream(name)!);
                    return (int.Parse(name.AsSpan(folder.Length, 4), CultureInfo.InvariantCulture), reader.ReadToEnd());
                }),
        ];
    }
}
