using Abri.Core.Geometry;

namespace Abri.Core.Floor;

/// <summary>Draws a sheet with the pieces that are cut from it, its length to the right.</summary>
public static class CutSheetDrawing
{
    /// <summary>Height of the letters, mm on the sheet.</summary>
    private const double LetterMm = 40;

    /// <summary>The sheet with its pieces, numbered as in the list, and its cuts.</summary>
    /// <param name="title">What it is.</param>
    /// <param name="stock">Its size.</param>
    /// <param name="sheet">What is cut from it.</param>
    public static Drawing Of(string title, CutStock stock, CutSheet sheet) =>
        new(
            title,
            ViewedFrom.Outside,
            [
                .. Box(Layer.Inner, 0, 0, stock.LengthMm, stock.WidthMm),
                .. sheet.Places.SelectMany(p => Box(Layer.Cut, p.AlongMm, p.AcrossMm, p.LengthMm, p.WidthMm)),
                .. sheet.Cuts.Select(c => new DrawnLine(
                    Layer.Path,
                    c.AlongMm,
                    c.AcrossMm,
                    c.AlongMm + (c.IsRip ? c.LengthMm : 0),
                    c.AcrossMm + (c.IsRip ? 0 : c.LengthMm)
                )),
            ],
            [],
            [
                .. sheet.Places.Select(
                    (p, i) =>
                        new DrawnText(
                            Layer.Text,
                            p.AlongMm + (p.LengthMm / 2),
                            p.AcrossMm + (p.WidthMm / 2) - (LetterMm / 2),
                            LetterMm,
                            $"{i + 1}",
                            true
                        )
                ),
            ]
        );

    private static IEnumerable<DrawnLine> Box(Layer layer, double along, double across, double length, double width)
    {
        PanelPoint[] corners = new PanelBox(along, along + length, across, across + width).Corners;
        return corners.Zip([.. corners.Skip(1), corners[0]], (a, b) => new DrawnLine(layer, a.SMm, a.TMm, b.SMm, b.TMm));
    }
}
