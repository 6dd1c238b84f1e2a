using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Work;
using static Abri.Core.Procedures.RepairSteps;

namespace Abri.Core.Procedures;

/// <summary>Writes what is done next to a door, to the next round of readings.</summary>
internal static class DoorProcedure
{
    /// <summary>The procedure.</summary>
    public static Procedure Of(DoorFit door, DoorPlan plan, LengthFormat lengths)
    {
        // What is to be changed at the ends; where they are right, what a straight edge lacks in between.
        string Remedies(Unit unit) =>
            string.Join(
                " ",
                plan.Rows.Where(r => r.State != JudgementState.Good && r.Unit == unit && (unit == Unit.Percent || r.Required == plan.WantedGapMm))
                    .Select(r => r.Remedy)
            );
        string amounts = Remedies(Unit.Mm) is { Length: > 0 } ends ? ends : Remedies(Unit.Percent);
        List<WorkStep> steps = [];
        switch (plan.Next)
        {
            case DoorTurn.HingesAndLatch:
                steps.Add(
                    Outside(
                        "door-set",
                        "Set latch and hinges",
                        $"{amounts} Mark the old place first; half a turn at a time, and shut it gently.",
                        1,
                        "Socket set",
                        "Marker"
                    ) with
                    {
                        People = 2,
                        Cautions = [Cautions.DoorFalls],
                    }
                );
                break;
            case DoorTurn.Seal:
                steps.Add(
                    Outside(
                        "door-seal",
                        "Change the seal",
                        $"{amounts} Clean the channel, lay it without stretching, " + "its joint at the bottom with a gap to drain.",
                        1,
                        "Plastic scraper"
                    )
                );
                break;
            case DoorTurn.Bend when plan.Push is { } push:
                if (door.Glass)
                    steps.Add(
                        Outside("door-pane", "Take the pane out", "A pane cracks when its frame is bent.", 1, "Suction cups") with
                        {
                            Cautions = [Cautions.Glass],
                        }
                    );
                string held = string.Join(" and ", push.EndsMm.Select(lengths.Text));
                steps.Add(
                    Outside(
                        "door-bend",
                        "Bend it",
                        (
                            push.Inwards
                                ? $"Blocks of wood between door and frame at {held} from below; push the door in at {lengths.Text(push.AtMm)}, "
                                    + "flat hands or knee on a board, slowly"
                                : $"A block of wood between door and frame at {lengths.Text(push.AtMm)} from below; "
                                    + $"push the door in at {held}, slowly"
                        )
                            + $", until it stands {lengths.Text(push.PushMm)} from where it was; hold for five seconds, let go slowly. "
                            + (
                                push.SpringBackMm is { } back
                                    ? $"This door springs back by about {lengths.Text(back)}."
                                    : "How far this door springs back is not known yet: the first push teaches it."
                            ),
                        1,
                        "Blocks of wood",
                        "Rule"
                    ) with
                    {
                        People = 2,
                        Cautions = [Cautions.Fingers],
                    }
                );
                break;
        }
        if (plan.Next is not null)
            steps.Add(
                Outside(
                    "door-read",
                    plan.Next == DoorTurn.AsFound ? "Read the gaps" : "Read the gaps again",
                    "Lumps of putty on the seal, top, middle and bottom at least, at the same heights each time; "
                        + "shut the door, measure each lump; write them down as a new round.",
                    plan.ReadAt.Count,
                    "Putty",
                    "Caliper"
                )
            );
        else
        {
            if (door.Dents)
                steps.Add(
                    Outside(
                        "door-strut",
                        "Bond in a strut",
                        "Behind the dented field, from frame to frame, a folded strip of the same metal; elastic adhesive 3 mm thick, no screws "
                            + "through the skin.",
                        1,
                        "Sealant gun"
                    ) with
                    {
                        Consumables = [new Consumable(Materials.PolyurethaneAdhesive, StrutMl)],
                        Cautions = [Cautions.Isocyanates],
                        WaitHours = 24,
                    }
                );
            steps.Add(
                Outside("door-dust", "Shut a strip of paper in", "At every hand's breadth round the seal: it drags everywhere.", 1, "Paper") with
                {
                    Holds = [HoldPoint.Seen("The paper drags all round")],
                }
            );
        }
        return Procedure.Of(plan.Verdict, steps);
    }

    /// <summary>Adhesive for a strut, ml: assumption.</summary>
    private const double StrutMl = 60;
}
