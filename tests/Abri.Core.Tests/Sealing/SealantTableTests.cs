using Abri.Core.Geometry;
using Abri.Core.Sealing;
using Abri.Core.Shell;

namespace Abri.Core.Tests.Sealing;

/// <summary>
/// Joints, how they lie, schools and temperatures, with the product that a fitter would take first and those that may be taken at all: written
/// down by
/// hand before the program was asked, from what the families are known for.
/// </summary>
public class SealantTableTests
{
    private const string Pu = "One-part polyurethane",
        Marine = "Marine polyurethane",
        Hybrid = "Silane-modified polymer",
        Neutral = "Neutral silicone",
        Acetoxy = "Acetoxy silicone",
        Butyl = "Butyl tape 40 x 10",
        Lap = "Lap sealant",
        Tape = "Roofing tape",
        Putty = "Epoxy putty",
        Foam = "Acrylic foam tape",
        Coating = "Silicone roof coating",
        Heat = "High-temperature silicone";

    private static readonly string Temporary = TypicalProducts.All.Single(p => p.Family == ProductFamily.TemporarySealant).Name;

    private static Joint Some(
        JointKind kind,
        Substrate one,
        Substrate other,
        bool sun = false,
        bool water = false,
        bool painted = false,
        bool structural = false
    ) => new("Joint", kind, 1000, one, other, 3, 0, sun, water, false, painted, structural, false, null, null, [], "");

    public static TheoryData<string, Joint, JointLies, FlangeBedding, double, string?, string[]> Rows =>
        new()
        {
            {
                "Painted seam of a roof, painted over: a sealant that takes sun and paint",
                Some(JointKind.Seam, Substrate.PaintedMetal, Substrate.PaintedMetal, sun: true, painted: true),
                JointLies.Flat,
                FlangeBedding.ButylAndLapSealant,
                20,
                Marine,
                [Marine, Hybrid]
            },
            {
                "Galvanised seam on a wall: what needs no primer there; nothing that levels itself, nothing acid",
                Some(JointKind.Seam, Substrate.GalvanisedSteel, Substrate.GalvanisedSteel, sun: true),
                JointLies.Upright,
                FlangeBedding.ButylAndLapSealant,
                20,
                Hybrid,
                [Hybrid, Marine, Neutral, Tape, Foam, Heat]
            },
            {
                "Flange of a roof vent, first school",
                Some(JointKind.RoofFlange, Substrate.PaintedMetal, Substrate.PlasticFrame, water: true),
                JointLies.Flat,
                FlangeBedding.ButylAndLapSealant,
                20,
                Butyl,
                [Butyl, Pu, Hybrid, Neutral, Lap, Tape, Foam]
            },
            {
                "The same, school of adhesives",
                Some(JointKind.RoofFlange, Substrate.PaintedMetal, Substrate.PlasticFrame, water: true),
                JointLies.Flat,
                FlangeBedding.Adhesive,
                20,
                Pu,
                [Butyl, Pu, Hybrid, Neutral, Lap, Tape, Foam]
            },
            {
                "The same on aluminium: polyurethane would want two primers",
                Some(JointKind.RoofFlange, Substrate.Aluminium, Substrate.PlasticFrame, water: true),
                JointLies.Flat,
                FlangeBedding.Adhesive,
                20,
                Neutral,
                [Butyl, Pu, Hybrid, Neutral, Lap, Tape, Foam]
            },
            {
                "The same, hybrid polymer as the habit",
                Some(JointKind.RoofFlange, Substrate.PaintedMetal, Substrate.PlasticFrame, water: true),
                JointLies.Flat,
                FlangeBedding.HybridPolymer,
                20,
                Hybrid,
                [Butyl, Pu, Hybrid, Neutral, Lap, Tape, Foam]
            },
            {
                "Flange of a grille in a wall: nothing that levels itself",
                Some(JointKind.SideFlange, Substrate.PaintedMetal, Substrate.PlasticFrame),
                JointLies.Upright,
                FlangeBedding.ButylAndLapSealant,
                20,
                Butyl,
                [Butyl, Pu, Hybrid, Neutral, Tape, Foam, Temporary]
            },
            {
                "Glass bonded to painted steel: what carries",
                Some(JointKind.BondedPane, Substrate.PaintedMetal, Substrate.Glass, structural: true),
                JointLies.Upright,
                FlangeBedding.ButylAndLapSealant,
                20,
                Pu,
                [Pu, Hybrid, Neutral, Foam]
            },
            {
                "Acrylic in the sun: polyurethane does not hold and fades, the hybrid with its primer does",
                Some(JointKind.BondedPane, Substrate.PaintedMetal, Substrate.Acrylic, sun: true, structural: true),
                JointLies.Upright,
                FlangeBedding.ButylAndLapSealant,
                20,
                Hybrid,
                [Hybrid, Neutral, Foam]
            },
            {
                "Polycarbonate in the sun: silicone of which nobody said that it does not craze it stays off",
                Some(JointKind.BondedPane, Substrate.PaintedMetal, Substrate.Polycarbonate, sun: true, structural: true),
                JointLies.Upright,
                FlangeBedding.ButylAndLapSealant,
                20,
                Hybrid,
                [Hybrid, Foam]
            },
            {
                "Plate of a flue: only what stands the heat",
                Some(JointKind.RoofFlange, Substrate.PaintedMetal, Substrate.PaintedMetal, water: true) with
                {
                    HotC = 200,
                },
                JointLies.Flat,
                FlangeBedding.ButylAndLapSealant,
                20,
                Heat,
                [Heat]
            },
            {
                "Seam below the floor: nothing that levels itself",
                Some(JointKind.Seam, Substrate.PaintedMetal, Substrate.PaintedMetal, painted: true),
                JointLies.Overhead,
                FlangeBedding.ButylAndLapSealant,
                20,
                Marine,
                [Marine, Pu, Hybrid]
            },
            {
                "The painted seam at 3 C: nothing that has to be warmer, so nothing lasting",
                Some(JointKind.Seam, Substrate.PaintedMetal, Substrate.PaintedMetal, sun: true, painted: true),
                JointLies.Flat,
                FlangeBedding.ButylAndLapSealant,
                3,
                null,
                []
            },
            {
                "The flange at 38 C: polyurethane and hybrid must not be laid",
                Some(JointKind.RoofFlange, Substrate.PaintedMetal, Substrate.PlasticFrame, water: true),
                JointLies.Flat,
                FlangeBedding.Adhesive,
                38,
                Neutral,
                [Butyl, Neutral, Tape, Foam]
            },
        };

    [Theory, MemberData(nameof(Rows))]
    public void The_first_choice_and_what_may_be_taken_are_what_a_fitter_says(
        string what,
        Joint joint,
        JointLies lies,
        FlangeBedding school,
        double airC,
        string? best,
        string[] may
    )
    {
        SealantAdvice advice = SealantChoice.Of(joint, TypicalProducts.All, school, airC, LengthFormat.Millimetres, lies).Value!.Result;
        Assert.True(what.Length > 0);
        Assert.Equal(
            may.Order(StringComparer.Ordinal),
            advice.Rows.Where(r => r.Rank is not null).Select(r => r.Product).Order(StringComparer.Ordinal)
        );
        Assert.Equal(best, advice.Best);
        Assert.All(advice.Rows.Where(r => r.Rank is null), r => Assert.NotEmpty(r.RuledOut));
        Assert.DoesNotContain(Acetoxy, may);
        Assert.DoesNotContain(may, m => (m is Lap or Coating) && lies != JointLies.Flat);
        Assert.DoesNotContain(Putty, may);
    }

    [Fact]
    public void How_a_joint_lies_follows_from_its_panel() =>
        Assert.Equal(
            [JointLies.Flat, JointLies.Overhead, JointLies.Upright, JointLies.Upright],
            new[] { Facing.Up, Facing.Down, Facing.Left, Facing.Rear }.Select(JointPreparation.LiesOn)
        );

    [Fact]
    public void Every_joint_has_its_preparation_and_old_silicone_comes_off_first()
    {
        IReadOnlyList<string> Of(Joint joint, JointLies lies = JointLies.Upright) =>
            SealantChoice
                .Of(joint, TypicalProducts.All, FlangeBedding.ButylAndLapSealant, 20, LengthFormat.Millimetres, lies)
                .Value!.Result.Preparation;
        Joint seam = Some(JointKind.Seam, Substrate.GalvanisedSteel, Substrate.PaintedMetal, sun: true);
        string[] usual = [.. Of(seam)];
        Assert.Equal(
            [
                "Clean",
                "Abrade",
                "Prime bare metal, at every scratch too",
                "Mask both sides of the bead.",
                "Tool it in one go before it skins, then pull the tape while it is wet.",
            ],
            usual.Select(s =>
                s.EndsWith('.') && s.StartsWith("Mask", StringComparison.Ordinal) || s.StartsWith("Tool", StringComparison.Ordinal)
                    ? s
                    : s.Split(':')[0]
            )
        );
        Joint old = seam with { History = [new JointEvent(new DateOnly(2026, 4, 11), JointEventKind.Sealed, ProductFamily.NeutralSilicone, "", "")] };
        Assert.StartsWith("Old silicone is there: strip it", Of(old)[0]);
        Joint pane = Some(JointKind.BondedPane, Substrate.PaintedMetal, Substrate.Polycarbonate, structural: true);
        Assert.Contains(Of(pane), s => s.Contains("polycarbonate with soap and water only", StringComparison.Ordinal));
        Assert.Contains(Of(pane), s => s.StartsWith("Its own primer on polycarbonate", StringComparison.Ordinal));
        // Tape is rolled, not tooled.
        Assert.Contains(Of(Some(JointKind.SideFlange, Substrate.PaintedMetal, Substrate.PlasticFrame)), s =>
            s.Contains("roller", StringComparison.Ordinal)
        );
        Assert.DoesNotContain(Of(Some(JointKind.DoorSeal, Substrate.PaintedMetal, Substrate.PaintedMetal)), s =>
            s.StartsWith("Clean", StringComparison.Ordinal)
        );
    }
}
