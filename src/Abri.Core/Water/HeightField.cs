using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Water;

/// <summary>Heights of the ground on which water runs, on a grid of square cells.</summary>
/// <param name="CellMm">Side of a cell, mm.</param>
/// <param name="Columns">Cells along s.</param>
/// <param name="Rows">Cells along t.</param>
/// <param name="HeightsMm">Heights of the cells' middles, mm: column by column, each from the lowest t; NaN where there is no ground and water falls
/// away.</param>
/// <param name="SMinMm">s of the middle of the first column, mm.</param>
/// <param name="TMinMm">t of the middle of the first row, mm.</param>
public sealed record HeightField(
    [Within(0.1, 10_000, "A cell's side", "mm")] double CellMm,
    [Within(3, 100_000, "The number of columns")] int Columns,
    [Within(3, 100_000, "The number of rows")] int Rows,
    [EachWithin(-1_000_000, 1_000_000, "A height", "mm")] IReadOnlyList<double> HeightsMm,
    [Within(-Limits.LongestMm, Limits.LongestMm, "The first column", "mm")] double SMinMm = 0,
    [Within(-Limits.LongestMm, Limits.LongestMm, "The first row", "mm")] double TMinMm = 0
)
{
    /// <summary>The middle of a cell.</summary>
    internal PanelPoint At(int cell) => new(SMinMm + (cell / Rows * CellMm), TMinMm + (cell % Rows * CellMm));

    /// <summary>The cells whose middles lie in a rectangle.</summary>
    internal IEnumerable<int> Within(PanelBox box)
    {
        (int c1, int c2) = ((int)Math.Ceiling((box.SMinMm - SMinMm) / CellMm), (int)Math.Floor((box.SMaxMm - SMinMm) / CellMm));
        (int r1, int r2) = ((int)Math.Ceiling((box.TMinMm - TMinMm) / CellMm), (int)Math.Floor((box.TMaxMm - TMinMm) / CellMm));
        for (int c = Math.Max(0, c1); c <= Math.Min(Columns - 1, c2); c++)
        {
            for (int r = Math.Max(0, r1); r <= Math.Min(Rows - 1, r2); r++)
                yield return (c * Rows) + r;
        }
    }
}
