using System.Globalization;
using Abri.Core.Stages;
using Abri.Core.Work;
using SkiaSharp;

namespace Abri.Exchange.Pdf;

/// <summary>Prints what is short, shop by shop, with boxes to tick.</summary>
public static class ShoppingPdf
{
    private const double SizeMm = 3.6;

    /// <summary>The document.</summary>
    public static byte[] Write(StoresOfVehicle stores, string vehicle, Paper paper)
    {
        using var bytes = new MemoryStream();
        using (var document = SKDocument.CreatePdf(bytes, new SKDocumentPdfMetadata { Title = $"Shopping, {vehicle}", Creator = "Abri" }))
        {
            (double width, double height) = paper.SizeMm();
            using (var flow = new Flow(document, width, height))
            {
                flow.Head("Shopping", $"{vehicle}, {stores.Today.ToString("d MMMM yyyy", CultureInfo.InvariantCulture)}");
                flow.Paragraph(stores.Verdict, 0, SizeMm, false, null);
                foreach (IGrouping<Shop, StoreLine> shop in ShopWords.ByShop(stores))
                {
                    flow.Keep(24);
                    flow.Y += 4;
                    flow.Paragraph(shop.Key.Name(), 0, 4.4, true, null);
                    foreach (StoreLine line in shop)
                        DayListPdf.Ticked(flow, Line(line), 0, false);
                }
            }
            document.Close();
        }
        return bytes.ToArray();
    }

    private static string Line(StoreLine line)
    {
        string packs = line.Packs is { } n ? $"{n} x " : "",
            by = line.NeededBy is { } day ? $" by {day.ToString("d MMM", CultureInfo.InvariantCulture)}" : "";
        return $"{packs}{DayListPdf.Amount(new Consumable(line.Material, line.Packs is null ? line.Short : line.Material.Pack!.Value))}"
            + $" (for {line.FirstFor}{by})";
    }
}
