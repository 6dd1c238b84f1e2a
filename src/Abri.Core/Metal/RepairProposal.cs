using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Metal;

/// <summary>Which kinds of repair a place allows.</summary>
/// <param name="Shape">How the place is given.</param>
/// <param name="Kinds">The kinds.</param>
public sealed record KindsOfShape(FindingShape Shape, IReadOnlyList<RepairKind> Kinds);

/// <summary>Proposes a repair for what was found in metal: a start, to be looked at and changed.</summary>
/// <remarks>What nobody measured is left open, so that the rules ask for it: nothing is taken for sound.</remarks>
public static class RepairProposal
{
    private const double BeadWideMm = 12,
        BeadDeepMm = 6,
        ClipMm = 300,
        PaneMm = 4,
        SealMm = 14;

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
        Repair bare = Repair.At(finding.Name, RepairKind.Leave, finding.Shape, finding.Points) with
        {
            LengthMm = finding.Measures.LengthMm,
            WidthMm = finding.Measures.WidthMm,
            Spot = found is RepairKind.Treat or RepairKind.Patch ? Spot(finding, panel) : null,
            FindingIds = [id],
        };
        return As(bare, found, panel);
    }

    /// <summary>Half of the square that a repair begins with where somebody points, mm: assumption.</summary>
    private const double HalfMm = 30;

    /// <summary>A repair where somebody points: a patch over a small square, to be changed.</summary>
    /// <param name="panel">The panel.</param>
    /// <param name="at">Where.</param>
    public static Repair At(Panel panel, PanelPoint at)
    {
        PanelPoint[] around = PanelBox.Around(at, 2 * HalfMm, 2 * HalfMm).Corners;
        return As(Repair.At("Repair", RepairKind.Leave, FindingShape.Area, around), RepairKind.Patch, panel);
    }

    /// <summary>Kinds of repair that the shape of a place allows: what runs along it wants a line.</summary>
    /// <param name="shape">How the place is given.</param>
    /// <param name="onDoor">Whether its panel is a door.</param>
    public static IReadOnlyList<RepairKind> Kinds(FindingShape shape, bool onDoor) =>
        [
            .. Enum.GetValues<RepairKind>()
                .Where(k =>
                    k switch
                    {
                        RepairKind.Gutter or RepairKind.Trim => shape == FindingShape.Line,
                        RepairKind.WindowOut => shape == FindingShape.Area,
                        RepairKind.Door => onDoor,
                        _ => true,
                    }
                ),
        ];

    /// <summary>The same by shape, on a panel.</summary>
    /// <param name="panel">The panel.</param>
    public static IReadOnlyList<KindsOfShape> KindsByShape(Panel panel) =>
        [.. Enum.GetValues<FindingShape>().Select(s => new KindsOfShape(s, Kinds(s, panel.IsDoor)))];

    /// <summary>The same repair done in another way: what that way needs is there to be filled in, and what was typed stays.</summary>
    /// <param name="repair">The repair.</param>
    /// <param name="kind">The other way.</param>
    /// <param name="panel">Its panel.</param>
    public static Repair As(Repair repair, RepairKind kind, Panel panel)
    {
        SheetMetal metal = MetalOf(panel.Material);
        PatchDesign patch = repair.Patch ?? PatchDesign.Usual(panel.SkinMm) with { Metal = metal };
        return repair with
        {
            Kind = kind,
            Spot = repair.Spot ?? (kind is RepairKind.Treat or RepairKind.Patch or RepairKind.Plate ? Unknown(panel) : null),
            Patch = kind switch
            {
                RepairKind.Plate => patch with
                {
                    Shape = HoleShape.NoHole,
                    Join = patch.Join == PatchJoin.ButtOnStrip ? PatchJoin.BondedAndRiveted : patch.Join,
                },
                RepairKind.Patch when patch.Shape == HoleShape.NoHole => patch with { Shape = HoleShape.SquareRectangle },
                RepairKind.Patch => patch,
                _ => repair.Patch,
            },
            Holes = repair.Holes ?? (kind == RepairKind.Plug ? Row(repair.LengthMm, panel) : null),
            Seam = repair.Seam ?? (kind == RepairKind.Gutter ? Bead : null),
            Trim = repair.Trim ?? (kind == RepairKind.Trim ? Clips : null),
            Window = repair.Window ?? (kind == RepairKind.WindowOut ? Bonded : null),
            Door = repair.Door ?? (kind == RepairKind.Door ? Unread : null),
        };
    }

    private static SeamRun Bead => new(BeadWideMm, BeadDeepMm, 0);

    private static OldWindow Bonded => new(WindowHeld.Adhesive, PaneMm, false, false, AfterWindow.NewWindow, false, []);

    private static DoorFit Unread => new(SealMm, false, false, []);

    private static TrimRun Clips => new(TrimHeld.Clips, ClipMm, 0);

    private static HoleRow Row(double? diameterMm, Panel panel) =>
        new(Math.Clamp(diameterMm ?? DamageOutline.UsualMm, 1, 200), panel.SkinMm, MetalOf(panel.Material), false, false, null);

    /// <summary>Metal of which nobody said anything.</summary>
    private static RustSpot Unknown(Panel panel) =>
        new(RustGrade.Begun, false, panel.SkinMm, null, RustDegree.All[4].UpToPercent, 0, false, false, false, false, []);

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
