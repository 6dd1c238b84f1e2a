using Abri.Core.Declared;
using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings.Together;

/// <summary>A fitting that is to be placed together with others.</summary>
/// <param name="Name">What people call the opening.</param>
/// <param name="Fitting">The fitting, unturned.</param>
/// <param name="Wishes">What is wished for it; may be empty. Least fill cannot be wished for here.</param>
/// <param name="TurnDeg">Quarter turns: 0, 90, 180 or 270.</param>
public sealed record TogetherFitting([Name] string Name, Fitting Fitting, [Wishes] IReadOnlyList<Wish> Wishes, [QuarterTurn] int TurnDeg = 0);

/// <summary>Everything that decides where several fittings may go on one panel.</summary>
/// <param name="Panel">The panel.</param>
/// <param name="Members">Its members.</param>
/// <param name="Fittings">The fittings to be placed, two or more.</param>
/// <param name="RibInTheWay">The school followed where a secondary rib is in the way.</param>
/// <param name="SpacingMm">Room to be kept between two flanges, mm.</param>
/// <param name="Neighbours">Fittings that stay where they are.</param>
/// <param name="Zones">Parts of the inside.</param>
/// <param name="Lengths">How lengths are written in sentences; millimetres when null.</param>
/// <param name="Doors">Sliding doors in the same side of the vehicle, the panel itself left out.</param>
/// <param name="Covers">What lies on or behind the skin and may burn.</param>
public sealed record TogetherSite(
    Panel Panel,
    [Members] IReadOnlyList<Member> Members,
    [Count(0, 100, "At most 8 fittings are placed together.")] IReadOnlyList<TogetherFitting> Fittings,
    RibInTheWay RibInTheWay = RibInTheWay.Keep,
    [Within(0, 2000, "The room between two flanges", "mm")] double SpacingMm = PlacingFigures.FlangeGapMm,
    [Neighbours] IReadOnlyList<Neighbour>? Neighbours = null,
    [Zones] IReadOnlyList<Zone>? Zones = null,
    LengthFormat? Lengths = null,
    [Doors] IReadOnlyList<Panel>? Doors = null,
    [Count(0, 200, "A site has at most 200 coverings.")] IReadOnlyList<SiteCover>? Covers = null
)
{
    internal Site For(TogetherFitting f) => new(Panel, Members, f.Fitting, RibInTheWay, f.TurnDeg, null, Neighbours, Zones, Lengths, Doors, Covers);
}

/// <summary>Where one of several fittings goes.</summary>
/// <param name="Name">What people call the opening.</param>
/// <param name="Centre">Where its centre goes.</param>
/// <param name="Bay">Label of the bay that holds it; null when it lies across a rib.</param>
/// <param name="Cost">Weighed sum of what its wishes are missed by.</param>
/// <param name="Alone">The same if the others were not there.</param>
/// <param name="Reason">How its wishes are met.</param>
public sealed record TogetherPlace(string Name, PanelPoint Centre, string? Bay, double Cost, double Alone, string Reason);

/// <summary>Why there is no arrangement.</summary>
/// <param name="Fittings">The fewest of the fittings that already clash.</param>
/// <param name="Because">Which rules clash, and what would mend it.</param>
public sealed record TogetherConflict(IReadOnlyList<string> Fittings, string Because);

/// <summary>Where several fittings go.</summary>
/// <param name="Places">One place a fitting, in the order given; empty where there is no arrangement.</param>
/// <param name="Cost">Sum of what all wishes are missed by.</param>
/// <param name="ProvenOptimal">Whether no arrangement is better, to a hundredth of a millimetre; where there is none, whether that is proved.</param>
/// <param name="Conflict">Why there is none; null where there is one.</param>
public sealed record TogetherPlan(IReadOnlyList<TogetherPlace> Places, double Cost, bool ProvenOptimal, TogetherConflict? Conflict);
