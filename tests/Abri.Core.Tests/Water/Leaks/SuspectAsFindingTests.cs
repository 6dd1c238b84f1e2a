using Abri.Core.Shell;
using Abri.Core.Water.Leaks;

namespace Abri.Core.Tests.Water.Leaks;

public sealed class SuspectAsFindingTests
{
    [Theory]
    [InlineData(SuspectKind.Hole, FindingKind.OpenHole)]
    [InlineData(SuspectKind.Screw, FindingKind.OpenHole)]
    [InlineData(SuspectKind.SpotWeld, FindingKind.OpenHole)]
    [InlineData(SuspectKind.Grommet, FindingKind.MissingSeal)]
    [InlineData(SuspectKind.DoorSeal, FindingKind.MissingSeal)]
    [InlineData(SuspectKind.FloorPlug, FindingKind.MissingSeal)]
    [InlineData(SuspectKind.CrackedPlastic, FindingKind.CrackInPlastic)]
    [InlineData(SuspectKind.ClipRow, FindingKind.LooseClip)]
    [InlineData(SuspectKind.BackedUpDrain, FindingKind.BlockedDrain)]
    [InlineData(SuspectKind.Seam, FindingKind.OpenSeam)]
    [InlineData(SuspectKind.Gutter, FindingKind.OpenSeam)]
    [InlineData(SuspectKind.Windscreen, FindingKind.OpenSeam)]
    public void A_suspect_is_written_down_as_what_one_would_look_for(SuspectKind suspect, FindingKind finding) =>
        Assert.Equal(finding, OfferedSuspects.FindingOf(suspect));
}
