using Abri.Core.Shell;

namespace Abri.Core.Water.Leaks;

/// <summary>Says a way of water in words, and cuts it into pieces to be drawn.</summary>
internal static class WayWords
{
    /// <summary>The way as lines on its panels.</summary>
    public static IReadOnlyList<WayPiece> Pieces(IReadOnlyList<WaterWays.Node> way, IReadOnlyList<WetPanel> panels) =>
        [.. Runs(way, n => n.Panel).Select(run => new WayPiece(panels[run[0].Panel].Id, [.. run.Select(n => n.At)])).Where(p => p.Points.Count > 0)];

    /// <summary>The way as a sentence.</summary>
    public static string Of(IReadOnlyList<WaterWays.Node> way, IReadOnlyList<WetPanel> panels, string spot)
    {
        var parts = new List<string>();
        foreach (List<WaterWays.Node> run in Runs(way, n => (n.Panel, n.Member)))
        {
            string panel = panels[run[0].Panel].Name;
            double length = run[0].Place.DistanceMm(run[^1].Place);
            if (run[0].Member is { } member)
                parts.Add(length < 50 ? $"at {Lower(member.Name)}" : $"{Towards(run[0], run[^1])} along {Lower(member.Name)}");
            else if (length >= 50)
                parts.Add(
                    panels[run[0].Panel].Panel.Facing is Facing.Up or Facing.Down
                        ? $"{Towards(run[0], run[^1])} over the {panel}"
                        : $"down the {panel}"
                );
            else if (parts.Count == 0 || panels[run[0].Panel].Panel.Facing == Facing.Down)
                parts.Add($"on the {panel}");
        }
        return $"{string.Join(", ", parts.Where((p, i) => i == 0 || p != parts[i - 1]))}, to {Lower(spot)}";
    }

    private static string Lower(string name) => char.ToLowerInvariant(name[0]) + name[1..];

    private static string Towards(WaterWays.Node a, WaterWays.Node b)
    {
        (double x, double y, double z) = (b.Place.XMm - a.Place.XMm, b.Place.YMm - a.Place.YMm, b.Place.ZMm - a.Place.ZMm);
        double most = Math.Max(Math.Abs(x), Math.Max(Math.Abs(y), Math.Abs(z)));
        return most == Math.Abs(z) ? "down"
            : most == Math.Abs(x) ? (x < 0 ? "forwards" : "to the rear")
            : y > 0 ? "to the left"
            : "to the right";
    }

    private static IEnumerable<List<WaterWays.Node>> Runs<TKey>(IReadOnlyList<WaterWays.Node> way, Func<WaterWays.Node, TKey> key)
    {
        var run = new List<WaterWays.Node>();
        foreach (WaterWays.Node n in way)
        {
            if (run.Count > 0 && !EqualityComparer<TKey>.Default.Equals(key(run[0]), key(n)))
            {
                yield return run;
                run = [];
            }
            run.Add(n);
        }
        if (run.Count > 0)
            yield return run;
    }
}
