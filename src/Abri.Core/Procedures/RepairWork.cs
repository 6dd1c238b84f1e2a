using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Shell;

namespace Abri.Core.Procedures;

/// <summary>A repair with all that decides how it is done.</summary>
/// <param name="Repair">The repair.</param>
/// <param name="Panel">Its panel.</param>
/// <param name="Members">Members of the panel.</param>
/// <param name="Attitude">How the vehicle stands as parked; null for level.</param>
/// <param name="Cuts">Cut-outs of the openings on the panel.</param>
/// <param name="Flanges">Their flanges, in the same order.</param>
/// <param name="Lengths">How lengths are written in sentences.</param>
public sealed record RepairWork(
    Repair Repair,
    Panel Panel,
    IReadOnlyList<Member> Members,
    Attitude? Attitude,
    IReadOnlyList<IReadOnlyList<PanelPoint>> Cuts,
    IReadOnlyList<IReadOnlyList<PanelPoint>> Flanges,
    LengthFormat Lengths
)
{
    /// <summary>The patch of the repair where it lies; null where it has none.</summary>
    internal PatchSite? PatchSite =>
        Repair.Patch is { } design && Repair.Kind is RepairKind.Patch or RepairKind.Plate
            ? new PatchSite(Panel, Members, Repair.Damage, design, Attitude, Cuts, Lengths, Spot?.Near)
            : null;

    /// <summary>What the metal is like, with what is drawn round it; null where nobody said.</summary>
    internal RustSpot? Spot => Repair.Spot is { } spot ? Surroundings.Of(spot, Repair.Damage, Members) : null;

    /// <summary>Whether it is for a licensed workshop: here it is only cleaned and protected.</summary>
    internal bool IsForWorkshop =>
        Repair.Kind switch
        {
            RepairKind.Treat or RepairKind.Patch or RepairKind.Plate => Spot is { } spot
                && RustRules.Of(spot, new RustLimits(), Lengths).Result.Method == RustMethod.ProtectOnly,
            RepairKind.Plug => Repair.Points.Any(p => Surroundings.IsOnStructure(p, Members)),
            _ => false,
        };

    /// <summary>The repair as it may be done here: what is for a licensed workshop has no patch, no joint and covers nothing.</summary>
    internal Repair Allowed => IsForWorkshop ? Repair with { Kind = RepairKind.Treat, Patch = null, Holes = null } : Repair;
}
