using Abri.Core.Declared;

namespace Abri.Core.Metal;

/// <summary>An edge of a door.</summary>
public enum DoorEdge
{
    /// <summary>Where it latches.</summary>
    Latch,

    /// <summary>Where it hangs or runs.</summary>
    Hinge,
}

/// <summary>What is done to a door, in the order in which it is tried.</summary>
public enum DoorTurn
{
    /// <summary>Nothing yet: as it was found.</summary>
    AsFound,

    /// <summary>Latch and hinges set.</summary>
    HingesAndLatch,

    /// <summary>Another seal, or packing under it.</summary>
    Seal,

    /// <summary>The door bent.</summary>
    Bend,
}

/// <summary>The room that the seal has at one height with the door shut.</summary>
/// <param name="Edge">At which edge.</param>
/// <param name="HeightMm">Height above the door's lower edge, mm.</param>
/// <param name="GapMm">From the frame to the door, where the seal lies, mm: measured by a lump of putty that was shut in.</param>
public sealed record DoorReading(
    DoorEdge Edge,
    [Within(0, 4000, "The height", "mm")] double HeightMm,
    [Within(0, 100, "The gap", "mm")] double GapMm
);

/// <summary>How a door was pushed.</summary>
/// <param name="Edge">At which edge.</param>
/// <param name="AtMm">At which height, mm.</param>
/// <param name="ByMm">How far it stood from where it was while it was pushed, mm.</param>
public sealed record DoorPushed(DoorEdge Edge, [Within(0, 4000, "The height", "mm")] double AtMm, [Within(0, 200, "The push", "mm")] double ByMm);

/// <summary>A round of readings, and what was done before them.</summary>
/// <param name="After">What was done before them.</param>
/// <param name="Pushed">How it was pushed; null where it was not bent.</param>
/// <param name="Readings">The readings.</param>
public sealed record DoorRound(
    DoorTurn After,
    DoorPushed? Pushed,
    [Count(3, 80, "A round has 3 to 80 readings: top, middle and bottom at least.")] IReadOnlyList<DoorReading> Readings
);

/// <summary>A door that does not lie in its seal as it should.</summary>
/// <param name="SealMm">Thickness of the seal as it lies there, not pressed, mm.</param>
/// <param name="Glass">Whether a pane sits in the door.</param>
/// <param name="Dents">Whether its skin dents when it is slammed.</param>
/// <param name="Rounds">All readings, oldest round first; none where nothing was read yet.</param>
public sealed record DoorFit(
    [Within(3, 60, "The seal", "mm")] double SealMm,
    bool Glass,
    bool Dents,
    [Count(0, 40, "A door has at most 40 rounds of readings.")] IReadOnlyList<DoorRound> Rounds
);
