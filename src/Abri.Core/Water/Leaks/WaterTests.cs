using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Water.Leaks;

/// <summary>Works out which water tests can be made on a shell, and puts them in order.</summary>
/// <remarks>
/// Zones of a short length from the foot of a side up, and of the roof from its edge to its crown; and single suspects with all else taped over. A
/// zone may be sprayed once what lies below it, on the way of the water that runs off, was sprayed and stayed dry, since
/// that would be wetted too. Where only one suspect is sprayed and the rest is covered, nothing has to come first.
/// </remarks>
internal static class WaterTests
{
    /// <summary>Size of a zone on a panel, mm: what one wets evenly from one stand; assumption.</summary>
    private const double AcrossMm = 600;

    private const double SetUpMinutes = 3,
        MaskMinutes = 8,
        AroundMm = 60,
        TapedMm = 25,
        LiveFrom = 0.002,
        ReachFrom = 0.01;
    private const int MostZones = 200,
        MostSingles = 40,
        MostPlanned = 10,
        MostLater = 5;

    public static IReadOnlyList<PlannedTest> Plan(
        WetShell shell,
        IReadOnlyList<OfferedSuspect> offered,
        LeakQuestion question,
        LeakRanking ranking,
        IReadOnlyList<WetSpot> spots,
        IEnumerable<Observation> looked,
        Worksheet sheet
    )
    {
        int[] wetSpots = [.. Enumerable.Range(0, spots.Count).Where(k => question.Evidence.Any(e => e.Wet && e.Spot == k))];
        if (wetSpots.Length == 0)
            return [];
        Dictionary<string, WetPanel> panels = shell.Panels.ToDictionary(p => p.Id);
        HashSet<int> live =
        [
            .. ranking
                .Suspects.Where(s => s.Causes >= LiveFrom && wetSpots.Any(k => question.Suspects[s.Number].Reaches[k] >= ReachFrom))
                .Select(s => s.Number),
        ];
        Spray[] sprayed = [.. looked.Select(o => o.Spray).OfType<Spray>()];
        Zone[] zones = [.. Zones(shell, offered, live, panels).Take(MostZones)];
        Zone[] singles = [.. ranking.Suspects.Where(s => live.Contains(s.Number)).Take(MostSingles).Select(s => Single(s.Number, offered, panels))];
        Zone[] all = [.. zones, .. singles];
        if (all.Length == 0)
            return [];
        var candidates = new List<WaterTestCandidate>();
        foreach (Zone zone in all)
        {
            double[] shows =
            [
                .. offered.Select(o => Wetting.BySpray(zone.Spray, panels[o.PanelId].Panel, o.Suspect.Points) * Wetting.Seen(zone.Spray)),
            ];
            // One person watches the mark that the zone's water would reach best.
            int watched = wetSpots.MaxBy(k => zone.Wets.Sum(i => question.Suspects[i].Reaches[k] * question.Suspects[i].Prior));
            double minutes = zone.Spray.Minutes + Wetting.WaitMinutes + SetUpMinutes + (zone.Spray.OthersMasked ? MaskMinutes : 0);
            candidates.Add(
                new WaterTestCandidate(zone.Name, watched, minutes, shows, zone.Spray.OthersMasked ? null : FirstBelow(zone, zones, sprayed, panels))
            );
        }
        Result<Worked<TestPlan>> plan = NextWaterTest.Of(question, candidates);
        if (!plan.IsOk(out Worked<TestPlan>? worked, out Problem? problem))
        {
            sheet.Warn(problem.Message);
            return [];
        }
        RankedTest[] telling = [.. worked.Result.Tests.Where(t => t.Bits > 1e-4)];
        return
        [
            .. telling
                .Where(t => t.NotYet is null)
                .Take(MostPlanned)
                .Concat(telling.Where(t => t.NotYet is not null).Take(MostLater))
                .Select(t => Planned(t, all[t.Number], candidates[t.Number].Spot, spots, sprayed, offered, panels)),
        ];
    }

    private static IEnumerable<Zone> Zones(
        WetShell shell,
        IReadOnlyList<OfferedSuspect> offered,
        HashSet<int> live,
        Dictionary<string, WetPanel> panels
    )
    {
        foreach (WetPanel panel in shell.Panels.Where(p => p.Panel.Facing != Facing.Down))
        {
            int[] own = [.. live.Where(i => offered[i].PanelId == panel.Id)];
            if (own.Length == 0)
                continue;
            PanelBox box = panel.Panel.Box;
            int along = Math.Max(1, (int)Math.Round(box.WidthMm / OfferedSuspects.LengthMm)),
                across = Math.Max(1, (int)Math.Round(box.HeightMm / AcrossMm));
            // One length, two, four..., up to all: over many suspects a long stretch halves the field sooner.
            for (int lengths = 1; lengths < 2 * along; lengths *= 2)
            {
                for (int a = 0; a < along; a += lengths)
                {
                    int to = Math.Min(along, a + lengths);
                    for (int c = 0; c < across; c++)
                    {
                        var zone = new PanelBox(
                            box.SMinMm + (box.WidthMm * a / along),
                            box.SMinMm + (box.WidthMm * to / along),
                            box.TMinMm + (box.HeightMm * c / across),
                            box.TMinMm + (box.HeightMm * (c + 1) / across)
                        );
                        int[] wets = [.. own.Where(i => Wetting.Samples(offered[i].Suspect.Points).Any(zone.Grown(AroundMm).Holds))];
                        if (wets.Length == 0 || (lengths > 1 && to - a < 2))
                            continue;
                        string which =
                            along == 1 ? ""
                            : to - a == along ? "whole length, "
                            : to - a == 1 ? $"length {a + 1} of {along}, "
                            : $"lengths {a + 1} to {to} of {along}, ";
                        yield return new Zone(
                            Capital($"{panel.Name}, {which}{PlaceWords.Across(panel.Panel, zone.Centre)}"),
                            panel.Id,
                            new Spray(panel.Panel.Kind, zone, Wetting.SprayMinutes * (to - a), false),
                            wets
                        );
                    }
                }
            }
        }
    }

    private static Zone Single(int number, IReadOnlyList<OfferedSuspect> offered, Dictionary<string, WetPanel> panels)
    {
        OfferedSuspect o = offered[number];
        PanelBox around = PanelBox.Of(o.Suspect.Points).Grown(TapedMm);
        double minutes = Wetting.SprayMinutes * Wetting.Lengths(around);
        return new Zone($"{o.Suspect.Name} alone", o.PanelId, new Spray(panels[o.PanelId].Panel.Kind, around, minutes, true), [number]);
    }

    /// <summary>The zone below that has to come first; null where none.</summary>
    private static string? FirstBelow(Zone zone, Zone[] zones, Spray[] sprayed, Dictionary<string, WetPanel> panels)
    {
        foreach (Zone below in zones)
        {
            if (below == zone || Wetting.Lengths(below.Spray.Zone) > 1.5 || sprayed.Any(s => Covers(s, below)))
                continue;
            PanelPoint middle = below.Spray.Zone.Centre;
            if (Wetting.Below(zone.Spray.Panel, zone.Spray.Zone, panels[below.PanelId].Panel, [middle]) > 0 && Apart(zone, below))
                return $"First {Lower(below.Name)}: water from here would run over it.";
        }
        return null;
    }

    /// <summary>Zones beside each other at one height do not wet one another.</summary>
    private static bool Apart(Zone zone, Zone below) =>
        zone.PanelId != below.PanelId || below.Spray.Zone.SMinMm < zone.Spray.Zone.SMaxMm - 1 && zone.Spray.Zone.SMinMm < below.Spray.Zone.SMaxMm - 1;

    private static bool Covers(Spray s, Zone zone) =>
        s.Panel == zone.Spray.Panel && s.Zone.Grown(AroundMm).Shared(zone.Spray.Zone).AreaMm2 >= 0.5 * zone.Spray.Zone.AreaMm2;

    private static PlannedTest Planned(
        RankedTest test,
        Zone zone,
        int spot,
        IReadOnlyList<WetSpot> spots,
        Spray[] sprayed,
        IReadOnlyList<OfferedSuspect> offered,
        Dictionary<string, WetPanel> panels
    )
    {
        WetSpot watched = spots[spot];
        string panel = panels[zone.PanelId].Name;
        string mask = zone.Spray.OthersMasked
            ? $"Tape over every joint within an arm's length of {Lower(offered[zone.Wets[0]].Suspect.Name)}, and hang a sheet over "
                + "what lies below it."
            : $"Hang a sheet over what lies above and beside this part of the {panel}, taped at its upper edge.";
        string ladder = panels[zone.PanelId].Panel.Facing == Facing.Up ? " Work from a ladder or a board; wet skin is slippery." : "";
        string[] instructions =
        [
            $"Dry {Lower(watched.Name)} with a cloth and lay dry paper there.",
            mask,
            $"One inside watches {Lower(watched.Name)} with a torch. One outside sprays gently, no jet, from the low end up, "
                + $"{zone.Spray.Minutes:0} minutes.{ladder}",
            $"Wait {Wetting.WaitMinutes:0} minutes more before you call it dry. Alone: look after each minute of spraying.",
        ];
        return new PlannedTest(
            test,
            zone.PanelId,
            zone.Spray,
            watched.PanelId,
            watched.Place,
            watched.Name,
            Wetting.WaitMinutes,
            zone.Wets,
            sprayed.Any(s => s.OthersMasked == zone.Spray.OthersMasked && Covers(s, zone)),
            instructions
        );
    }

    private static string Capital(string name) => char.ToUpperInvariant(name[0]) + name[1..];

    private static string Lower(string name) => char.ToLowerInvariant(name[0]) + name[1..];

    private sealed record Zone(string Name, string PanelId, Spray Spray, int[] Wets);
}
