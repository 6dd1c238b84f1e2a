using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Metal;

/// <summary>A sheet or an offcut that is there to be cut from.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Metal">What it is made of.</param>
/// <param name="ThickMm">Thickness, mm.</param>
/// <param name="Outline">Its outline, mm; of an offcut the true one. Its grain or coil runs along s.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record StockSheet(
    [Name] string Name,
    SheetMetal Metal,
    [Within(0.3, 6, "The sheet", "mm")] double ThickMm,
    [Count(3, Limits.MostPoints, "A sheet has 3 to 500 corners.")] IReadOnlyList<PanelPoint> Outline,
    [Notes] string Notes
)
{
    /// <summary>The first contradiction, or null.</summary>
    public static Problem? Check(StockSheet sheet) => Outlines.Check(sheet.Outline, "/outline");
}
