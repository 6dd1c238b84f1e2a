using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Metal;

/// <summary>Proposes a repair for what was found in metal: a start, to be looked at and changed.</summary>
/// <remarks>What nobody measured is left open, so that the rules ask for it: nothing is taken for sound.</remarks>
public static class RepairProposal
{
    private const double BeadWideMm = 12,
        BeadDeepMm = 6,
        ClipMm = 300;

    /// <summary>The repair, or null where a finding is not about metal.</summary>
    /// <param name="id">Id of the finding.</param>
    /// <param name="finding">The finding.</param>
    /// <param name="panel">Its panel.</param>
    public static Repair? Of(string id, Finding finding, Panel panel)
    {
        RepairKind? kind = finding.Kind switch
        {
            FindingKind.SurfaceRust or FindingKind.Scale or FindingKind.Pitting => RepairKind.Treat,
            FindingKind.Perforation => RepairKind.Patch,
            FindingKind.OpenHole => RepairKind.Plug,
            FindingKind.OpenSeam or FindingKind.CrackedSealant when finding.Shape == FindingShape.Line => RepairKind.Gutter,
            FindingKind.LooseClip when finding.Shape == FindingShape.Line => RepairKind.Trim,
            _ => null,
        };
        if (kind is not { } found || !IsMetal(panel.Material))
            return null;
        SheetMetal metal = MetalOf(panel.Material);
        return new Repair(
            finding.Name,
            found,
            finding.Shape,
            finding.Points,
            finding.Measures.LengthMm,
            finding.Measures.WidthMm,
            found is RepairKind.Treat or RepairKind.Patch ? Spot(finding, panel) : null,
            found == RepairKind.Patch ? PatchDesign.Usual(panel.SkinMm) with { Metal = metal } : null,
            found == RepairKind.Plug
                ? new HoleRow(Math.Clamp(finding.Measures.LengthMm ?? DamageOutline.UsualMm, 1, 200), panel.SkinMm, metal, false, false, null)
                : null,
            found == RepairKind.Gutter ? new SeamRun(BeadWideMm, BeadDeepMm, 0) : null,
            found == RepairKind.Trim ? new TrimRun(TrimHeld.Clips, ClipMm, 0) : null,
            RepairState.Planned,
            null,
            [id],
            ""
        );
    }

    /// <summary>Whether a skin is metal.</summary>
    public static bool IsMetal(SkinMaterial skin) => skin is SkinMaterial.MildSteel or SkinMaterial.GalvanisedSteel or SkinMaterial.Aluminium;

    /// <summary>The sheet that goes with a skin.</summary>
    internal static SheetMetal MetalOf(SkinMaterial skin) =>
        skin switch
        {
            SkinMaterial.Aluminium => SheetMetal.Aluminium,
            SkinMaterial.GalvanisedSteel => SheetMetal.GalvanisedSteel,
            _ => SheetMetal.MildSteel,
        };

    private static RustSpot Spot(Finding finding, Panel panel)
    {
        PanelBox box = PanelBox.Of(DamageOutline.Of(finding.Shape, finding.Points, finding.Measures.LengthMm, finding.Measures.WidthMm));
        bool through = finding.Kind == FindingKind.Perforation;
        double? left = through || finding.Measures.DepthMm is not { } pit ? null : Math.Max(0.01, panel.SkinMm - pit);
        return new RustSpot(
            finding.Kind switch
            {
                FindingKind.SurfaceRust => RustGrade.Begun,
                FindingKind.Scale => RustGrade.FewPits,
                _ => RustGrade.ManyPits,
            },
            finding.Kind == FindingKind.Scale,
            panel.SkinMm,
            left,
            through ? 100 : 20,
            through ? Math.Min(2000, Math.Max(box.WidthMm, box.HeightMm)) : 0,
            false,
            false,
            false,
            false,
            []
        );
    }
}
