using Abri.Core.Openings;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>Before a line is drawn: the fitting is looked over and offered up, and somebody looks behind the panel.</summary>
internal static class OfferPhase
{
    private const string OtherFitting =
        "This is not what the catalogue says: write its measures into the fitting before anything is marked; all is worked out anew.";

    public static IEnumerable<WorkStep> Of(OpeningPlan x)
    {
        yield return WorkStep.Of(
            "offer",
            "Offer the fitting up",
            $"Unpack {x.Fitting.Name}, look for damage, and hold it where it goes: {x.Text(x.Fitting.Flange.WidthMm)} by "
                + $"{x.Text(x.Fitting.Flange.HeightMm)} of flange. "
                + "Damage is claimed within the days that the supplier gives, not after the cut.",
            x.Out,
            1
        ) with
        {
            People = x.Heavy || x.Fitting.Kind == FittingKind.BondedWindow ? 2 : 1,
            Cautions = x.OutCautions,
            Holds =
            [
                HoldPoint.Seen("Looked over; damage is claimed until (date)"),
                HoldPoint.Within("Width of the part that passes the hole", x.Fitting.Neck.WidthMm, 1, Unit.Mm).Else(OtherFitting),
                HoldPoint.Within("Height of it", x.Fitting.Neck.HeightMm, 1, Unit.Mm).Else(OtherFitting),
            ],
        };
        yield return WorkStep.Of(
            "look-behind",
            "Look behind the panel",
            $"Take the lining off, look and feel behind the whole cut-out; drill the {x.Marked.ThroughHoles.Count} through-holes "
                + "from inside once nothing is there.",
            WorkPlace.Inside,
            1,
            "Torch",
            $"Drill {x.Marked.ThroughHoles[0].Drill}"
        ) with
        {
            Cautions = [Cautions.WiringBehind],
            Holds =
            [
                HoldPoint.Seen("Nothing runs behind the cut-out") with
                {
                    IfMore = "Move what runs there, or the opening. Pillars and marked structure are never cut.",
                },
            ],
        };
    }
}
