using Abri.Core.Openings;
using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>The fitting tried dry, and every hole that it needs drilled, before anything is coated; then the cable.</summary>
internal static class FitPhase
{
    private static readonly HoldPoint GoesIn = HoldPoint.Seen("The fitting goes in without force") with
    {
        IfMore = "File where it touches, little by little. Never lever it in.",
    };

    /// <summary>The dry fit of a kind, with its holes.</summary>
    public static WorkStep Dry(OpeningPlan x) =>
        x.Fitting.Kind switch
        {
            FittingKind.BondedWindow => Pane(x),
            FittingKind.GasketWindow => Rubber(x),
            _ => x.Clamped ? Halves(x) : Flange(x),
        };

    /// <summary>Current for what needs it.</summary>
    public static WorkStep Cable(OpeningPlan x) =>
        WorkStep.Of(
            "cable",
            "Bring the cable in",
            "Through a grommet or a gland, a drip loop lower than where it goes in, a fuse at the battery by the cable's section. "
                + "Connect, battery on, try "
                + $"that {(x.Fitting.Air is { FlowM3h: > 0 } ? "the fan runs and blows the right way" : "it runs")}; battery off again.",
            WorkPlace.Inside,
            1,
            "Cutters and crimping tool",
            "Voltage tester"
        ) with
        {
            Cautions = [Cautions.WiringBehind],
            Holds =
            [
                HoldPoint.Seen("It runs, and the right way round") with
                {
                    IfMore = "Swap plus and minus, look for the fuse: once it is bedded you cannot reach it.",
                },
            ],
        };

    private static WorkStep Flange(OpeningPlan x)
    {
        int screws = x.Marked.ScrewHoles.Count;
        string holes =
            screws == 0
                ? "Drill the holes of its fasteners through the flange"
                : $"Drill all {screws} pilot holes of {x.Lengths.Drill(x.Fitting.Screws!.PilotMm)} through the flange";
        string way = x.Fitting.Kind switch
        {
            FittingKind.Grille => "Louvres down, and a gauze that insects do not pass behind it. ",
            FittingKind.Flue => "The pipe passes without touching; whatever burns is cut back or shielded now. ",
            FittingKind.Hatch => "Hinge side to the header. ",
            _ => "Write FRONT on it. ",
        };
        return WorkStep.Of(
            "dry-fit",
            "Dry fit and drill every hole",
            $"Set it in. {way}{x.Seat.Verdict} {holes}, now, before any paint; take it out, deburr both faces.",
            x.Out,
            screws,
            "Drill",
            "Deburring tool"
        ) with
        {
            People = x.LiftPeople,
            Cautions = [.. x.Fitting.HeatMm > 0 ? [Cautions.Licensed] : Array.Empty<Caution>(), .. x.LiftCautions, .. x.OutCautions],
            Weather = x.Dry,
            Holds = [GoesIn],
        };
    }

    private static WorkStep Halves(OpeningPlan x)
    {
        string wood = PreparePhase.FrameIsMade(x) ? "The inner frame below the skin, then both" : "Both";
        string corner = x.Fitting.Halves?.CornerScrewMm is null ? "" : " Drill the pilot holes of the inner frame's corner screws now.";
        string wall = x.Asked.Site.WallMm is null
            ? " The wall is not measured yet: measure skin, frame and lining together at all four sides now and enter it with the "
                + "opening. A spacer ring or "
                + "another screw may be needed, and the steps say so then."
            : "";
        string ring = ClampPhase.RingMm(x) is { } mm ? $" Hold the spacer ring of {x.Text(mm)} in with clamps." : "";
        return WorkStep.Of(
            "dry-fit-halves",
            "Dry fit and drill every hole",
            $"{wood} halves together without bedding; it must not rock.{ring} Where the lining is not in yet, packers of its thickness go "
                + "under the inner half. "
                + $"{x.Seat.Verdict}{wall}{corner} Take it out, deburr.",
            x.Out,
            1,
            "Drill",
            "Clamps"
        ) with
        {
            Cautions = [.. x.LiftCautions, .. x.OutCautions],
            Weather = x.Dry,
            People = Math.Max(2, x.LiftPeople),
            Holds = [GoesIn],
        };
    }

    private static WorkStep Pane(OpeningPlan x) =>
        WorkStep.Of(
            "dry-fit-pane",
            "Dry fit the pane",
            "Set the pane on its spacers without adhesive, the same gap all round. Tape across pane and skin above and at both sides, cut "
                + "the tape at the pane's "
                + "edge: so it comes back to the same place, and the strips that hold it hang ready. Draw the inner edge of the land with a pencil.",
            x.Out,
            1,
            "Suction lifters",
            "Spacers"
        ) with
        {
            People = Math.Max(2, x.LiftPeople),
            Cautions = [x.Fitting.Bonded?.Pane == Openings.Pane.Glass ? Cautions.Glass : Cautions.LargePane, .. x.OutCautions],
            Weather = x.Dry,
            Consumables = [new Consumable(Materials.HoldingTape, 1500)],
            Holds = [GoesIn],
        };

    private static WorkStep Rubber(OpeningPlan x) =>
        WorkStep.Of(
            "dry-fit",
            "Try the rubber",
            "Measure skin and pane with a calliper: the rubber has one groove for each, and neither may be loose in it. Push a hand's "
                + "length of it over the edge "
                + "of the hole and another over the pane, at a corner too: it must follow without a gap.",
            x.Out,
            1,
            "Calliper"
        ) with
        {
            Cautions = x.OutCautions,
            Weather = x.Dry,
            Holds =
            [
                HoldPoint.Seen("The rubber suits the skin and the pane") with
                {
                    IfMore = "Get the profile for these two thicknesses; sealant does not make a loose one hold.",
                },
            ],
        };
}
