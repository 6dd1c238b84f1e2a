using Abri.Core.Declared;

namespace Abri.Core.Openings.Seating;

/// <summary>What a header is made of.</summary>
public enum HeaderMaterial
{
    /// <summary>Straight softwood without large knots, of the strength class C24.</summary>
    Timber,

    /// <summary>Square tube of mild steel: where it gets hot, or where there is no room for timber.</summary>
    SteelTube,
}

/// <summary>A section of a header.</summary>
/// <param name="Material">What it is made of.</param>
/// <param name="WidthMm">Its width, along the skin, mm.</param>
/// <param name="DepthMm">Its depth, away from the skin, mm.</param>
/// <param name="WallMm">Thickness of the tube's wall, mm; 0 of timber.</param>
public sealed record HeaderSection(HeaderMaterial Material, double WidthMm, double DepthMm, double WallMm)
{
    /// <summary>In words, such as <c>45 x 70 mm softwood</c>.</summary>
    internal string Text(Geometry.LengthFormat lengths) =>
        Material == HeaderMaterial.Timber
            ? $"softwood {lengths.Text(WidthMm)} by {lengths.Text(DepthMm)}"
            : $"steel tube {lengths.Text(WidthMm)} by {lengths.Text(DepthMm)}, wall {lengths.Text(WallMm)}";

    /// <summary>Second moment of area, mm4.</summary>
    internal double InertiaMm4 =>
        ((WidthMm * Math.Pow(DepthMm, 3)) - (WallMm > 0 ? (WidthMm - (2 * WallMm)) * Math.Pow(DepthMm - (2 * WallMm), 3) : 0)) / 12;
}

/// <summary>A header that carries the cut ends of ribs.</summary>
/// <param name="Section">Its section.</param>
/// <param name="LandingMm">How far it reaches over what carries it, at either end, mm.</param>
/// <param name="LengthMm">Its length, mm.</param>
/// <param name="BoltsEach">Bolts at each end.</param>
/// <param name="StressMpa">Bending stress in it, N/mm2.</param>
/// <param name="SagMm">How far it sags, mm.</param>
public sealed record Header(HeaderSection Section, double LandingMm, double LengthMm, int BoltsEach, double StressMpa, double SagMm);

/// <summary>Sizes the headers that carry a rib which is cut.</summary>
/// <remarks>
/// A beam on two supports with one load in the middle: M = P L / 4, sag P L^3 / 48 E I (any handbook). The load is a person who stands where the
/// cut rib
/// ends, all of it on one header (<see cref="LoadN"/>: assumption); it may be stressed to <see cref="TimberMpa"/> or <see cref="SteelMpa"/> and
/// sag by a
/// two-hundredth of its span. Landings of twice the depth and bolts at either end are common practice. Over <see cref="MostClearMm"/> it is a
/// matter for
/// somebody licensed, whatever the section.
/// </remarks>
/// <example>500 mm clear: softwood 45 by 45 with landings of 90 mm, 680 mm long, two bolts at each end.</example>
public static class HeaderSize
{
    /// <summary>Longest clear span that is sized here, mm: assumption.</summary>
    public const double MostClearMm = 1500;

    /// <summary>Load in the middle, N: a person of 100 kg. Assumption.</summary>
    public const double LoadN = 1000;

    /// <summary>Bending stress that timber is asked to carry, N/mm2: 24 of C24 (EN 338, from memory) by 0.8 / 1.3 / 1.5.</summary>
    public const double TimberMpa = 24 * 0.8 / 1.3 / 1.5;

    /// <summary>Bending stress that steel is asked to carry, N/mm2: 235 by 1 / 1.5, rounded down.</summary>
    public const double SteelMpa = 150;

    /// <summary>Part of its span by which a header may sag: one in so many. Common practice.</summary>
    public const double SagPart = 200;

    /// <summary>What a bolt M6 carries in thin sheet, N: assumption.</summary>
    public const double BoltN = 800;

    /// <summary>Least bolts at an end, so that it cannot turn: common practice.</summary>
    public const int LeastBolts = 2;

    private const double TimberE = 11_000,
        SteelE = 210_000,
        LandingsOfDepth = 2;

    /// <summary>Sections as shops have them, smallest first.</summary>
    public static IReadOnlyList<HeaderSection> Sections { get; } =
    [
        new(HeaderMaterial.Timber, 45, 45, 0),
        new(HeaderMaterial.Timber, 45, 60, 0),
        new(HeaderMaterial.Timber, 45, 70, 0),
        new(HeaderMaterial.Timber, 45, 95, 0),
        new(HeaderMaterial.SteelTube, 25, 25, 2),
        new(HeaderMaterial.SteelTube, 30, 30, 2),
        new(HeaderMaterial.SteelTube, 40, 40, 2),
    ];

    /// <summary>The smallest header of a material that carries over a clear span.</summary>
    /// <param name="clearMm">Clear length between what carries it, mm.</param>
    /// <param name="material">What it is made of.</param>
    public static Result<Worked<Header>> Of([Within(50, 6000, "The clear length", "mm")] double clearMm, HeaderMaterial material)
    {
        if (clearMm > MostClearMm)
            return new Problem("header-too-long", "/clearMm", $"Here {TooLong(Geometry.LengthFormat.Millimetres, clearMm)}");
        (double allowed, double e) = material == HeaderMaterial.Timber ? (TimberMpa, TimberE) : (SteelMpa, SteelE);
        // The largest section of either material carries over the longest span that is sized: HeaderSizeTests.
        HeaderSection section = Sections.First(s =>
            s.Material == material && Stress(s, clearMm) <= allowed && Sag(s, clearMm, e) <= Span(s, clearMm) / SagPart
        );
        var sheet = new Worksheet();
        double landing = sheet.Step("l", "landing at either end", $"{LandingsOfDepth:0} x depth", LandingsOfDepth * section.DepthMm, "mm"),
            span = sheet.Step("L", "span, from the middle of one landing to that of the other", "clear + l", Span(section, clearMm), "mm"),
            stress = sheet.Step("s", "bending stress", "P L / 4 / (I / (depth / 2))", Stress(section, clearMm), "N/mm2"),
            sag = sheet.Step("f", "sag", "P L^3 / (48 E I)", Sag(section, clearMm, e), "mm"),
            length = sheet.Step("b", "length of each header", "clear + 2 l", clearMm + (2 * landing), "mm"),
            bolts = sheet.Step(
                "n",
                "bolts at each end",
                $"max({LeastBolts}, P / {BoltN:0} N, rounded up)",
                Math.Max(LeastBolts, Math.Ceiling(LoadN / BoltN)),
                ""
            );
        sheet.Step("I", "second moment of area", "b h^3 / 12, of a tube less its inside", section.InertiaMm4, "mm4");
        sheet.Step("L/200", "sag that it may have", $"L / {SagPart:0}", span / SagPart, "mm");
        sheet.Cite(new Source("Beam on two supports, one load in the middle", SourceKind.Published));
        sheet.Cite(new Source($"Timber C24 of EN 338, used to {TimberMpa:0.#} N/mm2; steel used to {SteelMpa:0} N/mm2", SourceKind.FromMemory));
        sheet.Cite(
            new Source($"Load {LoadN:0} N on one header; a bolt M6 in thin sheet {BoltN:0} N; up to {MostClearMm:0} mm clear", SourceKind.Assumption)
        );
        sheet.Cite(new Source($"Landings {LandingsOfDepth:0} x depth, at least {LeastBolts} bolts, sag 1/{SagPart:0}", SourceKind.CommonPractice));
        return sheet.Finish(new Header(section, landing, length, (int)bolts, stress, sag));
    }

    /// <summary>Why no header is sized for a span.</summary>
    internal static string TooLong(Geometry.LengthFormat lengths, double clearMm) =>
        $"a header of {lengths.Text(clearMm)} in the clear is longer than the {lengths.Text(MostClearMm)} that are sized here. Ask "
        + "somebody licensed, "
        + "or move the opening so that fewer ribs are cut.";

    private static double Span(HeaderSection s, double clearMm) => clearMm + (LandingsOfDepth * s.DepthMm);

    private static double Stress(HeaderSection s, double clearMm) => LoadN * Span(s, clearMm) / 4 / (s.InertiaMm4 / (s.DepthMm / 2));

    private static double Sag(HeaderSection s, double clearMm, double e) => LoadN * Math.Pow(Span(s, clearMm), 3) / (48 * e * s.InertiaMm4);
}
