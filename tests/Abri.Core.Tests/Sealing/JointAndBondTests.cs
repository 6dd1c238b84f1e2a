using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using Abri.Core.Weather;

namespace Abri.Core.Tests.Sealing;

/// <summary>What contradicts itself about joints and products, what air holds, and what a pane's bond comes to.</summary>
public class JointAndBondTests
{
    private static readonly Joint Seam = new(
        "Seam",
        JointKind.Seam,
        1000,
        Substrate.PaintedMetal,
        Substrate.PaintedMetal,
        3,
        0.2,
        true,
        false,
        false,
        false,
        false,
        false,
        null,
        null,
        [],
        ""
    );

    [Theory]
    [InlineData(0, 0, null)]
    [InlineData(0, 0.1, "joint-without-width")]
    [InlineData(0.1, 0.1, null)]
    [InlineData(3, 0, null)]
    public void A_joint_that_moves_has_a_width(double gapMm, double movementMm, string? code) =>
        Assert.Equal(code, JointCheck.Of(Seam with { GapMm = gapMm, MovementMm = movementMm })?.Code);

    [Fact]
    public void A_seam_of_the_shell_is_at_a_side_of_its_panel()
    {
        foreach (Side side in Enum.GetValues<Side>())
            Assert.Null(JointCheck.Of(Seam with { Of = OfferedJoints.SeamAt(side) }));
        Assert.Equal("joint-of-unknown", JointCheck.Of(Seam with { Of = new JointOf(JointOfKind.ShellSeam, "nowhere") })?.Code);
        // Ids of other things are looked up where they are kept.
        Assert.Null(JointCheck.Of(Seam with { Of = new JointOf(JointOfKind.Opening, "nowhere") }));
    }

    [Fact]
    public void What_was_done_stands_in_order_of_time()
    {
        JointEvent On(int day) => new(new DateOnly(2026, 5, day), JointEventKind.Sealed, null, "", "");
        Assert.Null(JointCheck.Of(Seam with { History = [On(1)] }));
        Assert.Null(JointCheck.Of(Seam with { History = [On(1), On(1), On(2)] }));
        Assert.Equal("/history/2/on", JointCheck.Of(Seam with { History = [On(1), On(3), On(2)] })!.Pointer);
        Assert.Equal("/history/1/on", JointCheck.Of(Seam with { History = [On(2), On(1), On(3)] })!.Pointer);
    }

    private static readonly Product Cartridge = TypicalProducts.All.Single(p => p.Family == ProductFamily.PolyurethaneAdhesive);

    [Fact]
    public void Both_ranges_of_a_product_have_a_width()
    {
        Assert.Equal("/layToC", ProductCheck.Of(Cartridge with { LayFromC = 20, LayToC = 20 })!.Pointer);
        Assert.Null(ProductCheck.Of(Cartridge with { LayFromC = 19.9, LayToC = 20 }));
        Assert.Equal("/serviceToC", ProductCheck.Of(Cartridge with { ServiceFromC = 20, ServiceToC = 20 })!.Pointer);
        Assert.Null(ProductCheck.Of(Cartridge with { ServiceFromC = 19.9, ServiceToC = 20 }));
        Assert.Equal("/grips", ProductCheck.Of(Cartridge with { Grips = [.. Cartridge.Grips, Cartridge.Grips[0]] })!.Pointer);
    }

    [Theory] // Steam tables, from memory; vapour taken for an ideal gas is half a per cent lighter at 40 C
    [InlineData(0, 4.85)]
    [InlineData(20, 17.3)]
    [InlineData(40, 51.2)]
    public void Air_holds_at_most_what_steam_tables_say(double airC, double grams)
    {
        WaterInAir half = MoistAir.Holds(airC, 50).Value!.Result;
        Assert.InRange(half.MostGramsPerM3 / grams, 0.995, 1.005);
        Assert.Equal(half.MostGramsPerM3 / 2, half.GramsPerM3, 9);
    }

    [Theory] // 20 C and 50 % have their dew point at 9.26 C: coated from 12.26 C on
    [InlineData(6.0, "The surface is 6.3 K too cold: water settles on it")]
    [InlineData(10.0, "The surface is 2.3 K too cold to be sure")]
    [InlineData(15.0, "Dry enough to coat, 2.7 K to spare")]
    public void A_surface_is_told_by_how_much_it_is_too_cold(double surfaceC, string verdict) =>
        Assert.StartsWith(verdict, MoistAir.Point(20, 50, surfaceC).Value!.Result.Verdict);

    [Theory]
    [InlineData(0)]
    [InlineData(-1)]
    [InlineData(100.1)]
    public void Humidity_lies_above_nothing_and_up_to_all(double percent)
    {
        Assert.Equal("/relativePercent", MoistAir.Holds(20, percent).Problem!.Pointer);
        Assert.Equal("/relativePercent", MoistAir.Point(20, percent).Problem!.Pointer);
    }

    private static Fitting Glass(double widthMm, double landMm) =>
        TypicalFittings.All.Single(f => f.Kind == FittingKind.BondedWindow) is var window
            ? window with
            {
                Flange = new RoundedRectangle(widthMm, 460, 60),
                Bonded = new Bonded(Pane.Glass, landMm),
            }
            : null!;

    [Fact] // By hand: a triangle of 10 x 12 is 60 mm2; pressed to 3 mm it is 20 mm wide, at most the land of 18
    public void A_pane_is_bonded_as_wide_as_its_bead_is_pressed_and_at_most_its_land()
    {
        PaneBondPlan wide = PaneBond.Of(Glass(1092, 18), SkinMaterial.MildSteel, null, LengthFormat.Millimetres).Result;
        Assert.Equal((3, 18), (wide.ThickMm, wide.CureWidthMm));
        Assert.Equal(20, wide.Bead.SqueezedWidthMm!.Value, 9);
        Assert.Equal(20, PaneBond.Of(Glass(1092, 30), SkinMaterial.MildSteel, null, LengthFormat.Millimetres).Result.CureWidthMm, 9);
        Assert.Null(wide.HoldsAfterHours);
        // 60 mm2 all round and a tenth more.
        Assert.Equal(Glass(1092, 18).Flange.PerimeterMm * 60 / 1000 * 1.1, wide.Bead.BoughtMl, 9);
    }

    [Fact]
    public void A_chosen_adhesive_brings_its_own_pack_skin_time_and_cure()
    {
        Product quick = Cartridge with { PackMl = 100, SkinMinutes = 3, CureMmPerDay = 4 };
        Worked<PaneBondPlan> bond = PaneBond.Of(Glass(1092, 18), SkinMaterial.MildSteel, quick, LengthFormat.Millimetres);
        PaneBondPlan usual = PaneBond.Of(Glass(1092, 18), SkinMaterial.MildSteel, null, LengthFormat.Millimetres).Result;
        Assert.True(bond.Result.Bead.Cartridges > usual.Bead.Cartridges);
        // Some five minutes of laying: too long for three minutes of skin, not for the usual ten.
        Assert.Equal((false, true), (bond.Result.Bead.InTime, usual.Bead.InTime));
        double slower = PaneBond
            .Of(Glass(1092, 18), SkinMaterial.MildSteel, quick with { CureMmPerDay = 2 }, LengthFormat.Millimetres)
            .Result.HoldsAfterHours!.Value;
        Assert.True(bond.Result.HoldsAfterHours < slower);
        Assert.Contains(bond.Steps, s => s.Symbol == "t_h" && Math.Abs(s.Value - bond.Result.HoldsAfterHours!.Value) < 1e-3);
        Assert.Contains(bond.Steps, s => s.Symbol == "u");
        Assert.Contains(bond.Sources, s => s.Name.Contains("expansion", StringComparison.OrdinalIgnoreCase));
        // Tape holds at once: no hours of curing.
        Assert.Null(
            PaneBond
                .Of(Glass(1092, 18), SkinMaterial.MildSteel, quick with { Setting = Setting.TwoPart }, LengthFormat.Millimetres)
                .Result.HoldsAfterHours
        );
    }
}
