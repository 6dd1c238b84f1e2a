using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>A place in the vehicle's own frame, mm.</summary>
/// <param name="XMm">Backwards from the front of the shell.</param>
/// <param name="YMm">To the vehicle's left from its middle.</param>
/// <param name="ZMm">Up from the floor.</param>
public readonly record struct ShellPoint(double XMm, double YMm, double ZMm)
{
    /// <summary>Distance from another place, mm.</summary>
    public double DistanceMm(ShellPoint other) =>
        Math.Sqrt(((XMm - other.XMm) * (XMm - other.XMm)) + ((YMm - other.YMm) * (YMm - other.YMm)) + ((ZMm - other.ZMm) * (ZMm - other.ZMm)));
}

/// <summary>
/// Says where the places of panels lie in the vehicle.
/// </summary>
/// <remarks>
/// Sides stand upright at the roof's edges, the rear at the end of the shell, the front at its beginning; the floor lies at 0 and the roof's edge
/// where the sides end. Curvature of sides and ends is left out: it moves a place by a few
/// centimetres, which matters to no question that is asked in this frame.
/// </remarks>
public sealed class ShellFrame
{
    private const double UsualHalfWidthMm = 850,
        UsualHeightMm = 1900;

    /// <summary>The frame of a shell with these panels.</summary>
    public ShellFrame(IReadOnlyList<Panel> panels)
    {
        Panel? roof = panels.FirstOrDefault(p => p.Kind == PanelKind.Roof),
            floor = panels.FirstOrDefault(p => p.Kind == PanelKind.Floor);
        PanelBox? across = (roof ?? floor)?.Box;
        (LeftMm, RightMm) = (across?.TMaxMm ?? UsualHalfWidthMm, across?.TMinMm ?? -UsualHalfWidthMm);
        PanelBox[] along =
        [
            .. panels.Where(p => p.Kind is PanelKind.Roof or PanelKind.Floor or PanelKind.Left or PanelKind.Right).Select(p => p.Box),
        ];
        (FrontMm, RearMm) = (along.Select(b => b.SMinMm).DefaultIfEmpty(0).Min(), along.Select(b => b.SMaxMm).DefaultIfEmpty(0).Max());
        TopMm = panels.Where(p => p.Kind is PanelKind.Left or PanelKind.Right).Select(p => p.Box.TMaxMm).DefaultIfEmpty(UsualHeightMm).Max();
    }

    /// <summary>Y of the left side, mm.</summary>
    public double LeftMm { get; }

    /// <summary>Y of the right side, mm.</summary>
    public double RightMm { get; }

    /// <summary>X of the front, mm.</summary>
    public double FrontMm { get; }

    /// <summary>X of the rear, mm.</summary>
    public double RearMm { get; }

    /// <summary>Z of the roof's edge, mm.</summary>
    public double TopMm { get; }

    /// <summary>The place of a panel's point in the vehicle.</summary>
    /// <param name="panel">The panel.</param>
    /// <param name="p">The point on it.</param>
    /// <param name="standsMm">How far its skin stands above its datum plane there, mm; counts on the roof.</param>
    public ShellPoint At(Panel panel, PanelPoint p, double standsMm = 0) =>
        panel.Facing switch
        {
            Facing.Left => new ShellPoint(p.SMm, LeftMm, p.TMm),
            Facing.Right => new ShellPoint(p.SMm, RightMm, p.TMm),
            Facing.Rear => new ShellPoint(RearMm, p.SMm, p.TMm),
            Facing.Front => new ShellPoint(FrontMm, p.SMm, p.TMm),
            Facing.Up when panel.Kind == PanelKind.Roof => new ShellPoint(p.SMm, p.TMm, TopMm + standsMm),
            _ => new ShellPoint(p.SMm, p.TMm, 0),
        };

    /// <summary>How high a place lies above level ground as the vehicle is parked, mm, for small angles.</summary>
    public static double HeightMm(ShellPoint p, Attitude attitude) =>
        p.ZMm - (p.XMm * Math.Sin(attitude.PitchDeg * Math.PI / 180)) + (p.YMm * Math.Sin(attitude.RollDeg * Math.PI / 180));
}
