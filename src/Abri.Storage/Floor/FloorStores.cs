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
    internal void Insert(PendingChange pending, string panelId, FloorRecord floor, Dictionary<string, string> findingIds)
    {
        foreach (Core.Floor.Probe probe in floor.Probes)
            Probes.Insert(pending, panelId, probe);
        foreach (Core.Floor.Board board in floor.Boards)
            Boards.Insert(pending, panelId, board);
        foreach (Core.Floor.Replacement replacement in floor.Replacements)
            Replacements.Insert(pending, panelId, replacement with { FindingIds = [.. replacement.FindingIds.Select(key => findingIds[key])] });
        foreach (Core.Linings.Lining lining in floor.Linings ?? [])
            Linings.Insert(pending, panelId, lining);
    }
}
