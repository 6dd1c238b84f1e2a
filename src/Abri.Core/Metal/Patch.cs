using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;
using NetTopologySuite.Algorithm;
using NetTopologySuite.Geometries;

namespace Abri.Core.Metal;

/// <summary>Everything that decides how a patch comes out.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
/// <param name="Damage">Outline of what is damaged.</param>
/// <param name="Design">What somebody decided.</param>
/// <param name="Attitude">How the vehicle stands as parked; null for level.</param>
/// <param name="Cuts">Outlines of holes that are there or planned, such as openings; null for none.</param>
/// <param name="Lengths">How lengths are written in sentences; null for millimetres.</param>
/// <param name="Near">What lies within 300 mm; null for nothing known.</param>
public sealed record PatchSite(
    Panel Panel,
    [Members] IReadOnlyList<Member> Members,
    [Count(3, Limits.MostPoints, "Damage has 3 to 500 corners.")] IReadOnlyList<PanelPoint> Damage,
    PatchDesign Design,
    Attitude? Attitude = null,
    [Count(0, 200, "At most 200 other holes lie on a panel.")] IReadOnlyList<IReadOnlyList<PanelPoint>>? Cuts = null,
    LengthFormat? Lengths = null,
    [Count(0, 8, "At most 8 things lie near a spot.")] IReadOnlyList<Nearby>? Near = null
);

/// <summary>Rivets of a patch.</summary>
/// <param name="Rivet">The rivet.</param>
/// <param name="EdgeMm">From the patch's edge to the row, mm.</param>
/// <param name="PitchMm">Greatest distance from one to the next, mm.</param>
/// <param name="Places">Where, on the panel.</param>
/// <param name="Buy">How many to buy: with one in ten to spare.</param>
public sealed record PatchRivets(RivetSize Rivet, double EdgeMm, double PitchMm, IReadOnlyList<PanelPoint> Places, int Buy);

/// <summary>A patch worked out.</summary>
/// <param name="Holes">Outlines of what is cut out, on the panel; several where a member is kept between, none for a plate.</param>
/// <param name="Patch">Its edge on the panel; along a folded side the corner of the fold.</param>
/// <param name="TurnDeg">By how much it is turned against the panel, degrees; 0 for a grown outline.</param>
/// <param name="Centre">Middle of its blank, on the panel.</param>
/// <param name="DamageMm2">Area of the damage, mm2.</param>
/// <param name="HoleMm2">Area that is cut out, mm2.</param>
/// <param name="LapMm2">Area in which it lies on the sheet, mm2.</param>
/// <param name="CutMm">Length of the cuts, mm.</param>
/// <param name="EdgeMm">Length of its edge, mm.</param>
/// <param name="AdhesiveMl">Adhesive in the lap, ml; 0 where it is welded.</param>
/// <param name="MassKg">Mass of the patch, kg.</param>
/// <param name="Rivets">Its rivets; null where it is welded.</param>
/// <param name="Weld">Its weld; null where it is riveted.</param>
/// <param name="Blank">What is cut out of the sheet, in a frame of its own: along and across the patch, from its middle.</param>
/// <param name="BlankHoles">Rivet holes in that frame.</param>
/// <param name="Strip">Edges of the backing strip of a butt joint on the panel, outer then inner; none otherwise.</param>
/// <param name="Rows">What the rules say, worst first.</param>
/// <param name="Verdict">The patch in a sentence.</param>
public sealed record PatchPlan(
    IReadOnlyList<IReadOnlyList<PanelPoint>> Holes,
    IReadOnlyList<PanelPoint> Patch,
    double TurnDeg,
    PanelPoint Centre,
    double DamageMm2,
    double HoleMm2,
    double LapMm2,
    double CutMm,
    double EdgeMm,
    double AdhesiveMl,
    double MassKg,
    PatchRivets? Rivets,
    WeldPlan? Weld,
    FlatBlank Blank,
    IReadOnlyList<PanelPoint> BlankHoles,
    IReadOnlyList<IReadOnlyList<PanelPoint>> Strip,
    IReadOnlyList<Judgement> Rows,
    string Verdict
);

/// <summary>Designs a patch from the damage outwards: the hole, the lap, what it lands on, how water runs over it, how it is fastened, its
/// blank.</summary>
/// <remarks>
/// Hole: the damage grown by the cut-back, corners rounded in and out; or the rectangle of least area round it (an edge of the convex hull lies along
/// one side: Freeman and Shapira 1975), moved out by the cut-back. Members that may not be cut stay, with <see cref="SawMm"/> beside them. Patch: the
/// hole grown by the lap. Rows at half the lap, at least two rivet diameters from the edge. Adhesive: the lap, <see cref="BondMm"/> thick, a fifth
/// more for waste. Areas and outlines: geometry, arcs as polygons that lie nowhere inside them.
/// </remarks>
/// <example>Damage of 60 x 25: a hole of 100 x 65 and a patch of 150 x 115 with a lap of 25.</example>
public static class Patch
{
    /// <summary>Kept between a cut and a member that stays, mm: assumption, what a jigsaw's blade and foot need.</summary>
    public const double SawMm = 5;

    /// <summary>Adhesive between patch and sheet when pressed, mm: assumption.</summary>
    public const double BondMm = 1;

    /// <summary>Gap all round a patch that lies flush, mm: assumption, filled with sealant.</summary>
    public const double ButtGapMm = 1;

    private const double SliverMm2 = 25,
        Waste = 1.2;

    /// <summary>The patch.</summary>
    public static Result<Worked<PatchPlan>> Of(PatchSite site)
    {
        LengthFormat lengths = site.Lengths ?? LengthFormat.Millimetres;
        if (ShellCheck.Of(site.Panel, site.Members) is { } shell)
            return shell;
        if (Outlines.Check(site.Damage, "/damage") is { } crossed)
            return crossed;
        for (int i = 0; i < (site.Cuts?.Count ?? 0); i++)
        {
            if (Outlines.Check(site.Cuts![i], $"/cuts/{i}") is { } bent)
                return bent;
        }
        if (PlaceCheck.Of(site.Panel, site.Damage, "damage-off-panel", "/damage") is { } off)
            return off;
        if (site.Panel.Material is SkinMaterial.GlassReinforcedPlastic or SkinMaterial.PlywoodSkin)
            return new Problem(
                "skin-not-metal",
                "/panel/material",
                "The skin is not metal: plastic is laminated and plywood is pieced, not patched with sheet."
            );
        PatchDesign design = site.Design;
        var sheet = new Worksheet();
        var frame = PatchFrame.Of(site);
        sheet.Step("a", "turn of the patch", frame.IsRectangle ? "direction of least area" : "0", frame.TurnDeg, "degrees");
        NetTopologySuite.Geometries.Geometry members = Plane.Union([
            .. site.Members.Where(PatchRules.StaysWhole).Select(m => Plane.Grown(Plane.Polygon(MemberOutline.Of(m.Footprint)), SawMm)),
        ]);
        NetTopologySuite.Geometries.Geometry whole = frame.Hole,
            cut = members.IsEmpty ? whole : Plane.Difference(whole, members);
        bool isParted = cut.Area < whole.Area - SliverMm2;
        IReadOnlyList<PanelPoint>[] holes =
            design.Shape == HoleShape.NoHole
                ? []
                : [.. Plane.Parts(cut.Each()).Where(p => p.AreaMm2 > SliverMm2).Select(p => isParted ? Eased(p, design.CornerMm) : p.Outline)];
        double damage = sheet.Step("A_d", "area of the damage", "polygon", Math.Abs(Outlines.SignedAreaMm2(site.Damage)), "mm2"),
            hole = sheet.Step("A_h", "area that is cut out", "sum of the holes", holes.Sum(h => Math.Abs(Outlines.SignedAreaMm2(h))), "mm2");
        IReadOnlyList<PanelPoint> edge = frame.Edge;
        double patchArea = sheet.Step("A_p", "area of the patch", "polygon", Math.Abs(Outlines.SignedAreaMm2(edge)), "mm2"),
            around = sheet.Step("P", "length of its edge", "sum of the sides", Outlines.LengthMm([.. edge, edge[0]]), "mm");
        bool butt = design.Join == PatchJoin.ButtOnStrip;
        IReadOnlyList<IReadOnlyList<PanelPoint>> strip = butt ? [frame.Grown(design.Lap), frame.Grown(-design.Lap)] : [];
        double lapArea = sheet.Step(
            "A_l",
            "area in which it lies on the sheet",
            butt ? "outer less inner edge of the strip" : "A_p - A_h",
            butt ? Math.Abs(Outlines.SignedAreaMm2(strip[0])) - Math.Abs(Outlines.SignedAreaMm2(strip[1])) : patchArea - hole,
            "mm2"
        );
        bool welded = design.Join == PatchJoin.WeldedLap;
        double adhesive = welded
            ? 0
            : sheet.Step("V", "adhesive", $"A_l * {BondMm:0.#} mm * {Waste:0.0} / 1000", lapArea * BondMm * Waste / 1000, "ml");

        PatchRivets? rivets = null;
        WeldPlan? weld = null;
        if (welded)
        {
            if (!WeldOrder.Of(edge, site.Panel.SkinMm, lengths).IsOk(out Worked<WeldPlan>? plan, out Problem? wrong))
                return wrong;
            sheet.Take(plan);
            weld = plan.Result;
        }
        else
        {
            double[] sheets = butt ? [design.SheetMm, design.SheetMm] : [site.Panel.SkinMm, design.SheetMm];
            if (!Rivets.Chosen(sheets, BondMm, sheet, lengths).IsOk(out RivetSize? size, out Problem? tooThick))
                return tooThick with { Pointer = "/design/sheetMm" };
            double row = sheet.Step(
                "e",
                "edge distance of the row",
                "half the lap, at least 2 d",
                Math.Max(design.Lap / 2, 2 * size.DiameterMm),
                "mm"
            );
            rivets = Row(site, frame, size, row, sheet);
        }
        if (
            !FlatBlanks
                .Of(frame.Blank(), lengths, i => $"{site.Panel.Facing.Name(PatchFrame.Order[i])} side")
                .IsOk(out Worked<FlatBlank>? blank, out Problem? bad)
        )
            return bad with { Pointer = "/design/sides" };
        sheet.Take(blank);
        double mass = sheet.Step("m", "mass", "A * T * density", blank.Result.AreaMm2 * design.SheetMm * Density(design.Metal) / 1e6, "kg");
        sheet.Cite(new Source("Cut-back 20 mm; lap 25 mm bonded and riveted, 12 mm welded; corners of at least 10 mm", SourceKind.CommonPractice));
        sheet.Cite(new Source("Rivet of 3 t, edge 2 d, distance 3 d to 25 mm where it seals", SourceKind.CommonPractice));
        sheet.Cite(new Source("5 mm beside members, bond of 1 mm, a fifth more for waste", SourceKind.Assumption));
        sheet.Cite(new Source("Density: steel 7.85, aluminium 2.70 kg/dm3", SourceKind.FromMemory));
        Judgement[] rows = [.. PatchRules.Of(site, frame, edge, holes, rivets, lengths).Concat(blank.Result.Rows).OrderByDescending(r => r.State)];
        return sheet.Finish(
            new PatchPlan(
                holes,
                edge,
                frame.TurnDeg,
                frame.Centre,
                damage,
                hole,
                lapArea,
                holes.Sum(h => Outlines.LengthMm([.. h, h[0]])),
                around,
                adhesive,
                mass,
                rivets,
                weld,
                blank.Result,
                rivets is null ? [] : [.. rivets.Places.Select(frame.ToBlank).Where(p => !butt || Outlines.Encloses(blank.Result.Outline, p))],
                strip,
                rows,
                Sentence(site, frame, holes.Length, rivets, weld, blank.Result, mass, lengths)
            )
        );
    }

    /// <summary>Whether water runs against an edge of a patch, so that only its bead keeps it out.</summary>
    internal static bool RunsAgainst(PatchSite site) => PatchRules.RunsAgainst(site, PatchFrame.Of(site));

    /// <summary>The edge of a patch on its panel, without the rest.</summary>
    public static IReadOnlyList<PanelPoint> Edge(PatchSite site) => PatchFrame.Of(site).Edge;

    /// <summary>A hole with its corners rounded where a member cuts into it; one that is too narrow for that stays as it is.</summary>
    private static IReadOnlyList<PanelPoint> Eased(RegionPart hole, double radiusMm)
    {
        IReadOnlyList<RegionPart> rounded = Plane.Parts(Plane.Polygon(hole).Buffer(-radiusMm, 16).Buffer(radiusMm, 16).Each());
        return rounded.Count == 1 ? rounded[0].Outline : hole.Outline;
    }

    private static PatchRivets Row(PatchSite site, PatchFrame frame, RivetSize size, double rowMm, Worksheet sheet)
    {
        NetTopologySuite.Geometries.Geometry blocked = Plane.Union([
            .. site
                .Members.Where(PatchRules.NeverDrilled)
                .Select(m => Plane.Grown(Plane.Polygon(MemberOutline.Of(m.Footprint)), 2 * size.DiameterMm)),
            // A side whose lap is too narrow for a row is held by its flange.
            .. frame.NarrowSides(2 * size.DiameterMm).Select(side => Plane.Polygon(side)),
        ]);
        // A butt has a row in the sheet and one in the patch; a lap has one.
        (IReadOnlyList<PanelPoint> Places, double PitchMm)[] rows =
        [
            .. (site.Design.Join == PatchJoin.ButtOnStrip ? new[] { rowMm, -rowMm } : [double.NaN])
                .Select(by => double.IsNaN(by) ? frame.Inset(rowMm) : frame.Grown(by))
                .Select(ring => RowLine.Of(ring, blocked, Rivets.MostPitchMm(RivetDuty.Seal), size.DiameterMm, frame.Corners)),
        ];
        PanelPoint[] places = [.. rows.SelectMany(r => r.Places)];
        sheet.Step("p", "greatest distance from rivet to rivet", "run / least number of parts", rows.Max(r => r.PitchMm), "mm");
        sheet.Step("N", "rivets", "parts of each run, and its end", places.Length, "count");
        return new PatchRivets(size, rowMm, rows.Max(r => r.PitchMm), places, Rivets.WithSpare(places.Length));
    }

    /// <summary>Density, kg/dm3.</summary>
    private static double Density(SheetMetal metal) => metal == SheetMetal.Aluminium ? 2.70 : 7.85;

    private static string Sentence(
        PatchSite site,
        PatchFrame frame,
        int holes,
        PatchRivets? rivets,
        WeldPlan? weld,
        FlatBlank blank,
        double mass,
        LengthFormat lengths
    )
    {
        (double holeWide, double holeHigh) = frame.HoleSize;
        string cut = holes switch
        {
            0 => "No hole",
            1 => $"Hole {lengths.Text(holeWide)} by {lengths.Text(holeHigh)}",
            _ => $"{holes} holes, {lengths.Text(holeWide)} by {lengths.Text(holeHigh)} over all",
        };
        string held = rivets is not null
            ? $"{rivets.Places.Count} rivets of {lengths.Text(rivets.Rivet.DiameterMm)}"
            : $"{weld!.Spots.Count} spots of weld";
        string folds = blank.FoldLines.Count > 0 ? $", {blank.FoldLines.Count} {(blank.FoldLines.Count == 1 ? "fold" : "folds")}" : "";
        return $"{cut}; blank {lengths.Text(blank.WidthMm)} by {lengths.Text(blank.HeightMm)} of "
            + $"{lengths.Text(site.Design.SheetMm)} sheet{folds}; {held}; "
            + $"{mass:0.00} kg.";
    }

    /// <summary>The frame in which a patch is drawn, and its outlines.</summary>
    internal sealed record PatchFrame(
        PatchSite Site,
        bool IsRectangle,
        double TurnDeg,
        PanelPoint Centre,
        NetTopologySuite.Geometries.Geometry Hole,
        PanelBox HoleBox,
        PanelBox PatchBox,
        IReadOnlyList<PanelPoint> Edge
    )
    {
        private const int MostCorners = 40;

        public (double Wide, double High) HoleSize => (HoleBox.WidthMm, HoleBox.HeightMm);

        private PatchDesign Design => Site.Design;

        private double Round => Design.CornerMm;

        public static PatchFrame Of(PatchSite site)
        {
            PatchDesign design = site.Design;
            Polygon damage = Plane.Polygon(site.Damage);
            double lap = design.Join == PatchJoin.ButtOnStrip ? -ButtGapMm : design.Lap;
            if (!design.IsRectangle)
            {
                // Corners that stick out are rounded by growing again what was shrunk, corners that go in the other way about.
                double r = design.CornerMm;
                NetTopologySuite.Geometries.Geometry grown = Plane.Grown(damage, design.CutBackMm + r).Buffer(-r, 16);
                NetTopologySuite.Geometries.Geometry hole = Outer(grown.Buffer(r, 16).Buffer(-r, 16));
                IReadOnlyList<PanelPoint> edge = Plane.Parts(Outer(lap > 0 ? Plane.Grown(hole, lap) : hole.Buffer(lap, 16)).Each())[0].Outline;
                PanelBox box = PanelBox.Of(edge);
                return new PatchFrame(site, false, 0, box.Centre, hole, PanelBox.Of(Plane.Parts(hole.Each())[0].Outline), box, edge);
            }
            double turn = design.Shape == HoleShape.LeastRectangle ? LeastTurn(damage) : 0;
            PanelPoint[] own = [.. site.Damage.Select(p => Turned(p, -turn))];
            double cutBack(Side side) => design.Own(side).CutBackMm ?? design.CutBackMm;
            double lapAt(Side side) => design.Own(side).LapMm ?? lap;
            PanelBox holeBox = PanelBox.Of(own).Grown(new PerSide(cutBack(Side.Front), cutBack(Side.Rear), cutBack(Side.Top), cutBack(Side.Bottom)));
            PanelBox patchBox = holeBox.Grown(new PerSide(lapAt(Side.Front), lapAt(Side.Rear), lapAt(Side.Top), lapAt(Side.Bottom)));
            Polygon holeArea = Plane.Polygon([.. Rounded(holeBox, design.CornerMm, _ => false).Select(p => Turned(p, turn))]);
            return new PatchFrame(
                site,
                true,
                turn,
                Turned(patchBox.Centre, turn),
                holeArea,
                holeBox,
                patchBox,
                [.. Rounded(patchBox, Math.Max(0, design.CornerMm + lap), side => design.Own(side).Folds.Count > 0).Select(p => Turned(p, turn))]
            );
        }

        /// <summary>The hole's outline moved out, or in where negative, mm.</summary>
        public IReadOnlyList<PanelPoint> Grown(double byMm) => Plane.Parts(Outer(Hole.Buffer(byMm, 16)).Each())[0].Outline;

        /// <summary>The patch's edge moved in, mm.</summary>
        public IReadOnlyList<PanelPoint> Inset(double byMm) => Plane.Parts(Outer(Plane.Polygon(Edge).Buffer(-byMm, 16)).Each())[0].Outline;

        /// <summary>Corners of a rectangle on the panel; none of a grown outline.</summary>
        public IReadOnlyList<PanelPoint> Corners => IsRectangle ? [.. PatchBox.Corners.Select(p => Turned(p, TurnDeg))] : [];

        /// <summary>Strips along sides whose lap is too narrow for a row of rivets.</summary>
        /// <param name="edgeMm">Least distance from a rivet to either edge, mm.</param>
        public IEnumerable<IReadOnlyList<PanelPoint>> NarrowSides(double edgeMm)
        {
            foreach (PatchSide side in Design.Sides.Where(s => s.LapMm < 2 * edgeMm && Design.Join == PatchJoin.BondedAndRiveted))
            {
                PanelBox strip = side.Side switch
                {
                    Side.Front => PatchBox with { SMaxMm = HoleBox.SMinMm + edgeMm },
                    Side.Rear => PatchBox with { SMinMm = HoleBox.SMaxMm - edgeMm },
                    Side.Top => PatchBox with { TMinMm = HoleBox.TMaxMm - edgeMm },
                    _ => PatchBox with { TMaxMm = HoleBox.TMinMm + edgeMm },
                };
                yield return [.. strip.Grown(1).Corners.Select(p => Turned(p, TurnDeg))];
            }
        }

        /// <summary>A place on the panel in the frame of the blank.</summary>
        public PanelPoint ToBlank(PanelPoint p)
        {
            PanelPoint own = Turned(p, -TurnDeg),
                middle = Turned(Centre, -TurnDeg);
            return own.Plus(-middle.SMm, -middle.TMm);
        }

        /// <summary>Sides of a rectangle in the order of its corners.</summary>
        public static IReadOnlyList<Side> Order { get; } = [Side.Bottom, Side.Rear, Side.Top, Side.Front];

        /// <summary>The piece of sheet, folded.</summary>
        public BlankDesign Blank()
        {
            if (!IsRectangle)
                return new BlankDesign([.. Edge.Select(ToBlank)], [], Design.SheetMm, BendMetal.MildSteel, 0);
            return new BlankDesign(
                [.. PatchBox.Corners.Select(p => ToBlank(Turned(p, TurnDeg)))],
                [.. Order.Select((side, i) => new FoldedEdge(i, Design.Own(side).Folds)).Where(e => e.Folds.Count > 0)],
                Design.SheetMm,
                BendMetal.MildSteel,
                Math.Max(0, Round + (Design.Join == PatchJoin.ButtOnStrip ? -ButtGapMm : Design.Lap))
            );
        }

        /// <summary>A side of the patch on the panel, from corner to corner.</summary>
        public (PanelPoint From, PanelPoint To) SideAt(int i)
        {
            PanelPoint[] corners = PatchBox.Corners;
            return (Turned(corners[i], TurnDeg), Turned(corners[(i + 1) % 4], TurnDeg));
        }

        /// <summary>The outer edge of the largest piece.</summary>
        private static Polygon Outer(NetTopologySuite.Geometries.Geometry area) =>
            Plane.Polygon(Plane.Parts(area.Each()).OrderByDescending(p => p.AreaMm2).First().Outline);

        /// <summary>By how much the rectangle of least area is turned against the panel, degrees from -45 to 45.</summary>
        private static double LeastTurn(Polygon damage)
        {
            Coordinate[] ring = MinimumAreaRectangle.GetMinimumRectangle(damage).Coordinates;
            double degrees = Math.Atan2(ring[1].Y - ring[0].Y, ring[1].X - ring[0].X) * 180 / Math.PI;
            double turn = degrees - (90 * Math.Round(degrees / 90));
            return Math.Abs(turn) < 1e-9 ? 0 : turn;
        }

        private static PanelPoint Turned(PanelPoint p, double degrees)
        {
            if (degrees == 0)
                return p;
            (double sin, double cos) = Math.SinCos(degrees * Math.PI / 180);
            return new PanelPoint((p.SMm * cos) - (p.TMm * sin), (p.SMm * sin) + (p.TMm * cos));
        }

        /// <summary>A rectangle with round corners, but for those that a folded side meets.</summary>
        private static IEnumerable<PanelPoint> Rounded(PanelBox box, double radiusMm, Func<Side, bool> folded)
        {
            double r = Math.Min(radiusMm, Math.Min(box.WidthMm, box.HeightMm) / 2);
            PanelPoint[] corners = box.Corners;
            for (int i = 0; i < 4; i++)
            {
                if (r <= 0 || folded(Order[i]) || folded(Order[(i + 3) % 4]))
                {
                    yield return corners[i];
                    continue;
                }
                PanelPoint c = corners[i],
                    centre = c.Plus(i is 0 or 3 ? r : -r, i < 2 ? r : -r);
                const int pieces = 16;
                for (int k = 0; k <= pieces; k++)
                {
                    double angle = Math.PI * (1 + (i / 2.0) + (k / (2.0 * pieces)));
                    yield return centre.Plus(r * Math.Cos(angle), r * Math.Sin(angle));
                }
            }
        }
    }
}
