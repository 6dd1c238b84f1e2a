using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Work;
using static Abri.Core.Procedures.RepairSteps;

namespace Abri.Core.Procedures;

/// <summary>Writes how an old window comes out.</summary>
/// <remarks>Common practice. The hole stays open at the end: what goes there closes it, and a cover until then.</remarks>
internal static class WindowOutProcedure
{
    /// <summary>Primer a mark, ml: assumption.</summary>
    private const double PrimerMlAMark = 2;

    /// <summary>The procedure.</summary>
    public static Procedure Of(string title, OldWindow window, WindowOutPlan plan, LengthFormat lengths)
    {
        bool glued = window.Held is WindowHeld.Adhesive or WindowHeld.AdhesiveAndClips;
        FatedMark[] left = [.. plan.Marks.Where(m => m.Fate != MarkFate.CutAway)];
        List<WorkStep> steps =
        [
            Step(
                "window-protect",
                "Protect what stays",
                "Wires of a heated pane, aerials and lamps unplugged. Two layers of tape on the paint round it, blankets inside and below.",
                WorkPlace.Outside,
                1,
                "Blankets",
                "Trim lever"
            ) with
            {
                Cautions = [Cautions.WiringBehind],
                Consumables = [new Consumable(Materials.MaskingTape, 2 * plan.EdgeMm)],
            },
            Free(window, plan, lengths) with
            {
                People = 2,
                Cautions = glued ? [Cautions.Glass, Cautions.WiringBehind] : [Cautions.Glass],
            },
            Step(
                "window-lift",
                "Lift it out",
                $"{lengths.Text(plan.EdgeMm)} of edge, {plan.PaneKg:0.#} kg: with suction cups, somebody inside to push and hold, "
                    + "outwards and down onto the blanket. "
                    + "Not in wind, and not while it rains.",
                WorkPlace.Outside,
                1,
                "Suction cups"
            ) with
            {
                People = plan.People,
                Cautions = [Cautions.Glass],
                Weather = Dry with { WindBelowMs = CalmMs },
                Shell = ShellChange.Opens,
            },
        ];
        if (window is { Stuck: true, KeepPane: false })
            steps.Add(
                Step(
                    "window-splinters",
                    "Take up every splinter",
                    "Where the pane had to be broken: vacuum seams, channels, seats and the ground, twice, and look again by a lamp from the side.",
                    WorkPlace.Inside,
                    1,
                    "Vacuum cleaner",
                    "Lamp"
                ) with
                {
                    Cautions = [Cautions.Glass],
                    Holds = [HoldPoint.Seen("No splinters, inside and outside")],
                }
            );
        steps.Add(
            Step(
                "window-clean",
                "Clean the frame",
                glued && window is { SameAdhesive: true, After: AfterWindow.NewWindow }
                    ? "Cut the old adhesive down to a sound bed of 1 to 2 mm, and touch it no more: the same kind sticks to it best. "
                        + "Bright scratches get primer."
                    : "All adhesive and sealant off with plastic blades, then degrease: nothing holds on what stays.",
                WorkPlace.Outside,
                plan.EdgeMm,
                "Plastic scraper",
                "Long blade"
            ) with
            {
                Cautions = [Cautions.Solvents, Cautions.SheetEdges],
                Consumables = [new Consumable(Materials.Degreaser, 50 + (plan.EdgeMm / 20))],
                Holds = [HoldPoint.Seen("Rust under the seal looked for, all round; what was found is written down")],
            }
        );
        if (left.Length > 0)
            steps.Add(
                Step(
                    "window-marks",
                    "Touch up the marks",
                    $"{left.Length} to bare metal and primed, both faces where they can be reached; what lies under the flange is filled flush.",
                    WorkPlace.Outside,
                    left.Length,
                    "Abrasive pad",
                    "Small brush"
                ) with
                {
                    Weather = Dry,
                    Consumables = [new Consumable(Materials.EpoxyPrimer, PrimerMlAMark * left.Length)],
                }
            );
        steps.Add(
            Step(
                "window-cover",
                "Cover the hole",
                $"A sheet of {lengths.Text(plan.CoverWideMm)} by {lengths.Text(plan.CoverHighMm)}, taped first at the lower edge and last at the "
                    + "upper one, so that water runs over every lap; pulled through the doors and tied where wind is expected. "
                    + (window.After == AfterWindow.NewWindow ? "The opening that goes there takes over." : "The patch that goes there takes over."),
                WorkPlace.Outside,
                1
            ) with
            {
                Consumables = [new Consumable(Materials.RoofingTape, 2 * (plan.CoverWideMm + plan.CoverHighMm))],
                // Primer on the marks dries under the cover.
                WaitHours = left.Length > 0 ? Math.Ceiling(TypicalCoats.EpoxyPrimer.RecoatFromHours) : 0,
            }
        );
        return Procedure.Of(title, steps);
    }

    /// <summary>Wind in which a pane is carried, m/s: assumption.</summary>
    private const double CalmMs = 8;

    private static WorkStep Free(OldWindow window, WindowOutPlan plan, LengthFormat lengths)
    {
        string more = window.Stuck ? " It did not move: " + string.Join(" ", plan.WhenStuck) : "";
        string breaks = " Usually breaks: " + string.Join(" ", plan.Breaks);
        return window.Held switch
        {
            WindowHeld.Gasket => Step(
                "window-gasket",
                "Free the gasket",
                "Cut its outer lip all round against the pane, then press the pane out from inside, beginning at an upper corner." + more + breaks,
                WorkPlace.Outside,
                plan.EdgeMm,
                "Hooked blade"
            ),
            WindowHeld.ClampScrews => Step(
                "window-screws",
                "Take out the screws",
                "Somebody holds the frame outside. From inside every screw out, the inner frame off; then cut the sealant under the outer frame "
                    + "with a plastic blade, all round."
                    + more
                    + breaks,
                WorkPlace.Inside,
                plan.EdgeMm,
                "Screwdriver",
                "Plastic scraper"
            ),
            WindowHeld.Adhesive => Step(
                "window-adhesive",
                "Cut the adhesive",
                "Wire through the adhesive at a lower corner, drawn by two people along the pane and never against the sheet; or a long blade, kept "
                    + "wet."
                    + more
                    + breaks,
                WorkPlace.Outside,
                plan.EdgeMm,
                "Cutting wire with handles",
                "Long blade"
            ),
            _ => Step(
                "window-clips",
                "Cut the adhesive, free the clips",
                "Find the clips first, by a thin feeler from inside, and mark each with tape. Cut between them, then lever each one out by itself."
                    + more
                    + breaks,
                WorkPlace.Outside,
                plan.EdgeMm,
                "Feeler",
                "Cutting wire with handles",
                "Trim lever"
            ),
        };
    }

    private static WorkStep Step(string key, string title, string what, WorkPlace place, double amount, params string[] tools) =>
        WorkStep.Of(key, title, what, place, amount, tools);
}
