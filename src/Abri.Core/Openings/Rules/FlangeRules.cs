using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings.Rules;

/// <summary>What lies under the flange: the edge of the panel, gutters and seams, swages, the curve of the skin.</summary>
internal static class FlangeRules
{
    /// <summary>Whether the flange has ground to lie on.</summary>
    public static IEnumerable<Judgement> Lies(Placed placed)
    {
        yield return OnThePanel(placed);
        foreach (Obstacle obstacle in placed.Ground.Obstacles)
        {
            if (Ground.IsUnderFlange(obstacle.Member) && obstacle.Within(placed.Flange.Grown(-PlacingFigures.HairMm)) is not null)
            {
                yield return new Judgement(
                    $"under-flange-{obstacle.Index}",
                    JudgementState.Blocked,
                    $"{obstacle.Member.Name} under the flange",
                    null,
                    null,
                    Unit.Mm,
                    "Water runs in it and no bedding seals across it.",
                    "Move until the flange lies clear of it.",
                    [new Mark(obstacle.Outline, true)]
                );
            }
        }
    }

    /// <summary>What it takes to bed it there.</summary>
    public static IEnumerable<Judgement> Bedding(Placed placed, Worksheet sheet)
    {
        (double GapMm, double FillMl)? bedding = Seating.FlangeSeat.Bedding(placed.Ground, placed.Centre);
        yield return Swages(placed, bedding?.FillMl, sheet);
        if (Curvature(placed, sheet) is { } curvature)
            yield return curvature;
        if (Rest(placed, bedding?.GapMm, sheet) is { } rest)
            yield return rest;
    }

    private static Judgement OnThePanel(Placed placed)
    {
        PanelBox needed = placed.Flange.Grown(PlacingFigures.EdgeMarginMm - PlacingFigures.HairMm);
        var outline = Plane.Polygon(placed.Ground.Site.Panel.Outline);
        bool held = outline.Covers(Plane.Polygon(needed));
        double margin = outline.Covers(Plane.Polygon(placed.Flange)) ? outline.Boundary.Distance(Plane.Polygon(placed.Flange)) : -PastMm(placed);
        return new Judgement(
            "outline",
            held ? JudgementState.Good : JudgementState.Blocked,
            "Flange to the edge of the panel",
            margin,
            PlacingFigures.EdgeMarginMm,
            Unit.Mm,
            held ? "The whole flange lies on the panel." : "The flange needs flat skin all round, and a hand's breadth of it to seal.",
            held ? null : $"Move {placed.L(PlacingFigures.EdgeMarginMm - margin)} away from the edge.",
            [new Mark(placed.Flange.Corners, true)]
        );
    }

    /// <summary>How far the flange's worst corner lies past the edge, mm.</summary>
    private static double PastMm(Placed placed)
    {
        IReadOnlyList<PanelPoint> outline = placed.Ground.Site.Panel.Outline;
        return placed
            .Flange.Corners.Where(c => !Outlines.Encloses(outline, c))
            .Select(c => Outlines.DistanceToEdgeMm(outline, c))
            .DefaultIfEmpty(0)
            .Max();
    }

    private static Judgement Swages(Placed placed, double? fillMl, Worksheet sheet)
    {
        Fill fill = SwageFill.Under(placed.Ground, placed.Centre);
        if (fill.Swages.Count == 0)
        {
            return new Judgement(
                "swages",
                JudgementState.Good,
                "No swage under the flange",
                0,
                placed.Fitting.BeddingMostMm,
                Unit.Mm,
                "The flange lies on plain skin.",
                null,
                []
            );
        }
        double step = sheet.Step("h_step", "highest to lowest skin under the flange", "max(height) - min(height)", fill.StepMm, "mm");
        double ml = sheet.Step("V_fill", "bedding to fill it", "mean gap under the flange as it rests * ring area", fillMl ?? fill.FillMl, "ml");
        string count = fill.Swages.Count == 1 ? "1 swage" : $"{fill.Swages.Count} swages";
        return new Judgement(
            "swages",
            JudgementState.NeedsWork,
            "Swages under the flange",
            step,
            placed.Fitting.BeddingMostMm,
            Unit.Mm,
            $"{count}; about {ml:0} ml to fill below the flange.",
            "Build up the valleys, so that the screws cannot pull the skin into them.",
            [.. fill.Swages.Select(s => new Mark(Outlines.ClippedTo(s.Outline, placed.Flange), true))]
        );
    }

    private static Judgement? Curvature(Placed placed, Worksheet sheet)
    {
        Panel panel = placed.Ground.Site.Panel;
        double along = RiseMm(panel.ArcRadiusAlongMm, placed.Fitting.Flange.WidthMm),
            across = RiseMm(panel.ArcRadiusAcrossMm, placed.Fitting.Flange.HeightMm);
        if (along == 0 && across == 0)
            return null;
        if (along > 0)
            sheet.Step("r_s", "rise of the skin along the flange", "R - sqrt(R^2 - (w/2)^2)", along, "mm");
        if (across > 0)
            sheet.Step("r_t", "rise of the skin across the flange", "R - sqrt(R^2 - (h/2)^2)", across, "mm");
        sheet.Cite(new Source("Rise of a circle's arc over a chord", SourceKind.Geometry));
        double rise = sheet.Step("r", "rise under the flange in all", "r_s + r_t", along + across, "mm"),
            flat = placed.Fitting.FlatnessMm;
        bool good = rise <= flat;
        return new Judgement(
            "curvature",
            good ? JudgementState.Good : JudgementState.NeedsWork,
            "Curve of the skin under the flange",
            rise,
            flat,
            Unit.Mm,
            good ? "The fitting takes this as it is." : $"The fitting takes {placed.L(flat)} as it is. {StandsOff(placed, along, across)}",
            good ? null : "Build it up where it stands off, by the Seat tab, so that the screws do not bend the flange.",
            [new Mark(placed.Flange.Corners, true)]
        );
    }

    /// <summary>Where a flat flange stands off a skin that bulges: it rests on the crown.</summary>
    private static string StandsOff(Placed placed, double along, double across)
    {
        Facing facing = placed.Ground.Site.Panel.Facing;
        (string all, string ends) =
            across >= along
                ? (Sides(Side.Top, Side.Bottom), Sides(Side.Front, Side.Rear))
                : (Sides(Side.Front, Side.Rear), Sides(Side.Top, Side.Bottom));
        return $"It rests on the crown: the {all} edges stand off all along, the {ends} ones at their ends.";
        string Sides(Side one, Side other) => $"{facing.Name(one)} and {facing.Name(other)}";
    }

    /// <summary>The gap under the flange as it comes to rest on the surface that counts, the same as on the tab Seat; only where the skin is not
    /// plain.</summary>
    private static Judgement? Rest(Placed placed, double? greatestMm, Worksheet sheet)
    {
        Panel panel = placed.Ground.Site.Panel;
        bool plain = placed.Ground.Swages.Length == 0 && panel is { ArcRadiusAlongMm: null, ArcRadiusAcrossMm: null, Surface: SurfaceSource.Drawn };
        if (plain || greatestMm is not { } gap)
            return null;
        double most = placed.Fitting.BeddingMostMm;
        sheet.Step("g", "greatest gap under the flange as it rests", "height of the resting plane - skin", gap, "mm");
        bool flat = gap <= placed.Fitting.FlatnessMm,
            bedded = gap <= most;
        return new Judgement(
            "rest",
            flat ? JudgementState.Good : JudgementState.NeedsWork,
            flat ? "Sits flat on the skin"
                : bedded ? "Gap that bedding fills"
                : "Gap that bedding may not carry",
            gap,
            most,
            Unit.Mm,
            $"As the flange comes to rest on the skin; its bedding may be {placed.L(most)} deep.",
            flat ? null
                : bedded ? "The tab Seat has the strips to cut."
                : "Make an adapter plate, or fill the valleys solid and let it harden first.",
            [new Mark(placed.Flange.Corners, true)]
        );
    }

    private static double RiseMm(double? radiusMm, double chordMm) =>
        radiusMm is { } r && r > chordMm / 2 ? r - Math.Sqrt((r * r) - (chordMm * chordMm / 4)) : 0;
}
