using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;
using NetTopologySuite.Geometries;

namespace Abri.Core.Metal;

/// <summary>What the rules say of a patch where it lies: what it is cut out of, what it lands on, and how water runs over its edges.</summary>
/// <remarks>
/// Structure, keep-outs and joints are never cut or drilled; secondary ribs stay and may be riveted to. Water: the upper sheet lies over the
/// lower one,
/// so that an edge that looks up hill lies under the skin or folds up behind what is above, and one that looks down hill lies over it: common
/// practice.
/// Up and down hill are taken at the patch's middle, as the vehicle stands: by gravity on walls, by the slope of the surface on the roof.
/// </remarks>
internal static class PatchRules
{
    /// <summary>Fall below which water stands rather than runs, degrees: assumption.</summary>
    public const double LeastFallDeg = 1;

    /// <summary>How directly an edge has to look up or down hill, as the cosine: less is a side edge. Assumption, 60 degrees.</summary>
    private const double Facing60 = 0.5;

    private const double SlopeReachMm = 50,
        HairMm2 = 1;

    /// <summary>Whether a member is not cut: all but swages, which are part of the skin.</summary>
    public static bool StaysWhole(Member m) => m.Role != MemberRole.Pressed;

    /// <summary>Whether a member is not drilled: all but secondary ribs and swages.</summary>
    public static bool NeverDrilled(Member m) => m.Role is MemberRole.Structural or MemberRole.KeepOut;

    /// <summary>Whether a member holds the body or people: its repair is for a licensed workshop.</summary>
    public static bool IsStructure(Member m) => m.Role == MemberRole.Structural || Member.IsAlwaysUncut(m.Kind);

    /// <summary>The rows.</summary>
    public static IEnumerable<Judgement> Of(
        PatchSite site,
        Patch.PatchFrame frame,
        IReadOnlyList<PanelPoint> edge,
        IReadOnlyList<IReadOnlyList<PanelPoint>> holes,
        PatchRivets? rivets,
        LengthFormat lengths
    ) =>
        [
            .. OnMembers(site),
            .. Landing(site, edge, holes),
            Lap(site, rivets, lengths),
            .. Sheet(site, lengths),
            .. OnCurve(site, frame, lengths),
            .. Joining(site, lengths),
            .. Edges(site, frame, edge),
        ];

    /// <summary>Whether water runs against an edge of a patch.</summary>
    public static bool RunsAgainst(PatchSite site, Patch.PatchFrame frame) =>
        Edges(site, frame, frame.Edge).Any(row => row.Id is "edge-upper" or "edge-folded-in" && row.State != JudgementState.Good);

    private static IEnumerable<Judgement> OnMembers(PatchSite site)
    {
        Polygon damage = Plane.Polygon(site.Damage);
        foreach (Member m in site.Members)
        {
            IReadOnlyList<PanelPoint> outline = MemberOutline.Of(m.Footprint);
            double shared = damage.Intersection(Plane.Polygon(outline)).Area;
            if (shared < HairMm2)
                continue;
            Mark[] where = [new Mark(outline, true)];
            bool structure = IsStructure(m);
            yield return m.Role == MemberRole.Pressed
                ? Row(
                    "on-swage",
                    JudgementState.NeedsWork,
                    $"{m.Name} runs through it",
                    "A flat patch over a swage stands hollow.",
                    "Press the same swage into the patch, or fill what stays hollow with panel adhesive.",
                    where
                )
                : Row(
                    structure ? "on-structure" : "on-member",
                    structure ? JudgementState.Blocked : JudgementState.NeedsWork,
                    $"the damage reaches onto {m.Name}",
                    structure
                        ? "It carries the shell: it is not cut, patched or drilled by somebody without a licence, and inspection looks for it."
                        : "It stays whole, and the sheet on it with it: what rusts there has to be treated before the patch covers it.",
                    structure
                        ? "Clean and protect it, and have it repaired by a licensed workshop; patch only the skin beside it."
                        : "Strip and prime the rib from both holes, then close.",
                    where
                );
        }
    }

    private static IEnumerable<Judgement> Landing(PatchSite site, IReadOnlyList<PanelPoint> edge, IReadOnlyList<IReadOnlyList<PanelPoint>> holes)
    {
        NetTopologySuite.Geometries.Geometry patch = Plane.Polygon(edge),
            off = Plane.Difference(patch, Plane.Polygon(site.Panel.Outline));
        if (off.Area > HairMm2)
            yield return Row(
                "lap-on-nothing",
                JudgementState.Blocked,
                "the patch reaches over the panel's edge",
                "There is no sheet for it to lie on.",
                "Fold that side at the edge, or take a smaller lap there.",
                Marks(off)
            );
        foreach (IReadOnlyList<PanelPoint> cut in site.Cuts ?? [])
        {
            NetTopologySuite.Geometries.Geometry shared = patch.Intersection(Plane.Polygon(cut));
            if (shared.Area > HairMm2)
                yield return Row(
                    "lap-on-hole",
                    JudgementState.Blocked,
                    "the patch lies over another opening",
                    "There is no sheet for it to lie on, and the frame of the opening would stand on the patch's edge.",
                    "Move the opening, or let its hole take in the damage.",
                    Marks(shared)
                );
        }
        if (holes.Count > 1)
            yield return Row(
                "hole-parted",
                JudgementState.NeedsWork,
                $"{holes.Count} holes, with what stays between them",
                "Members are not cut: the hole ends beside them.",
                "Cut the holes one by one; one patch covers all.",
                [.. holes.Select(h => new Mark(h, true))]
            );
        if (holes.Count == 0 && site.Design.Shape != HoleShape.NoHole)
            yield return Row(
                "hole-none",
                JudgementState.Blocked,
                "nothing can be cut out here",
                "All of it lies on members that are not cut.",
                "Treat it, or put a plate over it: choose No hole.",
                []
            );
    }

    private static Judgement Lap(PatchSite site, PatchRivets? rivets, LengthFormat lengths)
    {
        double lap = site.Design.Lap,
            wanted = rivets is null ? PatchDesign.UsualLapMm(PatchJoin.WeldedLap) : 4 * rivets.Rivet.DiameterMm;
        bool good = lap >= wanted - 1e-9;
        return new Judgement(
            "lap",
            good ? JudgementState.Good : JudgementState.Blocked,
            "lap",
            lap,
            wanted,
            Unit.Mm,
            rivets is null ? "Less than that leaves no edge to weld." : "Two rivet diameters to either edge, or they tear out.",
            good ? null : $"Take at least {lengths.Text(wanted)}.",
            []
        );
    }

    private static IEnumerable<Judgement> Sheet(PatchSite site, LengthFormat lengths)
    {
        PatchDesign design = site.Design;
        bool light = site.Panel.Material == SkinMaterial.Aluminium;
        if (light != (design.Metal == SheetMetal.Aluminium))
            yield return Row(
                "two-metals",
                JudgementState.NeedsWork,
                $"{(light ? "steel" : "aluminium")} on {(light ? "aluminium" : "steel")}",
                "Where two metals touch and get wet, one of them is eaten.",
                "Take the metal of the skin; or prime both, adhesive all over the lap, rivets of aluminium with sealant on each.",
                []
            );
        if (design.SheetMm < site.Panel.SkinMm - 1e-9)
            yield return new Judgement(
                "thinner",
                JudgementState.NeedsWork,
                "thinner than the skin",
                design.SheetMm,
                site.Panel.SkinMm,
                Unit.Mm,
                "It drums and dents before the skin does.",
                $"Take {lengths.Text(site.Panel.SkinMm)} or the next size up.",
                []
            );
        if (design.Joggled && design.Lap < LeastJoggledLapMm)
            yield return new Judgement(
                "joggle",
                JudgementState.NeedsWork,
                "lap for a joggled edge",
                design.Lap,
                LeastJoggledLapMm,
                Unit.Mm,
                "A joggling tool sets down about 12 mm; the step itself takes the rest.",
                $"Take at least {lengths.Text(LeastJoggledLapMm)}, or leave the edge flat.",
                []
            );
    }

    /// <summary>Least lap of an edge that is set down, mm: common practice, a tool of 12 mm and the step.</summary>
    private const double LeastJoggledLapMm = 15;

    /// <summary>Sheet thinner than this is backed before it is welded, mm: common practice.</summary>
    private const double ThinMm = 1;

    /// <summary>On a curve sheet has to be formed, and is longer than it is drawn.</summary>
    private static IEnumerable<Judgement> OnCurve(PatchSite site, Patch.PatchFrame frame, LengthFormat lengths)
    {
        PanelBox box = PanelBox.Of(frame.Edge);
        Surface skin = Skin(site.Panel);
        double Rise(double s, double t) =>
            Math.Abs(skin.HeightAt(box.Centre) - ((skin.HeightAt(box.Centre.Plus(s, t)) + skin.HeightAt(box.Centre.Plus(-s, -t))) / 2));
        double rise = Math.Max(Rise(box.WidthMm / 2, 0), Rise(0, box.HeightMm / 2));
        if (rise > FlatMm)
            yield return new Judgement(
                "on-curve",
                JudgementState.NeedsWork,
                "the skin is curved under it",
                rise,
                FlatMm,
                Unit.Mm,
                "Flat sheet stands off in its middle, or at its edges.",
                $"Roll it over a pipe to a rise of {lengths.Text(rise)} before it is drilled; mark the hole from the template laid on the skin.",
                []
            );
    }

    /// <summary>Rise that flat sheet follows by itself when it is riveted, mm: assumption.</summary>
    private const double FlatMm = 1;

    private static IEnumerable<Judgement> Joining(PatchSite site, LengthFormat lengths)
    {
        if (site.Design.Join != PatchJoin.WeldedLap)
            yield break;
        Nearby[] near = [.. site.Near ?? []];
        if (near.Contains(Nearby.Fuel) || near.Contains(Nearby.BrakeLine))
            yield return Row(
                "weld-near-fuel",
                JudgementState.Blocked,
                "fuel or a brake line within 300 mm",
                "Fuel burns, and a line that was heated fails.",
                "Bond and rivet it; or a licensed workshop takes them off first.",
                []
            );
        if (near.Contains(Nearby.Glass) || near.Contains(Nearby.Wiring))
            yield return Row(
                "weld-near-glass",
                JudgementState.NeedsWork,
                "glass or wiring within 300 mm",
                "Spatter burns into glass, heat through insulation.",
                "Take it out of the way, or cover it with a wet cloth and a board; sealant and foam nearby come off too.",
                []
            );
        if (site.Panel.Material == SkinMaterial.Aluminium || site.Design.Metal == SheetMetal.Aluminium)
            yield return Row(
                "weld-aluminium",
                JudgementState.Blocked,
                "aluminium is not welded like steel",
                "It wants another process, another gas and practice.",
                "Bond and rivet it.",
                []
            );
        else if (site.Panel.Material == SkinMaterial.GalvanisedSteel || site.Design.Metal == SheetMetal.GalvanisedSteel)
            yield return Row(
                "weld-zinc",
                JudgementState.NeedsWork,
                "zinc where it is welded",
                "Zinc burns to a fume that makes ill, and the weld turns porous.",
                "Grind the zinc off on both faces, 25 mm on either side, and weld in moving air with a fume mask; or bond and rivet it.",
                []
            );
        if (Math.Min(site.Panel.SkinMm, site.Design.SheetMm) < ThinMm)
            yield return new Judgement(
                "weld-thin",
                JudgementState.NeedsWork,
                "thin sheet burns through",
                Math.Min(site.Panel.SkinMm, site.Design.SheetMm),
                ThinMm,
                Unit.Mm,
                "The edge is gone before the hole closes.",
                $"A copper or aluminium backing plate behind it; spots only, with pauses; or bond and rivet it below {lengths.Text(ThinMm)}.",
                []
            );
    }

    /// <summary>Which way water runs at a place, as a direction on the panel, and by how many degrees it falls.</summary>
    internal static (double S, double T, double FallDeg) DownHill(Panel panel, Attitude? attitude, PanelPoint at)
    {
        (double pitch, double roll) = attitude is { } a ? (a.PitchDeg * Math.PI / 180, a.RollDeg * Math.PI / 180) : (0, 0);
        switch (panel.Facing)
        {
            case Facing.Left or Facing.Right:
                return (Math.Sin(pitch), -Math.Cos(pitch), 90);
            case Facing.Front or Facing.Rear:
                return (-Math.Sin(roll), -Math.Cos(roll), 90);
            default:
                Surface surface = Skin(panel);
                double Fall(double s, double t) => (surface.HeightAt(at.Plus(s, t)) - surface.HeightAt(at.Plus(-s, -t))) / (2 * SlopeReachMm);
                double down = -Fall(SlopeReachMm, 0) + Math.Sin(pitch),
                    across = -Fall(0, SlopeReachMm) - Math.Sin(roll),
                    steep = Math.Sqrt((down * down) + (across * across));
                return steep < 1e-9 ? (0, 0, 0) : (down / steep, across / steep, Math.Atan(steep) * 180 / Math.PI);
        }
    }

    /// <summary>The skin without its swages: the flank of one does not say which way a roof falls.</summary>
    private static Surface Skin(Panel panel) => Surface.Of(panel, []);

    private static IEnumerable<Judgement> Edges(PatchSite site, Patch.PatchFrame frame, IReadOnlyList<PanelPoint> edge)
    {
        if (site.Panel.Facing == Facing.Down)
        {
            yield return Row(
                "edges-below",
                JudgementState.NeedsWork,
                "road spray reaches every edge",
                "Below the vehicle no edge sheds water.",
                "Seal every edge, and coat it.",
                []
            );
            yield break;
        }
        (double s, double t, double fall) = DownHill(site.Panel, site.Attitude, frame.Centre);
        if (fall < LeastFallDeg)
        {
            yield return new Judgement(
                "edges-level",
                JudgementState.NeedsWork,
                "water stands along its edges",
                fall,
                LeastFallDeg,
                Unit.Degrees,
                "As the vehicle stands there is hardly any fall here.",
                "A fillet of sealant along every edge, smoothed to the sheet; or park so that it falls.",
                []
            );
            if (fall == 0)
                yield break;
        }
        bool flush = site.Design.Join == PatchJoin.ButtOnStrip;
        var stretches = new List<(string Id, JudgementState State, string Title, string Why, string? Remedy, Mark Where)>();
        foreach ((PanelPoint from, PanelPoint to, IReadOnlyList<Fold> folds) in Stretches(frame, edge))
        {
            double length = from.DistanceMm(to);
            // The corners run anticlockwise: what lies to the right of the way is outside.
            double looks = length < 1e-9 ? 0 : (((to.TMm - from.TMm) * s) - ((to.SMm - from.SMm) * t)) / length;
            var where = new Mark([from, to], false);
            if (Math.Abs(looks) < Facing60)
                continue;
            bool up = looks < 0;
            stretches.Add(
                folds.Count > 0 ? Folded(up, folds[0].To, where)
                : flush
                    ? (
                        "edge-flush",
                        JudgementState.NeedsWork,
                        "a flush edge across the run of the water",
                        "Water stands in the gap.",
                        "Fill the gap flush with sealant and paint over it.",
                        where
                    )
                : up
                    ? site.Design.UpperEdge == EdgeLie.UnderTheSkin
                            ? (
                                "edge-upper",
                                JudgementState.Good,
                                "the upper edge lies under the skin",
                                "Water runs from sheet to patch.",
                                null,
                                where
                            )
                        : (
                            "edge-upper",
                            JudgementState.NeedsWork,
                            "the upper edge lies over the skin",
                            "Water runs against it, and only the bead keeps it out.",
                            "Slip the upper edge under the skin, fold it up behind what lies above, or lay a fillet that sheds "
                                + "and look at it every year.",
                            where
                        )
                : ("edge-lower", JudgementState.Good, "the lower edge lies over the skin", "Water runs off over it.", null, where)
            );
        }
        foreach (var group in stretches.GroupBy(r => (r.Id, r.State)))
        {
            var first = group.First();
            yield return Row(first.Id, first.State, first.Title, first.Why, first.Remedy, [.. group.Select(r => r.Where)]);
        }
    }

    private static (string, JudgementState, string, string, string?, Mark) Folded(bool up, FoldTo to, Mark where) =>
        (up, to) switch
        {
            (true, FoldTo.Outside) => (
                "edge-folded-up",
                JudgementState.Good,
                "the upper edge folds up behind what lies above",
                "What lies above sheds over it.",
                null,
                where
            ),
            (true, FoldTo.Inside) => (
                "edge-folded-in",
                JudgementState.NeedsWork,
                "the upper edge folds in",
                "Water runs into the fold, and only the bead keeps it out.",
                "Lap what lies above over it, or fold it outwards behind that.",
                where
            ),
            (false, FoldTo.Inside) => (
                "edge-drips",
                JudgementState.Good,
                "the lower edge folds in and drips",
                "Water leaves at the fold.",
                null,
                where
            ),
            _ => (
                "edge-holds",
                JudgementState.NeedsWork,
                "the lower edge folds up",
                "As the vehicle stands water runs into the fold and stays there.",
                "A fillet in the fold that leads it out at one end; park so that it falls the other way.",
                where
            ),
        };

    private static IEnumerable<(PanelPoint From, PanelPoint To, IReadOnlyList<Fold> Folds)> Stretches(
        Patch.PatchFrame frame,
        IReadOnlyList<PanelPoint> edge
    )
    {
        if (frame.IsRectangle)
        {
            for (int i = 0; i < 4; i++)
            {
                (PanelPoint from, PanelPoint to) = frame.SideAt(i);
                yield return (from, to, frame.Site.Design.Own(Patch.PatchFrame.Order[i]).Folds);
            }
            yield break;
        }
        IReadOnlyList<PanelPoint> way = Outlines.SignedAreaMm2(edge) > 0 ? edge : [.. edge.Reverse()];
        for (int i = 0; i < way.Count; i++)
            yield return (way[i], way[(i + 1) % way.Count], []);
    }

    private static Mark[] Marks(NetTopologySuite.Geometries.Geometry area) => [.. Plane.Parts(area.Each()).Select(p => new Mark(p.Outline, true))];

    private static Judgement Row(string id, JudgementState state, string title, string why, string? remedy, IReadOnlyList<Mark> where) =>
        new(id, state, title, null, null, Unit.Mm, why, remedy, where);
}
