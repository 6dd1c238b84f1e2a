using Abri.Core.Sealing;

namespace Abri.Core.Tests.Sealing;

public sealed class SealedOnTests
{
    private static Joint With(params (int Day, JointEventKind Kind)[] events) =>
        new(
            "Roof seam",
            JointKind.Seam,
            1000,
            Substrate.PaintedMetal,
            Substrate.PaintedMetal,
            3,
            0,
            Sun: true,
            StandingWater: false,
            RemovableLater: false,
            PaintedOver: false,
            Structural: false,
            Unbroken: true,
            Of: null,
            ProductId: null,
            [.. events.Select(e => new JointEvent(new DateOnly(2031, 5, e.Day), e.Kind, null, "", ""))],
            ""
        );

    [Fact]
    public void A_joint_that_nobody_touched_stands_open() => Assert.Null(JointHistory.SealedOn(With()));

    [Fact]
    public void The_last_sealing_counts() =>
        Assert.Equal(
            new DateOnly(2031, 5, 9),
            JointHistory.SealedOn(With((2, JointEventKind.Sealed), (9, JointEventKind.Sealed), (10, JointEventKind.Waxed)))
        );

    [Fact]
    public void What_was_stripped_stands_open_until_it_is_sealed_again()
    {
        Assert.Null(JointHistory.SealedOn(With((2, JointEventKind.Sealed), (5, JointEventKind.Stripped))));
        Assert.Equal(
            new DateOnly(2031, 5, 6),
            JointHistory.SealedOn(With((2, JointEventKind.Sealed), (5, JointEventKind.Stripped), (6, JointEventKind.Sealed)))
        );
    }

    [Fact]
    public void Paint_alone_seals_nothing() => Assert.Null(JointHistory.SealedOn(With((2, JointEventKind.Painted))));
}
