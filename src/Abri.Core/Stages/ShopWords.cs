namespace Abri.Core.Stages;

/// <summary>What shops are called, and what is bought in each.</summary>
public static class ShopWords
{
    /// <summary>The kind of shop by its usual name.</summary>
    public static string Name(this Shop shop) =>
        shop switch
        {
            Shop.Paint => "Paint",
            Shop.Hardware => "Hardware",
            Shop.Trims => "Trims",
            Shop.Timber => "Timber yard",
            _ => "Sealants and tapes",
        };

    /// <summary>What is short, shop by shop.</summary>
    public static IEnumerable<IGrouping<Shop, StoreLine>> ByShop(StoresOfVehicle stores) =>
        stores.Lines.Where(l => l.Packs > 0 || (l.Packs is null && l.Short > 0)).GroupBy(l => l.Shop).OrderBy(g => g.Key);
}
