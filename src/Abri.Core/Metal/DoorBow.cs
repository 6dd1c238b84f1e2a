using Abri.Core.Geometry;
using Abri.Core.Work;

namespace Abri.Core.Metal;

/// <summary>A reading with what follows from it.</summary>
/// <param name="HeightMm">Height above the door's lower edge, mm.</param>
/// <param name="GapMm">Gap as read, mm.</param>
/// <param name="StraightMm">Gap of a straight door through the ends, mm.</param>
/// <param name="BowMm">What the gap has more than that, mm; below 0 where it has less.</param>
/// <param name="SqueezePercent">By how much the seal is pressed there, %; below 0 where it does not touch.</param>
public sealed record DoorPoint(double HeightMm, double GapMm, double StraightMm, double BowMm, double SqueezePercent);

/// <summary>A stretch of a door's edge.</summary>
/// <param name="FromMm">Lower end, mm.</param>
/// <param name="ToMm">Upper end, mm.</param>
public sealed record HeightSpan(double FromMm, double ToMm);

/// <summary>An edge of a door, as read in one round.</summary>
/// <param name="Edge">Which edge.</param>
/// <param name="Points">The readings from below upwards.</param>
/// <param name="BowMm">Its greatest bow, mm; above 0 where the door stands off in between, below 0 where it presses there.</param>
/// <param name="BowAtMm">At which height, mm.</param>
/// <param name="Passes">Where the seal is pressed too little, straight between readings: dust and water pass.</param>
public sealed record DoorLine(DoorEdge Edge, IReadOnlyList<DoorPoint> Points, double BowMm, double BowAtMm, IReadOnlyList<HeightSpan> Passes);

/// <summary>A round worked out.</summary>
/// <param name="After">What was done before it.</param>
/// <param name="Lines">The edges that were read.</param>
public sealed record DoorRead(DoorTurn After, IReadOnlyList<DoorLine> Lines);

/// <summary>How the door is pushed next.</summary>
/// <param name="Edge">At which edge.</param>
/// <param name="AtMm">At which height it is pushed, or held by a block where it is pushed outwards, mm.</param>
/// <param name="Inwards">Whether the middle goes in; else the blocks' ends do.</param>
/// <param name="EndsMm">Heights of the other two points, mm.</param>
/// <param name="WantMm">By how much it is to stay bent, mm.</param>
/// <param name="PushMm">How far it is pushed, mm.</param>
/// <param name="SpringBackMm">What it springs back as learned from this door, mm; null where nothing is known yet.</param>
public sealed record DoorPush(
    DoorEdge Edge,
    double AtMm,
    bool Inwards,
    IReadOnlyList<double> EndsMm,
    double WantMm,
    double PushMm,
    double? SpringBackMm
);

/// <summary>Where a gap is read.</summary>
/// <param name="Edge">At which edge.</param>
/// <param name="HeightMm">Height above the door's lower edge, mm.</param>
public sealed record DoorPlace(DoorEdge Edge, double HeightMm);

/// <summary>A door judged.</summary>
/// <param name="Rounds">All rounds, oldest first.</param>
/// <param name="WantedGapMm">The gap that presses the seal as it should be, mm.</param>
/// <param name="LeastGapMm">A smaller one crushes it, mm.</param>
/// <param name="MostGapMm">A wider one lets dust and water pass, mm.</param>
/// <param name="Next">What is done next: as found where nothing was read yet; null where nothing is left to do.</param>
/// <param name="Push">How it is pushed; null where it is not bent next.</param>
/// <param name="ReadAt">Where the next round is read: where the last one was; of a first one near the ends and in the middle of both edges.</param>
/// <param name="Rows">The rules.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record DoorPlan(
    IReadOnlyList<DoorRead> Rounds,
    double WantedGapMm,
    double LeastGapMm,
    double MostGapMm,
    DoorTurn? Next,
    DoorPush? Push,
    IReadOnlyList<DoorPlace> ReadAt,
    IReadOnlyList<Judgement> Rows,
    string Verdict
);

/// <summary>Reads a door's bow from the gaps along its seal, and says what is done next and how far it is bent.</summary>
/// <remarks>
/// Bow is what the gap differs from the straight through the lowest and the highest reading. Latch and hinges come first, then the seal, then
/// bending: common practice. A seal is pressed by 20 to 50 %: assumption. Spring-back is learned: what was pushed less what stayed, the least of
/// the pushes that moved something, at least the greatest that moved nothing. A push goes at most 5 mm further than any before it, and the first
/// one at most 5 mm further than is wanted (assumption): so a door is never bent past straight by more than it takes to learn.
/// </remarks>
/// <example>Gaps 6, 14, 6 mm: a bow of 8 mm in the middle. Pushed by 20 and still 6: spring-back 18, so push by 24.</example>
public static class DoorBow
{
    /// <summary>A bow that is left, mm: common practice.</summary>
    public const double LeaveMm = 1;

    /// <summary>How much further a push goes than any before it, mm: assumption.</summary>
    public const double FurtherMm = 5;

    /// <summary>Pushes by more than this are for a body shop, mm: assumption.</summary>
    public const double MostPushMm = 80;

    /// <summary>Least that a seal is pressed, %: assumption.</summary>
    public const double LeastPercent = 20;

    /// <summary>Most that a seal is pressed, %: assumption.</summary>
    public const double MostPercent = 50;

    /// <summary>A push that moved no more than this moved nothing that a person could read, mm: assumption.</summary>
    private const double ReadableMm = 0.5;

    /// <summary>Where a first round is read, as shares of the door's height: assumption.</summary>
    private static readonly double[] FirstAt = [0.05, 0.5, 0.95];

    /// <summary>The plan.</summary>
    /// <param name="door">The door with its readings.</param>
    /// <param name="heightMm">Height of the door, mm.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<DoorPlan>> Of(DoorFit door, double heightMm, LengthFormat lengths)
    {
        if (Wrong(door) is { } problem)
            return problem;
        var sheet = new Worksheet();
        double wanted = sheet.Step(
            "g",
            "wanted gap",
            $"seal (1 - {(LeastPercent + MostPercent) / 200:0.00})",
            door.SealMm * (1 - ((LeastPercent + MostPercent) / 200)),
            "mm"
        );
        (double least, double most) = (door.SealMm * (1 - (MostPercent / 100)), door.SealMm * (1 - (LeastPercent / 100)));
        if (door.Rounds.Count == 0)
            return sheet.Finish(
                new DoorPlan(
                    [],
                    wanted,
                    least,
                    most,
                    DoorTurn.AsFound,
                    null,
                    [
                        .. Enum.GetValues<DoorEdge>()
                            .SelectMany(e => FirstAt.Select(share => new DoorPlace(e, Math.Round(share * heightMm / 10) * 10))),
                    ],
                    [],
                    "Read the gaps first: the latch edge at the top, the middle and the bottom at least."
                )
            );
        DoorRead[] rounds = [.. door.Rounds.Select(r => new DoorRead(r.After, Lines(r, door.SealMm)))];
        DoorRead now = rounds[^1];
        foreach (DoorLine line in now.Lines)
            sheet.Step($"b_{line.Edge.ToString().ToLowerInvariant()}", "greatest bow", "gap - straight through the ends", line.BowMm, "mm");
        sheet.Cite(new Source("Bow: gap less the straight through the ends; spring-back: push less what stayed", SourceKind.Geometry));
        sheet.Cite(new Source("Latch and hinges, then the seal, then bending; stop within 1 mm", SourceKind.CommonPractice));
        sheet.Cite(new Source("Seal pressed by 20 to 50 %; a push goes at most 5 mm further than any before it", SourceKind.Assumption));
        DoorTurn? next = NextTurn(rounds);
        DoorPush? push = next == DoorTurn.Bend ? Push(door, rounds, sheet) : null;
        if (push is { PushMm: > MostPushMm })
        {
            sheet.Warn("A door that has to be pushed that far is creased, or its frame is: for a body shop.");
            push = null;
        }
        DoorPlace[] readAt = [.. door.Rounds[^1].Readings.Select(r => new DoorPlace(r.Edge, r.HeightMm))];
        Judgement[] rows = [.. Rows(door, now, wanted, next, lengths)];
        return sheet.Finish(new DoorPlan(rounds, wanted, least, most, next, push, readAt, rows, Verdict(next, push, lengths)));
    }

    /// <summary>The first contradiction, or null.</summary>
    internal static Problem? Wrong(DoorFit door)
    {
        for (int i = 0; i < door.Rounds.Count; i++)
        {
            DoorRound round = door.Rounds[i];
            string at = $"/rounds/{i}";
            foreach (IGrouping<DoorEdge, DoorReading> edge in round.Readings.GroupBy(r => r.Edge))
            {
                string name = edge.Key == DoorEdge.Latch ? "latch" : "hinge";
                if (edge.Count() < 3)
                    return new Problem("door-readings", $"{at}/readings", $"Read the {name} edge at three heights at least: top, middle, bottom.");
                if (edge.Select(r => r.HeightMm).Distinct().Count() < edge.Count())
                    return new Problem("door-height-twice", $"{at}/readings", $"The {name} edge has two readings at one height: keep one.");
            }
            if ((round.After == DoorTurn.Bend) != round.Pushed is not null)
                return new Problem("door-push", $"{at}/pushed", "Say how far the door was pushed where it was bent, and only there.");
            if (i == 0 != (round.After == DoorTurn.AsFound))
                return new Problem("door-first", $"{at}/after", "The first round is as found; each later one says what was done before it.");
            if (round.Pushed is { } pushed && (Read(round, pushed) is null || Read(door.Rounds[i - 1], pushed) is null))
                return new Problem(
                    "door-push-unread",
                    $"{at}/pushed/atMm",
                    "Nothing was read round the place that was pushed, before or after: spring-back is learned from both."
                );
        }
        return null;
    }

    private static DoorLine[] Lines(DoorRound round, double sealMm) =>
        [.. round.Readings.GroupBy(r => r.Edge).OrderBy(g => g.Key).Select(g => Line(g, sealMm))];

    private static DoorLine Line(IGrouping<DoorEdge, DoorReading> edge, double sealMm)
    {
        DoorReading[] read = [.. edge.OrderBy(r => r.HeightMm)];
        (DoorReading first, DoorReading last) = (read[0], read[^1]);
        double Straight(double h) => first.GapMm + ((last.GapMm - first.GapMm) * (h - first.HeightMm) / (last.HeightMm - first.HeightMm));
        DoorPoint[] points =
        [
            .. read.Select(r => new DoorPoint(
                r.HeightMm,
                r.GapMm,
                Straight(r.HeightMm),
                r.GapMm - Straight(r.HeightMm),
                100 * (1 - (r.GapMm / sealMm))
            )),
        ];
        DoorPoint most = points.MaxBy(p => Math.Abs(p.BowMm))!;
        return new DoorLine(edge.Key, points, most.BowMm, most.HeightMm, Passes(points));
    }

    /// <summary>Where the seal is pressed too little, straight between readings.</summary>
    private static HeightSpan[] Passes(DoorPoint[] points)
    {
        List<HeightSpan> spans = [];
        for (int i = 1; i < points.Length; i++)
        {
            (DoorPoint a, DoorPoint b) = (points[i - 1], points[i]);
            (bool low, bool high) = (a.SqueezePercent < LeastPercent, b.SqueezePercent < LeastPercent);
            if (!low && !high)
                continue;
            double turn = a.HeightMm + ((b.HeightMm - a.HeightMm) * (LeastPercent - a.SqueezePercent) / (b.SqueezePercent - a.SqueezePercent));
            (double from, double to) = (low ? a.HeightMm : turn, high ? b.HeightMm : turn);
            if (spans.Count > 0 && spans[^1].ToMm == from)
                spans[^1] = spans[^1] with { ToMm = to };
            else
                spans.Add(new HeightSpan(from, to));
        }
        return [.. spans];
    }

    /// <summary>
    /// Latch and hinges where ends are off, or a straight edge is; then the seal, and so on in turn; bending once both were tried, or ends are right.
    /// Nothing only where every reading is pressed as it should be and every edge is straight.
    /// </summary>
    private static DoorTurn? NextTurn(DoorRead[] rounds)
    {
        DoorRead now = rounds[^1];
        bool bowed = now.Lines.Any(IsBowed),
            off = now.Lines.Any(l => IsBowed(l) ? !IsPressed(l.Points[0]) || !IsPressed(l.Points[^1]) : !l.Points.All(IsPressed));
        bool Tried(DoorTurn turn) => rounds.Any(r => r.After == turn);
        return (off, bowed) switch
        {
            (false, false) => null,
            (false, true) => DoorTurn.Bend,
            (true, _) when !Tried(DoorTurn.HingesAndLatch) => DoorTurn.HingesAndLatch,
            (true, _) when !Tried(DoorTurn.Seal) => DoorTurn.Seal,
            (true, true) => DoorTurn.Bend,
            _ => now.After == DoorTurn.HingesAndLatch ? DoorTurn.Seal : DoorTurn.HingesAndLatch,
        };
    }

    private static bool IsBowed(DoorLine line) => Math.Abs(line.BowMm) > LeaveMm;

    private static bool IsPressed(DoorPoint p) => p.SqueezePercent is >= LeastPercent and <= MostPercent;

    private static DoorPush Push(DoorFit door, DoorRead[] rounds, Worksheet sheet)
    {
        DoorLine line = rounds[^1].Lines.MaxBy(l => Math.Abs(l.BowMm))!;
        (double? least, double? nothing, double furthest) = Learned(door, line.Edge);
        double? spring = (least, nothing) is (null, null) ? null : Math.Max(least ?? 0, nothing ?? 0);
        double want = sheet.Step("w", "to stay bent", "|greatest bow|", Math.Abs(line.BowMm), "mm");
        double push = spring is { } s
            ? sheet.Step("p", "push", $"smaller of w + {s:0.#} and {furthest:0.#} + {FurtherMm}", Math.Min(want + s, furthest + FurtherMm), "mm")
            : sheet.Step("p", "first push", $"w + {FurtherMm}", want + FurtherMm, "mm");
        DoorPoint[] below = [.. line.Points.Where(p => p.HeightMm < line.BowAtMm)],
            above = [.. line.Points.Where(p => p.HeightMm > line.BowAtMm)];
        // The nearest readings that the bow does not reach; the ends are always among them.
        bool Holds(DoorPoint p) => p.BowMm * line.BowMm <= 0 || Math.Abs(p.BowMm) <= LeaveMm / 2;
        double[] ends = [below.Last(Holds).HeightMm, above.First(Holds).HeightMm];
        return new DoorPush(line.Edge, line.BowAtMm, line.BowMm > 0, ends, want, push, spring);
    }

    /// <summary>What the pushes at an edge taught.</summary>
    private static (double? Least, double? Nothing, double Furthest) Learned(DoorFit door, DoorEdge edge)
    {
        (double? least, double? nothing, double furthest) = (null, null, 0d);
        for (int i = 1; i < door.Rounds.Count; i++)
        {
            if (door.Rounds[i].Pushed is not { } pushed || pushed.Edge != edge)
                continue;
            (double before, double after) = (Read(door.Rounds[i - 1], pushed)!.Value, Read(door.Rounds[i], pushed)!.Value);
            double stayed = (before - after) * Math.Sign(before);
            furthest = Math.Max(furthest, pushed.ByMm);
            if (stayed > ReadableMm)
                least = Math.Min(least ?? double.MaxValue, Math.Max(0, pushed.ByMm - stayed));
            else
                nothing = Math.Max(nothing ?? 0, pushed.ByMm);
        }
        // What a door sprang back by once, it may spring back by again: nothing beyond it was learned from a smaller push.
        return (least, least is { } l && nothing is { } n ? Math.Min(l, n) : nothing, furthest);
    }

    /// <summary>The bow of a round where the door was pushed, straight between readings; null where nothing was read round it.</summary>
    private static double? Read(DoorRound round, DoorPushed pushed)
    {
        IGrouping<DoorEdge, DoorReading>? edge = round.Readings.GroupBy(r => r.Edge).FirstOrDefault(g => g.Key == pushed.Edge);
        if (edge is null || edge.Count() < 3)
            return null;
        IReadOnlyList<DoorPoint> points = Line(edge, 1).Points;
        for (int i = 1; i < points.Count; i++)
        {
            (DoorPoint a, DoorPoint b) = (points[i - 1], points[i]);
            if (pushed.AtMm >= a.HeightMm && pushed.AtMm <= b.HeightMm)
                return a.BowMm + ((b.BowMm - a.BowMm) * (pushed.AtMm - a.HeightMm) / (b.HeightMm - a.HeightMm));
        }
        return null;
    }

    private static IEnumerable<Judgement> Rows(DoorFit door, DoorRead now, double wanted, DoorTurn? next, LengthFormat lengths)
    {
        foreach (DoorLine line in now.Lines)
        {
            string edge = line.Edge == DoorEdge.Latch ? "latch" : "hinge",
                fixing = line.Edge == DoorEdge.Latch ? "the latch" : "the hinge or runner";
            foreach ((DoorPoint p, string end) in new[] { (line.Points[^1], "top"), (line.Points[0], "bottom") })
            {
                double off = p.GapMm - wanted;
                bool good = IsPressed(p);
                yield return new Judgement(
                    $"door-{edge}-{end}",
                    good ? JudgementState.Good : JudgementState.NeedsWork,
                    $"gap at the {edge} edge, {end}",
                    p.GapMm,
                    wanted,
                    Unit.Mm,
                    good ? "The seal is pressed as it should be."
                        : off > 0 ? "The seal is hardly pressed."
                        : "The seal is crushed, and the door has to be slammed.",
                    good ? null
                        : next == DoorTurn.Seal ? $"A seal {lengths.Text(Math.Abs(off))} {(off > 0 ? "thicker, or packing under it" : "thinner")}."
                        : $"Set {fixing} {(off > 0 ? "in" : "out")} by {lengths.Text(Math.Abs(off))} there.",
                    []
                );
            }
            bool straight = !IsBowed(line);
            yield return new Judgement(
                $"door-{edge}-bow",
                straight ? JudgementState.Good : JudgementState.NeedsWork,
                $"bow of the {edge} edge",
                Math.Abs(line.BowMm),
                LeaveMm,
                Unit.Mm,
                straight ? "Straight enough for any seal."
                    : line.BowMm > 0 ? $"It stands off at {lengths.Text(line.BowAtMm)}."
                    : $"It presses at {lengths.Text(line.BowAtMm)} and stands off beside it.",
                straight ? null : "Latch and hinges first, then the seal; what is left is bent.",
                []
            );
            DoorPoint widest = line.Points.MaxBy(p => p.GapMm)!;
            if (line.Passes.Count > 0)
                yield return new Judgement(
                    $"door-{edge}-passes",
                    JudgementState.NeedsWork,
                    $"seal of the {edge} edge",
                    widest.SqueezePercent,
                    LeastPercent,
                    Unit.Percent,
                    $"Dust and water pass {string.Join(", ", line.Passes.Select(s => $"from {lengths.Text(s.FromMm)} to {lengths.Text(s.ToMm)}"))}.",
                    straight
                        ? $"The gap is {lengths.Text(widest.GapMm - wanted)} too wide at {lengths.Text(widest.HeightMm)}: set {fixing}, or the seal."
                        : "What latch, hinges and seal leave goes with the bow.",
                    []
                );
        }
        if (door.Glass && next == DoorTurn.Bend)
            yield return new Judgement(
                "door-glass",
                JudgementState.NeedsWork,
                "pane in the door",
                null,
                null,
                Unit.Mm,
                "A pane cracks when its frame is bent.",
                "Take the pane out first.",
                []
            );
        if (door.Dents)
            yield return new Judgement(
                "door-dents",
                JudgementState.NeedsWork,
                "skin that dents when slammed",
                null,
                null,
                Unit.Mm,
                "Nothing stiffens the middle of the skin.",
                "Once the door is straight, bond a strut behind the skin from frame to frame across the dented field, with elastic adhesive.",
                []
            );
    }

    private static string Verdict(DoorTurn? next, DoorPush? push, LengthFormat lengths)
    {
        return (next, push) switch
        {
            (null, _) => $"Straight within {lengths.Text(LeaveMm)} and pressed all along: nothing more to do.",
            (DoorTurn.HingesAndLatch, _) => "Set latch and hinges first, then read again.",
            (DoorTurn.Seal, _) => "Latch and hinges did not do it: another seal or packing, then read again.",
            (_, null) => "For a body shop: it would have to be pushed too far.",
            (_, { } p) => $"Push by {lengths.Text(p.PushMm)} at {lengths.Text(p.AtMm)} {(p.Inwards ? "inwards" : "outwards")}, "
                + $"so that {lengths.Text(p.WantMm)} stay; then read again.",
        };
    }
}
