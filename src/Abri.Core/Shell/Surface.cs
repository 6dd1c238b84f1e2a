using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>
/// The height of a panel's skin over its datum plane, as drawn (curvature and swages) or as measured (sections).
/// </summary>
/// <remarks>
/// Heights count outwards in mm from the plane through the crown: a curved roof falls below 0 towards its edges, swages stand above it or sink
/// below. Units throughout: mm.
/// </remarks>
public abstract class Surface
{
    /// <summary>The surface that counts for a panel: measured where the panel says so, as drawn otherwise.</summary>
    public static Surface Of(Panel panel, IReadOnlyList<Member> members) =>
        panel is { Surface: SurfaceSource.Measured, Sections: { Count: > 0 } sections }
            ? new MeasuredSurface(sections)
            : new DrawnSurface(panel, members);

    /// <summary>The height at a place, mm.</summary>
    public abstract double HeightAt(PanelPoint place);

    /// <summary>The heights over a grid, mm: column by column along s, each from the lowest t.</summary>
    public abstract double[] Sample(SurfaceGrid grid);
}
