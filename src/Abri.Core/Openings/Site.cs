using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>Everything that decides where a fitting may go.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
/// <param name="Fitting">The fitting, unturned.</param>
/// <param name="RibInTheWay">The school followed where a secondary rib is in the way.</param>
/// <param name="TurnDeg">Quarter turns of the fitting: 0, 90, 180 or 270.</param>
/// <param name="WallMm">Thickness to be clamped, skin and lining together, mm; null when not known yet.</param>
/// <param name="Neighbours">Other fittings on the panel.</param>
/// <param name="Zones">Parts of the inside.</param>
/// <param name="Lengths">How lengths are written in sentences; millimetres when null.</param>
/// <param name="Doors">Sliding doors in the same side of the vehicle, the panel itself left out.</param>
/// <param name="Covers">What lies on or behind the skin and may burn: insulation, foam, membranes, linings.</param>
/// <param name="Findings">What was found on the panel.</param>
public sealed record Site(
    Panel Panel,
    [Members] IReadOnlyList<Member> Members,
    Fitting Fitting,
    RibInTheWay RibInTheWay = RibInTheWay.Keep,
    [QuarterTurn] int TurnDeg = 0,
    [Within(0.3, 300, "The wall's thickness", "mm")] double? WallMm = null,
    [Neighbours] IReadOnlyList<Neighbour>? Neighbours = null,
    [Zones] IReadOnlyList<Zone>? Zones = null,
    LengthFormat? Lengths = null,
    [Doors] IReadOnlyList<Panel>? Doors = null,
    [Count(0, 200, "A site has at most 200 coverings.")] IReadOnlyList<SiteCover>? Covers = null,
    [Count(0, 500, "A panel has at most 500 findings.")] IReadOnlyList<Finding>? Findings = null
);

/// <summary>Something that covers a part of a panel.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Area">What it covers.</param>
/// <param name="Burns">Whether it burns; null where nobody said.</param>
public sealed record SiteCover([Name] string Name, PanelBox Area, bool? Burns);

/// <summary>Another fitting on the same panel.</summary>
/// <param name="Name">What people call the opening.</param>
/// <param name="Fitting">The fitting, unturned.</param>
/// <param name="Centre">Where its centre lies.</param>
/// <param name="TurnDeg">Its quarter turns.</param>
public sealed record Neighbour([Name] string Name, Fitting Fitting, PanelPoint Centre, [QuarterTurn] int TurnDeg = 0)
{
    internal PanelBox Flange => Fitting.Flange.Turned(TurnDeg).BoxAt(Centre);

    internal PanelBox Swept => Flange.Grown(Fitting.Sweep.Turned(TurnDeg));
}

/// <summary>Figures of placing that do not belong to a fitting.</summary>
public static class PlacingFigures
{
    /// <summary>Flat skin kept between the flange and the edge of the panel, mm: assumption.</summary>
    public const double EdgeMarginMm = 10;

    /// <summary>Room kept between two flanges, for sealing both and for a cloth between them, mm: assumption.</summary>
    public const double FlangeGapMm = 30;

    /// <summary>Mass from which a roof unit needs a bow in front and behind, kg: assumption.</summary>
    public const double HeavyKg = 12;

    /// <summary>Widest bay in which two bows carry such a unit, mm: assumption; the unit's sheet comes first.</summary>
    public const double HeavySpanMm = 700;

    /// <summary>Difference that no tape shows; a fitting that fits exactly counts as fitting, mm.</summary>
    internal const double HairMm = 0.01;

    internal static readonly Source Assumed = new(
        "Edge margin 10 mm, gap between flanges 30 mm, heavy from 12 kg, carried up to 700 mm",
        SourceKind.Assumption
    );
    internal static readonly Source Clearances = new(
        "Clearances from the cut edge to members, as the fitting's entry gives them",
        SourceKind.CommonPractice
    );
    internal static readonly Source NeverCut = new("Pillars, cant rails and marked structure are never cut", SourceKind.CommonPractice);
}
