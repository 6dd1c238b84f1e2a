using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Linings;

/// <summary>What the rules say of a lining: what it would hide, whether it has room, and how each hole is framed and covered.</summary>
/// <remarks>Common practice, no source; distances are assumptions where nothing else is said.</remarks>
internal static class LiningRules
{
    /// <summary>A dry board bends to no less than so many times its thickness: assumption, on the safe side.</summary>
    public const double BendsMostOf = 100;

    /// <summary>From here on it bends unwillingly: assumption.</summary>
    private const double BendsWellOf = 250;

    /// <summary>Least lap of an inner frame onto a lining, mm: assumption.</summary>
    private const double LeastCoverMm = 8;

    /// <summary>Screws keep this from wiring and pipes, mm: assumption.</summary>
    private const double NoScrewMm = 30;

    /// <summary>A wall that differs by less from the one an opening was worked out for is the same, mm.</summary>
    private const double AlikeMm = 1;

    /// <summary>The rows, blocked ones first.</summary>
    public static IEnumerable<Judgement> Of(
        LiningGround ground,
        LinedOpening[] met,
        LiningHole[] holes,
        LiningBoard[] boards,
        LiningJoint[] joints
    ) =>
        [
            .. new[] { Hidden(ground), Wiring(ground), Room(ground), Bends(ground), Joints(ground, joints), Strips(ground, holes, boards) }
                .SelectMany(rows => rows)
                .Concat(holes.SelectMany((h, i) => OfHole(ground, i, h, met[i])))
                .OrderByDescending(r => r.State),
        ];

    /// <summary>What was found behind it is mended first: nobody sees it again.</summary>
    private static IEnumerable<Judgement> Hidden(LiningGround ground)
    {
        NetTopologySuite.Geometries.Geometry hidden = Plane.Polygon(ground.Lining.Outline);
        foreach (
            (Finding finding, int n) in ground
                .Site.Findings.Select((f, n) => (f, n))
                .Where(f => f.f.State is FindingState.Open or FindingState.Planned)
        )
        {
            if (hidden.Intersects(PlaceOf(finding)))
                yield return GoesOn(finding.Kind)
                    ? Row(
                        $"hides-{n + 1}",
                        JudgementState.Blocked,
                        $"It would hide {finding.Name}",
                        "Behind a lining rust and leaks go on unseen.",
                        "Fix it first, or say in Walkaround that it is only watched.",
                        [new Mark(finding.Points, finding.Shape == FindingShape.Area)]
                    )
                    : Row(
                        $"hides-{n + 1}",
                        JudgementState.NeedsWork,
                        $"{finding.Name} can no longer be reached",
                        "What is bent or loose is reached from inside only now.",
                        "Fix it before, or leave it for good.",
                        [new Mark(finding.Points, finding.Shape == FindingShape.Area)]
                    );
        }
    }

    /// <summary>Where something was found: the place itself, the line, or the whole area.</summary>
    private static NetTopologySuite.Geometries.Geometry PlaceOf(Finding finding) =>
        finding.Shape switch
        {
            FindingShape.Area => Plane.Polygon(finding.Points),
            FindingShape.Line => Plane.Line(finding.Points),
            _ => Plane.Polygon(PanelBox.Around(finding.Points[0], 0.1, 0.1)),
        };

    /// <summary>What no screw may meet is marked on the boards before they go up.</summary>
    private static IEnumerable<Judgement> Wiring(LiningGround ground)
    {
        NetTopologySuite.Geometries.Geometry hidden = Plane.Polygon(ground.Lining.Outline);
        foreach ((Member member, int n) in ground.Site.Members.Select((m, n) => (m, n)))
        {
            IReadOnlyList<PanelPoint> outline = MemberOutline.Of(member.Footprint);
            if (
                member.Kind is not (MemberKind.WiringRun or MemberKind.FillerNeck)
                || !hidden.Intersects(Plane.Square(Plane.Polygon(outline), NoScrewMm))
            )
                continue;
            yield return Row(
                $"behind-{n + 1}",
                JudgementState.NeedsWork,
                $"{member.Name} lies behind it",
                "A screw goes through a cable or a pipe before anyone notices.",
                $"Mark its line on the boards, and set no screw within {ground.Site.Format.Text(NoScrewMm)} of it.",
                [new Mark(outline, true)]
            );
        }
    }

    /// <summary>Whether something gets worse behind a lining: all but what was bent or is loose.</summary>
    private static bool GoesOn(FindingKind kind) => kind is not (FindingKind.Dent or FindingKind.LooseClip or FindingKind.CrackInPlastic);

    private static IEnumerable<Judgement> Room(LiningGround ground)
    {
        double room = ground.LeastRoomMm;
        bool enough = room >= 0;
        yield return new Judgement(
            "room",
            enough ? JudgementState.Good : JudgementState.Blocked,
            enough ? "Room behind it" : "The skin comes through it",
            Math.Round(room, 1),
            0,
            Unit.Mm,
            "A flat board comes nearer to a curved skin towards its edges.",
            enough ? null : "Bend it, make it narrower, or hang it lower.",
            [new Mark(ground.Lining.Outline, true)]
        );
    }

    private static IEnumerable<Judgement> Bends(LiningGround ground)
    {
        double thick = ground.Lining.Sheet.ThickMm;
        double? radius = new[] { ground.AlongAxis.OwnRadiusMm, ground.AcrossAxis.OwnRadiusMm }.Min();
        if (radius is { } r && r < BendsWellOf * thick)
            yield return Row(
                "bends",
                JudgementState.NeedsWork,
                "It bends unwillingly",
                $"{ground.Site.Format.Text(thick)} over a radius of {ground.Site.Format.Text(r)}: it pulls on its screws.",
                "A thinner board, more battens, or the grain along the vehicle.",
                []
            );
    }

    private static IEnumerable<Judgement> Joints(LiningGround ground, LiningJoint[] joints)
    {
        int bare = joints.Count(j => j.On is null);
        if (bare > 0)
            yield return Row(
                "joints",
                JudgementState.NeedsWork,
                bare == 1 ? "A joint lies under no rib" : $"{bare} joints lie under no rib",
                "Two boards that meet on nothing work against each other.",
                $"Put a batten of at least {ground.Site.Format.Text(40)} behind it before the boards go up.",
                [.. joints.Where(j => j.On is null).Select(j => new Mark(j.OnPanel, false))]
            );
    }

    private static IEnumerable<Judgement> Strips(LiningGround ground, LiningHole[] holes, LiningBoard[] boards)
    {
        foreach (LiningBoard board in boards)
        {
            foreach (BoardHole hole in board.Holes)
            {
                string name = holes[hole.Hole].Opening;
                if (hole.IsNotch)
                {
                    yield return Row(
                        $"notch-{hole.Hole + 1}-{board.Name}",
                        JudgementState.NeedsWork,
                        $"{name} runs out over the edge of {board.Name}",
                        "Nothing holds the lining beside it there.",
                        "Frame the edge with battens, or draw the lining round it.",
                        []
                    );
                    continue;
                }
                double[] beside = [hole.Box.SMinMm, board.LengthMm - hole.Box.SMaxMm, hole.Box.TMinMm, board.WidthMm - hole.Box.TMaxMm];
                if (beside.Min() < LiningBoards.FromHoleMm)
                    yield return new Judgement(
                        $"strip-{hole.Hole + 1}",
                        JudgementState.NeedsWork,
                        $"A narrow strip is left beside {name}",
                        Math.Round(beside.Min(), 1),
                        LiningBoards.FromHoleMm,
                        Unit.Mm,
                        "It breaks while the board is carried.",
                        "Screw a batten across it before the hole is cut, or move the lining's edge.",
                        []
                    );
            }
        }
    }

    private static IEnumerable<Judgement> OfHole(LiningGround ground, int number, LiningHole hole, LinedOpening opening)
    {
        Fitting fitting = opening.Turned;
        LengthFormat lengths = ground.Site.Format;
        Mark[] where = [new Mark(PanelBox.Around(opening.Centre, fitting.CutOut.WidthMm, fitting.CutOut.HeightMm).Corners, true)];
        if (fitting.HeatMm > 0)
            yield return Row(
                $"heat-{number + 1}",
                JudgementState.NeedsWork,
                $"Boards keep {lengths.Text(fitting.HeatMm)} from {opening.Name}",
                "It gets hot, and boards burn.",
                "Close the gap with sheet metal and what does not burn, never with wood or foam.",
                where
            );
        if (fitting.Clamp is { } clamp)
        {
            bool grips = hole.DepthMm >= clamp.LeastMm && hole.DepthMm <= clamp.MostMm;
            yield return new Judgement(
                $"clamp-{number + 1}",
                grips ? JudgementState.Good : JudgementState.Blocked,
                grips ? $"{opening.Name} grips the finished wall" : $"{opening.Name} does not grip the finished wall",
                Math.Round(hole.DepthMm, 1),
                hole.DepthMm < clamp.LeastMm ? clamp.LeastMm : clamp.MostMm,
                Unit.Mm,
                "Skin, gap and lining are what it clamps.",
                grips ? null
                    : hole.DepthMm > clamp.MostMm
                        ? $"End the lining at a frame of {lengths.Text(clamp.MostMm - ground.Site.SkinsMm)} at most, or take less gap."
                    : $"Pack the frame behind the lining up to {lengths.Text(clamp.LeastMm - ground.Site.SkinsMm)}.",
                where
            );
            if (opening.WallMm is { } wall && Math.Abs(wall - hole.DepthMm) > AlikeMm)
                yield return new Judgement(
                    $"wall-{number + 1}",
                    JudgementState.NeedsWork,
                    $"{opening.Name} was worked out for another wall",
                    Math.Round(hole.DepthMm, 1),
                    wall,
                    Unit.Mm,
                    "Its screws and lugs are for that one.",
                    "Change the wall of the opening, or the gap of the lining.",
                    where
                );
        }
        if (hole.CoverMm is { } cover && cover < LeastCoverMm)
            yield return new Judgement(
                $"cover-{number + 1}",
                JudgementState.NeedsWork,
                $"The inner frame of {opening.Name} hardly covers the hole",
                Math.Round(cover, 1),
                LeastCoverMm,
                Unit.Mm,
                "What is sawn by hand shows beside it.",
                "Cut to the pencil line with a fine blade, or make a trim that is wider.",
                where
            );
        if (opening.State == OpeningState.Planned)
            yield return Row(
                $"uncut-{number + 1}",
                JudgementState.NeedsWork,
                $"{opening.Name} is not cut yet",
                "The hole in the lining is marked from the hole in the skin.",
                "Cut the skin first; until then only the first, smaller hole may be cut.",
                where
            );
    }

    private static Judgement Row(string id, JudgementState state, string title, string why, string remedy, IReadOnlyList<Mark> where) =>
        new(id, state, title, null, null, Unit.Mm, why, remedy, where);
}
