using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using CsCheck;

namespace Abri.Core.Tests.Sealing;

public class SealantChoiceTests
{
    private static readonly Joint Seam = new("Seam", JointKind.Seam, 1000, Substrate.PaintedMetal, Substrate.PaintedMetal, 3, 0.2, true, false, false, false, false, false, null, null, [], "");
    private static readonly DateOnly Day = new(2026, 4, 11);

    private static readonly Gen<Joint> Joints = Gen.Select(Gen.Enum<Substrate>(), Gen.Enum<Substrate>(), Gen.Double[0, 1.5], Gen.Bool.Array[5], Gen.Enum<JointKind>(), Gen.Int[0, 3]).Select((one, other, movement, b, kind, before) => Seam with
    {
        Kind = kind,
        One = one,
        Other = other,
        MovementMm = movement,
        Sun = b[0],
        StandingWater = b[1],
        RemovableLater = b[2],
        PaintedOver = b[3],
        Structural = b[4],
        History = before == 0 ? [new JointEvent(Day, JointEventKind.Sealed, ProductFamily.NeutralSilicone, "", "")] : [],
    });

    [Fact] // Common practice, no source: acetic acid corrodes zinc and bare steel
    public void Acetoxy_silicone_never_goes_on_bare_or_galvanised_steel()
    {
        foreach (Substrate steel in new[] { Substrate.BareSteel, Substrate.GalvanisedSteel })
            Assert.Contains(Row(Seam with { One = steel, PaintedOver = false }, "Acetoxy silicone").RuledOut, r => r.Contains("corrodes"));
    }

    [Fact] // The exclusions once more, by themselves
    public void No_product_that_is_proposed_breaks_a_hard_rule() => Joints.Holds(joint =>
    {
        SealantAdvice advice = Advice(joint);
        foreach (SealantRow row in advice.Rows.Where(r => r.Rank is not null))
        {
            Product p = TypicalProducts.All.Single(x => x.Name == row.Product);
            bool sticks = new[] { joint.One, joint.Other }.All(s => p.Grips.Any(g => g.Substrate == s && g.Adhesion != Adhesion.None));
            bool moves = joint.MovementMm / joint.GapMm * 100 <= p.MovementPercent;
            bool silicone = p.Name.Contains("ilicone");
            bool before = joint.History.Count == 0 || silicone;
            if (!sticks || !moves || !before || (joint.RemovableLater && !p.Removable) || (joint.PaintedOver && !p.Paintable) || (joint.Structural && !p.Structural) || (joint.Sun && !p.StandsSun) || (joint.StandingWater && !p.StandsWater)) return false;
        }
        return advice.Rows.Count == TypicalProducts.All.Count && advice.Rows.Where(r => r.Rank is null).All(r => r.RuledOut.Count > 0) && advice.Rows.Where(r => r.Rank is not null).Select((r, i) => r.Rank == i + 1).All(x => x);
    }, cases: 400);

    [Fact] // Schools: see docs/schools.md
    public void The_school_decides_what_beds_a_roof_flange()
    {
        Joint flange = Seam with { Kind = JointKind.RoofFlange, Other = Substrate.PlasticFrame, MovementMm = 0, Sun = false, StandingWater = true };
        Assert.Equal("Butyl tape 40 x 10", Advice(flange).Best);
        Assert.Contains(Advice(flange, FlangeBedding.Adhesive).Best, new[] { "One-part polyurethane", "Neutral silicone" });
    }

    [Fact] // Assumption: a dark skin in the sun gets to 80 C
    public void What_softens_on_a_hot_skin_stays_out_of_the_sun()
    {
        Product soft = TypicalProducts.All.Single(p => p.Name == "Marine polyurethane") with { Name = "Soft", ServiceToC = 79 };
        SealantRow In(bool sun) => SealantChoice.Of(Seam with { Sun = sun }, [soft], FlangeBedding.ButylAndLapSealant, null, LengthFormat.Millimetres).Value!.Result.Rows[0];
        Assert.Contains(In(true).RuledOut, r => r.Contains("79"));
        Assert.Equal(1, In(false).Rank);
    }

    [Fact]
    public void Over_old_silicone_only_silicone_is_left_until_it_is_stripped()
    {
        JointEvent silicone = new(Day, JointEventKind.Sealed, ProductFamily.NeutralSilicone, "", ""), stripped = new(Day.AddDays(9), JointEventKind.Stripped, null, "", "");
        SealantAdvice advice = Advice(Seam with { History = [silicone] });
        Assert.All(advice.Rows.Where(r => r.Rank is not null), r => Assert.Contains("ilicone", r.Product));
        Assert.NotNull(advice.OnceStripped);
        Assert.Equal(advice.OnceStripped, Advice(Seam with { History = [silicone, stripped] }).Best);
        Assert.Contains(Advice(Seam with { History = [silicone, stripped] }).Preparation, p => p.Contains("traces"));
    }

    [Fact]
    public void What_was_done_in_the_wrong_order_is_found()
    {
        JointEvent Did(int day, JointEventKind kind, ProductFamily? family = null) => new(Day.AddDays(day), kind, family, "", "");
        Assert.Contains("wax", Assert.Single(JointHistory.Faults(Seam with { History = [Did(0, JointEventKind.Waxed), Did(1, JointEventKind.Sealed, ProductFamily.LapSealant)] })));
        Assert.Empty(JointHistory.Faults(Seam with { History = [Did(0, JointEventKind.Waxed), Did(1, JointEventKind.Solvent), Did(2, JointEventKind.Sealed, ProductFamily.LapSealant)] }));
        Assert.Contains("silicone", Assert.Single(JointHistory.Faults(Seam with { History = [Did(0, JointEventKind.Sealed, ProductFamily.AcetoxySilicone), Did(1, JointEventKind.Sealed, ProductFamily.MarinePolyurethane)] })));
        Assert.Contains("crawl", Assert.Single(JointHistory.Faults(Seam with { History = [Did(0, JointEventKind.Sealed, ProductFamily.NeutralSilicone), Did(1, JointEventKind.Painted)] })));
        Assert.Contains("crazing", Assert.Single(JointHistory.Faults(Seam with { Other = Substrate.Acrylic, History = [Did(0, JointEventKind.Solvent)] })));
    }

    [Fact]
    public void A_joint_with_nothing_that_sticks_to_both_sides_says_so()
    {
        Joint odd = Seam with { One = Substrate.Acrylic, Other = Substrate.BareSteel, Sun = true, PaintedOver = true, RemovableLater = true };
        Assert.Null(Advice(odd).Best);
        Assert.Equal("no-products", SealantChoice.Of(Seam, [], FlangeBedding.Adhesive, null, LengthFormat.Millimetres).Problem!.Code);
        Assert.Equal("joint-without-width", SealantChoice.Of(Seam with { GapMm = 0 }, TypicalProducts.All, FlangeBedding.Adhesive, null, LengthFormat.Millimetres).Problem!.Code);
    }

    [Fact]
    public void Seams_flanges_and_open_findings_of_a_shell_are_offered_until_they_are_written_down()
    {
        Member seam = new("Lower seam", MemberKind.Seam, MemberRole.KeepOut, new Footprint(FootprintShape.Spine, [new(0, 100), new(3000, 100), new(3000, 600)], 20), 0);
        var glass = new Fitting("Glass", FittingKind.BondedWindow, new RoundedRectangle(1000, 400, 60), 2, 4, new RoundedRectangle(990, 390, 55), new RoundedRectangle(1092, 460, 80), 25, PerSide.All(20), 9, false, null, PerSide.All(0), 3, 5, null, null, Bonded: new Bonded(Pane.Acrylic, 18));
        var opening = new JointedOpening(new Opening("Window", "f", new PanelPoint(1500, 0), 0, null, new Schools(RibInTheWay.Keep, CutSize.WasteSide), OpeningState.Planned, null, ""), glass);
        IReadOnlyList<Joint> offered = OfferedJoints.Of(Roofs.Flat(), [seam, Roofs.Bow("Bow", 500, 560)], [opening], [], []);
        Assert.Equal(["Lower seam", "Window: bond"], offered.Select(j => j.Name));
        Assert.Equal(3500, offered[0].LengthMm, 6);
        // Acrylic 70e-6 on steel 12e-6, 1092 mm, 50 K: 1.58 mm, so 3.2 mm thick.
        Assert.Equal((1.58, 3.17), (Math.Round(offered[1].MovementMm, 2), Math.Round(offered[1].GapMm, 2)));
        Assert.Equal(["Window: bond"], OfferedJoints.Of(Roofs.Flat(), [seam], [opening], [], [offered[0] with { Name = "Mine" }]).Select(j => j.Name));
    }

    [Fact]
    public void Each_family_ships_with_one_typical_product_that_contradicts_nothing()
    {
        Assert.Equal(Enum.GetValues<ProductFamily>(), TypicalProducts.All.Select(p => p.Family).Order());
        Assert.All(TypicalProducts.All, p => Assert.Null(ProductCheck.Of(p)));
        Assert.All(TypicalProducts.All, p => Assert.Equal(SourceKind.Assumption, p.Known));
    }

    private static SealantAdvice Advice(Joint joint, FlangeBedding bedding = FlangeBedding.ButylAndLapSealant) => SealantChoice.Of(joint, TypicalProducts.All, bedding, 15, LengthFormat.Millimetres).Value!.Result;

    private static SealantRow Row(Joint joint, string product) => Advice(joint).Rows.Single(r => r.Product == product);
}
