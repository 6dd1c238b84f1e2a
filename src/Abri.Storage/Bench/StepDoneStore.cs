using Abri.Core.Bench;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Core.Weather;
using Abri.Core.Work;
using Abri.Storage.Floor;
using Abri.Storage.Metal;
using Abri.Storage.Openings;
using Abri.Storage.Shell;
using Abri.Storage.Stores;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Bench;

/// <summary>Keeps the steps that are done, and changes with them what they bear on.</summary>
public sealed class StepDoneStore(
    Database database,
    OpeningStore openings,
    RepairStore repairs,
    FloorStores floors,
    FindingStore findings,
    LessonStore lessons,
    StockStore stock
) : Store<StepDone>(database, "step_done", "vehicle_id")
{
    /// <summary>Keeps a step with what it changes, in one change; a step is done once.</summary>
    public Written<StepDone> Do(string vehicleId, BenchChange change)
    {
        string? id = null;
        WriteState state = Guarded(out string? message, pending =>
        {
            bool stands =
                openings.Follow(pending, change.Opening)
                && repairs.Follow(pending, change.Repair)
                && floors.Replacements.Follow(pending, change.Replacement)
                && floors.Linings.Follow(pending, change.Lining)
                && stock.Take(pending, vehicleId, change.Taken);
            if (!stands)
                return WriteState.Stale;
            id = Insert(pending, vehicleId, change.Done);
            lessons.Insert(pending, change.Lessons ?? []);
            pending.Commit(vehicleId, $"Done: {change.Done.Title}", change.Done.Report.By);
            return WriteState.Done;
        });
        return new Written<StepDone>(state, state == WriteState.Done ? Find(id!) : null, message);
    }

    /// <summary>Keeps what went wrong at a step as a finding, with what was learned, in one change.</summary>
    public Written<Finding> Keep(string vehicleId, ProblemChange change)
    {
        string? id = null;
        WriteState state = Guarded(out string? message, pending =>
        {
            id = findings.Insert(pending, change.PanelId, change.Finding);
            lessons.Insert(pending, change.Lesson is null ? [] : [change.Lesson]);
            pending.Commit(vehicleId, $"Added {change.Finding.Name}", change.Finding.SeenBy);
            return WriteState.Done;
        });
        return new Written<Finding>(state, state == WriteState.Done ? findings.Find(id!) : null, message);
    }

    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(StepDone value) =>
        new Dictionary<string, object?>
        {
            ["job_kind"] = Storage.Columns.Name(value.Job.Kind),
            ["job_id"] = value.Job.Id,
            ["key"] = value.Key,
            ["title"] = value.Title,
            ["shell"] = Storage.Columns.Name(value.Shell),
            ["at"] = Storage.Columns.MaybeTime(value.At),
            ["counted"] = Storage.Columns.Json(value.Counted),
            ["report"] = Storage.Columns.Json(value.Report),
            ["weather"] = Storage.Columns.MaybeJson(value.Weather),
        };

    /// <inheritdoc/>
    protected override StepDone Read(SqliteDataReader row) =>
        new(
            new Job(row.Enum<JobKind>("job_kind"), row.Text("job_id")),
            row.Text("key"),
            row.Text("title"),
            row.Enum<ShellChange>("shell"),
            row.MaybeTime("at")!.Value,
            row.Json<Minutes>("counted"),
            row.Json<StepReport>("report"),
            row.MaybeJson<WeatherHour>("weather")
        );

    /// <inheritdoc/>
    protected override string Title(StepDone value) => value.Title;

    /// <inheritdoc/>
    protected override string Scope(string? ownerId, string id) => ownerId!;
}
