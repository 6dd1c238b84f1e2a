using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Procedures;

/// <summary>A replacement, and how it is done.</summary>
/// <param name="Plan">What is cut out, and what goes in.</param>
/// <param name="Procedure">How, step by step.</param>
/// <param name="ScrewMm">Length of the screws through the new boards, mm.</param>
/// <param name="Screws">How many.</param>
public sealed record FloorJob(ReplacementPlan Plan, Procedure Procedure, double ScrewMm, int Screws);

/// <summary>Writes how bad wood of a floor is replaced: from the leak that wetted it to the joint that is closed.</summary>
/// <remarks>
/// The order is common practice: what wetted the wood is found first; below is looked at before a saw is set; what carries is mended, one at a time
/// and propped, before a board goes on; new wood is coated all round before it goes in, end grain twice; nothing is sealed from below, so that water
/// finds its way out. Screws 150 mm apart along edges and 300 mm within, two and a half times the board long and never through the bearer. Coats as
/// in <see cref="TypicalWoodCoats"/>.
/// </remarks>
public static class ReplacementProcedure
{
    /// <summary>What to do with a piece of the wrong size.</summary>
    internal const string CutAgain = "Take it back to the line where it is too large; where it is too small, cut another: a gap is no joint.";

    private const double EdgePitchMm = 150,
        FieldPitchMm = 300,
        Coats = 2,
        BeadMm2 = 20,
        ScrewStepMm = 5,
        ShortOfMm = 5,
        BoardMm = 45;

    /// <summary>The job.</summary>
    public static Result<Worked<FloorJob>> Of(FloorSite site, Replacement replacement)
    {
        if (!FloorReplacement.Of(site, replacement).IsOk(out Worked<ReplacementPlan>? worked, out Problem? problem))
            return problem;
        ReplacementPlan plan = worked.Result;
        var sheet = new Worksheet();
        sheet.Take(worked);
        foreach (string warning in worked.Warnings)
            sheet.Warn(warning);
        double thick = replacement.Sheet.ThickMm,
            carried = site.Bearers.Select(b => Math.Abs(b.DepthMm)).Where(d => d > 0).DefaultIfEmpty(BoardMm).Min();
        double most = thick + carried - ShortOfMm;
        double screw = sheet.Step(
            "s",
            "screws",
            $"2.5 t, to {ScrewStepMm:0} mm, at most t + bearer - {ShortOfMm:0}",
            Math.Floor(Math.Min(Math.Ceiling(2.5 * thick / ScrewStepMm) * ScrewStepMm, most) / ScrewStepMm) * ScrewStepMm,
            "mm"
        );
        int screws = (int)sheet.Step("n", "screws", "150 mm apart along edges, 300 mm within", Screws(site, plan), "count");
        sheet.Cite(new Source("Screws two and a half times the board, 150 mm apart along edges and 300 mm within", SourceKind.CommonPractice));
        sheet.Cite(MinutesTable.Source);
        WorkStep[] steps = [.. Steps(site, replacement, plan, screw, screws)];
        Judgement[] blocked = [.. plan.Rows.Where(r => r.State == JudgementState.Blocked)];
        if (blocked.Length > 0)
        {
            string what = string.Join(" ", blocked.Select(r => $"{r.Title}: {r.Remedy}"));
            steps = [Inside("floor-mend", "Not yet", what, 1) with { Holds = [HoldPoint.Seen("Nothing is blocked any more")] }, .. steps];
        }
        return sheet.Finish(new FloorJob(plan, Procedure.Of(plan.Verdict, steps), screw, screws));
    }

    /// <summary>Screws of the new boards: along each bearer and timber below, closer where two boards meet or one ends.</summary>
    private static double Screws(FloorSite site, ReplacementPlan plan)
    {
        IReadOnlyList<PanelPoint>[] lines =
        [
            .. site.Bearers.Select(b => MemberOutline.Of(b.Footprint)),
            .. plan.Supports.Select(s => MemberOutline.Of(new Footprint(FootprintShape.Spine, s.Line, s.WideMm))),
        ];
        double count = 0;
        foreach (FloorPiece piece in plan.Pieces)
        {
            NetTopologySuite.Geometries.Geometry board = Plane.Polygon(piece.Outline);
            foreach (IReadOnlyList<PanelPoint> line in lines)
            {
                NetTopologySuite.Geometries.Geometry shared = board.Intersection(Plane.Polygon(line));
                if (shared.IsEmpty)
                    continue;
                PanelBox box = PanelBox.Of(shared.Coordinates.Select(c => new PanelPoint(c.X, c.Y)));
                // What the board's edge lies on is met at most half way.
                bool atEdge = shared.Area < 0.75 * Plane.Polygon(line).Intersection(Plane.Square(board, BoardMm)).Area;
                count += Math.Ceiling(Math.Max(box.WidthMm, box.HeightMm) / (atEdge ? EdgePitchMm : FieldPitchMm)) + 1;
            }
        }
        return count;
    }

    private static IEnumerable<WorkStep> Steps(FloorSite site, Replacement replacement, ReplacementPlan plan, double screw, int screws)
    {
        LengthFormat lengths = site.Format;
        Facing facing = site.Panel.Facing;
        NewSheet sheet = replacement.Sheet;
        double cutMm = plan.Edges.Where(e => e.On != EdgeOn.Joint).Sum(e => e.Line[0].DistanceMm(e.Line[1])),
            m2 = plan.AreaMm2 / 1e6,
            deepest = plan.Boards.Where(b => b.Fate != BoardFate.Stays).Select(b => b.SawDepthMm).DefaultIfEmpty(sheet.ThickMm).Max();
        yield return Inside("floor-leak", "Find what wetted it", "New wood over an old leak rots in its turn. Water says where to look.", 1) with
        {
            Holds = [HoldPoint.Seen("What made it wet is found and fixed, and a water test stayed dry")],
        };
        yield return WorkStep.Of(
            "floor-below",
            "Look from below",
            plan.Below.Count == 0
                ? "Nothing is drawn below the lines of the cut; look all the same: lines, wiring, tank, frame. Mark on top where each bearer runs."
                : $"Below the lines: {string.Join(", ", plan.Below)}. Move or shield them, and mark on top where they run.",
            WorkPlace.Outside,
            1,
            "Lamp",
            "Axle stands"
        ) with
        {
            Cautions = [Cautions.UnderTheVehicle],
            Holds =
            [
                HoldPoint.Seen("Nothing that can be hurt lies within a hand of a line"),
                .. plan.Below.Select(b => HoldPoint.Seen($"{b} is clear")),
            ],
        };
        yield return Inside(
            "floor-mark",
            "Mark the lines",
            string.Join(" ", plan.Edges.Select(e => Line(e, facing))) + " Check the diagonals where two lines meet square.",
            1,
            "Tape",
            "Straight-edge"
        );
        yield return Inside(
            "floor-cut",
            "Saw along the lines",
            $"Saw set to {lengths.Text(deepest)}: the board, and {lengths.Text(FloorReplacement.SawBelowMm)}. Screws in the line out first. "
                + "The last hand's breadth at a wall with an oscillating saw.",
            cutMm,
            "Plunge saw",
            "Oscillating saw"
        ) with
        {
            Cautions = [Cautions.CuttingWood],
            Holds =
            [
                HoldPoint.Within("Depth of the saw", deepest, 1, Unit.Mm).Else("Set the saw again: what lies below is a little deeper than that."),
            ],
        };
        yield return Inside(
            "floor-lift",
            "Lift the old boards",
            "Screws out, boards up in pieces, glue scraped and old screws ground level. Keep one whole edge as a template.",
            m2,
            "Scraper",
            "Lever"
        ) with
        {
            Cautions = [Cautions.CuttingWood],
        };
        foreach ((RottenMember member, int i) in plan.Members.Select((m, i) => (m, i)))
            yield return Mended(member, i, lengths);
        yield return Inside(
            "floor-dry",
            "Let it dry",
            $"Nothing is covered above {WoodMoisture.CoatPercent:0} % moisture. Air through, no plastic over it.",
            1,
            "Moisture meter"
        ) with
        {
            Holds =
            [
                new HoldPoint("Moisture of what stays", WoodMoisture.CoatPercent, WoodMoisture.CoatPercent, 0, Unit.Percent)
                {
                    IfMore = WoodMoisture.DryOn,
                },
            ],
        };
        if (plan.Supports.Count > 0)
            yield return Inside(
                "floor-timbers",
                "Let in the timbers",
                string.Join(
                    " ",
                    plan.Supports.GroupBy(s => (s.Kind, Length: Math.Round(s.LengthMm))).Select(g => Timbers(g.Key.Kind, [.. g], lengths))
                ) + " Screwed and glued, their tops level with the bearers.",
                plan.Supports.Count,
                "Saw",
                "Drill"
            ) with
            {
                Consumables =
                [
                    .. plan.Supports.Select(s => new Consumable(Materials.Timber(s.WideMm, s.HighMm), s.LengthMm)),
                    new Consumable(Materials.WoodAdhesive, Math.Ceiling(plan.Supports.Sum(s => s.LengthMm) * BeadMm2 / 1000)),
                    new Consumable(Materials.WoodScrew(80), 4 * plan.Supports.Count),
                ],
                Holds = [HoldPoint.Seen("A straight-edge over bearers and timbers rocks on none")],
            };
        yield return WorkStep.Of(
            "floor-boards",
            "Cut the new boards",
            string.Join(" ", plan.Pieces.Select(p => Piece(p, facing, lengths)))
                + $" From {lengths.Text(sheet.ThickMm)} sheet. Offer each up dry; notch and scribe it before it is coated.",
            WorkPlace.Bench,
            plan.Pieces.Count,
            "Track saw"
        ) with
        {
            Cautions = [Cautions.CuttingWood],
            Consumables =
            [
                new Consumable(
                    Materials.WoodSheet(sheet.Material.Name(), sheet.ThickMm, sheet.LengthMm, sheet.WidthMm),
                    SheetsNeeded.Of(plan.Pieces, sheet)
                ),
            ],
            Holds = [.. plan.Pieces.SelectMany(p => Sizes(p, facing))],
        };
        yield return WorkStep.Of(
            "floor-coat",
            "Coat them all round",
            $"{Coats:0} coats of marine varnish on the underside, all edges and the top; end grain once more. Cut edges of the old boards too.",
            WorkPlace.Bench,
            2 * m2 * Coats,
            "Brush"
        ) with
        {
            Cautions = [Cautions.Solvents],
            Consumables =
            [
                new Consumable(Materials.MarineVarnish, Math.Ceiling(2 * m2 * Coats * TypicalWoodCoats.VarnishMlPerM2 * RepairSteps.Waste)),
            ],
            Weather = RepairSteps.Dry,
            WaitHours = 24,
        };
        yield return Inside(
            "floor-fit",
            "Glue and screw them down",
            $"A bead on every bearer and timber, then {screws} screws of {lengths.Text(screw)}: {lengths.Text(EdgePitchMm)} apart along edges, "
                + $"{lengths.Text(FieldPitchMm)} within; drilled and countersunk. {lengths.Text(FloorReplacement.WallGapMm)} free at walls.",
            screws,
            "Drill",
            "Countersink"
        ) with
        {
            Cautions = [Cautions.Isocyanates],
            Consumables =
            [
                new Consumable(Materials.WoodScrew(screw), Math.Ceiling(screws * 1.1)),
                new Consumable(Materials.WoodAdhesive, Math.Ceiling(screws * FieldPitchMm * BeadMm2 / 1000)),
            ],
            WaitHours = 12,
        };
        yield return Inside(
            "floor-level",
            "Lay a straight-edge over the joints",
            "Across each joint, at both ends and in the middle.",
            1,
            "Straight-edge"
        ) with
        {
            Holds = [HoldPoint.Seen("No finger nail catches at a joint")],
        };
        yield return Inside(
            "floor-joint",
            "Fill the joints from above",
            "Flexible filler in the joints, nothing along the walls and nothing from below: what gets in must get out.",
            cutMm,
            "Filling knife"
        ) with
        {
            Consumables = [new Consumable(Materials.SeamSealer, Math.Ceiling(cutMm * BeadMm2 / 1000 / 4))],
        };
    }

    private static WorkStep Mended(RottenMember member, int i, LengthFormat lengths)
    {
        SplicePlan splice = member.Splice;
        return Inside(
            "floor-member",
            $"Repair {member.MemberName}",
            $"{splice.Verdict} Props under what it carries first. End grain sealed before it goes in."
                + (splice.Steel is { } steel ? $" Steel of {steel.Name} mm is as stiff, {steel.MassKgPerM:0.0} kg/m, where wood is not wanted." : ""),
            1,
            "Props",
            "Saw",
            "Drill"
        ) with
        {
            Key = $"floor-member-{i + 1}",
            People = 2,
            Cautions = [Cautions.Propped, Cautions.CuttingWood],
            Consumables =
            [
                new Consumable(Materials.Timber(member.WideMm, member.HighMm), splice.NewLengthMm),
                .. splice.Whole ? Array.Empty<Consumable>() : [new Consumable(Materials.Bolt, splice.BoltsEachEnd * Laps(splice))],
            ],
            Holds =
            [
                HoldPoint.Seen("Two places beyond each cut ring, and the awl stops"),
                HoldPoint.Within("New timber", splice.NewLengthMm, 3, Unit.Mm).Else(CutAgain),
            ],
        };
    }

    /// <summary>Ends of the old timber that stay.</summary>
    private static int Laps(SplicePlan splice) => (int)Math.Round((splice.NewLengthMm - (splice.CutToMm - splice.CutFromMm)) / splice.LapMm);

    private static string Line(CutEdge edge, Facing facing) =>
        $"{Capital(facing.Name(edge.Side))}: {(edge.Tape.Length == 0 ? edge.Carried : $"{edge.Tape}, {edge.Carried}")}.";

    private static string Timbers(SupportKind kind, IReadOnlyList<Support> all, LengthFormat lengths)
    {
        string what = kind switch
        {
            SupportKind.Blocking => "between bearers",
            SupportKind.Sister => "beside the bearer",
            _ => "as a bearer more",
        };
        return $"{all.Count} of {lengths.Number(all[0].WideMm)} x {lengths.Number(all[0].HighMm)} x {lengths.Text(all[0].LengthMm)} {what}.";
    }

    private static string Piece(FloorPiece piece, Facing facing, LengthFormat lengths) =>
        $"{piece.Name}: {lengths.Number(piece.LengthMm)} {facing.Ways().Width} x {lengths.Text(piece.WidthMm)} {facing.Ways().Height}"
        + (piece.Outline.Count == 4 ? "" : ", by its corners on the sheet")
        + $", grain {(piece.Grain == Grain.Lengthways ? "front to rear" : "side to side")}.";

    private static IEnumerable<HoldPoint> Sizes(FloorPiece piece, Facing facing) =>
        [
            HoldPoint.Within($"{piece.Name}, {facing.Ways().Width}", piece.LengthMm, 1, Unit.Mm).Else(CutAgain),
            HoldPoint.Within($"{piece.Name}, {facing.Ways().Height}", piece.WidthMm, 1, Unit.Mm).Else(CutAgain),
        ];

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];

    private static WorkStep Inside(string work, string title, string what, double amount, params string[] tools) =>
        WorkStep.Of(work, title, what, WorkPlace.Inside, amount, tools);
}
