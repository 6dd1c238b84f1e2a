using Abri.Core.Geometry;
using SkiaSharp;

namespace Abri.Exchange.Pdf;

/// <summary>Words that run down a page and on to the next one.</summary>
/// <param name="document">The document.</param>
/// <param name="widthMm">Width of a page, mm.</param>
/// <param name="heightMm">Height of a page, mm.</param>
/// <param name="foot">Writes at the foot of each page, which it is told with its number; null for nothing.</param>
internal sealed class Flow(SKDocument document, double widthMm, double heightMm, Action<Page, int>? foot = null) : IDisposable
{
    private const double RowSizeMm = 3.4,
        RowMm = 5.4,
        FootMm = 6;

    /// <summary>The page that is written on.</summary>
    public Page Page { get; private set; } = new(document, widthMm, heightMm);

    /// <summary>Its number, from 1.</summary>
    public int Number { get; private set; } = 1;

    /// <summary>Where the next line stands, mm from the top.</summary>
    public double Y { get; set; } = Page.MarginMm + 6;

    /// <summary>Room between the margins, mm.</summary>
    public double Wide => widthMm - (2 * Page.MarginMm);

    public void Dispose() => End();

    /// <summary>A title in as many lines as it needs, and what it belongs to below it.</summary>
    public void Head(string title, string below)
    {
        Paragraph(title, 0, 6.4, true);
        Paragraph(below, 0, 3.4, colour: Page.Soft);
    }

    /// <summary>Goes to a new page where less than this is left, mm.</summary>
    public void Keep(double roomMm)
    {
        if (Y > heightMm - Page.MarginMm - roomMm - (foot is null ? 0 : FootMm))
            Turn();
    }

    /// <summary>Writes a paragraph, line by line and over the page where it must.</summary>
    public void Paragraph(string text, double inMm, double sizeMm, bool strong = false, SKColor? colour = null)
    {
        foreach (string line in Page.Broken(text, Wide - inMm, sizeMm, strong))
        {
            Keep(0);
            Page.Text(line, Page.MarginMm + inMm, Y, sizeMm, strong, colour);
            Y += sizeMm * 1.35;
        }
        Y += 0.6;
    }

    /// <summary>A line of three parts: what it is about, and two things that are said of it.</summary>
    public void Row(string what, string first, string second)
    {
        Keep(0);
        Page.TextWithin(what, Page.MarginMm, Y, (Wide * 0.3) - 2, RowSizeMm, true);
        Page.TextWithin(first, Page.MarginMm + (Wide * 0.3), Y, (Wide * 0.37) - 2, RowSizeMm);
        Page.TextWithin(second, Page.MarginMm + (Wide * 0.67), Y, Wide * 0.33, RowSizeMm);
        Y += RowMm;
    }

    /// <summary>Draws as large as the room allows.</summary>
    public Laid Lay(Drawing drawing, double highMm) => Laid.On(this, drawing, highMm);

    /// <summary>Goes to a new page.</summary>
    public void Turn()
    {
        End();
        Page = new Page(document, widthMm, heightMm);
        Number++;
        Y = Page.MarginMm + 6;
    }

    private void End()
    {
        foot?.Invoke(Page, Number);
        Page.Dispose();
    }
}
