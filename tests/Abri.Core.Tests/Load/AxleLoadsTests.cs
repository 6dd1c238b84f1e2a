using Abri.Core.Load;
using CsCheck;
using MathNet.Numerics.LinearAlgebra;

namespace Abri.Core.Tests.Load;

public class AxleLoadsTests
{
    private static readonly Gen<double> Kg = Gen.Double[1, 800];
    private static readonly Gen<LoadPlace> Place = Gen.Select(Gen.Double[-2000, 8000], Gen.Double[-1000, 1000], Gen.Double[-300, 2000])
        .Select(p => new LoadPlace(p.Item1, p.Item2, p.Item3));
    private static readonly Gen<PlacedMass[]> Masses = Gen.Select(Kg, Place).Select((kg, at) => new PlacedMass("x", kg, at)).Array[1, 30];
    private static readonly Gen<Gear> Gears = Gen.Select(Gen.Double[-3000, 500], Gen.Double[1800, 6000], Gen.Double[1200, 2300], Gen.Bool)
        .Select(g => new Gear(g.Item1, g.Item2, g.Item3, g.Item4));

    [Fact] // By hand: 100 kg at 0.6 of the wheelbase behind the front axle
    public void A_mass_is_shared_by_the_lever()
    {
        OnAxles on = AxleLoads.Of(new Gear(-500, 3000, 1600), [new PlacedMass("Stove", 100, new LoadPlace(1300, 400, 250))]).Result;
        Assert.Equal((100, 60, 40), (on.TotalKg, Math.Round(on.RearKg, 9), Math.Round(on.FrontKg, 9)));
        // 400 of 1600 to the left of the middle: three quarters of it stand on the left wheels.
        Assert.Equal((75, 25), (Math.Round(on.LeftKg!.Value, 9), Math.Round(on.RightKg!.Value, 9)));
        Assert.Equal(new LoadPlace(1300, 400, 250), on.Centre);
    }

    [Theory] // By hand: what hangs over an axle lifts the other one
    [InlineData(4000, 150, -50)]
    [InlineData(-1250, -25, 125)]
    [InlineData(1000, 50, 50)]
    public void What_hangs_over_lifts_the_other_axle(double xMm, double rear, double front)
    {
        OnAxles on = AxleLoads.Of(new Gear(-500, 3000), [new PlacedMass("Rack", 100, new LoadPlace(xMm, 0, 0))]).Result;
        Assert.Equal((rear, front), (Math.Round(on.RearKg, 9), Math.Round(on.FrontKg, 9)));
        Assert.Null(on.LeftKg);
    }

    /// <summary>
    /// Held against the equilibrium of a body on three supports, solved by MathNet: forces up, moments about both level axes. A trailer hangs on its
    /// coupling in the middle and stands on two wheels. A vehicle's front axle is taken as a support in the middle for the axle loads.
    /// </summary>
    [Fact]
    public void Three_supports_in_balance_carry_the_same() =>
        Gen.Select(Gears, Masses)
            .Holds(
                (gear, masses) =>
                {
                    OnAxles on = AxleLoads.Of(gear, masses).Result;
                    double rear = gear.FrontAtMm + gear.WheelbaseMm,
                        half = gear.TrackMm!.Value / 2;
                    var balance = Matrix<double>.Build.DenseOfRowArrays([1, 1, 1], [gear.FrontAtMm, rear, rear], [0, half, -half]);
                    Vector<double> carried = balance.Solve(
                        Vector<double>.Build.Dense([masses.Sum(m => m.Kg), masses.Sum(m => m.Kg * m.At.XMm), masses.Sum(m => m.Kg * m.At.YMm)])
                    );
                    Assert.Equal(carried[0], on.FrontKg, 6);
                    Assert.Equal(carried[1] + carried[2], on.RearKg, 6);
                    // How far a vehicle leans is told by both sides together, whichever axle takes it.
                    Assert.Equal(carried[1] - carried[2], on.LeftKg!.Value - on.RightKg!.Value, 6);
                    if (gear.IsTrailer)
                        Assert.Equal(carried[1], on.LeftKg.Value, 6);
                },
                cases: 300
            );

    [Fact]
    public void What_is_taken_out_and_put_back_changes_nothing_and_a_shift_moves_the_lever() =>
        Gen.Select(Gears, Masses, Place)
            .Holds(
                (gear, masses, at) =>
                {
                    OnAxles before = AxleLoads.Of(gear, masses).Result,
                        same = AxleLoads.Of(gear, [.. masses, new PlacedMass("a", 50, at), new PlacedMass("b", -50, at)]).Result;
                    Assert.Equal(before.RearKg, same.RearKg, 6);
                    PlacedMass first = masses[0];
                    OnAxles moved = AxleLoads.Of(gear, [first with { At = first.At with { XMm = first.At.XMm + 300 } }, .. masses[1..]]).Result;
                    Assert.Equal(first.Kg * 300 / gear.WheelbaseMm, moved.RearKg - before.RearKg, 6);
                }
            );

    [Fact]
    public void Nothing_aboard_has_no_centre() =>
        Assert.Null(AxleLoads.Of(new Gear(0, 3000), [new PlacedMass("a", 5, default), new PlacedMass("b", -5, default)]).Result.Centre);

    [Theory] // 2 kg/m2 over 10 m2 are 20 kg; a quarter of it 5 kg
    [InlineData(10, 2, 100, 20, 5, "gives most of the effect with 5 kg")]
    [InlineData(10, 2, 25, 5, 5, "5 kg: in the middle of each field")]
    [InlineData(4, 3.2, 50, 6.4, 3.2, "with 3.2 kg")]
    public void Deadening_weighs_what_its_sheet_weighs(double m2, double kgM2, double percent, double kg, double enough, string said)
    {
        DeadeningPlan plan = Deadening.Of(new DeadeningQuestion(m2, kgM2, percent)).Result;
        Assert.Equal((kg, enough), (Math.Round(plan.Kg, 9), Math.Round(plan.EnoughKg, 9)));
        Assert.Contains(said, plan.Verdict, StringComparison.Ordinal);
    }
}
