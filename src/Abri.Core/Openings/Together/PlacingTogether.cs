using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings.Together;

/// <summary>
/// Places several fittings on one panel at once, so that all wishes together are missed by least.
/// </summary>
/// <remarks>
/// Each centre lies in the region of its fitting (<see cref="FeasibleRegion"/>); flanges keep their spacing and all lids can be open at once. The
/// model is linear in distances (<see cref="TogetherModel"/>), so CP-SAT
/// finds the best arrangement and proves it, to a hundredth of a millimetre. Where there is none, fittings are left out one by one until only those
/// are left that clash, and the rules between them are eased one by one to name the one that does it.
/// Limits: least fill is not a distance and cannot be wished for here; where slanted members make the middle of a bay differ from place to place,
/// that wish is weighed afterwards and nothing is proved.
/// </remarks>
/// <example>Two vents of 500 x 500 that both want the middle of a panel 2000 long stand 30 mm apart, and together miss it by 530 mm.</example>
public static class PlacingTogether
{
    /// <summary>Most fittings that are placed at once.</summary>
    public const int Most = 8;

    /// <summary>How often an arrangement with a blocked place is tried again without it.</summary>
    private const int MostRounds = 12;

    /// <summary>Finds the arrangement.</summary>
    /// <param name="site">The fittings and what decides about their places.</param>
    /// <param name="stop">Stops the search when nobody waits for it any more.</param>
    /// <returns>The arrangement or why there is none; or what is contradictory about the site.</returns>
    public static Result<Worked<TogetherPlan>> Of(TogetherSite site, CancellationToken stop = default)
    {
        if (site.Fittings.Count is < 2 or > Most)
            return new Problem(
                "together-count",
                "/fittings",
                $"Choose 2 to {Most} fittings to be placed together; {site.Fittings.Count} were given."
            );
        var parts = new List<TogetherPart>();
        for (int i = 0; i < site.Fittings.Count; i++)
        {
            TogetherFitting f = site.Fittings[i];
            if (RankedPositions.UnknownZone(f.Wishes, site.Zones ?? []) is { } unknown)
                return unknown.Under($"/fittings/{i}");
            int fill = f.Wishes.ToList().FindIndex(w => w.Kind == WishKind.LeastFill);
            if (fill >= 0)
                return new Problem(
                    "wish-not-together",
                    $"/fittings/{i}/wishes/{fill}",
                    "Least fill cannot be weighed when several fittings are placed together. Leave it out, and compare the fill at "
                        + "the places that are found."
                );
            if (!Ground.Of(site.For(f)).IsOk(out Ground? ground, out Problem? problem))
                return problem.Pointer.StartsWith("/fitting", StringComparison.Ordinal) ? problem.Under($"/fittings/{i}") : problem;
            parts.Add(new TogetherPart(f, ground, FeasibleRegion.Of(ground), new PositionCost(ground, f.Wishes), []));
        }
        var sheet = new Worksheet();
        sheet.Cite(new Source("CP-SAT of OR-Tools over the exact regions, in hundredths of a millimetre", SourceKind.Geometry));
        sheet.Cite(PlacingFigures.Clearances);
        sheet.Cite(PlacingFigures.Assumed);
        foreach (TogetherPart part in parts)
            sheet.Step(
                $"A_{part.Given.Name}",
                $"{part.Given.Name}: area in which the centre may lie, alone",
                "panel eroded by the flange - sum of members and reflected rectangle",
                part.Region.Sum(r => r.AreaMm2) / 1e6,
                "m2"
            );
        if (parts.Find(p => p.Region.Count == 0) is { } homeless)
            return sheet.Finish(new TogetherPlan([], 0, true, new TogetherConflict([homeless.Given.Name], RankedPositions.WhyNone(homeless.Ground))));

        var rules = new TogetherRules(site.SpacingMm, true);
        (TogetherModel model, IReadOnlyList<PanelPoint>? centres, bool proven) = Solved(site, parts, rules, stop, out bool narrowed);
        if (centres is null)
            return sheet.Finish(
                new TogetherPlan(
                    [],
                    0,
                    proven,
                    proven
                        ? Conflict(site, parts, rules, stop)
                        : new TogetherConflict(
                            [],
                            "No arrangement was found in the time allowed, and none was ruled out. Leave one of them out, or hold one where it is."
                        )
                )
            );
        if (!model.IsWhole)
            sheet.Warn(
                "Slanted or uneven members: the middle of the bay is not the same everywhere, so it was left out while searching. "
                    + "The arrangement keeps every rule, but it is not proved to be the best."
            );
        if (narrowed)
            sheet.Warn(
                "The best arrangement by distances was blocked at one place: a rib that nothing could carry, or a bay without bows "
                    + "for a heavy unit. That was left out, so what is shown is allowed, but it is not proved to be the best."
            );
        IReadOnlyList<(string Label, RegionPart Area)> bays = Bays.Labelled(site.Panel, site.Members);
        TogetherPlace[] places = [.. parts.Select((p, i) => Described(p, centres[i], bays, site, sheet, stop))];
        double cost = sheet.Step("K", "all together off by", "sum over the fittings", places.Sum(p => p.Cost), "");
        sheet.Step("K_0", "if each were alone", "sum of the best places of each", places.Sum(p => p.Alone), "");
        return sheet.Finish(new TogetherPlan(places, cost, proven && model.IsWhole && !narrowed, null));
    }

    /// <summary>
    /// Solves, and looks at each place with the verdict: what the model does not know (headers that nothing carries, heavy units without bows) is
    /// left out where it turned up, until no place is blocked.
    /// </summary>
    private static (TogetherModel Model, IReadOnlyList<PanelPoint>? Centres, bool Proven) Solved(
        TogetherSite site,
        List<TogetherPart> parts,
        TogetherRules rules,
        CancellationToken stop,
        out bool narrowed
    )
    {
        narrowed = false;
        for (int round = 0; ; round++)
        {
            var model = new TogetherModel(parts, site.Neighbours ?? [], rules);
            (IReadOnlyList<PanelPoint>? centres, bool proven) = model.Solve(stop);
            if (centres is null)
                return (model, null, proven && !narrowed);
            int blocked = Enumerable.Range(0, parts.Count).FirstOrDefault(i => OpeningVerdict.Blocks(parts[i].Ground, centres[i]), -1);
            if (blocked < 0)
                return (model, centres, proven);
            if (round == MostRounds)
                return (model, null, false);
            narrowed = true;
            parts[blocked] = Without(parts[blocked], centres[blocked]);
            if (parts[blocked].Region.Count == 0)
                return (model, null, false);
        }
    }

    /// <summary>A fitting that may no longer cut the ribs it would cut at a place, or, where it cuts none, no longer lie in that part of its
    /// region.</summary>
    private static TogetherPart Without(TogetherPart part, PanelPoint at)
    {
        int[] cut = [.. new Placed(part.Ground, at).Crossing.Select(o => o.Index).Except(part.Spared)];
        return cut.Length > 0 ? part with { Spared = [.. part.Spared, .. cut] } : part with { Region = [.. part.Region.Where(r => !r.Holds(at))] };
    }

    private static TogetherPlace Described(
        TogetherPart part,
        PanelPoint centre,
        IReadOnlyList<(string Label, RegionPart Area)> bays,
        TogetherSite site,
        Worksheet sheet,
        CancellationToken stop
    )
    {
        double cost = sheet.Step(
            $"K_{part.Given.Name}",
            $"{part.Given.Name}: off by",
            "sum(weight * missed by)",
            Math.Round(part.Cost.At(centre), 2),
            ""
        );
        IReadOnlyList<RankedPosition> alone = RankedPositions.Of(site.For(part.Given), part.Given.Wishes, stop).Value!.Result.Positions;
        string reason =
            part.Given.Wishes.Count == 0
                ? "keeps all clearances"
                : string.Join(", ", part.Given.Wishes.Select(w => RankedPositions.Words(w, centre, part.Ground, part.Cost)));
        return new TogetherPlace(
            part.Given.Name,
            centre,
            bays.FirstOrDefault(b => b.Area.Holds(centre)).Label,
            cost,
            alone.Count > 0 ? Math.Min(cost, alone[0].Cost) : cost,
            reason
        );
    }

    /// <summary>The fewest fittings that clash already, and which rule between them does it.</summary>
    private static TogetherConflict Conflict(TogetherSite site, List<TogetherPart> parts, TogetherRules rules, CancellationToken stop)
    {
        bool Fits(IReadOnlyList<TogetherPart> some, TogetherRules under) =>
            new TogetherModel(some, site.Neighbours ?? [], under).Solve(stop, onlyWhether: true).Centres is not null;
        List<TogetherPart> clashing = [.. parts];
        foreach (TogetherPart part in parts)
        {
            List<TogetherPart> without = [.. clashing.Where(p => p != part)];
            if (without.Count > 0 && !Fits(without, rules))
                clashing = without;
        }
        string[] names = [.. clashing.Select(p => p.Given.Name)];
        LengthFormat lengths = site.Lengths ?? LengthFormat.Millimetres;
        string who =
            names.Length == 1
                ? $"{names[0]} finds no place beside what stays where it is"
                : $"{string.Join(", ", names[..^1])} and {names[^1]} find no places together";
        string because =
            Fits(clashing, rules with { Lids = false })
                ? "their lids, open at once, get in one another's way. Turn one of them, or do without opening both at once"
            : Fits(clashing, rules with { Mouths = false })
                ? "the mouth of the flue keeps its distance from what lets air in, or its fumes come in. Take the flue to another panel, "
                    + "or a fitting "
                    + "that does not open"
            : Fits(clashing, new TogetherRules(0, true))
                ? $"the {lengths.Text(rules.SpacingMm)} of skin between two flanges do it. With less, both flanges cannot be "
                    + "sealed: choose a narrower flange"
            : Fits(clashing, new TogetherRules(0, false))
                ? "the skin between two flanges and the open lids together do it. Turn one of them, or choose a narrower flange"
            : "there is not enough skin clear of members for all of their flanges. Leave one out, choose a smaller one, turn one, "
                + "or take the school that cuts a secondary rib";
        return new TogetherConflict(names, $"{who}: {because}.");
    }
}
