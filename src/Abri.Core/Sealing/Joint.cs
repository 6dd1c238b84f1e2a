using Abri.Core.Declared;

namespace Abri.Core.Sealing;

/// <summary>What a joint is.</summary>
public enum JointKind
{
    /// <summary>Seam between two sheets.</summary>
    Seam,

    /// <summary>Rain gutter.</summary>
    Gutter,

    /// <summary>Flange of a roof fitting, screwed or clamped.</summary>
    RoofFlange,

    /// <summary>Flange or gasket of a window, grille or hatch.</summary>
    SideFlange,

    /// <summary>Bonded pane.</summary>
    BondedPane,

    /// <summary>Edge of a patch.</summary>
    PatchEdge,

    /// <summary>Row of clips or screws.</summary>
    ClipRow,

    /// <summary>Cable, bolt or pipe through the skin.</summary>
    Penetration,

    /// <summary>Rubber seal of a door.</summary>
    DoorSeal,
}

/// <summary>What happened to a joint.</summary>
public enum JointEventKind
{
    /// <summary>A product was laid.</summary>
    Sealed,

    /// <summary>It was wiped with solvent.</summary>
    Solvent,

    /// <summary>It was waxed or polished.</summary>
    Waxed,

    /// <summary>It was primed for a product.</summary>
    Primed,

    /// <summary>It was painted.</summary>
    Painted,

    /// <summary>It was stripped and cleaned to bare material.</summary>
    Stripped,
}

/// <summary>One thing that was done to a joint.</summary>
/// <param name="On">When.</param>
/// <param name="Kind">What.</param>
/// <param name="Family">Family of the product, where one was used; null where not known.</param>
/// <param name="Product">Name and batch of the product; empty where none.</param>
/// <param name="By">Who did it.</param>
public sealed record JointEvent(
    [Dated] DateOnly On,
    JointEventKind Kind,
    ProductFamily? Family,
    [Letters(120, "A product and its batch have at most 120 characters.")] string Product,
    [Letters(80, "Who did it has at most 80 characters.")] string By
);

/// <summary>To what a joint belongs.</summary>
public enum JointOfKind
{
    /// <summary>A member, such as a drawn seam or a gutter.</summary>
    Member,

    /// <summary>An opening: its flange, gasket or bond.</summary>
    Opening,

    /// <summary>A finding, such as a seam that has opened.</summary>
    Finding,

    /// <summary>A repair: the edge of its patch, its seam or its trim.</summary>
    Repair,

    /// <summary>A seam or door seal that every such shell has (<see cref="Shell.ShellSeam"/>), named by the side of the panel.</summary>
    ShellSeam,
}

/// <summary>What a joint belongs to, on the same panel.</summary>
/// <param name="Kind">What that is.</param>
/// <param name="Id">Its id; in a vehicle file its key there; of a seam of the shell the side, such as <c>top</c>.</param>
public sealed record JointOf(JointOfKind Kind, string Id);

/// <summary>A joint of the shell that keeps water out.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Kind">What it is.</param>
/// <param name="LengthMm">Its length, mm.</param>
/// <param name="One">What it lies on.</param>
/// <param name="Other">What is joined to that.</param>
/// <param name="GapMm">Width over which it moves, mm: of the gap, or the thickness of a bond.</param>
/// <param name="MovementMm">How far the sides move against one another, mm.</param>
/// <param name="Sun">Whether the sun shines on it.</param>
/// <param name="StandingWater">Whether water stands on it.</param>
/// <param name="RemovableLater">Whether it must come apart again.</param>
/// <param name="PaintedOver">Whether it is painted over.</param>
/// <param name="Structural">Whether it carries load, such as a pane.</param>
/// <param name="Unbroken">Whether its bead must be laid in one go.</param>
/// <param name="Of">What it belongs to; null for one that was written down by itself.</param>
/// <param name="ProductId">Id of the product chosen, in a vehicle file its key there; null until one is.</param>
/// <param name="History">What was done to it, oldest first.</param>
/// <param name="Notes">Anything worth keeping.</param>
/// <param name="HotC">How hot it gets in use, C, such as on a flue; null where nothing but the sun heats it.</param>
public sealed record Joint(
    [Name(120, "A joint's name has 1 to 120 characters.")] string Name,
    JointKind Kind,
    [Within(1, 100_000, "The joint's length", "mm")] double LengthMm,
    Substrate One,
    Substrate Other,
    [Within(0, 100, "The joint's width", "mm")] double GapMm,
    [Within(0, 100, "The movement", "mm")] double MovementMm,
    bool Sun,
    bool StandingWater,
    bool RemovableLater,
    bool PaintedOver,
    bool Structural,
    bool Unbroken,
    JointOf? Of,
    string? ProductId,
    [Count(0, 200, "A joint's history has at most 200 entries.")] IReadOnlyList<JointEvent> History,
    [Notes] string Notes,
    [Within(0, 1000, "How hot the joint gets", "C")] double? HotC = null
)
{
    /// <summary>Whether its sides slide on one another, so that the sealant is sheared; otherwise it is pulled and pressed.</summary>
    internal bool IsSheared => Kind is JointKind.BondedPane or JointKind.RoofFlange or JointKind.SideFlange or JointKind.PatchEdge;

    /// <summary>By how much its movement stretches the sealant, %; 0 where it does not move.</summary>
    internal double StretchPercent => MovementMm <= 0 || GapMm <= 0 ? 0 : 100 * (IsSheared ? Shear.Stretch(MovementMm / GapMm) : MovementMm / GapMm);
}
