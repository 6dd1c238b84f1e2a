using Abri.Core.Geometry;
using Abri.Core.Openings.Seating;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings.Rules;

/// <summary>What some kinds of fitting ask for beside their place: a cable, the edge of two skins, a frame round a hatch, a sill in a wall that
/// tapers.</summary>
internal static class KindRules
{
    /// <summary>Widest edge that an edge trim takes, both skins and the gap between them, mm: assumption.</summary>
    public const double TrimMostMm = 25;

    /// <summary>By how much the trim is cut longer than the edge, to be trimmed back, mm: common practice.</summary>
    public const double TrimOverlapMm = 20;

    /// <summary>Depth from the wall to the cabinets for which the sill is worked out, at its front end, mm: assumption.</summary>
    public const double SillMm = 100;

    public static IEnumerable<Judgement> Rows(Placed placed, Worksheet sheet)
    {
        if (placed.Fitting.NeedsPower)
            yield return Power(placed);
        if (placed.Ground.Site.Panel.SkinGapMm is { } gap)
            yield return TwoSkins(placed, gap, sheet);
        if (placed.Fitting.Kind == FittingKind.Hatch)
            yield return Framed(placed, sheet);
        if (placed.Ground.Site.Panel is { TaperDeg: not 0, Facing: Facing.Left or Facing.Right } && IsWindow(placed.Fitting))
            yield return Sill(placed, sheet);
    }

    /// <summary>Cautions that only some kinds need.</summary>
    public static IEnumerable<string> Cautions(Fitting fitting, Panel panel)
    {
        if (IsWindow(fitting))
        {
            yield return "Panes in a vehicle carry a mark for safety glazing: look for it before you cut, and ask what is asked for "
                + "where passengers sit.";
            yield return "A sleeping place needs a second way out: count this window only if a person can get through it when it is open.";
        }
        if (fitting.Kind == FittingKind.BondedWindow)
            yield return "Glass: two people or suction lifters, gloves that resist cuts.";
        if (fitting.HeatMm > 0)
            yield return "A flue and everything that burns: by the maker's distances and somebody licensed, with an alarm for carbon monoxide.";
        if (fitting.Kind is FittingKind.Grille)
            yield return "Never block a grille that serves a gas or fuel burner, and keep its outlet away from windows.";
        if (fitting.Kind == FittingKind.Hatch)
            yield return "A hatch takes stiffness out of the wall: frame it before the vehicle is moved, and keep clear of seat and belt anchorages.";
        if (panel.Kind == PanelKind.SlidingDoor)
            yield return "Open and shut the door over its whole travel before you cut: what passes it outside, and what the lock rods pass inside.";
    }

    private static bool IsWindow(Fitting fitting) => fitting.Kind is FittingKind.BondedWindow or FittingKind.HingedWindow or FittingKind.GasketWindow;

    private static Judgement Sill(Placed placed, Worksheet sheet)
    {
        double length = placed.Fitting.CutOut.WidthMm,
            taper = placed.Ground.Site.Panel.TaperDeg;
        double change = sheet.Step(
            "c_sill",
            "change of the inner sill's depth over its length",
            "w tan(taper)",
            Math.Abs(length * Math.Tan(taper * Math.PI / 180)),
            "mm"
        );
        string cut = SillTaper.Of(length, taper, SillMm, placed.Ground.Lengths) is { Value: { } sill }
            ? sill.Result.Verdict
            : "Set the cabinets further from the wall first.";
        return new Judgement(
            "sill",
            JudgementState.Good,
            "Inner sill in a wall that tapers",
            change,
            null,
            Unit.Mm,
            $"Where straight cabinets stand {placed.L(SillMm)} off the wall at the front end: {char.ToLowerInvariant(cut[0])}{cut[1..]}",
            null,
            []
        );
    }

    private static Judgement Power(Placed placed)
    {
        Obstacle? run = placed
            .Ground.Obstacles.Where(o => o.Member.Kind == MemberKind.WiringRun)
            .MinBy(o => Plane.Polygon(placed.Cut).Distance(Plane.Polygon(o.Outline)));
        return run is null
            ? new Judgement(
                "power",
                JudgementState.NeedsWork,
                "Needs a cable",
                null,
                null,
                Unit.Mm,
                "No wiring run is drawn on this panel.",
                "Plan the cable before the lining: a conduit, a drip loop, and a fuse by its size.",
                []
            )
            : new Judgement(
                "power",
                JudgementState.Good,
                $"Cable from {run.Member.Name}",
                Plane.Polygon(placed.Cut).Distance(Plane.Polygon(run.Outline)),
                null,
                Unit.Mm,
                "Along the panel; leave a drip loop and room to take the unit out.",
                null,
                [new Mark(run.Outline, true)]
            );
    }

    /// <summary>Room that an edge trim takes at the edge of the hole, mm: assumption.</summary>
    public const double TrimThickMm = 3;

    /// <summary>Whether an edge trim goes on: where the edge stays in sight and the fitting leaves it room. Under a screwed flange and in a clamp
    /// frame
    /// it holds the flange off the skin; the edge of a core is filled instead.</summary>
    public static bool TakesTrim(Fitting fitting, Panel panel) =>
        !IsSandwich(panel)
        && fitting.Kind == FittingKind.BondedWindow
        && Math.Min(fitting.CutOut.WidthMm - fitting.Neck.WidthMm, fitting.CutOut.HeightMm - fitting.Neck.HeightMm) / 2 >= TrimThickMm;

    /// <summary>Whether a panel of two skins is one of a core between sheets that are glued to it.</summary>
    public static bool IsSandwich(Panel panel) =>
        panel.SkinGapMm is not null && panel.Material is SkinMaterial.GlassReinforcedPlastic or SkinMaterial.PlywoodSkin;

    /// <summary>How deep the core of a sandwich is dug out round a hole, mm: common practice.</summary>
    public const double CoreMm = 25;

    private static Judgement TwoSkins(Placed placed, double gapMm, Worksheet sheet)
    {
        double edge = sheet.Step("b", "edge over both skins", "gap + 2 skins", gapMm + (2 * placed.Ground.Site.Panel.SkinMm), "mm");
        if (!TakesTrim(placed.Fitting, placed.Ground.Site.Panel))
        {
            bool core = IsSandwich(placed.Ground.Site.Panel);
            return new Judgement(
                "two-skins",
                JudgementState.NeedsWork,
                core ? "Two skins with a core between them" : "Two skins with a gap between them",
                edge,
                null,
                Unit.Mm,
                core
                    ? "Screws and clamps crush a bare core, and water runs into it."
                    : "Pinched together they buckle and the bond between them opens.",
                core
                    ? $"Dig the core out {placed.L(CoreMm)} all round and fill the edge with timber or thickened resin."
                    : "Fill the gap round the hole with strips as thick as it, glued to both skins. No edge trim here: it would hold the "
                        + "flange off the skin.",
                []
            );
        }
        double trim = sheet.Step("l_trim", "edge trim", $"perimeter + {TrimOverlapMm:0} mm", placed.Fitting.CutOut.PerimeterMm + TrimOverlapMm, "mm");
        sheet.Cite(new Source($"Edge trim takes up to {TrimMostMm:0} mm", SourceKind.Assumption));
        string joint = $"{placed.L(trim)} of trim, trimmed back at the least seen edge.";
        return edge <= TrimMostMm
            ? new Judgement("two-skins", JudgementState.Good, "Two skins, one edge trim", edge, TrimMostMm, Unit.Mm, joint, null, [])
            : new Judgement(
                "two-skins",
                JudgementState.NeedsWork,
                "Two skins, too far apart for an edge trim",
                edge,
                TrimMostMm,
                Unit.Mm,
                "Pinched together they buckle and the bond between them opens.",
                $"Trim on the inner edge alone, gap filled with mastic; or a wider trim. {joint}",
                []
            );
    }

    private static Judgement Framed(Placed placed, Worksheet sheet)
    {
        RoundedRectangle cut = placed.Fitting.CutOut;
        if (!HeaderSize.Of(cut.WidthMm, HeaderMaterial.Timber).IsOk(out Worked<Header>? sized, out _))
        {
            string tooLong = HeaderSize.TooLong(placed.Ground.Lengths, cut.WidthMm);
            return new Judgement(
                "framed",
                JudgementState.Blocked,
                "Wider than its frame is sized for",
                cut.WidthMm,
                HeaderSize.MostClearMm,
                Unit.Mm,
                "A hatch takes stiffness out of the wall, and its header has to give that back.",
                char.ToUpperInvariant(tooLong[0]) + tooLong[1..],
                []
            );
        }
        Header header = sized.Result;
        foreach (Source source in sized.Sources)
            sheet.Cite(source);
        sheet.Step("l_h", "header above and below", "width + 2 landings", header.LengthMm, "mm");
        double diagonal = sheet.Step(
            "d",
            "diagonal of the framed opening",
            "sqrt(w^2 + h^2)",
            Math.Sqrt((cut.WidthMm * cut.WidthMm) + (cut.HeightMm * cut.HeightMm)),
            "mm"
        );
        return new Judgement(
            "framed",
            JudgementState.NeedsWork,
            "Needs a framed opening",
            null,
            null,
            Unit.Mm,
            $"Header and sill of {header.Section.Text(placed.Ground.Lengths)}, {placed.L(header.LengthMm)} long, posts of "
                + $"{placed.L(cut.HeightMm)}, a gusset "
                + "in each corner against racking; the hinge plate lands on the header.",
            $"Fit the frame before the skin is cut; both diagonals {placed.L(diagonal)}.",
            []
        );
    }
}
