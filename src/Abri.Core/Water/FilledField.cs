using System.Buffers;
using System.Runtime.CompilerServices;

namespace Abri.Core.Water;

/// <summary>
/// Fills the hollows of a height field to the brim, as rain does.
/// </summary>
/// <remarks>
/// Priority-flood (Barnes, Lehman and Mulla 2014, "Priority-flood: an optimal depression-filling and watershed-labeling algorithm", Computers and
/// Geosciences 62) over 8 neighbours, in the variant of Zhou, Sun and Fu 2016 that climbs slopes without the queue. The flood starts from all cells at the edge of the field or
/// beside a cell without ground, where water falls away. Ground that rises from a flooded cell is flooded at its own height and climbed on at once; only cells beside ground that falls again wait in the queue, and the lowest of them spills first.
/// The level of each cell is the lowest height that every way out of it has to climb over, so it does not depend on the order. The cell from which one is reached is a way out for its water.
/// </remarks>
/// <example>A bowl inside a wall 10 mm high holds water up to 10 mm and no higher.</example>
internal sealed class FilledField
{
    /// <summary>Level of a cell that the flood has not reached yet.</summary>
    private const double Unreached = double.PositiveInfinity;

    private readonly double[] ground, levels;
    private readonly int[] goesTo, climbing, hollow, neighbours;
    private readonly int rows, columns, stride, count;
    private readonly LowestFirst spills;
    private int climbFrom, climbTo, hollows;

    private FilledField(HeightField field)
    {
        (rows, columns, stride) = (field.Rows, field.Columns, field.Rows + 2);
        // A rim of cells without ground all round saves asking for every neighbour whether it is there.
        count = stride * (columns + 2);
        // Rented: to be given half a dozen fresh arrays of this size takes longer than to fill them.
        (ground, levels) = (ArrayPool<double>.Shared.Rent(count), ArrayPool<double>.Shared.Rent(count));
        (goesTo, climbing, hollow) = (Rent(), Rent(), Rent());
        neighbours = [-stride - 1, -stride, -stride + 1, -1, 1, stride - 1, stride, stride + 1];
        spills = new LowestFirst(4 * (rows + columns));
        Array.Fill(ground, double.NaN, 0, count);
        double[] heights = field.HeightsMm as double[] ?? [.. field.HeightsMm];
        for (int column = 0; column < columns; column++) Array.Copy(heights, column * rows, ground, ((column + 1) * stride) + 1, rows);
        (Levels, GoesTo, Outlets) = ([], [], []);
    }

    /// <summary>Level of the water, or of the ground where none stands, mm; NaN where there is no ground.</summary>
    public double[] Levels { get; private set; }

    /// <summary>To which cell the water of a cell goes, by the flood; the cell itself where it falls away.</summary>
    public int[] GoesTo { get; private set; }

    /// <summary>The cells at which water falls away.</summary>
    public int[] Outlets { get; private set; }

    /// <summary>How many cells have ground.</summary>
    public int Reached { get; private set; }

    public static FilledField Of(HeightField field)
    {
        var filled = new FilledField(field);
        filled.Flood();
        filled.WithoutRim();
        return filled;
    }

    // Compiled at its best at once: it runs for half a million cells on its first call, while somebody drags a slider.
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private void Flood()
    {
        for (int cell = 0; cell < count; cell++) levels[cell] = double.IsNaN(ground[cell]) ? double.NaN : Unreached;
        // An outlet lets water fall away whatever lies beside it, so it waits to spill like any other.
        var outlets = new List<int>();
        for (int column = 0, cell = 0; column < columns; column++)
        {
            for (int at = ((column + 1) * stride) + 1, end = at + rows; at < end; at++, cell++)
            {
                if (double.IsNaN(ground[at]) || !IsOutlet(at)) continue;
                outlets.Add(cell);
                Reach(at, at, ground[at]);
                spills.Push(ground[at], at);
            }
        }
        Outlets = [.. outlets];
        while (spills.Count > 0)
        {
            Spill(spills.Pop());
            while (hollows > 0) Spill(hollow[--hollows]);
            while (climbFrom < climbTo) Climb(climbing[climbFrom++]);
            (climbFrom, climbTo) = (0, 0);
        }
    }

    /// <summary>The answer in the cells of the field, without the rim.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private void WithoutRim()
    {
        (Levels, GoesTo) = (new double[rows * columns], new int[rows * columns]);
        for (int column = 0, cell = 0; column < columns; column++)
        {
            for (int at = ((column + 1) * stride) + 1, end = at + rows; at < end; at++, cell++)
            {
                Levels[cell] = levels[at];
                // Where there is no ground nothing was written, and what was rented holds what others left.
                int by = double.IsNaN(levels[at]) ? 0 : goesTo[at] - at;
                // The next column is nearer by the two cells of the rim.
                GoesTo[cell] = cell + (by > 1 ? by - 2 : by < -1 ? by + 2 : by);
            }
        }
        foreach (double[] rented in new[] { ground, levels }) ArrayPool<double>.Shared.Return(rented);
        foreach (int[] rented in new[] { goesTo, climbing, hollow }) ArrayPool<int>.Shared.Return(rented);
    }

    private int[] Rent() => ArrayPool<int>.Shared.Rent(count);

    private void Reach(int cell, int from, double level)
    {
        (goesTo[cell], levels[cell]) = (from, level);
        Reached++;
    }

    /// <summary>Floods what lies beside a cell: lower ground to the cell's own level, higher ground at its height.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private void Spill(int cell)
    {
        double[] levels = this.levels, ground = this.ground;
        double level = levels[cell];
        foreach (int by in neighbours)
        {
            int next = cell + by;
            // No ground has the level NaN, which is no more unreached than a cell that was flooded.
            if (levels[next] != Unreached) continue;
            if (ground[next] <= level)
            {
                Reach(next, cell, level);
                hollow[hollows++] = next;
            }
            else
            {
                Reach(next, cell, ground[next]);
                climbing[climbTo++] = next;
            }
        }
    }

    /// <summary>Floods higher ground beside a cell; where some falls again that nothing lower will reach, the cell waits to spill.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private void Climb(int cell)
    {
        double[] levels = this.levels, ground = this.ground;
        double height = ground[cell];
        bool waits = false;
        foreach (int by in neighbours)
        {
            int next = cell + by;
            if (levels[next] != Unreached) continue;
            if (ground[next] > height)
            {
                Reach(next, cell, ground[next]);
                climbing[climbTo++] = next;
            }
            else if (!waits && !HasLowerFlood(next))
            {
                waits = true;
            }
        }
        if (waits) spills.Push(height, cell);
    }

    /// <summary>Whether a flooded cell beside it lies lower, from which it will be climbed in its turn.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private bool HasLowerFlood(int cell)
    {
        double[] levels = this.levels;
        double height = ground[cell];
        foreach (int by in neighbours)
        {
            if (levels[cell + by] < height) return true;
        }
        return false;
    }

    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private bool IsOutlet(int cell)
    {
        foreach (int by in neighbours)
        {
            if (double.IsNaN(ground[cell + by])) return true;
        }
        return false;
    }

    /// <summary>Cells by height, lowest first: a heap with four branches, which is kinder to the cache than one with two.</summary>
    private sealed class LowestFirst(int capacity)
    {
        private (double Height, int Cell)[] heap = new (double, int)[capacity];

        public int Count { get; private set; }

        [MethodImpl(MethodImplOptions.AggressiveOptimization)]
        public void Push(double height, int cell)
        {
            if (Count == heap.Length) Array.Resize(ref heap, 2 * Count);
            int at = Count++;
            while (at > 0)
            {
                int above = (at - 1) >> 2;
                if (heap[above].Height <= height) break;
                heap[at] = heap[above];
                at = above;
            }
            heap[at] = (height, cell);
        }

        [MethodImpl(MethodImplOptions.AggressiveOptimization)]
        public int Pop()
        {
            int lowest = heap[0].Cell;
            (double Height, int Cell) last = heap[--Count];
            int at = 0;
            while (true)
            {
                int child = (at << 2) + 1;
                if (child >= Count) break;
                int end = Math.Min(child + 4, Count);
                for (int other = child + 1; other < end; other++)
                {
                    if (heap[other].Height < heap[child].Height) child = other;
                }
                if (heap[child].Height >= last.Height) break;
                heap[at] = heap[child];
                at = child;
            }
            heap[at] = last;
            return lowest;
        }
    }
}
