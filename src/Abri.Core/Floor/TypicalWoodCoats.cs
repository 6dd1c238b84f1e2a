using Abri.Core.Declared;

namespace Abri.Core.Floor;

/// <summary>What wood, or an old roof, is coated with.</summary>
public enum WoodCoatKind
{
    /// <summary>Marine varnish: the school that can be renewed.</summary>
    MarineVarnish,

    /// <summary>Penetrating epoxy: the school that closes the wood for good.</summary>
    PenetratingEpoxy,

    /// <summary>Pure silicone over an old flat roof.</summary>
    RoofSilicone,
}

/// <summary>A coating as its data sheet describes it.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Name">What people call it.</param>
/// <param name="FirstM2PerLitre">What a litre covers in the first coat, which soaks in, m2.</param>
/// <param name="M2PerLitre">What a litre covers after it, m2.</param>
/// <param name="Coats">How many coats.</param>
/// <param name="RecoatFromHours">Hours at 20 C before the next coat.</param>
/// <param name="RecoatToHours">Hours at 20 C after which it is abraded first; null where that does not matter.</param>
/// <param name="LeastC">Coldest at which it may be put on, C.</param>
/// <param name="MostC">Hottest, C.</param>
/// <param name="CanMl">What a can holds, ml.</param>
public sealed record WoodCoat(
    WoodCoatKind Kind,
    string Name,
    [Within(0.2, 50, "What a litre covers first", "m2/l")] double FirstM2PerLitre,
    [Within(0.2, 50, "What a litre covers", "m2/l")] double M2PerLitre,
    [Within(1, 10, "The number of coats")] int Coats,
    [Within(0, 500, "The time to the next coat", "hours")] double RecoatFromHours,
    [Within(0, 2000, "The time after which it is abraded", "hours")] double? RecoatToHours,
    [Within(-20, 40, "The coldest", "C")] double LeastC,
    [Within(-10, 60, "The hottest", "C")] double MostC,
    [Within(10, 20_000, "A can", "ml")] double CanMl
);

/// <summary>Coatings to begin with until somebody enters those of a data sheet: assumptions throughout.</summary>
public static class TypicalWoodCoats
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<WoodCoat> All { get; } =
    [
        new(WoodCoatKind.MarineVarnish, "marine varnish", 10, 10, 2, 16, 72, 8, 30, 750),
        new(WoodCoatKind.PenetratingEpoxy, "penetrating epoxy", 5, 8, 2, 4, 24, 10, 30, 1000),
        new(WoodCoatKind.RoofSilicone, "roof silicone", 1.2, 1.2, 2, 6, null, 5, 40, 5000),
    ];

    /// <summary>The one of a kind.</summary>
    public static WoodCoat Of(WoodCoatKind kind) => All.Single(c => c.Kind == kind);

    /// <summary>Marine varnish of one coat, ml/m2: what the steps of boards are worked out with.</summary>
    public static double VarnishMlPerM2 => 1000 / Of(WoodCoatKind.MarineVarnish).M2PerLitre;
}
