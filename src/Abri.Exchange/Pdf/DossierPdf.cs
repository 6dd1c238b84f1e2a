using System.Globalization;
using Abri.Core.Stages;
using SkiaSharp;

namespace Abri.Exchange.Pdf;

/// <summary>Prints the dossier of a vehicle: a page of contents, then part by part with drawings and photos, each page numbered.</summary>
public static class DossierPdf
{
    private const double SizeMm = 3.4,
        PictureMm = 58,
        PhotoMm = 42,
        PartMm = 60,
        PhotoGapMm = 3;

    /// <summary>The document.</summary>
    /// <param name="dossier">The dossier.</param>
    /// <param name="photo">Gives the bytes of a photo by its hash; null where they are not there.</param>
    /// <param name="paper">The paper.</param>
    /// <param name="stop">Breaks it off.</param>
    public static byte[] Write(Dossier dossier, Func<string, byte[]?> photo, Paper paper, CancellationToken stop)
    {
        // Laid out once to learn on which page each part begins, and how many there are.
        (int[] begins, int pages) = Lay(Stream.Null, dossier, photo, paper, new int[dossier.Parts.Count], 0, stop);
        using var bytes = new MemoryStream();
        Lay(bytes, dossier, photo, paper, begins, pages, stop);
        return bytes.ToArray();
    }

    private static (int[] Begins, int Pages) Lay(
        Stream to,
        Dossier dossier,
        Func<string, byte[]?> photo,
        Paper paper,
        int[] begins,
        int pages,
        CancellationToken stop
    )
    {
        var found = new int[dossier.Parts.Count];
        (double width, double height) = paper.SizeMm();
        using var document = SKDocument.CreatePdf(to, new SKDocumentPdfMetadata { Title = $"{dossier.Vehicle}: dossier", Creator = "Abri" });
        int last;
        using (var flow = new Flow(document, width, height, Foot))
        {
            flow.Head(dossier.Vehicle, $"{dossier.About}. Dossier of {dossier.On.ToString("d MMMM yyyy", CultureInfo.InvariantCulture)}.");
            flow.Y += 8;
            for (int i = 0; i < dossier.Parts.Count; i++)
            {
                flow.Page.Text(dossier.Parts[i].Title, Page.MarginMm, flow.Y, 4.4);
                flow.Page.Text($"{begins[i]}", Page.MarginMm + flow.Wide, flow.Y, 4.4, align: SKTextAlign.Right);
                flow.Y += 8;
            }
            for (int i = 0; i < dossier.Parts.Count; i++)
            {
                // The first one leaves the page of contents; of the others each begins where there is room for something of it.
                if (i == 0)
                    flow.Turn();
                else
                    flow.Keep(PartMm);
                found[i] = flow.Number;
                flow.Y += flow.Y > 2 * Page.MarginMm ? 6 : 0;
                flow.Paragraph(dossier.Parts[i].Title, 0, 5.4, true);
                foreach (DossierItem item in dossier.Parts[i].Items)
                {
                    stop.ThrowIfCancellationRequested();
                    Write(flow, item, photo);
                }
            }
            last = flow.Number;
        }
        document.Close();
        return (found, last);

        void Foot(Page page, int number)
        {
            double y = page.HeightMm - Page.MarginMm;
            page.Text(dossier.Vehicle, Page.MarginMm, y, 3, colour: Page.Soft);
            page.Text($"{number} of {pages}", page.WidthMm - Page.MarginMm, y, 3, colour: Page.Soft, align: SKTextAlign.Right);
        }
    }

    private static void Write(Flow flow, DossierItem item, Func<string, byte[]?> photo)
    {
        flow.Keep(item.Picture is null ? 18 : PictureMm + 24);
        flow.Y += 3;
        if (item.Title.Length > 0)
            flow.Paragraph(item.Title, 0, 4, true);
        foreach (DossierRow row in item.Rows)
            flow.Row(row.What, row.First, row.Second);
        foreach (string line in item.Lines)
            flow.Paragraph(line, 0, SizeMm);
        if (item.Picture is { } picture)
            flow.Lay(picture, PictureMm);
        byte[][] photos = [.. item.Photos.Select(p => photo(p.Sha256)).OfType<byte[]>()];
        if (photos.Length > 0)
            Lay(flow, photos);
        if (item.Photos.Count > photos.Length)
            flow.Paragraph(
                $"{item.Photos.Count - photos.Length} of {item.Photos.Count} photos are not in the data folder.",
                0,
                SizeMm,
                colour: Page.Soft
            );
    }

    private static void Lay(Flow flow, byte[][] photos)
    {
        flow.Keep(PhotoMm + 6);
        double x = Page.MarginMm;
        foreach (byte[] content in photos)
        {
            if (x > Page.MarginMm && x + PhotoMm > Page.MarginMm + flow.Wide)
            {
                flow.Y += PhotoMm + PhotoGapMm;
                flow.Keep(PhotoMm + 6);
                x = Page.MarginMm;
            }
            x += flow.Page.Picture(content, x, flow.Y - 2, PhotoMm * 1.4, PhotoMm) + PhotoGapMm;
        }
        flow.Y += PhotoMm + 6;
    }
}
