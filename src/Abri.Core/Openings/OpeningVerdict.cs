using Abri.Core.Geometry;
using Abri.Core.Openings.Rules;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings;

/// <summary>
/// Judges a place for a fitting: may it be cut here, what must be done first, and what would mend what is wrong.
/// </summary>
/// <remarks>
/// Every rule gives at least one row with what was measured, what is required, why, and a remedy. A position is as good as its worst row.
/// The rules look at a site as it is drawn; the cautions name what a drawing cannot know.
/// </remarks>
public static class OpeningVerdict
{
    private const string RoofCaution = "On the roof: firm ladder, no wind, soft shoes that carry no grit, and boards across the bows.";

    private static string[] CautionsOn(Panel panel) =>
        [
            "Look behind the lining before you cut: wiring and pipes may be where no drawing shows them.",
            panel.Material switch
            {
                SkinMaterial.GlassReinforcedPlastic =>
                    "Disconnect the battery. Respirator, eyes and long sleeves: the dust of glass fibre harms the lungs. Seal the cut "
                        + "edge before anything is fitted.",
                SkinMaterial.PlywoodSkin =>
                    "Disconnect the battery. Eyes, ears and dust mask. Seal the cut edge before anything is fitted: end grain drinks water.",
                _ => "Disconnect the battery. Wear eye and ear protection and cut-proof gloves; sparks and swarf burn paint and glass. "
                    + "Take all swarf up the same day "
                    + $"{(panel.Material == SkinMaterial.Aluminium ? "" : "(it rusts) ")}and paint the cut edge before anything is fitted.",
            },
            "Local rules and licensed practice come first where structure, gas or safety glazing is concerned.",
        ];

    /// <summary>Judges the place.</summary>
    /// <param name="site">What decides.</param>
    /// <param name="centre">Where the fitting's centre would lie.</param>
    /// <returns>The verdict, or what is contradictory about the site.</returns>
    public static Result<Worked<Verdict>> Of(Site site, PanelPoint centre)
    {
        if (!Ground.Of(site).IsOk(out Ground? ground, out Problem? problem))
            return problem;

        var sheet = new Worksheet();
        var placed = new Placed(ground, centre);
        sheet.Step("w", "cut-out along the vehicle", "from the fitting", ground.Fitting.CutOut.WidthMm, "mm");
        sheet.Step("h", "cut-out across", "from the fitting", ground.Fitting.CutOut.HeightMm, "mm");
        List<Judgement> rows =
        [
            .. MayBlock(placed, sheet),
            .. FlangeRules.Bedding(placed, sheet),
            .. FindingRules.Rows(placed),
            .. BackingRule.Rows(placed, sheet),
        ];
        sheet.Cite(PlacingFigures.Assumed);
        rows = [.. rows.OrderByDescending(r => r.State)];

        JudgementState state = rows[0].State;
        (string summary, string reason) = Summary(state, rows, ground);
        return sheet.Finish(
            new Verdict(
                state,
                summary,
                reason,
                Room(placed),
                rows,
                [
                    .. KindRules.Cautions(ground.Fitting, site.Panel),
                    .. CautionsOn(site.Panel),
                    .. site.Panel.Facing == Facing.Up ? [RoofCaution] : Array.Empty<string>(),
                ]
            )
        );
    }

    /// <summary>Whether the verdict of a place would be that nothing is cut there: the same rules, without those that only ask for work.</summary>
    internal static bool Blocks(Ground ground, PanelPoint centre) =>
        MayBlock(new Placed(ground, centre), new Worksheet()).Any(r => r.State == JudgementState.Blocked);

    private static IEnumerable<Judgement> MayBlock(Placed placed, Worksheet sheet) =>
        [
            .. StructureRules.Rows(placed, sheet),
            .. FlangeRules.Lies(placed),
            .. UseRules.Rows(placed, sheet),
            .. DoorRules.Rows(placed, sheet),
            .. KindRules.Rows(placed, sheet),
            .. FlueRules.Rows(placed, sheet),
        ];

    private static (string Summary, string Reason) Summary(JudgementState state, List<Judgement> rows, Ground ground)
    {
        string worst = string.Join("; ", rows.Where(r => r.State == state).Select(r => r.Title).Take(2));
        bool cuts = rows.Any(r => r.Id.StartsWith("crossed-", StringComparison.Ordinal));
        return state switch
        {
            JudgementState.Blocked => ("Not here", worst),
            JudgementState.NeedsWork when cuts => ("Can be cut, needs headers", worst),
            JudgementState.NeedsWork when rows.All(r => r.State == JudgementState.Good || r.Id is "swages" or "curvature" or "rest") => (
                "Can be cut, needs bedding",
                worst
            ),
            JudgementState.NeedsWork => ("Can be cut, with work", worst),
            _ => ("Good place", ground.Site.RibInTheWay == RibInTheWay.Keep ? "keeps every rib and all clearances" : "all clearances kept"),
        };
    }

    /// <summary>Room on the four sides, up to the nearest member or the edge of the panel.</summary>
    private static PerSide Room(Placed placed)
    {
        PanelBox edge = placed.Ground.Site.Panel.Box,
            cut = placed.Cut;
        double At(Side side, double toEdge) => placed.Nearest.TryGetValue(side, out NearestThing? thing) ? Math.Min(thing.GapMm, toEdge) : toEdge;
        return new PerSide(
            At(Side.Front, cut.SMinMm - edge.SMinMm),
            At(Side.Rear, edge.SMaxMm - cut.SMaxMm),
            At(Side.Top, edge.TMaxMm - cut.TMaxMm),
            At(Side.Bottom, cut.TMinMm - edge.TMinMm)
        );
    }
}
