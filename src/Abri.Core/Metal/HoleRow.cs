using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Work;

namespace Abri.Core.Metal;

/// <summary>How a small hole is closed.</summary>
public enum HoleWay
{
    /// <summary>Closed-end blind rivet with sealant under its head.</summary>
    SealedRivet,

    /// <summary>Reinforced epoxy putty from both faces.</summary>
    Putty,

    /// <summary>Filled with weld over a backing plate.</summary>
    WeldOverBacking,

    /// <summary>A disc of sheet, bonded and riveted.</summary>
    RivetedDisc,
}

/// <summary>Holes in a row that are closed alike: old bolts, sign fixings, racks.</summary>
/// <param name="DiameterMm">Widest of them, once rust is off, mm.</param>
/// <param name="SheetMm">Sheet round them, mm.</param>
/// <param name="Metal">What it is made of.</param>
/// <param name="BothSides">Whether both faces can be reached.</param>
/// <param name="Carries">Whether something is fastened there again.</param>
/// <param name="Way">How they are closed; null for the first way that does.</param>
public sealed record HoleRow(
    [Within(1, 200, "The hole", "mm")] double DiameterMm,
    [Within(0.3, 6, "The sheet", "mm")] double SheetMm,
    SheetMetal Metal,
    bool BothSides,
    bool Carries,
    HoleWay? Way
);

/// <summary>How holes in a row are closed.</summary>
/// <param name="Way">The way; null where the one that was chosen does not do.</param>
/// <param name="Ways">Every way, in the order in which they are offered, with what speaks against it.</param>
/// <param name="DrillMm">To what each hole is drilled, mm; null where it is not.</param>
/// <param name="DiscMm">Diameter of each disc, mm; null where there is none.</param>
/// <param name="Rivet">The rivets; null where there are none.</param>
/// <param name="RivetsEach">How many a hole.</param>
/// <param name="Verdict">The same in a sentence.</param>
public sealed record HoleRowPlan(
    HoleWay? Way,
    IReadOnlyList<Judgement> Ways,
    double? DrillMm,
    double? DiscMm,
    RivetSize? Rivet,
    int RivetsEach,
    string Verdict
);

/// <summary>Chooses how holes in a row are closed, by diameter and access; all as one batch.</summary>
/// <remarks>
/// A sealed rivet fills a hole that the next size up can be drilled for, up to 6.5 mm. Putty up to 10 mm, from both faces, where nothing is carried.
/// Weld over a backing plate up to 10 mm, on steel that both faces can be reached of. A disc laps the hole by 25 mm. Common practice but for
/// the lines
/// of 10 mm, which are assumptions. Putty and weld are two schools: both are shown.
/// </remarks>
/// <example>Two bolt holes of 6 mm: rivets of 6.4 mm in holes of 6.5 mm, sealant under the heads.</example>
public static class HoleRows
{
    /// <summary>Widest hole that is filled with weld, mm: assumption; wider ones burn away faster than they close.</summary>
    public const double WeldMostMm = 10;

    private const double ScrewHeadMm = 1;

    /// <summary>The plan.</summary>
    /// <param name="row">The holes.</param>
    /// <param name="count">How many.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<HoleRowPlan>> Of(HoleRow row, int count, LengthFormat lengths)
    {
        var sheet = new Worksheet();
        double d = sheet.Step("d", "widest hole", "as measured", row.DiameterMm, "mm");
        (HoleWay Way, Judgement Row)[] ways = [.. Enum.GetValues<HoleWay>().Select(way => (way, Judged(way, row, lengths)))];
        HoleWay? way = row.Way is { } chosen
            ? ways.Single(w => w.Way == chosen).Row.State == JudgementState.Blocked
                ? null
                : chosen
            : ways.Where(w => w.Row.State != JudgementState.Blocked).Select(w => (HoleWay?)w.Way).FirstOrDefault();
        sheet.Cite(new Source("Sealed rivets to 6.5 mm; discs that lap 25 mm", SourceKind.CommonPractice));
        sheet.Cite(new Source("Putty and weld to 10 mm", SourceKind.Assumption));
        if (way is null)
        {
            HoleWay? other = ways.Where(w => w.Row.State != JudgementState.Blocked).Select(w => (HoleWay?)w.Way).FirstOrDefault();
            string instead = other is { } o ? $"Take {Word(o)} instead." : "A patch over the whole row does it.";
            return sheet.Finish(new HoleRowPlan(null, [.. ways.Select(w => w.Row)], null, null, null, 0, $"This does not close them. {instead}"));
        }
        double? drill = null,
            disc = null;
        RivetSize? rivet = null;
        int each = 0;
        switch (way)
        {
            case HoleWay.SealedRivet:
                rivet = Rivets.Filling(d, row.SheetMm + ScrewHeadMm)!;
                (drill, each) = (sheet.Step("D", "hole to drill", "next size up", rivet.HoleMm, "mm"), 1);
                break;
            case HoleWay.RivetedDisc:
                if (!Rivets.Chosen([row.SheetMm, row.SheetMm], Patch.BondMm, sheet, lengths).IsOk(out rivet, out Problem? thick))
                    return thick with { Pointer = "/row/sheetMm" };
                disc = sheet.Step("D", "disc", "d + 2 laps of 25", d + (2 * PatchDesign.UsualLapMm(PatchJoin.BondedAndRiveted)), "mm");
                each = Math.Max(
                    3,
                    (int)Math.Ceiling((Math.PI * (d + PatchDesign.UsualLapMm(PatchJoin.BondedAndRiveted)) / Rivets.SealPitchMm) - 1e-9)
                );
                break;
        }
        string how = way switch
        {
            HoleWay.SealedRivet =>
                $"drill to {lengths.Drill(drill!.Value)}, a closed-end rivet of {lengths.Text(rivet!.DiameterMm)} in each, sealant under its head",
            HoleWay.Putty => "putty from both faces",
            HoleWay.WeldOverBacking => "a copper or aluminium plate behind each, filled with short pulses",
            _ => $"a disc of {lengths.Text(disc!.Value)} over each, {each} rivets of {lengths.Text(rivet!.DiameterMm)}, bonded",
        };
        return sheet.Finish(
            new HoleRowPlan(way, [.. ways.Select(w => w.Row)], drill, disc, rivet, each, $"{count} {(count == 1 ? "hole" : "holes")}: {how}.")
        );
    }

    /// <summary>What people call a way.</summary>
    internal static string Word(HoleWay way) =>
        way switch
        {
            HoleWay.SealedRivet => "sealed rivets",
            HoleWay.Putty => "putty",
            HoleWay.WeldOverBacking => "weld over a backing plate",
            _ => "riveted discs",
        };

    private static Judgement Judged(HoleWay way, HoleRow row, LengthFormat lengths)
    {
        (JudgementState state, double? most, string why, string? remedy) = way switch
        {
            HoleWay.SealedRivet => Rivets.Filling(row.DiameterMm, row.SheetMm) is null
                ? (JudgementState.Blocked, (double?)Rivets.WidestHoleMm, "No rivet fills a hole as wide as that.", (string?)"A disc.")
            : row.Carries
                ? (JudgementState.NeedsWork, Rivets.WidestHoleMm, "It closes the hole and holds nothing else.", "Fasten what comes there beside it.")
            : (JudgementState.Good, Rivets.WidestHoleMm, "It is set from one side, and can be drilled out again.", null),
            HoleWay.Putty => row.DiameterMm > RustLimits.UsualPuttyMm
                ? (JudgementState.Blocked, RustLimits.UsualPuttyMm, "Putty that bridges more than that falls out.", "A disc.")
            : row.Carries ? (JudgementState.Blocked, RustLimits.UsualPuttyMm, "Putty carries nothing.", "A disc, or weld.")
            : !row.BothSides ? (JudgementState.Blocked, RustLimits.UsualPuttyMm, "It holds from both faces only.", "A sealed rivet or a disc.")
            : (JudgementState.Good, RustLimits.UsualPuttyMm, "Flush, once sanded.", null),
            HoleWay.WeldOverBacking => row.Metal == SheetMetal.Aluminium
                ? (JudgementState.Blocked, WeldMostMm, "Aluminium is not welded like steel.", "A disc.")
            : !row.BothSides
                ? (JudgementState.Blocked, WeldMostMm, "The plate has to be held behind it, and what lies there burns.", "A sealed rivet or a disc.")
            : row.DiameterMm > WeldMostMm ? (JudgementState.Blocked, WeldMostMm, "The edge burns away faster than it closes.", "A disc.")
            : (
                JudgementState.NeedsWork,
                WeldMostMm,
                "It is sheet again; paint, lining and sealant within a hand's breadth burn.",
                "Bare metal, battery off, fire watch; in zinc with moving air and a fume mask."
            ),
            _ => (JudgementState.Good, null, "It carries, and closes any hole; it shows.", null),
        };
        return new Judgement(
            "hole-" + char.ToLowerInvariant(way.ToString()[0]) + way.ToString()[1..],
            state,
            Word(way),
            row.DiameterMm,
            most,
            Unit.Mm,
            why,
            state == JudgementState.Good ? null : remedy,
            []
        );
    }
}
