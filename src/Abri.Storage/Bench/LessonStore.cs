using Abri.Core.Bench;
using Abri.Core.Work;
using Abri.Storage.Openings;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Bench;

/// <summary>Keeps what was learned at steps, which all vehicles share.</summary>
public sealed class LessonStore(Database database) : Store<Lesson>(database, "lesson", null)
{
    /// <summary>Adds lessons as part of a larger change; what was worked out of any vehicle is out of date with them.</summary>
    internal void Insert(PendingChange pending, IReadOnlyList<Lesson> lessons)
    {
        foreach (Lesson lesson in lessons)
            Insert(pending, null, lesson);
        if (lessons.Count > 0)
            pending.Shares(FittingStore.CatalogueScope);
    }

    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(Lesson value) =>
        new Dictionary<string, object?>
        {
            ["kind"] = value.Kind,
            ["key"] = value.Key,
            ["job_kind"] = Storage.Columns.Name(value.Job.Kind),
            ["job_id"] = value.Job.Id,
            ["of_what"] = value.Of,
            ["learned_on"] = Storage.Columns.MaybeDate(value.On),
            ["what"] = value.What,
            ["prevention"] = value.Prevention,
        };

    /// <inheritdoc/>
    protected override Lesson Read(SqliteDataReader row) =>
        new(
            row.Text("kind"),
            row.Text("key"),
            new Job(row.Enum<JobKind>("job_kind"), row.Text("job_id")),
            row.Text("of_what"),
            row.MaybeDate("learned_on")!.Value,
            row.Text("what"),
            row.Text("prevention")
        );

    /// <inheritdoc/>
    protected override string Title(Lesson value) => value.What;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => FittingStore.CatalogueScope;
}
