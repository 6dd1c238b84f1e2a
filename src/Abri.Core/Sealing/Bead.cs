using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Sealing;

/// <summary>A bead of sealant or adhesive from a notched nozzle.</summary>
/// <param name="PathMm">Length of its path, mm.</param>
/// <param name="NotchBaseMm">Base of the triangular notch, mm.</param>
/// <param name="NotchHeightMm">Height of the notch, mm.</param>
/// <param name="SqueezedMm">Thickness to which it is squeezed, mm; null where it is not.</param>
/// <param name="LandMm">Width of the land that it has to wet, mm; null where that does not matter.</param>
/// <param name="CartridgeMl">What a cartridge holds, ml.</param>
/// <param name="WastePercent">What stays in nozzle and cartridge or is wiped off, %.</param>
/// <param name="LayMmPerMinute">Pace at which it is laid, mm/min.</param>
/// <param name="OpenMinutes">Open time of the product at today's weather, min.</param>
/// <param name="Unbroken">Whether it must not be broken: bonded glass, a flange on a roof.</param>
public sealed record BeadInput(
    [Within(1, 200_000, "The path", "mm")] double PathMm,
    [Within(0.5, 60, "The notch's base", "mm")] double NotchBaseMm,
    [Within(0.5, 60, "The notch's height", "mm")] double NotchHeightMm,
    [Within(0.2, 50, "The squeezed thickness", "mm")] double? SqueezedMm,
    [Within(1, 500, "The land", "mm")] double? LandMm,
    [Within(1, 20_000, "The cartridge", "ml")] double CartridgeMl,
    [Within(0, 200, "The waste", "%")] double WastePercent,
    [Within(10, 20_000, "The pace", "mm/min")] double LayMmPerMinute,
    [Within(0.5, 1440, "The open time", "minutes")] double OpenMinutes,
    bool Unbroken
);

/// <summary>What a bead needs.</summary>
/// <param name="SectionMm2">Section, mm2.</param>
/// <param name="VolumeMl">Volume laid, ml.</param>
/// <param name="BoughtMl">Volume with waste, ml.</param>
/// <param name="Cartridges">Cartridges to have at hand.</param>
/// <param name="Changes">Changes of cartridge within the bead.</param>
/// <param name="SqueezedWidthMm">Width when squeezed, mm; null where it is not.</param>
/// <param name="LayMinutes">Minutes to lay it, changes included.</param>
/// <param name="InTime">Whether it is laid within the open time.</param>
/// <param name="Verdict">What to look out for.</param>
public sealed record BeadPlan(
    double SectionMm2,
    double VolumeMl,
    double BoughtMl,
    int Cartridges,
    int Changes,
    double? SqueezedWidthMm,
    double LayMinutes,
    bool InTime,
    string Verdict
);

/// <summary>Works out volume, cartridges and time of a bead.</summary>
/// <remarks>Section of a triangular notch b h / 2; squeezed to thickness t it is A / t wide. Each change of cartridge costs
/// <see cref="ChangeMinutes"/>: assumption.</remarks>
/// <example>Round 1000 x 400 with corners of 80: 2662.65 mm; notch 10 x 12: 60 mm2, 159.8 ml.</example>
public static class Bead
{
    /// <summary>What a change of cartridge costs, min: assumption.</summary>
    public const double ChangeMinutes = 1.5;

    /// <summary>The plan of a bead.</summary>
    public static Result<Worked<BeadPlan>> Of(BeadInput bead, LengthFormat lengths)
    {
        var sheet = new Worksheet();
        double section = sheet.Step("A", "section", "b h / 2", bead.NotchBaseMm * bead.NotchHeightMm / 2, "mm2");
        double volume = sheet.Step("V", "laid", "A * path", section * bead.PathMm / 1000, "ml");
        double bought = sheet.Step("V_b", "with waste", "V (1 + waste)", volume * (1 + (bead.WastePercent / 100)), "ml");
        int cartridges = (int)sheet.Step("n", "cartridges", "V_b / cartridge, rounded up", Math.Ceiling(bought / bead.CartridgeMl - 1e-9), "count");
        int changes = Math.Max(0, cartridges - 1);
        double minutes = sheet.Step(
            "t",
            "to lay it",
            "path / pace + changes",
            (bead.PathMm / bead.LayMmPerMinute) + (changes * ChangeMinutes),
            "min"
        );
        double? width = bead.SqueezedMm is { } thick ? sheet.Step("w", "squeezed width", "A / t", section / thick, "mm") : null;
        sheet.Cite(new Source("Triangular notch, volume kept when squeezed", SourceKind.Geometry));
        sheet.Cite(new Source($"{ChangeMinutes} min for a change of cartridge", SourceKind.Assumption));
        bool inTime = minutes <= bead.OpenMinutes;
        var words = new List<string>();
        if (!inTime)
            words.Add(
                $"Laying takes {minutes:0.#} min and the product stays open for {bead.OpenMinutes:0.#}: two people with two guns, a "
                    + "slower product, or a cooler hour."
            );
        if (bead.Unbroken && changes > 0)
            words.Add(
                $"{changes} change{(changes == 1 ? "" : "s")} fall{(changes == 1 ? "s" : "")} inside the bead: have a second gun "
                    + "loaded, and begin at the lowest point, where the joint goes."
            );
        if (width is { } w && bead.LandMm is { } land && w < land)
            words.Add($"Squeezed it is {lengths.Text(w)} wide on a land of {lengths.Text(land)}: lay a second line, or cut a larger notch.");
        return sheet.Finish(
            new BeadPlan(
                section,
                volume,
                bought,
                cartridges,
                changes,
                width,
                minutes,
                inTime,
                words.Count == 0 ? "It can be laid in one go." : string.Join(" ", words)
            )
        );
    }
}
