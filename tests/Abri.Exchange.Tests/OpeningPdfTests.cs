using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Exchange.Pdf;
using CsCheck;

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
        int pages = Poppler.Info(pdf, 1).Pages;
        for (int page = pages - OpeningPdf.TilingOn(paper, Sample.Sheet(ViewedFrom.Outside).Drawing).Tiles.Count + 1; page <= pages; page++)
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
            if (tile.Area.TMinMm > 120 || tile.Area.TMaxMm < 120)
                continue;
            int row = (int)Math.Round((8 + tile.Area.TMaxMm - 120) * 10);
            for (int x = 85; x < width - 85; x++)
            {
                double at = (x / 10.0) - 8 + tile.Area.SMinMm;
                if (Math.Abs(Math.Abs(at) - 200) < 2 && grey[(row * width) + x] is > 60 and < 140)
                    found.Add(at);
            }
        }
        double front = found.Where(x => x < 0).Average(),
            rear = found.Where(x => x > 0).Average();
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

    public static TheoryData<PanelKind, ViewedFrom, Paper, bool> Sheets()
    {
        var sheets = new TheoryData<PanelKind, ViewedFrom, Paper, bool>();
        foreach (PanelKind kind in new[] { PanelKind.Roof, PanelKind.Left, PanelKind.Right, PanelKind.RearLeftDoor, PanelKind.Floor })
        {
            foreach (ViewedFrom view in Enum.GetValues<ViewedFrom>())
            {
                foreach (Paper paper in Enum.GetValues<Paper>())
                    sheets.Add(kind, view, paper, (int)kind % 2 == (int)view);
            }
        }
        return sheets;
    }

    [Theory] // Where words come to lie is asked of poppler's pdftotext: none is off its page, and none over another on the page of figures
    [MemberData(nameof(Sheets))]
    public void Every_word_is_on_the_page_and_none_lies_over_another(PanelKind kind, ViewedFrom view, Paper paper, bool inch)
    {
        OpeningSheet sheet = Sample.Sheet(
            view,
            inch ? new LengthFormat(UnitSystem.Inch) : null,
            kind: kind,
            name: "A vent with a name that is as long as names of openings may be, and still readable",
            vehicle: "The long grey bus that stood behind the barn for eleven years"
        );
        IsReadable(sheet, paper, up: kind is PanelKind.Roof or PanelKind.Floor ? "LEFT" : "UP");
    }

    [Fact] // Random panels, bent or plane, ribs askew, frames and places on them, drawn on three papers; read and rastered by poppler, unrolled here
    [Trait(Long.Name, Long.Value)]
    public void Random_sheets_are_readable_and_their_cut_lines_at_one_to_one() =>
        Gen.Select(
                Gen.Select(
                    Gen.OneOf(Gen.Double[700, 6000], Gen.Const(0.0)),
                    Gen.Enum<ViewedFrom>(),
                    Gen.Enum<Paper>(),
                    Gen.Bool,
                    Gen.OneOf(Gen.Const(PanelKind.Roof), Gen.Const(PanelKind.Left), Gen.Const(PanelKind.RearRightDoor))
                ),
                Gen.Select(
                    Gen.Double[120, 700],
                    Gen.Double[120, 500],
                    Gen.Double[0, 29],
                    Gen.Double[-60, 60],
                    Gen.Double[600, 3400],
                    Gen.Double[-400, 400]
                )
            )
            .Holds(
                (x, y) =>
                {
                    (double radius, ViewedFrom view, Paper paper, bool inch, PanelKind kind) = x;
                    (double width, double height, double corner, double lean, double s, double t) = y;
                    var panel = new Panel(
                        kind,
                        new PanelBox(0, 4200, -850, 850).Corners,
                        0.8,
                        SkinMaterial.MildSteel,
                        null,
                        radius == 0 ? null : radius + 200
                    );
                    LengthFormat? unit = inch ? new LengthFormat(UnitSystem.Inch) : null;
                    OpeningSheet sheet = Sample.Of(
                        panel,
                        new RoundedRectangle(width, height, corner),
                        new PanelPoint(s, t),
                        view,
                        unit,
                        "Vent over the bench by the window",
                        "Heron",
                        lean
                    );
                    byte[] pdf = IsReadable(sheet, paper, up: kind == PanelKind.Roof ? "LEFT" : "UP");
                    // The flat frame set down on the arc: what it is wide through the air, the skin is long along it.
                    double onSkin = radius == 0 ? height : 2 * (radius + 200) * Math.Asin(height / 2 / (radius + 200));
                    // Poppler sets each stroke on whole points of its grid, 0.1 mm.
                    (double level, double upright) = (onSkin / 4, width / 4);
                    Assert.Equal(width, Apart(sheet, paper, pdf, width / 2, level, across: false), 0.3);
                    Assert.Equal(onSkin, Apart(sheet, paper, pdf, onSkin / 2, upright, across: true), 0.3);
                },
                40
            );

    /// <summary>How far apart both lines lie that cross a level of the drawing so far to each side of its centre, read off the pages, mm.</summary>
    private static double Apart(OpeningSheet sheet, Paper paper, byte[] pdf, double expectedMm, double levelMm, bool across)
    {
        Tiling tiling = OpeningPdf.TilingOn(paper, sheet.Drawing);
        int first = Poppler.Sizes(pdf).Count - tiling.Tiles.Count + 1;
        List<double> found = [];
        foreach ((Tile tile, int page) in tiling.Tiles.Select((tile, i) => (tile, first + i)))
        {
            PanelBox area = tile.Area;
            if (across ? area.SMinMm > levelMm || area.SMaxMm < levelMm : area.TMinMm > levelMm || area.TMaxMm < levelMm)
                continue;
            var (width, height, grey) = Poppler.Raster(pdf, page);
            for (double at = -expectedMm - 1; at <= expectedMm + 1; at += 0.02)
            {
                if (Math.Abs(Math.Abs(at) - expectedMm) > 0.6)
                    continue; // the blade's line lies 1 mm inside
                (double onX, double onY) = across ? (levelMm, at) : (at, levelMm);
                if (!(onX >= area.SMinMm && onX <= area.SMaxMm && onY >= area.TMinMm && onY <= area.TMaxMm))
                    continue;
                int column = (int)((8 + onX - area.SMinMm) * 10),
                    row = (int)((8 + area.TMaxMm - onY) * 10);
                if (column < width && row < height && grey[(row * width) + column] is > 60 and < 140)
                    found.Add(at);
            }
        }
        return found.Where(a => a > 0).DefaultIfEmpty(0).Average() - found.Where(a => a < 0).DefaultIfEmpty(0).Average();
    }

    private static byte[] IsReadable(OpeningSheet sheet, Paper paper, string up)
    {
        byte[] pdf = OpeningPdf.Write(sheet, paper);
        int templates = OpeningPdf.TilingOn(paper, sheet.Drawing).Tiles.Count,
            pages = Poppler.Sizes(pdf).Count;
        var words = Poppler.Words(pdf);
        var sizes = Poppler.Sizes(pdf);
        Assert.All(words, w =>
        {
            (double width, double height) = sizes[w.Page - 1];
            Assert.True(
                w.Box is { SMinMm: >= 0, TMinMm: >= 0 } && w.Box.SMaxMm <= width && w.Box.TMaxMm <= height,
                $"{w.Word} on page {w.Page} lies off it: {w.Box}"
            );
        });
        foreach (var page in words.Where(w => w.Page <= pages - templates).GroupBy(w => w.Page))
        {
            var all = page.ToList();
            for (int i = 0; i < all.Count; i++)
            {
                // Boxes hold the room above and below letters too; what overlaps by more than a third of a line is unreadable.
                foreach (var other in all.Skip(i + 1).Where(o => o.Box.Grown(-1).Overlaps(all[i].Box.Grown(-1))))
                    Assert.Fail($"{all[i].Word} and {other.Word} lie over each other on page {page.Key}.");
            }
        }
        Assert.Equal(templates, words.Where(w => w.Page > pages - templates && w.Word == up).Select(w => w.Page).Distinct().Count());
        return pdf;
    }

    [Fact]
    public void A_wall_has_across_and_up_where_a_roof_has_along_and_across()
    {
        string Text(PanelKind kind) =>
            string.Join(" ", Poppler.Words(OpeningPdf.Write(Sample.Sheet(ViewedFrom.Outside, kind: kind), Paper.A4)).Select(w => w.Word));
        Assert.Contains("400 mm along by 400 mm across", Text(PanelKind.Roof));
        Assert.Contains("400 mm across by 400 mm up", Text(PanelKind.Left));
        Assert.DoesNotContain("along by", Text(PanelKind.RearLeftDoor));
    }

    [Theory] // Names as people write them, read back by poppler
    [InlineData("Größe Łódź Žluťoučký Đà Nẵng")]
    [InlineData("Ελλάδα")]
    [InlineData("Київ")]
    [InlineData("屋根の窓")]
    [InlineData("지붕창")]
    [InlineData("½ “q” → ≤ 5°")]
    public void Names_print_in_the_letters_in_which_they_are_written(string name) =>
        Assert.Contains(
            name.Replace(" ", ""),
            Poppler.Text(OpeningPdf.Write(Sample.Sheet(ViewedFrom.Outside, name: name), Paper.A4)).Replace(" ", "")
        );

    [Theory] // A letter without a picture would be drawn as an empty box, number 0 of its typeface
    [InlineData("שלום")]
    [InlineData("سقف")]
    [InlineData("Größe")]
    [InlineData("屋根")]
    public void Each_letter_is_drawn_from_a_typeface_that_has_it(string text) =>
        Assert.All(ShippedFonts.Runs(text, true), run => Assert.DoesNotContain((ushort)0, run.Face.Letters.GetGlyphs(run.Text)));

    [Fact]
    public void An_inch_sheet_has_millimetres_only_beside_its_drills_and_at_its_check_bar()
    {
        string text = string.Join(
            " ",
            Poppler.Words(OpeningPdf.Write(Sample.Sheet(ViewedFrom.Outside, new LengthFormat(UnitSystem.Inch)), Paper.Letter)).Select(w => w.Word)
        );
        Assert.Contains("Start holes 15/32\" (12 mm); 4 through-holes 1/8\" (3 mm)", text);
        Assert.Contains("16 pilot holes 3/32\" (2.5 mm)", text);
        // 1/16 inch is kept all round: 15 3/4 (400) less 1/8.
        Assert.Contains("Keep the blade 1/16\" inside", text);
        Assert.Contains("First cut: 15 5/8\" along by 15 5/8\" across", text);
        string rest = text.Replace("(12 mm)", "").Replace("(3 mm)", "").Replace("(2.5 mm)", "").Replace("Check bar 100 mm", "");
        Assert.DoesNotContain(" mm", rest);
    }

    private static int RunFrom(byte[] grey, int width, int row, int from)
    {
        int best = 0,
            run = 0;
        for (int x = from - 5; x < width; x++)
        {
            run = grey[(row * width) + x] < 90 ? run + 1 : 0;
            best = Math.Max(best, run);
        }
        return best;
    }
}
