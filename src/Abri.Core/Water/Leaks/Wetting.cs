using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Water.Leaks;

/// <summary>How much of the water of a rain or a test hits a suspect, and whether it would be seen: assumptions all of them.</summary>
public static class Wetting
{
    /// <summary>Chance that a place that was wetted by rain is found wet.</summary>
    public const double SeenAfterRain = 0.95;

    /// <summary>Chance that a moisture reading tells that water came.</summary>
    public const double SeenByMeter = 0.8;

    /// <summary>Chance that a long water test shows a leak.</summary>
    public const double SeenInTest = 0.97;

    /// <summary>How long a short length is sprayed, min: from memory of a published field test of walls (AAMA 501.2).</summary>
    public const double SprayMinutes = 5;

    /// <summary>How long one waits before going up, min: assumption.</summary>
    public const double WaitMinutes = 5;

    /// <summary>Water that runs off wets what lies below it with this chance; over the roof's edge and down a side with the next.</summary>
    public const double RunOff = 0.6,
        OverTheEdge = 0.4;

    private const double PaceMinutes = 2,
        SpreadMm = 60,
        DriftMm = 150;

    /// <summary>Chance that a leak in a zone that is sprayed shows, while one sprays or in the wait after it: it rises with the minutes for each
    /// length.</summary>
    public static double Seen(Spray spray) => SeenInTest * (1 - Math.Exp(-spray.Minutes / Lengths(spray.Zone) / PaceMinutes));

    /// <summary>How many short lengths a zone has: along its longer side.</summary>
    internal static double Lengths(PanelBox zone) => Math.Max(1, Math.Max(zone.WidthMm, zone.HeightMm) / OfferedSuspects.LengthMm);

    /// <summary>How much of a rain hits what lies on a panel.</summary>
    public static double ByRain(Facing facing, WindFrom? wind) =>
        facing switch
        {
            Facing.Up => 0.95,
            Facing.Down => 0.1,
            _ when wind is null or WindFrom.Calm => 0.5,
            _ => (facing, wind)
                is
                    (Facing.Left, WindFrom.Left)
                    or
                    (Facing.Right, WindFrom.Right)
                    or
                    (Facing.Rear, WindFrom.Rear)
                    or
                    (Facing.Front, WindFrom.Front)
                ? 0.9
                : 0.25,
        };

    /// <summary>How much of a spray hits a suspect: all in its zone, some of what lies below, unless that was covered.</summary>
    internal static double BySpray(Spray spray, Panel panel, IReadOnlyList<PanelPoint> suspect)
    {
        if (panel.Kind == spray.Panel && Samples(suspect).Any(spray.Zone.Grown(spray.OthersMasked ? 0 : SpreadMm).Holds))
            return 1;
        return spray.OthersMasked ? 0 : Below(spray.Panel, spray.Zone, panel, suspect);
    }

    /// <summary>How much of the water that runs off a zone hits a suspect.</summary>
    internal static double Below(PanelKind sprayed, PanelBox zone, Panel panel, IReadOnlyList<PanelPoint> suspect)
    {
        if (!Samples(suspect).Any(p => p.SMm >= zone.SMinMm - DriftMm && p.SMm <= zone.SMaxMm + DriftMm))
            return 0;
        Facing from = Panel.FacingOf(sprayed);
        bool onRoof = sprayed == PanelKind.Roof,
            toLeft = zone.Centre.TMm > 0;
        if (onRoof && panel.Kind == PanelKind.Roof)
            return Samples(suspect).Any(p => toLeft ? p.TMm > zone.TMaxMm : p.TMm < zone.TMinMm) ? RunOff : 0;
        if (onRoof)
            return panel.Facing == (toLeft ? Facing.Left : Facing.Right) ? OverTheEdge : 0;
        return from == panel.Facing && from is not (Facing.Up or Facing.Down) && Samples(suspect).Any(p => p.TMm < zone.TMinMm) ? RunOff : 0;
    }

    /// <summary>Places along a suspect that stand for it.</summary>
    internal static IEnumerable<PanelPoint> Samples(IReadOnlyList<PanelPoint> line) =>
        line.Count == 1 ? line : [Suspect.Along(line, 0.1), Suspect.Along(line, 0.5), Suspect.Along(line, 0.9)];
}
