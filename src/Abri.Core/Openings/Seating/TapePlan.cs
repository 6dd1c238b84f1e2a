using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Openings.Seating;

/// <summary>A strip of bedding tape to cut.</summary>
/// <param name="Layer">Number of the layer, from 1 at the skin.</param>
/// <param name="Side">Under which side it goes.</param>
/// <param name="FromMm">Where it begins, from the side's beginning, mm.</param>
/// <param name="LengthMm">How long to cut it, mm.</param>
/// <param name="WidthMm">How wide it may be on this side, mm: that of the tape, or of the land where that is narrower.</param>
public sealed record TapeStrip(int Layer, Side Side, double FromMm, double LengthMm, double WidthMm);

/// <summary>A roll of bedding tape.</summary>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="ThickMm">Thickness as it comes, mm.</param>
/// <param name="SqueezedShare">What is left of its thickness under a tightened flange.</param>
public sealed record BeddingTape(
    [Within(5, 200, "The tape's width", "mm")] double WidthMm,
    [Within(0.5, 50, "The tape's thickness", "mm")] double ThickMm,
    [Within(0.1, 1, "What is left of it when squeezed")] double SqueezedShare
)
{
    /// <summary>A roll where valleys are filled, 40 x 10 mm, squeezed to half: assumption.</summary>
    public static BeddingTape Usual { get; } = new(40, 10, 0.5);

    /// <summary>Thickness on flat skin, mm: common practice, 2 to 3.</summary>
    private const double ThinMm = 3;

    private static readonly double[] Widths = [15, 20, 25, 30, 40];

    /// <summary>The tape for a land and a gap: as wide as shops have it and the land takes it, thin on flat skin, thick where valleys are
    /// filled.</summary>
    /// <param name="landMm">Least width by which the flange laps the skin, mm.</param>
    /// <param name="gapMm">Greatest gap below it, mm.</param>
    public static BeddingTape For(double landMm, double gapMm) =>
        Usual with
        {
            WidthMm = Widths.LastOrDefault(w => w <= landMm, Widths[0]),
            ThickMm = gapMm <= ThinMm * Usual.SqueezedShare ? ThinMm : Usual.ThickMm,
        };
}

/// <summary>The cut list of bedding tape.</summary>
/// <param name="Strips">The strips, layer by layer.</param>
/// <param name="TapeMm">Tape in all, mm.</param>
/// <param name="TapeMl">Its volume, ml.</param>
/// <param name="Layers">How many layers at the deepest place.</param>
/// <param name="Advice">What to look out for; empty where nothing.</param>
public sealed record TapeList(IReadOnlyList<TapeStrip> Strips, double TapeMm, double TapeMl, int Layers, string Advice);

/// <summary>Plans strips of bedding tape that fill the gap under a flange.</summary>
/// <remarks>
/// Tape goes all round once; where the gap is more than squeezed layers fill, further strips go below it, cut longer than their gaps. In every layer
/// two opposite sides run through at the corners and the other two stop at them, so that no
/// corner is laid twice; layers alternate which, so that joints do not coincide. No strip is longer than its side, nor wider than the land: what is
/// wider is cut.
/// </remarks>
/// <example>A gap of 8 mm over 200 mm of a side, tape squeezed to 5 mm: one strip of 230 mm below the layer that goes all round.</example>
public static class TapePlan
{
    /// <summary>Each strip reaches past its gap at both ends by this, mm: assumption.</summary>
    public const double PastMm = 15;

    /// <summary>Most layers that stay where they are laid: assumption.</summary>
    public const int MostLayers = 6;

    private const double HairMm = 0.2;

    /// <summary>The cut list.</summary>
    /// <param name="sides">The gaps along the sides.</param>
    /// <param name="tape">The tape.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<TapeList>> Of(IReadOnlyList<SeatSide> sides, BeddingTape tape, LengthFormat lengths)
    {
        if (sides.Count == 0)
            return new Problem("no-sides", "/sides", "Give the gap along at least one side of the flange.");
        for (int i = 0; i < sides.Count; i++)
        {
            if (sides[i].Places.Any(p => p.GapMm < -1e-6))
                return new Problem(
                    "negative-gap",
                    $"/sides/{i}/places",
                    "A gap cannot be less than nothing: there the flange would lie in the skin. Measure from the flange down to the skin."
                );
        }
        if (TooThin(sides, tape) is { } thin)
            return thin;
        TapeStrip[] strips = [.. Strips(sides, tape)];
        var sheet = new Worksheet();
        double layer = sheet.Step("h", "a layer, squeezed", "thickness * share left", tape.ThickMm * tape.SqueezedShare, "mm");
        sheet.Step("g", "greatest gap", "max over the sides", sides.Max(s => s.MaxGapMm), "mm");
        double layers = sheet.Step("n", "layers at the deepest place", "g / h, rounded up", strips.Max(s => s.Layer), "count");
        double length = sheet.Step("L", "tape in all", "sum of strips", strips.Sum(s => s.LengthMm), "mm");
        double volume = sheet.Step("V_t", "volume of the tape", "sum of length * width * thickness", VolumeMl(strips, tape), "ml");
        sheet.Cite(
            new Source($"Tape of {tape.ThickMm:0.#} mm squeezed to {layer:0.#} mm; strips {PastMm:0} mm past each gap", SourceKind.Assumption)
        );
        return sheet.Finish(new TapeList(strips, length, volume, (int)layers, Advice(strips, tape, lengths)));
    }

    /// <summary>Why a tape is too thin for the gaps, or null.</summary>
    internal static Problem? TooThin(IReadOnlyList<SeatSide> sides, BeddingTape tape)
    {
        int layers = Layers(sides, tape);
        return layers <= MostLayers
            ? null
            : new Problem(
                "tape-too-thin",
                "/tape/thickMm",
                $"The deepest gap would take {layers} layers of this tape; more than {MostLayers} slide on one another. Take tape "
                    + $"of {Math.Ceiling((sides.Max(s => s.MaxGapMm) - HairMm) / (MostLayers * tape.SqueezedShare)):0} mm or more, "
                    + "or fill the gap first."
            );
    }

    internal static double VolumeMl(IEnumerable<TapeStrip> strips, BeddingTape tape) => strips.Sum(s => s.LengthMm * s.WidthMm) * tape.ThickMm / 1000;

    /// <summary>What the person who cuts the strips has to know.</summary>
    internal static string Advice(IReadOnlyList<TapeStrip> strips, BeddingTape tape, LengthFormat lengths)
    {
        TapeStrip[] narrow = [.. strips.Where(s => s.WidthMm < tape.WidthMm - PlacingFigures.HairMm)];
        return narrow.Length == 0
            ? ""
            : $"The flange laps the skin by {lengths.Text(narrow.Min(s => s.WidthMm))} only: cut the tape to that width there, or "
                + "take a narrower one, so that none shows in the hole.";
    }

    internal static IEnumerable<TapeStrip> Strips(IReadOnlyList<SeatSide> sides, BeddingTape tape)
    {
        double layer = tape.ThickMm * tape.SqueezedShare;
        int layers = Layers(sides, tape);
        for (int k = 1; k <= layers; k++)
        {
            foreach (SeatSide side in sides)
            {
                // In every other layer the other pair of sides runs through at the corners.
                bool through = side.Side is Side.Top or Side.Bottom == (k % 2 == layers % 2);
                (double low, double high) = through ? (0, side.LengthMm) : (Beside(side.Side, false), side.LengthMm - Beside(side.Side, true));
                IEnumerable<(double From, double To)> runs =
                    k == layers
                        ? [(0, side.LengthMm)]
                        : Joined([.. Where(side, p => p.GapMm > (k * layer) + HairMm).Select(w => (w.From - PastMm, w.To + PastMm))]);
                foreach ((double from, double to) in runs)
                {
                    double begin = Math.Max(low, from),
                        room = high - begin,
                        wanted = Math.Min(high, to) - begin;
                    // A strip over a gap is cut to a length that one can measure; it may not pass its side's end.
                    double length = k == layers ? wanted : Math.Min(Math.Ceiling(wanted / 5) * 5, room);
                    if (length >= 1)
                        yield return new TapeStrip(k, side.Side, begin, Math.Floor(length + 1e-6), WidthOn(side, tape));
                }
            }
        }

        // The strip that runs through at an end of a side; none where that side was not given.
        double Beside(Side side, bool atHighEnd)
        {
            Side next =
                side is Side.Front or Side.Rear ? (atHighEnd ? Side.Top : Side.Bottom)
                : atHighEnd ? Side.Rear
                : Side.Front;
            return sides.FirstOrDefault(s => s.Side == next) is { } there ? WidthOn(there, tape) : 0;
        }
    }

    /// <summary>Layers at the deepest place: one all round, and more where the gap is more than that fills.</summary>
    private static int Layers(IReadOnlyList<SeatSide> sides, BeddingTape tape) =>
        (int)Math.Min(1e6, Math.Max(1, Math.Ceiling((sides.Max(s => s.MaxGapMm) - HairMm) / (tape.ThickMm * tape.SqueezedShare))));

    private static double WidthOn(SeatSide side, BeddingTape tape) => side.LandMm > 0 ? Math.Min(tape.WidthMm, side.LandMm) : tape.WidthMm;

    /// <summary>Strips that would meet are one.</summary>
    private static IEnumerable<(double From, double To)> Joined((double From, double To)[] strips)
    {
        for (int i = 0; i < strips.Length; i++)
        {
            (double from, double to) = strips[i];
            while (i + 1 < strips.Length && strips[i + 1].From <= to)
                to = strips[++i].To;
            yield return (from, to);
        }
    }

    private static IEnumerable<(double From, double To)> Where(SeatSide side, Func<SeatPlace, bool> holds)
    {
        double? from = null;
        foreach (SeatPlace p in side.Places)
        {
            if (holds(p))
                from ??= p.AlongMm;
            else if (from is { } begun)
            {
                yield return (begun, p.AlongMm);
                from = null;
            }
        }
        if (from is { } open)
            yield return (open, side.LengthMm);
    }
}
