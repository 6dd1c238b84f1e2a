namespace Abri.Core.Work;

/// <summary>What somebody has to have looked at before the shell is opened: the program cannot see it.</summary>
public enum ReadyItem
{
    /// <summary>The fitting is at hand, whole, with all its parts.</summary>
    FittingLookedOver,

    /// <summary>Its cut-out was measured on the part itself.</summary>
    CutOutMeasured,

    /// <summary>It was held up where it goes, outside and inside.</summary>
    OfferedUp,

    /// <summary>What lies behind the panel was looked at from inside.</summary>
    BehindSeen,

    /// <summary>All that is used up lies there and is in date.</summary>
    ConsumablesIn,

    /// <summary>Blades are fresh and batteries full.</summary>
    BladesAndBatteries,

    /// <summary>Cover and tape lie ready and are large enough.</summary>
    CoverReady,

    /// <summary>The second pair of hands is there.</summary>
    SecondPerson,
}
