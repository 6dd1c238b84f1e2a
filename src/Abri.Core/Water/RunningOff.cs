using System.Buffers;
using System.Numerics;
using System.Runtime.CompilerServices;

namespace Abri.Core.Water;

/// <summary>
/// Finds how much of the rain on a field runs through each cell.
/// </summary>
/// <remarks>
/// The water of a cell goes to the neighbour to which the level falls most steeply (D8, O'Callaghan and Mark 1984); where it falls to none, over a
/// pond or on the flat, the shortest way over that level to a cell that has one
/// or at which water falls away. Levels only fall along these ways, and on one level they come nearer to its end, so that no water runs in a circle.
/// </remarks>
/// <example>On a plane that falls to one side, the last of n cells in a row carries n cells' rain.</example>
internal static class RunningOff
{
    private const int NoWay = -1;
    private const double Diagonal = 0.70710678118654752;

    /// <summary>Share of all rain that runs through each cell, its own included.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    public static double[] Shares(HeightField field, FilledField filled)
    {
        double[] levels = filled.Levels;
        int[] to = Ways(field, filled),
            waitsFor = ArrayPool<int>.Shared.Rent(levels.Length);
        Array.Clear(waitsFor);
        for (int cell = 0; cell < levels.Length; cell++)
        {
            if (to[cell] != cell)
                waitsFor[to[cell]]++;
        }
        var shares = new double[levels.Length];
        double each = 1.0 / Math.Max(1, filled.Reached);
        // Each cell's share is whole once all that runs into it is; from there it is handed on at once, so that nothing is kept waiting.
        for (int source = 0; source < shares.Length; source++)
        {
            if (waitsFor[source] != 0 || double.IsNaN(levels[source]))
                continue;
            for (int cell = source; ; )
            {
                shares[cell] += each;
                int next = to[cell];
                if (next == cell)
                    break;
                shares[next] += shares[cell];
                if (--waitsFor[next] > 0)
                    break;
                // Handed on now, and not again when its own turn comes.
                waitsFor[next] = -1;
                cell = next;
            }
        }
        ArrayPool<int>.Shared.Return(waitsFor);
        ArrayPool<int>.Shared.Return(to);
        return shares;
    }

    /// <summary>Where the water of each cell goes; the cell itself where it falls away or there is no ground. Rented.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private static int[] Ways(HeightField field, FilledField filled)
    {
        double[] levels = filled.Levels;
        int rows = field.Rows,
            columns = field.Columns;
        int[] to = ArrayPool<int>.Shared.Rent(levels.Length);
        Array.Fill(to, NoWay, 0, levels.Length);
        foreach (int outlet in filled.Outlets)
            to[outlet] = outlet;
        for (int column = 0, cell = 0; column < columns; column++)
        {
            bool inside = column > 0 && column < columns - 1;
            for (int row = 0; row < rows; row++, cell++)
            {
                int lanes = inside && row > 0 && row + Vector<double>.Count < rows ? Vector<double>.Count : 1;
                if (lanes == 1)
                    to[cell] = SteepestAtEdge(cell, levels, rows, columns, to[cell]);
                else
                    SteepestOfSeveral(cell, levels, rows, to);
                (row, cell) = (row + lanes - 1, cell + lanes - 1);
            }
        }
        OverTheFlat(levels, rows, to);
        return to;
    }

    /// <summary>Ways over cells of one level, from where they end outwards.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private static void OverTheFlat(double[] levels, int rows, int[] to)
    {
        // A cell at an edge lets its water fall away, so that one without a way has all eight neighbours.
        int[] neighbours = [-rows - 1, -rows, -rows + 1, -1, 1, rows - 1, rows, rows + 1];
        var front = new Queue<int>();
        var ends = new List<(int Cell, int To)>();
        for (int cell = 0; cell < levels.Length; cell++)
        {
            if (to[cell] != NoWay)
                continue;
            if (double.IsNaN(levels[cell]))
            {
                to[cell] = cell;
                continue;
            }
            foreach (int by in neighbours)
            {
                if (to[cell + by] == NoWay || levels[cell + by] != levels[cell])
                    continue;
                ends.Add((cell, cell + by));
                break;
            }
        }
        // Only now, so that each takes the shortest way and not the first one found.
        foreach ((int cell, int end) in ends)
        {
            to[cell] = end;
            front.Enqueue(cell);
        }
        while (front.TryDequeue(out int cell))
        {
            foreach (int by in neighbours)
            {
                int next = cell + by;
                if (to[next] != NoWay || levels[next] != levels[cell])
                    continue;
                to[next] = cell;
                front.Enqueue(next);
            }
        }
    }

    /// <summary>The ways of the steepest fall from several cells one after the other, none of them at an edge; what falls away there, or over no
    /// ground, stays.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private static void SteepestOfSeveral(int first, double[] levels, int rows, int[] to)
    {
        var level = new Vector<double>(levels, first);
        Vector<double> steepest = Vector<double>.Zero;
        Vector<long> best = Vector<long>.Zero;
        // The order of neighbours decides between equal falls, as at the edge: column by column.
        for (int column = -rows; column <= rows; column += rows)
        {
            for (int by = column - 1; by <= column + 1; by++)
            {
                Vector<double> fall = level - new Vector<double>(levels, first + by);
                if (column != 0 && by != column)
                    fall *= Diagonal;
                Vector<long> steeper = Vector.GreaterThan(fall, steepest);
                steepest = Vector.ConditionalSelect(steeper, fall, steepest);
                best = Vector.ConditionalSelect(steeper, new Vector<long>(by), best);
            }
        }
        for (int lane = 0; lane < Vector<double>.Count; lane++)
        {
            if (best[lane] != 0 && to[first + lane] != first + lane)
                to[first + lane] = first + lane + (int)best[lane];
        }
    }

    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private static int SteepestAtEdge(int cell, double[] levels, int rows, int columns, int otherwise)
    {
        if (otherwise == cell)
            return cell;
        int column = cell / rows,
            row = cell - (column * rows),
            best = otherwise;
        double level = levels[cell],
            steepest = 0;
        for (int dc = column > 0 ? -1 : 0; dc <= 1 && column + dc < columns; dc++)
        {
            for (int dr = row > 0 ? -1 : 0; dr <= 1 && row + dr < rows; dr++)
            {
                int next = cell + (dc * rows) + dr;
                double fall = (level - levels[next]) * (dc != 0 && dr != 0 ? Diagonal : 1);
                if (fall > steepest)
                    (steepest, best) = (fall, next);
            }
        }
        return best;
    }
}
