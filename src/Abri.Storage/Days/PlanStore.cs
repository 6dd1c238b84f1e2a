using Abri.Core.Days.Planning;
using Microsoft.Data.Sqlite;

namespace Abri.Storage.Days;

/// <summary>Keeps the last plan of each vehicle.</summary>
public sealed class PlanStore(Database database) : LastOneStore<KeptPlan>(database, "plan")
{
    /// <inheritdoc/>
    protected override IReadOnlyDictionary<string, object?> Columns(KeptPlan value) =>
        new Dictionary<string, object?>
        {
            ["made_at"] = Storage.Columns.MaybeTime(value.MadeAt),
            ["verdict"] = value.Verdict,
            ["proven"] = value.IsProven,
            ["tasks"] = Storage.Columns.Json(value.Tasks),
            ["unplanned"] = Storage.Columns.Json(value.Unplanned),
            ["warnings"] = Storage.Columns.Json(value.Warnings),
            ["marks"] = Storage.Columns.Json(value.Marks),
            ["overruled"] = Storage.Columns.Json(value.Overruled),
            ["moves"] = Storage.Columns.Json(value.Moves),
        };

    /// <inheritdoc/>
    protected override KeptPlan Read(SqliteDataReader row) =>
        new(
            row.MaybeTime("made_at")!.Value,
            row.Text("verdict"),
            row.Int("proven") == 1,
            row.Json<KeptTask[]>("tasks"),
            row.Json<KeptUnplanned[]>("unplanned"),
            row.Json<string[]>("warnings"),
            row.Json<TaskMark[]>("marks"),
            row.Json<Overruled[]>("overruled"),
            row.Json<TaskMove[]>("moves")
        );

    /// <inheritdoc/>
    protected override string Title(KeptPlan value) => "plan";
}
