using Abri.Core.Declared;

namespace Abri.Core.Floor;

/// <summary>Boards or offcuts that are there to be cut from.</summary>
/// <param name="Name">What people call them.</param>
/// <param name="Material">What they are made of.</param>
/// <param name="ThickMm">Thickness, mm.</param>
/// <param name="LengthMm">Length, along the grain, mm.</param>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="Count">How many equal ones.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record StockBoard(
    [Name] string Name,
    BoardMaterial Material,
    [Within(2, 60, "The board", "mm")] double ThickMm,
    [Within(50, 6000, "The length of a board", "mm")] double LengthMm,
    [Within(50, 3000, "The width of a board", "mm")] double WidthMm,
    [Within(1, 60, "The number of equal boards")] int Count,
    [Notes] string Notes
);
