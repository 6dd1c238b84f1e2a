using Abri.Core;
using Abri.Core.Shell;

namespace Abri.Storage;

/// <summary>Keeps records that mend findings of their panel: the findings follow their state.</summary>
/// <param name="database">The database.</param>
/// <param name="table">Name of the table; it has columns <c>state</c> and <c>finding_ids</c>.</param>
public abstract class MendingStore<T>(Database database, string table) : Store<T>(database, table, "panel_id")
    where T : notnull
{
    /// <summary>All tables whose rows mend findings.</summary>
    private static readonly string[] Tables = ["repair", "replacement"];

    private readonly string table = table;

    /// <summary>Ids of the findings that a record mends.</summary>
    private protected abstract IReadOnlyList<string> FindingIds(T value);

    /// <summary>The record, mending one finding less.</summary>
    private protected abstract T Without(T value, string findingId);

    /// <summary>What state a record leaves its findings in, by itself.</summary>
    private protected abstract FindingState Leaves(T value);

    /// <summary>The first finding that a record names and that is not on its panel, or null.</summary>
    public string? UnknownFinding(string panelId, T value)
    {
        HashSet<string> known = [.. Database.Query("SELECT id FROM finding WHERE panel_id = $panel", row => row.Text("id"), ("panel", panelId))];
        return FindingIds(value).FirstOrDefault(id => !known.Contains(id));
    }

    /// <summary>A finding is planned as soon as something mends it, and done when the last of all is.</summary>
    private protected override void Kept(PendingChange pending, string id, T? before, T after)
    {
        if (before is not null && Leaves(before) == Leaves(after) && FindingIds(before).SequenceEqual(FindingIds(after)))
            return;
        foreach (string finding in FindingIds(after))
        {
            FindingState[] all = [.. Others(finding, id), Leaves(after)];
            FindingState state =
                all.Contains(FindingState.Planned) ? FindingState.Planned
                : all.Contains(FindingState.Watch) ? FindingState.Watch
                : FindingState.Done;
            pending.Update("finding", finding, new Dictionary<string, object?> { ["state"] = Storage.Columns.Name(state) });
        }
    }

    /// <summary>Lets records stand by themselves when what they mend is taken out.</summary>
    internal void LetGo(PendingChange pending, string findingId)
    {
        foreach (Stored<T> row in AllWhere($"EXISTS ({Named})", ("finding", findingId)))
            pending.Update(table, row.Id, Columns(Without(row.Value, findingId)));
    }

    private const string Named = "SELECT 1 FROM json_each(finding_ids) WHERE value = $finding";

    /// <summary>What state everything else that mends a finding leaves it in.</summary>
    private IEnumerable<FindingState> Others(string findingId, string id) =>
        Tables
            .SelectMany(other =>
                Database.Query(
                    $"SELECT state FROM {other} WHERE id <> $id AND EXISTS ({Named})",
                    row => row.Text("state"),
                    ("id", id),
                    ("finding", findingId)
                )
            )
            // What is begun counts as planned.
            .Select(state => Enum.TryParse(state, true, out FindingState known) ? known : FindingState.Planned);
}
