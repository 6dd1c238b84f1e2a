using Abri.Core.Geometry;
using Abri.Exchange.Pdf;

namespace Abri.Exchange.Tests;

public class OpeningPdfTests
{
    [Theory] // Paper sizes: ISO 216 and ANSI/ASME Y14.1; measured by poppler's pdfinfo
    [InlineData(Paper.A4, 210, 297)]
    [InlineData(Paper.A3, 297, 420)]
    [InlineData(Paper.Letter, 215.9, 279.4)]
    public void Pages_have_the_size_of_the_paper(Paper paper, double widthMm, double heightMm)
    {
        var (pages, width, height) = Poppler.Info(OpeningPdf.Write(Sample.Sheet(ViewedFrom.Outside), paper), 2);
        // Template pages may lie on their side where that saves paper.
        Assert.Equal(widthMm, Math.Min(width, height), 0.2);
        Assert.Equal(heightMm, Math.Max(width, height), 0.2);
        Assert.True(pages >= 3);
    }

    [Theory] // Rastered by poppler at ten points to the millimetre
    [InlineData(Paper.A4)]
    [InlineData(Paper.Letter)]
    public void The_check_bar_on_every_template_page_is_100_mm_long(Paper paper)
    {
        byte[] pdf = OpeningPdf.Write(Sample.Sheet(ViewedFrom.Outside), paper);
        for (int page = 2; page <= Poppler.Info(pdf, 1).Pages; page++)
        {
            var (width, height, grey) = Poppler.Raster(pdf, page);
            // The bar starts at the left margin, in the footer, in black.
            int longest = Enumerable.Range(height - 260, 200).Max(row => RunFrom(grey, width, row, 80));
            Assert.InRange(longest, 998, 1006);
        }
    }

    [Fact] // The cut-out's lines, found again over the pages by their colour, are 400 mm apart at 1:1
    public void The_cut_line_is_drawn_at_one_to_one_across_pages()
    {
        OpeningSheet sheet = Sample.Sheet(ViewedFrom.Inside);
        Tiling tiling = OpeningPdf.TilingOn(Paper.A3, sheet.Drawing);
        byte[] pdf = OpeningPdf.Write(sheet, Paper.A3);
        List<double> found = [];
        for (int i = 0; i < tiling.Tiles.Count; i++)
        {
            Tile tile = tiling.Tiles[i];
            var (width, _, grey) = Poppler.Raster(pdf, i + 2);
            // Look along a level 120 mm above the centre, away from centre lines and corners.
            if (tile.Area.TMinMm > 120 || tile.Area.TMaxMm < 120) continue;
            int row = (int)Math.Round((8 + tile.Area.TMaxMm - 120) * 10);
            for (int x = 85; x < width - 85; x++)
            {
                double at = (x / 10.0) - 8 + tile.Area.SMinMm;
                if (Math.Abs(Math.Abs(at) - 200) < 2 && grey[(row * width) + x] is > 60 and < 140) found.Add(at);
            }
        }
        double front = found.Where(x => x < 0).Average(), rear = found.Where(x => x > 0).Average();
        Assert.Equal(400, rear - front, 0.15);
    }

    [Fact]
    public void The_page_of_figures_tells_datum_setting_and_diagonals_in_the_vehicle_s_unit()
    {
        string text = Poppler.Text(OpeningPdf.Write(Sample.Sheet(ViewedFrom.Inside), Paper.A4));
        Assert.Contains("75.7 mm", text); // 72.5 + 3.175
        Assert.Contains("565.7 mm", text); // 400 sqrt 2
        Assert.Contains("FRONT", text);
        string inches = Poppler.Text(OpeningPdf.Write(Sample.Sheet(ViewedFrom.Inside, new LengthFormat(UnitSystem.Inch)), Paper.Letter));
        Assert.Contains("2 7/8\"", inches);
        Assert.Contains("4 inches", inches);
    }

    private static int RunFrom(byte[] grey, int width, int row, int from)
    {
        int best = 0, run = 0;
        for (int x = from - 5; x < width; x++)
        {
            run = grey[(row * width) + x] < 90 ? run + 1 : 0;
            best = Math.Max(best, run);
        }
        return best;
    }
}
