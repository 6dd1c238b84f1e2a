using System.Globalization;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Water.Leaks;

/// <summary>A place inside at which something was found wet or dry.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="PanelId">Id of the panel.</param>
/// <param name="Place">Where on it.</param>
/// <param name="Wet">Whether it was ever found wet.</param>
public sealed record WetSpot(string Name, string PanelId, PanelPoint Place, bool Wet);

/// <summary>A piece of the way of water over one panel.</summary>
/// <param name="PanelId">Id of the panel.</param>
/// <param name="Points">Points of the way.</param>
public sealed record WayPiece(string PanelId, IReadOnlyList<PanelPoint> Points);

/// <summary>A suspect with its way to the mark that it reaches best.</summary>
/// <param name="PanelId">Id of its panel.</param>
/// <param name="Suspect">The suspect.</param>
/// <param name="Origin">From where it comes.</param>
/// <param name="Why">Why its condition is taken to be so; may be empty.</param>
/// <param name="Reach">Chance that its water shows at that mark.</param>
/// <param name="Way">The way there, panel by panel; empty where it reaches none.</param>
/// <param name="WayWords">The same in words; empty where it reaches none.</param>
/// <param name="Key">Key of the finding or of the suspect that was written down; null for what the shell itself has.</param>
public sealed record HuntedSuspect(
    string PanelId,
    Suspect Suspect,
    SuspectOrigin Origin,
    string Why,
    double Reach,
    IReadOnlyList<WayPiece> Way,
    string WayWords,
    string? Key = null
)
{
    /// <summary>What it is written down as when it becomes a finding.</summary>
    public FindingKind AsFinding { get; init; } = OfferedSuspects.FindingOf(Suspect.Kind);
}

/// <summary>A water test with how it is made.</summary>
/// <param name="Test">What it is worth.</param>
/// <param name="PanelId">Id of the panel that is sprayed.</param>
/// <param name="Spray">What is sprayed.</param>
/// <param name="WatchPanelId">Id of the panel that is watched.</param>
/// <param name="WatchPlace">The place that is watched.</param>
/// <param name="Watch">What it is called.</param>
/// <param name="WaitMinutes">How long one waits after spraying, min.</param>
/// <param name="Wets">Numbers of the suspects that it wets.</param>
/// <param name="Again">Whether this was sprayed before: a dry test misses some leaks.</param>
/// <param name="Instructions">What to do, in order.</param>
public sealed record PlannedTest(
    RankedTest Test,
    string PanelId,
    Spray Spray,
    string WatchPanelId,
    PanelPoint WatchPlace,
    string Watch,
    double WaitMinutes,
    IReadOnlyList<int> Wets,
    bool Again,
    IReadOnlyList<string> Instructions
);

/// <summary>How the search for a leak stands.</summary>
/// <param name="Ranking">The suspects, weighed.</param>
/// <param name="Suspects">The suspects by number, with their ways.</param>
/// <param name="Spots">The places that were looked at.</param>
/// <param name="Tests">Water tests, best first; those that may not be made yet last.</param>
/// <param name="Covers">What keeps the likeliest shut until they are mended, where rain is near.</param>
/// <param name="Marks">Names of all wet places of the shell, whichever is asked about.</param>
/// <param name="Mark">The one that is asked about; null for all of them.</param>
public sealed record LeakHunt(
    LeakRanking Ranking,
    IReadOnlyList<HuntedSuspect> Suspects,
    IReadOnlyList<WetSpot> Spots,
    IReadOnlyList<PlannedTest> Tests,
    IReadOnlyList<TemporaryCover> Covers,
    IReadOnlyList<string> Marks,
    string? Mark
)
{
    /// <summary>Ways to look for it besides spraying.</summary>
    public IReadOnlyList<OtherTest> OtherTests { get; init; } = OtherTest.All;

    /// <summary>Two places nearer than this are one spot, mm.</summary>
    private const double SameSpotMm = 250;

    /// <summary>How well an attitude is known, degrees: assumption.</summary>
    private const double DoubtDeg = 0.5;

    private const int MostCovers = 4;
    private const double UsualSpreadMm = 60;

    /// <summary>Weighs what is known of the mark that waits first: a leak is hunted for one mark at a time.</summary>
    /// <remarks>Stains that wait come in the order of work, then whatever else is wet; where nothing is, all is weighed.</remarks>
    /// <param name="shell">The shell.</param>
    /// <param name="stop">Stops the search when nobody waits for it any more.</param>
    public static Result<Worked<LeakHunt>> OfFirst(WetShell shell, CancellationToken stop = default)
    {
        Looked[] looked = Gather(shell, new Worksheet());
        Place[] places = Cluster(looked);
        string[] marks = Wet(looked, places);
        // Stains of one name may be several marks: by their number among all findings.
        Finding[] stains = [.. shell.Panels.SelectMany(p => p.Findings).Select(f => f.Value).Where(f => f.Kind == FindingKind.Stain)];
        IReadOnlyList<NextJob> inOrder = WorkOrder.Of([.. stains.Select((f, i) => new Waiting(new Job(JobKind.Finding, $"{i}"), "", f))]);
        IEnumerable<string> waiting = inOrder
            .Select(job => stains[int.Parse(job.Job.Id, CultureInfo.InvariantCulture)])
            .SelectMany(f => looked.Where(l => ReferenceEquals(l.Finding, f)))
            .Select(l => places[l.PlaceIndex].Name);
        return Of(shell, waiting.FirstOrDefault(marks.Contains) ?? marks.FirstOrDefault(), stop);
    }

    /// <summary>Weighs all that is known of a shell.</summary>
    /// <param name="shell">The shell.</param>
    /// <param name="mark">Name of the one mark that is asked about; null for all of them.</param>
    /// <param name="stop">Stops the search when nobody waits for it any more.</param>
    public static Result<Worked<LeakHunt>> Of(WetShell shell, string? mark = null, CancellationToken stop = default)
    {
        if (shell.Panels.Count == 0)
            return new Problem("shell-empty", "/shell/panels", "The shell has no panels yet.");
        for (int i = 0; i < shell.Panels.Count; i++)
        {
            if (ShellCheck.Of(shell.Panels[i].Panel, shell.Panels[i].Members) is { } wrong)
                return wrong.Under($"/shell/panels/{i}");
        }
        IReadOnlyList<OfferedSuspect> offered = OfferedSuspects.Of(shell);
        if (offered.Count == 0)
            return new Problem(
                "leak-suspects",
                "/shell",
                "There is nothing to suspect: the shell has no roof, no doors, no openings and no findings."
            );
        var sheet = new Worksheet();
        if (offered.Count > LeakQuestion.MostSuspects)
        {
            sheet.Warn($"Only the first {LeakQuestion.MostSuspects} of {offered.Count} suspects are weighed. Mark what is sound as done.");
            offered = [.. offered.Take(LeakQuestion.MostSuspects)];
        }
        Looked[] looked = Gather(shell, sheet);
        Place[] places = Cluster(looked);
        string[] marks = Wet(looked, places);
        if (mark is not null)
        {
            int only = Array.FindIndex(places, p => p.Name == mark);
            if (only < 0)
                return new Problem("mark-unknown", "/mark", $"Nothing was looked at that is called \"{mark}\".");
            looked = [.. looked.Where(l => l.PlaceIndex == only)];
        }
        if (looked.Length == 0)
            return Nothing(shell, offered, sheet);

        // A way is there or not under one attitude; under another it is another way.
        (int Place, Attitude Attitude)[] spots = [.. looked.Select(l => (l.PlaceIndex, l.Attitude)).Distinct()];
        Ways[] ways = [.. spots.Select(s => s.Attitude).Distinct().Select(a => new Ways(shell, offered, a, stop))];
        double[][] reaches = [.. spots.Until(stop).Select(s => ways.Single(w => w.Attitude == s.Attitude).Reaches(places[s.Place]))];
        var panels = shell.Panels.ToDictionary(p => p.Id);
        LeakSuspect[] suspects =
        [
            .. offered.Select(
                (o, i) =>
                    new LeakSuspect(o.Suspect.Name, LeakPriors.Of(o.Suspect.Kind, o.Suspect.Condition, shell.Priors), [.. reaches.Select(k => k[i])])
            ),
        ];
        LeakEvidence[] evidence =
        [
            .. looked.Select(l => new LeakEvidence(
                l.Name,
                Array.IndexOf(spots, (l.PlaceIndex, l.Attitude)),
                l.Wet,
                [.. offered.Select(o => l.Shows(o, panels[o.PanelId].Panel))],
                l.Observation?.Kind == ObservationKind.WaterTest
            )),
        ];
        foreach (OfferedSuspect o in offered.Where(o => o.Suspect.SinceAt is not null))
        {
            if (looked.Any(l => l.At < o.Suspect.SinceAt))
                sheet.Warn(
                    $"What was seen before {Day(o.Suspect.SinceAt!.Value)} does not bear on {o.Suspect.Name}: it has been as it is since then only."
                );
        }
        var question = new LeakQuestion([.. spots.Select(s => places[s.Place].Name)], suspects, evidence);
        if (!LeakRanking.Of(question).IsOk(out Worked<LeakRanking>? ranking, out Problem? problem))
            return problem;

        HuntedSuspect[] hunted = [.. offered.Select((o, i) => WithWay(o, i, spots, places, ways, suspects[i]))];
        IReadOnlyList<PlannedTest> tests = WaterTests.Plan(
            shell,
            offered,
            question,
            ranking.Result,
            [.. spots.Select(s => places[s.Place].AsSpot(looked, s.Place))],
            looked.Select(l => l.Observation).OfType<Observation>(),
            sheet
        );
        TemporaryCover[] covers =
        [
            .. ranking
                .Result.Suspects.Where(s => s.Causes >= 0.1)
                .Take(MostCovers)
                .Select(s => TemporaryCover.Of(s.Number, offered[s.Number].Suspect, panels[offered[s.Number].PanelId].Panel.Facing == Facing.Up)),
        ];
        Finish(sheet, ranking);
        return sheet.Finish(
            new LeakHunt(
                ranking.Result,
                hunted,
                [.. places.Select((p, i) => p.AsSpot(looked, i)).Where((_, i) => looked.Any(l => l.PlaceIndex == i))],
                tests,
                covers,
                marks,
                mark
            )
        );
    }

    private static string[] Wet(Looked[] looked, Place[] places) =>
        [.. places.Select((p, i) => p.AsSpot(looked, i)).Where(s => s.Wet).Select(s => s.Name)];

    private static Worked<LeakHunt> Nothing(WetShell shell, IReadOnlyList<OfferedSuspect> offered, Worksheet sheet)
    {
        RankedSuspect[] ranked =
        [
            .. offered
                .Select((o, i) => (i, o.Suspect.Name, Prior: LeakPriors.Of(o.Suspect.Kind, o.Suspect.Condition, shell.Priors)))
                .OrderByDescending(x => x.Prior)
                .ThenBy(x => x.i)
                .Select(x => new RankedSuspect(x.i, x.Name, x.Prior, x.Prior, 0, [], [])),
        ];
        var ranking = new LeakRanking(
            LeakState.NothingWet,
            "Nothing is checked yet. Record where water shows, or that a place stayed dry in the rain.",
            ranked,
            1,
            0,
            0,
            [],
            []
        );
        sheet.Cite(new Source("Priors by kind and state", SourceKind.Assumption));
        return sheet.Finish(
            new LeakHunt(
                ranking,
                [.. offered.Select(o => new HuntedSuspect(o.PanelId, o.Suspect, o.Origin, o.Why, 0, [], "", o.Key))],
                [],
                [],
                [],
                [],
                null
            )
        );
    }

    /// <summary>The steps of the ranking are those of the hunt.</summary>
    private static void Finish(Worksheet sheet, Worked<LeakRanking> ranking)
    {
        foreach (Step s in ranking.Steps)
            sheet.Step(s.Symbol, s.Meaning, s.Formula, s.Value, s.Unit);
        foreach (Source s in ranking.Sources)
            sheet.Cite(s);
        sheet.Cite(new Source("Priors by kind and state, chances along the ways, what rain and spray hit", SourceKind.Assumption));
        sheet.Cite(
            new Source(
                $"Spray from low to high, about {Wetting.SprayMinutes:0} minutes a short length, wait before going up: field tests "
                    + "of walls (AAMA 501.2)",
                SourceKind.FromMemory
            )
        );
    }

    /// <summary>All that was looked at, in time: findings inside count as wet since some rain nobody dates.</summary>
    private static Looked[] Gather(WetShell shell, Worksheet sheet)
    {
        var frame = new ShellFrame([.. shell.Panels.Select(p => p.Panel)]);
        ShellPoint At(WetPanel panel, PanelPoint p) => frame.At(panel.Panel, p);
        var all = new List<Looked>();
        foreach (WetPanel panel in shell.Panels)
        {
            foreach (
                Finding f in panel
                    .Findings.Select(f => f.Value)
                    .Where(f => f is { Kind: FindingKind.Stain or FindingKind.DampInsulation or FindingKind.SoftWood, State: not FindingState.Done })
            )
            {
                PanelBox around = PanelBox.Of(f.Points);
                all.Add(
                    new Looked(
                        f.Name,
                        f.Name,
                        panel,
                        OfferedSuspects.Middle(f),
                        At(panel, OfferedSuspects.Middle(f)),
                        Math.Max(UsualSpreadMm, Math.Min(400, Math.Max(around.WidthMm, around.HeightMm) / 2)),
                        f.SeenAt,
                        true,
                        shell.Attitude,
                        null,
                        f
                    )
                );
            }
            foreach (Observation o in panel.Observations)
            {
                if (o.SaysWet is { } wet)
                    all.Add(
                        new Looked(
                            "",
                            PlaceWords.Of(panel, o.Place),
                            panel,
                            o.Place,
                            At(panel, o.Place),
                            UsualSpreadMm,
                            o.SeenAt,
                            wet,
                            o.Attitude ?? shell.Attitude,
                            o
                        )
                    );
            }
        }
        int test = 0;
        Looked[] inTime = [.. all.OrderBy(l => l.At).Select(l => l.Observation is null ? l : l with { Name = NameOf(l.Observation, ref test) })];
        // Rain that finds the same mark wet again says nothing new.
        inTime =
        [
            .. inTime.Where(
                (l, i) =>
                    !(
                        l.Wet
                        && l.Observation?.Kind == ObservationKind.Rain
                        && inTime.Take(i).Any(e => e.Wet && e.Observation?.Kind is null or ObservationKind.Rain && Same(e, l))
                    )
            ),
        ];
        int tooMany = inTime.Count(l => l.Wet) - LeakQuestion.MostWet;
        if (tooMany <= 0)
            return inTime;
        sheet.Warn(
            $"The {tooMany} oldest of the wet results are left out: {LeakQuestion.MostWet} are weighed at once. Ask about one mark "
                + "at a time to weigh all of its own."
        );
        HashSet<Looked> left = [.. inTime.Where(l => l.Wet).Take(tooMany)];
        return [.. inTime.Where(l => !left.Contains(l))];
    }

    private static bool Same(Looked a, Looked b) =>
        a.Place.DistanceMm(b.Place) <= SameSpotMm && a.Attitude == b.Attitude && (a.Observation is null || a.Observation.Wind == b.Observation!.Wind);

    private static string NameOf(Observation o, ref int test) =>
        o.Kind switch
        {
            ObservationKind.WaterTest => $"Test {++test}",
            ObservationKind.Rain => $"Rain of {Day(o.SeenAt)}",
            _ => $"Meter, {Day(o.SeenAt)}",
        };

    private static string Day(DateTimeOffset at) => at.ToString("d MMM", CultureInfo.InvariantCulture);

    /// <summary>Puts together what was looked at in one place; a place is called by the first finding there.</summary>
    private static Place[] Cluster(Looked[] looked)
    {
        var places = new List<Place>();
        foreach (Looked l in looked.OrderBy(l => l.Observation is not null))
        {
            int known = places.FindIndex(p => p.At.DistanceMm(l.Place) <= SameSpotMm);
            if (known < 0)
            {
                string name = l.SpotName;
                for (int i = 2; places.Exists(p => p.Name == name); i++)
                    name = $"{l.SpotName} ({i})";
                places.Add(new Place(name, l.Panel.Id, l.On, l.Place, l.SpreadMm));
                known = places.Count - 1;
            }
            l.PlaceIndex = known;
        }
        return [.. places];
    }

    private static HuntedSuspect WithWay(
        OfferedSuspect o,
        int i,
        (int Place, Attitude Attitude)[] spots,
        Place[] places,
        Ways[] ways,
        LeakSuspect suspect
    )
    {
        int k = Enumerable.Range(0, spots.Length).MaxBy(n => suspect.Reaches[n]);
        Ways own = ways.Single(w => w.Attitude == spots[k].Attitude);
        IReadOnlyList<WaterWays.Node> way = suspect.Reaches[k] < WayChances.Unseen ? [] : own.Way(i, places[spots[k].Place]);
        return new HuntedSuspect(
            o.PanelId,
            o.Suspect,
            o.Origin,
            o.Why,
            suspect.Reaches[k],
            WayWords.Pieces(way, own.Panels),
            way.Count == 0 ? "" : WayWords.Of(way, own.Panels, places[spots[k].Place].Name),
            o.Key
        );
    }

    /// <summary>One thing that was looked at.</summary>
    private sealed record Looked(
        string Name,
        string SpotName,
        WetPanel Panel,
        PanelPoint On,
        ShellPoint Place,
        double SpreadMm,
        DateTimeOffset At,
        bool Wet,
        Attitude Attitude,
        Observation? Observation,
        Finding? Finding = null
    )
    {
        public int PlaceIndex { get; set; }

        /// <summary>Chance that this shows water of a suspect that leaks and has a way here.</summary>
        public double Shows(OfferedSuspect o, Panel panel)
        {
            if (At < o.Suspect.SinceAt)
                return 0;
            return Observation switch
            {
                { Kind: ObservationKind.WaterTest, Spray: { } spray } => Wetting.BySpray(spray, panel, o.Suspect.Points) * Wetting.Seen(spray),
                { Kind: ObservationKind.Moisture } => Wetting.ByRain(panel.Facing, null) * Wetting.SeenByMeter,
                _ => Wetting.ByRain(panel.Facing, Observation?.Wind) * Wetting.SeenAfterRain,
            };
        }
    }

    private sealed record Place(string Name, string PanelId, PanelPoint On, ShellPoint At, double SpreadMm)
    {
        public WetSpot AsSpot(Looked[] looked, int index) => new(Name, PanelId, On, looked.Any(l => l.PlaceIndex == index && l.Wet));
    }

    /// <summary>The ways under one attitude, and where each suspect lets water in. An attitude is known to <see cref="DoubtDeg"/> at best, so
    /// the ways a little off it count too.</summary>
    private sealed class Ways
    {
        private readonly WaterWays[] graphs;
        private readonly int[][][] entries;

        public Ways(WetShell shell, IReadOnlyList<OfferedSuspect> offered, Attitude attitude, CancellationToken stop)
        {
            (Attitude, Panels) = (attitude, shell.Panels);
            Dictionary<string, int> number = shell.Panels.Select((p, i) => (p.Id, i)).ToDictionary(x => x.Id, x => x.i);
            (double Pitch, double Roll)[] off = [(0, 0), (DoubtDeg, 0), (-DoubtDeg, 0), (0, DoubtDeg), (0, -DoubtDeg)];
            graphs =
            [
                .. off.Until(stop).Select(o => new WaterWays(shell.Panels, new Attitude(attitude.PitchDeg + o.Pitch, attitude.RollDeg + o.Roll))),
            ];
            entries =
            [
                .. graphs.Select(g =>
                    offered.Select(o => Wetting.Samples(o.Suspect.Points).Select(p => g.Enter(number[o.PanelId], p)).ToArray()).ToArray()
                ),
            ];
        }

        public Attitude Attitude { get; }

        public IReadOnlyList<WetPanel> Panels { get; }

        /// <summary>Chance, per suspect, that its water shows at a place: the mean over the attitudes, and never less than that of a way which no
        /// drawing shows, from any place above.</summary>
        public double[] Reaches(Place place)
        {
            double[][] chances = [.. graphs.Select(g => g.ChancesTo(place.At, place.SpreadMm))];
            return
            [
                .. Enumerable
                    .Range(0, entries[0].Length)
                    .Select(i =>
                    {
                        WaterWays.Node at = graphs[0].Nodes[entries[0][i][0]];
                        double hidden =
                            at.Place.ZMm < place.At.ZMm - WayChances.UnseenBelowMm
                                ? 0
                                : WayChances.Unseen * Math.Exp(-at.Place.DistanceMm(place.At) / WayChances.SkinMm);
                        return Math.Round(Math.Max(hidden, graphs.Select((_, g) => entries[g][i].Max(n => chances[g][n])).Average()), 6);
                    }),
            ];
        }

        /// <summary>The best way of a suspect's water to a place, as the vehicle is said to stand.</summary>
        public IReadOnlyList<WaterWays.Node> Way(int suspect, Place place)
        {
            double[] chances = graphs[0].ChancesTo(place.At, place.SpreadMm);
            int from = entries[0][suspect].MaxBy(n => chances[n]);
            return chances[from] < 0.005 ? [] : graphs[0].Way(from, chances);
        }
    }
}
