using System.Globalization;
using Abri.Core.Stages;
using Abri.Core.Work;
using Abri.Exchange.Pdf;
using CsvHelper;

namespace Abri.Exchange.Tests;

public class ShoppingTests
{
    private static StoreLine Line(Material material, Shop shop, double need, double missing, int? packs, DateOnly? by = null) =>
        new(material, shop, need, need - missing, missing, packs, packs * material.Pack ?? missing, by, missing > 0 ? "=Vent" : null, [], []);

    private static readonly StoresOfVehicle Stores = new(
        new DateOnly(2031, 5, 12),
        [
            Line(Materials.SeamSealer, Shop.Sealants, 400, 110.04, 1, new DateOnly(2031, 5, 14)),
            Line(Materials.Screw, Shop.Hardware, 20, 0, 0),
            Line(Materials.MetalBlade, Shop.Hardware, 9, 9, 2),
            Line(Materials.Timber(45, 60), Shop.Timber, 1770, 1770, null),
        ],
        [],
        [],
        [],
        [],
        "3 materials are short."
    );

    [Fact] // Read back by the library's own reader
    public void The_list_has_what_is_short_shop_by_shop_and_runs_no_formula()
    {
        using var csv = new CsvReader(new StringReader(ShoppingCsv.Write(Stores).TrimStart('\uFEFF')), CultureInfo.InvariantCulture);
        List<string[]> rows = [];
        while (csv.Read())
            rows.Add([.. Enumerable.Range(0, 8).Select(i => csv.GetField(i)!)]);
        Assert.Equal(4, rows.Count);
        Assert.Equal(["Sealants and tapes", "Seam sealer", "110", "ml", "1", "290", "2031-05-14", "'=Vent"], rows[1]);
        Assert.Equal(["Hardware", "Jigsaw blade for metal", "9", "count", "2", "5", "", "'=Vent"], rows[2]);
        Assert.Equal(["Timber yard", "Timber 45 x 60", "1770", "mm", "", "", "", "'=Vent"], rows[3]);
    }

    [Fact] // Held against poppler's reading of the page
    public void Printed_it_says_how_many_packs_of_what_for_which_job_until_when()
    {
        string text = Poppler.Text(ShoppingPdf.Write(Stores, "Heron", Paper.A4));
        Assert.Contains("Heron, 12 May 2031", text, StringComparison.Ordinal);
        Assert.Contains("3 materials are short.", text, StringComparison.Ordinal);
        Assert.Contains("1 x Seam sealer, 290 ml (for =Vent by 14 May)", text, StringComparison.Ordinal);
        Assert.Contains("2 x Jigsaw blade for metal, 5 (for =Vent)", text, StringComparison.Ordinal);
        Assert.Contains("Timber 45 x 60, 1.8 m (for =Vent)", text, StringComparison.Ordinal);
        Assert.DoesNotContain("Screw,", text, StringComparison.Ordinal);
        Assert.True(
            text.IndexOf("Sealants and tapes", StringComparison.Ordinal) < text.IndexOf("Timber yard", StringComparison.Ordinal),
            "The shops stand in order."
        );
    }
}
