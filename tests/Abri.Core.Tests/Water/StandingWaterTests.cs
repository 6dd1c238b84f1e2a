using Abri.Core.Geometry;
using Abri.Core.Water;
using CsCheck;

namespace Abri.Core.Tests.Water;

public class StandingWaterTests
{
    /// <summary>Rough ground with plateaus of equal height and places without ground.</summary>
    private static readonly Gen<HeightField> Terrain = Gen.Select(Gen.Int[3, 26], Gen.Int[3, 26])
        .SelectMany(
            (columns, rows) =>
                Gen.Select(Gen.Int[0, 12], Gen.Double[0, 1])
                    .Array[columns * rows]
                    .Select(cells => new HeightField(
                        10,
                        columns,
                        rows,
                        [.. cells.Select(c => c.Item2 < 0.03 ? double.NaN : c.Item1 + (c.Item2 < 0.5 ? c.Item2 : 0))]
                    ))
        );

    [Fact] // Checked against repeated relaxation (Planchon and Darboux 2001), to the bit
    public void The_level_is_what_relaxing_every_cell_until_nothing_changes_gives() =>
        Terrain.Holds(field => FilledField.Of(field).Levels.SequenceEqual(Relaxed(field)), cases: 400);

    [Fact] // Checked against the plain priority-flood of Barnes, Lehman and Mulla 2014 on the framework's own queue, to the bit
    public void The_level_is_what_flooding_from_the_edges_gives() =>
        Terrain.Holds(field => FilledField.Of(field).Levels.SequenceEqual(Flooded(field)), cases: 400);

    [Fact] // A spiral of 20 turns, which no number of sweeps settles; checked against the plain flood and by hand
    public void A_winding_way_out_is_found_to_its_end()
    {
        const int size = 83;
        bool[] isDitch = new bool[size * size];
        (int column, int row, int dc, int dr, int left) = (0, 1, 1, 0, 0);
        bool IsFree(int c, int r) => c >= 1 && r >= 1 && c < size - 1 && r < size - 1 && !isDitch[(c * size) + r];
        for (isDitch[row] = true; left < 2; )
        {
            // A wall stays between two turns: one cell ahead is dug only if the next but one is not a ditch yet.
            bool goesOn =
                IsFree(column + dc, row + dr)
                && (!IsInside(column + (2 * dc), row + (2 * dr)) || !isDitch[((column + (2 * dc)) * size) + row + (2 * dr)]);
            if (!goesOn)
            {
                (dc, dr, left) = (-dr, dc, left + 1);
                continue;
            }
            (column, row, left) = (column + dc, row + dr, 0);
            isDitch[(column * size) + row] = true;
        }
        HeightField field = new(10, size, size, [.. isDitch.Select(ditch => ditch ? 1.0 : 50)]);
        double[] levels = FilledField.Of(field).Levels;
        Assert.Equal(Flooded(field), levels);
        Assert.Equal(1, levels[(column * size) + row]);
        Assert.True(isDitch.Count(ditch => ditch) > size * size / 4);

        static bool IsInside(int c, int r) => c >= 0 && r >= 0 && c < size && r < size;
    }

    [Fact]
    public void Water_never_stands_below_the_ground_nor_above_the_lowest_level_beside_it() =>
        Terrain.Holds(
            field =>
            {
                double[] levels = FilledField.Of(field).Levels;
                return Enumerable
                    .Range(0, levels.Length)
                    .Where(cell => !double.IsNaN(levels[cell]))
                    .All(cell => levels[cell] == Math.Max(field.HeightsMm[cell], LowestBeside(field, levels, cell)));
            },
            cases: 300
        );

    [Fact]
    public void All_the_rain_leaves_over_some_edge() =>
        Terrain
            .Where(f => f.HeightsMm.Any(h => !double.IsNaN(h)))
            .Holds(
                field =>
                {
                    Runoff r = Map(field).Runoff;
                    return Math.Abs(r.Front + r.Rear + r.Left + r.Right - 1) < 1e-9;
                },
                cases: 200
            );

    [Fact] // Worked by hand: cap of a sphere, pi h (3 a^2 + h^2) / 6 with a 200, h 10: 0.6289 l
    public void A_bowl_holds_the_volume_of_a_spherical_cap()
    {
        const double h = 10,
            a = 200,
            radius = ((a * a) + (h * h)) / (2 * h);
        WaterMap map = Map(Field(2, 301, 301, (s, t) =>
            {
                double off = Math.Sqrt(Math.Pow(s - 300, 2) + Math.Pow(t - 300, 2));
                return off < a ? radius - h - Math.Sqrt((radius * radius) - (off * off)) : 0;
            }));
        Pond bowl = Assert.Single(map.Ponds);
        Assert.Equal(0.6289, bowl.Litres, 2);
        Assert.Equal(10, bowl.DepthMm, 1);
        Assert.Equal(new PanelPoint(300, 300), bowl.Deepest);
        // The film at the rim is left out: the water is 0.3 mm deep at a (1 - 0.3/10)^(1/2).
        Assert.Equal(Math.PI * 0.2 * 0.2 * 0.97, bowl.AreaM2, 3);
    }

    [Fact] // Worked by hand: wedge, 400 wide, 8 deep at the wall, falling 1 in 50: length 400, volume 400 * 8 * 400 / 2 = 0.64 l
    public void A_tilted_plane_with_a_dam_holds_a_wedge()
    {
        WaterMap map = Map(Cup(0.02));
        Pond wedge = Assert.Single(map.Ponds);
        Assert.InRange(wedge.Litres, 0.62, 0.66);
        Assert.InRange(wedge.DepthMm, 7.8, 8.01);
    }

    [Fact] // From 1 in 74 on: on a flatter plane the water leaves over its upper edge
    public void More_pitch_never_holds_more_behind_the_same_dam() =>
        Gen.Select(Gen.Double[0.0136, 0.08], Gen.Double[0.0136, 0.08])
            .Holds((a, b) => Map(Cup(Math.Max(a, b))).Litres <= Map(Cup(Math.Min(a, b))).Litres + 1e-9, cases: 40);

    [Theory]
    [InlineData(2, 5, "grid-too-small")]
    [InlineData(800, 800, "grid-too-large")]
    [InlineData(10, 11, "grid-incomplete")]
    public void A_grid_that_cannot_be_filled_is_refused(int columns, int rows, string code)
    {
        Assert.False(StandingWater.On(new HeightField(10, columns, rows, new double[100])).IsOk(out _, out Problem? problem));
        Assert.Equal(code, problem.Code);
    }

    /// <summary>A plane that falls backwards by a slope, with a cup of three walls across it whose rear wall is 8 mm high; water behind it runs round
    /// the walls.</summary>
    private static HeightField Cup(double slope) => Field(4, 201, 161, (s, t) =>
        {
            bool rearWall = Math.Abs(s - 600) < 2.1 && Math.Abs(t - 320) <= 204.1,
                sideWall = Math.Abs(Math.Abs(t - 320) - 204) < 2.1 && s <= 600;
            double ground = -slope * s;
            return sideWall ? 50
                : rearWall ? (-slope * 596) + 8
                : ground;
        });

    private static HeightField Field(double cell, int columns, int rows, Func<double, double, double> height) =>
        new(cell, columns, rows, [.. Enumerable.Range(0, columns * rows).Select(i => height(i / rows * cell, i % rows * cell))]);

    private static WaterMap Map(HeightField field)
    {
        Assert.True(StandingWater.On(field).IsOk(out var worked, out var problem), problem?.Message);
        return worked.Result;
    }

    private static double[] Relaxed(HeightField field)
    {
        double[] ground = [.. field.HeightsMm],
            level = [.. ground.Select(z => double.IsNaN(z) ? double.NaN : double.PositiveInfinity)];
        for (bool changed = true; changed; )
        {
            changed = false;
            for (int cell = 0; cell < ground.Length; cell++)
            {
                if (double.IsNaN(ground[cell]))
                    continue;
                double now = Math.Max(ground[cell], LowestBeside(field, level, cell));
                if (now >= level[cell])
                    continue;
                (level[cell], changed) = (now, true);
            }
        }
        return level;
    }

    private static double[] Flooded(HeightField field)
    {
        double[] level = [.. field.HeightsMm.Select(_ => double.NaN)];
        var waiting = new PriorityQueue<int, double>();
        void Reach(int cell, double at)
        {
            level[cell] = Math.Max(field.HeightsMm[cell], at);
            waiting.Enqueue(cell, level[cell]);
        }
        for (int cell = 0; cell < level.Length; cell++)
        {
            if (!double.IsNaN(field.HeightsMm[cell]) && Beside(field, cell).Any(next => next is null || double.IsNaN(field.HeightsMm[next.Value])))
                Reach(cell, double.NegativeInfinity);
        }
        while (waiting.TryDequeue(out int cell, out _))
        {
            foreach (int next in Beside(field, cell).OfType<int>().Where(next => double.IsNaN(level[next]) && !double.IsNaN(field.HeightsMm[next])))
                Reach(next, level[cell]);
        }
        return level;
    }

    private static double LowestBeside(HeightField field, double[] level, int cell) =>
        Beside(field, cell).Min(next => next is { } n && !double.IsNaN(level[n]) ? level[n] : double.NegativeInfinity);

    /// <summary>The eight cells around one; null for what lies off the field.</summary>
    private static IEnumerable<int?> Beside(HeightField field, int cell)
    {
        int column = cell / field.Rows,
            row = cell % field.Rows;
        for (int dc = -1; dc <= 1; dc++)
        {
            for (int dr = -1; dr <= 1; dr++)
            {
                if (dc == 0 && dr == 0)
                    continue;
                bool off = column + dc < 0 || column + dc >= field.Columns || row + dr < 0 || row + dr >= field.Rows;
                yield return off ? null : cell + (dc * field.Rows) + dr;
            }
        }
    }
}
