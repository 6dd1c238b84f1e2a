using Abri.Core.Geometry;

namespace Abri.Core.Openings.Seating;

/// <summary>A strip of bedding tape to cut.</summary>
/// <param name="Layer">Number of the layer, from 1 at the skin.</param>
/// <param name="Side">Under which side it goes.</param>
/// <param name="FromMm">Where it begins, from the side's beginning, mm.</param>
/// <param name="LengthMm">How long to cut it, mm.</param>
public sealed record TapeStrip(int Layer, Side Side, double FromMm, double LengthMm);

/// <summary>A roll of bedding tape.</summary>
/// <param name="WidthMm">Width, mm.</param>
/// <param name="ThickMm">Thickness as it comes, mm.</param>
/// <param name="SqueezedShare">What is left of its thickness under a tightened flange.</param>
public sealed record BeddingTape(double WidthMm, double ThickMm, double SqueezedShare)
{
    /// <summary>A usual roll, 40 x 10 mm, squeezed to half: assumption.</summary>
    public static BeddingTape Usual { get; } = new(40, 10, 0.5);
}

/// <summary>The cut list of bedding tape.</summary>
/// <param name="Strips">The strips, layer by layer.</param>
/// <param name="TapeMm">Tape in all, mm.</param>
/// <param name="Layers">How many layers at the deepest place.</param>
public sealed record TapeList(IReadOnlyList<TapeStrip> Strips, double TapeMm, int Layers);

/// <summary>Plans strips of bedding tape that fill the gap under a flange.</summary>
/// <remarks>
/// Tape goes all round once; where the gap is more than squeezed layers fill, further strips go below it. Layers alternate which sides run through at the corners, so that joints do not coincide, and each strip is cut longer than its gap.
/// </remarks>
/// <example>A gap of 8 mm over 200 mm of a side, tape squeezed to 5 mm: one strip of 230 mm below the layer that goes all round.</example>
public static class TapePlan
{
    /// <summary>Each strip reaches past its gap at both ends by this, mm: assumption.</summary>
    public const double PastMm = 15;

    private const double HairMm = 0.2;

    /// <summary>The cut list.</summary>
    /// <param name="sides">The gaps along the sides.</param>
    /// <param name="tape">The tape.</param>
    public static Result<Worked<TapeList>> Of(IReadOnlyList<SeatSide> sides, BeddingTape tape)
    {
        if (sides.Count == 0) return new Problem("no-sides", "/sides", "Give the gap along at least one side of the flange.");
        for (int i = 0; i < sides.Count; i++)
        {
            if (sides[i].Places.Any(p => p.GapMm < -1e-6)) return new Problem("negative-gap", $"/sides/{i}/places", "A gap cannot be less than nothing: there the flange would lie in the skin. Measure from the flange down to the skin.");
        }
        TapeStrip[] strips = [.. Strips(sides, tape)];
        var sheet = new Worksheet();
        double layer = sheet.Step("h", "a layer, squeezed", "thickness * share left", tape.ThickMm * tape.SqueezedShare, "mm");
        sheet.Step("g", "greatest gap", "max over the sides", sides.Max(s => s.MaxGapMm), "mm");
        double layers = sheet.Step("n", "layers at the deepest place", "g / h, rounded up", strips.Max(s => s.Layer), "count");
        double length = sheet.Step("L", "tape in all", "sum of strips", strips.Sum(s => s.LengthMm), "mm");
        sheet.Cite(new Source($"Tape of {tape.ThickMm:0.#} mm squeezed to {layer:0.#} mm; strips {PastMm:0} mm past each gap", SourceKind.Assumption));
        return sheet.Finish(new TapeList(strips, length, (int)layers));
    }

    internal static IEnumerable<TapeStrip> Strips(IReadOnlyList<SeatSide> sides, BeddingTape tape)
    {
        double layer = tape.ThickMm * tape.SqueezedShare;
        // Layers below the one that goes all round: where the gap is more than those above it fill.
        int below = Math.Max(0, (int)Math.Ceiling((sides.Max(s => s.MaxGapMm) - HairMm) / layer) - 1);
        for (int k = 1; k <= below; k++)
        {
            foreach (SeatSide side in sides)
            {
                foreach ((double from, double to) in Joined([.. Where(side, p => p.GapMm > (k * layer) + HairMm).Select(w => (Math.Max(0, w.From - PastMm), Math.Min(side.LengthMm, w.To + PastMm)))]))
                    yield return new TapeStrip(k, side.Side, from, Math.Ceiling((to - from) / 5) * 5);
            }
        }
        foreach (SeatSide side in sides)
        {
            // In every other layer the other pair of sides runs through at the corners.
            bool through = side.Side is Side.Top or Side.Bottom == (below % 2 == 0);
            yield return new TapeStrip(below + 1, side.Side, through ? 0 : tape.WidthMm, Math.Ceiling(side.LengthMm - (through ? 0 : 2 * tape.WidthMm)));
        }
    }

    /// <summary>Strips that would meet are one.</summary>
    private static IEnumerable<(double From, double To)> Joined((double From, double To)[] strips)
    {
        for (int i = 0; i < strips.Length; i++)
        {
            (double from, double to) = strips[i];
            while (i + 1 < strips.Length && strips[i + 1].From <= to) to = strips[++i].To;
            yield return (from, to);
        }
    }

    private static IEnumerable<(double From, double To)> Where(SeatSide side, Func<SeatPlace, bool> holds)
    {
        double? from = null;
        foreach (SeatPlace p in side.Places)
        {
            if (holds(p)) from ??= p.AlongMm;
            else if (from is { } begun)
            {
                yield return (begun, p.AlongMm);
                from = null;
            }
        }
        if (from is { } open) yield return (open, side.LengthMm);
    }
}
