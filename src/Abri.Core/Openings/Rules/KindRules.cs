using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings.Rules;

/// <summary>What some kinds of fitting ask for beside their place: distance from what burns, a cable, an edge trim over two skins, a frame round a
/// hatch, a sill in a wall that tapers.</summary>
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
        if (placed.Fitting.HeatMm > 0)
        {
            foreach (Judgement row in Heat(placed))
                yield return row;
        }
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

    /// <summary>Flammable members within the heat distance block it; where the material is not known, it asks.</summary>
    private static IEnumerable<Judgement> Heat(Placed placed)
    {
        double wanted = placed.Fitting.HeatMm;
        if (placed.Ground.SkinBurns)
        {
            yield return new Judgement(
                "heat-skin",
                JudgementState.Blocked,
                "The skin itself burns",
                0,
                wanted,
                Unit.Mm,
                "It would touch the hot plate all round.",
                $"Cut the skin back by {placed.L(wanted)} all round and close that with sheet metal, entered as a panel of its own; "
                    + "or choose a flue whose sheet allows it to pass through a skin that burns.",
                [new Mark(placed.Cut.Grown(wanted).Corners, true)]
            );
        }
        var cut = Plane.Polygon(placed.Cut);
        (Burnable Thing, double Mm)[] near =
        [
            .. placed
                .Ground.Burnables.Select(b => (b, cut.Distance(Plane.Polygon(b.Outline))))
                .Where(x => x.Item2 < wanted - PlacingFigures.HairMm)
                .OrderBy(x => x.Item2),
        ];
        foreach ((bool sure, JudgementState state) in new[] { (true, JudgementState.Blocked), (false, JudgementState.NeedsWork) })
        {
            (Burnable Thing, double Mm)[] those = [.. near.Where(n => n.Thing.Sure == sure)];
            if (those.Length == 0)
                continue;
            string others = those.Length > 1 ? $" So are: {string.Join(", ", those.Skip(1).Take(4).Select(t => t.Thing.Name))}." : "";
            yield return new Judgement(
                sure ? "heat" : "heat-unknown",
                state,
                sure ? $"{those[0].Thing.Name} burns and is too near" : $"Does {those[0].Thing.Name} burn?",
                those[0].Mm,
                wanted,
                Unit.Mm,
                $"Within {placed.L(wanted)} of the cut-out timber, plastic, cloth and cables char.{others}",
                sure
                    ? $"Move {placed.L(wanted - those[0].Mm)} away, or cut it back by as much and draw it as it is then; or choose "
                        + "a flue that is shielded and needs less."
                    : "Look, and enter what it is made of; what stands below keeps the same distance from the pipe.",
                [.. those.Select(t => new Mark(t.Thing.Outline, true))]
            );
        }
        if (near.Length == 0 && !placed.Ground.SkinBurns)
            yield return new Judgement(
                "heat",
                JudgementState.Good,
                "Clear of what burns",
                null,
                wanted,
                Unit.Mm,
                "Nothing that is drawn comes nearer. Lining and insulation keep the same distance.",
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

    private static Judgement TwoSkins(Placed placed, double gapMm, Worksheet sheet)
    {
        double edge = sheet.Step("b", "edge over both skins", "gap + 2 skins", gapMm + (2 * placed.Ground.Site.Panel.SkinMm), "mm");
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
        const double landing = Seating.InnerFrame.LandingMm;
        RoundedRectangle cut = placed.Fitting.CutOut;
        double header = sheet.Step("l_h", "header above and below", "width + 2 landings", cut.WidthMm + (2 * landing), "mm");
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
            $"Header and sill of {placed.L(header)}, posts of {placed.L(cut.HeightMm)}, a gusset in each corner against racking; "
                + "the hinge plate lands on the header.",
            $"Fit the frame before the skin is cut; both diagonals {placed.L(diagonal)}.",
            []
        );
    }
}
