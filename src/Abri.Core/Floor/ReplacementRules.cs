using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Floor;

/// <summary>What the rules say of a cut in a floor: what carries it, what it meets, and what goes in.</summary>
/// <remarks>Common practice, no source; distances are assumptions where nothing else is said.</remarks>
internal static class ReplacementRules
{
    /// <summary>What lies within this of a line of the cut is looked at from below first: assumption, mm.</summary>
    public const double BelowMm = 50;

    /// <summary>Thicker sheets are not proposed: common practice, mm.</summary>
    private const double MostSheetMm = 25;

    /// <summary>A bearer that ends within this of a wall carries the edge there: assumption, mm.</summary>
    private const double AtWallMm = 60;

    /// <summary>The rows, blocked ones first.</summary>
    public static IEnumerable<Judgement> Of(CutGround ground, IReadOnlyList<RottenMember> members) =>
        [
            .. new[] { Bearers(ground), Anchorages(ground), Unknown(ground), Edges(ground), Sag(ground), Steps(ground), Strips(ground) }
                .SelectMany(rows => rows)
                .Concat(BelowRows(ground))
                .Concat(Damp(ground))
                .Concat(Rotten(members))
                .Concat(Metal(ground))
                .OrderByDescending(r => r.State),
        ];

    /// <summary>What lies under a line of the cut, or close; bearers do, and are meant to.</summary>
    public static IEnumerable<Member> Below(CutGround ground)
    {
        NetTopologySuite.Geometries.Geometry lines = ground.Cut.Boundary.Buffer(BelowMm);
        return ground.Site.Members.Where(m =>
            m.Kind != MemberKind.Bearer && m.Role != MemberRole.Pressed && Plane.Polygon(MemberOutline.Of(m.Footprint)).Intersects(lines)
        );
    }

    private static IEnumerable<Judgement> Bearers(CutGround ground)
    {
        if (!ground.Site.Bearers.Any())
            yield return Row(
                "bearers",
                JudgementState.Blocked,
                "No bearer is drawn",
                "What carries the floor decides where it is cut.",
                "Look from below or find the rows of screws, and draw the bearers in Walkaround.",
                [new Mark(ground.Box.Corners, true)]
            );
    }

    private static IEnumerable<Judgement> Anchorages(CutGround ground) =>
        ground
            .Site.Members.Where(m => m.Kind == MemberKind.Anchorage)
            .Select(m => (m.Name, Outline: MemberOutline.Of(m.Footprint)))
            .Where(m => Plane.Polygon(m.Outline).Intersects(ground.Cut.Buffer(BelowMm)))
            .Select(m =>
                Row(
                    $"anchorage-{m.Name}",
                    JudgementState.Blocked,
                    $"{m.Name} stands in it",
                    "Anchorages of seats and belts hold people: nothing is cut or clamped again under them here.",
                    "A licensed workshop takes it off and fits it again, and says what has to lie under it.",
                    [new Mark(m.Outline, true)]
                )
            );

    private static IEnumerable<Judgement> Unknown(CutGround ground) =>
        ground.Bad.Unknown.Select(side =>
            Row(
                $"unknown-{side.ToString().ToLowerInvariant()}",
                JudgementState.NeedsWork,
                $"Not probed further {ground.Site.Panel.Facing.Towards(side)}",
                "Where no sound place is known, wood may be bad beyond the cut.",
                $"Probe every {ground.Site.Format.Text(BadWood.NearMm / 4)} that way until it rings twice.",
                [new Mark(ground.Edges.Single(e => e.Side == side).Line, false)]
            )
        );

    private static IEnumerable<Judgement> Edges(CutGround ground)
    {
        LengthFormat lengths = ground.Site.Format;
        foreach (CutEdge cut in ground.Edges)
        {
            string name = ground.Site.Panel.Facing.Name(cut.Side);
            string id = $"edge-{cut.Side.ToString().ToLowerInvariant()}";
            Mark[] where = [new Mark(cut.Line, false)];
            if (cut.BearsMm is { } bears)
            {
                bool enough = bears >= CutEdges.LeastBearingMm;
                yield return new Judgement(
                    id,
                    enough ? JudgementState.Good : JudgementState.NeedsWork,
                    cut.On == EdgeOn.Joint ? $"The {name} edge meets the joint on {cut.MemberName}" : $"The {name} edge lies on {cut.MemberName}",
                    Math.Round(bears, 1),
                    CutEdges.LeastBearingMm,
                    Unit.Mm,
                    "Old and new board each need their bearing, or the joint works loose.",
                    enough
                        ? null
                        : $"Screw and glue a timber of {lengths.Number(FloorReplacement.TimberMm)} x {lengths.Text(ground.HighMm)} "
                            + "to each side of it.",
                    where
                );
            }
            else if (cut.On == EdgeOn.Blocking)
            {
                yield return Row(
                    id,
                    JudgementState.NeedsWork,
                    $"No bearer carries the {name} edge",
                    "An edge that hangs free gives way under a foot.",
                    new Edge(cut.Side).IsStation == ground.Span.IsStation
                        ? "Let in a bearer below it, with its ends on what carries the others."
                        : "Let in timbers below it, from bearer to bearer.",
                    where
                );
            }
            else if (new Edge(cut.Side).IsStation == ground.Span.IsStation && !ReachesWall(ground, new Edge(cut.Side)))
            {
                yield return Row(
                    id,
                    JudgementState.NeedsWork,
                    $"Nothing that is drawn carries the {name} edge at the wall",
                    "A board that ends beyond its last bearer tips.",
                    "Look for a sill or ledge; where there is none, screw a batten of "
                        + $"{lengths.Text(FloorReplacement.TimberMm)} along the wall.",
                    where
                );
            }
        }
    }

    private static bool ReachesWall(CutGround ground, Edge edge)
    {
        double at = edge.Of(ground.Box);
        return ground.Bearers.Any(b => Math.Abs(at - b.AtMm) <= (b.WideMm / 2) + AtWallMm);
    }

    /// <summary>The widest bay below the new boards.</summary>
    private static IEnumerable<Judgement> Sag(CutGround ground)
    {
        Edge span = ground.Span;
        (double from, double to) = (span.Opposite.Of(ground.Box), span.Of(ground.Box));
        double[] carried =
        [
            .. ground
                .Bearers.Select(b => b.AtMm)
                .Concat(ground.Edges.Where(e => new Edge(e.Side).IsStation == span.IsStation).Select(e => new Edge(e.Side).Of(ground.Box)))
                .Order(),
        ];
        double widest = carried
            .Zip(carried.Skip(1))
            .Where(bay => bay.First < to && bay.Second > from)
            .Select(bay => bay.Second - bay.First)
            .DefaultIfEmpty(to - from)
            .Max();
        LengthFormat lengths = ground.Site.Format;
        NewSheet sheet = ground.Replacement.Sheet;
        SagPlan sag = DeckSag.Of(new Deck(sheet.ThickMm, DeckSag.ModulusOf(sheet.Material), widest), lengths).Value!.Result;
        int more = (int)Math.Ceiling((widest / sag.MostSpacingMm) - 1e-9) - 1;
        yield return new Judgement(
            "sag",
            sag.Holds ? JudgementState.Good : JudgementState.NeedsWork,
            $"Sag under one foot over a bay of {lengths.Text(widest)}",
            Math.Round(sag.SagMm, 2),
            DeckSag.UsualLimitMm,
            Unit.Mm,
            "More is felt, and works the joints and a covering loose.",
            sag.Holds
                ? null
                : (more == 1 ? "Let in a bearer half way" : $"Let in {more} bearers more, {lengths.Text(widest / (more + 1))} apart")
                    + (sag.LeastThickMm <= MostSheetMm ? $", or take a sheet of {lengths.Text(sag.LeastThickMm)} or more." : "."),
            []
        );
    }

    private static IEnumerable<Judgement> Steps(CutGround ground)
    {
        LengthFormat lengths = ground.Site.Format;
        foreach (
            IGrouping<double, Board> beside in ground
                .Site.Boards.Where(b => Plane.Polygon(b.Outline).Intersects(ground.Cut) && !Plane.Polygon(b.Outline).Within(ground.Cut.Buffer(1)))
                .GroupBy(b => b.ThickMm)
        )
        {
            double step = ground.Replacement.Sheet.ThickMm - beside.Key;
            bool level = Math.Abs(step) <= FloorReplacement.StepMm;
            yield return new Judgement(
                $"step-{beside.Key:0.#}",
                level ? JudgementState.Good : JudgementState.NeedsWork,
                level
                    ? $"New and old board are level at {string.Join(", ", beside.Select(b => b.Name))}"
                    : $"A step of {lengths.Text(Math.Abs(step))} at {string.Join(", ", beside.Select(b => b.Name))}",
                Math.Round(Math.Abs(step), 2),
                FloorReplacement.StepMm,
                Unit.Mm,
                "A step tears a covering and catches a foot.",
                level ? null
                    : step < 0
                        ? $"Lay strips of {lengths.Text(-step)} on the bearers below the new board, or take a sheet of {lengths.Text(beside.Key)}."
                    : $"Take a sheet of {lengths.Text(beside.Key)}, or put the joint under a cabinet or a threshold strip.",
                []
            );
        }
    }

    /// <summary>Strips of old board that would stay and are too narrow to hold.</summary>
    private static IEnumerable<Judgement> Strips(CutGround ground)
    {
        foreach (Board board in ground.Site.Boards)
        {
            NetTopologySuite.Geometries.Geometry area = Plane.Polygon(board.Outline);
            if (!area.Intersects(ground.Cut))
                continue;
            foreach ((RegionPart part, int i) in Plane.Parts(Plane.Difference(area, ground.Cut).Each()).Select((part, i) => (part, i)))
            {
                if (part.AreaMm2 > 1000 && Plane.Square(Plane.Polygon(part), -CutEdges.LeastStripMm / 2).IsEmpty)
                    yield return Row(
                        $"strip-{board.Name}-{i + 1}",
                        JudgementState.NeedsWork,
                        $"A strip of {board.Name} under {ground.Site.Format.Text(CutEdges.LeastStripMm)} would stay",
                        "A narrow strip holds no screw that lasts.",
                        "Take it out as well: draw the area up to its far edge.",
                        [new Mark(part.Outline, true)]
                    );
            }
        }
    }

    private static IEnumerable<Judgement> BelowRows(CutGround ground) =>
        Below(ground)
            .Where(m => m.Kind != MemberKind.Anchorage)
            .Select(m =>
                Row(
                    $"below-{m.Name}",
                    JudgementState.NeedsWork,
                    $"{m.Name} lies under a line of the cut, or close",
                    "A saw or a screw can hit what is underneath.",
                    $"Look from below first. Set the saw to the board and {ground.Site.Format.Text(FloorReplacement.SawBelowMm)}, "
                        + "and stop screws short there.",
                    [new Mark(MemberOutline.Of(m.Footprint), true)]
                )
            );

    /// <summary>Wood round the cut that is too wet to be covered or coated.</summary>
    private static IEnumerable<Judgement> Damp(CutGround ground)
    {
        PanelBox round = ground.Box.Grown(BadWood.NearMm);
        double? wettest = ground.Site.Probes.Where(p => !p.IsBad && round.Holds(p.At)).Max(p => p.MoisturePercent);
        if (wettest is { } percent)
            yield return new Judgement(
                "damp",
                percent <= WoodMoisture.CoatPercent ? JudgementState.Good : JudgementState.NeedsWork,
                "Moisture of the wood that stays",
                percent,
                WoodMoisture.CoatPercent,
                Unit.Percent,
                "Wood that is covered or coated wetter than this stays wet, and decays.",
                percent <= WoodMoisture.CoatPercent ? null : "Leave it open to the air until it is drier; Water says on which day.",
                []
            );
    }

    private static IEnumerable<Judgement> Rotten(IReadOnlyList<RottenMember> members) =>
        members.Select(m =>
            Row(
                $"rotten-{m.MemberName}",
                JudgementState.NeedsWork,
                $"{m.MemberName} is bad",
                m.Splice.Verdict,
                m.Splice.Unknown
                    ? "Probe it further first, until the awl stops twice; then prop it, and repair it before a board goes on."
                    : "Prop what it carries, and repair it before a board goes on.",
                [new Mark(m.Removed, false)]
            )
        );

    /// <summary>Bearers of metal that were found bad: they carry the shell.</summary>
    private static IEnumerable<Judgement> Metal(CutGround ground)
    {
        NetTopologySuite.Geometries.Geometry under = ground.Cut.Buffer(BelowMm);
        foreach (Member m in ground.Site.Bearers.Where(m => m.Material == MemberMaterial.Metal))
        {
            IReadOnlyList<PanelPoint> outline = MemberOutline.Of(m.Footprint);
            bool bad = ground.Site.Probes.Any(p => p is { Of: ProbeOf.Member, IsBad: true } && Outlines.Encloses(outline, p.At));
            if (bad && Plane.Polygon(outline).Intersects(under))
                yield return Row(
                    $"metal-{m.Name}",
                    JudgementState.Blocked,
                    $"{m.Name} is metal, and bad",
                    "A bearer of metal carries the shell: a new board over it would hide that.",
                    "Write down how it rusts, and see Metal; its repair is for a licensed workshop, before a board goes on.",
                    [new Mark(outline, true)]
                );
        }
    }

    private static Judgement Row(string id, JudgementState state, string title, string why, string remedy, IReadOnlyList<Mark> where) =>
        new(id, state, title, null, null, Unit.Mm, why, remedy, where);
}
