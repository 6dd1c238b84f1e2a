using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings.Rules;

/// <summary>What a sliding door in the same side asks: nothing is cut behind it, and what it passes over on its way stays low.</summary>
/// <remarks>It opens backwards by its own length, or up to where the rail that is drawn on the panel ends. How far it stands off the side is nowhere
/// drawn, so that a place on its way always asks for a reading.</remarks>
internal static class DoorRules
{
    public static IEnumerable<Judgement> Rows(Placed placed, Worksheet sheet)
    {
        foreach (Panel door in placed.Ground.Doors)
        {
            PanelBox shut = door.Box;
            string name = door.Name ?? "Sliding door";
            if (shut.Overlaps(placed.Flange.Grown(PerSide.All(PlacingFigures.EdgeMarginMm - PlacingFigures.HairMm))))
            {
                double off = Math.Max(shut.SMinMm - placed.Flange.SMaxMm, placed.Flange.SMinMm - shut.SMaxMm);
                yield return new Judgement(
                    $"door-{name}",
                    JudgementState.Blocked,
                    $"{name} is here",
                    off,
                    PlacingFigures.EdgeMarginMm,
                    Unit.Mm,
                    "The door is a panel of its own, and its frame and seal lie round it.",
                    "Choose a place on the door's own panel, or one beside it.",
                    [new Mark(shut.Corners, true)]
                );
                continue;
            }
            double travel = sheet.Step($"l_{name}", $"way of {name}", "its own length, or to the end of its rail", Travel(placed, shut), "mm");
            var passed = new PanelBox(shut.SMaxMm, shut.SMaxMm + travel, shut.TMinMm, shut.TMaxMm);
            if (!passed.Overlaps(placed.Flange))
                continue;
            bool lid = placed.Fitting.Sweep is not { FrontMm: 0, RearMm: 0, TopMm: 0, BottomMm: 0 } || placed.Fitting.HingeSide is not null;
            yield return new Judgement(
                $"door-way-{name}",
                JudgementState.NeedsWork,
                $"{name} passes over it",
                passed.SMaxMm - placed.Flange.SMinMm,
                null,
                Unit.Mm,
                $"Open, it reaches {placed.L(passed.SMaxMm - placed.Flange.SMinMm)} past the front of the "
                    + $"flange.{(lid ? " A lid or sash that stands open stops it, or is broken off." : "")}",
                "Open the door and measure between it and the side: the fitting stands lower than that, shut. Or move it "
                    + $"{placed.L(passed.SMaxMm - placed.Flange.SMinMm)} to the rear.",
                [new Mark(passed.Corners, true)]
            );
        }
    }

    private static double Travel(Placed placed, PanelBox shut)
    {
        double[] ends =
        [
            .. placed
                .Ground.Obstacles.Where(o => o.Member.Kind == MemberKind.SlidingDoorRail && o.Box.SMaxMm > shut.SMaxMm)
                .Select(o => o.Box.SMaxMm - shut.SMaxMm),
        ];
        return Math.Min(shut.WidthMm, ends.DefaultIfEmpty(shut.WidthMm).Max());
    }
}
