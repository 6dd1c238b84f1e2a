using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Sealing;
using Abri.Core.Shell;
using CsCheck;

namespace Abri.Core.Tests.Sealing;

public class SealantChoiceTests
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
    private static readonly DateOnly Day = new(2026, 4, 11);

    private static readonly Gen<Joint> Joints = Gen.Select(
            Gen.Enum<Substrate>(),
            Gen.Enum<Substrate>(),
            Gen.Double[0, 1.5],
            Gen.Bool.Array[5],
            Gen.Enum<JointKind>(),
            Gen.Int[0, 3]
        )
        .Select(
            (one, other, movement, b, kind, before) =>
                Seam with
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
                }
        );

    // Common practice, no source: acetic acid corrodes metal, through every scratch of the paint too; also after silicone, where it once came first
    [Fact]
    public void Acetoxy_silicone_never_goes_on_metal()
    {
        JointEvent silicone = new(Day, JointEventKind.Sealed, ProductFamily.NeutralSilicone, "", "");
        foreach (Substrate metal in new[] { Substrate.BareSteel, Substrate.GalvanisedSteel, Substrate.PaintedMetal, Substrate.Aluminium })
        {
            Assert.Contains(Row(Seam with { One = metal, PaintedOver = false }, "Acetoxy silicone").RuledOut, r => r.Contains("corrodes"));
            Assert.Null(Row(Seam with { One = metal, PaintedOver = false, History = [silicone] }, "Acetoxy silicone").Rank);
        }
    }

    [Fact] // Assumption: the flange of a flue gets to 200 C; butyl and lap sealant serve to 80
    public void Nothing_that_softens_is_proposed_on_a_flue()
    {
        Fitting flue = Roofs.Vent(150) with { Kind = FittingKind.Flue, HeatMm = 300, Screws = null };
        Joint joint = OfferedJoints.OfFitting(Roofs.Flat(), flue, "Flue");
        Assert.Equal(OfferedJoints.FlueC, joint.HotC);
        SealantAdvice advice = Advice(joint);
        Assert.Equal("High-temperature silicone", advice.Best);
        Assert.All(advice.Rows.Where(r => r.Product is "Butyl tape 40 x 10" or "Lap sealant" or "Neutral silicone"), r =>
            Assert.Contains(r.RuledOut, w => w.Contains("200 °C"))
        );
        // Where none stands on the shelf, one is asked for.
        SealantAdvice without = SealantChoice
            .Of(
                joint,
                [.. TypicalProducts.All.Where(p => p.Family != ProductFamily.HeatSilicone)],
                FlangeBedding.ButylAndLapSealant,
                null,
                LengthFormat.Millimetres
            )
            .Value!.Result;
        Assert.Null(without.Best);
        Assert.Contains(without.Preparation, p => p.Contains("collar"));
    }

    [Theory] // Geometry: g = 0.5 stretches by sqrt(1.25) - 1 = 11.8 %; classes as strains: 25 % 0.75, 12.5 % 0.515, 7.5 % 0.394
    [InlineData(25, 0.75)]
    [InlineData(12.5, 0.5154)]
    [InlineData(7.5, 0.3945)]
    public void A_bond_is_held_against_its_class_by_stretch_not_by_slide(double percent, double strain)
    {
        Assert.Equal(strain, Shear.Allowed(percent), 4);
        Assert.Equal(percent / 100, Shear.Stretch(Shear.Allowed(percent)), 12);
        Joint bond = Seam with { Kind = JointKind.BondedPane, Other = Substrate.Glass, Structural = true, Sun = false, GapMm = 3 };
        Product Classed(double c) => TypicalProducts.All.Single(p => p.Family == ProductFamily.SilaneModifiedPolymer) with { MovementPercent = c };
        SealantRow At(double d) =>
            SealantChoice
                .Of(bond with { MovementMm = d }, [Classed(percent)], FlangeBedding.Adhesive, null, LengthFormat.Millimetres)
                .Value!.Result.Rows[0];
        Assert.Equal(1, At(3 * Shear.Allowed(percent)).Rank);
        Assert.Null(At((3 * Shear.Allowed(percent)) + 0.01).Rank);
    }

    [Fact] // The thickness that is recommended and the products that are chosen from agreed on nothing for acrylic once
    public void For_every_pane_the_thickness_that_is_asked_for_leaves_a_product() =>
        Gen.Select(
                Gen.Enum<Pane>(),
                Gen.OneOf(Gen.Const(SkinMaterial.MildSteel), Gen.Const(SkinMaterial.GalvanisedSteel), Gen.Const(SkinMaterial.Aluminium)),
                Gen.Int[300, 1800],
                Gen.Int[200, 900]
            )
            .Holds(
                (pane, skin, width, height) =>
                {
                    var fitting = new Fitting(
                        "Pane",
                        FittingKind.BondedWindow,
                        new RoundedRectangle(width - 80, height - 80, 40),
                        2,
                        4,
                        new RoundedRectangle(width - 90, height - 90, 35),
                        new RoundedRectangle(width, height, 60),
                        25,
                        PerSide.All(20),
                        9,
                        false,
                        null,
                        PerSide.All(0),
                        3,
                        5,
                        null,
                        null,
                        Bonded: new Bonded(pane, 18)
                    );
                    Joint joint = OfferedJoints.OfFitting(Roofs.Flat() with { Material = skin }, fitting, "Window");
                    Assert.NotNull(Advice(joint).Best);
                    Assert.Equal(PaneBond.Of(fitting, skin, null, LengthFormat.Millimetres).Result.ThickMm, joint.GapMm, 12);
                    Assert.True(joint.StretchPercent <= 12);
                },
                cases: 100
            );

    [Theory]
    [InlineData(4.9, false)]
    [InlineData(5, true)]
    [InlineData(35, true)]
    [InlineData(35.1, false)]
    public void What_must_not_be_laid_today_is_ruled_out(double airC, bool allowed) =>
        Assert.Equal(
            allowed,
            SealantChoice
                .Of(
                    Seam,
                    [TypicalProducts.All.Single(p => p.Family == ProductFamily.MarinePolyurethane)],
                    FlangeBedding.Adhesive,
                    airC,
                    LengthFormat.Millimetres
                )
                .Value!.Result.Rows[0]
                .Rank
                is not null
        );

    [Fact] // The exclusions once more, by themselves
    public void No_product_that_is_proposed_breaks_a_hard_rule() =>
        Joints.Holds(
            joint =>
            {
                SealantAdvice advice = Advice(joint);
                foreach (SealantRow row in advice.Rows.Where(r => r.Rank is not null))
                {
                    Product p = TypicalProducts.All.Single(x => x.Name == row.Product);
                    bool sticks = new[] { joint.One, joint.Other }.All(s => p.Grips.Any(g => g.Substrate == s && g.Adhesion != Adhesion.None));
                    double g = joint.MovementMm / joint.GapMm;
                    bool sheared = joint.Kind is JointKind.BondedPane or JointKind.RoofFlange or JointKind.SideFlange or JointKind.PatchEdge;
                    bool moves = 100 * (sheared ? Math.Sqrt(1 + (g * g)) - 1 : g) <= p.MovementPercent + 1e-6;
                    if (joint.Kind == JointKind.DoorSeal)
                        return false;
                    bool silicone = p.Name.Contains("ilicone");
                    bool before = joint.History.Count == 0 || silicone;
                    if (
                        !sticks
                        || !moves
                        || !before
                        || (joint.RemovableLater && !p.Removable)
                        || (joint.PaintedOver && !p.Paintable)
                        || (joint.Structural && !p.Structural)
                        || (joint.Sun && !p.StandsSun)
                        || (joint.StandingWater && !p.StandsWater)
                    )
                        return false;
                }
                return advice.Rows.Count == TypicalProducts.All.Count
                    && advice.Rows.Where(r => r.Rank is null).All(r => r.RuledOut.Count > 0)
                    && advice.Rows.Where(r => r.Rank is not null).Select((r, i) => r.Rank == i + 1).All(x => x);
            },
            cases: 400
        );

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
        SealantRow In(bool sun) =>
            SealantChoice.Of(Seam with { Sun = sun }, [soft], FlangeBedding.ButylAndLapSealant, null, LengthFormat.Millimetres).Value!.Result.Rows[0];
        Assert.Contains(In(true).RuledOut, r => r.Contains("79"));
        Assert.Equal(1, In(false).Rank);
    }

    [Fact]
    public void Over_old_silicone_only_silicone_is_left_until_it_is_stripped()
    {
        JointEvent silicone = new(Day, JointEventKind.Sealed, ProductFamily.NeutralSilicone, "", ""),
            stripped = new(Day.AddDays(9), JointEventKind.Stripped, null, "", "");
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
        Assert.Contains(
            "wax",
            Assert.Single(
                JointHistory.Faults(Seam with { History = [Did(0, JointEventKind.Waxed), Did(1, JointEventKind.Sealed, ProductFamily.LapSealant)] })
            )
        );
        Assert.Empty(
            JointHistory.Faults(
                Seam with
                {
                    History = [Did(0, JointEventKind.Waxed), Did(1, JointEventKind.Solvent), Did(2, JointEventKind.Sealed, ProductFamily.LapSealant)],
                }
            )
        );
        Assert.Contains(
            "silicone",
            Assert.Single(
                JointHistory.Faults(
                    Seam with
                    {
                        History =
                        [
                            Did(0, JointEventKind.Sealed, ProductFamily.AcetoxySilicone),
                            Did(1, JointEventKind.Sealed, ProductFamily.MarinePolyurethane),
                        ],
                    }
                )
            )
        );
        Assert.Contains(
            "crawl",
            Assert.Single(
                JointHistory.Faults(
                    Seam with
                    {
                        History = [Did(0, JointEventKind.Sealed, ProductFamily.NeutralSilicone), Did(1, JointEventKind.Painted)],
                    }
                )
            )
        );
        Assert.Contains(
            "crazing",
            Assert.Single(JointHistory.Faults(Seam with { Other = Substrate.Acrylic, History = [Did(0, JointEventKind.Solvent)] }))
        );
    }

    [Fact]
    public void A_joint_with_nothing_that_sticks_to_both_sides_says_so()
    {
        Joint odd = Seam with { One = Substrate.Acrylic, Other = Substrate.BareSteel, Sun = true, PaintedOver = true, RemovableLater = true };
        Assert.Null(Advice(odd).Best);
        Assert.Equal("no-products", SealantChoice.Of(Seam, [], FlangeBedding.Adhesive, null, LengthFormat.Millimetres).Problem!.Code);
        Assert.Equal(
            "joint-without-width",
            SealantChoice.Of(Seam with { GapMm = 0 }, TypicalProducts.All, FlangeBedding.Adhesive, null, LengthFormat.Millimetres).Problem!.Code
        );
    }

    [Fact]
    public void Seams_flanges_and_open_findings_of_a_shell_are_offered_until_they_are_written_down()
    {
        Stored<Member> Row(string id, Member member) => new(id, 1, "panel", member);
        Stored<Member> seam = Row(
            "seam",
            new(
                "Lower seam",
                MemberKind.Seam,
                MemberRole.KeepOut,
                new Footprint(FootprintShape.Spine, [new(0, 100), new(3000, 100), new(3000, 600)], 20),
                0
            )
        );
        var glass = new Fitting(
            "Glass",
            FittingKind.BondedWindow,
            new RoundedRectangle(1000, 400, 60),
            2,
            4,
            new RoundedRectangle(990, 390, 55),
            new RoundedRectangle(1092, 460, 80),
            25,
            PerSide.All(20),
            9,
            false,
            null,
            PerSide.All(0),
            3,
            5,
            null,
            null,
            Bonded: new Bonded(Pane.Acrylic, 18)
        );
        var opening = new JointedOpening(
            "window",
            new Opening(
                "Window",
                "f",
                new PanelPoint(1500, 0),
                0,
                null,
                new Schools(RibInTheWay.Keep, CutSize.WasteSide),
                OpeningState.Planned,
                null,
                ""
            ),
            glass
        );
        IReadOnlyList<Joint> offered = OfferedJoints.Of(Roofs.Flat(), [seam, Row("bow", Roofs.Bow("Bow", 500, 560))], [opening], [], []);
        // The seams that every roof has, which Water suspects, come first.
        Assert.Equal(
            ["Roof seam, left", "Roof seam, right", "Roof seam, front", "Roof seam, rear", "Lower seam", "Window: bond"],
            offered.Select(j => j.Name)
        );
        Assert.Equal((4200, 1700), (offered[0].LengthMm, offered[2].LengthMm));
        offered = [.. offered.Skip(4)];
        Assert.Equal(3500, offered[0].LengthMm, 6);
        // Acrylic 70e-6 on steel 12e-6, 1092 mm, 50 K: 1.58 mm, so 3.2 mm thick.
        Assert.Equal((1.58, 3.17), (Math.Round(offered[1].MovementMm, 2), Math.Round(offered[1].GapMm, 2)));
        Assert.Equal(
            ["Window: bond"],
            OfferedJoints.Of(Roofs.Flat(), [seam], [opening], [], [offered[0] with { Name = "Mine" }]).Select(j => j.Name).Skip(4)
        );
    }

    [Fact]
    public void A_door_offers_its_rubber_seal_and_nothing_is_laid_on_it()
    {
        Panel door = Roofs.Rectangle(900, 1900, 40, 1700) with { Kind = PanelKind.SlidingDoor };
        IReadOnlyList<Joint> offered = OfferedJoints.Of(door, [], [], [], []);
        Assert.Equal(4, offered.Count);
        SealantAdvice advice = Advice(offered[0]);
        Assert.Null(advice.Best);
        Assert.Contains(advice.Preparation, p => p.Contains("Renew the rubber profile"));
    }

    [Fact]
    public void Each_family_ships_with_one_typical_product_that_contradicts_nothing()
    {
        Assert.Equal(Enum.GetValues<ProductFamily>(), TypicalProducts.All.Select(p => p.Family).Order());
        Assert.All(TypicalProducts.All, p => Assert.Null(ProductCheck.Of(p)));
        Assert.All(TypicalProducts.All, p => Assert.Equal(SourceKind.Assumption, p.Known));
    }

    private static SealantAdvice Advice(Joint joint, FlangeBedding bedding = FlangeBedding.ButylAndLapSealant) =>
        SealantChoice.Of(joint, TypicalProducts.All, bedding, 15, LengthFormat.Millimetres).Value!.Result;

    private static SealantRow Row(Joint joint, string product) => Advice(joint).Rows.Single(r => r.Product == product);
}
