using Abri.Core.Geometry;
using Abri.Core.Sealing;
using Abri.Core.Shell;

namespace Abri.Core.Metal;

/// <summary>The joint that a repair makes, for Sealing.</summary>
public static class RepairJoints
{
    /// <summary>Thickness of a bedding that is pressed, mm: assumption.</summary>
    private const double BeddingMm = 2;

    /// <summary>The joint, or null where a repair makes none.</summary>
    /// <param name="id">Id of the repair.</param>
    /// <param name="repair">The repair.</param>
    /// <param name="panel">Its panel.</param>
    public static Joint? Of(string id, Repair repair, Panel panel)
    {
        (JointKind Kind, string Name, double LengthMm, double GapMm)? joint = repair.Kind switch
        {
            RepairKind.Patch or RepairKind.Plate => (JointKind.PatchEdge, "patch edge", PatchEdgeMm(repair, panel), Patch.BondMm),
            RepairKind.Gutter => (JointKind.Gutter, "bead", Outlines.LengthMm(repair.Points), repair.Seam!.WideMm),
            RepairKind.Trim when repair.Trim!.BeddingWideMm > 0 => (JointKind.ClipRow, "bedding", Outlines.LengthMm(repair.Points), BeddingMm),
            RepairKind.Plug => (JointKind.Penetration, "holes", Math.PI * repair.Holes!.DiameterMm * repair.Points.Count, BeddingMm),
            _ => null,
        };
        if (joint is not var (kind, name, length, gap) || length < 1)
            return null;
        Substrate skin = OfferedJoints.Skin(panel.Material);
        bool welded = repair.Patch?.Join == PatchJoin.WeldedLap;
        return new Joint(
            $"{repair.Name}: {name}",
            kind,
            length,
            skin,
            kind == JointKind.PatchEdge && repair.Patch!.Metal == SheetMetal.Aluminium ? Substrate.Aluminium : skin,
            gap,
            0,
            panel.Facing is not Facing.Down,
            kind == JointKind.Gutter,
            kind == JointKind.ClipRow,
            skin == Substrate.PaintedMetal && kind != JointKind.ClipRow,
            kind == JointKind.PatchEdge && !welded,
            kind == JointKind.Gutter,
            new JointOf(JointOfKind.Repair, id),
            null,
            [],
            ""
        );
    }

    private static double PatchEdgeMm(Repair repair, Panel panel)
    {
        IReadOnlyList<PanelPoint> edge = Patch.Edge(new PatchSite(panel, [], repair.Damage, repair.Patch!));
        return Outlines.LengthMm([.. edge, edge[0]]);
    }
}
