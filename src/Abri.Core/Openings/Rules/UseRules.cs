using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings.Rules;

/// <summary>What the fitting asks of its place in use: grip, neighbours, lids, weight, hinge, what lies below, and the look from outside.</summary>
internal static class UseRules
{
    public static IEnumerable<Judgement> Rows(Placed placed, Worksheet sheet)
    {
        if (placed.Fitting.Clamp is { } clamp)
            yield return Grip(placed, clamp, sheet);
        foreach (Neighbour neighbour in placed.Ground.Neighbours)
        {
            foreach (Judgement row in Beside(placed, neighbour))
                yield return row;
        }
        bool roof = placed.Ground.Site.Panel.Facing == Facing.Up;
        if (placed.Ground.MustBeCarried)
            yield return Carried(placed);
        if (roof && placed.Fitting.HingeSide is { } hinge)
            yield return Hinge(placed, hinge);
        foreach (Zone zone in placed.Ground.Zones)
        {
            if (zone.On(placed.Ground.Site.Panel.Facing) is { } area && area.Overlaps(placed.Cut))
                yield return Behind(placed, zone, area);
        }
        yield return Balance(placed);
    }

    private static Judgement Grip(Placed placed, ClampRange clamp, Worksheet sheet)
    {
        if (placed.Ground.Site.WallMm is not { } wall)
        {
            return new Judgement(
                "clamp",
                JudgementState.NeedsWork,
                "Wall thickness not known yet",
                null,
                clamp.LeastMm,
                Unit.Mm,
                $"The fitting grips {placed.L(clamp.LeastMm)} to {placed.L(clamp.MostMm)}.",
                "Measure skin and lining together and enter it with the opening.",
                []
            );
        }
        sheet.Step("d", "wall to be gripped: skin and lining", "as measured", wall, "mm");
        if (wall < clamp.LeastMm)
        {
            double ring = sheet.Step("d_ring", "spacer ring that makes up the difference", "least grip - d", clamp.LeastMm - wall, "mm");
            return new Judgement(
                "clamp",
                JudgementState.NeedsWork,
                "Wall thinner than the fitting grips",
                wall,
                clamp.LeastMm,
                Unit.Mm,
                $"The screws would bottom before it is tight. It grips {placed.L(clamp.LeastMm)} to {placed.L(clamp.MostMm)}.",
                $"Fit a spacer ring of at least {placed.L(ring)} inside, or an inner frame thicker by as much.",
                []
            );
        }
        return wall > clamp.MostMm
            ? new Judgement(
                "clamp",
                JudgementState.Blocked,
                "Wall thicker than the fitting grips",
                wall,
                clamp.MostMm,
                Unit.Mm,
                "The halves cannot reach each other.",
                $"Thin the lining round the opening by {placed.L(wall - clamp.MostMm)}, or choose another fitting.",
                []
            )
            : new Judgement(
                "clamp",
                JudgementState.Good,
                "Wall within the fitting's grip",
                wall,
                clamp.MostMm,
                Unit.Mm,
                $"It grips {placed.L(clamp.LeastMm)} to {placed.L(clamp.MostMm)}.",
                null,
                []
            );
    }

    private static IEnumerable<Judgement> Beside(Placed placed, Neighbour neighbour)
    {
        double gap = placed.Flange.DistanceMm(neighbour.Flange);
        bool apart = gap >= PlacingFigures.FlangeGapMm - PlacingFigures.HairMm;
        var where = new Mark(neighbour.Flange.Corners, true);
        yield return new Judgement(
            $"neighbour-{neighbour.Name}",
            apart ? JudgementState.Good : JudgementState.Blocked,
            $"{neighbour.Name}, flange to flange",
            gap,
            PlacingFigures.FlangeGapMm,
            Unit.Mm,
            apart ? "Room to seal both." : "Too close to seal both flanges and keep skin between them.",
            apart ? null : $"Move {placed.L(PlacingFigures.FlangeGapMm - gap)} away from it.",
            [where]
        );
        PanelBox swept = placed.Flange.Grown(placed.Fitting.Sweep);
        if (apart && swept.Overlaps(neighbour.Swept))
        {
            yield return new Judgement(
                $"sweep-{neighbour.Name}",
                JudgementState.NeedsWork,
                $"Lid meets {neighbour.Name}",
                null,
                null,
                Unit.Mm,
                "The open lid reaches over the other fitting, or both lids cannot be open at once.",
                "Turn one of them, or move them apart.",
                [where, new Mark(swept.Corners, true)]
            );
        }
    }

    private static Judgement Carried(Placed placed)
    {
        double? span =
            IsBow(placed, Side.Front) && IsBow(placed, Side.Rear)
                ? placed.Nearest[Side.Front].GapMm + placed.Cut.WidthMm + placed.Nearest[Side.Rear].GapMm
                : null;
        bool near = span <= PlacingFigures.HeavySpanMm + PlacingFigures.HairMm;
        return new Judgement(
            "carried",
            near ? JudgementState.Good : JudgementState.Blocked,
            span is null || near ? "Heavy or shaking unit between two bows" : "The bows that would carry it stand too far apart",
            span is null ? placed.Fitting.MassKg : span,
            span is null ? null : PlacingFigures.HeavySpanMm,
            span is null ? Unit.Kg : Unit.Mm,
            near ? "A bow in front and one behind carry it."
                : span is null ? "A bare skin drums and cracks under a unit like this: it needs a bow in front and one behind."
                : $"{placed.Fitting.MassKg:0.#} kg on so wide a skin make it swing and crack at every bump.",
            near ? null
                : span is null ? "Choose a place in a bay that has a bow at both ends."
                : $"Choose a bay of at most {placed.L(PlacingFigures.HeavySpanMm)}, or fit two bearers from bow to bow below it, draw "
                    + "them as bows, and let the unit stand on "
                    + "them.",
            []
        );
    }

    private static bool IsBow(Placed placed, Side side) =>
        placed.Nearest.TryGetValue(side, out NearestThing? thing) && thing.Obstacle.Member.Kind == MemberKind.RoofBow;

    private static Judgement Hinge(Placed placed, Side hinge)
    {
        bool forward = hinge == Side.Front;
        return new Judgement(
            "hinge",
            forward ? JudgementState.Good : JudgementState.NeedsWork,
            forward ? "Hinge towards the front" : "Hinge does not face the front",
            null,
            null,
            Unit.Mm,
            forward ? "The wind of driving keeps the lid shut." : "On the road the wind lifts a lid that opens forwards or sideways.",
            forward ? null : "Turn the fitting until its hinge faces the front.",
            []
        );
    }

    private static Judgement Behind(Placed placed, Zone zone, PanelBox area)
    {
        var where = new Mark(area.Corners, true);
        bool roof = placed.Ground.Site.Panel.Facing == Facing.Up;
        return zone.HidesOpenings
            ? new Judgement(
                $"zone-{zone.Name}",
                JudgementState.NeedsWork,
                $"{zone.Name} {(roof ? "hangs below" : "stands behind")} the cut-out",
                null,
                null,
                Unit.Mm,
                "The opening would come out inside it.",
                "Move the opening, or build the other thing round it.",
                [where]
            )
            : new Judgement(
                $"zone-{zone.Name}",
                JudgementState.Good,
                $"{(roof ? "Over" : "Beside")} {zone.Name}",
                placed.Centre.DistanceMm(area.Centre),
                null,
                Unit.Mm,
                roof ? "Centre to centre, seen from above." : "Centre to centre, seen from the side.",
                null,
                [where]
            );
    }

    private static Judgement Balance(Placed placed)
    {
        PanelPoint middle = placed.Ground.Site.Panel.Box.Centre;
        bool roof = placed.Ground.Site.Panel.Facing is Facing.Up or Facing.Down;
        double off = Math.Abs(roof ? placed.Centre.TMm - middle.TMm : placed.Centre.SMm - middle.SMm);
        return new Judgement(
            "balance",
            JudgementState.Good,
            "Off the middle of the panel",
            off,
            null,
            Unit.Mm,
            roof ? "How far from the centre line it looks, seen from outside." : "How far off the middle of the field it looks, seen from outside.",
            null,
            []
        );
    }
}
