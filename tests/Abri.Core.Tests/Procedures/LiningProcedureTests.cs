using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Linings;
using Abri.Core.Openings;
using Abri.Core.Procedures;
using Abri.Core.Work;

namespace Abri.Core.Tests.Procedures;

/// <summary>How a lining is made.</summary>
public class LiningProcedureTests
{
    private static LiningJob Job(double gap, double thick = 6, params LinedOpening[] openings) =>
        LiningProcedure
            .Of(
                new LiningSite(Roofs.Flat(), [], openings, []),
                new Lining(
                    "Ceiling",
                    new PanelBox(0, 2400, -600, 600).Corners,
                    NewSheet.Usual(BoardMaterial.BirchPly, thick),
                    Grain.Lengthways,
                    gap,
                    LiningLies.Bent,
                    15,
                    LiningState.Planned,
                    ""
                )
            )
            .Value!.Result;

    private static LinedOpening Vent =>
        new("Vent", new PanelPoint(1000, 0), 0, Roofs.Vent() with { NeedsPower = true }, OpeningState.Fitted, null, null);

    [Fact]
    public void Holes_are_smaller_first_marked_from_outside_and_sealed_before_the_board_goes_up()
    {
        Procedure procedure = Job(25, 6, Vent).Procedure;
        Assert.Equal(
            [
                "lining-behind",
                "lining-frame",
                "lining-boards",
                "lining-first",
                "lining-offer",
                "lining-hole",
                "lining-seal",
                "lining-fix",
                "lining-trim",
            ],
            procedure.Steps.Select(s => s.Key)
        );
        WorkStep Step(string key) => procedure.Steps.Single(s => s.Key == key);
        Assert.Contains("Cables out through the lining for Vent.", Step("lining-behind").Do);
        Assert.Contains(
            "Vent in Ceiling: from 815 to 1185 mm from its front edge, from 415 to 785 mm from its right edge, corners 5 mm.",
            Step("lining-first").Do
        );
        Assert.Contains("come out again", Step("lining-offer").Do);
        HoldPoint depth = Assert.Single(Step("lining-trim").Holds);
        Assert.Equal((31.8, 3.0), (depth.Wanted, depth.More));
        Assert.Equal(2, Step("lining-offer").People);
        // No hole, no steps about holes.
        Assert.DoesNotContain(Job(25).Procedure.Steps, s =>
            s.Key is "lining-frame" or "lining-first" or "lining-offer" or "lining-hole" or "lining-trim"
        );
    }

    [Theory] // By hand: 6 + 20 = 26 asks for 30; it may be 6 + gap - 5 at most, in steps of 5
    [InlineData(25, 25)]
    [InlineData(40, 30)]
    [InlineData(10, 10)]
    [InlineData(3, 0)]
    public void No_screw_reaches_the_skin(double gap, double screw)
    {
        LiningJob job = Job(gap);
        Assert.Equal(screw, job.ScrewMm);
        Assert.Equal(screw == 0, job.Screws == 0);
        WorkStep fix = job.Procedure.Steps.Single(s => s.Key == "lining-fix");
        Assert.Equal(screw == 0, fix.Do.StartsWith("No screw ends before the skin", StringComparison.Ordinal));
        Assert.Equal(screw == 0 ? 0 : 1, fix.Consumables.Count);
    }
}
