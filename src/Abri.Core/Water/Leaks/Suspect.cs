using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Water.Leaks;

/// <summary>By what water may get in.</summary>
public enum SuspectKind
{
    /// <summary>Joint of two skins.</summary>
    Seam,

    /// <summary>Rain gutter and its joints.</summary>
    Gutter,

    /// <summary>Spot weld that was drilled out.</summary>
    SpotWeld,

    /// <summary>Bolt or screw through the skin.</summary>
    Screw,

    /// <summary>Seal or bedding of a window, vent, skylight, flue or hatch.</summary>
    Seal,

    /// <summary>Gap under a frame that is clamped.</summary>
    ClampGap,

    /// <summary>Row of clips of a trim.</summary>
    ClipRow,

    /// <summary>Plastic that has cracked: a vent, a lamp.</summary>
    CrackedPlastic,

    /// <summary>Seal of a door.</summary>
    DoorSeal,

    /// <summary>Grommet of a lamp, an aerial or a cable.</summary>
    Grommet,

    /// <summary>Corner where three skins meet.</summary>
    Corner,

    /// <summary>Edge of a patch.</summary>
    PatchEdge,

    /// <summary>Hole that is open or plugged.</summary>
    Hole,

    /// <summary>Foot of a rack or an awning, screwed or clamped to roof or gutter.</summary>
    RoofFixing,

    /// <summary>Lamp high up: brake, marker or clearance lamp.</summary>
    Lamp,

    /// <summary>Strip over the roof's welded channel.</summary>
    TrimStrip,

    /// <summary>Windscreen and the scuttle below it.</summary>
    Windscreen,

    /// <summary>Membrane behind a door's lining.</summary>
    DoorMembrane,

    /// <summary>Plug in the floor.</summary>
    FloorPlug,

    /// <summary>Gland by which a cable comes in.</summary>
    CableGland,

    /// <summary>Drain that is blocked, so that water backs up.</summary>
    BackedUpDrain,
}

/// <summary>In what state a suspect is.</summary>
public enum Condition
{
    /// <summary>Nobody has looked.</summary>
    Unknown,

    /// <summary>Sound.</summary>
    Sound,

    /// <summary>Old, hard or chalky, and whole.</summary>
    Aged,

    /// <summary>Cracked.</summary>
    Cracked,

    /// <summary>Loose.</summary>
    Loose,

    /// <summary>Open: one can look or feel through.</summary>
    Open,
}

/// <summary>A joint or penetration of the skin by which water may get in, as somebody wrote it down.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Points">Where it lies: a point, or the points of a line.</param>
/// <param name="Condition">In what state it is.</param>
/// <param name="SinceAt">Since when it has been as it is, UTC: what was seen before does not bear on it. Null for always.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record Suspect(
    [Name] string Name,
    SuspectKind Kind,
    [Count(1, 100, "A suspect has 1 to 100 points.")] IReadOnlyList<PanelPoint> Points,
    Condition Condition,
    [Dated] DateTimeOffset? SinceAt,
    [Notes] string Notes
)
{
    /// <summary>The point half way along it.</summary>
    internal PanelPoint Middle => Points.Count == 1 ? Points[0] : Along(Points, 0.5);

    /// <summary>The point at a share of the length of a line.</summary>
    internal static PanelPoint Along(IReadOnlyList<PanelPoint> line, double share)
    {
        double length = 0;
        for (int i = 1; i < line.Count; i++)
            length += line[i].DistanceMm(line[i - 1]);
        double left = length * share;
        for (int i = 1; i < line.Count; i++)
        {
            double piece = line[i].DistanceMm(line[i - 1]);
            if (piece > 0 && left <= piece)
                return line[i - 1].Plus((line[i].SMm - line[i - 1].SMm) * left / piece, (line[i].TMm - line[i - 1].TMm) * left / piece);
            left -= piece;
        }
        return line[^1];
    }
}
