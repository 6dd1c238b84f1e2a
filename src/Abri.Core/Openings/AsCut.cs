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
    double TopWidthMm, double BottomWidthMm, double FrontHeightMm, double RearHeightMm, double RisingDiagonalMm, double FallingDiagonalMm);

/// <summary>What a hole check has to know of a fitting, turned as it is placed.</summary>
/// <param name="CutOut">The hole that it asks for; its corner radius is taken for the hole's.</param>
/// <param name="Neck">The part of the frame that passes through.</param>
/// <param name="Flange">The outer flange.</param>
/// <param name="LeastLapMm">Least width of flange that must lie on the skin beside the hole, mm.</param>
public sealed record Frame(RoundedRectangle CutOut, RoundedRectangle Neck, RoundedRectangle Flange, double LeastLapMm)
{
    /// <summary>The frame of a fitting that is placed with quarter turns.</summary>
    public static Frame Of(Fitting fitting, int turnDeg)
    {
        Fitting turned = fitting.Turned(turnDeg);
        return new Frame(turned.CutOut, turned.Neck, turned.Flange, turned.LeastLapMm);
    }
}

/// <summary>Whether a frame goes into a hole.</summary>
public enum Fit
{
    /// <summary>It goes in and its flange covers the hole.</summary>
    Fits,

    /// <summary>It does not go in yet.</summary>
    OpenUp,

    /// <summary>Its flange does not cover the hole by the least lap.</summary>
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
/// <param name="OpenUp">What to take off; empty when it goes in.</param>
/// <param name="LapLeftMm">Least width of flange that lies on the skin, mm.</param>
/// <param name="LapWhere">Edge at which that is.</param>
/// <param name="Advice">What to do, in a sentence.</param>
/// <param name="Hole">Corners of the hole without their rounding, from front bottom, anticlockwise; the front bottom one is the origin.</param>
/// <param name="FrameCentre">Where the middle of the frame lies among those corners.</param>
public sealed record HoleFit(
    Fit Fit, double SmallestClearanceMm, IReadOnlyList<Side> Where, double SkewMm, double TurnedDeg, double MisclosureMm,
    IReadOnlyList<OpenUp> OpenUp, double LapLeftMm, Side LapWhere, string Advice, IReadOnlyList<PanelPoint> Hole, PanelPoint FrameCentre);
