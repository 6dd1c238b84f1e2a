using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Water;

/// <summary>Another place for something on the roof.</summary>
/// <param name="Dam">Name of what would be moved.</param>
/// <param name="What">What is done, in a few words.</param>
/// <param name="Edge">Its edge then.</param>
public sealed record OtherPlace(
    string Dam,
    [Name(200, "Say in 1 to 200 characters what is done.")] string What,
    [Enclosing("The edge of what stands on the roof")] PanelBox Edge
);

/// <summary>How standing water is kept from something on the roof.</summary>
public enum MendKind
{
    /// <summary>Fill the hollow before it up to the level of the water.</summary>
    Fill,

    /// <summary>Set it on a frame, so that its joint stands above the water.</summary>
    Raise,

    /// <summary>Put it elsewhere, or turn it.</summary>
    Move,

    /// <summary>Park otherwise.</summary>
    Park,
}

/// <summary>One way to mend it, with its figures.</summary>
/// <param name="Kind">How.</param>
/// <param name="Dam">Name of what the water stands against.</param>
/// <param name="What">What to do.</param>
/// <param name="Amount">By how much: mm to fill or raise, degrees to park, mm of distance to move.</param>
/// <param name="NowMm">Depth against its joint now, mm.</param>
/// <param name="ThenMm">Depth against its joint after it, found by filling the changed roof again, mm.</param>
public sealed record PondingMend(MendKind Kind, string Dam, string What, double Amount, double NowMm, double ThenMm);

/// <summary>The ways to keep standing water from what stands on a roof.</summary>
/// <param name="Mends">The ways, by what they are about.</param>
public sealed record MendsOfRoof(IReadOnlyList<PondingMend> Mends);

/// <summary>Finds what keeps standing water from the joints of what stands on a roof, and proves each by filling the changed roof again.</summary>
public static class PondingMends
{
    /// <summary>How far a joint that is raised stands above the water, mm: assumption.</summary>
    public const double AboveWaterMm = 3;

    /// <summary>Most other places tried.</summary>
    public const int MostPlaces = 40;

    /// <summary>The ways that work, and those places that do not help left out.</summary>
    /// <param name="roof">The roof.</param>
    /// <param name="attitude">How the vehicle stands.</param>
    /// <param name="places">Other places to try.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    /// <param name="stop">Stops the search when nobody waits for it any more.</param>
    public static Result<Worked<MendsOfRoof>> Of(
        WetRoof roof,
        Attitude attitude,
        IReadOnlyList<OtherPlace> places,
        LengthFormat lengths,
        CancellationToken stop = default
    )
    {
        if (Ponding.Check(roof) is { } problem)
            return problem;
        var sheet = new Worksheet();
        sheet.Cite(new Source("Each proved by filling the changed roof again", SourceKind.Geometry));
        sheet.Cite(new Source($"A raised joint stands {AboveWaterMm} mm above the water", SourceKind.Assumption));
        HeightField field = Ponding.Turned(Ponding.Searched(roof), roof, attitude);
        WaterMap now = Map(field, roof.Dams);
        var mends = new List<PondingMend>();
        // By number: two openings may have one name.
        for (int i = 0; i < roof.Dams.Count; i++)
        {
            Dam dam = roof.Dams[i];
            double depth = now.Dams[i].DepthMm;
            sheet.Step($"d_{i + 1}", $"water against {dam.Name}", "max(depth) beside its edge", depth, "mm");
            if (depth < StandingWater.FilmMm)
                continue;
            mends.Add(Filled(field, roof.Dams, i, now, depth, lengths));
            double by = Math.Ceiling(depth + AboveWaterMm);
            WetRoof raised = roof with { Dams = [.. roof.Dams.Select((d, j) => j == i ? d with { StandsMm = d.StandsMm + by } : d)] };
            mends.Add(
                new PondingMend(
                    MendKind.Raise,
                    dam.Name,
                    $"Set {dam.Name} on a frame {lengths.Text(by)} high, sealed to the skin by itself.",
                    by,
                    depth,
                    Math.Max(0, Map(Ponding.Turned(Ponding.Searched(raised), raised, attitude), raised.Dams).Dams[i].DepthMm - by)
                )
            );
            foreach (OtherPlace place in places.Where(p => p.Dam == dam.Name).Take(MostPlaces).Until(stop))
            {
                WetRoof moved = roof with { Dams = [.. roof.Dams.Select((d, j) => j == i ? d with { Edge = place.Edge } : d)] };
                double then = Map(Ponding.Turned(Ponding.Searched(moved), moved, attitude), moved.Dams).Dams[i].DepthMm;
                if (then < depth - StandingWater.FilmMm)
                    mends.Add(new PondingMend(MendKind.Move, dam.Name, place.What, place.Edge.Centre.DistanceMm(dam.Edge.Centre), depth, then));
            }
        }
        if (mends.Count > 0 && Ponding.Park(roof, attitude, stop).Value is { Result: { PitchByDeg: { } pitch and not 0 } park })
            mends.Add(
                new PondingMend(
                    MendKind.Park,
                    "",
                    $"Park with the nose {(pitch > 0 ? "up" : "down")} by {Math.Abs(pitch):0.##} degrees more.",
                    pitch,
                    park.NowMm,
                    park.ThenMm
                )
            );
        return sheet.Finish(
            new MendsOfRoof([.. mends.OrderBy(m => m.Dam, StringComparer.Ordinal).ThenBy(m => m.ThenMm).ThenBy(m => m.Kind).ThenBy(m => m.Amount)])
        );
    }

    /// <summary>Fills what stands against one thing up to the water's level, and looks again.</summary>
    private static PondingMend Filled(HeightField field, IReadOnlyList<Dam> dams, int number, WaterMap now, double depth, LengthFormat lengths)
    {
        Dam dam = dams[number];
        PanelBox beside = dam.Edge.Grown(1.5 * field.CellMm);
        double[] heights = [.. field.HeightsMm];
        double litres = 0;
        Pond[] against = [.. now.Ponds.Where(p => p.Around.Overlaps(beside))];
        for (int i = 0; i < heights.Length; i++)
        {
            if (now.DepthsMm[i] <= 0 || !against.Any(p => p.Around.Holds(field.At(i))))
                continue;
            // Depths are rounded to a tenth; a tenth more leaves none behind.
            heights[i] += now.DepthsMm[i] + 0.1;
            litres += now.DepthsMm[i] * field.CellMm * field.CellMm / 1e6;
        }
        double then = Map(field with { HeightsMm = heights }, dams).Dams[number].DepthMm;
        return new PondingMend(
            MendKind.Fill,
            dam.Name,
            $"Fill the hollow before {dam.Name} up to {lengths.Text(depth)}, {litres * 1000:0} ml of filler, and let it fall away from it.",
            depth,
            depth,
            then
        );
    }

    private static WaterMap Map(HeightField field, IReadOnlyList<Dam> dams) => StandingWater.On(field, dams, [], new Worksheet()).Result;
}
