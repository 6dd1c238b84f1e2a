using System.Runtime.CompilerServices;

namespace Abri.Core.Water;

/// <summary>
/// Finds how much of the rain on a field runs through each cell.
/// </summary>
/// <remarks>
/// The water of a cell goes to the neighbour to which the level falls most steeply (D8, O'Callaghan and Mark 1984); where it falls to none, over a pond or on the flat, the way the flood came
/// (<see cref="FilledField.GoesTo"/>). Levels only fall along these ways, and on one level they follow the flood, so that no water runs in a circle.
/// </remarks>
/// <example>On a plane that falls to one side, the last of n cells in a row carries n cells' rain.</example>
internal static class RunningOff
{
    /// <summary>Share of all rain that runs through each cell, its own included.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    public static double[] Shares(HeightField field, FilledField filled)
    {
        double[] levels = filled.Levels;
        int[] to = filled.GoesTo, inflows = new int[levels.Length];
        foreach (int cell in filled.Order)
        {
            if (to[cell] != cell) to[cell] = Steepest(cell, levels, field.Rows, field.Columns, to[cell]);
            if (to[cell] != cell) inflows[to[cell]]++;
        }
        var shares = new double[levels.Length];
        double each = 1.0 / Math.Max(1, filled.Order.Length);
        var sources = new Stack<int>();
        foreach (int cell in filled.Order)
        {
            shares[cell] = each;
            if (inflows[cell] == 0) sources.Push(cell);
        }
        while (sources.Count > 0)
        {
            int cell = sources.Pop(), next = to[cell];
            if (next == cell) continue;
            shares[next] += shares[cell];
            if (--inflows[next] == 0) sources.Push(next);
        }
        return shares;
    }

    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private static int Steepest(int cell, double[] levels, int rows, int columns, int otherwise)
    {
        int column = cell / rows, row = cell - (column * rows), best = otherwise;
        double level = levels[cell], steepest = 0;
        for (int dc = column > 0 ? -1 : 0; dc <= 1 && column + dc < columns; dc++)
        {
            for (int dr = row > 0 ? -1 : 0; dr <= 1 && row + dr < rows; dr++)
            {
                int next = cell + (dc * rows) + dr;
                double fall = (level - levels[next]) * (dc != 0 && dr != 0 ? 0.70710678118654752 : 1);
                if (fall > steepest) (steepest, best) = (fall, next);
            }
        }
        return best;
    }
}
