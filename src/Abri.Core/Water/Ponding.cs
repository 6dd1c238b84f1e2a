using System.Runtime.CompilerServices;
using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Water;

/// <summary>A roof on which rain falls.</summary>
/// <param name="Panel">The roof.</param>
/// <param name="Members">Its members; swages shape it.</param>
/// <param name="Dams">What stands on it.</param>
public sealed record WetRoof(
    Panel Panel,
    [Members] IReadOnlyList<Member> Members,
    [Count(0, 100, "At most 100 things stand on a roof.")] IReadOnlyList<Dam> Dams
);

/// <summary>How a roof holds water at its worst.</summary>
/// <param name="Attitude">The attitude.</param>
/// <param name="Litres">Water that stands then, l.</param>
/// <param name="DeepestAtDamMm">Greatest depth against anything that stands on the roof, mm.</param>
/// <param name="Dam">Against what; null where none.</param>
public sealed record WorstAttitude(Attitude Attitude, double Litres, double DeepestAtDamMm, string? Dam);

/// <summary>
/// Finds where rain stands on a roof as the vehicle is parked.
/// </summary>
/// <remarks>
/// The surface that counts for the panel is sampled, what stands on it is raised as a block over its whole rectangle, and all of it is turned by
/// pitch and roll (small angles: heights change by distance times sine, places stay).
/// Water falls away over every edge of the panel; a lip there is drawn as a member if there is one. The rest is <see cref="StandingWater"/>.
/// </remarks>
/// <example>A flat roof with the nose up by 2 degrees and a skylight across it: water stands against its front edge only where the swages hold it
/// there.</example>
public static class Ponding
{
    /// <summary>How far attitudes are searched for the worst, degrees either way.</summary>
    public const double SearchedDeg = 3;

    /// <summary>Side of a cell in searches, mm, and most cells: over a longer roof than a van's they are larger.</summary>
    private const double SearchCellMm = 25,
        MostSearchedCells = 60_000;

    private const double CoarseDeg = 1,
        FineDeg = 0.5,
        LevelDeg = 0.2,
        GutterReachMm = 60;

    /// <summary>Where water stands at an attitude.</summary>
    /// <param name="roof">The roof.</param>
    /// <param name="attitude">How the vehicle stands.</param>
    /// <param name="cellMm">Side of a cell, mm; made larger where the roof would need too many.</param>
    public static Result<Worked<WaterMap>> Of(WetRoof roof, Attitude attitude, double cellMm)
    {
        if (Check(roof) is { } problem)
            return problem;
        var sheet = new Worksheet();
        sheet.Step("p", "pitch, nose up", "as parked", attitude.PitchDeg, "degrees");
        sheet.Step("r", "roll, left side up", "as parked", attitude.RollDeg, "degrees");
        return StandingWater.On(Field(roof, attitude, cellMm), roof.Dams, [.. Gutters(roof, attitude)], sheet);
    }

    /// <summary>The attitude within <see cref="SearchedDeg"/> of level at which most water stands against something, or at all where nothing stands
    /// on the roof.</summary>
    /// <remarks>Every whole degree is tried, then every half one about the worst: water that stands at no whole degree may be missed.</remarks>
    /// <param name="roof">The roof.</param>
    /// <param name="stop">Stops the search when nobody waits for it any more.</param>
    public static Result<Worked<WorstAttitude>> Worst(WetRoof roof, CancellationToken stop = default)
    {
        if (Check(roof) is { } problem)
            return problem;
        HeightField level = Searched(roof);
        WorstAttitude At(double pitch, double roll)
        {
            var attitude = new Attitude(pitch, roll);
            WaterMap map = StandingWater.On(Turned(level, roof, attitude), roof.Dams, [], new Worksheet()).Result;
            WaterAtDam? deepest = map.Dams.MaxBy(d => d.DepthMm);
            return new WorstAttitude(attitude, map.Litres, deepest?.DepthMm ?? 0, deepest is { DepthMm: > 0 } ? deepest.Name : null);
        }
        WorstAttitude worst = Around(0, 0, SearchedDeg, CoarseDeg)
            .Until(stop)
            .Select(a => At(a.Pitch, a.Roll))
            .OrderByDescending(w => w.DeepestAtDamMm)
            .ThenByDescending(w => w.Litres)
            .First();
        worst = Around(worst.Attitude.PitchDeg, worst.Attitude.RollDeg, FineDeg, FineDeg)
            .Where(a => Math.Abs(a.Pitch) <= SearchedDeg && Math.Abs(a.Roll) <= SearchedDeg)
            .Until(stop)
            .Select(a => At(a.Pitch, a.Roll))
            .OrderByDescending(w => w.DeepestAtDamMm)
            .ThenByDescending(w => w.Litres)
            .First();
        var sheet = new Worksheet();
        sheet.Step(
            "p",
            "pitch at the worst, nose up",
            $"search by whole, then half degrees within {SearchedDeg}",
            worst.Attitude.PitchDeg,
            "degrees"
        );
        sheet.Step("r", "roll at the worst, left side up", "the same", worst.Attitude.RollDeg, "degrees");
        sheet.Step("d", "depth there against what stands on the roof", "max(depth) beside its edge", worst.DeepestAtDamMm, "mm");
        sheet.Step("V", "water that stands there", "sum(depth * cell area)", worst.Litres, "l");
        sheet.Cite(new Source($"Parked within {SearchedDeg} degrees of level", SourceKind.Assumption));
        return sheet.Finish(worst);
    }

    /// <summary>The least change of pitch, in quarter degrees, at which no water stands against anything on the roof; null where none within
    /// <see cref="SearchedDeg"/> does it.</summary>
    /// <param name="roof">The roof.</param>
    /// <param name="attitude">How it is parked.</param>
    /// <param name="stop">Stops the search when nobody waits for it any more.</param>
    public static Result<Worked<ParkingAdvice>> Park(WetRoof roof, Attitude attitude, CancellationToken stop = default)
    {
        if (Check(roof) is { } problem)
            return problem;
        var sheet = new Worksheet();
        HeightField level = Searched(roof);
        double Deepest(double pitch) =>
            StandingWater
                .On(Turned(level, roof, attitude with { PitchDeg = pitch }), roof.Dams, [], new Worksheet())
                .Result.Dams.Select(d => d.DepthMm)
                .DefaultIfEmpty(0)
                .Max();
        double now = sheet.Step(
            "d_0",
            "depth against what stands on the roof, as parked",
            "max(depth) beside its edge",
            Deepest(attitude.PitchDeg),
            "mm"
        );
        sheet.Cite(new Source("Each step proved by filling the turned roof again", SourceKind.Geometry));
        if (now < StandingWater.FilmMm)
            return sheet.Finish(new ParkingAdvice(now, 0, now));
        for (double by = 0.25; by <= SearchedDeg; by += 0.25)
        {
            foreach (double pitch in new[] { attitude.PitchDeg - by, attitude.PitchDeg + by })
            {
                stop.ThrowIfCancellationRequested();
                double depth = Deepest(pitch);
                if (depth >= StandingWater.FilmMm)
                    continue;
                sheet.Step("p", "pitch at which it runs off, nose up", "search by quarter degrees", pitch, "degrees");
                return sheet.Finish(new ParkingAdvice(now, pitch - attitude.PitchDeg, depth));
            }
        }
        sheet.Warn($"No pitch within {SearchedDeg} degrees of this one lets it run off: move the opening, or build its flange up.");
        return sheet.Finish(new ParkingAdvice(now, null, now));
    }

    private static IEnumerable<(double Pitch, double Roll)> Around(double pitch, double roll, double reach, double step)
    {
        for (double p = pitch - reach; p <= pitch + reach + 1e-9; p += step)
        {
            for (double r = roll - reach; r <= roll + reach + 1e-9; r += step)
                yield return (p, r);
        }
    }

    /// <summary>The rain gutters of the roof: a narrow strip each, with the end to which it falls.</summary>
    private static IEnumerable<Gutter> Gutters(WetRoof roof, Attitude attitude)
    {
        foreach (Member m in roof.Members.Where(m => m.Kind == MemberKind.RainGutter))
        {
            PanelBox box = PanelBox.Of(MemberOutline.Of(m.Footprint));
            bool along = box.WidthMm >= box.HeightMm;
            double fall = along ? attitude.PitchDeg : -attitude.RollDeg;
            PanelPoint? low =
                Math.Abs(fall) < LevelDeg ? null
                : along ? new PanelPoint(fall > 0 ? box.SMaxMm : box.SMinMm, box.Centre.TMm)
                : new PanelPoint(box.Centre.SMm, fall > 0 ? box.TMaxMm : box.TMinMm);
            yield return new Gutter(m.Name, box.Grown(GutterReachMm), low);
        }
    }

    internal static Problem? Check(WetRoof roof)
    {
        if (ShellCheck.Of(roof.Panel, roof.Members) is { } problem)
            return problem.Under("/roof");
        for (int i = 0; i < roof.Dams.Count; i++)
        {
            if (!roof.Dams[i].Edge.Overlaps(roof.Panel.Box))
                return new Problem("dam-off-roof", $"/roof/dams/{i}/edge", $"{roof.Dams[i].Name} does not stand on the roof.");
        }
        return null;
    }

    /// <summary>The turned roof with what stands on it; no ground outside the panel's outline.</summary>
    internal static HeightField Field(WetRoof roof, Attitude attitude, double cellMm) => Turned(Level(roof, cellMm), roof, attitude);

    /// <summary>The level roof in the cells of a search.</summary>
    internal static HeightField Searched(WetRoof roof) => Level(roof, Math.Max(SearchCellMm, Math.Sqrt(roof.Panel.Box.AreaMm2 / MostSearchedCells)));

    /// <summary>The roof as it is drawn or measured, with what stands on it.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private static HeightField Level(WetRoof roof, double cellMm)
    {
        PanelBox box = roof.Panel.Box;
        double cell = Math.Max(cellMm, Math.Sqrt(box.AreaMm2 / StandingWater.MostCells) * 1.01);
        int columns = Math.Max(3, (int)(box.WidthMm / cell)),
            rows = Math.Max(3, (int)(box.HeightMm / cell));
        var area = new PanelBox(
            box.SMinMm + (cell / 2),
            box.SMinMm + (cell / 2) + ((columns - 1) * cell),
            box.TMinMm + (cell / 2),
            box.TMinMm + (cell / 2) + ((rows - 1) * cell)
        );
        double[] heights = Surface.Of(roof.Panel, roof.Members).Sample(new SurfaceGrid(area, columns, rows));
        var field = new HeightField(cell, columns, rows, heights, area.SMinMm, area.TMinMm);
        foreach (Dam dam in roof.Dams)
        {
            int[] under = [.. field.Within(dam.Edge)];
            if (under.Length == 0)
                continue;
            double top = under.Max(i => heights[i]) + dam.StandsMm;
            foreach (int i in under)
                heights[i] = top;
        }
        if (Math.Abs(Outlines.SignedAreaMm2(roof.Panel.Outline)) >= box.AreaMm2 - 1e-6)
            return field;
        for (int i = 0; i < heights.Length; i++)
        {
            if (!Outlines.Encloses(roof.Panel.Outline, field.At(i)))
                heights[i] = double.NaN;
        }
        return field;
    }

    /// <summary>The same with the vehicle as it stands.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    internal static HeightField Turned(HeightField level, WetRoof roof, Attitude attitude)
    {
        double nose = Math.Sin(attitude.PitchDeg * Math.PI / 180),
            left = Math.Sin(attitude.RollDeg * Math.PI / 180);
        PanelPoint middle = roof.Panel.Box.Centre;
        double[] heights = [.. level.HeightsMm];
        for (int c = 0; c < level.Columns; c++)
        {
            double drop = (level.SMinMm + (c * level.CellMm) - middle.SMm) * nose;
            for (int r = 0; r < level.Rows; r++)
                heights[(c * level.Rows) + r] += ((level.TMinMm + (r * level.CellMm) - middle.TMm) * left) - drop;
        }
        return level with { HeightsMm = heights };
    }
}

/// <summary>How to park so that water runs off.</summary>
/// <param name="NowMm">Depth against what stands on the roof as parked, mm.</param>
/// <param name="PitchByDeg">Change of pitch that lets it run off, degrees, positive with the nose further up; 0 where none is needed, null where none
/// does it.</param>
/// <param name="ThenMm">Depth after that, mm.</param>
public sealed record ParkingAdvice(double NowMm, double? PitchByDeg, double ThenMm);
