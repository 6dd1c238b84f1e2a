using Abri.Core.Declared;
using Abri.Core.Load;

namespace Abri.Server.Calculators;

/// <summary>Input of the calculator <c>axle-loads</c>.</summary>
/// <param name="Gear">What carries it.</param>
/// <param name="Masses">The masses, the vehicle itself among them.</param>
public sealed record AxleLoadsInput(Gear Gear, [Count(1, 2000, "From 1 to {1} masses are given.")] IReadOnlyList<PlacedMass> Masses);

/// <summary>Input of the calculator <c>weighbridge</c>.</summary>
/// <param name="Papers">The base as the papers have it.</param>
/// <param name="Weighed">The times on a weighbridge.</param>
/// <param name="IsTrailer">Whether the sides are those of the axle alone.</param>
public sealed record WeighbridgeInput(
    BasePapers Papers,
    [Count(1, 200, "From 1 to {1} times are given.")] IReadOnlyList<WeighedLoad> Weighed,
    bool IsTrailer = false
);

/// <summary>Input of the calculator <c>deadening</c>.</summary>
/// <param name="Question">The sheets.</param>
public sealed record DeadeningInput(DeadeningQuestion Question);
