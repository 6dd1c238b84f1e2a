using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Openings;

/// <summary>Where an inner rib is cut back to make room for the inner frame or the spacer ring.</summary>
/// <param name="Rib">Name of the rib.</param>
/// <param name="From">One end of the cut across it.</param>
/// <param name="To">The other end.</param>
/// <param name="BackMm">How far from the cut-out's edge, mm.</param>
/// <remarks>Common practice: about 38 mm back from the cut-out, or to the inner frame's edge where that reaches further; a guard strip goes behind
/// the rib so that the blade does not reach the skin. Ribs before the skin, or skin before the ribs: see docs/schools.md. Pillars and marked
/// structure are never cut and give no line.</remarks>
/// <example>A rib that runs into a cut-out from below, without an inner frame: its cut lies 38 mm below the edge.</example>
public sealed record RibTrim(string Rib, PanelPoint From, PanelPoint To, double BackMm)
{
    /// <summary>How far ribs are cut back, mm: common practice.</summary>
    public const double UsualMm = 38;

    /// <summary>The cuts on all secondary ribs that reach into the cut-out.</summary>
    internal static IReadOnlyList<RibTrim> Of(Ground ground, FrameOnSkin skin)
    {
        if (ground.Site.RibInTheWay == RibInTheWay.Keep)
            return [];
        RoundedRectangle cutOut = ground.Fitting.CutOut;
        PanelBox cut = skin.BoxOf(cutOut.WidthMm, cutOut.HeightMm);
        PanelBox room = skin.BoxOf(
            Math.Max(cutOut.WidthMm + (2 * UsualMm), ground.Fitting.Halves?.InnerFrame?.WidthMm ?? 0),
            Math.Max(cutOut.HeightMm + (2 * UsualMm), ground.Fitting.Halves?.InnerFrame?.HeightMm ?? 0)
        );
        var trims = new List<RibTrim>();
        foreach (Obstacle rib in ground.Standing.Where(o => o.Member.Role == MemberRole.Secondary && Clearances.Crosses(cut, o)))
        {
            PanelBox box = rib.Box;
            bool alongT = box.HeightMm >= box.WidthMm;
            IEnumerable<(double At, double Back)> ends = alongT
                ? new[]
                {
                    (room.TMinMm, skin.TapeMm(false, room.TMinMm, cut.TMinMm)),
                    (room.TMaxMm, skin.TapeMm(false, cut.TMaxMm, room.TMaxMm)),
                }.Where(e => e.Item1 > box.TMinMm && e.Item1 < box.TMaxMm)
                : new[]
                {
                    (room.SMinMm, skin.TapeMm(true, room.SMinMm, cut.SMinMm)),
                    (room.SMaxMm, skin.TapeMm(true, cut.SMaxMm, room.SMaxMm)),
                }.Where(e => e.Item1 > box.SMinMm && e.Item1 < box.SMaxMm);
            trims.AddRange(
                ends.Select(e =>
                    alongT
                        ? new RibTrim(rib.Member.Name, new PanelPoint(box.SMinMm, e.At), new PanelPoint(box.SMaxMm, e.At), e.Back)
                        : new RibTrim(rib.Member.Name, new PanelPoint(e.At, box.TMinMm), new PanelPoint(e.At, box.TMaxMm), e.Back)
                )
            );
        }
        return trims;
    }
}
