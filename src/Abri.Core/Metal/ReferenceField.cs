namespace Abri.Core.Metal;

/// <summary>A round spot of a reference field.</summary>
/// <param name="X">From its left edge, as a share of its side.</param>
/// <param name="Y">From its lower edge, as a share of its side.</param>
/// <param name="Radius">Radius, as a share of its side.</param>
public sealed record FieldSpot(double X, double Y, double Radius);

/// <summary>
/// A square field of which exactly a given share is covered by spots, for the eye to compare rust with: nobody guesses 1 % right without one.
/// </summary>
/// <param name="Percent">Share that is covered, %.</param>
/// <param name="Spots">The spots; none meets another or the edge.</param>
/// <remarks>
/// One spot a cell of a square grid, moved and sized without a pattern that the eye would see, then all scaled so that their areas add up to the
/// share. A field looks the same every time.
/// </remarks>
public sealed record ReferenceField(double Percent, IReadOnlyList<FieldSpot> Spots)
{
    /// <summary>Shares of the fields that are shown, %: those that tell the degrees of rusting apart.</summary>
    public static IReadOnlyList<double> Shares { get; } = [0.05, 0.5, 1, 8, 40];

    /// <summary>The fields that are shown.</summary>
    public static IReadOnlyList<ReferenceField> All { get; } = [.. Shares.Select(Of)];

    /// <summary>The greatest share that spots which do not meet can cover here, %.</summary>
    public const double MostPercent = 45;

    /// <summary>A field.</summary>
    /// <param name="percent">Share to be covered, % above 0 and up to <see cref="MostPercent"/>.</param>
    /// <exception cref="ArgumentOutOfRangeException">The share is none that can be covered.</exception>
    public static ReferenceField Of(double percent)
    {
        if (percent is not (> 0 and <= MostPercent))
            throw new ArgumentOutOfRangeException(nameof(percent), percent, $"A field covers more than 0 and up to {MostPercent} %.");
        int cells = percent switch
        {
            <= 0.1 => 3,
            <= 2 => 6,
            _ => 10,
        };
        // The denser, the more alike the spots have to be, so that each keeps within its cell.
        double uneven = percent > 20 ? 0.2 : 0.5;
        double[] sizes = [.. Enumerable.Range(1, cells * cells).Select(i => 1 + (uneven * ((2 * Mixed(i, 2)) - 1)))];
        double scale = Math.Sqrt(percent / 100 / (Math.PI * sizes.Sum(s => s * s)));
        double cell = 1.0 / cells;
        return new ReferenceField(
            percent,
            [
                .. sizes.Select(
                    (size, i) =>
                    {
                        double radius = size * scale,
                            room = Math.Max(0, (cell / 2) - radius) * 0.95;
                        return new FieldSpot(
                            ((i % cells) + 0.5) * cell + (room * ((2 * Mixed(i + 1, 3)) - 1)),
                            ((i / cells) + 0.5) * cell + (room * ((2 * Mixed(i + 1, 5)) - 1)),
                            radius
                        );
                    }
                ),
            ]
        );
    }

    /// <summary>A figure from 0 to 1 that follows from i alone and shows no pattern: the bits of a whole number, mixed.</summary>
    private static double Mixed(int i, int which)
    {
        uint x = ((uint)i * 2654435761) ^ ((uint)which * 2246822519);
        x = (x ^ (x >> 15)) * 2246822519;
        x = (x ^ (x >> 13)) * 3266489917;
        return (x ^ (x >> 16)) / (double)uint.MaxValue;
    }
}
