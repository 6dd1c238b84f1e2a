using Abri.Core.Record;

namespace Abri.Storage.Floor;

/// <summary>The stores of the wood of panels, taken together.</summary>
/// <param name="Probes">Places that were tapped, pricked or metered.</param>
/// <param name="Boards">Boards as they lie.</param>
/// <param name="Replacements">Bad wood that is replaced.</param>
/// <param name="Linings">Boards that hide panels from inside.</param>
/// <param name="Stock">Boards and offcuts to cut from.</param>
public sealed record FloorStores(ProbeStore Probes, BoardStore Boards, ReplacementStore Replacements, LiningStore Linings, StockBoardStore Stock)
{
    /// <summary>Adds all of it to a panel as part of a larger change.</summary>
    /// <param name="pending">The change.</param>
    /// <param name="panelId">The panel.</param>
    /// <param name="floor">What is added.</param>
    /// <param name="findingIds">Ids of the panel's findings by their keys.</param>
    /// <returns>Ids of the replacements, and of the linings, in their order.</returns>
    internal (string[] Replacements, string[] Linings) Insert(
        PendingChange pending,
        string panelId,
        FloorRecord floor,
        Dictionary<string, string> findingIds
    )
    {
        foreach (Core.Floor.Probe probe in floor.Probes)
            Probes.Insert(pending, panelId, probe);
        foreach (Core.Floor.Board board in floor.Boards)
            Boards.Insert(pending, panelId, board);
        return (
            [
                .. floor.Replacements.Select(r =>
                    Replacements.Insert(pending, panelId, r with { FindingIds = [.. r.FindingIds.Select(key => findingIds[key])] })
                ),
            ],
            [.. (floor.Linings ?? []).Select(l => Linings.Insert(pending, panelId, l))]
        );
    }
}
