using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>Where the blade goes, in the chosen school, and which holes the frame then fits.</summary>
/// <param name="School">The school.</param>
/// <param name="Path">Edge of the hole after the first cut.</param>
/// <param name="OffsetMm">How far that edge lies outside the marked line, mm; negative on the waste side.</param>
/// <param name="StartHoleMm">Diameter of the start holes, mm.</param>
/// <param name="LeastHole">Smallest hole that the frame fits.</param>
/// <param name="MostHole">Largest hole that the frame fits.</param>
/// <param name="HowTo">How to cut it.</param>
public sealed record CutPath(
    CutSize School,
    RoundedRectangle Path,
    double OffsetMm,
    double StartHoleMm,
    RoundedRectangle LeastHole,
    RoundedRectangle MostHole,
    IReadOnlyList<string> HowTo
)
{
    /// <summary>Left on the waste side for the file, mm: assumption, 1 mm, or 1/16 inch where inches are read.</summary>
    public static double WasteSideMm(LengthFormat lengths) => lengths.Units == UnitSystem.Inch ? LengthFormat.MmPerInch / 16 : 1;

    /// <summary>Clearance when cutting outside the line at once, mm: common practice, no source: 1.5 mm, or 1/16 inch where inches are
    /// read.</summary>
    public static double ClearanceMm(LengthFormat lengths) => lengths.Units == UnitSystem.Inch ? LengthFormat.MmPerInch / 16 : 1.5;

    /// <summary>The path for a fitting, already turned.</summary>
    internal static CutPath For(Fitting fitting, CutSize school, double startHoleMm, LengthFormat lengths)
    {
        double offset = school == CutSize.WasteSide ? -WasteSideMm(lengths) : ClearanceMm(lengths);
        string start = $"Drill the start holes {lengths.Drill(startHoleMm)} from outside, inside the line; they touch the cut in each corner.";
        string tape =
            $"Mask the skin, draw the line on the tape, and tape the free metal down every {lengths.Text(200)} to "
            + $"{lengths.Text(250)}, so that it cannot spring or tear.";
        string[] howTo =
            school == CutSize.WasteSide
                ?
                [
                    start,
                    tape,
                    $"Keep the blade {lengths.Text(-offset)} inside the line all round: metal cannot be put back.",
                    "Offer the frame up, then open up to the line with a file only where it touches.",
                    "Take up the swarf, paint the cut edge.",
                ]
                :
                [
                    start,
                    tape,
                    $"Cut {lengths.Text(offset)} outside the line all round at once, so that no filing is needed.",
                    "Offer the frame up and centre it before the flange is bedded.",
                    "Take up the swarf, paint the cut edge.",
                ];
        var range = HoleRange.Of(Frame.Of(fitting, 0));
        return new CutPath(school, fitting.CutOut.Grown(offset), offset, startHoleMm, range.Least, range.Most, howTo);
    }
}
