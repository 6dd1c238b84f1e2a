using Abri.Core.Floor;
using Abri.Core.Geometry;
using Abri.Core.Procedures;
using Abri.Core.Tests.Floor;
using Abri.Core.Work;

namespace Abri.Core.Tests.Procedures;

/// <summary>How bad wood of a floor is replaced.</summary>
public class ReplacementProcedureTests
{
    private static FloorJob Job(FloorSite site, Replacement replacement) => ReplacementProcedure.Of(site, replacement).Value!.Result;

    private static Probe Below(double t, WoodState wood) => new(ProbeOf.Member, new PanelPoint(1000, t), wood, null, Floors.Day, "");

    [Fact]
    public void Carrying_wood_comes_before_boards_and_boards_are_coated_before_they_go_in()
    {
        FloorSite site = Floors.Van([Below(-800, WoodState.Through), Below(-500, WoodState.Sound)]);
        FloorJob job = Job(site, Floors.Area(1180, 1300, -830, -600));
        Assert.Equal(
            [
                "floor-leak",
                "floor-below",
                "floor-mark",
                "floor-cut",
                "floor-lift",
                "floor-member-1",
                "floor-dry",
                "floor-timbers",
                "floor-boards",
                "floor-coat",
                "floor-fit",
                "floor-level",
                "floor-joint",
            ],
            job.Procedure.Steps.Select(s => s.Key)
        );
        WorkStep bearer = job.Procedure.Steps.Single(s => s.Key == "floor-member-1");
        Assert.Contains(Cautions.Propped, bearer.Cautions);
        // One end stays: one lap of four bolts.
        Assert.Equal(4, bearer.Consumables.Single(c => c.Material == Materials.Bolt).Amount);
        HoldPoint dry = Assert.Single(job.Procedure.Steps.Single(s => s.Key == "floor-dry").Holds);
        Assert.Equal((16.0, 16.0, 0.0, Unit.Percent), (dry.Wanted, dry.Less, dry.More, dry.Unit));
        HoldPoint saw = Assert.Single(job.Procedure.Steps.Single(s => s.Key == "floor-cut").Holds);
        Assert.Equal(19, saw.Wanted);
        Assert.Equal(24, job.Procedure.Steps.Single(s => s.Key == "floor-fit").After.Single().LagHours);
    }

    [Theory] // By hand: 2.5 x 18 = 45; a bearer of 20 below leaves 18 + 20 - 5 = 33, so 30
    [InlineData(60, 45)]
    [InlineData(20, 30)]
    public void Screws_never_go_through_a_bearer(double bearer, double expected)
    {
        FloorSite site = Floors.Van([]);
        site = site with { Members = [.. site.Members.Select(m => m with { DepthMm = bearer })] };
        Assert.Equal(expected, Job(site, Floors.Area(1180, 1300, -200, 200)).ScrewMm);
    }

    [Fact] // By hand: bearers at 350 and 1650 under the edges and at 1000 within, 576.5 wide: ceil(/150) + 1 = 5 twice, ceil(/300) + 1 = 3
    public void Screws_stand_closer_along_edges()
    {
        FloorSite site = Floors.Van([Floors.Sound(800, -700), Floors.Sound(1320, -700), Floors.Sound(1200, -400)]);
        FloorJob job = Job(site, Floors.Area(1100, 1200, -830, -530));
        FloorPiece piece = Assert.Single(job.Plan.Pieces);
        Assert.Equal((1299, 576.5), (piece.LengthMm, piece.WidthMm));
        // And two timbers of 590 under its inner edge: ceil(590 / 150) + 1 = 5 each.
        Assert.Equal(5 + 3 + 5 + 5 + 5, job.Screws);
    }

    [Fact]
    public void Tapes_are_read_at_both_ends_where_a_wall_runs_aslant()
    {
        FloorSite site = Floors.Van([]);
        site = site with { Panel = site.Panel with { Outline = [new(0, -830), new(4300, -830), new(4300, 830), new(300, 830)] } };
        string mark = Job(site, Floors.Area(900, 1000, -200, 200)).Procedure.Steps.Single(s => s.Key == "floor-mark").Do;
        Assert.Matches(@"Front: [\d.]+ mm and [\d.]+ mm from the front wall, end to end", mark);
    }

    [Fact] // By hand: four of about 2300 or 2000 x 830: one row a sheet of 1220, so four; two of 560 go side by side
    public void Sheets_and_timber_are_counted_so_that_they_are_enough()
    {
        double Sheets(Replacement replacement) =>
            Job(Floors.Van([]), replacement).Procedure.Consumables.Single(c => c.Material.Name.Contains("sheet", StringComparison.Ordinal)).Amount;
        Assert.Equal(4, Sheets(Floors.Area(0, 4300, -830, 830)));
        Assert.Equal(1, Sheets(Floors.Area(1180, 1300, -200, 200)));
        FloorSite site = Floors.Van([Below(-800, WoodState.Through), Below(-500, WoodState.Sound)]);
        FloorJob job = Job(site, Floors.Area(1180, 1300, -830, -600));
        // Cut at 330 from the end, lap 240; beside it timbers under the edge that hangs free.
        Consumable bearer = job.Procedure.Steps.Single(s => s.Key == "floor-member-1").Consumables[0];
        Assert.Equal(("Timber 60 x 60", 570.0), (bearer.Material.Name, bearer.Amount));
    }

    [Fact]
    public void Where_a_rule_blocks_it_nothing_is_sawn_first()
    {
        FloorSite bare = Floors.Van([]) with { Members = [] };
        WorkStep first = Job(bare, Floors.Area(1180, 1300, -200, 200)).Procedure.Steps[0];
        Assert.Equal("floor-mend", first.Key);
        Assert.StartsWith("No bearer is drawn: Look from below", first.Do, StringComparison.Ordinal);
        Assert.Single(first.Holds);
        Assert.Equal("floor-leak", Job(Floors.Van([]), Floors.Area(1180, 1300, -200, 200)).Procedure.Steps[0].Key);
    }
}
