using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Openings.Clamping;

/// <summary>One layer between the two halves of a clamped frame.</summary>
/// <param name="Name">What it is: skin, fill, frame, lining.</param>
/// <param name="ThickMm">Thickness, mm.</param>
public sealed record ClampLayer([Name] string Name, [Within(0, 500, "A layer", "mm")] double ThickMm);

/// <summary>What is clamped, in figures.</summary>
/// <param name="StackMm">All layers, mm.</param>
/// <param name="LugTrimMm">What is cut off each lug, mm; 0 where none has to go.</param>
/// <param name="PackMm">What has to be packed up, mm; 0 where nothing.</param>
/// <param name="Lugs">Number of lugs, to be ticked one by one.</param>
/// <param name="ScrewMm">Length of the screw, mm; null where the table has none.</param>
/// <param name="ToBottomMm">How much thinner the wall could be before this screw bottoms, mm; null without one.</param>
/// <param name="ToLooseMm">How much thicker it could be before too little of its thread engages, mm; null without one.</param>
/// <param name="Verdict">What to do.</param>
public sealed record ClampFit(
    double StackMm,
    double LugTrimMm,
    double PackMm,
    int Lugs,
    double? ScrewMm,
    double? ToBottomMm,
    double? ToLooseMm,
    string Verdict
);

/// <summary>Works out what is cut off the spacer lugs of a clamped frame, and which screw it takes.</summary>
/// <remarks>Common practice, no source: trim = nominal gap - stack, and up to <see cref="SafeMoreMm"/> more is safe; a lug left too long holds one
/// corner up. A screw of the table bottoms on walls thinner than its range and engages too little on thicker ones. Within <see cref="BorderMm"/> of
/// two screws' limits the short one is tried first: one that is too long bottoms and cracks the boss.</remarks>
/// <example>45 mm build-up and 8 mm lining are 53; nominal gap 60: 7 mm off each lug.</example>
public static class ClampedWall
{
    /// <summary>How much more than reckoned may be cut off a lug, mm: common practice.</summary>
    public const double SafeMoreMm = 1;

    /// <summary>How near a limit of the screw table is on the border, mm: assumption.</summary>
    public const double BorderMm = 1;

    /// <summary>The fit of a stack.</summary>
    /// <param name="layers">The layers.</param>
    /// <param name="nominalGapMm">Gap between the halves with full lugs, mm.</param>
    /// <param name="range">Wall thicknesses that the fitting grips.</param>
    /// <param name="lugs">Number of lugs.</param>
    /// <param name="screws">The fitting's screws; may be empty.</param>
    /// <param name="lengths">How lengths are written in sentences.</param>
    public static Result<Worked<ClampFit>> Of(
        IReadOnlyList<ClampLayer> layers,
        double nominalGapMm,
        ClampRange range,
        int lugs,
        IReadOnlyList<ScrewForWall> screws,
        LengthFormat lengths
    )
    {
        if (layers.Count == 0)
            return new Problem("clamp-layers", "/layers", "Give at least one layer: the skin.");
        if (range.LeastMm > range.MostMm)
            return new Problem(
                "clamp-range",
                "/range",
                $"The thinnest wall ({lengths.Text(range.LeastMm)}) is thicker than the thickest ({lengths.Text(range.MostMm)}): no "
                    + "wall can meet that."
            );
        if (layers.Any(l => l.ThickMm is not >= 0))
            return new Problem("clamp-layers", "/layers", "A layer cannot be thinner than nothing.");
        var sheet = new Worksheet();
        double stack = sheet.Step("S", "stack", string.Join(" + ", layers.Select(l => l.Name)), layers.Sum(l => l.ThickMm), "mm");
        if (stack > range.MostMm)
            return new Problem(
                "clamp-too-thick",
                "/layers",
                $"{lengths.Text(stack)} are more than the {lengths.Text(range.MostMm)} that this fitting grips. Leave the lining "
                    + $"out under it, or rebate the frame by {lengths.Text(stack - range.MostMm)}."
            );
        double pack = sheet.Step("P", "to be packed", "thinnest wall - S", Math.Max(0, range.LeastMm - stack), "mm");
        double trim = sheet.Step("T", "off each lug", "nominal gap - S - P", Math.Max(0, nominalGapMm - stack - pack), "mm");
        ScrewForWall[] fits =
        [
            .. screws.Where(s => stack + pack >= s.FromMm - BorderMm && stack + pack <= s.ToMm + BorderMm).OrderBy(s => s.LengthMm),
        ];
        ScrewForWall? first = fits.FirstOrDefault();
        double? toBottom = first is null
            ? null
            : sheet.Step("m_b", "to spare before the screw bottoms", "S + P - its thinnest wall", stack + pack - first.FromMm, "mm");
        double? toLoose = first is null
            ? null
            : sheet.Step("m_t", "to spare before its thread engages too little", "its thickest wall - S - P", first.ToMm - stack - pack, "mm");
        sheet.Cite(
            new Source(
                $"Trim = nominal gap - stack; up to {SafeMoreMm} mm more is safe; on a border the short screw first",
                SourceKind.CommonPractice
            )
        );
        string lug =
            trim > 0
                ? $"Cut {lengths.Text(trim)} off each of the {lugs} lugs, up to {lengths.Text(SafeMoreMm)} more is safe; tick them one by one."
                : "The lugs stay as they are.";
        string packed = pack > 0 ? $" Pack {lengths.Text(pack)} under the frame first: spacer ring or ply." : "";
        string screw =
            screws.Count == 0 ? ""
            : first is null ? " No screw of the table suits this wall."
            : fits.Length > 1 ? $" On the border: try the {lengths.Text(first.LengthMm)} screw first, by hand."
            : $" Screws {lengths.Text(first.LengthMm)}, driven by hand.";
        string tight =
            toBottom < 0 ? " It may bottom before the frame is tight: stop when it resists."
            : toLoose < 0 ? " Little of its thread engages: stop before it strips."
            : "";
        return sheet.Finish(new ClampFit(stack, trim, pack, lugs, first?.LengthMm, toBottom, toLoose, lug + packed + screw + tight));
    }
}
