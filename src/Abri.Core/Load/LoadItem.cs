using Abri.Core.Declared;

namespace Abri.Core.Load;

/// <summary>A place in or on a vehicle.</summary>
/// <param name="XMm">Backwards from the front datum, mm.</param>
/// <param name="YMm">To the vehicle's left from its centre line, mm.</param>
/// <param name="ZMm">Up from the floor, mm.</param>
public readonly record struct LoadPlace(
    [Within(-Limits.LongestMm, Limits.LongestMm, "The place along", "mm")] double XMm,
    [Within(-2000, 2000, "The place across", "mm")] double YMm,
    [Within(-1500, 4000, "The height above the floor", "mm")] double ZMm
);

/// <summary>What kind of mass something is.</summary>
public enum LoadKind
{
    /// <summary>Built in: it is always there.</summary>
    Fixed,

    /// <summary>Sheet stuck to skins so that they do not drum: built in too.</summary>
    Deadening,

    /// <summary>Water, fuel or gas, by how full it is.</summary>
    Tank,

    /// <summary>Somebody on a seat.</summary>
    Person,

    /// <summary>What is brought along.</summary>
    Baggage,
}

/// <summary>With what a vehicle is weighed or drives.</summary>
public enum LoadState
{
    /// <summary>With what is built in, and nothing else.</summary>
    Empty,

    /// <summary>Ready to travel: tanks, people and baggage as on most days.</summary>
    Travel,

    /// <summary>Every tank full, every seat taken, everything aboard.</summary>
    Loaded,
}

/// <summary>Something that adds to a vehicle's mass, or was taken out of it.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Kind">What kind of mass.</param>
/// <param name="Kg">Its mass, kg; of a tank when it is full.</param>
/// <param name="At">Where its middle lies.</param>
/// <param name="TravelPercent">How much of it is there when the vehicle is ready to travel, %; counts where it is not built in.</param>
/// <param name="TakenOut">Whether it was there when the papers were written and is taken out.</param>
/// <param name="IsIn">Whether it is in already, or out where it is taken out; planned otherwise.</param>
/// <param name="Notes">Anything worth keeping.</param>
public sealed record LoadItem(
    [Name] string Name,
    LoadKind Kind,
    [Within(0.01, 20_000, "The mass", "kg")] double Kg,
    LoadPlace At,
    [Within(0, 100, "What is there when ready to travel", "%")] double TravelPercent,
    bool TakenOut,
    bool IsIn,
    [Notes] string Notes
) : IConsistent
{
    (string Field, string Message)? IConsistent.Contradiction() =>
        TakenOut && !IsBuiltIn ? ("takenOut", "Only what was built in is taken out: tanks, people and baggage are there or not.") : null;

    /// <summary>Whether it is there in every state.</summary>
    public bool IsBuiltIn => Kind is LoadKind.Fixed or LoadKind.Deadening;

    /// <summary>What it adds in a state, kg; less than 0 where it is taken out.</summary>
    public double In(LoadState state) =>
        IsBuiltIn ? (TakenOut ? -Kg : Kg)
        : state == LoadState.Empty ? 0
        : state == LoadState.Travel ? Kg * TravelPercent / 100
        : Kg;
}
