using Abri.Core.Geometry;

namespace Abri.Exchange.Pdf;

/// <summary>Where a drawing came to lie on a page.</summary>
/// <param name="Centre">The place of the drawing in the middle of it.</param>
/// <param name="XMm">Where that lies on the page, mm.</param>
/// <param name="YMm">Where that lies on the page, mm from the top.</param>
/// <param name="Scale">Millimetres of paper for one of the drawing.</param>
internal sealed record Laid(PanelPoint Centre, double XMm, double YMm, double Scale)
{
    /// <summary>Room round a drawing, mm of the drawing.</summary>
    private const double RoundMm = 20;

    /// <summary>Of a place of the drawing on the page, mm.</summary>
    public double X(double mm) => XMm + ((mm - Centre.SMm) * Scale);

    /// <summary>Of a place of the drawing on the page, mm from the top.</summary>
    public double Y(double mm) => YMm - ((mm - Centre.TMm) * Scale);

    /// <summary>Draws as large as the room allows.</summary>
    public static Laid On(Flow flow, Drawing drawing, double highMm)
    {
        flow.Keep(highMm);
        PanelBox box = drawing.Bounds.Grown(RoundMm);
        double scale = Math.Min(flow.Wide / box.WidthMm, highMm / box.HeightMm);
        double high = box.HeightMm * scale;
        var laid = new Laid(box.Centre, Page.MarginMm + (flow.Wide / 2), flow.Y + (high / 2), scale);
        flow.Page.Draw(drawing, box.Centre, laid.XMm, laid.YMm, scale, new PanelBox(Page.MarginMm, Page.MarginMm + flow.Wide, flow.Y, flow.Y + high));
        flow.Y += high + 4;
        return laid;
    }
}
