using System.Buffers;
using System.Numerics;
using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;

namespace Abri.Core.Water;

/// <summary>
/// Fills the hollows of a height field to the brim, as rain does.
/// </summary>
/// <remarks>
/// The level of a cell is the lowest height that every way out of it, over 8 neighbours, has to climb over: level = max(ground, lowest level beside
/// it), with none at all outside the field and where there is no ground.
/// All cells begin brimful and are lowered until nothing changes (Planchon and Darboux 2001, "A fast, simple and versatile algorithm to fill the
/// depressions of digital elevation models", Catena 46), in sweeps to and fro that settle straight ways at once
/// and work on several rows at a time. What winding ways leave unsettled after <see cref="Rounds"/> of them is lowered from the lowest cell on, each
/// cell once (Barnes, Lehman and Mulla 2014, "Priority-flood", Computers and Geosciences 62).
/// </remarks>
/// <example>A bowl inside a wall 10 mm high holds water up to 10 mm and no higher.</example>
internal sealed class FilledField
{
    /// <summary>Rounds of sweeps; a roof takes two or three, the last of which finds nothing to do.</summary>
    private const int Rounds = 4;

    /// <summary>Level where there is no ground, and ground there: lower than any water.</summary>
    private const double FallsAway = double.NegativeInfinity;

    private readonly double[] ground,
        levels;
    private readonly int rows,
        columns,
        stride,
        count;

    private FilledField(HeightField field)
    {
        (rows, columns) = (field.Rows, field.Columns);
        // A rim without ground all round saves asking for every neighbour whether it is there; at the end of a column it is as wide as what is worked
        // on at a time.
        stride = rows + 2 + Vector<double>.Count;
        count = (stride * (columns + 2)) + Vector<double>.Count;
        // Rented: to be given fresh arrays of this size takes longer than to fill them.
        (ground, levels) = (ArrayPool<double>.Shared.Rent(count), ArrayPool<double>.Shared.Rent(count));
        Array.Fill(ground, FallsAway, 0, count);
        Array.Fill(levels, FallsAway, 0, count);
        (Levels, Outlets) = (new double[rows * columns], []);
    }

    /// <summary>Level of the water, or of the ground where none stands, mm; NaN where there is no ground.</summary>
    public double[] Levels { get; }

    /// <summary>The cells at which water falls away: at the edge of the field or beside a cell without ground.</summary>
    public int[] Outlets { get; private set; }

    /// <summary>How many cells have ground.</summary>
    public int Reached { get; private set; }

    public static FilledField Of(HeightField field)
    {
        var filled = new FilledField(field);
        filled.BeginBrimful(field.HeightsMm);
        bool settled = false;
        for (int round = 0; round < Rounds && !settled; round++)
            settled = !filled.LoweredToAndFro();
        if (!settled)
            filled.LowerTheRest();
        filled.WithoutRim();
        ArrayPool<double>.Shared.Return(filled.ground);
        ArrayPool<double>.Shared.Return(filled.levels);
        return filled;
    }

    private int At(int column) => ((column + 1) * stride) + 1;

    // Compiled at its best at once: it runs for half a million cells on its first call, while somebody drags a slider.
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private void BeginBrimful(IReadOnlyList<double> heightsMm)
    {
        double[] heights = heightsMm as double[] ?? [.. heightsMm];
        for (int column = 0, cell = 0; column < columns; column++)
        {
            for (int at = At(column), end = at + rows; at < end; at++, cell++)
            {
                if (double.IsNaN(heights[cell]))
                    continue;
                (ground[at], levels[at]) = (heights[cell], double.PositiveInfinity);
                Reached++;
            }
        }
    }

    private bool LoweredToAndFro()
    {
        bool lowered = false;
        for (int column = 0; column < columns; column++)
            lowered |= Lowered(At(column), -stride);
        for (int column = columns - 1; column >= 0; column--)
            lowered |= Lowered(At(column), stride);
        return lowered;
    }

    /// <summary>Lowers a column to the levels of the column beside it, then of its own cells up and down; whether any fell.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private bool Lowered(int start, int beside)
    {
        ref double ground = ref MemoryMarshal.GetArrayDataReference(this.ground),
            levels = ref MemoryMarshal.GetArrayDataReference(this.levels);
        Vector<long> fell = Vector<long>.Zero;
        for (int at = start, end = start + rows; at < end; at += Vector<double>.Count)
        {
            Vector<double> level = Vector.LoadUnsafe(ref levels, (nuint)at);
            Vector<double> lowest = Vector.Min(
                Vector.LoadUnsafe(ref levels, (nuint)(at + beside)),
                Vector.Min(Vector.LoadUnsafe(ref levels, (nuint)(at + beside - 1)), Vector.LoadUnsafe(ref levels, (nuint)(at + beside + 1)))
            );
            Vector<double> then = Vector.Min(level, Vector.Max(Vector.LoadUnsafe(ref ground, (nuint)at), lowest));
            fell |= Vector.LessThan(then, level);
            then.StoreUnsafe(ref levels, (nuint)at);
        }
        bool lowered = fell != Vector<long>.Zero;
        for (int direction = 1; direction >= -1; direction -= 2)
        {
            double before = FallsAway;
            for (int step = 0, at = direction > 0 ? start : start + rows - 1; step < rows; step++, at += direction)
            {
                double level = Unsafe.Add(ref levels, at);
                if (level > before)
                {
                    double then = Math.Max(Unsafe.Add(ref ground, at), before);
                    if (then < level)
                    {
                        Unsafe.Add(ref levels, at) = level = then;
                        lowered = true;
                    }
                }
                before = level;
            }
        }
        return lowered;
    }

    /// <summary>Lowers what is still too high, from the lowest cell that can lower another on.</summary>
    private void LowerTheRest()
    {
        int[] neighbours = [-stride - 1, -stride, -stride + 1, -1, 1, stride - 1, stride, stride + 1];
        var lowering = new PriorityQueue<int, double>();
        bool Lowers(int cell, int next) => levels[next] > Math.Max(ground[next], levels[cell]);
        for (int column = 0; column < columns; column++)
        {
            for (int at = At(column), end = at + rows; at < end; at++)
            {
                if (levels[at] != FallsAway && Array.Exists(neighbours, by => Lowers(at, at + by)))
                    lowering.Enqueue(at, levels[at]);
            }
        }
        while (lowering.TryDequeue(out int cell, out _))
        {
            foreach (int by in neighbours)
            {
                int next = cell + by;
                if (!Lowers(cell, next))
                    continue;
                levels[next] = Math.Max(ground[next], levels[cell]);
                lowering.Enqueue(next, levels[next]);
            }
        }
    }

    /// <summary>The answer in the cells of the field, without the rim.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private void WithoutRim()
    {
        var outlets = new List<int>();
        bool whole = Reached == Levels.Length;
        for (int column = 0, cell = 0; column < columns; column++)
        {
            bool inside = column > 0 && column < columns - 1;
            int start = At(column);
            for (int row = 0; row < rows; row++, cell++)
            {
                double level = levels[start + row];
                bool isGround = level != FallsAway;
                Levels[cell] = isGround ? level : double.NaN;
                bool atEdge = !inside || row == 0 || row == rows - 1;
                if (isGround && (atEdge || (!whole && IsBesideNoGround(start + row))))
                    outlets.Add(cell);
            }
        }
        Outlets = [.. outlets];
    }

    private bool IsBesideNoGround(int at)
    {
        for (int column = at - stride; column <= at + stride; column += stride)
        {
            for (int next = column - 1; next <= column + 1; next++)
            {
                if (levels[next] == FallsAway)
                    return true;
            }
        }
        return false;
    }
}
