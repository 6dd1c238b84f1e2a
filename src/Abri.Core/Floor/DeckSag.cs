using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Floor;

/// <summary>A sheet over bearers, with a load in the middle of a bay.</summary>
/// <param name="ThickMm">Thickness, mm.</param>
/// <param name="ModulusMPa">Modulus of elasticity across the bearers, MPa.</param>
/// <param name="SpacingMm">From bearer to bearer, middle to middle, mm.</param>
/// <param name="LoadN">Load, N.</param>
/// <param name="FootMm">Side of the square that it stands on, mm; 0 for a point.</param>
/// <param name="LimitMm">Most that it may sag, mm.</param>
public sealed record Deck(
    [Within(2, 60, "The sheet", "mm")] double ThickMm,
    [Within(100, 250_000, "The modulus", "MPa")] double ModulusMPa,
    [Within(50, 3000, "The spacing", "mm")] double SpacingMm,
    [Within(1, 50_000, "The load", "N")] double LoadN = DeckSag.FootN,
    [Within(0, 500, "The foot", "mm")] double FootMm = 0,
    [Within(0.1, 20, "The limit", "mm")] double LimitMm = DeckSag.UsualLimitMm
);

/// <summary>A point of the chart.</summary>
/// <param name="SpacingMm">Spacing of the bearers, mm.</param>
/// <param name="SagMm">Sag, mm.</param>
public sealed record SagAt(double SpacingMm, double SagMm);

/// <summary>How far a sheet sags.</summary>
/// <param name="SagMm">Sag under the load, mm.</param>
/// <param name="MostSpacingMm">Largest spacing that keeps the limit, mm.</param>
/// <param name="LeastThickMm">Least thickness that keeps the limit at the spacing, mm.</param>
/// <param name="Holds">Whether the limit is kept.</param>
/// <param name="Chart">Sag against spacing.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record SagPlan(double SagMm, double MostSpacingMm, double LeastThickMm, bool Holds, IReadOnlyList<SagAt> Chart, string Verdict);

/// <summary>How far a sheet over bearers sags under a foot, a wheel or a leg.</summary>
/// <remarks>
/// A strip, endless along the bearers and free to turn on them, with the load in the middle of a bay: w = P a² / D * 7 zeta(3) / (16 pi³) for a
/// point (0.01696; Timoshenko and Woinowsky-Krieger have 0.01695 in table 23: from memory), and for a square foot of side c the single series of
/// Lévy, w = Σ 2 P sin(m pi c / 2a) (2 - (2 + m pi c / 2a) exp(-m pi c / 2a)) / (c² m pi D (m pi / a)⁴) over odd m. What continues over the next
/// bearer, and foam below, hold it too: left out, on the safe side. Nu = 0.3.
/// </remarks>
/// <example>18.26 mm, 7000 MPa, 457 mm, 890 N at a point: 0.81 mm.</example>
public static class DeckSag
{
    private const double PointMm = 0.1;

    /// <summary>A person on one foot, N: common practice.</summary>
    public const double FootN = 890;

    /// <summary>Sag that is felt, mm: assumption.</summary>
    public const double UsualLimitMm = 1.5;

    private const double Poisson = 0.3,
        MostMm = 3000,
        ChartToMm = 900,
        ChartStepMm = 25;

    /// <summary>7 zeta(3) / (16 pi³).</summary>
    private const double PointLoad = 0.016961;

    /// <summary>Terms of the series: the last ones are less than a millionth of the first.</summary>
    private const int LastTerm = 399;

    /// <summary>The answer.</summary>
    /// <param name="deck">The sheet and its load.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<SagPlan>> Of(Deck deck, LengthFormat lengths)
    {
        // What is narrower than a needle is a point: the series would divide by nothing.
        if (deck.FootMm < PointMm)
            deck = deck with { FootMm = 0 };
        if (deck.FootMm >= deck.SpacingMm)
            return new Problem(
                "foot-wider-than-bay",
                "/footMm",
                "The foot stands on both bearers: then the sheet does not sag. Give a foot that is narrower than the bay."
            );
        var sheet = new Worksheet();
        double d = sheet.Step("D", "stiffness of the sheet", $"E t³ / (12 (1 - {Poisson}²))", Stiffness(deck.ModulusMPa, deck.ThickMm), "N mm");
        double sag = sheet.Step(
            "w",
            "sag",
            deck.FootMm == 0 ? "0.01696 P a² / D" : "sum of the series over odd m",
            SagMm(deck.LoadN, deck.SpacingMm, deck.FootMm, d),
            "mm"
        );
        double most = sheet.Step(
            "a_max",
            "largest spacing",
            deck.FootMm == 0 ? "sqrt(w_max D / (0.01696 P))" : "where the series reaches w_max",
            MostSpacing(deck, d),
            "mm"
        );
        double least = sheet.Step("t_min", "least thickness", "t (w / w_max)^(1/3)", deck.ThickMm * Math.Cbrt(sag / deck.LimitMm), "mm");
        sheet.Cite(new Source("Timoshenko and Woinowsky-Krieger, Theory of Plates and Shells, table 23; Lévy's series", SourceKind.FromMemory));
        sheet.Cite(new Source("A person on one foot 890 N", SourceKind.CommonPractice));
        sheet.Cite(new Source("Sag of 1.5 mm is felt", SourceKind.Assumption));
        sheet.Warn("Strength is not judged, nor a load at a free edge: edges need a bearer or a timber below.");
        bool holds = sag <= deck.LimitMm;
        string verdict =
            $"Sags {sag:0.00} mm over {lengths.Text(deck.SpacingMm)}: "
            + (
                holds
                    ? $"stiff enough, up to {lengths.Text(most)} from bearer to bearer."
                    : $"too soft. Bearers {lengths.Text(most)} apart at most, or a sheet of {lengths.Text(least)} or more."
            );
        double chartTo = Math.Max(ChartToMm, deck.SpacingMm);
        return sheet.Finish(
            new SagPlan(
                sag,
                most,
                least,
                holds,
                [
                    .. Enumerable
                        .Range(1, (int)Math.Ceiling(chartTo / ChartStepMm))
                        .Select(i => i * ChartStepMm)
                        .Where(a => a > deck.FootMm)
                        .Select(a => new SagAt(a, SagMm(deck.LoadN, a, deck.FootMm, d))),
                ],
                verdict
            )
        );
    }

    /// <summary>Modulus along the grain, which spans from bearer to bearer, unless its sheet says otherwise, MPa: low figures, from memory of
    /// handbooks. Across the grain it may be half.</summary>
    public static double ModulusOf(BoardMaterial material) =>
        material switch
        {
            BoardMaterial.BirchPly => 8000,
            BoardMaterial.StrandBoard => 3500,
            BoardMaterial.Planks => 9000,
            _ => 7000,
        };

    private static double Stiffness(double modulus, double thick) => modulus * thick * thick * thick / (12 * (1 - (Poisson * Poisson)));

    /// <summary>Sag in the middle, mm.</summary>
    private static double SagMm(double loadN, double spacing, double foot, double stiffness)
    {
        if (foot == 0)
            return PointLoad * loadN * spacing * spacing / stiffness;
        double sum = 0;
        for (int m = 1; m <= LastTerm; m += 2)
        {
            double alpha = m * Math.PI / spacing,
                half = alpha * foot / 2;
            // sin(m pi / 2) is met twice, by the load's share and in the middle: its square is 1.
            sum += Math.Sin(half) * (2 - ((2 + half) * Math.Exp(-half))) / (m * Math.Pow(alpha, 4));
        }
        return 4 * loadN * sum / (foot * foot * Math.PI * 2 * stiffness);
    }

    /// <summary>The spacing at which the sag reaches the limit, mm.</summary>
    private static double MostSpacing(Deck deck, double stiffness)
    {
        if (deck.FootMm == 0)
            return Math.Sqrt(deck.LimitMm * stiffness / (PointLoad * deck.LoadN));
        (double low, double high) = (deck.FootMm, MostMm * 10);
        for (int i = 0; i < 60; i++)
        {
            double middle = (low + high) / 2;
            (low, high) = SagMm(deck.LoadN, middle, deck.FootMm, stiffness) <= deck.LimitMm ? (middle, high) : (low, middle);
        }
        return low;
    }
}
