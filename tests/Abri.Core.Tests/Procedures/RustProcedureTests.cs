using Abri.Core.Geometry;
using Abri.Core.Metal;
using Abri.Core.Procedures;
using Abri.Core.Work;
using CsCheck;

namespace Abri.Core.Tests.Procedures;

public class RustProcedureTests
{
    private static readonly RustSpot Pitted = new(RustGrade.FewPits, false, 1, 0.95, 0.4, 0, false, false, true, false, []);

    private static RustPlan Planned(RustSpot spot, double length = 150, double width = 80, double percent = 50, double airC = 20) =>
        RustProcedure.Of(new RustWork(spot, length, width, airC, percent), LengthFormat.Millimetres).Value!.Result;

    private static string[] Keys(RustPlan plan) => [.. plan.Procedure.Steps.Select(s => s.Key)];

    [Fact]
    public void Pits_are_converted_and_bright_steel_never_is()
    {
        Assert.Equal(["rust-wash", "rust-strip", "rust-clean", "rust-convert", "rust-prime", "rust-colour"], Keys(Planned(Pitted)));
        Assert.DoesNotContain("rust-convert", Keys(Planned(Pitted with { Grade = RustGrade.Begun })));
        Assert.DoesNotContain("rust-convert", Keys(Planned(Pitted with { LeftMm = 0.5 })));
    }

    [Fact]
    public void A_patch_opens_the_shell_and_closes_it_and_wax_comes_last()
    {
        RustPlan plan = Planned(Pitted with { LeftMm = 0.5, Pocket = true });
        Assert.Equal(
            ["rust-wash", "rust-strip", "rust-cut", "rust-clean", "rust-prime", "rust-patch", "rust-seal", "rust-colour", "water-test", "rust-wax"],
            Keys(plan)
        );
        Assert.Equal(ShellChange.Opens, plan.Procedure.Steps[2].Shell);
        Assert.Equal(ShellChange.Closes, plan.Procedure.Steps[5].Shell);
        // 150 x 80, cut back 20, lap 25: 240 x 170.
        Assert.Contains("240 mm by 170 mm", plan.Procedure.Steps[5].Do);
        Assert.Contains("190 mm by 120 mm", plan.Procedure.Steps[2].Do);
        Assert.Equal(plan.Patch!.Rivets!.Buy, plan.Procedure.Consumables.Single(c => c.Material.Kind == MaterialKind.Fastener).Amount);
    }

    [Fact]
    public void A_plate_goes_over_treated_rust_and_opens_nothing()
    {
        RustPlan plan = Planned(Pitted with { LeftMm = 0.8, Carries = true });
        Assert.Contains("rust-convert", Keys(plan));
        Assert.Contains("200 mm by 130 mm", plan.Procedure.Steps.Single(s => s.Key == "rust-patch").Do);
        Assert.All(plan.Procedure.Steps, s => Assert.Equal(ShellChange.None, s.Shell));
    }

    [Fact]
    public void What_is_for_a_workshop_is_cleaned_and_protected_and_hidden_by_nothing()
    {
        RustPlan plan = Planned(Pitted with { Structure = true, HoleMm = 30 });
        Assert.Equal(["rust-wash", "rust-strip", "rust-protect"], Keys(plan));
        Assert.Contains("by hand", plan.Procedure.Steps[1].Do);
        Assert.DoesNotContain(plan.Procedure.Consumables, c => c.Material.Id is "putty" or "seam-sealer" or "top-coat");
    }

    [Fact]
    public void What_was_not_measured_is_measured_and_nothing_else_is_planned()
    {
        RustPlan plan = Planned(Pitted with { LeftMm = null });
        Assert.Equal(["rust-wash", "rust-strip", "rust-measure"], Keys(plan));
        Assert.Equal(Unit.Mm, plan.Procedure.Steps[2].Holds[0].Unit);
    }

    [Theory]
    [InlineData(49, 8)]
    [InlineData(50, 4)]
    [InlineData(69, 4)]
    [InlineData(70, 2)]
    [InlineData(95, 2)]
    public void Bright_steel_is_primed_the_sooner_the_wetter_the_air(double percent, double hours)
    {
        Assert.Equal(hours, RustProcedure.PrimeWithinHours(percent));
        Assert.StartsWith($"Within {hours} h", Planned(Pitted, percent: percent).Procedure.Steps.Single(s => s.Key == "rust-prime").Do);
    }

    [Fact] // The rules of the trade that hold whatever was found
    public void Grease_comes_off_first_swarf_before_paint_sealer_between_primer_and_colour_and_wax_last() =>
        (
            from grade in Gen.Int[0, 3]
            from f in Gen.Bool.Array[5]
            from left in Gen.Double[0.3, 1].Nullable()
            from hole in Gen.Double[-20, 40]
            from length in Gen.Double[20, 2000]
            select (new RustSpot((RustGrade)grade, f[0], 1, left, 5, Math.Max(0, hole), f[1], f[2], f[3], f[4], []), length)
        ).Holds(x =>
        {
            RustPlan plan = Planned(x.Item1, x.length, airC: 17.3);
            string[] keys = Keys(plan);
            int At(string key) => Array.IndexOf(keys, key);
            Assert.Equal((0, 1), (At("rust-wash"), At("rust-strip")));
            if (At("rust-prime") < 0)
                return;
            Assert.InRange(At("rust-clean"), 2, At("rust-prime") - 1);
            Assert.True(At("rust-colour") > At("rust-prime"));
            if (At("rust-seal") >= 0)
                Assert.InRange(At("rust-seal"), At("rust-prime") + 1, At("rust-colour") - 1);
            if (At("rust-wax") >= 0)
                Assert.Equal(keys.Length - 1, At("rust-wax"));
            Assert.All(plan.Procedure.Consumables, c => Assert.True(c.Amount > 0, c.Material.Id));
            Assert.All(plan.Procedure.Steps, s => Assert.Equal(Math.Ceiling(s.WaitHours), s.WaitHours));
            // A shell that was opened is closed.
            Assert.Equal(
                plan.Procedure.Steps.Count(s => s.Shell == ShellChange.Opens),
                plan.Procedure.Steps.Count(s => s.Shell == ShellChange.Closes)
            );
        });

    [Fact]
    public void Sheet_that_rivets_do_not_hold_is_told_at_the_sheet() =>
        Assert.Equal(
            ("sheet-too-thick", "/work/spot/sheetMm"),
            RustProcedure.Of(new RustWork(Pitted with { SheetMm = 4, LeftMm = 1 }, 100, 100), LengthFormat.Millimetres).Problem is { } p
                ? (p.Code, p.Pointer)
                : default
        );

    [Theory]
    [InlineData(Nearby.Fuel)]
    [InlineData(Nearby.BrakeLine)]
    public void Near_fuel_and_brake_lines_nothing_sparks_and_nothing_is_cut_before_they_are_away(Nearby near)
    {
        RustPlan plan = Planned(Pitted with { LeftMm = 0.5, Near = [near] });
        WorkStep Of(string key) => plan.Procedure.Steps.Single(s => s.Key == key);
        Assert.DoesNotContain(Of("rust-strip").Tools, t => t.Contains("grinder", StringComparison.Ordinal));
        foreach (string key in new[] { "rust-cut", "rust-patch" })
            Assert.Contains(Of(key).Holds, h => h.Name.Contains("licensed workshop", StringComparison.Ordinal));
        Assert.DoesNotContain(Planned(Pitted with { LeftMm = 0.5 }).Procedure.Steps.SelectMany(s => s.Holds), h =>
            h.Name.Contains("licensed", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void The_cut_warns_where_it_is_done() =>
        Assert.Equal(
            ["current-and-fuel", "cutting-metal"],
            Planned(Pitted with { LeftMm = 0.5 }).Procedure.Steps.Single(s => s.Key == "rust-cut").Cautions.Select(c => c.Id)
        );

    [Theory] // A rivet of 6.4 mm wants 12.8 mm to the edge of the patch and as much to that of the hole: a lap of 25.6 mm
    [InlineData(1.0, 25)]
    [InlineData(2.0, 25.6)]
    [InlineData(2.6, 25.6)]
    public void The_lap_holds_the_rivets_on_both_sides(double sheetMm, double lapMm)
    {
        RustPlan plan = Planned(Pitted with { SheetMm = sheetMm, LeftMm = sheetMm / 2 });
        Assert.Equal(lapMm / 2, plan.Patch!.Rivets!.EdgeMm, 9);
        Assert.True(plan.Patch.Rivets.EdgeMm >= (2 * plan.Patch.Rivets.Rivet.DiameterMm) - 1e-9);
    }

    [Theory]
    [InlineData(84.9, 0)]
    [InlineData(85, 1)]
    public void In_air_too_wet_to_paint_the_steps_say_so(double percent, int warnings) =>
        Assert.Equal(
            warnings,
            RustProcedure
                .Of(new RustWork(Pitted, 150, 80, 20, percent), LengthFormat.Millimetres)
                .Value!.Warnings.Count(w => w.Contains("nothing is coated", StringComparison.Ordinal))
        );
}
