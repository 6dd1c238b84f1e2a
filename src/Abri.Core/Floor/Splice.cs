using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Floor;

/// <summary>A place along a timber that was probed.</summary>
/// <param name="AtMm">From its first end, mm.</param>
/// <param name="IsBad">Whether the wood goes there.</param>
public sealed record SpliceReading([Within(0, Limits.LongestMm, "The place", "mm")] double AtMm, bool IsBad);

/// <summary>A timber with bad places.</summary>
/// <param name="LengthMm">Its length, mm.</param>
/// <param name="WideMm">Its width, mm.</param>
/// <param name="HighMm">Its height, in the way of the load, mm.</param>
/// <param name="Readings">Where it was probed.</param>
/// <param name="ModulusMPa">Modulus of elasticity of the wood, MPa.</param>
public sealed record RottenTimber(
    [Within(50, Limits.LongestMm, "The length", "mm")] double LengthMm,
    [Within(10, 400, "The width", "mm")] double WideMm,
    [Within(10, 400, "The height", "mm")] double HighMm,
    [Count(1, 500, "Give 1 to 500 readings.")] IReadOnlyList<SpliceReading> Readings,
    [Within(1000, 25_000, "The modulus", "MPa")] double ModulusMPa = Splice.SoftwoodMPa
);

/// <summary>A steel section as stiff as a timber.</summary>
/// <param name="Name">Its size, height by width by wall, mm.</param>
/// <param name="MassKgPerM">Mass, kg/m.</param>
/// <param name="TimesAsStiff">How many times as stiff as the timber it is.</param>
public sealed record SteelInstead(string Name, double MassKgPerM, double TimesAsStiff);

/// <summary>How a rotten timber is mended.</summary>
/// <param name="BadFromMm">First bad place, mm from its first end.</param>
/// <param name="BadToMm">Last bad place, mm.</param>
/// <param name="CutFromMm">Where it is cut off, mm; 0 for all to its first end.</param>
/// <param name="CutToMm">Where the rest begins, mm; its length for all to its other end.</param>
/// <param name="LapMm">How far the new timber runs along the old one at each end that stays, mm.</param>
/// <param name="NewLengthMm">Length of the new timber, mm.</param>
/// <param name="Whole">Whether nothing of the old one stays.</param>
/// <param name="BoltsEachEnd">Bolts through each lap.</param>
/// <param name="Unknown">Whether a bad place is the last one that was probed towards an end.</param>
/// <param name="Steel">A steel section that would do instead, the lightest; null where none of the list does.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record SplicePlan(
    double BadFromMm,
    double BadToMm,
    double CutFromMm,
    double CutToMm,
    double LapMm,
    double NewLengthMm,
    bool Whole,
    int BoltsEachEnd,
    bool Unknown,
    SteelInstead? Steel,
    string Verdict
);

/// <summary>How a rotten bearer, sill or stud is mended: from sound wood to sound wood, with laps, or with steel as stiff.</summary>
/// <remarks>
/// The cut lies at the first sound place beyond the bad ones; where none was probed, it goes to the end. New timber of the same section runs beside
/// the old one for four times its height at each end, bolted in two staggered rows: common practice. Where less than a lap is left, that end comes
/// out as well. Two bad places in one timber are taken out as one: two laps close to one another carry less than one long timber.
/// Steel: the lightest square or flat box whose E I is not less than the wood's; its corners are taken off as 5 % of I (assumption), E 210 000 MPa.
/// </remarks>
/// <example>A bearer 1900 x 60 x 70, bad to 750 from its end, sound at 900: cut at 900, lap 280, new timber 1180.</example>
public static class Splice
{
    /// <summary>Softwood as sold for building, MPa: from memory of handbook figures.</summary>
    public const double SoftwoodMPa = 8000;

    /// <summary>Lap at each end as a multiple of the height: common practice.</summary>
    public const double LapHeights = 4;

    /// <summary>Steel, MPa.</summary>
    private const double SteelMPa = 210_000,
        SharpCorners = 0.95,
        SteelKgPerMm3 = 7.85e-6,
        EndMm = 100;

    private const int Bolts = 4;

    /// <summary>Steel boxes that shops have, height, width, wall, mm: from memory.</summary>
    private static readonly (double High, double Wide, double Wall)[] Boxes =
    [
        (20, 20, 2),
        (25, 25, 2),
        (30, 30, 2),
        (30, 30, 3),
        (40, 20, 2),
        (40, 40, 2),
        (40, 40, 3),
        (50, 30, 2),
        (50, 30, 3),
        (50, 50, 2),
        (50, 50, 3),
        (60, 40, 2),
        (60, 40, 3),
        (60, 60, 3),
        (80, 40, 3),
        (80, 80, 3),
        (100, 50, 3),
        (120, 60, 4),
    ];

    /// <summary>The answer.</summary>
    /// <param name="timber">The timber.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    /// <param name="end">What its first end is called.</param>
    public static Result<Worked<SplicePlan>> Of(RottenTimber timber, LengthFormat lengths, string end = "first")
    {
        for (int i = 0; i < timber.Readings.Count; i++)
        {
            if (timber.Readings[i].AtMm > timber.LengthMm)
                return new Problem(
                    "reading-off-timber",
                    $"/readings/{i}/atMm",
                    $"The timber is {lengths.Text(timber.LengthMm)} long: this place lies beyond its end."
                );
        }
        double[] bad = [.. timber.Readings.Where(r => r.IsBad).Select(r => r.AtMm).Order()],
            sound = [.. timber.Readings.Where(r => !r.IsBad).Select(r => r.AtMm)];
        if (bad.Length == 0)
            return new Problem("nothing-bad", "/readings", "Every place that was probed is sound: nothing has to come out.");
        var sheet = new Worksheet();
        double lap = sheet.Step("l", "lap at each end that stays", $"{LapHeights:0} h", LapHeights * timber.HighMm, "mm");
        double? before = sound.Where(s => s < bad[0]).Select(s => (double?)s).Max(),
            after = sound.Where(s => s > bad[^1]).Select(s => (double?)s).Min();
        double from = sheet.Step("a", "cut off at", "first sound place; 0 where less than a lap is left", before >= lap ? before.Value : 0, "mm");
        double to = sheet.Step(
            "b",
            "and from",
            "first sound place; L where less than a lap is left",
            after <= timber.LengthMm - lap ? after.Value : timber.LengthMm,
            "mm"
        );
        bool whole = from == 0 && to == timber.LengthMm;
        double length = sheet.Step(
            "N",
            "new timber",
            "b - a + l for each end that stays",
            to - from + (from > 0 ? lap : 0) + (to < timber.LengthMm ? lap : 0),
            "mm"
        );
        double stiff = sheet.Step("EI", "stiffness of the old timber", "E w h³ / 12", timber.ModulusMPa * Inertia(timber), "N mm2");
        SteelInstead? steel = Lightest(stiff);
        bool unknown = (before is null && bad[0] > EndMm) || (after is null && bad[^1] < timber.LengthMm - EndMm);
        sheet.Cite(new Source("Sound to sound, laps of 4 times the height, 4 bolts staggered in two rows", SourceKind.CommonPractice));
        sheet.Cite(new Source("Modulus of softwood 8000 MPa, sizes of steel boxes", SourceKind.FromMemory));
        sheet.Cite(new Source("Rounded corners of a steel box take 5 % of its stiffness", SourceKind.Assumption));
        sheet.Warn("Steel is chosen by its stiffness alone: its strength, its fixings and what rust leaves of it are not judged.");
        sheet.Warn("Prop what the timber carries before it is cut, and take out one at a time.");
        if (unknown)
            sheet.Warn("Not probed beyond the last bad place: go on until the awl stops twice.");
        string section = $"{lengths.Number(timber.WideMm)} x {lengths.Text(timber.HighMm)}";
        string verdict = whole
            ? $"All of it comes out: new timber {lengths.Text(length)} of {section}."
            : $"From its {end} end, bad from {lengths.Text(bad[0])} to {lengths.Text(bad[^1])}: take out {lengths.Text(from)} to {lengths.Text(to)}; "
                + $"new timber {lengths.Text(length)} of {section}, lapped {lengths.Text(lap)}"
                + $" with {Bolts} bolts {(from > 0 && to < timber.LengthMm ? "at each end" : "at the end that stays")}.";
        return sheet.Finish(new SplicePlan(bad[0], bad[^1], from, to, lap, length, whole, Bolts, unknown, steel, verdict));
    }

    private static double Inertia(RottenTimber timber) => timber.WideMm * Math.Pow(timber.HighMm, 3) / 12;

    private static SteelInstead? Lightest(double stiffness) =>
        Boxes
            .Select(b =>
            {
                (double inHigh, double inWide) = (b.High - (2 * b.Wall), b.Wide - (2 * b.Wall));
                double inertia = SharpCorners * ((b.Wide * Math.Pow(b.High, 3)) - (inWide * Math.Pow(inHigh, 3))) / 12;
                double mass = ((b.High * b.Wide) - (inHigh * inWide)) * SteelKgPerMm3 * 1000;
                return new SteelInstead(FormattableString.Invariant($"{b.High:0} x {b.Wide:0} x {b.Wall:0}"), mass, SteelMPa * inertia / stiffness);
            })
            .Where(s => s.TimesAsStiff >= 1)
            .MinBy(s => s.MassKgPerM);
}
