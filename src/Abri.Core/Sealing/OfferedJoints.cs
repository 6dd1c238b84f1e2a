using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;

namespace Abri.Core.Sealing;

/// <summary>A fitted or planned opening as the joints see it.</summary>
/// <param name="Id">Id of the opening.</param>
/// <param name="Opening">The opening.</param>
/// <param name="Fitting">Its fitting, unturned.</param>
public sealed record JointedOpening(string Id, Opening Opening, Fitting Fitting);

/// <summary>Reads the joints of a panel off its seams, gutters, openings and findings.</summary>
/// <remarks>
/// The seams and door seals that every such shell has (<see cref="ShellSeams"/>), drawn seams and gutters, flanges and bonds, and findings. A joint
/// is
/// offered until one that belongs to the same thing is written down. Length: of a seam along its middle, of a flange its perimeter. Screwed and
/// clamped
/// flanges are held by their fasteners and do not move; a bonded pane moves by the difference of thermal expansion (<see cref="BondThickness"/>), and
/// its bond is as thick as that asks for, at least <see cref="PaneBond.LeastThickMm"/>. Sides: painted skin where it is steel, and painted over
/// again. The flange shades its bedding, and the black border of glass its bond. All assumptions, to be changed where somebody knows better.
/// </remarks>
public static class OfferedJoints
{
    /// <summary>How hot the flange of a flue's plate gets, C: assumption; the appliance's sheet comes first.</summary>
    public const double FlueC = 200;

    private const double SeamGapMm = 3,
        BeddingMm = 3;

    /// <summary>The joints of a panel that nobody wrote down yet.</summary>
    /// <param name="panel">The panel.</param>
    /// <param name="members">Its members.</param>
    /// <param name="openings">Its openings.</param>
    /// <param name="findings">What was found on it.</param>
    /// <param name="kept">Joints of the panel that are written down.</param>
    public static IReadOnlyList<Joint> Of(
        Panel panel,
        IReadOnlyList<Stored<Member>> members,
        IReadOnlyList<JointedOpening> openings,
        IReadOnlyList<Stored<Finding>> findings,
        IReadOnlyList<Joint> kept
    )
    {
        Substrate skin = Skin(panel.Material);
        bool sun = panel.Facing is not Facing.Down;
        IEnumerable<Joint> all = ShellSeams
            .Of(panel)
            .Select(seam => OfShell(seam, skin, sun))
            .Concat(members.Where(m => m.Value.Kind is MemberKind.Seam or MemberKind.RainGutter).Select(m => OfMember(m, skin, sun)))
            .Concat(openings.Select(o => OfOpening(panel, o, skin, sun)))
            .Concat(
                findings.Where(f => f.Value.State is FindingState.Open or FindingState.Planned).Select(f => OfFinding(f, skin, sun)).OfType<Joint>()
            );
        HashSet<JointOf> taken = [.. kept.Select(j => j.Of).OfType<JointOf>()];
        return [.. all.Where(j => !taken.Contains(j.Of!))];
    }

    /// <summary>What a skin offers to a sealant: steel is painted.</summary>
    public static Substrate Skin(SkinMaterial material) =>
        material switch
        {
            SkinMaterial.Aluminium => Substrate.Aluminium,
            SkinMaterial.GlassReinforcedPlastic => Substrate.GlassReinforcedPlastic,
            SkinMaterial.PlywoodSkin => Substrate.Timber,
            _ => Substrate.PaintedMetal,
        };

    /// <summary>What a pane offers to a sealant.</summary>
    internal static Substrate Of(Pane pane) =>
        pane switch
        {
            Pane.Acrylic => Substrate.Acrylic,
            Pane.Polycarbonate => Substrate.Polycarbonate,
            _ => Substrate.Glass,
        };

    private static Joint OfShell(ShellSeam seam, Substrate skin, bool sun) =>
        new(
            seam.Name,
            seam.Kind == ShellSeamKind.DoorSeal ? JointKind.DoorSeal : JointKind.Seam,
            Outlines.LengthMm(seam.Line),
            skin,
            skin,
            SeamGapMm,
            0,
            sun,
            false,
            false,
            seam.Kind == ShellSeamKind.Seam && skin == Substrate.PaintedMetal,
            false,
            false,
            SeamAt(seam.At),
            null,
            [],
            ""
        );

    /// <summary>The seam of the shell along a side of its panel, as what a joint belongs to.</summary>
    public static JointOf SeamAt(Side side) => new(JointOfKind.ShellSeam, char.ToLowerInvariant(side.ToString()[0]) + side.ToString()[1..]);

    private static Joint OfMember(Stored<Member> row, Substrate skin, bool sun)
    {
        Member m = row.Value;
        bool gutter = m.Kind == MemberKind.RainGutter;
        PanelBox box = PanelBox.Of(MemberOutline.Of(m.Footprint));
        double length = m.Footprint.Shape == FootprintShape.Spine ? Outlines.LengthMm(m.Footprint.Points) : Math.Max(box.WidthMm, box.HeightMm);
        return new Joint(
            m.Name,
            gutter ? JointKind.Gutter : JointKind.Seam,
            length,
            skin,
            skin,
            SeamGapMm,
            0,
            sun,
            gutter,
            false,
            skin == Substrate.PaintedMetal,
            false,
            false,
            new JointOf(JointOfKind.Member, row.Id),
            null,
            [],
            ""
        );
    }

    private static Joint OfOpening(Panel panel, JointedOpening o, Substrate skin, bool sun) =>
        OfFitting(panel, o.Fitting.Turned(o.Opening.TurnDeg), o.Opening.Name, skin, sun) with
        {
            Of = new JointOf(JointOfKind.Opening, o.Id),
        };

    /// <summary>The joint of a fitting, turned as it is placed, in a panel.</summary>
    internal static Joint OfFitting(Panel panel, Fitting fitting, string name) =>
        OfFitting(panel, fitting, name, Skin(panel.Material), panel.Facing is not Facing.Down);

    private static Joint OfFitting(Panel panel, Fitting fitting, string name, Substrate skin, bool sun)
    {
        double length = fitting.Flange.PerimeterMm;
        if (fitting.Kind == FittingKind.BondedWindow)
        {
            Pane pane = fitting.Bonded?.Pane ?? Pane.Glass;
            PaneBondPlan bond = PaneBond.Of(fitting, panel.Material, null, LengthFormat.Millimetres).Result;
            return new Joint(
                $"{name}: bond",
                JointKind.BondedPane,
                length,
                skin,
                Of(pane),
                bond.ThickMm,
                bond.MovementMm,
                sun && pane != Pane.Glass,
                false,
                false,
                false,
                true,
                true,
                null,
                null,
                [],
                ""
            );
        }
        Substrate frame = fitting.Kind switch
        {
            FittingKind.Hatch => skin,
            FittingKind.Flue => Substrate.PaintedMetal,
            _ => Substrate.PlasticFrame,
        };
        bool roof = panel.Facing == Facing.Up;
        return new Joint(
            $"{name}: flange",
            roof ? JointKind.RoofFlange : JointKind.SideFlange,
            length,
            skin,
            frame,
            BeddingMm,
            0,
            false,
            roof,
            false,
            false,
            false,
            true,
            null,
            null,
            [],
            "",
            fitting.Kind == FittingKind.Flue && fitting.HeatMm > 0 ? FlueC : null
        );
    }

    private static Joint? OfFinding(Stored<Finding> row, Substrate skin, bool sun)
    {
        Finding f = row.Value;
        var of = new JointOf(JointOfKind.Finding, row.Id);
        bool painted = skin == Substrate.PaintedMetal;
        return f.Kind switch
        {
            FindingKind.OpenSeam or FindingKind.CrackedSealant => new Joint(
                f.Name,
                JointKind.Seam,
                f.Measures.LengthMm ?? Outlines.LengthMm(f.Points),
                skin,
                skin,
                SeamGapMm,
                0,
                sun,
                false,
                false,
                painted,
                false,
                false,
                of,
                null,
                [],
                ""
            ),
            FindingKind.MissingSeal or FindingKind.OpenHole => new Joint(
                f.Name,
                JointKind.Penetration,
                Math.PI * (f.Measures.LengthMm ?? 10),
                skin,
                Substrate.PlasticFrame,
                SeamGapMm,
                0,
                sun,
                false,
                true,
                false,
                false,
                false,
                of,
                null,
                [],
                ""
            ),
            _ => null,
        };
    }
}
