using Abri.Core;
using Abri.Core.Shell;
using Abri.Server.Api;
using Abri.Storage;
using Abri.Storage.Shell;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Abri.Server.Shell;

/// <summary>What all records on a panel do alike.</summary>
internal static class PanelRecords
{
    /// <summary>Adds, reads, replaces and removes records that lie on a panel.</summary>
    /// <param name="vehicle">The addresses of a vehicle.</param>
    /// <param name="name">Name of the record.</param>
    /// <param name="check">Says what a value contradicts on its panel, or null.</param>
    /// <param name="inStore">Says what it contradicts in what else is kept, or null; nothing else as a rule.</param>
    public static void MapOnPanel<T, TStore>(
        this RouteGroupBuilder vehicle,
        string name,
        Func<Panel, T, Problem?> check,
        Func<TStore, string, T, Problem?>? inStore = null
    )
        where T : notnull
        where TStore : Store<T>
    {
        vehicle
            .MapPost(
                $"/panels/{{panelId}}/{name}s",
                Results<Ok<Stored<T>>, ProblemHttpResult> (string panelId, T value, HttpContext context, PanelStore panels, TStore store) =>
                {
                    if (ShellEndpoints.Owned(context, panels.Find(panelId)) is not { } panel)
                        return Problems.NoPanel();
                    return (check(panel.Value, value) ?? inStore?.Invoke(store, panelId, value)) is { } problem
                        ? Problems.Of(problem)
                        : RecordEndpoints.Answer(context, store.Add(panelId, value));
                }
            )
            .Validate<T>()
            .WithName($"{name}-add");
        vehicle
            .MapGroup($"/{name}s/{{id}}")
            .MapRecord<T, TStore>(
                name,
                (context, store, id) => ShellEndpoints.OnOwnPanel(context, store.Find(id)),
                (context, row, value) =>
                    check(ShellEndpoints.PanelOf(context, row.OwnerId!), value)
                    ?? inStore?.Invoke(context.RequestServices.GetRequiredService<TStore>(), row.OwnerId!, value)
            );
    }

    /// <summary>What mends findings mends those of its own panel.</summary>
    public static Problem? KnowsFindings<T>(MendingStore<T> store, string panelId, T value)
        where T : notnull =>
        store.UnknownFinding(panelId, value) is not null
            ? new Problem("finding-unknown", "/findingIds", "A finding that this fixes is not on its panel any more.")
            : null;
}
