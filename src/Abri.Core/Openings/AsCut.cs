using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Openings;

/// <summary>A hole as it was cut, measured from outside or inside alike.</summary>
/// <param name="TopWidthMm">Width near the upper edge (on the roof, the vehicle's left), mm.</param>
/// <param name="BottomWidthMm">Width near the lower edge (on the roof, the vehicle's right), mm.</param>
/// <param name="FrontHeightMm">Height near the front edge, mm.</param>
/// <param name="RearHeightMm">Height near the rear edge, mm.</param>
/// <param name="RisingDiagonalMm">From the front bottom (on the roof, front right) corner to the one opposite, arc to arc, mm.</param>
/// <param name="FallingDiagonalMm">From the front top (on the roof, front left) corner to the one opposite, arc to arc, mm.</param>
public sealed record AsCut(
    [Within(10, 6000, "A measured width", "mm")] double TopWidthMm,
    [Within(10, 6000, "A measured width", "mm")] double BottomWidthMm,
    [Within(10, 6000, "A measured height", "mm")] double FrontHeightMm,
    [Within(10, 6000, "A measured height", "mm")] double RearHeightMm,
    [Within(10, 9000, "A measured diagonal", "mm")] double RisingDiagonalMm,
    [Within(10, 9000, "A measured diagonal", "mm")] double FallingDiagonalMm
);

/// <summary>What a hole check has to know of a fitting, turned as it is placed.</summary>
/// <param name="CutOut">The hole that it asks for; its corner radius is taken for the hole's.</param>
/// <param name="Neck">The part of the frame that passes through.</param>
/// <param name="Flange">The outer flange.</param>
/// <param name="LeastLapMm">Least width of flange that must lie on the skin beside the hole, mm.</param>
/// <param name="ToleranceMinusMm">How much smaller than the cut-out its sheet lets the hole be, mm in all; null where no sheet says.</param>
/// <param name="TolerancePlusMm">How much larger, mm in all; null where no sheet says.</param>
public sealed record Frame(
    RoundedRectangle CutOut,
    RoundedRectangle Neck,
    RoundedRectangle Flange,
    [Within(0, 300, "The least lap", "mm")] double LeastLapMm,
    double? ToleranceMinusMm = null,
    double? TolerancePlusMm = null
)
{
    /// <summary>The frame of a fitting that is placed with quarter turns.</summary>
    public static Frame Of(Fitting fitting, int turnDeg)
    {
        Fitting turned = fitting.Turned(turnDeg);
        return new Frame(turned.CutOut, turned.Neck, turned.Flange, turned.LeastLapMm, turned.ToleranceMinusMm, turned.TolerancePlusMm);
    }
}

/// <summary>The holes that a frame fits: one rule for the sheet, the steps and the hole as it was cut.</summary>
/// <param name="Least">Smallest hole.</param>
/// <param name="Most">Largest hole.</param>
/// <remarks>
/// As the fitting's sheet says, but never so small that painted edges bind on the neck (<see cref="HoleCheck.PaintMm"/> all round), and never so
/// large that the flange laps too little. The
/// cut-out that the sheet asks for always counts.
/// </remarks>
/// <example>Cut-out 14", neck 13 3/4", tolerance -1/16" +3/16": 13 15/16" to 14 3/16".</example>
public sealed record HoleRange(RoundedRectangle Least, RoundedRectangle Most)
{
    /// <summary>The range of a frame.</summary>
    public static HoleRange Of(Frame frame)
    {
        double Least(double cut, double neck) =>
            Math.Min(cut, Math.Max(frame.ToleranceMinusMm is { } minus ? cut - minus : 0, neck + (2 * HoleCheck.PaintMm)));
        double Most(double cut, double flange) =>
            Math.Max(cut, Math.Min(frame.TolerancePlusMm is { } plus ? cut + plus : double.PositiveInfinity, flange - (2 * frame.LeastLapMm)));
        RoundedRectangle c = frame.CutOut;
        return new HoleRange(
            Sized(c, Least(c.WidthMm, frame.Neck.WidthMm), Least(c.HeightMm, frame.Neck.HeightMm)),
            Sized(c, Most(c.WidthMm, frame.Flange.WidthMm), Most(c.HeightMm, frame.Flange.HeightMm))
        );
    }

    /// <summary>The cut-out in another size; its corners keep their centres where both sides move alike.</summary>
    private static RoundedRectangle Sized(RoundedRectangle cutOut, double width, double height) =>
        new(
            width,
            height,
            cutOut.CornerRadiusMm == 0
                ? 0
                : Math.Clamp(cutOut.CornerRadiusMm + (Math.Min(width - cutOut.WidthMm, height - cutOut.HeightMm) / 2), 0, Math.Min(width, height) / 2)
        );
}

/// <summary>Whether a frame goes into a hole.</summary>
public enum Fit
{
    /// <summary>It goes in and its flange covers the hole.</summary>
    Fits,

    /// <summary>It does not go in yet.</summary>
    OpenUp,

    /// <summary>Its flange does not cover the hole by the least lap, or the hole is larger than the fitting's sheet allows.</summary>
    TooBig,
}

/// <summary>How much to take off one edge of a hole.</summary>
/// <param name="Side">The edge.</param>
/// <param name="AtLowEndMm">At its lower, or front, end, mm.</param>
/// <param name="AtHighEndMm">At its upper, or rear, end, mm.</param>
public sealed record OpenUp(Side Side, double AtLowEndMm, double AtHighEndMm);

/// <summary>How a frame sits in a hole as it was cut.</summary>
/// <param name="Fit">Whether it goes in.</param>
/// <param name="SmallestClearanceMm">Least room round the neck when it is laid as well as it can be, mm; negative when it does not go in.</param>
/// <param name="Where">Edges at which the room is that small.</param>
/// <param name="SkewMm">How far the upper edge has slid to the rear against the lower one, mm; negative to the front.</param>
/// <param name="TurnedDeg">How far the frame is turned to lie well, degrees, anticlockwise with s to the right and t up.</param>
/// <param name="MisclosureMm">How far the second diagonal is from what the other five readings give, mm.</param>
/// <param name="OpenUp">What to take off the edges; empty when it goes in, or when only corners bind.</param>
/// <param name="CornersMm">How far the rounded corners have to be filed out, along the diagonal, mm; 0 where they do not bind.</param>
/// <param name="LapLeftMm">Least width of flange that lies on the skin, mm.</param>
/// <param name="LapWhere">Edge at which that is.</param>
/// <param name="Advice">What to do, in a sentence.</param>
/// <param name="Hole">Corners of the hole without their rounding, from front bottom, anticlockwise; the front bottom one is the origin.</param>
/// <param name="FrameCentre">Where the middle of the frame lies among those corners.</param>
public sealed record HoleFit(
    Fit Fit,
    double SmallestClearanceMm,
    IReadOnlyList<Side> Where,
    double SkewMm,
    double TurnedDeg,
    double MisclosureMm,
    IReadOnlyList<OpenUp> OpenUp,
    double CornersMm,
    double LapLeftMm,
    Side LapWhere,
    string Advice,
    IReadOnlyList<PanelPoint> Hole,
    PanelPoint FrameCentre
);
