namespace Abri.Core.Metal;

/// <summary>How much of a painted area rusts: ISO 4628-3, from memory.</summary>
/// <param name="Ri">Degree of rusting, 0 to 5.</param>
/// <param name="UpToPercent">The greatest share of the area that it stands for, %.</param>
public sealed record RustDegree(int Ri, double UpToPercent)
{
    internal static readonly Source Source = new("Degree of rusting Ri by rusted area: ISO 4628-3", SourceKind.FromMemory);

    /// <summary>The degrees. The standard's pictures show these shares; the last shows 40 to 50 %, and what is above belongs to it.</summary>
    public static IReadOnlyList<RustDegree> All { get; } = [new(0, 0), new(1, 0.05), new(2, 0.5), new(3, 1), new(4, 8), new(5, 100)];

    /// <summary>The degree of a share: that of the first picture that shows at least as much, which errs on the worse side.</summary>
    /// <param name="percent">Rusted share of the area, % from 0 to 100.</param>
    public static RustDegree Of(double percent) => All.First(d => percent <= d.UpToPercent);
}
