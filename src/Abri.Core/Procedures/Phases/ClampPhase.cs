using Abri.Core.Work;

namespace Abri.Core.Procedures.Phases;

/// <summary>A fitting of two halves: the wall made thick enough, fitted dry, bedded and clamped. It closes the shell.</summary>
internal static class ClampPhase
{
    /// <summary>Until a glued ring carries itself, hours, and the section of its bead, mm2: assumptions.</summary>
    internal const double RingHours = 4,
        RingBeadMm2 = 20;

    public static IEnumerable<WorkStep> Of(OpeningPlan x)
    {
        if (x.Asked.Site.WallMm is { } wall && wall < x.Fitting.Clamp!.LeastMm)
            yield return SpacerRing(x, x.Fitting.Clamp.LeastMm - wall);
        yield return WorkStep.Of(
            "dry-fit-halves",
            "Dry fit",
            "Both halves together without bedding; it must not rock. Where the lining is not in yet, packers of its thickness go "
                + "under the inner half. "
                + x.Seat.Verdict,
            x.Out,
            1
        ) with
        {
            Cautions = x.OutCautions,
            Weather = x.Dry,
            People = x.Heavy ? 2 : 1,
        };
        yield return BedPhase.Bedding(x);
        double? gasket = x.Fitting.Halves is { GasketMm: > 0 } halves ? halves.GasketMm : null;
        string until = gasket is { } free ? $", until the gasket of {x.Text(free)} stands at {x.Text(free / 2)}" : "";
        yield return WorkStep.Of(
            "clamp",
            "Clamp it",
            $"Outer half from outside, inner half from inside: every screw finger-tight first, then by hand in the numbered order{until}.",
            WorkPlace.Inside,
            1,
            "Hand driver",
            "Feeler or calliper"
        ) with
        {
            People = 2,
            Weather = x.Laying,
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
                : [],
        };
    }

    /// <summary>What makes a thin wall as thick as the clamp wants it.</summary>
    private static WorkStep SpacerRing(OpeningPlan x, double thickMm)
    {
        bool glued = x.Schools.SpacerRing == Shell.SpacerRing.Adhesive;
        double path = x.Fitting.CutOut.PerimeterMm;
        string how = glued
            ? "in a bead of polyurethane adhesive, held by clamps until it carries itself"
            : "on double-sided acrylic foam tape, pressed on hard all round";
        return WorkStep.Of(
            "spacer-ring",
            "Spacer ring",
            $"A ring {x.Text(thickMm)} thick round the hole, inside, {how}. Its edge stays flush with the hole.",
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
