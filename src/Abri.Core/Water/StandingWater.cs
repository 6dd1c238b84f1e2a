using System.Runtime.CompilerServices;
using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Water;

/// <summary>Something that stands on the roof and dams water up: a flange with its bedding and what it carries.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Edge">Its edge on the roof.</param>
/// <param name="StandsMm">How far it stands above the highest skin under it, mm.</param>
public sealed record Dam(
    [Name] string Name,
    [Enclosing("The edge of what stands on the roof")] PanelBox Edge,
    [Within(0, 1000, "How far it stands above the skin", "mm")] double StandsMm
)
{
    /// <summary>How far a flange with its lid stands above the skin where nobody measured it, mm: assumption.</summary>
    public const double UsualStandsMm = 30;
}

/// <summary>Water that stands in a hollow.</summary>
/// <param name="Number">1 for the one with most water.</param>
/// <param name="Deepest">Its deepest place.</param>
/// <param name="DepthMm">Depth there, mm.</param>
/// <param name="AreaM2">Its area, m2.</param>
/// <param name="Litres">How much water, l.</param>
/// <param name="Around">The smallest rectangle around it.</param>
public sealed record Pond(int Number, PanelPoint Deepest, double DepthMm, double AreaM2, double Litres, PanelBox Around);

/// <summary>Water against the edge of something on the roof.</summary>
/// <param name="Name">What it stands against.</param>
/// <param name="DepthMm">Greatest depth, mm; 0 where none stands.</param>
/// <param name="WetShare">Share of the edge's length at which water stands.</param>
public sealed record WaterAtDam(string Name, double DepthMm, double WetShare);

/// <summary>By which edge of the panel what share of its rain leaves.</summary>
/// <param name="Front">Over the front edge.</param>
/// <param name="Rear">Over the rear edge.</param>
/// <param name="Left">Over the left edge (top of a wall).</param>
/// <param name="Right">Over the right edge (foot of a wall).</param>
public sealed record Runoff(double Front, double Rear, double Left, double Right);

/// <summary>Where water stands.</summary>
/// <param name="CellMm">Side of a cell, mm.</param>
/// <param name="Columns">Cells along s.</param>
/// <param name="Rows">Cells along t.</param>
/// <param name="SMinMm">s of the middle of the first column, mm.</param>
/// <param name="TMinMm">t of the middle of the first row, mm.</param>
/// <param name="DepthsMm">Depths, mm to a tenth, column by column; 0 where it is dry.</param>
/// <param name="PathShares">Share of the panel's rain that runs through each cell, to a thousandth.</param>
/// <param name="Ponds">The ponds, most water first.</param>
/// <param name="Dams">Water against what stands on the roof.</param>
/// <param name="Runoff">Where the rain leaves.</param>
/// <param name="Litres">All the water that stands, l.</param>
/// <param name="Gutters">What rain gutters take, and where they spill.</param>
public sealed record WaterMap(
    double CellMm,
    int Columns,
    int Rows,
    double SMinMm,
    double TMinMm,
    IReadOnlyList<double> DepthsMm,
    IReadOnlyList<double> PathShares,
    IReadOnlyList<Pond> Ponds,
    IReadOnlyList<WaterAtDam> Dams,
    Runoff Runoff,
    double Litres,
    IReadOnlyList<GutterFlow> Gutters
);

/// <summary>What a rain gutter takes.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Share">Share of the roof's rain that runs into it.</param>
/// <param name="SpillsAt">Its low end, where it spills; null where it is level and spills over all along.</param>
public sealed record GutterFlow(string Name, double Share, PanelPoint? SpillsAt);

/// <summary>A rain gutter at the edge of a roof as it is parked.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Reach">What lies over it.</param>
/// <param name="LowEnd">Its low end; null where it is level.</param>
internal sealed record Gutter(string Name, PanelBox Reach, PanelPoint? LowEnd);

/// <summary>
/// Finds where rain stands on a height field, how deep, and which way the rest runs off.
/// </summary>
/// <remarks>
/// The field is filled to the brim (<see cref="FilledField"/>); what lies between ground and level is water. Ponds shallower than
/// <see cref="FilmMm"/> are a wet film and left out.
/// The rest runs off down the steepest slope (<see cref="RunningOff"/>). Evaporation, wind and the bow wave of driving are left out.
/// </remarks>
/// <example>A bowl that is the cap of a sphere, 400 mm wide and 10 mm deep, holds pi h (3 a^2 + h^2) / 6 = 0.629 l.</example>
public static class StandingWater
{
    /// <summary>Water shallower than this is a film that dries off, mm: assumption.</summary>
    public const double FilmMm = 0.3;

    /// <summary>Less than this share of the rain makes no path that is shown: assumption.</summary>
    public const double PathShare = 0.01;

    /// <summary>Most cells of a field.</summary>
    public const int MostCells = 500_000;

    /// <summary>Most ponds that are told apart; the smallest of more are left out of the list, not of the litres.</summary>
    public const int MostPonds = 40;

    /// <summary>Finds the water on a field of heights.</summary>
    public static Result<Worked<WaterMap>> On(HeightField field)
    {
        if (Check(field) is { } problem)
            return problem;
        return On(field, [], [], new Worksheet());
    }

    internal static Problem? Check(HeightField field)
    {
        if (field.Columns < 3 || field.Rows < 3)
            return new Problem("grid-too-small", "/grid", "A grid has at least 3 columns and 3 rows.");
        if ((long)field.Columns * field.Rows > MostCells)
            return new Problem(
                "grid-too-large",
                "/grid",
                $"A grid has at most {MostCells} cells; this one has {(long)field.Columns * field.Rows}. Take larger cells."
            );
        return field.HeightsMm.Count == field.Columns * field.Rows
            ? null
            : new Problem(
                "grid-incomplete",
                "/grid/heightsMm",
                $"A grid of {field.Columns} by {field.Rows} has {field.Columns * field.Rows} heights; {field.HeightsMm.Count} were given."
            );
    }

    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    internal static Worked<WaterMap> On(HeightField field, IReadOnlyList<Dam> dams, IReadOnlyList<Gutter> gutters, Worksheet sheet)
    {
        FilledField filled = FilledField.Of(field);
        var depths = new double[filled.Levels.Length];
        (double litres, double cellM2) = (0, field.CellMm * field.CellMm / 1e6);
        double[] heights = field.HeightsMm as double[] ?? [.. field.HeightsMm];
        for (int i = 0; i < depths.Length; i++)
        {
            if (double.IsNaN(filled.Levels[i]))
                continue;
            depths[i] = filled.Levels[i] - heights[i];
            if (depths[i] >= FilmMm)
                litres += depths[i] * cellM2;
        }
        (IReadOnlyList<Pond> ponds, double[] shares) = ([], []);
        // Neither waits for the other, and somebody waits for both while a slider moves.
        Parallel.Invoke(() => ponds = Ponds(field, depths, filled), () => shares = RunningOff.Shares(field, filled));
        sheet.Step("n", "cells", "columns * rows", depths.Length, "count");
        sheet.Step("V", "water that stands", "sum(depth * cell area)", litres, "l");
        sheet.Step("d", "deepest place", "max(level - ground)", depths.Max(), "mm");
        WaterAtDam[] at = [.. dams.Select(dam => At(dam, field, depths))];
        foreach (WaterAtDam dam in at)
            sheet.Step($"d_{dam.Name}", $"water against {dam.Name}", "max(depth) beside its edge", dam.DepthMm, "mm");
        sheet.Cite(
            new Source(
                "Planchon and Darboux 2001, A fast, simple and versatile algorithm to fill the depressions of digital elevation models, Catena 46",
                SourceKind.Published
            )
        );
        sheet.Cite(new Source($"Water shallower than {FilmMm} mm is a film", SourceKind.Assumption));
        Runoff leaves = Leaves(field, filled, shares);
        GutterFlow[] taken = [.. gutters.Select(g => Taken(g, field, filled, shares))];
        Round(depths, FilmMm, 10);
        Round(shares, PathShare, 1000);
        return sheet.Finish(
            new WaterMap(field.CellMm, field.Columns, field.Rows, field.SMinMm, field.TMinMm, depths, shares, ponds, at, leaves, litres, taken)
        );
    }

    /// <summary>Rounds in place, which saves an array of that size; what is less than counts becomes 0.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private static void Round(double[] values, double least, double perUnit)
    {
        for (int i = 0; i < values.Length; i++)
            values[i] = values[i] < least ? 0 : Math.Round(values[i] * perUnit) / perUnit;
    }

    /// <summary>Connected water, most first.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private static IReadOnlyList<Pond> Ponds(HeightField field, double[] depths, FilledField filled)
    {
        double cellM2 = field.CellMm * field.CellMm / 1e6;
        var seen = new bool[depths.Length];
        var found = new List<Pond>();
        var front = new Stack<int>();
        for (int start = 0; start < depths.Length; start++)
        {
            if (seen[start] || depths[start] < FilmMm)
                continue;
            int cells = 0,
                deepest = start;
            double volume = 0;
            (int c1, int c2, int r1, int r2) = (int.MaxValue, 0, int.MaxValue, 0);
            front.Push(start);
            seen[start] = true;
            while (front.Count > 0)
            {
                int cell = front.Pop(),
                    column = cell / field.Rows,
                    row = cell % field.Rows;
                cells++;
                volume += depths[cell];
                if (depths[cell] > depths[deepest])
                    deepest = cell;
                (c1, c2, r1, r2) = (Math.Min(c1, column), Math.Max(c2, column), Math.Min(r1, row), Math.Max(r2, row));
                for (int dc = -1; dc <= 1; dc++)
                {
                    for (int dr = -1; dr <= 1; dr++)
                    {
                        if (column + dc < 0 || column + dc >= field.Columns || row + dr < 0 || row + dr >= field.Rows)
                            continue;
                        int next = cell + (dc * field.Rows) + dr;
                        // Two ponds that touch at different levels are two.
                        if (seen[next] || depths[next] < FilmMm || filled.Levels[next] != filled.Levels[cell])
                            continue;
                        seen[next] = true;
                        front.Push(next);
                    }
                }
            }
            double half = field.CellMm / 2;
            PanelPoint low = field.At((c1 * field.Rows) + r1),
                high = field.At((c2 * field.Rows) + r2);
            found.Add(
                new Pond(
                    0,
                    field.At(deepest),
                    depths[deepest],
                    cells * cellM2,
                    volume * cellM2,
                    new PanelBox(low.SMm - half, high.SMm + half, low.TMm - half, high.TMm + half)
                )
            );
        }
        return [.. found.OrderByDescending(p => p.Litres).ThenBy(p => p.Deepest.SMm).Take(MostPonds).Select((p, i) => p with { Number = i + 1 })];
    }

    private static Runoff Leaves(HeightField field, FilledField filled, double[] shares)
    {
        (double front, double rear, double left, double right) = (0, 0, 0, 0);
        foreach (int cell in filled.Outlets)
        {
            int column = cell / field.Rows,
                row = cell % field.Rows;
            // By the nearest edge of the field, in cells.
            int nearest = Math.Min(Math.Min(column, field.Columns - 1 - column), Math.Min(row, field.Rows - 1 - row));
            if (nearest == row)
                right += shares[cell];
            else if (nearest == field.Rows - 1 - row)
                left += shares[cell];
            else if (nearest == column)
                front += shares[cell];
            else
                rear += shares[cell];
        }
        return new Runoff(front, rear, left, right);
    }

    /// <summary>A gutter takes what leaves the roof over it.</summary>
    private static GutterFlow Taken(Gutter gutter, HeightField field, FilledField filled, double[] shares)
    {
        double taken = 0;
        foreach (int cell in filled.Outlets)
        {
            if (gutter.Reach.Holds(field.At(cell)))
                taken += shares[cell];
        }
        return new GutterFlow(gutter.Name, taken, gutter.LowEnd);
    }

    /// <summary>Depths in the cells that lie just outside an edge.</summary>
    private static WaterAtDam At(Dam dam, HeightField field, double[] depths)
    {
        (int beside, int wet, double deepest) = (0, 0, 0);
        foreach (int cell in field.Within(dam.Edge.Grown(1.5 * field.CellMm)))
        {
            if (dam.Edge.Holds(field.At(cell)) || double.IsNaN(field.HeightsMm[cell]))
                continue;
            beside++;
            if (depths[cell] < FilmMm)
                continue;
            wet++;
            deepest = Math.Max(deepest, depths[cell]);
        }
        return new WaterAtDam(dam.Name, deepest, beside == 0 ? 0 : (double)wet / beside);
    }
}
