using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>
/// Draws an opening's setting-out in true scale, as a template to lay on the metal: origin at the centre of the cut-out, X right, Y up,
/// as seen by the person who holds it.
/// </summary>
public static class OpeningDrawing
{
    /// <summary>Datum edges nearer than this to the cut line are drawn, so that the template can be laid against them, mm.</summary>
    private const double DatumWithinMm = 150;

    private const double CrossMm = 6;

    /// <summary>Draws the template.</summary>
    /// <param name="title">What the opening is called.</param>
    /// <param name="facing">Which way the panel that is marked faces.</param>
    /// <param name="fitting">The fitting, turned as it is placed.</param>
    /// <param name="sheet">The setting-out.</param>
    public static Drawing Of(string title, Facing facing, Fitting fitting, SettingOutSheet sheet)
    {
        var view = PanelView.Of(facing, sheet.View);
        (double X, double Y) At(PanelPoint p) => view.ToPaper(p.Plus(-sheet.Centre.SMm, -sheet.Centre.TMm));
        var lines = new List<DrawnLine>();
        var arcs = new List<DrawnArc>();

        Rounded(Layer.Cut, sheet.CutOut, lines, arcs);
        Rounded(Layer.Path, sheet.CutPath.Path, lines, arcs);
        Rounded(Layer.Flange, fitting.Flange, lines, arcs);
        if (fitting.Halves?.InnerFrame is { } inner) Rounded(Layer.Inner, inner, lines, arcs);
        foreach (RibTrim trim in sheet.Trims)
        {
            ((double x1, double y1), (double x2, double y2)) = (At(trim.From), At(trim.To));
            lines.Add(new DrawnLine(Layer.Trim, x1, y1, x2, y2));
        }
        foreach (DrilledHole hole in sheet.StartHoles.Concat(sheet.ThroughHoles).Concat(sheet.ScrewHoles))
        {
            (double x, double y) = At(hole.Centre);
            arcs.Add(new DrawnArc(Layer.Holes, x, y, hole.DiameterMm / 2));
        }
        foreach (DrilledHole hole in sheet.ThroughHoles) Cross(At(hole.Centre), lines);

        double reachX = fitting.Flange.WidthMm / 2, reachY = fitting.Flange.HeightMm / 2;
        lines.Add(new DrawnLine(Layer.Datum, -reachX, 0, reachX, 0));
        lines.Add(new DrawnLine(Layer.Datum, 0, -reachY, 0, reachY));
        var texts = new List<DrawnText> { new(Layer.Text, 0, -14, 5, title, true), new(Layer.Text, 0, 8, 3.5, $"{sheet.CutOut.WidthMm:0.#} x {sheet.CutOut.HeightMm:0.#} mm, r {sheet.CutOut.CornerRadiusMm:0.#}", true) };
        texts.AddRange(sheet.Trims.Select(trim => (Trim: trim, At: At(trim.From))).Select(t => new DrawnText(Layer.Text, t.At.X, t.At.Y + 2, 3, $"cut {t.Trim.Rib} back here")));
        foreach (CutLine line in sheet.CutLines.Where(l => Math.Max(l.TapeFromMm, l.TapeToMm) <= DatumWithinMm))
        {
            ((double x1, double y1), (double x2, double y2)) = (At(line.DatumFrom), At(line.DatumTo));
            lines.Add(new DrawnLine(Layer.Datum, x1, y1, x2, y2));
            texts.Add(new DrawnText(Layer.Text, x1 > 0 ? x1 - 14 : x1 + 2, Math.Min(y1, y2) + 2, 3, line.Datum));
        }
        return new Drawing($"{title}, seen from {(sheet.View == ViewedFrom.Outside ? "outside" : "inside")}", sheet.View, lines, arcs, texts);
    }

    private static void Rounded(Layer layer, RoundedRectangle shape, List<DrawnLine> lines, List<DrawnArc> arcs)
    {
        double r = shape.CornerRadiusMm, x = shape.WidthMm / 2, y = shape.HeightMm / 2;
        if (x > r)
        {
            lines.Add(new DrawnLine(layer, -x + r, y, x - r, y));
            lines.Add(new DrawnLine(layer, -x + r, -y, x - r, -y));
        }
        if (y > r)
        {
            lines.Add(new DrawnLine(layer, -x, -y + r, -x, y - r));
            lines.Add(new DrawnLine(layer, x, -y + r, x, y - r));
        }
        if (r == 0) return;
        arcs.Add(new DrawnArc(layer, x - r, y - r, r, 0, 90));
        arcs.Add(new DrawnArc(layer, -x + r, y - r, r, 90, 180));
        arcs.Add(new DrawnArc(layer, -x + r, -y + r, r, 180, 270));
        arcs.Add(new DrawnArc(layer, x - r, -y + r, r, 270, 360));
    }

    private static void Cross((double X, double Y) at, List<DrawnLine> lines)
    {
        lines.Add(new DrawnLine(Layer.Holes, at.X - CrossMm, at.Y, at.X + CrossMm, at.Y));
        lines.Add(new DrawnLine(Layer.Holes, at.X, at.Y - CrossMm, at.X, at.Y + CrossMm));
    }
}
