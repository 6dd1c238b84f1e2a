using Abri.Core.Declared;
using Abri.Core.Stores;

namespace Abri.Server.Calculators;

/// <summary>Input of the calculator <c>packs</c>.</summary>
/// <param name="Question">How much is needed, and in which packs it is sold.</param>
public sealed record PacksInput(PackQuestion Question);

/// <summary>Input of the calculator <c>blade-life</c>.</summary>
/// <param name="Question">The cuts.</param>
public sealed record BladeLifeInput(BladeQuestion Question);

/// <summary>Input of the calculator <c>stock-expiry</c>.</summary>
/// <param name="BoughtOn">When it was bought; null where nobody knows.</param>
/// <param name="ExpiresOn">Last day printed on it; null for none.</param>
/// <param name="OpenedOn">When it was opened; null while it is closed.</param>
/// <param name="ClosedMonths">Months that it keeps closed; null where it keeps.</param>
/// <param name="OpenDays">Days that it keeps opened; null where it keeps.</param>
public sealed record StockExpiryInput(
    [Dated] DateOnly? BoughtOn,
    [Dated] DateOnly? ExpiresOn,
    [Dated] DateOnly? OpenedOn,
    [Within(0, 600, "The shelf life", "months")] int? ClosedMonths,
    [Within(0, 10_000, "The open life", "days")] double? OpenDays
);
