using Abri.Core.Logbook;
using Abri.Core.Stages;
using Microsoft.Data.Sqlite;

namespace Abri.Storage;

/// <summary>A change that somebody made.</summary>
/// <param name="Seq">Its number.</param>
/// <param name="At">When, UTC.</param>
/// <param name="What">What it was, in a few words.</param>
/// <param name="State">Whether it stands: done, undone, or dropped after something else was done instead.</param>
public sealed record Change(long Seq, DateTimeOffset At, string What, ChangeState State);

/// <summary>How a step back or forward in the history ended.</summary>
/// <param name="What">The change that was taken back or done again; null when there was none.</param>
/// <param name="Conflict">Why it could not be; null otherwise.</param>
public sealed record HistoryStep(string? What, string? Conflict = null);

/// <summary>The history of changes, backwards and forwards.</summary>
public sealed class History(Database database)
{
    /// <summary>The newest changes of a scope, newest first.</summary>
    /// <param name="scope">A vehicle's id, or a scope named by a store.</param>
    /// <param name="most">How many at most.</param>
    public IReadOnlyList<Change> Newest(string scope, int most) =>
        database.Query("SELECT * FROM change WHERE scope = $scope ORDER BY seq DESC LIMIT $most", ReadChange, ("scope", scope), ("most", most));

    /// <summary>The changes of a scope that touched one record, newest first.</summary>
    /// <param name="scope">The scope.</param>
    /// <param name="rowId">Id of the record.</param>
    /// <param name="most">How many at most.</param>
    public IReadOnlyList<Change> OfRecord(string scope, string rowId, int most) =>
        database.Query(
            "SELECT * FROM change WHERE scope = $scope AND seq IN (SELECT change_seq FROM change_row WHERE row_id = $row) ORDER BY "
                + "seq DESC LIMIT $most",
            ReadChange,
            ("scope", scope),
            ("row", rowId),
            ("most", most)
        );

    /// <summary>Changes of a scope with the rows that they touched, newest first.</summary>
    /// <param name="scope">The scope.</param>
    /// <param name="filter">Which.</param>
    /// <param name="most">How many at most.</param>
    public IReadOnlyList<KeptChange> Kept(string scope, LogFilter filter, int most)
    {
        string[] conditions =
        [
            "scope = $scope",
            .. filter.Before is null ? Array.Empty<string>() : ["seq < $before"],
            .. filter.By is null ? Array.Empty<string>() : ["by = $by"],
            .. filter.Text is null ? Array.Empty<string>() : ["instr(lower(what), lower($text)) > 0"],
            .. filter.StepsOnly ? new[] { "seq IN (SELECT change_seq FROM change_row WHERE table_name = 'step_done')" } : [],
            // A step points to its job.
            .. filter.RecordId is null
                ? Array.Empty<string>()
                :
                [
                    "seq IN (SELECT change_seq FROM change_row WHERE row_id = $record OR (table_name = 'step_done' AND "
                        + "json_extract(coalesce(after, before), '$.job_id') = $record))",
                ],
        ];
        return database.AtOnce<IReadOnlyList<KeptChange>>(() =>
        {
            var changes = database.Query(
                $"SELECT * FROM change WHERE {string.Join(" AND ", conditions)} ORDER BY seq DESC LIMIT $most",
                row => (Of: ReadChange(row), By: row.MaybeText("by")),
                ("scope", scope),
                ("before", filter.Before),
                ("by", filter.By),
                ("text", filter.Text),
                ("record", filter.RecordId),
                ("most", most)
            );
            ILookup<long, RowChange> rows = database
                .Query(
                    "SELECT * FROM change_row WHERE change_seq IN (SELECT value FROM json_each($seqs)) ORDER BY change_seq, position",
                    row =>
                        (
                            Seq: row.GetInt64(row.GetOrdinal("change_seq")),
                            Row: new RowChange(row.Text("table_name"), row.Text("row_id"), row.MaybeText("before"), row.MaybeText("after"))
                        ),
                    ("seqs", Columns.Json(changes.Select(c => c.Of.Seq)))
                )
                .ToLookup(r => r.Seq, r => r.Row);
            return [.. changes.Select(c => new KeptChange(c.Of.Seq, c.Of.At, c.By, c.Of.What, c.Of.State, [.. rows[c.Of.Seq]]))];
        });
    }

    /// <summary>Who made changes in a scope, by name.</summary>
    public IReadOnlyList<string> People(string scope) =>
        database.Query("SELECT DISTINCT by FROM change WHERE scope = $scope AND by IS NOT NULL ORDER BY by", row => row.Text("by"), ("scope", scope));

    /// <summary>Takes back the last change that stands.</summary>
    public HistoryStep Undo(string scope) => Step(scope, undo: true);

    /// <summary>Does the last change that was taken back again.</summary>
    public HistoryStep Redo(string scope) => Step(scope, undo: false);

    private static Change ReadChange(SqliteDataReader row) =>
        new(row.GetInt64(row.GetOrdinal("seq")), DateTimeOffset.Parse(row.Text("at")), row.Text("what"), row.Enum<ChangeState>("state"));

    private HistoryStep Step(string scope, bool undo)
    {
        try
        {
            using PendingChange pending = database.Begin();
            return new HistoryStep(pending.Step(scope, undo));
        }
        catch (SqliteException e) when (e.SqliteErrorCode == SQLitePCL.raw.SQLITE_CONSTRAINT)
        {
            return new HistoryStep(null, "Something that it refers to has been changed or removed elsewhere since.");
        }
    }
}
