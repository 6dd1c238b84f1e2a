using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;

namespace Abri.Core.Sealing;

/// <summary>A fitted or planned opening as the joints see it.</summary>
/// <param name="Opening">The opening.</param>
/// <param name="Fitting">Its fitting, unturned.</param>
public sealed record JointedOpening(Opening Opening, Fitting Fitting);

/// <summary>Reads the joints of a panel off its seams, gutters, openings and findings.</summary>
/// <remarks>
/// A joint is offered until one that belongs to the same thing is written down. Length: of a seam along its middle, of a flange its perimeter. Screwed and clamped flanges are held by their fasteners and do not move; a bonded pane moves by the difference of thermal
/// expansion (<see cref="BondThickness"/>), and its bond is as thick as that asks for, at least <see cref="LeastBondMm"/>. Sides: painted skin where it is steel, and painted over again. The flange shades its bedding, and the black border of glass its bond. All assumptions, to be changed where somebody knows better.
/// </remarks>
public static class OfferedJoints
{
    /// <summary>Least thickness of a bond, mm: common practice.</summary>
    public const double LeastBondMm = 3;

    private const double SeamGapMm = 3, BeddingMm = 3;

    /// <summary>The joints of a panel that nobody wrote down yet.</summary>
    /// <param name="panel">The panel.</param>
    /// <param name="members">Its members.</param>
    /// <param name="openings">Its openings.</param>
    /// <param name="findings">What was found on it.</param>
    /// <param name="kept">Joints of the panel that are written down.</param>
    public static IReadOnlyList<Joint> Of(Panel panel, IReadOnlyList<Member> members, IReadOnlyList<JointedOpening> openings, IReadOnlyList<Finding> findings, IReadOnlyList<Joint> kept)
    {
        Substrate skin = Skin(panel.Material);
        bool sun = panel.Facing is not Facing.Down;
        IEnumerable<Joint> all = members.Where(m => m.Kind is MemberKind.Seam or MemberKind.RainGutter).Select(m => OfMember(m, skin, sun))
            .Concat(openings.Select(o => OfOpening(panel, o, skin, sun)))
            .Concat(findings.Where(f => f.State is FindingState.Open or FindingState.Planned).Select(f => OfFinding(f, skin, sun)).OfType<Joint>());
        HashSet<string> taken = [.. kept.Select(j => j.Of).OfType<string>()];
        return [.. all.Where(j => !taken.Contains(j.Of!))];
    }

    /// <summary>What a skin offers to a sealant: steel is painted.</summary>
    public static Substrate Skin(SkinMaterial material) => material switch
    {
        SkinMaterial.Aluminium => Substrate.Aluminium,
        SkinMaterial.GlassReinforcedPlastic => Substrate.GlassReinforcedPlastic,
        SkinMaterial.PlywoodSkin => Substrate.Timber,
        _ => Substrate.PaintedMetal,
    };

    private static Joint OfMember(Member m, Substrate skin, bool sun)
    {
        bool gutter = m.Kind == MemberKind.RainGutter;
        PanelBox box = PanelBox.Of(MemberOutline.Of(m.Footprint));
        double length = m.Footprint.Shape == FootprintShape.Spine ? Outlines.LengthMm(m.Footprint.Points) : Math.Max(box.WidthMm, box.HeightMm);
        return new Joint(m.Name, gutter ? JointKind.Gutter : JointKind.Seam, length, skin, skin, SeamGapMm, 0, sun, gutter, false, skin == Substrate.PaintedMetal, false, false, m.Name, null, [], "");
    }

    private static Joint OfOpening(Panel panel, JointedOpening o, Substrate skin, bool sun)
    {
        Fitting fitting = o.Fitting.Turned(o.Opening.TurnDeg);
        double longest = Math.Max(fitting.Flange.WidthMm, fitting.Flange.HeightMm), length = fitting.Flange.PerimeterMm;
        if (fitting.Kind == FittingKind.BondedWindow)
        {
            Pane pane = fitting.Bonded?.Pane ?? Pane.Glass;
            BondLine bond = BondThickness.Of(pane, panel.Material, longest).Result;
            return new Joint($"{o.Opening.Name}: bond", JointKind.BondedPane, length, skin, pane == Pane.Acrylic ? Substrate.Acrylic : Substrate.Glass, Math.Max(LeastBondMm, bond.LeastMm), bond.MovementMm, sun && pane == Pane.Acrylic, false, false, false, true, true, o.Opening.Name, null, [], "");
        }
        Substrate frame = fitting.Kind switch
        {
            FittingKind.Hatch => skin,
            FittingKind.Flue => Substrate.PaintedMetal,
            _ => Substrate.PlasticFrame,
        };
        bool roof = panel.Facing == Facing.Up;
        return new Joint($"{o.Opening.Name}: flange", roof ? JointKind.RoofFlange : JointKind.SideFlange, length, skin, frame, BeddingMm, 0, false, roof, false, false, false, true, o.Opening.Name, null, [], "");
    }

    private static Joint? OfFinding(Finding f, Substrate skin, bool sun) => f.Kind switch
    {
        FindingKind.OpenSeam or FindingKind.CrackedSealant => new Joint(f.Name, JointKind.Seam, f.Measures.LengthMm ?? Outlines.LengthMm(f.Points), skin, skin, SeamGapMm, 0, sun, false, false, skin == Substrate.PaintedMetal, false, false, f.Name, null, [], ""),
        FindingKind.MissingSeal or FindingKind.OpenHole => new Joint(f.Name, JointKind.Penetration, Math.PI * (f.Measures.LengthMm ?? 10), skin, Substrate.PlasticFrame, SeamGapMm, 0, sun, false, true, false, false, false, f.Name, null, [], ""),
        _ => null,
    };
}
