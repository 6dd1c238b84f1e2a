using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>A fitting of two halves: the wall made thick enough, the frame below the skin, bedded and clamped. It closes the shell.</summary>
internal static class ClampPhase
{
    /// <summary>Until a glued ring carries itself, hours, and the section of its bead, mm2: assumptions.</summary>
    internal const double RingHours = 4,
        RingBeadMm2 = 20;

    /// <summary>By how much the wall is thinner than the fitting grips, mm; null where it is not.</summary>
    public static double? MissingMm(OpeningPlan x) =>
        x.Asked.Site.WallMm is { } wall && wall < x.Fitting.Clamp!.LeastMm ? x.Fitting.Clamp.LeastMm - wall : null;

    /// <summary>Thickness of the spacer ring that a thin wall needs, mm; null where it needs none, or where the inner frame of a roof makes it
    /// up.</summary>
    public static double? RingMm(OpeningPlan x) => x.Roof ? null : MissingMm(x);

    public static IEnumerable<WorkStep> Of(OpeningPlan x)
    {
        if (RingMm(x) is { } ring)
            yield return SpacerRing(x, ring);
        if (PreparePhase.FrameIsMade(x))
        {
            yield return WorkStep.Of(
                "fit-frame",
                "Fit the inner frame",
                "Bed the frame against the underside of the skin in a thin bead of sealant, its edge flush with the hole, screwed to "
                    + "headers, ribs and backing. "
                    + "It is part of what is clamped: without it the screws draw the skin in.",
                WorkPlace.Inside,
                1,
                "Drill",
                "Clamps"
            ) with
            {
                Consumables = [new Consumable(Materials.Bedding, x.Fitting.CutOut.PerimeterMm * 6 * 1.1 / 1000)],
                Holds = [HoldPoint.Seen("The frame lies on the skin all round and does not move")],
            };
        }
        yield return x.OwnGasket ? OwnGasket(x) : BedPhase.Bedding(x);
        double? gasket = x.Fitting.Halves is { GasketMm: > 0 } halves ? halves.GasketMm : null;
        string until = gasket is { } free
            ? $", until the gasket of {x.Text(free)} stands at {x.Text(free / 2)}"
            : ", until the bedding shows all round";
        string shakes = x.Fitting.Vibrates ? " Thread lock on every screw: it shakes." : "";
        yield return WorkStep.Of(
            "clamp",
            "Clamp it",
            "Outer half from outside, inner half from inside: every screw finger-tight first, then by hand in the numbered order, from "
                + "the middle of opposite "
                + $"sides, round by round{until}.{shakes}",
            WorkPlace.Inside,
            1,
            "Hand driver",
            "Feeler or calliper"
        ) with
        {
            People = Math.Max(2, x.LiftPeople),
            Weather = x.OwnGasket ? x.Dry : x.Laying,
            Shell = ShellChange.Closes,
            Holds = gasket is { } mm
                ?
                [
                    HoldPoint.Within("Gap of the gasket, everywhere", mm / 2, mm * 0.05, Unit.Mm) with
                    {
                        IfLess = "Ease the screws, the opposite ones in turn: a gasket that is crushed does not seal for long.",
                        IfMore =
                            "Tighten on crosswise, a little at a time; at the end of a screw, a longer one or less between the halves is needed.",
                    },
                ]
                : [HoldPoint.Seen("Bedding shows all round")],
        };
    }

    /// <summary>What brings a gasket of its own gets no adhesive.</summary>
    private static WorkStep OwnGasket(OpeningPlan x) =>
        WorkStep.Of(
            "bed",
            "Seat its gasket",
            $"Clean skin and gasket, no grease, no sealant below it: it has to come off again for service. {x.Seat.Verdict} "
                + (
                    x.Seat.State == JudgementState.Good
                        ? ""
                        : "Level the ground first, as Seat says: the gasket evens out no more than its sheet allows. "
                )
                + "Gasket stuck to the unit, joint at the rear; drain holes free.",
            x.Out,
            1,
            "Lint-free cloths"
        ) with
        {
            Cautions = x.OutCautions,
            Weather = x.Dry,
            Consumables = [new Consumable(Materials.Degreaser, 50)],
            Holds = [HoldPoint.Seen("Gasket whole, without a fold")],
        };

    /// <summary>What makes a thin wall as thick as the clamp wants it.</summary>
    private static WorkStep SpacerRing(OpeningPlan x, double thickMm)
    {
        bool glued = x.Schools.SpacerRing == Shell.SpacerRing.Adhesive;
        double path = x.Fitting.CutOut.PerimeterMm * 1.1;
        string how = glued
            ? "in a bead of polyurethane adhesive, held by clamps until it carries itself"
            : "on double-sided acrylic foam tape, pressed on hard all round";
        return WorkStep.Of(
            "spacer-ring",
            "Spacer ring",
            $"A ring {x.Text(thickMm)} thick round the hole, inside, {how}. Its edge stays flush with the hole."
                + (PreparePhase.Curves(x) ? " Its face is scribed to the skin first: it must not rock on the curve." : ""),
            WorkPlace.Inside,
            1,
            glued ? "Clamps" : "Roller"
        ) with
        {
            Cautions = glued ? [Cautions.Isocyanates] : [],
            WaitHours = glued ? RingHours : 0,
            Consumables =
            [
                glued ? new Consumable(Materials.PolyurethaneAdhesive, path * RingBeadMm2 / 1000) : new Consumable(Materials.FoamTape, path),
            ],
        };
    }
}
