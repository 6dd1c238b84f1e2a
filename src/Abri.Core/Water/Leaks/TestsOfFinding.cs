using Abri.Core.Geometry;
using Abri.Core.Shell;

namespace Abri.Core.Water.Leaks;

/// <summary>What water tests said of a finding: the last one that wetted it, since it was seen.</summary>
/// <remarks>A test speaks of a joint that lay in the sprayed zone. Dry, it speaks of all of them; wet, of this one alone only where all others were
/// covered.</remarks>
/// <example>Rear seam sprayed for 5 minutes, dry inside: the seam is still open, but it is not what wets the ceiling.</example>
public static class TestsOfFinding
{
    /// <summary>The last such test, or null.</summary>
    /// <param name="finding">The finding.</param>
    /// <param name="panel">Its panel.</param>
    /// <param name="observations">What was looked at, anywhere on the vehicle.</param>
    public static TestedJoint? Of(Finding finding, Panel panel, IEnumerable<Observation> observations) =>
        Of(finding.Shape == FindingShape.Area ? [PanelBox.Of(finding.Points).Centre] : finding.Points, finding.SeenAt, panel, observations);

    /// <summary>The last test that wetted all of some places since a time, or null.</summary>
    /// <param name="points">The places, or the points of a line.</param>
    /// <param name="since">Since when, UTC.</param>
    /// <param name="panel">Their panel.</param>
    /// <param name="observations">What was looked at, anywhere on the vehicle.</param>
    internal static TestedJoint? Of(IReadOnlyList<PanelPoint> points, DateTimeOffset since, Panel panel, IEnumerable<Observation> observations)
    {
        Observation? last = observations
            .Where(o =>
                o is { Kind: ObservationKind.WaterTest, Spray: not null }
                && o.SeenAt >= since
                && o.SaysWet is { } wet
                && (!wet || o.Spray.OthersMasked)
            )
            .Where(o => o.Spray!.Panel == panel.Kind && Wetting.Samples(points).All(o.Spray.Zone.Holds))
            .MaxBy(o => o.SeenAt);
        return last is null ? null : new TestedJoint(last.SaysWet!.Value, DateOnly.FromDateTime(last.SeenAt.UtcDateTime));
    }
}
