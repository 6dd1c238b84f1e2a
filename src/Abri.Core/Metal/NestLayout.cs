using Abri.Core.Geometry;
using NetTopologySuite.Geometries;

namespace Abri.Core.Metal;

/// <summary>Pieces as they lie on sheets, and how they are laid bottom-left.</summary>
/// <param name="Places">Where each piece lies.</param>
/// <param name="Left">Pieces that found no room.</param>
/// <param name="PlacedMm2">Area of the pieces that lie, mm2.</param>
/// <param name="SheetsMm2">Area of the sheets that are cut into, mm2.</param>
/// <param name="ReachMm">How far along the sheets pieces lie, in sum, mm.</param>
internal sealed record NestLayout(IReadOnlyList<NestPlace> Places, IReadOnlyList<int> Left, double PlacedMm2, double SheetsMm2, double ReachMm)
{
    /// <summary>What rounding may take from a gap, mm.</summary>
    private const double SlackMm = 1e-6;

    /// <summary>Whether one layout is better: more lies, then less sheet, then less of its length.</summary>
    public static bool Better(NestLayout a, NestLayout b) =>
        a.PlacedMm2 > b.PlacedMm2 + 1
        || (a.PlacedMm2 > b.PlacedMm2 - 1 && (a.SheetsMm2 < b.SheetsMm2 - 1 || (a.SheetsMm2 < b.SheetsMm2 + 1 && a.ReachMm < b.ReachMm - SlackMm)));

    /// <summary>Whether a sheet runs along t: pieces are pushed towards the end of its longer side.</summary>
    public static bool IsUpright(PanelBox sheet) => sheet.HeightMm > sheet.WidthMm;

    /// <summary>A layout from its places.</summary>
    public static NestLayout Of(NestQuestion question, IReadOnlyList<NestPlace> places) =>
        new(
            [.. places.OrderBy(p => p.Piece)],
            [.. Enumerable.Range(0, question.Pieces.Count).Except(places.Select(p => p.Piece))],
            places.Sum(p => Math.Abs(Outlines.SignedAreaMm2(p.Outline))),
            places.Select(p => p.Sheet).Distinct().Sum(j => Math.Abs(Outlines.SignedAreaMm2(question.Sheets[j].Outline))),
            places
                .GroupBy(p => p.Sheet)
                .Sum(on =>
                {
                    PanelBox sheet = PanelBox.Of(question.Sheets[on.Key].Outline);
                    return on.Max(p =>
                        IsUpright(sheet) ? PanelBox.Of(p.Outline).TMaxMm - sheet.TMinMm : PanelBox.Of(p.Outline).SMaxMm - sheet.SMinMm
                    );
                })
        );

    /// <summary>Pieces laid one after the other, each as far down and left as it goes on the first sheet that has room.</summary>
    public static NestLayout Laid(NestQuestion question, IReadOnlyList<int> order, IReadOnlyList<int> sheets, CancellationToken stop)
    {
        Ground[] grounds = [.. sheets.Select(j => new Ground(j, question.Sheets[j], question.GapMm))];
        foreach (int i in order.Until(stop))
        {
            foreach (Ground ground in grounds)
            {
                if (ground.Take(i, question.Pieces[i]))
                    break;
            }
        }
        return Of(question, [.. grounds.SelectMany(g => g.Places)]);
    }

    /// <summary>The ways in which a piece may be turned, with its outline at the origin; equal ones once.</summary>
    public static IEnumerable<(int TurnDeg, IReadOnlyList<PanelPoint> Outline)> Turns(NestPiece piece)
    {
        bool isBox = IsBox(piece.Outline);
        int[] turns = (piece.Grain, isBox) switch
        {
            (true, true) => [0],
            (true, false) => [0, 180],
            (false, true) => [0, 90],
            _ => [0, 90, 180, 270],
        };
        return turns.Select(turn => (turn, AtOrigin(piece.Outline, turn)));
    }

    /// <summary>Whether an outline is a rectangle square to the axes.</summary>
    public static bool IsBox(IReadOnlyList<PanelPoint> outline) =>
        outline.Count == 4
        && Math.Abs(Math.Abs(Outlines.SignedAreaMm2(outline)) - (PanelBox.Of(outline).WidthMm * PanelBox.Of(outline).HeightMm)) < SlackMm;

    /// <summary>An outline turned by quarters of a turn, its lower left corner at the origin.</summary>
    public static IReadOnlyList<PanelPoint> AtOrigin(IReadOnlyList<PanelPoint> outline, int turnDeg)
    {
        (int cos, int sin) = turnDeg switch
        {
            90 => (0, 1),
            180 => (-1, 0),
            270 => (0, -1),
            _ => (1, 0),
        };
        PanelPoint[] turned = [.. outline.Select(p => new PanelPoint((cos * p.SMm) - (sin * p.TMm), (sin * p.SMm) + (cos * p.TMm)))];
        PanelBox box = PanelBox.Of(turned);
        return Moved(turned, -box.SMinMm, -box.TMinMm);
    }

    /// <summary>An outline moved.</summary>
    public static IReadOnlyList<PanelPoint> Moved(IReadOnlyList<PanelPoint> outline, double s, double t) =>
        [.. outline.Select(p => new PanelPoint(p.SMm + s, p.TMm + t))];

    /// <summary>A sheet while pieces are laid on it.</summary>
    private sealed class Ground(int number, NestSheet sheet, double gapMm)
    {
        private readonly PanelBox box = PanelBox.Of(sheet.Outline);
        private readonly Polygon whole = Plane.Polygon(sheet.Outline);
        private readonly bool isBox = IsBox(sheet.Outline);
        private readonly List<(PanelBox Box, Polygon Area, bool IsBox)> lain = [];

        public List<NestPlace> Places { get; } = [];

        /// <summary>Lays a piece where it goes furthest down and left; whether it found room.</summary>
        public bool Take(int i, NestPiece piece)
        {
            bool upright = IsUpright(box);
            (NestPlace Place, double Far, double Side)? best = null;
            double[] starts = [.. Starts(p => p.SMm, b => b.SMaxMm)],
                heights = [.. Starts(p => p.TMm, b => b.TMaxMm)];
            foreach ((int turn, IReadOnlyList<PanelPoint> outline) in Turns(piece))
            {
                PanelBox own = PanelBox.Of(outline);
                IEnumerable<(double S, double T)> tries = upright
                    ? heights.SelectMany(t => starts.Select(s => (s, t)))
                    : starts.SelectMany(s => heights.Select(t => (s, t)));
                foreach ((double s, double t) in tries)
                {
                    (double far, double side) = upright ? (t + own.HeightMm, s) : (s + own.WidthMm, t);
                    if (best is { } b && (far > b.Far + SlackMm || (far > b.Far - SlackMm && side >= b.Side - SlackMm)))
                    {
                        if (far > b.Far + SlackMm)
                            break;
                        continue;
                    }
                    if (Fits(outline, own, s, t))
                        best = (new NestPlace(i, number, turn, Moved(outline, s, t)), far, side);
                }
            }
            if (best is not { } found)
                return false;
            Places.Add(found.Place);
            lain.Add((PanelBox.Of(found.Place.Outline), Plane.Polygon(found.Place.Outline), IsBox(found.Place.Outline)));
            return true;
        }

        /// <summary>Where an edge of a piece may begin along an axis: at corners of the sheet, and beside corners of what lies.</summary>
        private IEnumerable<double> Starts(Func<PanelPoint, double> along, Func<PanelBox, double> end) =>
            sheet
                .Outline.Select(along)
                .Concat(
                    Places.Zip(lain, (p, l) => (p, l)).SelectMany(x => x.l.IsBox ? [end(x.l.Box) + gapMm] : x.p.Outline.Select(c => along(c) + gapMm))
                )
                .Distinct()
                .Order();

        /// <summary>Whether a piece with its corner at a place is on the sheet and clear of what lies; rectangles first.</summary>
        private bool Fits(IReadOnlyList<PanelPoint> outline, PanelBox size, double s, double t)
        {
            var own = new PanelBox(s, s + size.WidthMm, t, t + size.HeightMm);
            bool off =
                own.SMinMm < box.SMinMm - SlackMm
                || own.TMinMm < box.TMinMm - SlackMm
                || own.SMaxMm > box.SMaxMm + SlackMm
                || own.TMaxMm > box.TMaxMm + SlackMm;
            if (off)
                return false;
            double near = gapMm - SlackMm;
            bool boxed = IsBox(outline);
            List<Polygon> beside = [];
            foreach ((PanelBox there, Polygon area, bool isThereBox) in lain)
            {
                bool meets =
                    there.SMinMm < own.SMaxMm + near
                    && there.SMaxMm > own.SMinMm - near
                    && there.TMinMm < own.TMaxMm + near
                    && there.TMaxMm > own.TMinMm - near;
                if (meets && isThereBox && boxed)
                    return false;
                if (meets)
                    beside.Add(area);
            }
            if (beside.Count == 0 && isBox)
                return true;
            Polygon piece = Plane.Polygon(Moved(outline, s, t));
            return beside.All(area => area.Distance(piece) >= near) && (isBox || whole.Covers(piece.Buffer(-SlackMm)));
        }
    }
}
