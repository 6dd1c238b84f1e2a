using Abri.Core.Geometry;
using Google.OrTools.Sat;
using Google.OrTools.Util;

namespace Abri.Core.Metal;

/// <summary>Rectangles on rectangular sheets as a constraint model in tenths of a millimetre, sizes rounded up and sheets down.</summary>
/// <remarks>
/// Each piece lies on at most one sheet, turned or not; pieces on a sheet, each with its gap on two sides, do not overlap. What does not lie costs
/// more than all sheets; a sheet that is cut into costs its area. Solved by CP-SAT on one thread with a fixed seed and a limit in operations: the
/// same question has the same answer on any machine. Proofs hold for quarter turns and sizes to a tenth of a millimetre.
/// </remarks>
internal static class NestModel
{
    private const int PerMm = 10;

    /// <summary>What all sheets times all pieces may come to in the sum that is made least.</summary>
    private const double MostCost = 1e16;

    /// <summary>Few pieces are proven to the end; of many a good layout and a bound are wanted soon.</summary>
    private static string Search(int pieces) => $"num_workers:1,random_seed:1,max_deterministic_time:{(pieces <= 8 ? "1" : "0.2")}";

    /// <summary>Whether every piece and sheet is a rectangle.</summary>
    public static bool Fits(NestQuestion question) =>
        question.Pieces.All(p => NestLayout.IsBox(p.Outline)) && question.Sheets.All(s => NestLayout.IsBox(s.Outline));

    /// <summary>The best layout found, whether nothing can be better, and the least area of sheets that it needs, mm2.</summary>
    public static (NestLayout? Layout, bool Proven, double LeastMm2) Solve(NestQuestion question, NestLayout start, CancellationToken stop)
    {
        var model = new CpModel();
        int gap = (int)Math.Ceiling(question.GapMm * PerMm);
        PanelBox[] pieces = [.. question.Pieces.Select(p => PanelBox.Of(p.Outline))],
            sheets = [.. question.Sheets.Select(s => PanelBox.Of(s.Outline))];
        int Up(double mm) => (int)Math.Ceiling((mm * PerMm) - 1e-6) + gap;
        int Down(double mm) => (int)Math.Floor((mm * PerMm) + 1e-6) + gap;
        // To the square millimetre: what is coarser calls two choices of pieces equal that are not, and is no proof. The solver counts in 64 bits, so
        // that sheets as large as halls are counted more coarsely.
        double unitMm2 = Math.Max(1, Math.Sqrt(pieces.Sum(p => p.AreaMm2) * sheets.Sum(s => s.AreaMm2) / MostCost));
        long Area(PanelBox b) => (long)Math.Round(b.AreaMm2 / unitMm2);
        var lies = new BoolVar[pieces.Length, sheets.Length];
        var at = new (IntVar S, IntVar T)[pieces.Length, sheets.Length];
        var turned = new BoolVar[pieces.Length];
        BoolVar[] used = [.. sheets.Select((_, j) => model.NewBoolVar($"u{j}"))];
        List<LinearExpr> cost = [.. used.Select((u, j) => u * Area(sheets[j]))];
        long missing = sheets.Sum(Area) + 1;
        var none = new NoOverlap2dConstraint[sheets.Length];
        for (int j = 0; j < sheets.Length; j++)
            none[j] = model.AddNoOverlap2D();
        Dictionary<int, NestPlace> hints = start.Places.ToDictionary(p => p.Piece);
        for (int i = 0; i < pieces.Length; i++)
        {
            (int w, int h) = (Up(pieces[i].WidthMm), Up(pieces[i].HeightMm));
            turned[i] = model.NewBoolVar($"r{i}");
            if (question.Pieces[i].Grain || w == h)
                model.Add(turned[i] == 0);
            IntVar wide = model.NewIntVarFromDomain(Domain.FromValues([w, h]), $"w{i}"),
                high = model.NewIntVarFromDomain(Domain.FromValues([w, h]), $"h{i}");
            model.Add(wide == w + (turned[i] * (h - w)));
            model.Add(high == h + (turned[i] * (w - h)));
            NestPlace? hint = hints.GetValueOrDefault(i);
            model.AddHint(turned[i], hint?.TurnDeg == 90 ? 1 : 0);
            for (int j = 0; j < sheets.Length; j++)
            {
                (int right, int top) = (Down(sheets[j].WidthMm), Down(sheets[j].HeightMm));
                BoolVar here = lies[i, j] = model.NewBoolVar($"l{i},{j}");
                IntVar s = model.NewIntVar(0, right, $"s{i},{j}"),
                    t = model.NewIntVar(0, top, $"t{i},{j}"),
                    sEnd = model.NewIntVar(0, right, $"se{i},{j}"),
                    tEnd = model.NewIntVar(0, top, $"te{i},{j}");
                at[i, j] = (s, t);
                none[j]
                    .AddRectangle(
                        model.NewOptionalIntervalVar(s, wide, sEnd, here, $"is{i},{j}"),
                        model.NewOptionalIntervalVar(t, high, tEnd, here, $"it{i},{j}")
                    );
                model.AddImplication(here, used[j]);
                bool hinted = hint?.Sheet == j;
                model.AddHint(here, hinted ? 1 : 0);
                if (hinted)
                {
                    PanelBox there = PanelBox.Of(hint!.Outline);
                    model.AddHint(s, (int)Math.Round((there.SMinMm - sheets[j].SMinMm) * PerMm));
                    model.AddHint(t, (int)Math.Round((there.TMinMm - sheets[j].TMinMm) * PerMm));
                }
            }
            BoolVar[] anywhere = [.. Enumerable.Range(0, sheets.Length).Select(j => lies[i, j])];
            model.AddAtMostOne(anywhere);
            cost.Add((1 - LinearExpr.Sum(anywhere)) * (missing * Math.Max(1, Area(pieces[i]))));
        }
        // What lies on a sheet has no more area than it: quick to see, and slow to find out by placing.
        for (int j = 0; j < sheets.Length; j++)
            model.Add(
                LinearExpr.WeightedSum(
                    [.. Enumerable.Range(0, pieces.Length).Select(i => lies[i, j])],
                    [.. pieces.Select(p => (long)Up(p.WidthMm) * Up(p.HeightMm))]
                )
                    <= (long)Down(sheets[j].WidthMm) * Down(sheets[j].HeightMm)
            );
        model.Minimize(LinearExpr.Sum(cost));
        var solver = new CpSolver { StringParameters = Search(question.Pieces.Count) };
        using CancellationTokenRegistration stopping = stop.Register(solver.StopSearch);
        stop.ThrowIfCancellationRequested();
        CpSolverStatus status = solver.Solve(model);
        stop.ThrowIfCancellationRequested();
        if (status is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible))
            return (null, false, 0);
        List<NestPlace> places = [];
        for (int i = 0; i < pieces.Length; i++)
        {
            for (int j = 0; j < sheets.Length; j++)
            {
                if (!solver.BooleanValue(lies[i, j]))
                    continue;
                int turn = solver.BooleanValue(turned[i]) ? 90 : 0;
                (double s, double t) = (solver.Value(at[i, j].S) / (double)PerMm, solver.Value(at[i, j].T) / (double)PerMm);
                places.Add(
                    new NestPlace(
                        i,
                        j,
                        turn,
                        NestLayout.Moved(NestLayout.AtOrigin(question.Pieces[i].Outline, turn), sheets[j].SMinMm + s, sheets[j].TMinMm + t)
                    )
                );
            }
        }
        // Of everything that lies it is an area; where something is left it says nothing of sheets.
        double bound = Math.Max(0, solver.BestObjectiveBound) * unitMm2;
        return (NestLayout.Of(question, places), status == CpSolverStatus.Optimal && unitMm2 == 1, bound);
    }
}
