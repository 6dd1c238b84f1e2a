using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings.Rules;

/// <summary>What a flue keeps away from: what burns round its plate, and what lets air in near its mouth. The same whichever of the two is
/// placed.</summary>
/// <remarks>The appliance's sheet comes first, and its fitting is for somebody licensed.</remarks>
internal static class FlueRules
{
    /// <summary>What a flue's mouth keeps from anything that opens or draws air where its sheet does not say, mm: assumption.</summary>
    public const double UsualMouthMm = 500;

    public static IEnumerable<Judgement> Rows(Placed placed, Worksheet sheet)
    {
        if (placed.Fitting is { Kind: FittingKind.Flue, HeatMm: 0 })
            yield return new Judgement(
                "heat-distance",
                JudgementState.Blocked,
                "Not known how hot this flue gets",
                0,
                null,
                Unit.Mm,
                "Without the distance that everything that burns keeps from it nothing can be judged here.",
                "Enter the distance of the appliance's sheet with the flue, in Fittings. Without a sheet it is not fitted.",
                [new Mark(placed.Cut.Corners, true)]
            );
        if (placed.Fitting.HeatMm > 0)
        {
            foreach (Judgement row in Heat(placed))
                yield return row;
        }
        foreach (Judgement row in Mouths(placed, sheet))
            yield return row;
    }

    /// <summary>Whether fumes come in by it: it opens, or air passes it.</summary>
    public static bool LetsAirIn(Fitting fitting) =>
        fitting.Kind != FittingKind.Flue
        && (
            fitting.HingeSide is not null
            || fitting.Air is not null
            || fitting.Kind is FittingKind.RoofVent or FittingKind.HingedWindow or FittingKind.Grille or FittingKind.Hatch
        );

    /// <summary>Distance between the holes of two fittings of which one is a flue and the other lets air in, mm; null for others.</summary>
    public static double? BetweenMm(Fitting one, Fitting other) =>
        one.Kind == FittingKind.Flue && LetsAirIn(other) ? one.MouthMm ?? UsualMouthMm
        : other.Kind == FittingKind.Flue && LetsAirIn(one) ? other.MouthMm ?? UsualMouthMm
        : null;

    /// <summary>Whether fumes pass what lies above a mouth: on a wall.</summary>
    public static bool Rises(Facing facing) => facing is not (Facing.Up or Facing.Down);

    private static IEnumerable<Judgement> Mouths(Placed placed, Worksheet sheet)
    {
        bool flue = placed.Fitting.Kind == FittingKind.Flue;
        if (!flue && !LetsAirIn(placed.Fitting))
            yield break;
        foreach (Neighbour n in placed.Ground.Neighbours)
        {
            PanelBox other = n.Fitting.CutOut.Turned(n.TurnDeg).BoxAt(n.Centre);
            if (flue && LetsAirIn(n.Fitting))
                yield return Mouth(placed, sheet, n.Name, placed.Fitting, placed.Cut, other, other);
            else if (!flue && n.Fitting.Kind == FittingKind.Flue)
                yield return Mouth(placed, sheet, n.Name, n.Fitting, other, placed.Cut, other);
        }
        if (!flue)
            yield break;
        foreach (Panel door in placed.Ground.Doors)
            yield return Mouth(placed, sheet, door.Name ?? "Sliding door", placed.Fitting, placed.Cut, door.Box, door.Box);
    }

    private static Judgement Mouth(Placed placed, Worksheet sheet, string name, Fitting flue, PanelBox mouth, PanelBox air, PanelBox seen)
    {
        double wanted = flue.MouthMm ?? UsualMouthMm,
            gap = mouth.DistanceMm(air);
        if (flue.MouthMm is null)
            sheet.Cite(new Source($"A flue's mouth keeps {UsualMouthMm:0} mm from what lets air in", SourceKind.Assumption));
        // On a wall fumes rise: below it, however far, and beside it they come in again.
        bool rises =
            Rises(placed.Ground.Site.Panel.Facing)
            && mouth.TMinMm < air.TMaxMm
            && mouth.SMinMm < air.SMaxMm + wanted
            && mouth.SMaxMm > air.SMinMm - wanted;
        bool isFlue = placed.Fitting.Kind == FittingKind.Flue;
        (string clear, string comesIn) = isFlue
            ? ($"Mouth of the flue clear of {name}", $"Fumes of the flue come in by {name}")
            : ($"Clear of the mouth of {name}", $"Fumes of {name} come in here");
        bool good = gap >= wanted - PlacingFigures.HairMm && !rises;
        return new Judgement(
            $"mouth-{name}",
            good ? JudgementState.Good : JudgementState.Blocked,
            good ? clear : comesIn,
            gap,
            wanted,
            Unit.Mm,
            rises ? "Fumes rise: a mouth below or beside what can be open sends carbon monoxide in."
                : good ? "As far as its sheet asks; without a sheet, a usual distance."
                : "Carbon monoxide is drawn in where air goes in.",
            good ? null
                : rises
                    ? $"Put the mouth above it, or at least {placed.L(wanted)} to one side of its edges. The appliance's sheet comes "
                        + "first: enter its distance with "
                        + "the flue."
                : $"Move {placed.L(wanted - gap)} further away, or enter the distance that the appliance's sheet gives with the flue.",
            [new Mark(seen.Corners, true)]
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
                "Nothing that is drawn comes nearer, linings and coverings included. What is put in later keeps the same distance.",
                null,
                []
            );
    }
}
