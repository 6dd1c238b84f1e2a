using System.Reflection;
using Abri.Core.Sealing;
using Abri.Core.Work;

namespace Abri.Core.Tests.Work;

public class MaterialTests
{
    private static IEnumerable<Material> Catalogue =>
        typeof(Materials)
            .GetProperties(BindingFlags.Public | BindingFlags.Static)
            .Where(p => p.PropertyType == typeof(Material))
            .Select(p => (Material)p.GetValue(null)!);

    [Fact]
    public void Each_material_is_in_the_catalogue_once_with_a_pack_that_holds_something()
    {
        Assert.All(Catalogue.CountBy(m => m.Id), c => Assert.Equal(1, c.Value));
        Assert.All(Catalogue.CountBy(m => m.Name), c => Assert.Equal(1, c.Value));
        Assert.All(Catalogue, m => Assert.True(m.Pack > 0, m.Id));
        Assert.DoesNotContain(Catalogue, m => m.Id.Contains('/'));
        // None is left out of what one may put on the shelf.
        Assert.Equal(Catalogue.Select(m => m.Id).Order(), Materials.All.Select(m => m.Id).Order());
    }

    [Fact]
    public void What_many_steps_use_of_one_material_adds_up_and_two_materials_stay_two()
    {
        WorkStep Using(string key, params Consumable[] used) =>
            WorkStep.Of("clean", "Clean", "", WorkPlace.Bench, 1) with
            {
                Key = key,
                Consumables = used,
            };
        var p = Procedure.Of(
            "Three",
            [
                Using("a", new Consumable(Materials.ButylTape(40, 10), 1200), new Consumable(Materials.Screw, 8)),
                Using("b", new Consumable(Materials.ButylTape(40, 10), 300.5)),
                Using("c", new Consumable(Materials.ButylTape(40, 1.5), 700), new Consumable(Materials.Screw, 4)),
            ]
        );
        Assert.Equal([("butyl-tape-40x10", 1500.5), ("screw", 12), ("butyl-tape-40x1.5", 700)], p.Consumables.Select(c => (c.Material.Id, c.Amount)));
    }

    [Fact] // Names of products are unique in the catalogue of an installation, so that they may be told apart by them
    public void A_product_is_a_material_of_its_own_by_the_cartridge_or_the_roll()
    {
        Material[] products = [.. TypicalProducts.All.Select(p => p.AsMaterial())];
        Assert.Equal(products.Length, products.Select(m => m.Id).Distinct().Count());
        Assert.Empty(products.Select(m => m.Id).Intersect(Catalogue.Select(m => m.Id)));
        foreach (Product p in TypicalProducts.All)
            Assert.Equal(
                (p.PackMl > 0 ? MaterialKind.Sealant : MaterialKind.Tape, p.PackMl > 0 ? p.PackMl : null),
                (p.AsMaterial().Kind, p.AsMaterial().Pack)
            );
    }

    [Theory] // Worked by hand from the table: fixed and each, then 60 % and 200 % of it
    [InlineData("offer", 1, 9, 15, 30)]
    [InlineData("cut", 1600, 19, 32, 64)]
    [InlineData("measure", 1200, 12, 20, 40)]
    [InlineData("set", 12, 17, 28, 56)]
    [InlineData("hold", 5, 0, 0, 0)]
    public void Minutes_grow_with_the_amount(string work, double amount, double quick, double likely, double slow) =>
        Assert.Equal(new Minutes(quick, likely, slow), MinutesTable.For(work, amount));

    [Fact]
    public void Work_that_the_table_does_not_have_is_a_programmers_mistake() =>
        Assert.Contains("juggle", Assert.Throws<ArgumentException>(() => MinutesTable.For("juggle", 1)).Message);
}
