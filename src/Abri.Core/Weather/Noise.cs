namespace Abri.Core.Weather;

/// <summary>Numbers that look drawn and follow from what they are named by: the same in every run and on every machine.</summary>
/// <remarks>The finishing steps of SplitMix64 (Steele, Lea and Flood 2014) over the name; normal numbers by Box and Muller.</remarks>
internal static class Noise
{
    /// <summary>A number from 0 up to 1.</summary>
    public static double Uniform(uint seed, int stream, long index)
    {
        ulong z = unchecked((seed * 0x9E3779B97F4A7C15UL) + ((ulong)stream * 0xD1B54A32D192ED03UL) + ((ulong)index * 0x8CB92BA72F3D8DD7UL));
        z = unchecked((z ^ (z >> 30)) * 0xBF58476D1CE4E5B9UL);
        z = unchecked((z ^ (z >> 27)) * 0x94D049BB133111EBUL);
        z ^= z >> 31;
        z = unchecked((z + 0x9E3779B97F4A7C15UL) * 0xBF58476D1CE4E5B9UL);
        z ^= z >> 29;
        return (z >> 11) * (1.0 / (1UL << 53));
    }

    /// <summary>A normal number with mean 0 and standard deviation 1.</summary>
    public static double Normal(uint seed, int stream, long index) =>
        Math.Sqrt(-2 * Math.Log(1 - Uniform(seed, stream, 2 * index))) * Math.Cos(2 * Math.PI * Uniform(seed, stream, (2 * index) + 1));

    /// <summary>Share of normal numbers that lie below one: Abramowitz and Stegun 26.2.17, error below 1e-7; from memory.</summary>
    public static double NormalBelow(double x)
    {
        if (x < 0)
            return 1 - NormalBelow(-x);
        double t = 1 / (1 + (0.2316419 * x));
        double tail = t * (0.319381530 + (t * (-0.356563782 + (t * (1.781477937 + (t * (-1.821255978 + (t * 1.330274429))))))));
        return 1 - (tail * Math.Exp(-x * x / 2) / Math.Sqrt(2 * Math.PI));
    }

    /// <summary>Another seed, by a number.</summary>
    public static uint Mixed(uint seed, uint by) => unchecked((uint)(Uniform(seed, 7, by) * uint.MaxValue));
}
