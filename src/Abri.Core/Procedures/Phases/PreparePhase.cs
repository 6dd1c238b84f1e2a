using Abri.Core.Openings;
using Abri.Core.Openings.Rules;
using Abri.Core.Openings.Seating;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>What carries the load before a rib is touched, and what can be made before the shell is opened.</summary>
internal static class PreparePhase
{
    /// <summary>Bolts with which the cut end of a rib is tied to its header: common practice.</summary>
    private const int TieBolts = 2;

    /// <summary>Before the cut, in the order of the school: headers, ribs, frame, what is made at the bench.</summary>
    public static IEnumerable<WorkStep> Of(OpeningPlan x) =>
        [
            .. Headers(x),
            .. x.Schools.RibOrder == RibOrder.RibsFirst ? CutBack(x) : [],
            .. x.Fitting.Kind == FittingKind.Hatch ? [HatchFrame(x)] : Array.Empty<WorkStep>(),
            .. x.Seat.Bedded ? Array.Empty<WorkStep>() : [Adapter(x)],
            .. x.Clamped ? AtTheBench(x) : [],
        ];

    /// <summary>The cut bows and ribs back from the opening, then their ends tied to the headers; with the skin still whole the blade is kept off
    /// it.</summary>
    public static IEnumerable<WorkStep> CutBack(OpeningPlan x)
    {
        bool ribsFirst = x.Schools.RibOrder == RibOrder.RibsFirst;
        foreach (var (rib, i) in x.Marked.Trims.GroupBy(t => t.Rib).Select((rib, i) => (rib, i + 1)))
        {
            int ends = rib.Count();
            yield return WorkStep.Of(
                "cut-back",
                $"Cut {rib.Key} back",
                $"{string.Join(" and ", rib.Select(t => x.Text(t.BackMm)).Distinct())} from the opening's edge, at "
                    + $"{ends} {(ends == 1 ? "place" : "places")}. "
                    + (
                        ribsFirst
                            ? "A guard strip behind it, so that the blade does not reach the skin."
                            : "The skin is open already: cut from inside, with the cover ready."
                    ),
                WorkPlace.Inside,
                1,
                "Hacksaw or disc",
                ribsFirst ? "Guard strip" : "Clamps"
            ) with
            {
                Key = $"cut-back-{i}",
                Cautions = [Cautions.CurrentAndFuel, Cautions.CuttingMetal],
                Weather = ribsFirst ? WeatherNeeds.Any : x.Dry,
            };
            yield return WorkStep.Of(
                "tie",
                $"Tie {rib.Key} to its headers",
                $"An angle with {TieBolts} bolts into the {(ends == 1 ? "cut end" : $"{ends} cut ends")} of {rib.Key} and {TieBolts} into "
                    + "the header each: an "
                    + "end that hangs free swings and cracks the skin. Prime the sawn ends.",
                WorkPlace.Inside,
                1,
                "Drill",
                "Spanners"
            ) with
            {
                Key = $"tie-{i}",
                Weather = ribsFirst ? WeatherNeeds.Any : x.Dry,
                Consumables = [new Consumable(Materials.Angle, ends), new Consumable(Materials.HeaderBolt, 2 * TieBolts * ends)],
                Holds = [HoldPoint.Seen("No cut end can be moved by hand")],
            };
        }
    }

    private static IEnumerable<WorkStep> Headers(OpeningPlan x)
    {
        foreach (var (header, i) in x.Frame.Headers.Select((header, i) => (header, i + 1)))
        {
            string bows = string.Join(" and ", header.Bows);
            // Where nothing carries a header the verdict has blocked the place.
            Header size = header.Size!;
            yield return WorkStep.Of(
                "header",
                $"Headers for {bows}",
                $"Two headers of {size.Section.Text(x.Lengths)}, {x.Text(size.LengthMm)} long, onto {string.Join(" and ", header.Onto)}: "
                    + $"{x.Text(size.LandingMm)} of landing and {size.BoltsEach} bolts M6 at either end, before {bows} "
                    + $"{(header.Bows.Count == 1 ? "is" : "are")} touched. Steel that is drilled is primed.",
                WorkPlace.Inside,
                1,
                "Drill",
                "Clamps",
                "Spanners"
            ) with
            {
                Key = $"header-{i}",
                Cautions = [Cautions.WiringBehind],
                Consumables =
                [
                    new Consumable(
                        size.Section.Material == HeaderMaterial.Timber
                            ? Materials.Timber(size.Section.WidthMm, size.Section.DepthMm)
                            : Materials.Tube(size.Section.WidthMm, size.Section.WallMm),
                        2 * size.LengthMm
                    ),
                    new Consumable(Materials.HeaderBolt, 4 * size.BoltsEach),
                ],
                Holds = [HoldPoint.Seen("Both headers are tight before anything is cut")],
            };
        }
    }

    private static WorkStep HatchFrame(OpeningPlan x)
    {
        // Posts are as deep as the headers between which they stand. Wider than is sized here the verdict has blocked the place.
        Header size = x.Frame.Headers is [{ Size: { } over }, ..]
            ? over
            : HeaderSize.Of(x.Fitting.CutOut.WidthMm, HeaderMaterial.Timber).Value!.Result;
        string head =
            x.Frame.Headers.Count > 0
                ? "Between the two headers:"
                : $"Header and sill of {size.Section.Text(x.Lengths)}, {x.Text(size.LengthMm)} long,";
        return WorkStep.Of(
            "hatch-frame",
            "Frame the opening",
            $"{head} posts of {x.Text(x.Fitting.CutOut.HeightMm)}, a gusset in each corner on both faces; the hinge plate lands on the "
                + "header, the latch on "
                + "a post or the sill. Bolted to the ribs before the skin is cut.",
            WorkPlace.Inside,
            1,
            "Saw",
            "Clamps",
            "Square",
            "Drill"
        ) with
        {
            Consumables =
            [
                new Consumable(
                    Materials.Timber(size.Section.WidthMm, size.Section.DepthMm),
                    (x.Frame.Headers.Count > 0 ? 0 : 2 * size.LengthMm) + (2 * x.Fitting.CutOut.HeightMm)
                ),
                new Consumable(Materials.HeaderBolt, 4 * size.BoltsEach),
            ],
            Holds = [HoldPoint.Within("Diagonals of the frame differ by", 0, 2, Unit.Mm).Else("Rack the frame square before it is fastened.")],
        };
    }

    /// <summary>What evens out a skin under which no bedding lasts.</summary>
    private static WorkStep Adapter(OpeningPlan x) =>
        WorkStep.Of(
            "adapter",
            "Make the adapter plate",
            $"A ring of the flange's outline, {x.Text(x.Fitting.Flange.WidthMm)} by {x.Text(x.Fitting.Flange.HeightMm)}, with the hole of "
                + $"{x.Text(x.Fitting.CutOut.WidthMm)} by {x.Text(x.Fitting.CutOut.HeightMm)}, its underside scribed to the skin by the "
                + "Seat tab and its top "
                + "flat. Or fill the valleys solid with thickened resin on the abraded skin, flat on top, and let that harden. No bedding "
                + "carries these gaps.",
            WorkPlace.Bench,
            1,
            "Plane or jigsaw",
            "Straight-edge"
        ) with
        {
            Cautions = [Cautions.Resin],
            Holds =
            [
                HoldPoint
                    .Within("Greatest gap below the plate", 0, x.Fitting.FlatnessMm, Unit.Mm)
                    .Else("Scribe it again: what it stands off the skin is what water stands in."),
            ],
        };

    /// <summary>What is made for a clamped fitting before the shell is opened.</summary>
    private static IEnumerable<WorkStep> AtTheBench(OpeningPlan x)
    {
        if (FrameIsMade(x))
        {
            yield return WorkStep.Of(
                "inner-frame",
                "Make the inner frame",
                x.Frame.Verdict
                    + (
                        ClampPhase.MissingMm(x) is { } missing
                            ? $" Nowhere thinner than {x.Text(missing)}: by so much the wall is thinner than the fitting grips."
                            : ""
                    ),
                WorkPlace.Bench,
                1,
                "Plane or jigsaw",
                "Scribe sheets at 1:1"
            ) with
            {
                Cautions = [Cautions.CuttingWood],
                Holds =
                [
                    HoldPoint
                        .Within("Greatest gap between frame and skin", 0, 1, Unit.Mm)
                        .Else("Plane the frame to the curve; a screw that pulls the skin flat dents it."),
                ],
            };
        }
        if (x.Verdict.Rows.FirstOrDefault(r => r.Id == BackingRule.Id && r.State == JudgementState.NeedsWork) is { Remedy: { } pieces })
        {
            yield return WorkStep.Of(
                "backing",
                "Backing pieces",
                $"{pieces} Glue or screw them to the ribs, so that the frame's corner screws hold in them.",
                WorkPlace.Inside,
                1,
                "Saw",
                "Clamps"
            ) with
            {
                Holds = [HoldPoint.Seen("Every corner screw has wood behind it")],
            };
        }
        if (x.Fitting.Halves is { Lugs: > 0 } halves)
        {
            yield return WorkStep.Of(
                "lugs",
                "Trim the lugs",
                $"Work out the trim on the Clamp tab and cut all {halves.Lugs} lugs to one length, ticking each: one left long holds a corner up.",
                WorkPlace.Bench,
                halves.Lugs,
                "Fine saw",
                "Calliper"
            ) with
            {
                Holds =
                [
                    HoldPoint
                        .Within("Lugs trimmed", halves.Lugs, 0, Unit.Count)
                        .Else("Trim every lug: one that is left long holds the halves apart."),
                ],
            };
        }
    }

    /// <summary>Whether a frame of its own goes below the skin: on a roof always, on a wall where it curves, unless a spacer ring does its
    /// work.</summary>
    public static bool FrameIsMade(OpeningPlan x) => x.Clamped && (x.Roof || (Curves(x) && ClampPhase.MissingMm(x) is null));

    /// <summary>Whether what lies against the skin inside has to be scribed to it.</summary>
    public static bool Curves(OpeningPlan x) => x.Frame.Sides.Any(s => s.MostMm >= 0.5);
}
