using Abri.Core.Declared;
using Abri.Core.Geometry;

namespace Abri.Core.Water;

/// <summary>What was put on a panel or into it.</summary>
public enum CoveringKind
{
    /// <summary>Lining inside.</summary>
    Lining,

    /// <summary>Cladding: boards or sheet on the outside, or over a lower side.</summary>
    Cladding,

    /// <summary>Insulation that takes up water: wool, felt.</summary>
    Insulation,

    /// <summary>Foam, sprayed or cut.</summary>
    Foam,

    /// <summary>Membrane or foil.</summary>
    Membrane,

    /// <summary>Bead or coat of sealant.</summary>
    Sealant,

    /// <summary>Patch lapped on the skin.</summary>
    Patch,
}

/// <summary>Which sheet of a lapped joint lies outside.</summary>
public enum Lap
{
    /// <summary>Nobody has said.</summary>
    Unknown,

    /// <summary>The upper over the lower: water runs off.</summary>
    UpperOverLower,

    /// <summary>The lower over the upper: water runs in.</summary>
    LowerOverUpper,

    /// <summary>The lower over the upper, and sealed along its edge: only the bead keeps water out.</summary>
    LowerOverUpperSealed,
}

/// <summary>Something put on a panel or into it, done or planned, that may keep water in.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Area">What it covers.</param>
/// <param name="SealedAtBottom">Whether its bottom edge is closed to water.</param>
/// <param name="Lap">How its upper edge is lapped; counts for patches.</param>
/// <param name="Planned">Whether it is only planned.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record Covering(
    [Name] string Name,
    CoveringKind Kind,
    [Enclosing("What is covered")] PanelBox Area,
    bool SealedAtBottom,
    Lap Lap,
    bool Planned,
    [Notes] string Notes
);
