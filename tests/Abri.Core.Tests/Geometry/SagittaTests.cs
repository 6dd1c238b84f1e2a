using Abri.Core.Geometry;
using CsCheck;

namespace Abri.Core.Tests.Geometry;

public class SagittaTests
{
    [Theory] // Worked by hand: 3000 - sqrt(3000^2 - 225^2)
    [InlineData(3000, 450, 8.45)]
    [InlineData(5000, 450, 5.07)]
    public void The_rise_of_a_skin_over_a_frame(double radius, double chord, double rise)
    {
        Assert.Equal(rise, Arc(radius, chord, null).RiseMm, 2);
        Assert.Equal(chord, Arc(radius, null, Arc(radius, chord, null).RiseMm).ChordMm, 6);
        Assert.Equal(radius, Arc(null, chord, Arc(radius, chord, null).RiseMm).RadiusMm, 6);
    }

    [Fact] // Checked against the circle's own geometry: the middle of the arc and both ends lie on one circle
    public void Ends_and_middle_of_the_arc_lie_on_the_circle() =>
        Gen.Select(Gen.Double[50, 5000], Gen.Double[0.01, 0.99])
            .Holds(
                (chord, share) =>
                {
                    ArcFigures arc = Arc(null, chord, share * chord / 2);
                    // Centre below the middle of the chord.
                    double down = arc.RadiusMm - arc.RiseMm;
                    bool onCircle = Math.Abs(Math.Sqrt((down * down) + (chord * chord / 4)) - arc.RadiusMm) < 1e-6 * arc.RadiusMm;
                    return onCircle && arc.ArcMm > chord && arc.ArcMm < chord * Math.PI / 2;
                }
            );

    [Theory]
    [InlineData(100d, 201d, null, "arc-impossible")]
    [InlineData(null, 100d, 51d, "arc-impossible")]
    [InlineData(100d, null, 101d, "arc-impossible")]
    [InlineData(100d, null, null, "arc-two-figures")]
    [InlineData(100d, 100d, 100d, "arc-two-figures")]
    public void Figures_that_no_arc_has_are_refused(double? radius, double? chord, double? rise, string code)
    {
        Assert.False(Sagitta.Of(radius, chord, rise).IsOk(out _, out Problem? problem));
        Assert.Equal(code, problem.Code);
    }

    private static ArcFigures Arc(double? radius, double? chord, double? rise)
    {
        Assert.True(Sagitta.Of(radius, chord, rise).IsOk(out var worked, out var problem), problem?.Message);
        return worked.Result;
    }
}
