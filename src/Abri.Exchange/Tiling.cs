using Abri.Core.Geometry;

namespace Abri.Exchange;

/// <summary>One page's part of a drawing.</summary>
/// <param name="Row">Row from the top, from 0.</param>
/// <param name="Column">Column from the left, from 0.</param>
/// <param name="Area">What it shows, in the drawing's coordinates, mm.</param>
public sealed record Tile(int Row, int Column, PanelBox Area)
{
    /// <summary>Name of the page on the map: A1 at the top left, B1 below it.</summary>
    public string Name => $"{(char)('A' + Row)}{Column + 1}";
}

/// <summary>
/// Cuts a drawing into pages at 1:1 that overlap, so that neighbours can be laid over each other on their registration crosses.
/// </summary>
/// <remarks>
/// Crosses stand in the four corners of each page, half the overlap in from its frame; where two pages meet, both show the same
/// crosses at the same place of the drawing.
/// </remarks>
public sealed class Tiling
{
    /// <summary>Width shared by neighbouring pages, mm.</summary>
    public const double OverlapMm = 12;

    private Tiling(double widthMm, double heightMm, int rows, int columns, IReadOnlyList<Tile> tiles) =>
        (TileWidthMm, TileHeightMm, Rows, Columns, Tiles) = (widthMm, heightMm, rows, columns, tiles);

    /// <summary>Width of a page's part, mm.</summary>
    public double TileWidthMm { get; }

    /// <summary>Height of a page's part, mm.</summary>
    public double TileHeightMm { get; }

    /// <summary>Rows of pages.</summary>
    public int Rows { get; }

    /// <summary>Columns of pages.</summary>
    public int Columns { get; }

    /// <summary>The pages, row by row.</summary>
    public IReadOnlyList<Tile> Tiles { get; }

    /// <summary>Cuts what lies in <paramref name="area"/> into parts of a given size, centred on it.</summary>
    public static Tiling Of(PanelBox area, double tileWidthMm, double tileHeightMm)
    {
        int columns = Count(area.WidthMm, tileWidthMm),
            rows = Count(area.HeightMm, tileHeightMm);
        double width = Covered(columns, tileWidthMm),
            height = Covered(rows, tileHeightMm);
        double left = area.Centre.SMm - (width / 2),
            top = area.Centre.TMm + (height / 2);
        var tiles = new List<Tile>();
        for (int row = 0; row < rows; row++)
        {
            for (int column = 0; column < columns; column++)
            {
                double x = left + (column * (tileWidthMm - OverlapMm)),
                    y = top - (row * (tileHeightMm - OverlapMm));
                tiles.Add(new Tile(row, column, new PanelBox(x, x + tileWidthMm, y - tileHeightMm, y)));
            }
        }
        return new Tiling(tileWidthMm, tileHeightMm, rows, columns, tiles);
    }

    private static int Count(double length, double tile) => Math.Max(1, (int)Math.Ceiling((length - OverlapMm) / (tile - OverlapMm)));

    private static double Covered(int count, double tile) => (count * (tile - OverlapMm)) + OverlapMm;
}
