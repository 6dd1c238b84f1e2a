using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>
/// Tells from two widths, two heights and two diagonals whether a frame fits the hole that was cut, and where to open it up.
/// </summary>
/// <remarks>
/// The six readings give a four-sided hole and one check, since five would do: the shape is taken that misses both diagonals least
/// (equally). Its corners are rounded with the cut-out's radius. Then the frame's neck is laid where its least room all
/// round is greatest, over all shifts and small turns: for a given turn the room is the least of linear functions of the shift, which is concave, so
/// nested golden sections find its top; the turn is searched in the same way, from the best of a scan. Each edge asks for the room that the smallest
/// hole of
/// the sheet leaves (<see cref="HoleRange"/>), each rounded corner for <see cref="PaintMm"/> or for what its
/// edges ask where that is less, so that painted edges do not bind. Where only rounded corners bind, they are filed, not the edges.
/// Diagonals are measured from arc to arc, because the crossings of the lines went with the waste.
/// </remarks>
/// <example>A 400 x 400 hole, cut square and 400 wide all round, takes a neck of 396 x 396 with 2 mm all round.</example>
public static class HoleCheck
{
    /// <summary>Room all round the neck for primer and paint on the cut edge, mm: assumption.</summary>
    public const double PaintMm = 0.5;

    private const double MostTurnDeg = 3,
        HairMm = PlacingFigures.HairMm;
    private const int Tangents = 12;

    /// <summary>How much centring between opposite edges counts beside the least room, so that a frame with play is laid in the middle.</summary>
    private const double CentringWeight = 1e-3;

    /// <summary>Checks the hole.</summary>
    /// <param name="frame">The frame, turned as it is placed.</param>
    /// <param name="measured">The readings.</param>
    /// <param name="facing">Which way the panel faces, for the names of its sides.</param>
    /// <param name="lengths">How lengths are written in the advice.</param>
    /// <returns>How the frame sits, or why the readings cannot be those of a hole.</returns>
    public static Result<Worked<HoleFit>> Of(Frame frame, AsCut measured, Facing facing, LengthFormat lengths)
    {
        var sheet = new Worksheet();
        double loss = 2 * frame.CutOut.CornerLossMm;
        double rising = sheet.Step(
            "d1",
            "rising diagonal between unrounded corners",
            "measured + 2 r (sqrt(2) - 1)",
            measured.RisingDiagonalMm + loss,
            "mm"
        );
        double falling = sheet.Step(
            "d2",
            "falling diagonal between unrounded corners",
            "measured + 2 r (sqrt(2) - 1)",
            measured.FallingDiagonalMm + loss,
            "mm"
        );
        if (
            FourSided.Of(new SixReadings(measured.TopWidthMm, measured.BottomWidthMm, measured.FrontHeightMm, measured.RearHeightMm, rising, falling))
            is not { } shape
        )
        {
            return new Problem(
                "readings-impossible",
                "/measured",
                "No four-sided hole has these widths, heights and diagonals. Measure the diagonals again, from corner arc to corner arc."
            );
        }

        IReadOnlyList<PanelPoint> hole = shape.Corners;
        double misclosure = sheet.Step("v", "misclosure of the diagonals", "d1 - d1 from the other five readings", shape.MisclosureMm, "mm");
        if (Math.Abs(misclosure) > FourSided.DoubtMm)
            sheet.Warn(
                $"The readings do not close: one diagonal is {lengths.Text(Math.Abs(misclosure))} off what the others give. Measure "
                    + "again before filing."
            );
        double skew = sheet.Step(
            "x",
            "skew: slide of the upper edge against the lower",
            "(d1^2 - d2^2) / (4 w)",
            ((rising * rising) - (falling * falling)) / (2 * (measured.TopWidthMm + measured.BottomWidthMm)),
            "mm"
        );

        var range = HoleRange.Of(frame);
        List<Edge> straight = Straight(hole, range.Least, frame.Neck),
            all = [.. straight, .. Corners(hole, frame.CutOut.CornerRadiusMm, CornerAsks(range.Least, frame.Neck))];
        Pose pose = BestPose(all, frame.Neck, PanelBox.Of(hole).Centre);
        bool binds = pose.SpareMm < -HairMm;
        // Where the edges alone leave room, only the corners bind; otherwise the frame laid between the edges shows what comes off each.
        Pose between = binds ? BestPose(straight, frame.Neck, PanelBox.Of(hole).Centre) : pose;
        bool edgesBind = between.SpareMm < -HairMm;
        double corners =
            binds && !edgesBind
                ? sheet.Step("k", "to be filed out of each rounded corner, along its diagonal", "room asked for - room there", -pose.SpareMm, "mm")
                : 0;
        double room = sheet.Step(
            "c",
            "least room round the neck, laid as well as it can be",
            "max over shift and turn of min over edges",
            RoomOf(all, frame.Neck, pose),
            "mm"
        );
        SideRoom[] sides = [.. Enum.GetValues<Side>().Select(side => RoomAt(side, hole, frame.Neck, pose))];
        SideRoom loosest = sides.MinBy(s => Overhang(s.Side, frame) - Math.Max(s.LowMm, s.HighMm))!;
        double lap = sheet.Step(
            "l",
            "least lap of the flange on the skin",
            "overhang of the flange past the neck - widest room",
            Overhang(loosest.Side, frame) - Math.Max(loosest.LowMm, loosest.HighMm),
            "mm"
        );
        sheet.Cite(new Source("Quadrilateral from sides and diagonals; largest least distance of convex shapes", SourceKind.Geometry));
        sheet.Cite(new Source($"Room of {PaintMm} mm for paint", SourceKind.Assumption));

        OpenUp[] openUp = edgesBind
            ? [.. Enum.GetValues<Side>().Select(side => Needed(RoomAt(side, hole, frame.Neck, between), range.Least, frame.Neck)).OfType<OpenUp>()]
            : [];
        double over = Math.Max(
            Math.Max(measured.TopWidthMm, measured.BottomWidthMm) - range.Most.WidthMm,
            Math.Max(measured.FrontHeightMm, measured.RearHeightMm) - range.Most.HeightMm
        );
        Fit fit =
            binds ? Fit.OpenUp
            : lap < frame.LeastLapMm - HairMm || over > HairMm ? Fit.TooBig
            : Fit.Fits;
        Side[] where = [.. sides.Where(s => Math.Min(s.LowMm, s.HighMm) <= room + 0.05).Select(s => s.Side)];
        return sheet.Finish(
            new HoleFit(
                fit,
                room,
                where,
                skew,
                pose.TurnDeg,
                misclosure,
                openUp,
                corners,
                lap,
                loosest.Side,
                Advice(fit, room, openUp, corners, lap, over, frame, loosest.Side, new Words(facing, lengths)),
                hole,
                pose.Centre
            )
        );
    }

    /// <summary>An edge of the hole, or a tangent of a corner, with its inward normal and the room that it asks for.</summary>
    private sealed record Edge(PanelPoint On, double NormalS, double NormalT, double AskedMm);

    /// <summary>The frame laid, and how much more than what is asked for the least room is.</summary>
    private sealed record Pose(PanelPoint Centre, double TurnDeg, double SpareMm);

    private sealed record SideRoom(Side Side, double LowMm, double HighMm);

    private static double Overhang(Side side, Frame frame) =>
        side is Side.Front or Side.Rear ? (frame.Flange.WidthMm - frame.Neck.WidthMm) / 2 : (frame.Flange.HeightMm - frame.Neck.HeightMm) / 2;

    /// <summary>The four sides of the hole: bottom, rear, top, front.</summary>
    private static List<Edge> Straight(IReadOnlyList<PanelPoint> hole, RoundedRectangle least, RoundedRectangle neck) =>
        [.. Enumerable.Range(0, 4).Select(i => Between(hole[i], hole[(i + 1) % 4], Asked(i % 2 == 0 ? Side.Bottom : Side.Rear, least, neck)))];

    /// <summary>Tangents of its rounded corners.</summary>
    private static IEnumerable<Edge> Corners(IReadOnlyList<PanelPoint> hole, double radiusMm, double askedMm) =>
        radiusMm > 0 ? Enumerable.Range(0, 4).SelectMany(i => Rounded(hole[(i + 3) % 4], hole[i], hole[(i + 1) % 4], radiusMm, askedMm)) : [];

    /// <summary>Room that a corner asks for: paint, and no more than the edges beside it, where the sheet's own cut-out leaves less, mm.</summary>
    private static double CornerAsks(RoundedRectangle least, RoundedRectangle neck) =>
        Math.Min(PaintMm, Math.Min(Asked(Side.Front, least, neck), Asked(Side.Top, least, neck)));

    /// <summary>Room between neck and edge in the smallest hole, mm.</summary>
    private static double Asked(Side side, RoundedRectangle least, RoundedRectangle neck) =>
        side is Side.Front or Side.Rear ? (least.WidthMm - neck.WidthMm) / 2 : (least.HeightMm - neck.HeightMm) / 2;

    private static IEnumerable<Edge> Rounded(PanelPoint before, PanelPoint corner, PanelPoint after, double radiusMm, double askedMm)
    {
        double inAngle = Math.Atan2(corner.TMm - before.TMm, corner.SMm - before.SMm),
            outAngle = Math.Atan2(after.TMm - corner.TMm, after.SMm - corner.SMm);
        double turn = Math.IEEERemainder(outAngle - inAngle, 2 * Math.PI);
        // The arc's centre lies inside, off both edges by the radius.
        double half = radiusMm * Math.Tan(turn / 2);
        PanelPoint start = corner.Plus(-half * Math.Cos(inAngle), -half * Math.Sin(inAngle));
        PanelPoint centre = start.Plus(-radiusMm * Math.Sin(inAngle), radiusMm * Math.Cos(inAngle));
        for (int i = 1; i < Tangents; i++)
        {
            double angle = inAngle - (Math.PI / 2) + (turn * i / Tangents);
            yield return new Edge(centre.Plus(radiusMm * Math.Cos(angle), radiusMm * Math.Sin(angle)), -Math.Cos(angle), -Math.Sin(angle), askedMm);
        }
    }

    private static Edge Between(PanelPoint a, PanelPoint b, double askedMm = 0)
    {
        double length = a.DistanceMm(b);
        return new Edge(a, -(b.TMm - a.TMm) / length, (b.SMm - a.SMm) / length, askedMm);
    }

    private static Pose BestPose(IReadOnlyList<Edge> edges, RoundedRectangle neck, PanelPoint middle)
    {
        Pose Laid(double turnDeg)
        {
            double turn = turnDeg * Math.PI / 180;
            (double NormalS, double NormalT, double Offset)[] limits =
            [
                .. edges.Select(e => (e.NormalS, e.NormalT, (e.NormalS * e.On.SMm) + (e.NormalT * e.On.TMm) + Support(neck, e, turn) + e.AskedMm)),
            ];
            double At(int edge, double s, double t) => (limits[edge].NormalS * s) + (limits[edge].NormalT * t) - limits[edge].Offset;
            double Spare(double s, double t)
            {
                double least = double.PositiveInfinity;
                foreach ((double ns, double nt, double offset) in limits)
                    least = Math.Min(least, (ns * s) + (nt * t) - offset);
                return least;
            }
            double Liked(double s, double t) =>
                Spare(s, t) + (CentringWeight * (Math.Min(At(0, s, t), At(2, s, t)) + Math.Min(At(1, s, t), At(3, s, t))));
            double BestT(double s) => GoldenSection.Lowest(t => -Liked(s, t), middle.TMm - (neck.HeightMm / 2), middle.TMm + (neck.HeightMm / 2));
            double bestS = GoldenSection.Lowest(s => -Liked(s, BestT(s)), middle.SMm - (neck.WidthMm / 2), middle.SMm + (neck.WidthMm / 2));
            double bestT = BestT(bestS);
            return new Pose(new PanelPoint(bestS, bestT), turnDeg, Spare(bestS, bestT));
        }
        const int scan = 6;
        double start = Enumerable.Range(-scan, (2 * scan) + 1).Select(i => MostTurnDeg * i / scan).MaxBy(deg => Laid(deg).SpareMm);
        double best = GoldenSection.Lowest(deg => -Laid(deg).SpareMm, start - (MostTurnDeg / scan), start + (MostTurnDeg / scan));
        Pose straight = Laid(0),
            turned = Laid(best);
        return turned.SpareMm > straight.SpareMm + 1e-4 ? turned : straight;
    }

    /// <summary>Least room between the laid neck and any edge, mm.</summary>
    private static double RoomOf(IEnumerable<Edge> edges, RoundedRectangle neck, Pose pose) =>
        edges.Min(e =>
            (e.NormalS * (pose.Centre.SMm - e.On.SMm)) + (e.NormalT * (pose.Centre.TMm - e.On.TMm)) - Support(neck, e, pose.TurnDeg * Math.PI / 180)
        );

    /// <summary>How far the turned neck reaches against an edge's normal.</summary>
    private static double Support(RoundedRectangle neck, Edge edge, double turn)
    {
        double s = (edge.NormalS * Math.Cos(turn)) + (edge.NormalT * Math.Sin(turn)),
            t = (edge.NormalT * Math.Cos(turn)) - (edge.NormalS * Math.Sin(turn));
        double r = neck.CornerRadiusMm;
        return (Math.Abs(s) * ((neck.WidthMm / 2) - r)) + (Math.Abs(t) * ((neck.HeightMm / 2) - r)) + r;
    }

    /// <summary>Room between an edge of the hole and the neck's side, at both ends of that side.</summary>
    private static SideRoom RoomAt(Side side, IReadOnlyList<PanelPoint> hole, RoundedRectangle neck, Pose pose)
    {
        (Edge edge, double lowS, double lowT, double highS, double highT) = side switch
        {
            Side.Front => (Between(hole[3], hole[0]), -1, -1, -1, 1),
            Side.Rear => (Between(hole[1], hole[2]), 1, -1, 1, 1),
            Side.Top => (Between(hole[2], hole[3]), -1, 1, 1, 1),
            _ => (Between(hole[0], hole[1]), -1, -1, 1, -1),
        };
        double turn = pose.TurnDeg * Math.PI / 180;
        double Room(double cs, double ct)
        {
            double s = cs * neck.WidthMm / 2,
                t = ct * neck.HeightMm / 2;
            PanelPoint corner = pose.Centre.Plus((s * Math.Cos(turn)) - (t * Math.Sin(turn)), (s * Math.Sin(turn)) + (t * Math.Cos(turn)));
            return (edge.NormalS * (corner.SMm - edge.On.SMm)) + (edge.NormalT * (corner.TMm - edge.On.TMm));
        }
        return new SideRoom(side, Room(lowS, lowT), Room(highS, highT));
    }

    private static OpenUp? Needed(SideRoom room, RoundedRectangle least, RoundedRectangle neck)
    {
        double asked = Asked(room.Side, least, neck),
            low = Math.Max(0, asked - room.LowMm),
            high = Math.Max(0, asked - room.HighMm);
        return low > HairMm || high > HairMm ? new OpenUp(room.Side, low, high) : null;
    }

    private sealed record Words(Facing Facing, LengthFormat Lengths)
    {
        public string Of(Side side) => Facing.Name(side);

        public string Of(double mm) => Lengths.Text(mm);
    }

    private static string Advice(
        Fit fit,
        double room,
        OpenUp[] openUp,
        double corners,
        double lap,
        double over,
        Frame frame,
        Side lapWhere,
        Words words
    )
    {
        switch (fit)
        {
            case Fit.Fits:
                return $"The frame fits, with {words.Of(room)} at the tightest place. The flange laps the skin by {words.Of(lap)} or more.";
            case Fit.TooBig when lap >= frame.LeastLapMm - HairMm:
                return $"Larger than the fitting's sheet allows by {words.Lengths.Amount(over)}. The flange still laps the skin by "
                    + $"{words.Of(lap)}: centre the frame and hold it there while it is fixed, or let in a strip.";
            case Fit.TooBig:
                return $"Too big by {words.Of(frame.LeastLapMm - lap)} at the {words.Of(lapWhere)} edge: lap on the flange left is "
                    + $"{words.Of(lap)}, and {words.Of(frame.LeastLapMm)} is wanted. Let in a strip, or fit a wider flange or an adapter plate.";
            default:
                string large = lap < frame.LeastLapMm ? $" The hole is already too large elsewhere: the lap left is {words.Of(lap)}." : "";
                if (corners > 0)
                {
                    double radius = Math.Max(0, Math.Floor(frame.CutOut.CornerRadiusMm - (corners / (Math.Sqrt(2) - 1))));
                    string to = radius < 1 ? "square" : $"to a radius of {words.Of(radius)} or less";
                    return $"File the corners: {words.Lengths.Amount(corners)} further out along the diagonal, or {to}. The edges have room.{large}";
                }
                bool pair = openUp.Length == 2 && openUp[0].Side is Side.Front or Side.Top && openUp[1].Side == openUp[0].Side + 1;
                string each = string.Join("; ", openUp.Select(o => $"{words.Of(o.Side)} edge by {Ends(o, words)}"));
                string instead = pair ? $", or one of the two by {words.Lengths.Amount(openUp.Sum(o => Math.Max(o.AtLowEndMm, o.AtHighEndMm)))}" : "";
                return $"Open up here: {each}{instead}.{large}";
        }
    }

    private static string Ends(OpenUp o, Words words)
    {
        if (Math.Abs(o.AtLowEndMm - o.AtHighEndMm) < 0.1)
            return words.Lengths.Amount(Math.Max(o.AtLowEndMm, o.AtHighEndMm));
        (Side low, Side high) = o.Side is Side.Front or Side.Rear ? (Side.Bottom, Side.Top) : (Side.Front, Side.Rear);
        string Amount(double mm) => mm > HairMm ? words.Lengths.Amount(mm) : "nothing";
        return $"{Amount(o.AtLowEndMm)} at its {words.Of(low)} end and {Amount(o.AtHighEndMm)} at its {words.Of(high)} end";
    }
}
