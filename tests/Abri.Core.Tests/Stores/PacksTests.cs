using Abri.Core.Shell;
using Abri.Core.Stores;
using Abri.Core.Work;
using CsCheck;

namespace Abri.Core.Tests.Stores;

public class PacksTests
{
    private static PackPlan Of(double need, PackAim aim, params PackSize[] sizes)
    {
        Assert.True(Packs.Of(new PackQuestion(need, sizes, aim)).IsOk(out Worked<PackPlan>? worked, out Problem? problem), problem?.Message);
        return worked.Result;
    }

    [Theory] // By hand: 1000 ml in 290 at 8 and 600 at 14
    [InlineData(PackAim.Fewest, 0, 2, 200, 28)] // 2 x 600
    [InlineData(PackAim.LeastLeft, 4, 0, 160, 32)] // 1160; 290 + 600 is too little, 2 x 290 + 600 leaves 180
    [InlineData(PackAim.Cheapest, 0, 2, 200, 28)]
    public void Packs_of_two_sizes(PackAim aim, int small, int large, double left, double price)
    {
        PackPlan plan = Of(1000, aim, new PackSize(290, 8), new PackSize(600, 14));
        Assert.Equal([small, large], plan.Counts);
        Assert.Equal((left, price), (Math.Round(plan.Left, 6), plan.Price));
    }

    [Fact]
    public void A_size_without_a_price_is_not_the_cheapest_and_leaves_the_price_open()
    {
        Assert.Equal([4, 0], Of(1000, PackAim.Cheapest, new PackSize(290, 8), new PackSize(600)).Counts);
        Assert.Null(Of(1000, PackAim.Fewest, new PackSize(290, 8), new PackSize(600)).Price);
        Assert.False(Packs.Of(new PackQuestion(10, [new PackSize(5)], PackAim.Cheapest)).IsOk(out _, out Problem? none));
        Assert.Equal("packs-no-price", none.Code);
        Assert.False(Packs.Of(new PackQuestion(1e6, [new PackSize(5)])).IsOk(out _, out Problem? many));
        Assert.Equal("packs-many", many.Code);
    }

    [Fact]
    public void What_fits_to_the_last_drop_needs_no_pack_more() => Assert.Equal([3], Of(0.3, PackAim.Fewest, new PackSize(0.1)).Counts);

    /// <summary>Held against trying every number of packs of every size.</summary>
    [Fact]
    public void No_other_choice_of_packs_is_better() =>
        Gen.Select(
                Gen.Int[1, 120],
                Gen.Select(Gen.Int[3, 40], Gen.Int[1, 30]).Select(s => new PackSize(s.Item1, s.Item2)).Array[1, 3],
                Gen.Enum<PackAim>()
            )
            .Holds(
                (need, sizes, aim) =>
                {
                    PackPlan plan = Of(need, aim, sizes);
                    (double, double, double) best = (double.MaxValue, 0, 0);
                    void Try(int size, double holds, int packs, double price)
                    {
                        if (size == sizes.Length)
                        {
                            if (holds < need)
                                return;
                            (double, double, double) cost = Cost(aim, holds - need, packs, price);
                            if (cost.CompareTo(best) < 0)
                                best = cost;
                            return;
                        }
                        for (int n = 0; (n - 1) * sizes[size].Holds < need; n++)
                            Try(size + 1, holds + (n * sizes[size].Holds), packs + n, price + (n * sizes[size].Price!.Value));
                    }
                    Try(0, 0, 0, 0);
                    Assert.Equal(best, Cost(aim, plan.Left, plan.Packs, plan.Price!.Value));
                    Assert.Equal(plan.Holds, plan.Counts.Select((n, i) => n * sizes[i].Holds).Sum(), 9);
                },
                cases: 300
            );

    private static (double, double, double) Cost(PackAim aim, double left, double packs, double price) =>
        aim switch
        {
            PackAim.Cheapest => (price, packs, left),
            PackAim.Fewest => (packs, left, price),
            _ => (left, packs, price),
        };

    private static readonly Source Typed = new("typed", SourceKind.Assumption);

    [Theory] // Month ends and leap years by the framework's calendar, written out
    [InlineData("2031-01-31", null, null, 1, null, "2031-02-28")]
    [InlineData("2032-01-31", null, null, 1, null, "2032-02-29")]
    [InlineData("2031-08-31", null, null, 6, null, "2032-02-29")]
    [InlineData("2031-01-01", "2031-06-30", null, 12, null, "2031-06-30")] // What is printed counts
    [InlineData("2031-01-01", null, "2031-05-01", 12, 7.0, "2031-05-08")]
    [InlineData("2031-01-01", null, "2031-12-30", 12, 7.0, "2032-01-01")] // Opened, it does not keep longer than closed
    [InlineData(null, null, "2031-05-01", 12, 0.5, "2031-05-01")]
    [InlineData(null, null, null, 12, 7.0, null)] // Nobody knows since when
    [InlineData("2031-01-01", null, null, null, null, null)]
    public void It_can_be_used_until(string? bought, string? printed, string? opened, int? months, double? days, string? last)
    {
        static DateOnly? Day(string? text) => text is null ? null : DateOnly.Parse(text, System.Globalization.CultureInfo.InvariantCulture);
        Assert.Equal(Day(last), StockLife.Of(Day(bought), Day(printed), Day(opened), new KeepsFor(months, days, Typed)).Result.On);
    }

    [Fact]
    public void A_wipe_that_is_opened_is_used_and_a_screw_keeps()
    {
        Assert.Equal(0, StockLife.Typical(Materials.ActivatorWipe).OpenDays);
        Assert.Equal((null, null), (StockLife.Typical(Materials.Screw).ClosedMonths, StockLife.Typical(Materials.Screw).OpenDays));
        Assert.All(Materials.All, m => Assert.NotNull(StockLife.Typical(m).Source));
        Assert.Equal(Materials.All.Count, Materials.All.Select(m => m.Id).Distinct().Count());
    }

    [Theory] // 5 m a blade in 1 mm steel: 12 m take 3, and one to spare; in 2 mm 2.5 m a blade: 5 and one
    [InlineData(SkinMaterial.MildSteel, 1, 12_000, 4)]
    [InlineData(SkinMaterial.MildSteel, 2, 12_000, 6)]
    [InlineData(SkinMaterial.MildSteel, 0.6, 5000, 2)]
    [InlineData(SkinMaterial.Aluminium, 1, 12_001, 3)]
    [InlineData(SkinMaterial.GlassReinforcedPlastic, 3, 4000, 3)]
    [InlineData(SkinMaterial.PlywoodSkin, 6, 10_000, 2)]
    public void Blades_by_the_metre(SkinMaterial material, double thick, double length, int blades) =>
        Assert.Equal(blades, BladeLife.Of(new BladeQuestion(material, thick, length)).Result.Blades);
}
