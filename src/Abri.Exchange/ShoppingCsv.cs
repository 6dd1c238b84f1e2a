using Abri.Core.Stages;

namespace Abri.Exchange;

/// <summary>Writes what is short as CSV, one material a line, by the kind of shop.</summary>
public static class ShoppingCsv
{
    /// <summary>The file.</summary>
    public static string Write(StoresOfVehicle stores) =>
        CsvTable.Write(
            ["shop", "material", "short", "unit", "packs", "a pack holds", "needed by", "first for"],
            ShopWords
                .ByShop(stores)
                .SelectMany(shop => shop)
                .Select(l =>
                    new object?[]
                    {
                        l.Shop.Name(),
                        l.Material.Name,
                        l.Short,
                        l.Material.Unit.ToString().ToLowerInvariant(),
                        l.Packs,
                        l.Material.Pack,
                        l.NeededBy,
                        l.FirstFor,
                    }
                )
        );
}
