using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>
/// Draws an opening's setting-out in true scale, as a template to lay on the metal: origin at the centre of the cut-out, X right, Y up,
/// as seen by the person who holds it. The template lies on the skin: on a curved one it is drawn developed, so that every length on it is what a
/// tape reads there.
/// </summary>
public static class OpeningDrawing
{
    /// <summary>Datum edges nearer than this to the cut line are drawn, so that the template can be laid against them, mm.</summary>
    private const double DatumWithinMm = 150;

    private const double CrossMm = 6;

    /// <summary>Draws the template.</summary>
    /// <param name="title">What the opening is called.</param>
    /// <param name="panel">The panel that is marked.</param>
    /// <param name="fitting">The fitting, turned as it is placed.</param>
    /// <param name="sheet">The setting-out.</param>
    /// <param name="lengths">How lengths are written on it.</param>
    public static Result<Drawing> Of(string title, Panel panel, Fitting fitting, SettingOutSheet sheet, LengthFormat lengths)
    {
        if (!FrameOnSkin.Of(panel, sheet.Centre, fitting.Flange).IsOk(out FrameOnSkin? skin, out Problem? problem))
            return problem;
        var view = PanelView.Of(panel.Facing, sheet.View);
        (double X, double Y) At(PanelPoint p) => view.ToPaper(skin.Developed(p));
        var outlines = new DevelopedOutline(skin, view);
        var lines = new List<DrawnLine>();
        var arcs = new List<DrawnArc>();

        outlines.Draw(Layer.Cut, sheet.CutOut, lines, arcs);
        outlines.Draw(Layer.Path, sheet.CutPath.Path, lines, arcs);
        outlines.Draw(Layer.Flange, fitting.Flange, lines, arcs);
        if (fitting.Halves?.InnerFrame is { } inner)
            outlines.Draw(Layer.Inner, inner, lines, arcs);
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
        foreach (DrilledHole hole in sheet.ThroughHoles)
            Cross(At(hole.Centre), lines);

        double reachX = fitting.Flange.WidthMm / 2,
            reachY = fitting.Flange.HeightMm / 2;
        lines.Add(new DrawnLine(Layer.Datum, -reachX, 0, reachX, 0));
        lines.Add(new DrawnLine(Layer.Datum, 0, -reachY, 0, reachY));
        var texts = new List<DrawnText>
        {
            new(Layer.Text, 0, -14, 5, title, true),
            new(
                Layer.Text,
                0,
                8,
                3.5,
                $"{lengths.Text(sheet.CutOut.WidthMm)} x {lengths.Text(sheet.CutOut.HeightMm)}, r {lengths.Text(sheet.CutOut.CornerRadiusMm)}",
                true
            ),
        };
        texts.AddRange(
            sheet
                .Trims.Select(trim => (Trim: trim, At: At(trim.From)))
                .Select(t => new DrawnText(Layer.Text, t.At.X, t.At.Y + 2, 3, $"cut {t.Trim.Rib} back here"))
        );
        foreach (CutLine line in sheet.CutLines.Where(l => Math.Max(l.TapeFromMm, l.TapeToMm) <= DatumWithinMm))
        {
            ((double x1, double y1), (double x2, double y2)) = (At(line.DatumFrom), At(line.DatumTo));
            lines.Add(new DrawnLine(Layer.Datum, x1, y1, x2, y2));
            texts.Add(
                line.Side is Side.Front or Side.Rear
                    // Below the foot of an upright edge, so that its line does not run through the words.
                    ? new DrawnText(Layer.Text, x1, Math.Min(y1, y2) - 5, 3, line.Datum, true)
                    : new DrawnText(Layer.Text, Math.Min(x1, x2) + 2, Math.Max(y1, y2) + 2, 3, line.Datum)
            );
        }
        return new Drawing($"{title}, seen from {(sheet.View == ViewedFrom.Outside ? "outside" : "inside")}", sheet.View, lines, arcs, texts);
    }

    private static void Cross((double X, double Y) at, List<DrawnLine> lines)
    {
        lines.Add(new DrawnLine(Layer.Holes, at.X - CrossMm, at.Y, at.X + CrossMm, at.Y));
        lines.Add(new DrawnLine(Layer.Holes, at.X, at.Y - CrossMm, at.X, at.Y + CrossMm));
    }
}
