using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Procedures;
using Abri.Core.Work;
using CsCheck;

namespace Abri.Core.Tests.Metal;

/// <summary>Old windows that come out, and the marks that they leave.</summary>
public class WindowOutTests
{
    private static readonly PanelBox Pane = new(500, 1700, 400, 1000);

    private static OldWindow Window(WindowHeld held, params DigMark[] marks) => new(held, 4, false, false, AfterWindow.NewWindow, true, marks);

    private static WindowSite Site(PanelBox? cut = null, PanelBox? flange = null) =>
        new(Pane.Corners, cut is { } c ? [c.Corners] : [], flange is { } f ? [f.Corners] : []);

    private static WindowOutPlan Planned(OldWindow window, WindowSite site) => WindowOut.Of(window, site, LengthFormat.Millimetres).Value!.Result;

    private static IReadOnlyList<WorkStep> Steps(OldWindow window) =>
        WindowOutProcedure.Of("Out", window, Planned(window, Site()), LengthFormat.Millimetres).Steps;

    [Fact] // By hand: 1.2 x 0.6 m2 of 4 mm at 2.5 kg per m2 and mm
    public void A_pane_of_1200_by_600_weighs_7_2_kg_and_takes_two_to_lift()
    {
        WindowOutPlan plan = Planned(Window(WindowHeld.Adhesive), Site());
        Assert.Equal((3600, 7.2, 2), (plan.EdgeMm, Math.Round(plan.PaneKg, 9), plan.People));
        Assert.Equal((1400, 800), (plan.CoverWideMm, plan.CoverHighMm));
        // 1.6 x 1.5 m2 of 6 mm are 36 kg: three people.
        var large = new WindowSite(new PanelBox(0, 1600, 0, 1500).Corners, [], []);
        Assert.Equal(3, Planned(Window(WindowHeld.Gasket) with { GlassMm = 6 }, large).People);
    }

    [Fact] // A round mark lies in a rectangle where its middle does, by its radius within every side
    public void A_mark_is_gone_only_where_all_of_it_is_cut_away()
    {
        PanelBox cut = new(600, 1600, 450, 950),
            flange = new(550, 1650, 400, 1000);
        Gen.Select(Gen.Double[450, 1750], Gen.Double[350, 1050], Gen.Double[1, 80])
            .Holds(
                (s, t, across) =>
                {
                    bool Lies(PanelBox box, double by) =>
                        s - by >= box.SMinMm && s + by <= box.SMaxMm && t - by >= box.TMinMm && t + by <= box.TMaxMm;
                    MarkFate Wanted(double by) =>
                        Lies(cut, by) ? MarkFate.CutAway
                        : Lies(flange, by) ? MarkFate.UnderFlange
                        : MarkFate.Shows;
                    // A hair's breadth from a side a polygon may say either.
                    if (Wanted((across / 2) - 0.05) != Wanted((across / 2) + 0.05))
                        return;
                    FatedMark mark = Assert.Single(Planned(Window(WindowHeld.Adhesive, new DigMark(new(s, t), across)), Site(cut, flange)).Marks);
                    Assert.Equal(Wanted(across / 2), mark.Fate);
                }
            );
        WindowOutPlan plan = Planned(
            Window(WindowHeld.Adhesive, new(new(1000, 700), 10), new(new(570, 700), 10), new(new(520, 700), 10), new(new(600, 700), 10)),
            Site(cut, flange)
        );
        Assert.Equal([MarkFate.CutAway, MarkFate.UnderFlange, MarkFate.Shows, MarkFate.UnderFlange], plan.Marks.Select(m => m.Fate));
        Assert.Equal(["window-marks-cut", "window-marks-flange", "window-marks-show"], plan.Rows.Select(r => r.Id));
        Assert.Equal([1, 2, 1], plan.Rows.Select(r => r.Measured));
        Assert.EndsWith("3 of 4 marks stay: treat them first.", plan.Verdict);
    }

    [Fact]
    public void What_holds_it_decides_how_it_comes_out()
    {
        string[] Keys(OldWindow window) => [.. Steps(window).Select(s => s.Key)];
        Assert.Equal(["window-protect", "window-gasket", "window-lift", "window-clean", "window-cover"], Keys(Window(WindowHeld.Gasket)));
        Assert.Equal("window-screws", Keys(Window(WindowHeld.ClampScrews))[1]);
        Assert.Equal("window-adhesive", Keys(Window(WindowHeld.Adhesive))[1]);
        Assert.Equal("window-clips", Keys(Window(WindowHeld.AdhesiveAndClips))[1]);
        Assert.Contains("window-marks", Keys(Window(WindowHeld.Gasket, new DigMark(new(0, 0), 5))));
        Assert.All(Steps(Window(WindowHeld.Gasket)).Where(s => s.Cautions.Contains(Cautions.Glass)), s => Assert.True(s.People >= 2));
        // The primer on marks dries under the cover, not in the rain.
        WorkStep[] marked = [.. Steps(Window(WindowHeld.Gasket, new DigMark(new(0, 0), 5)))];
        Assert.Equal(0, marked.Single(s => s.Key == "window-marks").WaitHours);
        Assert.True(marked[^1].WaitHours > 0, "The primer has no time to dry.");
        // The hole opens when the pane is lifted out, and what goes there closes it, not the cover.
        WorkStep[] steps = [.. Steps(Window(WindowHeld.Adhesive))];
        Assert.Equal(ShellChange.Opens, steps.Single(s => s.Key == "window-lift").Shell);
        Assert.DoesNotContain(steps, s => s.Shell == ShellChange.Closes);
        Assert.Contains("1400 mm by 800 mm", steps[^1].Do);
        Assert.Contains("sound bed of 1 to 2 mm", steps.Single(s => s.Key == "window-clean").Do);
        Assert.Contains("All adhesive", Steps(Window(WindowHeld.Adhesive) with { SameAdhesive = false }).Single(s => s.Key == "window-clean").Do);
    }

    [Fact]
    public void A_pane_that_must_survive_is_never_broken_out()
    {
        OldWindow stuck = Window(WindowHeld.Adhesive) with { Stuck = true };
        Assert.Contains(Planned(stuck, Site()).WhenStuck, w => w.Contains("break it outwards", StringComparison.Ordinal));
        Assert.Equal(120, Steps(stuck).Single(s => s.Key == "window-splinters").Minutes.Likely);
        OldWindow kept = stuck with { KeepPane = true };
        Assert.DoesNotContain(Planned(kept, Site()).WhenStuck, w => w.Contains("break it", StringComparison.Ordinal));
        Assert.DoesNotContain(Steps(kept), s => s.Key == "window-splinters");
        Assert.Contains(Planned(stuck with { After = AfterWindow.Patch }, Site()).Rows, r => r.Id == "window-patch");
    }

    [Fact]
    public void Outlines_that_cross_and_cut_outs_without_a_flange_are_told()
    {
        PanelPoint[] crossed = [new(0, 0), new(100, 100), new(100, 0), new(0, 100)];
        string Pointer(WindowSite site) => WindowOut.Of(Window(WindowHeld.Gasket), site, LengthFormat.Millimetres).Problem!.Pointer;
        Assert.Equal("/site/outline", Pointer(new WindowSite(crossed, [], [])));
        Assert.Equal("/site/flanges", Pointer(new WindowSite(Pane.Corners, [Pane.Corners], [])));
        Assert.Equal("/site/cuts/0", Pointer(new WindowSite(Pane.Corners, [crossed], [Pane.Corners])));
    }
}
