using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Record;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Stages;

/// <summary>Bad wood that was found, and for which no replacement is planned yet.</summary>
/// <param name="FindingId">Id of the finding; null where only probes say so.</param>
/// <param name="PanelId">Id of its panel.</param>
/// <param name="Proposal">The replacement that would be a start.</param>
/// <param name="Order">Its place in the order of work, from 1; null where nothing waits.</param>
public sealed record FloorSpot(string? FindingId, string PanelId, Replacement Proposal, int? Order);

/// <summary>A replacement with what the lists and the map show of it.</summary>
/// <param name="Row">The replacement; its owner is the panel.</param>
/// <param name="Order">Its place in the order of work, from 1; null where it is done.</param>
/// <param name="Verdict">What is cut out and what goes in, in a sentence.</param>
/// <param name="Cut">What is cut out, part by part.</param>
/// <param name="State">What the strictest rule says of it.</param>
public sealed record FloorReplaced(
    Stored<Replacement> Row,
    int? Order,
    string Verdict,
    IReadOnlyList<IReadOnlyList<PanelPoint>> Cut,
    JudgementState State
);

/// <summary>What lies on the bearers of a floor, where it sags most.</summary>
/// <param name="PanelId">Id of the floor.</param>
/// <param name="Deck">Its board over its widest bay.</param>
public sealed record FloorDeck(string PanelId, Deck Deck);

/// <summary>The floors of a vehicle: what is bad, and what is replaced.</summary>
/// <param name="Spots">Bad wood without a replacement, in order of work.</param>
/// <param name="Replacements">The replacements, in order of work; what is done comes last.</param>
/// <param name="Decks">The deck of each floor with bearers.</param>
public sealed record FloorOfVehicle(IReadOnlyList<FloorSpot> Spots, IReadOnlyList<FloorReplaced> Replacements, IReadOnlyList<FloorDeck> Decks)
{
    /// <summary>Half the side of the square that a bad probe stands for where nothing else is drawn, mm: assumption.</summary>
    private const double ProbeReachMm = 25;

    /// <summary>The floors of a vehicle.</summary>
    public static FloorOfVehicle Of(VehicleSnapshot of)
    {
        Dictionary<Job, int> places = [];
        foreach ((NextJob job, int i) in WholeShell.NextJobs(of).Select((job, i) => (job, i)))
            places.TryAdd(job.Job, i + 1);
        int? Order(JobKind kind, string id) => places.TryGetValue(new Job(kind, id), out int place) ? place : null;
        FloorReplaced[] replaced =
        [
            .. of.Floor.Replacements.Select(r =>
            {
                // A replacement is checked as it is kept, and its panel may have been drawn anew since.
                ReplacementPlan? plan = FloorReplacement.Of(Site(of, of.PanelOf(r)), r.Value).Value?.Result;
                return new FloorReplaced(
                    r,
                    r.Value.State == ReplacementState.Done ? null : Order(JobKind.Replacement, r.Id),
                    plan?.Verdict ?? "It lies off its panel now: draw it again.",
                    plan?.Cut ?? [r.Value.Area],
                    plan is null ? JudgementState.Blocked : plan.Rows.Select(row => row.State).DefaultIfEmpty(JudgementState.Good).Max()
                );
            }),
        ];
        HashSet<string> mended = [.. of.Floor.Replacements.SelectMany(r => r.Value.FindingIds)];
        FloorSpot[] found =
        [
            .. of
                .Findings.Where(f =>
                    f.Value is { Kind: FindingKind.SoftWood, State: FindingState.Open or FindingState.Planned }
                    && !mended.Contains(f.Id)
                    && of.PanelOf(f).Value.Kind == PanelKind.Floor
                )
                .Select(f => new FloorSpot(f.Id, f.OwnerId!, Proposed(of, of.PanelOf(f), f), Order(JobKind.Finding, f.Id))),
        ];
        return new FloorOfVehicle(
            [.. found.OrderBy(s => s.Order ?? int.MaxValue), .. Probed(of, replaced, found)],
            [.. replaced.OrderBy(r => r.Order ?? int.MaxValue).ThenBy(r => r.Row.Value.Name, StringComparer.Ordinal)],
            [.. of.Panels.Where(p => p.Value.Kind == PanelKind.Floor).Select(p => DeckOf(of, p)).OfType<FloorDeck>()]
        );
    }

    /// <summary>A floor with what is known of it.</summary>
    public static FloorSite Site(VehicleSnapshot of, Stored<Panel> panel) =>
        new(panel.Value, of.MembersOn(panel).Values(), of.Floor.Boards.On(panel.Id).Values(), of.Floor.Probes.On(panel.Id).Values(), of.Lengths);

    /// <summary>The deck of a floor over the widest bay of its bearers; null where fewer than two are drawn.</summary>
    private static FloorDeck? DeckOf(VehicleSnapshot of, Stored<Panel> panel) =>
        BearerBays.WidestMm(Site(of, panel)) is { } widest && NewBoard(of, panel, "") is var board
            ? new FloorDeck(panel.Id, new Deck(board.ThickMm, DeckSag.ModulusOf(board.Material), widest))
            : null;

    /// <summary>A board to begin with: all over the floor, and like the one that is drawn already.</summary>
    public static Board NewBoard(VehicleSnapshot of, Stored<Panel> panel, string name) =>
        (
            of.Floor.Boards.On(panel.Id).Values().FirstOrDefault() ?? new Board("", [], BoardMaterial.SoftwoodPly, UsualThickMm, Grain.Lengthways, "")
        ) with
        {
            Name = name,
            Outline = panel.Value.Outline,
            Notes = "",
        };

    /// <summary>A start at a place: a square round it, and a sheet as thick as the board there.</summary>
    public static Replacement At(VehicleSnapshot of, Stored<Panel> panel, PanelPoint at) =>
        Proposed(of, panel, "Replacement", PanelBox.Around(at, 2 * ProbeReachMm, 2 * ProbeReachMm), []);

    private static Replacement Proposed(VehicleSnapshot of, Stored<Panel> panel, Stored<Finding> finding)
    {
        Finding it = finding.Value;
        PanelBox box = PanelBox.Of(it.Points);
        PanelBox area = it.Shape == FindingShape.Area ? box : box.Grown(Math.Max(ProbeReachMm, (it.Measures.WidthMm ?? 0) / 2));
        return Proposed(of, panel, it.Name, area, [finding.Id]) is var start && it.Shape == FindingShape.Area
            ? start with
            {
                Area = it.Points,
            }
            : start;
    }

    private static Replacement Proposed(VehicleSnapshot of, Stored<Panel> panel, string name, PanelBox area, IReadOnlyList<string> findings)
    {
        Board? under = of.Floor.Boards.On(panel.Id).Values().FirstOrDefault(b => PanelBox.Of(b.Outline).Overlaps(area))
            ?? of.Floor.Boards.On(panel.Id).Values().FirstOrDefault();
        return new Replacement(
            name,
            area.Corners,
            Replacement.UsualMarginMm,
            NewSheet.Usual(under?.Material ?? BoardMaterial.SoftwoodPly, under?.ThickMm ?? UsualThickMm, of.Lengths.Units),
            ReplacementState.Planned,
            null,
            findings,
            ""
        );
    }

    /// <summary>Thickness of a floor's board where none is drawn, mm: assumption.</summary>
    private const double UsualThickMm = 18;

    /// <summary>Bad probes that no replacement takes out and no finding speaks of, each cluster as one.</summary>
    private static IEnumerable<FloorSpot> Probed(VehicleSnapshot of, FloorReplaced[] replaced, FloorSpot[] found)
    {
        foreach (Stored<Panel> panel in of.Panels.Where(p => p.Value.Kind == PanelKind.Floor))
        {
            PanelBox[] taken =
            [
                .. replaced.Where(r => r.Row.OwnerId == panel.Id).SelectMany(r => r.Cut).Select(PanelBox.Of),
                .. found.Where(f => f.PanelId == panel.Id).Select(f => PanelBox.Of(f.Proposal.Area).Grown(Replacement.UsualMarginMm)),
            ];
            Stack<PanelPoint> left = new(of.Floor.Probes.On(panel.Id).Values().Where(p => p.IsBad).Select(p => p.At));
            List<PanelBox> clusters = [];
            while (left.TryPop(out PanelPoint at))
            {
                if (taken.Any(t => t.Holds(at)))
                    continue;
                PanelBox own = PanelBox.Around(at, 2 * ProbeReachMm, 2 * ProbeReachMm);
                foreach (PanelBox near in clusters.Where(c => c.Grown(ClusterMm).Overlaps(own)).ToArray())
                {
                    own = PanelBox.Of([.. own.Corners, .. near.Corners]);
                    clusters.Remove(near);
                }
                clusters.Add(own);
            }
            foreach (PanelBox cluster in clusters.OrderBy(c => c.SMinMm))
                yield return new FloorSpot(null, panel.Id, Proposed(of, panel, "Soft wood that was probed", cluster, []), null);
        }
    }

    /// <summary>Bad probes that are no further apart belong together, mm: assumption.</summary>
    private const double ClusterMm = 400;
}
