using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Shell.Presets;
using Abri.Core.Water.Leaks;

namespace Abri.Core.Tests.Water.Leaks;

/// <summary>
/// Leaks made up on shells, each with one hidden cause, hunted by the program's own tests: how often is the cause found, and in how many tests?
/// </summary>
/// <remarks>
/// The world differs from the program's picture of it: the vehicle stands up to half a degree off what is written down, a test shows more or less
/// surely than assumed, a place is found wet by mistake in 2 of 100 tests, and other suspects leak as well, elsewhere.
/// </remarks>
public static class LeakSimulation
{
    /// <summary>Tests after which a person gives up.</summary>
    public const int MostTests = 10;

    /// <summary>Places that are looked at for one to which the water comes.</summary>
    private const int MostMarks = 40;

    /// <summary>One hunt.</summary>
    /// <param name="Found">Whether the hidden cause came out on top.</param>
    /// <param name="FirstGuess">Whether it was on top before any test.</param>
    /// <param name="Tests">Tests made.</param>
    /// <param name="Minutes">What they took, min.</param>
    /// <param name="Suspects">Suspects from whose place the mark can be reached.</param>
    public sealed record Hunt(bool Found, bool FirstGuess, int Tests, double Minutes, int Suspects);

    /// <summary>Hunts on the shells that ship and on some with openings of random size and place.</summary>
    public static IReadOnlyList<Hunt> Run(int hunts, int seed)
    {
        var random = new Random(seed);
        ShellDesign[] presets = [.. ShellPresets.All];
        var done = new List<Hunt>();
        while (done.Count < hunts)
        {
            if (One(presets[done.Count % presets.Length], random) is { } hunt)
                done.Add(hunt);
        }
        return done;
    }

    private static Hunt? One(ShellDesign preset, Random random)
    {
        WetPanel[] panels =
        [
            .. preset.Panels.Select((p, i) => new WetPanel($"panel-{i}", p.Panel, p.Members, [], Openings(p.Panel, random), [], [], [], [], [])),
        ];
        var parked = new Attitude((random.NextDouble() * 3) - 1.5, (random.NextDouble() * 2) - 1);
        var stands = new Attitude(parked.PitchDeg + random.NextDouble() - 0.5, parked.RollDeg + random.NextDouble() - 0.5);
        // Conditions as somebody would see them: most unknown, some aged or cracked.
        var shell = new WetShell(panels, parked, []);
        panels =
        [
            .. panels.Select(p =>
                p with
                {
                    Suspects = Keyed.All(
                        "suspect",
                        OfferedSuspects
                            .Of(shell with { Panels = [p] })
                            .Where(_ => random.NextDouble() < 0.3)
                            .Select(o => o.Suspect with { Condition = Seen(random) })
                    ),
                }
            ),
        ];
        shell = shell with { Panels = panels };
        IReadOnlyList<OfferedSuspect> offered = OfferedSuspects.Of(shell);

        // The hidden cause, by its prior, and a mark somewhere on the way that its water really takes.
        int hidden = Drawn(offered.Select(o => LeakPriors.Of(o.Suspect.Kind, o.Suspect.Condition, [])), random);
        WetPanel on = panels.Single(p => p.Id == offered[hidden].PanelId);
        var world = new WaterWays(panels, stands);
        int at = world.Enter(Array.IndexOf(panels, on), Suspect.Along(Line(offered[hidden]), random.NextDouble()));
        WaterWays.Node? mark = Enumerable
            .Range(0, MostMarks)
            .Select(_ => world.Nodes[random.Next(world.Nodes.Count)])
            .FirstOrDefault(n => n.HeightMm < world.Nodes[at].HeightMm && world.ChancesTo(n.Place, 0)[at] > 0.15);
        if (mark is null)
            return null;
        Finding stain = new(
            "Stain",
            FindingKind.Stain,
            FindingShape.Point,
            [mark.At],
            ViewedFrom.Inside,
            Severity.Moderate,
            new(null, null, null, null),
            FindingState.Open,
            "",
            DateTimeOffset.UnixEpoch,
            ""
        );
        panels[mark.Panel] = panels[mark.Panel] with { Findings = Keyed.All("finding", [stain]) };

        (bool first, double minutes, int reached) = (false, 0, 0);
        for (int test = 0; ; test++)
        {
            LeakHunt hunt = LeakHunt.Of(shell with { Panels = panels }, "Stain").Value!.Result;
            bool leads = hunt.Ranking.Suspects[0].Number == hidden;
            if (test == 0)
                (first, reached) = (leads, hunt.Suspects.Count(s => s.Reach >= 0.02));
            PlannedTest? next = hunt.Tests.FirstOrDefault(t => t.Test.NotYet is null);
            if (hunt.Ranking.State == LeakState.OneCause || test == MostTests || next is null)
                return new Hunt(leads, first, test, minutes, reached);
            minutes += next.Test.Minutes;
            double hit =
                Wetting.BySpray(next.Spray, on.Panel, offered[hidden].Suspect.Points)
                * Wetting.Seen(next.Spray with { Minutes = next.Spray.Minutes * (0.7 + (0.6 * random.NextDouble())) });
            bool wet = random.NextDouble() < hit || random.NextDouble() < 0.02;
            int watched = Array.FindIndex(panels, p => p.Id == next.WatchPanelId);
            var seen = new Observation(
                ObservationKind.WaterTest,
                next.WatchPlace,
                DateTimeOffset.UnixEpoch.AddHours(test + 1),
                wet,
                null,
                null,
                null,
                next.Spray,
                null,
                "",
                ""
            );
            panels[watched] = panels[watched] with { Observations = [.. panels[watched].Observations, seen] };
        }
    }

    private static IReadOnlyList<PanelPoint> Line(OfferedSuspect o) =>
        o.Suspect.Points.Count > 1 ? o.Suspect.Points : [o.Suspect.Points[0], o.Suspect.Points[0].Plus(0.01, 0)];

    private static Condition Seen(Random random) =>
        random.Next(6) switch
        {
            0 => Condition.Cracked,
            1 => Condition.Loose,
            2 => Condition.Sound,
            _ => Condition.Aged,
        };

    private static int Drawn(IEnumerable<double> weights, Random random)
    {
        double[] w = [.. weights];
        double left = random.NextDouble() * w.Sum();
        return Math.Max(0, Array.FindIndex(w, x => (left -= x) <= 0));
    }

    private static CutOpening[] Openings(Panel panel, Random random)
    {
        if (panel.Kind is not (PanelKind.Roof or PanelKind.Left or PanelKind.Right) || random.NextDouble() < 0.3)
            return [];
        PanelBox box = panel.Box;
        var middle = new PanelPoint(
            box.SMinMm + (box.WidthMm * (0.25 + (0.5 * random.NextDouble()))),
            box.TMinMm + (box.HeightMm * (0.3 + (0.4 * random.NextDouble())))
        );
        return
        [
            new CutOpening("Opening", PanelBox.Around(middle, 300 + (400 * random.NextDouble()), 300 + (200 * random.NextDouble())), true, false),
        ];
    }
}
