using Abri.Core.Geometry;
using Abri.Core.Openings;
using Abri.Core.Shell;

namespace Abri.Exchange;

/// <summary>Everything that goes on the printed sheets of an opening.</summary>
/// <param name="Vehicle">What the vehicle is called.</param>
/// <param name="Opening">What the opening is called.</param>
/// <param name="Facing">Which way the panel that is marked faces.</param>
/// <param name="Fitting">The fitting, turned as it is placed.</param>
/// <param name="SettingOut">What is marked.</param>
/// <param name="Drawing">The template, in true scale.</param>
/// <param name="Verdict">Judgement of the place, for its summary and cautions.</param>
/// <param name="Warnings">What the reader must know before trusting the sheet.</param>
/// <param name="Lengths">How lengths are written.</param>
/// <param name="PrintedOn">Date on the sheet.</param>
public sealed record OpeningSheet(
    string Vehicle,
    string Opening,
    Facing Facing,
    Fitting Fitting,
    SettingOutSheet SettingOut,
    Drawing Drawing,
    Verdict Verdict,
    IReadOnlyList<string> Warnings,
    LengthFormat Lengths,
    DateOnly PrintedOn
);

/// <summary>A size of paper.</summary>
public enum Paper
{
    /// <summary>210 x 297 mm (ISO 216).</summary>
    A4,

    /// <summary>297 x 420 mm (ISO 216).</summary>
    A3,

    /// <summary>8 1/2 x 11 inches (ANSI/ASME Y14.1).</summary>
    Letter,
}

/// <summary>Sizes of paper.</summary>
public static class PaperSizes
{
    /// <summary>Width and height upright, mm.</summary>
    public static (double WidthMm, double HeightMm) SizeMm(this Paper paper) =>
        paper switch
        {
            Paper.A4 => (210, 297),
            Paper.A3 => (297, 420),
            _ => (8.5 * LengthFormat.MmPerInch, 11 * LengthFormat.MmPerInch),
        };
}
