using Abri.Core.Declared;
using Abri.Core.Work;

namespace Abri.Core.Stores;

/// <summary>Something that is there to work with.</summary>
/// <param name="MaterialId">Which material: see <see cref="Work.Material.Id"/>.</param>
/// <param name="Name">What the material is called.</param>
/// <param name="Kind">Its kind.</param>
/// <param name="Unit">What it is counted in.</param>
/// <param name="Pack">What one pack holds, in that unit; null where it is not sold by the pack.</param>
/// <param name="Amount">How much is there, in that unit; 0 once it is used up: its batch is still known.</param>
/// <param name="Place">Where it lies.</param>
/// <param name="BoughtOn">When it was bought; null where it is not known.</param>
/// <param name="ExpiresOn">Last day that is printed on it, as long as it is closed; null where none is.</param>
/// <param name="OpenedOn">When it was opened; null while it is closed.</param>
/// <param name="Batch">Its batch.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record StockItem(
    [Name(120)] string MaterialId,
    [Name(120)] string Name,
    MaterialKind Kind,
    Unit Unit,
    [Within(0.01, 10_000_000, "A pack")] double? Pack,
    [Within(0, 10_000_000, "The amount")] double Amount,
    [Letters(80, "Where it lies has at most 80 characters.")] string Place,
    [Dated] DateOnly? BoughtOn,
    [Dated] DateOnly? ExpiresOn,
    [Dated] DateOnly? OpenedOn,
    [Letters(80, "A batch has at most 80 characters.")] string Batch,
    [Notes] string Notes
) : IConsistent
{
    (string Field, string Message)? IConsistent.Contradiction() =>
        ExpiresOn < BoughtOn ? ("expiresOn", "It expired before it was bought: look at the dates, or take it back.")
        : OpenedOn < BoughtOn ? ("openedOn", "It was opened before it was bought: look at the dates.")
        : null;

    /// <summary>The material.</summary>
    internal Material Material => new(MaterialId, Name, Kind, Unit, Pack);
}
