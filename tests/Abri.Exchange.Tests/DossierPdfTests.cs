using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Stages;
using Abri.Exchange.Pdf;
using SkiaSharp;

namespace Abri.Exchange.Tests;

/// <summary>The printed dossier, read by poppler-utils, which know nothing of this program.</summary>
public class DossierPdfTests
{
    private static readonly Drawing Square = new(
        "Roof",
        ViewedFrom.Outside,
        [new DrawnLine(Layer.Inner, 0, 0, 1000, 0), new DrawnLine(Layer.Inner, 1000, 0, 1000, 1000), new DrawnLine(Layer.Inner, 1000, 1000, 0, 0)],
        [],
        []
    );

    private static DossierItem Item(string title, int rows = 1, Drawing? picture = null, params Photo[] photos) =>
        new(title, [$"Said of {title}."], [.. Enumerable.Range(1, rows).Select(i => new DossierRow($"Row {i}", "first", "second"))], picture, photos);

    private static byte[] Png()
    {
        using var bitmap = new SKBitmap(60, 40);
        bitmap.Erase(SKColors.Black);
        using SKData data = bitmap.Encode(SKEncodedImageFormat.Png, 90);
        return data.ToArray();
    }

    private static Dossier Long =>
        new(
            "Heron",
            "panel van, 2009",
            new DateOnly(2031, 5, 12),
            [
                new DossierPart("The shell", [Item("Roof", 1, Square), Item("Left side", 1, Square)]),
                new DossierPart("Work as it was done", [Item("Vent", 130)]),
                new DossierPart("Mind", [Item("Gas")]),
            ]
        );

    private static int Pages(byte[] pdf) => Poppler.Info(pdf, 1).Pages;

    [Fact]
    public void Contents_name_the_page_on_which_each_part_begins_and_every_page_its_number()
    {
        byte[] pdf = DossierPdf.Write(Long, _ => null, Paper.A4, CancellationToken.None);
        int pages = Pages(pdf);
        Assert.InRange(pages, 4, 6);
        string[] texts = Poppler.Text(pdf).Split('\f')[..pages];
        for (int p = 1; p <= pages; p++)
            Assert.Contains($"{p} of {pages}", texts[p - 1], StringComparison.Ordinal);
        foreach (DossierPart part in Long.Parts)
        {
            int begins = 2 + Array.FindIndex(texts[1..], t => t.Contains(part.Title, StringComparison.Ordinal));
            string line = texts[0].Split('\n').Single(l => l.Contains(part.Title, StringComparison.Ordinal));
            Assert.EndsWith($" {begins}", line.TrimEnd(), StringComparison.Ordinal);
        }
        // What is long goes on over the page, and nothing of it is lost.
        string all = string.Concat(texts);
        Assert.All(Enumerable.Range(1, 130), i => Assert.Contains($"Row {i} ", all, StringComparison.Ordinal));
        Assert.Contains("Said of Gas.", all, StringComparison.Ordinal);
    }

    [Fact]
    public void Photos_are_printed_and_those_that_are_gone_are_counted()
    {
        byte[] png = Png();
        Photo Named(string sha) => new(sha, "image/png", png.Length, "");
        Dossier With(params string[] shas) => Long with { Parts = [new DossierPart("Repairs", [Item("Sill", 1, null, [.. shas.Select(Named)])])] };
        byte[] printed = DossierPdf.Write(With("here", "here", "gone"), sha => sha == "here" ? png : null, Paper.A4, CancellationToken.None);
        Assert.Contains("1 of 3 photos are not in the data folder.", Poppler.Text(printed), StringComparison.Ordinal);
        (_, _, byte[] grey) = Poppler.Raster(printed, 2);
        (_, _, byte[] without) = Poppler.Raster(DossierPdf.Write(With("gone"), _ => null, Paper.A4, CancellationToken.None), 2);
        // Two pictures of 58.8 by 39.2 mm, as large as 58.8 by 42 lets one of 3 to 2 be, at ten points to the millimetre.
        double black = grey.Count(g => g < 30) - without.Count(g => g < 30);
        Assert.InRange(black / (2 * 588 * 392), 0.95, 1.05);
        // One that cannot be read takes nothing else with it.
        byte[] broken = DossierPdf.Write(With("broken"), _ => [1, 2, 3], Paper.A4, CancellationToken.None);
        Assert.Contains("Said of Sill.", Poppler.Text(broken), StringComparison.Ordinal);
    }

    [Fact]
    public void It_can_be_broken_off() =>
        Assert.Throws<OperationCanceledException>(() => DossierPdf.Write(Long, _ => null, Paper.A4, new CancellationToken(true)));
}
