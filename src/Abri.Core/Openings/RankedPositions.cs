using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings;

/// <summary>
/// Finds all places for a fitting, and proposes the best of them by weighed wishes, each with its reasons.
/// </summary>
/// <remarks>
/// Wishes miss their aim by amounts that are piecewise linear (distances) or bilinear (fill over square swages) in the position,
/// so the best position lies where creases of these functions meet one another, the edge of the region, or the edge from which a rib is cut
/// (<see cref="PlacesToTry"/>). All those points
/// are tried; the answer is exact for members that lie square to the panel, and the best few are walked downhill besides, which
/// serves slanted ones. A place that the verdict blocks is never proposed. Ties go to the position nearer the front, then nearer the right. The same
/// input gives the same answer.
/// </remarks>
public static class RankedPositions
{
    /// <summary>How many positions are proposed at most.</summary>
    public const int Most = 10;

    /// <summary>Least distance between two proposals, as a share of the cut-out's longer side: assumption, so that they differ to the eye.</summary>
    public const double Apart = 0.75;

    private const int MostTried = 40_000,
        MostJudged = 2000;

    /// <summary>Finds the places.</summary>
    /// <param name="site">What decides.</param>
    /// <param name="wishes">What is wished; may be empty.</param>
    /// <param name="stop">Stops the search when nobody waits for it any more.</param>
    /// <returns>The region and the ranked positions, or what is contradictory about the site.</returns>
    public static Result<Worked<PositionsFound>> Of(Site site, IReadOnlyList<Wish> wishes, CancellationToken stop = default)
    {
        if (UnknownZone(wishes, site.Zones ?? []) is { } unknown)
            return unknown;
        if (!Ground.Of(site).IsOk(out Ground? ground, out Problem? problem))
            return problem;
        IReadOnlyList<(string Label, RegionPart Area)> bays = Bays.Labelled(site.Panel, site.Members);
        var sheet = new Worksheet();
        IReadOnlyList<RegionPart> region = FeasibleRegion.Of(ground);
        Explain(ground, region, sheet);
        var cost = new PositionCost(ground, wishes);
        List<(PanelPoint At, double Cost)> chosen = Chosen(
            Tried(region, ground, cost, stop),
            region,
            ground,
            cost,
            Apart * Math.Max(ground.Fitting.CutOut.WidthMm, ground.Fitting.CutOut.HeightMm),
            stop
        );
        List<RankedPosition> positions = ToldApart([.. chosen.Select((c, i) => Described(i + 1, c.At, c.Cost, chosen, ground, cost, bays))], ground);
        foreach (RankedPosition p in positions)
            sheet.Step($"K_{p.Rank}", $"cost of position {p.Rank}", "sum(weight * missed by)", p.Cost, "");
        return sheet.Finish(
            new PositionsFound(
                region,
                positions,
                positions.Count > 0 ? null
                    : region.Count == 0 ? WhyNone(ground)
                    : WhyBlocked(ground, region)
            )
        );
    }

    internal static Problem? UnknownZone(IReadOnlyList<Wish> wishes, IReadOnlyList<Zone> zones)
    {
        for (int i = 0; i < wishes.Count; i++)
        {
            if (wishes[i].Kind == WishKind.OverZone && zones.All(z => z.Name != wishes[i].Zone))
                return new Problem("zone-unknown", $"/wishes/{i}/zone", $"There is no zone named \"{wishes[i].Zone}\" on this site.");
        }
        return null;
    }

    private static void Explain(Ground ground, IReadOnlyList<RegionPart> region, Worksheet sheet)
    {
        Fitting fitting = ground.Fitting;
        double along = sheet.Step(
            "n_s",
            "cut-out and clearances along the vehicle",
            "w + front + rear",
            fitting.CutOut.WidthMm + fitting.Clearance.FrontMm + fitting.Clearance.RearMm,
            "mm"
        );
        double across = sheet.Step(
            "n_t",
            "cut-out and clearances across",
            "h + top + bottom",
            fitting.CutOut.HeightMm + fitting.Clearance.TopMm + fitting.Clearance.BottomMm,
            "mm"
        );
        for (int i = 0; i < region.Count && i < 12; i++)
        {
            sheet.Step($"s_{i + 1}", $"place {i + 1}: length in which the centre may lie", "clear length - n_s", region[i].Box.WidthMm, "mm");
        }
        sheet.Step(
            "A",
            "area in which the centre may lie",
            "panel eroded by the flange - sum of members and reflected rectangle",
            region.Sum(r => r.AreaMm2) / 1e6,
            "m2"
        );
        sheet.Cite(new Source("Minkowski sums of members and the reflected rectangle", SourceKind.Geometry));
        sheet.Cite(PlacingFigures.Clearances);
        sheet.Cite(PlacingFigures.Assumed);
        if (region.Count == 0)
            sheet.Warn($"No bay gives {ground.Lengths.Text(along)} by {ground.Lengths.Text(across)} with the flange on the panel.");
    }

    private static List<(PanelPoint At, double Cost, RegionPart Part)> Tried(
        IReadOnlyList<RegionPart> region,
        Ground ground,
        PositionCost cost,
        CancellationToken stop
    )
    {
        var tried = new List<(PanelPoint, double, RegionPart)>();
        var places = new PlacesToTry(ground, cost);
        foreach (RegionPart part in region)
        {
            double? middle = cost.BayMiddleOf(part);
            foreach (PanelPoint p in places.In(part).Until(stop))
            {
                if (tried.Count < MostTried && part.Holds(p))
                    tried.Add((p, cost.At(p, middle), part));
            }
        }
        return tried;
    }

    private static List<(PanelPoint At, double Cost)> Chosen(
        List<(PanelPoint At, double Cost, RegionPart Part)> tried,
        IReadOnlyList<RegionPart> region,
        Ground ground,
        PositionCost cost,
        double apartMm,
        CancellationToken stop
    )
    {
        // A hair of a millimetre must not decide between front and rear, so costs are compared rounded.
        var ordered = tried.OrderBy(c => Math.Round(c.Cost, 3)).ThenBy(c => Math.Round(c.At.SMm, 3)).ThenBy(c => c.At.TMm);
        bool square = region.All(r => r.IsBox) && ground.Site.RibInTheWay == RibInTheWay.Keep;
        var chosen = new List<(PanelPoint At, double Cost)>();
        var walked = new List<PanelPoint>();
        int judged = 0;
        foreach ((PanelPoint at, _, RegionPart part) in ordered.Until(stop))
        {
            if (chosen.Count == Most || judged == MostJudged)
                break;
            if (walked.Any(w => w.DistanceMm(at) < apartMm))
                continue;
            judged++;
            if (Allowed(at, part, ground) is not { } allowed)
                continue;
            walked.Add(at);
            PanelPoint polished = square ? allowed : cost.Polished(allowed, p => part.Holds(p) && !OpeningVerdict.Blocks(ground, p));
            if (!chosen.All(c => c.At.DistanceMm(polished) >= apartMm))
                continue;
            walked.Add(polished);
            chosen.Add((polished, cost.At(polished)));
        }
        return [.. chosen.OrderBy(c => Math.Round(c.Cost, 3))];
    }

    /// <summary>The place itself where the verdict allows it, or one a hair beside it: on the line where a rule changes it may be the other side that
    /// is allowed. Null where none is.</summary>
    private static PanelPoint? Allowed(PanelPoint at, RegionPart part, Ground ground)
    {
        if (!OpeningVerdict.Blocks(ground, at))
            return at;
        if (!ground.MustBeCarried && ground.Site.RibInTheWay == RibInTheWay.Keep)
            return null;
        foreach ((int s, int t) in new[] { (0, 1), (0, -1), (1, 0), (-1, 0), (1, 1), (1, -1), (-1, 1), (-1, -1) })
        {
            PanelPoint beside = at.Plus(s * PlacesToTry.HairMm, t * PlacesToTry.HairMm);
            if (part.Holds(beside) && !OpeningVerdict.Blocks(ground, beside))
                return beside;
        }
        return null;
    }

    private static RankedPosition Described(
        int rank,
        PanelPoint at,
        double cost,
        List<(PanelPoint At, double Cost)> all,
        Ground ground,
        PositionCost costs,
        IReadOnlyList<(string Label, RegionPart Area)> bays
    )
    {
        string? bay = bays.FirstOrDefault(b => b.Area.Holds(at)).Label;
        var met = new List<string>();
        var givesUp = new List<string>();
        foreach (Wish wish in costs.Wishes)
        {
            double missed = Missed(wish, at, ground, costs),
                best = all.Min(c => Missed(wish, c.At, ground, costs));
            met.Add(Words(wish, at, ground, costs));
            if (missed - best >= 1)
                givesUp.Add(Lost(wish, missed - best, ground));
        }
        int cut = ground.Site.RibInTheWay == RibInTheWay.CutSecondary ? costs.RibsCut(at) : 0;
        if (cut > 0)
            givesUp.Add(cut == 1 ? "no rib to cut; here one, which needs headers" : $"no rib to cut; here {cut}, which need headers");
        string reason = met.Count > 0 ? string.Join(", ", met) : "keeps all clearances";
        return new RankedPosition(rank, at, bay, Math.Round(cost, 3), reason, givesUp.Count > 0 ? string.Join(", ", givesUp) : null);
    }

    /// <summary>Entries of one bay that read alike say where they lie.</summary>
    private static List<RankedPosition> ToldApart(List<RankedPosition> positions, Ground ground)
    {
        HashSet<(string?, string)> alike = [.. positions.GroupBy(p => (p.Bay, p.Reason)).Where(g => g.Count() > 1).Select(g => g.Key)];
        Facing facing = ground.Site.Panel.Facing;
        PanelBox panel = ground.Site.Panel.Box;
        string Place(PanelPoint at)
        {
            double off = at.TMm - panel.Centre.TMm;
            string across = facing is Facing.Up or Facing.Down
                ? Math.Abs(off) < 0.5
                    ? "on the centre line"
                    : $"{ground.Lengths.Text(Math.Abs(off))} {facing.Towards(off > 0 ? Side.Top : Side.Bottom)}"
                : $"{ground.Lengths.Text(at.TMm - panel.TMinMm)} above the lower edge";
            return $"centre {ground.Lengths.Text(at.SMm - panel.SMinMm)} from the {facing.Name(Side.Front)} edge, {across}";
        }
        return [.. positions.Select(p => alike.Contains((p.Bay, p.Reason)) ? p with { Reason = $"{p.Reason}; {Place(p.Centre)}" } : p)];
    }

    /// <summary>By how much a wish is missed, as the list says it: fill as the flange comes to rest, the same as in the verdict and on the tab
    /// Seat.</summary>
    private static double Missed(Wish wish, PanelPoint at, Ground ground, PositionCost costs) =>
        wish.Kind != WishKind.LeastFill ? costs.Missed(wish, at)
        : Seating.FlangeSeat.Bedding(ground, at) is { } bedding ? (bedding.GapMm <= ground.Fitting.FlatnessMm ? 0 : Math.Max(1, bedding.FillMl))
        : costs.Missed(wish, at);

    internal static string Words(Wish wish, PanelPoint at, Ground ground, PositionCost costs)
    {
        double missed = Missed(wish, at, ground, costs);
        string mm = ground.Lengths.Text(missed);
        bool met = missed < 0.5,
            level = ground.Site.Panel.Facing is Facing.Up or Facing.Down;
        return wish.Kind switch
        {
            WishKind.OverZone => met ? $"right {(level ? "over" : "beside")} {wish.Zone}" : $"{mm} from the middle of {wish.Zone}",
            WishKind.BayCentre => met ? "centred between members" : $"{mm} off the middle of the bay",
            WishKind.CentreLine => (met, level) switch
            {
                (true, true) => "on the centre line",
                (false, true) => $"{mm} off the centre line",
                (true, false) => "at half the height",
                _ => $"{mm} {(at.TMm > ground.Site.Panel.Box.Centre.TMm ? "above" : "below")} half the height",
            },
            WishKind.Level => met ? "level with the line" : $"{mm} off the line",
            _ => met ? "lies flat, no fill" : $"{missed:0} ml of fill",
        };
    }

    /// <summary>What one could have elsewhere.</summary>
    private static string Lost(Wish wish, double lost, Ground ground) =>
        wish.Kind switch
        {
            WishKind.OverZone => $"{ground.Lengths.Text(lost)} nearer to {wish.Zone}",
            WishKind.BayCentre => $"{ground.Lengths.Text(lost)} nearer the middle of a bay",
            WishKind.CentreLine => $"{ground.Lengths.Text(lost)} nearer "
                + $"{(ground.Site.Panel.Facing is Facing.Up or Facing.Down ? "the centre line" : "half the height")}",
            WishKind.Level => $"{ground.Lengths.Text(lost)} nearer the line",
            _ => $"{lost:0} ml less fill",
        };

    /// <summary>Why no place of a region is allowed: what the verdict says in the middle of its largest part.</summary>
    private static string WhyBlocked(Ground ground, IReadOnlyList<RegionPart> region)
    {
        PanelPoint middle = region.MaxBy(r => r.AreaMm2)!.Box.Centre;
        Judgement? row = OpeningVerdict.Of(ground.Site, middle).Value!.Result.Rows.FirstOrDefault(r => r.State == JudgementState.Blocked);
        return row is null ? "No place that was tried is allowed." : $"{row.Title}: {char.ToLowerInvariant(row.Why[0])}{row.Why[1..]} {row.Remedy}";
    }

    internal static string WhyNone(Ground ground)
    {
        Fitting f = ground.Fitting;
        if (f.HeatMm > 0 && ground.SkinBurns)
            return "The skin itself burns: a flue that gets hot finds no place on this panel. Choose one whose sheet allows it to "
                + "pass through a skin that burns, or put sheet metal in.";
        double along = f.CutOut.WidthMm + f.Clearance.FrontMm + f.Clearance.RearMm,
            across = f.CutOut.HeightMm + f.Clearance.TopMm + f.Clearance.BottomMm;
        string needs = $"The fitting needs {ground.Lengths.Text(along)} by {ground.Lengths.Text(across)} clear of members";
        IReadOnlyList<Bay> bays = Bays.Of(ground.Site.Panel, ground.Site.Members).Value!.Result;
        if (bays.MaxBy(b => Math.Min(b.ClearWidthMm / along, b.ClearHeightMm / across)) is not { } widest)
            return $"{needs}, and this panel has no clear bay.";
        string room =
            $"bay {widest.Label}, the roomiest for it, gives {ground.Lengths.Text(widest.ClearWidthMm)} by "
            + $"{ground.Lengths.Text(widest.ClearHeightMm)}";
        return widest.ClearWidthMm >= along && widest.ClearHeightMm >= across
            ? $"{needs}; {room}, but its flange ({ground.Lengths.Text(f.Flange.WidthMm)} by "
                + $"{ground.Lengths.Text(f.Flange.HeightMm)}) meets the panel's edge, a seam, a gutter or another fitting there."
            : $"{needs}; {room}. Choose a smaller fitting, turn it, or take the school that cuts a secondary rib.";
    }
}
