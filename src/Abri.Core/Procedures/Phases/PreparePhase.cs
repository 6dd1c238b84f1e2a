using Abri.Core.Openings;
using Abri.Core.Openings.Rules;
using Abri.Core.Openings.Seating;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>What carries the load before a rib is touched, and what can be made before the shell is opened.</summary>
internal static class PreparePhase
{
    /// <summary>Before the cut, in the order of the school: headers, ribs, frame, what is made at the bench.</summary>
    public static IEnumerable<WorkStep> Of(OpeningPlan x)
    {
        IEnumerable<WorkStep> ribs = x.Schools.RibOrder == RibOrder.RibsFirst ? CutBack(x) : [];
        return
        [
            .. Headers(x),
            .. ribs,
            .. x.Fitting.Kind == FittingKind.Hatch ? [HatchFrame(x)] : Array.Empty<WorkStep>(),
            .. x.Fitting.Clamp is null ? [] : AtTheBench(x),
        ];
    }

    /// <summary>The cut bows and ribs back from the opening; with the skin still whole the blade is kept off it.</summary>
    public static IEnumerable<WorkStep> CutBack(OpeningPlan x)
    {
        bool ribsFirst = x.Schools.RibOrder == RibOrder.RibsFirst;
        return x
            .Marked.Trims.GroupBy(t => t.Rib)
            .Select(
                (rib, i) =>
                    WorkStep.Of(
                        "cut-back",
                        $"Cut {rib.Key} back",
                        $"{string.Join(" and ", rib.Select(t => x.Text(t.BackMm)).Distinct())} from the opening's edge, at "
                            + $"{rib.Count()} {(rib.Count() == 1 ? "place" : "places")}. "
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
                        Key = $"cut-back-{i + 1}",
                        Cautions = [Cautions.CurrentAndFuel, Cautions.CuttingMetal],
                        Weather = ribsFirst ? WeatherNeeds.Any : x.Dry,
                    }
            );
    }

    private static IEnumerable<WorkStep> Headers(OpeningPlan x) =>
        x.Frame.Headers.Select(
            (header, i) =>
            {
                string bows = string.Join(" and ", header.Bows);
                return WorkStep.Of(
                    "header",
                    $"Headers for {bows}",
                    $"Two headers of {x.Text(header.LengthMm!.Value)} onto {string.Join(" and ", header.Onto)}, bolted at both ends before {bows} "
                        + $"{(header.Bows.Count == 1 ? "is" : "are")} touched.",
                    WorkPlace.Inside,
                    1,
                    "Drill",
                    "Clamps"
                ) with
                {
                    Key = $"header-{i + 1}",
                    Holds = [HoldPoint.Seen("Both headers are tight before anything is cut")],
                };
            }
        );

    private static WorkStep HatchFrame(OpeningPlan x)
    {
        string head =
            x.Frame.Headers.Count > 0
                ? "Between the two headers:"
                : $"Header and sill of {x.Text(x.Fitting.CutOut.WidthMm + (2 * InnerFrame.LandingMm))},";
        return WorkStep.Of(
            "hatch-frame",
            "Frame the opening",
            $"{head} posts of {x.Text(x.Fitting.CutOut.HeightMm)}, a gusset in each corner; the hinge plate lands on the header.",
            WorkPlace.Inside,
            1,
            "Saw",
            "Clamps",
            "Square",
            "Drill"
        ) with
        {
            Holds = [HoldPoint.Within("Diagonals of the frame differ by", 0, 2, Unit.Mm).Else("Rack the frame square before it is fastened.")],
        };
    }

    /// <summary>What is made for a clamped fitting before the shell is opened.</summary>
    private static IEnumerable<WorkStep> AtTheBench(OpeningPlan x)
    {
        if (x.Frame.Sides.Any(s => s.MostMm >= 0.5) || x.Roof)
        {
            yield return WorkStep.Of(
                "inner-frame",
                "Inner frame",
                x.Frame.Verdict,
                WorkPlace.Bench,
                1,
                "Plane or jigsaw",
                "Scribe sheets at 1:1"
            ) with
            {
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
}
