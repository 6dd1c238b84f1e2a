using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>A cross-section of a panel, measured with a straight-edge laid across it and a depth gauge.</summary>
/// <param name="StationMm">Where along s it was taken, mm.</param>
/// <param name="Readings">Depths below the straight-edge, by t.</param>
/// <param name="StraightEdgeMm">Height of the straight-edge at this station above the panel's datum plane, mm; 0 where it was not measured.</param>
public sealed record SurfaceSection(
    [Within(-Limits.LongestMm, Limits.LongestMm, "The station", "mm")] double StationMm,
    [Count(2, DepthPairs.Most, "A section has {0} to {1} readings.")] IReadOnlyList<DepthReading> Readings,
    [Within(-2000, 2000, "The straight-edge's height", "mm")] double StraightEdgeMm = 0
);

/// <summary>One reading of a depth gauge.</summary>
/// <param name="TMm">Where across the panel, mm.</param>
/// <param name="DepthMm">How far the skin lies below the straight-edge, mm.</param>
public readonly record struct DepthReading(
    [Within(-Limits.LongestMm, Limits.LongestMm, "A place across", "mm")] double TMm,
    [Within(-1000, 1000, "A depth", "mm")] double DepthMm
);

/// <summary>A grid of places, square to a panel.</summary>
/// <param name="Area">The area; both its edges carry places.</param>
/// <param name="Columns">Places along s.</param>
/// <param name="Rows">Places along t.</param>
public readonly record struct SurfaceGrid(PanelBox Area, int Columns, int Rows)
{
    /// <summary>The s of a column, mm.</summary>
    public double SMm(int column) => Area.SMinMm + (Area.WidthMm * column / Math.Max(1, Columns - 1));

    /// <summary>The t of a row, mm.</summary>
    public double TMm(int row) => Area.TMinMm + (Area.HeightMm * row / Math.Max(1, Rows - 1));
}
