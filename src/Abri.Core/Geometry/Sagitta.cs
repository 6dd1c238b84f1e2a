namespace Abri.Core.Geometry;

/// <summary>An arc of a circle, with all that a straight-edge can tell of it.</summary>
/// <param name="RadiusMm">Radius, mm.</param>
/// <param name="ChordMm">Length of the straight-edge between the places where it touches, mm.</param>
/// <param name="RiseMm">How far the middle of the arc stands off the chord (sagitta), mm.</param>
/// <param name="ArcMm">Length along the skin, mm.</param>
public sealed record ArcFigures(double RadiusMm, double ChordMm, double RiseMm, double ArcMm);

/// <summary>
/// Finds the third of radius, chord and rise of an arc from the other two.
/// </summary>
/// <remarks>The arc is taken to be no more than half a circle, as skins are: h = R - sqrt(R^2 - (c/2)^2), R = c^2 / (8 h) + h / 2.</remarks>
/// <example>R 3000 and c 450 give 8.45 mm; c 450 and h 8.45 give R 3000.</example>
public static class Sagitta
{
    /// <summary>Finds the missing figure.</summary>
    /// <param name="radiusMm">Radius, mm; null where it is asked for.</param>
    /// <param name="chordMm">Chord, mm; null where it is asked for.</param>
    /// <param name="riseMm">Rise, mm; null where it is asked for.</param>
    public static Result<Worked<ArcFigures>> Of(double? radiusMm, double? chordMm, double? riseMm)
    {
        var sheet = new Worksheet();
        (double R, double C, double H)? found = (radiusMm, chordMm, riseMm) switch
        {
            ({ } r, { } c, null) when c <= 2 * r => (
                r,
                c,
                sheet.Step("h", "rise", "R - sqrt(R^2 - (c/2)^2)", r - Math.Sqrt((r * r) - (c * c / 4)), "mm")
            ),
            (null, { } c, { } h) when h <= c / 2 => (sheet.Step("R", "radius", "c^2 / (8 h) + h / 2", (c * c / (8 * h)) + (h / 2), "mm"), c, h),
            ({ } r, null, { } h) when h <= r => (r, sheet.Step("c", "chord", "2 sqrt(2 R h - h^2)", 2 * Math.Sqrt((2 * r * h) - (h * h)), "mm"), h),
            _ => null,
        };
        if (found is not { } arc)
        {
            return new[] { radiusMm, chordMm, riseMm }.Count(x => x is not null) == 2
                ? new Problem(
                    "arc-impossible",
                    "",
                    "No arc has these figures: the chord is at most twice the radius, the rise at most half the chord."
                )
                : new Problem("arc-two-figures", "", "Give two of radius, chord and rise; the third is worked out.");
        }
        double along = sheet.Step(
            "L",
            "length along the skin",
            "2 R asin(c / (2 R))",
            2 * arc.R * Math.Asin(Math.Clamp(arc.C / (2 * arc.R), -1, 1)),
            "mm"
        );
        sheet.Cite(new Source("Rise and chord of a circle's arc", SourceKind.Geometry));
        return sheet.Finish(new ArcFigures(arc.R, arc.C, arc.H, along));
    }
}
