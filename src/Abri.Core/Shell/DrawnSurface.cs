using System.Runtime.CompilerServices;
using Abri.Core.Geometry;

namespace Abri.Core.Shell;

/// <summary>
/// A surface from its description: an arc along and an arc across, with swages of trapezoid section laid on it.
/// </summary>
/// <remarks>
/// The arcs are added, which for roofs (rise small against radius) is the surface swept by one along the other. A swage rises over its flank from
/// its edge to its full height; the flank runs round its ends too. Where swages meet, the one that departs further from the skin counts, so that a
/// rib crossing another does not stand twice as high.
/// </remarks>
/// <example>Radius 3000 across: 225 mm off the crown the skin lies 8.45 mm lower.</example>
public sealed class DrawnSurface : Surface
{
    private readonly double? radiusAlongMm,
        radiusAcrossMm;
    private readonly PanelPoint crown;
    private readonly Swage[] swages;

    /// <summary>The surface of a panel with its members; those that are not swages do not count.</summary>
    public DrawnSurface(Panel panel, IReadOnlyList<Member> members)
    {
        (radiusAlongMm, radiusAcrossMm, crown) = (panel.ArcRadiusAlongMm, panel.ArcRadiusAcrossMm, panel.Box.Centre);
        swages = [.. members.Where(m => m.Role == MemberRole.Pressed).Select(m => new Swage(m))];
    }

    /// <inheritdoc/>
    public override double HeightAt(PanelPoint place)
    {
        double stands = 0;
        foreach (Swage swage in swages)
            stands = Further(stands, swage.HeightAt(place));
        return stands - FallMm(radiusAlongMm, place.SMm - crown.SMm) - FallMm(radiusAcrossMm, place.TMm - crown.TMm);
    }

    /// <inheritdoc/>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    public override double[] Sample(SurfaceGrid grid)
    {
        var heights = new double[grid.Columns * grid.Rows];
        double[] t = [.. Enumerable.Range(0, grid.Rows).Select(grid.TMm)];
        foreach (Swage swage in swages)
            Lay(swage, grid, t, heights);
        double[] fallAcross = [.. t.Select(x => FallMm(radiusAcrossMm, x - crown.TMm))];
        for (int column = 0; column < grid.Columns; column++)
        {
            double fallAlong = FallMm(radiusAlongMm, grid.SMm(column) - crown.SMm);
            for (int row = 0; row < grid.Rows; row++)
                heights[(column * grid.Rows) + row] -= fallAlong + fallAcross[row];
        }
        return heights;
    }

    /// <summary>Only the places within a swage's rectangle are asked about it.</summary>
    [MethodImpl(MethodImplOptions.AggressiveOptimization)]
    private static void Lay(Swage swage, SurfaceGrid grid, double[] t, double[] heights)
    {
        for (int column = 0; column < grid.Columns; column++)
        {
            double s = grid.SMm(column);
            if (s < swage.Box.SMinMm || s > swage.Box.SMaxMm)
                continue;
            int first = Array.BinarySearch(t, swage.Box.TMinMm);
            for (int row = first < 0 ? ~first : first; row < grid.Rows && t[row] <= swage.Box.TMaxMm; row++)
            {
                ref double height = ref heights[(column * grid.Rows) + row];
                height = Further(height, swage.HeightAt(new PanelPoint(s, t[row])));
            }
        }
    }

    private static double Further(double a, double b) => Math.Abs(b) > Math.Abs(a) ? b : a;

    /// <summary>Fall of an arc at a distance from its crown, mm.</summary>
    private static double FallMm(double? radiusMm, double offMm) => radiusMm is { } r ? r - Math.Sqrt(Math.Max(0, (r * r) - (offMm * offMm))) : 0;

    private sealed class Swage
    {
        private readonly IReadOnlyList<PanelPoint> outline;
        private readonly double heightMm,
            flankMm;
        private readonly bool isBox;

        public Swage(Member member)
        {
            outline = MemberOutline.Of(member.Footprint);
            Box = PanelBox.Of(outline);
            (heightMm, flankMm) = (-member.DepthMm, member.FlankMm);
            isBox = Math.Abs(Math.Abs(Outlines.SignedAreaMm2(outline)) - Box.AreaMm2) < 1e-6;
        }

        public PanelBox Box { get; }

        public double HeightAt(PanelPoint p)
        {
            if (!Box.Holds(p))
                return 0;
            double inMm =
                isBox ? Math.Min(Math.Min(p.SMm - Box.SMinMm, Box.SMaxMm - p.SMm), Math.Min(p.TMm - Box.TMinMm, Box.TMaxMm - p.TMm))
                : Outlines.Encloses(outline, p) ? Outlines.DistanceToEdgeMm(outline, p)
                : -1;
            if (inMm < 0)
                return 0;
            return flankMm <= 0 ? heightMm : heightMm * Math.Min(1, inMm / flankMm);
        }
    }
}
