using Abri.Core.Geometry;
using Abri.Core.Openings.Rules;
using Abri.Core.Shell;
using Google.OrTools.Sat;

namespace Abri.Core.Openings.Together;

/// <summary>One of the fittings made ready for the model.</summary>
/// <param name="Given">What was asked.</param>
/// <param name="Ground">Its ground.</param>
/// <param name="Region">All places where its centre may lie.</param>
/// <param name="Cost">What a place costs.</param>
/// <param name="Spared">Numbers of the secondary ribs that it must not cut: the verdict blocked a place that did.</param>
internal sealed record TogetherPart(
    TogetherFitting Given,
    Ground Ground,
    IReadOnlyList<RegionPart> Region,
    PositionCost Cost,
    IReadOnlyList<int> Spared
);

/// <summary>Which rules between fittings hold; they are left out one by one to find those that clash.</summary>
/// <param name="SpacingMm">Room between two flanges, mm.</param>
/// <param name="Lids">Whether all lids can be open at once.</param>
/// <param name="Mouths">Whether the mouth of a flue keeps away from what lets air in.</param>
internal sealed record TogetherRules(double SpacingMm, bool Lids, bool Mouths = true);

/// <summary>
/// The arrangement of several fittings as a constraint model in hundredths of a millimetre.
/// </summary>
/// <remarks>
/// A centre lies in one of the convex pieces of its region; two fittings are apart along s or along t, by their flanges and the spacing and by the
/// room of their open lids.
/// What a wish is missed by is a distance along s, along t or both, so that the sum is linear; a secondary rib that is crossed costs
/// <see cref="PositionCost.PerRibCut"/>: it is
/// crossed unless the centre lies beyond an edge of the sum of rib and cut-out, of each convex piece of the rib, slanted or not.
/// Solved by CP-SAT on one thread with a fixed seed: the same input gives the same answer.
/// </remarks>
internal sealed class TogetherModel
{
    /// <summary>Parts of a millimetre in which the model counts.</summary>
    public const int PerMm = 100;

    /// <summary>One thread, and the linear relaxation of everything: distances are proved by it and hardly without. The limit counts the solver's own
    /// operations, about as many as a
    /// second holds: so a slow machine gives the same answer as a quick one.</summary>
    private const string Search = "num_workers:1,linearization_level:2,random_seed:1,max_deterministic_time:1";

    /// <summary>Normals of slanted edges are rounded to this, so that a piece 10 m long is right to a hundredth.</summary>
    private const long NormalScale = 1_000_000;

    private readonly CpModel model = new();
    private readonly IReadOnlyList<TogetherPart> parts;
    private readonly List<(IntVar S, IntVar T)> centres = [];
    private readonly List<LinearExpr> costs = [];

    public TogetherModel(IReadOnlyList<TogetherPart> parts, IReadOnlyList<Neighbour> fixedOnes, TogetherRules rules)
    {
        this.parts = parts;
        foreach (TogetherPart part in parts)
            Place(part);
        for (int i = 0; i < parts.Count; i++)
        {
            for (int j = 0; j < i; j++)
                Apart(i, Keep.Around(parts[i].Ground.Fitting), Keep.Around(parts[j].Ground.Fitting), centres[j].S, centres[j].T, rules);
            foreach (Neighbour n in fixedOnes)
                Apart(
                    i,
                    Keep.Around(parts[i].Ground.Fitting),
                    Keep.Around(n.Fitting.Turned(n.TurnDeg)),
                    LinearExpr.Constant(Round(n.Centre.SMm)),
                    LinearExpr.Constant(Round(n.Centre.TMm)),
                    rules
                );
        }
    }

    /// <summary>Whether all wishes are in the model; where the bay of a place is not the same all over a piece, its middle is not.</summary>
    public bool IsWhole { get; private set; } = true;

    /// <summary>The best arrangement; none where there is none.</summary>
    public (IReadOnlyList<PanelPoint>? Centres, bool Proven) Solve(CancellationToken stop, bool onlyWhether = false)
    {
        stop.ThrowIfCancellationRequested();
        if (!onlyWhether)
            model.Minimize(LinearExpr.Sum(costs));
        var solver = new CpSolver { StringParameters = Search };
        using CancellationTokenRegistration stopping = stop.Register(solver.StopSearch);
        CpSolverStatus status = solver.Solve(model);
        stop.ThrowIfCancellationRequested();
        if (status is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible))
            return (null, status == CpSolverStatus.Infeasible);
        return (
            [.. centres.Select(c => new PanelPoint(solver.Value(c.S) / (double)PerMm, solver.Value(c.T) / (double)PerMm))],
            status == CpSolverStatus.Optimal
        );
    }

    private void Place(TogetherPart part)
    {
        PanelBox edge = part.Ground.Site.Panel.Box;
        IntVar s = model.NewIntVar(Round(edge.SMinMm), Round(edge.SMaxMm), "s"),
            t = model.NewIntVar(Round(edge.TMinMm), Round(edge.TMaxMm), "t");
        centres.Add((s, t));
        var inPiece = new List<ILiteral>();
        List<IntVar> offMiddle = [.. part.Given.Wishes.Where(w => w.Kind == WishKind.BayCentre).Select(w => Distance(w.Weight))];
        foreach (RegionPart region in part.Region)
        {
            double? middle = part.Cost.BayMiddleOf(region);
            if (middle is null && offMiddle.Count > 0)
                IsWhole = false;
            foreach (IReadOnlyList<PanelPoint> piece in Convex(region))
            {
                BoolVar here = model.NewBoolVar("here");
                inPiece.Add(here);
                Hold(s, t, piece, here);
                foreach (IntVar off in offMiddle.Where(_ => middle is not null))
                    AtLeastOff(off, s, Round(middle!.Value), here);
            }
        }
        model.AddExactlyOne(inPiece);
        foreach (Wish wish in part.Given.Wishes)
            Wished(part, wish, s, t);
        if (part.Ground.Site.RibInTheWay == RibInTheWay.CutSecondary)
            Ribs(part, s, t);
    }

    private void Wished(TogetherPart part, Wish wish, IntVar s, IntVar t)
    {
        PanelPoint? aim = wish.Kind switch
        {
            WishKind.OverZone => part.Cost.ZoneOf(wish)?.Centre,
            WishKind.CentreLine => part.Ground.Site.Panel.Box.Centre,
            WishKind.Level => new PanelPoint(0, wish.AtMm ?? 0),
            _ => null,
        };
        if (aim is not { } at)
            return;
        AtLeastOff(Distance(wish.Weight), t, Round(at.TMm), null);
        if (wish.Kind == WishKind.OverZone)
            AtLeastOff(Distance(wish.Weight), s, Round(at.SMm), null);
    }

    /// <summary>A distance that costs; the minimum draws it down to what holds it up.</summary>
    private IntVar Distance(double weight)
    {
        IntVar off = model.NewIntVar(0, 100_000 * PerMm, "off");
        costs.Add(LinearExpr.Term(off, (long)Math.Round(weight * 1000)));
        return off;
    }

    private void AtLeastOff(IntVar off, IntVar place, long aim, ILiteral? where)
    {
        foreach (Constraint c in new[] { model.Add(off >= place - aim), model.Add(off >= aim - place) })
        {
            if (where is not null)
                c.OnlyEnforceIf(where);
        }
    }

    private void Ribs(TogetherPart part, IntVar s, IntVar t)
    {
        PerSide reach = part.Ground.CutReach(PerSide.All(0));
        foreach (Obstacle rib in part.Ground.Standing.Where(o => o.Member.Role == MemberRole.Secondary && part.Ground.ReachFor(o.Member) is null))
        {
            BoolVar cut = model.NewBoolVar("cut");
            if (part.Spared.Contains(rib.Index))
                model.Add(cut == 0);
            else
                costs.Add(LinearExpr.Term(cut, (long)PositionCost.PerRibCut * 1000 * PerMm));
            // A rib that is bent may be passed on different sides of its pieces.
            foreach (IReadOnlyList<PanelPoint> piece in rib.Pieces)
                OneOf([.. Beyond(MinkowskiSum.TouchedBy(piece, reach), s, t)], cut);
        }
    }

    /// <summary>A centre lies beyond one of the edges of a convex area.</summary>
    private IEnumerable<Constraint> Beyond(NetTopologySuite.Geometries.Geometry area, IntVar s, IntVar t)
    {
        PanelPoint[] corners = [.. area.Coordinates.Skip(1).Select(c => new PanelPoint(c.X, c.Y))];
        double turn = Math.Sign(Outlines.SignedAreaMm2(corners));
        for (int k = 0; k < corners.Length; k++)
        {
            (double ns, double nt) = Inwards(corners[k], corners[(k + 1) % corners.Length], turn);
            long bound = (long)Math.Floor(((((ns * corners[k].SMm) + (nt * corners[k].TMm)) * PerMm) + 1e-6) * NormalScale);
            yield return model.Add((s * Scaled(ns)) + (t * Scaled(nt)) <= bound);
        }
    }

    /// <summary>The direction square to an edge that leads into an area, of length 1.</summary>
    private static (double S, double T) Inwards(PanelPoint a, PanelPoint b, double turn)
    {
        double length = a.DistanceMm(b);
        return (-(b.TMm - a.TMm) * turn / length, (b.SMm - a.SMm) * turn / length);
    }

    private static long Scaled(double normal) => (long)Math.Round(normal * NormalScale);

    private void Apart(int i, Keep own, Keep other, LinearExpr s, LinearExpr t, TogetherRules rules)
    {
        (IntVar ownS, IntVar ownT) = centres[i];
        double? mouth = rules.Mouths ? FlueRules.BetweenMm(own.Fitting, other.Fitting) : null;
        long D(double flanges, double lids, double cuts) =>
            (long)Math.Ceiling(Math.Max(Math.Max(flanges + rules.SpacingMm, rules.Lids ? lids : 0), mouth + cuts ?? 0) * PerMm - 1e-6);
        double across = (own.Fitting.CutOut.WidthMm + other.Fitting.CutOut.WidthMm) / 2,
            up = (own.Fitting.CutOut.HeightMm + other.Fitting.CutOut.HeightMm) / 2;
        // Fumes rise: on a wall a mouth never lies below what can be open.
        bool rises = mouth is not null && FlueRules.Rises(parts[i].Ground.Site.Panel.Facing);
        Constraint[] ways =
        [
            model.Add(s - ownS >= D(own.Flange.RearMm + other.Flange.FrontMm, own.Lid.RearMm + other.Lid.FrontMm, across)),
            model.Add(ownS - s >= D(own.Flange.FrontMm + other.Flange.RearMm, own.Lid.FrontMm + other.Lid.RearMm, across)),
            .. rises && own.IsFlue
                ? []
                : new[] { model.Add(t - ownT >= D(own.Flange.TopMm + other.Flange.BottomMm, own.Lid.TopMm + other.Lid.BottomMm, up)) },
            .. rises && other.IsFlue
                ? []
                : new[] { model.Add(ownT - t >= D(own.Flange.BottomMm + other.Flange.TopMm, own.Lid.BottomMm + other.Lid.TopMm, up)) },
        ];
        OneOf(ways);
    }

    /// <summary>At least one of the constraints holds, or the literal does.</summary>
    private void OneOf(Constraint[] constraints, params ILiteral[] or)
    {
        var holds = new List<ILiteral>(or);
        foreach (Constraint constraint in constraints)
        {
            BoolVar one = model.NewBoolVar("one");
            constraint.OnlyEnforceIf(one);
            holds.Add(one);
        }
        model.AddBoolOr(holds);
    }

    private void Hold(IntVar s, IntVar t, IReadOnlyList<PanelPoint> piece, ILiteral here)
    {
        if (piece.Count == 4)
        {
            PanelBox box = PanelBox.Of(piece);
            (long s1, long s2) = Inward(box.SMinMm, box.SMaxMm);
            (long t1, long t2) = Inward(box.TMinMm, box.TMaxMm);
            model.AddLinearConstraint(s, s1, s2).OnlyEnforceIf(here);
            model.AddLinearConstraint(t, t1, t2).OnlyEnforceIf(here);
            return;
        }
        double turn = Math.Sign(Outlines.SignedAreaMm2(piece));
        for (int k = 0; k < piece.Count; k++)
        {
            (double ns, double nt) = Inwards(piece[k], piece[(k + 1) % piece.Count], turn);
            model
                .Add((s * Scaled(ns)) + (t * Scaled(nt)) >= (long)Math.Ceiling(((ns * piece[k].SMm) + (nt * piece[k].TMm)) * PerMm * NormalScale))
                .OnlyEnforceIf(here);
        }
    }

    /// <summary>Rectangles as they are; others cut into triangles.</summary>
    private static IEnumerable<IReadOnlyList<PanelPoint>> Convex(RegionPart region) =>
        region.IsBox ? [region.Outline] : Plane.Triangles(Plane.Polygon(region));

    /// <summary>A span rounded inwards; one too narrow for that is taken at its middle, where a fitting that fits exactly still fits.</summary>
    private static (long From, long To) Inward(double fromMm, double toMm)
    {
        (long from, long to) = ((long)Math.Ceiling((fromMm * PerMm) - 1e-6), (long)Math.Floor((toMm * PerMm) + 1e-6));
        long middle = Round((fromMm + toMm) / 2);
        return from <= to ? (from, to) : (middle, middle);
    }

    private static long Round(double mm) => (long)Math.Round(mm * PerMm);

    /// <summary>How far a fitting reaches from its centre, closed and with its lid open, mm.</summary>
    private sealed record Keep(Fitting Fitting, PerSide Flange, PerSide Lid)
    {
        public bool IsFlue => Fitting.Kind == FittingKind.Flue;

        public static Keep Around(Fitting fitting)
        {
            double s = fitting.Flange.WidthMm / 2,
                t = fitting.Flange.HeightMm / 2;
            var flange = new PerSide(s, s, t, t);
            return new Keep(
                fitting,
                flange,
                new PerSide(s + fitting.Sweep.FrontMm, s + fitting.Sweep.RearMm, t + fitting.Sweep.TopMm, t + fitting.Sweep.BottomMm)
            );
        }
    }
}
