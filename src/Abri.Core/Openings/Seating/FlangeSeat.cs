using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;
using Abri.Core.Work;

namespace Abri.Core.Openings.Seating;

/// <summary>A place along one side of a flange.</summary>
/// <param name="AlongMm">Distance from the side's beginning (front, or lower t), mm.</param>
/// <param name="SkinMm">Height of the skin over its datum plane, mm.</param>
/// <param name="FrameMm">Height of the flange's underside, mm.</param>
public readonly record struct SeatPlace(
    [Within(0, 6000, "A place along the side", "mm")] double AlongMm,
    [Within(-2000, 2000, "A height of the skin", "mm")] double SkinMm,
    [Within(-2000, 2000, "A height of the flange", "mm")] double FrameMm
)
{
    /// <summary>The gap between them, mm.</summary>
    internal double GapMm => FrameMm - SkinMm;
}

/// <summary>What lies under one side of a flange, along the middle of its land.</summary>
/// <param name="Side">The side.</param>
/// <param name="LengthMm">Length of the side's middle line, mm.</param>
/// <param name="Places">Places along it.</param>
/// <param name="MaxGapMm">Greatest gap, mm.</param>
/// <param name="LandMm">Width by which the flange laps the skin here, mm; 0 where nobody said.</param>
public sealed record SeatSide(
    Side Side,
    [Within(10, 6000, "A side", "mm")] double LengthMm,
    [Count(0, 2000, "At most 2000 places along a side.")] IReadOnlyList<SeatPlace> Places,
    [Within(0, 200, "The greatest gap", "mm")] double MaxGapMm,
    [Within(0, 300, "The land", "mm")] double LandMm = 0
);

/// <summary>How a flange sits on its panel, and what fills the gaps.</summary>
/// <param name="Rest">The plane on which it rests.</param>
/// <param name="Sides">The four sides.</param>
/// <param name="FillMl">Volume between skin and flange, ml.</param>
/// <param name="Strips">Strips of bedding tape, layer by layer; none where bedding may not carry it.</param>
/// <param name="TapeMm">Tape in all, mm.</param>
/// <param name="TapeMl">Its volume, ml; what is more than <paramref name="FillMl"/> is squeezed out.</param>
/// <param name="Tape">The tape.</param>
/// <param name="Bedded">Whether bedding may carry it; where not, an adapter plate or solid filler has to.</param>
/// <param name="State">Good where it sits flat, needs work otherwise.</param>
/// <param name="Verdict">What that means.</param>
public sealed record Seat(
    Rest Rest,
    IReadOnlyList<SeatSide> Sides,
    double FillMl,
    IReadOnlyList<TapeStrip> Strips,
    double TapeMm,
    double TapeMl,
    BeddingTape Tape,
    bool Bedded,
    JudgementState State,
    string Verdict
);

/// <summary>Seats a flange on the surface of its panel, and works out the bedding.</summary>
/// <remarks>
/// The ring between flange and cut-out is sampled, the flange laid on it as a rigid plate (<see cref="RestingPlane"/>). Bedding:
/// <see cref="TapePlan"/>.
/// </remarks>
/// <example>A 490 x 490 flange over ridges 8 mm high: level at 8 mm; between the ridges a second strip of 10 mm tape squeezed to 5.</example>
public static class FlangeSeat
{
    private const double ProfileStepMm = 5,
        FillCellMm = 4;
    private const int MostSamples = 1000;

    /// <summary>The seat of a fitting at a place.</summary>
    /// <param name="site">What decides.</param>
    /// <param name="centre">The place.</param>
    /// <param name="asked">The bedding tape; null for the one that suits land and gap.</param>
    public static Result<Worked<Seat>> Of(Site site, PanelPoint centre, BeddingTape? asked)
    {
        if (ShellCheck.Of(site.Panel, site.Members) is { } shell)
            return shell;
        if (FittingCheck.Of(site.Fitting) is { } fitting)
            return fitting.Under("/fitting");
        Fitting turned = site.Fitting.Turned(site.TurnDeg);
        PanelBox flange = turned.Flange.BoxAt(centre),
            cut = turned.CutOut.BoxAt(centre);
        if (flange.Shared(site.Panel.Box).AreaMm2 < flange.AreaMm2 - 1)
            return new Problem(
                "flange-off-panel",
                "/centre",
                "The flange reaches off the panel here: it has no ground to sit on. Move it, or choose a smaller one."
            );
        Surface surface = Surface.Of(site.Panel, site.Members);
        List<SurfacePoint> ring = Ring(flange, cut, surface);
        if (!RestingPlane.Under(ring, centre).IsOk(out Worked<Rest>? rest, out Problem? problem))
            return problem;
        SeatSide[] sides = [.. Enum.GetValues<Side>().Select(side => Profile(side, flange, cut, surface, rest.Result))];
        double ringMm2 = flange.AreaMm2 - cut.AreaMm2,
            fill = FillMl(flange, cut, surface, rest.Result);
        double greatest = Math.Max(rest.Result.MaxGapMm, sides.Max(s => s.MaxGapMm));
        BeddingTape tape = asked ?? BeddingTape.For(sides.Min(s => s.LandMm), greatest);
        // What bedding may not carry gets no plan for bedding.
        bool bedded = greatest <= turned.BeddingMostMm;
        if (bedded && TapePlan.TooThin(sides, tape) is { } thin)
            return thin;
        TapeStrip[] strips = bedded ? [.. TapePlan.Strips(sides, tape)] : [];
        double length = strips.Sum(s => s.LengthMm),
            volume = TapePlan.VolumeMl(strips, tape);
        LengthFormat lengths = site.Lengths ?? LengthFormat.Millimetres;

        var sheet = new Worksheet();
        foreach (Step s in rest.Steps)
            sheet.Step(s.Symbol, s.Meaning, s.Formula, s.Value, s.Unit);
        foreach (Source s in rest.Sources)
            sheet.Cite(s);
        sheet.Step("A", "ring of the flange", "flange - cut-out", ringMm2 / 100, "cm2");
        sheet.Step("V", "to be filled under it", "sum of gap * cell over A", fill, "ml");
        sheet.Step("L", "tape in all", "sum of strips", length, "mm");
        sheet.Step("V_t", "volume of the tape", "sum of length * width * thickness", volume, "ml");
        if (TapePlan.Advice(strips, tape, lengths) is { Length: > 0 } advice)
            sheet.Warn(advice);
        if (bedded && volume < fill)
            sheet.Warn($"The strips hold {volume:0} ml, less than the {fill:0} ml under the flange: lay one more where the gap is deepest.");
        sheet.Cite(
            new Source(
                $"Tape {tape.WidthMm:0} x {tape.ThickMm:0} mm squeezed to {tape.SqueezedShare * 100:0} %; strips "
                    + $"{TapePlan.PastMm:0} mm past each gap",
                SourceKind.Assumption
            )
        );
        (JudgementState state, string verdict) = Judged(turned, greatest, rest.Result, lengths);
        return sheet.Finish(new Seat(rest.Result, sides, fill, strips, length, volume, tape, bedded, state, verdict));
    }

    private static (JudgementState, string) Judged(Fitting fitting, double gapMm, Rest rest, LengthFormat lengths)
    {
        string rocks = rest.Rocks ? " It rocks on its contacts: pack it before the screws are set." : "";
        if (gapMm <= fitting.FlatnessMm)
            return (
                JudgementState.Good,
                $"It sits flat: gaps of up to {lengths.Text(gapMm)}, and it takes {lengths.Text(fitting.FlatnessMm)}.{rocks}"
            );
        return gapMm <= fitting.BeddingMostMm
            ? (
                JudgementState.NeedsWork,
                $"Bedding fills gaps of up to {lengths.Text(gapMm)}; it may be {lengths.Text(fitting.BeddingMostMm)} deep.{rocks}"
            )
            : (
                JudgementState.NeedsWork,
                $"Gaps of {lengths.Text(gapMm)} are more than bedding may carry ({lengths.Text(fitting.BeddingMostMm)}). Make an "
                    + $"adapter plate, or fill the valleys solid and let it harden first.{rocks}"
            );
    }

    /// <summary>The greatest gap under a flange as it rests and what fills it, mm and ml, for the verdict and the list of places. Null where it finds
    /// no rest.</summary>
    internal static (double GapMm, double FillMl)? Bedding(Ground ground, PanelPoint centre)
    {
        PanelBox flange = ground.Fitting.Flange.BoxAt(centre),
            cut = ground.Fitting.CutOut.BoxAt(centre);
        // Only swages under the flange are asked: the verdict is wanted while one drags.
        Member[] under = [.. ground.Swages.Where(o => o.Box.Overlaps(flange)).Select(o => o.Member)];
        bool flat = ground.Site.Panel is { ArcRadiusAlongMm: null, ArcRadiusAcrossMm: null, Surface: SurfaceSource.Drawn };
        if (flat && under.Length == 0)
            return (0, 0);
        List<SurfacePoint> ring = Ring(flange, cut, Surface.Of(ground.Site.Panel, under));
        if (RestingPlane.Under(ring, centre).Value is not { Result: { } rest })
            return null;
        // On flat skin the areas of the swages give the fill exactly; elsewhere it is that of the places looked at.
        return (rest.MaxGapMm, flat ? SwageFill.Under(ground, centre).FillMl : rest.MeanGapMm * (flange.AreaMm2 - cut.AreaMm2) / 1000);
    }

    /// <summary>Volume between flange and skin, ml: summed in cells of <see cref="FillCellMm"/>, narrow against a swage.</summary>
    private static double FillMl(PanelBox flange, PanelBox cut, Surface surface, Rest rest)
    {
        int columns = (int)Math.Ceiling(flange.WidthMm / FillCellMm),
            rows = (int)Math.Ceiling(flange.HeightMm / FillCellMm);
        double cs = flange.WidthMm / columns,
            ct = flange.HeightMm / rows,
            sum = 0;
        for (int c = 0; c < columns; c++)
        {
            for (int r = 0; r < rows; r++)
            {
                var p = new PanelPoint(flange.SMinMm + (cs * (c + 0.5)), flange.TMinMm + (ct * (r + 0.5)));
                if (!cut.Holds(p))
                    sum += Math.Max(0, rest.At(p.SMm, p.TMm) - surface.HeightAt(p));
            }
        }
        return sum * cs * ct / 1000;
    }

    private static List<SurfacePoint> Ring(PanelBox flange, PanelBox cut, Surface surface)
    {
        double step = Math.Sqrt((flange.AreaMm2 - cut.AreaMm2) / MostSamples);
        int columns = (int)Math.Ceiling(flange.WidthMm / step),
            rows = (int)Math.Ceiling(flange.HeightMm / step);
        var ring = new List<SurfacePoint>(2 * MostSamples);
        for (int c = 0; c <= columns; c++)
        {
            for (int r = 0; r <= rows; r++)
            {
                var p = new PanelPoint(flange.SMinMm + (flange.WidthMm * c / columns), flange.TMinMm + (flange.HeightMm * r / rows));
                if (!cut.Holds(p))
                    ring.Add(new SurfacePoint(p.SMm, p.TMm, surface.HeightAt(p)));
            }
        }
        return ring;
    }

    private static SeatSide Profile(Side side, PanelBox flange, PanelBox cut, Surface surface, Rest rest)
    {
        bool along = side is Side.Top or Side.Bottom;
        double middle = side switch
        {
            Side.Front => (flange.SMinMm + cut.SMinMm) / 2,
            Side.Rear => (flange.SMaxMm + cut.SMaxMm) / 2,
            Side.Top => (flange.TMaxMm + cut.TMaxMm) / 2,
            _ => (flange.TMinMm + cut.TMinMm) / 2,
        };
        double length = along ? flange.WidthMm : flange.HeightMm,
            from = along ? flange.SMinMm : flange.TMinMm;
        int pieces = (int)Math.Ceiling(length / ProfileStepMm);
        SeatPlace[] places =
        [
            .. Enumerable
                .Range(0, pieces + 1)
                .Select(i =>
                {
                    double at = from + (length * i / pieces);
                    PanelPoint p = along ? new PanelPoint(at, middle) : new PanelPoint(middle, at);
                    return new SeatPlace(Math.Round(at - from, 2), Math.Round(surface.HeightAt(p), 3), Math.Round(rest.At(p.SMm, p.TMm), 3));
                }),
        ];
        double land = side switch
        {
            Side.Front => cut.SMinMm - flange.SMinMm,
            Side.Rear => flange.SMaxMm - cut.SMaxMm,
            Side.Top => flange.TMaxMm - cut.TMaxMm,
            _ => cut.TMinMm - flange.TMinMm,
        };
        return new SeatSide(side, length, places, places.Max(p => p.GapMm), land);
    }
}
