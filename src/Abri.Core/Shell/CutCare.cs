using Abri.Core.Declared;

namespace Abri.Core.Shell;

/// <summary>How careful somebody is before a cut.</summary>
/// <param name="Slow">Whether every step is taken to be slow, as the first time; else as a rule.</param>
/// <param name="MostRainPercent">Chance of rain in an hour up to which it counts as dry, %.</param>
public sealed record CutCare(bool Slow, [Within(1, 50, "The chance of rain", "%")] double MostRainPercent)
{
    /// <summary>Where nobody says otherwise: slow, and one chance in five. Assumption, on the safe side.</summary>
    public static CutCare Usual { get; } = new(true, 20);
}
