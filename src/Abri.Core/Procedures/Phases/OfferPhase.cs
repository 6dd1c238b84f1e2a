using Abri.Core.Openings;
using Abri.Core.Openings.Rules;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>Before a line is drawn: the fitting is looked over and offered up, and somebody looks behind the panel and drills through from
/// inside.</summary>
internal static class OfferPhase
{
    private const string OtherFitting =
        "This is not what the catalogue says: write its measures into the fitting before anything is marked; everything is worked out again.";

    public static IEnumerable<WorkStep> Of(OpeningPlan x)
    {
        yield return WorkStep.Of(
            "offer",
            "Offer the fitting up",
            $"Unpack {x.Fitting.Name}, look for damage, and hold {(x.Roof && x.Heavy ? "its template" : "it")} where it goes: "
                + $"{x.Text(x.Fitting.Flange.WidthMm)} by {x.Text(x.Fitting.Flange.HeightMm)} of flange. "
                + "Damage is claimed within the days that the supplier gives, not after the cut.",
            x.Out,
            1
        ) with
        {
            People = Math.Max(x.LiftPeople, x.Fitting.Kind == FittingKind.BondedWindow ? 2 : 1),
            Cautions = [.. x.LiftCautions, .. x.OutCautions],
            Holds =
            [
                HoldPoint.Seen("Looked over; damage is claimed until (date)"),
                HoldPoint.Within("Width of the part that passes the hole", x.Fitting.Neck.WidthMm, 1, Unit.Mm).Else(OtherFitting),
                HoldPoint.Within("Height of it", x.Fitting.Neck.HeightMm, 1, Unit.Mm).Else(OtherFitting),
            ],
        };
        int holes = x.Marked.ThroughHoles.Count;
        string drill = x.Marked.ThroughHoles[0].Drill;
        yield return WorkStep.Of(
            "look-behind",
            "Look behind the panel and drill through",
            "Battery off, lining off. Look and feel behind the whole cut-out. Mark the centre lines from the ribs by the inside sheet, and drill "
                + $"the {holes} through-holes of {drill} where the marks cross. Tape over them outside until the cut: rain comes in by them too.",
            WorkPlace.Inside,
            1,
            "Torch",
            $"Drill {drill}",
            "Inside sheet"
        ) with
        {
            Cautions = [Cautions.WiringBehind, Cautions.CurrentAndFuel],
            Holds =
            [
                HoldPoint.Seen("Nothing runs behind the cut-out") with
                {
                    IfMore = "Move what runs there, or the opening. Pillars and marked structure are never cut.",
                },
            ],
        };
        string[] below =
        [
            .. x
                .Verdict.Rows.Where(r => r.Id.StartsWith(FindingRules.Id, StringComparison.Ordinal))
                .Select(r => $"{r.Title[..^FindingRules.Below.Length]}. {r.Why}"),
        ];
        if (below.Length > 0)
            yield return WorkStep.Of(
                "mend-first",
                "Fix what lies under the flange",
                $"{string.Join(" ", below)} Fix it now, down to sound painted skin: you cannot reach it later. Metal has its steps.",
                x.Out,
                below.Length,
                "Straight-edge"
            ) with
            {
                Cautions = x.OutCautions,
                Weather = x.Dry,
                Holds = [HoldPoint.Seen("Sound painted skin below the whole flange")],
            };
    }
}
