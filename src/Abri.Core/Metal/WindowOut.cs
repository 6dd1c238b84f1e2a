using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Work;

namespace Abri.Core.Metal;

/// <summary>By what an old window is held.</summary>
public enum WindowHeld
{
    /// <summary>A rubber gasket round the sheet.</summary>
    Gasket,

    /// <summary>Screws that clamp an inner frame against the outer one.</summary>
    ClampScrews,

    /// <summary>Adhesive.</summary>
    Adhesive,

    /// <summary>Adhesive, and clips that nobody sees.</summary>
    AdhesiveAndClips,
}

/// <summary>What comes where an old window was.</summary>
public enum AfterWindow
{
    /// <summary>A new window.</summary>
    NewWindow,

    /// <summary>A patch over the hole.</summary>
    Patch,
}

/// <summary>A dig or scratch that taking a window out left, or that was there.</summary>
/// <param name="At">Where.</param>
/// <param name="AcrossMm">How wide it is, mm.</param>
public sealed record DigMark(PanelPoint At, [Within(0.5, 300, "The mark", "mm")] double AcrossMm);

/// <summary>An old window that comes out. Its outline is that of the repair.</summary>
/// <param name="Held">By what it is held.</param>
/// <param name="GlassMm">Thickness of the pane, mm.</param>
/// <param name="KeepPane">Whether the pane has to survive.</param>
/// <param name="Stuck">Whether it did not move at the first try.</param>
/// <param name="After">What comes there.</param>
/// <param name="SameAdhesive">Whether the same kind of adhesive goes on again.</param>
/// <param name="Marks">Digs and scratches round it.</param>
public sealed record OldWindow(
    WindowHeld Held,
    [Within(2, 12, "The pane", "mm")] double GlassMm,
    bool KeepPane,
    bool Stuck,
    AfterWindow After,
    bool SameAdhesive,
    [Count(0, 50, "At most 50 marks.")] IReadOnlyList<DigMark> Marks
);

/// <summary>What becomes of a mark.</summary>
public enum MarkFate
{
    /// <summary>The new cut-out swallows all of it.</summary>
    CutAway,

    /// <summary>The new flange covers all of it.</summary>
    UnderFlange,

    /// <summary>It stays to be seen, all or in part.</summary>
    Shows,
}

/// <summary>A mark with what becomes of it.</summary>
/// <param name="Mark">The mark.</param>
/// <param name="Fate">What becomes of it.</param>
public sealed record FatedMark(DigMark Mark, MarkFate Fate);

/// <summary>How an old window comes out.</summary>
/// <param name="EdgeMm">Length of its edge, mm.</param>
/// <param name="PaneKg">Mass of the pane, kg.</param>
/// <param name="People">How many people lift it.</param>
/// <param name="CoverWideMm">Width of the cover for the open hole, mm.</param>
/// <param name="CoverHighMm">Height of the cover, mm.</param>
/// <param name="Breaks">What breaks as a rule.</param>
/// <param name="WhenStuck">What is tried when it does not move, in order.</param>
/// <param name="Marks">The marks with what becomes of them.</param>
/// <param name="Rows">The rules.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record WindowOutPlan(
    double EdgeMm,
    double PaneKg,
    int People,
    double CoverWideMm,
    double CoverHighMm,
    IReadOnlyList<string> Breaks,
    IReadOnlyList<string> WhenStuck,
    IReadOnlyList<FatedMark> Marks,
    IReadOnlyList<Judgement> Rows,
    string Verdict
);

/// <summary>Where an old window sits, and what is planned there.</summary>
/// <param name="Outline">Outline of the old window, mm on the panel.</param>
/// <param name="Cuts">Cut-outs that are planned on the panel.</param>
/// <param name="Flanges">Their flanges, in the same order.</param>
public sealed record WindowSite(
    [Count(3, Limits.MostPoints, "A window has 3 to 500 corners.")] IReadOnlyList<PanelPoint> Outline,
    [Count(0, 100, "A panel has at most 100 openings.")] IReadOnlyList<IReadOnlyList<PanelPoint>> Cuts,
    [Count(0, 100, "A panel has at most 100 openings.")] IReadOnlyList<IReadOnlyList<PanelPoint>> Flanges
);

/// <summary>Says how an old window comes out, and what becomes of the marks that are left.</summary>
/// <remarks>
/// Glass weighs 2.5 kg per m2 and mm of thickness (EN 572-1, from memory). Two people at least, one inside; 15 kg each: assumption.
/// The cover laps the hole by 100 mm on each side: common practice. A mark is gone only where all of it lies in the new hole.
/// </remarks>
/// <example>Pane of 1200 by 600 by 4: 7.2 kg, two people; cover of 1400 by 800.</example>
public static class WindowOut
{
    /// <summary>Mass of glass, kg per m2 and mm: density of 2500 kg/m3, EN 572-1.</summary>
    public const double GlassKgPerM2Mm = 2.5;

    /// <summary>What each person lifts, kg: assumption.</summary>
    public const double EachKg = 15;

    /// <summary>Lap of the cover on each side, mm: common practice.</summary>
    public const double CoverLapMm = 100;

    /// <summary>Sides of the polygon that a round mark is taken for, a quarter.</summary>
    private const int QuarterSides = 8;

    /// <summary>The plan.</summary>
    /// <param name="window">The window.</param>
    /// <param name="site">Where it sits.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<WindowOutPlan>> Of(OldWindow window, WindowSite site, LengthFormat lengths)
    {
        if (Outlines.Check(site.Outline, "/site/outline") is { } crossed)
            return crossed;
        if (site.Cuts.Count != site.Flanges.Count)
            return new Problem("flange-missing", "/site/flanges", "Each cut-out has a flange: the two lists are of one length.");
        for (int i = 0; i < site.Cuts.Count; i++)
        {
            if ((Outlines.Check(site.Cuts[i], $"/site/cuts/{i}") ?? Outlines.Check(site.Flanges[i], $"/site/flanges/{i}")) is { } wrong)
                return wrong;
        }
        var sheet = new Worksheet();
        PanelBox box = PanelBox.Of(site.Outline);
        double edge = sheet.Step("L", "edge", "sum of its sides", Outlines.LengthMm([.. site.Outline, site.Outline[0]]), "mm"),
            area = Math.Abs(Outlines.SignedAreaMm2(site.Outline)) / 1e6,
            kg = sheet.Step("m", "pane", $"{GlassKgPerM2Mm} A t", GlassKgPerM2Mm * area * window.GlassMm, "kg");
        int people = Math.Max(2, (int)Math.Ceiling(kg / EachKg));
        (double wide, double high) = (box.WidthMm + (2 * CoverLapMm), box.HeightMm + (2 * CoverLapMm));
        sheet.Cite(new Source("EN 572-1: glass of 2500 kg/m3", SourceKind.FromMemory));
        sheet.Cite(
            new Source(
                "Ways out by how a window is held; a cover that laps by 100 mm; adhesive left as a bed of 1 to 2 mm",
                SourceKind.CommonPractice
            )
        );
        sheet.Cite(new Source("Two people at least, 15 kg each", SourceKind.Assumption));
        FatedMark[] marks = [.. window.Marks.Select(m => new FatedMark(m, Fate(m, site)))];
        Judgement[] rows = [.. Rows(window, marks)];
        int show = marks.Count(m => m.Fate != MarkFate.CutAway);
        string verdict =
            $"{Way(window.Held)}: {lengths.Text(edge)} of edge, {kg:0.#} kg, {people} people."
            + (show > 0 ? $" {show} of {marks.Length} marks {(show == 1 ? "stays" : "stay")}: treat {(show == 1 ? "it" : "them")} first." : "");
        return sheet.Finish(new WindowOutPlan(edge, kg, people, wide, high, Breaks(window.Held), Stuck(window), marks, rows, verdict));
    }

    private static MarkFate Fate(DigMark mark, WindowSite site)
    {
        NetTopologySuite.Geometries.Geometry round = Plane.Line([mark.At, mark.At]).Buffer(mark.AcrossMm / 2, QuarterSides);
        return site.Cuts.Any(c => Plane.Polygon(c).Covers(round)) ? MarkFate.CutAway
            : site.Flanges.Any(f => Plane.Polygon(f).Covers(round)) ? MarkFate.UnderFlange
            : MarkFate.Shows;
    }

    private static string Way(WindowHeld held) =>
        held switch
        {
            WindowHeld.Gasket => "Cut the gasket's outer lip and press the pane out",
            WindowHeld.ClampScrews => "Take out the screws inside and lift the outer frame off",
            WindowHeld.Adhesive => "Cut the adhesive with wire or a long blade",
            _ => "Cut the adhesive, then free the clips one by one",
        };

    private static string[] Breaks(WindowHeld held) =>
        held switch
        {
            WindowHeld.Gasket => ["The gasket, always: have a new one.", "Toughened panes, at a knock on the edge."],
            WindowHeld.ClampScrews => ["Rusted screws.", "The paint under the frame, where it was sealed with silicone."],
            WindowHeld.Adhesive => ["Paint, where the blade slips.", "Laminated panes, at every bend."],
            _ => ["One clip in three.", "Paint, where the blade slips.", "Laminated panes, at every bend."],
        };

    private static string[] Stuck(OldWindow window)
    {
        string[] first = window.Held switch
        {
            WindowHeld.Gasket => ["Cut the inner lip too.", "Soapy water between rubber and sheet, and press from one corner."],
            WindowHeld.ClampScrews => ["Oil, wait an hour, and an impact driver.", "Drill the heads off, no deeper."],
            _ => ["Cut deeper, from inside as well.", "A longer blade, kept wet.", "A knotted wire, drawn by two people to and fro."],
        };
        return window.KeepPane
            ? first
            : [.. first, "Tape all of the pane over, break it outwards behind a blanket, and count two hours for taking up every splinter."];
    }

    private static IEnumerable<Judgement> Rows(OldWindow window, FatedMark[] marks)
    {
        if (window.After == AfterWindow.Patch)
            yield return new Judgement(
                "window-patch",
                JudgementState.NeedsWork,
                "patch over the hole",
                null,
                null,
                Unit.Mm,
                "The hole stays open until then.",
                "Plan a patch here, with a flange at its upper edge that goes up behind the skin.",
                []
            );
        foreach (IGrouping<MarkFate, FatedMark> fate in marks.GroupBy(m => m.Fate).OrderBy(g => g.Key))
        {
            (JudgementState state, string title, string why, string? remedy) = fate.Key switch
            {
                MarkFate.CutAway => (JudgementState.Good, "marks that are cut away", "The new hole swallows them.", (string?)null),
                MarkFate.UnderFlange => (
                    JudgementState.NeedsWork,
                    "marks under the flange",
                    "They rust out of sight, and water follows a groove under the seal.",
                    "To bare metal, primer, and filled flush before the flange is bedded."
                ),
                _ => (
                    JudgementState.NeedsWork,
                    "marks that show",
                    "The new window does not cover them.",
                    "To bare metal, primer and colour; or move the new opening until its flange covers them."
                ),
            };
            yield return new Judgement(
                "window-marks-"
                    + (
                        fate.Key == MarkFate.CutAway ? "cut"
                        : fate.Key == MarkFate.UnderFlange ? "flange"
                        : "show"
                    ),
                state,
                title,
                fate.Count(),
                fate.Key == MarkFate.CutAway ? null : 0,
                Unit.Count,
                why,
                remedy,
                [.. fate.Select(m => new Mark(PanelBox.Around(m.Mark.At, m.Mark.AcrossMm, m.Mark.AcrossMm).Corners, true))]
            );
        }
    }
}
