using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Metal;

/// <summary>Draws a patch in true scale, as seen from outside: where it goes, and the blank to cut.</summary>
public static class PatchDrawing
{
    private const double LabelMm = 3.5,
        CrossMm = 6;

    /// <summary>The hole in the shell, the edge of the patch and its rivets, as a template to lay on the skin.</summary>
    /// <param name="title">What the repair is called.</param>
    /// <param name="facing">Which way its panel looks.</param>
    /// <param name="plan">The patch.</param>
    /// <param name="lengths">How lengths are written on it.</param>
    public static Drawing InPlace(string title, Facing facing, PatchPlan plan, LengthFormat lengths)
    {
        var view = PanelView.Of(facing, ViewedFrom.Outside);
        PanelPoint At(PanelPoint p) => Paper(view, p.Plus(-plan.Centre.SMm, -plan.Centre.TMm));
        List<DrawnLine> lines =
        [
            .. plan.Holes.SelectMany(h => Ring(Layer.HoleInShell, h.Select(At))),
            .. Ring(Layer.Flange, plan.Patch.Select(At)),
            .. plan.Strip.SelectMany(s => Ring(Layer.Inner, s.Select(At))),
            .. Cross(new PanelPoint(0, 0)),
        ];
        DrawnArc[] arcs = [.. Rivets(plan.Rivets?.Places.Select(At) ?? [], plan)];
        PanelBox box = PanelBox.Of(plan.Patch.Select(At));
        var texts = new List<DrawnText>
        {
            new(Layer.Text, box.Centre.SMm, box.TMinMm - 8, LabelMm, $"{title}: hole in the shell, edge of the patch, rivets", true),
        };
        foreach (IReadOnlyList<PanelPoint> hole in plan.Holes)
        {
            PanelBox cut = PanelBox.Of(hole.Select(At));
            texts.Add(
                new DrawnText(
                    Layer.Text,
                    cut.Centre.SMm,
                    cut.Centre.TMm + 3,
                    LabelMm,
                    $"cut {lengths.Number(cut.WidthMm)} x {lengths.Number(cut.HeightMm)}",
                    true
                )
            );
        }
        return new Drawing($"{title}, in place, seen from outside", ViewedFrom.Outside, lines, arcs, texts);
    }

    /// <summary>The blank: its edge, where it is folded, and the holes in it.</summary>
    public static Drawing Blank(string title, Facing facing, PatchPlan plan, LengthFormat lengths)
    {
        var view = PanelView.Of(facing, ViewedFrom.Outside);
        PanelPoint At(PanelPoint p) => Paper(view, p);
        var lines = new List<DrawnLine>(Ring(Layer.Cut, plan.Blank.Outline.Select(At)));
        var texts = new List<DrawnText>();
        foreach (FoldLine fold in plan.Blank.FoldLines)
        {
            (PanelPoint a, PanelPoint b) = (At(fold.From), At(fold.To));
            lines.Add(new DrawnLine(Layer.Fold, a.SMm, a.TMm, b.SMm, b.TMm));
            string order = fold.Order is { } n ? $"{n}: " : "";
            texts.Add(
                new DrawnText(
                    Layer.Text,
                    (a.SMm + b.SMm) / 2,
                    ((a.TMm + b.TMm) / 2) + 1.5,
                    LabelMm,
                    $"{order}{fold.Degrees:0} deg {(fold.Towards == FoldTo.Outside ? "out" : "in")}, R {lengths.Number(fold.RadiusMm)}",
                    true
                )
            );
        }
        DrawnArc[] arcs =
        [
            .. plan.Blank.Reliefs.Select(r => new DrawnArc(Layer.Holes, At(r.Centre).SMm, At(r.Centre).TMm, r.DiameterMm / 2)),
            .. Rivets(plan.BlankHoles.Select(At), plan),
        ];
        PanelBox box = PanelBox.Of(plan.Blank.Outline.Select(At));
        texts.Add(
            new DrawnText(
                Layer.Text,
                box.Centre.SMm,
                box.TMinMm - 8,
                LabelMm,
                $"{title}: blank {lengths.Number(box.WidthMm)} x {lengths.Number(box.HeightMm)}, outside up",
                true
            )
        );
        return new Drawing($"{title}, blank, outside up", ViewedFrom.Outside, lines, arcs, texts);
    }

    private static IEnumerable<DrawnArc> Rivets(IEnumerable<PanelPoint> places, PatchPlan plan) =>
        plan.Rivets is { } rivets ? places.Select(p => new DrawnArc(Layer.Holes, p.SMm, p.TMm, rivets.Rivet.HoleMm / 2)) : [];

    private static PanelPoint Paper(PanelView view, PanelPoint p)
    {
        (double x, double y) = view.ToPaper(p);
        return new PanelPoint(x, y);
    }

    private static IEnumerable<DrawnLine> Ring(Layer layer, IEnumerable<PanelPoint> ring)
    {
        PanelPoint[] points = [.. ring];
        return points
            .Select((p, i) => (From: p, To: points[(i + 1) % points.Length]))
            .Select(l => new DrawnLine(layer, l.From.SMm, l.From.TMm, l.To.SMm, l.To.TMm));
    }

    private static IEnumerable<DrawnLine> Cross(PanelPoint at) =>
        [new(Layer.Datum, at.SMm - CrossMm, at.TMm, at.SMm + CrossMm, at.TMm), new(Layer.Datum, at.SMm, at.TMm - CrossMm, at.SMm, at.TMm + CrossMm)];
}
