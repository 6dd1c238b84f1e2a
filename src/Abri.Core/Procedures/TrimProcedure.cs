using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Work;
using static Abri.Core.Procedures.RepairSteps;

namespace Abri.Core.Procedures;

/// <summary>Writes how a trim comes off while the shell is bare, and goes on last; one fixing in five is replaced (common practice).</summary>
internal static class TrimProcedure
{
    /// <summary>Clips bought beyond those counted, as a share: common practice.</summary>
    public const double SpareClips = 0.2;

    private const double BeddingThickMm = 2;

    /// <summary>The plan.</summary>
    public static Worked<RepairPlan> Of(RepairWork work, TrimRun trim)
    {
        var sheet = new Worksheet();
        double length = sheet.Step("L", "length", "sum of its pieces", Outlines.LengthMm(work.Repair.Points), "mm"),
            count = sheet.Step(
                "N",
                trim.Held == TrimHeld.Clips ? "clips" : "screws",
                "ceil(L / p) + 1",
                Math.Ceiling((length / trim.PitchMm) - 1e-9) + 1,
                "count"
            ),
            buy = sheet.Step("B", "to buy", $"N (1 + {SpareClips:0.0})", Math.Ceiling((count * (1 + SpareClips)) - 1e-9), "count"),
            bedding = trim.BeddingWideMm == 0
                ? 0
                : sheet.Step(
                    "V",
                    "bedding",
                    $"L w {BeddingThickMm:0} * {Waste:0.0} / 1000",
                    length * trim.BeddingWideMm * BeddingThickMm * Waste / 1000,
                    "ml"
                );
        sheet.Cite(new Source("One clip in five breaks; off while the shell is bare, on again last", SourceKind.CommonPractice));
        sheet.Cite(new Source("Bedding of 2 mm, a fifth more for waste", SourceKind.Assumption));
        sheet.Cite(MinutesTable.Source);
        bool clips = trim.Held == TrimHeld.Clips;
        string held = clips ? "clips" : "screws";
        string verdict =
            $"{work.Lengths.Text(length)} held by {count:0} {held}; have {buy:0} at hand" + (bedding > 0 ? $", {bedding:0} ml of bedding." : ".");
        WorkStep[] steps =
        [
            Outside(
                "trim-off",
                "Take it off",
                clips
                    ? "Look for hidden fixings first: under arches, in door shuts, behind lamps. Warm it, pull at each clip "
                        + "with a trim lever, never at the end."
                    : "Look for hidden fixings under caps and sealant. Back out every screw; what is rusted in is drilled. Number the pieces.",
                count,
                clips ? "Trim lever" : "Screwdriver",
                "Heat gun on low"
            ) with
            {
                Cautions = [Cautions.SheetEdges],
            },
            Outside(
                "trim-clean",
                "Clean the skin under it",
                "Old sealant and dirt off, degrease; rust under it is treated now, while it is bare.",
                length,
                "Plastic scraper"
            ) with
            {
                Cautions = [Cautions.Solvents],
                Consumables = [new Consumable(Materials.Degreaser, 50 + (length / 20))],
                Holds = [HoldPoint.Seen("Sound paint or primer all along")],
            },
            Outside(
                "trim-straighten",
                "Straighten it",
                $"Bends out by hand over a straight batten; {held} that are bent or rusted are replaced.",
                1,
                "Batten"
            ) with
            {
                Place = WorkPlace.Bench,
            },
            Outside(
                "trim-on",
                "Put it on",
                (
                    bedding > 0
                        ? $"Bedding {work.Lengths.Text(trim.BeddingWideMm)} wide along all of it, of a kind that comes off "
                            + $"again: neutral-cure or butyl. "
                        : ""
                )
                    + (
                        clips
                            ? "A dab of sealant in each clip hole, press from the middle outwards."
                            : "From the middle outwards, each screw dipped in sealant, hand tight."
                    )
                    + " The lower edge stays open for water to leave.",
                count,
                clips ? "Rubber mallet" : "Screwdriver"
            ) with
            {
                Weather = Dry,
                Consumables =
                [
                    new Consumable(clips ? Materials.TrimClip : Materials.Screw, buy),
                    .. bedding > 0 ? [new Consumable(Materials.Bedding, bedding)] : Array.Empty<Consumable>(),
                ],
                WaitHours = 12,
            },
            Outside(
                "water-test",
                "Water test",
                "Spray along it from below upwards while somebody looks from inside.",
                Math.Max(1, length / 1200),
                "Hose"
            ) with
            {
                People = 2,
                Holds = [HoldPoint.DryInside],
            },
        ];
        return sheet.Finish(new RepairPlan(null, null, null, verdict, Procedure.Of(verdict, steps), null));
    }
}
